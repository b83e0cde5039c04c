"""The demo sketch: an allotment glasshouse at first frost, drawn as an SVG by code.

Millimetres, 180 × 240, eight flat colours and a key line. Everything in it is
made up for Nomos. `python -m benchmarks.demos.glasshouse` writes the shipped files anew.
"""

import math
from pathlib import Path

from benchmarks.demos.drawing import Drawing, Point, between, curve, write_files

# Where the program ships them from.
_DEMO = Path(__file__).parents[2] / "src/nomos/demo"
WIDTH_MM, HEIGHT_MM = 180, 240

RIME, ROSE, MAUVE, SLATE = "#f5f0e4", "#f0cdbf", "#c6aebb", "#7f8ca6"
GLASS, OCHRE, BRICK, LEEK, KEY = "#a3c6b6", "#d3ae69", "#b8553b", "#4e7b57", "#23242f"


def glasshouse() -> str:
    """The demo sketch as SVG text; the same every time."""
    drawing = Drawing("Glasshouse, first frost", (WIDTH_MM, HEIGHT_MM), 7, KEY)
    _sky(drawing)
    _wall(drawing)
    _tree(drawing)
    _ground(drawing)
    _house(drawing)
    _rows(drawing)
    _barrow(drawing)
    drawing.line([(0.8, 0.8), (179.2, 0.8), (179.2, 239.2), (0.8, 239.2), (0.8, 0.8)], 1.7, waver=0)
    return drawing.svg()


def _sky(drawing: Drawing) -> None:
    """Slate above, mauve, rose at the horizon, the tones worked into each other with gouge strokes."""
    drawing.area([(0, 0), (180, 0), (180, 150), (0, 150)], ROSE)
    for edge, reach, fill in ((64, 30, MAUVE), (30, 24, SLATE)):
        drawing.area([(0, 0), (180, 0), (180, edge - reach * 0.35), (0, edge - reach * 0.35)], fill)
        y = edge - reach * 0.35
        for row in range(5):
            thick = 3.4 - row * 0.42
            x = drawing.hand.uniform(-40, 0)
            while x < 180:
                length = drawing.hand.uniform(52, 84) - row * 9
                sag = drawing.hand.uniform(-0.8, 0.8)
                points = curve((x, y), (x + length / 2, y + sag), (x + length, y))
                swell = [thick * min(1, 2.6 * math.sin(math.pi * i / 12)) for i in range(13)]
                drawing.blade(points, swell, fill)
                x += length + 2 + row * 5.5
            y += 4.4 + row * 0.35
    drawing.disc((143, 62), 12.5, RIME)


def _wall(drawing: Drawing) -> None:
    """The garden wall behind: bricks over pale mortar, a coping along the top."""
    top, foot = 95.0, 146.0
    drawing.area([(0, top), (180, top), (180, foot), (0, foot)], MAUVE)
    course = 6.1
    row = 0
    y = top + 5.2
    while y < foot - 1:
        x = -12.0 + (row % 2) * 7.2
        while x < 180:
            tired = drawing.hand.random() < 0.07
            height = min(course - 1.3, foot - y)
            drawing.area([(x, y), (x + 13.1, y), (x + 13.1, y + height), (x, y + height)], ROSE if tired else BRICK)
            x += 14.4
        y += course
        row += 1
    drawing.outlined([(-4, top), (184, top - 0.4), (184, top + 4.4), (-4, top + 4.8)], RIME, 1.1)
    for x in range(16, 180, 23):
        drawing.line([(x, top + 0.4), (x + 0.4, top + 4.2)], 0.9)


def _tree(drawing: Drawing) -> None:
    """A pear trained flat against the wall, bare, on the right."""
    trunk = [(166, 147), (165.4, 130), (166.2, 112), (165.6, 88), (166.3, 78)]
    drawing.blade(trunk, [3.4, 2.6, 2.2, 1.7, 1.0], KEY)
    for y in (136.0, 123.5, 111.0, 100.0, 88.5):
        for side in (-1, 1):
            reach = 15.5 if side < 0 else 17
            tip = (166 + side * reach, y - 3.4)
            branch = curve((166, y + 1.5), (166 + side * 5, y - 2.6), tip)
            drawing.blade(branch, [1.9 - 0.075 * i for i in range(13)], KEY)
            for number in (5, 8, 10):
                x, by = branch[number]
                lift = drawing.hand.uniform(2.2, 3.6)
                drawing.line([(x, by), (x + side * 0.8, by - lift)], 0.9, waver=0)


