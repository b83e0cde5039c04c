"""Of all print orders that give the same sheet, the one with the least work between its pulls."""

import numpy as np
from numpy.typing import NDArray

from nomos.colour.spectra import Array
from nomos.order.search import Order

# Exact while there are no more sets of layers printed so far than this; about 0.1 s.
_MOST_SETS = 1 << 17
# Beyond, a layer moves past so many places at a time.
_WIDTH = 11

_Sets = NDArray[np.uint32]


def cheapest_extension(
    order: Order, meets: NDArray[np.bool_], step: Array, *, fixed: frozenset[tuple[int, int]] = frozenset()
) -> Order:
    """Of all orders with the same sheet the one whose steps from layer to layer cost least.

    Parameters
    ----------
    order : one of them.
    meets : (n, n) layers that cannot change places freely.
    step : (n, n) cost of printing the second right after the first.
    fixed : further pairs that keep their order.

    Notes
    -----
    Dynamic programming over the sets of layers already printed (Held & Karp 1962); of
    orders that cost the same the first in the order of the dictionary. Where there are
    too many such sets, layers far apart keep their order, and the best such order is
    improved again until that helps no more (Balas & Simonetti 2001).
    """
    tied = meets.copy()
    for one, other in fixed:
        tied[one, other] = tied[other, one] = True
    levels = _levels(_needs(order, tied), _MOST_SETS)
    if levels:
        return _best(_needs(order, tied), levels, step)
    while True:
        at = np.argsort(order)
        needs = _needs(order, tied | (abs(at[:, None] - at) > _WIDTH))
        better = _best(needs, _levels(needs, None), step)
        if _cost(better, step) > _cost(order, step) - 1e-9:
            return order
        order = better


def _cost(order: Order, step: Array) -> float:
    return float(step[list(order[:-1]), list(order[1:])].sum())


def _needs(order: Order, tied: NDArray[np.bool_]) -> list[np.uint32]:
    """For each layer the set of those that must be printed before it, a bit for each."""
    at = np.argsort(order)
    return [
        np.uint32(sum(1 << int(other) for other in np.flatnonzero(tied[layer] & (at < at[layer]))))
        for layer in range(len(order))
    ]


def _levels(needs: list[np.uint32], most: int | None) -> list[_Sets]:
    """The sets that can have been printed, by their size; none where they are too many."""
    levels, total = [np.zeros(1, np.uint32)], 1
    for _ in needs:
        wider = [levels[-1][can] | np.uint32(1 << n) for n, can in _next(needs, levels[-1])]
        levels.append(np.unique(np.concatenate(wider)))
        total += len(levels[-1])
        if most is not None and total > most:
            return []
    return levels


def _next(needs: list[np.uint32], sets: _Sets) -> list[tuple[int, NDArray[np.intp]]]:
    """For each layer after which of some sets it can be printed."""
    return [(n, np.flatnonzero((sets & (need | np.uint32(1 << n))) == need)) for n, need in enumerate(needs)]


def _best(needs: list[np.uint32], levels: list[_Sets], step: Array) -> Order:
    """From the last layer back what is still to pay after each set and its last layer, then the way there."""
    count = len(needs)
    to_pay = [np.zeros((1, count))]
    for sets, wider in zip(levels[-2::-1], levels[:0:-1], strict=True):
        least = np.full((len(sets), count), np.inf)
        for n, can in _next(needs, sets):
            there = np.searchsorted(wider, sets[can] | np.uint32(1 << n))
            # step[:, n] is what printing n costs after each last layer.
            least[can] = np.minimum(least[can], to_pay[-1][there, n][:, None] + step[:, n])
        to_pay.append(least)
    to_pay.reverse()
    found: list[int] = []
    done = np.uint32(0)
    for level in range(count):
        price = step[found[-1]] if found else np.zeros(count)
        choices = [
            (price[n] + to_pay[level + 1][np.searchsorted(levels[level + 1], done | bit), n], n)
            for n, bit in enumerate(np.uint32(1) << np.arange(count, dtype=np.uint32))
            if (done & (needs[n] | bit)) == needs[n]
        ]
        least_cost = min(cost for cost, _ in choices)
        found.append(min(n for cost, n in choices if cost <= least_cost + 1e-9))
        done |= np.uint32(1 << found[-1])
    return tuple(found)
