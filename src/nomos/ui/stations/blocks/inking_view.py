"""What the part Inking shows: the zones of the chosen pull, and how it is printed."""

from dataclasses import dataclass

import numpy as np

from nomos.base.language import opened, tr, within
from nomos.base.units import number
from nomos.colour import lab_to_hex
from nomos.project import Project, Proof
from nomos.project.edition.card import zone_text
from nomos.project.model import Impression, Zone
from nomos.ui.frame.rows import Row
from nomos.ui.frame.sheet_view import Overlay
from nomos.ui.frame.state import UiState

OWN_INK = tr("An ink of its own")


@dataclass(frozen=True)
class InkingView:
    """How the chosen pull is inked.

    inks : id and name of all inks, and which the chosen zone has. inked : the chosen zone carries ink.
    removable : the chosen zone can be taken out.
    """

    heading: str
    rows: tuple[Row, ...]
    chosen: str
    inks: tuple[tuple[str, str], ...]
    ink: str
    inked: bool
    zone: Zone
    pull: Impression
    removable: bool
    drawn: bool
    stray: str
    name: str


def inking_view(project: Project, proof: Proof | None, state: UiState) -> InkingView | None:
    """How the chosen pull is inked; None while none is chosen."""
    if state.pull is None:
        return None
    pull = project.impression(state.pull)
    at = min(state.zone, len(pull.zones) - 1)
    zone = pull.zones[at]
    stray = proof.inking.strays.get(pull.id) if proof is not None and proof.inking is not None else None
    return InkingView(
        tr("How {id} is inked", id=within(project.pull_name(pull.id))),
        tuple(_row(project, pull, place) for place in range(len(pull.zones))),
        str(at),
        tuple((ink.id, ink.name) for ink in project.inks),
        zone.ink,
        not zone.bare,
        zone,
        pull,
        len(pull.zones) > 1,
        bool(zone.areas),
        stray.text if stray is not None else "",
        project.pull_name(pull.id),
    )


def _row(project: Project, pull: Impression, place: int) -> Row:
    zone = pull.zones[place]
    swatch = project.paper.lab if zone.bare else project.ink(zone.ink).lab
    figure = "" if zone.bare else f"{number(100 * zone.strength, 0)} %"
    kind = tr("drawn by hand") if zone.areas else tr("by colour") if place else tr("all the others leave")
    said = zone_text(project, pull, place).removeprefix(tr("where it is drawn: "))
    return Row(str(place), lab_to_hex(np.array(swatch)), opened(said), figure, kind)


def drawn_over(project: Project, state: UiState) -> Overlay:
    """What was drawn by hand on the chosen pull, each zone with its number."""
    if state.pull is None:
        return Overlay()
    words, lines = [], []
    for place, zone in enumerate(project.impression(state.pull).zones, start=1):
        for outline in zone.areas:
            lines.append(outline)
            x, y = np.mean(np.array(outline), axis=0)
            words.append((float(x), float(y), str(place)))
    return Overlay(tuple(words), (), None, tuple(lines))
