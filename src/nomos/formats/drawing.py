"""A drawing at true size for a bench or a cutter: named layers of lines, before it is PDF, SVG or DXF."""

from collections.abc import Sequence
from dataclasses import dataclass
from textwrap import wrap

from nomos.formats.template import Template
from nomos.project import Project
from nomos.registration import Point, SystemPlan
from nomos.registration.pins import nest
from nomos.registration.plan import LASER_CAUTION
from nomos.registration.settings import SYSTEM_NAMES, PinSettings
from nomos.units import number, size_text

_LETTER_MM, _LINE_MM, _NARROWEST_MM, _HEAD_MM = 1.45, 4.0, 120.0, 8.0
_APART_MM = 15.0


@dataclass(frozen=True)
class Line:
    """A line or closed shape on a layer, mm from the drawing's top left, y down."""

    layer: str
    points: tuple[Point, ...]
    closed: bool = True


@dataclass(frozen=True)
class Word:
    """A word on a drawing, its middle at a place, mm."""

    place: Point
    text: str


@dataclass(frozen=True, eq=False)
class Drawing:
    """What is drawn, with a heading and sentences that stand above it on paper, not in a cutter's file."""

    name: str
    heading: str
    notes: tuple[str, ...]
    size_mm: tuple[float, float]
    lines: tuple[Line, ...]
    words: tuple[Word, ...] = ()

    @property
    def text(self) -> tuple[str, ...]:
        """The sentences, broken to the drawing's width."""
        letters = int(max(self.size_mm[0], _NARROWEST_MM) / _LETTER_MM)
        return tuple(line for note in self.notes for line in wrap(note, letters))

    @property
    def header_mm(self) -> float:
        """Height of the heading and its sentences."""
        return _HEAD_MM + _LINE_MM * len(self.text)

    @property
    def page_mm(self) -> tuple[float, float]:
        """With its header."""
        return max(self.size_mm[0], _NARROWEST_MM), self.size_mm[1] + self.header_mm


def bench_drawing(project: Project, plan: SystemPlan) -> Drawing:
    """A system as it lies on the bench before the printer: block face up, sheet face down, so mirrored."""
    bench = plan.bench
    width, height = project.paper.width_mm, project.paper.height_mm
    left, right = min(bench.left, 0.0), max(bench.right, width)
    top, bottom = min(bench.top, 0.0), max(bench.bottom, height)

    def laid(point: Point) -> Point:
        return right - point[0], point[1] - top

    lines = [Line(shape.kind, tuple(map(laid, shape.points)), shape.closed) for shape in plan.shapes]
    if all(shape.kind != "sheet" for shape in plan.shapes):
        lines.append(Line("sheet", tuple(map(laid, ((0, 0), (width, 0), (width, height), (0, height))))))
    image = project.image
    corners = (
        (image.left, image.top), (image.right, image.top),
        (image.right, image.bottom), (image.left, image.bottom),
    )  # fmt: skip
    lines.append(Line("image", tuple(map(laid, corners))))
    lines += [Line("dimension", (laid(each.start), laid(each.end)), closed=False) for each in plan.dimensions]
    words = [Word(laid(_middle(shape.points)), shape.word) for shape in plan.shapes if shape.word]
    words += [Word(laid(_middle((each.start, each.end))), each.text) for each in plan.dimensions]
    block = plan.block
    return Drawing(
        f"bench-{plan.system}",
        f"{project.title}: {SYSTEM_NAMES[plan.system]}",
        (
            "As it lies before you: the block face up, the sheet face down. Print at 100 %.",
            f"Block {size_text(block.width, block.height)}, sheet {size_text(width, height)}.",
            *(f"{place}. {step}" for place, step in enumerate(plan.steps, start=1)),
            *plan.limits,
        ),
        (right - left, bottom - top),
        tuple(lines),
        tuple(words),
    )


def _middle(points: Sequence[Point]) -> Point:
    xs, ys = [x for x, _ in points], [y for _, y in points]
    return (min(xs) + max(xs)) / 2, (min(ys) + max(ys)) / 2


def pins_drawing(pins: PinSettings) -> Drawing:
    """Tabs and pins nested on their board, with the cutter's path outside parts and inside holes.

    M is the half fixed to the base, F the half on the sheet. Raises RegisterError.
    """
    placed = nest(pins)
    lines = [Line("cut", cut) for part in placed for cut in part.cuts]
    words = [Word(part.label_at, part.part.name.split()[0]) for part in placed]
    return Drawing(
        "pins",
        f"Tabs and pins, {pins.pairs} pairs, {number(pins.board_mm)} mm board",
        (
            f"M is the male half: glue its stub onto its foot. F is the female half. Clearance "
            f"{number(pins.clearance_mm, 2)} mm each side; the lines take up a kerf of "
            f"{number(pins.kerf_mm, 2)} mm.",
            "Cut one set of F for every sheet that dries with its tabs on.",
            LASER_CAUTION,
        ),
        pins.stock_mm,
        tuple(lines),
        tuple(words),
    )


def templates_drawing(templates: Sequence[Template]) -> Drawing:
    """The block faces of a set side by side, mirrored as they are cut, each on layers of its own."""
    lines: list[Line] = []
    words: list[Word] = []
    x = tall = 0.0
    for place, each in enumerate((one for one in templates if one.face == "block"), start=1):

        def moved(points: Sequence[Point], by: float = x) -> tuple[Point, ...]:
            return tuple((float(px) + by, float(py)) for px, py in points)

        width, height = each.size_mm
        name = f"block{place:02d}"
        lines.append(Line(f"{name}-edge", moved(((0, 0), (width, 0), (width, height), (0, height)))))
        lines += [
            Line(f"{name}-printing", moved(_open(ring.tolist()))) for area in each.areas for ring in area
        ]
        lines += [Line(f"{name}-saw", moved(_open(path))) for path in each.saw]
        lines += [Line(f"{name}-floor", moved(floor)) for floor in each.floors]
        lines += [Line(f"{name}-wall", moved(wall), closed=False) for wall in each.walls]
        lines.append(Line(f"{name}-corner", moved(each.corner)))
        words.append(Word((x + width / 2, 4.0), each.heading))
        x, tall = x + width + _APART_MM, max(tall, height)
    title = templates[0].title if templates else ""
    notes = ("Blocks, mirrored: what you see is what you cut.",)
    return Drawing(
        "blocks", f"{title}: blocks", notes, (max(x - _APART_MM, 1.0), tall), tuple(lines), tuple(words)
    )


def _open(ring: Sequence[Point]) -> Sequence[Point]:
    """A ring without its first point again at the end: closing it is the format's own doing."""
    points = [(float(x), float(y)) for x, y in ring]
    return points[:-1] if len(points) > 1 and points[0] == points[-1] else points
