"""A hand that draws demo sketches as SVG, in millimetres, the same every time."""

import math
import random
from collections.abc import Iterable, Sequence
from itertools import pairwise
from pathlib import Path

Point = tuple[float, float]


class Drawing:
    """SVG elements in the order they are laid, with a hand that wavers a little."""

    def __init__(self, title: str, size_mm: tuple[int, int], seed: int, key: str) -> None:
        self.title, self.size_mm, self.key = title, size_mm, key
        self.parts: list[str] = []
        self.hand = random.Random(seed)

    def area(self, points: Iterable[Point], fill: str) -> None:
        """A filled shape."""
        self.parts.append(f'<path d="{_path(points, closed=True)}" fill="{fill}"/>')

    def line(self, points: Sequence[Point], width: float, stroke: str | None = None, waver: float = 0.22) -> None:
        """A line of the given width in mm, of the key if not said, wavering along its straight stretches."""
        self.parts.append(
            f'<path d="{_path(self._wavered(points, waver))}" fill="none" stroke="{stroke or self.key}" '
            f'stroke-width="{width:.2f}" stroke-linecap="round" stroke-linejoin="round"/>'
        )

    def outlined(self, points: Sequence[Point], fill: str, width: float) -> None:
        """A filled shape with the key line around it."""
        self.area(points, fill)
        self.line([*points, points[0]], width)

    def blade(self, points: Sequence[Point], widths: Sequence[float], fill: str) -> None:
        """A stroke that swells and tapers, as a gouge or a leaf does."""
        left, right = [], []
        for number, (x, y) in enumerate(points):
            before, after = points[max(number - 1, 0)], points[min(number + 1, len(points) - 1)]
            dx, dy = after[0] - before[0], after[1] - before[1]
            norm = math.hypot(dx, dy) or 1
            half = widths[number] / 2
            left.append((x - dy / norm * half, y + dx / norm * half))
            right.append((x + dy / norm * half, y - dx / norm * half))
        self.area([*left, *reversed(right)], fill)

    def disc(self, centre: Point, radius: float, fill: str, outline: float = 0) -> None:
        """A filled disc, with a key line of the given width around it."""
        ink = f' stroke="{self.key}" stroke-width="{outline:.2f}"' if outline else ""
        self.parts.append(f'<circle cx="{centre[0]:.2f}" cy="{centre[1]:.2f}" r="{radius:.2f}" fill="{fill}"{ink}/>')

    def _wavered(self, points: Sequence[Point], waver: float) -> list[Point]:
        wavered = [points[0]]
        for (x0, y0), (x1, y1) in pairwise(points):
            steps = max(1, round(math.hypot(x1 - x0, y1 - y0) / 9))
            for step in range(1, steps + 1):
                t = step / steps
                shift = 0.0 if step == steps else waver
                wavered.append(
                    (
                        x0 + (x1 - x0) * t + self.hand.uniform(-shift, shift),
                        y0 + (y1 - y0) * t + self.hand.uniform(-shift, shift),
                    )
                )
        return wavered

    def svg(self) -> str:
        """The whole document."""
        body = "\n".join(self.parts)
        width, height = self.size_mm
        return (
            f'<svg xmlns="http://www.w3.org/2000/svg" width="{width}mm" height="{height}mm" '
            f'viewBox="0 0 {width} {height}">\n<title>{self.title}</title>\n{body}\n</svg>\n'
        )


def _path(points: Iterable[Point], closed: bool = False) -> str:
    text = " L".join(f"{x:.2f} {y:.2f}" for x, y in points)
    return f"M{text}{' Z' if closed else ''}"


def between(a: Point, b: Point, t: float) -> Point:
    """The point a share of the way from one to another."""
    return a[0] + (b[0] - a[0]) * t, a[1] + (b[1] - a[1]) * t


def curve(a: Point, b: Point, c: Point, steps: int = 12) -> list[Point]:
    """A quadratic curve from a to c, drawn towards b."""
    return [between(between(a, b, i / steps), between(b, c, i / steps), i / steps) for i in range(steps + 1)]


def write_files(folder: Path, name: str, svg: str) -> None:
    """Write NAME.svg and, drawn from it at 300 dpi, NAME.png."""
    from PIL import Image

    from nomos.design import read_picture

    (folder / f"{name}.svg").write_text(svg, "utf-8")
    picture = read_picture(svg.encode(), f"{name}.svg")
    Image.fromarray(picture.rgb).save(folder / f"{name}.png", dpi=(300, 300), optimize=True)
