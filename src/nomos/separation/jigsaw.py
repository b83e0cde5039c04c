"""A block sawn into pieces: their closed paths, the windows in them, and necks too thin to hold."""

from collections.abc import Sequence
from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from nomos.design import Labels
from nomos.separation.contours import Ring
from nomos.separation.outline import outlines

# Pieces are numbered along bands of this height from the top, so that a number is found by its place.
_BAND_MM = 25.0
# What a smaller core would leave on both sides of a neck is a rough edge, not a piece (share of a disc
# of the neck's width).
_LEAST_CORE = 1.0
_THRESHOLDS = 12


@dataclass(frozen=True)
class Neck:
    """Where a piece is so thin that it breaks: x and y in mm from the image's top left, width in mm."""

    place: tuple[float, float]
    width_mm: float


@dataclass(frozen=True, eq=False)
class Piece:
    """One piece of a sawn block.

    number : from 1, along bands from the top.
    colour : number of the flat colour.
    path : the closed line it is sawn along, in mm from the image's top left.
    place : the spot deepest inside, where its number is written.
    window_of : number of the piece that it is a window in; None for one that reaches others or the edge.
    necks : where it would break.
    """

    number: int
    colour: int
    path: Ring
    area_mm2: float
    place: tuple[float, float]
    window_of: int | None
    necks: tuple[Neck, ...]


