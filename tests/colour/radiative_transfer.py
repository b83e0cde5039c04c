"""Printing by other physics than the program's own: light by many directions, a Fresnel surface, 45 degrees to 0.

What `colour` predicts with two diffuse fluxes is held against this: a film with
scattering particles on a diffuse paper, in several streams a hemisphere, by
adding and doubling.
"""

from collections.abc import Sequence
from functools import cache
from typing import NamedTuple

import numpy as np
from numpy.typing import NDArray

Array = NDArray[np.float64]

# Of binders and of cellulose (Brandrup's handbook gives 1.47 to 1.54; from memory).
REFRACTIVE_INDEX = 1.5
# How forward pigments scatter: mean cosine (Henyey & Greenstein 1941); 0.5 to 0.8 is usual, from memory.
FORWARD = 0.6
_BELOW, _ABOVE = 3, 4
# The two directions of the instrument are nodes that carry no weight to speak of.
_NO_WEIGHT = 1e-7
_THINNEST = 0.02
# Thickness of ink is uneven by a tenth, and a hundredth of the paper stays open (chosen by us).
MOTTLE, PINHOLES = 0.1, 0.01


class _Streams(NamedTuple):
    """Cosines and weights of the directions inside, the last two 45 and 0 degrees outside; Fresnel's share."""

    cosine: Array
    weight: Array
    reflected: Array
    forward: Array
    backward: Array


def fresnel(cosine: Array, index: float = REFRACTIVE_INDEX) -> Array:
    """Share of unpolarised light that the surface gives back to the inside, by direction.

    Parameters
    ----------
    cosine : of the angle inside, 0 to 1.
    index : of refraction of the inside against air.

    Returns
    -------
    0 to 1, 1 beyond the critical angle; the same shape.
    """
    sine = index * np.sqrt(1 - cosine**2)
    beyond = sine >= 1
    outside = np.sqrt(1 - np.where(beyond, 0, sine) ** 2)
    across = (index * cosine - outside) / (index * cosine + outside)
    along = (index * outside - cosine) / (index * outside + cosine)
    return np.where(beyond, 1.0, (across**2 + along**2) / 2)


@cache
def _streams() -> _Streams:
    critical = np.sqrt(1 - 1 / REFRACTIVE_INDEX**2)
    below, above = (np.polynomial.legendre.leggauss(count) for count in (_BELOW, _ABOVE))
    seen = np.array([np.sqrt(1 - 0.5 / REFRACTIVE_INDEX**2), 1.0])
    cosine = np.concatenate(
        [(below[0] + 1) * critical / 2, critical + (above[0] + 1) * (1 - critical) / 2, seen]
    )  # fmt: skip
    weight = np.concatenate([below[1] * critical / 2, above[1] * (1 - critical) / 2, [_NO_WEIGHT] * 2])
    orders = np.arange(2 * (_BELOW + _ABOVE))
    legendre = np.polynomial.legendre.legvander(cosine, len(orders) - 1)
    moments = (2 * orders + 1) * FORWARD**orders
    ahead = (legendre * moments) @ legendre.T
    back = (legendre * moments * (-1.0) ** orders) @ legendre.T
    # Too few directions for the moments: what each sends out is made one again (Wiscombe 1976).
    whole = weight @ (ahead + back) / 2
    return _Streams(cosine, weight, fresnel(cosine), ahead / whole, back / whole)


