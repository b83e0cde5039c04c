"""Where a sheet lies in a picture of a proof: by its edges or by what is printed; how far it is printed."""

from collections.abc import Callable, Sequence
from functools import partial

import numpy as np
from msgspec.structs import replace as replaced
from numpy.typing import NDArray

from nomos.base.language import tr
from nomos.base.progress import Progress
from nomos.colour.cielab import LINEAR_OF_SRGB
from nomos.design.corners import LIKELY, fills, find_sheet, whole
from nomos.project.model import Project
from nomos.project.register.scan import printed_sheet, still
from nomos.project.register.system import sheet_of
from nomos.project.sheet.masks import CutBlocks
from nomos.registration.alignment import Aligned, aligned
from nomos.registration.scan_marks import ScanError
from nomos.registration.warp import Warp

Picture = NDArray[np.uint8]
Image = NDArray[np.float32]
Corners = NDArray[np.float64]

# Shapes this far from the sheet's, as a logarithm, are not tried; a print is found, fairly and well, where so
# much of its contrast is seen. Edges are seen along so much of each side. Chosen by us.
_PROPORTION, _LEAST_EXPLAINED, _FAIRLY, _WELL, _SEEN = 0.25, 0.5, 0.8, 0.93, 0.6
# Features: the picture's longer side in pixels, how much better a match is than the next, how many at least.
_FEATURES_PX, _ALIKE, _LEAST_ALIKE = 1200, 0.85, 12


def corners_of(picture: Picture) -> tuple[Corners, bool]:
    """Where the sheet's corners may lie, (4, 2) pixels, and whether all its edges are seen.

    Parameters
    ----------
    picture : (height, width, 3) uint8 sRGB.
    """
    if fills(picture):
        return whole(picture), False
    sheet = find_sheet(picture)
    return sheet.corners, sheet.sure >= LIKELY and min(sheet.seen) > _SEEN


def place_print(
    project: Project, blocks: CutBlocks, picture: Image, corners: Corners, progress: Progress
) -> tuple[Warp, int]:
    """Where the sheet lies, whichever way up, and how many pulls are printed on it.

    Parameters
    ----------
    picture : (height, width, 3) float32 linear light.
    corners : (4, 2) where the sheet's corners may lie, pixels.

    Raises
    ------
    ScanError : no such print is seen.
    """
    size, sheet = (picture.shape[1], picture.shape[0]), sheet_of(project)
    pulls = len(project.impressions)
    starts = [Warp.flat(np.roll(corners, -turn, axis=0), sheet, size) for turn in range(4)]
    starts = [each for each in starts if abs(np.log(np.divide(*each.px_per_mm()))) < _PROPORTION]
    best: Aligned | None = None
    printed = pulls
    for number in range(pulls, 0, -1):
        said = partial(progress.report, (pulls - number) / pulls, tr("looking for the print"))
        said()
        page = _printed(project, blocks, number)
        said()
        best, printed = _best(picture, page, starts, best, (printed, number), said)
        if number == pulls and (best is None or best.explained <= _WELL):
            # Its edges do not show where it lies; what is printed may.
            said()
            guess = _by_features(picture, page)
            starts += [] if guess is None else [Warp.flat(guess, sheet, size)]
            best, printed = _best(picture, page, starts[-1:], best, (printed, number), said)
        if best is None or best.explained < _FAIRLY:
            continue
        # Once fewer pulls explain less than the best does, still fewer do not explain more.
        well = best.explained > _WELL
        if printed - number >= (1 if well else 2):
            break
        # It is this way up; whether the last pulls are missing is still looked at.
        starts = [best.warp] if well else starts
    if best is None or best.explained < _LEAST_EXPLAINED:
        raise ScanError(
            tr(
                "This print is not found in the picture: photograph the whole sheet from above on a plain "
                "ground, or open the project that it belongs to."
            )
        )
    return best.warp, printed


def _best(
    picture: Image, page: Image, starts: Sequence[Warp], best: Aligned | None, printed: tuple[int, int],
    said: Callable[[], None],
) -> tuple[Aligned | None, int]:  # fmt: skip
    """The best of what was tried before and of a page laid from some starts; with how many pulls each."""
    before, number = printed
    for start in starts:
        tried = aligned(picture, shrunk(page, 1.0, 0.5), start, 0.5, 4, fine=False, said=said)
        tried = aligned(picture, page, tried.warp, 1.0, 4, said=said)
        if best is None or tried.cost < best.cost:
            best, before = tried, number
    return best, before


def _by_features(picture: Image, printed: Image) -> Corners | None:
    """Where the sheet's corners may lie by what is alike in picture and print, which has 1 pixel a mm.

    SIFT (Lowe 2004), its matches sorted by MAGSAC++ (Barath and others 2020), both OpenCV's.
    """
    import cv2

    shrink = min(1.0, _FEATURES_PX / max(picture.shape[:2]))
    size = round(picture.shape[1] * shrink), round(picture.shape[0] * shrink)
    small = cv2.resize(picture, size, interpolation=cv2.INTER_AREA)
    grow = _FEATURES_PX / 2 / max(printed.shape[:2])
    page = cv2.resize(printed, None, fx=grow, fy=grow, interpolation=cv2.INTER_CUBIC)
    sift = cv2.SIFT.create(4000)
    (seen, one), (own, other) = (
        sift.detectAndCompute(np.rint(255 * np.sqrt(np.clip(each, 0, 1)).mean(axis=2)).astype(np.uint8), None)
        for each in (small, page)
    )
    if one is None or other is None or len(other) < 2:
        return None
    pairs = [pair for pair in cv2.BFMatcher().knnMatch(one, other, k=2) if len(pair) == 2]
    good = [first for first, second in pairs if first.distance < _ALIKE * second.distance]
    if len(good) < _LEAST_ALIKE:
        return None
    of = np.array([own[each.trainIdx].pt for each in good]) / grow
    to = np.array([seen[each.queryIdx].pt for each in good]) / shrink
    matrix, held = cv2.findHomography(of, to, cv2.USAC_MAGSAC, 4.0 / shrink)
    if matrix is None or int(held.sum()) < _LEAST_ALIKE:
        return None
    width, height = printed.shape[1], printed.shape[0]
    sheet = np.array([[(0, 0), (width, 0), (width, height), (0, height)]], np.float64)
    return np.asarray(cv2.perspectiveTransform(sheet, matrix)[0], np.float64)


def _printed(project: Project, blocks: CutBlocks, pulls: int) -> Image:
    """The sheet after so many pulls as it is predicted, linear light at 1 pixel a mm."""
    here = replaced(project, impressions=project.impressions[:pulls])
    return shrunk(light_of(printed_sheet(here, blocks, still(here), 4.0)), 4.0, 1.0)


def light_of(picture: Picture) -> Image:
    """Linear light of sRGB pixels. (height, width, 3) uint8 to float32."""
    return LINEAR_OF_SRGB.astype(np.float32)[picture]


def shrunk(page: Image, px_per_mm: float, scale: float) -> Image:
    """A page of a resolution in pixels a mm at another, by areas. (rows, columns, 3)."""
    import cv2

    size = round(page.shape[1] * scale / px_per_mm), round(page.shape[0] * scale / px_per_mm)
    return np.asarray(cv2.resize(page, size, interpolation=cv2.INTER_AREA), np.float32)
