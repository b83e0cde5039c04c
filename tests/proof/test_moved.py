"""Sheets laid near the edges of their blocks alone, against every pull moved whole."""

import cv2
import numpy as np
from hypothesis import given, settings
from hypothesis import strategies as st

from nomos.proof.moved import MovedSheets


def moved_whole(mask: np.ndarray, change: np.ndarray, px_per_mm: float) -> np.ndarray:
    """A place (x, y) in mm goes to (x, y) + (a + b x + c y, d + e x + f y); OpenCV moves pixel middles."""
    a, b, c, d, e, f = change
    there = np.array([[1 + b, c, a], [e, 1 + f, d], [0, 0, 1]])
    to_px = np.array([[px_per_mm, 0, -0.5], [0, px_per_mm, -0.5], [0, 0, 1]])
    matrix = (to_px @ there @ np.linalg.inv(to_px))[:2]
    height, width = mask.shape
    return cv2.warpAffine(mask * np.uint8(255), matrix, (width, height), flags=cv2.INTER_LINEAR) > 127


@settings(max_examples=30)
@given(st.integers(1, 20), st.integers(0, 100_000))
def test_each_pull_stands_where_it_was_moved_to(pulls: int, seed: int) -> None:
    hand = np.random.default_rng(seed)
    height, width = (int(side) for side in hand.integers(40, 260, 2))
    masks = []
    for _ in range(pulls):
        mask = np.full((height, width), int(hand.random() < 0.3), np.uint8)
        for _ in range(int(hand.integers(0, 4))):
            at = tuple(int(v) for v in hand.integers(0, (width, height)))
            cv2.circle(mask, at, int(hand.integers(2, 60)), int(hand.random() < 0.7), -1)
        masks.append(mask)
    changes = hand.normal(0, 1, (3, pulls, 6)) * [0.5, 0.004, 0.004, 0.5, 0.004, 0.004]
    sheets = MovedSheets(masks, changes, 8.0)
    for sheet in range(3):
        bits = sheets.laid(sheet)
        assert not (bits >> pulls).any()
        for pull in range(pulls):
            whole = moved_whole(masks[pull], changes[sheet, pull], 8.0)
            # Where an edge runs through the middle of a pixel, rounding decides.
            assert ((bits >> pull & 1 > 0) != whole).mean() < 1e-3
