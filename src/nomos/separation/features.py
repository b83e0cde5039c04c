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

    An opening by distance transforms: what a disc of that diameter cannot reach.
    """
    import cv2

    radius = least_px / 2
    depth = _inside(page)
    core = (depth > radius).astype(np.uint8)
    reached = cv2.distanceTransform(1 - core, cv2.DIST_L2, cv2.DIST_MASK_5) if core.any() else None
    rest = page.copy()
    if reached is not None:
        rest[reached <= radius + 0.5] = 0
    count, parts, stats, _ = cv2.connectedComponentsWithStats(rest, connectivity=8)
    found = []
    for part in range(1, count):
        area = int(stats[part, cv2.CC_STAT_AREA])
        if area < _CORNER_AREA * radius**2:
            continue
        left, top, wide, tall = (int(value) for value in stats[part, :4])
        window = (slice(top, top + tall), slice(left, left + wide))
        own = np.where(parts[window] == part, depth[window], 0)
        y, x = np.unravel_index(own.argmax(), own.shape)
        found.append((left + int(x), top + int(y), float(2 * own.max() - 1), area))
    return found


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
