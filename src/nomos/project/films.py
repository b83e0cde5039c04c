"""Which film each zone of each impression lays down, and on which flat colours."""

from collections.abc import Collection, Sequence
from typing import NamedTuple

import numpy as np

from nomos.colour import Film, Ground, ink_film, overprints, reflectance_to_lab
from nomos.project.model import Impression, Project
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


def film_of(project: Project, key: FilmKey) -> Film:
    """The film of a zone; a graded zone taken as even has the mean of its two strengths."""
    zone = project.impression(key.pull).zones[key.zone]
    ink = project.ink(zone.ink)
    strength = zone.strength
    if key.step:
        strength = step_strength(key.step)
    elif zone.grade is not None:
        strength = (zone.strength + zone.grade.to) / 2
    return ink_film(ink.lab, ink.opacity, project.paper.lab, strength)


def printing_sets(project: Project) -> list[frozenset[int]]:
    """For each flat colour the films that lie there, as places in `zone_keys`."""
    count = len(project.flat.colours) if project.flat else 0
    colours = [
        zone_colours(project, pull, zone) for pull in project.impressions for zone in range(len(pull.zones))
    ]
    return [frozenset(place for place, each in enumerate(colours) if n in each) for n in range(count)]


def predicted(project: Project, sets: Sequence[Collection[int]]) -> np.ndarray:
    """CIELAB of sets of films (places in `zone_keys`) printed over each other. (sets, 3)."""
    keys = zone_keys(project)
    rows = np.zeros((len(sets), len(keys)), bool)
    for row, places in enumerate(sets):
        rows[row, list(places)] = True
    films = [film_of(project, key) for key in keys]
    return reflectance_to_lab(overprints(Ground.from_lab(project.paper.lab), films, rows))


def pulls_of(project: Project, places: Collection[int]) -> frozenset[int]:
    """The impressions, by place in print order, that lay some films."""
    keys = zone_keys(project)
    order = {pull.id: place for place, pull in enumerate(project.impressions)}
    return frozenset(order[keys[place].pull] for place in places)
