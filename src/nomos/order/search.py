"""The best print orders: every distinct outcome considered, none twice, exactly."""

from collections.abc import Callable, Iterable, Mapping, Sequence
from dataclasses import dataclass
from itertools import combinations, permutations
from math import factorial

import numpy as np
from numpy.typing import NDArray

from nomos.base.language import tr
from nomos.base.progress import NULL_PROGRESS, Progress
from nomos.colour.spectra import Array

Order = tuple[int, ...]
# Costs of the colours of a set of layers for some orders of its own members.
Cost = Callable[[Order, Sequence[Order]], Array]

# All orders of sets are worked out beforehand, small sets first, up to so many; of others when they are met.
_TABLED = 100_000
# What working out one order of a set takes, in steps of the search.
_A_COST = 50
_MOST_NODES = 400_000
# Costs nearer than this are the same.
_SAME = 1e-9


@dataclass(frozen=True, eq=False)
class OrderProblem:
    """What is ordered.

    sets : the sets of layers that lie over each other somewhere, each as its layers in rising order.
    cost : of a set, for some orders of its members: the share of the whole cost, at least 0.
    before : pairs of layers of which the first must be printed before the second.
    pins : layers that must stand at a place, counted from 0.
    count : how many layers there are.
    """

    count: int
    sets: tuple[Order, ...]
    cost: Cost
    before: frozenset[tuple[int, int]] = frozenset()
    pins: Mapping[int, int] | None = None

    def meets(self) -> NDArray[np.bool_]:
        """Which layers cannot change places freely: they overlap somewhere, or one is pinned."""
        found = np.zeros((self.count, self.count), bool)
        for some in self.sets:
            for one, other in combinations(some, 2):
                found[one, other] = found[other, one] = True
        for one, other in self.before:
            found[one, other] = found[other, one] = True
        for pinned in self.pins or {}:
            found[pinned], found[:, pinned] = True, True
        np.fill_diagonal(found, False)
        return found


@dataclass(frozen=True)
class FoundOrders:
    """Orders by rising cost, each standing for all that give the same sheet.

    exact : no order is cheaper than the first.
    gap : by how much one could be at most, where the search stopped first.
    """

    orders: tuple[tuple[float, Order], ...]
    exact: bool
    gap: float = 0.0


def search_orders(
    problem: OrderProblem, *, slack: float = 0.0, keep: int = 200, progress: Progress = NULL_PROGRESS
) -> FoundOrders:
    """The best order and those whose cost is within a slack of it.

    Parameters
    ----------
    slack : how much dearer than the best an order may be to be kept.
    keep : no more than so many orders; of those that cost the same the first ones met.

    Notes
    -----
    Layers that overlap nowhere commute: of all orders with the same sheet only
    the first in the order of the dictionary is built (the normal form of
    Anisimov & Knuth 1979). Depth first, the best first; an order that is begun is
    given up when the sum of the least cost of every set below what is fixed of
    it already is too dear. Raises Cancelled.
    """
    state = _Search(problem, _tables(problem), slack, keep, progress)
    state.grow(0, 0, state.bound_of_nothing())
    orders = sorted(state.found)
    if orders and state.left < np.inf:
        orders = sorted([state.moved_to_better(*orders[0]), *orders])
    least = orders[0][0] if orders else 0.0
    good = tuple(each for each in orders if each[0] <= least + slack + 1e-12)[:keep]
    gap = max(least - state.left, 0.0)
    return FoundOrders(good, gap <= _SAME, gap)


def _tables(problem: OrderProblem) -> list[dict[Order, float]]:
    """A table for every set, the small ones first, as far as so many orders go; empty for the rest."""
    tables: list[dict[Order, float]] = [{} for _ in problem.sets]
    left = _TABLED
    for n in sorted(range(len(problem.sets)), key=lambda n: len(problem.sets[n])):
        left -= factorial(len(problem.sets[n]))
        if left < 0:
            break
        tables[n] = _table(problem, problem.sets[n])
    return tables


def _table(problem: OrderProblem, some: Order) -> dict[Order, float]:
    """For every beginning of an order of a set's members the least cost below it."""
    orders = list(permutations(some))
    least: dict[Order, float] = {}
    for order, cost in zip(orders, problem.cost(some, orders), strict=True):
        for end in range(len(order) + 1):
            least[order[:end]] = min(least.get(order[:end], np.inf), float(cost))
    return least


def bits_of(members: Iterable[int]) -> int:
    """Layers as a set of bits."""
    return sum(1 << int(n) for n in members)


