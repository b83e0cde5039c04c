"""Light that runs smoothly over a picture, told from the paper that is seen in it."""

from collections.abc import Callable

import numpy as np
from numpy.typing import NDArray

from nomos.colour import Lab, delta_e00
from nomos.colour.cielab import srgb_decode, srgb_encode
from nomos.colour.spectra import Array
from nomos.proof.scanning import Balance, Picture

_BIWEIGHT, _ROUNDS, _LEAST_SPREAD = 4.685, 8, 2e-3
_STRIP = 128


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


def evened(
    page: NDArray[np.floating] | Picture, light: Array, across: NDArray[np.floating], down: NDArray[np.floating],
    said: Callable[[], None] | None = None,
) -> tuple[Picture, Array]:  # fmt: skip
    """A picture as if its paper were lit alike all over, and what the paper shows then.

    Parameters
    ----------
    page : (rows, columns, 3) linear light, or uint8 sRGB.
    light : from `smooth_light`.
    across, down : where its columns and rows lie in that light, -1 to 1.
    said : called after every strip.

    Returns
    -------
    (rows, columns, 3) uint8 sRGB, and the paper, (3,) 0 to 255.
    """
    middle = light_at(light, np.zeros(2))
    found = np.empty(page.shape, np.uint8)
    for top in range(0, len(page), _STRIP):
        rows = slice(top, top + _STRIP)
        linear = srgb_decode(page[rows] / 255) if page.dtype == np.uint8 else page[rows]
        there = np.stack(np.broadcast_arrays(across[None], down[rows, None]), axis=-1)
        found[rows] = np.rint(255 * srgb_encode(np.clip(linear * middle / light_at(light, there), 0, 1)))
        if said is not None:
            said()
    return found, np.asarray(255 * srgb_encode(np.clip(middle, 0, 1)))


def unevenness(values: Array, light: Array, places: Array, balance: Balance, paper: Lab) -> float:
    """How far nine in ten places of bare paper are from the paper once the light is evened, ΔE00.

    Parameters
    ----------
    values, places : as for `smooth_light`.
    balance : that gives the evened paper its colour.
    """
    linear = values * light_at(light, np.zeros(2)) / light_at(light, places)
    return float(np.quantile(delta_e00(balance.lab(255 * srgb_encode(linear)), np.array(paper)), 0.9))
