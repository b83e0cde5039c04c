"""How far each pull is out, from the picture itself: every block's edges, wherever they can be seen.

The scan is compared with the print as it is predicted with the pulls where they
are thought to be. Moving a pull changes the print only along its edges, and
there by the difference between printing and not printing over what else lies
there; so an edge that is hidden under another ink counts for nothing, of itself.
The least-squares step for each pull (Lucas & Kanade 1981, on this model) is
taken in turn from coarse to fine. The uncertainty follows from the same normal
equations, so a pull with little to hold on to says so.
"""

from collections.abc import Callable, Sequence
from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from nomos.base.language import tr
from nomos.base.progress import NULL_PROGRESS, Progress
from nomos.separation import Mask

Floats = NDArray[np.float64]
Image = NDArray[np.float32]

# Pixels a mm from coarse to fine, and how often all pulls are gone through at each.
LEVELS: tuple[tuple[float, int], ...] = ((1.5, 8), (3.0, 5), (6.0, 3))
_SMOOTH_PX = 0.9
# What is thought of a pull before it is seen, one over the variance: shift of 1.5 mm, turn and stretch of
# 0.006, an ink that spreads by 0.15 mm. Chosen by us.
_PRECISION = 1 / np.array([1.5, 0.006, 0.006, 1.5, 0.006, 0.006, 0.15]) ** 2
# Pulls are laid at this many pixels a mm; edges are where a pull's slope is at least so much, of 1 a pixel.
_LAID_PX_PER_MM, _LEAST_SLOPE, _MOST_PIXELS, _STILL_MM = 6.0, 0.04, 20_000, 0.003
# Neighbouring pixels of a smoothed scan are no independent readings, nor are those along one edge, whose
# colour is off alike: what so many say counts once. Measured in benchmarks/, so that what is sure holds.
_SHARED = 16 * 4 * np.pi * 1.2**2
_LEAST_NOISE = 2.0
# Colours are learnt this far from every edge, in so many pixels at least; how strong a pull is, as a share,
# and how far fields differ from it. Chosen by us, measured in benchmarks/.
_DEPTH_MM, _LEAST_FIELD, _MOST_FIELD = 0.7, 60, 400
_STRENGTH, _STRENGTH_NOISE, _DARKEST = 0.15, 0.6, 8.0


@dataclass(frozen=True, eq=False)
class PageMoves:
    """How a whole page may move: sideways by each term, mm, at places in mm from the image's top left.

    at : (n, 2) places to (n, 2, terms).
    precision : one over the variance of each term. own : (terms,) how far each is from what is likeliest.
    """

    at: Callable[[Floats], Floats]
    precision: Floats
    own: Floats


@dataclass(frozen=True, eq=False)
class PrintFit:
    """Where all pulls print.

    changes : (pulls, 6) a place (x, y), mm from the image's top left, moves by (a + b x + c y, d + e x + f y).
    covariance : (6 pulls, 6 pulls) of them.
    table : (2 ** pulls, 3) the colour of every set of pulls as it was seen, 0 to 255.
    bend : (terms,) how the page moves besides.
    """

    changes: Floats
    covariance: Floats
    table: Floats
    bend: Floats

    def covariance_of(self, pull: int, beside: int | None = None) -> Floats:
        """(6, 6) of a pull's change, or of how it differs from another's."""
        own, other = slice(6 * pull, 6 * pull + 6), slice(6 * (beside or 0), 6 * (beside or 0) + 6)
        alone = self.covariance[own, own]
        if beside is None:
            return alone
        both = self.covariance[own, other]
        return alone + self.covariance[other, other] - both - both.T


def corner_sigma_mm(covariance: Floats, size_mm: tuple[float, float]) -> float:
    """One standard error of the place at an image's worst corner, of a change's covariance.

    Parameters
    ----------
    covariance : (6, 6).
    size_mm : width and height of the image.
    """
    worst = 0.0
    for x in (0.0, size_mm[0]):
        for y in (0.0, size_mm[1]):
            at = np.array([[1, x, y, 0, 0, 0], [0, 0, 0, 1, x, y]])
            worst = max(worst, float(np.trace(at @ covariance @ at.T)))
    # By rounding a variance of nothing may come out below it: the worst is never less than 0.
    return float(np.sqrt(worst))


