"""Seeing the print before it is printed: combinations, colours, stages, misregister."""

from nomos.proof.combinations import CombinationMap, combine
from nomos.proof.misregister import Misregister, displaced, padded
from nomos.proof.render import Index, combination_labs, mips, render, render_view, to_rgb

__all__ = [
    "CombinationMap",
    "Index",
    "Misregister",
    "combination_labs",
    "combine",
    "displaced",
    "mips",
    "padded",
    "render",
    "render_view",
    "to_rgb",
]
