"""Fits against scipy and exact cases; corrections against examples written out by hand."""

from dataclasses import replace

import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st
from scipy.optimize import least_squares
from scipy.spatial.transform import Rotation

from nomos.registration import (
    Contacts,
    KentoSettings,
    MarksError,
    Motion,
    Rect,
    after_change,
    fit_marks,
    place_along,
    place_kento,
    stretch_advice,
    together,
    wall_change,
)

CORNERS = np.array([(10, 10), (190, 12), (188, 250), (12, 246), (100, 40), (60, 200)], float)
CENTRE = (float(CORNERS[:, 0].mean()), float(CORNERS[:, 1].mean()))
CONTACTS = Contacts.of_sheet((200, 260))

small = st.floats(-1.0, 1.0)
motions = st.builds(
    Motion,
    st.just(CENTRE),
    st.tuples(small, small),
    st.floats(-0.4, 0.4),
    st.tuples(st.floats(-0.006, 0.006), st.floats(-0.006, 0.006)),
)


def figures(motion: Motion) -> tuple[float, ...]:
    """Shift, rotation, stretch."""
    assert motion.stretch is not None
    return *motion.shift_mm, motion.rotation_deg, *motion.stretch


@given(motions)
def test_an_exact_motion_comes_back(motion: Motion) -> None:
    fit = fit_marks(CORNERS, motion.moved(CORNERS))
    assert fit.residual_rms_mm < 1e-9
    assert figures(fit.motion) == pytest.approx(figures(motion), abs=1e-8)
    assert fit.doubtful == ()


def test_the_closed_form_is_the_least_squares_answer_of_scipy() -> None:
    generator = np.random.default_rng(6)
    for _ in range(20):
        measured = CORNERS + generator.normal(0, 0.6, CORNERS.shape)
        fit = fit_marks(CORNERS, measured)

        def missed(x: np.ndarray, measured: np.ndarray = measured) -> np.ndarray:
            guess = Motion(CENTRE, (x[0], x[1]), x[2], (x[3], x[4]))
            return (guess.moved(CORNERS) - measured).ravel()

        best = least_squares(missed, np.zeros(5), x_scale=[1, 1, 1, 0.01, 0.01], xtol=1e-14, ftol=1e-14).x
        assert figures(fit.motion) == pytest.approx(best, abs=1e-6)


def test_two_marks_turn_as_the_reference_turns_them() -> None:
    """Rotation of scipy, the same problem as Umeyama (1991) without scale."""
    expected, measured = CORNERS[:2], np.array([(10.4, 9.7), (190.2, 12.9)])
    fit = fit_marks(expected, measured)
    flat = [np.pad(m - m.mean(axis=0), ((0, 1), (0, 1))) for m in (measured, expected)]
    for points in flat:
        points[-1, 2] = 1000  # the axis of the sheet stays upright
    turn = Rotation.align_vectors(*flat)[0].as_euler("xyz", degrees=True)[2]
    assert fit.motion.stretch is None
    assert fit.motion.rotation_deg == pytest.approx(turn, abs=1e-5)
    assert fit.motion.shift_mm == pytest.approx((0.3, 0.3))
    # One end right by 0.5 mm less than the other end's 0.9 mm: each mark bears half the difference.
    assert fit.residual_rms_mm == pytest.approx(abs(np.hypot(179.8, 3.2) - np.hypot(180, 2)) / 2, abs=1e-9)


def test_marks_on_one_line_show_no_stretch_and_one_place_nothing() -> None:
    line = np.array([(10, 20), (100, 20), (190, 20)], float)
    assert fit_marks(line, line + 0.2).motion.stretch is None
    with pytest.raises(MarksError, match="two places"):
        fit_marks(np.ones((3, 2)), np.ones((3, 2)))
    with pytest.raises(MarksError, match="at least two"):
        fit_marks(np.ones((1, 2)), np.ones((1, 2)))


@pytest.mark.thorough
def test_the_standard_errors_are_what_repeated_readings_scatter_by() -> None:
    generator = np.random.default_rng(1)
    sigma = 0.05
    fits = [fit_marks(CORNERS, CORNERS + generator.normal(0, sigma, CORNERS.shape)) for _ in range(1500)]
    said = fit_marks(CORNERS, CORNERS, reading_mm=sigma)
    seen = np.array([figures(fit.motion) for fit in fits]).std(axis=0)
    assert said.sigma_stretch is not None
    shift = said.sigma_shift_mm
    assert seen == pytest.approx((shift, shift, said.sigma_rotation_deg, *said.sigma_stretch), rel=0.1)


