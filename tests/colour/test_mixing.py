"""Recipes: found again, never worse than a dense grid, weighed and put right."""

from itertools import combinations, product

import numpy as np
import pytest
from hypothesis import example, given, settings
from hypothesis import strategies as st

from nomos.colour import Ground, Lab, delta_e00, ink_film
from nomos.colour.mixing import (
    EXTENDER,
    TRACE_DE00,
    Pigment,
    Recipe,
    Underlay,
    choices,
    find_recipes,
    mixture_labs,
    recipe_of,
)
from nomos.colour.weighing import correct, in_parts, thinned_first, weighed

PAPER: Lab = (95.0, 0.0, 3.0)
UNDER = Underlay(Ground.from_lab(PAPER).internal)


def pigment(name: str, lab: Lab, opacity: str = "transparent", cost: float = 5.0) -> Pigment:
    film = ink_film(lab, opacity, PAPER)  # type: ignore[arg-type] # a word
    return Pigment(name, film.absorption, film.scattering, film.k1, cost)


SHELF = [
    pigment("Yellow", (86.0, -4.0, 85.0)), pigment("Red", (45.0, 66.0, 25.0), cost=9.0),
    pigment("Blue", (38.0, 2.0, -48.0)), pigment("Black", (16.0, 0.0, 0.0), cost=2.0),
    pigment("Earth", (48.0, 22.0, 34.0), "semi", 3.0),
]  # fmt: skip


@pytest.mark.thorough
@settings(max_examples=6)
@given(st.sets(st.integers(0, 4), min_size=1, max_size=3), st.integers(0, 10_000))
@example({0, 2, 4}, 0)  # a hundredth of a strong ink beside two others
@example({1, 3, 4}, 3308)  # nearly all black, where the lattice is coarsest
def test_a_mixture_computed_forward_is_found_again(some: set[int], seed: int) -> None:
    """The law: whatever can be mixed, a recipe for it is found."""
    pigments = [*(SHELF[n] for n in sorted(some)), EXTENDER]
    shares = np.random.default_rng(seed).dirichlet(np.ones(len(pigments)))
    lab = mixture_labs(pigments, shares[None], UNDER)[0]
    best = find_recipes((lab[0], lab[1], lab[2]), SHELF, UNDER)[0]
    assert best.de00 < 0.3
    assert sum(best.shares) == pytest.approx(1)


@pytest.mark.thorough
@settings(max_examples=4)
@given(st.integers(0, 10_000))
@example(7011)  # the best has a little extender, the nearest in Lab has none
def test_the_search_is_never_worse_than_a_dense_grid(seed: int) -> None:
    generator = np.random.default_rng(seed)
    wish = generator.dirichlet(np.ones(6) * 0.7)
    lab = mixture_labs([*SHELF, EXTENDER], wish[None], UNDER)[0]
    target = lab + generator.normal(0, 1.5, 3)
    found = find_recipes((target[0], target[1], target[2]), SHELF, UNDER, most_inks=2)[0]
    steps = np.linspace(0, 1, 41)
    dense = np.inf
    for one in range(5):
        for other in range(one + 1, 5):
            grid = np.array([(a, b, 1 - a - b) for a, b in product(steps, steps) if a + b <= 1])
            labs = mixture_labs([SHELF[one], SHELF[other], EXTENDER], grid, UNDER)
            dense = min(dense, float(delta_e00(labs, target).min()))
    # A trace that cannot be weighed is left out where that costs next to nothing.
    assert found.de00 <= dense + TRACE_DE00 + 0.02


@pytest.mark.thorough
def test_a_recipe_over_printed_layers_and_with_white() -> None:
    blue = ink_film((38.0, 2.0, -48.0), "transparent", PAPER)
    below = Underlay(UNDER.internal * np.exp(-2 * blue.absorption))
    target: Lab = (70.0, 10.0, 30.0)
    clear = find_recipes(target, SHELF, below)[0]
    white = pigment("White", (96.0, 0.0, 2.0), "opaque")
    covered = find_recipes(target, SHELF, below, white=white)[0]
    assert covered.de00 < clear.de00 - 10
    assert "White" in covered.names
    assert covered.hiding > clear.hiding


