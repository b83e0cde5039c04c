"""What pulls out of register print on a sheet: laid anew only near the edges of their blocks."""

from collections.abc import Iterator, Sequence

import numpy as np
from numpy.typing import NDArray

from nomos.separation import Mask

Floats = NDArray[np.float64]
# Edges are looked for in squares of a cell, and laid anew in strips so many cells high, pixels.
_CELL, _STRIP = 8, 16
# Strips with a shorter gap between them are one.
_GAP_CELLS = 6


class MovedSheets:
    """Sheets on which every pull is moved a little, each laid from the sheet in register.

    Deeper inside a block than its pull moves, and further off, every sheet is as the one in register.
    """

    def __init__(self, masks: Sequence[Mask], changes: Floats, px_per_mm: float) -> None:
        """Masks of the pulls in print order, (sheets, pulls, 6) changes, mm from the image's top left."""
        self._changes, self._px_per_mm = changes, px_per_mm
        self._masks = [mask.astype(np.uint8) * np.uint8(255) for mask in masks]
        reach = _reach_mm(changes, masks[0].shape, px_per_mm) * px_per_mm + 2
        self._strips = [
            list(_strips(mask, float(far))) for mask, far in zip(self._masks, reach, strict=True)
        ]  # fmt: skip
        # Eight pulls a plane; the strips of each pull are empty, for every sheet fills them.
        self._still = [np.zeros(masks[0].shape, np.uint8) for _ in range(0, len(masks), 8)]
        for pull, (mask, strips) in enumerate(zip(self._masks, self._strips, strict=True)):
            own = mask & np.uint8(1 << pull % 8)
            for left, top, right, bottom in strips:
                own[top:bottom, left:right] = 0
            self._still[pull // 8] |= own

    def laid(self, sheet: int) -> NDArray[np.unsignedinteger]:
        """Which pulls print at each pixel of a sheet, a bit each."""
        import cv2

        planes = [plane.copy() for plane in self._still]
        for pull, (mask, strips) in enumerate(zip(self._masks, self._strips, strict=True)):
            matrix, plane = _matrix(self._changes[sheet, pull], self._px_per_mm), planes[pull // 8]
            for left, top, right, bottom in strips:
                shifted = matrix - [[0, 0, left], [0, 0, top]]
                moved = cv2.warpAffine(mask, shifted, (right - left, bottom - top), flags=cv2.INTER_LINEAR)
                _, bit = cv2.threshold(moved, 127, 1 << pull % 8, cv2.THRESH_BINARY)
                plane[top:bottom, left:right] |= np.asarray(bit, np.uint8)
        if len(planes) == 1:
            return planes[0]
        # Two or four planes side by side are one number a pixel.
        wide = 2 if len(planes) == 2 else 4
        planes += [np.zeros_like(planes[0])] * (wide - len(planes))
        kind: type[np.uint16 | np.uint32] = np.uint16 if wide == 2 else np.uint32
        return cv2.merge(planes).view(np.dtype(kind).newbyteorder("<"))[..., 0]


def _matrix(change: Floats, px_per_mm: float) -> Floats:
    """The change in pixels: their middles lie half a pixel in from the image's edge."""
    a, b, c, d, e, f = change
    half = 0.5 / px_per_mm
    return np.array([[1 + b, c, (a + (b + c) * half) * px_per_mm], [e, 1 + f, (d + (e + f) * half) * px_per_mm]])


def _reach_mm(changes: Floats, shape: tuple[int, int], px_per_mm: float) -> Floats:
    """How far each pull moves at most on any sheet, which is at a corner. (pulls,)"""
    height, width = (side / px_per_mm for side in shape)
    a, b, c, d, e, f = np.moveaxis(changes, -1, 0)
    far = [
        np.hypot(a + b * x + c * y, d + e * x + f * y).max(axis=0)
        for x in (0.0, width) for y in (0.0, height)
    ]  # fmt: skip
    return np.asarray(np.max(far, axis=0))


def _strips(mask: NDArray[np.uint8], reach_px: float) -> Iterator[tuple[int, int, int, int]]:
    """Where an edge of a mask, or the image's own, lies within reach: left, top, right, bottom, pixels."""
    import cv2

    height, width = mask.shape
    down, across = -(-height // _CELL), -(-width // _CELL)
    even = cv2.copyMakeBorder(
        mask, 0, down * _CELL - height, 0, across * _CELL - width, cv2.BORDER_CONSTANT, value=(0.0,)
    )
    cells = cv2.resize(even.astype(np.float32), (across, down), interpolation=cv2.INTER_AREA)
    cells = cv2.copyMakeBorder(cells, 1, 1, 1, 1, cv2.BORDER_CONSTANT, value=(0.0,))
    around = np.ones((3, 3), np.uint8)
    edge = (cv2.dilate(cells, around) != cv2.erode(cells, around)).astype(np.uint8)
    side = 2 * int(np.ceil(reach_px / _CELL)) + 1
    near = cv2.dilate(edge, np.ones((side, side), np.uint8))[1:-1, 1:-1] > 0
    for top in range(0, down, _STRIP):
        columns = np.flatnonzero(near[top : top + _STRIP].any(axis=0))
        for run in np.split(columns, np.flatnonzero(np.diff(columns) > _GAP_CELLS) + 1):
            if len(run):
                yield (
                    int(run[0]) * _CELL, top * _CELL,
                    min((int(run[-1]) + 1) * _CELL, width), min((top + _STRIP) * _CELL, height),
                )  # fmt: skip
