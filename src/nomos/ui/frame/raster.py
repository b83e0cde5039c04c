"""A page of pixels on the sheet."""

from dataclasses import dataclass
from functools import lru_cache
from typing import cast

import numpy as np
from numpy.typing import NDArray

from nomos.proof import Index, Pixels, mips, page_of_pixels, pixels_of, render, render_view, to_rgb


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
    """A picture's own pixels and its smaller versions."""
    return mips(page_of_pixels(page.pixels))


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

    def rgb(self) -> NDArray[np.uint8]:
        """All of it at its own size. (height, width, 3) uint8."""
        if self.labs is None:
            return pixels_of(cast(Pixels, self.levels[0]))
        return to_rgb(render(cast(Index, self.levels[0]), self.labs))

    def view(self, window: tuple[float, float, float, float], size: tuple[int, int]) -> NDArray[np.uint32]:
        """Part of it, shrunk or enlarged to a view, as `render_view` says. (height, width) 0xffRRGGBB."""
        if self.labs is None:
            return render_view(cast(tuple[Pixels, ...], self.levels), None, window, size)
        return render_view(cast(tuple[Index, ...], self.levels), self.labs, window, size)

    def table(self) -> bytes:
        """The colours as bytes, to see whether anything has changed."""
        return b"" if self.labs is None else self.labs.tobytes()
