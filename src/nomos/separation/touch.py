"""Touching a block's mask by hand: brush, straight edge and lasso, to print there or no longer."""

from collections.abc import Sequence
from dataclasses import dataclass
from typing import Literal

import numpy as np

from nomos.separation.masks import Mask

Point = tuple[float, float]
Tool = Literal["brush", "line", "lasso"]

_SHIFT = 4  # OpenCV draws with this many binary places, so that a stroke does not jump by pixels


@dataclass(frozen=True)
class Touch:
    """One stroke: points in mm from the image's top left; width in mm for brush and line.

    tool : "brush" follows the points, "line" joins the first and the last straight, "lasso" fills them.
    prints : whether the block is to print there, or no longer.
    """

    tool: Tool
    points: tuple[Point, ...]
    width_mm: float = 1.0
    prints: bool = True


def touched(mask: Mask, touch: Touch, px_per_mm: float) -> Mask:
    """The mask after a stroke; what leaves the image is cut off.

    Parameters
    ----------
    mask : (height, width) uint8, 0 or 1.
    touch : its path and width in mm.

    Returns
    -------
    A new mask of the same shape.
    """
    import cv2

    page = mask.copy()
    if not touch.points:
        return page
    points = touch.points if touch.tool != "line" else (touch.points[0], touch.points[-1])
    pixels = _pixels(points, px_per_mm)
    value = int(touch.prints)
    if touch.tool == "lasso":
        if len(points) >= 3:
            cv2.fillPoly(page, [pixels], value, shift=_SHIFT)
        return page
    thick = max(1, round(touch.width_mm * px_per_mm))
    cv2.polylines(page, [pixels], isClosed=False, color=value, thickness=thick, shift=_SHIFT)
    for x, y in (points[0], points[-1]):
        centre = (round((x * px_per_mm - 0.5) * (1 << _SHIFT)), round((y * px_per_mm - 0.5) * (1 << _SHIFT)))
        cv2.circle(page, centre, (thick << _SHIFT) // 2, value, thickness=-1, shift=_SHIFT)
    return page


def _pixels(points: Sequence[Point], px_per_mm: float) -> np.ndarray:
    # The centre of the first pixel lies half a pixel from the edge.
    return np.rint((np.array(points) * px_per_mm - 0.5) * (1 << _SHIFT)).astype(np.int32).reshape(-1, 1, 2)
