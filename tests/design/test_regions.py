"""Connected regions against SciPy's labels, and pages filled in bands against pages filled whole."""

import numpy as np
import pytest
from hypothesis import given, settings
from hypothesis import strategies as st
from scipy import ndimage

from nomos.design.cleaning import fill_nearest
from nomos.design.regions import find_regions

CORNERS = np.ones((3, 3))


def noise(seed: int, colours: int) -> np.ndarray:
    """Noise of some colours at some coarseness: regions of every shape, down to single pixels."""
    hand = np.random.default_rng(seed)
    coarse = hand.integers(0, colours, (int(hand.integers(1, 40)), int(hand.integers(1, 40))))
    scale = int(hand.integers(1, 5))
    return np.kron(coarse, np.ones((scale, scale))).astype(np.uint8)


@settings(max_examples=80)
@given(st.integers(0, 100_000), st.booleans())
def test_regions_of_a_colour_are_scipys(seed: int, slanted: bool) -> None:
    labels = noise(seed, 3)
    ours = find_regions(labels, only=1, slanted=slanted)
    theirs, count = ndimage.label(labels == 1, CORNERS if slanted else None)
    assert len(ours.area_px) == count
    places = np.flatnonzero(labels == 1)
    pairs = {*zip(ours.region_at(places).tolist(), theirs.ravel()[places].tolist(), strict=True)}
    # Each of ours is one of theirs, and the other way round.
    assert len(pairs) == count
    for region, their in pairs:
        assert ours.area_px[region] == (theirs == their).sum()
        y, x = ndimage.center_of_mass(theirs == their)
        assert ours.centre(region) == pytest.approx((x, y))
        rows, columns = ours.window(region, 0)
        assert (rows, columns) == ndimage.find_objects((theirs == their).astype(int))[0]


@settings(max_examples=30)
@given(st.integers(0, 100_000))
def test_rows_are_those_of_the_painted_page(seed: int) -> None:
    labels = noise(seed, 4)
    regions = find_regions(labels)
    page = regions.paint(np.arange(len(regions.area_px)))
    hand = np.random.default_rng(seed)
    top, bottom = np.sort(hand.integers(0, len(labels) + 1, 2))
    np.testing.assert_array_equal(regions.rows(int(top), int(bottom)), page[top:bottom])
    assert all(len(set(labels[page == region])) == 1 for region in range(len(regions.area_px)))


@settings(max_examples=30)
@given(st.integers(0, 100_000), st.floats(0.05, 0.995))
def test_a_page_filled_in_bands_is_the_page_filled_whole(seed: int, share: float) -> None:
    """Also where so much is to be filled that a band with what is around it would not do."""
    labels = noise(seed, 5)
    doomed = (np.random.default_rng(seed).random(labels.shape) < share).astype(np.uint8)
    doomed[0, 0] = 0
    whole = fill_nearest(labels, doomed)
    with pytest.MonkeyPatch.context() as patch:
        for name, value in (("_WHOLE_PX", 1), ("_BAND_ROWS", 7), ("_AROUND_ROWS", 4)):
            patch.setattr(f"nomos.design.cleaning.{name}", value)
        np.testing.assert_array_equal(fill_nearest(labels, doomed), whole)
