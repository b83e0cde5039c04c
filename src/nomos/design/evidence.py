"""Giving every pixel its colour by evidence gathered over about a millimetre, and saying where it is thin."""

from collections.abc import Iterator, Sequence
from dataclasses import dataclass, replace

import numpy as np
from numpy.typing import NDArray

from nomos.base.language import tr
from nomos.base.progress import NULL_PROGRESS, Part, Progress
from nomos.colour import Lab
from nomos.design.cleaning import Labels, fill_nearest, remove_specks, smooth_outlines
from nomos.design.counting import Counted
from nomos.design.page import WEIGHTS, Mask, Page, disc, odd
from nomos.design.patches import Patches
from nomos.design.regions import find_regions
from nomos.design.texture import POOL_MM

Array = NDArray[np.float64]
Costs = NDArray[np.int16]

# Costs are differences in weighted Lab; the figures are chosen by us and measured in benchmarks/.
_MOST = 40.0
_STEPS = 64
_UNSMOOTHED, _SMOOTHED = 0.35, 0.65
_BESIDE_STROKE, _ON_STROKE, _THIN_HUE = 3.0, 8.0, 0.25
_ABOUT, _ABOUT_MM = 0.25, 3.0
_OTHER_PATCH = 8.0
# Outlines are smoothed over this share of the smallest feature.
_SMOOTH = 0.3
# Evidence thinner than this between two colours is not sure.
_THIN = 4.0
_UNSURE_INSIDE_MM = 0.7
# Paper seen in this share of a colour is its grain; fully grainy from the second figure on.
_LEAST_GRAIN, _FULL_GRAIN = 0.02, 0.15
_LEAST_EASE, _MOST_EASE = 0.3, 0.85
_OFF_THE_WAY = 11.0
# Flecks of paper up to this wide inside a grainy colour close up, mm.
_FLECK_MM = 2.2
# Smaller ones may be of a colour further off the way to the paper: edges blur.
_SMALL_FLECK_MM = 1.4
# A first count of flecks closes them up to this wide.
_LOOK_FOR_MM = 2.5
# Bare paper where no patch was paper must be this wide, as a square, to stay.
_BARE_MM = 5.0


@dataclass(frozen=True, eq=False)
class Evidence:
    """What is seen: the page, the page without its grain, the strokes, the paper's colour if it shows.

    dark : lightness of the darkest place in each pixel, where the page was shrunk.
    """

    lab: Page
    smooth: Page
    strokes: Mask
    paper: Lab | None
    px_per_mm: float
    dark: Page | None = None


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
    counted, virtual = _with_paper(counted, seen.paper)
    planes = [_cost(seen, counted, patches, number, 0.0) for number in _each(counted, progress, 0.0, 0.35)]
    first = _least(planes, seen.lab.shape[:2])
    ease = _ease(_cleaned(first.labels, counted, smallest_mm * seen.px_per_mm), seen, counted)
    if ease.any():
        for number in _each(counted, progress, 0.35, 0.55):
            planes[number] = _cost(seen, counted, patches, number, float(ease[number]), grainy=True)
    laid = _least(planes, size, Part(progress, 0.55, 0.8))
    px_per_mm = seen.px_per_mm * size[1] / seen.lab.shape[1]
    progress.report(0.85, tr("clearing specks"))
    labels = _cleaned(laid.labels, counted, smallest_mm * px_per_mm)
    if ease.any() and seen.paper is not None:
        labels = _closed(labels, counted, ease, seen.paper, px_per_mm)
    if virtual:
        labels = _without_paper(labels, counted.paper, px_per_mm)
    return Laid(labels, laid.unsure & _inside(labels, _UNSURE_INSIDE_MM * px_per_mm))


def _with_paper(counted: Counted, paper: Lab | None) -> tuple[Counted, bool]:
    """The colours with the paper among them, and whether it had to be added.

    Flecks of paper between grains of crayon would otherwise pass for the palest colour.
    """
    if paper is None or counted.paper is not None:
        return counted, False
    labs = np.vstack([counted.labs, paper])
    return replace(counted, labs=labs, paper=len(counted.labs)), True


