"""Blocks from flat colours: what prints where, the trap, the key and outlines."""

from nomos.separation.contours import Ring
from nomos.separation.masks import TRAP_MM, BlockPlan, Mask, block_masks
from nomos.separation.outline import outlines
from nomos.separation.plain import find_key, mean_width_mm, one_block_per_colour
