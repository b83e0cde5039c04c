"""K and S come back from simulated readings; what readings cannot tell is said to be uncertain."""

import numpy as np
import pytest

from nomos.colour.fitting import Fit, Reading, fit_ink
from nomos.colour.layering import film_over, surface_term, to_internal, to_measured
from nomos.colour.spectra import WAVELENGTHS_NM, Array

WHITE, BLACK = np.full(36, 0.86), np.full(36, 0.045)


def true_ink() -> tuple[Array, Array]:
    """A green that scatters a little: two absorption bands, S falling towards the red."""
    k = 0.05 + 1.6 * np.exp(-(((WAVELENGTHS_NM - 430) / 45) ** 2)) + 1.9 * np.exp(-(((WAVELENGTHS_NM - 650) / 60) ** 2))
    return k, 0.5 - 0.2 * (WAVELENGTHS_NM - 380) / 350


def read(background: Array, thickness: float, noise: float = 0.0) -> Reading:
    k, s = true_ink()
    internal = film_over(to_internal(background, surface_term(background, "coated")), k, s, thickness)
    measured = to_measured(internal, 0.04) + noise * np.random.default_rng(3).normal(size=36)
    return Reading(background, measured, thickness)


def share_off(found: Array, true: Array) -> float:
    return float(np.median(np.abs(found / true - 1)))


def test_over_white_and_over_black_give_k_and_s_back() -> None:
    fit = fit_ink([read(WHITE, 1.0), read(BLACK, 1.0)])
    k, s = true_ink()
    assert share_off(fit.absorption, k) < 0.05
    assert share_off(fit.scattering, s) < 0.05
    assert max(fit.de00) < 0.3
    noisy = fit_ink([read(WHITE, 1.0, 0.003), read(BLACK, 1.0, 0.003)])
    assert share_off(noisy.scattering, s) < 0.15


def test_thick_and_thin_on_white_tell_k_from_s_less_well() -> None:
    def error_of(readings: list[Reading]) -> Fit:
        return fit_ink(readings)

    black = error_of([read(WHITE, 1.0), read(BLACK, 1.0)])
    thin = error_of([read(WHITE, 1.0), read(WHITE, 0.4)])
    one = error_of([read(WHITE, 1.0)])
    assert np.median(black.s_error) < np.median(thin.s_error) < np.median(one.s_error)
    assert max(thin.de00) < 0.5
    # One reading on white says nothing of S: that is said, and K is still of the right size.
    assert one.uncertain[1].mean() > 0.8
    assert black.uncertain[1].mean() < 0.2
    assert black.uncertain[0].mean() < 0.2


@pytest.mark.parametrize("word", ["transparent", "semi", "opaque"])
def test_one_reading_comes_back_whatever_the_word(word: str) -> None:
    fit = fit_ink([read(WHITE, 1.0)], word)  # type: ignore[arg-type] # parametrised
    assert fit.de00[0] < 0.5


def test_the_order_of_readings_is_nothing() -> None:
    """And the surface is told by what lies on white, wherever that stands among them."""
    some = [read(BLACK, 1.0), read(WHITE, 1.0), read(WHITE, 0.5)]
    one, other = fit_ink(some), fit_ink(some[::-1])
    np.testing.assert_allclose(one.absorption, other.absorption, rtol=1e-3)
    assert one.k1 == pytest.approx(other.k1, rel=1e-3)
    two = [fit_ink([read(BLACK, 1.0), read(WHITE, 1.0)][::step]).k1 for step in (1, -1)]
    # Read with a surface of 4 %: the coated card's.
    assert two[0] == two[1] == pytest.approx(0.04, abs=0.012)
