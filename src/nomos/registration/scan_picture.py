"""How far each pull is out, from the picture itself: every block's edges, wherever they can be seen.

The scan is compared with the print as it is predicted with the pulls where they
are thought to be. Moving a pull changes the print only along its edges, and
there by the difference between printing and not printing over what else lies
there; so an edge that is hidden under another ink counts for nothing, of itself.
The least-squares step for each pull (Lucas & Kanade 1981, on this model) is
taken in turn from coarse to fine. The uncertainty follows from the same normal
equations, so a pull with little to hold on to says so.
"""

from collections.abc import Sequence
from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from nomos.base.language import tr
from nomos.base.progress import NULL_PROGRESS, Progress
from nomos.separation import Mask

Floats = NDArray[np.float64]
Image = NDArray[np.float32]

# Pixels a mm from coarse to fine, and how often all pulls are gone through at each.
_LEVELS: tuple[tuple[float, int], ...] = ((1.5, 8), (3.0, 5), (6.0, 3))
_SMOOTH_PX = 0.9
# What is thought of a pull before it is seen: shift in mm, turn and stretch as shares. Chosen by us.
_PRIOR_MM, _PRIOR_SHARE = 1.5, 0.006
# Neighbouring pixels of a smoothed scan are not independent readings; the noise they share, in steps of 255.
_SHARED = 4 * np.pi * 1.2**2
_LEAST_NOISE = 2.0
_EROSION = 3


@dataclass(frozen=True, eq=False)
class PictureFit:
    """Where a pull prints.

    change : (6,) a place (x, y), mm from the image's top left, moves by (a + b x + c y, d + e x + f y).
    covariance : (6, 6) of it.
    """

    change: Floats
    covariance: Floats

    def corner_sigma_mm(self, size_mm: tuple[float, float]) -> float:
        """One standard error of the place at the image's worst corner."""
        worst = 0.0
        for x in (0.0, size_mm[0]):
            for y in (0.0, size_mm[1]):
                at = np.array([[1, x, y, 0, 0, 0], [0, 0, 0, 1, x, y]])
                worst = max(worst, float(np.sqrt(np.trace(at @ self.covariance @ at.T))))
        return worst


def fit_picture(
    scan: NDArray[np.uint8],
    masks: Sequence[Mask],
    table: Floats,
    px_per_mm: float,
    pad_mm: float,
    *,
    progress: Progress = NULL_PROGRESS,
) -> tuple[PictureFit, ...]:
    """Where each pull prints on a scan of the image and a margin around it.

    Parameters
    ----------
    scan : (height, width, 3), straight and to scale.
    masks : what each pull prints, in print order, the image without its margin.
    table : (2 ** pulls, 3) the expected colour of each set of pulls, a bit each, 0 to 255.
    px_per_mm : of scan and masks.
    pad_mm : width of the margin.

    Raises
    ------
    Cancelled : called off through `progress`.
    """
    changes = np.zeros((len(masks), 6))
    covariances = [np.eye(6)] * len(masks)
    total = sum(rounds for _, rounds in _LEVELS)
    done = 0
    for scale, rounds in _LEVELS:
        level = _Level(scan, masks, table, px_per_mm, min(scale, px_per_mm), pad_mm)
        for pull in range(len(masks)):
            level.lay(changes[pull], pull)
        for _ in range(rounds):
            largest = 0.0
            level.learn_colours()
            for pull in range(len(masks)):
                progress.report((done + pull / len(masks)) / total, tr("comparing the scan with the print"))
                step, covariances[pull] = level.step(changes[pull], pull)
                changes[pull] += step
                level.lay(changes[pull], pull)
                largest = max(largest, float(np.abs(step[[0, 3]]).max()))
            done += 1
            if largest < 0.004:
                break
    middle = (scan.shape[1] / px_per_mm / 2 - pad_mm, scan.shape[0] / px_per_mm / 2 - pad_mm)
    from_corner = _from_corner(*middle)
    return tuple(
        PictureFit(from_corner @ change, from_corner @ own @ from_corner.T)
        for change, own in zip(changes, covariances, strict=True)
    )


def _from_corner(x: float, y: float) -> Floats:
    """(6, 6): a change counted from a place (x, y) as one counted from the image's corner."""
    turned = np.eye(6)
    turned[0, 1:3] = turned[3, 4:6] = -x, -y
    return turned


