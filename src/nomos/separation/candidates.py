"""The films that a plan is chosen from, and what any sequence of them costs."""

import numpy as np
from numpy.typing import NDArray

from nomos.base.errors import BadInput
from nomos.base.language import tr
from nomos.base.progress import NULL_PROGRESS, Progress
from nomos.colour import Ground, as_lab, delta_e00
from nomos.colour.layering import Stock
from nomos.colour.stacks import FilmTable, stack_labs
from nomos.separation.plans import Plan, PlannedInk, SolverRequest

Array = NDArray[np.float64]
Stack = tuple[int, ...]

# A must-match colour should be nearer than this, and counts so many times.
_MUST_DE00 = 3.0
_MUST_WEIGHT = 4.0
MISSING_INK = 1000.0
# Combinations this near to the best are as good; the one with the fewest films is taken.
_AS_GOOD_DE00 = 0.05
_BATCH_COMBINATIONS = 6000


class Shelf:
    """The films a search chooses from, and what any sequence of them costs."""

    def __init__(self, request: SolverRequest) -> None:
        self.request = request
        allowed = [ink for ink in request.inks if ink.name not in request.must_not]
        known = {ink.name for ink in request.inks}
        unknown = [name for name in (*request.must, *request.must_not) if name not in known]
        if unknown:
            raise BadInput(
                tr(
                    "There is no ink called {unknown} on the shelf; it has {known}.",
                    unknown=unknown[0],
                    known=", ".join(sorted(known)),
                )
            )
        if not allowed:
            raise BadInput(tr("No ink is left to print with; allow at least one."))
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
        self.must = [{n for n, (ink, _) in enumerate(self.entries) if ink.name == name} for name in request.must]

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
        """Cost of each sequence, in batches. (n, layers) to (n,). Raises Cancelled.

        An ink that must be used and is not costs far more than any colour.
        """
        cost = self.costs_of_films(self.table, sequences, progress)
        for choices in self.must:
            missing = ~np.isin(sequences, list(choices)).any(axis=1)
            cost += MISSING_INK * missing
        return cost

    def costs_of_films(
        self, table: FilmTable, sequences: NDArray[np.intp], progress: Progress = NULL_PROGRESS
    ) -> Array:
        """Cost of sequences of any films, by their colours alone. Raises Cancelled."""
        step = max(1, _BATCH_COMBINATIONS >> sequences.shape[1])
        parts = []
        for start in range(0, len(sequences), step):
            progress.report(0.5, tr("trying plans with {shape} blocks", shape=sequences.shape[1]))
            part = sequences[start : start + step]
            parts.append(self.cost_of(self.distances(stack_labs(self.ground, table, part)).min(axis=2)))
        return np.concatenate(parts)

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
            tuple(as_lab(lab) for lab in printed),
            tuple(float(value) for value in de00),
            float(de00 @ self.area),
            float(de00.max()),
            float(self.cost_of(de00[None])[0]),
        )
