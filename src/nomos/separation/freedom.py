"""Where a block may print or not without anything being seen, and a simpler outline that uses it."""

from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from nomos.separation.masks import Mask
from nomos.separation.outline import outline_mm

Freedom = NDArray[np.uint8]


def shrunk(free: Freedom, by_px: float) -> Freedom:
    """The free places that stay free when any block moves.

    Parameters
    ----------
    by_px : how far, pixels of the page.

    Returns
    -------
    The same shapes.
    """
    import cv2

    if by_px <= 0 or not free.any():
        return free
    if free.all():
        return free
    away = cv2.distanceTransform(free, cv2.DIST_L2, cv2.DIST_MASK_5)
    return np.asarray((away > by_px).view(np.uint8))


@dataclass(frozen=True, eq=False)
class Simpler:
    """A block's simpler mask, and what it saves: outline in mm, and by how much more or less prints, mm²."""

    mask: Mask
    outline_before_mm: float
    outline_after_mm: float
    area_change_mm2: float


def simplify(mask: Mask, free: Freedom, px_per_mm: float, *, rounds: int = 3, smooth_mm: float = 2.0) -> Simpler:
    """A mask with a shorter outline that differs from the block's only where that is free.

    Parameters
    ----------
    mask : (height, width) uint8, what the block prints now.
    free : (height, width) uint8, 1 where printing or not changes nothing.
    px_per_mm : resolution.
    rounds, smooth_mm : how often and how far the outline is smoothed.

    Notes
    -----
    The block must print on `mask & ~free` and may print on `mask | free`. From
    the larger of the two, which gives the roller the most to bear on, the
    outline is smoothed by a blur and held between both, time after time; the
    best of what was met and the block itself is kept.
    """
    import cv2

    least, most = mask & (1 - free), mask | free
    before = outline_mm(mask, px_per_mm)
    best, shortest = mask, before
    for start in (most, least):
        page = start
        for _ in range(rounds):
            length = outline_mm(page, px_per_mm)
            if length < shortest:
                best, shortest = page, length
            soft = cv2.GaussianBlur(page.astype(np.float32), (0, 0), smooth_mm * px_per_mm / 2)
            page = np.clip((soft >= 0.5).view(np.uint8), least, most)
        length = outline_mm(page, px_per_mm)
        if length < shortest:
            best, shortest = page, length
    change = (int(best.sum()) - int(mask.sum())) / px_per_mm**2
    return Simpler(np.asarray(best, np.uint8), before, shortest, float(change))
