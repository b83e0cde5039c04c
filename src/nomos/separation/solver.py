"""The overprint solver: which inks, in which order, and which blocks print on each flat colour.

With transparent inks an overlap is a further colour, so few blocks can give
many. For a sequence of films every combination has a known colour; each flat
colour takes the combination nearest to what is wanted. The search is over
sequences: insertion of a film at any place, then exchanges and moves to a
local optimum, from several seeded starts, with the full layering model and
CIEDE2000 throughout; strengths are refined continuously at the end.
"""

from collections.abc import Callable, Hashable, Sequence
from dataclasses import dataclass, field, replace

import numpy as np
from numpy.typing import NDArray

from nomos.colour import ColourError, Film, Ground, Lab, Opacity, delta_e00, ink_film
from nomos.colour.ink import solid_of
from nomos.colour.layering import KnownFilm, Stock
from nomos.colour.stacks import FilmTable, stack_labs
from nomos.errors import BadInput
from nomos.progress import NULL_PROGRESS, Part, Progress

Array = NDArray[np.float64]
Stack = tuple[int, ...]

# A colour nearer than this counts as reached; a must-match colour should be nearer than the second.
REACHED_DE00 = 5.0
_MUST_DE00 = 3.0
_MUST_WEIGHT = 4.0
# The worst colour counts this much beside the mean, so that none is given up for the others.
WORST_SHARE = 0.25
_MISSING_INK = 1000.0
# Combinations this near to the best are as good; the one with the fewest films is taken.
_AS_GOOD_DE00 = 0.05
_BATCH_COMBINATIONS = 6000
_RESTARTS = 8
MOST_BLOCKS = 8
WEAKEST = 0.1
_CHOICES = 3
MIX_NAME = "mix "
_STEPS = (0.2, 0.1, 0.05, 0.02)
_LEAST_GAIN = 0.005


@dataclass(frozen=True)
class CandidateInk:
    """An ink that may be used: its solid on this paper, and the strengths it may be thinned to.

    to_mix : its colour is a proposal and may be adjusted.
    solid : its film, where more is known of it than a colour and a word.
    ink : all else that whoever takes the plan wants to know of it.
    """

    name: str
    lab: Lab
    opacity: Opacity = "transparent"
    strengths: tuple[float, ...] = (1.0,)
    to_mix: bool = False
    solid: KnownFilm | None = None
    ink: Hashable = None

    def film(self, ground: Ground, strength: float = 1.0) -> Film:
        """Its film on a paper. Raises ColourError where no ink can be so."""
        return _film(self, ground, strength)


def _film(ink: "CandidateInk | PlannedInk", ground: Ground, strength: float) -> Film:
    if ink.solid is not None:
        return ink.solid.film(strength, ground.cover)
    return ink_film(ink.lab, ink.opacity, ground, strength)


@dataclass(frozen=True)
class Wish:
    """What is wanted of one flat colour.

    weight : area in mm² or any other positive weight.
    must_match : counts four times, and more beyond ΔE00 3.
    bare : no block may print there.
    single : at most one block may print there.
    """

    lab: Lab
    weight: float
    must_match: bool = False
    bare: bool = False
    single: bool = False


@dataclass(frozen=True)
class SolverRequest:
    """All that a search depends on; also the key its result is remembered by.

    paper : its colour, or all that is known of it.
    must, must_not : names of inks that have to be used, or may not be.
    refine : adjust strengths between the weakest and the strongest allowed.
    """

    paper: Lab | Stock
    wishes: tuple[Wish, ...]
    inks: tuple[CandidateInk, ...]
    most_blocks: int
    must: tuple[str, ...] = ()
    must_not: tuple[str, ...] = ()
    worst_share: float = WORST_SHARE
    refine: bool = True
    restarts: int = _RESTARTS
    seed: int = 0


@dataclass(frozen=True)
class PlannedInk:
    """An ink of a plan with its strength."""

    name: str
    lab: Lab
    opacity: Opacity
    strength: float
    solid: KnownFilm | None = None
    ink: Hashable = None

    def film(self, ground: Ground) -> Film:
        """Its film on a paper, at its strength. Raises ColourError."""
        return _film(self, ground, self.strength)


@dataclass(frozen=True)
class Plan:
    """A separation: inks in print order, and for each flat colour the places of those that print there.

    printed : predicted CIELAB of each flat colour. de00 : its distance from what is wanted.
    """

    inks: tuple[PlannedInk, ...]
    members: tuple[tuple[int, ...], ...]
    printed: tuple[Lab, ...]
    de00: tuple[float, ...]
    mean_de00: float
    worst_de00: float
    cost: float = field(compare=False)

    @property
    def reached(self) -> int:
        """How many of the flat colours come out within ΔE00 5."""
        return sum(distance <= REACHED_DE00 for distance in self.de00)


