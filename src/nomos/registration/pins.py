"""Tabs and pins cut from thin board: a foot with a stub for the base, a plate with a hole for the sheet.

Pair 1 is a square stub on its corner in a hole of its shape and holds both ways.
The others are bars, in holes longer along the sheet's edge, and hold only across
it, so that paper may grow between the pairs. The design is ours; its sizes are
chosen by us, no source.
"""

import math
from dataclasses import dataclass

from nomos.base.language import tr
from nomos.base.units import length_text, lengths_text
from nomos.registration.kento import Point, Rect
from nomos.registration.settings import PinSettings, RegisterError

# The plate, the foot, the square stub's side, the bar, and how much longer a bar's hole is: mm.
TAB_MM, FOOT_MM = (24.0, 44.0), (36.0, 24.0)
STUB_MM, BAR_MM, PLAY_MM = 8.0, (12.0, 6.0), 4.0
# How much of the plate lies on the sheet, and from the plate's end to the middle of its hole.
SHEET_OVERLAP_MM, _HOLE_FROM_END_MM = 16.0, 12.0
# Between parts on the board they are cut from, and a foot from the block.
_APART_MM, _CLEAR_MM = 4.0, 4.0
# A kerf below this is none.
_NO_KERF_MM = 1e-6
_NARROWEST_MM, _LEAST_OVERLAP_MM = 120.0, 6.0


@dataclass(frozen=True)
class Part:
    """One flat piece: its outer edge and its holes, mm about the middle of the pin, x right, y down."""

    name: str
    outer: tuple[Point, ...]
    holes: tuple[tuple[Point, ...], ...] = ()


def overlap_mm(margin_mm: float) -> float:
    """How much of a plate lies on the sheet: within the margin, so that it does not mark the print.

    Raises RegisterError where the margin is too narrow to tape to.

    Parameters
    ----------
    margin_mm : narrowest margin of the sheet.

    Returns
    -------
    mm.
    """
    if margin_mm < _LEAST_OVERLAP_MM + 1:
        raise RegisterError(
            tr(
                "The margin at the sheet's far edge is {margin_mm}, and tabs need {least_overlap_mm} "
                "to be taped to: widen it.",
                margin_mm=length_text(margin_mm),
                least_overlap_mm=length_text(_LEAST_OVERLAP_MM + 1, None),
            )
        )
    return min(SHEET_OVERLAP_MM, margin_mm - 1)


def pin_places(sheet_mm: tuple[float, float], block: Rect, pins: PinSettings, margin_mm: float) -> tuple[Point, ...]:
    """Where the pins stand, along the sheet's far edge, mm on the sheet. margin_mm : above the image.

    Raises
    ------
    RegisterError : the sheet is too narrow, or the block in the way.
    """
    width = sheet_mm[0]
    least = _NARROWEST_MM if pins.pairs == 2 else 1.5 * _NARROWEST_MM
    if width < least:
        raise RegisterError(
            tr(
                "A sheet {width} wide has no room for {pairs} pairs of pins, which need {least}.",
                width=length_text(width, None), pairs=pins.pairs, least=length_text(least, None),
            )
        )  # fmt: skip
    shares = (0.18, 0.82) if pins.pairs == 2 else (0.12, 0.5, 0.88)
    if pins.taped:
        y = overlap_mm(margin_mm) + _HOLE_FROM_END_MM - TAB_MM[1]
        if block.top < y + FOOT_MM[1] / 2 + _CLEAR_MM:
            raise RegisterError(
                tr(
                    "The block reaches {top} beyond the sheet's far edge, where the pins stand: move the "
                    "image down, or take a block with less wood above it.",
                    top=length_text(abs(min(block.top, 0))),
                )
            )
    else:
        y = 9.0
        if block.top < y + FOOT_MM[1] / 2 + _CLEAR_MM:
            need = y + FOOT_MM[1] / 2 + _CLEAR_MM - block.top
            raise RegisterError(
                tr(
                    "Punched holes need {need} more margin above the image: tape tabs on instead, or "
                    "take a larger sheet.",
                    need=length_text(need),
                )
            )
    return tuple((width * share, y) for share in shares)


def male_part(pair: int, pins: PinSettings) -> Part:
    """The foot; its stub's outline stands as a hole, where it is glued on.

    Parameters
    ----------
    pair : from 0.
    pins : settings.

    Returns
    -------
    The part, mm from its own corner.
    """
    half_w, half_h = FOOT_MM[0] / 2, FOOT_MM[1] / 2
    outer = _rounded(half_w, half_h)
    return Part(f"M{pair + 1} foot", outer, (stub_part(pair, pins).outer,))


def stub_part(pair: int, _pins: PinSettings) -> Part:
    """The stub that is glued on the foot."""
    return Part(f"M{pair + 1} stub", _pin_outline(pair, 0.0, 0.0))


