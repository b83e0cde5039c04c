"""A printed chart read from a picture: by its discs, its light evened by the paper between the patches."""

from collections.abc import Iterator
from dataclasses import dataclass
from itertools import combinations, pairwise

import numpy as np
from numpy.typing import NDArray

from nomos.base.language import tr
from nomos.base.units import number
from nomos.colour import Lab, delta_e00
from nomos.colour.cielab import srgb_decode, srgb_encode
from nomos.colour.spectra import Array
from nomos.project.inks.chart import MARK_MM, Chart, Patch
from nomos.project.model import ProjectError
from nomos.proof.evening import evened, smooth_light, unevenness
from nomos.proof.scanning import PatchReading, Picture, balanced, read_patch

Grey = NDArray[np.uint8]

# Discs are looked for at this size, among so many candidates, and centred at full size afterwards.
_LOOK_PX, _MOST_DISCS = 1400, 14
# A disc is darker than this share of the paper round it, which is as even as that.
_DARK, _EVEN = 0.55, 0.25
# Alike in size, as a leaning camera shows discs of one size; and as like as that to the chart.
_ALIKE, _LEAST_LIKENESS = 2.5, 0.6
_PX_PER_MM = 8.0
# Places of bare paper: this wide between patches, and so far outside them along the margin.
_BARE_MM, _OUTSIDE_MM, _STEP_MM = 1.2, 3.0, 9.0
# Light that is not explained by a smooth course over the chart leaves the paper uneven by more than this, ΔE00.
_EXPLAINED_DE00 = 2.0


@dataclass(frozen=True)
class ChartReading:
    """One patch as read, against what was predicted for it; and how sure the reading is, ΔE00 of nine in ten."""

    patch: Patch
    read: PatchReading
    de00: float
    sure_de00: float


def read_chart(
    chart: Chart, picture: Picture, paper: Lab, *, grey: tuple[Lab, tuple[int, int, int, int]] | None = None
) -> tuple[ChartReading, ...]:
    """The patches of a printed chart from a picture of it, evened and balanced to its bare paper.

    Parameters
    ----------
    picture : (height, width, 3) uint8, the whole chart with its four discs, any way up, from above or leaning.
    paper : the paper's own colour.
    grey : a grey card on a scan: its colour, and where it lies in pixels.

    Raises
    ------
    ProjectError : the discs are not found, or the light does not run smoothly over the chart.
    """
    import cv2

    to_picture = _to_picture(chart, picture)
    size = tuple(round(side * _PX_PER_MM) for side in chart.size_mm)
    flat: Picture = np.asarray(
        cv2.warpPerspective(
            picture, to_picture @ np.diag([1 / _PX_PER_MM, 1 / _PX_PER_MM, 1]), size,
            flags=cv2.INTER_LINEAR | cv2.WARP_INVERSE_MAP, borderMode=cv2.BORDER_REPLICATE,
        ),
        np.uint8,
    )  # fmt: skip
    values, places = _read_bare(chart, flat)
    light = smooth_light(values, places)
    down, across = (2 * (np.arange(side) + 0.5) / side - 1 for side in flat.shape[:2])
    even, bare = evened(flat, light, across, down)
    balance = balanced(bare, paper)
    if grey is not None:
        balance = balanced(bare, paper, _mean(picture, grey[1]), grey[0])
    sure = unevenness(values, light, places, balance, paper)
    if sure > _EXPLAINED_DE00:
        text = tr(
            "The paper between the patches comes out uneven by ΔE {sure}: a shadow or a lamp's edge lies over the "
            "chart; take it in even light, away from your own shadow.",
            sure=number(sure),
        )
        raise ProjectError("chart", text)
    found = []
    for patch in chart.patches:
        read = read_patch(even, _window(chart, patch), balance)
        found.append(ChartReading(patch, read, float(delta_e00(np.array(read.lab), np.array(patch.lab))), sure))
    return tuple(found)


