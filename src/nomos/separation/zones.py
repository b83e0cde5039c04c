"""Zones: the parts of one block that are inked apart, and graded inking."""

from collections.abc import Sequence
from dataclasses import dataclass

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


@dataclass(frozen=True)
class GradeShape:
    """How a graded zone lies on the image: mm from its top left, strengths, and its course (see `Grade`)."""

    start: tuple[float, float]
    end: tuple[float, float]
    strengths: tuple[float, float]
    curve: float = 1.0
    both: bool = False
    edge_mm: float | None = None


def grade_page(mask: NDArray[np.uint8], px_per_mm: float, grade: GradeShape) -> NDArray[np.uint8]:
    """The step of a graded zone at each pixel of the image. mask : what the block prints, 0 or 1."""
    share = (
        _along(mask.shape, px_per_mm, grade) if grade.edge_mm is None else _inwards(mask, px_per_mm, grade)
    )
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

    depth = cv2.distanceTransform(np.ascontiguousarray(mask), cv2.DIST_L2, cv2.DIST_MASK_5)
    assert grade.edge_mm is not None
    return np.clip(np.asarray(depth, np.float32) / np.float32(grade.edge_mm * px_per_mm), 0, 1)
