"""Smooth outlines of a block's mask, in millimetres."""

from collections.abc import Sequence

import numpy as np
from numpy.typing import NDArray

from nomos.separation.contours import Ring, contour_rings
from nomos.separation.masks import Mask

_BLUR_PX = 1.0
_TOLERANCE_PX = 0.25
_PAD = 4
_HALF = 127.5


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


def _areas_of(rings: Sequence[Ring], high: NDArray[np.bool_]) -> list[int]:
    """Which area each ring bounds; the outer ring of each area comes before its holes."""
    import cv2

    if len(rings) < 2:
        return [0] * len(rings)
    # Numbers of sixteen bits where they suffice: there are no more areas than rings.
    kind = cv2.CV_16U if len(rings) < 1 << 16 else cv2.CV_32S
    _, numbers = cv2.connectedComponents(high.view(np.uint8), connectivity=4, ltype=kind)
    found = []
    for ring in rings:
        # The pixels on both sides of the first crossing; one of them is the area's.
        x, y = ring[0]
        low, up = (int(np.floor(y)), int(np.floor(x))), (int(np.ceil(y)), int(np.ceil(x)))
        found.append(int(numbers[low] or numbers[up]))
    return found
