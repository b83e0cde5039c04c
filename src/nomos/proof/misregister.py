"""A block that does not meet the sheet where it should."""

from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from nomos.separation import Mask


@dataclass(frozen=True)
class Misregister:
    """How far a block's print lies from its place: mm right and down, degrees from x towards y.

    The turn is about the centre of the image.
    """

    dx_mm: float = 0.0
    dy_mm: float = 0.0
    rotation_deg: float = 0.0

    def __bool__(self) -> bool:
        return bool(self.dx_mm or self.dy_mm or self.rotation_deg)


def padded(mask: Mask, pad_px: int) -> Mask:
    """The mask with an empty margin, so that a shifted block is seen beyond the image.

    Parameters
    ----------
    mask : (height, width) uint8, 0 or 1.

    Returns
    -------
    (height + 2 pad, width + 2 pad) uint8.
    """
    return np.pad(mask, pad_px)


def displaced(mask: Mask, by: Misregister, px_per_mm: float) -> Mask:
    """The mask moved by a misregister; what leaves the page is lost.

    Parameters
    ----------
    mask : (height, width) uint8, 0 or 1.
    by : mm and degrees as seen on the print.

    Returns
    -------
    The same shape, 0 or 1.
    """
    import cv2

    if not by:
        return mask
    height, width = mask.shape
    matrix = _matrix(mask.shape, by, px_per_mm)
    moved = cv2.warpAffine(mask * np.uint8(255), matrix, (width, height), flags=cv2.INTER_LINEAR)
    return (moved > 127).astype(np.uint8)


def displaced_numbers(page: NDArray[np.uint8], by: Misregister, px_per_mm: float) -> NDArray[np.uint8]:
    """A page of numbers moved by a misregister, none of them mixed; its edges go on outwards.

    Parameters
    ----------
    page : (height, width) uint8.
    by : mm and degrees as seen on the print.

    Returns
    -------
    The same shape.
    """
    import cv2

    if not by:
        return page
    height, width = page.shape
    moved = cv2.warpAffine(
        page, _matrix(page.shape, by, px_per_mm), (width, height),
        flags=cv2.INTER_NEAREST, borderMode=cv2.BORDER_REPLICATE,
    )  # fmt: skip
    return np.asarray(moved, np.uint8)


def _matrix(shape: tuple[int, ...], by: Misregister, px_per_mm: float) -> NDArray[np.float64]:
    import cv2

    height, width = shape
    # OpenCV counts angles from y towards x on a page whose y runs down.
    centre = (width - 1) / 2, (height - 1) / 2
    matrix = np.asarray(cv2.getRotationMatrix2D(centre, -by.rotation_deg, 1.0), np.float64)
    matrix[:, 2] += np.array([by.dx_mm, by.dy_mm]) * px_per_mm
    return matrix