class _Search:
    """Depth-first branch and bound over normal forms; sets of layers are bits.

    left : the least that an order could cost that was left out because the search stopped.
    """

    def __init__(
        self, problem: OrderProblem, tables: Sequence[Mapping[Order, float]], slack: float, keep: int,
        progress: Progress,
    ) -> None:  # fmt: skip
        self.problem, self.tables = problem, tables
        self.slack, self.keep, self.progress = slack, keep, progress
        self.found: list[tuple[float, Order]] = []
        self.limit, self.nodes, self.left, self.told = np.inf, 0, np.inf, 0
        self.met: dict[tuple[int, Order], float] = {}
        self.order: list[int] = []
        self.begun: list[Order] = [()] * len(problem.sets)
        layers = range(problem.count)
        self.of_layer = [[n for n, some in enumerate(problem.sets) if layer in some] for layer in layers]
        self.near = [bits_of(np.flatnonzero(row)) for row in problem.meets()]
        self.earlier = [bits_of(a for a, b in problem.before if b == layer) for layer in layers]
        self.pinned = {place: layer for layer, place in (problem.pins or {}).items()}
        self.free = bits_of(layer for layer in layers if layer not in (problem.pins or {}))

    def bound_of_nothing(self) -> float:
        """The least that any order can cost."""
        return sum(table[()] for table in self.tables if table)

    def grow(self, done: int, barred: int, bound: float) -> None:
        """Try every layer that may come next, after what is printed.

        barred : layers that would rather have stood before one they could change places with.
        """
        self.nodes += 1
        self._report()
        if len(self.order) == self.problem.count:
            self._take(tuple(self.order), bound)
            return
        choices = sorted((bound + self._price(layer), layer) for layer in self._allowed(done, barred))
        for new_bound, layer in choices:
            if new_bound > self.limit:
                break
            if self.nodes > _MOST_NODES and self.found:
                self.left = min(self.left, new_bound)
                break
            apart = ~self.near[layer]
            waits = (barred | ((1 << layer) - 1) & ~done) & apart
            self._print(layer)
            self.grow(done | 1 << layer, waits, new_bound)
            self._take_back(layer)

    def _allowed(self, done: int, barred: int) -> Iterable[int]:
        wanted = self.pinned.get(len(self.order))
        may = self.free & ~done & ~barred if wanted is None else 1 << wanted & ~done & ~barred
        return [
            layer for layer in range(self.problem.count)
            if may >> layer & 1 and not self.earlier[layer] & ~done
        ]  # fmt: skip

    def _price(self, layer: int) -> float:
        """What printing a layer next adds to the bound."""
        price = 0.0
        for n in self.of_layer[layer]:
            before, table = self.begun[n], self.tables[n]
            after = (*before, layer)
            if table:
                price += table[after] - table[before]
            elif len(after) == len(self.problem.sets[n]):
                price += self._cost(n, after)
        return price

    def _cost(self, n: int, order: Order) -> float:
        """The cost of a set in a whole order of its members, worked out when it is first met."""
        if self.tables[n]:
            return self.tables[n][order]
        if (n, order) not in self.met:
            self.nodes += _A_COST
            self.met[n, order] = float(self.problem.cost(self.problem.sets[n], [order])[0])
        return self.met[n, order]

    def moved_to_better(self, cost: float, order: Order) -> tuple[float, Order]:
        """An order made cheaper by taking one layer to another place, as long as that helps."""
        better = True
        while better:
            better = False
            for one, other in permutations(range(len(order)), 2):
                rest = [*order[:one], *order[one + 1 :]]
                moved = (*rest[:other], order[one], *rest[other:])
                if not self._may_be(moved):
                    continue
                self._report()
                new = sum(
                    self._cost(n, tuple(layer for layer in moved if layer in some))
                    for n, some in enumerate(self.problem.sets)
                )
                if new < cost - _SAME:
                    cost, order, better = new, moved, True
        return cost, order

    def _may_be(self, order: Order) -> bool:
        at = {layer: place for place, layer in enumerate(order)}
        return all(at[a] < at[b] for a, b in self.problem.before) and all(
            at[layer] == place for place, layer in self.pinned.items()
        )

    def _report(self) -> None:
        if self.nodes >= self.told:
            self.told = self.nodes + 2000
            self.progress.report(min(self.nodes / _MOST_NODES, 0.99), tr("trying orders"))

    def _print(self, layer: int) -> None:
        self.order.append(layer)
        for n in self.of_layer[layer]:
            self.begun[n] = (*self.begun[n], layer)

    def _take_back(self, layer: int) -> None:
        self.order.pop()
        for n in self.of_layer[layer]:
            self.begun[n] = self.begun[n][:-1]

    def _take(self, order: Order, cost: float) -> None:
        self.found.append((cost, order))
        self.limit = min(self.limit, cost + self.slack)
        if len(self.found) >= 2 * self.keep:
            self.found = sorted(self.found)[: self.keep]
            # What costs as much as the dearest that is kept is not looked for either.
            self.limit = min(self.limit, self.found[-1][0] - _SAME)
