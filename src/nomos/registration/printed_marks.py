"""Marks that every block prints in the margin: crosses, rings or verniers, cut away later.

Each block has places of its own, so that none prints over another's. A vernier is
a pair: ten strokes 2.0 mm apart by the first block, and ten strokes 1.9 mm apart
beside them by every other block, so that each tenth of a millimetre out lets the
next stroke meet its opposite (Vernier's principle).
"""

import math
from collections.abc import Sequence
from dataclasses import dataclass
from typing import Literal

from nomos.base.errors import BadInput
from nomos.base.language import tr
from nomos.base.units import length_text
from nomos.registration.kento import Point, Rect
from nomos.registration.settings import MarkKind

# Sizes in mm, chosen by us: a ring's disc, a cross, its line; how far apart marks stand, and from the image.
DISC_MM, CROSS_MM, LINE_MM = 2.4, 4.0, 0.4
_APART_MM, _FROM_IMAGE_MM, _MOST_EACH = 6.5, 2.0, 8
# The vernier: strokes of the first block and of the others, how many, their length and width.
MAIN_STEP_MM, VERNIER_STEP_MM, STROKES = 2.0, 1.9, 11
_STROKE_MM, _STROKE_WIDE_MM = 2.2, 0.35


class MarksRoomError(BadInput):
    """The margin leaves no room for marks."""


@dataclass(frozen=True)
class PrintedMark:
    """One mark of one block on the print.

    place_mm : its middle, on the sheet.
    block : the place of the block in the set.
    rings : closed outlines, outer ones first in each group, mm on the sheet.
    axis : for a vernier, the way it measures.
    """

    place_mm: Point
    block: int
    rings: tuple[tuple[Point, ...], ...]
    axis: Literal["x", "y"] | None = None
    name: str = ""


