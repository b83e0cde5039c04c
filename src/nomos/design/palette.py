"""Finding the few colours a design is made of: weighted k-means in CIELAB on a colour histogram."""

from dataclasses import dataclass
from itertools import pairwise

import numpy as np
from numpy.typing import NDArray

from nomos.colour import delta_e00, srgb_to_lab

Array = NDArray[np.float64]

FEWEST, MOST = 2, 24
_BITS = 5
_BINS = 1 << (3 * _BITS)
# A pixel whose 3 x 3 neighbourhood spans this much of the 0 to 255 scale lies on
# an edge: its colour is a mixture of its neighbours' and hardly counts.
EDGE_RANGE = 24
_EDGE_WEIGHT = 0.02
_SAMPLES = 1_000_000
_RESTARTS = 6
_ROUNDS = 60
_SUGGEST_UP_TO = 14
# Below this mean ΔE00 a palette cannot be told from the design.
_INDISTINGUISHABLE = 0.35
# Of shaded tones a further colour is worth a block where the mean ΔE00 falls by so much (chosen by us).
_WORTH_ONE_MORE, _FEWEST_TONES = 0.45, 4


@dataclass(frozen=True, eq=False)
class Histogram:
    """The design's colours: (n, 3) CIELAB bin means, their (n,) weights, and which of 32768 bins."""

    lab: Array
    weight: Array
    bins: NDArray[np.intp]


def bin_numbers(rgb: NDArray[np.uint8]) -> NDArray[np.uint16]:
    """The histogram bin of every pixel, 5 bits a channel. (..., 3) uint8 to (...) uint16.

    Parameters
    ----------
    rgb : (..., 3) uint8 sRGB.

    Returns
    -------
    (...) uint16, below 32,768.
    """
    top = rgb >> (8 - _BITS)
    numbers: NDArray[np.uint16] = top[..., 0].astype(np.uint16)
    for channel in (1, 2):
        numbers <<= _BITS
        numbers |= top[..., channel]
    return numbers


def colour_histogram(rgb: NDArray[np.uint8], *, shaded: bool = False) -> Histogram:
    """Histogram of a page, sampled.

    Parameters
    ----------
    rgb : (height, width, 3) uint8 sRGB.
    shaded : tones of a photograph or painting, where every place counts; else mixtures along edges hardly do.
    """
    import cv2

    stride = max(1, int(np.sqrt(rgb.shape[0] * rgb.shape[1] / _SAMPLES)))
    sampled = rgb[::stride, ::stride]
    weights = np.ones(sampled.shape[0] * sampled.shape[1])
    if not shaded:
        low, high = cv2.erode(rgb, np.ones((3, 3), np.uint8)), cv2.dilate(rgb, np.ones((3, 3), np.uint8))
        spread = (high[::stride, ::stride] - low[::stride, ::stride]).max(axis=-1)
        weights = np.where(spread >= EDGE_RANGE, _EDGE_WEIGHT, 1.0).ravel()
    numbers = bin_numbers(sampled).ravel()
    totals = np.bincount(numbers, weights, _BINS)
    used = np.flatnonzero(totals)
    means = np.stack(
        [np.bincount(numbers, weights * sampled[..., c].ravel(), _BINS)[used] / totals[used] for c in range(3)], axis=-1
    )
    return Histogram(srgb_to_lab(means), totals[used] / totals.sum(), used)


def find_palette(histogram: Histogram, count: int, *, seed: int) -> Array:
    """The `count` colours that stand for the histogram best, light to dark.

    Returns (k, 3) CIELAB, k the number asked for or, where the design has
    fewer, the number of colours it has. The same seed gives the same palette.

    References
    ----------
    Lloyd (1982); greedy k-means++ seeding, Arthur & Vassilvitskii (2007).

    Parameters
    ----------
    histogram : of the page.
    count : of colours.
    seed : the same seed gives the same answer.

    Returns
    -------
    (count, 3) CIELAB, light to dark.
    """
    points, weight = histogram.lab, histogram.weight
    count = min(count, len(points))
    generator = np.random.default_rng(seed)
    best, best_error = points[:count], np.inf
    for _ in range(_RESTARTS):
        centres, error = _lloyd(points, weight, _seeded(points, weight, count, generator))
        if error < best_error - 1e-12:
            best, best_error = centres, error
    return best[np.argsort(-best[:, 0], kind="stable")]


