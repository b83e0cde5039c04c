"""A page of pixels on the sheet."""

from dataclasses import dataclass
from functools import lru_cache

import numpy as np
from numpy.typing import NDArray

from nomos.proof import Index, mips

Pixels = NDArray[np.uint32]


class Page:
    """An array as itself: equal to nothing but the very same one, which it holds while it is a key."""

    def __init__(self, pixels: NDArray[np.uint8]) -> None:
        self.pixels = pixels

    def __eq__(self, other: object) -> bool:
        return isinstance(other, Page) and self.pixels is other.pixels

    def __hash__(self) -> int:
        return id(self.pixels)


@lru_cache(maxsize=2)
def index_levels(page: Page) -> tuple[Index, ...]:
    """A page of numbers and its smaller versions."""
    return mips(page.pixels)


@lru_cache(maxsize=3)
def picture_levels(page: Page) -> tuple[Pixels, ...]:
    """A picture's pixels and its smaller versions."""
    return mips(packed(page.pixels))


@dataclass(frozen=True, eq=False)
class Raster:
    """A page to look colours up for, or of pixels where `labs` is None.

    left_mm, top_mm : where the first pixel lies on the sheet.
    """

    levels: tuple[Index, ...] | tuple[Pixels, ...]
    labs: NDArray[np.float64] | None
    px_per_mm: float
    left_mm: float
    top_mm: float

    def table(self) -> bytes:
        """The colours as bytes, to see whether anything has changed."""
        return b"" if self.labs is None else self.labs.tobytes()


def packed(rgb: NDArray[np.uint8]) -> Pixels:
    """Pixels as 0xffRRGGBB. (h, w, 3) uint8 to (h, w)."""
    import cv2

    # Blue, green, red, alpha in memory are 0xAARRGGBB on every machine that Nomos runs on.
    pixels: Pixels = cv2.cvtColor(np.ascontiguousarray(rgb), cv2.COLOR_RGB2BGRA).view(np.uint32)[..., 0]
    return pixels
