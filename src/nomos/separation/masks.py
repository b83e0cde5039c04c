"""What each block prints: its own colours, the trap under darker ones, and the run under the key.

A mask is (height, width) uint8, 0 or 1, as seen on the print.
"""

import math
from collections.abc import Collection, Iterable, Sequence
from dataclasses import dataclass
from itertools import product
from typing import overload

import numpy as np
from numpy.typing import NDArray

from nomos.base.language import tr
from nomos.base.parallel import map_threads
from nomos.base.progress import NULL_PROGRESS, Part, Progress
from nomos.design import Labels, fill_nearest
from nomos.separation.contour import contour_mask, kerf_mask

Mask = NDArray[np.uint8]

TRAP_MM = 0.5
_TILE_PX = 512


@dataclass(frozen=True, eq=False)
class Masks(Sequence[Mask]):
    """The masks of some blocks, a bit for a pixel; unpacked, read-only, where one is looked at.

    Twelve blocks of A2 at 300 dpi take 50 MB so, and 420 MB otherwise.
    """

    shape: tuple[int, int]
    bits: tuple[NDArray[np.uint8], ...]

    @classmethod
    def of(cls, masks: Iterable[Mask], shape: tuple[int, int]) -> "Masks":
        """Masks of one shape, one after the other: no more than one need be there at a time."""
        return cls(shape, tuple(np.packbits(mask) for mask in masks))

    def __len__(self) -> int:
        return len(self.bits)

    @overload
    def __getitem__(self, place: int) -> Mask: ...
    @overload
    def __getitem__(self, place: slice) -> "Masks": ...
    def __getitem__(self, place: int | slice) -> "Mask | Masks":
        if isinstance(place, slice):
            return Masks(self.shape, self.bits[place])
        mask = np.unpackbits(self.bits[place], count=self.shape[0] * self.shape[1]).reshape(self.shape)
        mask.flags.writeable = False
        return mask


def chosen(masks: Sequence[Mask], places: Iterable[int]) -> Sequence[Mask]:
    """Some masks, in an order and as often as wanted; what is packed stays so."""
    if isinstance(masks, Masks):
        return Masks(masks.shape, tuple(masks.bits[place] for place in places))
    return tuple(masks[place] for place in places)


def every(pixels: int, most: int) -> int:
    """Every how many rows and columns a page is looked at, so that no more than so many pixels are."""
    return max(1, math.ceil(math.sqrt(pixels / most)))


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
    labels: Labels, plans: Sequence[BlockPlan], spreads: Collection[tuple[int, int]], trap_px: float, *,
    progress: Progress = NULL_PROGRESS,
) -> Masks:  # fmt: skip
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

    def cut(plan: BlockPlan) -> Mask:
        mask = contour_mask(labels, plan.lines) if plan.lines else _membership(labels, plan.colours)
        if not plan.is_key:
            mask |= _membership(spread, plan.colours)
            mask |= _membership(under_key, plan.colours)
        if plan.kerf_px:
            mask &= 1 - kerf_mask(under_key, plan.kerf_px)
        return mask

    bits = map_threads(
        lambda plan: np.packbits(cut(plan)), plans, progress=Part(progress, 0.6, 1.0),
        words=lambda _: tr("cutting block masks"),
    )  # fmt: skip
    return Masks(labels.shape, tuple(bits))


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


def _spread(labels: Labels, spreads: Collection[tuple[int, int]], trap_px: float, progress: Progress) -> Labels:
    """For each pixel the neighbour that runs under it, or the pixel's own number.

    A neighbour reaches a pixel when it is the nearest other colour and no
    further than the trap: each side of a thin line gets the half next to it.
    """
    spread = labels.copy()
    if trap_px <= 0 or not spreads:
        return spread
    runs_under = np.zeros((256, 256), bool)
    for above, below in spreads:
        runs_under[above, below] = True
    # A spread reaches no further than the trap: a tile with that much around it gives what the page gives.
    around = int(np.ceil(trap_px)) + 2
    corners = (range(0, side, _TILE_PX) for side in labels.shape)
    tiles = list(product(*corners))

    def spread_in(tile: tuple[int, ...]) -> None:
        top, left = tile
        above, before = max(top - around, 0), max(left - around, 0)
        piece = labels[above : top + _TILE_PX + around, before : left + _TILE_PX + around]
        inside = slice(top - above, top - above + _TILE_PX), slice(left - before, left - before + _TILE_PX)
        spread[top : top + _TILE_PX, left : left + _TILE_PX] = _spread_over(piece, runs_under, trap_px)[inside]

    map_threads(spread_in, tiles, progress=progress, words=lambda _: tr("spreading colours"))
    return spread


def _spread_over(labels: Labels, runs_under: NDArray[np.bool_], trap_px: float) -> Labels:
    """The spread over a tile; where one colour lies alone there is none."""
    import cv2

    numbers = np.flatnonzero(cv2.calcHist([labels], [0], None, [256], [0, 256]))
    if len(numbers) < 2:
        return labels
    spread = labels.copy()
    nearest = np.full(labels.size, np.inf, np.float32)
    flat, own = spread.reshape(-1), labels.reshape(-1)
    for number in numbers:
        # Distances run between pixel centres; the edge lies half a pixel nearer.
        other = (labels != number).view(np.uint8)
        reach = cv2.distanceTransform(other, cv2.DIST_L2, cv2.DIST_MASK_5).reshape(-1)
        places = np.flatnonzero((reach <= trap_px + 0.5) & other.reshape(-1).view(bool))
        places = places[reach[places] < nearest[places]]
        nearest[places] = reach[places]
        flat[places] = np.where(runs_under[number, own[places]], number, own[places])
    return spread
