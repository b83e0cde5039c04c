"""A scan of a proof: where the sheet lies on it, to a fraction of a pixel, and the sheet taken out of it."""

from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from nomos.base.errors import BadInput
from nomos.base.language import tr

Picture = NDArray[np.uint8]
Floats = NDArray[np.float64]

# An edge is found on so many lines across each side, and must be seen on this share of them; lines that lie
# farther from the straight edge than this are deckle or dirt. Chosen by us.
_LINES, _LEAST_SHARE, _DECKLE_PX = 160, 0.5, 2.5
_REACH_MM = 2.5
_LEAST_PX_PER_MM = 3.0
# Sides whose proportion is farther from the sheet's than this are not the sheet.
_PROPORTION = 0.04


class ScanError(BadInput):
    """A scan that cannot be measured, saying why and what to do."""


@dataclass(frozen=True, eq=False)
class FoundSheet:
    """Where a sheet lies on a scan.

    corners_px : (4, 2) upper left, upper right, lower right, lower left; x, y in pixels.
    turned_deg : how the sheet lies, from x towards y.
    px_per_mm : along the sheet's width and height.
    """

    corners_px: Floats
    sheet_mm: tuple[float, float]

    @property
    def turned_deg(self) -> float:
        """How the sheet's upper edge lies on the scan."""
        along = self.corners_px[1] - self.corners_px[0]
        return float(np.degrees(np.arctan2(along[1], along[0])))

    @property
    def px_per_mm(self) -> tuple[float, float]:
        """Along the width and the height."""
        a, b, c, d = self.corners_px
        wide = (np.hypot(*(b - a)) + np.hypot(*(c - d))) / 2
        tall = (np.hypot(*(d - a)) + np.hypot(*(c - b))) / 2
        return float(wide / self.sheet_mm[0]), float(tall / self.sheet_mm[1])


def find_sheet(scan: Picture, sheet_mm: tuple[float, float]) -> FoundSheet:
    """The sheet's four edges on a scan that shows all of it on a ground darker or brighter than its margin.

    Raises
    ------
    ScanError : an edge cannot be seen, or the sheet is of another shape.
    """
    import cv2

    grey = np.asarray(cv2.cvtColor(scan, cv2.COLOR_RGB2GRAY), np.uint8)
    rough = _rough_corners(grey, sheet_mm)
    px_per_mm = float(np.hypot(*(rough[1] - rough[0]))) / sheet_mm[0]
    if px_per_mm < _LEAST_PX_PER_MM:
        raise ScanError(
            tr(
                "The sheet is only {px_per_mm:.0f} pixels an inch on this scan: scan it at 150 or more.",
                px_per_mm=px_per_mm * 25.4,
            )
        )
    smooth = cv2.GaussianBlur(grey, (0, 0), 1.0).astype(np.float64)
    edges = [_edge(smooth, rough[n], rough[(n + 1) % 4], px_per_mm) for n in range(4)]
    corners = np.array([_crossing(edges[n - 1], edges[n]) for n in range(4)])
    wide = (np.hypot(*(corners[1] - corners[0])) + np.hypot(*(corners[2] - corners[3]))) / 2
    tall = (np.hypot(*(corners[3] - corners[0])) + np.hypot(*(corners[2] - corners[1]))) / 2
    if abs(wide / tall / (sheet_mm[0] / sheet_mm[1]) - 1) > _PROPORTION:
        raise ScanError(
            tr(
                "What lies on the scan is {wide:.2f} times as wide as high, and the project's sheet "
                "is {sheet_mm:.2f}: scan the whole sheet, upright, or set the sheet's size.",
                wide=wide / tall,
                sheet_mm=sheet_mm[0] / sheet_mm[1],
            )
        )
    return FoundSheet(corners, sheet_mm)


def _rough_corners(grey: Picture, sheet_mm: tuple[float, float]) -> Floats:
    """The corners of what differs from the ground along the scan's border, from the upper left."""
    import cv2

    step = max(1, round(max(grey.shape) / 900))
    small = cv2.resize(grey, None, fx=1 / step, fy=1 / step, interpolation=cv2.INTER_AREA)
    small = cv2.medianBlur(np.asarray(small, np.uint8), 5)
    sides = small[:3], small[-3:], small[:, :3], small[:, -3:]
    frame = np.concatenate([side.ravel() for side in sides])
    ground = float(np.median(frame))
    apart = np.abs(small.astype(np.float64) - ground)
    if np.quantile(np.abs(frame - ground), 0.9) > 40:
        raise ScanError(
            tr(
                "The sheet's edges run off this scan: lay it so that the ground shows all round and "
                "scan again."
            )
        )
    sheet = cv2.morphologyEx((apart > 18).astype(np.uint8), cv2.MORPH_CLOSE, np.ones((9, 9), np.uint8))
    contours, _ = cv2.findContours(sheet, cv2.RETR_EXTERNAL, cv2.CHAIN_APPROX_NONE)
    if not contours or max(map(cv2.contourArea, contours)) < 0.2 * sheet.size:
        raise ScanError(
            tr(
                "No sheet is seen on this scan: lay it on a ground darker than the paper, all four "
                "edges showing."
            )
        )
    box = cv2.boxPoints(cv2.minAreaRect(max(contours, key=cv2.contourArea))) * step
    middle = box.mean(axis=0)
    order = np.argsort(np.arctan2(*(box - middle).T[::-1]))
    box = box[order]
    start = int(np.argmin(box.sum(axis=1)))
    box = np.roll(box, -start, axis=0)
    wide, tall = np.hypot(*(box[1] - box[0])), np.hypot(*(box[2] - box[1]))
    if (wide > tall) != (sheet_mm[0] > sheet_mm[1]) and abs(sheet_mm[0] / sheet_mm[1] - 1) > 0.05:
        raise ScanError(tr("The sheet lies on its side on this scan: turn the scan upright."))
    return np.asarray(box, np.float64)


