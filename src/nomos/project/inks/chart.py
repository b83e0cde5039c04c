"""The chart of all overlaps of some inks: where each patch lies, what prints there, what it should show."""

from dataclasses import dataclass

import numpy as np

from nomos.base.language import tr
from nomos.colour import Lab, as_lab
from nomos.project.inks.films import FilmKey, predicted, printing_sets, zone_keys
from nomos.project.model import Project, ProjectError

MOST_INKS = 8
_A4_WIDE_MM, _LEAST_PATCH_MM, _MOST_PATCH_MM = 180.0, 10.0, 24.0
_GAP_MM, _MARGIN_MM = 2.5, 12.0
MARK_MM = 4.0


@dataclass(frozen=True)
class Patch:
    """One overlap: its films (places in the chart's inks), the colour, its place in mm, and its name."""

    films: tuple[int, ...]
    lab: Lab
    left_mm: float
    top_mm: float
    name: str


@dataclass(frozen=True)
class ChartInk:
    """One ink of the chart: its film, name and colour."""

    key: FilmKey
    name: str
    lab: Lab


@dataclass(frozen=True, eq=False)
class Chart:
    """All overlaps of some inks in print order.

    Columns carry the first half of the inks and rows the rest, in Gray order,
    so that every block is a few straight strips and easy to cut.

    marks : centres of four discs (MARK_MM) outside the patches, to find the chart on a scan by.
    """

    inks: tuple[ChartInk, ...]
    patches: tuple[Patch, ...]
    patch_mm: float
    size_mm: tuple[float, float]
    marks: tuple[tuple[float, float], ...]
    columns: int


def _most_overlapping(project: Project, chosen: list[int]) -> list[int]:
    """Of films in print order the eight that lie over or under others on most colours, in print order."""
    if len(chosen) <= MOST_INKS:
        return chosen
    over = [films for films in printing_sets(project) if len(films) > 1]
    ranked = sorted(chosen, key=lambda place: (-sum(place in films for films in over), place))
    return sorted(ranked[:MOST_INKS])


def overlap_chart(project: Project, pulls: tuple[str, ...] | None = None) -> Chart:
    """The chart of a project's inks.

    pulls : ids of the impressions whose inks to chart; None is all, or of more than eight those that lie
        over others on most colours.

    Raises
    ------
    ProjectError : there are none, or more than eight.
    """
    keys = zone_keys(project)
    chosen = [place for place, key in enumerate(keys) if pulls is None or key.pull in pulls]
    if pulls is None:
        chosen = _most_overlapping(project, chosen)
    if not 1 <= len(chosen) <= MOST_INKS:
        raise ProjectError(
            "impressions",
            tr(
                "A chart is of 1 to {most_inks} inks, not {chosen}; choose fewer of them.",
                most_inks=MOST_INKS,
                chosen=len(chosen),
            ),
        )
    inks = []
    for place in chosen:
        ink = project.ink(project.impression(keys[place].pull).zones[keys[place].zone].ink)
        inks.append(ChartInk(keys[place], ink.name, ink.lab))
    across = (len(chosen) + 1) // 2
    columns, rows = _gray(across), _gray(len(chosen) - across)
    side = float(np.clip(_A4_WIDE_MM / len(columns) - _GAP_MM, _LEAST_PATCH_MM, _MOST_PATCH_MM))
    sets = [
        tuple(n for n in range(len(chosen)) if ((row << across) | column) >> n & 1)
        for row in rows
        for column in columns
    ]
    labs = predicted(project, [frozenset(chosen[n] for n in each) for each in sets])
    patches = []
    for place, (films, lab) in enumerate(zip(sets, labs, strict=True)):
        row, column = divmod(place, len(columns))
        patches.append(
            Patch(
                films, as_lab(lab), _MARGIN_MM + column * (side + _GAP_MM), _MARGIN_MM + row * (side + _GAP_MM),
                " + ".join(inks[n].name for n in films) or "paper",
            )
        )  # fmt: skip
    width = 2 * _MARGIN_MM + len(columns) * (side + _GAP_MM) - _GAP_MM
    height = 2 * _MARGIN_MM + len(rows) * (side + _GAP_MM) - _GAP_MM
    inset = _MARGIN_MM / 2
    marks = ((inset, inset), (width - inset, inset), (width - inset, height - inset), (inset, height - inset))
    return Chart(tuple(inks), tuple(patches), side, (width, height), marks, len(columns))


def _gray(bits: int) -> list[int]:
    """Numbers of so many bits in Gray order: each differs from the next in one bit (Gray 1953)."""
    return [n ^ (n >> 1) for n in range(1 << bits)]
