"""What each block prints: its own colours, the trap under darker ones, and the run under the key.

A mask is (height, width) uint8, 0 or 1, as seen on the print.
"""

from collections.abc import Collection, Sequence
from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from nomos.design import Labels, fill_nearest
from nomos.progress import NULL_PROGRESS, Part, Progress
from nomos.separation.contour import contour_mask, kerf_mask

Mask = NDArray[np.uint8]

TRAP_MM = 0.5


@dataclass(frozen=True)
class BlockPlan:
    """Which flat colours (numbers in the labels) one block prints, and whether it is the key.

    shadow : the key lies over colours that have blocks of their own: nothing runs under it.
    lines : a contour key's pairs of colours with the width of the line between them, in pixels.
    kerf_px : the width of the saw cut along the borders of all colours, for a block that is sawn apart.
    """

    colours: tuple[int, ...]
    is_key: bool = False
    shadow: bool = False
    lines: tuple[tuple[int, int, float], ...] = ()
    kerf_px: float | None = None


def block_masks(
    labels: Labels,
    plans: Sequence[BlockPlan],
    spreads: Collection[tuple[int, int]],
    trap_px: float,
    *,
    progress: Progress = NULL_PROGRESS,
) -> tuple[Mask, ...]:
    """The masks of a set of blocks that leave no bare paper where they meet.

    Parameters
    ----------
    labels : (height, width) uint8 colour numbers.
    plans : the blocks; a colour on none of them stays bare.
    spreads : pairs of colour numbers (above, below): the first runs under the second.
    trap_px : how far it does, in pixels.

    Returns
    -------
    One read-only mask for each plan, in the same order.

    Notes
    -----
    Under the key, colours run to the middle of its lines, where the nearest
    colour changes: the key hides the join. Elsewhere a colour spreads under its
    neighbour by the trap where `spreads` says so, but never further than half
    way through a thin line, or it would show on the other side.
    """
    key = [number for plan in plans if plan.is_key and not plan.shadow for number in plan.colours]
    under_key = _under_key(labels, key)
    spread = _spread(labels, spreads, trap_px, Part(progress, 0.1, 0.6))
    masks = []
    for done, plan in enumerate(plans):
        progress.report(0.6 + 0.4 * done / len(plans), "cutting block masks")
        mask = contour_mask(labels, plan.lines) if plan.lines else _membership(labels, plan.colours)
        if not plan.is_key:
            mask |= _membership(spread, plan.colours)
            mask |= _membership(under_key, plan.colours)
        if plan.kerf_px:
            mask &= 1 - kerf_mask(under_key, plan.kerf_px)
        mask.flags.writeable = False
        masks.append(mask)
    return tuple(masks)


def _membership(labels: Labels, numbers: Collection[int]) -> Mask:
    import cv2

    table = np.zeros(256, np.uint8)
    table[list(numbers)] = 1
    return np.asarray(cv2.LUT(labels, table), np.uint8)


def _under_key(labels: Labels, key: Collection[int]) -> Labels:
    hidden = _membership(labels, key)
    if not key or hidden.all():
        return labels
    return fill_nearest(labels, hidden)


def _spread(
    labels: Labels, spreads: Collection[tuple[int, int]], trap_px: float, progress: Progress
) -> Labels:
    """For each pixel the neighbour that runs under it, or the pixel's own number.

    A neighbour reaches a pixel when it is the nearest other colour and no
    further than the trap: each side of a thin line gets the half next to it.
    """
    import cv2

    spread = labels.copy()
    if trap_px <= 0 or not spreads:
        return spread
    nearest = np.full(labels.size, np.inf, np.float32)
    flat, own = spread.reshape(-1), labels.reshape(-1)
    runs_under = np.zeros((256, 256), bool)
    for above, below in spreads:
        runs_under[above, below] = True
    numbers = np.flatnonzero(np.bincount(own))
    for done, number in enumerate(numbers):
        progress.report(done / len(numbers), "spreading colours")
        # Distances run between pixel centres; the edge lies half a pixel nearer.
        other = (labels != number).view(np.uint8)
        reach = cv2.distanceTransform(other, cv2.DIST_L2, cv2.DIST_MASK_5).reshape(-1)
        places = np.flatnonzero((reach <= trap_px + 0.5) & other.reshape(-1).view(bool))
        places = places[reach[places] < nearest[places]]
        nearest[places] = reach[places]
        flat[places] = np.where(runs_under[number, own[places]], number, own[places])
    return spread
