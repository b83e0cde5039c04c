"""Seeing the print before it is printed: combinations, colours, stages, misregister."""

from nomos.proof.combinations import CombinationMap, Index, combine, with_page
from nomos.proof.misregister import Misregister, displaced, displaced_numbers, padded
from nomos.proof.render import Pixels, from_rgb, mips, page_of_pixels, pixels_of, render, render_view, to_rgb
