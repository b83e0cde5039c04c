"""The sides of a sheet fitted to the steps of colour, bowed as a lens makes them, and where they cross."""

from dataclasses import dataclass

import numpy as np

from nomos.design.page import Rgb, lab_page
from nomos.design.sides import Array, Points

# Places within this of a line agree with it, pixels.
_AGREES_PX = 2.5


def refined_corners(rgb: Rgb, corners: Points) -> tuple[Points, float]:
    """Corners where bows fitted to the steps of colour cross.

    Parameters
    ----------
    rgb : (height, width, 3) uint8 sRGB, at full size.
    corners : (4, 2) pixels, about where they are.

    Returns
    -------
    (4, 2) pixels, and the share of places that agree, 0 to 1, the worst side left out.
    """
    import cv2

    shrink = max(1.0, max(rgb.shape[:2]) / 2400)
    page = rgb
    if shrink > 1.05:
        small = round(rgb.shape[1] / shrink), round(rgb.shape[0] / shrink)
        page = np.asarray(cv2.resize(rgb, small, interpolation=cv2.INTER_AREA), np.uint8)
    scale = np.array([page.shape[1] / rgb.shape[1], page.shape[0] / rgb.shape[0]])
    points = corners * scale
    middle = points.mean(axis=0)
    reach = 0.016 * float(np.hypot(*(points[0] - points[2])))
    sides = [
        _side(page, start, end, middle, reach) for start, end in zip(points, np.roll(points, -1, axis=0), strict=True)
    ]
    found = np.array([_crossing(sides[n - 1], sides[n], points[n]) for n in range(4)])
    if not np.isfinite(found).all() or np.abs(found - points).max() > 3 * reach:
        found = points
    return found / scale, float(np.mean(sorted(side.agree for side in sides)[1:]))


@dataclass(frozen=True, eq=False)
class _Side:
    """A side as a bow: how far it lies off a straight line, a polynomial of the place along it."""

    start: Array
    way: Array
    long: float
    bow: Array
    agree: float

    def at(self, along: float) -> Array:
        """A place on it, `along` 0 to 1."""
        across = np.array([-self.way[1], self.way[0]])
        return np.asarray(self.start + along * self.long * self.way + across * np.polyval(self.bow, along))


def _crossing(one: _Side, other: _Side, near: Array) -> Array:
    """Where two bows cross near a corner: each taken for its tangent there, a few times over."""
    place = near
    for _ in range(6):
        lines = []
        for side in (one, other):
            along = float((place - side.start) @ side.way) / max(side.long, 1e-9)
            # Beyond its end a bow is not known: it runs on straight.
            along = float(np.clip(along, -0.05, 1.05))
            ahead = side.at(along + 1e-3) - side.at(along)
            lines.append((side.at(along), ahead / max(float(np.hypot(*ahead)), 1e-12)))
        place = meeting(lines[0], lines[1])
        if not np.isfinite(place).all():
            break
    return place


def _side(page: Rgb, start: Array, end: Array, middle: Array, reach: float) -> _Side:
    """A side fitted to the steepest step from what is outside to what is inside."""
    import cv2

    long = float(np.hypot(*(end - start)))
    way = (end - start) / max(long, 1e-9)
    inward = np.array([-way[1], way[0]])
    if (middle - start) @ inward < 0:
        inward = -inward
    straight = _Side(start, way, long, np.zeros(3), 0.0)
    height, width = page.shape[:2]
    along = np.linspace(0.03, 0.97, 160)
    points = start + (end - start) * along[:, None]
    outside = (points < 3).any(axis=1) | (points > np.array([width, height]) - 4).any(axis=1)
    points, along = points[~outside], along[~outside]
    if len(points) < 40:
        return _Side(start, way, long, np.zeros(3), 1.0)
    shifts = np.arange(-reach, reach + 0.5, 0.5)
    at = points[:, None] + shifts[None, :, None] * inward
    seen = cv2.remap(
        page, (at[..., 0] - 0.5).astype(np.float32), (at[..., 1] - 0.5).astype(np.float32),
        cv2.INTER_LINEAR, borderMode=cv2.BORDER_REPLICATE,
    )  # fmt: skip
    lab = lab_page(np.asarray(seen, np.uint8))
    lab[..., 1:] *= 1.5
    third = len(shifts) // 3
    # The colours of both sides where they are most often, and the profile from one to the other.
    step = np.median(lab[:, -third:].mean(axis=1) - lab[:, :third].mean(axis=1), axis=0)
    size = float(np.linalg.norm(step))
    if size < 1.5:
        return straight
    profile = (lab @ (step / size)).astype(np.float32)
    slope = np.gradient(cv2.GaussianBlur(profile, (0, 0), sigmaX=2.0, sigmaY=1.0), axis=1)
    # Far from the coarse line a step must be the steeper to count.
    best = np.argmax(slope * (1 - 0.35 * np.abs(shifts) / reach), axis=1)
    sharp = slope[np.arange(len(points)), best] > max(0.02 * size, 0.15)
    if np.count_nonzero(sharp) < 14:
        return straight
    across = np.array([-way[1], way[0]])
    off = shifts[best] * float(inward @ across)
    bow, agree = _bow(along[sharp], off[sharp])
    return _Side(start, way, long, bow, agree * float(np.mean(sharp)))


