"""The combination map: one small number per pixel, saying which blocks print there."""

from collections.abc import Sequence
from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from nomos.separation import Mask

_PLANES = 16


@dataclass(frozen=True, eq=False)
class CombinationMap:
    """A page as combinations of blocks.

    index : (height, width) uint8 or uint16, read-only; row of `members` for each pixel.
    members : (combinations, blocks) bool; which blocks print in each.
    pixels : (combinations,) how often each occurs.
    """

    index: NDArray[np.uint8] | NDArray[np.uint16]
    members: NDArray[np.bool_]
    pixels: NDArray[np.int64]


def combine(masks: Sequence[Mask], shape: tuple[int, int]) -> CombinationMap:
    """The map of a set of masks, blocks numbered as given.

    Parameters
    ----------
    masks : (height, width) uint8 of 0 and 1, one for each block, any number of them.
    shape : height and width, for the case without blocks.

    Notes
    -----
    Bits are packed sixteen blocks at a time and the combinations that occur
    renumbered without gaps, so that the tables stay small and the index is one
    byte a pixel for all but the busiest prints. Nothing here depends on inks or
    order: changing those touches a table of some dozens of rows.
    """
    index: NDArray[np.uint8] | NDArray[np.uint16] = np.zeros(shape, np.uint8)
    patterns = np.zeros(1, np.int64)
    pixels = np.array([shape[0] * shape[1]], np.int64)
    for first in range(0, len(masks), _PLANES):
        planes = masks[first : first + _PLANES]
        packed = np.zeros(shape, np.uint8 if len(planes) <= 8 else np.uint16)
        for bit, mask in enumerate(planes):
            packed |= mask if bit == 0 else mask.astype(packed.dtype) << bit
        if first == 0:
            index, patterns, pixels = _renumbered(packed, np.arange(1 << len(planes)))
        else:
            joined = packed.astype(np.int64) * len(patterns) + index
            of_joined = (np.arange(1 << len(planes))[:, None] << first) + patterns
            index, patterns, pixels = _renumbered(joined, of_joined.ravel())
    index.flags.writeable = False
    members = (patterns[:, None] >> np.arange(len(masks))) & 1 == 1
    return CombinationMap(index, members, pixels)


def _renumbered(
    page: NDArray[np.integer], patterns: NDArray[np.int64]
) -> tuple[NDArray[np.uint8] | NDArray[np.uint16], NDArray[np.int64], NDArray[np.int64]]:
    counts = np.bincount(page.ravel(), minlength=len(patterns))
    used = np.flatnonzero(counts)
    table = np.zeros(len(counts), np.uint8 if len(used) <= 256 else np.uint16)
    table[used] = np.arange(len(used))
    return np.take(table, page, mode="clip"), patterns[used], counts[used].astype(np.int64)
