"""What each block prints: its own colours, the trap under darker ones, and the run under the key.

A mask is (height, width) uint8, 0 or 1, as seen on the print.
"""

from collections.abc import Collection, Sequence
from dataclasses import dataclass

import cv2
import numpy as np
from numpy.typing import NDArray

from nomos.design import Labels, fill_nearest
from nomos.progress import NULL_PROGRESS, Progress

Mask = NDArray[np.uint8]

TRAP_MM = 0.5


@dataclass(frozen=True)
class BlockPlan:
    """Which flat colours (numbers in the labels) one block prints, and whether it is the key."""

    colours: tuple[int, ...]
    is_key: bool = False


def block_masks(
    labels: Labels,
    plans: Sequence[BlockPlan],
    lightness: Sequence[float],
    trap_px: float,
    *,
    progress: Progress = NULL_PROGRESS,
) -> tuple[Mask, ...]:
    """The masks of a set of blocks that leave no bare paper where they meet.

    Parameters
    ----------
    labels : (height, width) uint8 colour numbers.
    plans : the blocks; a colour on none of them stays bare.
    lightness : L* of each colour number.
    trap_px : how far a lighter colour runs under a darker neighbour, in pixels.

    Returns
    -------
    One read-only mask for each plan, in the same order.

    Notes
    -----
    Under the key, colours run to the middle of its lines, where the nearest
    colour changes: the key hides the join. Elsewhere the lighter of two
    neighbours spreads under the darker by the trap, but never further than half
    way through a thin darker line, or it would show on the other side.
    """
    key = [number for plan in plans if plan.is_key for number in plan.colours]
    printed = [number for plan in plans for number in plan.colours if number not in key]
    under_key = _under_key(labels, key)
    masks = []
    for done, plan in enumerate(plans):
        progress.report(done / len(plans), "cutting block masks")
        if plan.is_key:
            mask = _membership(labels, plan.colours)
        else:
            own = _membership(labels, plan.colours)
            palest = max((lightness[number] for number in plan.colours), default=0.0)
            darker = [n for n in printed if n not in plan.colours and lightness[n] < palest]
            mask = own | _spread(own, _membership(labels, darker), trap_px)
            if key:
                mask |= _membership(under_key, plan.colours)
        mask.flags.writeable = False
        masks.append(mask)
    return tuple(masks)


def _membership(labels: Labels, numbers: Collection[int]) -> Mask:
    table = np.zeros(256, np.uint8)
    table[list(numbers)] = 1
    return np.asarray(cv2.LUT(labels, table), np.uint8)


def _under_key(labels: Labels, key: Collection[int]) -> Labels:
    hidden = _membership(labels, key)
    if not key or hidden.all():
        return labels
    return fill_nearest(labels, hidden)


def _spread(own: Mask, darker: Mask, trap_px: float) -> Mask:
    if trap_px <= 0 or not own.any() or not darker.any():
        return np.zeros_like(own)
    # Distances run between pixel centres; the edge lies half a pixel nearer.
    reach = cv2.distanceTransform(1 - own, cv2.DIST_L2, cv2.DIST_MASK_5)
    near = darker & (reach <= trap_px + 0.5)
    elsewhere = 1 - (own | darker)
    if elsewhere.any():
        away = cv2.distanceTransform(1 - elsewhere, cv2.DIST_L2, cv2.DIST_MASK_5)
        near &= (reach <= away).view(np.uint8)
    return np.asarray(near, np.uint8)
