"""K and S of an ink from readings: over white and over black, thick and thin, or one on the paper."""

from collections.abc import Sequence
from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from nomos.colour.cielab import delta_e00, reflectance_to_lab
from nomos.colour.ink import SCATTERING, Opacity
from nomos.colour.layering import SURFACE_K1, PaperKind, film_over, surface_term, to_internal, to_measured
from nomos.colour.spectra import BANDS, Array

# Reading again gives the same reflectance within about this (from memory, for a hand-held instrument).
_READING_ERROR = 0.004
# How smooth K and S run along the spectrum, and how lightly the word for the opacity holds S where
# readings say nothing of it. Both chosen by us.
_SMOOTHNESS, _WORD = 0.35, 2.5
_LEAST, _MOST = 1e-4, 60.0
# From so many readings the surface can be told as well.
_TELL_SURFACE = 3
# A band whose K or S could as well be half as large again is not known.
UNCERTAIN = 0.4


@dataclass(frozen=True, eq=False)
class Reading:
    """A measured film: what it lies on and itself, (36,) measured, and its thickness in solids."""

    background: Array
    measured: Array
    thickness: float = 1.0


@dataclass(frozen=True, eq=False)
class Fit:
    """K and S of a solid film (36,), its surface term, and how well they are known.

    de00 : ΔE00 between each reading and what the fit predicts for it.
    k_error, s_error : (36,) relative standard errors.
    """

    absorption: Array
    scattering: Array
    k1: float
    de00: tuple[float, ...]
    k_error: Array
    s_error: Array

    @property
    def uncertain(self) -> tuple[NDArray[np.bool_], NDArray[np.bool_]]:
        """The bands in which K, and S, are not known."""
        return self.k_error > UNCERTAIN, self.s_error > UNCERTAIN


def fit_ink(readings: Sequence[Reading], opacity: Opacity = "transparent", kind: PaperKind = "coated") -> Fit:
    """K and S that explain some readings best.

    Parameters
    ----------
    readings : at least one; two over different backgrounds, or of different thickness, tell K from S.
    opacity : the word for the ink, that holds S where the readings leave it open.
    kind : of the cards; drawdown cards are coated.

    Notes
    -----
    Three readings or more say something of the surface too: k1 is then the one
    with which they fit best, between a quarter and twice that of the kind.
    Least squares on log K and log S, with a prior that both run smoothly along
    the spectrum. Errors are those of the linearised fit at the solution, prior
    included: what only the prior holds shows as a large one.

    References
    ----------
    Kubelka (1948); Saunderson (1942). Levenberg-Marquardt by SciPy.
    """
    from scipy.optimize import minimize_scalar

    darkest = np.min([reading.measured for reading in readings], axis=0)
    lightest = max(readings, key=lambda reading: float(reading.background.mean()))
    # What lies on black shows how dark it can be, what lies on white which surface it has.
    k1 = min(surface_term(lightest.measured, kind), 0.95 * float(darkest.min()))
    if len(readings) >= _TELL_SURFACE:
        most = min(2 * SURFACE_K1[kind], 0.95 * float(darkest.min()))
        fitted = minimize_scalar(
            lambda each: _fit_with(readings, opacity, kind, each)[1],
            bounds=(min(SURFACE_K1[kind], most) / 4, most), method="bounded", options={"maxiter": 8},
        )  # fmt: skip
        k1 = float(fitted.x)
    return _fit_with(readings, opacity, kind, k1)[0]


def _fit_with(readings: Sequence[Reading], opacity: Opacity, kind: PaperKind, k1: float) -> tuple[Fit, float]:
    """The fit with one surface term, and what is left of the residuals."""
    from scipy.optimize import least_squares

    grounds = [to_internal(r.background, surface_term(r.background, kind)).clip(1e-4, 0.9999) for r in readings]
    word = np.log(max(SCATTERING[opacity], 0.02))

    def predicted(z: Array) -> list[Array]:
        k, s = np.exp(z[:BANDS]), np.exp(z[BANDS:])
        films = zip(grounds, readings, strict=True)
        return [to_measured(film_over(ground, k, s, r.thickness), k1) for ground, r in films]

    bend = np.diff(np.eye(BANDS), 2, axis=0) / _SMOOTHNESS
    still = np.zeros_like(bend)
    prior = np.vstack([np.hstack([bend, still]), np.hstack([still, bend])])
    hold = np.hstack([np.zeros((BANDS, BANDS)), np.eye(BANDS) / _WORD])

    def residual(z: Array) -> Array:
        off = [(model - r.measured) / _READING_ERROR for model, r in zip(predicted(z), readings, strict=True)]
        return np.concatenate([*off, prior @ z, hold @ z - word / _WORD])

    def jacobian(z: Array) -> Array:
        # A band's reflectance depends on its own K and S alone: two shifted evaluations are enough.
        step, base = 1e-5, predicted(z)
        shifted = [predicted(z + step * np.repeat([on, not on], BANDS)) for on in (True, False)]
        rows = []
        for place, model in enumerate(base):
            by_k, by_s = ((half[place] - model) / step / _READING_ERROR for half in shifted)
            rows.append(np.hstack([np.diag(by_k), np.diag(by_s)]))
        return np.vstack([*rows, prior, hold])

    solid = readings[int(np.argmax([r.thickness for r in readings]))]
    start = np.log(np.clip(-np.log(np.clip(solid.measured, 0.01, 0.99)) / 2, _LEAST, _MOST))
    z0 = np.concatenate([start, np.full(BANDS, word)])
    limits = np.log([_LEAST, _MOST])
    found = least_squares(residual, np.clip(z0, *limits), jac=jacobian, bounds=tuple(limits), x_scale="jac")
    covariance = np.linalg.pinv(found.jac.T @ found.jac)
    error = np.sqrt(np.maximum(np.diag(covariance), 0))
    de00 = tuple(
        float(delta_e00(reflectance_to_lab(model), reflectance_to_lab(reading.measured)))
        for model, reading in zip(predicted(found.x), readings, strict=True)
    )
    k, s = np.exp(found.x[:BANDS]), np.exp(found.x[BANDS:])
    return Fit(k, s, k1, de00, error[:BANDS], error[BANDS:]), float(found.cost)
