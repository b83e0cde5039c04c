"""From shelf and project to recipes: tubs, what a mixture lies on, and how much of it is needed."""

from collections.abc import Sequence
from dataclasses import dataclass

from nomos.base.progress import NULL_PROGRESS, Progress
from nomos.colour import Ground, Lab
from nomos.colour.layering import Film, as_solid
from nomos.colour.mixing import EXTENDER, WHITE_NAME, Pigment, Recipe, Underlay, choices, find_recipes
from nomos.colour.overprinting import laid_on
from nomos.colour.trapping import FILM, Inking
from nomos.colour.weighing import Correction, weighed
from nomos.project.inks.films import film_on, ground_of, printing_sets, solid_film, zone_keys
from nomos.project.model import Ink, Project


@dataclass(frozen=True, eq=False)
class Tubs:
    """A shelf ready to mix from: inks, and the white if it has one."""

    inks: tuple[Pigment, ...]
    white: Pigment | None

    @property
    def all(self) -> tuple[Pigment, ...]:
        """Everything that can be weighed."""
        return (*self.inks, EXTENDER, *([self.white] if self.white else []))


def tubs_of(inks: Sequence[Ink], paper: Ground) -> Tubs:
    """The tubs of a shelf; an opaque ink called white, or of pigment PW, is the white."""
    made, white = [], None
    for ink in inks:
        cost = 100 * ink.cost / ink.tub_g if ink.tub_g else 0.0
        film = as_solid(film_on(ink, paper))
        tub = Pigment(ink.name, film.absorption, film.scattering, film.k1, cost)
        is_white = ink.pigment.upper().startswith("PW") or ink.name.lower().endswith("white")
        if is_white and ink.opacity == "opaque" and white is None:
            white = Pigment(WHITE_NAME, tub.absorption, tub.scattering, tub.k1, cost)
        else:
            made.append(tub)
    return Tubs(tuple(made), white)


def underlay(ground: Ground, below: Sequence[Film] = (), inking: Inking = "normal") -> Underlay:
    """What a mixture lies on: paper with films printed before, and how thickly it is inked."""
    internal, surface = laid_on(ground, below)
    return Underlay(internal, FILM[inking], surface)


def underlay_of(project: Project, pull: str, zone: int = 0) -> Underlay:
    """The paper a zone prints on, with what most of its area has been printed with before.

    Of the flat colours that the zone prints, the one that the fewest films cover
    decides: the recipe is for the colour seen there.
    """
    keys, sets = zone_keys(project), printing_sets(project)
    own = next(place for place, key in enumerate(keys) if key.pull == pull and key.zone == zone)
    over = [sorted(film for film in films if film < own) for films in sets if own in films]
    fewest = min(over, key=len, default=[])
    films = []
    for place in fewest:
        each = project.impression(keys[place].pull).zones[keys[place].zone]
        films.append(solid_film(project, project.ink(each.ink), each.strength * FILM[each.inking]))
    return underlay(ground_of(project), films, project.impression(pull).zones[zone].inking)


def wanted_of(project: Project, pull: str, zone: int = 0) -> Lab:
    """The colour that a zone is to show: that of the flat colour it alone, or the fewest films, decide."""
    keys, sets = zone_keys(project), printing_sets(project)
    own = next(place for place, key in enumerate(keys) if key.pull == pull and key.zone == zone)
    printed = [(len(films), n) for n, films in enumerate(sets) if own in films]
    if project.flat is None or not printed:
        return project.ink(project.impression(pull).zones[zone].ink).lab
    return project.flat.colours[min(printed)[1]].lab


def recipes_for(
    target: Lab, tubs: Tubs, under: Underlay, *, most_inks: int = 3, progress: Progress = NULL_PROGRESS
) -> tuple[Recipe, ...]:
    """Recipes of a shelf for a colour over some ground, the best first. Raises Cancelled."""
    return find_recipes(target, tubs.inks, under, most_inks=most_inks, white=tubs.white, progress=progress)


def in_words(
    recipes: Sequence[Recipe], tubs: Tubs, batch_g: float, target: Lab, under: Underlay, more: int
) -> list[tuple[list[str], Recipe]]:
    """The recipes worth a look, each with what it is best at as weighed; then some more, nothing said."""
    as_weighed = [weighed(each, tubs.all, batch_g, target, under)[1].de00 for each in recipes]
    named: dict[int, tuple[list[str], Recipe]] = {}
    for word, recipe in choices(recipes, as_weighed).items():
        named.setdefault(id(recipe), ([], recipe))[0].append(word)
    rest: list[tuple[list[str], Recipe]] = [([], each) for each in recipes if id(each) not in named]
    return [*named.values(), *rest[:more]]


@dataclass(frozen=True, eq=False)
class Mixed:
    """Recipes found for one zone: what for, over what, from which tubs, and which of them is in hand."""

    pull: str
    zone: int
    target: Lab
    under: Underlay
    tubs: Tubs
    recipes: tuple[tuple[str, Recipe], ...]
    chosen: int = 0
    correction: Correction | None = None
