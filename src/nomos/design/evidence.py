"""Giving every pixel its colour by evidence gathered over about a millimetre, and saying where it is thin."""

from collections.abc import Iterator, Sequence
from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from nomos.colour import Lab
from nomos.design.cleaning import Labels, fill_nearest, majority, remove_specks
from nomos.design.counting import Counted
from nomos.design.page import WEIGHTS, Mask, Page, disc, odd
from nomos.design.patches import Patches
from nomos.design.regions import find_regions
from nomos.design.texture import POOL_MM
from nomos.progress import NULL_PROGRESS, Part, Progress

Array = NDArray[np.float64]
Costs = NDArray[np.int16]

# Costs are differences in weighted Lab; the figures are chosen by us and measured in benchmarks/.
_MOST = 40.0
_STEPS = 64
_UNSMOOTHED, _SMOOTHED = 0.35, 0.65
_BESIDE_STROKE, _ON_STROKE = 3.0, 8.0
_OTHER_PATCH = 8.0
# Evidence thinner than this between two colours is not sure.
_THIN = 4.0
_UNSURE_INSIDE_MM = 0.7
# Paper seen in this share of a colour is its grain; fully grainy from the second figure on.
_LEAST_GRAIN, _FULL_GRAIN = 0.02, 0.15
_LEAST_EASE, _MOST_EASE = 0.3, 0.85
# Flecks of paper up to this wide inside a grainy colour close up, mm.
_FLECK_MM = 2.2
# A first count of flecks closes them up to this wide.
_LOOK_FOR_MM = 2.5


@dataclass(frozen=True, eq=False)
class Evidence:
    """What is seen: the page, the page without its grain, the strokes, the paper's colour if it shows."""

    lab: Page
    smooth: Page
    strokes: Mask
    paper: Lab | None
    px_per_mm: float


@dataclass(frozen=True, eq=False)
class Laid:
    """Colour numbers by pixel, and where the evidence for them is thin."""

    labels: Labels
    unsure: Mask


def lay_colours(
    seen: Evidence, counted: Counted, patches: Patches, size: tuple[int, int], smallest_mm: float,
    *, progress: Progress = NULL_PROGRESS,
) -> Laid:  # fmt: skip
    """Every pixel's colour.

    Parameters
    ----------
    seen : what there is to go by.
    counted : the colours, and which patches are which.
    size : height and width of the page of numbers to make; costs are interpolated, so that outlines
        come out finer than the pixels they were judged by.
    smallest_mm : the smallest feature.
    """
    planes = [_cost(seen, counted, patches, number, 0.0) for number in _each(counted, progress, 0.0, 0.35)]
    first = _least(planes, seen.lab.shape[:2])
    ease = _ease(_cleaned(first.labels, counted, smallest_mm * seen.px_per_mm), seen, counted)
    for number in np.flatnonzero(ease):
        progress.report(0.5, "looking past the grain")
        planes[number] = _cost(seen, counted, patches, int(number), float(ease[number]))
    laid = _least(planes, size, Part(progress, 0.55, 0.8))
    px_per_mm = seen.px_per_mm * size[1] / seen.lab.shape[1]
    progress.report(0.85, "clearing specks")
    labels = _cleaned(laid.labels, counted, smallest_mm * px_per_mm)
    if ease.any():
        labels = _closed(labels, counted, ease, px_per_mm)
    return Laid(labels, laid.unsure & _inside(labels, _UNSURE_INSIDE_MM * px_per_mm))


def _each(counted: Counted, progress: Progress, start: float, end: float) -> Iterator[int]:
    for number in range(len(counted.labs)):
        progress.report(start + (end - start) * number / len(counted.labs), "laying colours")
        yield number


def _least(planes: Sequence[Costs], size: tuple[int, int], progress: Progress = NULL_PROGRESS) -> Laid:
    """The colour of least cost at each pixel of a page of a size, and where the next best is near."""
    import cv2

    best = np.full(size, np.iinfo(np.int16).max, np.int16)
    second = best.copy()
    labels = np.zeros(size, np.uint8)
    for number, cost in enumerate(planes):
        progress.report(number / len(planes), "drawing fields")
        if cost.shape != size:
            cost = np.asarray(cv2.resize(cost, (size[1], size[0]), interpolation=cv2.INTER_LINEAR), np.int16)
        nearer = cost < best
        np.minimum(second, np.maximum(cost, best), out=second)
        np.minimum(best, cost, out=best)
        labels[nearer] = number
    return Laid(labels, second - best < _THIN * _STEPS)


