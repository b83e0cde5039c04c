"""The answers of the stations Inks, Order and Register, and what the stations share."""

import math
from dataclasses import dataclass

import numpy as np

from nomos.colour import Ground, Lab, Opacity, ink_film, lab_to_hex, overprints, reflectance_to_lab
from nomos.colour.recovery import ColourError
from nomos.order import before_next, reasons
from nomos.project import (
    Project,
    Proof,
    Station,
    Weight,
    Zone,
    colour_matches,
    mean_difference,
    sheet_labs,
)
from nomos.project.edits import in_rule_order, layers, moved_impression
from nomos.project.films import can_be_on, film_on, ground_of, solid_film
from nomos.project.model import Ink
from nomos.project.reduction import cut_before
from nomos.project.sureness import WORTH_SAYING, Judged
from nomos.ui.views.cards import Card
from nomos.ui.views.frame import small_print
from nomos.ui.views.rows import Note, Row
from nomos.ui.views.sheet import lab_text
from nomos.ui.views.state import UiState
from nomos.units import number

PATCHES = 24
PAPER_ROW = "paper"
MOST_CHROMA = 100.0


@dataclass(frozen=True)
class Strip:
    """A range shown as patches: the value, its figure, and what each step would give."""

    value: float
    text: str
    patches: tuple[str, ...]


@dataclass(frozen=True)
class ColourStrips:
    """A colour as lightness, chroma and hue."""

    lightness: Strip
    chroma: Strip
    hue: Strip


_GRAVITY: dict[Weight, int] = {"will fail": 0, "could show": 1, "worth knowing": 2}


def notes(proof: Proof | None, station: Station) -> tuple[Note, ...]:
    """The findings that belong to a station, the gravest first."""
    found = sorted(proof.findings if proof else (), key=lambda finding: _GRAVITY[finding.weight])
    return tuple(
        Note(f.weight, f.text, f.remedy, f.place_mm, tuple(c for c in (f.cure, f.other) if c is not None))
        for f in found
        if f.station == station
    )


def to_lch(lab: Lab) -> tuple[float, float, float]:
    """Lightness, chroma and hue angle in degrees (CIE 15)."""
    return lab[0], math.hypot(lab[1], lab[2]), math.degrees(math.atan2(lab[2], lab[1])) % 360


def from_lch(lightness: float, chroma: float, hue: float) -> Lab:
    """CIELAB of lightness, chroma and hue angle in degrees."""
    return (
        lightness,
        chroma * math.cos(math.radians(hue)),
        chroma * math.sin(math.radians(hue)),
    )


