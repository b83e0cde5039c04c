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


class Missed(NamedTuple):
    """What of the distances that are drawn counts, and what the laws themselves miss besides, dE00.

    drawn, over : of films over each other. tint_drawn, tint : of one film, thinned (half of `tint` at a half).
    solid : of a full film, where it was not read on this paper.
    """

    drawn: float
    over: float
    tint_drawn: float
    tint: float
    solid: float = 0.0


class Doubt(NamedTuple):
    """How far the truth may lie from what is taken of an ink, one standard deviation.

    shape : of the reflectance, as a share of its room R (1 - R), its colour kept.
    absorption, scattering, surface : of ln K, ln S, and the surface (of ln k1, or of how its share is raised).
    missed : by opacity.
    """

    shape: float
    absorption: float
    scattering: float
    surface: float
    missed: dict[Opacity, Missed]


def _by_opacity(transparent: Sequence[float], semi: Sequence[float], opaque: Sequence[float]) -> dict[Opacity, Missed]:
    return {"transparent": Missed(*transparent), "semi": Missed(*semi), "opaque": Missed(*opaque)}


# So much of a normal distribution's standard deviation holds 90 %.
_NINETY = 1.645
# Chosen so that 90 % of truths lie inside on printing by another physics, of narrow ranges as of wide ones
# (docs/method.md, "How sure": 80 sets of three inks a cell); of one reading, recipes and proofs by analogy.
DOUBT: dict[Basis, Doubt] = {
    "word": Doubt(
        0.0, 0.0, 0.5, 0.3, _by_opacity((1.0, 2.8, 1.15, 3.0), (1.3, 1.2, 0.45, 2.0), (0.75, 1.6, 0.75, 3.3))
    ),
    "spectrum": Doubt(
        0.0, 0.02, 0.4, 0.3, _by_opacity((0.75, 3.6, 0.55, 4.4), (1.4, 2.0, 0.5, 2.1), (0.75, 1.8, 0.85, 3.5))
    ),
    "one reading": Doubt(
        0.0, 0.1, 0.6, 0.8, _by_opacity((1.0, 4.0, 1.0, 9.8), (1.0, 2.5, 1.0, 6.1), (1.0, 0.8, 1.0, 2.0))
    ),
    "recipe": Doubt(0.0, 0.12, 0.4, 0.4, _by_opacity((1.0, 2.0, 1.0, 4.9), (1.0, 1.5, 1.0, 3.7), (1.0, 0.5, 1.0, 1.2))),
    "proof": Doubt(0.3, 0.08, 0.4, 0.3, _by_opacity((1.0, 2.0, 1.0, 4.9), (1.0, 1.2, 1.0, 2.9), (1.0, 0.5, 1.0, 1.2))),
    "chart": Doubt(
        0.22, 0.0, 0.4, 0.3, _by_opacity((0.4, 1.5, 1.05, 6.0), (0.3, 0.8, 0.65, 3.2), (0.3, 0.5, 0.8, 2.6))
    ),
    "readings": Doubt(
        0.0, 0.1, 0.3, 1.0, _by_opacity((0.75, 3.7, 1, 3.8, 5.8), (0.5, 0.1, 0.75, 5.8, 5.2), (0.5, 0, 0.75, 7.2, 3))
    ),
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
    drawn, missed = _calibrated(inks, rows)
    return (
        np.sqrt(((drawn * away) ** 2).mean(axis=0) + missed**2),
        np.sqrt((drawn * np.quantile(away, 0.9, axis=0)) ** 2 + (_NINETY * missed) ** 2),
    )


def _calibrated(inks: Sequence[Known], rows: NDArray[np.bool_]) -> tuple[Array, Array]:
    """What counts of the draws, and what the laws miss, dE00: nothing of a solid that was read here. (n,) each."""
    each = np.array([DOUBT[ink.basis].missed[ink.opacity] for ink in inks]) ** 2
    share = np.clip([float(ink.film.thickness) for ink in inks], 0, 1)
    films = np.maximum(rows.sum(axis=1), 1)
    drawn = rows @ each[:, [2, 0]] / films[:, None]
    missed = rows @ (each[:, 3] * share * (1 - share)) + rows @ each[:, 1] * (1 - 1 / films)
    missed += rows @ (each[:, 4] * share) / films
    return np.sqrt(np.where(films > 1, drawn[:, 1], drawn[:, 0])), np.sqrt(missed)
