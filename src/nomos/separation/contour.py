"""A key made of contours: a line along the borders between colours, heavier where they matter more."""

from collections.abc import Sequence
from math import erf, sqrt

import numpy as np
from numpy.typing import NDArray

from nomos.design import Labels

# Pairs of colour numbers with the width of the line between them, in pixels.
Lines = Sequence[tuple[int, int, float]]

_SMOOTHING = 0.35


def contour_mask(labels: Labels, lines: Lines) -> NDArray[np.uint8]:
    """The mask of contour lines.

    Parameters
    ----------
    labels : (height, width) uint8 colour numbers.
    lines : (one colour, other colour, width in pixels) for each pair that gets a line.

    Returns
    -------
    (height, width) uint8, 0 or 1; lines lie half on either side of the border,
    with corners rounded by about a third of their width.
    """
    import cv2

    height, width = labels.shape
    wide = np.zeros((256, 256), np.float32)
    for one, other, width_px in lines:
        wide[one, other] = wide[other, one] = width_px
    mask = np.zeros((height, width), np.uint8)
    for width_px in np.unique(wide[wide > 0]):
        level = wide == width_px
        border = np.zeros((height, width), np.uint8)
        across = level[labels[:, 1:], labels[:, :-1]].view(np.uint8)
        down = level[labels[1:], labels[:-1]].view(np.uint8)
        border[:, 1:] |= across
        border[:, :-1] |= across
        border[1:] |= down
        border[:-1] |= down
        # A border pixel lies half a pixel from the border itself.
        away = cv2.distanceTransform(1 - border, cv2.DIST_L2, cv2.DIST_MASK_5)
        band = (away <= max(width_px / 2 - 0.5, 0)).astype(np.float32)
        soft = cv2.GaussianBlur(band, (0, 0), max(width_px * _SMOOTHING, 0.5))
        # A straight line keeps its width where the blurred band is cut at the height it has there.
        edge = float(_half_height(width_px, max(width_px * _SMOOTHING, 0.5)))
        mask |= (soft >= edge).view(np.uint8)
    return mask


def kerf_mask(labels: Labels, kerf_px: float) -> NDArray[np.uint8]:
    """What the saw takes: a line of its width along every border between two colours.

    Parameters
    ----------
    labels : (height, width) numbers.
    kerf_px : width of the cut.

    Returns
    -------
    (height, width) bool.
    """
    numbers = np.flatnonzero(np.bincount(labels.ravel(), minlength=1))
    pairs = [(int(a), int(b), kerf_px) for a in numbers for b in numbers if a < b]
    return contour_mask(labels, pairs)


def _half_height(width: float, sigma: float) -> float:
    """Height of a blurred line at its own edge: Phi(w / sigma) - 1/2."""
    return 0.5 * erf(width / sigma / sqrt(2))


def contour_lines(
    wanted_de00: np.ndarray, width_px: float, *, weigh: bool, printed: Sequence[int]
) -> tuple[tuple[int, int, float], ...]:
    """Line widths for all pairs of colours.

    Parameters
    ----------
    wanted_de00 : (n, n) ΔE00 between the wanted colours.
    width_px : width of a line between clearly different colours.
    weigh : lines between nearly alike colours are thinner, down to half, in four steps.
    printed : colours other than bare paper; a border between two bare colours gets no line.
    """
    count = len(wanted_de00)
    lines = []
    for one in range(count):
        for other in range(one + 1, count):
            if one not in printed and other not in printed:
                continue
            share = 1.0
            if weigh:
                share = 0.5 + 0.5 * min(1.0, np.ceil(wanted_de00[one, other] / 10) / 4)
            lines.append((one, other, float(width_px * share)))
    return tuple(lines)
