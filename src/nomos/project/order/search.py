"""From a project to its print orders: what is wanted of them, the best, and what each costs."""

from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from datetime import date

import numpy as np
from msgspec.structs import replace
from numpy.typing import NDArray

from nomos.base.language import tr
from nomos.base.progress import NULL_PROGRESS, Part, Progress
from nomos.order import reasons
from nomos.order.calendar import plan_days
from nomos.order.extension import cheapest_extension
from nomos.order.outcomes import distinct_outcomes
from nomos.order.search import OrderProblem, search_orders
from nomos.order.washing import WEIGHT, cleaning
from nomos.project.blocks.pulls import in_rule_order, layers
from nomos.project.model import Project, ProjectError
from nomos.project.model.sheets import planned_sheets
from nomos.project.order.costs import Allowed, OrderCosts
from nomos.project.order.days import A_MONDAY, runs_of
from nomos.project.sheet.laying import LaidSheet, colour_matches, mean_difference, sheet_labs
from nomos.separation.fields import Borders

SCHOOLS: dict[str, tuple[str, str]] = {
    "free": (tr("No rule"), tr("Every order is tried; the colours decide.")),
    "light-to-dark": (
        tr("Light to dark, key last"), tr("The usual rule: a darker ink covers a lighter one's edge.")
    ),
    "key-first": (tr("Key first, as the guide"),
    tr("It shows where colours go; transparent ones knock it back.")),
    "yellow-late": (tr("Yellow late"), tr("Yellow is easily overwhelmed; printed late it keeps its light.")),
    "line-under": (
        tr("Line under a transparent colour"),
        tr("The last transparent colour lies over the lines and softens them.")
    ),
}  # fmt: skip
# Orders as good as this beside the best are compared on wash-ups and days.
_SLACK_DE00, _KEPT, _PLANNED = 1.5, 120, 40
_YELLOW_HUE, _YELLOW_CHROMA = (65.0, 112.0), 28.0


@dataclass(frozen=True)
class OrderChoice:
    """One order worth a look.

    words : what it is best at. pulls : ids in print order. hides : share of the borders whose darker side
        is printed later, so that it covers a misregister.
    """

    words: tuple[str, ...]
    pulls: tuple[str, ...]
    mean_de00: float
    worst_de00: float
    washups: int
    days: int
    hides: float


@dataclass(frozen=True)
class OrderReport:
    """The best orders found, and how many different sheets can come out at all.

    exact : no order comes nearer than the best of them in the mean.
    gap_de00 : by how much one may come nearer at most, where not all could be tried.
    outcomes : None where they are too many to be counted.
    """

    choices: tuple[OrderChoice, ...]
    exact: bool
    gap_de00: float
    outcomes: int | None


def with_order(project: Project, pulls: Sequence[str]) -> Project:
    """The project printed in an order of its impressions. Raises ProjectError where some are not there."""
    by_id = {pull.id: pull for pull in project.impressions}
    if sorted(by_id) != sorted(pulls):
        raise ProjectError("impressions", tr("The pulls have changed meanwhile; look for orders again."))
    return replace(project, impressions=tuple(by_id[pull] for pull in pulls))


