"""Stretches that run evenly from one colour to another: a field that could be inked graded."""

from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from nomos.colour import Lab, as_lab, delta_e00
from nomos.design.page import WEIGHTS, Page
from nomos.design.patches import Patches

Array = NDArray[np.float64]

# A gradient covers this share of the page, changes by this much, and lies on a plane this well
# (share of the variance explained). Chosen by us.
_LEAST_SHARE, _LEAST_DE00, _LEAST_FIT = 0.03, 8.0, 0.6
_STRIDE = 3


@dataclass(frozen=True)
class Gradient:
    """A stretch that runs from one colour to another.

    patches : which it is made of. start, end : places in mm where it begins and ends, the darker first.
    dark, light : CIELAB at start and end.
    """

    patches: tuple[int, ...]
    start: tuple[float, float]
    end: tuple[float, float]
    dark: Lab
    light: Lab


def find_gradients(pooled: Page, patches: Patches, px_per_mm: float) -> tuple[Gradient, ...]:
    """The gradients of a page: patches that meet softly though far apart, and patches that drift evenly.

    Parameters
    ----------
    pooled : (height, width, 3) CIELAB without grain. patches : from `find_patches`.
    """
    found = []
    number = patches.number[::_STRIDE, ::_STRIDE]
    colours = pooled[::_STRIDE, ::_STRIDE]
    for group in _groups(patches):
        if patches.area[list(group)].sum() < _LEAST_SHARE * patches.number.size:
            continue
        row, column = np.nonzero(np.isin(number, group))
        gradient = _fitted(group, row, column, colours[row, column], px_per_mm / _STRIDE)
        if gradient is not None:
            found.append(gradient)
    return tuple(found)


def _groups(patches: Patches) -> list[tuple[int, ...]]:
    """Patches joined by soft borders; each of the others alone."""
    root = list(range(len(patches.area)))

    def top(patch: int) -> int:
        while root[patch] != patch:
            patch = root[patch]
        return patch

    for one, other in patches.soft:
        root[top(other)] = top(one)
    groups: dict[int, list[int]] = {}
    for patch in range(len(root)):
        groups.setdefault(top(patch), []).append(patch)
    return [tuple(group) for group in groups.values()]


def _fitted(
    group: tuple[int, ...], row: NDArray[np.int64], column: NDArray[np.int64], lab: Page, px_per_mm: float
) -> Gradient | None:
    """The plane through a stretch's colours, if it explains them and runs far enough."""
    place = np.stack([column, row], axis=-1) / px_per_mm
    middle = place.mean(axis=0)
    design = np.hstack([np.ones((len(place), 1)), place - middle])
    weighted = lab.astype(np.float64) * WEIGHTS
    plane, *_ = np.linalg.lstsq(design, weighted, rcond=None)
    off = weighted - design @ plane
    spread = ((weighted - weighted.mean(axis=0)) ** 2).sum()
    if spread <= 0 or 1 - (off**2).sum() / spread < _LEAST_FIT:
        return None
    # The way along which colour changes most.
    _, _, ways = np.linalg.svd(plane[1:].T)
    way = ways[0]
    along = (place - middle) @ way
    ends = np.percentile(along, [4, 96])
    slope = plane[1:].T @ way
    first, last = ((plane[0] + end * slope) / WEIGHTS for end in ends)
    if float(delta_e00(first, last)) < _LEAST_DE00:
        return None
    if last[0] < first[0]:
        first, last, ends = last, first, ends[::-1]
    start, end = (middle + ends[n] * way for n in (0, 1))
    return Gradient(group, _point(start), _point(end), as_lab(first), as_lab(last))


def _point(place: Array) -> tuple[float, float]:
    return round(float(place[0]), 1), round(float(place[1]), 1)
