"""Invented scenes of an allotment, drawn as flat designs by chance: no two seeds alike."""

from collections.abc import Sequence
from dataclasses import dataclass

import cv2
import numpy as np

from benchmarks.devices.camera import Answer
from nomos.colour import delta_e00, srgb_to_lab

Points = Sequence[tuple[float, float]] | np.ndarray
_LINE = ("#1d1d22", "#26201c", "#20242e")
_COLOURED_LINE = ("#1f3f8f", "#5a3a22", "#123f36")
_SKY = ("#9fc3dc", "#f1c7b0", "#c9b4cf", "#e9dcae", "#7f9bc0", "#b9d5d0")
_GROUND = ("#c9a25d", "#8f6a43", "#d8b98a", "#a98f5f")
_GREEN = ("#4e8a4c", "#86a94f", "#2f6b55", "#b7c97a", "#6f8f3a")
_WARM = ("#c8432f", "#e07b2c", "#b4583f", "#e8b83a", "#d7698a")
_COOL = ("#2f6fa8", "#27406f", "#6a5aa0", "#3f9a9a", "#8b8f96")
_PAPER = "#f4f1e9"


def rgb(text: str) -> tuple[int, int, int]:
    """#rrggbb as three numbers."""
    return int(text[1:3], 16), int(text[3:5], 16), int(text[5:7], 16)


def _lab(text: str) -> np.ndarray:
    return srgb_to_lab(np.array(rgb(text), float))


@dataclass
class _Page:
    """Numbers under the brush; colours are added as they are used."""

    hand: np.random.Generator
    size_mm: tuple[float, float]
    px_per_mm: float
    apart_de00: float

    def __post_init__(self) -> None:
        shape = round(self.size_mm[1] * self.px_per_mm), round(self.size_mm[0] * self.px_per_mm)
        self.labels = np.zeros(shape, np.uint8)
        self.colours = [_PAPER]
        self.strokes: list[tuple[np.ndarray, float]] = []

    def number(self, colour: str) -> int:
        if colour not in self.colours:
            self.colours.append(colour)
        return self.colours.index(colour)

    def _px(self, points: Points) -> np.ndarray:
        return np.rint(np.array(points, float) * self.px_per_mm * 16).astype(np.int32)

    def area(self, points: Points, colour: str, outline_mm: float = 0.9) -> None:
        cv2.fillPoly(self.labels, [self._px(points)], self.number(colour), cv2.LINE_8, 4)
        closed = np.array([*points, points[0]], float)
        self.strokes.append((closed, outline_mm))

    def disc(self, at: tuple[float, float], radius: float, colour: str, outline_mm: float = 0.8) -> None:
        turns = np.linspace(0, 2 * np.pi, 60)
        self.area([(at[0] + radius * np.cos(t), at[1] + radius * np.sin(t)) for t in turns], colour, outline_mm)

    def stroke(self, points: Points, width_mm: float) -> None:
        self.strokes.append((np.array(points, float), width_mm))

    def choose(self, among: tuple[str, ...]) -> str:
        """One of some colours; where it is near one in use, that one: a hand has so many pens."""
        colour = among[int(self.hand.integers(len(among)))]
        apart = {known: float(delta_e00(_lab(colour), _lab(known))) for known in self.colours}
        nearest = min(apart, key=lambda known: apart[known])
        taken = nearest if apart[nearest] < self.apart_de00 and nearest != _PAPER else colour
        self.number(taken)
        return taken

    def draw_line(self, colour: str) -> int:
        own = self.number(colour)
        for points, width in self.strokes:
            wide = max(1, round(width * self.px_per_mm * self.hand.uniform(0.8, 1.2)))
            wavered = points + self.hand.normal(0, 0.12, points.shape)
            cv2.polylines(self.labels, [self._px(wavered)], False, own, wide, cv2.LINE_8, 4)
        return own


