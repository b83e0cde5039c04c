"""Tints, shades and shadows of one colour from the direction of the light, as a help for a colour plan."""

import numpy as np
from numpy.typing import NDArray

from nomos.base.strips import looked_up
from nomos.design import Labels

# Lightness given to the side in the light and taken from the other (chosen by us, no source).
TINT_L, SHADE_L = 12.0, -14.0
# Fields no further apart than this share of the smaller one's size are sides of one object: a drawn line
# lies between them, not air (chosen by us, no source).
_ONE_OBJECT = 0.35


def lit_fields(labels: Labels, number: int, direction_deg: float) -> NDArray[np.int8]:
    """Which sides of a colour's objects lie in the light, and which away from it.

    Parameters
    ----------
    labels : (height, width) uint8 colour numbers.
    number : the colour.
    direction_deg : where the light comes from, 0 from the right, 90 from above.

    Returns
    -------
    (height, width) int8: 1 in the light, -1 away from it, 0 between and on all other colours.

    Notes
    -----
    Fields that lie close together are sides of one object. Within each object they
    are ranked by how far their centres lie towards the light, and parted into
    thirds of its area; an object of one field is itself parted into thirds.
    """
    import cv2

    own = (labels == number).astype(np.uint8)
    count, parts, stats, centres = cv2.connectedComponentsWithStats(own, connectivity=4)
    turn = np.radians(direction_deg)
    # y runs down on the page, the light's angle runs up.
    way = np.array([np.cos(turn), -np.sin(turn)])
    towards = centres @ way
    areas = stats[:, cv2.CC_STAT_AREA].astype(np.float64)
    steps, lit = np.zeros(count, np.int8), np.zeros(labels.shape, np.int8)
    for fields in _objects(parts, stats):
        if len(fields) > 1:
            steps[fields] = _thirds(towards[fields], areas[fields])
            continue
        y, x = np.nonzero(parts == fields[0])
        lit[y, x] = _thirds(np.stack([x, y], axis=1) @ way, np.ones(len(x)))
    return np.asarray(looked_up(steps, parts) + lit, np.int8)


def _thirds(towards: NDArray[np.float64], areas: NDArray[np.float64]) -> NDArray[np.int8]:
    """-1 for the third of the area furthest from the light, 1 for the nearest, 0 between."""
    order = np.argsort(towards, kind="stable")
    ranked = areas[order]
    middle = (np.cumsum(ranked) - ranked / 2) / ranked.sum()
    steps = np.zeros(len(order), np.int8)
    steps[order] = np.where(middle < 1 / 3, -1, np.where(middle > 2 / 3, 1, 0))
    return steps


def _objects(parts: NDArray[np.int32], stats: NDArray[np.int32]) -> list[NDArray[np.int64]]:
    """Fields that lie close together, by their numbers; 0 is what is no field."""
    import cv2

    count = len(stats)
    parent = np.arange(count)

    def root(field: int) -> int:
        while parent[field] != field:
            field = int(parent[field])
        return field

    reach = np.maximum(1, np.round(_ONE_OBJECT * np.sqrt(stats[:, cv2.CC_STAT_AREA]))).astype(int)
    for field in range(1, count):
        x, y, width, height = (int(value) for value in stats[field, :4])
        far = int(reach[field])
        top, left = max(0, y - far), max(0, x - far)
        window = parts[top : y + height + far, left : x + width + far]
        away = cv2.distanceTransform((window != field).astype(np.uint8), cv2.DIST_L2, cv2.DIST_MASK_5)
        for other in np.unique(window[away <= far]):
            # Only within the reach of the smaller of both.
            if other not in (0, field) and away[window == other].min() <= reach[other]:
                parent[root(int(other))] = root(field)
    roots = np.array([root(field) for field in range(count)])
    return [np.flatnonzero(roots == one) for one in np.unique(roots[1:])]


def shadow_side(labels: Labels, colours: list[int], direction_deg: float) -> NDArray[np.uint8]:
    """Where a shadow lies on some colours: the side of each object that is away from the light.

    Parameters
    ----------
    labels : (height, width) uint8 colour numbers.
    colours : the numbers of those colours.
    direction_deg : where the light comes from, 0 from the right, 90 from above.

    Returns
    -------
    (height, width) uint8, 1 in the shadow.
    """
    page = np.zeros(labels.shape, np.uint8)
    for number in colours:
        page |= (lit_fields(labels, number, direction_deg) < 0).astype(np.uint8)
    return page