def female_part(pair: int, pins: PinSettings) -> Part:
    """The plate with its hole, a clearance wider than the stub all round.

    Parameters
    ----------
    pair : from 0.
    pins : settings.

    Returns
    -------
    The part, mm from its own corner.
    """
    half = TAB_MM[0] / 2
    top, bottom = -_HOLE_FROM_END_MM, TAB_MM[1] - _HOLE_FROM_END_MM
    # The end that lies on the sheet is tapered, so that it does not mark the paper.
    outer = (
        (-half, top), (half, top), (half, bottom - 6), (half - 6, bottom),
        (-half + 6, bottom), (-half, bottom - 6),
    )  # fmt: skip
    play = 0.0 if pair == 0 else PLAY_MM
    return Part(f"F{pair + 1} plate", outer, (_pin_outline(pair, pins.clearance_mm, play),))


def _pin_outline(pair: int, wider: float, longer: float) -> tuple[Point, ...]:
    if pair == 0:
        # Standing on its corner, its sides hold against both ways; each side moves out by the clearance.
        reach = (STUB_MM / 2 + wider) * math.sqrt(2)
        return (0.0, -reach), (reach, 0.0), (0.0, reach), (-reach, 0.0)
    half_w, half_h = BAR_MM[0] / 2 + wider + longer / 2, BAR_MM[1] / 2 + wider
    return _rounded(half_w, half_h, 0.0)


def _rounded(half_w: float, half_h: float, cut: float = 3.0) -> tuple[Point, ...]:
    """A rectangle with its corners cut off."""
    if not cut:
        return (-half_w, -half_h), (half_w, -half_h), (half_w, half_h), (-half_w, half_h)
    x, y = half_w - cut, half_h - cut
    return (
        (-x, -half_h), (x, -half_h), (half_w, -y), (half_w, y),
        (x, half_h), (-x, half_h), (-half_w, y), (-half_w, -y),
    )  # fmt: skip


def parts_of(pins: PinSettings) -> tuple[Part, ...]:
    """Everything that is cut, feet without holes: foot and stub, and a plate where tabs are taped."""
    found = []
    for pair in range(pins.pairs):
        foot = male_part(pair, pins)
        found += [Part(foot.name, foot.outer), stub_part(pair, pins)]
        found += [female_part(pair, pins)] if pins.taped else []
    return tuple(found)


@dataclass(frozen=True)
class PlacedPart:
    """A part on the board it is cut from, with the paths of the cutter, mm from the board's top left."""

    part: Part
    cuts: tuple[tuple[Point, ...], ...]
    label_at: Point


def nest(pins: PinSettings, sets: int = 1) -> tuple[PlacedPart, ...]:
    """All parts laid on the stock in rows, tallest first, with the kerf taken up by the cutter's path.

    sets : how many sheets get plates of their own; feet and stubs are needed once.

    Raises
    ------
    RegisterError : they do not go on the stock.
    """
    parts = [*parts_of(pins)]
    plates = [part for part in parts if part.name.startswith("F")]
    parts += plates * (sets - 1)
    parts.sort(key=lambda part: -_size(part)[1])
    width, height = pins.stock_mm
    x = y = _APART_MM
    row = 0.0
    placed = []
    for part in parts:
        wide, tall = _size(part)
        if x + wide + _APART_MM > width and x > _APART_MM:
            x, y, row = _APART_MM, y + row + _APART_MM, 0.0
        if x + wide + _APART_MM > width or y + tall + _APART_MM > height:
            raise RegisterError(
                tr(
                    "{parts} parts do not go on a board of {width}: take a larger one.",
                    parts=len(parts),
                    width=lengths_text(width, height, None, between=" × "),
                )
            )
        placed.append(_placed(part, x, y, pins.kerf_mm))
        x, row = x + wide + _APART_MM, max(row, tall)
    return tuple(placed)


def _size(part: Part) -> tuple[float, float]:
    xs, ys = [x for x, _ in part.outer], [y for _, y in part.outer]
    return max(xs) - min(xs), max(ys) - min(ys)


def _placed(part: Part, left: float, top: float, kerf: float) -> PlacedPart:
    """The cutter runs half a kerf outside the part, and half a kerf inside its holes."""
    from shapely import Polygon

    dx = left - min(x for x, _ in part.outer)
    dy = top - min(y for _, y in part.outer)
    cuts = []
    for ring, away in ((part.outer, kerf / 2), *((hole, -kerf / 2) for hole in part.holes)):
        moved = Polygon([(x + dx, y + dy) for x, y in ring])
        if abs(away) > _NO_KERF_MM:
            moved = moved.buffer(away, join_style="mitre")
        cuts.append(tuple((float(x), float(y)) for x, y in list(moved.exterior.coords)[:-1]))
    middle = (min(y for _, y in part.outer) + max(y for _, y in part.outer)) / 2
    low = max(y for _, y in part.outer) - 4 if part.holes else middle
    return PlacedPart(part, tuple(cuts), (dx, dy + low))
