"""Pieces of a sawn block on drawn shapes whose measures are known."""

import numpy as np
import pytest

from nomos.separation.contour import kerf_mask
from nomos.separation.jigsaw import find_pieces

PPM = 10.0


def page_of_pieces() -> np.ndarray:
    """On a 60 x 40 mm ground: a dumb-bell with a 1.5 mm neck, and a square with a round window."""
    page = np.zeros((400, 600), np.uint8)
    page[50:150, 50:150], page[50:150, 190:290], page[93:108, 150:190] = 1, 1, 1
    page[200:350, 350:550] = 2
    yy, xx = np.mgrid[0:400, 0:600]
    page[(yy - 275) ** 2 + (xx - 450) ** 2 < 40**2] = 3
    return page


def test_pieces_have_their_areas_paths_windows_and_necks() -> None:
    pieces = find_pieces(page_of_pieces(), PPM, neck_mm=3.0)
    assert [piece.number for piece in pieces] == [1, 2, 3, 4]
    by_colour = {piece.colour: piece for piece in pieces}
    bell, square, disc, ground = (by_colour[n] for n in (1, 2, 3, 0))
    assert bell.area_mm2 == pytest.approx(206)
    assert disc.area_mm2 == pytest.approx(np.pi * 16, rel=0.01)
    assert disc.window_of == square.number
    assert square.window_of == bell.window_of == ground.number
    assert ground.window_of is None
    (neck,) = bell.necks
    assert neck.width_mm == pytest.approx(1.5, abs=0.3)
    assert neck.place == pytest.approx((17, 10), abs=1.5)
    assert square.necks == disc.necks == ()
    for piece in pieces:
        np.testing.assert_allclose(piece.path[0], piece.path[-1])
    circle = disc.path - np.array([45.05, 27.55])
    np.testing.assert_allclose(np.hypot(*circle.T), 4.0, atol=0.1)
    x, y = (round(value * PPM) for value in bell.place)
    assert page_of_pieces()[y, x] == 1


def test_a_wide_neck_holds_and_a_tapering_tip_is_none() -> None:
    assert all(not piece.necks for piece in find_pieces(page_of_pieces(), PPM, neck_mm=1.0))
    page = np.zeros((300, 300), np.uint8)
    for y in range(40, 260):
        page[y, 150 - (y - 40) // 4 : 150 + (y - 40) // 4] = 1
    assert all(not piece.necks for piece in find_pieces(page, PPM, neck_mm=3.0) if piece.colour == 1)


def test_the_saw_takes_its_width_along_every_join() -> None:
    page = np.zeros((200, 200), np.uint8)
    page[:, 100:] = 1
    taken = kerf_mask(page, 6.0)
    assert np.count_nonzero(taken[100]) == pytest.approx(6, abs=1)
    assert not taken[:, :90].any()
    assert not taken[:, 110:].any()
