"""The demo that begins with a photograph: a water butt by the shed, in crayon and pen, on the kitchen table.

Millimetres, 165 × 115, on a sheet of A5. Everything in it is made up for Nomos, the camera too.
`python -m benchmarks.demos.photo` writes the shipped photograph anew.
"""

import math
from pathlib import Path

import numpy as np

from benchmarks.demos.drawing import Drawing, curve
from benchmarks.devices.camera import Answer, Camera, Photograph, on_paper
from nomos.design import read_picture
from nomos.design.drawing import lay_drawing

# Where the program ships them from.
_DEMO = Path(__file__).parents[2] / "src/nomos/demo"
TITLE = "Water butt"
SIZE_MM = (165, 115)
_SHEET_MM = (210, 148)
PAPER, SKY, BOARDS, BUTT, MOSS, LEAF, BEAN, PATH, INK = (
    "#f4f1e8", "#9fc3d8", "#b0764a", "#3f6f86", "#6d8f4e", "#3f7a4f", "#c8452f", "#d9bd86", "#22222a",
)  # fmt: skip
_COLOURS = (PAPER, SKY, BOARDS, BUTT, MOSS, LEAF, BEAN, PATH, INK)


def water_butt() -> str:
    """The drawing as SVG text; the same every time."""
    drawing = Drawing(TITLE, SIZE_MM, 23, INK)
    drawing.area([(0, 0), (165, 0), (165, 115), (0, 115)], PAPER)
    drawing.outlined([(0.6, 0.6), (164.4, 0.6), (164.4, 62), (0.6, 58)], SKY, 0.9)
    drawing.outlined([(0.6, 58), (164.4, 62), (164.4, 114.4), (0.6, 114.4)], MOSS, 0.9)
    drawing.outlined([(92, 114.4), (70, 80), (96, 78), (136, 114.4)], PATH, 0.8)
    _shed(drawing)
    _butt(drawing)
    _beans(drawing)
    drawing.line([(0.6, 0.6), (164.4, 0.6), (164.4, 114.4), (0.6, 114.4), (0.6, 0.6)], 1.1, waver=0.1)
    return drawing.svg()


def _shed(drawing: Drawing) -> None:
    drawing.outlined([(8, 34), (66, 30), (66, 84), (8, 88)], BOARDS, 1.1)
    drawing.outlined([(3, 36), (38, 12), (72, 31), (38, 25)], BEAN, 1.1)
    for x in (17, 26, 48, 57):
        drawing.line([(x, 33), (x, 86)], 0.7)
    drawing.outlined([(31, 44), (45, 43), (45, 85.5), (31, 86.5)], PAPER, 1.0)
    drawing.disc((42, 64), 1.4, INK)
    drawing.outlined([(50.5, 41), (62, 40.4), (62, 52), (50.5, 52.6)], SKY, 0.9)
    drawing.line([(56, 41), (56, 52)], 0.7)


def _butt(drawing: Drawing) -> None:
    drawing.outlined([(70, 58), (92, 57), (90, 88), (72, 88.6)], BUTT, 1.1)
    for y in (64, 82):
        drawing.line([(70.6, y), (91.4, y - 0.6)], 0.8)
    drawing.outlined(curve((69, 58), (81, 52), (93, 57)), PAPER, 0.9)
    drawing.line([(66, 31), (67.5, 50), (76, 55)], 1.2)


def _beans(drawing: Drawing) -> None:
    """Four poles, beans climbing them, pods of the colour of the roof."""
    for place in range(4):
        x = 108 + place * 14.5
        drawing.line([(x, 98 + place), (x + 3, 24 + 2 * place)], 1.0)
        for step in range(5):
            y, side = 88 + place - step * 14.0, -1 if step % 2 else 1
            at = x + (98 - y) * 0.04
            leaf = curve((at, y), (at + side * 8, y - 9), (at + side * 11.5, y - 1))
            leaf += curve((at + side * 11.5, y - 1), (at + side * 6, y + 4), (at, y))[1:]
            drawing.outlined(leaf, LEAF, 0.7)
            if (step + place) % 2:
                pod = [(at - side * (4 + 2 * math.sin(t)), y + 4 * t) for t in np.linspace(0, 3, 9)]
                pod += [(px - side * 2.2, py) for px, py in reversed(pod)]
                drawing.outlined(pod, BEAN, 0.6)


def answer(px_per_mm: float = 10.0) -> Answer:
    """The flat design behind the drawing."""
    from nomos.colour import srgb_to_lab

    picture = read_picture(water_butt().encode(), "water-butt.svg")
    colours = np.array([[int(text[n : n + 2], 16) for n in (1, 3, 5)] for text in _COLOURS], np.uint8)
    labels = lay_drawing(picture.rgb, srgb_to_lab(colours))
    step = picture.px_per_mm / px_per_mm
    rows = (np.arange(round(labels.shape[0] / step)) * step).astype(int)
    columns = (np.arange(round(labels.shape[1] / step)) * step).astype(int)
    return Answer(labels[np.ix_(rows, columns)], colours, px_per_mm, len(_COLOURS) - 1, 0)


def photograph() -> Photograph:
    """The drawing on its sheet, photographed."""
    margins = (_SHEET_MM[0] - SIZE_MM[0]) / 2, (_SHEET_MM[1] - SIZE_MM[1]) / 2
    sheet = on_paper(answer(), "crayon", margin_mm=margins, paper=(245, 242, 234), tooth=0.018, seed=4)
    return Camera(
        pixels=(2200, 1650), tilt=0.26, turn_deg=-3.0, fill=0.9, falloff=0.3, cast=(1.0, 0.93, 0.79), seed=6
    ).take(sheet)


if __name__ == "__main__":
    from PIL import Image

    Image.fromarray(photograph().rgb).save(_DEMO / "photo.jpg", quality=82, optimize=True)
