"""From a project to its print orders: what is wanted of them, the best, and what each costs."""

from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from datetime import date

import numpy as np
from msgspec.structs import replace
from numpy.typing import NDArray

from nomos.colour import Ground, delta_e00, reflectance_to_lab
from nomos.colour.layering import Film, Surface, film_over, partly_covered, to_measured
from nomos.colour.spectra import Array
from nomos.language import tr
from nomos.order import reasons
from nomos.order.calendar import plan_days
from nomos.order.extension import cheapest_extension
from nomos.order.outcomes import distinct_outcomes
from nomos.order.search import Order, OrderProblem, search_orders
from nomos.order.washing import WEIGHT, cleaning
from nomos.progress import NULL_PROGRESS, Part, Progress
from nomos.project.blocks.pulls import in_rule_order, layers
from nomos.project.inks.films import film_of, ground_of
from nomos.project.model import Project, ProjectError
from nomos.project.model.sheets import planned_sheets
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
    project: Project,
    laid: LaidSheet,
    borders: Borders,
    *,
    school: str = "free",
    pins: Mapping[str, int] | None = None,
    start: date | None = None,
    progress: Progress = NULL_PROGRESS,
) -> OrderReport:
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
    units = _units(project)
    unit_of = {pull: place for place, unit in enumerate(units) for pull in unit}
    fixed = _fixed(project, units, unit_of, school)
    pinned = {unit_of[pull]: place for pull, place in (pins or {}).items()}
    problem = _problem(project, laid, units, unit_of, fixed, pinned)
    found = search_orders(problem, slack=_SLACK_DE00, keep=_KEPT, progress=Part(progress, 0.0, 0.7))
    if not found.orders:
        raise ProjectError("order", tr("Rules and pins leave no order at all; take one of them back."))
    meets, step = problem.meets(), _steps(project, units)
    choices = []
    for place, (_, order) in enumerate(found.orders[:_PLANNED]):
        progress.report(0.7 + 0.3 * place / _PLANNED, tr("counting wash-ups and days"))
        cheap = cheapest_extension(order, meets, step, fixed=fixed) if not pinned else order
        pulls = tuple(pull for unit in cheap for pull in units[unit])
        choices.append(_judged(project, laid, borders, pulls, start))
    usual = in_rule_order(project)
    own = _judged(project, laid, borders, tuple(pull.id for pull in usual.impressions), start)
    return OrderReport(_worth_a_look(choices, own), found.exact, found.gap, distinct_outcomes(problem))


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


def _problem(
    project: Project,
    laid: LaidSheet,
    units: Sequence[tuple[str, ...]],
    unit_of: Mapping[str, int],
    fixed: frozenset[tuple[int, int]],
    pinned: Mapping[int, int],
) -> OrderProblem:
    assert project.flat is not None
    within = {pull: (unit_of[pull], units[unit_of[pull]].index(pull)) for pull in unit_of}
    members = [
        sorted((within[key.pull], column) for column, key in enumerate(laid.films) if row[column])
        for row in laid.map.members
    ]
    sets: dict[Order, list[int]] = {}
    for row, some in enumerate(members):
        if some:
            sets.setdefault(tuple(sorted({unit for (unit, _), _ in some})), []).append(row)
    films = [film_of(project, key) for key in laid.films]
    bare = project.bare_colours()
    wanted = np.array([project.paper.lab if n in bare else c.lab for n, c in enumerate(project.flat.colours)])
    total = float(laid.meetings.sum())
    ground = ground_of(project)

    def cost(some: Order, orders: Sequence[Order]) -> Array:
        costs = np.zeros(len(orders))
        for row in sets[some]:
            labs = _labs_in_orders(ground, films, members[row], orders)
            for colour in np.flatnonzero(laid.meetings[:, row]):
                share = laid.meetings[colour, row] / total
                costs += share * delta_e00(labs, wanted[colour])
        return costs

    return OrderProblem(len(units), tuple(sorted(sets)), cost, fixed, dict(pinned))


def _labs_in_orders(
    ground: Ground, films: Sequence[Film], members: Sequence[tuple[tuple[int, int], int]],
    orders: Sequence[Order],
) -> Array:  # fmt: skip
    """CIELAB of one combination of films for each order of its units. (orders, 3)."""
    of_unit: dict[int, list[int]] = {}
    for (unit, _), column in members:
        of_unit.setdefault(unit, []).append(column)
    stacks = [[column for unit in order for column in of_unit[unit]] for order in orders]
    below = np.repeat(ground.internal[None], len(orders), axis=0)
    seen = Surface.bare(ground.k1, (len(orders),))
    for layer in range(len(stacks[0]) if stacks else 0):
        here = [films[stack[layer]] for stack in stacks]
        k, s = np.array([f.absorption for f in here]), np.array([f.scattering for f in here])
        x = np.array([f.thickness for f in here])
        laid = film_over(below, k, s, x[:, None])
        cover = np.array([[f.cover] for f in here])
        below = partly_covered(below, laid, cover) if cover.min() < 1 else laid
        seen = seen.under(np.array([f.k1 for f in here]), x, s.mean(axis=1))
    return reflectance_to_lab(to_measured(below, seen.k1[:, None]))


def _steps(project: Project, units: Sequence[tuple[str, ...]]) -> NDArray[np.float64]:
    """Cleaning between the last ink of one unit and the first of another."""
    lab = {pull.id: project.ink(pull.main.ink).lab for pull in project.impressions}
    return np.array([[WEIGHT[cleaning(lab[one[-1]], lab[other[0]])] for other in units] for one in units])


def _judged(
    project: Project,
    laid: LaidSheet,
    borders: Borders,
    pulls: tuple[str, ...],
    start: date | None,
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
    """Best colour, fewest days, fewest wash-ups and the usual order; each once, with all it is best at."""
    best: dict[str, OrderChoice] = {
        tr("best colour"): min(choices, key=lambda c: (round(c.mean_de00, 3), c.washups, c.days)),
        tr("fewest days"): min(choices, key=lambda c: (c.days, round(c.mean_de00, 2), c.washups)),
        tr("fewest wash-ups"): min(choices, key=lambda c: (c.washups, round(c.mean_de00, 2), c.days)),
        tr("hides misregister"): max(choices, key=lambda c: (round(c.hides, 3), -c.mean_de00)),
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
