"""Patches: stretches of a page within which no border is seen, however the colour drifts.

A wash that dries lighter at one end, or crayon pressed harder here than there,
is one patch; two colours that meet at an edge, or at a drawn line, are two.
"""

import heapq
import math
from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from nomos.base.language import tr
from nomos.base.progress import NULL_PROGRESS, Progress
from nomos.design.cleaning import Labels, majority, remove_specks
from nomos.design.page import WEIGHTS, Mask, Page
from nomos.design.regions import find_regions

Array = NDArray[np.float64]
Ints = NDArray[np.int32]
Sums = tuple[float, float, float]

# A step between two stretches is looked for this far on either side of where they meet, mm.
_BESIDE_MM = 0.8
# A border is soft where less than this share of the difference happens across it ...
_SOFT = 0.55
# ... or where the step is no larger than what the grain does anywhere.
_OF_NOISE, _LEAST_STEP = 1.5, 1.2
# Two stretches further apart than this are never one patch, however softly they meet: a graded sky.
FURTHEST = 17.0
# A patch has a core where it is wider than this; thin ones are seams, not colours.
_CORE_MM = 1.0
_SMALLEST_MM = 1.0


@dataclass(frozen=True, eq=False)
class Patches:
    """The patches of a page.

    number : (height, width) int32, which patch each pixel is in.
    lab : (n, 3) mean colour of each.
    area, core : (n,) pixels in it, and pixels more than half a millimetre inside.
    spread : how much colour drifts within patches, one standard deviation in weighted Lab.
    soft : pairs of patches that meet without a visible border, too far apart to be one: a gradient.
    """

    number: Ints
    lab: Array
    area: Array
    core: Array
    spread: float
    soft: tuple[tuple[int, int], ...]


def find_patches(
    pooled: Page, modes: Array, barrier: Mask, noise: float, px_per_mm: float,
    *, furthest: float = FURTHEST, progress: Progress = NULL_PROGRESS,
) -> Patches:  # fmt: skip
    """The patches of a page.

    Parameters
    ----------
    pooled : (height, width, 3) CIELAB averaged over the pooling window, the line looked past.
    modes : (n, 3) colours to begin with, from `find_modes`.
    barrier : pixels on or beside a drawn line: what meets there is two patches.
    noise : the step that grain makes where there is no border, weighted Lab.
    furthest : how far colours in one patch may lie apart, weighted Lab.
    """
    weighted = pooled * WEIGHTS
    start = _nearest_mode(weighted, modes)
    progress.report(0.2, tr("finding fields"))
    start = remove_specks(majority(start, len(modes)), _SMALLEST_MM * px_per_mm)
    regions = find_regions(start)
    piece = np.asarray(regions.paint(np.arange(len(regions.area_px), dtype=np.int32)), np.int32)
    progress.report(0.5, tr("finding fields"))
    beside = max(1, round(_BESIDE_MM * px_per_mm))
    graph = _Joining(weighted, piece, barrier, beside, noise, furthest)
    root = graph.joined(progress)
    progress.report(0.8, tr("finding fields"))
    _, dense = np.unique(root, return_inverse=True)
    number = dense[piece].astype(np.int32)
    return _measured(pooled, number, graph.soft_pairs(root, dense), px_per_mm)


def _nearest_mode(weighted: Page, modes: Array) -> Labels:
    points = (modes * WEIGHTS).astype(np.float32)[:255]
    half = (points**2).sum(axis=1) / 2
    labels = np.empty(weighted.shape[:2], np.uint8)
    for top in range(0, len(weighted), 64):
        labels[top : top + 64] = np.argmin(half - weighted[top : top + 64] @ points.T, axis=-1)
    return labels


def _measured(pooled: Page, number: Ints, soft: tuple[tuple[int, int], ...], px_per_mm: float) -> Patches:
    import cv2

    count = int(number.max()) + 1
    edge = np.ones(number.shape, np.uint8)
    edge[:, 1:][number[:, 1:] != number[:, :-1]] = 0
    edge[1:][number[1:] != number[:-1]] = 0
    inner = cv2.distanceTransform(edge, cv2.DIST_L2, 3) > _CORE_MM / 2 * px_per_mm
    flat = number.ravel()
    area = np.bincount(flat, minlength=count).astype(np.float64)
    core = np.bincount(flat[inner.ravel()], minlength=count).astype(np.float64)
    # The core says what colour a patch is; where there is none, all of it does.
    weight = np.where((core > 0)[number], inner, 1).astype(np.float32)
    mass = np.bincount(flat, weight.ravel(), count)
    lab = np.stack([np.bincount(flat, (pooled[..., c] * weight).ravel(), count) / mass for c in range(3)], -1)
    drift = ((pooled - lab[number]) * WEIGHTS) ** 2
    within = np.bincount(flat, (drift.sum(axis=-1) * weight).ravel(), count) / mass
    large = (core > 60 * px_per_mm**2) & (lab[:, 0] < 90)
    spread = float(np.average(np.sqrt(within[large]), weights=core[large])) if large.any() else 0.5
    return Patches(number, lab, area, core, spread, soft)