def fit_picture(
    scan: NDArray[np.uint8], masks: Sequence[Mask], table: Floats, px_per_mm: float, pad_mm: float, *,
    start: Floats | None = None, moves: PageMoves | None = None, there: NDArray[np.bool_] | None = None,
    levels: Sequence[tuple[float, int]] = LEVELS, progress: Progress = NULL_PROGRESS,
) -> PrintFit:  # fmt: skip
    """Where each pull prints on a scan of the image and a margin around it.

    Parameters
    ----------
    scan : (height, width, 3), straight and to scale.
    masks : what each pull prints, in print order, the image without its margin, of any resolution.
    table : (2 ** pulls, 3) the expected colour of each set of pulls, a bit each, 0 to 255.
    px_per_mm : of the scan.
    pad_mm : width of the margin.
    start : (pulls, 6) changes that the pulls are thought to have; None is none.
    moves : how the whole page may move besides, where it was taken out by a warp that is not exact.
    there : (height, width) where the scan shows the sheet; None everywhere.
    levels : pixels a mm from coarse to fine, and how often all pulls are gone through at each.

    Raises
    ------
    Cancelled : called off through `progress`.
    """
    from_corner = _from_corner(scan.shape[1] / px_per_mm / 2 - pad_mm, scan.shape[0] / px_per_mm / 2 - pad_mm)
    to_middle = np.linalg.inv(from_corner)
    changes = np.zeros((len(masks), 6)) if start is None else start @ to_middle.T
    covariance = np.zeros((6 * len(masks), 6 * len(masks)))
    bend = np.zeros(0 if moves is None else len(moves.precision))
    total, done = sum(rounds for _, rounds in levels), 0
    for scale, rounds in levels:
        level = _Level(scan, masks, table, px_per_mm, min(scale, px_per_mm), pad_mm, moves, there)
        for step in range(rounds):
            progress.report((done + step) / total, tr("comparing the scan with the print"))
            level.lay(changes)
            level.learn_colours()
            by, bent, covariance = level.step(changes, bend)
            changes, bend = changes + by, bend + bent
            if np.abs(by[:, [0, 3]]).max() < _STILL_MM:
                break
        done += rounds
    whole = np.kron(np.eye(len(masks)), from_corner)
    return PrintFit(changes @ from_corner.T, whole @ covariance @ whole.T, level.colours, bend)


def _from_corner(x: float, y: float) -> Floats:
    """(6, 6): a change counted from a place (x, y) as one counted from the image's corner."""
    turned = np.eye(6)
    turned[0, 1:3] = turned[3, 4:6] = -x, -y
    return turned


