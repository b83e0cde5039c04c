"""What a block that is too small or out of square does to the print when it is pushed into its stops."""

import math
from dataclasses import dataclass
from typing import Literal

DrawnFrom = Literal["corner", "middle", "side"]


@dataclass(frozen=True)
class BlockEffect:
    """How far the print is out: mm right and down on the print, degrees from x towards y, worst in mm."""

    dx_mm: float
    dy_mm: float
    rotation_deg: float
    worst_mm: float


def block_effect(
    block_mm: tuple[float, float], short_mm: tuple[float, float], square_mm: float, drawn_from: DrawnFrom,
    side_stop: float = 0.25, *, right_handed: bool = True,
) -> BlockEffect:  # fmt: skip
    """The print of a block that is short or out of square, in stops at its near edge and corner side.

    Parameters
    ----------
    block_mm : width and height the blocks should have.
    short_mm : how much it is short of them (less than nothing: too large).
    square_mm : how far the corner side leans outwards at its far end, over the whole height, with the
        near edge flush.
    drawn_from : how the drawing was laid on it: by the stopped corner, in its middle, or along the
        corner side instead of the near edge.
    side_stop : where the side stop stands, as a share of the height from the near edge.

    Notes
    -----
    Drawn from the corner, a short block prints where it should: only its far edges
    are missing. Drawn in its middle, it prints half of what is missing too near
    the stops. A side that leans touches its stop farther out or in, and shifts the
    print by the lean at the stop; drawn along that side, the drawing is turned on
    the block by the lean's angle. Rigid motions, worked out by ourselves.
    """
    width, height = block_mm
    # Towards the corner is to the left on the print for a right-handed printer, whose block corner is
    # at the right; all is worked out that way round and mirrored at the end.
    dx, dy = square_mm * side_stop, 0.0
    if drawn_from == "middle":
        dx -= short_mm[0] / 2
        dy += short_mm[1] / 2
    # The drawing's corner sits in the block's own; a side leaning outwards turns it away from x to y.
    turn = -math.atan2(square_mm, height) if drawn_from == "side" else 0.0
    corners = [(0.0, 0.0), (width, 0.0), (0.0, -height), (width, -height)]
    worst = 0.0
    for x, y in corners:
        moved_x = x * math.cos(turn) - y * math.sin(turn) + dx
        moved_y = x * math.sin(turn) + y * math.cos(turn) + dy
        worst = max(worst, math.hypot(moved_x - x, moved_y - y))
    if not right_handed:
        dx, turn = -dx, -turn
    return BlockEffect(dx + 0.0, dy + 0.0, math.degrees(turn) + 0.0, worst)
