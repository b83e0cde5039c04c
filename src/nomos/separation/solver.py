"""The overprint solver: which inks, in which order, and which blocks print on each flat colour.

With transparent inks an overlap is a further colour, so few blocks can give
many. For a sequence of films every combination has a known colour; each flat
colour takes the combination nearest to what is wanted. The search is over
sequences: insertion of a film at any place, then exchanges and moves to a
local optimum, from several seeded starts, with the full layering model and
CIEDE2000 throughout; strengths are refined continuously at the end.
"""

from collections.abc import Callable, Sequence
from itertools import combinations

import numpy as np

from nomos.base.errors import BadInput
from nomos.base.language import tr
from nomos.base.progress import NULL_PROGRESS, Part, Progress
from nomos.base.units import counted
from nomos.separation.candidates import MISSING_INK, Shelf, Stack
from nomos.separation.plans import MOST_BLOCKS, Plan, PlannedInk, SolverRequest
from nomos.separation.strengths import LEAST_GAIN, MOST_TRIED, refined

_CHOICES = 3
_KEPT_OF_ALL = 200
_ALL_TRIED = MOST_TRIED
# A further block that takes away less than this share of the cost is not worth cutting (chosen by us).
_WORTH = 0.005


def solve(
    request: SolverRequest, *, progress: Progress = NULL_PROGRESS, better: Callable[[int, Plan], None] | None = None
) -> tuple[tuple[Plan, ...], ...]:
    """Plans with 1, 2, ... blocks: for each number the best found, then up to two truly different ones.

    Parameters
    ----------
    request : what is wanted and what there is to print with.
    progress : reports, and calls the search off.
    better : told of each better plan as soon as it is found, with its number of blocks.

    Raises
    ------
    BadInput : no wishes, no inks, an unknown ink, or a number of blocks outside 1 to 8.
    Cancelled : called off through `progress`.

    Notes
    -----
    The same request gives the same plans. Where all sequences can be tried in a
    second or two, they are; beyond, exchanges of one and of two films from
    several starts (the tests hold it to exhaustive search). A number of blocks
    that gains nothing over one fewer has no plan.
    """
    if not request.wishes:
        raise BadInput(tr("There is no colour to print; flatten a design first."))
    if not 1 <= request.most_blocks <= MOST_BLOCKS:
        raise BadInput(
            tr(
                "A plan can have 1 to {most_blocks} blocks, not {most_blocks_2}.",
                most_blocks=MOST_BLOCKS,
                most_blocks_2=request.most_blocks,
            )
        )
    shelf = Shelf(request)
    generator = np.random.default_rng(request.seed)
    found: list[tuple[Plan, ...]] = []
    start: Stack = ()
    for layers in range(1, request.most_blocks + 1):
        # Each further block doubles the combinations, and about doubles the work.
        whole = Part(progress, *((2.0**n - 1) / (2.0**request.most_blocks - 1) for n in (layers - 1, layers)))
        optima: dict[Stack, float] = {}
        if len(shelf.entries) ** layers << layers <= _ALL_TRIED:
            optima = _all_tried(shelf, layers, whole)
            start = min(optima, key=lambda sequence: (optima[sequence], sequence))
            if better is not None and optima[start] < MISSING_INK:
                better(layers, _planned(shelf, start))
            found.append(_worth(_choices(shelf, optima, Part(whole, 0.6, 1.0)), found))
            continue
        # Beyond five blocks a start takes seconds, and the plan with one block fewer is a good one.
        starts = max(2, request.restarts >> max(0, layers - 5)) if request.restarts > 1 else 1
        for restart in range(starts):
            part = Part(whole, restart / (starts + 1), (restart + 1) / (starts + 1))
            part.report(0.0, tr("trying plans with {layers}", layers=counted(layers, tr("block"), tr("blocks"))))
            seed = _inserted(shelf, start, part) if restart == 0 else _random(shelf, layers, generator, part)
            before = min(optima.values(), default=np.inf)
            sequence, cost = _improved(shelf, seed, part)
            optima[sequence] = cost
            if better is not None and cost < before - 1e-9:
                better(layers, _planned(shelf, sequence))
        start = min(optima, key=lambda sequence: (optima[sequence], sequence))
        start, cost = _exchanged_by_two(shelf, start, optima[start], Part(whole, 0.85, 0.9))
        optima[start] = cost
        found.append(_worth(_choices(shelf, optima, Part(whole, 0.9, 1.0)), found))
    while not found[-1]:
        found.pop()
    return tuple(found)


