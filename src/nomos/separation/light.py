"""Tints and shades of one colour from the direction of the light, as a help for a colour plan."""

import numpy as np
from numpy.typing import NDArray

from nomos.design import Labels

# Lightness given to the side in the light and taken from the other (chosen by us, no source).
TINT_L, SHADE_L = 12.0, -14.0


def lit_fields(labels: Labels, number: int, direction_deg: float) -> NDArray[np.int8]:
    """Which fields of a colour lie in the light, and which away from it.

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
    The colour's connected fields are ranked by how far their centres lie towards
    the light, and parted into thirds of its area. One field alone stays as it is.
    """
    import cv2

    own = (labels == number).astype(np.uint8)
    count, parts, stats, centres = cv2.connectedComponentsWithStats(own, connectivity=4)
    steps = np.zeros(count, np.int8)
    if count > 2:
        turn = np.radians(direction_deg)
        # y runs down on the page, the light's angle runs up.
        towards = centres[1:, 0] * np.cos(turn) - centres[1:, 1] * np.sin(turn)
        order = np.argsort(towards, kind="stable")
        area = stats[1:, cv2.CC_STAT_AREA][order].astype(np.float64)
        middle = (np.cumsum(area) - area / 2) / area.sum()
        ranked = np.where(middle < 1 / 3, -1, np.where(middle > 2 / 3, 1, 0))
        steps[1:][order] = ranked
    return np.asarray(np.take(steps, parts), np.int8)
