"""The connected regions of a page of colour numbers, found in one pass over its runs."""

from dataclasses import dataclass
from functools import cached_property

import numpy as np
from numpy.typing import NDArray

from nomos.base.strips import strips

Labels = NDArray[np.uint8]
Ints = NDArray[np.int64]


@dataclass(frozen=True, eq=False)
class Regions:
    """Connected regions of equal colour number, as horizontal runs.

    start, length : (runs,) first pixel of each run in the flattened page, and its length.
    region : (runs,) which region the run belongs to.
    area_px : (regions,) pixels in each region.
    width : pixels in a row of the page.
    """

    start: Ints
    length: Ints
    region: Ints
    area_px: Ints
    width: int

    def paint(self, values: NDArray[np.generic]) -> NDArray[np.generic]:
        """A page holding for each pixel the value of its region. values : (regions,)."""
        return np.repeat(values[self.region], self.length).reshape(-1, self.width)

    def rows(self, top: int, bottom: int) -> Ints:
        """The regions of some rows of a page that is covered by them; (bottom - top, width)."""
        first, last = np.searchsorted(self.start, (top * self.width, bottom * self.width))
        return np.repeat(self.region[first:last], self.length[first:last]).reshape(-1, self.width)

    def region_at(self, places: Ints) -> Ints:
        """The region of pixels of the flattened page that lie in one."""
        return self.region[np.searchsorted(self.start, places, side="right") - 1]

    def sum_over(self, page: NDArray[np.bool_]) -> Ints:
        """How many pixels of each region are set in a page of the same shape."""
        per_run = np.empty(len(self.start), np.int64)
        for rows in strips(page.shape):
            # No run goes on in the next row.
            first, past = np.searchsorted(self.start, (rows.start * self.width, rows.stop * self.width))
            own = self.start[first:past] - rows.start * self.width
            per_run[first:past] = np.add.reduceat(page[rows].ravel(), own, dtype=np.int64)
        return np.bincount(self.region, per_run, len(self.area_px)).astype(np.int64)

    @cached_property
    def _by_region(self) -> tuple[Ints, Ints]:
        """The runs in the order of their regions, and where those of each begin."""
        order = np.argsort(self.region, kind="stable")
        return order, np.searchsorted(self.region[order], np.arange(len(self.area_px) + 1))

    def _runs_of(self, region: int) -> Ints:
        order, first = self._by_region
        return order[first[region] : first[region + 1]]

    def centre(self, region: int) -> tuple[float, float]:
        """The centre of gravity of a region: x and y, pixels."""
        own = self._runs_of(region)
        y, x = np.divmod(self.start[own], self.width)
        length = self.length[own]
        return (float(np.average(x + (length - 1) / 2, weights=length)), float(np.average(y, weights=length)))

    def window(self, region: int, margin: int) -> tuple[slice, slice]:
        """The rows and columns a region lies in, widened by a margin."""
        own = self._runs_of(region)
        rows = self.start[own] // self.width
        first = self.start[own] % self.width
        last = first + self.length[own]
        return (
            slice(max(int(rows.min()) - margin, 0), int(rows.max()) + 1 + margin),
            slice(max(int(first.min()) - margin, 0), int(last.max()) + margin),
        )


def find_regions(labels: Labels, *, only: int | None = None, slanted: bool = False) -> Regions:
    """The connected regions of equal number.

    Parameters
    ----------
    labels : (height, width) uint8.
    only : of this number alone; None is every one.
    slanted : whether pixels that meet at a corner belong together (8-connected).

    Notes
    -----
    Runs are compared with those they touch in the row below: nothing is as large
    as the page but a byte a pixel, however large that is.
    """
    # Imported here: it costs start-up time that `nomos --help` should not pay.
    from scipy.sparse import coo_array
    from scipy.sparse.csgraph import connected_components

    height, width = labels.shape
    starts = np.ones(labels.shape, bool)
    np.not_equal(labels[:, 1:], labels[:, :-1], out=starts[:, 1:])
    start = np.flatnonzero(starts)
    length = np.diff(start, append=height * width)
    value = labels.ravel()[start]
    if only is not None:
        own = value == only
        start, length, value = start[own], length[own], value[own]
    above, below = _touching(start, length, width, int(slanted))
    alike = value[above] == value[below]
    above, below = above[alike], below[alike]
    graph = coo_array((np.ones(len(below), np.int8), (below, above)), shape=(len(start), len(start)))
    count, region = connected_components(graph.tocsr(), directed=False)
    area = np.bincount(region, length, count).astype(np.int64)
    return Regions(start, length, region.astype(np.int64), area, width)


def _touching(start: Ints, length: Ints, width: int, reach: int) -> tuple[Ints, Ints]:
    """Which runs touch which in the row below, up to so many pixels aside."""
    column = start % width
    next_row = start - column + width
    first = next_row + np.maximum(column - reach, 0)
    past = next_row + np.minimum(column + length + reach, width)
    low = np.searchsorted(start + length, first, side="right")
    counts = np.maximum(np.searchsorted(start, past, side="left") - low, 0)
    above = np.repeat(np.arange(len(start)), counts)
    within = np.arange(len(above)) - np.repeat(np.cumsum(counts) - counts, counts)
    return above, low[above] + within
