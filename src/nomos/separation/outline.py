"""Smooth outlines of a block's mask, in millimetres."""

from itertools import pairwise

import numpy as np
from numpy.typing import NDArray

from nomos.separation.masks import Mask

Ring = NDArray[np.float64]

_BLUR_PX = 1.0
_TOLERANCE_PX = 0.25
_PAD = 4


def outline_mm(mask: Mask, px_per_mm: float) -> float:
    """Outline length by Crofton's formula in four directions, within 6 % for any slope."""
    square = np.count_nonzero(mask[:, 1:] != mask[:, :-1]) + np.count_nonzero(mask[1:] != mask[:-1])
    slanted = np.count_nonzero(mask[1:, 1:] != mask[:-1, :-1]) + np.count_nonzero(
        mask[1:, :-1] != mask[:-1, 1:]
    )
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
    slopes; marching squares (contourpy) keeps holes with their areas.
    """
    import contourpy
    import cv2
    import shapely

    padded = cv2.copyMakeBorder(mask, _PAD, _PAD, _PAD, _PAD, cv2.BORDER_CONSTANT, value=0)
    soft = cv2.GaussianBlur(padded.astype(np.float32), (0, 0), _BLUR_PX)
    generator = contourpy.contour_generator(z=soft, fill_type=contourpy.FillType.OuterOffset, name="serial")
    filled = generator.filled(0.5, 2.0)
    areas = []
    for chain, marks in zip(*filled[:2], strict=True):
        assert chain is not None
        assert marks is not None
        rings = []
        for start, end in pairwise(marks):
            # Contours run through pixel centres, the page begins half a pixel before.
            ring = (np.asarray(chain[start:end], np.float64) - _PAD + 0.5) / px_per_mm
            line = shapely.LineString(ring).simplify(_TOLERANCE_PX / px_per_mm, preserve_topology=True)
            simple = np.asarray(line.coords)
            if len(simple) >= 4:
                rings.append(simple)
        if rings:
            areas.append(tuple(rings))
    return tuple(areas)