def scene(seed: int, *, line: str = "black", px_per_mm: float = 9.0, apart_de00: float = 9.5) -> Answer:
    """A flat design with a known answer.

    line : black, coloured (blue, sepia or green), or none.
    apart_de00 : no two colours are nearer than this.
    """
    hand = np.random.default_rng(1000 + seed)
    size = (float(hand.uniform(110, 190)), float(hand.uniform(100, 180)))
    page = _Page(hand, size, px_per_mm, apart_de00)
    (_shelf, _plot, _shed, _labels)[seed % 4](page)
    number = None
    if line != "none":
        number = page.draw_line(page.choose(_LINE if line == "black" else _COLOURED_LINE))
    used = np.unique(page.labels)
    table = np.zeros(256, np.uint8)
    table[used] = np.arange(len(used))
    colours = np.array([rgb(page.colours[n]) for n in used], np.uint8)
    paper = int(table[0]) if 0 in used else None
    return Answer(table[page.labels], colours, px_per_mm, None if number is None else int(table[number]), paper)


def _shelf(page: _Page) -> None:
    """Pots on a shelf before a window."""
    width, height = page.size_mm
    page.area([(0, 0), (width, 0), (width, height * 0.7), (0, height * 0.7)], page.choose(_SKY))
    wood = page.choose(_GROUND)
    page.area([(0, height * 0.7), (width, height * 0.7), (width, height * 0.8), (0, height * 0.8)], wood)
    count = int(page.hand.integers(2, 5))
    for place in range(count):
        x, w = width * (place + 0.5) / count, width / count * page.hand.uniform(0.5, 0.75)
        tall, foot = height * page.hand.uniform(0.16, 0.3), height * 0.72
        pot, leaf = page.choose(_WARM), page.choose(_GREEN)
        page.disc((x, foot - tall * 1.7), w * 0.42, leaf)
        for _ in range(4):
            at = x + page.hand.uniform(-0.25, 0.25) * w, foot - tall * page.hand.uniform(1.5, 1.95)
            page.disc(at, w * page.hand.uniform(0.05, 0.1), page.choose(_WARM), 0.6)
        page.area([(x - w / 2, foot - tall), (x + w / 2, foot - tall), (x + w * 0.36, foot), (x - w * 0.36, foot)], pot)
        page.area(
            [
                (x - w * 0.55, foot - tall * 1.1),
                (x + w * 0.55, foot - tall * 1.1),
                (x + w * 0.55, foot - tall * 0.85),
                (x - w * 0.55, foot - tall * 0.85),
            ],
            page.choose(_WARM),
        )


def _plot(page: _Page) -> None:
    """Rows running to a fence, a low sun."""
    width, height = page.size_mm
    horizon = height * page.hand.uniform(0.3, 0.45)
    page.area([(0, 0), (width, 0), (width, horizon), (0, horizon)], page.choose(_SKY))
    page.area([(0, 0), (width, 0), (width, horizon * 0.4), (0, horizon * 0.55)], page.choose(_SKY + _COOL[4:]))
    page.disc((width * page.hand.uniform(0.2, 0.8), horizon * 0.6), height * 0.06, page.choose(_WARM[1:4]))
    page.area([(0, horizon), (width, horizon), (width, height), (0, height)], page.choose(_GROUND))
    rows = int(page.hand.integers(3, 6))
    for row in range(rows):
        far, near = width * (0.3 + 0.4 * (row + 0.5) / rows), width * (row + 0.5) / rows
        green = page.choose(_GREEN)
        page.area(
            [(far - 2, horizon), (far + 2, horizon), (near + width * 0.07, height), (near - width * 0.07, height)],
            green,
            0.8,
        )
        for step in (0.35, 0.6, 0.85):
            x, y = far + (near - far) * step, horizon + (height - horizon) * step
            page.disc((x, y), 2 + 4 * step, page.choose(_GREEN + _WARM[:2]), 0.7)
    for post in np.arange(6, width, 15):
        page.area(
            [(post, horizon - 9), (post + 3.5, horizon - 9), (post + 3.5, horizon + 2), (post, horizon + 2)],
            page.colours[-1],
            0.7,
        )


