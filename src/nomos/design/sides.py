"""Straight edges in a photograph, and the quadrilaterals they enclose: what may be the sides of a sheet."""

from itertools import combinations

import numpy as np
from numpy.typing import NDArray

from nomos.design.page import Rgb, lab_page

Array = NDArray[np.float64]
Points = NDArray[np.float64]
Page = NDArray[np.float32]

SIDE_PX = 900
# A colour of its own counts for more than a difference in lightness: shadows have none.
_CHROMA = 1.5
_TURNS = 360
# Steps weaker than this, Lab units a pixel, are grain.
_LEAST_STEP = 0.5
_LEAST_AREA = 0.1
# A sheet may run out of the picture by this share of it.
_BEYOND = 0.25
_LEAST_ALIKE = 0.5

# A line: direction of its normal, 0 to pi, and its distance from the origin along it.
Line = tuple[float, float]


def colours_and_steps(rgb: Rgb) -> tuple[Page, Page, Page]:
    """A photograph as it is looked for edges in.

    Parameters
    ----------
    rgb : (height, width, 3) uint8 sRGB.

    Returns
    -------
    Colours, (h, w, 3) CIELAB with a and b weighing more, and the steepest step across and down, (h, w) each;
    at `SIDE_PX` along the longer side. Lines that are thinner than a few pixels are no steps.
    """
    import cv2

    scale = SIDE_PX / max(rgb.shape[:2])
    size = max(16, round(rgb.shape[1] * scale)), max(16, round(rgb.shape[0] * scale))
    small = np.asarray(cv2.medianBlur(cv2.resize(rgb, size, interpolation=cv2.INTER_AREA), 5), np.uint8)
    lab = lab_page(small)
    lab[..., 1:] *= _CHROMA
    soft = np.asarray(cv2.GaussianBlur(lab, (0, 0), 2.0), np.float32)
    across = np.asarray(cv2.Sobel(soft, cv2.CV_32F, 1, 0, scale=1 / 8), np.float32)
    down = np.asarray(cv2.Sobel(soft, cv2.CV_32F, 0, 1, scale=1 / 8), np.float32)
    strongest = (across**2 + down**2).argmax(axis=-1)[..., None]
    return (
        soft,
        np.ascontiguousarray(np.take_along_axis(across, strongest, axis=-1)[..., 0]),
        np.ascontiguousarray(np.take_along_axis(down, strongest, axis=-1)[..., 0]),
    )


def straight_edges(across: Page, down: Page, most: int) -> list[Line]:
    """So many of the straightest edges, apart from each other, whichever side is the brighter; the straightest first.

    Parameters
    ----------
    across, down : (h, w) the steepest step at each pixel.

    Notes
    -----
    Hough (1962) by direction and distance, each pixel voting with its own direction (Duda & Hart 1972).
    """
    import cv2

    strength = np.hypot(across, down)
    row, column = np.nonzero(strength > _LEAST_STEP)
    if not len(row):
        return []
    turn = np.arctan2(down[row, column], across[row, column]) % np.pi
    weight = np.minimum(np.sqrt(strength[row, column]), 1.6)
    reach = int(np.hypot(*across.shape)) + 4
    votes = np.zeros((_TURNS, 2 * reach), np.float32)
    for wobble in (-3, -2, -1, 0, 1, 2, 3):
        place = np.round(turn / np.pi * _TURNS).astype(int) + wobble
        angle = place * np.pi / _TURNS
        distance = np.round(column * np.cos(angle) + row * np.sin(angle))
        # A turn of 180 degrees is the same line with its distance negative.
        distance = np.where((place < 0) | (place >= _TURNS), -distance, distance).astype(int) + reach
        flat = (place % _TURNS) * 2 * reach + distance
        votes += np.bincount(flat, weight / (1 + abs(wobble)), votes.size).reshape(votes.shape)
    wrapped = np.vstack([votes[-8:, ::-1], votes, votes[:8, ::-1]])
    smooth = cv2.GaussianBlur(wrapped, (0, 0), sigmaX=1.5, sigmaY=1.0)
    largest = cv2.dilate(smooth, np.ones((13, 11), np.uint8))
    peak = ((smooth >= largest) & (smooth > 0.06 * smooth.max()))[8:-8]
    places = np.argwhere(peak)
    order = np.argsort(-smooth[8:-8][peak], kind="stable")[:most]
    return [(turn * np.pi / _TURNS, float(distance - reach)) for turn, distance in places[order]]