class Shelf:
    """The films a search chooses from, and what any sequence of them costs."""

    def __init__(self, request: SolverRequest) -> None:
        self.request = request
        allowed = [ink for ink in request.inks if ink.name not in request.must_not]
        known = {ink.name for ink in request.inks}
        unknown = [name for name in (*request.must, *request.must_not) if name not in known]
        if unknown:
            raise BadInput(
                f"There is no ink called {unknown[0]} on the shelf; it has {', '.join(sorted(known))}."
            )
        if not allowed:
            raise BadInput("No ink is left to print with; allow at least one.")
        self.entries = [(ink, strength) for ink in allowed for strength in sorted(set(ink.strengths))]
        paper = request.paper
        self.ground = paper.ground if isinstance(paper, Stock) else Ground.from_lab(paper)
        self.table = FilmTable.of([ink.film(self.ground, strength) for ink, strength in self.entries])
        self.wanted = np.array([wish.lab for wish in request.wishes])
        weight = np.array([wish.weight for wish in request.wishes])
        self.area = weight / weight.sum()
        pull = weight * np.where([wish.must_match for wish in request.wishes], _MUST_WEIGHT, 1.0)
        self.pull = pull / pull.sum()
        self.must_match = np.array([wish.must_match for wish in request.wishes])
        self.must = [
            {n for n, (ink, _) in enumerate(self.entries) if ink.name == name} for name in request.must
        ]

    def allowed(self, layers: int) -> NDArray[np.bool_]:
        """(flat colours, combinations) which combinations each may take."""
        size = np.array([bin(number).count("1") for number in range(1 << layers)])
        most = np.array([0 if wish.bare else 1 if wish.single else layers for wish in self.request.wishes])
        return size[None, :] <= most[:, None]

    def distances(self, labs: Array) -> Array:
        """(n, flat colours, combinations) ΔE00, infinite where a combination is not allowed."""
        layers = int(np.log2(labs.shape[1]))
        found = delta_e00(labs[:, None], self.wanted[None, :, None])
        return np.where(self.allowed(layers)[None], found, np.inf)

    def cost_of(self, best: Array) -> Array:
        """Cost of plans from each flat colour's ΔE00. (n, flat colours) to (n,)."""
        beyond = np.where(self.must_match, np.maximum(best - _MUST_DE00, 0), 0).sum(axis=1)
        return best @ self.pull + self.request.worst_share * best.max(axis=1) + beyond

    def costs(self, sequences: NDArray[np.intp], progress: Progress = NULL_PROGRESS) -> Array:
        """Cost of each sequence, in batches. (n, layers) to (n,). Raises Cancelled."""
        step = max(1, _BATCH_COMBINATIONS >> sequences.shape[1])
        parts = []
        for start in range(0, len(sequences), step):
            progress.report(0.5, f"trying plans with {sequences.shape[1]} blocks")
            part = sequences[start : start + step]
            parts.append(self.cost_of(self.distances(stack_labs(self.ground, self.table, part)).min(axis=2)))
        cost = np.concatenate(parts)
        for choices in self.must:
            missing = ~np.isin(sequences, list(choices)).any(axis=1)
            cost += _MISSING_INK * missing
        return cost

    def plan(self, sequence: Stack, table: FilmTable, inks: tuple[PlannedInk, ...]) -> Plan:
        """The plan of a sequence, each flat colour on the fewest films that are as good as the best."""
        labs = stack_labs(self.ground, table, np.array([sequence], np.intp).reshape(1, -1))
        distances = self.distances(labs)[0]
        best = distances.min(axis=1, keepdims=True)
        size = np.array([bin(number).count("1") for number in range(distances.shape[1])])
        ranked = np.where(distances <= best + _AS_GOOD_DE00, size + distances / 1000, np.inf)
        chosen = ranked.argmin(axis=1)
        de00 = distances[np.arange(len(chosen)), chosen]
        members = tuple(tuple(n for n in range(len(sequence)) if pick >> n & 1) for pick in chosen)
        printed = labs[0, chosen]
        return Plan(
            inks,
            members,
            tuple((float(lab[0]), float(lab[1]), float(lab[2])) for lab in printed),
            tuple(float(value) for value in de00),
            float(de00 @ self.area),
            float(de00.max()),
            float(self.cost_of(de00[None])[0]),
        )


