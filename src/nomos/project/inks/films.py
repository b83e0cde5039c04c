"""Which film each zone of each impression lays down, and on which flat colours."""

from collections.abc import Collection, Iterator, Sequence
from dataclasses import replace
from typing import NamedTuple

import numpy as np
from numpy.typing import NDArray

from nomos.base.language import tr
from nomos.base.units import number
from nomos.colour import Film, Ground, OnWet, ink_film, overprints, reflectance_to_lab
from nomos.colour.ink import solid_of, spectral_solid
from nomos.colour.layering import Stock, surface_on
from nomos.colour.overprinting import overprints_in_turn
from nomos.colour.pigments import Family
from nomos.colour.spectra import Array
from nomos.colour.trapping import COVER, FILM, WET_SURFACE, tack_with, trapping_of
from nomos.colour.vehicles import VEHICLES, sunk
from nomos.order.washing import TackAdvice, tack_advice
from nomos.project.model import Impression, Ink, Project
from nomos.separation.zones import step_strength


class FilmKey(NamedTuple):
    """One film on the sheet: the impression, the zone by its place, and in a graded zone the step.

    step : 1 to 63 of a graded zone; 0 is an even zone, or a graded one taken as even.
    """

    pull: str
    zone: int
    step: int = 0


def zone_keys(project: Project) -> tuple[FilmKey, ...]:
    """One film for each zone, in print order; zones of one impression lie side by side."""
    return tuple(FilmKey(pull.id, zone) for pull in project.impressions for zone in range(len(pull.zones)))


def zone_colours(project: Project, impression: Impression, zone: int) -> tuple[int, ...]:
    """Numbers of the flat colours that a zone inks: its own, or for the first what the others leave."""
    colours = project.block(impression.block).colours
    if zone > 0:
        return tuple(n for n in colours if n in impression.zones[zone].colours)
    taken = {n for other in impression.zones[1:] for n in other.colours}
    return tuple(n for n in colours if n not in taken)


def ground_of(project: Project) -> Ground:
    """The bare paper."""
    return stock_of(project).ground


def stock_of(project: Project) -> Stock:
    """The bare paper, by what is known of it."""
    paper = project.paper
    return Stock(paper.lab, paper.reflectance, paper.kind, COVER[paper.surface])


def solid_film(project: Project, ink: Ink, thickness: float = 1.0) -> Film:
    """The film of an ink on the project's paper, by its optics if they are known."""
    return film_on(ink, ground_of(project), thickness, damp=project.register.damp)


def film_on(ink: Ink, ground: Ground, thickness: float = 1.0, *, damp: bool = False) -> Film:
    """The film of an ink on a paper, by all that is known of it: its K and S, its spectrum, or its colour."""
    if ink.optics is not None:
        optics = ink.optics
        held = 1 - sunk(ink.vehicle, ground.kind, damp=damp) if optics.sealed else 1.0
        k, s = np.array(optics.absorption), np.array(optics.scattering)
        k1 = surface_on(ground, k, s) if optics.sealed else min(optics.k1, ground.k1)
        return Film(k, s, k1, thickness * held, ground.cover)
    if ink.reflectance is not None:
        solid = spectral_solid(ink.reflectance, ink.opacity, ground)
        return Film(solid.absorption, solid.scattering, solid.k1, thickness, ground.cover)
    return ink_film(ink.lab, ink.opacity, ground, thickness, ink.family)


def can_be_on(ink: Ink, ground: Ground) -> bool:
    """Whether an ink known by its colour and a word can have that colour, as it is, on this paper."""
    return ink.optics is not None or solid_of(ink.lab, ink.opacity, ground, ink.family).reached


def known_by_colour(ink: Ink) -> bool:
    """Whether nothing is known of an ink but its colour and a word."""
    return ink.optics is None and ink.reflectance is None


def family_of(ink: Ink, ground: Ground) -> Family | None:
    """What pigment an ink known by its colour and a word is taken for; None where it was read."""
    return solid_of(ink.lab, ink.opacity, ground, ink.family).family if known_by_colour(ink) else None


def film_of(project: Project, key: FilmKey) -> Film:
    """The film of a zone; a graded zone taken as even has the mean of its two strengths."""
    zone = project.impression(key.pull).zones[key.zone]
    strength = zone.strength
    if key.step:
        strength = step_strength(key.step)
    elif zone.bare:
        strength = zone.strength / 2 if zone.soft_mm > 0 else 0.0
    elif zone.grade is not None:
        strength = (zone.strength + zone.grade.to) / 2
    return solid_film(project, project.ink(zone.ink), strength * FILM[zone.inking])


def _wet(project: Project, key: FilmKey, film: Film) -> Film:
    vehicle = project.ink(project.impression(key.pull).zones[key.zone].ink).vehicle
    return replace(film, k1=film.k1 * WET_SURFACE, thickness=film.thickness * VEHICLES[vehicle].wet_strength)


