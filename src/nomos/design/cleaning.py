"""Cleaning a page of colour numbers: fringes, ragged edges and specks too small to cut."""

import numpy as np
from numpy.typing import NDArray

from nomos.base.language import tr
from nomos.base.progress import NULL_PROGRESS, Progress
from nomos.base.strips import by_strips
from nomos.design.palette import EDGE_RANGE
from nomos.design.regions import find_regions

Labels = NDArray[np.uint8]

_STRIP = 512
_MAJORITY = 5
# A region of which more than this share lies on slopes between two lighter and
# darker neighbours is the mixture along an edge, not a colour of the design.
_FRINGE_SHARE = 0.8
_NEAR_EXTREME = 0.2
# A page of more pixels is filled so many rows at a time, with so many around them.
_WHOLE_PX, _BAND_ROWS, _AROUND_ROWS = 6_000_000, 768, 192


def majority(labels: Labels, count: int, *, progress: Progress = NULL_PROGRESS) -> Labels:
    """Each pixel's most frequent colour in the 5 x 5 around it; keeps the pixel's own on a tie.

    Parameters
    ----------
    labels : (height, width) numbers below `count`.

    Returns
    -------
    (height, width), the same type.
    """
    import cv2

    height = labels.shape[0]
    margin = _MAJORITY // 2
    result = np.empty_like(labels)
    for top in range(0, height, _STRIP):
        progress.report(top / height, tr("smoothing outlines"))
        bottom = min(top + _STRIP, height)
        first = max(top - margin, 0)
        strip = labels[first : bottom + margin]
        best = np.zeros(strip.shape, np.uint8)
        winner = strip.copy()
        for number in np.flatnonzero(np.bincount(strip.ravel(), minlength=count)):
            own = (strip == number).view(np.uint8)
            votes = cv2.boxFilter(
                own, cv2.CV_8U, (_MAJORITY, _MAJORITY), normalize=False, borderType=cv2.BORDER_REPLICATE
            )
            # Half a vote more for what the pixel already is.
            votes = cv2.add(cv2.add(votes, votes), own)
            better = votes > best
            cv2.copyTo(votes, better.view(np.uint8), best)
            winner[better] = number
        result[top:bottom] = winner[top - first : bottom - first]
    return result


def smooth_outlines(labels: Labels, count: int, reach_px: float, spared: int | None = None) -> Labels:
    """Outlines that a knife can follow: each pixel's commonest colour about it, near ones counting more.

    Parameters
    ----------
    reach_px : one standard deviation of the Gaussian that weighs the vote.
    spared : a colour whose thinnest places stay, a drawn line.
    """
    import cv2

    best = np.zeros(labels.shape, np.uint8)
    winner = labels.copy()
    for number in np.flatnonzero(np.bincount(labels.ravel(), minlength=count)):
        own = (labels == number).view(np.uint8)
        votes = cv2.GaussianBlur(own * np.uint8(240), (0, 0), reach_px)
        better = votes > best
        cv2.copyTo(votes, better.view(np.uint8), best)
        winner[better] = number
    if spared is not None:
        # Where the line is too thin to win a vote it is left as it is.
        drawn = (labels == spared).view(np.uint8)
        side = 2 * max(1, round(1.2 * reach_px)) + 1
        thick = cv2.morphologyEx(drawn, cv2.MORPH_OPEN, cv2.getStructuringElement(cv2.MORPH_ELLIPSE, (side, side)))
        thin = (drawn > 0) & (cv2.dilate(thick, np.ones((3, 3), np.uint8)) == 0)
        winner[thin] = spared
    return winner


def on_a_slope(rgb: NDArray[np.uint8]) -> NDArray[np.bool_]:
    """Pixels between a lighter and a darker side: mixtures of scanning or antialiasing.

    Parameters
    ----------
    rgb : (height, width, 3) uint8 sRGB.

    Returns
    -------
    (height, width) bool.
    """
    return by_strips(rgb, 2, _on_a_slope_in)


def _on_a_slope_in(rgb: NDArray[np.uint8]) -> NDArray[np.bool_]:
    import cv2

    grey = cv2.cvtColor(rgb, cv2.COLOR_RGB2GRAY)
    near = np.ones((3, 3), np.uint8)
    steep = cv2.subtract(cv2.dilate(grey, near), cv2.erode(grey, near)) >= EDGE_RANGE
    wide = np.ones((5, 5), np.uint8)
    low, high = cv2.erode(grey, wide), cv2.dilate(grey, wide)
    # By a table, in bytes: a large page times a fraction would be eight times as large.
    slack = cv2.LUT(cv2.subtract(high, low), (np.arange(256) * _NEAR_EXTREME).astype(np.uint8))
    between = (cv2.subtract(grey, low) > slack) & (cv2.subtract(high, grey) > slack)
    slope: NDArray[np.bool_] = steep & between
    return slope


