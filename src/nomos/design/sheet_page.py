"""A sheet in a photograph, straightened to a small page: the ground around it, and where it is drawn on."""

from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from nomos.colour import Lab
from nomos.design.light import measure_light
from nomos.design.page import Mask, Page, Rgb, lab_page
from nomos.design.sides import Points

# The sheet is looked at in this many pixels along its longer side, with so much ground around it.
_SIDE, _ROOM = 1100, 0.06
# Ink is what differs from the paper by this much in Lab, over a few pixels.
_INK = 9.0
# The rim of the sheet is left out: its edge is never cut exactly. Shares of the longer side.
_RIM = 0.012


@dataclass(frozen=True, eq=False)
class SheetPage:
    """A sheet straightened.

    around : (h, w, 3) CIELAB as photographed, with `room` pixels of ground on every side.
    seen : (h, w) what of that lies within the picture.
    lab, ink : (height, width) the sheet alone, its light evened out, and where it is drawn on.
    paper : CIELAB of the bare sheet. size : width and height of the picture, pixels.
    """

    around: Page
    seen: Mask
    room: int
    lab: Page
    ink: Mask
    paper: Lab
    size: tuple[int, int]
    matrix: NDArray[np.float64]

    def on_page(self, shares: Points) -> Points:
        """Places in shares of the picture, in pixels of the sheet. (n, 2)."""
        return moved(shares * np.array(self.size), self.matrix)

    def in_picture(self, points: Points) -> Points:
        """Places in pixels of the sheet, in shares of the picture. (n, 2)."""
        return moved(points, np.linalg.inv(self.matrix)) / np.array(self.size)


def warp_matrix(corners: Points, size: tuple[float, float]) -> NDArray[np.float64]:
    """The perspective that takes corners in a picture to a page of a width and height.

    Parameters
    ----------
    corners : shares of width and height.
    size : width and height of the page, pixels.

    Returns
    -------
    (3, 3) homography.
    """
    import cv2

    width, height = size
    page = np.array([(0, 0), (width, 0), (width, height), (0, height)], np.float32)
    return np.asarray(cv2.getPerspectiveTransform(corners.astype(np.float32), page), np.float64)


def moved(points: Points, matrix: NDArray[np.floating]) -> Points:
    """Points through a perspective. (n, 2).

    Parameters
    ----------
    points : (n, 2).
    matrix : (3, 3) homography.

    Returns
    -------
    (n, 2).
    """
    full = np.hstack([points, np.ones((len(points), 1))]) @ matrix.T
    return np.asarray(full[:, :2] / full[:, 2:])


def sheet_page(rgb: Rgb, sheet: Points) -> SheetPage:
    """The page of a sheet.

    Parameters
    ----------
    rgb : the photograph. sheet : (4, 2) its sheet's corners, pixels.
    """
    import cv2

    across = float(np.mean([np.hypot(*(sheet[1] - sheet[0])), np.hypot(*(sheet[2] - sheet[3]))]))
    down = float(np.mean([np.hypot(*(sheet[3] - sheet[0])), np.hypot(*(sheet[2] - sheet[1]))]))
    scale = _SIDE / max(across, down)
    width, height = max(32, round(across * scale)), max(32, round(down * scale))
    matrix = warp_matrix(sheet, (width, height))
    room = round(_ROOM * max(width, height))
    # Pixel centres lie half a pixel in from the corners of the page.
    half = np.array([[1, 0, -0.5], [0, 1, -0.5], [0, 0, 1]])
    shift = np.array([[1, 0, room], [0, 1, room], [0, 0, 1.0]])
    to = half @ shift @ matrix @ np.linalg.inv(half)
    size = width + 2 * room, height + 2 * room
    page = np.asarray(
        cv2.warpPerspective(rgb, to, size, flags=cv2.INTER_AREA, borderMode=cv2.BORDER_REPLICATE), np.uint8
    )
    seen = cv2.warpPerspective(np.ones(rgb.shape[:2], np.uint8), to, size, flags=cv2.INTER_NEAREST)
    inner = np.ascontiguousarray(page[room : room + height, room : room + width])
    lab, ink, paper = _drawn_on(inner)
    around = np.asarray(cv2.GaussianBlur(lab_page(page), (0, 0), 1.5), np.float32)
    return SheetPage(around, np.asarray(seen > 0), room, lab, ink, paper, (rgb.shape[1], rgb.shape[0]), matrix)


def _drawn_on(page: Rgb) -> tuple[Page, Mask, Lab]:
    """A sheet with its light evened out, where it is drawn on (no specks), and its paper."""
    import cv2

    # The rim of a whole sheet is paper, whatever its colour.
    light = measure_light(page, margin=True)
    even = light.applied(page)
    lab = np.asarray(cv2.GaussianBlur(lab_page(even), (0, 0), 0.8), np.float32)
    height, width = lab.shape[:2]
    rim = max(2, round(_RIM * max(height, width)))
    if light.paper is not None:
        paper = np.array(light.paper, np.float32)
    else:
        edge = np.concatenate([lab[rim], lab[-rim - 1], lab[:, rim], lab[:, -rim - 1]])
        paper = np.median(edge, axis=0)
    ink = np.linalg.norm(lab - paper, axis=-1) > _INK
    ink[:rim], ink[-rim:], ink[:, :rim], ink[:, -rim:] = False, False, False, False
    small = cv2.morphologyEx(ink.view(np.uint8), cv2.MORPH_CLOSE, np.ones((5, 5), np.uint8))
    _, labels, stats, _ = cv2.connectedComponentsWithStats(small, connectivity=8)
    reach = np.maximum(stats[:, cv2.CC_STAT_WIDTH], stats[:, cv2.CC_STAT_HEIGHT])
    keep = (stats[:, cv2.CC_STAT_AREA] > 25) & (reach > 0.008 * max(height, width))
    keep[0] = False
    light_, a, b = (float(value) for value in paper)
    return lab, np.asarray(ink & keep[labels]), (light_, a, b)
