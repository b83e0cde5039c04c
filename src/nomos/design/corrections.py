"""What a hand corrects in a flat design by pointing: kept as said, and said again to every later reading."""

from collections.abc import Callable, Sequence
from dataclasses import dataclass
from typing import Literal

import numpy as np

from nomos.base.language import tr
from nomos.colour import Lab, delta_e00
from nomos.design.cleaning import Labels, fill_nearest
from nomos.design.counting import Wanted
from nomos.design.page import Mask

Point = tuple[float, float]
Kind = Literal["keep", "same", "another", "paper", "line", "no line", "fill", "brush", "drop faint"]

# A colour pointed at is taken for one that is there if it is this near.
_SAME_DE00 = 4.0


@dataclass(frozen=True)
class Correction:
    """One correction.

    kind : keep a colour whatever the number; two colours are the same; another colour is here; this is
        paper, line, or no line; fill a field with a colour; a stroke of the brush; drop faint lines.
    lab, other : the colours meant, CIELAB.
    places : where, as shares of the picture's width and height, so that they outlive another crop or size.
    everywhere : another colour takes what is like it all over, not only nearby.
    width_mm : of the brush, on the print.
    """

    kind: Kind
    lab: Lab | None = None
    other: Lab | None = None
    places: tuple[Point, ...] = ()
    everywhere: bool = False
    width_mm: float = 1.0


@dataclass(eq=False)
class Fields:
    """Flat fields while they are corrected: numbers, colours, and which are line and paper."""

    labels: Labels
    labs: list[Lab]
    line: int | None
    paper: int | None

    def number_of(self, lab: Lab) -> int | None:
        """The colour meant by a CIELAB value; None if none is near."""
        apart = delta_e00(np.array(self.labs), np.array(lab))
        nearest = int(np.argmin(apart))
        return nearest if apart[nearest] < _SAME_DE00 else None

    def with_colour(self, lab: Lab) -> int:
        """The number of a colour, added if it is not there."""
        known = self.number_of(lab)
        if known is not None:
            return known
        self.labs.append(lab)
        return len(self.labs) - 1


# Which pixels are like a place: (row, column, colour) to a mask; given where the picture is at hand.
Alike = Callable[[int, int, Lab], Mask]
ToPixel = Callable[[Point], tuple[int, int] | None]


def wanted_of(requested: int | None, corrections: Sequence[Correction]) -> Wanted:
    """What the count of colours must keep to."""
    pinned: list[Lab] = []
    same: list[tuple[Lab, Lab]] = []
    for each in corrections:
        if each.lab is None:
            continue
        if each.kind == "keep" or (each.kind == "another" and each.everywhere):
            if not pinned or float(delta_e00(np.array(pinned), np.array(each.lab)).min()) > _SAME_DE00 / 2:
                pinned.append(each.lab)
        elif each.kind == "same" and each.other is not None:
            same.append((each.lab, each.other))
    return Wanted(requested, tuple(pinned), tuple(same))


def drops_faint(corrections: Sequence[Correction]) -> bool:
    """Whether soft construction lines are to be left out."""
    return any(each.kind == "drop faint" for each in corrections)


def apply(
    fields: Fields, corrections: Sequence[Correction], to_pixel: ToPixel, px_per_mm: float, alike: Alike | None
) -> tuple[str, ...]:
    """Correct fields in place, in the order the corrections were made.

    Returns
    -------
    One sentence for each that no longer holds, as when its place has been cropped away.
    """
    lost = []
    for each in corrections:
        if each.kind in ("keep", "drop faint") or (each.kind == "another" and each.everywhere):
            continue
        if each.kind == "same":
            _join(fields, each)
            continue
        at = [pixel for place in each.places if (pixel := to_pixel(place)) is not None]
        if not at:
            lost.append(_LOST[each.kind])
            continue
        _AT_PLACE[each.kind](_Pointed(fields, each, at, px_per_mm, alike))
    return tuple(lost)