def film(absorbed: Array, scattered: Array) -> tuple[Array, Array]:
    """Reflection and transmission of a film without surfaces, by adding and doubling.

    Parameters
    ----------
    absorbed, scattered : (n,) optical thicknesses, 0 and more.

    Returns
    -------
    Two operators (n, directions, directions) on radiances.

    References
    ----------
    Grant & Hunt (1969) for the thin layer, van de Hulst (1963) for doubling.
    """
    cosine, weight, _, forward, backward = _streams()
    one = np.eye(len(cosine))
    depth = np.maximum(absorbed + scattered, 1e-12)
    doublings = int(np.ceil(np.log2(max(float(depth.max()) / _THINNEST, 1))))
    step = (depth / 2**doublings)[:, None, None] / 2
    albedo = (scattered / depth)[:, None, None] / 2
    lost = (one - albedo * forward * weight) / cosine[:, None] * step
    turned = albedo * backward * weight / cosine[:, None] * step
    left = np.block([[one + lost, -turned], [-turned, one + lost]])
    right = np.block([[one - lost, turned], [turned, one - lost]])
    both = np.linalg.solve(left, right)
    size = len(cosine)
    through, back = both[:, :size, :size], both[:, :size, size:]
    for _ in range(doublings):
        between = np.linalg.solve(one - back @ back, np.concatenate([through, back @ through], axis=-1))
        through, back = through @ between[..., :size], back + through @ between[..., size:]
    return back, through


class Layer(NamedTuple):
    """Optical thicknesses of a film by band, (n,) each: what it absorbs and what it scatters."""

    absorbed: Array
    scattered: Array


def seen(paper: Array, layers: Sequence[Layer] = ()) -> tuple[Array, Array]:
    """What an instrument sees of films on a diffuse paper, and all that comes out.

    Parameters
    ----------
    paper : (n,) diffuse reflectance below the films, inside.
    layers : the first laid first.

    Returns
    -------
    Reflectance factor lit at 45 degrees, seen at 0 (the mirror image is not seen), and the share
    of the light that comes back in all, (n,) each.
    """
    cosine, weight, reflected, _, _ = _streams()
    one = np.eye(len(cosine))
    flux = 2 * cosine * weight
    inside = paper[:, None, None] * np.ones((len(cosine), 1)) * flux
    for layer in layers:
        back, through = film(layer.absorbed, layer.scattered)
        inside = back + through @ np.linalg.solve(one - inside @ back, inside @ through)
    enters = np.zeros((len(paper), len(cosine), 1))
    # Along the one direction the whole light; the outer angle's Fresnel share is the inner one's.
    enters[:, -2] = (1 - reflected[-2]) / flux[-2]
    lit = np.linalg.solve(one - reflected[:, None] * inside, enters)
    upward = (inside @ lit)[..., 0]
    out = (upward * (flux * (1 - reflected))[None]).sum(axis=1) + reflected[-2]
    return (1 - reflected[-1]) * upward[:, -1] / REFRACTIVE_INDEX**2, out


def paper_below(measured: Array) -> Array:
    """The diffuse reflectance inside a bare paper that an instrument reads as `measured`. (n,) both."""
    low, high = np.zeros_like(measured), np.ones_like(measured)
    for _ in range(40):
        middle = (low + high) / 2
        above = seen(middle)[0] > measured
        low, high = np.where(above, low, middle), np.where(above, middle, high)
    return (low + high) / 2


def printed(paper: Array, layers: Sequence[Layer], *, mottle: float = MOTTLE, holes: float = PINHOLES) -> Array:
    """What is read of films as they are printed: uneven in thickness, with pinholes.

    Parameters
    ----------
    paper : (n,) diffuse reflectance inside, from `paper_below`.
    layers : the first laid first.
    mottle : standard deviation of the thickness, a share of it.
    holes : share of the paper that stays open.

    Returns
    -------
    (n,) reflectance factors, 45 to 0 degrees.
    """
    # Three thicknesses have the mean and the spread of a normal distribution (Gauss and Hermite).
    covered = np.zeros_like(paper)
    for away, share in ((-1, 1 / 6), (0, 2 / 3), (1, 1 / 6)):
        thick = 1 + away * np.sqrt(3) * mottle
        covered += share * seen(paper, [Layer(thick * each.absorbed, thick * each.scattered) for each in layers])[0]
    return (1 - holes) * covered + holes * seen(paper)[0]