def _ground(drawing: Drawing) -> None:
    drawing.area([(0, 145), (180, 145), (180, 240), (0, 240)], OCHRE)
    # A trodden path along the wall, white with rime.
    drawing.area([(0, 145), (180, 145), (180, 151), (120, 153.5), (60, 163.5), (0, 165.5)], RIME)
    drawing.line([(0, 145.6), (22, 145.8)], 1.1)
    drawing.line([(148, 146.2), (180, 146)], 1.1)


_A, _B, _C, _D, _E = (20.0, 160.0), (20.0, 103.0), (54.0, 62.0), (88.0, 103.0), (88.0, 160.0)
_F, _G, _H = (147.0, 106.0), (147.0, 151.0), (116.0, 71.0)
_BASE = 0.24  # share of the wall's height that is brick


def _house(drawing: Drawing) -> None:
    drawing.area([_A, _B, _C, _D, _E], GLASS)
    drawing.area([_C, _D, _F, _H], GLASS)
    drawing.area([_D, _E, _G, _F], GLASS)
    _roof_light(drawing)
    _inside(drawing)
    _base_wall(drawing)
    _bars(drawing)
    _door(drawing)
    # Ridge, eaves and corners last, and heaviest.
    for line in ([_B, _C, _D], [_C, _H, _F], [_D, _F], [_A, _B], [_D, _E], [_F, _G]):
        drawing.line(line, 1.7)
    drawing.line([_A, _E, _G], 1.5)
    drawing.line([(51.5, 61.5), (54, 57.5), (56.5, 61.5)], 1.3)


def _roof_light(drawing: Drawing) -> None:
    """Panes that hold rime, panes that hold the sky, and one open light."""

    def pane(i: int, j: int) -> list[Point]:
        def at(u: float, v: float) -> Point:
            return between(between(_C, _H, u), between(_D, _F, u), v)

        return [at(i / 6, j / 3), at((i + 1) / 6, j / 3), at((i + 1) / 6, (j + 1) / 3), at(i / 6, (j + 1) / 3)]

    for i, j, fill in (
        (0, 0, RIME), (1, 0, RIME), (2, 0, RIME), (1, 1, RIME), (4, 0, ROSE), (5, 0, ROSE), (5, 1, ROSE),
        (4, 2, RIME), (3, 0, RIME), (0, 2, MAUVE), (2, 2, MAUVE), (3, 1, ROSE),
    ):  # fmt: skip
        drawing.area(pane(i, j), fill)
    hinge, edge = between(_C, _H, 0.55), between(_C, _H, 0.78)
    drawing.outlined([hinge, edge, (edge[0] + 11, edge[1] + 1.5), (hinge[0] + 11.5, hinge[1] + 2.5)], SLATE, 1.1)


def _inside(drawing: Drawing) -> None:
    """Staging, pots and winter green, seen through the glass."""
    drawing.area([(22, 133), (46, 133), (46, 136.5), (22, 136.5)], OCHRE)
    for x, height in ((25.5, 13.0), (33.5, 17.0), (41.0, 11.5)):
        for lean in (-5.2, -2.4, 0.4, 3.0, 5.2):
            tip = (x + lean, 126 - height + abs(lean) * 1.1)
            leaf = curve((x, 127), (x + lean * 0.2, 127 - height * 0.6), tip)
            drawing.blade(leaf, [1.2 + 1.6 * math.sin(math.pi * i / 12) for i in range(13)], LEEK)
        drawing.outlined([(x - 3.1, 126), (x + 3.1, 126), (x + 2.3, 133), (x - 2.3, 133)], BRICK, 0.9)
    for number in range(5):
        x = 95.5 + number * 10.6
        base = 136.5 - number * 1.2
        for lean in (-4.2, -1.6, 1.4, 4.0):
            tip = (x + lean, base - 17 + abs(lean) * 1.3)
            leaf = curve((x, base), (x + lean * 0.2, base - 9), tip)
            drawing.blade(leaf, [1.3 + 1.7 * math.sin(math.pi * i / 12) for i in range(13)], LEEK)