def colour_strips(lab: Lab) -> ColourStrips:
    """What a colour becomes along each of its three ranges."""
    lightness, chroma, hue = to_lch(lab)
    middles = [(step + 0.5) / PATCHES for step in range(PATCHES)]

    def strip(value: float, text: str, labs: list[Lab]) -> Strip:
        return Strip(value, text, tuple(lab_to_hex(np.array(each)) for each in labs))

    return ColourStrips(
        strip(lightness, f"L* {number(lightness)}", [from_lch(100 * m, chroma, hue) for m in middles]),
        strip(chroma, f"C* {number(chroma)}", [from_lch(lightness, MOST_CHROMA * m, hue) for m in middles]),
        strip(hue, f"{number(hue, 0)}°", [from_lch(lightness, max(chroma, 20), 360 * m) for m in middles]),
    )


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
        Row(PAPER_ROW, lab_to_hex(np.array(paper.lab)), paper.name, "paper", f"Lab {lab_text(paper.lab)}")
    ]
    for place, impression in enumerate(project.impressions, start=1):
        for zone_at, zone in enumerate(impression.zones):
            own = project.ink(zone.ink)
            figure = f"{number(100 * zone.strength, 0)} %"
            if zone.grade is not None:
                figure = f"{number(100 * zone.strength, 0)} to {number(100 * zone.grade.to, 0)} %"
            apart = f"pull {place}, zone {zone_at + 1}, " if len(impression.zones) > 1 else ""
            quiet = f"{apart}Lab {lab_text(own.lab)}, {_OPACITY[own.opacity]}"
            if not can_be_on(own, ground):
                quiet = f"△ duller here: read on whiter paper. {_OPACITY[own.opacity].capitalize()}"
            key, shown = ink_row(impression.id, zone_at), lab_to_hex(np.array(own.lab))
            rows.append(Row(key, shown, own.name, figure, quiet, over=_over_black(own, ground)))
    matches: list[Row] = []
    if proof is not None and project.flat is not None:
        matches = [
            Row(
                str(match.number),
                lab_to_hex(np.array(match.predicted)),
                project.flat.colours[match.number].name,
                f"ΔE {number(match.de00)}{_give_or_take(doubt, match.number)}",
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
        "Inks keep the colour they have on it."
        if state.paper_chosen
        else "Each patch: the ink alone on this paper.",
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
    said = (
        f"Nine in ten colours come out within the ± given; the least sure within ΔE {number(surer.before)}."
    )
    if surer.after < 0.8 * surer.before and len(surer.inks) > 1:
        said += (
            f" Print the chart of {', '.join(surer.inks[:-1])} and {surer.inks[-1]}, at See: "
            f"the range falls to ±{number(surer.after)}."
        )
    return said


_OPACITY: dict[Opacity, str] = {
    "transparent": "transparent",
    "semi": "half opaque",
    "opaque": "opaque",
}


def _strength_strip(project: Project, zone: Zone) -> Strip | None:
    ink = project.ink(zone.ink)
    try:
        films = [solid_film(project, ink, (step + 0.5) / PATCHES) for step in range(PATCHES)]
        ground = ground_of(project)
    except ColourError:
        return None
    labs = reflectance_to_lab(overprints(ground, films, np.eye(PATCHES, dtype=bool)))
    return Strip(
        zone.strength, f"{number(100 * zone.strength, 0)} % ink", tuple(lab_to_hex(lab) for lab in labs)
    )


@dataclass(frozen=True, eq=False)
class OrderView:
    """Which order?"""

    choices: tuple[Card, ...]
    pull: str | None
    why_title: str
    why: str
    can_go_earlier: bool
    can_go_later: bool


def ordered(project: Project, key: str) -> Project:
    """The project in one of the orders offered: `rule` or `key-first`."""
    by_rule = in_rule_order(project)
    keys = [i for i in by_rule.impressions if by_rule.block(i.block).is_key]
    return moved_impression(by_rule, keys[0].id, 0) if key == "key-first" and keys else by_rule


def order_view(project: Project, proof: Proof | None, state: UiState, thumb_px: int) -> OrderView:
    """The Order station."""
    offers = [("rule", "Light to dark, key last", "the usual order")]
    if any(block.is_key for block in project.blocks):
        offers.append(("key-first", "Key first, as the guide", "knocks the key back"))
    choices = []
    for key, name, quiet in offers:
        other = ordered(project, key)
        choices.append(
            _choice(key, name, quiet, other, other.impressions == project.impressions, proof, thumb_px)
        )
    if not any(choice.chosen for choice in choices):
        choices.insert(0, _choice("own", "Your order", "as on the ladder", project, True, proof, thumb_px))
    places = [impression.id for impression in project.impressions]
    place = places.index(state.pull) if state.pull in places else None
    title = why = ""
    if place is not None:
        name = project.block(project.impressions[place].block).name
        title = f"Why {name.lower()} is {_ordinal(place + 1)}"
        why = reasons(layers(project))[place]
        gone = cut_before(project)[place]
        if gone and project.flat:
            names = ", ".join(project.flat.colours[n].name.lower() for n in gone)
            why += (
                f" Before it {names} is cut away for good: have every sheet printed through the pull before, "
                "and one proof kept."
            )
    return OrderView(
        tuple(choices),
        state.pull,
        title,
        why,
        place is not None and place > 0,
        place is not None and place < len(places) - 1,
    )


def _choice(
    key: str, name: str, quiet: str, project: Project, chosen: bool, proof: Proof | None, tall: int
) -> Card:
    if proof is None or proof.laid.pulls != {i.id for i in project.impressions}:
        return Card(key, name, "", quiet, chosen, None)
    labs = sheet_labs(project, proof.laid)
    matches = colour_matches(project, proof.laid, labs)
    worst = max((match.de00 for match in matches), default=0.0)
    figures = f"ΔE {number(mean_difference(matches))}   worst {number(worst)}"
    washes = sum("wash up" in note for note in before_next(layers(project)))
    quiet = f"{quiet}, {washes} wash-up{'s' if washes != 1 else ''}"
    return Card(key, name, figures, quiet, chosen, small_print(proof, project, tall))


def _ordinal(place: int) -> str:
    words = (
        "",
        "first",
        "second",
        "third",
        "fourth",
        "fifth",
        "sixth",
        "seventh",
        "eighth",
        "ninth",
        "tenth",
    )
    return words[place] if place < len(words) else f"number {place}"
