"""The budget: combined by squares, mapped over the sheet, and kept by as many drawn sheets as it says."""

from functools import partial

import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st
from scipy import stats

from nomos.registration import BudgetSettings, Contacts, Rect
from nomos.registration.tolerance import Budget, ErrorModel, budget_of, radius_95

IMAGE = Rect(10, 10, 190, 250)
CONTACTS = Contacts.of_sheet((200, 260))


def model(**changes: object) -> ErrorModel:
    figures = {"seating_mm": 0.0, "block_mm": 0.0, "cutting_mm": 0.0, "transfer_mm": 0.0}
    return ErrorModel(Budget(**{**figures, "growth_pct": (0.0, 0.0), **changes}), CONTACTS, IMAGE)  # type: ignore[arg-type]


def test_the_circle_of_95_in_100_against_scipy() -> None:
    """On a line the normal's two-sided 95 %; even both ways chi-squared of two degrees; between, by draws."""
    line = radius_95(np.diag([1.0, 0.0]))
    even = radius_95(np.eye(2))
    assert float(line) == pytest.approx(stats.norm.ppf(0.975), abs=1e-3)
    assert float(even) == pytest.approx(np.sqrt(stats.chi2.ppf(0.95, 2)), abs=1e-3)
    drawn = np.random.default_rng(0).multivariate_normal((0, 0), [[1, 0.3], [0.3, 0.4]], 400_000)
    wanted = np.quantile(np.hypot(*drawn.T), 0.95)
    assert float(radius_95(np.array([[1, 0.3], [0.3, 0.4]]))) == pytest.approx(wanted, rel=5e-3)


def test_independent_parts_add_by_squares() -> None:
    place = np.array([120.0, 90.0])
    one, other = model(seating_mm=0.3), model(cutting_mm=0.4)
    both = model(seating_mm=0.3, cutting_mm=0.4)
    assert both.covariance(place) == pytest.approx(one.covariance(place) + other.covariance(place))


def test_growth_grows_with_the_distance_from_the_held_corner() -> None:
    """1 % across a sheet held at x = 0: at 180 mm two pulls are within 1.8 mm on 95 of 100 sheets."""
    grown = model(growth_pct=(1.0, 0.0))
    places = np.array([[0.0, 200.0], [90.0, 20.0], [180.0, 20.0]])
    assert grown.two_pulls_mm(places) == pytest.approx([0, 0.9, 1.8], abs=1e-3)


def test_one_wall_by_hand() -> None:
    """Only the sheet seated, +-0.2 mm at each contact: on the side wall, to the right, exactly that."""
    seated = model(seating_mm=0.2)
    spread = np.sqrt(seated.covariance(np.array(CONTACTS.places[0]))[0, 0])
    assert spread * stats.norm.ppf(0.975) == pytest.approx(0.2)


@given(st.floats(0, 1), st.floats(0, 0.5), st.floats(0, 0.3), st.integers(0, 10))
def test_the_map_holds_for_drawn_sheets(seat: float, transfer: float, growth: float, seed: int) -> None:
    errors = model(seating_mm=seat, transfer_mm=transfer, growth_pct=(growth, 0.1))
    place = np.array([170.0, 30.0])
    # Two blocks of each of 4000 editions: what a block is out by is the same on all sheets of one.
    drawn = errors.draw(np.random.default_rng(seed), 3, 8000)
    a, b, c, d, e, f = np.moveaxis(drawn[1].reshape(4000, 2, 6), -1, 0)
    moved = np.stack([a + b * place[0] + c * place[1], d + e * place[0] + f * place[1]], axis=-1)
    apart = np.hypot(*(moved[:, 0] - moved[:, 1]).T)
    assert np.mean(apart <= errors.two_pulls_mm(place)) == pytest.approx(0.95, abs=0.02)


def test_a_block_is_out_by_the_same_on_every_sheet_and_a_sheet_by_its_own() -> None:
    hand = np.random.default_rng(1)
    cut = model(cutting_mm=0.3, transfer_mm=0.2).draw(hand, 20, 3)
    np.testing.assert_allclose(cut, np.broadcast_to(cut[:1], cut.shape))
    assert np.ptp(cut[0], axis=0).max() > 0.05
    assert np.ptp(model(seating_mm=0.3).draw(hand, 20, 3), axis=0).max() > 0.05


def test_a_beginner_is_further_out_than_a_practised_hand() -> None:
    figures = partial(budget_of, "kento", damp=False, carried="impressions", growth=(0.2, 1.0), grain="height")
    first, careful = figures(BudgetSettings(hand="beginner")), figures(BudgetSettings(hand="practised"))
    assert first.seating_mm == pytest.approx(2 * careful.seating_mm)
    assert first.cutting_mm == pytest.approx(2 * careful.cutting_mm)
    assert first.transfer_mm == pytest.approx(2 * careful.transfer_mm)


def test_own_figures_stand_before_defaults_and_growth_follows_the_grain() -> None:
    own = BudgetSettings(seating_mm=0.05, growth_across_pct=0.2)
    upright = budget_of("kento", own, damp=False, carried="tracing", growth=(0.2, 1.0), grain="height")
    level = budget_of("kento", own, damp=False, carried="tracing", growth=(0.2, 1.0), grain="width")
    assert upright.seating_mm == 0.05
    assert upright.growth_pct == level.growth_pct[::-1]
    assert upright.growth_pct[0] == 0.2
    damp = budget_of("kento", BudgetSettings(), damp=True, carried="tracing", growth=(0.2, 1.0), grain="height")
    assert damp.growth_pct[0] > level.growth_pct[0] / 2