def _bow(along: Array, off: Array) -> tuple[Array, float]:
    """A parabola through most of the places: least squares, reweighted by Tukey's biweight (1977)."""
    rows = np.stack([along**2, along, np.ones_like(along)], axis=-1)
    weight = np.ones(len(along))
    bow = np.zeros(3)
    for degree in (1, 1, 1, 1, 1, 1, 2, 2, 2, 2, 2, 2):
        part = rows[:, 2 - degree :]
        # Held to a straight line a little: places on a short part must not bend the rest.
        ridge = np.diag([2e-3 * len(along)] * (degree == 2) + [1e-9, 1e-9])
        weighed = part * weight[:, None]
        bow = np.zeros(3)
        bow[2 - degree :] = np.linalg.solve(part.T @ weighed + ridge, weighed.T @ off)
        left = off - rows @ bow
        weight = _biweight(left)
    return bow, float(np.mean(np.abs(off - rows @ bow) < _AGREES_PX))


def _biweight(left: Array) -> Array:
    """What each place weighs by what is left of it, pixels: Tukey's biweight (1977) at its usual 4.7."""
    scale = max(float(np.median(np.abs(left))) * 1.4826, 0.35)
    return np.asarray(np.maximum(1 - (left / (4.7 * scale)) ** 2, 0) ** 2 + 1e-6)


def robust_line(points: Points, way: Array, share: float) -> tuple[tuple[Array, Array], float]:
    """A line through most of the points: least squares, reweighted by Tukey's biweight (1977).

    Parameters
    ----------
    points : (n, 2) pixels.
    way : (2,) about the direction it runs in.
    share : what the agreement is multiplied by.

    Returns
    -------
    A point on the line and its direction; the share of places within 2.5 pixels of it.
    """
    across = np.array([-way[1], way[0]])
    t, d = points @ way, points @ across
    weight = np.ones(len(t))
    slope = offset = 0.0
    for _ in range(12):
        mean_t, mean_d = np.average(t, weights=weight), np.average(d, weights=weight)
        spread = max(float(weight @ (t - mean_t) ** 2), 1e-9)
        slope = float(weight @ ((t - mean_t) * (d - mean_d))) / spread
        offset = float(mean_d - slope * mean_t)
        weight = _biweight(d - slope * t - offset)
    agree = share * float(np.mean(np.abs(d - slope * t - offset) < _AGREES_PX))
    return (offset * across, way + slope * across), agree


def meeting(one: tuple[Array, Array], other: tuple[Array, Array]) -> Array:
    """Where two lines, each a point and a direction, cross; nan where they do not.

    Parameters
    ----------
    one, other : (point, direction) each, (2,) pixels.

    Returns
    -------
    (2,) pixels.
    """
    matrix = np.array([one[1], -other[1]]).T
    if abs(np.linalg.det(matrix)) < 1e-9:
        return np.array([np.nan, np.nan])
    return np.asarray(one[0] + one[1] * np.linalg.solve(matrix, other[0] - one[0])[0])
