"""Finding printed marks on a sheet taken out of a scan, and which of them belong together."""

from collections.abc import Sequence
from dataclasses import dataclass
from itertools import combinations

import numpy as np
from numpy.typing import NDArray

from nomos.base.errors import BadInput
from nomos.base.language import tr
from nomos.registration.marks import MarkFit, Motion, fit_marks

Picture = NDArray[np.uint8]
Floats = NDArray[np.float64]

# How far a mark may lie from its place, how near the others it must lie once they are fitted, what share
# of its area may be missing or too much, and the least contrast to paper, 0 to 255. Chosen by us.
_REACH_MM, _AGREE_MM, _AREA = 3.4, 0.25, (0.5, 1.7)
_LEAST_CONTRAST = 9.0
_LEAST_MARKS = 3
# One reading of a mark on a scan, mm (measured on simulated scans at 300 dpi).
SCAN_MARK_MM = 0.015


class ScanError(BadInput):
    """A picture of a proof that cannot be measured, saying why and what to do."""


@dataclass(frozen=True)
class Blob:
    """Something printed in the margin: its middle in mm on the page, its area, and its colour as scanned."""

    place_mm: tuple[float, float]
    area_mm2: float
    rgb: tuple[float, float, float]


def find_blobs(
    page: Picture, px_per_mm: float, area_mm2: float, image: tuple[float, float, float, float]
) -> tuple[Blob, ...]:
    """All blobs of about the area of a mark, their middles weighted by contrast to the paper around.

    Parameters
    ----------
    page : (height, width, 3) uint8, the sheet, straight and to scale.
    area_mm2 : of one mark.
    image : left, top, right, bottom in mm of what is not looked at.

    Returns
    -------
    Middles in mm.
    """
    import cv2

    smooth = cv2.GaussianBlur(page, (0, 0), 1.0).astype(np.float32)
    # Paper is what is brightest within 12 mm: marks are far smaller.
    small = cv2.resize(smooth, None, fx=1 / 6, fy=1 / 6, interpolation=cv2.INTER_AREA)
    size = max(3, round(12 * px_per_mm / 6) | 1)
    paper = cv2.dilate(cv2.medianBlur(small.astype(np.uint8), 5), np.ones((size, size), np.uint8))
    paper = cv2.blur(paper.astype(np.float32), (size, size))
    paper = cv2.resize(paper, (page.shape[1], page.shape[0]), interpolation=cv2.INTER_LINEAR)
    contrast = np.abs(paper - smooth).max(axis=2)
    left, top, right, bottom = (round(value * px_per_mm) for value in image)
    margin = np.ones(contrast.shape, bool)
    margin[top:bottom, left:right] = False
    contrast[~margin] = 0.0
    plain = contrast[margin]
    noise = float(np.median(np.abs(plain - np.median(plain)))) * 1.48
    level = max(_LEAST_CONTRAST, float(np.median(plain)) + 5 * noise)
    count, labels, stats, _ = cv2.connectedComponentsWithStats((contrast > level).astype(np.uint8), connectivity=8)
    found = []
    for n in range(1, count):
        left, top, wide, tall, pixels = (int(value) for value in stats[n])
        area = pixels / px_per_mm**2
        if not _AREA[0] * area_mm2 < area < 1.6 * _AREA[1] * area_mm2:
            continue
        pad = 3
        y0, y1 = max(top - pad, 0), min(top + tall + pad, len(page))
        x0, x1 = max(left - pad, 0), min(left + wide + pad, page.shape[1])
        own = labels[y0:y1, x0:x1]
        window = np.where((own == 0) | (own == n), contrast[y0:y1, x0:x1] - level * 0.4, 0.0).clip(min=0.0)
        peak = float(np.quantile(window[own == n], 0.7))
        window = np.minimum(window, peak)
        # As large as it is where it is half as strong as in its middle.
        area = float((window > peak / 2).sum()) / px_per_mm**2
        if not _AREA[0] * area_mm2 < area < _AREA[1] * area_mm2:
            continue
        y, x = np.mgrid[y0:y1, x0:x1]
        total = window.sum()
        middle = (float((window * x).sum() / total), float((window * y).sum() / total))
        core = smooth[y0:y1, x0:x1][window > 0.9 * peak].mean(axis=0)
        found.append(
            Blob(
                ((middle[0] + 0.5) / px_per_mm, (middle[1] + 0.5) / px_per_mm),
                area,
                (float(core[0]), float(core[1]), float(core[2])),
            )
        )
    return tuple(found)