def best_orders(
    project: Project, laid: LaidSheet, borders: Borders, *, school: str = "free",
    pins: Mapping[str, int] | None = None, start: date | None = None, progress: Progress = NULL_PROGRESS,
) -> OrderReport:  # fmt: skip
    """The print orders worth a look.

    Parameters
    ----------
    laid, borders : of the project, whatever its order.
    school : a key of `SCHOOLS`.
    pins : places, counted from 0, that impressions must stand at.
    start : first day, for counting days.

    Raises
    ------
    ProjectError : rules and pins leave no order at all.
    Cancelled : called off through `progress`.

    Notes
    -----
    States of one board keep their order, a flat layer comes before a graded one of
    the same block, and an impression that goes on wet stays with the one before it.
    """
    usual = tuple(pull.id for pull in in_rule_order(project).impressions)
    # In the order of the rule: of orders that give the same sheet the first found is what the trade prints.
    units = tuple(sorted(_units(project), key=lambda unit: usual.index(unit[0])))
    unit_of = {pull: place for place, unit in enumerate(units) for pull in unit}
    fixed = _fixed(project, units, unit_of, school)
    pinned = {unit_of[pull]: place for pull, place in (pins or {}).items()}
    places = {pull.id: place for place, pull in enumerate(project.impressions)}
    costs = OrderCosts(project, laid, [tuple(places[pull] for pull in unit) for unit in units])
    problem = OrderProblem(len(units), tuple(sorted(costs.rows)), costs.of_set, fixed, pinned)
    looking = Part(progress, 0.0, 0.7)
    found = search_orders(problem, slack=_SLACK_DE00, keep=_KEPT, progress=looking)
    if not found.orders:
        raise ProjectError("order", tr("Rules and pins leave no order at all; take one of them back."))
    alone = not costs.neighbours_matter
    if not alone:
        # The sets give a good order to begin with, as if all below were dry.
        allowed = Allowed(fixed, pinned)
        found = costs.search(found.orders[0][1], allowed, slack=_SLACK_DE00, keep=_KEPT, progress=looking)
    meets, step = problem.meets(), _steps(project, units)
    choices = []
    for place, (_, order) in enumerate(found.orders[:_PLANNED]):
        progress.report(0.7 + 0.3 * place / _PLANNED, tr("counting wash-ups and days"))
        cheap = cheapest_extension(order, meets, step, fixed=fixed) if alone and not pinned else order
        for each in dict.fromkeys((order, cheap)):
            pulls = tuple(pull for unit in each for pull in units[unit])
            choices.append(_judged(project, laid, borders, pulls, start))
    own = _judged(project, laid, borders, usual, start)
    order_of_usual = tuple(dict.fromkeys(unit_of[pull] for pull in usual))
    if Allowed(fixed, pinned).permits(order_of_usual):
        choices.append(own)
    outcomes = distinct_outcomes(problem) if alone else None
    return OrderReport(_worth_a_look(choices, own), found.exact, found.gap, outcomes)


def _units(project: Project) -> tuple[tuple[str, ...], ...]:
    """Impressions that stay together: those that go on wet with the one before."""
    units: list[tuple[str, ...]] = []
    for pull in project.impressions:
        if pull.wet and units:
            units[-1] = (*units[-1], pull.id)
        else:
            units.append((pull.id,))
    return tuple(units)


def _fixed(
    project: Project, units: Sequence[tuple[str, ...]], unit_of: Mapping[str, int], school: str
) -> frozenset[tuple[int, int]]:
    """Pairs of units of which the first must come first."""
    pulls = project.impressions
    pairs: set[tuple[int, int]] = set()
    for place, one in enumerate(pulls):
        for other in pulls[place + 1 :]:
            first, second = project.block(one.block), project.block(other.block)
            state = first.board is not None and (first.board, first.face) == (second.board, second.face)
            graded = one.block == other.block and not one.zones[0].grade and bool(other.zones[0].grade)
            if (state and first.id != second.id) or graded:
                pairs.add((unit_of[one.id], unit_of[other.id]))
    pairs |= _school_pairs(project, units, school)
    return frozenset(pair for pair in pairs if pair[0] != pair[1])


def _school_pairs(project: Project, units: Sequence[tuple[str, ...]], school: str) -> set[tuple[int, int]]:
    described = layers(project)
    order = {pull.id: place for place, pull in enumerate(project.impressions)}
    first = [described[order[unit[0]]] for unit in units]
    keys = [place for place, layer in enumerate(first) if layer.is_key]
    others = [place for place in range(len(units)) if place not in keys]
    pairs: set[tuple[int, int]] = set()
    if school in ("light-to-dark", "yellow-late"):
        pairs |= {(other, key) for key in keys for other in others}
    if school == "light-to-dark":
        pairs |= {(a, b) for a in others for b in others if first[a].lab[0] > first[b].lab[0]}
    if school == "key-first":
        pairs |= {(key, other) for key in keys for other in others}
    if school == "yellow-late":
        yellow = [n for n in others if _is_yellow(first[n].lab)]
        pairs |= {(other, y) for y in yellow for other in others if other not in yellow}
    if school == "line-under":
        clear = [n for n in others if first[n].opacity == "transparent"]
        if clear:
            last = min(clear, key=lambda n: first[n].lab[0])
            pairs |= {(key, last) for key in keys} | {(o, last) for o in others if o != last}
    return pairs