_LOST: dict[Kind, str] = {
    "another": tr("A colour pointed out lies outside the picture now."),
    "paper": tr("A place said to be paper lies outside the picture now."),
    "line": tr("A stroke said to be line lies outside the picture now."),
    "no line": tr("A stroke said to be no line lies outside the picture now."),
    "fill": tr("A field filled by hand lies outside the picture now."),
    "brush": tr("A stroke of the brush lies outside the picture now."),
}


def _join(fields: Fields, each: Correction) -> None:
    if each.lab is None or each.other is None:
        return
    one, other = fields.number_of(each.lab), fields.number_of(each.other)
    if one is None or other is None or one == other:
        return
    fields.labels[fields.labels == other] = one
    if fields.line == other:
        fields.line = one
    if fields.paper == other:
        fields.paper = one


def field_of(labels: Labels, row: int, column: int) -> Mask:
    """The connected field at a pixel.

    Parameters
    ----------
    labels : (height, width) numbers.
    row, column : a pixel.

    Returns
    -------
    (height, width) bool.
    """
    import cv2

    own = (labels == labels[row, column]).view(np.uint8)
    _, parts = cv2.connectedComponents(own, connectivity=4)
    return np.asarray(parts == parts[row, column])


@dataclass(frozen=True, eq=False)
class _Pointed:
    """A correction at a place: the pixels it names, the first of them the place itself."""

    fields: Fields
    each: Correction
    at: list[tuple[int, int]]
    px_per_mm: float
    alike: Alike | None

    def field(self) -> Mask:
        """The field pointed at."""
        return field_of(self.fields.labels, *self.at[0])


def _another(said: _Pointed) -> None:
    fields, (row, column) = said.fields, said.at[0]
    own, number = said.field(), fields.labels[row, column]
    if said.alike is not None:
        like = said.alike(row, column, fields.labs[number]) & own
        if like[row, column]:
            own = field_of(like.view(np.uint8), row, column)
    # Another colour on purpose: it may be as near to a known one as the hand likes.
    fields.labs.append(said.each.lab or fields.labs[number])
    fields.labels[own] = len(fields.labs) - 1


def _paper(said: _Pointed) -> None:
    fields = said.fields
    if fields.paper is None:
        fields.labs.append(said.each.lab or max(fields.labs))
        fields.paper = len(fields.labs) - 1
    fields.labels[said.field()] = fields.paper


def _line(said: _Pointed) -> None:
    fields = said.fields
    if fields.line is None:
        fields.line = int(fields.labels[said.at[0]])
    else:
        fields.labels[said.field()] = fields.line


def _no_line(said: _Pointed) -> None:
    fields = said.fields
    if fields.line is None or fields.labels[said.at[0]] != fields.line:
        return
    drawn = fields.labels == fields.line
    if not drawn.all():
        # What runs below the line comes to light.
        own = said.field()
        fields.labels[own] = fill_nearest(fields.labels, drawn.view(np.uint8))[own]


def _fill(said: _Pointed) -> None:
    if said.each.lab is not None:
        said.fields.labels[said.field()] = said.fields.with_colour(said.each.lab)


def _brush(said: _Pointed) -> None:
    import cv2

    if said.each.lab is None:
        return
    stroke = np.zeros(said.fields.labels.shape, np.uint8)
    points = np.array([(column, row) for row, column in said.at], np.int32)
    width = max(1, round(said.each.width_mm * said.px_per_mm))
    cv2.polylines(stroke, [points], False, 1, width)
    cv2.circle(stroke, (int(points[-1, 0]), int(points[-1, 1])), max(width // 2, 1), 1, -1)
    said.fields.labels[stroke > 0] = said.fields.with_colour(said.each.lab)


_AT_PLACE: dict[Kind, Callable[[_Pointed], None]] = {
    "another": _another, "paper": _paper, "line": _line, "no line": _no_line, "fill": _fill, "brush": _brush,
}  # fmt: skip
