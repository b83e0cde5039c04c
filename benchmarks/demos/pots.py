"""The demo for a jigsaw: three clay pots on a glasshouse shelf, in pieces large enough to saw.

Millimetres, 130 × 95. Everything in it is made up for Nomos.
`python -m benchmarks.demos.pots` writes the shipped files anew.
"""

import math
from pathlib import Path

from benchmarks.demos.drawing import Drawing, curve, write_files

# Where the program ships them from.
_DEMO = Path(__file__).parents[2] / "src/nomos/demo"
TITLE = "Three pots"
SIZE_MM = (130, 95)
DAWN, WALL, SHELF, CLAY, RIM, LEAF, DEEP = (
    "#e9cdb6", "#8fa6ad", "#d0ad6c", "#b4583f", "#cf8a68", "#567c5b", "#34405a",
)  # fmt: skip


def pots() -> str:
    """The sketch as SVG text; the same every time."""
    drawing = Drawing(TITLE, SIZE_MM, 3, DEEP)
    drawing.area([(0, 0), (130, 0), (130, 95), (0, 95)], DEEP)
    drawing.area([(0, 0), (46, 0), (46, 72), (0, 72)], WALL)
    drawing.area([(50.5, 0), (130, 0), (130, 72), (50.5, 72)], DAWN)
    drawing.area([(0, 76), (130, 76), (130, 86), (0, 86)], SHELF)
    _pot(drawing, 24.0, 76.0, 25.0, 25.0)
    _bay(drawing, 24.0, 45.0)
    _pot(drawing, 68.0, 76.0, 30.0, 25.0)
    _pot(drawing, 68.0, 44.0, 22.0, -22.0)
    _pot(drawing, 107.0, 76.0, 22.0, 20.0)
    _seedling(drawing, 107.0, 49.0)
    return drawing.svg()


def _pot(drawing: Drawing, x: float, foot: float, wide: float, tall: float) -> None:
    """A clay pot standing on its foot; one of less than no height stands on its rim."""
    lip = foot - tall if tall > 0 else foot - 7
    base = foot if tall > 0 else foot - 7 + tall
    rim = (lip - 7, lip) if tall > 0 else (lip, foot)
    drawing.area(
        [(x - wide * 0.44, lip), (x + wide * 0.44, lip), (x + wide * 0.33, base), (x - wide * 0.33, base)], CLAY
    )
    drawing.area([(x - wide / 2, rim[0]), (x + wide / 2, rim[0]), (x + wide / 2, rim[1]), (x - wide / 2, rim[1])], RIM)


def _bay(drawing: Drawing, x: float, base: float) -> None:
    """A bay clipped round, on a trunk stout enough to saw."""
    drawing.area([(x - 2.6, base), (x + 2.6, base), (x + 2.2, base - 14), (x - 2.2, base - 14)], LEAF)
    drawing.disc((x, base - 23), 13.5, LEAF)


def _seedling(drawing: Drawing, x: float, base: float) -> None:
    """Two leaves on a stalk too thin to saw."""
    drawing.blade([(x, base), (x + 0.6, base - 8), (x, base - 15)], [6.0, 2.0, 2.4], LEAF)
    for side in (-1, 1):
        leaf = curve((x, base - 14), (x + side * 8, base - 25), (x + side * 16, base - 21))
        drawing.blade(leaf, [2.4 + 7.0 * math.sin(math.pi * (i + 0.4) / 12.8) for i in range(13)], LEAF)


if __name__ == "__main__":
    write_files(_DEMO, "pots", pots())
