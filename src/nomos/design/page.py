"""What the steps of reading a sketch share: a page in CIELAB, discs, and looking past what is masked."""

import numpy as np
from numpy.typing import NDArray

from nomos.colour.cielab import LINEAR_OF_SRGB, SRGB_TO_XYZ
from nomos.colour.spectra import WHITE_XYZ

Rgb = NDArray[np.uint8]
Page = NDArray[np.float32]
Mask = NDArray[np.bool_]

# Differences in lightness come from shade and pressure sooner than differences in hue do, so they
# weigh less when colours are told apart in a sketch (chosen by us, measured in benchmarks/).
WEIGHTS = np.array([0.7, 1.2, 1.2], np.float32)
_STRIP = 128


_DECODED = LINEAR_OF_SRGB.astype(np.float32)


def lab_page(rgb: Rgb) -> Page:
    """CIELAB of a page. (h, w, 3) uint8 sRGB to (h, w, 3) float32.

    The same as `srgb_to_lab` within 0.01, in single precision and several times as fast.

    Parameters
    ----------
    rgb : (height, width, 3) uint8 sRGB.

    Returns
    -------
    (height, width, 3) float32, CIELAB D50.
    """
    import cv2

    matrix = (SRGB_TO_XYZ / WHITE_XYZ[:, None]).astype(np.float32)
    lab = np.empty(rgb.shape, np.float32)
    for top in range(0, len(rgb), _STRIP):
        t = cv2.transform(cv2.LUT(rgb[top : top + _STRIP], _DECODED), matrix)
        # CIE 15: the cube root, and a straight line below (6/29)^3.
        dark = t < np.float32((6 / 29) ** 3)
        f = cv2.pow(np.maximum(t, 0), 1 / 3)
        f[dark] = t[dark] / np.float32(3 * (6 / 29) ** 2) + np.float32(4 / 29)
        x, y, z = cv2.split(f)
        cv2.merge([116 * y - 16, 500 * (x - y), 200 * (y - z)], lab[top : top + _STRIP])
    return lab


def disc(radius_px: float) -> NDArray[np.uint8]:
    """A round structuring element.

    Parameters
    ----------
    radius_px : 0 or more.

    Returns
    -------
    (2 r + 1, 2 r + 1) uint8.
    """
    reach = int(np.ceil(radius_px))
    y, x = np.mgrid[-reach : reach + 1, -reach : reach + 1]
    return np.asarray(x * x + y * y <= radius_px**2 + 0.3).astype(np.uint8)


def odd(pixels: float) -> int:
    """The odd number of pixels next to a length, for a window with a middle."""
    return max(1, round(pixels)) | 1


def grown(mask: Mask, by_px: float) -> Mask:
    """A mask widened all round.

    Parameters
    ----------
    mask : (height, width).
    by_px : how far.

    Returns
    -------
    (height, width) bool.
    """
    import cv2

    return np.asarray(cv2.dilate(mask.view(np.uint8), disc(by_px)) > 0)


def looking_past(page: Page, mask: Mask) -> Page:
    """A page where masked pixels have the colour of the nearest that is not. (h, w, 3).

    Parameters
    ----------
    page : (height, width, 3).
    mask : (height, width), true where the page is not looked at.

    Returns
    -------
    (height, width, 3), the same type.
    """
    import cv2

    if not mask.any() or mask.all():
        return page
    _, nearest = cv2.distanceTransformWithLabels(
        mask.view(np.uint8), cv2.DIST_L2, cv2.DIST_MASK_5, labelType=cv2.DIST_LABEL_PIXEL
    )
    source = np.zeros(int(nearest.max()) + 1, np.int64)
    source[nearest[~mask]] = np.flatnonzero(~mask.ravel())
    flat = page.reshape(-1, page.shape[-1])
    return np.asarray(flat[source[nearest].ravel()].reshape(page.shape))


def steepness(lab: Page) -> Page:
    """How much a page changes from pixel to pixel, the steepest of its channels, Lab units a pixel.

    Parameters
    ----------
    lab : (height, width, 3).

    Returns
    -------
    (height, width) float32.
    """
    import cv2

    steepest = np.zeros(lab.shape[:2], np.float32)
    for channel in cv2.split(lab):
        across = cv2.Sobel(channel, cv2.CV_32F, 1, 0, scale=1 / 4)
        down = cv2.Sobel(channel, cv2.CV_32F, 0, 1, scale=1 / 4)
        np.maximum(steepest, cv2.magnitude(across, down), out=steepest)
    return steepest


def filled(shape: tuple[int, ...], points: NDArray[np.floating]) -> Mask:
    """Where a page lies within a polygon.

    Parameters
    ----------
    shape : height and width of the page.
    points : (n, 2) its corners, pixels.

    Returns
    -------
    (height, width) bool.
    """
    import cv2

    mask = np.zeros(shape[:2], np.uint8)
    cv2.fillPoly(mask, [np.rint(np.clip(points, -1e6, 1e6) * 16).astype(np.int32)], 1, cv2.LINE_8, 4)
    return np.asarray(mask > 0)