def find_pieces(labels: Labels, px_per_mm: float, *, neck_mm: float) -> tuple[Piece, ...]:
    """The pieces of a block that is sawn along the borders of its colours.

    Parameters
    ----------
    labels : (height, width) uint8 colour numbers, those of a key already given to their neighbours.
    px_per_mm : resolution.
    neck_mm : thinner than this between two wider parts, a piece breaks.

    Notes
    -----
    A piece is a 4-connected area of one colour. The path is its own border, the
    middle of the saw cut: neighbours share it, and lose half the cut each.
    """
    found: list[tuple[Piece, tuple[slice, slice], NDArray[np.bool_]]] = []
    number_page = np.zeros(labels.shape, np.int32)
    for colour, window, own in _components(labels):
        found.append((_piece(len(found) + 1, colour, own, window, px_per_mm, neck_mm), window, own))
        number_page[window][own] = len(found)
    order = sorted(range(len(found)), key=lambda n: (found[n][0].place[1] // _BAND_MM, found[n][0].place[0]))
    new = {old + 1: place for place, old in enumerate(order, start=1)}
    pieces = []
    for old in order:
        piece, window, own = found[old]
        around = _surrounded_by(number_page, window, own)
        pieces.append(
            Piece(
                new[old + 1], piece.colour, piece.path, piece.area_mm2, piece.place,
                None if around is None else new[around], piece.necks,
            )
        )  # fmt: skip
    return tuple(pieces)


def _components(labels: Labels) -> list[tuple[int, tuple[slice, slice], NDArray[np.bool_]]]:
    """Each connected area of one colour, in its own window."""
    import cv2

    found = []
    for colour in np.flatnonzero(np.bincount(labels.ravel(), minlength=1)):
        own = (labels == colour).astype(np.uint8)
        count, parts, stats, _ = cv2.connectedComponentsWithStats(own, connectivity=4)
        for part in range(1, count):
            left, top, wide, tall = (int(value) for value in stats[part, :4])
            window = (slice(top, top + tall), slice(left, left + wide))
            found.append((int(colour), window, np.asarray(parts[window] == part)))
    return found


def _piece(
    number: int, colour: int, own: NDArray[np.bool_], window: tuple[slice, slice], px_per_mm: float, neck_mm: float
) -> Piece:
    import cv2

    origin = np.array([window[1].start, window[0].start]) / px_per_mm
    page = np.pad(own.astype(np.uint8), 1)
    depth = np.asarray(cv2.distanceTransform(page, cv2.DIST_L2, cv2.DIST_MASK_5), np.float32)
    y, x = np.unravel_index(depth.argmax(), depth.shape)
    place = (origin[0] + (x - 0.5) / px_per_mm, origin[1] + (y - 0.5) / px_per_mm)
    # Specks of a pixel or two have no outline.
    rings = sorted((area[0] for area in outlines(own.astype(np.uint8), px_per_mm)), key=len)
    path = rings[-1] + origin if rings else np.array([place, place, place, place])
    necks = tuple(
        Neck((origin[0] + nx / px_per_mm, origin[1] + ny / px_per_mm), width / px_per_mm)
        for nx, ny, width in _necks(page, depth, neck_mm * px_per_mm)
    )
    area = float(np.count_nonzero(own)) / px_per_mm**2
    return Piece(number, colour, path, area, (float(place[0]), float(place[1])), None, necks)


def _necks(page: NDArray[np.uint8], depth: NDArray[np.float32], least_px: float) -> list[tuple[float, float, float]]:
    """Places in a padded piece, x, y and width in pixels, where it is narrower than it may be.

    As the piece is worn away from its edges, each time one part falls into two,
    both large enough to matter, there was a neck of twice the depth worn away.
    """
    import cv2

    necks: list[tuple[float, float, float]] = []
    least_area = max(_LEAST_CORE * np.pi * least_px**2 / 4, 4.0)
    before, count_before = page, 1
    for radius in np.linspace(1.0, least_px / 2, _THRESHOLDS):
        core = (depth > radius).astype(np.uint8)
        count, parts, stats, _ = cv2.connectedComponentsWithStats(core, connectivity=8)
        # Worn parts are grown back before they are measured: a thin part is small only at its core.
        kept = [
            part
            for part in range(1, count)
            if stats[part, cv2.CC_STAT_AREA] + radius * 2 * np.sqrt(stats[part, cv2.CC_STAT_AREA]) > least_area
        ]
        if len(kept) > count_before:
            place = _between_parts(before, parts, kept)
            if place is not None:
                necks.append((*place, float(2 * radius)))
        count_before = max(count_before, len(kept))
        before = core
    return necks


def _between_parts(
    before: NDArray[np.uint8], parts: NDArray[np.int32], kept: Sequence[int]
) -> tuple[float, float] | None:
    """The middle of what joined some parts of a core before it was worn down further."""
    import cv2

    joined = before.copy()
    joined[np.isin(parts, list(kept))] = 0
    count, bridges, stats, centres = cv2.connectedComponentsWithStats(joined, connectivity=8)
    near = np.ones((3, 3), np.uint8)
    for bridge in range(1, count):
        left, top, wide, tall = (int(value) for value in stats[bridge, :4])
        # The piece is padded: a bridge has a pixel around it everywhere.
        around = slice(top - 1, top + tall + 1), slice(left - 1, left + wide + 1)
        ring = cv2.dilate((bridges[around] == bridge).astype(np.uint8), near).astype(bool)
        touched = set(np.unique(parts[around][ring])) & set(kept)
        if len(touched) > 1:
            return float(centres[bridge][0] - 0.5), float(centres[bridge][1] - 0.5)
    return None


def _surrounded_by(numbers: NDArray[np.int32], window: tuple[slice, slice], own: NDArray[np.bool_]) -> int | None:
    """The one piece that lies all around another; None if there are several, or the page's edge."""
    import cv2

    height, width = numbers.shape
    rows, columns = window
    if rows.start == 0 or columns.start == 0 or rows.stop == height or columns.stop == width:
        return None
    wide = (slice(rows.start - 1, rows.stop + 1), slice(columns.start - 1, columns.stop + 1))
    page = np.pad(own.astype(np.uint8), 1)
    cross = cv2.getStructuringElement(cv2.MORPH_CROSS, (3, 3))
    ring = (cv2.dilate(page, cross) > 0) & (page == 0)
    # Holes of the piece itself are inside it, not around it.
    _, outside = cv2.connectedComponents(1 - page, connectivity=8)
    around = np.unique(numbers[wide][ring & (outside == outside[0, 0])])
    return int(around[0]) if len(around) == 1 else None
