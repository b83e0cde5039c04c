"""The demo for a reduction: a cold frame at first light, five flat colours over the paper, no key.

Millimetres, 160 × 120. Everything in it is made up for Nomos.
`python -m benchmarks.demos.coldframe` writes the shipped files anew.
"""

from pathlib import Path

from benchmarks.demos.drawing import Drawing, Point, between, curve, write_files

# Where the program ships them from.
_DEMO = Path(__file__).parents[2] / "src/nomos/demo"
TITLE = "Cold frame, first light"
SIZE_MM = (160, 120)
RIME, STRAW, FROST, HIP, MOSS, NIGHT = "#f7f3ea", "#ecd9a0", "#a9c0c9", "#b8473c", "#5f7a55", "#2b3550"


def coldframe() -> str:
    """The sketch as SVG text; the same every time."""
    drawing = Drawing(TITLE, SIZE_MM, 11, NIGHT)
    drawing.area([(0, 0), (160, 0), (160, 120), (0, 120)], STRAW)
    _shed(drawing)
    _ground(drawing)
    _frame(drawing)
    _can(drawing)
    _briar(drawing)
    return drawing.svg()


def _shed(drawing: Drawing) -> None:
    """The boards of a shed behind, their joins in frost, a plank door on the right with a pane in it."""
    for place in range(13):
        x = 7.0 + place * 12.6 + drawing.hand.uniform(-0.6, 0.6)
        drawing.blade([(x, -2), (x + 0.3, 34), (x - 0.2, 68)], [1.6, 2.3, 1.6], FROST)
        for y in (14.0, 52.0):
            drawing.disc((x + 4.4 + drawing.hand.uniform(-1, 1), y), 0.9, FROST)
    drawing.area([(0, 22), (160, 21), (160, 26.5), (0, 27.5)], FROST)
    drawing.area([(112, 0), (150, 0), (150, 66), (112, 66)], MOSS)
    for x in (121.5, 131, 140.5):
        drawing.line([(x, 0), (x, 66)], 1.2, STRAW, waver=0.1)
    drawing.area([(120, 8), (142, 8), (142, 30), (120, 30)], RIME)
    drawing.line([(131, 8), (131, 30)], 1.8, MOSS, waver=0)
    drawing.line([(120, 19), (142, 19)], 1.8, MOSS, waver=0)
    drawing.disc((116.5, 40), 1.5, STRAW)


def _ground(drawing: Drawing) -> None:
    """Grass along the shed, then stubble and a path white with rime."""
    for place in range(40):
        x = 2 + place * 4.1
        tall = drawing.hand.uniform(3.5, 7.0)
        drawing.blade([(x, 68.5), (x + drawing.hand.uniform(-1.2, 1.2), 67 - tall)], [2.6, 0.5], MOSS)
    drawing.area([(0, 66), (160, 65.5), (160, 69), (0, 69.5)], MOSS)
    drawing.area([(0, 104), (70, 99), (160, 105), (160, 120), (0, 120)], RIME)
    for row in range(5):
        for place in range(11):
            x = 4 + place * 15.0 + (row % 2) * 7.0
            y = 72 + row * 10.5 + drawing.hand.uniform(-1.5, 1.5)
            points = curve((x, y), (x + 3.5, y - 1.3), (x + 7.4, y + 0.3), 6)
            drawing.blade(points, [0.4, 1.3, 1.8, 1.9, 1.7, 1.2, 0.4], RIME if y < 100 else FROST)


_NEAR = ((34.0, 101.0), (96.0, 101.0))
_BACK = ((44.0, 60.0), (104.0, 60.0))