def solve(
    request: SolverRequest,
    *,
    progress: Progress = NULL_PROGRESS,
    better: Callable[[int, Plan], None] | None = None,
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
    The same request gives the same plans. Equal to exhaustive search, or within
    5 %, wherever that is feasible (see the tests).
    """
    if not request.wishes:
        raise BadInput("There is no colour to print; flatten a design first.")
    if not 1 <= request.most_blocks <= MOST_BLOCKS:
        raise BadInput(f"A plan can have 1 to {MOST_BLOCKS} blocks, not {request.most_blocks}.")
    shelf = Shelf(request)
    generator = np.random.default_rng(request.seed)
    found: list[tuple[Plan, ...]] = []
    start: Stack = ()
    for layers in range(1, request.most_blocks + 1):
        # Each further block doubles the combinations, and about doubles the work.
        whole = Part(progress, *((2.0**n - 1) / (2.0**request.most_blocks - 1) for n in (layers - 1, layers)))
        optima: dict[Stack, float] = {}
        # Beyond five blocks a start takes seconds, and the plan with one block fewer is a good one.
        starts = max(2, request.restarts >> max(0, layers - 5)) if request.restarts > 1 else 1
        for restart in range(starts):
            part = Part(whole, restart / (starts + 1), (restart + 1) / (starts + 1))
            part.report(0.0, f"trying plans with {layers} block{'s' if layers > 1 else ''}")
            seed = _inserted(shelf, start, part) if restart == 0 else _random(shelf, layers, generator, part)
            before = min(optima.values(), default=np.inf)
            sequence, cost = _improved(shelf, seed, part)
            optima[sequence] = cost
            if better is not None and cost < before - 1e-9:
                better(layers, _planned(shelf, sequence))
        start = min(optima, key=lambda sequence: (optima[sequence], sequence))
        found.append(_choices(shelf, optima, Part(whole, 0.9, 1.0)))
    return tuple(found)


def _inserted(shelf: Shelf, sequence: Stack, progress: Progress) -> Stack:
    """The sequence with the film that helps most, at its best place."""
    places, films = len(sequence) + 1, len(shelf.entries)
    tried = np.array(
        [(*sequence[:place], film, *sequence[place:]) for place in range(places) for film in range(films)],
        np.intp,
    )
    return tuple(int(n) for n in tried[shelf.costs(tried, progress).argmin()])


def _random(shelf: Shelf, layers: int, generator: np.random.Generator, progress: Progress) -> Stack:
    """A random first film, grown by insertion: good starts that differ."""
    sequence: Stack = tuple(
        int(n) for n in generator.integers(0, len(shelf.entries), size=max(1, layers // 2))
    )
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
    for sequence in sorted(optima, key=lambda each: (optima[each], each)):
        names = {shelf.entries[n][0].name for n in sequence}
        if any(names == other for other in seen):
            continue
        plan = _planned(shelf, sequence)
        kept.append(_refined(shelf, sequence, plan, progress) if shelf.request.refine else plan)
        seen.append(names)
        if len(kept) == _CHOICES:
            break
    return tuple(sorted(kept, key=lambda plan: plan.cost))


def _refined(shelf: Shelf, sequence: Stack, plan: Plan, progress: Progress) -> Plan:
    """The plan with strengths, and the colours of inks that are still to be mixed, adjusted step by step.

    Compass search (Hooke & Jeeves 1961): one figure at a time up or down, steps halved when none helps.
    """
    entries = [shelf.entries[n][0] for n in sequence]
    for size in _STEPS:
        going_on = True
        while going_on:
            going_on = False
            for place, ink in enumerate(entries):
                progress.report(0.5, "adjusting strengths")
                for changed in _steps(plan.inks[place], ink, size):
                    other = _with_ink(shelf, plan, place, changed)
                    if other is not None and other.cost < plan.cost - _LEAST_GAIN:
                        plan, going_on = other, True
    return plan


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
    inks = (*plan.inks[:place], ink, *plan.inks[place + 1 :])
    try:
        films = [_film(each, shelf.ground, each.strength) for each in inks]
    except ColourError:
        return None
    return shelf.plan(tuple(range(len(inks))), FilmTable.of(films), inks)


def mixable_inks(paper: Lab | Stock, wanted: Sequence[Lab]) -> tuple[CandidateInk, ...]:
    """Transparent inks that could be mixed: those of the wanted colours, and a coarse net of others.

    Every ink may be thinned to any strength from 0.2 to 1. Colours that no ink
    can have are left out.
    """
    strengths = (1.0, 0.6, 0.35)
    labs: list[Lab] = list(wanted)
    for lightness, chroma in ((80.0, 45.0), (65.0, 30.0), (50.0, 45.0), (40.0, 25.0)):
        for hue in range(0, 360, 30):
            angle = np.radians(hue)
            labs.append((lightness, float(chroma * np.cos(angle)), float(chroma * np.sin(angle))))
    inks = []
    ground = paper.ground if isinstance(paper, Stock) else Ground.from_lab(paper)
    for number, lab in enumerate(labs):
        try:
            reached = solid_of(lab, "transparent", ground).reached
        except ColourError:
            continue
        if not reached:
            continue
        inks.append(CandidateInk(f"{MIX_NAME}{number + 1}", lab, "transparent", strengths, to_mix=True))
    return tuple(inks)
