"""The overprint solver against exhaustive search, its laws, and its constraints."""

from itertools import pairwise, product

import numpy as np
import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from nomos.base.errors import BadInput
from nomos.base.progress import Cancelled
from nomos.colour import Ground, Lab, ink_film, overprints, reflectance_to_lab
from nomos.colour.stacks import FilmTable, stack_labs
from nomos.separation import solver
from nomos.separation.candidates import Shelf
from nomos.separation.plans import CandidateInk, Plan, SolverRequest, Wish, mixable_inks
from nomos.separation.solver import solve

PAPER: Lab = (95.0, 0.0, 2.0)
PROCESS = (
    CandidateInk("yellow", (88.0, -4.0, 80.0)),
    CandidateInk("red", (50.0, 62.0, 0.0)),
    CandidateInk("blue", (52.0, -25.0, -45.0)),
)


def some_inks(generator: np.random.Generator, count: int, strengths: tuple[float, ...]) -> tuple[CandidateInk, ...]:
    inks = []
    for number in range(count):
        hue, chroma = generator.uniform(0, 2 * np.pi), generator.uniform(10, 42)
        lab = (float(generator.uniform(35, 75)), float(chroma * np.cos(hue)), float(chroma * np.sin(hue)))
        opacity = ("transparent", "transparent", "semi", "opaque")[int(generator.integers(0, 4))]
        inks.append(CandidateInk(f"ink {number}", lab, opacity, strengths))  # type: ignore[arg-type]
    return tuple(inks)


def some_wishes(generator: np.random.Generator, count: int) -> tuple[Wish, ...]:
    labs = np.stack([generator.uniform(25, 90, count), *generator.uniform(-35, 35, (2, count))], axis=-1)
    return tuple(Wish((float(a), float(b), float(c)), float(generator.uniform(5, 100))) for a, b, c in labs)


def optimum(request: SolverRequest, layers: int) -> float:
    """The least cost of all ordered choices of films."""
    shelf = Shelf(request)
    sequences = np.array(list(product(range(len(shelf.entries)), repeat=layers)), np.intp)
    return float(shelf.costs(sequences).min())


@pytest.mark.thorough
def test_never_more_than_1_percent_above_the_optimum(monkeypatch: pytest.MonkeyPatch) -> None:
    """Random cases against every sequence there is, the search made to do without trying them all.

    All of the first 300 seeds hold; so many run here.
    """
    monkeypatch.setattr(solver, "MOST_TRIED", 30_000)
    monkeypatch.setattr(solver, "_ALL_TRIED", 0)
    for seed in range(40):
        generator = np.random.default_rng(seed)
        inks = some_inks(generator, int(generator.integers(3, 6)), (1.0, 0.5))
        wishes = some_wishes(generator, int(generator.integers(4, 9)))
        layers = int(generator.integers(2, 4))
        request = SolverRequest(PAPER, wishes, inks, layers, refine=False, seed=seed)
        best = solve(request)[-1][0]
        assert best.cost <= 1.01 * optimum(request, layers) + 1e-9, seed


@pytest.mark.thorough
def test_strengths_are_never_worse_than_a_grid_of_five() -> None:
    for seed in range(12):
        generator = np.random.default_rng(100 + seed)
        inks = some_inks(generator, 5, (1.0, 0.5, 0.2))
        wishes = some_wishes(generator, 6)
        best = solve(SolverRequest(PAPER, wishes, inks, 3, seed=seed))[-1][0]
        ground = Ground.from_lab(PAPER)
        levels = np.linspace(0.2, 1, 5)
        films = [ink_film(ink.lab, ink.opacity, ground, x) for ink in best.inks for x in levels]
        count = len(best.inks)
        sequences = np.array([[5 * n + at for n, at in enumerate(some)] for some in product(range(5), repeat=count)])
        shelf = Shelf(SolverRequest(PAPER, wishes, inks, 3))
        grid = float(shelf.costs_of_films(FilmTable.of(films), sequences).min())
        assert best.cost <= grid + 1e-6


def test_blocks_that_gain_nothing_are_not_offered() -> None:
    """Two fields, each one of the inks itself: a third block has nothing to do."""
    wishes = (Wish(PROCESS[0].lab, 10.0), Wish(PROCESS[1].lab, 10.0))
    plans = solve(SolverRequest(PAPER, wishes, PROCESS, 5))
    assert len(plans) == 2
    assert plans[-1][0].worst_de00 < 0.1


def test_many_stacks_at_once_are_the_same_as_one_by_one() -> None:
    generator = np.random.default_rng(4)
    inks = some_inks(generator, 6, (1.0, 0.3))
    ground = Ground.from_lab(PAPER)
    films = [ink_film(ink.lab, ink.opacity, PAPER, s) for ink in inks for s in ink.strengths]
    sequences = generator.integers(0, len(films), (8, 4))
    together = stack_labs(ground, FilmTable.of(films), sequences)
    for sequence, labs in zip(sequences, together, strict=True):
        one = reflectance_to_lab(overprints(ground, [films[n] for n in sequence]))
        np.testing.assert_allclose(labs, one, atol=1e-6)


def colours_of(plan: Plan) -> list[Lab]:
    """What the plan's own blocks and inks give, worked out the long way."""
    ground = Ground.from_lab(PAPER)
    found = []
    for members in plan.members:
        films = [ink_film(i.lab, i.opacity, PAPER, i.strength) for i in (plan.inks[n] for n in members)]
        lab = reflectance_to_lab(overprints(ground, films, np.ones((1, len(films)), bool)))[0]
        found.append((float(lab[0]), float(lab[1]), float(lab[2])))
    return found


