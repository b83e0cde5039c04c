"""The likeliest absorption of an ink of which only a colour on a paper is known."""

from typing import NamedTuple

import numpy as np
from numpy.typing import NDArray

from nomos.colour.cielab import lab_slope, reflectance_to_lab
from nomos.colour.layering import Ground, darkest_share, film_over, film_surface, partly_covered, to_measured
from nomos.colour.pigments import Prior, of_any_ink
from nomos.colour.spectra import BANDS, Array

# How near the colour is asked for at first and, once the families are weighed, at last: CIELAB.
_NEAR, _EXACT = 0.1, 1e-3
_NEARER = (0.3, 1.0, 3.0)
_LOOSE = (12.0, 5.0, 2.0, 1.0, 0.5, 0.2)
_WEIGHING, _SETTLING, _REDRAWING = 9, 12, 14
# Of ln K in one step; Gauss-Newton overshoots where a film is nearly black.
_STEP = 1.5
_SHIFT = 1e-4
# Less or more K than this is not seen.
_LOG_K = (-14.0, 6.0)
# A family that misses the colour by more than this is none of the ink's.
_CAN_HAVE = 0.5


class Likeliest(NamedTuple):
    """What is taken of a solid.

    log_absorption : (36,) ln K that has the colour, or the nearest that there is.
    k1 : its surface term.
    missed : distance from the wanted colour, CIELAB.
    weights : (families,) how likely each is, adding up to 1.
    spread : (36, 36) covariance of what else has the colour.
    """

    log_absorption: Array
    k1: float
    missed: float
    weights: Array
    spread: Array


class _Fit(NamedTuple):
    """Of several distributions side by side: ln K (n, 36), k1 (n,), the miss (n, 3), evidence (n,), what is left."""

    x: Array
    k1: Array
    missed: Array
    evidence: Array
    spread: Array


class _Unknown(NamedTuple):
    """Films of which K is looked for: their paper, S (n or 1, 36), and share of the surface (n or 1,)."""

    ground: Ground
    scattering: Array
    dark: Array


def likeliest(lab: Array, ground: Ground, scattering: Array, prior: Prior) -> Likeliest:
    """The K of a solid that has a colour on a paper and is most like a pigment's.

    Parameters
    ----------
    lab : (3,) CIELAB D50/2 deg of the solid on the paper.
    ground : the paper.
    scattering : (36,) S of the solid.
    prior : families of pigments.

    Notes
    -----
    In each family the K is found that minimises half the Mahalanobis distance plus
    half the squared miss of the colour (Gauss-Newton; with three data each step is a
    system of three). Families are weighed by their evidence (Laplace); their mixture's
    mean and covariance are brought to the colour itself. So the answer moves steadily
    with the colour, and none is chosen surely where two could be.

    References
    ----------
    Tarantola (2005), Inverse Problem Theory, chapter 3; MacKay (1992) for the evidence.
    """
    film = _Unknown(ground, scattering[None], darkest_share(scattering.mean())[None])
    fit = _fitted(lab, film, prior, _NEAR, _WEIGHING)
    likely = fit.evidence - 5 * np.maximum(np.linalg.norm(fit.missed, axis=1) - _CAN_HAVE, 0)
    weights = np.exp(likely - likely.max())
    weights /= weights.sum()
    mean = weights @ fit.x
    away = fit.x - mean
    spread = np.einsum("f,fij->ij", weights, fit.spread) + (weights * away.T) @ away + 1e-6 * np.eye(BANDS)
    both = Prior(mean[None], spread[None])
    one = _fitted(lab, film, both, _EXACT, _SETTLING)
    missed = float(np.linalg.norm(one.missed[0]))
    if missed > _NEAR:
        # No film of that S can have it: what asks for less comes nearer than what runs after it.
        wide = Prior(mean[None], (spread + of_any_ink())[None])
        tried = [one, *(_fitted(lab, film, wide, near, _SETTLING) for near in _NEARER)]
        one = min(tried, key=lambda each: float(np.linalg.norm(each.missed[0])))
        missed = float(np.linalg.norm(one.missed[0]))
    return Likeliest(one.x[0], float(one.k1[0]), missed, weights, one.spread[0])


