"""How block and sheet lie on the bench in each system of registration, and the pins for a cutter."""

from collections.abc import Sequence

from nomos.base.language import tr
from nomos.base.units import length_text, size_text
from nomos.formats.drawing import Drawing, Shape, Word
from nomos.project import Project
from nomos.registration import SYSTEMS, Point, SystemPlan
from nomos.registration.pins import nest
from nomos.registration.settings import PinSettings
from nomos.registration.systems.shapes import LASER_CAUTION


def bench_drawing(project: Project, plan: SystemPlan) -> Drawing:
    """A system as it lies on the bench before the printer: block face up, sheet face down, so mirrored."""
    bench = plan.bench
    width, height = project.paper.width_mm, project.paper.height_mm
    left, right = min(bench.left, 0.0), max(bench.right, width)
    top, bottom = min(bench.top, 0.0), max(bench.bottom, height)

    def laid(point: Point) -> Point:
        return right - point[0], point[1] - top

    shapes = [Shape(each.kind, (tuple(map(laid, each.points)),), each.closed) for each in plan.shapes]
    if all(shape.kind != "sheet" for shape in plan.shapes):
        shapes.append(Shape("sheet", (tuple(map(laid, ((0, 0), (width, 0), (width, height), (0, height)))),)))
    image = project.image
    corners = (
        (image.left, image.top), (image.right, image.top),
        (image.right, image.bottom), (image.left, image.bottom),
    )  # fmt: skip
    shapes.append(Shape("image", (tuple(map(laid, corners)),)))
    shapes += [Shape("dimension", ((laid(each.start), laid(each.end)),), closed=False) for each in plan.dimensions]
    words = [Word(laid(_middle(shape.points)), shape.word) for shape in plan.shapes if shape.word]
    words += [Word(laid(_middle((each.start, each.end))), each.text) for each in plan.dimensions]
    block = plan.block
    return Drawing(
        f"bench-{plan.system}",
        f"{project.title}: {SYSTEMS[plan.system].said}",
        (
            tr("As it lies before you: the block face up, the sheet face down. Print at 100 %."),
            tr(
                "Block {width}, sheet {width_2}.",
                width=size_text(block.width, block.height),
                width_2=size_text(width, height),
            ),
            *(f"{place}. {step}" for place, step in enumerate(plan.steps, start=1)),
            *plan.limits,
        ),
        (right - left, bottom - top),
        tuple(shapes),
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
    shapes = [Shape("cut", (cut,)) for part in placed for cut in part.cuts]
    words = [Word(part.label_at, part.part.name.split()[0]) for part in placed]
    return Drawing(
        "pins",
        tr("Tabs and pins, {pairs} pairs, {board_mm} board", pairs=pins.pairs, board_mm=length_text(pins.board_mm)),
        (
            tr(
                "M is the male half: glue its stub onto its foot. F is the female half. Clearance "
                "{clearance_mm} each side; the lines take up a kerf of {kerf_mm}.",
                clearance_mm=length_text(pins.clearance_mm, 2),
                kerf_mm=length_text(pins.kerf_mm, 2),
            ),
            tr("Cut one set of F for every sheet that dries with its tabs on."),
            LASER_CAUTION,
        ),
        pins.stock_mm,
        tuple(shapes),
        tuple(words),
    )
