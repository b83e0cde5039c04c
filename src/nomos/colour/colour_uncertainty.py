"""How sure a predicted colour is, from what is known of its inks."""

from collections.abc import Sequence
from functools import lru_cache
from typing import Literal, NamedTuple, get_args

import numpy as np
from numpy.typing import NDArray

from nomos.colour.cielab import delta_e00, reflectance_to_lab
from nomos.colour.ink import SCATTERING, Opacity, absorption_for
from nomos.colour.layering import Film, Ground, film_over, to_internal, to_measured
from nomos.colour.overprinting import OnWet, overprints
from nomos.colour.spectra import BANDS, WAVELENGTHS_NM, XYZ_WEIGHTS, Array

Basis = Literal["word", "spectrum", "one reading", "recipe", "proof", "chart", "readings"]
"""What an ink is known by: a colour and a word, its spectrum on the paper, and so on."""
BASES: tuple[Basis, ...] = get_args(Basis)

_DRAWS = 48
# How smooth the difference between two pigments of one colour runs along the spectrum, nm.
_ALIKE_NM = 35.0


class Doubt(NamedTuple):
    """How far the truth may lie from what is taken of an ink, one standard deviation.

    shape : of the reflectance, as a share of its room R (1 - R), its colour kept.
    absorption, scattering, surface : of ln K, ln S and ln k1.
    """

    shape: float
    absorption: float
    scattering: float
    surface: float = 0.3


# Chosen so that of simulated inks with a known truth 90 % lie inside the 90 % range (docs/method.md,
# "How sure"); the tests hold it.
DOUBT: dict[Basis, Doubt] = {
    "word": Doubt(0.75, 0.0, 0.5),
    "spectrum": Doubt(0.0, 0.02, 0.5),
    "one reading": Doubt(0.0, 0.1, 0.6, 0.6),
    "recipe": Doubt(0.0, 0.12, 0.4),
    "proof": Doubt(0.3, 0.08, 0.4),
    "chart": Doubt(0.33, 0.0, 0.4),
    "readings": Doubt(0.0, 0.1, 0.3, 0.6),
}
# A film called transparent scatters a little all the same (from memory): S up to about this.
_HARDLY = 0.08
# No band is darker than this share of what is taken of it.
_DARKEST_SHARE = 0.15


class Known(NamedTuple):
    """An ink's film with what it is known by."""

    film: Film
    basis: Basis
    opacity: Opacity


@lru_cache(maxsize=1)
def _smooth() -> Array:
    """A root of the covariance of smooth curves over the bands. (36, 36)."""
    apart = (WAVELENGTHS_NM[:, None] - WAVELENGTHS_NM) / _ALIKE_NM
    return np.asarray(np.linalg.cholesky(np.exp(-(apart**2) / 2) + 1e-6 * np.eye(BANDS)))


@lru_cache(maxsize=1)
def _unseen() -> Array:
    """Takes from a difference of reflectance all that would be seen as a colour. (36, 36)."""
    w = XYZ_WEIGHTS
    return np.asarray(np.eye(BANDS) - w @ np.linalg.solve(w.T @ w, w.T))


def plausible_films(ground: Ground, known: Known, seed: int, draws: int = _DRAWS) -> list[Film]:
    """Films that could as well be the ink's, by what is known of it.

    Notes
    -----
    Of an ink known by a colour, what differs is a smooth metameric black: the
    solid keeps its colour (Wyszecki 1953).
    """
    generator = np.random.default_rng(seed)
    film, doubt = known.film, DOUBT[known.basis]
    curves = generator.normal(size=(3, draws, BANDS)) @ _smooth().T
    one = generator.normal(size=(3, draws, 1))
    s = film.scattering * np.exp(doubt.scattering * (0.8 * one[0] + 0.6 * curves[0]))
    if known.basis in ("word", "spectrum", "one reading"):
        s = s + _HARDLY * np.abs(one[1]) * (SCATTERING[known.opacity] == 0)
    k1 = film.k1 * np.exp(doubt.surface * one[2])
    internal = film_over(ground.internal, film.absorption, film.scattering)
    measured = to_measured(internal, film.k1)
    # How unlike its smoothest reflectance an ink is differs from ink to ink.
    room = doubt.shape * np.exp(0.5 * generator.normal(size=(draws, 1))) * measured * (1 - measured)
    away = (room * curves[1]) @ _unseen().T
    brightest = np.maximum(to_measured(film_over(ground.internal, np.zeros(BANDS), s), k1), measured)
    limit = np.where(away > 0, brightest - measured, _DARKEST_SHARE * measured - measured)
    # As far as bands allow, all of them alike, so that the colour stays.
    fits = (limit / np.where(np.abs(away) > 1e-9, away, np.inf)).clip(0)
    fits = np.where(np.abs(away) > 1e-9, fits, 1.0).min(axis=1, keepdims=True)
    other = measured + np.minimum(fits, 1.0) * away
    k1 = np.minimum(k1, 0.95 * other.min(axis=1, keepdims=True))
    wanted = np.clip(to_internal(other, k1), 1e-5, 0.9999)
    k = absorption_for(
        np.minimum(wanted, film_over(ground.internal, np.zeros(BANDS), s)), np.broadcast_to(ground.internal, s.shape), s
    )
    k = np.maximum(k, 0) * np.exp(doubt.absorption * (0.6 * one[2] + 0.8 * curves[2]))
    return [Film(k[n], s[n], float(k1[n, 0]), film.thickness, film.cover) for n in range(draws)]


def standard_errors(
    ground: Ground, inks: Sequence[Known], rows: NDArray[np.bool_], on_wet: Sequence[OnWet | None] | None = None
) -> tuple[Array, Array]:
    """How sure predicted overprints are.

    Parameters
    ----------
    inks : in print order. rows : (n, inks) which of them each combination holds.

    Returns
    -------
    error : (n,) standard error, ΔE00. within : (n,) the distance that holds 90 % of what could be true.
    """
    if not inks:
        # Bare paper is what it was measured to be.
        return np.zeros(len(rows)), np.zeros(len(rows))
    middle = reflectance_to_lab(overprints(ground, [ink.film for ink in inks], rows, on_wet))
    films = [plausible_films(ground, ink, seed) for seed, ink in enumerate(inks)]
    away = np.array(
        [
            delta_e00(reflectance_to_lab(overprints(ground, some, rows, on_wet)), middle)
            for some in zip(*films, strict=True)
        ]
    )
    return np.sqrt((away**2).mean(axis=0)), np.quantile(away, 0.9, axis=0)
