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
    wide = rgb.astype(np.uint32)
    pixels: Pixels = (
        np.uint32(0xFF000000) | wide[..., 0] << np.uint32(16) | wide[..., 1] << np.uint32(8) | wide[..., 2]
    )
    return pixels