def _edge(smooth: Floats, start: Floats, end: Floats, px_per_mm: float) -> tuple[Floats, Floats]:
    """A point of an edge and its direction, from where grey changes most on lines across it."""
    from scipy.ndimage import map_coordinates

    along = (end - start) / np.hypot(*(end - start))
    across = np.array([-along[1], along[0]])
    reach = _REACH_MM * px_per_mm
    steps = np.arange(-reach, reach + 0.25, 0.5)
    shares = np.linspace(0.04, 0.96, _LINES)
    at = start + shares[:, None] * (end - start)
    x = at[:, :1] + across[0] * steps
    y = at[:, 1:] + across[1] * steps
    seen = map_coordinates(smooth, [y, x], order=1, mode="nearest")
    slope = np.abs(np.gradient(seen, axis=1))
    peak = slope.argmax(axis=1)
    rows = np.arange(len(slope))
    good = slope[rows, peak] > 3.0
    if good.mean() < _LEAST_SHARE:
        raise ScanError(
            tr("An edge of the sheet cannot be told from the ground on this scan: lay it on darker board.")
        )
    # The middle of the change, weighted by how steep it is near its peak.
    near = np.abs(np.arange(len(steps))[None] - peak[:, None]) <= 6
    weight = slope * near
    offset = (weight * steps).sum(axis=1) / np.maximum(weight.sum(axis=1), 1e-9)
    where, off = shares[good], offset[good]
    keep = np.ones(len(off), bool)
    line = np.array([0.0, float(np.median(off))])
    for _ in range(6):
        line = np.polyfit(where[keep], off[keep], 1)
        away = np.abs(off - np.polyval(line, where))
        keep = away < max(_DECKLE_PX, 2.5 * float(np.median(away)))
    first = start + across * np.polyval(line, 0.0)
    last = end + across * np.polyval(line, 1.0)
    return first, last - first


def _crossing(one: tuple[Floats, Floats], other: tuple[Floats, Floats]) -> Floats:
    (p, u), (q, v) = one, other
    share = np.linalg.solve(np.column_stack([u, -v]), q - p)[0]
    return np.asarray(p + share * u)


def sheet_to_scan(found: FoundSheet) -> Floats:
    """(2, 3): the affine map from mm on the sheet to pixels of the scan, least squares over the corners.

    Parameters
    ----------
    found : edges of the sheet on the scan.

    Returns
    -------
    (2, 3): pixels of mm.
    """
    width, height = found.sheet_mm
    own = np.array([[0, 0, 1], [width, 0, 1], [width, height, 1], [0, height, 1]])
    return np.asarray(np.linalg.lstsq(own, found.corners_px, rcond=None)[0].T)


def taken_out(
    scan: Picture, found: FoundSheet, px_per_mm: float, area: tuple[float, float, float, float]
) -> Picture:
    """A part of the sheet, straight and to scale.

    Parameters
    ----------
    scan : (height, width, 3) uint8.
    found : where the sheet lies in it.
    area : left, top, right, bottom in mm on the sheet.

    Returns
    -------
    (rows, columns, 3) uint8 at px_per_mm.
    """
    import cv2

    left, top, right, bottom = area
    to_scan = sheet_to_scan(found)
    # A pixel's middle lies half a pixel in; on the scan the corners count from pixels' middles already.
    own = np.array(
        [[1 / px_per_mm, 0, left + 0.5 / px_per_mm], [0, 1 / px_per_mm, top + 0.5 / px_per_mm], [0, 0, 1]]
    )
    matrix = to_scan @ own
    size = round((right - left) * px_per_mm), round((bottom - top) * px_per_mm)
    shrink = px_per_mm / min(found.px_per_mm)
    if shrink < 0.7:
        scan = np.asarray(cv2.GaussianBlur(scan, (0, 0), 0.5 / shrink), np.uint8)
    flags = cv2.INTER_LINEAR | cv2.WARP_INVERSE_MAP
    return np.asarray(
        cv2.warpAffine(scan, matrix, size, flags=flags, borderMode=cv2.BORDER_REPLICATE), np.uint8
    )