def printed_marks(
    kind: MarkKind, count: int, image: Rect, room: Rect, taken: Sequence[Sequence[Point]] = ()
) -> tuple[PrintedMark, ...]:
    """The marks of a set of blocks.

    Parameters
    ----------
    count : how many blocks.
    image : where the image lies; marks stand outside it.
    room : what both block and sheet reach; marks stand inside it.
    taken : shapes that no mark may touch, such as notches.

    Raises
    ------
    MarksRoomError : fewer than three places for a block.
    """
    if kind == "none" or count == 0:
        return ()
    if kind == "verniers":
        return _verniers(count, image, room, taken)
    half = max(DISC_MM, CROSS_MM) / 2
    slots = [place for place in _slots(image, room, half) if all(_clear(place, shape, half) for shape in taken)]
    each = min(len(slots) // count, _MOST_EACH)
    if each < 3:
        raise MarksRoomError(
            tr(
                "The margin has room for {slots} marks, and {count} blocks need {count_2}: leave "
                "{from_image_mm} of block and sheet beyond the image.",
                slots=len(slots), count=count, count_2=3 * count, from_image_mm=length_text(2 * half + _FROM_IMAGE_MM),
            )
        )  # fmt: skip
    marks = []
    for block in range(count):
        # Every block's marks go round the whole image, its own a step on from the block's before.
        for turn in range(each):
            place = slots[(turn * len(slots)) // each + block]
            rings = _disc(place) if kind == "rings" else _cross(place)
            marks.append(PrintedMark(place, block, rings, name=f"{turn + 1}"))
    return tuple(marks)


def _slots(image: Rect, room: Rect, half: float) -> list[Point]:
    """Places round the image, clockwise from its upper left, where a mark has room."""
    off = _FROM_IMAGE_MM + half
    found: list[Point] = []

    def along(start: float, end: float) -> list[float]:
        count = max(int((end - start) / _APART_MM), 1)
        return [start + (place + 0.5) * (end - start) / count for place in range(count)]

    if image.top - room.top >= off + half:
        found += [(x, image.top - off) for x in along(image.left, image.right)]
    if room.right - image.right >= off + half:
        found += [(image.right + off, y) for y in along(image.top, image.bottom)]
    if room.bottom - image.bottom >= off + half:
        found += [(x, image.bottom + off) for x in reversed(along(image.left, image.right))]
    if image.left - room.left >= off + half:
        found += [(image.left - off, y) for y in reversed(along(image.top, image.bottom))]
    return found


def _clear(place: Point, shape: Sequence[Point], half: float) -> bool:
    xs, ys = [x for x, _ in shape], [y for _, y in shape]
    gap = half + 0.5
    return not (min(xs) - gap < place[0] < max(xs) + gap and min(ys) - gap < place[1] < max(ys) + gap)


def _disc(place: Point) -> tuple[tuple[Point, ...], ...]:
    turns = [2 * math.pi * n / 48 for n in range(48)]
    return (tuple((place[0] + DISC_MM / 2 * math.cos(t), place[1] + DISC_MM / 2 * math.sin(t)) for t in turns),)


def _cross(place: Point) -> tuple[tuple[Point, ...], ...]:
    x, y = place
    long, thin = CROSS_MM / 2, LINE_MM / 2
    return (
        (
            (x - thin, y - long), (x + thin, y - long), (x + thin, y - thin), (x + long, y - thin),
            (x + long, y + thin), (x + thin, y + thin), (x + thin, y + long), (x - thin, y + long),
            (x - thin, y + thin), (x - long, y + thin), (x - long, y - thin), (x - thin, y - thin),
        ),
    )  # fmt: skip


def _verniers(count: int, image: Rect, room: Rect, taken: Sequence[Sequence[Point]]) -> tuple[PrintedMark, ...]:
    """For every block but the first, verniers along x at the top and bottom and along y at one side."""
    if count < 2:
        raise MarksRoomError(tr("A vernier compares two blocks, and there is only one."))
    long = (STROKES - 1) * MAIN_STEP_MM + 4
    deep = 2 * _STROKE_MM + _FROM_IMAGE_MM
    sides: list[tuple[Literal["x", "y"], float, float, Point]] = []
    if image.top - room.top >= deep:
        sides.append(("x", image.left, image.right, (0.0, image.top - _FROM_IMAGE_MM - _STROKE_MM)))
    if room.bottom - image.bottom >= deep:
        sides.append(("x", image.left, image.right, (0.0, image.bottom + _FROM_IMAGE_MM + _STROKE_MM)))
    if room.right - image.right >= deep:
        sides.append(("y", image.top, image.bottom, (image.right + _FROM_IMAGE_MM + _STROKE_MM, 0.0)))
    if image.left - room.left >= deep:
        sides.append(("y", image.top, image.bottom, (image.left - _FROM_IMAGE_MM - _STROKE_MM, 0.0)))
    marks: list[PrintedMark] = []
    for axis, start, end, across in sides:
        free = []
        for place in range(int((end - start) / long)):
            at = start + (place + 0.5) * long
            middle = (at, across[1]) if axis == "x" else (across[0], at)
            if all(_clear(middle, shape, long / 2) for shape in taken):
                free.append(middle)
        for block in range(1, count):
            if len(free) < count - 1:
                break
            middle = free[(block - 1) * len(free) // (count - 1)]
            marks += _vernier(axis, middle, block)
    axes = {(mark.block, mark.axis) for mark in marks}
    if any((block, axis) not in axes for block in range(1, count) for axis in ("x", "y")):
        raise MarksRoomError(
            tr(
                "Verniers for {count} blocks need {long} of margin each, {deep} deep, on an upright "
                "and a level side: choose rings or crosses, or a wider margin.",
                count=count, long=length_text(long, None), deep=length_text(deep, None),
            )
        )  # fmt: skip
    return tuple(marks)


def _vernier(axis: Literal["x", "y"], middle: Point, block: int) -> list[PrintedMark]:
    """The strokes of the first block outside, those of the other beside them, zero in the middle."""

    def strokes(step: float, side: float) -> tuple[tuple[Point, ...], ...]:
        found = []
        for n in range(STROKES):
            along = (n - STROKES // 2) * step
            # The zero is longer, so that it is found.
            long = _STROKE_MM if n == STROKES // 2 else _STROKE_MM * 0.7
            thin, ends = _STROKE_WIDE_MM / 2, sorted((0.0, side * long))
            box = [(along - thin, ends[0]), (along + thin, ends[0]), (along + thin, ends[1]), (along - thin, ends[1])]
            found.append(
                tuple((middle[0] + u, middle[1] + v) if axis == "x" else (middle[0] + v, middle[1] + u) for u, v in box)
            )
        return tuple(found)

    return [
        PrintedMark(middle, 0, strokes(MAIN_STEP_MM, -1.0), axis, tr("for {block}", block=block)),
        PrintedMark(middle, block, strokes(VERNIER_STEP_MM, 1.0), axis, "vernier"),
    ]


def vernier_reading_mm(meeting: int) -> float:
    """How far the block is out when stroke `meeting` meets its opposite, counted from the zero, mm.

    Stroke n of the first block stands at 2.0 n, of the other at 1.9 n + out; they
    meet where out = 0.1 n.

    Raises
    ------
    BadInput : no such stroke.
    """
    if abs(meeting) > STROKES // 2:
        raise BadInput(
            tr(
                "The vernier has {strokes} strokes on each side of its zero, not {meeting}.",
                strokes=STROKES // 2,
                meeting=abs(meeting),
            )
        )
    return round((MAIN_STEP_MM - VERNIER_STEP_MM) * meeting, 6)
