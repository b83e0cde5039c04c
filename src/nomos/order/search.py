"""The best print orders: every distinct outcome considered, none twice, exactly."""

from collections.abc import Callable, Iterable, Mapping, Sequence
from dataclasses import dataclass
from functools import cache
from itertools import combinations, permutations

import numpy as np
from numpy.typing import NDArray

from nomos.colour.spectra import Array
from nomos.language import tr
from nomos.progress import NULL_PROGRESS, Progress

Order = tuple[int, ...]
# Costs of the colours of a set of layers for some orders of its own members.
Cost = Callable[[Order, Sequence[Order]], Array]

# Up to so many layers all outcomes are considered; beyond, the search may have to stop first.
MOST_EXACT = 10
# All orders of a set of up to so many layers are worked out beforehand; of larger ones when they are met.
_TABLED = 6
_MOST_NODES = 400_000


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

    exact : nothing better, or as good within the slack, was left out.
    """

    orders: tuple[tuple[float, Order], ...]
    exact: bool


def search_orders(
    problem: OrderProblem, *, slack: float = 0.0, keep: int = 200, progress: Progress = NULL_PROGRESS
) -> FoundOrders:
    """The best order and those whose cost is within a slack of it.

    Parameters
    ----------
    slack : how much dearer than the best an order may be to be kept.
    keep : no more than so many orders.

    Notes
    -----
    Layers that overlap nowhere commute: of all orders with the same sheet only
    the first in the order of the dictionary is built (the normal form of
    Anisimov & Knuth 1979). Depth first, the best first; an order that is begun is
    given up when the sum of the least cost of every set below what is fixed of
    it already is too dear. Raises Cancelled.
    """
    tables = {some: _table(problem, some) for some in problem.sets if len(some) <= _TABLED}
    state = _Search(problem, tables, problem.meets(), slack, keep, progress)
    state.grow((), dict.fromkeys(problem.sets, ()), state.bound_of_nothing())
    orders = sorted(state.found)
    least = orders[0][0] if orders else 0.0
    good = tuple(each for each in orders if each[0] <= least + slack + 1e-12)[:keep]
    return FoundOrders(good, not state.stopped)


def _table(problem: OrderProblem, some: Order) -> dict[Order, float]:
    """For every beginning of an order of a set's members the least cost below it."""
    orders = list(permutations(some))
    least: dict[Order, float] = {}
    for order, cost in zip(orders, problem.cost(some, orders), strict=True):
        for end in range(len(order) + 1):
            least[order[:end]] = min(least.get(order[:end], np.inf), float(cost))
    return least