@pytest.mark.thorough
@settings(max_examples=10)
@given(st.integers(0, 10_000))
def test_a_plan_prints_what_it_says(seed: int) -> None:
    generator = np.random.default_rng(seed)
    request = SolverRequest(PAPER, some_wishes(generator, 6), some_inks(generator, 6, (1.0, 0.4)), 3, restarts=2)
    for plans in solve(request):
        for plan in plans:
            np.testing.assert_allclose(plan.printed, colours_of(plan), atol=1e-6)
            assert plan.worst_de00 == pytest.approx(max(plan.de00))


@pytest.mark.thorough
def test_more_blocks_are_never_worse_and_the_same_seed_gives_the_same() -> None:
    generator = np.random.default_rng(7)
    request = SolverRequest(PAPER, some_wishes(generator, 8), some_inks(generator, 8, (1.0, 0.5)), 5, restarts=3)
    plans = solve(request)
    costs = [each[0].cost for each in plans]
    assert all(later <= earlier + 0.05 for earlier, later in pairwise(costs))
    assert [each[0].inks for each in solve(request)] == [each[0].inks for each in plans]
    assert [len(each[0].inks) for each in plans] == list(range(1, len(plans) + 1))


def test_known_overprints_are_found_again() -> None:
    """The law: colours printed from three known inks are separated into the same three, exactly."""
    ground = Ground.from_lab(PAPER)
    films = [ink_film(ink.lab, ink.opacity, PAPER) for ink in PROCESS]
    labs = reflectance_to_lab(overprints(ground, films))
    wishes = tuple(Wish((float(a), float(b), float(c)), 10.0) for a, b, c in labs)
    decoys = some_inks(np.random.default_rng(3), 5, (1.0,))
    plan = solve(SolverRequest(PAPER, wishes, (*decoys, *PROCESS), 3, refine=False))[-1][0]
    assert {ink.name for ink in plan.inks} == {"yellow", "red", "blue"}
    assert plan.worst_de00 < 0.1
    for combination, members in enumerate(plan.members):
        wanted = {PROCESS[n].name for n in range(3) if combination >> n & 1}
        assert {plan.inks[n].name for n in members} == wanted


def test_constraints_are_kept() -> None:
    generator = np.random.default_rng(11)
    inks = some_inks(generator, 8, (1.0, 0.5))
    wishes = list(some_wishes(generator, 6))
    wishes[0] = Wish(wishes[0].lab, 50.0, bare=True)
    wishes[1] = Wish(wishes[1].lab, 50.0, single=True)
    request = SolverRequest(PAPER, tuple(wishes), inks, 4, must=("ink 5",), must_not=("ink 0", "ink 1"))
    for plans in solve(request):
        for plan in plans:
            names = {ink.name for ink in plan.inks}
            assert "ink 5" in names
            assert not names & {"ink 0", "ink 1"}
            assert plan.members[0] == ()
            assert len(plan.members[1]) <= 1
            for ink in plan.inks:
                assert 0.5 <= ink.strength <= 1.0


def test_a_colour_that_must_match_is_matched_better() -> None:
    generator = np.random.default_rng(21)
    wishes = list(some_wishes(generator, 7))
    inks = some_inks(generator, 8, (1.0, 0.5))
    free = solve(SolverRequest(PAPER, tuple(wishes), inks, 3))[-1][0]
    worst = int(np.argmax(free.de00))
    wishes[worst] = Wish(wishes[worst].lab, wishes[worst].weight, must_match=True)
    bound = solve(SolverRequest(PAPER, tuple(wishes), inks, 3))[-1][0]
    assert bound.de00[worst] < free.de00[worst]


def test_inks_still_to_be_mixed_are_adjusted() -> None:
    wanted: list[Lab] = [(80.0, 5.0, 50.0), (45.0, 40.0, 20.0), (50.0, -20.0, -20.0)]
    inks = mixable_inks(PAPER, wanted)
    plan = solve(SolverRequest(PAPER, tuple(Wish(lab, 1.0) for lab in wanted), inks, 3, restarts=2))[-1][0]
    assert plan.worst_de00 < 1.0
    assert plan.reached == 3


def test_it_reports_better_plans_and_can_be_called_off() -> None:
    generator = np.random.default_rng(5)
    request = SolverRequest(PAPER, some_wishes(generator, 6), some_inks(generator, 6, (1.0,)), 3)
    told: list[tuple[int, float]] = []
    solve(request, better=lambda blocks, plan: told.append((blocks, plan.cost)))
    assert {blocks for blocks, _ in told} == {1, 2, 3}
    for blocks in (1, 2, 3):
        costs = [cost for number, cost in told if number == blocks]
        assert costs == sorted(costs, reverse=True)
    reports: list[float] = []

    class Stop:
        def report(self, fraction: float, message: str) -> None:  # noqa: ARG002
            reports.append(fraction)
            if len(reports) > 5:
                raise Cancelled

    with pytest.raises(Cancelled):
        solve(request, progress=Stop())
    assert reports == sorted(reports)


@pytest.mark.parametrize(
    ("change", "words"),
    [
        ({"wishes": ()}, "flatten a design"),
        ({"most_blocks": 0}, "1 to 8"),
        ({"inks": ()}, "No ink"),
        ({"must": ("gold",)}, "gold"),
        ({"must_not": ("yellow", "red", "blue")}, "No ink is left"),
    ],
)
def test_what_cannot_be_asked_is_refused(change: dict[str, object], words: str) -> None:
    asked = {"paper": PAPER, "wishes": (Wish((50.0, 0.0, 0.0), 1.0),), "inks": PROCESS, "most_blocks": 2, **change}
    with pytest.raises(BadInput, match=words):
        solve(SolverRequest(**asked))  # type: ignore[arg-type]
