"""The best print order of 8 and 10 impressions, beside trying every permutation with the same costs."""

import time
from itertools import combinations, cycle, islice, permutations
from math import factorial

import numpy as np

from benchmarks.timing import Line, Section
from nomos.colour import Ground, delta_e00, ink_film, overprints, reflectance_to_lab
from nomos.colour.ink import Opacity
from nomos.order.search import Order, OrderProblem, search_orders

PAPER = (95.0, 0.0, 3.0)
# Permutations of ten are too many to wait for: so many are timed, and the rest reckoned.
_SAMPLE = 20_000


def problem_of(count: int) -> OrderProblem:
    """Overlaps of two and three, wanted colours those of one hidden order, as of a real print."""
    generator = np.random.default_rng(count)
    words: tuple[Opacity, ...] = ("transparent", "semi", "opaque", "semi")
    films = [
        ink_film((float(light), *map(float, generator.uniform(-14, 14, 2))), word, PAPER)
        for light, word in zip(generator.uniform(25, 80, count), cycle(words), strict=False)
    ]
    every = [s for size in (2, 3) for s in combinations(range(count), size)]
    sets = tuple(sorted({every[n] for n in generator.choice(len(every), 2 * count, replace=False)}))
    hidden = generator.permutation(count)
    ground = Ground.from_lab(PAPER)

    def labs(orders: list[Order]) -> np.ndarray:
        rows = [overprints(ground, [films[n] for n in o], np.ones((1, len(o)), bool))[0] for o in orders]
        return reflectance_to_lab(np.array(rows))

    wanted = {s: labs([tuple(int(n) for n in hidden if n in s)])[0] for s in sets}

    def cost(some: Order, orders: list[Order]) -> np.ndarray:
        return np.asarray(delta_e00(labs(list(orders)), wanted[some])) / len(sets)

    return OrderProblem(count, sets, cost)  # type: ignore[arg-type] # lists for sequences


def measure() -> Section:
    """Both with the costs of all orders of every overlap worked out beforehand."""
    lines = []
    agree = True
    for count in (8, 10):
        problem = problem_of(count)
        start = time.perf_counter()
        found = search_orders(problem)
        ours = time.perf_counter() - start
        tables = {
            s: dict(zip(permutations(s), problem.cost(s, list(permutations(s))), strict=True)) for s in problem.sets
        }
        start = time.perf_counter()
        tried = list(islice(permutations(range(count)), factorial(count) if count < 9 else _SAMPLE))
        least = min(sum(tables[s][tuple(n for n in order if n in s)] for s in problem.sets) for order in tried)
        plain = (time.perf_counter() - start) * factorial(count) / len(tried)
        agree = agree and (count > 8 or abs(least - found.orders[0][0]) < 1e-9) and found.exact
        note = "all tried" if count < 9 else f"reckoned from {_SAMPLE:,} of them"
        lines += [
            Line(f"{count} impressions: branch and bound", f"{ours:.2f} s", "exact" if found.exact else ""),
            Line(f"{count} impressions: every permutation", f"{plain:.1f} s", note),
        ]
    return Section("The best print order", tuple(lines), "met: the same best order" if agree else "missed")
