"""Colour fields: the connected areas of a flat design, what they measure and what they border on."""

from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from nomos.design import Labels
from nomos.design.regions import Regions, find_regions

Array = NDArray[np.float64]
_COLOURS = 256
_STRIP_PX = 1 << 20


@dataclass(frozen=True)
class Field:
    """One connected area (4-neighbours): its colour number, area, outline length and a place inside, mm.

    place : x and y from the image's top left, on the field itself.
    """

    colour: int
    area_mm2: float
    outline_mm: float
    place: tuple[float, float]


@dataclass(frozen=True, eq=False)
class Borders:
    """How long each pair of colours meets.

    shared_mm : (n, n) float64, symmetric, zero on the diagonal: border length of each pair of colours.
    edge_mm : (n,) float64, how long each colour runs along the image's edge.
    area_mm2 : (n,) float64.
    place_mm : (n, n, 2) float64, a place on each border, from the image's top left; NaN where there is none.
    """

    shared_mm: Array
    edge_mm: Array
    area_mm2: Array
    place_mm: Array

    def outline_mm(self, colours: NDArray[np.bool_]) -> float:
        """Outline of what prints when these colours do. colours : (n,) bool."""
        inside = self.shared_mm[np.ix_(colours, ~colours)].sum()
        return float(inside + self.edge_mm[colours].sum())


def _pairs(labels: Labels, count: int) -> tuple[Array, Array]:
    """(count, count) steps between neighbours: along the grid, and across it."""

    def counted(one: Labels, other: Labels) -> Array:
        differs = one != other
        # What is counted is widened to 64 bits, and most neighbours are alike.
        joint = one[differs].astype(np.int64) * _COLOURS + other[differs]
        table = np.bincount(joint, minlength=_COLOURS**2).reshape(_COLOURS, _COLOURS)
        return np.asarray((table + table.T)[:count, :count], np.float64)

    square = counted(labels[:, 1:], labels[:, :-1]) + counted(labels[1:], labels[:-1])
    slanted = counted(labels[1:, 1:], labels[:-1, :-1]) + counted(labels[1:, :-1], labels[:-1, 1:])
    return square, slanted