def test_the_choices_are_what_they_are_called() -> None:
    found = find_recipes((55.0, 15.0, 25.0), SHELF, UNDER)
    made = choices(found)
    assert made["best match"].de00 == min(recipe.de00 for recipe in found)
    assert made["fewest inks"].inks <= made["best match"].inks
    assert made["cheapest"].cost <= made["best match"].cost
    assert made["most transparent"].hiding <= made["best match"].hiding + 0.01
    assert choices([]) == {}


def test_weighing_says_what_rounding_costs() -> None:
    target: Lab = (55.0, 15.0, 25.0)
    tubs = [*SHELF, EXTENDER]
    best = find_recipes(target, SHELF, UNDER)[0]
    fine, exact = weighed(best, tubs, 1000.0, target, UNDER)
    coarse, rounded = weighed(best, tubs, 3.0, target, UNDER)
    assert exact.de00 == pytest.approx(best.de00, abs=0.05)
    assert rounded.de00 >= exact.de00 - 0.01
    assert sum(fine.values()) == pytest.approx(1000, abs=0.5)
    assert all(round(grams * 10) == pytest.approx(grams * 10) for grams in coarse.values())
    parts, made = in_parts(best, tubs, target, UNDER)
    assert all(isinstance(count, int) and count >= 1 for count in parts.values())
    assert made.de00 < best.de00 + 2.5


def test_too_little_for_the_scales_is_thinned_first() -> None:
    """A pale tint of which 12 g hold less of an ink than the scales show."""
    tubs = [*SHELF, EXTENDER]
    shares = np.array([0.0, 0.0, 0.03, 0.0018, 0.0, 0.9682])
    lab = mixture_labs(tubs, shares[None], UNDER)[0]
    target: Lab = (float(lab[0]), float(lab[1]), float(lab[2]))
    recipe = recipe_of(target, tubs, shares, UNDER)
    _, straight = weighed(recipe, tubs, 12.0, target, UNDER)
    assert straight.de00 > 0.5
    first = thinned_first(recipe, tubs, 12.0, target, UNDER)
    assert first is not None
    assert set(first.names) <= {"Blue", "Black"}
    assert first.de00 < straight.de00 - 0.2
    assert sum(first.grams.values()) == pytest.approx(12, abs=0.2)
    # Of a kilogram every grain is weighed.
    assert thinned_first(recipe, tubs, 1000.0, target, UNDER) is None


def test_a_batch_gone_wrong_is_put_right_with_little() -> None:
    """Known fault: the batch was mixed with half as much black again."""
    tubs = [*SHELF, EXTENDER]
    target_shares = np.array([0.10, 0.0, 0.12, 0.02, 0.0, 0.76])
    lab = mixture_labs(tubs, target_shares[None], UNDER)[0]
    target: Lab = (float(lab[0]), float(lab[1]), float(lab[2]))
    recipe = recipe_of(target, tubs, target_shares, UNDER)
    wrong = target_shares + np.array([0, 0, 0, 0.02, 0, 0])
    came = mixture_labs(tubs, (wrong / wrong.sum())[None], UNDER)[0]
    found = correct(recipe, tubs, 100.0, (float(came[0]), float(came[1]), float(came[2])), target, UNDER)
    assert found.before > 2
    assert found.de00 < found.before / 3
    # Too dark: extender, chiefly, and colour; never more black.
    assert "Black" not in found.grams
    assert "Extender" in found.grams
    right = correct(recipe, tubs, 100.0, target, target, UNDER)
    assert right.grams == {}
    far = correct(recipe, tubs, 10.0, (20.0, 0.0, 0.0), target, UNDER)
    assert far.again


@pytest.mark.thorough
def test_two_inks_are_never_further_than_brute_force_finds() -> None:
    """Eight random targets (100 by hand): every pair on a dense grid, the best of it polished."""
    generator = np.random.default_rng(2)
    amounts = np.geomspace(0.003, 1, 40)
    grid = np.array([[s * w, s * (1 - w), 1 - s] for s in amounts for w in np.linspace(0, 1, 41)])
    for _ in range(8):
        target = np.array([generator.uniform(35, 88), generator.uniform(-35, 45), generator.uniform(-40, 60)])
        ours = find_recipes(tuple(target), SHELF, UNDER, most_inks=2)
        brute = np.inf
        for pair in combinations(SHELF, 2):
            tubs = [*pair, EXTENDER]
            off = delta_e00(mixture_labs(tubs, grid, UNDER), target)
            near = [grid[int(off.argmin())]]
            for size in (0.02, 0.005, 0.001):
                moves = generator.normal(0, size, (300, 3)) + near[-1]
                moves = np.maximum(moves, 0)
                moves /= moves.sum(axis=1, keepdims=True)
                near.append(moves[int(delta_e00(mixture_labs(tubs, moves, UNDER), target).argmin())])
            brute = min(brute, float(delta_e00(mixture_labs(tubs, np.array(near), UNDER), target).min()))
        assert min(recipe.de00 for recipe in ours) <= brute + 0.05


