"""Recognising a clean digital drawing, whose colours are taken as they are, and laying it untouched."""

from dataclasses import dataclass
from functools import cache

import numpy as np
from numpy.typing import NDArray

from nomos.base.strips import by_strips, looked_up
from nomos.colour import delta_e00, srgb_to_lab
from nomos.design.cleaning import Labels
from nomos.design.page import Mask, Rgb

Array = NDArray[np.float64]

# A pixel is flat where its 3 x 3 neighbourhood spans no more than this of 0 to 255: compression's grain.
_FLAT_RANGE = 8
# Colours nearer than this are one colour with such grain on it.
_ONE_DE00 = 2.5
# A drawing has so much of its page flat, and so much of that in few exact colours. Chosen by us.
_LEAST_FLAT, _LEAST_EXACT = 0.5, 0.95
_LEAST_SHARE = 1e-4
_MOST_COLOURS = 48
_SAMPLES = 1_500_000
# A colour of thin lines never lies flat: it occurs exactly, with one colour about it.
_THIN_SHARE = 2e-4
_LOOK_PX = 2
_STRIPS = 48


@dataclass(frozen=True, eq=False)
class Drawing:
    """A clean digital drawing: its colours, commonest first, as (k, 3) uint8 sRGB and (k, 3) CIELAB."""

    rgb: Rgb
    lab: Array
    share: Array


