"""Large pages some rows at a time: what is needed beside a page can be many times as large as it is."""

from collections.abc import Callable, Iterator
from typing import Any, TypeVar

import numpy as np
from numpy.typing import NDArray

_STRIP_PX = 1 << 20

T = TypeVar("T", bound=np.generic)


def strips(shape: tuple[int, ...]) -> Iterator[slice]:
    """Some rows of a page at a time, all of them in the end."""
    rows = max(1, _STRIP_PX // max(shape[1], 1))
    for top in range(0, shape[0], rows):
        yield slice(top, min(top + rows, shape[0]))


def by_strips(page: NDArray[np.uint8], around: int, work: Callable[[NDArray[np.uint8]], NDArray[Any]]) -> NDArray[Any]:
    """What a filter gives of a page, worked out strip by strip.

    Parameters
    ----------
    page : (height, width) or (height, width, channels).
    around : how many rows away the filter looks at most.
    work : the filter; what it gives is as high and as wide as what it is given.
    """
    out: NDArray[Any] | None = None
    for rows in strips(page.shape):
        top = max(rows.start - around, 0)
        made = work(page[top : rows.stop + around])[rows.start - top : rows.stop - top]
        if out is None:
            out = np.empty((len(page), *made.shape[1:]), made.dtype)
        out[rows] = made
    return work(page) if out is None else out


def numbers_of(page: NDArray[np.integer], size: int) -> NDArray[np.int64]:
    """How often each number below a size stands in a page. (size,)."""
    counts = np.zeros(size, np.int64)
    for rows in strips(page.shape):
        counts += np.bincount(page[rows].ravel(), minlength=size)
    return counts


def looked_up(table: NDArray[T], page: NDArray[np.integer]) -> NDArray[T]:
    """`table[page]`, for whose indices NumPy takes 64 bits a pixel. table : (n,); page : (height, width)."""
    out = np.empty(page.shape, table.dtype)
    for rows in strips(page.shape):
        np.take(table, page[rows], out=out[rows], mode="clip")
    return out
