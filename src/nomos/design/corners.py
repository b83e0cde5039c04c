"""Finding the sheet of paper in a photograph: four corners, in perspective, on whatever it lies."""

from dataclasses import dataclass
from itertools import combinations

import numpy as np
from numpy.typing import NDArray

from nomos.colour.cielab import srgb_decode
from nomos.design.page import Rgb

Array = NDArray[np.float64]
Points = NDArray[np.float64]

_SMALL = 560
# Lines looked at in each of the four directions, and how sharp a direction is, degrees.
_LINES = 9
_TURNS = 360
_SAMPLES = 48
# A step of this much in the log of light across a side, over about 3 pixels, is an edge.
_STEP = 0.035
# Beside a side, inwards: the margin of the sheet, as a share of its size.
_INSIDE, _OUTSIDE = 0.022, 0.02
_LEAST_AREA = 0.12
_LIKELY = 60
# A sheet may run out of the picture by this share of it.
_BEYOND = 0.25
_BORDER_SUPPORT = 0.55
# Below this the sheet is not sure; measured in benchmarks/ on simulated photographs.
SURE = 0.7


@dataclass(frozen=True, eq=False)
class Sheet:
    """A sheet found in a picture.

    corners : (4, 2) pixels, top left first, clockwise; the picture's own corners where none was found.
    sure : 0 to 1; below `SURE` it should be set by hand.
    """

    corners: Points
    sure: float


def whole(rgb: Rgb) -> Points:
    """The corners of the picture itself.

    Parameters
    ----------
    rgb : (height, width, 3).

    Returns
    -------
    Four corners as shares of width and height.
    """
    height, width = rgb.shape[:2]
    return np.array([(0, 0), (width, 0), (width, height), (0, height)], np.float64)


def find_sheet(rgb: Rgb) -> Sheet:
    """The sheet of paper in a photograph.

    Parameters
    ----------
    rgb : (height, width, 3) uint8 sRGB.

    Returns
    -------
    Sheet; sure 0 with the picture's own corners where there is nothing like a sheet.

    Notes
    -----
    Straight edges with a brighter side are voted for by direction and distance
    (Hough 1962; Duda & Hart 1972, with the gradient's own direction). Of all
    four that enclose a quadrilateral, or run along the picture's border where
    the sheet leaves it, the best has an edge all along its sides, an even pale
    margin inside and something else outside. Each side is then fitted again to
    where the light steps most, at full size.
    """
    import cv2

    scale = _SMALL / max(rgb.shape[:2])
    size = max(16, round(rgb.shape[1] * scale)), max(16, round(rgb.shape[0] * scale))
    small = np.asarray(cv2.medianBlur(cv2.resize(rgb, size, interpolation=cv2.INTER_AREA), 3), np.uint8)
    log = np.log(np.maximum(srgb_decode(small / 255.0), 0.004)).astype(np.float32)
    log = np.asarray(cv2.GaussianBlur(log, (0, 0), 1.2), np.float32)
    light = np.ascontiguousarray(log.mean(axis=-1))
    across = np.asarray(cv2.Sobel(light, cv2.CV_32F, 1, 0, scale=1 / 8), np.float32)
    down = np.asarray(cv2.Sobel(light, cv2.CV_32F, 0, 1, scale=1 / 8), np.float32)
    judge = _Judge(log, across, down)
    best, best_score = None, 0.0
    for corners in judge.likely(_quadrilaterals(_lines(across, down), size)):
        score = judge.score(corners)
        if score > best_score:
            best, best_score = corners, score
    if best is None:
        return Sheet(whole(rgb), 0.0)
    full = best / np.array([size[0] / rgb.shape[1], size[1] / rgb.shape[0]])
    refined, tight = _refined(rgb, full)
    return Sheet(_in_order(refined), float(np.clip(best_score * (0.6 + 0.4 * tight), 0, 1)))


# A line: direction of its brighter side in radians, and its distance from the origin along it.
Line = tuple[float, float]


def _lines(across: NDArray[np.float32], down: NDArray[np.float32]) -> list[Line]:
    """The straightest edges by direction and distance, the strongest of each direction."""
    strength = np.hypot(across, down)
    row, column = np.nonzero(strength > _STEP / 2)
    if not len(row):
        return []
    turn = np.arctan2(down[row, column], across[row, column])
    weight = np.minimum(np.sqrt(strength[row, column]), 0.6)
    reach = int(np.hypot(*across.shape)) + 4
    votes = np.zeros((_TURNS, 2 * reach), np.float32)
    for wobble in (-2, -1, 0, 1, 2):
        place = np.round(turn / (2 * np.pi) * _TURNS).astype(int) + wobble
        angle = place * 2 * np.pi / _TURNS
        distance = np.round(column * np.cos(angle) + row * np.sin(angle)).astype(int) + reach
        votes += np.bincount(
            (place % _TURNS) * 2 * reach + distance, weight / (1 + abs(wobble)), votes.size
        ).reshape(votes.shape)
    return _peaks(votes, reach)