class _Level:
    """One resolution: the scan, the masks, and the colours as they are on this scan."""

    def __init__(
        self,
        scan: NDArray[np.uint8],
        masks: Sequence[Mask],
        table: Floats,
        px_per_mm: float,
        scale: float,
        pad_mm: float,
    ) -> None:
        import cv2

        height, width = scan.shape[0], scan.shape[1]
        size = max(1, round(width * scale / px_per_mm)), max(1, round(height * scale / px_per_mm))
        self._middle = width / px_per_mm / 2 - pad_mm, height / px_per_mm / 2 - pad_mm
        small = cv2.resize(scan, size, interpolation=cv2.INTER_AREA).astype(np.float32)
        self._scan = cv2.GaussianBlur(small, (0, 0), _SMOOTH_PX)
        self._size, self._pad = size, pad_mm
        self._scale = np.array([size[0] / width, size[1] / height]) * px_per_mm
        pad = round(pad_mm * px_per_mm)
        self._masks = []
        for mask in masks:
            whole = np.zeros((height, width), np.uint8)
            tall, wide = min(mask.shape[0], whole.shape[0] - pad), min(mask.shape[1], whole.shape[1] - pad)
            whole[pad : pad + tall, pad : pad + wide] = mask[:tall, :wide] * np.uint8(255)
            self._masks.append(cv2.resize(whole, size, interpolation=cv2.INTER_AREA))
        self._own: list[Image] = [np.zeros(0, np.float32)] * len(masks)
        self._bits = np.zeros((size[1], size[0]), np.int32)
        self._expected = table
        self._table = table.astype(np.float32)

    def lay(self, change: Floats, pull: int) -> None:
        """Lay a pull where a change puts it."""
        import cv2

        a, b, c, d, e, f = change
        sx, sy = self._scale
        # Places count from the image's middle, pixels from the margin's corner.
        x0, y0 = 0.5 / sx - self._pad - self._middle[0], 0.5 / sy - self._pad - self._middle[1]
        matrix = np.array(
            [
                [1 + b, c * sx / sy, sx * (a + b * x0 + c * y0)],
                [e * sy / sx, 1 + f, sy * (d + e * x0 + f * y0)],
            ]
        )
        moved = cv2.warpAffine(self._masks[pull], matrix, self._size, flags=cv2.INTER_LINEAR)
        self._own[pull] = np.asarray(moved, np.float32) / np.float32(255)
        bit = np.int32(1 << pull)
        self._bits &= ~bit
        self._bits |= (moved > 127).astype(np.int32) * bit

    def learn_colours(self) -> None:
        """The colour of each set of pulls as this scan shows it, away from edges; the rest as expected."""
        import cv2

        bits = self._bits
        page = bits.astype(np.float32)
        kernel = np.ones((_EROSION, _EROSION), np.uint8)
        inside = cv2.dilate(page, kernel) == cv2.erode(page, kernel)
        flat, seen = bits[inside], self._scan[inside].astype(np.float64)
        counts = np.bincount(flat, minlength=len(self._expected)).astype(np.float64)
        sums = np.column_stack([np.bincount(flat, seen[:, n], len(self._expected)) for n in range(3)])
        known = counts > 12
        learnt = np.where(known[:, None], sums / np.maximum(counts, 1)[:, None], 0.0)
        # What is not seen alone is expected, moved by what the others are off on the whole.
        weight = np.sqrt(counts[known])
        fitted = self._expected.copy()
        for n in range(3):
            base = np.column_stack([self._expected[known, n], np.ones(int(known.sum()))])
            if known.sum() >= 3:
                line = np.linalg.lstsq(base * weight[:, None], learnt[known, n] * weight, rcond=None)[0]
                fitted[:, n] = self._expected[:, n] * line[0] + line[1]
        trust = (counts / (counts + 40.0))[:, None]
        self._table = np.where(known[:, None], trust * learnt + (1 - trust) * fitted, fitted).astype(
            np.float32
        )

    def step(self, change: Floats, pull: int) -> tuple[Floats, Floats]:
        """The least-squares change of one pull, and its covariance."""
        import cv2

        bit = np.int32(1 << pull)
        sets = np.arange(len(self._table), dtype=np.int32)
        changes = self._table[sets | bit] - self._table[sets & ~bit]
        others = self._bits & ~bit
        own = self._own[pull]
        off, difference = self._table[others], changes[others]
        blurred = cv2.GaussianBlur(own, (0, 0), _SMOOTH_PX)
        expected = cv2.GaussianBlur(off + own[..., None] * difference, (0, 0), _SMOOTH_PX)
        slope_x = cv2.Sobel(blurred, cv2.CV_32F, 1, 0, ksize=3, scale=1 / 8)
        slope_y = cv2.Sobel(blurred, cv2.CV_32F, 0, 1, ksize=3, scale=1 / 8)
        edge = (np.abs(slope_x) + np.abs(slope_y) > 0.04) & (np.abs(changes).max(axis=1) > 4)[others]
        if np.count_nonzero(edge) < 30:
            return np.zeros(6), self._prior()
        y, x = np.nonzero(edge)
        weight = difference[edge].astype(np.float64)
        missed = (self._scan[edge] - expected[edge]).astype(np.float64)
        strength = (weight**2).sum(axis=1)
        # One figure for each pixel: how much of the difference is seen beyond what is expected.
        seen = (missed * weight).sum(axis=1) / strength
        rest = missed - seen[:, None] * weight
        places_x = (x + 0.5) / self._scale[0] - self._pad - self._middle[0]
        places_y = (y + 0.5) / self._scale[1] - self._pad - self._middle[1]
        gx, gy = -slope_x[edge] * self._scale[0], -slope_y[edge] * self._scale[1]
        slope = np.hypot(slope_x[edge], slope_y[edge])
        rows = np.column_stack(
            [gx, gx * places_x, gx * places_y, gy, gy * places_x, gy * places_y, slope * self._scale[0]]
        ).astype(np.float64)
        noise = max(float(np.sqrt((rest**2).mean())) * 1.3, _LEAST_NOISE)
        spread = np.sqrt(strength) / noise
        robust = 1 / np.maximum(1.0, np.abs(seen) * spread / 4)
        robust *= 1 / np.maximum(1.0, np.sqrt((rest**2).sum(axis=1)) / (3 * noise))
        weights = spread**2 * robust / _SHARED
        precision = np.append(np.diag(np.linalg.inv(self._prior())), 1 / 0.15**2)
        state = np.append(change, 0.0)
        normal = rows.T @ (rows * weights[:, None]) + np.diag(precision)
        right = rows.T @ (weights * seen) - precision * state
        covariance = np.linalg.inv(normal)
        step = covariance @ right
        left = seen - rows @ step
        # What the model cannot explain widens the uncertainty.
        excess = float((weights * left**2).sum() / max((weights > 0).sum() / _SHARED, 1.0))
        return step[:6], covariance[:6, :6] * max(1.0, excess)

    @staticmethod
    def _prior() -> Floats:
        one, share = _PRIOR_MM**2, _PRIOR_SHARE**2
        return np.diag([one, share, share, one, share, share])
