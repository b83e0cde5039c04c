"""From combinations to colours, and from colours to a page of pixels."""

from collections.abc import Sequence
from typing import TypeVar, cast, overload

import numpy as np
from numpy.typing import NDArray

from nomos.colour import lab_to_srgb
from nomos.proof.combinations import Index

# A page of a picture's own pixels: red, green and blue as one item of three bytes, so that it has two sides
# as every page of numbers.
Pixels = NDArray[np.void]

_STRIP_PIXELS = 1 << 17


def render(index: Index, labs: NDArray[np.float64], out: NDArray[np.uint32] | None = None) -> NDArray[np.uint32]:
    """A page of pixels, 0xffRRGGBB each, looked up from its combinations.

    Parameters
    ----------
    index : (height, width) row of `labs` at each pixel.
    labs : (combinations, 3) CIELAB.
    out : (height, width) uint32 to write into, saving the allocation.

    Notes
    -----
    One table look-up per pixel; no colour is computed here. Done strip by strip:
    np.take widens its indices to 64 bits, and those of a whole page do not stay
    in the processor's cache (28 ms against 80 on 17 million pixels).
    """
    table = _packed(lab_to_srgb(labs))
    page = np.empty(index.shape, np.uint32) if out is None else out
    rows = max(1, _STRIP_PIXELS // max(index.shape[1], 1))
    for top in range(0, len(index), rows):
        np.take(table, index[top : top + rows], out=page[top : top + rows], mode="clip")
    return page


def _packed(rgb: NDArray[np.uint8]) -> NDArray[np.uint32]:
    wide = rgb.astype(np.uint32)
    return np.uint32(0xFF000000) | wide[:, 0] << np.uint32(16) | wide[:, 1] << np.uint32(8) | wide[:, 2]


def to_rgb(pixels: NDArray[np.uint32]) -> NDArray[np.uint8]:
    """Pixels as separate channels.

    Parameters
    ----------
    pixels : (height, width) uint32, 0xffRRGGBB.

    Returns
    -------
    (height, width, 3) uint8 R, G, B.
    """
    import cv2

    return np.asarray(cv2.cvtColor(pixels.view(np.uint8).reshape(*pixels.shape, 4), cv2.COLOR_BGRA2RGB), np.uint8)


def from_rgb(rgb: NDArray[np.uint8]) -> NDArray[np.uint32]:
    """Channels as pixels. (height, width, 3) uint8 to (height, width) 0xffRRGGBB.

    Parameters
    ----------
    rgb : (height, width, 3) uint8.

    Returns
    -------
    (height, width) uint32 0xffRRGGBB.
    """
    import cv2

    # Blue, green, red, alpha in memory are 0xAARRGGBB on every machine that Nomos runs on.
    return cv2.cvtColor(np.ascontiguousarray(rgb), cv2.COLOR_RGB2BGRA).view(np.uint32)[..., 0]


def page_of_pixels(rgb: NDArray[np.uint8]) -> Pixels:
    """A picture as a page: the same bytes. (height, width, 3) uint8 to (height, width).

    Parameters
    ----------
    rgb : (height, width, 3) uint8.

    Returns
    -------
    (height, width) page of pixels, sharing the memory.
    """
    page: Pixels = np.ascontiguousarray(rgb).view("V3")[..., 0]
    return page


def pixels_of(page: Pixels) -> NDArray[np.uint8]:
    """A picture's page, or a part of one, as (height, width, 3) uint8.

    Parameters
    ----------
    page : (height, width).

    Returns
    -------
    (height, width, 3) uint8, sharing the memory.
    """
    return np.ascontiguousarray(page).view(np.uint8).reshape(*page.shape, 3)


Page = TypeVar("Page", Index, Pixels)


def mips(index: Page) -> tuple[Page, ...]:
    """The page at full, half, quarter ... size, every second number kept each time.

    Parameters
    ----------
    index : (height, width) of numbers, or of a picture's pixels.

    Returns
    -------
    Views of it, the full one first.
    """
    levels: list[Page] = [index]
    while min(levels[-1].shape) >= 128:
        levels.append(levels[-1][::2, ::2].copy())
    return tuple(levels)


@overload
def render_view(
    levels: Sequence[Index], labs: NDArray[np.float64], window: tuple[float, float, float, float], size: tuple[int, int]
) -> NDArray[np.uint32]: ...
@overload
def render_view(
    levels: Sequence[Pixels], labs: None, window: tuple[float, float, float, float], size: tuple[int, int]
) -> NDArray[np.uint32]: ...
def render_view(
    levels: Sequence[Index] | Sequence[Pixels], labs: NDArray[np.float64] | None,
    window: tuple[float, float, float, float], size: tuple[int, int],
) -> NDArray[np.uint32]:  # fmt: skip
    """Part of a page, shrunk or enlarged to a view.

    Parameters
    ----------
    levels : the page from `mips`, of combinations or, without `labs`, of a picture's pixels.
    labs : (combinations, 3) CIELAB.
    window : left, top, right, bottom in pixels of the full page; inside it.
    size : width and height of the view.

    Notes
    -----
    Colours are looked up at about twice the wanted size and then averaged by
    area: shrinking the numbers themselves would lose fine lines, and averaging
    them has no meaning. The cost follows the view, not the page.
    """
    import cv2

    left, top, right, bottom = window
    shrink = min((right - left) / size[0], (bottom - top) / size[1])
    level = min(max(0, int(np.floor(np.log2(max(shrink / 1.4, 1))))), len(levels) - 1)
    scale = 2**level
    page = levels[level]
    x0, y0 = int(left // scale), int(top // scale)
    x1, y1 = max(x0 + 1, int(np.ceil(right / scale))), max(y0 + 1, int(np.ceil(bottom / scale)))
    cut = page[y0:y1, x0:x1]
    part = from_rgb(pixels_of(cast(Pixels, cut))) if labs is None else render(cast(Index, cut), labs)
    channels = part.view(np.uint8).reshape(*part.shape, 4)
    # The window in the part's own pixels, so that a view does not jump by a pixel of the page.
    fx, fy = (right - left) / scale / size[0], (bottom - top) / scale / size[1]
    if fx > 1:
        view = cv2.resize(channels, size, interpolation=cv2.INTER_AREA)
    else:
        matrix = np.array([[fx, 0, left / scale - x0 - 0.5 + fx / 2], [0, fy, top / scale - y0 - 0.5 + fy / 2]])
        flags = cv2.INTER_NEAREST | cv2.WARP_INVERSE_MAP
        view = cv2.warpAffine(channels, matrix, size, flags=flags, borderMode=cv2.BORDER_REPLICATE)
    return np.ascontiguousarray(view).view(np.uint32)[..., 0]
