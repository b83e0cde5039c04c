"""What happens where two colours meet on different blocks: spread, run through, or only kiss."""

from collections.abc import Sequence
from dataclasses import dataclass
from itertools import combinations
from typing import Literal

import numpy as np

from nomos.colour import delta_e00
from nomos.project.inks.films import predicted, printing_sets, pulls_of, zone_keys
from nomos.project.model import Project
from nomos.separation.fields import Borders

TrapKind = Literal["spread", "kiss"]

# Running a lighter colour right through under a darker one may cost this much of the match.
_THROUGH_DE00 = 2.0
# A line this wide is seen at half its contrast: about three minutes of arc at 40 cm (chosen by us).
_BLUR_MM = 0.35


@dataclass(frozen=True)
class BorderTrap:
    """Two flat colours (numbers) whose blocks end on each other.

    lighter, darker : the lighter one may run under the darker.
    seam_de00 : how far the overlap is from the darker colour alone.
    kind : "spread" where the overlap is not seen, "kiss" where it would be.
    through : running the lighter right through under the darker would do.
    contrast_de00 : of the overlap with the nearer of its two sides, as a line between them is seen.
    gap_de00 : of bare paper with the nearer of them.
    """

    lighter: int
    darker: int
    seam_de00: float
    kind: TrapKind
    through: bool
    contrast_de00: float = 0.0
    gap_de00: float = 0.0


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
    light, dark = np.array(pairs).T
    seam = delta_e00(overlap, own[dark])
    wanted = np.array([colour.lab for colour in project.flat.colours])[dark]
    through = delta_e00(overlap, wanted) - delta_e00(own[dark], wanted) <= _THROUGH_DE00
    contrast = np.minimum(delta_e00(overlap, own[light]), seam)
    from_paper = delta_e00(np.array(project.paper.lab), own)
    gap = np.minimum(from_paper[light], from_paper[dark])
    kinds: list[TrapKind] = ["spread" if de00 <= project.seam_de00 else "kiss" for de00 in seam]
    return tuple(
        BorderTrap(*pairs[n], float(seam[n]), kinds[n], bool(through[n]), float(contrast[n]), float(gap[n]))
        for n in range(len(pairs))
    )


@dataclass(frozen=True)
class Seams:
    """How much of the joins is seen on the whole sheet, and the limit with which least of it is.

    seen, least : metres of line, each weighed by its ΔE as a line of its width is seen.
    limit_de00 : seams up to which to take, for the least.
    """

    seen: float
    least: float
    limit_de00: float


def seams_of(project: Project, borders: Borders) -> Seams:
    """The joins as they are seen: width, contrast on both sides and length of every one.

    A trap shows its overlap; where two colours only kiss, a sheet that is out
    shows paper or overlap, each on half of the sheets and half as wide as the
    tolerance. A line is seen the less the thinner it is: by w / (w + 0.35 mm).
    """
    traps = [(trap, float(borders.shared_mm[trap.lighter, trap.darker]) / 1000) for trap in border_traps(project)]
    out = project.tolerance_mm / 2

    def seen(limit: float) -> float:
        total = 0.0
        for trap, metres in traps:
            if trap.seam_de00 <= limit:
                total += metres * _as_line(project.trap_mm, trap.contrast_de00)
            else:
                total += metres * _as_line(out, (trap.contrast_de00 + trap.gap_de00) / 2)
        return total

    limits = {0.0, project.seam_de00, *(float(np.ceil(trap.seam_de00)) for trap, metres in traps if metres)}
    best = min(limits, key=lambda limit: (round(seen(limit), 3), -limit))
    return Seams(seen(project.seam_de00), seen(best), best)


def _as_line(width_mm: float, de00: float) -> float:
    return de00 * width_mm / (width_mm + _BLUR_MM)


def kisses(
    traps: Sequence[BorderTrap], borders: Borders, *, least_mm: float = 1.0
) -> tuple[tuple[BorderTrap, float], ...]:
    """The borders that only kiss, with their length in mm, longest first."""
    found = [(trap, float(borders.shared_mm[trap.lighter, trap.darker])) for trap in traps if trap.kind == "kiss"]
    return tuple(sorted((each for each in found if each[1] >= least_mm), key=lambda each: -each[1]))