def _base_wall(drawing: Drawing) -> None:
    low_d, low_f = between(_E, _D, _BASE), between(_G, _F, _BASE)
    low_b = between(_A, _B, _BASE)
    drawing.area([_A, low_b, low_d, _E], BRICK)
    drawing.area([_E, low_d, low_f, _G], SLATE)
    for share in (1 / 3, 2 / 3):
        drawing.line([between(_A, low_b, share), between(_E, low_d, share)], 0.95, MAUVE)
        drawing.line([between(_E, low_d, share), between(_G, low_f, share)], 0.95, MAUVE)
    for row in range(3):
        for column in range(8):
            t = (column + 0.5 * (row % 2) + 0.4) / 8
            if t < 0.98:
                foot, head = between(_A, _E, t), between(low_b, low_d, t)
                joint = [between(foot, head, row / 3), between(foot, head, (row + 1) / 3)]
                drawing.line(joint, 0.95, MAUVE, waver=0)
                foot, head = between(_E, _G, t), between(low_d, low_f, t)
                joint = [between(foot, head, row / 3), between(foot, head, (row + 1) / 3)]
                drawing.line(joint, 0.95, MAUVE, waver=0)
    drawing.line([low_b, low_d, low_f], 1.3)


def _bars(drawing: Drawing) -> None:
    """Glazing bars of the gable, the roof and the long side."""
    low_b, low_d, low_f = between(_A, _B, _BASE), between(_E, _D, _BASE), between(_G, _F, _BASE)
    drawing.line([_B, _D], 1.2)
    for t in (1 / 6, 1 / 3, 1 / 2, 2 / 3, 5 / 6):
        foot = between(low_b, low_d, t)
        head = between(_B, _C, t * 2) if t <= 0.5 else between(_C, _D, t * 2 - 1)
        drawing.line([foot, head], 1.0)
    for i in range(1, 6):
        drawing.line([between(_C, _H, i / 6), between(_D, _F, i / 6)], 1.0)
    for j in (1 / 3, 2 / 3):
        drawing.line([between(_C, _D, j), between(_H, _F, j)], 0.9)
    for i in range(1, 6):
        drawing.line([between(_D, _F, i / 6), between(low_d, low_f, i / 6)], 1.0)


def _door(drawing: Drawing) -> None:
    drawing.outlined([(55, 159.6), (55, 108), (76, 108), (76, 159.8)], GLASS, 1.3)
    drawing.area([(57.2, 146), (73.8, 146), (73.8, 157.5), (57.2, 157.5)], SLATE)
    drawing.area([(57.2, 110.2), (65, 110.2), (65, 124), (57.2, 124)], RIME)
    drawing.area([(66.4, 128), (73.8, 128), (73.8, 143.6), (66.4, 143.6)], ROSE)
    for line in ([(55, 144.8), (76, 144.8)], [(65.6, 108), (65.6, 144.8)], [(55, 126), (76, 126)]):
        drawing.line(line, 1.0)
    drawing.disc((73.6, 149.5), 0.95, RIME)


def _rows(drawing: Drawing) -> None:
    """Leeks in rows running up to the house, furrows between them white on the sun's side."""
    vanishing = (92.0, 118.0)
    feet = [-96.0, -50.0, -4.0, 42.0, 88.0, 134.0]
    for foot in feet:
        near, far = (foot + 23, 246.0), between((foot + 23, 246.0), vanishing, 0.62)
        drawing.blade([near, between(near, far, 0.5), far], [12.5, 8.2, 4.0], SLATE)
        shift = (near[0] - 7.2, near[1])
        end = (far[0] - 2.2, far[1])
        drawing.blade([shift, between(shift, end, 0.5), end], [3.8, 2.6, 1.4], RIME)
    _frost(drawing)
    places = []
    for foot in feet:
        for step in range(9):
            t = 0.02 + 0.6 * (1 - (1 - step / 8.6) ** 1.5)
            x, y = between((foot, 243.0), vanishing, t)
            if -8 < x < 186 and y > 168 and not (104 < x < 176 and 168 < y < 214):
                places.append((y, x, 1 - t))
    for y, x, scale in sorted(places):
        _leek(drawing, x, y, scale)


def _frost(drawing: Drawing) -> None:
    """Short strokes of rime on the soil."""
    for _ in range(70):
        y = drawing.hand.uniform(170, 236)
        x = drawing.hand.uniform(2, 176)
        size = 0.6 + (y - 165) / 75
        stroke = curve((x, y), (x + 2 * size, y - 0.5), (x + 4.4 * size, y + 0.1), 6)
        drawing.blade(stroke, [0.3, 1.1, 1.4, 1.5, 1.4, 1.0, 0.3], RIME)


