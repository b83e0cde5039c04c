"""The combination map: one small number per pixel, saying which films lie there."""

from collections.abc import Iterable, Sequence
from dataclasses import dataclass
from itertools import islice
from typing import cast

import numpy as np
from numpy.typing import NDArray

from nomos.base.strips import looked_up, numbers_of

Index = NDArray[np.uint8] | NDArray[np.uint16] | NDArray[np.uint32]
# Pages are packed into numbers of two bytes, as many at a time as go in.
_MOST_PACKED = 1 << 16


@dataclass(frozen=True, eq=False)
class CombinationMap:
    """A page as combinations of films.

    index : (height, width) uint8, uint16 or uint32, read-only; row of `members` for each pixel.
    members : (combinations, films) bool; which films lie in each.
    pixels : (combinations,) how often each occurs.
    """

    index: Index
    members: NDArray[np.bool_]
    pixels: NDArray[np.int64]


def combine(
    pages: Iterable[NDArray[np.uint8]], shape: tuple[int, int], parts: Sequence[int] | None = None
) -> CombinationMap:
    """The map of a set of blocks, each of one or more parts that are inked apart.

    Parameters
    ----------
    pages : (height, width) uint8 for each block: 0 where it does not print, else the part's number from 1;
        each is looked at once, so that they need not all be there together.
    shape : height and width of the pages.
    parts : how many parts each has; None is one each.

    Returns
    -------
    A map whose films are the first block's parts, then the second's, and so on.

    Notes
    -----
    A pixel's parts are packed into one number of at most sixteen bits and the
    combinations that occur renumbered without gaps, so that the tables stay
    small and the index is one byte a pixel for all but the busiest prints.
    Nothing here depends on inks or order: changing those touches a table of
    some dozens of rows.
    """
    if parts is None:
        pages = list(pages)
        parts = [1] * len(pages)
    counts, rest = list(parts), iter(pages)
    index: Index = np.zeros(shape, np.uint8)
    digits = np.zeros((1, 0), np.uint8)
    pixels = np.array([shape[0] * shape[1]], np.int64)
    first = 0
    while first < len(counts):
        last, size = first, 1
        while last < len(counts) and size * (counts[last] + 1) <= _MOST_PACKED:
            size *= counts[last] + 1
            last += 1
        packed, own = _packed(islice(rest, last - first), counts[first:last], shape)
        if first == 0:
            index, used, pixels = _renumbered(packed, size)
            digits = own[used]
        else:
            joined = _joined(packed, index, len(digits), size)
            index, used, pixels = _renumbered(joined, size * len(digits))
            digits = np.hstack([digits[used % len(digits)], own[used // len(digits)]])
        first = last
    index.flags.writeable = False
    columns = [digits[:, page] == part for page in range(len(counts)) for part in range(1, counts[page] + 1)]
    members = np.stack(columns, axis=1) if columns else np.zeros((len(digits), 0), bool)
    return CombinationMap(index, members, pixels)


def with_page(below: CombinationMap, page: NDArray[np.uint8], parts: int = 1) -> CombinationMap:
    """A map with one more block laid on it, as `combine` lays them all; the last films are its parts."""
    many = len(below.members)
    index, used, pixels = _renumbered(_joined(page, below.index, many, parts + 1), many * (parts + 1))
    index.flags.writeable = False
    own = (used // many)[:, None] == np.arange(1, parts + 1)
    return CombinationMap(index, np.hstack([below.members[used % many], own]), pixels)


def _packed(
    pages: Iterable[NDArray[np.uint8]], counts: Sequence[int], shape: tuple[int, int]
) -> tuple[Index, NDArray[np.uint8]]:
    """Pages as one number a pixel, and for each such number the part of each page."""
    size = int(np.prod([count + 1 for count in counts]))
    packed = np.zeros(shape, np.uint8 if size <= 256 else np.uint16)
    digits = np.zeros((size, len(counts)), np.uint8)
    stride = 1
    for place, (page, count) in enumerate(zip(pages, counts, strict=True)):
        packed += page if stride == 1 else page.astype(packed.dtype) * packed.dtype.type(stride)
        digits[:, place] = np.arange(size) // stride % (count + 1)
        stride *= count + 1
    return packed, digits


def _joined(packed: Index, index: Index, many: int, size: int) -> NDArray[np.integer]:
    if size * many < 1 << 32:
        return packed.astype(np.uint32) * np.uint32(many) + index
    return packed.astype(np.int64) * many + index


def _renumbered(page: NDArray[np.integer], size: int) -> tuple[Index, NDArray[np.int64], NDArray[np.int64]]:
    counts = numbers_of(page, size)
    used = np.flatnonzero(counts)
    kind = np.uint8 if len(used) <= 256 else np.uint16 if len(used) <= _MOST_PACKED else np.uint32
    table = np.zeros(len(counts), kind)
    table[used] = np.arange(len(used))
    return cast(Index, looked_up(table, page)), used, counts[used]
