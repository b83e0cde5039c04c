"""The strengths of a plan's inks, and the colours of those still to be mixed, adjusted for the best print."""

from collections.abc import Sequence
from dataclasses import replace

import numpy as np

from nomos.base.language import tr
from nomos.base.progress import Progress
from nomos.colour import ColourError
from nomos.colour.stacks import FilmTable
from nomos.separation.candidates import Shelf, Stack
from nomos.separation.plans import WEAKEST, CandidateInk, Plan, PlannedInk, film_of_ink

# So many combinations are tried in a second or two.
MOST_TRIED = 350_000
LEAST_GAIN = 0.005
_STEPS = (0.2, 0.1, 0.05, 0.02)
_LEVELS = 5


def refined(shelf: Shelf, sequence: Stack, plan: Plan, progress: Progress) -> Plan:
    """The plan with strengths, and the colours of inks that are still to be mixed, adjusted step by step.

    From the best of five strengths of every ink where all can be tried: a compass search, one figure at
    a time up or down, with smaller steps when none helps.

    Parameters
    ----------
    shelf : inks.
    sequence : in print order.
    plan : to be refined.

    Returns
    -------
    A plan no worse.
    """
    entries = [shelf.entries[n][0] for n in sequence]
    plan = _on_grid(shelf, plan, entries, progress)
    for size in _STEPS:
        going_on = True
        while going_on:
            going_on = False
            for place, ink in enumerate(entries):
                progress.report(0.5, tr("adjusting strengths"))
                for changed in _steps(plan.inks[place], ink, size):
                    other = _with_ink(shelf, plan, place, changed)
                    if other is not None and other.cost < plan.cost - LEAST_GAIN:
                        plan, going_on = other, True
    return plan


def _on_grid(shelf: Shelf, plan: Plan, entries: Sequence[CandidateInk], progress: Progress) -> Plan:
    """The plan at the best of five strengths of each ink, if that is better."""
    layers = len(entries)
    if not layers or _LEVELS**layers << layers > MOST_TRIED:
        return plan
    strengths = [np.linspace(max(WEAKEST, min(ink.strengths)), max(ink.strengths), _LEVELS) for ink in entries]
    inks = [
        [replace(planned, strength=float(value)) for value in some]
        for planned, some in zip(plan.inks, strengths, strict=True)
    ]
    table = FilmTable.of([ink.film(shelf.ground) for some in inks for ink in some])
    levels = np.indices((_LEVELS,) * layers).reshape(layers, -1).T
    costs = shelf.costs_of_films(table, (levels + _LEVELS * np.arange(layers)).astype(np.intp), progress)
    best = levels[int(costs.argmin())]
    if costs.min() >= plan.cost - 1e-9:
        return plan
    chosen = tuple(inks[place][level] for place, level in enumerate(best))
    return _with_inks(shelf, chosen) or plan


def _steps(now: PlannedInk, ink: CandidateInk, size: float) -> list[PlannedInk]:
    low, high = max(WEAKEST, min(ink.strengths)), max(ink.strengths)
    strengths = {round(min(max(now.strength * (1 + turn * size), low), high), 3) for turn in (-1, 1)}
    found = [replace(now, strength=value) for value in sorted(strengths) if value != now.strength]
    if ink.to_mix:
        for part in range(3):
            for turn in (-1, 1):
                lab = [round(value + turn * 30 * size * (n == part), 2) for n, value in enumerate(now.lab)]
                found.append(replace(now, lab=(lab[0], lab[1], lab[2])))
    return found


def _with_ink(shelf: Shelf, plan: Plan, place: int, ink: PlannedInk) -> Plan | None:
    """The plan with one ink changed; None where no ink can be like that."""
    return _with_inks(shelf, (*plan.inks[:place], ink, *plan.inks[place + 1 :]))


def _with_inks(shelf: Shelf, inks: tuple[PlannedInk, ...]) -> Plan | None:
    try:
        films = [film_of_ink(each, shelf.ground, each.strength) for each in inks]
    except ColourError:
        return None
    return shelf.plan(tuple(range(len(inks))), FilmTable.of(films), inks)
