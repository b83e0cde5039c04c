"""Strokes by hand land where the hand was, at the width asked for."""

import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st

from nomos.separation.touch import Touch, touched

PPM = 10.0
PAGE = np.zeros((300, 400), np.uint8)


def test_a_brush_is_as_wide_as_asked_and_follows_the_points() -> None:
    mask = touched(PAGE, Touch("brush", ((5.0, 10.0), (20.0, 10.0), (20.0, 25.0)), 2.0), PPM)
    column, row = mask[:, 120].nonzero()[0], mask[200].nonzero()[0]
    assert len(column) == pytest.approx(20, abs=1)
    assert column.mean() + 0.5 == pytest.approx(100, abs=1)
    assert row.mean() + 0.5 == pytest.approx(200, abs=1)
    assert not PAGE.any()


def test_a_straight_edge_joins_the_first_and_the_last() -> None:
    wavering = Touch("line", ((5.0, 5.0), (9.0, 14.0), (30.0, 5.0)), 1.0)
    mask = touched(PAGE, wavering, PPM)
    assert mask[50, 60:290].all()
    assert not mask[100:].any()


def test_a_lasso_fills_and_takes_away() -> None:
    square = ((10.0, 10.0), (20.0, 10.0), (20.0, 20.0), (10.0, 20.0))
    filled = touched(PAGE, Touch("lasso", square), PPM)
    assert int(filled.sum()) == pytest.approx(100 * 100, rel=0.03)
    assert touched(filled, Touch("lasso", square, prints=False), PPM).sum() == 0
    np.testing.assert_array_equal(touched(PAGE, Touch("lasso", square[:2]), PPM), PAGE)


points = st.lists(st.tuples(st.floats(-5, 45), st.floats(-5, 35)), min_size=1, max_size=6).map(tuple)


@given(points, st.floats(0.1, 8), st.sampled_from(["brush", "line", "lasso"]))
def test_a_stroke_only_adds_and_its_opposite_takes_it_away_again(
    where: tuple[tuple[float, float], ...], width: float, tool: str
) -> None:
    before = (np.indices(PAGE.shape).sum(0) % 50 < 25).astype(np.uint8)
    stroke = Touch(tool, where, width)  # type: ignore[arg-type]
    more = touched(before, stroke, PPM)
    assert (more >= before).all()
    less = touched(more, Touch(stroke.tool, where, width, prints=False), PPM)
    changed = (more != before) | (touched(PAGE, stroke, PPM) == 1)
    assert (less[changed] == 0).all()
    np.testing.assert_array_equal(less[~changed], before[~changed])
