"""Zones: the parts of one block that are inked apart, and graded inking."""

from collections.abc import Sequence

import numpy as np
from numpy.typing import NDArray

from nomos.design import Labels, fill_nearest

# Steps of a graded zone. Strength is (step / 63) squared: even steps would show in the pale part, up to
# ΔE00 14 from one to the next; squared ones stay below 2.5 (measured).
GRADE_STEPS = 64


def step_strength(step: int) -> float:
    """The strength of a step of a graded zone, 0 to 1."""
    return (step / (GRADE_STEPS - 1)) ** 2


def zone_page(labels: Labels, zones: Sequence[Sequence[int]]) -> NDArray[np.uint8]:
    """Which zone each pixel of a block belongs to.

    Parameters
    ----------
    labels : (height, width) uint8 colour numbers.
    zones : colour numbers of each zone; a pixel of no zone's colour (where a trap runs under a
        neighbour) belongs to the zone nearest to it.
    """
    table = np.full(256, 255, np.uint8)
    for place, colours in enumerate(zones):
        table[list(colours)] = place
    page = np.take(table, labels)
    outside = (page == 255).astype(np.uint8)
    if outside.all():
        return np.zeros_like(page)
    return fill_nearest(page, outside) if outside.any() else page


def grade_page(
    shape: tuple[int, int],
    px_per_mm: float,
    start: tuple[float, float],
    end: tuple[float, float],
    strengths: tuple[float, float],
) -> NDArray[np.uint8]:
    """The step of a graded zone at each pixel.

    Parameters
    ----------
    shape : height and width of the image in pixels.
    start, end : places on the image, mm from its top left.
    strengths : at the start and before it, at the end and beyond, 0 to 1.
    """
    height, width = shape
    along = np.array(end, np.float64) - start
    # Share of the way from start to end, linear across the page: one row and one column.
    scale = 1 / px_per_mm / float(along @ along)
    x = ((np.arange(width) + 0.5) - start[0] * px_per_mm) * along[0] * scale
    y = ((np.arange(height) + 0.5) - start[1] * px_per_mm) * along[1] * scale
    share = np.clip(x.astype(np.float32) + y.astype(np.float32)[:, None], 0, 1)
    strength = strengths[0] + share * np.float32(strengths[1] - strengths[0])
    return np.rint(np.sqrt(strength) * np.float32(GRADE_STEPS - 1)).astype(np.uint8)
