"""Seeing the print before it is printed: combinations, colours, stages, misregister."""

from nomos.proof.combinations import CombinationMap, Index, combine, strips, with_page
from nomos.proof.misregister import Misregister, displaced, displaced_numbers, padded
from nomos.proof.render import mips, render, render_view, to_rgb

__all__ = [
    "CombinationMap",
    "Index",
    "Misregister",
    "combine",
    "displaced",
    "displaced_numbers",
    "mips",
    "padded",
    "render",
    "render_view",
    "strips",
    "to_rgb",
    "with_page",
]
