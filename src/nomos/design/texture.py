"""Smoothing the grain of a medium away without moving edges, and measuring how coarse it is."""

from concurrent.futures import ThreadPoolExecutor

import numpy as np

from nomos.base.language import tr
from nomos.base.progress import NULL_PROGRESS, Progress
from nomos.design.page import WEIGHTS, Mask, Page, Rgb, odd

# How far colours are gathered, and how unlike they may be; measured in benchmarks/.
_REACH_MM = 1.6
_RANGE = 16
_STRIP = 192
_OVERLAP = 32
# The window evidence is pooled over, mm.
POOL_MM = 0.7


def smoothed(rgb: Rgb, px_per_mm: float, *, progress: Progress = NULL_PROGRESS) -> Rgb:
    """A page without its grain: median, then mean shift (Comaniciu & Meer 2002).

    Strips overlap by more than the mean shift usually wanders; two are worked on at a time.

    Parameters
    ----------
    rgb : (height, width, 3) uint8 sRGB.
    px_per_mm : of the page.

    Returns
    -------
    (height, width, 3) uint8.
    """
    import cv2

    calm = cv2.medianBlur(rgb, 5)
    height = len(calm)

    def strip(top: int) -> tuple[int, Rgb]:
        first, last = max(top - _OVERLAP, 0), min(top + _STRIP + _OVERLAP, height)
        done = cv2.pyrMeanShiftFiltering(calm[first:last], _REACH_MM * px_per_mm, _RANGE, maxLevel=1)
        return top, np.asarray(done[top - first : top - first + _STRIP], np.uint8)

    out: Rgb = np.empty(rgb.shape, np.uint8)
    tops = range(0, height, _STRIP)
    with ThreadPoolExecutor(2) as pool:
        try:
            for count, (top, done) in enumerate(pool.map(strip, tops)):
                out[top : top + _STRIP] = done
                progress.report((count + 1) / len(tops), tr("smoothing the grain"))
        except BaseException:
            pool.shutdown(wait=False, cancel_futures=True)
            raise
    return out


def grain_of(lab: Page, inked: Mask, px_per_mm: float) -> float:
    """How much colour varies within the pooling window where there is colour, in weighted Lab units."""
    import cv2

    side = odd(POOL_MM * px_per_mm)
    weighted = lab * WEIGHTS
    middle = cv2.blur(weighted, (side, side))
    spread = np.maximum(cv2.blur(weighted * weighted, (side, side)) - middle * middle, 0).sum(axis=-1)
    return float(np.sqrt(np.median(spread[inked]))) if inked.any() else 0.0
