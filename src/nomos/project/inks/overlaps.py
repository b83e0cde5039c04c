"""What a printed chart of overlaps teaches: all of its inks refined together."""

from collections.abc import Sequence
from dataclasses import dataclass

import numpy as np
from msgspec.structs import replace

from nomos.base.language import tr
from nomos.colour import Film, as_lab, overprints, reflectance_to_lab
from nomos.colour.layering import KnownFilm
from nomos.colour.overlaps import learn_overlaps
from nomos.colour.spectra import BANDS, Array
from nomos.project.inks.chart import Chart
from nomos.project.inks.films import film_of, ground_of, on_wet
from nomos.project.model import Ink, Optics, Project, ProjectError

_LEAST_PATCHES = 3


@dataclass(frozen=True, eq=False)
class ChartLearned:
    """The inks that explain a chart, and how far the patches were off: mean ΔE00 before and after.

    solids : worst ΔE00 of an ink printed alone, after.
    """

    inks: tuple[Ink, ...]
    patches: int
    before: float
    after: float
    solids: float


def learn_chart(project: Project, chart: Chart, read: dict[int, Array]) -> ChartLearned:
    """Refine the inks of a chart so that its solids and overlaps come out.

    Parameters
    ----------
    chart : as it was printed, from `overlap_chart` of this project.
    read : by place among the chart's patches its CIELAB (3,), or the reflectance of all (36,).

    Raises
    ------
    ProjectError : too few patches were read, or some by colour and some by bands.
    """
    places = [place for place in sorted(read) if chart.patches[place].films]
    if len(places) < _LEAST_PATCHES:
        raise ProjectError(
            "chart",
            tr("Read at least {least_patches} patches of the chart beside the paper.", least_patches=_LEAST_PATCHES),
        )
    if len({len(read[place]) for place in places}) > 1:
        raise ProjectError("chart", tr("Give all patches as L, a, b or all as bands, not some of each."))
    keys = [ink.key for ink in chart.inks]
    films = [film_of(project, key) for key in keys]
    ids = [project.impression(key.pull).zones[key.zone].ink for key in keys]
    names = list(dict.fromkeys(ids))
    rows = np.zeros((len(places), len(films)), bool)
    for row, place in enumerate(places):
        rows[row, list(chart.patches[place].films)] = True
    values = np.array([read[place] for place in places])
    learned = learn_overlaps(
        ground_of(project), films, rows, values, inks=[names.index(each) for each in ids],
        on_wet=on_wet(project, keys),
    )  # fmt: skip
    by_ink = dict(zip(ids, learned.films, strict=True))
    measured = {ids[chart.patches[place].films[0]]: read[place] for place in places
                if len(chart.patches[place].films) == 1}  # fmt: skip
    inks = tuple(_taught(project, project.ink(name), by_ink[name], measured.get(name)) for name in names)
    alone = rows.sum(axis=1) == 1
    worst = float(learned.after[alone].max()) if alone.any() else 0.0
    return ChartLearned(inks, len(places), float(learned.before.mean()), float(learned.after.mean()), worst)


def _taught(project: Project, ink: Ink, film: Film, alone: Array | None) -> Ink:
    """The ink with the K and S of its film; its colour is what the solid shows on the project's paper."""
    solid = Film(film.absorption, film.scattering, film.k1, 1.0, film.cover)
    lab = reflectance_to_lab(overprints(ground_of(project), [solid])[-1])
    known = KnownFilm.of(solid)
    optics = Optics(known.absorption, known.scattering, known.k1, known="chart")
    spectrum = None if alone is None or len(alone) != BANDS else tuple(map(float, alone.clip(1e-3, 1)))
    return replace(
        ink, lab=as_lab(lab), optics=optics, reflectance=spectrum or ink.reflectance,
    )  # fmt: skip


def with_learned(project: Project, inks: Sequence[Ink]) -> Project:
    """The project with what a chart has taught of its inks."""
    taught = {ink.id: ink for ink in inks}
    return replace(project, inks=tuple(taught.get(ink.id, ink) for ink in project.inks))