def _frame(drawing: Drawing) -> None:
    """The frame: a low front, a high back, two lights of glass, one of them propped open."""
    (a, b), (c, d) = _NEAR, _BACK
    drawing.area([a, b, (106.0, 92.0), (106.0, 58.0), d, c, (34.0, 84.0)], NIGHT)
    front: list[Point] = [(36.0, 86.0), (94.5, 86.0), (94.5, 98.6), (36.0, 98.6)]
    drawing.area(front, MOSS)
    for y in (90.0, 94.4):
        drawing.line([(37.5, y), (93.0, y)], 1.1, NIGHT, waver=0.1)
    left: list[Point] = [(37.5, 82.6), (64.0, 82.6), (72.0, 62.4), (46.6, 62.4)]
    right: list[Point] = [(68.0, 82.6), (94.0, 82.6), (101.0, 62.4), (76.0, 62.4)]
    drawing.area(left, FROST)
    drawing.area(right, FROST)
    for pane in (left, right):
        for t in (0.32, 0.68):
            drawing.line([between(pane[0], pane[1], t), between(pane[3], pane[2], t)], 1.3, NIGHT, waver=0.1)
        drawing.line([between(pane[0], pane[3], 0.5), between(pane[1], pane[2], 0.5)], 1.1, NIGHT, waver=0.1)
    for pane, t in ((left, 0.06), (left, 0.4), (right, 0.74)):
        low, high = between(pane[0], pane[1], t), between(pane[3], pane[2], t)
        points = [between(low, high, 0.1), between(low, high, 0.26), between(low, high, 0.42)]
        drawing.blade([(x + 1.9, y) for x, y in points], [0.8, 3.0, 0.8], RIME)


def _can(drawing: Drawing) -> None:
    """A watering can left out overnight, rime along its rim."""
    body: list[Point] = [(122, 84), (144, 84), (146.5, 111), (119.5, 111)]
    drawing.blade(curve((121, 104), (111, 92), (105.5, 80)), [4.6 - 0.18 * i for i in range(13)], NIGHT)
    drawing.area([(100.5, 77.5), (108.5, 74.5), (110.5, 78.0), (102.5, 81.5)], NIGHT)
    drawing.area(body, NIGHT)
    handle = [*curve((144.5, 88), (158.5, 88), (154, 101)), *curve((154, 101), (151, 106), (146, 107))]
    drawing.line(handle, 2.4, NIGHT, waver=0)
    drawing.line(curve((124, 84), (133, 70), (142, 84)), 2.4, NIGHT, waver=0)
    drawing.blade([(122.5, 85.2), (133, 84.6), (143.5, 85.2)], [1.2, 2.4, 1.2], RIME)
    drawing.blade([(124.6, 90), (123.9, 98), (123.4, 107)], [1.4, 2.4, 1.2], FROST)
    drawing.line([(121.5, 103.4), (145.4, 103.4)], 1.3, FROST, waver=0)


def _briar(drawing: Drawing) -> None:
    """Rose hips on a briar trained up the shed, far from everything dark."""
    stem = curve((2.0, 84), (11, 50), (5.0, 8))
    drawing.blade(stem, [3.0 - 0.13 * i for i in range(13)], MOSS)
    for x, y, side in ((8.2, 62.0, 1), (5.6, 76.0, -1), (7.6, 36.0, 1), (7.4, 18.0, -1)):
        drawing.blade(curve((x, y), (x + side * 2, y - 4), (x + side * 5, y - 5)), [1.3] * 13, MOSS)
        leaf = [(x - side * 0.5, y - 9), (x - side * 3.4, y - 11), (x - side * 5.6, y - 10.4)]
        drawing.blade(leaf, [1.0, 3.2, 0.6], MOSS)
    for x, y in ((13.6, 58.5), (12.6, 32.6), (3.0, 14.6)):
        points = [(x + 0.15 * i, y - 2.8 + 1.15 * i) for i in range(7)]
        drawing.blade(points, [1.2, 4.0, 5.2, 5.6, 5.2, 3.8, 1.4], HIP)
        drawing.blade([(x - 0.9, y - 0.6), (x - 1.1, y + 1.4)], [0.9, 1.0], RIME)


if __name__ == "__main__":
    write_files(_DEMO, "coldframe", coldframe())
