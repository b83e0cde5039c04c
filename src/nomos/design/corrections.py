"""What a hand corrects in a flat design by pointing: kept as said, and said again to every later reading."""

from collections.abc import Callable, Sequence
from dataclasses import dataclass
from typing import Literal

import numpy as np
from numpy.typing import NDArray

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


def wanted_of(asked: int | None, corrections: Sequence[Correction]) -> Wanted:
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
    return Wanted(asked, tuple(pinned), tuple(same))


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
        _AT_PLACE[each.kind](fields, each, at, px_per_mm, alike)
    return tuple(lost)


_LOST: dict[Kind, str] = {
    "another": "A colour pointed out lies outside the picture now.",
    "paper": "A place said to be paper lies outside the picture now.",
    "line": "A stroke said to be line lies outside the picture now.",
    "no line": "A stroke said to be no line lies outside the picture now.",
    "fill": "A field filled by hand lies outside the picture now.",
    "brush": "A stroke of the brush lies outside the picture now.",
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
    """The connected field at a pixel."""
    import cv2

    own = (labels == labels[row, column]).view(np.uint8)
    _, parts = cv2.connectedComponents(own, connectivity=4)
    return np.asarray(parts == parts[row, column])


Places = list[tuple[int, int]]


def _another(fields: Fields, each: Correction, at: Places, px_per_mm: float, alike: Alike | None) -> None:
    row, column = at[0]
    own = field_of(fields.labels, row, column)
    lab = each.lab or fields.labs[fields.labels[row, column]]
    if alike is not None:
        like = alike(row, column, fields.labs[fields.labels[row, column]]) & own
        if like[row, column]:
            own = field_of(like.view(np.uint8), row, column)
    # Another colour on purpose: it may be as near to a known one as the hand likes.
    fields.labs.append(lab)
    fields.labels[own] = len(fields.labs) - 1


def _paper(fields: Fields, each: Correction, at: Places, px_per_mm: float, alike: Alike | None) -> None:
    if fields.paper is None:
        lab = each.lab or max(fields.labs)
        fields.labs.append(lab)
        fields.paper = len(fields.labs) - 1
    fields.labels[field_of(fields.labels, *at[0])] = fields.paper


def _line(fields: Fields, each: Correction, at: Places, px_per_mm: float, alike: Alike | None) -> None:
    own = field_of(fields.labels, *at[0])
    if fields.line is None:
        fields.line = int(fields.labels[at[0]])
        return
    fields.labels[own] = fields.line


def _no_line(fields: Fields, each: Correction, at: Places, px_per_mm: float, alike: Alike | None) -> None:
    if fields.line is None or fields.labels[at[0]] != fields.line:
        return
    own = field_of(fields.labels, *at[0])
    other = fields.labels != fields.line
    if other.any():
        # What runs below the line comes to light.
        below = fill_nearest(fields.labels, (~other).view(np.uint8))
        fields.labels[own] = below[own]


def _fill(fields: Fields, each: Correction, at: Places, px_per_mm: float, alike: Alike | None) -> None:
    if each.lab is not None:
        fields.labels[field_of(fields.labels, *at[0])] = fields.with_colour(each.lab)


def _brush(fields: Fields, each: Correction, at: Places, px_per_mm: float, alike: Alike | None) -> None:
    import cv2

    if each.lab is None:
        return
    stroke = np.zeros(fields.labels.shape, np.uint8)
    points = np.array([(column, row) for row, column in at], np.int32)
    width = max(1, round(each.width_mm * px_per_mm))
    cv2.polylines(stroke, [points], False, 1, width)
    cv2.circle(stroke, tuple(map(int, points[-1])), max(width // 2, 1), 1, -1)
    fields.labels[stroke > 0] = fields.with_colour(each.lab)


_AT_PLACE: dict[Kind, Callable[[Fields, Correction, Places, float, Alike | None], None]] = {
    "another": _another, "paper": _paper, "line": _line, "no line": _no_line, "fill": _fill, "brush": _brush,
}  # fmt: skip


def mask_of_polygons(
    polygons: Sequence[Sequence[Point]], to_pixel_float: Callable[[Point], Point], shape: tuple[int, int]
) -> NDArray[np.bool_]:
    """The inside of polygons given in shares of the picture."""
    import cv2

    page = np.zeros(shape, np.uint8)
    for polygon in polygons:
        if len(polygon) >= 3:
            points = np.array([to_pixel_float(point) for point in polygon])
            cv2.fillPoly(page, [np.rint(points * 16).astype(np.int32)], 1, cv2.LINE_8, 4)
    return page > 0