def recognise_drawing(rgb: Rgb) -> Drawing | None:
    """The colours of a clean digital drawing; None for a scan, a photograph or shaded tones.

    Parameters
    ----------
    rgb : (height, width, 3) uint8 sRGB.
    """
    # A few strips tell a photograph at once: the whole page need not be looked at.
    rows = [_flat(np.ascontiguousarray(rgb[top : top + 6])) for top in range(0, len(rgb), max(6, len(rgb) // _STRIPS))]
    if len(rows) >= _STRIPS / 2 and np.mean([row.mean() for row in rows]) < 0.7 * _LEAST_FLAT:
        return None
    flat = _flat(rgb)
    if flat.mean() < _LEAST_FLAT:
        return None
    stride = max(1, int(np.sqrt(flat.size / _SAMPLES)))
    values, share = _exact(_packed(rgb[::stride, ::stride][flat[::stride, ::stride]]))
    centres = _distinct(values, share)
    if not len(centres) or len(centres) > _MOST_COLOURS or share[centres].sum() < _LEAST_EXACT:
        return None
    colours = _unpacked(values[centres])
    drawing = Drawing(colours, srgb_to_lab(colours), share[centres])
    return _with_thin_colours(rgb, drawing, flat)


def lay_drawing(rgb: Rgb, lab: Array) -> Labels:
    """Every pixel's colour: its own where it has one, on an edge the nearest of those about it.

    Parameters
    ----------
    rgb : (height, width, 3) uint8. lab : (k, 3) the colours.
    """
    import cv2

    from nomos.colour import lab_to_srgb

    labels = lay_nearest(rgb, lab)
    row, column = np.nonzero(~_flat(rgb))
    own = rgb[row, column]
    # A pixel that is its colour exactly, but for grain, is sure though it lies on an edge.
    apart = np.abs(own.astype(np.int16) - lab_to_srgb(lab)[labels[row, column]]).max(axis=-1)
    row, column = row[apart > 3], column[apart > 3]
    if not len(row):
        return labels
    unsure = np.zeros(labels.shape, bool)
    unsure[row, column] = True
    own_lab = srgb_to_lab(own[apart > 3])
    # On an edge only the colours that lie there count, or a mixture would pass for a third.
    best = np.full(len(row), np.inf)
    chosen = labels[row, column]
    there = np.ones((2 * _LOOK_PX + 1,) * 2, np.uint8)
    for number in range(len(lab)):
        near = cv2.dilate(((labels == number) & ~unsure).view(np.uint8), there)[row, column] > 0
        distance = np.linalg.norm(own_lab - lab[number], axis=-1)
        nearer = near & (distance < best)
        chosen[nearer], best[nearer] = number, distance[nearer]
    labels[row, column] = chosen
    return labels


def lay_nearest(rgb: Rgb, lab: Array) -> Labels:
    """The nearest of some colours at each pixel, whatever lies about it.

    Parameters
    ----------
    rgb : (height, width, 3) uint8 sRGB.
    lab : (n, 3).

    Returns
    -------
    (height, width) uint8 numbers of the colours.
    """
    table = nearest_table(lab)
    return by_strips(rgb, 0, lambda part: looked_up(table, fine_numbers(part)))


_FINE_BITS = 6


def fine_numbers(rgb: Rgb) -> NDArray[np.uint32]:
    """The cell of every pixel in a table of 6 bits a channel.

    Parameters
    ----------
    rgb : (height, width, 3) uint8.

    Returns
    -------
    (height, width) int32, below 262,144.
    """
    top = rgb >> (8 - _FINE_BITS)
    numbers = top[..., 0].astype(np.uint32)
    for channel in (1, 2):
        numbers <<= _FINE_BITS
        numbers |= top[..., channel]
    return numbers


@cache
def _cells() -> Array:
    """The middle of each cell in CIELAB. (262144, 3)"""
    axis = (np.arange(1 << _FINE_BITS) + 0.5) * (256 >> _FINE_BITS) - 0.5
    cells = np.stack(np.meshgrid(axis, axis, axis, indexing="ij"), axis=-1).reshape(-1, 3)
    own = srgb_to_lab(cells)
    own.flags.writeable = False
    return own


def nearest_table(lab: Array) -> NDArray[np.uint8]:
    """The nearest of some colours for the middle of each cell. (262144,) uint8.

    Parameters
    ----------
    lab : (n, 3), n up to 256.

    Returns
    -------
    (262144,) uint8.
    """
    own = _cells()
    apart = (own**2).sum(axis=1)[:, None] - 2 * own @ lab.T + (lab**2).sum(axis=1)
    return np.argmin(apart, axis=1).astype(np.uint8)


def _flat(rgb: Rgb) -> Mask:
    return by_strips(rgb, 1, _flat_in)


def _flat_in(rgb: Rgb) -> Mask:
    import cv2

    near = np.ones((3, 3), np.uint8)
    spread = cv2.subtract(cv2.dilate(rgb, near), cv2.erode(rgb, near))
    return np.asarray(cv2.inRange(spread, (0, 0, 0), (_FLAT_RANGE,) * 3)) > 0


def _packed(rgb: Rgb) -> NDArray[np.uint32]:
    return rgb.astype(np.uint32) @ np.array([65536, 256, 1], np.uint32)


def _unpacked(values: NDArray[np.uint32]) -> Rgb:
    return np.stack([values >> 16, (values >> 8) & 255, values & 255], axis=-1).astype(np.uint8)


def _exact(packed: NDArray[np.uint32]) -> tuple[NDArray[np.uint32], Array]:
    """The exact colours and their shares, the commonest first."""
    values, count = np.unique(packed, return_counts=True)
    order = np.argsort(-count, kind="stable")
    return values[order], count[order] / max(len(packed), 1)


def _distinct(values: NDArray[np.uint32], share: Array) -> NDArray[np.int64]:
    """Places of the colours that are common, and no grain of a commoner one."""
    common = np.flatnonzero(share >= _LEAST_SHARE)[: 4 * _MOST_COLOURS]
    own = srgb_to_lab(_unpacked(values[common]))
    centres: list[int] = []
    for place in range(len(common)):
        if not centres or float(delta_e00(own[centres], own[place]).min()) > _ONE_DE00:
            centres.append(place)
    return common[centres]


def _with_thin_colours(rgb: Rgb, drawing: Drawing, flat: Mask) -> Drawing:
    """The drawing with colours that occur in lines too thin to lie flat."""
    import cv2

    edge = _packed(rgb[~flat])
    values, place, count = np.unique(edge, return_inverse=True, return_counts=True)
    common = np.flatnonzero(count >= _THIN_SHARE * flat.size)
    if not len(common):
        return drawing
    kinds = np.zeros(flat.shape, np.uint8)
    there = np.ones((2 * _LOOK_PX + 1,) * 2, np.uint8)
    known = np.where(flat, lay_nearest(rgb, drawing.lab), 255)
    for number in range(len(drawing.lab)):
        kinds += np.asarray(cv2.dilate((known == number).view(np.uint8), there), np.uint8)
    # With one colour on both sides it is a line; between two it is their mixture.
    alone = np.bincount(place, kinds[~flat] <= 1)[common] > 0.6 * count[common]
    colours = _unpacked(values[common[alone]])
    labs, shares = srgb_to_lab(colours), count[common[alone]] / flat.size
    found_rgb, found_lab, found_share = list(drawing.rgb), list(drawing.lab), list(drawing.share)
    # The most distinct first: what is less so may be its mixture with the ground.
    distance = [float(delta_e00(drawing.lab, lab).min()) for lab in labs]
    for at in np.argsort([-each for each in distance], kind="stable"):
        if distance[at] > 2 * _ONE_DE00 and not _mixture(labs[at], np.array(found_lab)):
            found_rgb.append(colours[at])
            found_lab.append(labs[at])
            found_share.append(float(shares[at]))
    return Drawing(np.array(found_rgb), np.array(found_lab), np.array(found_share))


def _mixture(lab: Array, known: Array) -> bool:
    """Whether a colour is one of those known, or lies on the way between two of them."""
    if float(delta_e00(known, lab).min()) < 2 * _ONE_DE00:
        return True
    for place, start in enumerate(known):
        way = known[:place] - start
        length = np.maximum((way**2).sum(axis=1), 1e-9)
        share = np.clip(way @ (lab - start) / length, 0, 1)
        off = np.linalg.norm(start + share[:, None] * way - lab, axis=1)
        if (off < 6).any():
            return True
    return False
