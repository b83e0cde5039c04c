"""What a drawing of a system is made of, and what lies where in most of them."""

from collections.abc import Sequence
from dataclasses import dataclass
from math import dist
from typing import Literal

from nomos.base.language import tr
from nomos.base.units import length_text, size_text
from nomos.registration.contacts import Contacts
from nomos.registration.kento import GRIP_MM, KentoError, KentoSettings, Point, Rect
from nomos.registration.settings import System

Kind = Literal[
    "block", "base", "sheet", "image", "wall", "floor", "tidy", "block stop", "paper stop", "packing",
    "pin", "tab", "tape", "cross", "corner", "board",
]  # fmt: skip

# A stop is a strip of board; the crosses of a bed sheet stand in the sheet's corners (chosen by us).
STOP_MM, STOP_LONG_MM, CROSS_MM = 10.0, 40.0, 8.0
# A base reaches this far beyond everything on it, and a paper stop this far above the block (chosen by us).
BASE_MM, ABOVE_MM = 15.0, 1.5
CORNER_MM = 8.0
LASER_CAUTION = tr(
    "Laser cutting needs extraction and someone who watches for fire; the board's safety sheet, local rules "
    "and trained people come first."
)
DAMP = tr(
    "Damp paper grows: keep the pack evenly damp. Kept long it moulds; use a biocide only as its safety "
    "sheet and local rules say."
)
# What the sheet reaches beyond the block on the stopped sides, at the least.
JIG_CLEAR_MM = 1.0
# Where the stops for sheet and block stand along their edges, so that none is in another's way.
PAPER_STOPS, SIDE_STOP, BLOCK_STOPS, BLOCK_SIDE_STOP = (0.1, 0.9), 0.4, (0.3, 0.7), 0.75


@dataclass(frozen=True)
class Shape:
    """One thing of a system: a closed shape or a line, mm as seen on the print."""

    kind: Kind
    points: tuple[Point, ...]
    closed: bool = True
    word: str = ""


@dataclass(frozen=True)
class Dimension:
    """A distance worth knowing at the bench. what : what it is, as "from pin to pin"."""

    start: Point
    end: Point
    what: str

    @property
    def length(self) -> str:
        """In words, with its unit."""
        return length_text(dist(self.start, self.end))

    @property
    def text(self) -> str:
        """As it stands beside its line."""
        return f"{self.length} {self.what}"


@dataclass(frozen=True)
class SystemPlan:
    """A system for one sheet and image.

    block : every block of the set, in sheet coordinates.
    bench : all that is shown, in sheet coordinates.
    steps, limits : what to do, and what it will not do, a sentence each.
    """

    system: System
    block: Rect
    bench: Rect
    shapes: tuple[Shape, ...]
    dimensions: tuple[Dimension, ...]
    contacts: Contacts
    steps: tuple[str, ...]
    limits: tuple[str, ...]


def gripped(image: Rect, block_mm: tuple[float, float] | None) -> Rect:
    """The block: the image with a grip border all round, or a block at hand centred on it.

    Parameters
    ----------
    image : on the sheet, mm.
    block_mm : width and height at hand; None is as needed.

    Returns
    -------
    The block, mm on the sheet.
    """
    spare = (
        (GRIP_MM, GRIP_MM) if block_mm is None else ((block_mm[0] - image.width) / 2, (block_mm[1] - image.height) / 2)
    )
    if min(spare) < -1e-6:
        raise KentoError(
            tr(
                "A block of {size_text} is smaller than the image, {width}: take a larger block.",
                size_text=size_text(*(block_mm or (0, 0))),
                width=size_text(image.width, image.height),
            )
        )
    return Rect(image.left - spare[0], image.top - spare[1], image.right + spare[0], image.bottom + spare[1])


def block_stops(block: Rect, choice: KentoSettings) -> tuple[Shape, ...]:
    """Two strips the block's near edge is pushed against, and one at its corner side."""
    right_handed = choice.hand == "right"
    x, out = (block.left, -1.0) if right_handed else (block.right, 1.0)
    inward = -out
    long = min(STOP_LONG_MM, block.width / 6, block.height / 6)
    along = [x + inward * share * block.width for share in BLOCK_STOPS]
    up = block.top + BLOCK_SIDE_STOP * block.height
    return (
        *(box("block stop", place, block.bottom + STOP_MM / 2, long, STOP_MM) for place in along),
        box("block stop", x + out * STOP_MM / 2, up, STOP_MM, long),
    )


def packing(block: Rect, sheet_mm: tuple[float, float]) -> list[Shape]:
    """Strips under the sheet's margin beyond the block stops, as thick as the block."""
    width, height = sheet_mm
    gap = STOP_MM + 1.0
    strips = []
    if block.top > gap + 5:
        strips.append(Rect(0, 0, width, block.top - 1))
    if block.left > gap + 5:
        strips.append(Rect(0, max(block.top, 0), block.left - gap, height))
    if width - block.right > gap + 5:
        strips.append(Rect(block.right + gap, max(block.top, 0), width, height))
    return [shape("packing", strip) for strip in strips]


def corners_of(area: Rect) -> tuple[Point, ...]:
    """The four corners of an area."""
    return (
        (area.left, area.top), (area.right, area.top), (area.right, area.bottom), (area.left, area.bottom),
    )  # fmt: skip


def shape(kind: Kind, area: Rect, word: str = "") -> Shape:
    """An area as a closed shape."""
    return Shape(kind, corners_of(area), word=word)


def box(kind: Kind, x: float, y: float, width: float, height: float) -> Shape:
    """A rectangle about a middle."""
    return shape(kind, Rect(x - width / 2, y - height / 2, x + width / 2, y + height / 2))


def cross(x: float, y: float) -> Shape:
    """A cross drawn in one line, so that it stays one thing in every format."""
    half = CROSS_MM / 2
    line = ((x - half, y), (x + half, y), (x, y), (x, y - half), (x, y + half))
    return Shape("cross", line, closed=False)


def around(points: Sequence[Point], also: tuple[float, float, float, float]) -> Rect:
    """The smallest area around points and an area, left, top, right, bottom.

    Parameters
    ----------
    points : (x, y) in mm.
    also : an area.

    Returns
    -------
    left, top, right, bottom, mm.
    """
    xs, ys = [x for x, _ in points] + [also[0], also[2]], [y for _, y in points] + [also[1], also[3]]
    return Rect(min(xs), min(ys), max(xs), max(ys))