def _peaks(votes: NDArray[np.float32], reach: int) -> list[Line]:
    """The largest votes, apart from each other, so many in each quarter of the turn."""
    import cv2

    wrapped = np.vstack([votes[-6:], votes, votes[:6]])
    smooth = cv2.GaussianBlur(wrapped, (0, 0), sigmaX=1.2, sigmaY=0.8)
    largest = cv2.dilate(smooth, np.ones((11, 9), np.uint8))
    peak = ((smooth >= largest) & (smooth > 0.12 * smooth.max()))[6:-6]
    places = np.argwhere(peak)
    order = np.argsort(-smooth[6:-6][peak], kind="stable")
    taken: dict[int, int] = {}
    lines: list[Line] = []
    for place, distance in places[order]:
        quarter = int(((place * 360 / _TURNS + 45) % 360) // 90)
        if taken.get(quarter, 0) < _LINES:
            taken[quarter] = taken.get(quarter, 0) + 1
            lines.append((place * 2 * np.pi / _TURNS, float(distance - reach)))
    return lines


def _quadrilaterals(lines: list[Line], size: tuple[int, int]) -> Points:
    """Four lines whose bright sides face each other, in pairs about square to each other. (n, 4, 2)."""
    width, height = size
    border: list[Line] = [(0.0, 0.0), (np.pi, -float(width)), (np.pi / 2, 0.0), (-np.pi / 2, -float(height))]
    every = lines + border
    # Two lines that face each other enclose a strip as wide as their distances fall short of nought.
    strips = [
        (one, other)
        for one, other in combinations(every, 2)
        if abs(_turn(one[0], other[0])) > np.radians(150) and -(one[1] + other[1]) > 0.25 * min(size)
    ]
    pairs = [
        (first, second)
        for first, second in combinations(strips, 2)
        if np.radians(60) < abs(_turn(first[0][0], second[0][0])) < np.radians(120)
    ]
    if not pairs:
        return np.zeros((0, 4, 2))
    sides = np.array(pairs)  # (n, strip, side, direction and distance)
    points = np.stack(
        [_crossings(sides[:, 0, one], sides[:, 1, other]) for one, other in ((0, 0), (0, 1), (1, 1), (1, 0))],
        axis=1,
    )
    beyond = _BEYOND * max(size)
    inside = (points > -beyond).all(axis=(1, 2)) & (points < np.array(size) + beyond).all(axis=(1, 2))
    ahead = np.roll(points, -1, axis=1)
    area = 0.5 * (points[..., 0] * ahead[..., 1] - ahead[..., 0] * points[..., 1]).sum(axis=1)
    way = ahead - points
    after = np.roll(way, -1, axis=1)
    cross = way[..., 0] * after[..., 1] - way[..., 1] * after[..., 0]
    convex = (cross > 0).all(axis=1) | (cross < 0).all(axis=1)
    keep = inside & convex & (np.abs(area) > _LEAST_AREA * width * height)
    # Clockwise, so that the inside lies to the right of every side.
    return np.where((area < 0)[:, None, None], points[:, ::-1], points)[keep]


def _turn(one: float, other: float) -> float:
    return float((other - one + np.pi) % (2 * np.pi) - np.pi)


def _crossings(one: Array, other: Array) -> Array:
    """Where lines cross, given as direction and distance. (n, 2) each, to (n, 2) places."""
    a, b, c, d = np.cos(one[:, 0]), np.sin(one[:, 0]), np.cos(other[:, 0]), np.sin(other[:, 0])
    scale = a * d - b * c
    scale = np.where(np.abs(scale) < 1e-9, 1e-9, scale)
    return (
        np.stack([d * one[:, 1] - b * other[:, 1], a * other[:, 1] - c * one[:, 1]], axis=-1) / scale[:, None]
    )


def _area(points: Points) -> float:
    x, y = points.T
    return float(0.5 * (x @ np.roll(y, -1) - y @ np.roll(x, -1)))


def _in_order(points: Points) -> Points:
    """Clockwise as seen, beginning at the top left."""
    if _area(points) < 0:
        points = points[::-1]
    middle = points.mean(axis=0)
    first = int(np.argmin(((points - middle) / np.ptp(points, axis=0)).sum(axis=1)))
    return np.roll(points, -first, axis=0)


class _Judge:
    """How like a sheet a quadrilateral is."""

    def __init__(
        self, log: NDArray[np.float32], across: NDArray[np.float32], down: NDArray[np.float32]
    ) -> None:
        self._log, self._across, self._down = log, across, down
        self._height, self._width = across.shape
        self._top = float(np.percentile(log.mean(axis=-1), 96))

    def likely(self, corners: Points) -> Points:
        """Of (n, 4, 2) those with the most edge along their sides, judged together and quickly."""
        if len(corners) <= _LIKELY:
            return corners
        ends = np.roll(corners, -1, axis=1)
        along = np.linspace(0.06, 0.94, 20)[None, None, :, None]
        points = corners[:, :, None] + (ends - corners)[:, :, None] * along
        way = ends - corners
        inward = np.stack([-way[..., 1], way[..., 0]], axis=-1)
        inward /= np.maximum(np.hypot(inward[..., 0], inward[..., 1]), 1e-9)[..., None]
        support = np.full(points.shape[:3], -1.0)
        for shift in (-1.5, 0.0, 1.5):
            at = np.rint(points + shift * inward[:, :, None]).astype(int)
            column, row = np.clip(at[..., 0], 0, self._width - 1), np.clip(at[..., 1], 0, self._height - 1)
            step = (
                self._across[row, column] * inward[:, :, None, 0]
                + self._down[row, column] * inward[:, :, None, 1]
            )
            support = np.maximum(support, step)
        share = np.where(self._beyond(points), _BORDER_SUPPORT, np.clip(support / _STEP, 0, 1)).mean(axis=-1)
        order = np.argsort(-(share.mean(axis=-1) + share.min(axis=-1)), kind="stable")
        return np.asarray(corners[order[:_LIKELY]])

    def score(self, corners: Points) -> float:
        """0 to 1."""
        middle = corners.mean(axis=0)
        supports, rings, contrasts = [], [], []
        for start, end in zip(corners, np.roll(corners, -1, axis=0), strict=True):
            along = np.linspace(0.04, 0.96, _SAMPLES)[:, None]
            points = start + (end - start) * along
            way = end - start
            inward = np.array([-way[1], way[0]]) / max(float(np.hypot(*way)), 1e-9)
            if (middle - start) @ inward < 0:
                inward = -inward
            reach = float(np.hypot(*(corners[0] - corners[2])))
            seen = ~self._beyond(points)
            share = float(np.mean(seen))
            if share < 0.3:
                supports.append(_BORDER_SUPPORT)
                continue
            points = points[seen]
            ring = self._look(points + inward * _INSIDE * reach)
            rings.append(ring)
            supports.append(share * self._support(points, inward) + (1 - share) * _BORDER_SUPPORT)
            beyond = self._look(points - inward * _OUTSIDE * reach)
            contrasts.append(np.mean(ring.mean(axis=-1) - beyond.mean(axis=-1) > _STEP))
        if len(contrasts) < 2:
            return 0.0
        margin = np.concatenate(rings)
        paper = self._paper(margin)
        support = 0.5 * float(np.mean(supports)) + 0.5 * float(np.min(supports))
        size = min(1.0, abs(_area(corners)) / (0.35 * self._width * self._height)) ** 0.25
        return support * paper * (0.3 + 0.7 * float(np.mean(contrasts))) * size

    def _look(self, points: Points) -> NDArray[np.float32]:
        column = np.clip(np.rint(points[:, 0]).astype(int), 0, self._width - 1)
        row = np.clip(np.rint(points[:, 1]).astype(int), 0, self._height - 1)
        return np.asarray(self._log[row, column])

    def _beyond(self, points: Points) -> NDArray[np.bool_]:
        """Places on the picture's border or outside it: what runs there cannot be judged."""
        return np.asarray(
            (points < 2).any(axis=-1) | (points > np.array([self._width, self._height]) - 3).any(axis=-1)
        )

    def _support(self, points: Points, inward: Array) -> float:
        """Share of a side along which light steps up inwards, looked for a little to either side of it."""
        best = np.full(len(points), -1.0)
        for shift in (-2.0, -1.0, 0.0, 1.0, 2.0):
            at = points + inward * shift
            column = np.clip(np.rint(at[:, 0]).astype(int), 0, self._width - 1)
            row = np.clip(np.rint(at[:, 1]).astype(int), 0, self._height - 1)
            best = np.maximum(
                best, self._across[row, column] * inward[0] + self._down[row, column] * inward[1]
            )
        return float(np.mean(np.clip(best / _STEP, 0, 1)))

    def _paper(self, margin: NDArray[np.float32]) -> float:
        """How even, pale and bright the margin inside is."""
        light = margin.mean(axis=-1)
        middle = np.median(margin, axis=0)
        tint = margin - light[:, None]
        even = float(np.mean(np.abs(tint - np.median(tint, axis=0)).max(axis=-1) < 0.12))
        level = float(np.mean(np.abs(light - np.median(light)) < 0.55))
        colour = float(np.interp(np.ptp(middle), [0.5, 1.1], [1.0, 0.35]))
        bright = float(np.interp(self._top - np.median(light), [0.5, 1.3], [1.0, 0.3]))
        return even * level * colour * bright


def _refined(rgb: Rgb, corners: Points) -> tuple[Points, float]:
    """Corners where lines fitted to the steepest steps cross, and the share of places that agree."""
    import cv2

    shrink = max(1.0, max(rgb.shape[:2]) / 2400)
    page = rgb
    if shrink > 1.05:
        small = round(rgb.shape[1] / shrink), round(rgb.shape[0] / shrink)
        page = np.asarray(cv2.resize(rgb, small, interpolation=cv2.INTER_AREA), np.uint8)
    light = np.log(np.maximum(cv2.cvtColor(page, cv2.COLOR_RGB2GRAY).astype(np.float32), 4.0))
    points = corners * np.array([page.shape[1] / rgb.shape[1], page.shape[0] / rgb.shape[0]])
    lines, agree = [], []
    middle = points.mean(axis=0)
    reach = 0.011 * float(np.hypot(*(points[0] - points[2])))
    for start, end in zip(points, np.roll(points, -1, axis=0), strict=True):
        line, share = _side(light, start, end, middle, reach)
        lines.append(line)
        agree.append(share)
    found = np.array([meeting(lines[n - 1], lines[n]) for n in range(4)])
    if not np.isfinite(found).all() or np.abs(found - points).max() > 3 * reach:
        found = points
    return found * np.array([rgb.shape[1] / page.shape[1], rgb.shape[0] / page.shape[0]]), float(
        np.min(agree)
    )


def _side(
    light: NDArray[np.float32], start: Array, end: Array, middle: Array, reach: float
) -> tuple[tuple[Array, Array], float]:
    """A side as a point and a direction, fitted to the steepest step up inwards, and how many agree."""
    import cv2

    way = (end - start) / max(float(np.hypot(*(end - start))), 1e-9)
    inward = np.array([-way[1], way[0]])
    if (middle - start) @ inward < 0:
        inward = -inward
    height, width = light.shape
    points = start + (end - start) * np.linspace(0.03, 0.97, 160)[:, None]
    outside = (points < 3).any(axis=1) | (points > np.array([width, height]) - 4).any(axis=1)
    points = points[~outside]
    if len(points) < 40:
        return (start, way), 1.0
    shifts = np.arange(-reach, reach + 0.5, 0.5)
    at = points[:, None] + shifts[None, :, None] * inward
    profile = cv2.remap(
        light, (at[..., 0] - 0.5).astype(np.float32), (at[..., 1] - 0.5).astype(np.float32),
        cv2.INTER_LINEAR, borderMode=cv2.BORDER_REPLICATE,
    )  # fmt: skip
    step = np.gradient(cv2.GaussianBlur(profile, (0, 0), sigmaX=2.0, sigmaY=1.0), axis=1)
    # Far from the coarse line a step must be the steeper to count.
    best = np.argmax(step * (1 - 0.4 * np.abs(shifts) / reach), axis=1)
    rows = np.arange(len(points))
    sharp = step[rows, best] > 0.004
    edge = points + shifts[best][:, None] * inward
    if np.count_nonzero(sharp) < 12:
        return (start, way), 0.0
    return robust_line(edge[sharp], way, float(np.mean(sharp)))


def robust_line(points: Points, way: Array, share: float) -> tuple[tuple[Array, Array], float]:
    """A line through most of the points: least squares, reweighted by Tukey's biweight (1977).

    Parameters
    ----------
    points : (n, 2) pixels.
    way : which of x and y runs along it.
    share : of the points that may lie off.

    Returns
    -------
    A point on the line and its direction.
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
        off = d - slope * t - offset
        scale = max(float(np.median(np.abs(off))) * 1.4826, 0.35)
        weight = np.maximum(1 - (off / (4.7 * scale)) ** 2, 0) ** 2 + 1e-6
    agree = share * float(np.mean(np.abs(d - slope * t - offset) < 2.5))
    return (offset * across, way + slope * across), agree


def meeting(one: tuple[Array, Array], other: tuple[Array, Array]) -> Array:
    """Where two lines, each a point and a direction, cross; nan where they do not.

    Parameters
    ----------
    one, other : (point, direction) each.

    Returns
    -------
    (2,) pixels.
    """
    matrix = np.array([one[1], -other[1]]).T
    if abs(np.linalg.det(matrix)) < 1e-9:
        return np.array([np.nan, np.nan])
    return np.asarray(one[0] + one[1] * np.linalg.solve(matrix, other[0] - one[0])[0])
