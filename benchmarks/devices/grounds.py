"""What a sheet lies on, and what lies on the sheet: tables, hands, notes, clips, rings; all made up."""

from typing import Literal, get_args

import numpy as np
from numpy.typing import NDArray

Linear = NDArray[np.float32]
Ground = Literal["wood", "dark", "pale", "cloth", "mat", "stone", "white", "green"]
GROUNDS: tuple[Ground, ...] = get_args(Ground)
# Linear reflectance of the grounds a sheet lies on; chosen by us.
_COLOURS: dict[Ground, tuple[float, float, float]] = {
    "wood": (0.30, 0.17, 0.08), "dark": (0.035, 0.033, 0.032), "pale": (0.55, 0.53, 0.50),
    "cloth": (0.10, 0.16, 0.27), "mat": (0.02, 0.10, 0.08), "stone": (0.28, 0.28, 0.29),
    "white": (0.80, 0.79, 0.75), "green": (0.05, 0.17, 0.06),
}  # fmt: skip
_STRENGTH: dict[Ground, float] = {
    "wood": 0.22, "dark": 0.15, "pale": 0.03, "cloth": 0.12, "mat": 0.04, "stone": 0.2, "white": 0.015,
    "green": 0.1,
}  # fmt: skip
_ALONG: dict[Ground, tuple[float, float]] = {
    "wood": (9.0, 0.7), "dark": (1.0, 1.0), "pale": (3.0, 3.0), "cloth": (0.8, 0.8), "mat": (1.0, 1.0),
    "stone": (0.5, 0.5), "white": (3.0, 3.0), "green": (0.9, 0.9),
}  # fmt: skip
SKINS = ((0.55, 0.33, 0.24), (0.34, 0.18, 0.11), (0.13, 0.065, 0.04), (0.66, 0.45, 0.36))


def ground(shape: tuple[int, int], kind: Ground, hand: np.random.Generator) -> Linear:
    """The ground: its colour with a coarse grain, running along it on wood, woven on cloth, ruled on a mat.

    Parameters
    ----------
    shape : height and width, pixels.

    Returns
    -------
    (height, width, 3) linear reflectance.
    """
    import cv2

    height, width = shape
    grain = hand.normal(0, 1, (height // 8 + 2, width // 8 + 2)).astype(np.float32)
    along = _ALONG[kind]
    grain = np.asarray(cv2.GaussianBlur(grain, (0, 0), sigmaX=along[0], sigmaY=along[1]), np.float32)
    grain /= max(float(grain.std()), 1e-6)
    page = cv2.resize(grain, (width, height), interpolation=cv2.INTER_CUBIC)
    if kind == "cloth":
        y, x = np.mgrid[:height, :width].astype(np.float32)
        page = page + 2.2 * np.sign(np.sin(x * 60 / width * np.pi) * np.sin(y * 60 / width * np.pi))
    laid = np.array(_COLOURS[kind], np.float32) * np.exp(_STRENGTH[kind] * page)[..., None]
    if kind == "mat":
        step = max(width // 24, 8)
        laid[::step, :] = laid[1::step, :] = (0.35, 0.42, 0.30)
        laid[:, ::step] = laid[:, 1::step] = (0.35, 0.42, 0.30)
    return np.asarray(np.clip(laid, 0, 1), np.float32)


def fingers(
    seen: Linear, at: tuple[float, float], inward: tuple[float, float], reach_px: float, skin: int,
    hand: np.random.Generator,
) -> NDArray[np.bool_]:  # fmt: skip
    """Lay fingers over a picture, in place: from outside, over a place on the sheet's edge, with a shadow.

    Parameters
    ----------
    seen : (height, width, 3) linear, changed. at : where they lie, pixels. inward : towards the sheet.
    reach_px : how far a finger reaches in. skin : which of `SKINS`.

    Returns
    -------
    (height, width) where skin is.
    """
    import cv2

    height, width = seen.shape[:2]
    way = np.array(inward) / max(float(np.hypot(*inward)), 1e-9)
    across = np.array([-way[1], way[0]])
    mask, middle = np.zeros((height, width), np.uint8), np.zeros((height, width), np.uint8)
    thick = max(3.0, 0.32 * reach_px)
    count = int(hand.integers(1, 5))
    for number in range(count):
        beside = (number - (count - 1) / 2) * 1.12 * thick
        tip = np.array(at) + across * beside + way * reach_px * hand.uniform(0.65, 1.0)
        root = np.array(at) + across * beside * 0.9 - way * reach_px * 4
        ends = tuple(tuple(round(float(v)) for v in end) for end in (root, tip))
        cv2.line(mask, ends[0], ends[1], 1, round(thick))
        # Round: lighter along the middle.
        cv2.line(middle, ends[0], ends[1], 255, max(1, round(0.35 * thick)))
    shadow = cv2.GaussianBlur(mask.astype(np.float32), (0, 0), 0.25 * thick)
    seen *= 1 - 0.45 * np.clip(shadow, 0, 1)[..., None]
    relief = 0.78 + 0.34 * cv2.GaussianBlur(middle.astype(np.float32) / 255, (0, 0), 0.22 * thick)
    tone = np.array(SKINS[skin], np.float32) * relief[..., None]
    inside = mask > 0
    seen[inside] = tone[inside]
    return inside


def written(linear: Linear, text: str, at: tuple[int, int], tall_px: float, colour: tuple[float, float, float]) -> None:
    """Write a note on a sheet, in place. at : its lower left, pixels of the sheet."""
    import cv2

    drawn = np.zeros(linear.shape[:2], np.uint8)
    cv2.putText(
        drawn, text, at, cv2.FONT_HERSHEY_SCRIPT_SIMPLEX, tall_px / 22, 255, max(1, round(tall_px / 14)),
        cv2.LINE_AA,
    )  # fmt: skip
    ink = drawn.astype(np.float32) / 255
    linear *= 1 - ink[..., None]
    linear += ink[..., None] * np.array(colour, np.float32)


def ruled(linear: Linear, every_px: float, colour: tuple[float, float, float], *, squared: bool) -> None:
    """Rule a sheet with lines, or squares, before anything is drawn; in place."""
    for axis in (0, 1) if squared else (0,):
        for place in np.arange(every_px, linear.shape[axis], every_px):
            at = int(place)
            line = (
                linear[at : at + max(1, int(every_px / 25))]
                if axis == 0
                else (linear[:, at : at + max(1, int(every_px / 25))])
            )
            line *= np.array(colour, np.float32)


def ring(linear: Linear, at: tuple[int, int], radius_px: float) -> None:
    """The ring that a cup leaves; in place."""
    import cv2

    drawn = np.zeros(linear.shape[:2], np.uint8)
    cv2.circle(drawn, at, round(radius_px), 255, max(2, round(0.09 * radius_px)), cv2.LINE_AA)
    stain = np.asarray(cv2.GaussianBlur(drawn.astype(np.float32) / 255, (0, 0), max(1.0, 0.02 * radius_px)), np.float32)
    linear *= 1 - stain[..., None] * np.array((0.22, 0.36, 0.55), np.float32)
