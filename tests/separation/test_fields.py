"""Fields and borders against shapes of known size and SciPy's labelling."""

import numpy as np
import pytest
from scipy import ndimage

from nomos.separation.fields import field_at, find_fields, measure_borders, touching

PPM = 10.0


def disc_in_a_page() -> np.ndarray:
    y, x = np.ogrid[:600, :800]
    labels = ((x - 300) ** 2 + (y - 300) ** 2 < 200**2).astype(np.uint8)
    labels[:, 700:] = 2
    return labels


def test_border_lengths_of_a_disc_and_a_straight_edge() -> None:
    borders = measure_borders(disc_in_a_page(), 3, PPM)
    assert borders.shared_mm[0, 1] == pytest.approx(2 * np.pi * 20, rel=0.01)
    assert borders.shared_mm[0, 2] == pytest.approx(60, rel=0.06)
    assert borders.shared_mm[1, 2] == 0
    np.testing.assert_allclose(borders.shared_mm, borders.shared_mm.T)
    assert borders.edge_mm.sum() == pytest.approx(2 * (60 + 80))
    np.testing.assert_allclose(borders.area_mm2.sum(), 60 * 80)
    assert borders.outline_mm(np.array([False, True, False])) == pytest.approx(2 * np.pi * 20, rel=0.01)
    assert borders.outline_mm(np.array([True, True, True])) == pytest.approx(280)


def test_fields_agree_with_scipy_and_their_places_are_inside() -> None:
    labels = ndimage.zoom(np.random.default_rng(2).integers(0, 4, (12, 14)), 8, order=0).astype(np.uint8)
    fields = find_fields(labels, PPM)
    assert len(fields) == sum(ndimage.label(labels == n)[1] for n in range(4))
    assert sum(field.area_mm2 for field in fields) == pytest.approx(labels.size / PPM**2)
    areas = [field.area_mm2 for field in fields]
    assert areas == sorted(areas, reverse=True)
    for field in fields:
        x, y = int(field.place[0] * PPM), int(field.place[1] * PPM)
        assert labels[y, x] == field.colour
        assert field_at(labels, x, y).sum() == pytest.approx(field.area_mm2 * PPM**2)


def test_outline_of_a_square_field() -> None:
    labels = np.zeros((200, 200), np.uint8)
    labels[50:150, 50:150] = 1
    square = next(field for field in find_fields(labels, PPM) if field.colour == 1)
    assert square.outline_mm == pytest.approx(40, rel=0.06)
    assert [field.colour for field in find_fields(labels, PPM, least_mm2=150)] == [0]


def test_one_field_and_what_it_touches() -> None:
    labels = disc_in_a_page()
    labels[290:310, 290:310] = 2
    disc, meets = touching(labels, 200, 300, PPM)
    assert disc.area_mm2 == pytest.approx(np.pi * 400 - 4, rel=0.005)
    assert meets[0] == pytest.approx(2 * np.pi * 20, rel=0.01)
    assert meets[2] == pytest.approx(8, rel=0.1)
    strip, beside = touching(labels, 750, 10, PPM)
    assert strip.outline_mm == pytest.approx(2 * (60 + 10), rel=0.03)
    assert beside == {0: pytest.approx(60, rel=0.06)}
    borders = measure_borders(labels, 3, PPM)
    x, y = borders.place_mm[0, 1]
    assert np.hypot(x - 30.05, y - 30.05) == pytest.approx(20, abs=0.2)
