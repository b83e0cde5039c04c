"""What to know of the joins between colours: where they only kiss, and where an overlap shows as a seam."""

from collections.abc import Sequence
from functools import partial

import numpy as np

from nomos.base.language import tr
from nomos.base.units import length_text, number
from nomos.colour import delta_e00
from nomos.project.blocks.edits import run_through
from nomos.project.blocks.keys import hidden_mm
from nomos.project.blocks.traps import BorderTrap, border_traps, kisses
from nomos.project.inks.films import predicted, printing_sets, zone_keys
from nomos.project.model import Project
from nomos.project.model.edits import with_seam
from nomos.project.model.finding import Cure, Finding
from nomos.separation.fields import Borders

_MOST_KISSES = 4
# Shorter borders are not worth a word (chosen by us, no source).
_LEAST_BORDER_MM = 10.0
# An overlap this far from the darker colour shows as a line (chosen by us, no source).
_SEEN_SEAM_DE00 = 7.0


def of_borders(project: Project, borders: Borders) -> list[Finding]:
    """Where blocks only kiss, because an overlap would show as a dark seam."""
    assert project.flat is not None
    colours = project.flat.colours
    found: list[Finding] = []
    # A contour key lies over every border, and hides the join as far as its line reaches.
    if hidden_mm(project) > 0:
        return found
    traps = border_traps(project)
    found += _seams(project, traps, borders)
    # A border of a few millimetres is nothing that anybody looks at.
    seen = [each for each in _open_kisses(project, traps, borders) if each[1] >= _LEAST_BORDER_MM]
    for trap, length in seen[:_MOST_KISSES]:
        lighter, darker = colours[trap.lighter].name, colours[trap.darker].name
        remedy = (
            tr("Run {lighter} right through under {darker}: the colour stays.", lighter=lighter, darker=darker)
            if trap.through
            else tr("A key line over the join would hide it; or register more closely there.")
        )
        text = tr(
            "{lighter} and {darker} only kiss, along {length}: an overlap would show as a seam, "
            "ΔE {seam_de00}. {tolerance_mm} out of register opens up to {tolerance_mm_2} mm² "
            "{below}.",
            lighter=lighter, darker=darker, length=length_text(length, 0), seam_de00=number(trap.seam_de00, 0),
            tolerance_mm=length_text(project.tolerance_mm), tolerance_mm_2=number(project.tolerance_mm * length, 0),
            below=_below(project, trap),
        )  # fmt: skip
        found.append(
            Finding(
                "could show", "blocks", text, remedy, _on_border(project, borders, trap),
                cure=_through(trap, lighter, darker) if trap.through else None,
            )
        )  # fmt: skip
    return found


def _open_kisses(project: Project, traps: Sequence[BorderTrap], borders: Borders) -> list[tuple[BorderTrap, float]]:
    """Borders that only kiss, less those under which a further block prints through: no paper shows there."""
    sets = printing_sets(project)
    shown = predicted(project, sets)
    found = []
    for trap, length in kisses(traps, borders):
        common = sets[trap.lighter] & sets[trap.darker]
        if common:
            between = predicted(project, [common])
            both = shown[[trap.lighter, trap.darker]]
            if float(delta_e00(between, both).min()) < _SEEN_SEAM_DE00:
                continue
        found.append((trap, length))
    return found


def _below(project: Project, trap: BorderTrap) -> str:
    """What shows where two colours part: bare paper, or the inks that both lie on."""
    sets, keys = printing_sets(project), zone_keys(project)
    common = sorted(sets[trap.lighter] & sets[trap.darker])
    names = [project.ink(project.impression(keys[n].pull).zones[keys[n].zone].ink).name for n in common]
    return tr("of {names} from below", names=tr(" and ").join(names)) if names else tr("of bare paper")


def _seams(project: Project, traps: Sequence[BorderTrap], borders: Borders) -> list[Finding]:
    """The overlap that shows most, of those that are taken before a gap."""
    assert project.flat is not None
    seen = [
        (trap, float(borders.shared_mm[trap.lighter, trap.darker]))
        for trap in traps
        if trap.kind == "spread" and trap.seam_de00 > _SEEN_SEAM_DE00
    ]
    seen = [(trap, length) for trap, length in seen if length >= _LEAST_BORDER_MM and project.trap_mm > 0]
    if not seen:
        return []
    trap, length = max(seen, key=lambda each: each[0].seam_de00)
    names = [project.flat.colours[n].name for n in (trap.lighter, trap.darker)]
    more = tr(" {seen} borders show one.", seen=len(seen)) if len(seen) > 1 else ""
    below = float(np.floor(trap.seam_de00))
    return [
        Finding(
            "could show", "blocks",
            tr(
                "Where {names} runs under {names_2} a dark seam shows, {trap_mm} wide, ΔE "
                "{seam_de00}, along {length}.{more}",
                names=names[0], names_2=names[1], trap_mm=length_text(project.trap_mm),
                seam_de00=number(trap.seam_de00, 0), length=length_text(length, 0), more=more,
            ),
            tr(
                "A gap of bare paper would show more. A key line over the join would hide it; where every sheet meets "
                "within a tenth or two the colours can kiss instead."
            ),
            _on_border(project, borders, trap),
            cure=Cure(tr("No seams above ΔE {below:.0f}", below=below), partial(with_seam, seam_de00=below)),
        )
    ]  # fmt: skip


def _on_border(project: Project, borders: Borders, trap: BorderTrap) -> tuple[float, float] | None:
    """A place on the sheet where two colours meet."""
    x, y = borders.place_mm[trap.lighter, trap.darker]
    return None if np.isnan(x) else (float(project.image.left + x), float(project.image.top + y))


def _through(trap: BorderTrap, lighter: str, darker: str) -> Cure:
    edit = partial(run_through, lighter=trap.lighter, darker=trap.darker)
    return Cure(tr("Run {lighter} through under {darker}", lighter=lighter, darker=darker), edit)
