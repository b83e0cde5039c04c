"""A smooth reflectance for a colour of which only the CIELAB value is known."""

from functools import lru_cache

import numpy as np

from nomos.base.errors import BadInput
from nomos.base.language import tr
from nomos.colour.cielab import lab_slope, lab_to_xyz, reflectance_to_lab
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
# How stiffly a ceiling holds: weak enough for Newton's steps, and strong enough that what still
# reaches above it is not seen (see `REACHED`).
_SPRINGS = (1e3, 1e5)
# A colour that comes back within this (Euclidean distance in CIELAB) has been reached.
REACHED = 0.05
# How lightly the nearest colour below a ceiling is kept smooth.
_SMOOTHNESS = 0.003


def _newton(target: Array, start: Array, ceiling: Array | None, spring: float, steps: int = _STEPS) -> Array | None:
    """Least slope of z = artanh(2R - 1) with XYZ `target`; None where no step leads there."""
    z, multipliers = start.copy(), np.zeros(3)
    for _ in range(steps):
        tanh = np.tanh(z)
        slope = (1 - tanh**2) / 2
        pull = XYZ_WEIGHTS @ multipliers
        over = np.maximum(z - ceiling, 0) if ceiling is not None else np.zeros(BANDS)
        residual = np.concatenate(
            [_SLOPE @ z + slope * pull + spring * over, XYZ_WEIGHTS.T @ ((1 + tanh) / 2) - target]
        )
        constraint = slope[:, None] * XYZ_WEIGHTS
        curvature = _SLOPE + np.diag(-2 * tanh * slope * pull + spring * (over > 0))
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


def _to_z(reflectance: Array) -> Array:
    return np.asarray(np.arctanh(2 * np.clip(reflectance, 1e-6, 1 - 1e-6) - 1))


def _frozen(z: Array) -> Array:
    found: Array = (1 + np.tanh(z)) / 2
    found.flags.writeable = False
    return found


@lru_cache(maxsize=4096)
def _recover(lab: tuple[float, float, float]) -> Array:
    target = lab_to_xyz(np.array(lab))
    start = np.full(BANDS, np.arctanh(np.clip(2 * target[1] - 1, -0.999, 0.999)))
    z = _newton(target, start, None, 0.0)
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


def reflectance_below(lab: Array, ceiling: Array) -> tuple[Array, bool]:
    """The smoothest reflectance with the given colour that stays below a ceiling, band by band.

    Parameters
    ----------
    lab : (3,) float64, CIELAB D50/2 deg.
    ceiling : (36,) float64, the most that each band can reflect.

    Returns
    -------
    reflectance : (36,) float64, nowhere above the ceiling.
    reached : whether it has the colour, to `REACHED`; else it is the nearest colour that can be.

    Raises
    ------
    ColourError
        No reflectance between 0 and 1 has this colour.

    Notes
    -----
    The norm is that of `smooth_reflectance`; a stiff one-sided spring holds what
    reaches above the ceiling. The nearest colour is a least-squares fit in
    CIELAB of R = ceiling (1 + tanh z) / 2.
    """
    free = smooth_reflectance(lab)
    if np.all(free <= ceiling):
        return free, True
    target = np.array(_checked(lab))
    z = _held(target, free, ceiling)
    if z is not None:
        held = np.minimum(_frozen(z), ceiling)
        if np.linalg.norm(reflectance_to_lab(held) - target) <= REACHED:
            return held, True
    nearest = _nearest_below(target, ceiling)
    return nearest, bool(np.linalg.norm(reflectance_to_lab(nearest) - target) <= REACHED)


def reflectance_near(lab: Array, ceiling: Array) -> Array:
    """As `reflectance_below`, but it has the colour, and is above the ceiling as little as that needs."""
    free = smooth_reflectance(lab)
    if np.all(free <= ceiling):
        return free
    z = _held(np.array(_checked(lab)), free, ceiling)
    return free if z is None else _frozen(z)


def _held(target: Array, free: Array, ceiling: Array) -> Array | None:
    """Where the springs leave z; the soft one alone where the stiff one leads nowhere."""
    soft = _newton(lab_to_xyz(target), _to_z(free), _to_z(ceiling), _SPRINGS[0], _STEPS // 2)
    if soft is None:
        return None
    stiff = _newton(lab_to_xyz(target), soft, _to_z(ceiling), _SPRINGS[1], _STEPS // 2)
    return soft if stiff is None else stiff


def _nearest_below(target: Array, ceiling: Array) -> Array:
    from scipy.optimize import least_squares

    flat = _SMOOTHNESS * np.diff(np.eye(BANDS), axis=0)

    def below(z: Array) -> Array:
        return np.asarray(ceiling * (1 + np.tanh(z)) / 2)

    def residual(z: Array) -> Array:
        return np.concatenate([reflectance_to_lab(below(z)) - target, flat @ z])

    def slope(z: Array) -> Array:
        by_z = ceiling * (1 - np.tanh(z) ** 2) / 2
        return np.vstack([lab_slope(below(z)) * by_z, flat])

    start = np.clip(_to_z(np.minimum(smooth_reflectance(target), 0.98 * ceiling) / ceiling), -4, 2)
    return below(least_squares(residual, start, jac=slope, ftol=1e-5, max_nfev=30).x)
