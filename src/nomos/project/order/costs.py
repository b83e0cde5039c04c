"""How near a print comes in one order of its pulls or another, ink on wet ink included."""

from collections.abc import Iterable, Mapping, Sequence
from itertools import permutations

import numpy as np

from nomos.base.language import tr
from nomos.base.progress import Progress
from nomos.colour import delta_e00, reflectance_to_lab
from nomos.colour.overprinting import overprints_of_stacks
from nomos.colour.spectra import Array
from nomos.order.search import FoundOrders, Order
from nomos.project.inks.films import film_of, ground_of, trapping_between
from nomos.project.model import Project
from nomos.project.sheet.laying import LaidSheet

# Stacks of films that are worked out for all orders at once; beyond, orders are improved step by step.
_MOST_STACKS, _MOST_ROUNDS = 300_000, 40

Stack = tuple[tuple[int, ...], tuple[float, ...]]


class OrderCosts:
    """The mean difference to the wanted colours, by the order of the pulls.

    Parameters
    ----------
    project, laid : the sheet as it is laid, whatever its order.
    units : the pulls that stay together, each by the places of its impressions; the order is one of units.

    Notes
    -----
    Pulls are known by their place in the project, films by their column in `laid`.
    What takes of a film on wet ink depends on the pull right before it: see `neighbours_matter`.
    """

    def __init__(self, project: Project, laid: LaidSheet, units: Sequence[tuple[int, ...]]) -> None:
        assert project.flat is not None
        self._project, self._laid, self._units = project, laid, units
        place = {pull.id: n for n, pull in enumerate(project.impressions)}
        self._pull_of = [place[key.pull] for key in laid.films]
        self._films, self._ground = [film_of(project, key) for key in laid.films], ground_of(project)
        bare = project.bare_colours()
        colours = enumerate(project.flat.colours)
        self._wanted = np.array([project.paper.lab if n in bare else c.lab for n, c in colours])
        self._total = float(laid.meetings.sum())
        self._columns = [np.flatnonzero(row).tolist() for row in laid.map.members]
        unit_of = {pull: n for n, unit in enumerate(units) for pull in unit}
        self.rows: dict[Order, list[int]] = {}
        for row, columns in enumerate(self._columns):
            if columns:
                some = tuple(sorted({unit_of[self._pull_of[column]] for column in columns}))
                self.rows.setdefault(some, []).append(row)
        self._within = {pull: before for unit in units for before, pull in zip((None, *unit), unit, strict=False)}

    @property
    def neighbours_matter(self) -> bool:
        """Whether a pull goes onto wet ink of whichever unit is before it, so that no set stands alone."""
        first = self._project.impressions[0] if self._project.impressions else None
        return self._project.sheet_by_sheet or (first is not None and first.wet)

    def of_set(self, some: Order, orders: Sequence[Order]) -> Array:
        """The share of the whole cost where a set of units lies over each other, by its order."""
        pulls = [[pull for unit in order for pull in self._units[unit]] for order in orders]
        befores = [self._within] * len(orders)
        return self._cost(self.rows[some], pulls, befores)

    def of_all(self, orders: Sequence[Order]) -> Array:
        """The whole cost of orders of all units: mean ΔE00 over the image."""
        pulls = [[pull for unit in order for pull in self._units[unit]] for order in orders]
        befores = [dict(zip(each, (None, *each), strict=False)) for each in pulls]
        bare = [row for row, columns in enumerate(self._columns) if not columns]
        return self._cost([*bare, *(row for rows in self.rows.values() for row in rows)], pulls, befores)

    def _cost(
        self, rows: Sequence[int], pulls: Sequence[Sequence[int]], befores: Sequence[Mapping[int, int | None]]
    ) -> Array:
        costs = np.zeros(len(pulls))
        for row in rows:
            colours = np.flatnonzero(self._laid.meetings[:, row])
            if not len(colours):
                continue
            stacks = [self._stack(row, *each) for each in zip(pulls, befores, strict=True)]
            known = {stack: n for n, stack in enumerate(dict.fromkeys(stacks))}
            labs = self._labs(list(known))
            at = np.array([known[stack] for stack in stacks])
            for colour in colours:
                share = self._laid.meetings[colour, row] / self._total
                costs += share * delta_e00(labs, self._wanted[colour])[at]
        return costs

    def _labs(self, stacks: Sequence[Stack]) -> Array:
        numbers = np.array([films for films, _ in stacks]).reshape(len(stacks), -1)
        shares = np.array([shares for _, shares in stacks]).reshape(len(stacks), -1)
        return reflectance_to_lab(overprints_of_stacks(self._ground, self._films, numbers, shares))

    def _stack(self, row: int, pulls: Sequence[int], before: Mapping[int, int | None]) -> Stack:
        """The films of a combination in print order, and how much of each takes."""
        place = {pull: n for n, pull in enumerate(pulls)}
        columns = sorted(self._columns[row], key=lambda column: place[self._pull_of[column]])
        there = {self._pull_of[column] for column in columns}
        shares = []
        for n, column in enumerate(columns):
            pull = self._pull_of[column]
            last = before[pull]
            onto_wet = n > 0 and (self._project.sheet_by_sheet or last in there)
            wet = last is not None and (self._project.sheet_by_sheet or self._project.impressions[pull].wet)
            takes = onto_wet and wet and last is not None
            shares.append(trapping_between(self._project, last or 0, pull) if takes else 1.0)
        return tuple(columns), tuple(shares)

    def search(self, start: Order, allowed: "Allowed", *, slack: float, keep: int, progress: Progress) -> FoundOrders:
        """The best orders where neighbours matter: of all of them if they are few, else improved ones.

        start : an order to begin with, and improve where not all can be tried.
        """
        rows, count = max(1, len(self._columns)), len(self._units)
        permitted: list[Order] = []
        for order in permutations(range(count)):
            if (len(permitted) + 1) * rows > _MOST_STACKS or count > _MOST_UNITS:
                return self._improved(start, allowed, slack=slack, keep=keep, progress=progress)
            if allowed.permits(order):
                permitted.append(order)
        progress.report(0.0, tr("trying every order"))
        return _found(zip(self.of_all(permitted), permitted, strict=True), slack, keep, exact=True)

    def _improved(
        self, start: Order, allowed: "Allowed", *, slack: float, keep: int, progress: Progress
    ) -> FoundOrders:
        """Move one unit elsewhere as long as that brings the print nearer."""
        best, known = start, {start: float(self.of_all([start])[0])}
        for turn in range(_MOST_ROUNDS):
            progress.report(turn / _MOST_ROUNDS, tr("trying orders"))
            moved = [order for order in _moved(best) if order not in known and allowed.permits(order)]
            if moved:
                known.update(zip(moved, map(float, self.of_all(moved)), strict=True))
            nearest = min(known, key=lambda order: (known[order], order))
            if nearest == best:
                break
            best = nearest
        return _found(((cost, order) for order, cost in known.items()), slack, keep, exact=False)


