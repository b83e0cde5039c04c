"""What an ink can do: further passes of one block, colours in reach, pairs that part in another light."""

from collections.abc import Sequence
from dataclasses import dataclass
from itertools import combinations, pairwise, product

import numpy as np

from nomos.colour import Film, delta_e00, overprints, reflectance_to_lab
from nomos.colour.light import Light, parting_pairs
from nomos.colour.spectra import Array
from nomos.project.inks.films import ground_of, printed_reflectance, printing_sets, solid_film, zone_keys
from nomos.project.model import Project

MOST_PASSES = 8
# A further pass that changes less than this is not worth a pull (chosen by us, no source).
WORTH_DE00 = 1.5
_STRENGTHS = (0.25, 0.5, 1.0)
_MOST_FILMS = 10


@dataclass(frozen=True)
class Passes:
    """The same zone printed again and again: the colour after each, its ΔE00 to the one before.

    worth : how many passes are worth a pull.
    """

    labs: tuple[tuple[float, float, float], ...]
    gains: tuple[float, ...]
    worth: int


def passes_of(project: Project, film: Film) -> Passes:
    """What further passes of one film gain, alone on the paper."""
    stacks = overprints(ground_of(project), [film] * MOST_PASSES, np.tri(MOST_PASSES, dtype=bool))
    labs = reflectance_to_lab(stacks)
    gains = [float(delta_e00(one, other)) for one, other in pairwise(labs)]
    worth = 1 + next((place for place, gain in enumerate(gains) if gain < WORTH_DE00), len(gains))
    return Passes(tuple((float(a), float(b), float(c)) for a, b, c in labs), tuple(gains), worth)


def reachable(project: Project) -> Array:
    """Colours that the project's inks can give: alone and two over each other at three strengths. (n, 3)."""
    films = _solids(project)[:_MOST_FILMS]
    ground = ground_of(project)
    steps = len(_STRENGTHS)
    thinned = [_thin(film, strength) for film in films for strength in _STRENGTHS]
    together = [
        (one * steps + first, other * steps + second)
        for one, other in combinations(range(len(films)), 2)
        for first, second in product(range(steps), repeat=2)
    ]
    rows = np.zeros((1 + len(thinned) + len(together), len(thinned)), bool)
    rows[1 : 1 + len(thinned)] = np.eye(len(thinned), dtype=bool)
    for row, pair in enumerate(together, start=1 + len(thinned)):
        rows[row, list(pair)] = True
    everything = overprints(ground, films, np.ones((1, len(films)), bool))
    return reflectance_to_lab(np.vstack([overprints(ground, thinned, rows), everything]))


def _solids(project: Project) -> list[Film]:
    used = dict.fromkeys(zone.ink for pull in project.impressions for zone in pull.zones)
    return [solid_film(project, project.ink(ink)) for ink in used]


def _thin(film: Film, strength: float) -> Film:
    return Film(film.absorption, film.scattering, film.k1, film.thickness * strength, film.cover)


def fields_that_part(project: Project, light: Light) -> list[tuple[int, int, float]]:
    """Flat colours that match in the booth and part in another light: their numbers and ΔE00 there."""
    sets, keys = printing_sets(project), zone_keys(project)
    rows = np.zeros((len(sets), len(keys)), bool)
    for row, films in enumerate(sets):
        rows[row, list(films)] = True
    return parting_pairs(printed_reflectance(project, keys, rows), light)


def in_reach(cloud: Array, wanted: Sequence[tuple[float, float, float]]) -> list[float]:
    """ΔE00 from each wanted colour to the nearest of some that can be had."""
    return [float(delta_e00(cloud, np.array(lab)).min()) for lab in wanted]
