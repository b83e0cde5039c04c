"""The chart of all overlaps of some inks: where each patch lies, what prints there, what it should show."""

from dataclasses import dataclass

import numpy as np

from nomos.base.language import tr
from nomos.colour import Lab, delta_e00
from nomos.colour.cielab import srgb_decode, srgb_encode
from nomos.colour.spectra import Array
from nomos.project.inks.films import FilmKey, predicted, printing_sets, zone_keys
from nomos.project.model import Project, ProjectError
from nomos.proof.scanning import PatchReading, Picture, balanced, read_patch

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
                films, (float(lab[0]), float(lab[1]), float(lab[2])),
                _MARGIN_MM + column * (side + _GAP_MM), _MARGIN_MM + row * (side + _GAP_MM),
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


@dataclass(frozen=True)
class ChartReading:
    """One patch as read from a scan, against what was predicted for it."""

    patch: Patch
    read: PatchReading
    de00: float


def read_chart(
    chart: Chart, picture: Picture, paper: Lab, *, grey: tuple[Lab, tuple[int, int, int, int]] | None = None
) -> tuple[ChartReading, ...]:
    """The patches of a printed chart from a scan of it, balanced to its bare paper.

    Parameters
    ----------
    picture : (height, width, 3) uint8, the whole chart with its four discs, upright.
    paper : the paper's own colour.
    grey : a grey card on the scan: its colour, and where it lies in pixels.

    Raises
    ------
    ProjectError : the discs are not found.
    """
    to_pixels = _to_pixels(chart, picture)
    windows = [_window(chart, patch, to_pixels) for patch in chart.patches]
    bare = next(place for place, patch in enumerate(chart.patches) if not patch.films)
    balance = balanced(_mean(picture, windows[bare]), paper)
    if grey is not None:
        balance = balanced(_mean(picture, windows[bare]), paper, _mean(picture, grey[1]), grey[0])
    found = []
    for patch, window in zip(chart.patches, windows, strict=True):
        read = read_patch(picture, window, balance)
        found.append(ChartReading(patch, read, float(delta_e00(np.array(read.lab), np.array(patch.lab)))))
    return tuple(found)


def _mean(picture: Picture, window: tuple[int, int, int, int]) -> Array:
    left, top, right, bottom = window
    linear = srgb_decode(picture[top:bottom, left:right].reshape(-1, 3) / 255).mean(axis=0)
    return np.asarray(255 * srgb_encode(linear))


def _to_pixels(chart: Chart, picture: Picture) -> Array:
    """The affine map from mm on the chart to pixels of a scan, by its four discs. (2, 3)."""
    import cv2

    height, width = picture.shape[:2]
    grey = cv2.cvtColor(picture, cv2.COLOR_RGB2GRAY)
    dark = (grey < 0.5 * np.median(np.sort(grey.ravel())[-grey.size // 4 :])).astype(np.uint8)
    count, _, stats, centres = cv2.connectedComponentsWithStats(dark, connectivity=8)
    scale = min(width / chart.size_mm[0], height / chart.size_mm[1])
    disc = np.pi * (MARK_MM / 2 * scale) ** 2
    round_ones = [
        centres[part]
        for part in range(1, count)
        if 0.5 * disc < stats[part, cv2.CC_STAT_AREA] < 2 * disc
        and 0.7 < stats[part, cv2.CC_STAT_WIDTH] / stats[part, cv2.CC_STAT_HEIGHT] < 1.4
    ]
    corners = np.array([(0, 0), (width, 0), (width, height), (0, height)], np.float64)
    if len(round_ones) < len(corners):
        raise ProjectError(
            "chart", tr("The chart's four black discs are not found; scan all of it, upright and in focus.")
        )
    discs = np.array(round_ones)
    found = np.array([discs[np.argmin(np.hypot(*(discs - corner).T))] for corner in corners])
    known = np.hstack([np.array(chart.marks), np.ones((4, 1))])
    matrix, *_ = np.linalg.lstsq(known, found + 0.5, rcond=None)
    off = float(np.abs(known @ matrix - found - 0.5).max())
    if off > 2 * scale:
        raise ProjectError("chart", tr("The four discs do not fit this chart; scan it flat and alone."))
    return np.asarray(matrix.T)


def _window(chart: Chart, patch: Patch, to_pixels: Array) -> tuple[int, int, int, int]:
    """The middle half of a patch, in pixels."""
    inset = chart.patch_mm / 4
    one = to_pixels @ [patch.left_mm + inset, patch.top_mm + inset, 1]
    other = to_pixels @ [patch.left_mm + chart.patch_mm - inset, patch.top_mm + chart.patch_mm - inset, 1]
    left, right = sorted((round(one[0]), round(other[0])))
    top, bottom = sorted((round(one[1]), round(other[1])))
    return int(left), int(top), int(max(right, left + 1)), int(max(bottom, top + 1))
