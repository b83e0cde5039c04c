"""Finding the drawn line: thin dark strokes that run through the picture, whatever their colour."""

from dataclasses import dataclass

import numpy as np

from nomos.base.strips import looked_up
from nomos.colour import Lab, as_lab
from nomos.design.page import Mask, Page, disc

# The widest stroke that is still a line, and the grain that is looked past, mm (chosen by us). A sketch may
# be printed larger than it was drawn: wider strokes are looked for where narrow ones are not the line.
WIDEST_MM = (1.9, 3.2, 5.0)
_GRAIN_MM = 0.5
# A stroke stands so far below what lies beside it, and is itself no lighter than this, L*.
_DEPTH = 16.0
_LIGHTEST = 42.0
# A coloured stroke may be lighter if it is one colour and runs all over the picture.
_LIGHTEST_COLOURED = 58.0
_FAINT_DEPTH = 5.0
# There is a drawn line where strokes cover this share of the page.
_LEAST_SHARE = 0.003
# A stroke is so many times longer than wide; a drawing in lines has so much line for its outline.
_SLENDER = 4.0
_LEAST_LENGTH = 0.3


@dataclass(frozen=True, eq=False)
class DrawnLine:
    """The strokes found and their colour.

    strokes : (height, width) pixels that are surely line.
    lab : its colour.
    faint : (height, width) thin strokes much lighter than the line: construction lines in pencil.
    """

    strokes: Mask
    lab: Lab | None
    faint: Mask


def find_line(lab: Page, px_per_mm: float, dark: Page | None = None) -> DrawnLine:
    """The drawn line of a page.

    Parameters
    ----------
    lab : (height, width, 3) float32 CIELAB, evened out.
    px_per_mm : its resolution.
    dark : (height, width) lightness of the darkest place in each pixel, where the page was shrunk: a line
        thinner than a pixel is grey on the page, and as dark as it is here.

    Returns
    -------
    DrawnLine; no strokes and no colour where the picture is not drawn in lines.

    Notes
    -----
    A black top-hat of lightness: what a closing with a disc of the widest
    stroke fills up. Flecks of paper between grains of crayon are opened away
    before, or the crayon between them would count as strokes. The margin is
    taken as paper, so that a frame along the edge is a line too.
    """
    lightness: Page = np.ascontiguousarray(lab[..., 0]) if dark is None else np.minimum(lab[..., 0], dark)
    none = np.zeros(lightness.shape, bool)
    faint = none
    for widest in WIDEST_MM:
        depth, own = _depth(lightness, widest, px_per_mm)
        strokes = (depth > _DEPTH) & (own < _LIGHTEST)
        if strokes.mean() < _LEAST_SHARE or not _runs_through(strokes, px_per_mm):
            strokes = _coloured(lab, depth, own, px_per_mm)
        if widest == WIDEST_MM[0]:
            faint = _faint(depth, own, strokes, px_per_mm)
        if strokes.mean() >= _LEAST_SHARE:
            thick = strokes & (lab[..., 0] < np.percentile(lab[strokes][:, 0], 60))
            middle = np.median(lab[thick if thick.any() else strokes], axis=0)
            return DrawnLine(strokes, as_lab(middle), faint)
    return DrawnLine(none, None, faint)


def _depth(lightness: Page, widest_mm: float, px_per_mm: float) -> tuple[Page, Page]:
    """How far each pixel lies below what is beside a stroke, and its own lightness."""
    import cv2

    pad = int(np.ceil(0.65 * widest_mm * px_per_mm)) + 1
    page = cv2.copyMakeBorder(lightness, pad, pad, pad, pad, cv2.BORDER_CONSTANT, value=96.0)
    page = cv2.GaussianBlur(page, (0, 0), 0.7)
    opened = cv2.morphologyEx(page, cv2.MORPH_OPEN, disc(_GRAIN_MM / 2 * px_per_mm))
    closed = cv2.morphologyEx(opened, cv2.MORPH_CLOSE, disc(widest_mm / 2 * px_per_mm))
    inside = slice(pad, -pad), slice(pad, -pad)
    return np.asarray((closed - opened)[inside], np.float32), np.asarray(page[inside], np.float32)


def _runs_through(strokes: Mask, px_per_mm: float) -> bool:
    """Whether the strokes are slender and go some way over the page: no grain, no specks, no few blades."""
    import cv2

    slender = _slender(strokes, px_per_mm, 3.0)
    page = slender.view(np.uint8)
    # Half the pixels along the sides of a stroke are its length, whatever its width.
    sides = np.count_nonzero(slender) - np.count_nonzero(cv2.erode(page, np.ones((3, 3), np.uint8)))
    outline = 2 * (strokes.shape[0] + strokes.shape[1])
    return bool(np.count_nonzero(slender) > 0.4 * np.count_nonzero(strokes) and sides / 2 > _LEAST_LENGTH * outline)


def _slender(strokes: Mask, px_per_mm: float, least_mm: float) -> Mask:
    """The connected strokes that are longer than wide, and at least so long."""
    import cv2

    _, labels, stats, _ = cv2.connectedComponentsWithStats(strokes.view(np.uint8), connectivity=8)
    long = np.hypot(stats[:, cv2.CC_STAT_WIDTH], stats[:, cv2.CC_STAT_HEIGHT])
    wide = stats[:, cv2.CC_STAT_AREA] / np.maximum(long, 1)
    # A network of lines is one component whose area says nothing of its width; it is long enough.
    keep = (long > least_mm * px_per_mm) & ((long > _SLENDER * wide) | (long > 20 * px_per_mm))
    keep[0] = False
    return looked_up(keep, np.asarray(labels, np.int32))


def _coloured(lab: Page, depth: Page, own: Page, px_per_mm: float) -> Mask:
    """Strokes lighter than a black line that share one colour and run through the picture."""
    strokes = _slender((depth > _DEPTH) & (own < _LIGHTEST_COLOURED), px_per_mm, 6.0)
    if strokes.mean() < _LEAST_SHARE:
        return np.zeros(strokes.shape, bool)
    middle = np.median(lab[strokes], axis=0)
    alike = np.linalg.norm(lab - middle, axis=-1) < 22
    if np.count_nonzero(strokes & alike) < 0.7 * np.count_nonzero(strokes):
        return np.zeros(strokes.shape, bool)
    rows, columns = np.nonzero(strokes & alike)
    reach = np.ptp(rows) / strokes.shape[0], np.ptp(columns) / strokes.shape[1]
    return strokes & alike if min(reach) > 0.4 else np.zeros(strokes.shape, bool)


def _faint(depth: Page, own: Page, strokes: Mask, px_per_mm: float) -> Mask:
    """Thin strokes too light for the line, well away from it."""
    import cv2

    beside = cv2.dilate(strokes.view(np.uint8), disc(0.8 * px_per_mm)) > 0
    light = (depth > _FAINT_DEPTH) & (own > _LIGHTEST) & ~beside
    return _slender(light, px_per_mm, 8.0)