def as_likely(
    found: Likeliest, lab: Array, ground: Ground, scattering: Array, dark: Array, generator: np.random.Generator
) -> tuple[Array, Array, NDArray[np.intp]]:
    """Solids of the same colour, drawn from what could be as well.

    Parameters
    ----------
    found : the likeliest.
    lab : (3,) its colour on the paper.
    scattering : (n, 36) S of each.
    dark : (n,) the share of the darkest band that is taken for surface.

    Returns
    -------
    K (n, 36), k1 (n,), and which of them are to be taken (n,): one that no step brought to the colour is
    none that could be, another stands for it.
    """
    root = np.linalg.cholesky(found.spread + 1e-9 * np.eye(BANDS))
    drawn = found.log_absorption + generator.normal(size=scattering.shape) @ root.T
    # Another S or surface needs another K for the same colour: each goes there from where it was drawn.
    start = Prior(drawn, np.broadcast_to(found.spread + of_any_ink(), (len(drawn), BANDS, BANDS)))
    fit = _fitted(lab, _Unknown(ground, scattering, dark), start, _EXACT, _REDRAWING)
    there = np.flatnonzero(np.linalg.norm(fit.missed, axis=1) <= max(found.missed, _NEAR) + _NEAR)
    return np.exp(fit.x), fit.k1, np.resize(there, len(drawn)) if len(there) else np.arange(len(drawn))


def _fitted(lab: Array, film: _Unknown, prior: Prior, near: float, rounds: int) -> _Fit:
    x, one = prior.mean, np.eye(3)
    for turn in range(rounds):
        measured, k1, slope = _seen(x, film)
        missed = lab - reflectance_to_lab(measured)
        sigma = max(near, _LOOSE[turn]) if turn < len(_LOOSE) and near == _NEAR else near
        across = prior.covariance @ slope.transpose(0, 2, 1)
        data = slope @ across + sigma**2 * one
        residual = missed + (slope @ (x - prior.mean)[..., None])[..., 0]
        pull = np.linalg.solve(data, residual[..., None])
        step = prior.mean + (across @ pull)[..., 0] - x
        longest = np.abs(step).max(axis=1, keepdims=True)
        if turn == rounds - 1 or (sigma == near and longest.max() < 1e-4):
            break
        x = np.clip(x + step * np.minimum(1.0, _STEP / np.maximum(longest, 1e-12)), *_LOG_K)
    evidence = -0.5 * (residual * pull[..., 0]).sum(axis=1) - 0.5 * np.linalg.slogdet(data)[1]
    spread = prior.covariance - across @ np.linalg.solve(data, across.transpose(0, 2, 1))
    return _Fit(x, k1, missed, evidence, spread)


def _seen(x: Array, film: _Unknown) -> tuple[Array, Array, Array]:
    """What is measured of solids of ln K (n, 36), their k1 (n,), and the slope of CIELAB by ln K (n, 3, 36)."""
    ground, both = film.ground, np.exp(np.stack([x, x + _SHIFT]))
    internal = film_over(ground.internal, both, film.scattering)
    if ground.cover < 1:
        internal = partly_covered(ground.internal, internal, ground.cover)
    bare = to_measured(internal, 0.0)
    k1, by_bare = film_surface(bare[0], ground, film.dark)
    open_ = 1 - k1[:, None]
    measured = k1[:, None] + open_ * bare[0]
    by_x = (bare[1] - bare[0]) / _SHIFT
    by_reflectance = lab_slope(measured)
    # The surface grows with what the film gives back in its darkest band, or with all of it.
    by_surface = (by_reflectance @ (1 - bare[0])[..., None]) * (by_bare * by_x)[:, None, :]
    return measured, k1, by_reflectance * (open_ * by_x)[:, None, :] + by_surface