def made_up(de00: float, inks: int, hiding: float, cost: float) -> Recipe:
    names = (*(f"Ink {n}" for n in range(inks)), "Extender")
    return Recipe(names, (1 / len(names),) * len(names), (50.0, 0.0, 0.0), de00, hiding, cost)


def test_a_choice_gives_up_little_for_what_it_is() -> None:
    near, few, cheap = made_up(0.2, 3, 0.5, 9.0), made_up(1.1, 1, 0.6, 6.0), made_up(1.9, 2, 0.4, 1.0)
    off = made_up(2.1, 1, 0.0, 0.1)
    made = choices([near, few, cheap, off])
    assert made == {
        "best match": near, "fewest inks": few, "cheapest": cheap, "most transparent": cheap,
    }  # fmt: skip
    # What the scales make of it decides which is best.
    assert choices([near, few], [1.5, 1.1])["best match"] is few
    # Where nothing comes near, what is within 1 of the best is good.
    far = [made_up(5.0, 3, 0.5, 9.0), made_up(5.9, 1, 0.5, 8.0), made_up(6.1, 1, 0.1, 1.0)]
    assert choices(far)["fewest inks"] is far[1]
    assert choices(far)["cheapest"] is far[1]


def test_a_trace_is_in_a_recipe_only_where_it_is_seen() -> None:
    """Two thousandths of 50 g are a tenth of a gram, the step of usual scales: less must be worth it."""
    shares = np.array([0.30, 0.0, 0.0, 0.0, 0.0, 0.70])
    lab = mixture_labs([*SHELF, EXTENDER], shares[None], UNDER)[0]
    target: Lab = (float(lab[0]), float(lab[1]), float(lab[2]))
    found = find_recipes(target, SHELF, UNDER)
    assert any(recipe.names == ("Yellow", "Extender") for recipe in found)
    tubs = {tub.name: tub for tub in (*SHELF, EXTENDER)}
    for recipe in found:
        kept = [(tubs[name], share) for name, share in zip(recipe.names, recipe.shares, strict=True)]
        whole = [(tub, share) for tub, share in kept if share >= 0.002]
        if len(whole) == len(kept):
            continue
        weights = np.array([share for _, share in whole])
        without = mixture_labs([tub for tub, _ in whole], (weights / weights.sum())[None], UNDER)[0]
        assert float(delta_e00(without, lab)) > recipe.de00 + TRACE_DE00 / 2


@pytest.mark.parametrize("thickness", [0.75, 1.3])
def test_what_is_added_does_what_is_said_at_any_film(thickness: float) -> None:
    """A batch half as black again as meant, put right: the true tubs mixed show what was foretold."""
    under, tubs = Underlay(UNDER.internal, thickness), [*SHELF, EXTENDER]
    shares = np.array([0.10, 0.0, 0.12, 0.02, 0.0, 0.76])
    seen = mixture_labs(tubs, np.array([shares, shares + np.array([0, 0, 0, 0.02, 0, 0])]) / [[1.0], [1.02]], under)
    target, came = ((float(lab[0]), float(lab[1]), float(lab[2])) for lab in seen)
    found = correct(recipe_of(target, tubs, shares, under), tubs, 100.0, came, target, under)
    assert found.de00 < found.before / 3
    grams = 100 * (shares + np.array([0, 0, 0, 0.02, 0, 0])) / 1.02
    grams += [found.grams.get(tub.name, 0.0) for tub in tubs]
    true = mixture_labs(tubs, (grams / grams.sum())[None], under)[0]
    assert float(delta_e00(true, np.array(found.lab))) < 0.7