def _mean(picture: Picture, window: tuple[int, int, int, int]) -> Array:
    left, top, right, bottom = window
    linear = srgb_decode(picture[top:bottom, left:right].reshape(-1, 3) / 255).mean(axis=0)
    return np.asarray(255 * srgb_encode(linear))


def _window(chart: Chart, patch: Patch) -> tuple[int, int, int, int]:
    """The middle half of a patch on the flat chart, in pixels."""
    inset, side = chart.patch_mm / 4, chart.patch_mm / 2
    left, top, width = (round(_PX_PER_MM * mm) for mm in (patch.left_mm + inset, patch.top_mm + inset, side))
    return left, top, left + width, top + width


def _bare_places(chart: Chart) -> Array:
    """Places of bare paper between and around the patches, mm. (n, 2)."""
    lefts = sorted({patch.left_mm for patch in chart.patches})
    tops = sorted({patch.top_mm for patch in chart.patches})
    side = chart.patch_mm

    def between(starts: list[float]) -> list[float]:
        return [(one + side + other) / 2 for one, other in pairwise(starts)]

    across, down = between(lefts), between(tops)
    found = [(x, y) for x in across for y in [*down, *(top + side / 2 for top in tops)]]
    found += [(left + side / 2, y) for left in lefts for y in down]
    for x in np.arange(lefts[0], lefts[-1] + side, _STEP_MM):
        found += [(float(x), tops[0] - _OUTSIDE_MM), (float(x), tops[-1] + side + _OUTSIDE_MM)]
    for y in np.arange(tops[0], tops[-1] + side, _STEP_MM):
        found += [(lefts[0] - _OUTSIDE_MM, float(y)), (lefts[-1] + side + _OUTSIDE_MM, float(y))]
    places = np.array(found)
    away = np.linalg.norm(places[:, None] - np.array(chart.marks), axis=2).min(axis=1)
    return places[away > MARK_MM]


def _read_bare(chart: Chart, flat: Picture) -> tuple[Array, Array]:
    """Linear values of the bare places, (n, 3), and the places as shares of the chart, -1 to 1. (n, 2)."""
    places = _bare_places(chart)
    half = max(1, round(_BARE_MM / 2 * _PX_PER_MM))
    values = []
    for x, y in np.rint(places * _PX_PER_MM).astype(int):
        patch = flat[max(y - half, 0) : y + half, max(x - half, 0) : x + half].reshape(-1, 3)
        values.append(np.median(srgb_decode(patch / 255), axis=0))
    return np.maximum(np.array(values), 1e-4), 2 * places / np.array(chart.size_mm) - 1


def _to_picture(chart: Chart, picture: Picture) -> Array:
    """The homography from mm on the chart to pixels of a picture, by its four discs. (3, 3)."""
    import cv2

    height, width = picture.shape[:2]
    small = min(1.0, _LOOK_PX / max(height, width))
    grey: Grey = np.asarray(cv2.cvtColor(picture, cv2.COLOR_RGB2GRAY), np.uint8)
    look: Grey = np.asarray(cv2.resize(grey, None, fx=small, fy=small, interpolation=cv2.INTER_AREA), np.uint8)
    known = np.array(chart.marks, np.float32)
    centres = np.array(
        [((patch.left_mm + chart.patch_mm / 2), patch.top_mm + chart.patch_mm / 2) for patch in chart.patches]
    )
    lightness = np.array([patch.lab[0] for patch in chart.patches])
    best, nearest = None, _LEAST_LIKENESS
    for four in _fours(_discs(look)):
        for turn in range(4):
            corners = np.roll(four, turn, axis=0).astype(np.float32)
            matrix = cv2.getPerspectiveTransform(known, corners)
            likeness = _likeness(look, np.asarray(matrix), centres, lightness)
            if likeness > nearest:
                best, nearest = corners, likeness
    if best is None:
        raise ProjectError(
            "chart", tr("The chart's four black discs are not found; take all of it, flat and in focus.")
        )
    exact = np.array([_centred(grey, corner / small, chart, best / small) for corner in best])
    return np.asarray(cv2.getPerspectiveTransform(known, exact.astype(np.float32)))


