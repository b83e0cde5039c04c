"""Turning a board over to its other face: which corner seats then, and what an untrue board costs."""

import math
from dataclasses import dataclass
from typing import Literal, get_args

from nomos.base.language import tr

Turn = Literal["sideways", "end over end"]
TURNS: tuple[Turn, ...] = get_args(Turn)
Hand = Literal["left", "right"]
Point = tuple[float, float]


@dataclass(frozen=True)
class Corner:
    """A corner of the wood as it lies before the printer, front face up."""

    edge: Literal["near", "far"]
    side: Hand

    def __str__(self) -> str:
        return f"{tr(self.edge)} {tr(self.side)}"


def seated_corner(hand: Hand, turn: Turn | None) -> Corner:
    """The corner, named with the front face up, that seats in the jig.

    A turn is its own inverse: the same words say where the front's own corner
    lies when the back is up.

    Parameters
    ----------
    hand : the side of the jig's corner, near the printer.
    turn : how the board was turned over; None is the front face itself.

    Returns
    -------
    A corner.
    """
    if turn is None:
        return Corner("near", hand)
    if turn == "sideways":
        return Corner("near", "left" if hand == "right" else "right")
    return Corner("far", hand)


@dataclass(frozen=True)
class TurnError:
    """How far the back's print is out if it was drawn from the front's edges: mm, degrees, most in mm."""

    shift_mm: float
    rotation_deg: float
    most_mm: float


def turning_error(size_mm: Point, untrue_mm: float, turn: Turn) -> TurnError:
    """What an untrue board does to a drawing carried through from its front.

    Parameters
    ----------
    size_mm : width along the near edge, and height.
    untrue_mm : how far an edge is out over its own length: a side that is not square to the near
        edge, or a far edge that is not parallel to it.
    turn : how the board is turned.

    Notes
    -----
    The board is seated with one edge flush, then pushed sideways to the stop.
    Turned sideways the same near edge is flush again; the other side touches the
    stop with whichever end stands out, so the print shifts by what it is out of
    square. Turned end over end the far edge comes to lie flush: the print turns
    by the angle between the two edges about the seated corner, most at the
    corner farthest from it, and shifts as before. Rigid motions of the board,
    worked out by ourselves; a board whose notches are cut in each face is not
    concerned, nor one whose back was drawn in the jig.
    """
    width, height = size_mm
    shift = abs(untrue_mm)
    if turn == "sideways":
        return TurnError(shift, 0.0, shift)
    angle = math.atan2(abs(untrue_mm), width)
    return TurnError(shift, math.degrees(angle), shift + 2 * math.sin(angle / 2) * math.hypot(width, height))