def _shed(page: _Page) -> None:
    """A shed with a small red roof, a water butt, a tree; some of the paper stays bare."""
    width, height = page.size_mm
    page.area([(0, height * 0.6), (width, height * 0.55), (width, height), (0, height)], page.choose(_GREEN))
    page.area(
        [(width * 0.1, height), (width * 0.3, height * 0.6), (width * 0.38, height * 0.6), (width * 0.35, height)],
        page.choose(_GROUND),
    )
    left, right = width * 0.22, width * page.hand.uniform(0.5, 0.62)
    top, foot = height * 0.38, height * 0.72
    page.area([(left, top), (right, top), (right, foot), (left, foot)], page.choose(_COOL))
    page.area([(left - 5, top), (right + 5, top), ((left + right) / 2, top - height * 0.14)], page.choose(_WARM))
    page.area([(left + 6, top + 8), (left + 18, top + 8), (left + 18, top + 22), (left + 6, top + 22)], _PAPER)
    page.area(
        [(right - 18, top + 10), (right - 5, top + 10), (right - 5, foot), (right - 18, foot)], page.choose(_WARM)
    )
    for x in np.arange(left + 24, right - 20, 6):
        page.stroke([(x, top), (x, foot)], 0.6)
    butt = page.choose(_COOL)
    page.area([(right + 4, foot - 20), (right + 16, foot - 20), (right + 15, foot), (right + 5, foot)], butt)
    trunk = width * 0.85
    page.area(
        [
            (trunk - 3, height * 0.35),
            (trunk + 3, height * 0.35),
            (trunk + 4, height * 0.65),
            (trunk - 4, height * 0.65),
        ],
        page.choose(_GROUND),
    )
    for _ in range(5):
        at = trunk + page.hand.normal(0, width * 0.05), height * 0.28 + page.hand.normal(0, height * 0.05)
        page.disc(at, height * page.hand.uniform(0.05, 0.09), page.choose(_GREEN[:3]))
    page.disc((width * 0.12, height * 0.14), height * 0.06, page.choose(_WARM[1:4]))


def _labels(page: _Page) -> None:
    """Plant labels stuck in a bed, each of a colour, with lettering of the line."""
    width, height = page.size_mm
    page.area([(0, height * 0.75), (width, height * 0.7), (width, height), (0, height)], page.choose(_GROUND))
    words = ("LEEK", "BEAN", "KALE", "PEA", "BEET")
    count = int(page.hand.integers(3, 5))
    for place in range(count):
        x, w = width * (place + 0.5) / count, width / count * 0.78
        top = height * page.hand.uniform(0.12, 0.3)
        colour = page.choose(_SKY + _WARM + _GREEN)
        page.area(
            [
                (x - w / 2, top),
                (x + w / 2, top),
                (x + w / 2, top + 26),
                (x + 3, top + 34),
                (x + 3, height * 0.8),
                (x - 3, height * 0.8),
                (x - 3, top + 34),
                (x - w / 2, top + 26),
            ],
            colour,
        )
        text = words[int(page.hand.integers(len(words)))]
        for number, letter in enumerate(text):
            _letter(page, letter, x - w * 0.38 + number * w * 0.2, top + 7, w * 0.15, 13)
    for x in np.arange(8, width, 11):
        tip = height * page.hand.uniform(0.6, 0.72)
        page.area([(x - 2, height * 0.78), (x, tip), (x + 2, height * 0.78)], page.choose(_GREEN[:3]), 0.6)


_STROKES: dict[str, list[list[tuple[float, float]]]] = {
    "L": [[(0, 0), (0, 1), (1, 1)]], "E": [[(1, 0), (0, 0), (0, 1), (1, 1)], [(0, 0.5), (0.8, 0.5)]],
    "K": [[(0, 0), (0, 1)], [(1, 0), (0, 0.5), (1, 1)]],
    "B": [[(0, 0), (0.8, 0.2), (0, 0.5), (1, 0.75), (0, 1), (0, 0)]],
    "A": [[(0, 1), (0.5, 0), (1, 1)], [(0.2, 0.6), (0.8, 0.6)]], "N": [[(0, 1), (0, 0), (1, 1), (1, 0)]],
    "P": [[(0, 1), (0, 0), (0.9, 0.25), (0, 0.5)]], "T": [[(0, 0), (1, 0)], [(0.5, 0), (0.5, 1)]],
}  # fmt: skip


def _letter(page: _Page, letter: str, left: float, top: float, wide: float, tall: float) -> None:
    for stroke in _STROKES[letter]:
        page.stroke([(left + x * wide, top + y * tall) for x, y in stroke], 1.3)
