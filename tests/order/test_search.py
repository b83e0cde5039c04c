"""The order search against trying every permutation, and the count of outcomes against building them."""

from itertools import combinations, pairwise, permutations

import numpy as np
import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from nomos.colour import Film, Ground, Lab, delta_e00, ink_film, overprints, reflectance_to_lab
from nomos.order.extension import cheapest_extension
from nomos.order.outcomes import distinct_outcomes
from nomos.order.search import Order, OrderProblem, search_orders

PAPER: Lab = (95.0, 0.0, 3.0)
GROUND = Ground.from_lab(PAPER)


def problem_of(count: int, seed: int, before: frozenset[tuple[int, int]] = frozenset()) -> OrderProblem:
    """Inks, transparent and opaque, sets of them that overlap, and wanted colours for those sets."""
    generator = np.random.default_rng(seed)
    words = ("transparent", "semi", "opaque")
    films: list[Film] = [
        ink_film(
            (float(generator.uniform(25, 85)), *map(float, generator.uniform(-12, 12, 2))),
            words[int(generator.integers(3))],  # type: ignore[arg-type] # a word
            PAPER,
        )
        for _ in range(count)
    ]
    every = [s for size in (1, 2, 3) for s in combinations(range(count), min(size, count))]
    sets = tuple(sorted({every[n] for n in generator.integers(0, len(every), count + 2)}))
    wanted = {some: np.array((generator.uniform(20, 90), *generator.uniform(-30, 30, 2))) for some in sets}

    def cost(some: Order, orders: list[Order]) -> np.ndarray:
        labs = [
            reflectance_to_lab(overprints(GROUND, [films[n] for n in order], np.ones((1, len(order)), bool))[0])
            for order in orders
        ]
        return np.asarray(delta_e00(np.array(labs), wanted[some])) / len(sets)

    return OrderProblem(count, sets, cost, before)  # type: ignore[arg-type] # a list for a sequence


def cost_of(problem: OrderProblem, order: Order) -> float:
    return sum(float(problem.cost(some, [tuple(n for n in order if n in some)])[0]) for some in problem.sets)


@settings(max_examples=40)
@given(st.integers(1, 6), st.integers(0, 100_000), st.booleans())
def test_no_permutation_is_better(count: int, seed: int, ruled: bool) -> None:
    before = frozenset({(0, count - 1)}) if ruled and count > 1 else frozenset()
    problem = problem_of(count, seed, before)
    allowed = [order for order in permutations(range(count)) if all(order.index(a) < order.index(b) for a, b in before)]
    tables = {
        some: dict(zip(permutations(some), problem.cost(some, list(permutations(some))), strict=True))
        for some in problem.sets
    }
    costs = {
        order: sum(float(tables[some][tuple(n for n in order if n in some)]) for some in problem.sets)
        for order in allowed
    }
    found = search_orders(problem)
    assert found.exact
    least, best = found.orders[0]
    assert abs(least - min(costs.values())) < 1e-9
    assert abs(costs[best] - least) < 1e-9


@settings(max_examples=25)
@given(st.integers(4, 6), st.integers(0, 100_000), st.integers(3, 400), st.sampled_from([0, 4, 100]))
def test_a_search_that_stops_first_says_how_far_it_may_be_off(count: int, seed: int, nodes: int, tabled: int) -> None:
    problem = problem_of(count, seed, frozenset({(0, count - 1)}))
    least = search_orders(problem).orders[0][0]
    with pytest.MonkeyPatch.context() as patch:
        patch.setattr("nomos.order.search._MOST_NODES", nodes)
        patch.setattr("nomos.order.search._TABLED", tabled)
        found = search_orders(problem)
    best, order = found.orders[0]
    assert order.index(0) < order.index(count - 1)
    assert cost_of(problem, order) == pytest.approx(best)
    assert best - found.gap - 1e-9 <= least <= best + 1e-9
    assert found.exact == (found.gap <= 1e-9)


