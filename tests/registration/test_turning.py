"""Turning a board over: which corner seats; what an untrue board costs, against one turned in full."""

import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st

from nomos.registration import TURNS, Turn, seated_corner, turning_error
from nomos.registration.kento import Hand
from nomos.registration.scan_picture import corner_sigma_mm

SIZE = (300.0, 200.0)


def through_board(place: tuple[float, float], turn: Turn) -> tuple[float, float]:
    """The place on the front right behind one on the back, each face up with its top left as origin."""
    x, y = place
    return (SIZE[0] - x, y) if turn == "sideways" else (x, SIZE[1] - y)


def place_of(edge: str, side: str) -> tuple[float, float]:
    """A named corner, face up, x right and y towards the printer."""
    return (SIZE[0] if side == "right" else 0.0, SIZE[1] if edge == "near" else 0.0)


@pytest.mark.parametrize("turn", TURNS)
@pytest.mark.parametrize("hand", ["left", "right"])
def test_the_corner_that_seats_is_the_wood_that_comes_to_lie_there(turn: Turn, hand: Hand) -> None:
    seats = seated_corner(hand, turn)
    # The jig's corner, seen on the back, is this wood of the front.
    assert through_board(place_of("near", hand), turn) == place_of(seats.edge, seats.side)
    assert str(seated_corner(hand, None)) == f"near {hand}"


def seated(board: np.ndarray, drawing: np.ndarray, flush: tuple[int, int]) -> np.ndarray:
    """A drawing on a board whose edge between two corners is laid flush on y = 0 and pushed to x = 0."""
    one, other = board[flush[0]], board[flush[1]]
    along = (other - one) / np.linalg.norm(other - one)
    turn = np.array([[along[0], along[1]], [-along[1], along[0]]])
    lying, drawn = (board - one) @ turn.T, (drawing - one) @ turn.T
    return drawn - [lying[:, 0].min(), 0.0]


@given(st.sampled_from(TURNS), st.floats(0.05, 3.0))
def test_an_untrue_board_is_out_by_no_more_than_is_said(turn: Turn, untrue: float) -> None:
    """Corners of a board, near right first, u to the left and v away from the printer.

    Its left side leans by so much, and its far edge climbs by so much, over their own lengths.
    """
    width, height = SIZE
    rectangle = np.array([(0, 0), (width, 0), (width, height), (0, height)], np.float64)
    board = rectangle + np.array([(0, 0), (0, 0), (untrue, untrue), (0, 0)])
    error = turning_error(SIZE, untrue, turn)
    if turn == "sideways":
        mirror, flush = np.array([-1.0, 1.0]), (1, 0)
    else:
        mirror, flush = np.array([1.0, -1.0]), (3, 2)
    out = seated(board * mirror, rectangle * mirror, flush) - seated(rectangle * mirror, rectangle * mirror, flush)
    worst = float(np.hypot(*out.T).max())
    assert worst <= error.most_mm + 1e-6
    assert worst > 0.4 * error.most_mm
    assert turning_error(SIZE, 0.0, turn).most_mm == 0


def test_turned_end_over_end_by_hand() -> None:
    """An edge 1 mm out over 300 mm turns the print by atan(1 / 300) = 0.191 degrees, beside the shift."""
    error = turning_error((300.0, 400.0), -1.0, "end over end")
    assert error.shift_mm == 1
    assert error.rotation_deg == pytest.approx(0.19099, abs=1e-4)
    # The farthest corner is 500 mm away.
    assert error.most_mm == pytest.approx(1 + 500 / 300, abs=1e-3)
    sideways = turning_error((300.0, 400.0), -1.0, "sideways")
    assert (sideways.shift_mm, sideways.rotation_deg, sideways.most_mm) == (1, 0, 1)


def test_the_error_of_a_read_scan_is_worst_where_drawn_changes_move_a_corner_most() -> None:
    """The standard error of the worst corner against drawn affine changes, and by hand."""
    shifted = np.diag([0.04, 0, 0, 0.09, 0, 0])
    assert corner_sigma_mm(shifted, (180, 240)) == pytest.approx(np.sqrt(0.13))
    turned = np.diag([0, 0, 1e-6, 0, 4e-6, 0])
    assert corner_sigma_mm(turned, (180, 240)) == pytest.approx(np.sqrt(240**2 * 1e-6 + 180**2 * 4e-6))
    rng = np.random.default_rng(4)
    root = rng.normal(0, 1, (6, 6)) * np.array([0.1, 0.001, 0.001, 0.1, 0.001, 0.001])
    covariance = root.T @ root
    drawn = rng.multivariate_normal(np.zeros(6), covariance, 200_000)
    corners = [(0, 0), (180, 0), (0, 240), (180, 240)]
    worst = max(
        np.sqrt(
            np.mean(
                (drawn[:, 0] + x * drawn[:, 1] + y * drawn[:, 2]) ** 2
                + (drawn[:, 3] + x * drawn[:, 4] + y * drawn[:, 5]) ** 2
            )
        )
        for x, y in corners
    )
    assert corner_sigma_mm(covariance, (180, 240)) == pytest.approx(worst, rel=0.02)