class _Level:
    """One resolution: the scan, the masks, and the colours as they are on this scan."""

    def __init__(
        self, scan: NDArray[np.uint8], masks: Sequence[Mask], table: Floats, px_per_mm: float, scale: float,
        pad_mm: float, moves: PageMoves | None = None, there: NDArray[np.bool_] | None = None,
    ) -> None:  # fmt: skip
        import cv2

        height, width = scan.shape[0], scan.shape[1]
        size = max(1, round(width * scale / px_per_mm)), max(1, round(height * scale / px_per_mm))
        self._middle = width / px_per_mm / 2 - pad_mm, height / px_per_mm / 2 - pad_mm
        small = cv2.resize(scan, size, interpolation=cv2.INTER_AREA).astype(np.float32)
        self._scan = cv2.GaussianBlur(small, (0, 0), _SMOOTH_PX)
        self._size, self._pad = size, pad_mm
        self._scale = np.array([size[0] / width, size[1] / height]) * px_per_mm
        # Pulls are laid finer than they are compared: an edge lies within a pixel, not on its side.
        self._over = max(2, round(_LAID_PX_PER_MM / scale))
        # Masks have pixels of their own: shrunk by areas, then laid on the page with its margin.
        fine = np.array(size) * self._over
        per_mm = fine / np.array([width, height]) * px_per_mm
        own = masks[0].shape[1] / (width / px_per_mm - 2 * pad_mm)
        self._masks = []
        for mask in masks:
            small = np.maximum(np.rint(np.array(mask.shape[::-1]) * per_mm / own).astype(int), 1)
            step = np.array(mask.shape[::-1]) / small * per_mm / own
            image = cv2.resize(mask * np.uint8(255), small.tolist(), interpolation=cv2.INTER_AREA)
            to_page = np.column_stack([np.diag(step), pad_mm * per_mm + (step - 1) / 2])
            self._masks.append(cv2.warpAffine(image, to_page, fine.tolist(), flags=cv2.INTER_LINEAR))
        self._moves = moves
        self._there = None
        if there is not None and not there.all():
            seen = cv2.resize(there.view(np.uint8) * np.uint8(255), size, interpolation=cv2.INTER_AREA)
            self._there = np.asarray(cv2.erode(seen, np.ones((7, 7), np.uint8)) > 250)
        self._expected = table
        self._table = table.astype(np.float32)

    @property
    def colours(self) -> Floats:
        """The colour of each set of pulls as it was learnt last. (2 ** pulls, 3), 0 to 255."""
        return self._table.astype(np.float64)

    def lay(self, changes: Floats) -> None:
        """Lay the pulls where their changes put them."""
        import cv2

        fine = self._size[0] * self._over, self._size[1] * self._over
        sx, sy = self._scale * self._over
        self._bits = np.zeros((fine[1], fine[0]), np.int32)
        self._own = []
        # Places count from the image's middle, pixels from the margin's corner.
        x0, y0 = 0.5 / sx - self._pad - self._middle[0], 0.5 / sy - self._pad - self._middle[1]
        for pull, (a, b, c, d, e, f) in enumerate(changes):
            matrix = np.array(
                [[1 + b, c * sx / sy, sx * (a + b * x0 + c * y0)], [e * sy / sx, 1 + f, sy * (d + e * x0 + f * y0)]]
            )
            moved = cv2.warpAffine(self._masks[pull], matrix, fine, flags=cv2.INTER_LINEAR)
            self._bits |= (moved > 127).astype(np.int32) << pull
            own = cv2.resize(moved, self._size, interpolation=cv2.INTER_AREA).astype(np.float32) / 255
            self._own.append(cv2.GaussianBlur(own, (0, 0), _SMOOTH_PX))

    def learn_colours(self) -> None:
        """The colour of each set of pulls as this scan shows it in the depth of fields.

        A sliver that is there only because a pull is out would learn whatever lies there and hold the pull
        where it is: what is not seen in a field is reckoned from how strong each pull is on the whole.
        """
        import cv2

        bits = np.ascontiguousarray(self._bits[:: self._over, :: self._over])
        page = bits.astype(np.float32)
        side = 2 * max(1, round(_DEPTH_MM * float(self._scale.min()))) + 1
        kernel = np.ones((side, side), np.uint8)
        inside = cv2.dilate(page, kernel) == cv2.erode(page, kernel)
        if self._there is not None:
            inside &= self._there
        flat, seen = bits[inside], self._scan[inside].astype(np.float64)
        counts = np.bincount(flat, minlength=len(self._expected)).astype(np.float64)
        sums = np.column_stack([np.bincount(flat, seen[:, n], len(self._expected)) for n in range(3)])
        known = counts > _LEAST_FIELD
        learnt = np.where(known[:, None], sums / np.maximum(counts, 1)[:, None], self._expected)
        pulls = int(np.log2(len(self._expected)))
        there = np.arange(len(self._expected))[:, None] >> np.arange(pulls) & 1 > 0
        terms = np.column_stack([there, np.ones(len(there))]).astype(np.float64)
        change = np.log((learnt + _DARKEST) / (self._expected + _DARKEST))
        weight = np.sqrt(np.minimum(counts, _MOST_FIELD))[:, None] * known[:, None] / _STRENGTH_NOISE
        prior = np.eye(pulls + 1) / _STRENGTH**2
        normal = (terms * weight).T @ (terms * weight) + prior
        strengths = np.linalg.solve(normal, (terms * weight).T @ (change * weight))
        fitted = (self._expected + _DARKEST) * np.exp(terms @ strengths) - _DARKEST
        trust = (known * counts / (counts + _LEAST_FIELD))[:, None]
        self._table = np.clip(trust * learnt + (1 - trust) * fitted, 0, 255).astype(np.float32)

    def step(self, changes: Floats, bend: Floats) -> tuple[Floats, Floats, Floats]:
        """The least-squares change of all pulls, (pulls, 6), of the page, and the pulls' covariance."""
        import cv2

        page = cv2.resize(self._table[self._bits], self._size, interpolation=cv2.INTER_AREA)
        expected = cv2.GaussianBlur(page, (0, 0), _SMOOTH_PX)
        middle = self._over // 2
        bits = self._bits[middle :: self._over, middle :: self._over]
        slopes = [
            (np.asarray(cv2.Sobel(own, cv2.CV_32F, 1, 0, ksize=3, scale=1 / 8), np.float32),
             np.asarray(cv2.Sobel(own, cv2.CV_32F, 0, 1, ksize=3, scale=1 / 8), np.float32))
            for own in self._own
        ]  # fmt: skip
        edge = np.zeros(bits.shape, bool)
        for across, down in slopes:
            edge |= np.abs(across) + np.abs(down) > _LEAST_SLOPE
        if self._there is not None:
            edge &= self._there
        y, x = np.nonzero(edge)
        every = max(1, len(y) // _MOST_PIXELS)
        y, x = y[::every], x[::every]
        missed = (self._scan[y, x] - expected[y, x]).astype(np.float64)
        besides = self._besides(x, y)
        if self._moves is not None:
            missed -= np.stack([each @ bend for each in besides], axis=1)
        noise = max(1.4826 * float(np.median(np.abs(missed))), _LEAST_NOISE)
        far = np.sqrt((missed**2).mean(axis=1)) / noise
        weights = 1 / np.maximum(1.0, far / 3) ** 2 / noise**2 / (_SHARED / every)
        rows = self._rows(slopes, bits[y, x], x, y)
        state = np.column_stack([changes, np.zeros(len(changes))]).ravel()
        precision = np.tile(_PRECISION, len(changes))
        if self._moves is not None:
            rows = [np.concatenate(both, axis=1) for both in zip(rows, besides, strict=True)]
            state = np.append(state, self._moves.own + bend)
            precision = np.append(precision, self._moves.precision)
        normal, right = np.diag(precision), -precision * state
        for channel in range(3):
            weighted = rows[channel] * weights[:, None]
            normal = normal + rows[channel].T @ weighted
            right = right + weighted.T @ missed[:, channel]
        covariance = np.linalg.inv(normal)
        by = covariance @ right
        left = missed - np.stack([rows[channel] @ by for channel in range(3)], axis=1)
        # What the model cannot explain widens the uncertainty.
        excess = float((weights[:, None] * left**2).sum() / max(3 * len(y) / (_SHARED / every), 1.0))
        pulls = 7 * len(changes)
        own = np.flatnonzero(np.arange(pulls) % 7 < 6)
        widened = covariance[np.ix_(own, own)] * max(1.0, excess)
        return by[:pulls].reshape(-1, 7)[:, :6], by[pulls:], np.asarray(widened, np.float64)

    def _besides(self, x: NDArray[np.int64], y: NDArray[np.int64]) -> list[Floats]:
        """How each channel of pixels changes with each term that the page moves by, as if a pull did it."""
        if self._moves is None:
            return []
        places = np.stack([(x + 0.5) / self._scale[0], (y + 0.5) / self._scale[1]], axis=1) - self._pad
        by = self._moves.at(places)
        made = []
        for channel in range(3):
            across = np.gradient(self._scan[..., channel], axis=1)[y, x] * self._scale[0]
            down = np.gradient(self._scan[..., channel], axis=0)[y, x] * self._scale[1]
            made.append(-(across[:, None] * by[:, 0] + down[:, None] * by[:, 1]).astype(np.float64))
        return made

    def _rows(
        self, slopes: list[tuple[Image, Image]], bits: NDArray[np.int32], x: NDArray[np.int64],
        y: NDArray[np.int64],
    ) -> list[Floats]:  # fmt: skip
        """How each channel of pixels changes with each pull's shift, turn and stretch, and its spread."""
        places_x = (x + 0.5) / self._scale[0] - self._pad - self._middle[0]
        places_y = (y + 0.5) / self._scale[1] - self._pad - self._middle[1]
        rows: list[list[Floats]] = [[], [], []]
        for pull, (across, down) in enumerate(slopes):
            bit = np.int32(1 << pull)
            difference = self._table[bits | bit] - self._table[bits & ~bit]
            gx, gy = -across[y, x] * self._scale[0], -down[y, x] * self._scale[1]
            spread = np.hypot(across[y, x], down[y, x]) * self._scale[0]
            own = np.stack([gx, gx * places_x, gx * places_y, gy, gy * places_x, gy * places_y, spread], axis=1)
            for channel in range(3):
                rows[channel].append(own * difference[:, channel : channel + 1])
        return [np.concatenate(each, axis=1).astype(np.float64) for each in rows]
