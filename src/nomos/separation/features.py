"""What is too fine to cut or to hold: thin lines, narrow channels, specks and lonely islands."""

from dataclasses import dataclass
from typing import Literal

import numpy as np
from numpy.typing import NDArray

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


@dataclass(frozen=True)
class Feature:
    """One place on a block: x and y in mm from the image's top left, width in mm, area in mm²."""

    kind: FeatureKind
    place: tuple[float, float]
    width_mm: float
    area_mm2: float


def _inside(page: NDArray[np.uint8]) -> NDArray[np.float32]:
    """Distance to the nearest pixel outside, the page's surroundings not counting as outside."""
    import cv2

    if page.all():
        return np.full(page.shape, np.inf, np.float32)
    return np.asarray(cv2.distanceTransform(page, cv2.DIST_L2, cv2.DIST_MASK_5), np.float32)


def too_narrow(page: NDArray[np.uint8], least_px: float) -> list[tuple[int, int, float, int]]:
    """Places where a page of 0 and 1 is narrower than so many pixels: x, y, width and area in pixels.

    What a disc of that diameter, and a little more, cannot reach is looked at
    (an opening by distance transforms). Its width is four times the mean depth
    over a stretch of it, which is finer than a pixel where the edges run slanted:
    a strip of width w has the mean depth w/4. Along the pixels' own directions a
    width is known to half a pixel only.
    """
    import cv2

    depth = _inside(page)
    core = (depth > (least_px + _SLACK_PX) / 2).astype(np.uint8)
    reached = cv2.distanceTransform(1 - core, cv2.DIST_L2, cv2.DIST_MASK_5) if core.any() else None
    rest = page.copy()
    if reached is not None:
        rest[reached <= (least_px + _SLACK_PX) / 2 + 0.5] = 0
    if not rest.any():
        return []
    width = _local_width(rest, depth, least_px)
    # In doubt by less than the pixels can tell, it is told.
    rest[width >= _DOUBT * least_px] = 0
    count, parts, stats, _ = cv2.connectedComponentsWithStats(rest, connectivity=8)
    found = []
    for part in range(1, count):
        area = int(stats[part, cv2.CC_STAT_AREA])
        if area < _CORNER_AREA * (least_px / 2) ** 2:
            continue
        left, top, wide, tall = (int(value) for value in stats[part, :4])
        window = (slice(top, top + tall), slice(left, left + wide))
        mine = parts[window] == part
        own = np.where(mine, depth[window], 0)
        y, x = np.unravel_index(own.argmax(), own.shape)
        if 2 * own.max() - _RIDGE > _CLEARLY * least_px:
            # The end of a wider line: only towards it is the mean depth small.
            continue
        found.append((left + int(x), top + int(y), float(np.median(width[window][mine])), area))
    return found


def _local_width(rest: NDArray[np.uint8], depth: NDArray[np.float32], least_px: float) -> NDArray[np.float32]:
    """Width of thin parts where they are, over a stretch of a few widths."""
    import cv2

    reach = round(_STRETCH * least_px)
    rows, columns = np.nonzero(rest)
    top, bottom = np.maximum(rows - reach, 0), np.minimum(rows + reach + 1, rest.shape[0])
    left, right = np.maximum(columns - reach, 0), np.minimum(columns + reach + 1, rest.shape[1])
    inside = np.where(rest > 0, depth, np.float32(0)).astype(np.float32)

    def over_a_stretch(values: NDArray[np.float32]) -> NDArray[np.float64]:
        """Sums over the square around every pixel of the thin parts, of their own pixels."""
        total = cv2.integral(np.where(rest > 0, values, np.float32(0)), sdepth=cv2.CV_64F)
        return np.asarray(total[bottom, right] - total[top, right] - total[bottom, left] + total[top, left])

    pixels = over_a_stretch(np.ones_like(inside))
    width = np.full(rest.shape, np.inf, np.float32)
    width[rows, columns] = 4 * (over_a_stretch(inside) / pixels - _EDGE_PX)
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
    kinds: tuple[tuple[FeatureKind, NDArray[np.uint8], float], ...] = (
        ("thin line", np.ascontiguousarray(mask), line_mm), ("narrow channel", 1 - mask, tool_mm),
    )  # fmt: skip
    for kind, page, least_mm in kinds:
        for x, y, width, area in too_narrow(page, least_mm * px_per_mm):
            place = ((x + 0.5) / px_per_mm, (y + 0.5) / px_per_mm)
            found.append(Feature(kind, place, max(width, 1.0) / px_per_mm, area / px_per_mm**2))
    found += _small_areas(mask, px_per_mm, speck_mm2, lonely_mm)
    return tuple(sorted(found, key=lambda each: (each.kind, each.width_mm)))


def _small_areas(mask: Mask, px_per_mm: float, speck_mm2: float, lonely_mm: float) -> list[Feature]:
    import cv2

    count, parts, stats, centres = cv2.connectedComponentsWithStats(mask, connectivity=8)
    area_mm2 = stats[:, cv2.CC_STAT_AREA] / px_per_mm**2
    found = []
    reach = round(lonely_mm * px_per_mm)
    for part in range(1, count):
        place = (float(centres[part][0] + 0.5) / px_per_mm, float(centres[part][1] + 0.5) / px_per_mm)
        width = float(np.sqrt(area_mm2[part]))
        if area_mm2[part] < speck_mm2:
            found.append(Feature("speck", place, width, float(area_mm2[part])))
        elif area_mm2[part] < _ISLAND_TIMES * speck_mm2:
            left, top, wide, tall = (int(value) for value in stats[part, :4])
            window = (
                slice(max(top - reach, 0), top + tall + reach),
                slice(max(left - reach, 0), left + wide + reach),
            )  # fmt: skip
            others = (parts[window] != 0) & (parts[window] != part)
            if not others.any():
                found.append(Feature("island", place, width, float(area_mm2[part])))
    return found
