"""Films of ink laid over each other: Kubelka-Munk with Saunderson's surface term.

Inside the film there are two diffuse fluxes and no surface; what an instrument
or an eye sees has gone through the surface twice. `internal` and `measured`
name the two sides throughout.
"""

from collections.abc import Sequence
from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from nomos.colour.recovery import smooth_reflectance
from nomos.colour.spectra import Array

# Saunderson (1942): surface reflection from outside and from inside, for a film
# of refractive index about 1.5 (Fresnel: ((n - 1) / (n + 1))^2 = 0.04).
SURFACE_K1 = 0.04
SURFACE_K2 = 0.6
# A black darker than 4 % shows that its gloss leaves the measurement: its own
# surface term is this share of its darkest band, so that it can exist at all.
_DARK_SURFACE_SHARE = 0.95


def to_internal(measured: Array, k1: float | Array) -> Array:
    """Reflectance inside the film from the measured one. Saunderson (1942), inverted."""
    m = np.asarray(measured)
    return (m - k1) / ((1 - k1) * (1 - SURFACE_K2) + SURFACE_K2 * (m - k1))


def to_measured(internal: Array, k1: float | Array) -> Array:
    """Measured reflectance from the one inside the film. Saunderson (1942).

    R = k1 + (1 - k1)(1 - k2) Ri / (1 - k2 Ri); arrays broadcast.
    """
    return k1 + (1 - k1) * (1 - SURFACE_K2) * internal / (1 - SURFACE_K2 * internal)


def film_over(ground: Array, absorption: Array, scattering: Array, thickness: float | Array = 1.0) -> Array:
    """Internal reflectance of one film on a ground.

    Parameters
    ----------
    ground : (..., 36) float64, internal reflectance below the film, 0 to 1.
    absorption, scattering : (..., 36) float64, K and S for one unit of film, at least 0.
    thickness : film thickness X in units of the solid's film.

    Returns
    -------
    (..., 36) float64.

    Notes
    -----
    The published form R = (1 - Rg(a - b coth bSX)) / (a - Rg + b coth bSX) is
    divided out here with g = bS = sqrt(K^2 + 2KS) and u = tanh(gX) / g, which
    has no singularity: S = 0 gives Rg exp(-2KX), K = 0 gives the white film.

    References
    ----------
    Kubelka & Munk (1931); Kubelka (1948).
    """
    k, s = absorption, scattering
    g = np.sqrt(k * (k + 2 * s))
    gx = g * thickness
    u = np.where(gx > 1e-6, np.tanh(gx) / np.where(g > 0, g, 1), thickness)
    return (ground + u * (s - ground * (k + s))) / (1 + u * (k + s - ground * s))


# How far light spreads under the paper's surface between covered and open places: 1 not at all, 2 far
# (Yule & Nielsen 1951; 2 is usual for uncoated paper, from memory).
YULE_NIELSEN_N = 2.0


def partly_covered(open_: Array, covered: Array, cover: float, n: float = YULE_NIELSEN_N) -> Array:
    """Reflectance of a surface of which a share is covered by a film.

    Parameters
    ----------
    open_, covered : (..., 36) internal reflectance of both parts.
    cover : share that is covered, 0 to 1.
    n : Yule and Nielsen's factor.

    References
    ----------
    Neugebauer (1937), Yule & Nielsen (1951): R = (sum a_i R_i^(1/n))^n.
    """
    return ((1 - cover) * open_ ** (1 / n) + cover * covered ** (1 / n)) ** n


@dataclass(frozen=True, eq=False)
class Ground:
    """Bare paper: internal reflectance (36,) and its surface term k1."""

    internal: Array
    k1: float

    @classmethod
    def from_lab(cls, lab: Sequence[float]) -> "Ground":
        """Paper of the given CIELAB colour. Raises ColourError where no paper can have it."""
        reflectance = smooth_reflectance(np.asarray(lab, dtype=np.float64))
        k1 = surface_term(reflectance)
        return cls(to_internal(reflectance, k1), k1)

    @classmethod
    def from_reflectance(cls, reflectance: Sequence[float]) -> "Ground":
        """Paper of a measured reflectance, 36 values above 0."""
        measured = np.asarray(reflectance, np.float64)
        k1 = surface_term(measured)
        return cls(to_internal(measured, k1).clip(1e-4, 0.9999), k1)


@dataclass(frozen=True, eq=False)
class Film:
    """One ink film: K and S (36,) for the solid, surface term k1, thickness in solids.

    Extender thins K and S alike, so a strength of 0.5 is half the film.
    cover : share of the surface that it covers; rough paper and grain stay open in places.
    """

    absorption: Array
    scattering: Array
    k1: float
    thickness: float = 1.0
    cover: float = 1.0


def surface_term(measured: Array) -> float:
    """The surface term k1 of a solid: 0.04, or less where the solid is darker than that."""
    return min(SURFACE_K1, _DARK_SURFACE_SHARE * float(np.min(measured)))


def all_combinations(count: int) -> NDArray[np.bool_]:
    """Every combination of `count` films: (2**count, count); bit i of the row number is column i."""
    rows = np.arange(1 << count)[:, None]
    return (rows >> np.arange(count)) & 1 == 1


@dataclass(frozen=True)
class OnWet:
    """A film laid while others are wet: their places among the films, and the share that takes there."""

    wet: tuple[int, ...]
    share: float


def overprints(
    ground: Ground,
    films: Sequence[Film],
    rows: NDArray[np.bool_] | None = None,
    on_wet: Sequence[OnWet | None] | None = None,
) -> Array:
    """Measured reflectance of combinations of films, laid in print order.

    Parameters
    ----------
    ground : the paper.
    films : N films, first printed first.
    rows : (n, N) bool, which films each combination holds; None takes all 2**N
        in the order of `all_combinations`.
    on_wet : for each film what it is laid on while wet; None where all below is dry.

    Returns
    -------
    (n, 36) float64.

    Notes
    -----
    The surface seen belongs to the top film of each combination; a thin film
    takes on its share of it.
    """
    if rows is None:
        rows = all_combinations(len(films))
    internal = np.repeat(ground.internal[None, :], len(rows), axis=0)
    k1 = np.full((len(rows), 1), ground.k1)
    wets: Sequence[OnWet | None] = on_wet if on_wet is not None else [None] * len(films)
    for film, printed, wet in zip(films, rows.T, wets, strict=True):
        below = internal[printed]
        thickness: Array = np.full((len(below), 1), film.thickness)
        if wet is not None:
            thickness[rows[printed][:, list(wet.wet)].any(axis=1)] *= wet.share
        laid = film_over(below, film.absorption, film.scattering, thickness)
        internal[printed] = laid if film.cover >= 1 else partly_covered(below, laid, film.cover)
        k1[printed] += np.minimum(1.0, thickness) * film.cover * (film.k1 - k1[printed])
    return to_measured(internal, k1)