def test_a_mark_misread_by_half_a_millimetre_is_named() -> None:
    measured = Motion((100, 130), (0.2, 0.1), 0.05, (0.001, 0.0)).moved(CORNERS)
    measured[4] += (0.5, 0.3)
    assert fit_marks(CORNERS, measured).doubtful == (4,)


def test_walls_move_as_worked_out_by_hand() -> None:
    """Sheet 200 x 260, marks about its middle (100, 130), right-handed.

    0.3 right and 0.2 down: 0.3 glued on the side, 0.2 pared from both bases.
    0.2 degrees is 0.0034907 rad from x towards y. The corner's base at (12.5, 260) goes down by
    0.0034907 x (12.5 - 100) = -0.3054, so up, and 0.305 is glued on; the straight base at
    (133.33, 260) goes down by 0.0034907 x 33.33 = 0.1164, pared off; the side at (0, 247.5) goes
    right by -0.0034907 x (247.5 - 130) = -0.4102, pared off.
    """
    shifted = wall_change(Motion((100, 130), (0.3, 0.2), 0), CONTACTS)
    assert shifted.walls() == pytest.approx((0.3, -0.2, -0.2))
    turned = wall_change(Motion((100, 130), (0, 0), 0.2), CONTACTS)
    assert turned.walls() == pytest.approx((-0.4102, 0.3054, -0.1164), abs=2e-3)
    assert turned.pares


@given(motions)
def test_the_change_brings_the_print_home_and_a_left_handed_printer_mirrors_it(motion: Motion) -> None:
    home = after_change(motion, wall_change(motion, CONTACTS), CONTACTS)
    rigid = replace(home, stretch=None)
    assert np.abs(rigid.moved(CORNERS) - CORNERS).max() < 0.012
    (x, y), (dx, dy) = motion.centre_mm, motion.shift_mm
    mirrored = Motion((200 - x, y), (-dx, dy), -motion.rotation_deg)
    left = wall_change(mirrored, Contacts.of_sheet((200, 260), "left"))
    assert left.walls() == pytest.approx(wall_change(motion, CONTACTS).walls(), abs=1e-9)


@given(st.lists(motions, min_size=2, max_size=5))
def test_blocks_are_brought_together_by_gluing_alone(found: list[Motion]) -> None:
    alone = {str(n): wall_change(motion, CONTACTS) for n, motion in enumerate(found)}
    shared = together(alone)
    assert not any(change.pares for change in shared.values())
    # On every wall one block at least stays as it is: less would not do.
    assert np.min([change.walls() for change in shared.values()], axis=0) == pytest.approx((0, 0, 0))
    places = [
        replace(after_change(motion, shared[str(n)], CONTACTS), stretch=None).moved(CORNERS)
        for n, motion in enumerate(found)
    ]
    assert max(np.abs(place - places[0]).max() for place in places) < 0.025


def test_stretch_is_said_only_where_it_matters() -> None:
    motion = Motion((100, 130), (0, 0), 0, (0.004, -0.0005))
    (said,) = stretch_advice(motion, (90, 120), 0.2)
    assert "0.4 % longer left to right" in said
    assert "-0.4 %" in said
    # Paper that has not grown when it is printed does not shrink back: the print stays too long.
    assert "the paper was drier than meant" in said
    assert stretch_advice(motion, (90, 120), 0.5) == []
    (shorter,) = stretch_advice(Motion((100, 130), (0, 0), 0, (0.0, -0.004)), (90, 120), 0.2)
    assert "0.4 % shorter top to bottom, 0.48 mm at the edge" in shorter
    assert "the paper was damper than meant" in shorter
    assert "+0.4 %" in shorter


def test_notches_along_the_other_side_are_those_of_the_turned_sheet() -> None:
    """A 200 x 260 sheet laid with its long side near the printer, so its right edge at the notches."""
    image = Rect(10, 12, 190, 248)
    assert place_along((200, 260), image, KentoSettings(), "short") == place_kento((200, 260), image, KentoSettings())
    kento = place_along((200, 260), image, KentoSettings(), "long")
    # The corner is the sheet's lower right; the straight notch two thirds of 260 up from it.
    assert kento.corner.wall == ((175, 260), (200, 260), (200, 235))
    middle = 260 - 260 * 2 / 3
    assert [y for _, y in kento.straight.wall] == pytest.approx([middle + 15, middle - 15])
    assert {x for x, _ in kento.straight.wall} == {200}
    # 12 mm of wood beyond the right and lower edges, a 10 mm grip around the image elsewhere.
    assert (kento.block.right, kento.block.bottom) == (212, 272)
    assert kento.block.left == 0