def _without_paper(labels: Labels, paper: int | None, px_per_mm: float) -> Labels:
    """The page without paper that no patch is made of: given to what lies around it.

    A place too large for a fleck stays: it was left bare.
    """
    if paper is None or not (labels == paper).any():
        return labels
    return _without_spots(labels, _spots(labels, None, _BARE_MM * px_per_mm, paper))


def _each(counted: Counted, progress: Progress, start: float, end: float) -> Iterator[int]:
    for number in range(len(counted.labs)):
        progress.report(start + (end - start) * number / len(counted.labs), tr("laying colours"))
        yield number


def _least(planes: Sequence[Costs], size: tuple[int, int], progress: Progress = NULL_PROGRESS) -> Laid:
    """The colour of least cost at each pixel of a page of a size, and where the next best is near."""
    import cv2

    best = np.full(size, np.iinfo(np.int16).max, np.int16)
    second = best.copy()
    labels = np.zeros(size, np.uint8)
    for number, cost in enumerate(planes):
        progress.report(number / len(planes), tr("drawing fields"))
        if cost.shape != size:
            cost = np.asarray(cv2.resize(cost, (size[1], size[0]), interpolation=cv2.INTER_LINEAR), np.int16)
        nearer = cost < best
        np.minimum(second, np.maximum(cost, best), out=second)
        np.minimum(best, cost, out=best)
        labels[nearer] = number
    return Laid(labels, second - best < _THIN * _STEPS)


def _cost(
    seen: Evidence, counted: Counted, patches: Patches, number: int, ease: float, *, grainy: bool = False
) -> Costs:
    """What it costs to take a colour, by pixel, in steps of 1/64 of a weighted Lab unit. (height, width).

    ease : how easily paper passes for it. grainy : some colours have grain, and a fleck of paper could
        be of any of them: what lies further about counts too.
    """
    import cv2

    side = odd(POOL_MM * seen.px_per_mm)
    lab = counted.labs[number]
    drawn = bool(seen.strokes.any())
    alone = counted.line is not None and drawn and not (counted.of_patch == counted.line).any()
    own = _away(seen.lab, lab, seen.paper, ease)
    if number == counted.line and drawn:
        soft = np.asarray(cv2.GaussianBlur(own, (0, 0), 0.6), np.float32)
        thin = _of_thin_line(seen, lab, soft) - seen.strokes.astype(np.float32) * np.float32(_ON_STROKE)
        if alone:
            return _in_steps(thin)
    cost = _UNSMOOTHED * cv2.blur(own, (side, side)) + _SMOOTHED * _away(seen.smooth, lab, seen.paper, ease)
    if grainy:
        wide = odd(_ABOUT_MM * seen.px_per_mm)
        cost += np.float32(_ABOUT) * cv2.blur(_away(seen.smooth, lab, None, 0.0), (wide, wide))
    cost += np.float32(_BESIDE_STROKE) * seen.strokes
    if number == counted.line and drawn:
        cost = np.minimum(cost, thin)
    # Where the patch says which colour it is, the others must show better evidence.
    elsewhere = (counted.of_patch >= 0) & (counted.of_patch != number)
    cost += np.where(elsewhere, np.float32(_OTHER_PATCH), np.float32(0))[patches.number]
    return _in_steps(cost)


def _of_thin_line(seen: Evidence, lab: Array, own: Page) -> Page:
    """How far pixels on a stroke are from the line's colour, as dark as the stroke is at its darkest.

    A stroke thinner than a pixel has the hue of what is beside it too: hue counts for less.
    """
    if seen.dark is None:
        return own
    lightness = WEIGHTS[0] * np.abs(np.minimum(seen.lab[..., 0], seen.dark) - np.float32(lab[0]))
    hue = np.hypot(seen.lab[..., 1] - np.float32(lab[1]), seen.lab[..., 2] - np.float32(lab[2]))
    return np.where(seen.strokes, np.minimum(own, lightness + np.float32(_THIN_HUE) * hue), own)


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
    """Ragged edges smoothed and specks gone; the thinnest of the line is spared, a vote would eat it."""
    if smallest_px > 0:
        labels = smooth_outlines(labels, len(counted.labs), max(_SMOOTH * smallest_px, 0.5), counted.line)
    return remove_specks(labels, smallest_px)


