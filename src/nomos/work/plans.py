"""Plans with few blocks whose overlaps give further colours."""

from dataclasses import dataclass, replace
from typing import ClassVar, Literal

from nomos.base.language import tr
from nomos.base.progress import Part, Progress, show
from nomos.carving import MATERIALS
from nomos.carving.effort import rough_hours
from nomos.carving.materials import tools_for
from nomos.project import Project
from nomos.project.blocks.plans import (
    PROCESS_INKS,
    Reach,
    ShelfInk,
    candidates_of,
    inks_in_use,
    kept_key,
    nearest_reachable,
    plan_costs,
    planned_colours,
    solver_request,
    with_plan,
)
from nomos.project.inks.colour_uncertainty import plan_sureness
from nomos.project.inks.films import stock_of
from nomos.project.order.days import days_needed
from nomos.separation.fields import Borders
from nomos.separation.plans import CandidateInk, Plan, mixable_inks
from nomos.separation.solver import solve
from nomos.work.cut import Cut
from nomos.work.request import Ask, held

InkSource = Literal["own", "mix", "process", "shelf", "studio"]
DEFAULT_BLOCKS = 5
# A mean that differs by less is not seen side by side; chosen by us.
_SEEN_DE00 = 0.5


@dataclass(frozen=True)
class Wanted:
    """What plans are looked for: inks from where, how many blocks at most (the key among them).

    wishes : number of a flat colour and `match` or `single`.
    uses : name of an ink and `must` or `not`.
    """

    source: InkSource = "mix"
    most_blocks: int = DEFAULT_BLOCKS
    keep_key: bool = True
    shelf: tuple[ShelfInk, ...] = ()
    wishes: tuple[tuple[int, str], ...] = ()
    uses: tuple[tuple[str, str], ...] = ()
    seed: int = 0

    def with_wish(self, number: int, wish: str) -> "Wanted":
        """With another wish for a flat colour; `none` takes it back."""
        others = tuple(each for each in self.wishes if each[0] != number)
        return replace(self, wishes=others if wish == "none" else (*others, (number, wish)))

    def with_next_use(self, ink: str) -> "Wanted":
        """With the next of may, must and must not for an ink."""
        now = dict(self.uses).get(ink, "may")
        following = {"may": "must", "must": "not", "not": "may"}[now]
        others = tuple(each for each in self.uses if each[0] != ink)
        return replace(self, uses=others if following == "may" else (*others, (ink, following)))


@dataclass(frozen=True)
class PlanFigures:
    """What a plan asks: hours to cut its colour blocks, and days from the first pull to the last."""

    hours: float
    days: int


@dataclass(frozen=True)
class Found:
    """The plans of a search, by number of colour blocks; `done` once it has ended.

    reach : for each flat colour the nearest that two of the inks at most can give.
    within : of each plan how sure its worst colour is, ΔE00. figures : what each plan asks.
    """

    plans: tuple[tuple[Plan, ...], ...] = ()
    done: bool = False
    reach: tuple[tuple[int, Reach], ...] = ()
    within: tuple[tuple[Plan, float], ...] = ()
    figures: tuple[tuple[Plan, PlanFigures], ...] = ()

    @property
    def enough(self) -> int | None:
        """The fewest colour blocks after which no further one brings the colours visibly nearer."""
        means = [min((plan.mean_de00 for plan in row), default=None) for row in self.plans]
        known = [(count, mean) for count, mean in enumerate(means, start=1) if mean is not None]
        if not known:
            return None
        best = min(mean for _, mean in known)
        return next(count for count, mean in known if mean - best < _SEEN_DE00)


@dataclass(frozen=True)
class Plans:
    """A search for plans."""

    project: Project
    cut: Cut
    wanted: Wanted
    said: ClassVar[str] = tr("looking for plans")

    def work(self, ask: Ask, progress: Progress) -> Found:
        """Look for them, showing better ones as they are found. Raises BadInput."""
        project, wanted = self.project, self.wanted
        borders = ask(self.cut, Part(progress, 0.0, 0.1)).borders
        assert project.flat is not None
        inks = candidates(project, wanted)
        numbers = planned_colours(project, keep_key=wanted.keep_key)
        key = wanted.keep_key and kept_key(project) is not None
        request = solver_request(
            project, borders, inks, max(1, wanted.most_blocks - key), keep_key=wanted.keep_key,
            must=[ink for ink, use in wanted.uses if use == "must"],
            must_not=[ink for ink, use in wanted.uses if use == "not"],
            must_match=[n for n, wish in wanted.wishes if wish == "match" and n in numbers],
            single=[n for n, wish in wanted.wishes if wish == "single" and n in numbers],
            seed=wanted.seed,
        )  # fmt: skip
        so_far: list[tuple[Plan, ...]] = []

        def better(blocks: int, plan: Plan) -> None:
            so_far.extend([()] * (blocks - len(so_far)))
            so_far[blocks - 1] = (plan,)
            show(progress, Found(tuple(so_far)))

        plans = solve(request, progress=Part(progress, 0.2, 1.0), better=better)
        bare = project.bare_colours()
        colours = {n: project.flat.colours[n].lab for n in numbers if n not in bare}
        reach = nearest_reachable(stock_of(project), colours, inks, progress=Part(progress, 0.1, 0.2))
        sure = tuple((plan, _worst_within(project, plan)) for row in plans for plan in row)
        figures = tuple((plan, _figures(project, borders, plan, wanted)) for row in plans for plan in row)
        return Found(plans, True, tuple(sorted(reach.items())), sure, figures)


def _figures(project: Project, borders: Borders, plan: Plan, wanted: Wanted) -> PlanFigures:
    costs, craft = plan_costs(project, borders, plan, keep_key=wanted.keep_key), project.craft
    hours = rough_hours(
        costs.outline_mm, costs.clear_area_mm2, tools_for(craft.material, craft.tools),
        MATERIALS[craft.material],
        craft.factor,
    )  # fmt: skip
    return PlanFigures(hours, days_needed(with_plan(project, plan, keep_key=wanted.keep_key)))


def _worst_within(project: Project, plan: Plan) -> float:
    place = max(range(len(plan.de00)), key=lambda n: plan.de00[n])
    return float(plan_sureness(stock_of(project), plan).within[place])


def candidates(project: Project, wanted: Wanted) -> tuple[CandidateInk, ...]:
    """The inks that plans are made of. Raises ColourError."""
    if wanted.source == "process":
        return PROCESS_INKS
    if wanted.source in ("shelf", "studio"):
        return candidates_of(wanted.shelf, project)
    if wanted.source == "own":
        return inks_in_use(project)
    assert project.flat is not None
    bare = project.bare_colours()
    numbers = planned_colours(project, keep_key=wanted.keep_key)
    return mixable_inks(stock_of(project), [project.flat.colours[n].lab for n in numbers if n not in bare])


def ink_names(project: Project, wanted: Wanted) -> frozenset[str]:
    """What the inks are called that plans are made of; those still to be mixed have no names."""
    if wanted.source == "process":
        return frozenset(ink.name for ink in PROCESS_INKS)
    if wanted.source in ("shelf", "studio"):
        return frozenset(each.ink.name for each in wanted.shelf)
    return frozenset(ink.name for ink in project.inks) if wanted.source == "own" else frozenset()


def plans_of(project: Project, cut: Cut, wanted: Wanted) -> Plans:
    """The request for plans for a project's flat design."""
    own = held(
        project, "flat", "inks", "paper", "blocks", "impressions", "register", "craft", "times", "plan",
        "workshop",
    )  # fmt: skip
    return Plans(own, cut, wanted)