def _is_yellow(lab: tuple[float, float, float]) -> bool:
    hue = np.degrees(np.arctan2(lab[2], lab[1])) % 360
    return bool(_YELLOW_HUE[0] <= hue <= _YELLOW_HUE[1] and np.hypot(lab[1], lab[2]) > _YELLOW_CHROMA)


def _steps(project: Project, units: Sequence[tuple[str, ...]]) -> NDArray[np.float64]:
    """Cleaning between the last ink of one unit and the first of another."""
    lab = {pull.id: project.ink(pull.main.ink).lab for pull in project.impressions}
    return np.array([[WEIGHT[cleaning(lab[one[-1]], lab[other[0]])] for other in units] for one in units])


def _judged(
    project: Project, laid: LaidSheet, borders: Borders, pulls: tuple[str, ...], start: date | None
) -> OrderChoice:
    ordered = with_order(project, pulls)
    matches = colour_matches(ordered, laid, sheet_labs(ordered, laid))
    runs = runs_of(ordered)
    days = plan_days(runs, planned_sheets(ordered), ordered.times, start or A_MONDAY).days
    return OrderChoice(
        (), pulls, mean_difference(matches), max((m.de00 for m in matches), default=0.0),
        sum(run.after == "wash" for run in runs[:-1]), days, _hidden(ordered, borders),
    )  # fmt: skip


def _hidden(project: Project, borders: Borders) -> float:
    """Share of the borders between colours whose darker side is printed later."""
    last: dict[int, tuple[int, float]] = {}
    for place, pull in enumerate(project.impressions):
        lightness = project.ink(pull.main.ink).lab[0]
        for number in project.block(pull.block).colours:
            last[number] = (place, lightness)
    hidden = total = 0.0
    for one, (place, lightness) in last.items():
        for other, (other_place, other_lightness) in last.items():
            if one < other and place != other_place:
                length = float(borders.shared_mm[one, other])
                total += length
                hidden += length * ((lightness < other_lightness) == (place > other_place))
    return hidden / total if total else 1.0


def _worth_a_look(choices: Sequence[OrderChoice], usual: OrderChoice) -> tuple[OrderChoice, ...]:
    """Best colour, fewest days, fewest wash-ups and the usual order; each once, with all it is best at.

    A word is given to the best of all choices, the usual order among them; of equals to the one that parts
    least from the usual order.
    """
    place = {pull: n for n, pull in enumerate(usual.pulls)}

    def parting(choice: OrderChoice) -> int:
        """How many pairs of pulls stand the other way round."""
        at = [place[pull] for pull in choice.pulls]
        return sum(one > other for n, one in enumerate(at) for other in at[n + 1 :])

    best: dict[str, OrderChoice] = {
        tr("best colour"): min(choices, key=lambda c: (round(c.mean_de00, 3), parting(c), c.washups)),
        tr("fewest days"): min(choices, key=lambda c: (c.days, round(c.mean_de00, 2), parting(c))),
        tr("fewest wash-ups"): min(choices, key=lambda c: (c.washups, round(c.mean_de00, 2), parting(c))),
        tr("hides misregister"): min(choices, key=lambda c: (-round(c.hides, 3), round(c.mean_de00, 2), parting(c))),
        tr("the usual order"): usual,
    }
    words: dict[tuple[str, ...], list[str]] = {}
    for word, choice in best.items():
        words.setdefault(choice.pulls, []).append(word)
    picked = {choice.pulls: choice for choice in best.values()}
    named = [
        OrderChoice(tuple(words[p]), p, c.mean_de00, c.worst_de00, c.washups, c.days, c.hides)
        for p, c in picked.items()
    ]
    return tuple(sorted(named, key=lambda choice: choice.mean_de00))


def order_reasons(project: Project, pulls: Sequence[str]) -> tuple[str, ...]:
    """Why each impression stands where it does in an order."""
    return reasons(layers(with_order(project, pulls)))
