"""What is too fine to cut or to hold: thin lines, narrow channels, specks and lonely islands."""

from dataclasses import dataclass
from itertools import pairwise
from typing import Any, Literal

import numpy as np
from numpy.typing import NDArray

from nomos.design.regions import find_regions
from nomos.separation.masks import Mask

FeatureKind = Literal["thin line", "narrow channel", "speck", "island"]

# What an opening takes off a convex corner is no thin line: a right angle loses 0.21 r^2, and
# anything up to this many r^2 is left out.
_CORNER_AREA = 6.0
_ISLAND_TIMES = 4.0
# Looked at are parts up to so much wider than the limit; their width is measured over so many widths.
_SLACK_PX, _STRETCH = 1.5, 1.5
# Twice the depth of the ridge is the width, and this more, by how the pixels lie.
_RIDGE, _CLEARLY, _DOUBT = 0.75, 1.05, 1.02
# How far the centres of the pixels outside lie from the edge on average, measured on drawn lines: 0.42 where
# it runs slanted, 0.55 along the pixels.
_EDGE_PX = 0.45
# A page is looked at in squares of this side, and only in those where something may be thin: a large page
# takes no more memory than a small one.
_TILE_PX = 128


@dataclass(frozen=True)
class Feature:
    """One place on a block: x and y in mm from the image's top left, width in mm, area in mm²."""

    kind: FeatureKind
    place: tuple[float, float]
    width_mm: float
    area_mm2: float


@dataclass(frozen=True, eq=False)
class _Thin:
    """The pixels of a page's thin parts: where they are, how deep inside, how wide the part is there."""

    rows: NDArray[np.int64]
    columns: NDArray[np.int64]
    depth: NDArray[np.float32]
    width: NDArray[np.float32]


_NONE = _Thin(np.zeros(0, np.int64), np.zeros(0, np.int64), np.zeros(0, np.float32), np.zeros(0, np.float32))


def too_narrow(page: NDArray[np.uint8], least_px: float) -> list[tuple[int, int, float, int]]:
    """Places where a page of 0 and 1 is narrower than so many pixels: x, y, width and area in pixels.

    What a disc of that diameter, and a little more, cannot reach is looked at
    (an opening by distance transforms). Its width is four times the mean depth
    over a stretch of it, which is finer than a pixel where the edges run slanted:
    a strip of width w has the mean depth w/4. Along the pixels' own directions a
    width is known to half a pixel only.

    Parameters
    ----------
    page : (height, width) uint8, 0 and 1.
    least_px : width that is wide enough.

    Returns
    -------
    Places: x, y, width and area in pixels.
    """
    thin = _thin_pixels(page, least_px)
    if not len(thin.rows):
        return []
    rest = np.zeros(page.shape, np.uint8)
    rest[thin.rows, thin.columns] = 1
    parts = find_regions(rest, only=1, slanted=True)
    part_of = parts.region_at(thin.rows * page.shape[1] + thin.columns)
    order = np.argsort(part_of, kind="stable")
    starts = np.searchsorted(part_of[order], np.arange(len(parts.area_px) + 1))
    found = []
    for first, end in pairwise(starts):
        area = int(end - first)
        if area < _CORNER_AREA * (least_px / 2) ** 2:
            continue
        mine = order[first:end]
        deepest = mine[thin.depth[mine].argmax()]
        if 2 * thin.depth[deepest] - _RIDGE > _CLEARLY * least_px:
            # The end of a wider line: only towards it is the mean depth small.
            continue
        place = int(thin.columns[deepest]), int(thin.rows[deepest])
        found.append((*place, float(np.median(thin.width[mine])), area))
    return found


def _thin_pixels(page: NDArray[np.uint8], least_px: float) -> _Thin:
    """The pixels that belong to parts thinner than so many pixels, tile by tile.

    Nothing here depends on what lies further away than a few such widths, so a
    tile with that much around it gives what the whole page would give.
    """
    # Width is measured over `_STRETCH` widths around; what is thin there, from half a width of depth and half
    # a width of reach.
    around = int(np.ceil((1 + _STRETCH) * least_px)) + 6
    found = [_NONE]
    for top, left, right in _runs_with_thin_parts(page, least_px):
        above, before = max(top - around, 0), max(left - around, 0)
        thin = _thin_in(page[above : top + _TILE_PX + around, before : right + around], least_px)
        rows, columns = thin.rows + above, thin.columns + before
        own = (top <= rows) & (rows < top + _TILE_PX) & (left <= columns) & (columns < right)
        found.append(_Thin(rows[own], columns[own], thin.depth[own], thin.width[own]))
    return _Thin(
        np.concatenate([run.rows for run in found]),
        np.concatenate([run.columns for run in found]),
        np.concatenate([run.depth for run in found]),
        np.concatenate([run.width for run in found]),
    )


