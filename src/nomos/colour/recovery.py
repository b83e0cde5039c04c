"""A smooth reflectance for a colour of which only the CIELAB value is known."""

from functools import lru_cache

import numpy as np

from nomos.base.errors import BadInput
from nomos.base.language import tr
from nomos.colour.cielab import lab_to_xyz
from nomos.colour.spectra import BANDS, XYZ_WEIGHTS, Array


class ColourError(BadInput):
    """A colour that no ink or paper can have; the text says so to the user."""


def _slope_matrix() -> Array:
    step = np.diff(np.eye(BANDS), axis=0)
    matrix: Array = 2 * step.T @ step
    return matrix


_SLOPE = _slope_matrix()
_STEPS = 80
_CLOSE = 1e-9


def _newton(target: Array, start: Array) -> Array | None:
    """Least slope of z = artanh(2R - 1) with XYZ `target`; None where no step leads there."""
    z, multipliers = start.copy(), np.zeros(3)
    for _ in range(_STEPS):
        tanh = np.tanh(z)
        slope = (1 - tanh**2) / 2
        pull = XYZ_WEIGHTS @ multipliers
        residual = np.concatenate([_SLOPE @ z + slope * pull, XYZ_WEIGHTS.T @ ((1 + tanh) / 2) - target])
        constraint = slope[:, None] * XYZ_WEIGHTS
        curvature = _SLOPE + np.diag(-2 * tanh * slope * pull)
        jacobian = np.block([[curvature, constraint], [constraint.T, np.zeros((3, 3))]])
        try:
            step = np.linalg.solve(jacobian, -residual)
        except np.linalg.LinAlgError:
            return None
        # A full Newton step overshoots where tanh is flat (very dark, very light).
        damping = min(1.0, 2.0 / max(np.abs(step[:BANDS]).max(), 1e-12))
        z, multipliers = z + damping * step[:BANDS], multipliers + damping * step[BANDS:]
        if np.abs(residual).max() < _CLOSE:
            return z
    return None


def _frozen(z: Array) -> Array:
    found: Array = (1 + np.tanh(z)) / 2
    found.flags.writeable = False
    return found


@lru_cache(maxsize=4096)
def _recover(lab: tuple[float, float, float]) -> Array:
    target = lab_to_xyz(np.array(lab))
    start = np.full(BANDS, np.arctanh(np.clip(2 * target[1] - 1, -0.999, 0.999)))
    z = _newton(target, start)
    if z is None:
        text = " ".join(f"{value:g}" for value in lab)
        raise ColourError(
            tr("lab({said}) is not a colour that paper or ink can have; choose a less saturated one.", said=text)
        )
    return _frozen(z)


def smooth_reflectance(lab: Array) -> Array:
    """The smoothest reflectance with the given colour.

    Parameters
    ----------
    lab : (3,) float64, CIELAB D50/2 deg.

    Returns
    -------
    (36,) float64, strictly between 0 and 1, read-only; its colour is `lab` to 1e-6.

    Raises
    ------
    ColourError
        No reflectance between 0 and 1 has this colour.

    Notes
    -----
    L* is taken as at least 0.5 and at most 99.9, because a perfect black or
    white has no finite solution. About a millisecond; results are remembered.

    References
    ----------
    Burns (2020), the least hyperbolic tangent slope squared method.
    """
    return _recover(_checked(lab))


def _checked(lab: Array) -> tuple[float, float, float]:
    lightness, a, b = (float(value) for value in lab)
    if not np.all(np.isfinite([lightness, a, b])) or not 0 <= lightness <= 100:
        raise ColourError(tr("L* must be between 0 and 100, but is {lightness:g}.", lightness=lightness))
    return min(max(lightness, 0.5), 99.9), a, b