def remove_specks(
    labels: Labels, smallest_px: float, slope: NDArray[np.bool_] | None = None, *, progress: Progress = NULL_PROGRESS
) -> Labels:
    """Give specks and fringes to their neighbours.

    Parameters
    ----------
    labels : (height, width) uint8 colour numbers.
    smallest_px : the smallest feature; a region (4-connected) of less area than
        a square of this side goes.
    slope : pixels that lie between two colours, from `on_a_slope`.

    Returns
    -------
    (height, width) uint8. Every region left has at least that area, unless it is the page.
    """
    least = int(np.ceil(smallest_px**2))
    regions = find_regions(labels)
    progress.report(0.4, tr("clearing specks"))
    drop = regions.area_px < least
    if slope is not None:
        drop |= regions.sum_over(slope) > _FRINGE_SHARE * regions.area_px
    if drop.all() or not drop.any():
        return labels
    doomed = regions.paint(drop.view(np.uint8)).astype(np.uint8, copy=False)
    progress.report(0.6, tr("filling specks"))
    labels = fill_nearest(labels, doomed)
    # Filling joins almost everything at once; what a corner still cuts off goes
    # to its longest neighbour, which lowers the number of regions each time.
    while _merge_leftovers(labels, least):
        progress.report(0.8, tr("filling specks"))
    return labels


def fill_nearest(labels: Labels, doomed: NDArray[np.uint8]) -> Labels:
    """A page where each doomed pixel (non-zero) has the colour of the nearest that is kept.

    A large page is filled a band of rows at a time, with enough around it, so long as nothing lies deeper
    inside what is doomed than that.

    Parameters
    ----------
    labels : (height, width) numbers.
    doomed : (height, width), non-zero where the number goes.

    Returns
    -------
    (height, width) numbers.
    """
    height = len(labels)
    if labels.size <= _WHOLE_PX:
        return _filled(labels, doomed, slice(0, height))[0]
    filled = np.empty_like(labels)
    for top in range(0, height, _BAND_ROWS):
        bottom = min(top + _BAND_ROWS, height)
        first, last = max(top - _AROUND_ROWS, 0), min(bottom + _AROUND_ROWS, height)
        own = slice(top - first, bottom - first)
        band, deepest = _filled(labels[first:last], doomed[first:last], own)
        if deepest >= _AROUND_ROWS:
            return _filled(labels, doomed, slice(0, height))[0]
        filled[top:bottom] = band
    return filled


def _filled(labels: Labels, doomed: NDArray[np.uint8], rows: slice) -> tuple[Labels, float]:
    """Some rows of a page filled from all of it, and how far the furthest of them had to look."""
    import cv2

    if not doomed.any():
        return labels[rows].copy(), 0.0
    away, nearest = cv2.distanceTransformWithLabels(
        doomed, cv2.DIST_L2, cv2.DIST_MASK_5, labelType=cv2.DIST_LABEL_PIXEL
    )
    kept = doomed == 0
    of_source = np.zeros(int(nearest.max()) + 1, np.uint8)
    of_source[nearest[kept]] = labels[kept]
    found = np.where(kept[rows], labels[rows], of_source[nearest[rows]])
    return found, float(np.asarray(away)[rows].max(initial=0.0))


def _merge_leftovers(labels: Labels, least: int) -> bool:
    import cv2

    regions = find_regions(labels)
    small = np.flatnonzero(regions.area_px < least)
    if len(small) == len(regions.area_px):
        return False
    cross = cv2.getStructuringElement(cv2.MORPH_CROSS, (3, 3))
    for region in small:
        window = regions.window(int(region), 1)
        first = regions.start[regions.region == region][0]
        around = labels[window]
        seed = (first // regions.width - window[0].start, first % regions.width - window[1].start)
        _, parts = cv2.connectedComponents((around == around[seed]).view(np.uint8), connectivity=4)
        own = parts == parts[seed]
        if np.count_nonzero(own) != regions.area_px[region]:
            continue  # a neighbour has joined it meanwhile; the next round looks again
        ring = (cv2.dilate(own.view(np.uint8), cross) > 0) & ~own
        around[own] = np.bincount(around[ring]).argmax()
    return len(small) > 0
