"""Finding what was drawn on a sheet: its frame, or how far the drawing goes."""

from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from nomos.design.bows import meeting, robust_line
from nomos.design.light import measure_light
from nomos.design.page import Mask, Rgb, lab_page
from nomos.design.sides import Points

# The sheet is looked at in this many pixels along its longer side.
_SIDE = 1100
# Ink is what differs from the paper by this much in Lab, over a few pixels.
_INK = 9.0
# The rim of the sheet is left out: its edge is never cut exactly. Shares of the longer side.
_RIM = 0.012
# A side is straight where the outermost ink of this share of it lies on one line.
_STRAIGHT = 0.5
_NEAR_PX = 2.5
# A drawing without a frame gets a little room around it.
_ROOM = 0.006
_LEAST_INK = 0.004


@dataclass(frozen=True, eq=False)
class Extent:
    """What was drawn: (4, 2) corners in pixels of the picture, top left first; straight sides."""

    corners: Points
    straight: int


def warp_matrix(corners: Points, size: tuple[float, float]) -> NDArray[np.float64]:
    """The perspective that takes corners in a picture to a page of a width and height.

    Parameters
    ----------
    corners : shares of width and height.
    size : width and height of the page, pixels.

    Returns
    -------
    (3, 3) homography.
    """
    import cv2

    width, height = size
    page = np.array([(0, 0), (width, 0), (width, height), (0, height)], np.float32)
    return np.asarray(cv2.getPerspectiveTransform(corners.astype(np.float32), page), np.float64)


def moved(points: Points, matrix: NDArray[np.floating]) -> Points:
    """Points through a perspective. (n, 2).

    Parameters
    ----------
    points : (n, 2).
    matrix : (3, 3) homography.

    Returns
    -------
    (n, 2).
    """
    full = np.hstack([points, np.ones((len(points), 1))]) @ matrix.T
    return np.asarray(full[:, :2] / full[:, 2:])


def find_extent(rgb: Rgb, sheet: Points) -> Extent:
    """The frame or extent of the drawing on a sheet.

    Parameters
    ----------
    rgb : the photograph. sheet : (4, 2) its sheet's corners.

    Returns
    -------
    Extent; the sheet itself where nothing is drawn on it, or the drawing fills it.
    """
    import cv2

    across = float(np.mean([np.hypot(*(sheet[1] - sheet[0])), np.hypot(*(sheet[2] - sheet[3]))]))
    down = float(np.mean([np.hypot(*(sheet[3] - sheet[0])), np.hypot(*(sheet[2] - sheet[1]))]))
    scale = _SIDE / max(across, down)
    size = max(32, round(across * scale)), max(32, round(down * scale))
    matrix = warp_matrix(sheet, size)
    # Pixel centres lie half a pixel in from the corners of the page.
    half = np.array([[1, 0, -0.5], [0, 1, -0.5], [0, 0, 1]])
    page = cv2.warpPerspective(
        rgb, half @ matrix @ np.linalg.inv(half), size, flags=cv2.INTER_AREA, borderMode=cv2.BORDER_REPLICATE
    )
    ink = _ink(np.asarray(page, np.uint8))
    if ink.mean() < _LEAST_INK:
        return Extent(sheet, 0)
    lines, straight = [], 0
    for turn in range(4):  # top, right, bottom, left
        line, is_straight = _outermost(np.rot90(ink, turn), turn, ink.shape)
        lines.append(line)
        straight += is_straight
    corners = np.array([meeting(lines[n - 1], lines[n]) for n in range(4)])
    if not np.isfinite(corners).all():
        return Extent(sheet, 0)
    corners = np.clip(corners, 0, np.array(size))
    return Extent(moved(corners, np.linalg.inv(matrix)), straight)


def _ink(page: Rgb) -> Mask:
    """Where a sheet is drawn on: far from its paper, and no speck."""
    import cv2

    # The rim of a whole sheet is paper, whatever its colour.
    light = measure_light(page, margin=True)
    even = light.applied(page)
    lab = cv2.GaussianBlur(lab_page(even), (0, 0), 0.8)
    height, width = lab.shape[:2]
    rim = max(2, round(_RIM * max(height, width)))
    if light.paper is not None:
        paper = np.array(light.paper, np.float32)
    else:
        edge = np.concatenate([lab[rim], lab[-rim - 1], lab[:, rim], lab[:, -rim - 1]])
        paper = np.median(edge, axis=0)
    ink = np.linalg.norm(lab - paper, axis=-1) > _INK
    ink[:rim], ink[-rim:], ink[:, :rim], ink[:, -rim:] = False, False, False, False
    small = cv2.morphologyEx(ink.view(np.uint8), cv2.MORPH_CLOSE, np.ones((5, 5), np.uint8))
    _, labels, stats, _ = cv2.connectedComponentsWithStats(small, connectivity=8)
    reach = np.maximum(stats[:, cv2.CC_STAT_WIDTH], stats[:, cv2.CC_STAT_HEIGHT])
    keep = (stats[:, cv2.CC_STAT_AREA] > 25) & (reach > 0.008 * max(height, width))
    keep[0] = False
    return np.asarray(ink & keep[labels])


Side = tuple[NDArray[np.float64], NDArray[np.float64]]


def _outermost(ink: Mask, turn: int, shape: tuple[int, int]) -> tuple[Side, int]:
    """The upper side of what is drawn on a page turned so often, on the page unturned."""
    columns = np.flatnonzero(ink.any(axis=0))
    first = ink[:, columns].argmax(axis=0).astype(np.float64)
    span = columns[-1] - columns[0] + 1
    # The outermost ink, but for the odd speck.
    edge = float(np.percentile(first, 1.0))
    near = first < edge + 0.03 * max(shape)
    start, way = np.array([0.0, edge - _ROOM * max(shape)]), np.array([1.0, 0.0])
    straight = 0
    if np.count_nonzero(near) > 0.3 * span:
        points = np.stack([columns[near] + 0.5, first[near]], axis=-1)
        (at, direction), _ = robust_line(points, way, 1.0)
        off = (points - at) @ np.array([-direction[1], direction[0]])
        if np.count_nonzero(np.abs(off) < _NEAR_PX) > _STRAIGHT * span:
            start, way, straight = at, direction, 1
    return (
        _unturned(start, turn, shape),
        _unturned(start + way, turn, shape) - _unturned(start, turn, shape),
    ), straight


def _unturned(point: NDArray[np.float64], turn: int, shape: tuple[int, int]) -> NDArray[np.float64]:
    """Where a point of a page turned a quarter so often (anticlockwise) lies on the page itself."""
    height, width = shape
    x, y = point
    return np.array([(x, y), (width - y, x), (width - x, height - y), (y, height - x)][turn])
