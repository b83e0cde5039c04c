"""Sides of objects in the light and away from it."""

import numpy as np
import pytest

from nomos.separation.light import lit_fields, shadow_side


def test_the_sides_of_an_object_are_parted_into_thirds_by_the_light() -> None:
    """Six equal sides in a row: two in the light, two between, two away; of two, one of each."""
    page = np.zeros((40, 160), np.uint8)
    for place in range(6):
        page[10:30, 10 + 24 * place : 30 + 24 * place] = 7
    assert [int(lit_fields(page, 7, 0.0)[20, 20 + 24 * n]) for n in range(6)] == [-1, -1, 0, 0, 1, 1]
    page[:, 57:] = 0
    assert [int(lit_fields(page, 7, 180.0)[20, 20 + 24 * n]) for n in range(2)] == [1, -1]
    # The light's angle runs up from the right, the page down.
    assert [int(lit_fields(page.T.copy(), 7, 90.0)[20 + 24 * n, 20]) for n in range(2)] == [1, -1]


def test_objects_that_share_a_colour_have_sides_of_their_own() -> None:
    """Three pots in a row, one of them of two sides: each has its own light and its own dark."""
    page = np.zeros((60, 400), np.uint8)
    page[10:50, 10:70] = page[10:50, 300:360] = 7
    page[10:50, 150:180] = page[10:50, 184:214] = 7
    lit = lit_fields(page, 7, 180.0)
    for left, right in ((10, 69), (300, 359), (150, 213)):
        assert (lit[30, left], lit[30, right]) == (1, -1)
    assert lit[30, 40] == 0
    for step in (-1, 1):
        assert np.count_nonzero(lit[:, :100] == step) == pytest.approx(60 * 40 / 3, rel=0.05)
    shadow = shadow_side(page, [7], 180.0)
    assert np.array_equal(shadow == 1, lit == -1)


def test_sides_of_an_object_are_told_in_whatever_corner_they_stand() -> None:
    """Five fields close together: turned over or laid on its side, each keeps its side of the light."""
    page = np.zeros((120, 120), np.uint8)
    for top, left in ((40, 40), (40, 18), (40, 62), (18, 38), (62, 42)):
        page[top : top + 20, left : left + 20] = 7
    page[0:6, 0:6] = 7
    lit = lit_fields(page, 7, 0.0)
    assert [int(lit[50, x]) for x in (25, 50, 70)] == [-1, 0, 1]
    assert (lit_fields(page[:, ::-1].copy(), 7, 180.0)[:, ::-1] == lit).all()
    assert (lit_fields(page[::-1].copy(), 7, 0.0)[::-1] == lit).all()
    assert (lit == lit_fields(page.T.copy(), 7, 270.0).T).all()
