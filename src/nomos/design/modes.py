"""The colours that occur most in a page, as modes of its histogram in CIELAB."""

import numpy as np
from numpy.typing import NDArray

from nomos.design.page import WEIGHTS, Mask, Page

Array = NDArray[np.floating]

# Bins are widened until there are few enough to move all of them.
_BINS = (2.0, 3.0, 4.0, 6.0)
_LEAST_BIN, _LEAST_MODE = 2e-5, 4e-4
# Large areas outweigh small ones less than by their size: the eye counts the small red roof too.
_POWER = 0.6
_ONE_MODE = 1.6
_ROUNDS = 30
_MOST_BINS = 1500


def find_modes(lab: Page, where: Mask, bandwidth: float) -> Array:
    """The modes of a page's colours, the commonest first.

    Parameters
    ----------
    lab : (height, width, 3) smoothed page.
    where : pixels to count; edges and lines are mixtures and should be left out.
    bandwidth : of the mean shift, in Lab units weighted as in `page`.

    Returns
    -------
    (n, 3) CIELAB, at least one.

    References
    ----------
    Fukunaga & Hostetler (1975), mean shift with a Gaussian kernel.
    """
    pixels = lab[where] if where.any() else lab.reshape(-1, 3)
    means, share = _histogram(pixels)
    points = (means * WEIGHTS).astype(np.float32)
    weight = (share**_POWER).astype(np.float32)
    moving = points.copy()
    for _ in range(_ROUNDS):
        moved = _shifted(moving, points, weight, bandwidth)
        if np.abs(moved - moving).max() < 0.03:
            break
        moving = moved
    return _gathered(moving, share) / WEIGHTS


def _gathered(moving: Array, share: Array) -> Array:
    """The places that points have moved to, where enough have."""
    centres, masses = [], []
    left = np.argsort(-share, kind="stable")
    while len(left):
        centre = moving[left[0]]
        here = np.linalg.norm(moving[left] - centre, axis=1) < _ONE_MODE
        centres.append(centre)
        masses.append(share[left[here]].sum())
        left = left[~here]
    mass = np.array(masses)
    return np.array(centres)[mass >= min(_LEAST_MODE, mass.max())]


def _histogram(pixels: Page) -> tuple[Array, Array]:
    """Mean colour and share of each bin that is worth counting."""
    for width in _BINS:
        cell = np.round(pixels / width).astype(np.int64) + 200
        key = (cell[:, 0] * 1000 + cell[:, 1]) * 1000 + cell[:, 2]
        _, bins, count = np.unique(key, return_inverse=True, return_counts=True)
        share = count / count.sum()
        if np.count_nonzero(share >= _LEAST_BIN) <= _MOST_BINS:
            break
    means = np.stack([np.bincount(bins, pixels[:, c]) / count for c in range(3)], axis=-1)
    keep = np.argsort(-share, kind="stable")[:_MOST_BINS]
    keep = keep[share[keep] >= min(_LEAST_BIN, share.max())]
    return means[keep], share[keep]


def _shifted(moving: Array, points: Array, weight: Array, bandwidth: float) -> Array:
    """Every point moved to the weighted mean of what lies about it."""
    moved = np.empty_like(moving)
    squares = (points**2).sum(axis=1)
    for start in range(0, len(moving), 512):
        own = moving[start : start + 512]
        apart = (own**2).sum(axis=1)[:, None] - 2 * own @ points.T + squares
        kernel = np.exp(-np.maximum(apart, 0) / (2 * bandwidth**2)) * weight
        moved[start : start + 512] = kernel @ points / kernel.sum(axis=1, keepdims=True)
    return moved