@settings(max_examples=60)
@given(st.integers(1, 6), st.floats(0, 1), st.floats(0, 0.6), st.integers(0, 100_000))
def test_outcomes_are_the_acyclic_ways_to_stand(count: int, met: float, ruled: float, seed: int) -> None:
    generator = np.random.default_rng(seed)
    rank = generator.permutation(count)
    pairs = list(combinations(range(count), 2))
    sets = tuple(pair for pair in pairs if generator.random() < met)
    before = frozenset((a, b) if rank[a] < rank[b] else (b, a) for a, b in pairs if generator.random() < ruled)
    tied = {*sets, *(tuple(sorted(pair)) for pair in before)}
    ways = {
        tuple(order.index(a) < order.index(b) for a, b in sorted(tied))
        for order in permutations(range(count))
        if all(order.index(a) < order.index(b) for a, b in before)
    }
    problem = OrderProblem(count, sets, lambda _, orders: np.zeros(len(orders)), before)
    assert distinct_outcomes(problem) == len(ways)


def test_seventeen_layers_in_a_ring_are_counted_as_the_chromatic_polynomial_says() -> None:
    # A ring of n has 2^n - 2 acyclic orientations (Stanley 1973: the chromatic polynomial at -1).
    ring = (*((n, n + 1) for n in range(16)), (0, 16))
    problem = OrderProblem(17, ring, lambda _, orders: np.zeros(len(orders)))
    assert distinct_outcomes(problem) == 2**17 - 2


def test_twenty_four_free_layers_are_put_in_a_cheap_order() -> None:
    # Each is cheap to print after its neighbour alone: the chain is the one best order.
    step = np.ones((24, 24))
    step[np.arange(23), np.arange(1, 24)] = 0.0
    tangled = tuple(int(n) for n in np.argsort(np.arange(24) + np.random.default_rng(4).uniform(0, 9, 24)))
    assert cheapest_extension(tangled, np.zeros((24, 24), bool), step) == tuple(range(24))


@settings(max_examples=25)
@given(st.integers(2, 5), st.integers(0, 100_000))
def test_outcomes_are_counted_as_the_search_builds_them(count: int, seed: int) -> None:
    problem = problem_of(count, seed)
    sheets = {
        tuple(tuple(n for n in order if n in some) for some in problem.sets) for order in permutations(range(count))
    }
    assert distinct_outcomes(problem) == len(sheets)
    everything = search_orders(problem, slack=1e9, keep=10_000)
    assert len(everything.orders) == len(sheets)


@settings(max_examples=25)
@given(st.integers(2, 6), st.integers(0, 100_000))
def test_the_cheapest_of_the_orders_with_one_sheet(count: int, seed: int) -> None:
    problem = problem_of(count, seed)
    step = np.random.default_rng(seed).random((count, count))
    order = tuple(int(n) for n in np.random.default_rng(seed + 1).permutation(count))
    meets = problem.meets()

    def steps(some: Order) -> float:
        return float(sum(step[one, other] for one, other in pairwise(some)))

    def same_sheet(other: Order) -> bool:
        return all(
            (order.index(a) < order.index(b)) == (other.index(a) < other.index(b))
            for a, b in combinations(range(count), 2)
            if meets[a, b]
        )

    found = cheapest_extension(order, meets, step)
    assert same_sheet(found)
    assert steps(found) <= min(steps(o) for o in permutations(range(count)) if same_sheet(o)) + 1e-9


def test_a_pinned_layer_stands_where_it_was_pinned() -> None:
    problem = problem_of(5, 3)
    pinned = OrderProblem(5, problem.sets, problem.cost, pins={2: 0, 4: 3})
    found = search_orders(pinned, slack=1e9, keep=500)
    assert all(order[0] == 2 and order[3] == 4 for _, order in found.orders)
    free = [o for o in permutations(range(5)) if o[0] == 2 and o[3] == 4]
    assert abs(found.orders[0][0] - min(cost_of(problem, o) for o in free)) < 1e-9
