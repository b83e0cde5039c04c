"""From marks on a proof to how far a block is out: shift, rotation, stretch, and how sure that is."""

from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from nomos.base.errors import BadInput
from nomos.base.language import tr

Floats = NDArray[np.float64]

# A vernier in the margin is read to 0.1 mm, so a reading is this sure (chosen by us).
READING_MM = 0.05
# Marks flatter than this share of their length lie on one line and show no stretch (chosen by us).
_ON_A_LINE = 0.05
# A mark is doubted when the others, fitted without it, miss it by so much (chosen by us).
_DOUBTFUL_TIMES, _DOUBTFUL_MM = 4.0, 0.2


class MarksError(BadInput):
    """The marks cannot be fitted, saying why."""


@dataclass(frozen=True)
class Motion:
    """Where a block prints against where it should, in mm on the sheet: x right, y down.

    A point expected at e is found at centre + shift + R S (e - centre), where R turns by
    `rotation_deg` from x towards y and S stretches by (1 + stretch).

    centre_mm : the centroid of the expected marks.
    stretch : along x and y, as a share; None where the marks cannot show it.
    """

    centre_mm: tuple[float, float]
    shift_mm: tuple[float, float]
    rotation_deg: float
    stretch: tuple[float, float] | None = None

    def matrix(self) -> Floats:
        """R S, (2, 2)."""
        angle = np.radians(self.rotation_deg)
        turn = np.array([[np.cos(angle), -np.sin(angle)], [np.sin(angle), np.cos(angle)]])
        along, across = self.stretch or (0.0, 0.0)
        return turn @ np.diag([1 + along, 1 + across])

    def affine(self) -> Floats:
        """(2, 3): from an expected place, mm, to where it is found."""
        turn, centre = self.matrix(), np.array(self.centre_mm)
        return np.column_stack([turn, centre + np.array(self.shift_mm) - turn @ centre])

    def moved(self, points_mm: Floats) -> Floats:
        """Where expected points, (n, 2) mm, are found."""
        centre = np.array(self.centre_mm)
        return np.asarray(centre + self.shift_mm + (points_mm - centre) @ self.matrix().T)


@dataclass(frozen=True)
class MarkFit:
    """The motion of one block and how sure it is.

    residual_rms_mm : root mean square distance of the marks from the fit.
    sigma_shift_mm, sigma_rotation_deg, sigma_stretch : one standard error of each.
    doubtful : places of the marks which the others contradict.
    """

    motion: Motion
    residual_rms_mm: float
    sigma_shift_mm: float
    sigma_rotation_deg: float
    sigma_stretch: tuple[float, float] | None
    doubtful: tuple[int, ...] = ()


def fit_marks(expected_mm: Floats, measured_mm: Floats, reading_mm: float = READING_MM) -> MarkFit:
    """The least-squares motion from expected to measured marks.

    Parameters
    ----------
    expected_mm, measured_mm : (n, 2), n at least 2.
    reading_mm : the least standard error a reading is given.

    Raises
    ------
    MarksError : fewer than two marks, or all in one place.

    Notes
    -----
    Two marks, or more on one line, show shift and rotation (Umeyama 1991, without
    scale); three or more that span the sheet show the stretch along x and y too.
    That fit is exact least squares: for a rotation r the best stretches are
    linear, and what is left to maximise is a quadratic form in (cos, sin), so r
    is its first eigenvector.
    """
    expected, measured = np.asarray(expected_mm, float), np.asarray(measured_mm, float)
    motion = _fit(expected, measured)
    missed = measured - motion.moved(expected)
    unknowns = 3 if motion.stretch is None else 5
    free = missed.size - unknowns
    seen = np.sqrt((missed**2).sum() / free) if free > 0 else 0.0
    sigma = max(float(seen), reading_mm)
    rotation, stretch = _sigmas(expected, motion, sigma)
    return MarkFit(
        motion,
        float(np.sqrt((missed**2).sum(axis=1).mean())),
        sigma / np.sqrt(len(expected)),
        rotation,
        stretch,
        _doubtful(expected, measured, reading_mm),
    )


