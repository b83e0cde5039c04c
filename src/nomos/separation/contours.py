"""Contours of a page at a level, from the pixels beside them alone: no large page is widened to floats."""

import numpy as np
from numpy.typing import NDArray

Ring = NDArray[np.float64]
_Ints = NDArray[np.int64]
# East, south, west, north: a step to the next pixel, and to the one at the right hand.
_EAST, _SOUTH, _WEST, _NORTH = range(4)


def contour_rings(page: NDArray[np.uint8], level: float) -> list[Ring]:
    """Closed contours with what is above the level at their right hand (x right, y down).

    Parameters
    ----------
    page : (height, width) uint8, below the level all along its edge.
    level : between two whole numbers.

    Returns
    -------
    (n, 2) rings of x, y in pixels, a pixel's middle at whole numbers, the first
    point repeated at the end. Areas run clockwise as they are seen, holes the other way.

    Notes
    -----
    Marching squares (Lorensen & Cline 1987, in the plane): the contour crosses
    the line between two neighbouring pixels where one is above and the other
    below. At a saddle the two areas above stay apart.
    """
    high = page > level
    keys, ways, places = _crossings(page, high, level)
    if not len(keys):
        return []
    return [places[np.append(ring, ring[0])] for ring in _cycles(np.searchsorted(keys, _next(high, keys, ways)))]


def _crossings(page: NDArray[np.uint8], high: NDArray[np.bool_], level: float) -> tuple[_Ints, NDArray[np.int8], Ring]:
    """Where the contour crosses: a rising key each, the way it goes on there, and the place.

    Twice the number of the left or upper pixel is the key, one more for a crossing to the pixel below.
    """
    width = page.shape[1]
    flat = page.ravel()
    across = _flat_where(high[:, :-1] != high[:, 1:], width)
    down = _flat_where(high[:-1] != high[1:], width)
    keys, ways, places = [], [], []
    for here, step, (if_here, if_there) in (
        (across, 1, (_SOUTH, _NORTH)), (down, width, (_WEST, _EAST)),
    ):  # fmt: skip
        one, other = flat[here].astype(np.float64), flat[here + step].astype(np.float64)
        share = (level - one) / (other - one)
        y, x = np.divmod(here, width)
        place = np.column_stack([x, y]).astype(np.float64)
        place[:, 0 if step == 1 else 1] += share
        keys.append(2 * here + (step != 1))
        ways.append(np.where(one > level, if_here, if_there).astype(np.int8))
        places.append(place)
    key = np.concatenate(keys)
    order = np.argsort(key, kind="stable")
    return key[order], np.concatenate(ways)[order], np.concatenate(places)[order]


def _flat_where(page: NDArray[np.bool_], width: int) -> _Ints:
    """Numbers in the whole page of what is true in a page that may be a column narrower."""
    found = np.flatnonzero(page)
    if page.shape[1] == width:
        return found
    y, x = np.divmod(found, page.shape[1])
    return y * width + x


def _next(high: NDArray[np.bool_], keys: _Ints, ways: NDArray[np.int8]) -> _Ints:
    """The key of the crossing that follows each."""
    width = high.shape[1]
    flat = high.ravel()
    pixel, found = keys >> 1, np.empty_like(keys)
    for way in range(4):
        own = np.flatnonzero(ways == way)
        at = pixel[own]
        # The square that is entered, by its upper left pixel; corners ahead at the right and the left hand.
        corner = at - (0, 0, 1, width)[way]
        ahead_right = flat[corner + (width + 1, width, 0, 1)[way]]
        ahead_left = flat[corner + (1, width + 1, width, 0)[way]]
        leave = np.where(ahead_right & ahead_left, (way + 3) % 4, np.where(ahead_right, way, (way + 1) % 4))
        # A square is left through the side that the way out faces.
        sides = np.array([2 * 1 + 1, 2 * width, 1, 0])
        found[own] = 2 * corner + sides[leave]
    return found


def _cycles(follows: _Ints) -> list[_Ints]:
    """A permutation as its cycles."""
    left = bytearray(b"\x01") * len(follows)
    after = follows.tolist()
    rings = []
    for start in range(len(after)):
        if left[start]:
            ring, here = [], start
            while left[here]:
                left[here] = 0
                ring.append(here)
                here = after[here]
            rings.append(np.array(ring))
    return rings
