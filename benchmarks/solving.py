"""The overprint solver on 12 fields, 24 inks at 3 strengths and 5 blocks, beside exhaustive search."""

import time
from itertools import product

import numpy as np

from benchmarks.timing import Line, Section
from nomos.separation.candidates import Shelf
from nomos.separation.plans import CandidateInk, SolverRequest, Wish
from nomos.separation.solver import solve

PAPER = (95.0, 0.0, 3.0)
FIELDS, INKS, BLOCKS = 12, 24, 5


def some_request(fields: int, inks: int, blocks: int, *, refine: bool) -> SolverRequest:
    """Random wishes and inks, the same every time."""
    generator = np.random.default_rng(12)
    wishes = tuple(
        Wish((float(light), float(a), float(b)), float(area))
        for light, a, b, area in zip(
            generator.uniform(30, 90, fields), *generator.uniform(-35, 35, (2, fields)),
            generator.uniform(10, 100, fields), strict=True,
        )
    )  # fmt: skip
    shelf = []
    for number in range(inks):
        hue, chroma = generator.uniform(0, 2 * np.pi), generator.uniform(10, 42)
        lab = (float(generator.uniform(35, 75)), float(chroma * np.cos(hue)), float(chroma * np.sin(hue)))
        shelf.append(CandidateInk(f"ink {number}", lab, "transparent" if number % 4 else "semi", (1.0, 0.5, 0.25)))
    return SolverRequest(PAPER, wishes, tuple(shelf), blocks, refine=refine)


def measure() -> Section:
    """Time of the whole job, and cost beside the optimum where all sequences can be tried."""
    start = time.perf_counter()
    plans = solve(some_request(FIELDS, INKS, BLOCKS, refine=True))
    whole_s = time.perf_counter() - start
    small = some_request(FIELDS, INKS, 3, refine=False)
    start = time.perf_counter()
    ours = solve(small)[-1][0].cost
    ours_s = time.perf_counter() - start
    shelf = Shelf(small)
    sequences = np.array(list(product(range(len(shelf.entries)), repeat=3)), np.intp)
    start = time.perf_counter()
    optimum = float(shelf.costs(sequences).min())
    exhaustive_s = time.perf_counter() - start
    per_sequence = exhaustive_s / len(sequences)
    all_s = per_sequence * 4 * len(shelf.entries) ** BLOCKS  # five layers cost about four times three
    return Section(
        f"Overprint solver, {FIELDS} fields, {INKS} inks at 3 strengths",
        (
            Line(
                f"Plans with 1 to {BLOCKS} blocks, refined", f"{whole_s:.1f} s",
                f"mean ΔE00 {plans[-1][0].mean_de00:.1f} at {BLOCKS} blocks",
            ),
            Line("Plans with 1 to 3 blocks, not refined", f"{ours_s:.1f} s", f"cost {ours:.3f}"),
            Line(
                f"Exhaustive search, 3 blocks, {len(sequences):,} sequences", f"{exhaustive_s:.1f} s",
                f"optimum {optimum:.3f}; ours {100 * (ours / optimum - 1):.1f} % above, aim at most 5 %",
            ),
            Line(
                f"Exhaustive search, {BLOCKS} blocks", f"{all_s / 86400:.0f} days",
                "extrapolated from 3 blocks",
            ),
        ),
        "met" if ours <= 1.05 * optimum else "missed",
    )  # fmt: skip