def _leek(drawing: Drawing, x: float, y: float, scale: float) -> None:
    tall = 31 * scale
    shank = [(x, y), (x + 0.3, y - tall * 0.32)]
    drawing.blade(shank, [5.0 * scale, 4.2 * scale], RIME)
    fans = (-1.0, -0.62, -0.28, 0.12, 0.45, 0.8, 1.1)
    for number, lean in enumerate(fans):
        lean += drawing.hand.uniform(-0.1, 0.1)
        root = (x + lean * 1.6 * scale, y - tall * 0.27)
        bend = (x + lean * tall * 0.22, y - tall * (0.95 - 0.16 * abs(lean)))
        tip = (x + lean * tall * 0.62, y - tall * (1.0 - 0.42 * abs(lean)))
        leaf = curve(root, bend, tip)
        wide = 4.3 * scale
        drawing.blade(leaf, [wide * min(1, 0.5 + i / 8) * (1 - (i / 12) ** 3) for i in range(13)], LEEK)
        if scale > 0.55 and number in (1, 3, 5):
            rib = leaf[2:10]
            drawing.blade(rib, [0.35, 0.8, 1.0, 1.1, 1.1, 1.0, 0.8, 0.35], GLASS)
        if scale > 0.5:
            edge = leaf[1:11]
            side = [(px + wide * 0.42, py + wide * 0.1) for px, py in edge]
            drawing.line(side, 0.6 + 0.45 * scale, waver=0)
    drawing.line([(x - 2.6 * scale, y), (x - 2.2 * scale, y - tall * 0.26)], 0.7 + 0.4 * scale, waver=0.1)
    drawing.line([(x + 2.6 * scale, y), (x + 2.3 * scale, y - tall * 0.26)], 0.7 + 0.4 * scale, waver=0.1)
    drawing.line([(x - 2.8 * scale, y + 0.3), (x + 2.8 * scale, y + 0.3)], 0.7 + 0.4 * scale, waver=0.1)


def _barrow(drawing: Drawing) -> None:
    """The wheelbarrow, left standing with the day's leeks in it."""
    shadow = curve((104, 217.6), (136, 218.6), (171, 216.6))
    drawing.blade(shadow, [5.2 * math.sin(math.pi * (i + 0.4) / 12.8) ** 0.6 for i in range(13)], SLATE)
    for x, lean in ((126, -10), (132, -5), (138, 1), (144, 7), (149, 12)):
        leaf = curve((x, 184), (x + lean * 0.4, 170), (x + lean * 1.7, 162 + abs(lean) * 0.5))
        drawing.blade(leaf, [3.6 - 0.24 * i for i in range(13)], LEEK)
        drawing.line([(px + 1.5, py) for px, py in leaf[:10]], 0.85, waver=0)
    drawing.line([(151, 205), (160, 216)], 2.0)
    drawing.line([(143, 204), (148, 216.5)], 2.0)
    tray = [(113, 180), (157, 182.5), (151, 204), (128, 205)]
    drawing.outlined(tray, SLATE, 1.6)
    drawing.area([(115, 180.9), (156, 183.3), (155.2, 186.6), (116.6, 184.4)], RIME)
    drawing.line([(113, 180), (157, 182.5)], 1.6)
    for t in (0.36, 0.66):
        drawing.line([between((117.5, 187), (155, 188.5), t), between(tray[3], tray[2], t)], 1.0)
    drawing.blade([(119, 209), (150, 200), (176, 190)], [2.6, 2.6, 2.2], KEY)
    drawing.blade([(121, 208.4), (150, 200), (174.5, 190.6)], [0.9, 1.1, 0.9], OCHRE)
    drawing.disc((117.5, 209.5), 8.4, OCHRE, 1.8)
    drawing.disc((117.5, 209.5), 5.6, SLATE, 1.1)
    for angle in (20, 80, 140):
        dx, dy = 5.4 * math.cos(math.radians(angle)), 5.4 * math.sin(math.radians(angle))
        drawing.line([(117.5 - dx, 209.5 - dy), (117.5 + dx, 209.5 + dy)], 1.0, waver=0)


if __name__ == "__main__":
    write_files(_DEMO, "glasshouse", glasshouse())
