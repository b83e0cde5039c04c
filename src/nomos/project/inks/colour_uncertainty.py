"""How sure the colours of a project are, and what would make them surer."""

from collections.abc import Collection, Mapping, Sequence
from dataclasses import dataclass
from functools import lru_cache

import numpy as np

from nomos.base.language import tr
from nomos.base.progress import NULL_PROGRESS, Progress
from nomos.colour import OnWet, Opacity
from nomos.colour.colour_uncertainty import Basis, Known, standard_errors
from nomos.colour.layering import Film, KnownFilm, Stock
from nomos.colour.pigments import Family
from nomos.colour.spectra import Array
from nomos.project.inks.films import film_of, on_wet, printing_sets, stock_of, zone_keys
from nomos.project.model import Ink, Project
from nomos.separation.plans import Plan, PlannedInk

_MOST_CHARTED = 3
# A range smaller than this is not worth saying, ΔE00.
WORTH_SAYING = 0.5

Doubted = tuple[KnownFilm, float, float, Basis, Opacity, Family | None]


@dataclass(frozen=True, eq=False)
class ColourUncertainty:
    """Of some colours (n,): standard error, and the distance that holds 90 % of what may be true, ΔE00."""

    error: Array
    within: Array


@dataclass(frozen=True)
class Surer:
    """What a chart of some inks would do: their names, and the worst range before and after, ΔE00."""

    inks: tuple[str, ...]
    before: float
    after: float


def basis_of(ink: Ink) -> Basis:
    """What an ink is known by."""
    if ink.optics is not None:
        return ink.optics.known
    return "word" if ink.reflectance is None else "spectrum"


def how_sure(project: Project, sets: Sequence[Collection[int]], charted: Collection[str] = ()) -> ColourUncertainty:
    """How sure the colours of sets of films (places in `zone_keys`) are.

    charted : ids of inks that are taken as if a chart of their overlaps had been read.
    """
    keys = zone_keys(project)
    known = []
    for key in keys:
        ink = project.ink(project.impression(key.pull).zones[key.zone].ink)
        basis: Basis = "chart" if ink.id in charted else basis_of(ink)
        known.append(_doubted(film_of(project, key), basis, ink))
    rows = tuple(frozenset(each) for each in sets)
    return ColourUncertainty(*_errors(stock_of(project), tuple(known), tuple(on_wet(project, keys)), rows))


def plan_sureness(paper: Stock, plan: Plan) -> ColourUncertainty:
    """How sure the colours of a plan are, one for each of its flat colours."""
    ground = paper.ground
    known = tuple(
        _doubted(ink.film(ground), basis_of(ink.ink) if isinstance(ink.ink, Ink) else "word", ink) for ink in plan.inks
    )
    wets = (None,) * len(known)
    return ColourUncertainty(*_errors(paper, known, wets, tuple(frozenset(each) for each in plan.members)))


def surer(project: Project) -> Surer | None:
    """What charting the inks of the least sure colour would do; None where nothing is printed."""
    sets = printing_sets(project)
    now = how_sure(project, sets).within
    if not len(now) or not now.max():
        return None
    keys = zone_keys(project)
    films = sorted(sets[int(now.argmax())])
    ids = list(
        dict.fromkeys(project.impression(keys[n].pull).zones[keys[n].zone].ink for n in films)
    )[-_MOST_CHARTED:]  # fmt: skip
    after = how_sure(project, sets, charted=ids).within
    return Surer(tuple(project.ink(each).name for each in ids), float(now.max()), float(after[now.argmax()]))


@dataclass(frozen=True, eq=False)
class Judged:
    """How sure each flat colour of a project is, and what a chart would do for the least sure.

    overlaps : of other sets of films that were asked for, the distance that holds 90 %, ΔE00.
    """

    fields: ColourUncertainty
    surer: Surer | None
    overlaps: Mapping[frozenset[int], float]


def judge(project: Project, overlaps: Sequence[frozenset[int]] = (), *, progress: Progress = NULL_PROGRESS) -> Judged:
    """How sure the colours of a project are, and those of further overlaps. Raises Cancelled."""
    progress.report(0.1, tr("how sure the colours are"))
    fields = how_sure(project, printing_sets(project))
    progress.report(0.4, tr("how sure the colours are"))
    helped = surer(project)
    progress.report(0.7, tr("how sure the overlaps are"))
    within = how_sure(project, overlaps).within.tolist() if overlaps else []
    return Judged(fields, helped, dict(zip(overlaps, within, strict=True)))


def _doubted(film: Film, basis: Basis, ink: Ink | PlannedInk) -> Doubted:
    family = ink.family if isinstance(ink, Ink) else None
    return KnownFilm.of(film), film.thickness, film.cover, basis, ink.opacity, family


@lru_cache(maxsize=128)
def _errors(
    stock: Stock, known: tuple[Doubted, ...], wets: tuple[OnWet | None, ...], sets: tuple[frozenset[int], ...]
) -> tuple[Array, Array]:
    rows = np.zeros((len(sets), len(known)), bool)
    for row, places in enumerate(sets):
        rows[row, list(places)] = True
    inks = [Known(film.film(amount, cover), basis, word, of) for film, amount, cover, basis, word, of in known]
    return standard_errors(stock.ground, inks, rows, wets)
