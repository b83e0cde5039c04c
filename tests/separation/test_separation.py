"""Blocks from flat colours: key, trap, run under the key, outlines."""

import numpy as np
import pytest
from hypothesis import given, settings
from hypothesis import strategies as st
from scipy import ndimage

from nomos.colour import Lab
from nomos.separation import BlockPlan, block_masks, find_key, mean_width_mm, one_block_per_colour, outlines

PPM = 10.0
PAPER: Lab = (96.0, 0.0, 3.0)
LABS: list[Lab] = [(95.0, 0.0, 4.0), (75.0, 10.0, 40.0), (50.0, 40.0, 30.0), (15.0, 0.0, -5.0)]


def two_fields_and_a_line() -> np.ndarray:
    """Pale left, dark right, a key line 2 mm wide in the middle, on bare paper."""
    labels = np.zeros((300, 400), np.uint8)
    labels[50:250, 50:200] = 1
    labels[50:250, 200:350] = 2
    labels[30:270, 190:210] = 3
    return labels


def test_the_plain_way_makes_a_block_a_colour_and_finds_the_key() -> None:
    key = find_key(two_fields_and_a_line(), LABS, PPM)
    found = one_block_per_colour(LABS, PAPER, key=key)
    assert [plan.colours for plan in found.blocks] == [(1,), (2,), (3,)]
    assert [plan.is_key for plan in found.blocks] == [False, False, True]
    assert found.bare == (0,)


def test_a_dark_field_is_no_key() -> None:
    labels = np.ones((300, 300), np.uint8)
    labels[50:250, 50:250] = 3
    assert find_key(labels, LABS, PPM) is None


@pytest.mark.parametrize("width_mm", [0.6, 1.6, 3.0])
def test_mean_width_of_a_line_is_its_width(width_mm: float) -> None:
    """Crofton's formula in four directions is within 6 % for a straight edge, and pixels cost some more."""
    y, x = np.indices((900, 900))
    for angle in np.radians([0, 20, 37, 70]):
        away = np.abs((x - 449.5) * np.sin(angle) - (y - 449.5) * np.cos(angle))
        labels = (away <= width_mm * PPM / 2).astype(np.uint8)
        assert mean_width_mm(labels, 1, PPM) == pytest.approx(width_mm, rel=0.1)


def test_the_lighter_runs_under_the_darker_by_the_trap_and_no_further() -> None:
    labels = np.ones((100, 200), np.uint8)
    labels[:, 100:] = 2
    pale, dark = block_masks(labels, [BlockPlan((1,)), BlockPlan((2,))], [(1, 2)], trap_px=5)
    assert pale[50].nonzero()[0].max() == 104
    np.testing.assert_array_equal(dark, labels == 2)


def test_a_spread_stays_inside_half_of_a_thin_darker_line() -> None:
    labels = np.ones((60, 100), np.uint8)
    labels[:, 48:52] = 2
    labels[:, 52:] = 3
    plans = [BlockPlan((1,)), BlockPlan((2,)), BlockPlan((3,))]
    first, _, third = block_masks(labels, plans, [(1, 2), (1, 3), (3, 2)], trap_px=8)
    assert first[30].nonzero()[0].max() <= 50
    assert third[30].nonzero()[0].min() >= 49


def test_colours_meet_in_the_middle_under_the_key() -> None:
    labels = two_fields_and_a_line()
    plans = [BlockPlan((1,)), BlockPlan((2,)), BlockPlan((3,), is_key=True)]
    left, right, key = block_masks(labels, plans, [(1, 2)], trap_px=5)
    row_left, row_right = left[150].nonzero()[0], right[150].nonzero()[0]
    assert row_left.max() in (199, 200)
    assert row_right.min() in (199, 200)
    np.testing.assert_array_equal(key, labels == 3)


@settings(max_examples=25)
@given(st.integers(0, 2**32 - 1), st.floats(0, 6), st.booleans())
def test_no_bare_paper_shows_in_register(seed: int, trap_px: float, with_key: bool) -> None:
    """The law: in register every printed colour's place is covered, and bare places stay bare."""
    generator = np.random.default_rng(seed)
    labels = ndimage.zoom(generator.integers(0, 4, (6, 7)), 10, order=0).astype(np.uint8)
    plans = [BlockPlan((1,)), BlockPlan((2,)), BlockPlan((3,), is_key=with_key)]
    masks = block_masks(labels, plans, [(1, 2), (1, 3), (2, 3)] if not with_key else [(1, 2)], trap_px)
    covered = np.any(masks, axis=0)
    assert covered[labels != 0].all()
    assert not covered[labels == 0].any()
    for plan, mask in zip(plans, masks, strict=True):
        assert mask[labels == plan.colours[0]].all()


def test_outlines_have_the_area_and_length_of_known_shapes() -> None:
    y, x = np.indices((400, 400))
    away = np.hypot(x - 199.5, y - 199.5)
    ring = ((away < 150) & (away > 60)).astype(np.uint8)
    ((outer, hole),) = outlines(ring, PPM)
    assert _shoelace(outer) - _shoelace(hole) == pytest.approx(np.pi * (15**2 - 6**2), rel=0.005)
    length = np.hypot(*np.diff(outer, axis=0).T).sum()
    assert length == pytest.approx(2 * np.pi * 15, rel=0.006)
    np.testing.assert_allclose((outer.min(axis=0) + outer.max(axis=0)) / 2, [20, 20], atol=0.05)


def _shoelace(points: np.ndarray) -> float:
    x, y = points.T
    return abs(float((x[:-1] * y[1:] - x[1:] * y[:-1]).sum() / 2))


def test_outlines_keep_to_the_mask_within_a_pixel() -> None:
    mask = np.zeros((120, 150), np.uint8)
    mask[20:100, 30:130] = 1
    ((ring,),) = outlines(mask, PPM)
    np.testing.assert_allclose(ring.min(axis=0), [3.0, 2.0], atol=0.05)
    np.testing.assert_allclose(ring.max(axis=0), [13.0, 10.0], atol=0.05)
    assert outlines(np.zeros((50, 50), np.uint8), PPM) == ()


def test_a_colour_that_fills_the_page_is_no_line() -> None:
    """Without an outline it is wider than the page is long, whatever the scale."""
    page = np.zeros((100, 100), np.uint8)
    assert mean_width_mm(page, 0, 10.0) > 100
    page[:, 40:50] = 1
    assert mean_width_mm(page, 1, 10.0) == pytest.approx(1.0, rel=0.1)


def test_a_pale_design_of_one_colour_keeps_its_block() -> None:
    """Bare paper is the lightest of several colours: one alone is what is to be printed, however pale."""
    pale = (97.0, 0.0, 2.0)
    found = one_block_per_colour([pale], PAPER, key=None)
    assert [block.colours for block in found.blocks] == [(0,)]
    assert found.bare == ()
    two = one_block_per_colour([pale, (60.0, 20.0, 20.0)], PAPER, key=None)
    assert ([block.colours for block in two.blocks], two.bare) == ([(1,)], (0,))