def _all_tried(shelf: Shelf, layers: int, progress: Progress) -> dict[Stack, float]:
    """The best of all sequences, and of those with other inks, with their costs."""
    films = len(shelf.entries)
    sequences = np.indices((films,) * layers).reshape(layers, -1).T.astype(np.intp)
    costs = shelf.costs(sequences, progress)
    best = np.argsort(costs, kind="stable")[:_KEPT_OF_ALL]
    return {tuple(int(n) for n in sequences[row]): float(costs[row]) for row in best}


def _exchanged_by_two(shelf: Shelf, sequence: Stack, cost: float, progress: Progress) -> tuple[Stack, float]:
    """Two films exchanged for any others at once, where single exchanges lead no further."""
    films = len(shelf.entries)
    while True:
        pairs = list(combinations(range(len(sequence)), 2))
        if not pairs or (films**2 * len(pairs)) << len(sequence) > MOST_TRIED:
            return sequence, cost
        tried = np.tile(np.array(sequence, np.intp), (films**2 * len(pairs), 1))
        first, second = np.divmod(np.arange(films**2), films)
        for row, (one, other) in enumerate(pairs):
            part = slice(row * films**2, (row + 1) * films**2)
            tried[part, one], tried[part, other] = first, second
        costs = shelf.costs(tried, progress)
        best = int(costs.argmin())
        if costs[best] >= cost - 1e-9:
            return sequence, cost
        sequence, cost = _improved(shelf, tuple(int(n) for n in tried[best]), progress)


def _worth(plans: tuple[Plan, ...], fewer: Sequence[tuple[Plan, ...]]) -> tuple[Plan, ...]:
    """The plans that print with every ink they name and gain on those with fewer blocks."""
    if not any(fewer):
        return plans
    least = min(row[0].cost for row in fewer if row)
    return tuple(
        plan
        for plan in plans
        if {n for members in plan.members for n in members} == set(range(len(plan.inks)))
        and plan.cost < (1 - _WORTH) * least - LEAST_GAIN
    )


def _inserted(shelf: Shelf, sequence: Stack, progress: Progress) -> Stack:
    """The sequence with the film that helps most, at its best place."""
    places, films = len(sequence) + 1, len(shelf.entries)
    tried = np.array(
        [(*sequence[:place], film, *sequence[place:]) for place in range(places) for film in range(films)], np.intp
    )
    return tuple(int(n) for n in tried[shelf.costs(tried, progress).argmin()])


def _random(shelf: Shelf, layers: int, generator: np.random.Generator, progress: Progress) -> Stack:
    """A random first film, grown by insertion: good starts that differ."""
    sequence: Stack = tuple(int(n) for n in generator.integers(0, len(shelf.entries), size=max(1, layers // 2)))
    while len(sequence) < layers:
        sequence = _inserted(shelf, sequence, progress)
    return sequence


def _improved(shelf: Shelf, sequence: Stack, progress: Progress) -> tuple[Stack, float]:
    """Exchanges of one film for any other, and moves of one film, until nothing helps."""
    cost = float(shelf.costs(np.array([sequence], np.intp), progress)[0])
    while True:
        tried = np.array(_neighbours(sequence, len(shelf.entries)), np.intp)
        costs = shelf.costs(tried, progress)
        best = int(costs.argmin())
        if costs[best] >= cost - 1e-9:
            return sequence, cost
        sequence, cost = tuple(int(n) for n in tried[best]), float(costs[best])


def _neighbours(sequence: Stack, films: int) -> list[Stack]:
    found = []
    for place in range(len(sequence)):
        rest = sequence[:place] + sequence[place + 1 :]
        for film in range(films):
            # The film at any place: an exchange and a move at once.
            places = range(len(sequence)) if film == sequence[place] else (place,)
            found += [(*rest[:to], film, *rest[to:]) for to in places]
    return found


def _planned(shelf: Shelf, sequence: Stack) -> Plan:
    inks = tuple(
        PlannedInk(ink.name, ink.lab, ink.opacity, strength, ink.solid, ink.ink)
        for ink, strength in (shelf.entries[n] for n in sequence)
    )
    return shelf.plan(sequence, shelf.table, inks)


def _choices(shelf: Shelf, optima: dict[Stack, float], progress: Progress) -> tuple[Plan, ...]:
    """The best optimum, then up to two with another set of inks, each refined."""
    kept: list[Plan] = []
    seen: list[set[str]] = []
    least = min(optima.values())
    for sequence in sorted(optima, key=lambda each: (optima[each], each)):
        if optima[sequence] >= MISSING_INK > least:
            break
        names = {shelf.entries[n][0].name for n in sequence}
        if any(names == other for other in seen):
            continue
        plan = _planned(shelf, sequence)
        kept.append(refined(shelf, sequence, plan, progress) if shelf.request.refine else plan)
        seen.append(names)
        if len(kept) == _CHOICES:
            break
    return tuple(sorted(kept, key=lambda plan: plan.cost))
