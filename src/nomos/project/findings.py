"""What a printmaker should know before going on, with what can be done about it."""

from collections.abc import Sequence
from dataclasses import dataclass
from typing import Literal

import numpy as np

from nomos.colour import delta_e00
from nomos.project.model import Project
from nomos.project.proofing import ColourMatch, LaidSheet, bare_paper_mm2
from nomos.registration import Kento, KentoError, place_kento
from nomos.units import number

Weight = Literal["will fail", "could show", "worth knowing"]
Station = Literal["design", "blocks", "inks", "order", "register"]

# Colours nearer than this look like one on a print (chosen by us, no source).
_ALIKE_DE00 = 4.0
_FAR_DE00 = 5.0
_SMALL_PCT = 0.5
_LEAST_BARE_MM2 = 0.05


@dataclass(frozen=True)
class Finding:
    """One thing found: how much it matters, where it belongs, what it is and what to do."""

    weight: Weight
    station: Station
    text: str
    remedy: str


def find(project: Project, laid: LaidSheet | None, matches: Sequence[ColourMatch]) -> tuple[Finding, ...]:
    """All findings of a project; those that need the proof only when it is given."""
    found = [*_of_design(project, matches), *_of_key(project)]
    if laid is not None:
        found += _of_proof(project, laid, matches)
    found += _of_registration(project)
    return tuple(found)


def kento_or_reason(project: Project) -> tuple[Kento | None, str]:
    """The kento, or why there is no room for it."""
    try:
        return place_kento(
            (project.paper.width_mm, project.paper.height_mm), project.image, project.kento
        ), ""
    except KentoError as error:
        return None, str(error)


def _of_design(project: Project, matches: Sequence[ColourMatch]) -> list[Finding]:
    if project.flat is None:
        return []
    colours = project.flat.colours
    found = []
    labs = np.array([colour.lab for colour in colours])
    for first in range(len(colours)):
        for second in range(first + 1, len(colours)):
            distance = float(delta_e00(labs[first], labs[second]))
            if distance < _ALIKE_DE00:
                found.append(
                    Finding(
                        "worth knowing",
                        "design",
                        f"{colours[first].name} and {colours[second].name} are alike, ΔE {number(distance)}.",
                        "One colour fewer may do: flatten to fewer colours.",
                    )
                )
    total = sum(match.area_mm2 for match in matches)
    for match in matches:
        share = 100 * match.area_mm2 / total
        if share < _SMALL_PCT and match.number not in project.bare_colours():
            found.append(
                Finding(
                    "worth knowing",
                    "design",
                    f"{colours[match.number].name} covers only {number(match.area_mm2, 0)} mm² "
                    f"({number(share, 2)} %).",
                    "A whole block for so little: leave it bare, or flatten to fewer colours.",
                )
            )
    return found


def _of_key(project: Project) -> list[Finding]:
    if project.flat is None or any(block.is_key for block in project.blocks):
        return []
    return [
        Finding(
            "worth knowing",
            "blocks",
            "No key block: no dark colour of this design is made of lines.",
            "Joins between colours rest on the trap alone. A block can be made the key by hand.",
        )
    ]


def _of_proof(project: Project, laid: LaidSheet, matches: Sequence[ColourMatch]) -> list[Finding]:
    assert project.flat is not None
    found = []
    bare = bare_paper_mm2(project, laid)
    out = [i for i in project.impressions if i.offset]
    if bare > _LEAST_BARE_MM2:
        cause = (
            "with " + ", ".join(project.block(i.block).name for i in out) + " out of register" if out
            else "with every block in its place"
        )  # fmt: skip
        found.append(
            Finding(
                "could show",
                "blocks",
                f"Bare paper shows on {number(bare)} mm², {cause}.",
                "Widen the trap or the key line, or register more closely.",
            )
        )
    for match in matches:
        if match.de00 > _FAR_DE00:
            name = project.flat.colours[match.number].name
            found.append(
                Finding(
                    "could show",
                    "inks",
                    f"{name} comes out ΔE {number(match.de00)} from what is wanted.",
                    "Change its ink, strength or opacity, or its place in the order.",
                )
            )
    return found


def _of_registration(project: Project) -> list[Finding]:
    kento, reason = kento_or_reason(project)
    found = []
    if kento is None:
        found.append(Finding("will fail", "register", reason, "Until then no templates can be made."))
    out = [project.block(i.block).name for i in project.impressions if i.offset]
    if out:
        found.append(
            Finding(
                "worth knowing",
                "register",
                f"Tried out of register: {', '.join(out)}.",
                "Templates are made in register all the same.",
            )
        )
    return found
