"""What to know of a reduction: what its stack of inks cannot reach."""

import numpy as np

from nomos.base.language import tr
from nomos.base.units import number
from nomos.colour import delta_e00
from nomos.project.blocks.reduction import OUT_OF_REACH_DE00, is_reduction, layer_steps
from nomos.project.inks.edits import with_ink
from nomos.project.inks.films import FilmKey, predicted, printing_sets, zone_keys
from nomos.project.model import Project, WantedColour
from nomos.project.model.finding import UNSEEN_DE00, Cure, Finding

_OPACITY = {"transparent": "transparent", "semi": tr("half opaque"), "opaque": "opaque"}


def of_reduction(project: Project) -> list[Finding]:
    """What is special about cutting the same board further."""
    if project.flat is None or not is_reduction(project):
        return []
    found = [
        Finding(
            "worth knowing", "blocks", tr("A reduction: once the board is cut further, no sheet can be added."),
            tr("Print more sheets than the edition through the first pull, all of them before the next cut."),
        )
    ]  # fmt: skip
    sets, keys = printing_sets(project), zone_keys(project)
    shown = predicted(project, sets)
    before: set[int] = set()
    for step in layer_steps(project):
        for number_of in step:
            colour = project.flat.colours[number_of]
            left = float(delta_e00(shown[number_of], np.array(colour.lab)))
            if left <= OUT_OF_REACH_DE00:
                continue
            top = keys[max(sets[number_of])]
            word = _OPACITY[project.ink(project.impression(top.pull).zones[top.zone].ink).opacity]
            lighter = any(project.flat.colours[n].lab[0] < colour.lab[0] for n in before)
            cause = tr("it is lighter than what lies under it") if lighter else tr("what lies under it shows through")
            text = tr(
                "{name} cannot be reached with {word} ink, ΔE {left}: {cause}.",
                name=colour.name, word=word, left=number(left), cause=cause,
            )  # fmt: skip
            found.append(Finding("could show", "blocks", text, *_reached(project, colour, sets[number_of], top, left)))
        before |= set(step)
    return found


def _reached(
    project: Project, colour: WantedColour, films: frozenset[int], top: FilmKey, left: float
) -> tuple[str, None, Cure | None]:
    """What brings a colour of a reduction nearer: an opaque ink, where that helps; tried, not guessed."""
    ink = project.ink(project.impression(top.pull).zones[top.zone].ink)
    hiding = with_ink(project, ink.id, lab=colour.lab, opacity="opaque")
    then = float(delta_e00(predicted(hiding, [films])[0], np.array(colour.lab)))
    if ink.opacity == "opaque" or then > left - UNSEEN_DE00:
        return (tr("Print it earlier, before what shows through it, or give it a block of its own."), None, None)
    name = ink.name
    return (
        tr(
            "Make {name} opaque: ΔE {then} then. Working the reduction out again does not help.",
            name=name,
            then=number(then),
        ),
        None,
        Cure(tr("Make {name} opaque", name=name), lambda p: with_ink(p, ink.id, lab=colour.lab, opacity="opaque")),
    )