def match_marks(expected_mm: Floats, blobs: Sequence[Blob], rgb: tuple[float, float, float], name: str) -> MarkFit:
    """The motion that brings most of a block's marks onto blobs.

    Parameters
    ----------
    expected_mm : (n, 2) where the marks should be.
    rgb : the colour they should have on the scan; of blobs equally near the likelier colour counts.

    Raises
    ------
    ScanError : fewer than three marks agree.
    """
    places = np.array([blob.place_mm for blob in blobs]).reshape(-1, 2)
    colours = np.array([blob.rgb for blob in blobs]).reshape(-1, 3)
    apart = np.hypot(*(places[None] - expected_mm[:, None]).transpose(2, 0, 1))
    strange = np.abs(colours - np.array(rgb)).max(axis=1)
    candidates = [sorted(np.flatnonzero(row < _REACH_MM), key=lambda n: float(strange[n]))[:3] for row in apart]
    best: tuple[int, float, list[tuple[int, int]]] = (0, 0.0, [])
    for one, other in combinations(range(len(expected_mm)), 2):
        if np.hypot(*(expected_mm[one] - expected_mm[other])) < 20:
            continue
        for first in candidates[one]:
            for second in candidates[other]:
                rough = _through(expected_mm[[one, other]], places[[first, second]])
                pairs = _agreeing(rough, expected_mm, places, 3 * _AGREE_MM)
                off = float(sum(strange[n] for _, n in pairs)) / max(len(pairs), 1)
                if (len(pairs), -off) > (best[0], best[1]):
                    best = (len(pairs), -off, pairs)
    pairs = best[2]
    if len(pairs) < _LEAST_MARKS:
        raise ScanError(
            tr(
                "{name}: only {pairs} of its {expected_mm} marks are found on the scan; they may be "
                "too pale or cut off. Read it by eye, or leave the marks out and read the picture.",
                name=name, pairs=len(pairs), expected_mm=len(expected_mm),
            )
        )  # fmt: skip
    for _ in range(3):
        own, seen = (np.array(index) for index in zip(*pairs, strict=True))
        fit = fit_marks(expected_mm[own], places[seen], SCAN_MARK_MM)
        closer = _agreeing(fit.motion, expected_mm, places, _AGREE_MM)
        if len(closer) < _LEAST_MARKS or closer == pairs:
            break
        pairs = closer
    return fit


def _through(expected: Floats, measured: Floats) -> Motion:
    """The shift and rotation that bring two marks onto two blobs."""
    p, q = expected[1] - expected[0], measured[1] - measured[0]
    turn = np.degrees(np.arctan2(p[0] * q[1] - p[1] * q[0], p @ q))
    centre, shift = expected.mean(axis=0), measured.mean(axis=0) - expected.mean(axis=0)
    return Motion((float(centre[0]), float(centre[1])), (float(shift[0]), float(shift[1])), float(turn))


def _agreeing(motion: Motion, expected: Floats, places: Floats, within_mm: float) -> list[tuple[int, int]]:
    """Marks and the blobs that lie where the motion puts them; stretch widens what is allowed."""
    apart = np.hypot(*(places[None] - motion.moved(expected)[:, None]).transpose(2, 0, 1))
    nearest = apart.argmin(axis=1)
    slack = 0.0 if motion.stretch is not None else 0.006 * np.hypot(*(expected - motion.centre_mm).T)
    good = apart[np.arange(len(expected)), nearest] < within_mm + slack
    return [(int(n), int(nearest[n])) for n in np.flatnonzero(good)]
