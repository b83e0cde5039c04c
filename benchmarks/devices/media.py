"""What a flat design looks like when a hand draws it: felt pen, crayon, pencil, wash, gouache, or a screen.

Every medium lays its colour as a film on the paper: where it is thin the paper
shows. The figures are chosen by us to look like the thing; no source.
"""

from typing import Literal, get_args

import numpy as np
from numpy.typing import NDArray

Medium = Literal["felt pen", "crayon", "pencil", "wash", "gouache", "screen"]
MEDIA: tuple[Medium, ...] = get_args(Medium)
Linear = NDArray[np.float32]


def decode(rgb: NDArray[np.uint8]) -> Linear:
    """Linear shares of sRGB values. IEC 61966-2-1."""
    table = np.arange(256) / 255.0
    table = np.where(table <= 0.04045, table / 12.92, ((table + 0.055) / 1.055) ** 2.4)
    return table.astype(np.float32)[rgb]


def draw_medium(
    labels: NDArray[np.uint8],
    colours: NDArray[np.uint8],
    paper: NDArray[np.uint8],
    px_per_mm: float,
    medium: Medium,
    hand: np.random.Generator,
    *,
    line: int | None,
    paper_number: int | None,
) -> Linear:
    """Linear reflectance of the drawn picture, (height, width, 3).

    Parameters
    ----------
    labels : (height, width) uint8. colours : (n, 3) uint8 sRGB. paper : (3,) uint8 sRGB.
    line : the number drawn as a line over everything else, with a pen whatever the medium.
    paper_number : the number that stays bare.
    """
    if medium == "screen":
        return decode(colours)[labels]
    on = decode(paper)
    page = np.empty((*labels.shape, 3), np.float32)
    page[:] = on
    under = _under_line(labels, line)
    edge = {"felt pen": 0.25, "crayon": 0.4, "pencil": 0.3, "wash": 0.35, "gouache": 0.15}[medium]
    under = _unsteady(under, edge * px_per_mm, px_per_mm, hand)
    film = np.zeros(labels.shape, np.float32)
    density = np.zeros((*labels.shape, 3), np.float32)
    for number in np.unique(under):
        if number == paper_number:
            continue
        own = under == number
        thick = _thickness(labels.shape, px_per_mm, medium, hand, own)
        film[own] = thick[own]
        density[own] = -np.log(np.maximum(decode(colours[number]), 0.004) / on)
    page *= np.exp(-density * film[..., None])
    if line is not None:
        _draw_line(page, labels == line, decode(colours[line]), px_per_mm, medium, hand)
    return page


def _under_line(labels: NDArray[np.uint8], line: int | None) -> NDArray[np.uint8]:
    """The colours run on below the line, as they do when the line is drawn last."""
    import cv2

    if line is None:
        return labels
    hidden = (labels == line).astype(np.uint8)
    if hidden.all():
        return labels
    _, nearest = cv2.distanceTransformWithLabels(hidden, cv2.DIST_L2, 5, labelType=cv2.DIST_LABEL_PIXEL)
    source = np.zeros(int(nearest.max()) + 1, np.uint8)
    source[nearest[hidden == 0]] = labels[hidden == 0]
    return np.where(hidden == 0, labels, source[nearest])


