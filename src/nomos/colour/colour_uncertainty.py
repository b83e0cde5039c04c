"""How sure a predicted colour is, from what is known of its inks."""

from collections.abc import Sequence
from functools import lru_cache
from typing import Literal, NamedTuple

import numpy as np
from numpy.typing import NDArray

from nomos.colour.cielab import delta_e00, reflectance_to_lab
from nomos.colour.ink import SCATTERING, Opacity, absorption_for
from nomos.colour.layering import Film, Ground, darkest_share, film_over, to_internal, to_measured
from nomos.colour.likeliest import as_likely, likeliest
from nomos.colour.overprinting import OnWet, overprints
from nomos.colour.pigments import Family, prior
from nomos.colour.spectra import BANDS, WAVELENGTHS_NM, XYZ_WEIGHTS, Array

Basis = Literal["word", "spectrum", "one reading", "recipe", "proof", "chart", "readings"]
"""What an ink is known by: a colour and a word, its spectrum on the paper, and so on."""

_DRAWS = 48
# How smooth the difference between two inks of one colour runs along the spectrum, nm.
_ALIKE_NM = 35.0


class Doubt(NamedTuple):
    """How far the truth may lie from what is taken of an ink, one standard deviation.

    shape : of the reflectance, as a share of its room R (1 - R), its colour kept.
    absorption, scattering, surface : of ln K, ln S, and the surface (of ln k1, or of how its share is raised).
    model : what the laws themselves miss of a film over another, dE00, by opacity.
    """

    shape: float
    absorption: float
    scattering: float
    surface: float
    model: dict[Opacity, float]


# How far from its solid a tint is, against a film over another: 1.5 for half of it.
_TINT = 6.0
# So much of a normal distribution's standard deviation holds 90 %.
_NINETY = 1.645
# Chosen so that about 90 % of truths lie inside the 90 % range on printing by another physics (docs/method.md,
# "How sure", with where it is less); recipes and proofs by analogy. The tests hold three quarters of each cell.
DOUBT: dict[Basis, Doubt] = {
    "word": Doubt(0.0, 0.0, 0.5, 0.3, {"transparent": 1.6, "semi": 1.4, "opaque": 0.3}),
    "spectrum": Doubt(0.0, 0.02, 0.4, 0.3, {"transparent": 2.2, "semi": 2.0, "opaque": 0.3}),
    "one reading": Doubt(0.0, 0.1, 0.6, 0.8, {"transparent": 4.0, "semi": 2.5, "opaque": 0.8}),
    "recipe": Doubt(0.0, 0.12, 0.4, 0.4, {"transparent": 2.0, "semi": 1.5, "opaque": 0.5}),
    "proof": Doubt(0.3, 0.08, 0.4, 0.3, {"transparent": 2.0, "semi": 1.2, "opaque": 0.5}),
    "chart": Doubt(0.22, 0.0, 0.4, 0.3, {"transparent": 2.2, "semi": 0.3, "opaque": 0.2}),
    "readings": Doubt(0.0, 0.1, 0.3, 1.0, {"transparent": 5.5, "semi": 3.6, "opaque": 0.6}),
}
# A film called transparent scatters a little all the same (from memory): S of about this.
_HARDLY = 0.06
# No band is darker than this share of what is taken of it.
_DARKEST_SHARE = 0.15