def fit_components(places_mm: Floats, ways: Floats, readings_mm: Floats, reading_mm: float = READING_MM) -> MarkFit:
    """The shift and rotation that readings in one direction each show, as a vernier gives them.

    Parameters
    ----------
    places_mm : (n, 2) where each was read.
    ways : (n, 2) unit vectors, the direction each was read in.
    readings_mm : (n,) how far out along it.

    Raises
    ------
    MarksError : no reading to the side, or none up and down.

    Notes
    -----
    Least squares in the small motion (dx, dy, angle) about the centroid of the
    places, exact to 0.001 mm for rotations under 0.3 degrees. Where the readings
    cannot show a rotation it is taken as none.
    """
    places, ways = np.asarray(places_mm, float), np.asarray(ways, float)
    if not (np.abs(ways[:, 0]) > 0.5).any() or not (np.abs(ways[:, 1]) > 0.5).any():
        raise MarksError(tr("Read at least one place to the side and one up or down."))
    centre = places.mean(axis=0)
    p = places - centre
    arm = ways[:, 1] * p[:, 0] - ways[:, 0] * p[:, 1]
    rows = np.column_stack([ways, arm])
    turns = np.linalg.matrix_rank(rows, tol=1.0) == 3
    rows = rows if turns else rows[:, :2]
    found, *_ = np.linalg.lstsq(rows, readings_mm, rcond=None)
    missed = readings_mm - rows @ found
    free = len(readings_mm) - rows.shape[1]
    sigma = max(float(np.sqrt((missed**2).sum() / free)) if free > 0 else 0.0, reading_mm)
    spread = sigma * np.sqrt(np.diag(np.linalg.inv(rows.T @ rows)))
    angle = float(np.degrees(found[2])) if turns else 0.0
    motion = Motion((float(centre[0]), float(centre[1])), (float(found[0]), float(found[1])), angle)
    turn_sigma = float(np.degrees(spread[2])) if turns else 0.0
    return MarkFit(motion, float(np.sqrt((missed**2).mean())), float(spread[:2].max()), turn_sigma, None)


def _fit(expected: Floats, measured: Floats) -> Motion:
    if len(expected) < 2:
        raise MarksError(tr("One mark shows no rotation: measure at least two for each block, far apart."))
    centre = expected.mean(axis=0)
    p, q = expected - centre, measured - measured.mean(axis=0)
    shift = measured.mean(axis=0) - centre
    spans = np.linalg.svd(p, compute_uv=False)
    if spans[0] < 1e-6:
        raise MarksError(tr("The expected marks all lie in one place: measure at two places far apart."))
    place, by = (float(centre[0]), float(centre[1])), (float(shift[0]), float(shift[1]))
    if len(expected) < 3 or spans[1] < _ON_A_LINE * spans[0]:
        cross, dot = (p[:, 0] * q[:, 1] - p[:, 1] * q[:, 0]).sum(), (p * q).sum()
        return Motion(place, by, float(np.degrees(np.arctan2(cross, dot))))
    a_x, a_y = q.T @ p[:, 0], q.T @ p[:, 1]
    p_xx, p_yy = (p**2).sum(axis=0)
    # The y axis after the turn is J r; J^T a_y is the y part seen from r.
    b_y = np.array([a_y[1], -a_y[0]])
    r = np.linalg.eigh(np.outer(a_x, a_x) / p_xx + np.outer(b_y, b_y) / p_yy)[1][:, -1]
    if r @ a_x + r @ b_y < 0:
        r = -r
    along, across = float(r @ a_x / p_xx - 1), float(r @ b_y / p_yy - 1)
    return Motion(place, by, float(np.degrees(np.arctan2(r[1], r[0]))), (along, across))


def _sigmas(expected: Floats, motion: Motion, sigma_mm: float) -> tuple[float, tuple[float, float] | None]:
    """Standard errors of rotation in degrees and of both stretches, from the fit's Jacobian."""
    p = expected - expected.mean(axis=0)
    by_turn = np.stack([-p[:, 1], p[:, 0]], axis=1).ravel()
    columns = [by_turn]
    if motion.stretch is not None:
        columns += [(p * [1, 0]).ravel(), (p * [0, 1]).ravel()]
    jacobian = np.stack(columns, axis=1)
    spread = sigma_mm * np.sqrt(np.diag(np.linalg.inv(jacobian.T @ jacobian)))
    stretch = None if motion.stretch is None else (float(spread[1]), float(spread[2]))
    return float(np.degrees(spread[0])), stretch


def _doubtful(expected: Floats, measured: Floats, reading_mm: float) -> tuple[int, ...]:
    """The one mark that the others, when they agree with each other, contradict most."""
    if len(expected) < 5:
        return ()
    found = []
    for place in range(len(expected)):
        rest = np.arange(len(expected)) != place
        motion = _fit(expected[rest], measured[rest])
        left = np.sqrt(((measured[rest] - motion.moved(expected[rest])) ** 2).sum(axis=1).mean())
        miss = float(np.hypot(*(measured[place] - motion.moved(expected[place : place + 1])[0])))
        if miss > max(_DOUBTFUL_MM, _DOUBTFUL_TIMES * max(float(left), reading_mm)):
            found.append((miss, place))
    return (max(found)[1],) if found else ()
