"""Sketches with a known answer, drawn and photographed by simulated devices."""

from dataclasses import dataclass

import cv2
import numpy as np
import pytest
from scipy.optimize import linear_sum_assignment

from benchmarks.demos import photo
from benchmarks.devices.camera import Answer
from nomos.design import FlatDesign


@dataclass(frozen=True)
class Hit:
    """Share of the area on the right field, F1 of the line within a pixel, and colours too many."""

    accuracy: float
    line: float
    off: int


def compared(flat: FlatDesign, answer: Answer) -> Hit:
    """Each colour found stands for the true one it covers most, one for one."""
    shape = answer.labels.shape
    own = cv2.resize(flat.labels, shape[::-1], interpolation=cv2.INTER_NEAREST)
    count = max(int(own.max()), int(answer.labels.max())) + 1
    pairs = np.bincount((own.astype(int) * count + answer.labels).ravel(), minlength=count * count)
    rows, columns = linear_sum_assignment(-pairs.reshape(count, count))
    accuracy = float(pairs.reshape(count, count)[rows, columns].sum() / pairs.sum())
    off = len(flat.colours) - len(np.unique(answer.labels))
    if answer.line is None:
        return Hit(accuracy, 1.0, off)
    true = answer.labels == answer.line
    found = own == flat.line if flat.line is not None else np.zeros_like(true)
    near = np.ones((3, 3), np.uint8)
    right = (found & (cv2.dilate(true.view(np.uint8), near) > 0)).sum() / max(found.sum(), 1)
    seen = (true & (cv2.dilate(found.view(np.uint8), near) > 0)).sum() / true.sum()
    return Hit(accuracy, float(2 * right * seen / max(right + seen, 1e-9)), off)


@pytest.fixture(scope="session")
def butt() -> Answer:
    """The flat design behind the photographed demo, at 5 pixels a mm."""
    return photo.answer(5.0)
