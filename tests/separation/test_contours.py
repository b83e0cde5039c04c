"""Contours against contourpy's marching squares; areas, their holes and saddles."""

import contourpy
import cv2
import numpy as np
import pytest
import shapely
from hypothesis import given, settings
from hypothesis import strategies as st

from nomos.separation.contours import contour_rings
from nomos.separation.outline import outlines


def page_of(seed: int) -> np.ndarray:
    """Discs, some of them taken out again, blurred: as outlines are drawn of."""
    hand = np.random.default_rng(seed)
    page = np.zeros((90, 110), np.uint8)
    for _ in range(int(hand.integers(1, 12))):
        at = tuple(int(v) for v in hand.integers(8, 82, 2))
        cv2.circle(page, at, int(hand.integers(1, 25)), 255 * int(hand.random() < 0.7), -1)
    page[:4], page[-4:], page[:, :4], page[:, -4:] = 0, 0, 0, 0
    return cv2.GaussianBlur(page, (0, 0), 1.0)


@settings(max_examples=60)
@given(st.integers(0, 100_000))
def test_contours_are_those_of_marching_squares(seed: int) -> None:
    page = page_of(seed)
    rings = contour_rings(page, 127.5)
    generator = contourpy.contour_generator(z=page.astype(float), name="serial")
    lines = [np.asarray(line) for line in generator.lines(127.5)]
    places = np.round(np.concatenate(rings) if rings else np.zeros((0, 2)), 9)
    assert {tuple(p) for p in places} == {tuple(p) for line in lines for p in np.round(line, 9)}
    assert sum(map(len, rings)) - len(rings) == sum(map(len, lines)) - len(lines)
    # Areas turn one way and holes the other: together they are what lies above the level.
    area = sum(shapely.Polygon(ring).area * (1 if shapely.LinearRing(ring).is_ccw else -1) for ring in rings)
    assert area == pytest.approx(float((page > 127).sum()), abs=0.1 * sum(map(len, rings)) + 1)


@settings(max_examples=40)
@given(st.integers(0, 100_000))
def test_each_hole_lies_in_its_area(seed: int) -> None:
    mask = (page_of(seed) > 127).astype(np.uint8)
    areas = outlines(mask, 1.0)
    for outer, *holes in areas:
        own = shapely.Polygon(outer).buffer(0.5)
        assert all(own.contains(shapely.LineString(hole)) for hole in holes)
    count, _ = cv2.connectedComponents(cv2.GaussianBlur(mask * 255, (0, 0), 1.0) // 128, connectivity=4)
    assert len(areas) == count - 1


def test_at_a_saddle_areas_stay_apart() -> None:
    page = np.zeros((4, 4), np.uint8)
    page[1, 1] = page[2, 2] = 200
    assert len(contour_rings(page, 127.5)) == 2
    assert contour_rings(np.zeros((3, 3), np.uint8), 127.5) == []