def _noise(shape: tuple[int, int], sigma: tuple[float, float], hand: np.random.Generator) -> Linear:
    """Gaussian noise of unit deviation, smooth over so many pixels along x and y."""
    import cv2

    step = max(1, int(min(sigma) / 2))
    small = (shape[0] // step + 3, shape[1] // step + 3)
    page = hand.standard_normal(small, dtype=np.float32)
    soft = cv2.GaussianBlur(page, (0, 0), sigmaX=max(sigma[0] / step, 0.3), sigmaY=max(sigma[1] / step, 0.3))
    page = np.asarray(cv2.resize(soft, (shape[1], shape[0]), interpolation=cv2.INTER_LINEAR), np.float32)
    return np.asarray((page - page.mean()) / max(float(page.std()), 1e-6), np.float32)


def _unsteady(
    labels: NDArray[np.uint8], by_px: float, px_per_mm: float, hand: np.random.Generator
) -> NDArray[np.uint8]:
    """Edges moved a little to and fro, as no hand follows them exactly."""
    import cv2

    height, width = labels.shape
    y, x = np.mgrid[:height, :width].astype(np.float32)
    size = 3.0 * px_per_mm
    dx, dy = (_noise(labels.shape, (size, size), hand) * by_px * 0.5 for _ in range(2))
    return np.asarray(cv2.remap(labels, x + dx, y + dy, cv2.INTER_NEAREST, borderMode=cv2.BORDER_REPLICATE))


def _turned(page_of: "tuple[int, int]", degrees: float, px: float, hand: np.random.Generator) -> Linear:
    """Strokes side by side: ridges of a period of about `px`, running at an angle, wavering."""
    height, width = page_of
    y, x = np.mgrid[:height, :width].astype(np.float32)
    turn = np.radians(degrees)
    across = x * np.sin(turn) + y * np.cos(turn)
    across = across + _noise(page_of, (6 * px, 6 * px), hand) * 0.35 * px
    return np.asarray(np.cos(2 * np.pi * across / px), np.float32)


def _thickness(
    shape: tuple[int, int], px_per_mm: float, medium: Medium, hand: np.random.Generator,
    own: NDArray[np.bool_],
) -> Linear:  # fmt: skip
    """How thick the film lies, 1 being the colour itself."""
    mm = px_per_mm
    if medium == "gouache":
        brush = _noise(shape, (4 * mm, 0.5 * mm), hand)
        return np.asarray(1 + 0.05 * brush + 0.02 * _noise(shape, (9 * mm, 9 * mm), hand), np.float32)
    if medium == "felt pen":
        overlap = _turned(shape, hand.uniform(20, 70), hand.uniform(2.0, 3.5) * mm, hand)
        return np.asarray(
            1 + 0.16 * np.maximum(overlap - 0.72, 0) / 0.28 + 0.03 * _noise(shape, (mm, mm), hand), np.float32
        )
    if medium == "wash":
        pool = _noise(shape, (7 * mm, 7 * mm), hand)
        grain = _noise(shape, (0.15 * mm, 0.15 * mm), hand)
        return np.asarray(np.clip(1 + 0.16 * pool + 0.04 * grain + 0.30 * _rim(own, 0.7 * mm), 0.3, 2.0), np.float32)
    # Crayon and pencil catch on the paper's tooth.
    if medium == "crayon":
        tooth = _noise(shape, (0.22 * mm, 0.22 * mm), hand)
        press = 0.35 * _noise(shape, (5 * mm, 1.2 * mm), hand) + 0.25 * _turned(shape, 30, 2.2 * mm, hand)
        caught = 1 / (1 + np.exp(-(tooth + press + 1.15) / 0.16))
        return np.asarray(caught * (1.0 + 0.08 * press), np.float32)
    tooth = _noise(shape, (0.12 * mm, 0.12 * mm), hand)
    hatch = _turned(shape, hand.uniform(25, 65), 0.75 * mm, hand)
    caught = 1 / (1 + np.exp(-(0.8 * tooth + 0.7 * hatch + 0.75) / 0.3))
    return np.asarray(0.18 + 0.92 * caught, np.float32)


def _rim(own: NDArray[np.bool_], width_px: float) -> Linear:
    """1 at the edge of an area, falling off inwards: where a wash pools as it dries."""
    import cv2

    inside = cv2.distanceTransform(own.view(np.uint8), cv2.DIST_L2, 3)
    return np.asarray(np.exp(-inside / width_px) * own, np.float32)


def _draw_line(
    page: Linear, line: NDArray[np.bool_], colour: Linear, px_per_mm: float, medium: Medium,
    hand: np.random.Generator,
) -> None:  # fmt: skip
    """The line over everything: pen, or a soft pencil or crayon that lets some paper through."""
    import cv2

    cover = cv2.GaussianBlur(line.astype(np.float32), (0, 0), max(0.06 * px_per_mm, 0.4))
    if medium in ("crayon", "pencil"):
        tooth = _noise(line.shape, (0.15 * px_per_mm,) * 2, hand)
        cover *= np.clip(0.93 + 0.14 * np.minimum(tooth + 0.6, 0), 0.55, 1)
    else:
        cover *= np.clip(0.98 + 0.03 * _noise(line.shape, (px_per_mm,) * 2, hand), 0, 1)
    page *= 1 - cover[..., None]
    page += cover[..., None] * colour
