"""What happens where two colours meet on different blocks: spread, run through, or only kiss."""

from dataclasses import dataclass
from itertools import combinations
from typing import Literal

import numpy as np

from nomos.colour import delta_e00
from nomos.project.films import predicted, printing_sets, pulls_of, zone_keys
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


def border_traps(project: Project) -> tuple[BorderTrap, ...]:
    """The decision for each pair of colours that a gap could part, whether or not they meet.

    Colours of which one prints all that the other does need none: no gap can
    open. Those of the key need none: its lines hide the join.
    """
    if project.flat is None:
        return ()
    key = {n for block in project.blocks if block.is_key for n in block.colours}
    sets, keys = printing_sets(project), zone_keys(project)
    pulls = [pulls_of(project, each) for each in sets]
    own = predicted(project, sets)
    pairs = []
    for one, other in combinations(range(len(sets)), 2):
        # Zones of one impression move together: no gap opens between them.
        if pulls[one] and pulls[other] and not pulls[one] <= pulls[other] and not pulls[other] <= pulls[one]:
            pairs.append((one, other) if own[one, 0] >= own[other, 0] else (other, one))
    pairs = [pair for pair in pairs if not key & set(pair)]
    if not pairs:
        return ()
    place_of = {pull.id: place for place, pull in enumerate(project.impressions)}

    def overlapping(lighter: int, darker: int) -> frozenset[int]:
        """The darker colour's films, and those of the lighter that come from other impressions."""
        more = {film for film in sets[lighter] if place_of[keys[film].pull] not in pulls[darker]}
        return sets[darker] | more

    overlap = predicted(project, [overlapping(*pair) for pair in pairs])
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