def _discs(grey: Grey) -> Array:
    """Round dark spots: x, y and area in pixels, the likeliest first. (n, 3)."""
    import cv2

    block = max(31, (max(grey.shape) // 12) | 1)
    dark = cv2.adaptiveThreshold(
        cv2.GaussianBlur(grey, (0, 0), 1.0), 255, cv2.ADAPTIVE_THRESH_MEAN_C, cv2.THRESH_BINARY_INV, block, 20
    )
    count, _, stats, centres = cv2.connectedComponentsWithStats(dark, connectivity=4)
    found = []
    for part in range(1, count):
        left, top, wide, high, area = (int(each) for each in stats[part])
        # An ellipse fills this share of the box around it.
        fills = area / (wide * high * np.pi / 4)
        if area < 12 or not 0.45 < wide / high < 2.2 or not 0.75 < fills < 1.2:
            continue
        around = (max(wide, high) + 1) // 2 + 1
        ring = grey[max(top - around, 0) : top + high + around, max(left - around, 0) : left + wide + around]
        inside = float(np.median(grey[top : top + high, left : left + wide]))
        # Paper all round it: much lighter, and even.
        paper, uneven = float(np.quantile(ring, 0.75)), float(np.ptp(np.quantile(ring, (0.6, 0.95))))
        if inside < _DARK * paper and uneven < _EVEN * paper:
            found.append((inside / paper, *centres[part] + 0.5, area))
    return np.array(sorted(found)[:_MOST_DISCS])[:, 1:] if found else np.empty((0, 3))


def _fours(discs: Array) -> Iterator[Array]:
    """Four of them alike in size, at the corners of a convex figure, in turn. (4, 2) each."""
    for four in combinations(discs, 4):
        each = np.array(four)
        if each[:, 2].max() > _ALIKE * each[:, 2].min():
            continue
        middle = each[:, :2].mean(axis=0)
        around = each[np.argsort(np.arctan2(*(each[:, :2] - middle).T[::-1]))][:, :2]
        sides = np.roll(around, -1, axis=0) - around
        following = np.roll(sides, -1, axis=0)
        turns = sides[:, 0] * following[:, 1] - sides[:, 1] * following[:, 0]
        if (turns > 0).all() and np.linalg.norm(sides, axis=1).min() > 2 * np.sqrt(each[:, 2].mean()):
            yield around


def _likeness(grey: Grey, matrix: Array, centres: Array, lightness: Array) -> float:
    """How a picture's light at the patches goes with what the chart should show there, -1 to 1."""
    import cv2

    places = cv2.perspectiveTransform(centres[None].astype(np.float64), matrix.astype(np.float64))[0]
    columns, rows = np.rint(places - 0.5).astype(int).T
    height, width = grey.shape
    if (columns < 0).any() or (rows < 0).any() or (columns >= width).any() or (rows >= height).any():
        return -1.0
    seen = grey[rows, columns].astype(np.float64)
    if seen.std() < 1 or lightness.std() < 0.1:
        return -1.0
    return float(np.corrcoef(seen, lightness)[0, 1])


def _centred(grey: Grey, corner: Array, chart: Chart, corners: Array) -> Array:
    """A disc's centre at full size: the centroid of what is dark about it."""
    scale = np.linalg.norm(corners[1] - corners[0]) / np.hypot(*np.subtract(chart.marks[1], chart.marks[0]))
    reach = max(4, round(float(scale) * MARK_MM))
    left, top = (max(0, round(float(at)) - reach) for at in corner)
    part = grey[top : top + 2 * reach + 1, left : left + 2 * reach + 1].astype(np.float64)
    dark = np.clip((np.quantile(part, 0.8) - part) / max(float(np.ptp(part)), 1.0) - 0.3, 0, None)
    rows, columns = np.mgrid[: part.shape[0], : part.shape[1]]
    weight = max(float(dark.sum()), 1e-9)
    return np.array([left + 0.5 + (columns * dark).sum() / weight, top + 0.5 + (rows * dark).sum() / weight])
