"""Light that runs smoothly over a picture, told from the paper that is seen in it."""

import numpy as np

from nomos.colour.spectra import Array

_BIWEIGHT, _ROUNDS, _LEAST_SPREAD = 4.685, 8, 2e-3


def _course(places: Array) -> Array:
    """Terms of a light that runs smoothly: up to the square of each place. (..., 6)."""
    x, y = places[..., 0], places[..., 1]
    return np.stack([np.ones_like(x), x, y, x * x, x * y, y * y], axis=-1)


def smooth_light(values: Array, places: Array) -> Array:
    """The light over a picture from places where bare paper is seen.

    Parameters
    ----------
    values : (n, 3) linear light of the paper, above 0.
    places : (n, 2) where that is, -1 to 1 from side to side.

    Returns
    -------
    (6, 3) for `light_at`.

    References
    ----------
    Least squares of the logarithm with the biweight of Beaton & Tukey (1974): dirt on the paper is no light.
    """
    logs, terms = np.log(values), _course(places)
    weights = np.ones(len(logs))
    for _ in range(_ROUNDS):
        root = np.sqrt(weights)[:, None]
        light, *_ = np.linalg.lstsq(root * terms, root * logs, rcond=None)
        off = np.abs(logs - terms @ light).max(axis=1)
        scale = max(1.4826 * float(np.median(off)), _LEAST_SPREAD)
        weights = np.maximum(1 - (off / (_BIWEIGHT * scale)) ** 2, 0) ** 2
    return np.asarray(light)


def light_at(light: Array, places: Array) -> Array:
    """What bare paper shows at places (..., 2) in that light. (..., 3)."""
    return np.asarray(np.exp(_course(places) @ light))