class _Joining:
    """The graph of touching pieces, whose soft borders are joined, the softest first.

    Plain floats: pieces are joined one pair at a time, and an array for each pair costs more than the sums.
    """

    def __init__(self, weighted: Page, piece: Ints, barrier: Mask, beside: int, noise: float, furthest: float) -> None:
        count = int(piece.max()) + 1
        flat = piece.ravel()
        area = np.bincount(flat, minlength=count).astype(np.float64)
        means = [np.bincount(flat, weighted[..., c].ravel(), count) / area for c in range(3)]
        self.area: list[float] = area.tolist()
        self.mean: list[tuple[float, ...]] = list(zip(*(mean.tolist() for mean in means), strict=True))
        self.noise, self.furthest = noise, furthest
        # For each pair that touches: length of the border, sum of steps across it, length on the line.
        self.borders: list[dict[int, Sums]] = [{} for _ in range(count)]
        for one, other, sums in _borders(weighted, piece, barrier, beside):
            self.borders[one][other] = self.borders[other][one] = sums
        self._root = list(range(count))

    def joined(self, progress: Progress) -> NDArray[np.int64]:
        """The piece that each one has been joined to."""
        heap = [
            (step, one, other, self.area[one], self.area[other])
            for one, own in enumerate(self.borders)
            for other in own
            if one < other and (step := self._soft_step(one, other)) is not None
        ]
        heapq.heapify(heap)
        alive = [True] * len(self._root)
        turns = 0
        while heap:
            turns += 1
            if turns % 4096 == 0:
                progress.report(0.6, tr("finding fields"))
            _, one, other, size_one, size_other = heapq.heappop(heap)
            stale = self.area[one] != size_one or self.area[other] != size_other
            if not (alive[one] and alive[other]) or stale:
                continue
            if self.area[one] < self.area[other]:
                one, other = other, one
            self._join(one, other)
            alive[other] = False
            for near in self.borders[one]:
                step = self._soft_step(one, near)
                if step is not None:
                    a, b = min(one, near), max(one, near)
                    heapq.heappush(heap, (step, a, b, self.area[a], self.area[b]))
        return np.array([self._top(piece) for piece in range(len(self._root))])

    def soft_pairs(self, root: NDArray[np.int64], dense: NDArray[np.int64]) -> tuple[tuple[int, int], ...]:
        """Patches that meet softly though their colours are far apart."""
        found = []
        for one in np.unique(root).tolist():
            for other, (length, steps, on_line) in self.borders[one].items():
                apart = math.dist(self.mean[one], self.mean[other])
                if one < other and on_line < 0.5 * length and steps / length < _SOFT * apart:
                    found.append((int(dense[one]), int(dense[other])))
        return tuple(found)

    def _top(self, piece: int) -> int:
        while self._root[piece] != piece:
            self._root[piece] = self._root[self._root[piece]]
            piece = self._root[piece]
        return piece

    def _soft_step(self, one: int, other: int) -> float | None:
        """The mean step across a border that is soft; None for one that is seen."""
        length, steps, on_line = self.borders[one][other]
        if on_line > 0.5 * length:
            return None
        apart = math.dist(self.mean[one], self.mean[other])
        step = steps / length
        soft = step < _OF_NOISE * self.noise + _LEAST_STEP or step < _SOFT * apart
        return step if soft and apart <= self.furthest else None

    def _join(self, one: int, other: int) -> None:
        size_one, size_other = self.area[one], self.area[other]
        both = size_one + size_other
        self.mean[one] = tuple(
            (a * size_one + b * size_other) / both for a, b in zip(self.mean[one], self.mean[other], strict=True)
        )
        self.area[one] = both
        self._root[other] = one
        for near, sums in self.borders[other].items():
            if near == one:
                continue
            del self.borders[near][other]
            known = self.borders[one].get(near)
            together = sums if known is None else (known[0] + sums[0], known[1] + sums[1], known[2] + sums[2])
            self.borders[one][near] = self.borders[near][one] = together
        self.borders[one].pop(other, None)
        self.borders[other] = {}


def _borders(weighted: Page, piece: Ints, barrier: Mask, beside: int) -> list[tuple[int, int, Sums]]:
    """Every two pieces that touch, with length, summed step and length on the barrier."""
    keys, steps, on_line = [], [], []
    count = int(piece.max()) + 1
    for turned in (False, True):
        numbers = piece.T if turned else piece
        colours = weighted.transpose(1, 0, 2) if turned else weighted
        line = barrier.T if turned else barrier
        row, column = np.nonzero(numbers[:, :-1] != numbers[:, 1:])
        one, other = numbers[row, column], numbers[row, column + 1]
        last = numbers.shape[1] - 1
        before, after = np.maximum(column - beside, 0), np.minimum(column + 1 + beside, last)
        steps.append(np.linalg.norm(colours[row, after] - colours[row, before], axis=1))
        on_line.append(line[row, column].astype(np.float64))
        keys.append(np.minimum(one, other).astype(np.int64) * count + np.maximum(one, other))
    key, place = np.unique(np.concatenate(keys), return_inverse=True)
    length = np.bincount(place).astype(np.float64)
    step = np.bincount(place, np.concatenate(steps))
    line_length = np.bincount(place, np.concatenate(on_line))
    return [
        (pair // count, pair % count, (long, steps, on))
        for pair, long, steps, on in zip(
            key.tolist(), length.tolist(), step.tolist(), line_length.tolist(), strict=True
        )
    ]
