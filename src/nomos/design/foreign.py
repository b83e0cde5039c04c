"""What lies on a photographed sheet and is not drawn on it: hands, clips and rulers, notes, a cup's ring."""

from collections.abc import Sequence
from dataclasses import dataclass
from typing import Literal

import numpy as np
from numpy.typing import NDArray

from nomos.base.language import tr
from nomos.design.page import Mask, Page, filled
from nomos.design.sheet_page import SheetPage

Kind = Literal["hand", "object", "writing", "stain"]
Outline = tuple[tuple[float, float], ...]

# Shares of the longer side of the sheet: how far an edge is looked at on either side of it, how much is left
# out around what is found (its shadow), and what is too small to be anything.
_BESIDE, _AROUND, _LEAST = 0.02, 0.012, 1.5e-4
# What goes on over the edge has the same colour on both sides, Lab with lightness weighing half, and is
# another one than the ground that is common there.
_ALIKE, _NOT_GROUND, _NOT_PAPER = 13.0, 9.0, 9.0
# Of a thing, what is not further in colour than this from where it crosses the edge.
_SAME_THING = 17.0
_LARGEST = 0.4
# Fingers reach in no further than so many times their width together.
_LONG = 3.0
# What is not seen to go on over an edge must differ from the paper by this much, Lab, to be asked about.
_CLEAR = 14.0
# CIELAB of skin of every shade under household light: lightness, chroma, hue in degrees. Common practice, no
# source; the hues agree with what is published about skin's reflectance (haemoglobin, melanin).
_SKIN_L, _SKIN_C, _SKIN_H = (14.0, 90.0), (8.0, 46.0), (22.0, 80.0)
# Writing: signs this tall at most, so many of them, in a row, and apart from the drawing by so much.
_TALL, _SIGNS, _APART, _MOST_WRITTEN = 0.05, 4, 0.02, 0.12
# A ring: pixels within this share of its radius, seen along so much of the circle.
_RING, _ROUND = 0.09, 0.6


@dataclass(frozen=True)
class Foreign:
    """A thing on a sheet.

    outline : what is left out, as shares of the picture's width and height.
    sure : it is left out unless it is said to be kept; otherwise it is asked about.
    beside : it lies beside the drawing, outside its corners.
    """

    kind: Kind
    outline: Outline
    sure: bool
    beside: bool = False


NAMES: dict[Kind, str] = {
    "hand": tr("a hand"),
    "object": tr("something that lies over the edge"),
    "writing": tr("writing"),
    "stain": tr("the ring of a cup"),
}


def find_foreign(page: SheetPage) -> tuple[Foreign, ...]:
    """What lies on a sheet and is not drawn on it.

    Parameters
    ----------
    page : the sheet, straightened with some ground around it.

    Returns
    -------
    Foreign things, the surest first. What goes on over the sheet's edge in one colour lies on it: a drawing
    ends there. Writing is small signs in rows apart from what is drawn.
    """
    over = _over_the_edge(page)
    taken = np.zeros(page.ink.shape, bool)
    found = []
    for mask, sure in over:
        kind: Kind = "hand" if _is_skin(page.lab[mask]) else "object"
        clear = float(np.median(_apart(page.lab[mask], np.array(page.paper)))) > _CLEAR
        if sure or (kind == "hand" and clear and not (mask & taken).any()):
            taken |= mask
            found.append(Foreign(kind, _outline(page, mask), sure))
    drawn = page.ink & ~taken
    found += [Foreign("stain", _outline(page, mask), False) for mask in _rings(page, drawn)]
    found += _writing(page, drawn)
    return tuple(sorted(found, key=lambda each: not each.sure))


def inside(page: SheetPage, outlines: Sequence[Outline]) -> Mask:
    """Where a sheet is covered by outlines in shares of the picture. (height, width) of the sheet."""
    mask = np.zeros(page.ink.shape, bool)
    for outline in outlines:
        mask |= filled(mask.shape, page.on_page(np.array(outline, np.float64)))
    return mask


