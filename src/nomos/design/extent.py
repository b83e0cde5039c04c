"""Finding what was drawn on a sheet: its frame, or how far the drawing goes."""

from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from nomos.design.bows import meeting, robust_line
from nomos.design.page import Mask
from nomos.design.sheet_page import SheetPage
from nomos.design.sides import Points

# A side is straight where the outermost ink of this share of it lies on one line.
_STRAIGHT = 0.5
_NEAR_PX = 2.5
# A drawing without a frame gets a little room around it.
_ROOM = 0.006
_LEAST_INK = 0.004


@dataclass(frozen=True, eq=False)
class Extent:
    """What was drawn: (4, 2) corners in shares of the picture, top left first; straight sides."""

    corners: Points
    straight: int


def find_extent(page: SheetPage, left_out: Mask | None = None) -> Extent:
    """The frame or extent of the drawing on a sheet.

    Parameters
    ----------
    page : the sheet straightened.
    left_out : (height, width) what lies on it and is not drawn.

    Returns
    -------
    Extent; the sheet itself where nothing is drawn on it, or the drawing fills it.
    """
    ink = page.ink if left_out is None else page.ink & ~left_out
    size = ink.shape[1], ink.shape[0]
    whole = page.in_picture(np.array([(0, 0), (size[0], 0), size, (0, size[1])], np.float64))
    if ink.mean() < _LEAST_INK:
        return Extent(whole, 0)
    lines, straight = [], 0
    for turn in range(4):  # top, right, bottom, left
        line, is_straight = _outermost(np.rot90(ink, turn), turn, ink.shape)
        lines.append(line)
        straight += is_straight
    corners = np.array([meeting(lines[n - 1], lines[n]) for n in range(4)])
    if not np.isfinite(corners).all():
        return Extent(whole, 0)
    return Extent(page.in_picture(np.clip(corners, 0, np.array(size))), straight)


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
