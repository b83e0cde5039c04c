"""Kubelka-Munk and Saunderson against integration of the flux equations and the published limits."""

import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st
from scipy.integrate import solve_ivp

from nomos.colour import Film, Ground, all_combinations, film_over, ink_film, overprints, reflectance_to_lab
from nomos.colour.inverse import nearest_film
from nomos.colour.layering import partly_covered, to_internal, to_measured, without_open
from nomos.colour.trapping import complementary, density

coefficients = st.floats(0.001, 20)
shares = st.floats(0.0, 0.99)


def integrated(ground: float, k: float, s: float, thickness: float) -> float:
    """Reflectance of a film from Kubelka & Munk's two flux equations as dR/dX = S - 2(K + S)R + S R^2."""
    solution = solve_ivp(
        lambda _x, r: s - 2 * (k + s) * r + s * r * r, (0, thickness), [ground], rtol=1e-10, atol=1e-12
    )
    return float(solution.y[0, -1])


@pytest.mark.parametrize("ground", [0.0, 0.3, 0.9])
@pytest.mark.parametrize(("k", "s"), [(0.0, 1.0), (1.0, 0.0), (0.2, 3.0), (4.0, 0.5), (0.01, 0.01)])
def test_a_film_is_what_the_flux_equations_give(ground: float, k: float, s: float) -> None:
    got = film_over(np.array([ground]), np.array([k]), np.array([s]), 0.7)[0]
    assert got == pytest.approx(integrated(ground, k, s, 0.7), abs=1e-8)


@given(shares, coefficients, coefficients, st.floats(0.05, 3))
def test_a_film_is_the_published_formula(ground: float, k: float, s: float, thickness: float) -> None:
    """Kubelka (1948): R = (1 - Rg(a - b coth bSX)) / (a - Rg + b coth bSX)."""
    a = 1 + k / s
    b = np.sqrt(a * a - 1)
    coth = 1 / np.tanh(b * s * thickness)
    published = (1 - ground * (a - b * coth)) / (a - ground + b * coth)
    got = film_over(np.array([ground]), np.array([k]), np.array([s]), thickness)[0]
    assert got == pytest.approx(published, rel=1e-6, abs=1e-9)


@given(shares, coefficients, coefficients)
def test_published_limits(ground: float, k: float, s: float) -> None:
    rg, ka, sa = np.array([ground]), np.array([k]), np.array([s])
    a = 1 + k / s
    assert film_over(rg, ka, sa, 1e4)[0] == pytest.approx(a - np.sqrt(a * a - 1), rel=1e-6)
    assert film_over(rg, ka, np.zeros(1), 0.4)[0] == pytest.approx(ground * np.exp(-2 * k * 0.4), rel=1e-9)
    assert film_over(rg, ka, sa, 0.0)[0] == pytest.approx(ground)


@given(shares, coefficients, coefficients, st.floats(0.1, 2), st.floats(0.1, 2))
def test_two_films_of_one_ink_are_one_thicker_film(ground: float, k: float, s: float, x: float, y: float) -> None:
    rg, ka, sa = np.array([ground]), np.array([k]), np.array([s])
    once = film_over(rg, ka, sa, x + y)
    np.testing.assert_allclose(film_over(film_over(rg, ka, sa, x), ka, sa, y), once, rtol=1e-7, atol=1e-10)


def test_the_surface_of_a_film_of_index_1_5() -> None:
    """Saunderson (1942): k1 is Fresnel's ((n - 1) / (n + 1))^2; a perfect white stays one."""
    k1 = ((1.5 - 1) / (1.5 + 1)) ** 2
    assert k1 == pytest.approx(0.04)
    assert to_measured(np.array([1.0]), k1)[0] == pytest.approx(1.0)
    assert to_measured(np.array([0.0]), k1)[0] == pytest.approx(0.04)
    assert to_measured(np.array([0.5]), k1)[0] == pytest.approx(0.04 + 0.96 * 0.4 * 0.5 / 0.7)


@given(st.floats(0.05, 0.999))
def test_the_surface_can_be_taken_off_and_put_on(measured: float) -> None:
    assert to_measured(to_internal(np.array([measured]), 0.04), 0.04)[0] == pytest.approx(measured)


def _films() -> list[Film]:
    paper = (95.0, 0.0, 2.0)
    return [
        ink_film((80.0, 5.0, 60.0), "opaque", paper),
        ink_film((50.0, 50.0, 30.0), "transparent", paper, 0.5),
        ink_film((30.0, -10.0, -30.0), "semi", paper),
    ]


def test_combinations_are_the_films_laid_one_by_one() -> None:
    ground = Ground.from_lab((95.0, 0.0, 2.0))
    films = _films()
    together = overprints(ground, films)
    rows = all_combinations(3)
    for row, printed in enumerate(rows):
        alone = overprints(ground, [f for f, on in zip(films, printed, strict=True) if on])[-1]
        np.testing.assert_allclose(together[row], alone, atol=1e-12)


def test_order_matters_only_where_an_ink_scatters() -> None:
    ground = Ground.from_lab((95.0, 0.0, 2.0))
    opaque, clear, semi = _films()
    here = reflectance_to_lab(overprints(ground, [opaque, semi])[-1])
    there = reflectance_to_lab(overprints(ground, [semi, opaque])[-1])
    assert np.linalg.norm(here - there) > 5
    other = ink_film((60.0, -30.0, 20.0), "transparent", (95.0, 0.0, 2.0))
    np.testing.assert_allclose(
        overprints(ground, [clear, other])[-1], overprints(ground, [other, clear])[-1], atol=0.02
    )


def test_half_covered_paper_is_darker_than_the_mean_of_its_parts() -> None:
    """By hand from R = (sum a_i R_i^(1/n))^n, n = 2 (Yule & Nielsen 1951): (0.5 x 0.9 + 0.5 x 0.3)^2."""
    assert partly_covered(np.array([0.81]), np.array([0.09]), 0.5)[0] == pytest.approx(0.36)
    assert partly_covered(np.array([0.81]), np.array([0.09]), 0.5, 1.0)[0] == pytest.approx(0.45)
    assert without_open(np.array([0.36]), np.array([0.81]), 0.5)[0] == pytest.approx(0.09)


def test_the_complementary_filter_sees_the_third_where_the_ink_is_darkest() -> None:
    paper = np.full(36, 0.9)
    solid = np.where(np.arange(36) < 12, 0.09, 0.9)
    through = complementary(solid, paper)
    assert through.sum() == pytest.approx(1)
    assert through[:12] == pytest.approx(1 / 12)
    # A tenth of the paper's light is a density of 1 (ISO 5-3, by definition).
    assert density(solid, paper, through) == pytest.approx(1)


def test_the_film_that_comes_nearest_is_taken() -> None:
    ground = Ground(np.full(36, 0.9), 0.0)
    films = [Film(np.full(36, k), np.full(36, 0.01), 0.0) for k in (0.1, 0.5, 1.5)]
    for place, film in enumerate(films):
        wanted = reflectance_to_lab(overprints(ground, [film])[-1])
        found, left = nearest_film((wanted[0], wanted[1], wanted[2]), [], films, ground)
        assert found == place
        assert left == pytest.approx(0, abs=1e-6)