def _cost(seen: Evidence, counted: Counted, patches: Patches, number: int, ease: float) -> Costs:
    """What it costs to take a colour, by pixel, in steps of 1/64 of a weighted Lab unit. (height, width)."""
    import cv2

    side = odd(POOL_MM * seen.px_per_mm)
    lab = counted.labs[number]
    drawn = bool(seen.strokes.any())
    alone = counted.line is not None and drawn and not (counted.of_patch == counted.line).any()
    own = _away(seen.lab, lab, seen.paper, ease)
    if number == counted.line and drawn:
        thin = cv2.GaussianBlur(own, (0, 0), 0.6) - _ON_STROKE * seen.strokes
        if alone:
            return _in_steps(thin)
    cost = _UNSMOOTHED * cv2.blur(own, (side, side)) + _SMOOTHED * _away(seen.smooth, lab, seen.paper, ease)
    cost += np.float32(_BESIDE_STROKE) * seen.strokes
    if number == counted.line and drawn:
        cost = np.minimum(cost, thin)
    # Where the patch says which colour it is, the others must show better evidence.
    elsewhere = (counted.of_patch >= 0) & (counted.of_patch != number)
    cost += np.where(elsewhere, np.float32(_OTHER_PATCH), np.float32(0))[patches.number]
    return _in_steps(cost)


def _in_steps(cost: Page) -> Costs:
    return np.asarray(np.rint(cost * _STEPS), np.int16)


def _away(page: Page, lab: Array, paper: Lab | None, ease: float) -> Page:
    """How far pixels are from a colour; in a grainy one, paper seen through it is nearer by the ease."""
    import cv2

    channels = [
        (channel - np.float32(value)) * weight
        for channel, value, weight in zip(cv2.split(page), lab, WEIGHTS, strict=True)
    ]
    if paper is not None and ease > 0:
        way = ((np.array(paper) - lab) * WEIGHTS).astype(np.float32)
        length = float(way @ way)
        if length > 1:
            share = np.clip(sum(c * (w / length) for c, w in zip(channels, way, strict=True)), 0, 1)
            off = [c - share * w for c, w in zip(channels, way, strict=True)]
            aside = cv2.sqrt(off[0] * off[0] + off[1] * off[1] + off[2] * off[2])
            return np.minimum(aside + share * np.float32(np.sqrt(length) * (1 - ease)), np.float32(_MOST))
    square = channels[0] * channels[0] + channels[1] * channels[1] + channels[2] * channels[2]
    return np.asarray(np.minimum(cv2.sqrt(square), np.float32(_MOST)))


def _cleaned(labels: Labels, counted: Counted, smallest_px: float) -> Labels:
    """Ragged edges smoothed and specks gone; the line is spared, a vote would eat the thinnest of it."""
    smooth = majority(labels, len(counted.labs))
    if counted.line is not None:
        smooth = np.where(labels == counted.line, labels, smooth)
    return remove_specks(smooth, smallest_px)


def _ease(labels: Labels, seen: Evidence, counted: Counted) -> Array:
    """How easily paper passes for each colour, by how much of it is seen inside the colour's areas."""
    import cv2

    ease = np.zeros(len(counted.labs))
    if seen.paper is None:
        return ease
    closed = _without_flecks(labels, counted.paper, _LOOK_FOR_MM * seen.px_per_mm)
    raw = seen.lab * WEIGHTS
    white = (np.array(seen.paper) * WEIGHTS).astype(np.float32)
    for number, lab in enumerate(counted.labs):
        if number in (counted.paper, counted.line):
            continue
        own = cv2.erode((closed == number).view(np.uint8), disc(0.6 * seen.px_per_mm)) > 0
        way = white - (lab * WEIGHTS).astype(np.float32)
        if np.count_nonzero(own) < (3 * seen.px_per_mm) ** 2 or way @ way < 1:
            continue
        share = (raw[own] - (lab * WEIGHTS).astype(np.float32)) @ way / (way @ way)
        grain = float(np.mean(share > 0.5))
        if grain > _LEAST_GRAIN:
            ease[number] = np.interp(grain, [_LEAST_GRAIN, _FULL_GRAIN], [_LEAST_EASE, _MOST_EASE])
    return ease


def _without_flecks(labels: Labels, paper: int | None, widest_px: float) -> Labels:
    """The page with small spots of bare paper given to what is around them."""
    if paper is None:
        return labels
    regions = find_regions(labels)
    colour = np.zeros(len(regions.area_px), np.uint8)
    colour[regions.region] = labels.ravel()[regions.start]
    small = (colour == paper) & (regions.area_px < widest_px**2)
    if small.all() or not small.any():
        return labels
    return fill_nearest(labels, regions.paint(small.view(np.uint8)).astype(np.uint8))


def _closed(labels: Labels, counted: Counted, ease: Array, px_per_mm: float) -> Labels:
    """Flecks of paper inside grainy colours closed."""
    filled = _without_flecks(labels, counted.paper, _FLECK_MM * px_per_mm)
    return np.where((ease > 0)[filled], filled, labels)


def _inside(labels: Labels, by_px: float) -> Mask:
    """Pixels further than so many from any border: there, doubt is not just about where an edge runs."""
    import cv2

    edge = np.ones(labels.shape, np.uint8)
    edge[:, 1:][labels[:, 1:] != labels[:, :-1]] = 0
    edge[1:][labels[1:] != labels[:-1]] = 0
    return np.asarray(cv2.distanceTransform(edge, cv2.DIST_L2, 3) > by_px)
