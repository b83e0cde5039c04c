"""Laying a photograph of a print on the print as it is predicted, to a hundredth of a millimetre.

Direct alignment (Lucas & Kanade 1981; both gradients averaged as by Malis 2004): the warp of the sheet is
changed until what is photographed differs least from what is predicted. Square roots of linear light are
compared, so that darks weigh; smooth gains take light, cast and vignetting away; what does not fit weighs
less. What is left over by place, when nothing moves any more, says how far the reading can be trusted.
"""

from collections.abc import Callable
from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from nomos.registration.warp import TERMS, Warp, taken_out

Floats = NDArray[np.float64]
Image = NDArray[np.float32]

# Light is taken to vary over no less than this, mm; a smoothed page is compared.
_LIGHT_MM, _SMOOTH_PX = 18.0, 0.8
# Edges: where the prediction's slope is at least this, of its square root from 0 to 1 a pixel.
_LEAST_SLOPE = 0.012
_LEAST_PIXELS, _MOST_PIXELS = 200, 40_000
# Pixels near each other are not independent readings.
_SHARED = 4 * np.pi * 1.2**2
_NODES = 20
# What is left over is looked at in so many tiles along each side of the image.
_TILES = 5
_RIM_MM = 1.5


@dataclass(frozen=True, eq=False)
class Aligned:
    """A photograph laid on a print.

    warp : where the sheet lies. covariance : of its terms.
    explained : share of the predicted print's own contrast that is seen, 1 at most.
    cost : how far what is seen is off, robustly; less is better, for the same picture.
    left_mm : (n, 2) how far tiles are still off, by what is seen in them; sigma_mm : (n,) of each.
    """

    warp: Warp
    covariance: Floats
    explained: float
    cost: float
    left_mm: Floats
    sigma_mm: Floats

    @property
    def unexplained_mm(self) -> float:
        """How far places are off beyond what their own noise explains, root mean square."""
        if not len(self.left_mm):
            return 0.0
        beyond = (self.left_mm**2).sum(axis=1) / 2 - self.sigma_mm**2
        return float(np.sqrt(max(float(np.average(beyond, weights=1 / (self.sigma_mm**2 + 1e-4))), 0.0)))


def aligned(
    picture: Image, predicted: Image, warp: Warp, px_per_mm: float, rounds: int, *, fine: bool = True,
    said: Callable[[], None] = lambda: None,
) -> Aligned:  # fmt: skip
    """Lay a photograph on a print at one resolution.

    Parameters
    ----------
    picture : (height, width, 3) float32 linear light.
    predicted : (rows, columns, 3) float32 linear light, the whole sheet at `px_per_mm`.
    warp : where the sheet is thought to lie.
    rounds : steps at most.
    fine : the lens and the bend are fitted too, not the corners alone.
    said : called before every step, may raise Cancelled.
    """
    level = _Level(picture, predicted, warp, px_per_mm, fine)
    step = level.look(warp)
    for _ in range(rounds):
        said()
        new = warp.with_values(warp.values() + step.change)
        after = level.look(new)
        if after.cost > step.cost * 1.002:
            break
        far = np.abs(warp.changes(level.corners) @ step.change).max()
        warp, step = new, after
        if far < 0.002:
            break
    left, sigma = level.left_over()
    return Aligned(warp, step.covariance, step.explained, step.cost, left, sigma)


@dataclass(frozen=True, eq=False)
class _Step:
    change: Floats
    covariance: Floats
    cost: float
    explained: float