def _squared(points: Array, centres: Array) -> Array:
    cross = points @ centres.T
    squared: Array = (points**2).sum(axis=1)[:, None] - 2 * cross + (centres**2).sum(axis=1)
    return np.maximum(squared, 0)


def _seeded(points: Array, weight: Array, count: int, generator: np.random.Generator) -> Array:
    chosen = [int(generator.choice(len(points), p=weight / weight.sum()))]
    nearest = _squared(points, points[chosen])[:, 0]
    tries = 2 + int(np.log(count))
    while len(chosen) < count:
        mass = weight * nearest
        if mass.sum() <= 0:
            break
        candidates = generator.choice(len(points), size=tries, p=mass / mass.sum())
        after = np.minimum(nearest[:, None], _squared(points, points[candidates]))
        winner = int(np.argmin(weight @ after))
        chosen.append(int(candidates[winner]))
        nearest = after[:, winner]
    return points[chosen]


def _lloyd(points: Array, weight: Array, centres: Array) -> tuple[Array, float]:
    for _ in range(_ROUNDS):
        # Which is nearest does not hang on the point's own length, nine tenths of the work.
        score = points @ (-2 * centres.T)
        score += (centres**2).sum(axis=1)
        member = score.argmin(axis=1)
        mass = np.bincount(member, weight, len(centres))
        sums = np.stack([np.bincount(member, weight * points[:, c], len(centres)) for c in range(3)], axis=-1)
        moved = np.where(mass[:, None] > 0, sums / np.maximum(mass, 1e-300)[:, None], centres)
        if np.allclose(moved, centres, atol=1e-4):
            break
        centres = moved
    return centres, float(weight @ _squared(points, centres).min(axis=1))


@dataclass(frozen=True)
class Suggestion:
    """How many colours the design seems to have, the mean ΔE00 for each number tried, and why that number."""

    count: int
    curve: tuple[tuple[int, float], ...]
    why: str = ""


def suggest_count(histogram: Histogram, *, seed: int, shaded: bool = False) -> Suggestion:
    """Where one more colour stops helping: the sharpest bend of the log error.

    A design of flat colours has a true number and the bend finds it; shaded tones have none: as many as each
    bring the whole a visible step nearer, and the curve for the user to judge.

    Parameters
    ----------
    histogram : of the page.
    shaded : tones of a photograph or painting.

    Returns
    -------
    The number, and the mean ΔE00 of each number tried.
    """
    most = min(_SUGGEST_UP_TO, len(histogram.lab))
    if most <= FEWEST:
        return Suggestion(max(FEWEST, most), ())
    counts = list(range(1, most + 1))
    errors, curve = [], []
    for count in counts:
        palette = find_palette(histogram, count, seed=seed)
        squared = _squared(histogram.lab, palette)
        errors.append(float(histogram.weight @ squared.min(axis=1)))
        nearest = palette[np.argmin(squared, axis=1)]
        curve.append(float(histogram.weight @ delta_e00(histogram.lab, nearest)))
    if shaded:
        gains = [before - after for before, after in pairwise(curve)]
        chosen = next(
            (n for n, gain in zip(counts, gains, strict=False) if n >= _FEWEST_TONES and gain < _WORTH_ONE_MORE), most
        )
        return Suggestion(min(chosen, most), tuple(zip(counts[1:], curve[1:], strict=True)))
    good_enough = next((n for n, error in zip(counts, curve, strict=True) if error < _INDISTINGUISHABLE), most)
    # The last count tried has no bend of its own, unless the design has no more colours: one more
    # would then change nothing. None beyond "cannot be told apart" is of use.
    if most == len(histogram.lab):
        errors.append(errors[-1])
    log_error = np.log(np.maximum(errors, 1e-3))
    bend = log_error[:-2] - 2 * log_error[1:-1] + log_error[2:]
    within = [n for n in range(FEWEST, len(bend) + 2) if n <= good_enough] or [FEWEST]
    chosen = max(within, key=lambda n: bend[n - 2])
    return Suggestion(chosen, tuple(zip(counts[1:], curve[1:], strict=True)))
