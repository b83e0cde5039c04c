"""Smooth outlines of a block's mask, in millimetres."""

from collections.abc import Sequence

import numpy as np
from numpy.typing import NDArray

from nomos.design.regions import find_regions
from nomos.separation.contours import Ring, contour_rings
from nomos.separation.masks import Mask

_BLUR_PX = 1.0
_TOLERANCE_PX = 0.25
_PAD = 4
_HALF = 127.5


def outline_mm(mask: Mask, px_per_mm: float) -> float:
    """Outline length by Crofton's formula in four directions, within 6 % for any slope.

    Parameters
    ----------
    mask : (height, width) bool.
    px_per_mm : of the page.

    Returns
    -------
    Length, mm.
    """
    square = np.count_nonzero(mask[:, 1:] != mask[:, :-1]) + np.count_nonzero(mask[1:] != mask[:-1])
    slanted = np.count_nonzero(mask[1:, 1:] != mask[:-1, :-1]) + np.count_nonzero(mask[1:, :-1] != mask[:-1, 1:])
    return float((square + slanted / np.sqrt(2)) * np.pi / 8 / px_per_mm)


def outlines(mask: Mask, px_per_mm: float) -> tuple[tuple[Ring, ...], ...]:
    """The areas of a mask as rings: for each area its outer ring, then its holes.

    Parameters
    ----------
    mask : (height, width) uint8, 0 or 1.
    px_per_mm : resolution.

    Returns
    -------
    Tuples of (n, 2) float64 rings, x and y in mm from the mask's top left, the
    first point repeated at the end. Simplified by at most a quarter of a pixel.

    Notes
    -----
    Contours are drawn at half height of the blurred mask, so that stairs become
    slopes. A hole belongs to the area whose pixels lie beside it.
    """
    import cv2
    import shapely

    padded = cv2.copyMakeBorder(mask, _PAD, _PAD, _PAD, _PAD, cv2.BORDER_CONSTANT, value=(0.0,))
    padded *= np.uint8(255)
    soft = np.asarray(cv2.GaussianBlur(padded, (0, 0), _BLUR_PX), np.uint8)
    areas: dict[int, list[Ring]] = {}
    rings = contour_rings(soft, _HALF)
    for ring, area in zip(rings, _areas_of(rings, soft > _HALF), strict=True):
        # Contours run through pixel centres, the page begins half a pixel before.
        line = shapely.LineString((ring - _PAD + 0.5) / px_per_mm)
        simple = np.asarray(line.simplify(_TOLERANCE_PX / px_per_mm, preserve_topology=True).coords)
        if len(simple) >= 4:
            areas.setdefault(area, []).append(simple)
    return tuple(tuple(own) for own in areas.values())


def _areas_of(rings: Sequence[Ring], high: NDArray[np.bool_]) -> NDArray[np.int64]:
    """Which area each ring bounds; the outer ring of each area comes before its holes."""
    if len(rings) < 2:
        return np.zeros(len(rings), np.int64)
    # The pixels on both sides of each ring's first crossing; one of them is the area's.
    first = np.array([ring[0] for ring in rings])
    beside = [(side.astype(np.int64) @ (1, high.shape[1])) for side in (np.floor(first), np.ceil(first))]
    inside = np.where(high.ravel()[beside[0]], *beside)
    return find_regions(high.view(np.uint8), only=1).region_at(inside)
