"""What happens where two colours meet on different blocks: spread, run through, or only kiss."""

from collections.abc import Sequence
from dataclasses import dataclass
from itertools import combinations
from typing import Literal

import numpy as np

from nomos.colour import Film, Ground, delta_e00, ink_film, overprints, reflectance_to_lab
from nomos.project.model import Project
from nomos.separation.fields import Borders

TrapKind = Literal["spread", "kiss"]

# Running a lighter colour right through under a darker one may cost this much of the match.
_THROUGH_DE00 = 2.0


@dataclass(frozen=True)
class BorderTrap:
    """Two flat colours (numbers) whose blocks end on each other.

    lighter, darker : the lighter one may run under the darker.
    seam_de00 : how far the overlap is from the darker colour alone.
    kind : "spread" where the overlap is not seen, "kiss" where it would be.
    through : running the lighter right through under the darker would do.
    """

    lighter: int
    darker: int
    seam_de00: float
    kind: TrapKind
    through: bool


def film_of(project: Project, impression_id: str) -> Film:
    """The ink film an impression lays down."""
    zone = project.impression(impression_id).zones[0]
    ink = project.ink(zone.ink)
    return ink_film(ink.lab, ink.opacity, project.paper.lab, zone.strength)


def printing_sets(project: Project) -> list[frozenset[int]]:
    """For each flat colour the places of the impressions that print there."""
    count = len(project.flat.colours) if project.flat else 0
    colours = [project.block(impression.block).colours for impression in project.impressions]
    return [frozenset(place for place, each in enumerate(colours) if n in each) for n in range(count)]


def predicted(project: Project, sets: Sequence[frozenset[int]]) -> np.ndarray:
    """CIELAB of sets of impressions printed over each other. (sets, 3)."""
    rows = np.zeros((len(sets), len(project.impressions)), bool)
    for row, places in enumerate(sets):
        rows[row, list(places)] = True
    films = [film_of(project, impression.id) for impression in project.impressions]
    return reflectance_to_lab(overprints(Ground.from_lab(project.paper.lab), films, rows))


def border_traps(project: Project) -> tuple[BorderTrap, ...]:
    """The decision for each pair of colours that a gap could part, whether or not they meet.

    Colours of which one prints all that the other does need none: no gap can
    open. Those of the key need none: its lines hide the join.
    """
    if project.flat is None:
        return ()
    key = {n for block in project.blocks if block.is_key for n in block.colours}
    sets = printing_sets(project)
    own = predicted(project, sets)
    pairs = []
    for one, other in combinations(range(len(sets)), 2):
        if sets[one] and sets[other] and not sets[one] <= sets[other] and not sets[other] <= sets[one]:
            pairs.append((one, other) if own[one, 0] >= own[other, 0] else (other, one))
    pairs = [pair for pair in pairs if not key & set(pair)]
    if not pairs:
        return ()
    overlap = predicted(project, [sets[lighter] | sets[darker] for lighter, darker in pairs])
    found = []
    for (lighter, darker), lab in zip(pairs, overlap, strict=True):
        seam = float(delta_e00(lab, own[darker]))
        wanted = np.array(project.flat.colours[darker].lab)
        loss = float(delta_e00(lab, wanted) - delta_e00(own[darker], wanted))
        kind: TrapKind = "spread" if seam <= project.seam_de00 else "kiss"
        found.append(BorderTrap(lighter, darker, seam, kind, loss <= _THROUGH_DE00))
    return tuple(found)


def kisses(
    project: Project, borders: Borders, *, least_mm: float = 1.0
) -> tuple[tuple[BorderTrap, float], ...]:
    """The borders that only kiss, with their length in mm, longest first."""
    found = [
        (trap, float(borders.shared_mm[trap.lighter, trap.darker]))
        for trap in border_traps(project)
        if trap.kind == "kiss"
    ]
    return tuple(sorted((each for each in found if each[1] >= least_mm), key=lambda each: -each[1]))
