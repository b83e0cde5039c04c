"""The inks with their patches, the one in hand, and how near the colours come."""

from dataclasses import dataclass

import numpy as np

from nomos.base.language import opened, tr
from nomos.base.units import number
from nomos.colour import Ground, Lab, Opacity, ink_film, lab_to_hex, overprints, reflectance_to_lab
from nomos.colour.ink import contrast_ratio
from nomos.colour.recovery import ColourError
from nomos.colour.trapping import knife_test
from nomos.project import Project, Proof, Zone
from nomos.project.inks.colour_uncertainty import WORTH_SAYING, Judged
from nomos.project.inks.films import FilmKey, can_be_on, film_on, ground_of, solid_film, tack_of
from nomos.project.model import Ink
from nomos.ui.frame.colours import PATCHES, ColourStrips, Strip, colour_strips
from nomos.ui.frame.rows import Row
from nomos.ui.frame.sheet_view import lab_text
from nomos.ui.frame.state import UiState

PAPER_ROW = "paper"


@dataclass(frozen=True)
class InksView:
    """Which inks?"""

    rows: tuple[Row, ...]
    chosen: str | None
    ink: str | None
    name: str
    opacity: Opacity
    strips: ColourStrips | None
    strength: Strip | None
    grade_to: float | None
    printed: str
    matches: tuple[Row, ...]
    mean_de00: float | None
    sure: str = ""


def ink_row(pull: str, zone: int) -> str:
    """The id of a zone's row among the inks: the impression's own for its first zone."""
    return pull if zone == 0 else f"{pull}/{zone}"


def inks_view(project: Project, proof: Proof | None, state: UiState, doubt: Judged | None = None) -> InksView:
    """The Inks station; how sure its colours are, once that is known."""
    paper, ground = project.paper, ground_of(project)
    rows = [
        Row(
            PAPER_ROW,
            lab_to_hex(np.array(paper.lab)),
            paper.name,
            tr("paper"),
            tr("Lab {lab_text}", lab_text=lab_text(paper.lab)),
        )
    ]
    for place, impression in enumerate(project.impressions, start=1):
        for zone_at, zone in enumerate(impression.zones):
            own = project.ink(zone.ink)
            figure = f"{number(100 * zone.strength, 0)} %"
            if zone.grade is not None:
                figure = tr(
                    "{strength} to {to} %", strength=number(100 * zone.strength, 0), to=number(100 * zone.grade.to, 0)
                )
            apart = (
                tr("pull {place}, zone {zone_at}, ", place=place, zone_at=zone_at + 1)
                if len(impression.zones) > 1
                else ""
            )
            film = film_on(own, ground)
            quiet = tr(
                "{apart}Lab {lab_text}, {opacity} {ratio}",
                apart=apart, lab_text=lab_text(own.lab), opacity=_OPACITY[own.opacity],
                ratio=number(contrast_ratio(film.absorption, film.scattering, film.k1), 2),
            )  # fmt: skip
            if not can_be_on(own, ground):
                quiet = tr(
                    "△ duller here: read on whiter paper. {capitalize}", capitalize=opened(_OPACITY[own.opacity])
                )
            key, shown = ink_row(impression.id, zone_at), lab_to_hex(np.array(own.lab))
            rows.append(Row(key, shown, own.name, figure, quiet, over=_over_black(own, ground)))
    matches: list[Row] = []
    if proof is not None and project.flat is not None:
        matches = [
            Row(
                str(match.number),
                lab_to_hex(np.array(match.predicted)),
                project.flat.colours[match.number].name,
                tr("ΔE {de00}{give_or_take}", de00=number(match.de00), give_or_take=_give_or_take(doubt, match.number)),
            )
            for match in sorted(proof.matches, key=lambda match: -match.de00)
        ]
    chosen = project.impression(state.pull) if state.pull and not state.paper_chosen else None
    at = min(state.zone, len(chosen.zones) - 1) if chosen else 0
    ink = project.ink(chosen.zones[at].ink) if chosen else None
    grade = chosen.zones[at].grade if chosen else None
    in_hand = paper if state.paper_chosen else ink
    return InksView(
        tuple(rows),
        PAPER_ROW if state.paper_chosen else ink_row(state.pull, at) if state.pull else None,
        ink.id if ink else None,
        in_hand.name if in_hand else "",
        ink.opacity if ink else "transparent",
        colour_strips(in_hand.lab) if in_hand else None,
        _strength_strip(project, chosen.zones[at]) if chosen else None,
        grade.to if grade else None,
        tr("Inks keep the colour they have on it.")
        if state.paper_chosen
        else tr("Each patch: the ink alone on this paper."),
        tuple(matches[:5]),
        proof.mean_de00 if proof else None,
        _sure_text(doubt),
    )


_BLACK: Lab = (16.0, 0.0, 0.0)


def _over_black(ink: Ink, ground: Ground) -> str:
    """What an ink's solid shows over a black one, as a screen colour; empty where no ink can be so."""
    try:
        films = [ink_film(_BLACK, "transparent", ground), film_on(ink, ground)]
    except ColourError:
        return ""
    return lab_to_hex(reflectance_to_lab(overprints(ground, films)[-1]))


def _give_or_take(doubt: Judged | None, number_of: int) -> str:
    if doubt is None or number_of >= len(doubt.fields.within):
        return ""
    within = float(doubt.fields.within[number_of])
    return f" ± {number(within)}" if within >= WORTH_SAYING else ""


def _sure_text(doubt: Judged | None) -> str:
    """How sure the least sure colour is, and what would help."""
    if doubt is None or doubt.surer is None or doubt.surer.before < WORTH_SAYING:
        return ""
    surer = doubt.surer
    said = tr(
        "Nine in ten colours come out within the ± given; the least sure within ΔE {before}.",
        before=number(surer.before),
    )
    if surer.after < 0.8 * surer.before and len(surer.inks) > 1:
        said += tr(
            " Print the chart of {join} and {inks}, at See: the range falls to ±{after}.",
            join=", ".join(surer.inks[:-1]), inks=surer.inks[-1], after=number(surer.after),
        )  # fmt: skip
    return said


_OPACITY: dict[Opacity, str] = {"transparent": tr("transparent"), "semi": tr("half opaque"), "opaque": tr("opaque")}


def _strength_strip(project: Project, zone: Zone) -> Strip | None:
    ink = project.ink(zone.ink)
    try:
        films = [solid_film(project, ink, (step + 0.5) / PATCHES) for step in range(PATCHES)]
        ground = ground_of(project)
    except ColourError:
        return None
    labs = reflectance_to_lab(overprints(ground, films, np.eye(PATCHES, dtype=bool)))
    return Strip(
        zone.strength,
        tr("{strength} % ink", strength=number(100 * zone.strength, 0)),
        tuple(lab_to_hex(lab) for lab in labs),
    )


def knife_text(project: Project, ink: Ink) -> str:
    """What a knife shows of an ink with what was worked into it."""
    tack = tack_of(project, ink)
    changed = tr("Now {tack}: on", tack=number(tack)) if abs(tack - ink.tack) > 0.05 else tr("On")
    return tr("{changed} the knife it {knife_test}.", changed=changed, knife_test=knife_test(tack))


def ink_of(project: Project, key: FilmKey) -> Ink:
    """The ink of a zone of a pull."""
    return project.ink(project.impression(key.pull).zones[key.zone].ink)