def measure_borders(labels: Labels, count: int, px_per_mm: float) -> Borders:
    """Border lengths between all pairs of colours.

    Parameters
    ----------
    labels : (height, width) uint8 colour numbers below `count`.
    count : number of colours.
    px_per_mm : resolution.

    Notes
    -----
    Crofton's formula in four directions: (square + slanted / sqrt 2) pi / 8
    pixels, within 6 % for a straight border of any slope.
    """
    square, slanted = _pairs(labels, count)
    # Each step was counted from both sides of the table's diagonal.
    shared = (square + slanted / np.sqrt(2)) * np.pi / 8 / px_per_mm
    rim = np.concatenate([labels[0], labels[-1], labels[:, 0], labels[:, -1]])
    edge = np.bincount(rim, minlength=count)[:count] / px_per_mm
    area = np.zeros(count)
    # Strip by strip: what is counted is widened to 64 bits.
    rows = max(1, _STRIP_PX // max(labels.shape[1], 1))
    for top in range(0, len(labels), rows):
        area += np.bincount(labels[top : top + rows].ravel(), minlength=count)[:count] / px_per_mm**2
    places = _places(labels, count) / px_per_mm
    return Borders(shared, edge.astype(np.float64), area, places)


def _places(labels: Labels, count: int) -> Array:
    """Where each pair of colours first meets, in pixels. (count, count, 2), NaN for those that do not."""
    found = np.full((count, count, 2), np.nan)
    for one, other, shift in (
        (labels[1:], labels[:-1], (0.5, 1.0)), (labels[:, 1:], labels[:, :-1], (1.0, 0.5)),
    ):  # fmt: skip
        rows, columns = np.nonzero(one != other)
        pair = one[rows, columns].astype(np.int64) * _COLOURS + other[rows, columns]
        codes, first = np.unique(pair, return_index=True)
        a, b = codes // _COLOURS, codes % _COLOURS
        at = np.stack([columns[first] + shift[0], rows[first] + shift[1]], axis=-1)
        found[a, b], found[b, a] = at, at
    return found


def touching(labels: Labels, x: int, y: int, px_per_mm: float) -> tuple[Field, dict[int, float]]:
    """The field at a pixel, and how it meets other colours.

    Parameters
    ----------
    labels : (height, width) uint8.
    x, y : pixels inside the page.

    Returns
    -------
    The field, and mm of border by colour.
    """
    own = field_at(labels, x, y)
    rows, columns = np.flatnonzero(own.any(axis=1)), np.flatnonzero(own.any(axis=0))
    window = (
        slice(max(rows[0] - 1, 0), rows[-1] + 2), slice(max(columns[0] - 1, 0), columns[-1] + 2),
    )  # fmt: skip
    # Its own number is one that no colour has, so that other fields of its colour are neighbours too.
    page = np.where(own[window], 255, labels[window]).astype(np.uint8)
    square, slanted = _pairs(page, _COLOURS)
    shared = (square[255] + slanted[255] / np.sqrt(2)) * np.pi / 8 / px_per_mm
    on_rim = own[0].sum() + own[-1].sum() + own[:, 0].sum() + own[:, -1].sum()
    outline = float(shared.sum() + on_rim / px_per_mm)
    area = float(own.sum() / px_per_mm**2)
    field = Field(int(labels[y, x]), area, outline, ((x + 0.5) / px_per_mm, (y + 0.5) / px_per_mm))
    return field, {int(n): float(shared[n]) for n in np.flatnonzero(shared)}


def find_fields(labels: Labels, px_per_mm: float, *, least_mm2: float = 0.0) -> tuple[Field, ...]:
    """The connected fields of a design, largest first.

    Parameters
    ----------
    labels : (height, width) uint8 colour numbers.
    px_per_mm : resolution.
    least_mm2 : fields of less area are left out.

    Notes
    -----
    One pass over runs; outline by Crofton's formula in four directions.
    """
    regions = find_regions(labels)
    count = len(regions.area_px)
    steps, along_edge = _steps_between(regions, labels.shape)
    # A place that is certainly inside: the middle of the region's longest run.
    longest = np.lexsort((regions.length, regions.region))
    last = np.flatnonzero(np.diff(regions.region[longest], append=count))
    runs = longest[last]
    middle = regions.start[runs] + regions.length[runs] // 2
    places = np.stack([middle % regions.width + 0.5, middle // regions.width + 0.5], axis=-1) / px_per_mm
    colour = labels.ravel()[regions.start[runs]]
    area, outline = regions.area_px / px_per_mm**2, (steps * np.pi / 8 + along_edge) / px_per_mm
    chosen = [n for n in np.argsort(-area, kind="stable") if area[n] >= least_mm2]
    return tuple(
        Field(int(colour[n]), float(area[n]), float(outline[n]), (float(places[n, 0]), float(places[n, 1])))
        for n in chosen
    )


def _steps_between(regions: Regions, shape: tuple[int, ...]) -> tuple[NDArray[np.float64], NDArray[np.int64]]:
    """For each region its steps to others, slanted ones by their share, and its pixels along the rim."""
    count, (height, width) = len(regions.area_px), shape
    steps, rim = np.zeros(count), np.zeros(count, np.int64)
    # As many rows at a time as a page of this width leaves room for, the last one once more.
    rows = max(2, _STRIP_PX // width)
    for top in range(0, height, rows):
        number = regions.rows(top, min(top + rows + 1, height))
        own = number[:rows]
        for one, other, share in (
            (own[:, 1:], own[:, :-1], 1.0), (number[1:], number[:-1], 1.0),
            (number[1:, 1:], number[:-1, :-1], np.sqrt(0.5)),
            (number[1:, :-1], number[:-1, 1:], np.sqrt(0.5)),
        ):  # fmt: skip
            differs = one != other
            for side in (one, other):
                steps += share * np.bincount(side[differs], minlength=count)
        edges = [own[:, 0], own[:, -1], *([own[0]] if top == 0 else [])]
        edges += [own[-1]] if top + rows >= height else []
        rim += np.bincount(np.concatenate(edges), minlength=count)
    return steps, rim


def field_at(labels: Labels, x: int, y: int) -> NDArray[np.bool_]:
    """The connected field at a pixel.

    Parameters
    ----------
    labels : (height, width) uint8.
    x, y : pixels inside the page.

    Returns
    -------
    (height, width) bool.
    """
    import cv2

    own = (labels == labels[y, x]).astype(np.uint8)
    _, parts = cv2.connectedComponents(own, connectivity=4)
    return np.asarray(parts == parts[y, x])