def _runs_with_thin_parts(page: NDArray[np.uint8], least_px: float) -> list[tuple[int, int, int]]:
    """Top, left and right of the runs of tiles where a disc may fail to reach.

    A square that holds the disc reaches no further than the disc does (an opening
    is the smaller, the larger its element), and is many times faster.
    """
    import cv2

    side = int(np.ceil(least_px + _SLACK_PX)) + 2
    opened = np.asarray(cv2.morphologyEx(page, cv2.MORPH_OPEN, np.ones((side, side), np.uint8)), np.uint8)
    unreached = np.not_equal(opened, page, out=opened.view(bool))
    found = []
    for top in range(0, len(page), _TILE_PX):
        columns = np.flatnonzero(unreached[top : top + _TILE_PX].any(axis=0))
        tiles = np.unique(columns // _TILE_PX)
        runs = np.split(tiles, np.flatnonzero(np.diff(tiles) > 1) + 1)
        found += [(top, int(run[0]) * _TILE_PX, (int(run[-1]) + 1) * _TILE_PX) for run in runs if len(run)]
    return found


def _thin_in(page: NDArray[np.uint8], least_px: float) -> _Thin:
    import cv2

    limit = (least_px + _SLACK_PX) / 2
    # What surrounds the page is not outside: where nothing is, everything is deep.
    inside = np.ascontiguousarray(page)
    if inside.all() or not inside.any():
        return _NONE
    depth = np.asarray(cv2.distanceTransform(inside, cv2.DIST_L2, cv2.DIST_MASK_5), np.float32)
    core = (depth > limit).view(np.uint8)
    rest = inside
    if core.any():
        reached = cv2.distanceTransform(1 - core, cv2.DIST_L2, cv2.DIST_MASK_5)
        rest = inside & (reached > limit + 0.5).view(np.uint8)
    rows, columns = np.nonzero(rest.view(bool))
    if not len(rows):
        return _NONE
    width = _local_width(rest, depth, least_px, (rows, columns))
    # In doubt by less than the pixels can tell, it is told.
    thin = width < _DOUBT * least_px
    rows, columns = rows[thin], columns[thin]
    return _Thin(rows, columns, depth[rows, columns], width[thin])


def _local_width(
    rest: NDArray[np.uint8], depth: NDArray[np.float32], least_px: float,
    at: tuple[NDArray[np.int64], NDArray[np.int64]],
) -> NDArray[np.float32]:  # fmt: skip
    """Width of thin parts at some of their pixels, over a stretch of a few widths."""
    import cv2

    side = 2 * round(_STRETCH * least_px) + 1

    def over_a_stretch(values: NDArray[Any]) -> NDArray[np.float32]:
        """Sums over the square around each of the pixels."""
        sums = cv2.boxFilter(values, cv2.CV_32F, (side, side), normalize=False, borderType=cv2.BORDER_CONSTANT)
        return np.asarray(sums, np.float32)[at]

    depths, pixels = over_a_stretch(depth * rest), over_a_stretch(rest)
    width: NDArray[np.float32] = 4 * (depths / pixels - np.float32(_EDGE_PX))
    return width


def find_features(
    mask: Mask, px_per_mm: float, *, line_mm: float, tool_mm: float, speck_mm2: float, lonely_mm: float
) -> tuple[Feature, ...]:
    """Everything on one block that is too fine.

    Parameters
    ----------
    mask : (height, width) uint8, 1 where it prints.
    px_per_mm : resolution.
    line_mm : thinnest line that holds. tool_mm : width of the finest tool.
    speck_mm2 : a printing area smaller than this breaks off.
    lonely_mm : an area up to four times that, with nothing printing so far around it, is an island.

    Returns
    -------
    Features, narrowest first within each kind.
    """
    found = []
    kinds: tuple[tuple[FeatureKind, int, float], ...] = (
        ("thin line", 1, line_mm), ("narrow channel", 0, tool_mm),
    )  # fmt: skip
    for kind, of, least_mm in kinds:
        page = np.ascontiguousarray(mask) if of == 1 else 1 - mask
        for x, y, width, area in too_narrow(page, least_mm * px_per_mm):
            place = ((x + 0.5) / px_per_mm, (y + 0.5) / px_per_mm)
            found.append(Feature(kind, place, max(width, 1.0) / px_per_mm, area / px_per_mm**2))
    found += _small_areas(mask, px_per_mm, speck_mm2, lonely_mm)
    return tuple(sorted(found, key=lambda each: (each.kind, each.width_mm)))


def _small_areas(mask: Mask, px_per_mm: float, speck_mm2: float, lonely_mm: float) -> list[Feature]:
    parts = find_regions(mask, only=1, slanted=True)
    area_mm2 = parts.area_px / px_per_mm**2
    found = []
    reach = round(lonely_mm * px_per_mm)
    for part in np.flatnonzero(area_mm2 < _ISLAND_TIMES * speck_mm2):
        area = float(area_mm2[part])
        x, y = parts.centre(int(part))
        place = ((x + 0.5) / px_per_mm, (y + 0.5) / px_per_mm)
        if area < speck_mm2:
            found.append(Feature("speck", place, float(np.sqrt(area)), area))
        # Nothing around it prints but itself.
        elif np.count_nonzero(mask[parts.window(int(part), reach)]) == parts.area_px[part]:
            found.append(Feature("island", place, float(np.sqrt(area)), area))
    return found