def trapping_at(project: Project, place: int) -> float | None:
    """Share of an impression's film that takes on the one before; None where that one is dry.

    place : of the impression in print order.
    """
    if not project.goes_on_wet(place):
        return None
    return trapping_between(project, place - 1, place)


def trapping_between(project: Project, before: int, place: int) -> float:
    """Share of an impression's film that takes on another's while that is wet.

    before, place : of both impressions in print order.
    """
    pull = project.impressions[place]
    if pull.trapping is not None:
        return pull.trapping
    first, second = (project.ink(project.impressions[n].main.ink) for n in (before, place))
    return trapping_of(tack_of(project, first), tack_of(project, second))


def tack_of(project: Project, ink: Ink) -> float:
    """The tack of an ink with what was worked into it, 0 to 10."""
    shop = project.workshop
    return tack_with(
        ink.tack,
        ink.modifier_pct / shop.oil_step_pct if ink.modifier == "oil" else 0.0,
        ink.modifier_pct / shop.carbonate_step_pct if ink.modifier == "carbonate" else 0.0,
    )


def sitting_advice(project: Project) -> tuple[TackAdvice, ...]:
    """Where a layer goes onto wet ink and is not looser than it, and what makes it so."""
    inks = [project.ink(pull.main.ink) for pull in project.impressions]
    wet = [project.goes_on_wet(place) for place in range(len(inks))]
    return tack_advice([ink.name for ink in inks], [tack_of(project, ink) for ink in inks], wet)


def tack_series(project: Project) -> str:
    """The tack of all inks in print order, as one series that has to fall where it is printed wet."""
    steps = []
    for place, pull in enumerate(project.impressions):
        ink = project.ink(pull.main.ink)
        joins = "" if place == 0 else " → " if project.goes_on_wet(place) else tr(", dry, then ")
        steps.append(f"{joins}{ink.name} {number(tack_of(project, ink))}")
    return tr("Tack must fall from wet layer to wet layer: {steps}.", steps="".join(steps))


def on_wet(project: Project, keys: Sequence[FilmKey]) -> list[OnWet | None]:
    """For films in print order what each is laid on while it is wet."""
    order = {pull.id: place for place, pull in enumerate(project.impressions)}
    found: list[OnWet | None] = []
    for key in keys:
        place = order[key.pull]
        share = trapping_at(project, place)
        if share is None:
            found.append(None)
            continue
        # Sheet by sheet all that is below is wet, else only the layer before.
        first = 0 if project.sheet_by_sheet else place - 1
        below = tuple(n for n, other in enumerate(keys) if first <= order[other.pull] < place)
        found.append(OnWet(below, share))
    return found


def printing_sets(project: Project) -> list[frozenset[int]]:
    """For each flat colour the films that lie there, as places in `zone_keys`."""
    count = len(project.flat.colours) if project.flat else 0
    colours = [
        zone_colours(project, pull, place) if zone.inked else ()
        for pull in project.impressions
        for place, zone in enumerate(pull.zones)
    ]
    return [frozenset(place for place, each in enumerate(colours) if n in each) for n in range(count)]


def predicted(project: Project, sets: Sequence[Collection[int]]) -> np.ndarray:
    """CIELAB of sets of films (places in `zone_keys`) printed over each other. (sets, 3)."""
    keys = zone_keys(project)
    rows = np.zeros((len(sets), len(keys)), bool)
    for row, places in enumerate(sets):
        rows[row, list(places)] = True
    return reflectance_to_lab(printed_reflectance(project, keys, rows))


def printed_reflectance(
    project: Project, keys: Sequence[FilmKey], rows: NDArray[np.bool_], *, wet_look: bool = False
) -> Array:
    """Measured reflectance of combinations of films, in print order. rows : (n, films). (n, 36).

    wet_look : as the print looks before it is dry, deeper and shining.
    """
    films = [film_of(project, key) for key in keys]
    if wet_look:
        films = [_wet(project, key, film) for key, film in zip(keys, films, strict=True)]
    return overprints(ground_of(project), films, rows, on_wet(project, keys))


def printed_in_turn(
    project: Project, keys: Sequence[FilmKey], rows: NDArray[np.bool_], after: Collection[int]
) -> Iterator[Array]:
    """What `printed_reflectance` gives after each of these numbers of films. (n, 36) each."""
    films = [film_of(project, key) for key in keys]
    return overprints_in_turn(ground_of(project), films, rows, on_wet(project, keys), after)


def pulls_of(project: Project, places: Collection[int]) -> frozenset[int]:
    """The impressions, by place in print order, that lay some films."""
    keys = zone_keys(project)
    order = {pull.id: place for place, pull in enumerate(project.impressions)}
    return frozenset(order[keys[place].pull] for place in places)