def _ease(labels: Labels, seen: Evidence, counted: Counted) -> Array:
    """How easily paper passes for each colour, by how much of it is seen inside the colour's areas."""
    import cv2

    ease = np.zeros(len(counted.labs))
    if seen.paper is None:
        return ease
    closed = _without_spots(labels, _spots(labels, counted.line, _LOOK_FOR_MM * seen.px_per_mm))
    for number, lab in enumerate(counted.labs):
        if number in (counted.paper, counted.line):
            continue
        own = cv2.erode((closed == number).view(np.uint8), disc(0.6 * seen.px_per_mm)) > 0
        if np.count_nonzero(own) < (3 * seen.px_per_mm) ** 2:
            continue
        share, aside = _way_to_paper(seen.lab[own], lab, seen.paper)
        grain = float(np.mean((share > 0.5) & (aside < _OFF_THE_WAY)))
        if grain > _LEAST_GRAIN:
            ease[number] = np.interp(grain, [_LEAST_GRAIN, _FULL_GRAIN], [_LEAST_EASE, _MOST_EASE])
    return ease


def _way_to_paper(lab: Page, colour: Array, paper: Lab) -> tuple[Array, Array]:
    """How far along the way from a colour to the paper colours lie, 0 to 1, and how far beside it."""
    way = (np.array(paper) - colour) * WEIGHTS
    apart = (lab - colour) * WEIGHTS
    share = apart @ way / max(float(way @ way), 1e-6)
    return share, np.linalg.norm(apart - share[..., None] * way, axis=-1)


def _spots(labels: Labels, line: int | None, widest_px: float, only: int | None = None) -> Mask:
    """Connected fields smaller than a square of a side, but for the line; of one colour only, if said."""
    regions = find_regions(labels)
    colour = np.zeros(len(regions.area_px), np.uint8)
    colour[regions.region] = labels.ravel()[regions.start]
    small = regions.area_px < widest_px**2
    if only is not None:
        small &= colour == only
    if line is not None:
        small &= colour != line
    return np.asarray(regions.paint(small.view(np.uint8)), bool)


def _without_spots(labels: Labels, spots: Mask) -> Labels:
    """The page with spots given to what is nearest around them."""
    if spots.all() or not spots.any():
        return labels
    return fill_nearest(labels, spots.view(np.uint8))


def _closed(labels: Labels, counted: Counted, ease: Array, paper: Lab, px_per_mm: float) -> Labels:
    """Flecks inside grainy colours closed: spots of paper, or of a colour on the way to it."""
    for widest, off in ((_FLECK_MM, _OFF_THE_WAY), (_SMALL_FLECK_MM, 2 * _OFF_THE_WAY)):
        spots = _spots(labels, counted.line, widest * px_per_mm)
        around = _without_spots(labels, spots)
        fleck = np.zeros((256, 256), bool)
        for number in np.flatnonzero(ease):
            share, aside = _way_to_paper(counted.labs.astype(np.float32), counted.labs[number], paper)
            fleck[number, : len(share)] = (share > 0.25) & (aside < off)
        labels = np.where(spots & fleck[around, labels], around, labels)
    return labels


def _inside(labels: Labels, by_px: float) -> Mask:
    """Pixels further than so many from any border: there, doubt is not just about where an edge runs."""
    import cv2

    edge = np.ones(labels.shape, np.uint8)
    edge[:, 1:][labels[:, 1:] != labels[:, :-1]] = 0
    edge[1:][labels[1:] != labels[:-1]] = 0
    return np.asarray(cv2.distanceTransform(edge, cv2.DIST_L2, 3) > by_px)