def quadrilaterals(lines: list[Line], size: tuple[int, int]) -> Points:
    """What two pairs of nearly parallel lines enclose, the picture's own border among them.

    Parameters
    ----------
    lines : of the picture. size : its width and height.

    Returns
    -------
    (n, 4, 2) corners, clockwise.
    """
    width, height = size
    border: list[Line] = [(0.0, 0.0), (0.0, float(width)), (np.pi / 2, 0.0), (np.pi / 2, float(height))]
    every = np.array(lines + border)
    pairs = [
        (one, other)
        for one, other in combinations(range(len(every)), 2)
        if abs(_turn(every[one, 0], every[other, 0])) < np.radians(32)
    ]
    if not pairs:
        return np.zeros((0, 4, 2))
    strips = np.array(pairs)
    one, other = np.triu_indices(len(strips), 1)
    square = np.abs(_turn(every[strips[one, 0], 0], every[strips[other, 0], 0])) > np.radians(55)
    one, other = one[square], other[square]
    a, b = every[strips[one]], every[strips[other]]  # (n, side, direction and distance)
    points = np.stack([_crossings(a[:, s], b[:, t]) for s, t in ((0, 0), (0, 1), (1, 1), (1, 0))], axis=1)
    return points[_like_a_sheet(points, size)]


def _like_a_sheet(points: Points, size: tuple[int, int]) -> NDArray[np.bool_]:
    """Convex, large, near the picture, opposite sides about alike; turned clockwise in place."""
    beyond = _BEYOND * max(size)
    inside = (points > -beyond).all(axis=(1, 2)) & (points < np.array(size) + beyond).all(axis=(1, 2))
    area = signed_areas(points)
    points[area < 0] = points[area < 0][:, ::-1]
    way = np.roll(points, -1, axis=1) - points
    after = np.roll(way, -1, axis=1)
    convex = (way[..., 0] * after[..., 1] - way[..., 1] * after[..., 0] > 0).all(axis=1)
    long = np.hypot(way[..., 0], way[..., 1])
    alike = np.minimum(long[:, :2], long[:, 2:]) > _LEAST_ALIKE * np.maximum(long[:, :2], long[:, 2:])
    slim = long.min(axis=1) > 0.2 * long.max(axis=1)
    large = np.abs(area) > _LEAST_AREA * size[0] * size[1]
    return np.asarray(inside & convex & alike.all(axis=1) & slim & large)


def signed_areas(points: Points) -> Array:
    """Areas of polygons, positive clockwise with y downwards (the shoelace formula). (..., n, 2) to (...)."""
    ahead = np.roll(points, -1, axis=-2)
    return np.asarray(0.5 * (points[..., 0] * ahead[..., 1] - ahead[..., 0] * points[..., 1]).sum(axis=-1))


def _turn(one: Array, other: Array) -> Array:
    """The angle between two lines, -90 to 90 degrees."""
    return np.asarray((other - one + np.pi / 2) % np.pi - np.pi / 2)


def _crossings(one: Array, other: Array) -> Array:
    """Where lines cross, given as direction and distance. (n, 2) each, to (n, 2) places."""
    a, b, c, d = np.cos(one[:, 0]), np.sin(one[:, 0]), np.cos(other[:, 0]), np.sin(other[:, 0])
    scale = a * d - b * c
    scale = np.where(np.abs(scale) < 1e-9, 1e-9, scale)
    return np.stack([d * one[:, 1] - b * other[:, 1], a * other[:, 1] - c * one[:, 1]], axis=-1) / scale[:, None]
