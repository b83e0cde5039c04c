"""Zones: the parts of one block that are inked apart, and graded inking."""

from collections.abc import Sequence
from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from nomos.base.strips import looked_up
from nomos.design import Labels, fill_nearest

# Steps of a graded zone. Strength is (step / 63) squared: even steps would show in the pale part, up to
# ΔE00 14 from one to the next; squared ones stay below 2.5 (measured).
GRADE_STEPS = 64


def step_strength(step: int) -> float:
    """The strength of a step of a graded zone.

    Parameters
    ----------
    step : 0 to the last.

    Returns
    -------
    A share, 0 to 1, spaced quadratically: equal steps to the eye.
    """
    return (step / (GRADE_STEPS - 1)) ** 2


Outlines = tuple[tuple[tuple[float, float], ...], ...]
# Parts of a pixel that outlines are drawn to, as a power of two.
_SHIFT = 4


def zone_page(
    labels: Labels, zones: Sequence[Sequence[int]], areas: Sequence[Outlines] = (), px_per_mm: float = 1.0
) -> NDArray[np.uint8]:
    """Which zone each pixel of a block belongs to.

    Parameters
    ----------
    labels : (height, width) uint8 colour numbers.
    zones : colour numbers of each zone; a pixel of no zone's colour (where a trap runs under a
        neighbour) belongs to the zone nearest to it.
    areas : of each zone what was drawn by hand, closed outlines in mm from the image's top left; a
        later zone lies over an earlier one, whatever the colours.

    Returns
    -------
    (height, width) uint8 places in `zones`.
    """
    page = _by_colour(labels, zones)
    if not any(areas):
        return page
    page = page.copy()
    for place, outlines in enumerate(areas):
        page[drawn_page(outlines, (page.shape[0], page.shape[1]), px_per_mm)] = place
    return page


def drawn_page(outlines: Outlines, shape: tuple[int, int], px_per_mm: float) -> NDArray[np.bool_]:
    """Where closed outlines lie, those that meet taken together.

    Parameters
    ----------
    outlines : mm from the image's top left.
    shape : height and width of the page, pixels.

    Returns
    -------
    (height, width) bool.
    """
    import cv2

    page = np.zeros(shape, np.uint8)
    # Beyond these a coordinate would not fit into OpenCV's fixed point.
    far = 4.0 * max(shape)
    for outline in outlines:
        points = np.clip(np.array(outline, np.float64) * px_per_mm - 0.5, -far, far)
        cv2.fillPoly(page, [np.rint(points * (1 << _SHIFT)).astype(np.int32)], (1,), shift=_SHIFT)
    return page.view(np.bool_)


def _by_colour(labels: Labels, zones: Sequence[Sequence[int]]) -> NDArray[np.uint8]:
    table = np.full(256, 255, np.uint8)
    for place, colours in enumerate(zones):
        table[list(colours)] = place
    page = looked_up(table, labels)
    outside = (page == 255).astype(np.uint8)
    if outside.all():
        return np.zeros_like(page)
    return fill_nearest(page, outside) if outside.any() else page


@dataclass(frozen=True)
class GradeShape:
    """How a graded zone lies on the image: mm from its top left, strengths, and its course (see `Grade`)."""

    start: tuple[float, float]
    end: tuple[float, float]
    strengths: tuple[float, float]
    curve: float = 1.0
    both: bool = False
    edge_mm: float | None = None
    outer: bool = False


def grade_page(mask: NDArray[np.uint8], px_per_mm: float, grade: GradeShape) -> NDArray[np.uint8]:
    """The step of a graded zone at each pixel of the image.

    Parameters
    ----------
    mask : (height, width) uint8, 1 prints.
    grade : way, length in mm and bend.

    Returns
    -------
    (height, width) uint8 steps.
    """
    share = _along(mask.shape, px_per_mm, grade) if grade.edge_mm is None else _inwards(mask, px_per_mm, grade)
    if grade.both:
        share = 1 - np.abs(2 * share - 1)
    if grade.curve != 1:
        share = share ** np.float32(grade.curve)
    strength = grade.strengths[0] + share * np.float32(grade.strengths[1] - grade.strengths[0])
    return np.rint(np.sqrt(strength) * np.float32(GRADE_STEPS - 1)).astype(np.uint8)


def _along(shape: tuple[int, ...], px_per_mm: float, grade: GradeShape) -> NDArray[np.float32]:
    """Share of the way from start to end, linear across the page: one row and one column."""
    height, width = shape
    along = np.array(grade.end, np.float64) - grade.start
    scale = 1 / px_per_mm / float(along @ along)
    x = ((np.arange(width) + 0.5) - grade.start[0] * px_per_mm) * along[0] * scale
    y = ((np.arange(height) + 0.5) - grade.start[1] * px_per_mm) * along[1] * scale
    return np.clip(x.astype(np.float32) + y.astype(np.float32)[:, None], 0, 1)


def _inwards(mask: NDArray[np.uint8], px_per_mm: float, grade: GradeShape) -> NDArray[np.float32]:
    """Share of the way from the block's edge inwards."""
    import cv2

    if grade.outer:
        mask = _filled(mask)
    # The image ends where the paper goes on: its border is an edge like any other.
    bordered = cv2.copyMakeBorder(np.ascontiguousarray(mask), 1, 1, 1, 1, cv2.BORDER_CONSTANT, value=0)
    depth = cv2.distanceTransform(bordered, cv2.DIST_L2, cv2.DIST_MASK_5)[1:-1, 1:-1]
    assert grade.edge_mm is not None
    return np.clip(np.asarray(depth, np.float32) / np.float32(grade.edge_mm * px_per_mm), 0, 1)


def _filled(mask: NDArray[np.uint8]) -> NDArray[np.uint8]:
    """The mask with its holes closed, so that only its outer edges are left."""
    import cv2

    outer, _ = cv2.findContours(np.ascontiguousarray(mask), cv2.RETR_EXTERNAL, cv2.CHAIN_APPROX_SIMPLE)
    return np.asarray(cv2.drawContours(np.zeros_like(mask), outer, -1, 1, cv2.FILLED), np.uint8)
