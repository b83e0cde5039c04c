"""A drawing at true size: named layers of shapes and words, before it is PDF, SVG or DXF."""

from collections.abc import Sequence
from dataclasses import dataclass
from typing import Any

from nomos.formats.typesetting import broken
from nomos.registration import Point

CHECK_BAR_MM = 100.0
# The header: a heading and sentences. It is never wider than a page of A4 or Letter upright shows,
# so that no tile cuts through a line of it.
HEADING_PT, TEXT_PT = 12.0, 8.0
HEADING_LINE_MM, TEXT_LINE_MM, _HEAD_MM = 5.2, 3.7, 2.0
CHIPS_MM = 12.0
_NARROWEST_MM, _WIDEST_TEXT_MM = 120.0, 180.0


@dataclass(frozen=True)
class Look:
    """How a layer looks: line width in points (0: none), dashes, and its fill as a share of white.

    tint : fill on paper only: a cutter gets the outline alone.
    """

    line_pt: float
    dash: tuple[float, ...] = ()
    fill: float | None = None
    tint: float | None = None
    hatched: bool = False


PLAIN = Look(0.4)
LOOKS: dict[str, Look] = {
    # Templates of blocks, from the ground up.
    "cut-now": Look(0.25, (1, 1.5), fill=0.92),
    "printing": Look(0.25, fill=0.66),
    "saw-lines": Look(0.8),
    "tidy": Look(0.4, (8, 3)),
    "notch-floors": Look(0.3, hatched=True),
    "notch-walls": Look(1.4),
    "block-edge": Look(0.6),
    "marked-corner": Look(0.0, fill=0.0),
    "front-corner": Look(0.8),
    "check-bar-100-mm": Look(0.5),
    # Block, sheet and stops on the bench.
    "block": Look(1.2),
    "board": Look(1.0, tint=0.93),
    "base": Look(0.8, tint=0.93),
    "sheet": Look(0.4, (3, 2)),
    "image": Look(0.4, (1, 2)),
    "floor": Look(0.4, tint=0.8),
    "wall": Look(1.6),
    "block stop": Look(0.8, tint=0.7),
    "paper stop": Look(0.8, tint=0.4),
    "packing": Look(0.4, (2, 2), tint=0.88),
    "pin": Look(0.8, tint=0.3),
    "tab": Look(0.6),
    "tape": Look(0.4, (1, 1)),
    "cross": Look(0.6),
    "corner": Look(0.6, tint=0.0),
    "dimension": Look(0.3),
    "cut": Look(0.3),
}


@dataclass(frozen=True, eq=False)
class Shape:
    """Lines or an area on a layer, mm from the drawing's top left, y down.

    rings : each a sequence of points or an array (n, 2); several are filled by the even-odd rule.
    colour : of the fill instead of the layer's own, as #rrggbb.
    """

    layer: str
    rings: tuple[Sequence[Point] | Any, ...]
    closed: bool = True
    colour: str = ""

    @property
    def look(self) -> Look:
        """Of its layer."""
        return LOOKS.get(self.layer, PLAIN)


@dataclass(frozen=True)
class Word:
    """A word on a drawing, its middle at a place, mm."""

    place: Point
    text: str


@dataclass(frozen=True, eq=False)
class Drawing:
    """What is drawn, with a heading and sentences that stand above it on paper.

    foot : what stands at the foot of every page, the heading where nothing else is said.
    chips : colours of the inks, in the header's right end.
    """

    name: str
    heading: str
    notes: tuple[str, ...]
    size_mm: tuple[float, float]
    shapes: tuple[Shape, ...]
    words: tuple[Word, ...] = ()
    foot: str = ""
    chips: tuple[str, ...] = ()

    @property
    def layers(self) -> tuple[str, ...]:
        """Their names, the lowest first."""
        return tuple(dict.fromkeys(shape.layer for shape in self.shapes))

    @property
    def width_mm(self) -> float:
        """With room for the header."""
        return max(self.size_mm[0], _NARROWEST_MM)

    @property
    def headings(self) -> tuple[str, ...]:
        """The heading, broken where it would run out of the first page or into the chips."""
        wide = min(self.width_mm, _WIDEST_TEXT_MM) - (CHIPS_MM + 2) * bool(self.chips)
        return broken(self.heading, wide, HEADING_PT, bold=True)

    @property
    def text(self) -> tuple[str, ...]:
        """The sentences, broken to the width of the header."""
        wide = min(self.width_mm, _WIDEST_TEXT_MM)
        return tuple(line for note in self.notes for line in broken(note, wide, TEXT_PT))

    @property
    def header_mm(self) -> float:
        """Height of the heading and its sentences."""
        return _HEAD_MM + HEADING_LINE_MM * len(self.headings) + TEXT_LINE_MM * len(self.text)

    @property
    def page_mm(self) -> tuple[float, float]:
        """With its header."""
        return self.width_mm, self.size_mm[1] + self.header_mm