class _Search:
    """Depth-first branch and bound over normal forms."""

    def __init__(
        self,
        problem: OrderProblem,
        tables: dict[Order, dict[Order, float]],
        meets: NDArray[np.bool_],
        slack: float,
        keep: int,
        progress: Progress,
    ) -> None:
        self.problem, self.tables, self.meets = problem, tables, meets
        self.slack, self.keep, self.progress = slack, keep, progress
        self.found: list[tuple[float, Order]] = []
        self.limit, self.nodes, self.stopped = np.inf, 0, False
        self.of_layer = [[s for s in problem.sets if n in s] for n in range(problem.count)]
        self.pinned = {place: layer for layer, place in (problem.pins or {}).items()}
        self.earlier = [{a for a, b in problem.before if b == n} for n in range(problem.count)]

    def bound_of_nothing(self) -> float:
        """The least that any order can cost."""
        return sum(table[()] for table in self.tables.values())

    def grow(self, order: Order, begun: dict[Order, Order], bound: float) -> None:
        """Try every layer that may come next."""
        self.nodes += 1
        if self.nodes % 2000 == 0:
            self.progress.report(min(self.nodes / _MOST_NODES, 0.99), tr("trying orders"))
        if self.nodes > _MOST_NODES and self.found:
            self.stopped = True
            return
        if len(order) == self.problem.count:
            self._take(order, bound)
            return
        choices = []
        for layer in self._allowed(order):
            following, cost = self._with(begun, layer)
            choices.append((bound + cost, layer, following))
        for new_bound, layer, following in sorted(choices, key=lambda choice: choice[:2]):
            if new_bound > self.limit:
                break
            self.grow((*order, layer), {**begun, **following}, new_bound)

    def _allowed(self, order: Order) -> Iterable[int]:
        wanted = self.pinned.get(len(order))
        for layer in range(self.problem.count):
            if layer in order or (wanted is not None and layer != wanted):
                continue
            if wanted is None and layer in (self.problem.pins or {}):
                continue
            if self.earlier[layer] <= set(order) and self._is_normal(order, layer):
                yield layer

    def _is_normal(self, order: Order, layer: int) -> bool:
        """Whether no layer that this one could change places with would rather stand after it."""
        for other in reversed(order):
            if self.meets[layer, other]:
                return True
            if other > layer:
                return False
        return True

    def _with(self, begun: dict[Order, Order], layer: int) -> tuple[dict[Order, Order], float]:
        """The sets that a layer belongs to with it printed, and what that adds to the bound."""
        following: dict[Order, Order] = {}
        cost = 0.0
        for some in self.of_layer[layer]:
            before, after = begun[some], (*begun[some], layer)
            following[some] = after
            if some in self.tables:
                cost += self.tables[some][after] - self.tables[some][before]
            elif len(after) == len(some):
                cost += float(self.problem.cost(some, [after])[0])
        return following, cost

    def _take(self, order: Order, cost: float) -> None:
        self.found.append((cost, order))
        self.limit = min(self.limit, cost + self.slack)
        if len(self.found) > 2 * self.keep:
            self.found = sorted(self.found)[: self.keep]
            self.limit = min(self.limit, self.found[-1][0])


def distinct_outcomes(problem: OrderProblem) -> int:
    """How many different sheets all allowed orders give.

    Acyclic orientations of the graph of layers that meet, with some edges given
    (Stanley 1973), by inclusion and exclusion over the sets of layers that can be
    printed first. Pins are not counted in.

    Parameters
    ----------
    problem : layers, which of them meet, and what must precede what.

    Returns
    -------
    A count, at least 1.
    """
    count, meets = (
        problem.count,
        OrderProblem(problem.count, problem.sets, problem.cost, problem.before).meets(),
    )
    earlier = [sum(1 << a for a, b in problem.before if b == n) for n in range(count)]
    near = [sum(1 << n for n in range(count) if meets[layer, n]) for layer in range(count)]

    @cache
    def ways(left: int) -> int:
        if not left:
            return 1
        total = 0
        free = [n for n in range(count) if left >> n & 1 and not earlier[n] & left]

        def choose(place: int, chosen: int, barred: int, sign: int) -> None:
            nonlocal total
            for at in range(place, len(free)):
                layer = free[at]
                if barred >> layer & 1:
                    continue
                some = chosen | 1 << layer
                total += sign * ways(left & ~some)
                choose(at + 1, some, barred | near[layer], -sign)

        choose(0, 0, 0, 1)
        return total

    return ways((1 << count) - 1)


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
    Dynamic programming over the sets of layers already printed (Held & Karp 1962).
    """
    count = len(order)
    at = {layer: place for place, layer in enumerate(order)}
    needs = [0] * count
    for one in range(count):
        for other in range(count):
            tied = meets[one, other] or (one, other) in fixed or (other, one) in fixed
            if tied and at[other] < at[one]:
                needs[one] |= 1 << other
    best: dict[tuple[int, int], tuple[float, Order]] = {
        (1 << layer, layer): (0.0, (layer,)) for layer in range(count) if not needs[layer]
    }
    for _ in range(count - 1):
        following: dict[tuple[int, int], tuple[float, Order]] = {}
        for (done, last), (cost, so_far) in best.items():
            for layer in range(count):
                if done >> layer & 1 or needs[layer] & ~done:
                    continue
                key = (done | 1 << layer, layer)
                new = (cost + float(step[last, layer]), (*so_far, layer))
                if key not in following or new < following[key]:
                    following[key] = new
        best = following
    return min(best.values())[1]
