"""Recipes from a shelf of eleven inks, beside a dense grid over the same."""

from importlib.resources import files
from itertools import combinations
from pathlib import Path

import numpy as np

from benchmarks.timing import Line, Section, side_by_side
from nomos.colour import Ground, delta_e00
from nomos.colour.mixing import EXTENDER, Underlay, find_recipes, mixture_labs
from nomos.formats.shelf import read_inks
from nomos.project.inks.mixing import tubs_of

PAPER = (95.0, 0.0, 3.0)
TARGETS = ((52.0, 18.0, 30.0), (61.0, -20.0, 10.0), (40.0, 8.0, -30.0))
_STEPS = 41


def measure() -> Section:
    """Two inks and extender at most, so that the grid can be run at all."""
    shelf = read_inks(Path(str(files("nomos.demo").joinpath("shelf.csv"))))
    inks = tubs_of([each.ink for each in shelf], Ground.from_lab(PAPER)).inks
    under = Underlay(Ground.from_lab(PAPER).internal)
    steps = np.linspace(0, 1, _STEPS)
    grid = np.array([(a, b, 1 - a - b) for a in steps for b in steps if a + b <= 1 + 1e-9])

    def ours() -> list[float]:
        return [find_recipes(target, inks, under, most_inks=2)[0].de00 for target in TARGETS]

    def dense() -> list[float]:
        best = [np.inf] * len(TARGETS)
        for one, other in combinations(inks, 2):
            labs = mixture_labs([one, other, EXTENDER], grid, under)
            best = [min(b, float(delta_e00(labs, np.array(t)).min())) for b, t in zip(best, TARGETS, strict=True)]
        return best

    here, there = side_by_side(ours, dense, repeats=3)
    off, off_grid = float(np.mean(ours())), float(np.mean(dense()))
    return Section(
        "Three recipes of at most two inks and extender, from eleven inks",
        (
            Line("search and refinement", f"{here:.2f} s", f"mean ΔE00 {off:.2f}"),
            Line("dense grid, 2.5 % steps (NumPy)", f"{there:.2f} s", f"mean ΔE00 {off_grid:.2f}"),
        ),
        "met: never further from the target than the grid" if off <= off_grid + 0.01 else "missed",
    )