class _Level:
    """One resolution: the photograph shrunk to it and the prediction."""

    def __init__(self, picture: Image, predicted: Image, warp: Warp, px_per_mm: float, fine: bool) -> None:
        import cv2

        self._ppm = px_per_mm
        self._predicted = np.asarray(cv2.GaussianBlur(predicted, (0, 0), _SMOOTH_PX), np.float32)
        # A little finer than the page, or it would be smoothed twice.
        shrink = min(1.0, 1.5 * px_per_mm / min(warp.px_per_mm()))
        size = round(picture.shape[1] * shrink), round(picture.shape[0] * shrink)
        self._shrunk = size[0] / picture.shape[1], size[1] / picture.shape[0]
        small = picture if shrink == 1 else cv2.resize(picture, size, interpolation=cv2.INTER_AREA)
        self._small = np.asarray(small, np.float32)
        width, height = warp.sheet_mm
        self._area = (0.0, 0.0, predicted.shape[1] / px_per_mm, predicted.shape[0] / px_per_mm)
        x, y = np.meshgrid(np.linspace(0, width, _NODES), np.linspace(0, height, _NODES))
        self._places = np.stack([x.ravel(), y.ravel()], axis=-1)
        self.corners = self._places[[0, _NODES - 1, -1, -_NODES]]
        self._prior = 1 / warp.prior_sigmas() ** 2
        if not fine:
            self._prior[8:] = 1e12
        own = cv2.GaussianBlur(np.sqrt(self._predicted), (0, 0), 0.5)
        slope = np.abs(np.gradient(own, axis=0)) + np.abs(np.gradient(own, axis=1))
        rim = max(2, round(_RIM_MM * px_per_mm))
        edge = slope.max(axis=-1) > _LEAST_SLOPE
        edge[:rim], edge[-rim:], edge[:, :rim], edge[:, -rim:] = False, False, False, False
        rows, columns = np.nonzero(edge)
        every = max(1, len(rows) // _MOST_PIXELS)
        self._y, self._x = rows[::every], columns[::every]
        # Each of the pixels left out would have said nearly the same.
        self._shared = _SHARED / every**0.5
        # How the page moves under a change of the warp hardly depends on where the warp is.
        self._moves = self._interpolated(warp.changes(self._places), self._x, self._y)

    def look(self, warp: Warp) -> _Step:
        """How the warp is to change, from where it is."""
        import cv2

        seen, inside = taken_out(self._small, warp, self._ppm, self._area, self._shrunk)
        seen = np.asarray(cv2.GaussianBlur(np.maximum(seen, 1e-5), (0, 0), _SMOOTH_PX), np.float32)
        gain = gains(seen, self._predicted, inside, self._ppm)
        wanted, got = np.sqrt(np.maximum(gain * self._predicted, 1e-5)), np.sqrt(seen)
        keep = inside[self._y, self._x]
        self._at = y, x = self._y[keep], self._x[keep]
        missed = (wanted - got)[y, x].astype(np.float64)
        mean = (wanted + got) / 2
        slope_x, slope_y = (np.gradient(mean, axis=n)[y, x] * self._ppm for n in (1, 0))
        if len(y) < _LEAST_PIXELS:
            return _Step(np.zeros(TERMS), np.diag(1 / self._prior), np.inf, 0.0)
        noise = max(1.4826 * float(np.median(np.abs(missed))), 0.004)
        weights = 1 / (1 + (missed / (3 * noise)) ** 2) / noise**2 / self._shared
        # What each pixel says of how it is to move: its own normal equations, over the three channels.
        self._own = tuple(
            (weights * one * other).sum(axis=1)
            for one, other in (
                (slope_x, slope_x), (slope_x, slope_y), (slope_y, slope_y),
                (slope_x, missed), (slope_y, missed),
            )
        )  # fmt: skip
        normal, right = np.diag(self._prior), -self._prior * np.where(np.arange(TERMS) < 8, 0, warp.values())
        moves = self._moves[keep]
        move_x, move_y = moves[:, 0], moves[:, 1]
        xx, xy, yy, to_x, to_y = (each[:, None] for each in self._own)
        normal = normal + move_x.T @ (xx * move_x + xy * move_y) + move_y.T @ (xy * move_x + yy * move_y)
        right = right + (move_x * to_x + move_y * to_y).sum(axis=0)
        scale = 1 / np.sqrt(np.diag(normal))
        covariance = np.linalg.inv(normal * np.outer(scale, scale)) * np.outer(scale, scale)
        cost = float(np.log1p((missed / 0.03) ** 2).mean())
        own = wanted[y, x] - cv2.blur(wanted, (9, 9))[y, x]
        met = got[y, x] - cv2.blur(got, (9, 9))[y, x]
        explained = float((own * met).sum() / np.sqrt((own**2).sum() * (met**2).sum() + 1e-12))
        return _Step(covariance @ right, covariance, cost, explained)

    def _interpolated(self, moves: Floats, x: NDArray[np.int64], y: NDArray[np.int64]) -> Floats:
        """Moves at pixels from those at the nodes. (n, 2, TERMS)."""
        grid = moves.reshape(_NODES, _NODES, 2, TERMS)
        width, height = self._places[-1]
        across = np.clip((x + 0.5) / self._ppm / width * (_NODES - 1), 0, _NODES - 1.001)
        down = np.clip((y + 0.5) / self._ppm / height * (_NODES - 1), 0, _NODES - 1.001)
        i, j = across.astype(int), down.astype(int)
        u, v = (across - i)[:, None, None], (down - j)[:, None, None]
        upper = grid[j, i] * (1 - u) + grid[j, i + 1] * u
        return np.asarray(upper * (1 - v) + (grid[j + 1, i] * (1 - u) + grid[j + 1, i + 1] * u) * v)

    def left_over(self) -> tuple[Floats, Floats]:
        """How far each tile of what is printed is still off, mm, and one standard error of it."""
        y, x = self._at
        if len(y) < _LEAST_PIXELS:
            return np.zeros((0, 2)), np.zeros(0)
        tile = _tile(x) * _TILES + _tile(y)
        left, sigma = [], []
        for number in np.unique(tile):
            own = tile == number
            if np.count_nonzero(own) < _LEAST_PIXELS / 4:
                continue
            xx, xy, yy, to_x, to_y = (each[own].sum() for each in self._own)
            covariance = np.linalg.inv(np.array([[xx + 1, xy], [xy, yy + 1]]))
            left.append(covariance @ [to_x, to_y])
            sigma.append(float(np.sqrt(np.trace(covariance) / 2)))
        return np.array(left).reshape(-1, 2), np.array(sigma)


def _tile(along: NDArray[np.int64]) -> NDArray[np.int64]:
    low, high = int(along.min()), int(along.max()) + 1
    return (along - low) * _TILES // max(high - low, 1)


def gains(seen: Image, predicted: Image, inside: NDArray[np.bool_], px_per_mm: float) -> Image:
    """What the predicted page is multiplied by to be lit as the photograph is.

    Parameters
    ----------
    seen, predicted : (rows, columns, 3) linear light. inside : where the photograph shows the sheet.

    Returns
    -------
    (rows, columns, 3), smooth over `_LIGHT_MM`.
    """
    import cv2

    size = predicted.shape[1], predicted.shape[0]
    small = max(4, round(size[0] / px_per_mm)), max(4, round(size[1] / px_per_mm))
    there = inside.astype(np.float32)[..., None]
    pages = [cv2.resize(page * there, small, interpolation=cv2.INTER_AREA) for page in (seen, predicted)]
    one, other = (cv2.GaussianBlur(page, (0, 0), _LIGHT_MM) for page in pages)
    ratio = (one + 1e-4) / (other + 1e-4)
    return np.asarray(cv2.resize(ratio.astype(np.float32), size, interpolation=cv2.INTER_LINEAR), np.float32)