# Ten factorial orders are not gone through to find the few that are allowed.
_MOST_UNITS = 8


class Allowed:
    """Which orders rules and pins leave. before : pairs of units; pins : places of units, counted from 0."""

    def __init__(self, before: Iterable[tuple[int, int]], pins: Mapping[int, int]) -> None:
        self._before, self._pins = tuple(before), dict(pins)

    def permits(self, order: Order) -> bool:
        """Whether an order keeps to them."""
        at = {unit: place for place, unit in enumerate(order)}
        return all(at[one] < at[other] for one, other in self._before) and all(
            at[unit] == place for unit, place in self._pins.items()
        )


def _moved(order: Order) -> list[Order]:
    """Every order that comes of one by putting a unit at another place, or changing two."""
    found = []
    for at in range(len(order)):
        rest = order[:at] + order[at + 1 :]
        found += [(*rest[:to], order[at], *rest[to:]) for to in range(len(order)) if to != at]
        for other in range(at + 1, len(order)):
            swapped = list(order)
            swapped[at], swapped[other] = swapped[other], swapped[at]
            found.append(tuple(swapped))
    return list(dict.fromkeys(found))


def _found(costs: Iterable[tuple[float, Order]], slack: float, keep: int, *, exact: bool) -> FoundOrders:
    orders = sorted((float(cost), order) for cost, order in costs)
    if not orders:
        return FoundOrders((), exact)
    least = orders[0][0]
    good = tuple(each for each in orders if each[0] <= least + slack)[:keep]
    # Where not all could be tried, nothing is known but that no print comes nearer than 0.
    return FoundOrders(good, exact, 0.0 if exact else least)