def _over_the_edge(page: SheetPage) -> list[tuple[Mask, bool]]:
    """What goes on over an edge of the sheet, and whether both sides of the edge were seen to be it."""
    import cv2

    lab, seen = page.around, page.seen
    room, (height, width) = page.room, page.ink.shape
    seeds = np.zeros(lab.shape[:2], bool)
    step = max(2, round(_BESIDE * max(height, width)))
    for turn in range(4):
        turned, there = np.rot90(lab, turn), np.rot90(seen, turn)
        mark = np.rot90(seeds, turn)
        span = slice(room, turned.shape[1] - room)
        out, within = turned[room - step, span], turned[room + step, span]
        if there[room - step, span].mean() < 0.5:
            continue
        outside = turned[: room - step // 2, span][there[: room - step // 2, span]]
        ground = np.median(outside, axis=0)
        # A ground with a strong grain hides more.
        grain = 3.0 * float(np.median(_apart(outside, ground)))
        own = np.median(turned[room + step : room + 2 * step, span].reshape(-1, 3), axis=0)
        crossing = (
            (_apart(out, within) < _ALIKE) & (_apart(out, ground) > max(_NOT_GROUND, grain))
            & (_apart(within, own) > _NOT_PAPER) & there[room - step, span]
        )  # fmt: skip
        # A drawing that fills the sheet on a ground like it goes on over the edge too, all along it.
        if crossing.mean() < _LARGEST:
            mark[room - step : room + step + 1, span] |= crossing[None, :]
    found = [(mask, True) for mask in _grown(page, seeds)]
    rim = np.zeros_like(seeds)
    gone = ~seen
    if gone.any():
        rim[cv2.dilate(gone.view(np.uint8), np.ones((2 * step + 1,) * 2, np.uint8)) > 0] = True
        skin = _skin(lab) & rim & seen & (_apart(lab, np.median(page.lab.reshape(-1, 3), axis=0)) > _NOT_PAPER)
        found += [(mask, False) for mask in _grown(page, skin & ~seeds)]
    return found


def _grown(page: SheetPage, seeds: Mask) -> list[Mask]:
    """Each thing that begins where seeds are, as far as its colour goes, on the sheet."""
    import cv2

    room, (height, width) = page.room, page.ink.shape
    count, parts = cv2.connectedComponents(
        cv2.morphologyEx(seeds.view(np.uint8), cv2.MORPH_CLOSE, np.ones((5, 5), np.uint8))
    )
    bare = np.zeros(seeds.shape, bool)
    bare[room : room + height, room : room + width] = _apart(page.lab, np.array(page.paper)) < _NOT_PAPER
    made: list[Mask] = []
    for number in range(1, count):
        begun = (parts == number) & seeds
        own = page.around[begun]
        # Its hue, whatever shade it has: a finger is round.
        like = (_apart(page.around, np.median(own, axis=0), light=0.3) < _SAME_THING) & ~bare
        whole = cv2.morphologyEx(like.view(np.uint8), cv2.MORPH_OPEN, np.ones((5, 5), np.uint8))
        _, things = cv2.connectedComponents(whole)
        hit = np.unique(things[begun])
        near = _within(begun, _LONG * max(cv2.boundingRect(begun.view(np.uint8))[2:]))
        mask = (np.isin(things, hit[hit > 0]) & near)[room : room + height, room : room + width]
        if _LEAST * mask.size < np.count_nonzero(mask) < _LARGEST * mask.size:
            closed = cv2.morphologyEx(mask.view(np.uint8), cv2.MORPH_CLOSE, np.ones((9, 9), np.uint8))
            mask = np.asarray(closed > 0)
            if not any((mask & other).any() for other in made):
                made.append(mask)
    return made


def _within(mask: Mask, reach: float) -> Mask:
    import cv2

    return np.asarray(cv2.distanceTransform(1 - mask.view(np.uint8), cv2.DIST_L2, 3) < reach)


def _apart(lab: Page, other: NDArray[np.floating], light: float = 0.5) -> NDArray[np.float32]:
    """How far colours lie apart, lightness weighing less: what lies over an edge is shaded."""
    off = (lab - other).astype(np.float32) * np.array([light, 1, 1], np.float32)
    return np.asarray(np.linalg.norm(off, axis=-1), np.float32)


def _skin(lab: Page) -> Mask:
    chroma, hue = np.hypot(lab[..., 1], lab[..., 2]), np.degrees(np.arctan2(lab[..., 2], lab[..., 1]))
    light = lab[..., 0]
    return np.asarray(
        (light > _SKIN_L[0]) & (light < _SKIN_L[1]) & (chroma > _SKIN_C[0]) & (chroma < _SKIN_C[1])
        & (hue > _SKIN_H[0]) & (hue < _SKIN_H[1])
    )  # fmt: skip


def _is_skin(lab: Page) -> bool:
    return float(_skin(lab).mean()) > 0.6


def _rings(page: SheetPage, drawn: Mask) -> list[Mask]:
    """Pale brown circles, open or closed, thin against their size: the ring that a cup leaves."""
    import cv2

    longer = max(drawn.shape)
    _, parts, stats, _ = cv2.connectedComponentsWithStats(
        cv2.dilate(drawn.view(np.uint8), np.ones((3, 3), np.uint8)), connectivity=8
    )
    found = []
    for number in range(1, len(stats)):
        wide, tall = stats[number, cv2.CC_STAT_WIDTH], stats[number, cv2.CC_STAT_HEIGHT]
        if not 0.06 * longer < max(wide, tall) < 0.45 * longer or min(wide, tall) < 0.5 * max(wide, tall):
            continue
        y, x = np.nonzero(parts == number)
        # Kåsa's circle: least squares of x2 + y2 = 2ax + 2by + c.
        (a, b, c), *_ = np.linalg.lstsq(np.stack([2 * x, 2 * y, np.ones(len(x))], axis=1), x**2 + y**2, rcond=None)
        radius = float(np.sqrt(max(c + a * a + b * b, 1.0)))
        off = np.abs(np.hypot(x - a, y - b) / radius - 1)
        turn = np.histogram(np.arctan2(y - b, x - a), 36, (-np.pi, np.pi))[0]
        own = np.median(page.lab[y, x], axis=0) - np.asarray(page.paper)
        brown = own[2] > 2 and -32 < own[0] < 0
        if brown and np.percentile(off, 90) < _RING and np.mean(turn > 0) > _ROUND:
            found.append(parts == number)
    return found


def _writing(page: SheetPage, drawn: Mask) -> list[Foreign]:
    """Rows of small signs apart from what is drawn."""
    import cv2

    height, width = drawn.shape
    longer = max(height, width)
    reach = max(3, round(_APART * longer)) | 1
    near = cv2.dilate(drawn.view(np.uint8), np.ones((reach, reach), np.uint8))
    count, places = cv2.connectedComponents(near)
    if count < 3:
        return []
    ink = np.bincount(places[drawn], minlength=count).astype(float)
    boxes = [cv2.boundingRect((places == number).view(np.uint8)) for number in range(count)]
    size = np.array([wide * tall for _, _, wide, tall in boxes], float)
    ink[0] = size[0] = 0
    main = int(np.argmax(ink * size))
    left, top, wide, tall = boxes[main]
    found = []
    for number in range(1, count):
        mask = drawn & (places == number)
        if number == main or ink[number] > _MOST_WRITTEN * ink[main] or not _is_writing(mask, longer):
            continue
        x, y, across, down = boxes[number]
        beside = x + across <= left or x >= left + wide or y + down <= top or y >= top + tall
        found.append(Foreign("writing", _outline(page, mask, hull=True), beside, beside))
    return found


def _is_writing(mask: Mask, longer: int) -> bool:
    """Whether what is drawn is small signs of one height, in a row or several."""
    import cv2

    _, _, stats, middles = cv2.connectedComponentsWithStats(mask.view(np.uint8), connectivity=8)
    large = stats[1:, cv2.CC_STAT_AREA] >= 4
    tall, wide = stats[1:, cv2.CC_STAT_HEIGHT][large], stats[1:, cv2.CC_STAT_WIDTH][large]
    _, _, across, down = cv2.boundingRect(mask.view(np.uint8))
    if not len(tall) or tall.max() > _TALL * longer:
        return False
    # Joined-up hands make few signs of a word: its length counts then.
    signs = float(np.maximum(wide / np.maximum(1.2 * np.median(tall), 1), 1).sum())
    if signs < _SIGNS:
        return False
    strokes = np.count_nonzero(mask) / max(float((wide * tall).sum()), 1.0)
    rows = np.ptp(middles[1:, 1][large]) <= 0.7 * max(tall) if len(tall) > 1 else True
    return bool(strokes < 0.62 and (across > 2.2 * down or not rows or down > 1.5 * max(tall)))


def _outline(page: SheetPage, mask: Mask, *, hull: bool = False) -> Outline:
    """What is left out of the picture around a thing, as shares of it."""
    import cv2

    reach = 2 * max(2, round(_AROUND * max(mask.shape))) + 1
    grown = cv2.dilate(mask.view(np.uint8), cv2.getStructuringElement(cv2.MORPH_ELLIPSE, (reach, reach)))
    contours, _ = cv2.findContours(grown, cv2.RETR_EXTERNAL, cv2.CHAIN_APPROX_NONE)
    line = np.concatenate(contours) if hull else max(contours, key=cv2.contourArea)
    line = cv2.convexHull(line) if hull or len(contours) > 1 else cv2.approxPolyDP(line, 1.5, True)
    points = page.in_picture(line.reshape(-1, 2).astype(np.float64) + 0.5)
    return tuple((round(float(x), 5), round(float(y), 5)) for x, y in points)