class Known(NamedTuple):
    """An ink's film with what it is known by."""

    film: Film
    basis: Basis
    opacity: Opacity
    family: Family | None = None


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
    Of an ink known by a colour and a word, other pigments could have it (`likeliest`);
    of one that was read in other ways what differs is a smooth metameric black: the solid
    keeps its colour (Wyszecki 1953). S and the surface are drawn for either.
    """
    film, doubt = known.film, DOUBT[known.basis]
    generator = np.random.default_rng(seed)
    curve, one = generator.normal(size=(draws, BANDS)) @ _smooth().T, generator.normal(size=(2, draws, 1))
    s = film.scattering * np.exp(doubt.scattering * (0.8 * one[0] + 0.6 * curve))
    if known.basis in ("word", "spectrum", "one reading"):
        s = s + _HARDLY * np.abs(one[1]) * (SCATTERING[known.opacity] == 0)
    if known.basis == "word":
        k, k1, taken = _of_other_pigments(ground, known, s, doubt, generator)
        k, s, k1 = k[taken], s[taken], k1[taken]
    else:
        k, k1 = _of_other_spectra(ground, film, s, doubt, generator)
    return [Film(k[n], s[n], float(k1[n]), film.thickness, film.cover) for n in range(draws)]


def _of_other_pigments(
    ground: Ground, known: Known, s: Array, doubt: Doubt, generator: np.random.Generator
) -> tuple[Array, Array, NDArray[np.intp]]:
    """K (n, 36) and k1 (n,) of solids of the film's colour with other S and other pigments, and which are so."""
    film = known.film
    lab = reflectance_to_lab(overprints(ground, [Film(film.absorption, film.scattering, film.k1, 1.0, film.cover)])[-1])
    found = likeliest(lab, ground, film.scattering, prior(known.family))
    dark = darkest_share(s.mean(axis=1)) ** np.exp(doubt.surface * generator.normal(size=len(s)))
    return as_likely(found, lab, ground, s, dark, generator)


def _of_other_spectra(
    ground: Ground, film: Film, s: Array, doubt: Doubt, generator: np.random.Generator
) -> tuple[Array, Array]:
    """K (n, 36) and k1 (n,) of solids of the film's colour, near its reflectance."""
    draws = len(s)
    curves, one = generator.normal(size=(2, draws, BANDS)) @ _smooth().T, generator.normal(size=(2, draws, 1))
    k1 = film.k1 * np.exp(doubt.surface * one[0])
    measured = to_measured(film_over(ground.internal, film.absorption, film.scattering), film.k1)
    # How unlike what is taken of it an ink is differs from ink to ink.
    room = doubt.shape * np.exp(0.5 * one[1]) * measured * (1 - measured)
    away = (room * curves[0]) @ _unseen().T
    white = film_over(ground.internal, np.zeros(BANDS), s)
    brightest = np.maximum(to_measured(white, k1), measured)
    limit = np.where(away > 0, brightest - measured, _DARKEST_SHARE * measured - measured)
    # As far as bands allow, all of them alike, so that the colour stays.
    fits = (limit / np.where(np.abs(away) > 1e-9, away, np.inf)).clip(0)
    fits = np.where(np.abs(away) > 1e-9, fits, 1.0).min(axis=1, keepdims=True)
    other = measured + np.minimum(fits, 1.0) * away
    k1 = np.minimum(k1, 0.95 * other.min(axis=1, keepdims=True))
    wanted = np.minimum(np.clip(to_internal(other, k1), 1e-5, 0.9999), white)
    k = np.maximum(absorption_for(wanted, np.broadcast_to(ground.internal, s.shape), s), 0)
    return k * np.exp(doubt.absorption * (0.6 * one[0] + 0.8 * curves[1])), k1[:, 0]


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
    missed = _missed_by_the_model(inks, rows)
    return (
        np.sqrt((away**2).mean(axis=0) + missed**2),
        np.sqrt(np.quantile(away, 0.9, axis=0) ** 2 + (_NINETY * missed) ** 2),
    )


def _missed_by_the_model(inks: Sequence[Known], rows: NDArray[np.bool_]) -> Array:
    """What the laws miss, one standard deviation, dE00 (n,): nothing of a solid that was read, more beyond it."""
    each = np.array([DOUBT[ink.basis].model[ink.opacity] for ink in inks]) ** 2
    thin = np.array([_TINT * x * (1 - x) if x < 1 else 0.0 for x in (float(ink.film.thickness) for ink in inks)])
    over = np.maximum(rows.sum(axis=1) - 1, 0) / np.maximum(rows.sum(axis=1), 1)
    return np.sqrt(rows @ (each * thin) + (rows @ each) * over)
