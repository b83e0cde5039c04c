"""A system of registration drawn to scale: what lies where on block, sheet and bench, its steps and limits.

Everything is worked out as the sheet lies before the printer, near edge at the
bottom, as seen on the print; `laid_back` turns a sheet that lies on its side
upright again.
"""

from collections.abc import Callable, Sequence
from dataclasses import dataclass, replace
from typing import Literal

from nomos.registration.contacts import Contacts, Place
from nomos.registration.kento import GRIP_MM, Kento, KentoError, KentoSettings, Point, Rect, place_kento
from nomos.registration.pins import TAB_MM, female_part, male_part, overlap_mm, pin_places
from nomos.registration.settings import RegisterError, RegisterSettings, System
from nomos.units import number, size_text

Kind = Literal[
    "block", "base", "sheet", "image", "wall", "floor", "tidy", "block stop", "paper stop", "packing",
    "pin", "tab", "tape", "cross", "corner", "board",
]  # fmt: skip

# A stop is a strip of board; the crosses of a bed sheet stand in the sheet's corners (chosen by us).
STOP_MM, STOP_LONG_MM, CROSS_MM = 10.0, 40.0, 8.0
# A base reaches this far beyond everything on it, and a paper stop this far above the block (chosen by us).
_BASE_MM, _ABOVE_MM = 15.0, 1.5
_CORNER_MM = 8.0
LASER_CAUTION = (
    "Laser cutting needs extraction and someone who watches for fire; the board's safety sheet, local rules "
    "and trained people come first."
)
_DAMP = (
    "Damp paper grows: keep the pack evenly damp. Kept long it moulds; use a biocide only as its safety "
    "sheet and local rules say."
)
# What the sheet reaches beyond the block on the stopped sides, at the least.
_JIG_CLEAR_MM = 1.0
# Where the stops for sheet and block stand along their edges, so that none is in another's way.
_PAPER_STOPS, _SIDE_STOP, _BLOCK_STOPS, _BLOCK_SIDE_STOP = (0.1, 0.9), 0.4, (0.3, 0.7), 0.75


@dataclass(frozen=True)
class Shape:
    """One thing of a system: a closed shape or a line, mm as seen on the print."""

    kind: Kind
    points: tuple[Point, ...]
    closed: bool = True
    word: str = ""


@dataclass(frozen=True)
class Dimension:
    """A distance worth knowing at the bench."""

    start: Point
    end: Point
    text: str


@dataclass(frozen=True)
class SystemPlan:
    """A system for one sheet and image.

    block : every block of the set, in sheet coordinates.
    bench : all that is shown, in sheet coordinates.
    steps, limits : what to do, and what it will not do, a sentence each.
    """

    system: System
    block: Rect
    bench: Rect
    shapes: tuple[Shape, ...]
    dimensions: tuple[Dimension, ...]
    contacts: Contacts
    steps: tuple[str, ...]
    limits: tuple[str, ...]


def plan_system(
    sheet_mm: tuple[float, float], image: Rect, settings: RegisterSettings, kento: KentoSettings
) -> SystemPlan:
    """The chosen system for a sheet and an image.

    Raises
    ------
    KentoError, RegisterError : no room for it, saying what would help.
    """
    makers: dict[System, Callable[..., SystemPlan]] = {
        "kento": _kento, "floating": _floating, "pins": _pins, "jig": _jig, "bed": _bed,
        "translucent": _translucent,
    }  # fmt: skip
    make = makers[settings.system]
    if not lies_on_side(sheet_mm, settings.side):
        return make(sheet_mm, image, settings, kento)
    width, height = sheet_mm
    laid = Rect(height - image.bottom, image.left, height - image.top, image.right)
    return laid_back(make((height, width), laid, settings, kento), height)


def lies_on_side(sheet_mm: tuple[float, float], side: Literal["long", "short"] | None) -> bool:
    """Whether the sheet's right edge is nearest the printer, so that the chosen side is."""
    width, height = sheet_mm
    return side is not None and width != height and (width > height) != (side == "long")


def laid_back(plan: SystemPlan, height: float) -> SystemPlan:
    """A plan for a sheet laid a quarter turn clockwise, in the sheet's own upright coordinates."""

    def back(point: Place) -> Place:
        return point[1], height - point[0]

    def way(vector: Place) -> Place:
        return vector[1], -vector[0] + 0.0

    def rect(area: Rect) -> Rect:
        return Rect(area.top, height - area.right, area.bottom, height - area.left)

    held = plan.contacts
    (a, b, c), (u, v, w) = held.places, held.inward
    return replace(
        plan,
        block=rect(plan.block),
        bench=rect(plan.bench),
        shapes=tuple(replace(each, points=tuple(map(back, each.points))) for each in plan.shapes),
        dimensions=tuple(
            replace(each, start=back(each.start), end=back(each.end)) for each in plan.dimensions
        ),
        contacts=replace(
            held, places=(back(a), back(b), back(c)), inward=(way(u), way(v), way(w)), turned=True
        ),
    )


def kento_shapes(kento: Kento) -> tuple[Shape, ...]:
    """Both notches: floors and walls."""
    found = []
    for notch in (kento.corner, kento.straight):
        found.append(Shape("floor", notch.floor))
        found.append(Shape("wall", notch.wall, closed=False))
    return tuple(found)


def _kento(
    sheet_mm: tuple[float, float], image: Rect, settings: RegisterSettings, choice: KentoSettings
) -> SystemPlan:
    kento = place_kento(sheet_mm, image, choice)
    grain = "along" if kento.block.width >= kento.block.height else "across"
    return SystemPlan(
        "kento",
        kento.block,
        kento.block,
        (_shape("block", kento.block), *kento_shapes(kento), *_tidy(kento, choice)),
        _kento_dimensions(kento),
        Contacts.of_sheet(sheet_mm, choice.hand, choice.corner_arm_mm, choice.straight_place),
        (
            "Score the walls with a knife held upright, then pare the floors to depth from the image's side.",
            "Pare the cleared wood between image and notches below the floors (the tidy line), "
            "so that the sheet lies flat.",
            "Cut the same notches in every block of the set, from one tracing.",
            "Seat the sheet's corner first, then its edge at the straight notch, then let it fall.",
        ),
        (
            "Notches hold stiff or damp paper; a floppy dry sheet buckles in them.",
            f"With the grain {grain} the near edge, a notch wall across the grain splits off easily: "
            "cut across the fibres first.",
            *((_DAMP,) if settings.damp else ()),
        ),
    )


def _kento_dimensions(kento: Kento) -> tuple[Dimension, ...]:
    """How far the straight notch is from the corner, and both from the image."""
    corner = kento.corner.wall[1]
    xs = sorted(point[0] for point in kento.straight.wall)
    middle = (xs[0] + xs[1]) / 2
    y = corner[1] + min(kento.wood_beyond_mm[0] * 0.5, 6)
    text = f"{number(abs(middle - corner[0]))} mm to the middle of the straight notch"
    return (Dimension((corner[0], y), (middle, y), text),)


def _tidy(kento: Kento, choice: KentoSettings) -> tuple[Shape, ...]:
    """The line between image and notches down to which cleared wood is pared."""
    corner = kento.corner.wall[1]
    floors = [point[1] for point in kento.corner.floor]
    y = min(value for value in floors if value > corner[1] - choice.corner_arm_mm + 1e-6)
    edges = kento.block.left, kento.block.right
    return (Shape("tidy", ((edges[0], y), (edges[1], y)), closed=False),)


def _floating(
    sheet_mm: tuple[float, float], image: Rect, _settings: RegisterSettings, choice: KentoSettings
) -> SystemPlan:
    kento = place_kento(sheet_mm, image, replace(choice, block_mm=None))
    near, side = kento.floor_to_image_mm
    room = max(min(near, side) - 0.5, 0.0)
    block = Rect(image.left - room, image.top - room, image.right + room, image.bottom + room)
    if choice.block_mm is not None:
        spare = choice.block_mm[0] - image.width, choice.block_mm[1] - image.height
        if min(spare) < -0.01 or max(spare[0] - 2 * side, spare[1] - 2 * near) > 0.01:
            raise RegisterError(
                f"A block of {size_text(*choice.block_mm)} does not go into the floating kento: the image is "
                f"{size_text(image.width, image.height)}, and the notches leave {number(near)} mm below it "
                f"and {number(side)} mm at its corner side. Trim the block."
            )
        block = Rect(
            image.left - spare[0] / 2, image.top - spare[1] / 2,
            image.right + spare[0] / 2, image.bottom + spare[1] / 2,
        )  # fmt: skip
    right_handed = choice.hand == "right"
    outer = kento.block
    x_in, x_out = (block.left, outer.left) if right_handed else (block.right, outer.right)
    far_x = block.right if right_handed else block.left
    board = (
        (x_out, outer.bottom), (far_x, outer.bottom), (far_x, block.bottom),
        (x_in, block.bottom), (x_in, block.top), (x_out, block.top),
    )  # fmt: skip
    bench = _around([*board, *_corners(block)], (0, 0, *sheet_mm))
    return SystemPlan(
        "floating",
        block,
        bench,
        (Shape("board", board), _shape("block", block), *kento_shapes(kento)),
        _kento_dimensions(kento),
        Contacts.of_sheet(sheet_mm, choice.hand, choice.corner_arm_mm, choice.straight_place),
        (
            "Cut the L from board exactly as thick as the block, and the notches into it.",
            "Fix the L to the base. Push each block into its inner corner, label upright.",
            "Seat the sheet's corner first, then its edge at the straight notch, then let it fall.",
        ),
        (
            "Every block must have the same square corner: it is what meets the L.",
            "The block may rise or slide: hold it with a strip of double-sided tape.",
        ),
    )


def _pins(
    sheet_mm: tuple[float, float], image: Rect, settings: RegisterSettings, choice: KentoSettings
) -> SystemPlan:
    pins = settings.pins
    block = _gripped(image, choice.block_mm)
    places = pin_places(sheet_mm, block, pins, image.top)
    shapes = [_shape("block", block), *_block_stops(block, choice)]
    for place, (x, y) in enumerate(places):
        male = tuple((x + px, y + py) for px, py in male_part(place, pins).outer)
        shapes.append(Shape("base", male))
        shapes += [
            Shape("pin", tuple((x + px, y + py) for px, py in hole)) for hole in male_part(place, pins).holes
        ]
        if pins.taped:
            tab = tuple((x + px, y + py) for px, py in female_part(place, pins).outer)
            shapes.append(Shape("tab", tab, word=f"pair {place + 1}"))
            half = TAB_MM[0] / 2 + 6
            shapes.append(Shape("tape", _corners(Rect(x - half, -4.0, x + half, overlap_mm(image.top)))))
        else:
            shapes.append(Shape("tab", _corners(Rect(x - 6, y - 6, x + 6, y + 6)), word=f"pair {place + 1}"))
    first, last = places[0], places[-1]
    names = ("pin 1", "pin 1", f"pin {len(places)}")
    contacts = Contacts((first, first, last), ((1.0, 0.0), (0.0, 1.0), (0.0, 1.0)), names)
    bench = _around([point for each in shapes for point in each.points], (0, 0, *sheet_mm))
    tape = (
        "Tape each tab under the sheet's far edge, on its back, half on paper and half on tab; on light "
        "paper use low-tack tape, and let it reach over the tab's end so that the sheet does not lift off."
        if pins.taped
        else "Punch the sheets all against one stop, so that the holes are the same on each."
    )
    return SystemPlan(
        "pins",
        block,
        bench,
        tuple(shapes),
        (Dimension(first, last, f"{number(last[0] - first[0])} mm from pin to pin"),),
        contacts,
        (
            "Cut the pairs from thin board: the stub glued on the foot is the male half, the plate with the "
            "hole the female.",
            "Fix the block stops to the base, then the feet by this sheet.",
            tape,
            "Lower the tabs onto the pins one after the other, then let the sheet fall.",
        ),
        (
            "Pair 1 holds both ways; the others slide along the edge, so that the paper may grow.",
            "Dry paper only: tape does not hold on damp sheets."
            if pins.taped
            else "Punched holes wear: past 30 pulls tape a tab over them.",
            LASER_CAUTION,
        ),
    )


def _jig(
    sheet_mm: tuple[float, float], image: Rect, settings: RegisterSettings, choice: KentoSettings
) -> SystemPlan:
    jig = settings.jig
    width, height = sheet_mm
    right_handed = choice.hand == "right"
    # The stops for the sheet stand beyond the block: it is trimmed closer than usual where it must be.
    room = min(height - image.bottom, image.left if right_handed else width - image.right) - _JIG_CLEAR_MM
    grip = min(GRIP_MM, max(room, 0.0))
    size = jig.block_mm or choice.block_mm or (image.width + 2 * grip, image.height + 2 * grip)
    block = _gripped(image, size)
    edge_x, out = (0.0, -1.0) if right_handed else (width, 1.0)
    inward = -out
    near = max(height, block.bottom)
    beyond = min(height - block.bottom, block.left if right_handed else width - block.right)
    if beyond < _JIG_CLEAR_MM - 1e-6:
        raise RegisterError(
            "The sheet must reach 1 mm beyond the block on the two stopped sides, or its stops would stand "
            "on the block: take a larger sheet, or smaller blocks."
        )
    stops = []
    long = min(STOP_LONG_MM, width / 6, height / 6)
    for share in _PAPER_STOPS:
        middle = edge_x + inward * share * width
        stops.append(_box("paper stop", middle, height + STOP_MM / 2, long, STOP_MM))
    stops.append(_box("paper stop", edge_x + out * STOP_MM / 2, height * _SIDE_STOP, STOP_MM, long))
    packing = _packing(block, sheet_mm)
    shapes = [*packing, _shape("block", block), *_block_stops(block, choice), *stops]
    points = [point for each in shapes for point in each.points]
    base = _around(points, (0, 0, width, near))
    base = Rect(base.left - _BASE_MM, base.top - _BASE_MM, base.right + _BASE_MM, base.bottom + _BASE_MM)
    above = jig.thickness_mm + _ABOVE_MM
    contacts = Contacts(
        (
            (edge_x, height * _SIDE_STOP),
            (edge_x + inward * _PAPER_STOPS[0] * width, height),
            (edge_x + inward * _PAPER_STOPS[1] * width, height),
        ),
        ((inward, 0.0), (0.0, -1.0), (0.0, -1.0)),
        ("the side stop", "the near stop at the corner", "the far end's near stop"),
    )
    return SystemPlan(
        "jig",
        block,
        base,
        (Shape("base", _corners(base)), *shapes),
        (
            Dimension(
                (edge_x, height), (block.left if right_handed else block.right, height),
                f"{number(abs(block.left if right_handed else width - block.right))} mm from sheet to block",
            ),
        ),
        contacts,
        (
            f"Block stops: strips {number(max(jig.thickness_mm - 1, 0.5))} mm high, below the block's face.",
            f"Paper stops: strips {number(above)} mm high, {number(_ABOVE_MM)} mm above the block's face.",
            f"Packing {number(jig.thickness_mm)} mm thick under the sheet's margin, so that it lies level.",
            "Push the block into its stops, ink it outside the jig or with the stops masked, lay the sheet "
            "against its own stops, near edge first.",
        ),
        (
            "All blocks of a set must be cut to one size and square.",
            "Stops higher than the block keep a press roller or a baren off the edges: work within them.",
        ),
    )  # fmt: skip


def _bed(
    sheet_mm: tuple[float, float], image: Rect, _settings: RegisterSettings, choice: KentoSettings
) -> SystemPlan:
    block = _gripped(image, choice.block_mm)
    width, height = sheet_mm
    shapes = [_shape("block", block, "block here"), Shape("sheet", _corners(Rect(0, 0, width, height)))]
    shapes += [_cross(x, y) for x in (0, width) for y in (0, height)]
    right_handed = choice.hand == "right"
    x, inward = (block.left, 1.0) if right_handed else (block.right, -1.0)
    corner = (
        (x, block.bottom),
        (x + inward * _CORNER_MM, block.bottom),
        (x, block.bottom - _CORNER_MM),
    )
    shapes.append(Shape("corner", corner, word="marked corner"))
    bench = _around([point for each in shapes for point in each.points], (0, 0, width, height))
    return SystemPlan(
        "bed",
        block,
        bench,
        tuple(shapes),
        (Dimension((0, height), (block.left, height), f"{number(abs(block.left))} mm from sheet to block"),),
        Contacts.of_sheet(sheet_mm, choice.hand),
        (
            "Tape this sheet to the bench under a clear film. Mark the same corner on every block.",
            "Lay the block on its outline, marked corner on marked corner: a block turned by mistake is the "
            "usual error.",
            "Lower the sheet by two corners onto their crosses, then let it fall.",
        ),
        ("The simplest set-up, for a few sheets: it holds neither block nor paper.",),
    )


def _translucent(
    sheet_mm: tuple[float, float], image: Rect, _settings: RegisterSettings, choice: KentoSettings
) -> SystemPlan:
    block = _gripped(image, choice.block_mm)
    off = GRIP_MM / 2
    places = (
        (image.left - off, image.top - off), (image.right + off, image.top - off),
        (image.left - off, image.bottom + off), (image.right + off, image.bottom + off),
    )  # fmt: skip
    if min(block.left, block.top) > min(image.left, image.top) - off:
        raise RegisterError("The block leaves no room for crosses beside the image: take a larger block.")
    shapes = (_shape("block", block), *(_cross(x, y) for x, y in places))
    near, far = places[2], places[3]
    return SystemPlan(
        "translucent",
        block,
        _around(list(_corners(block)), (0, 0, *sheet_mm)),
        shapes,
        (Dimension(near, far, f"{number(far[0] - near[0])} mm from cross to cross"),),
        Contacts.of_corners(image),
        (
            "Draw the four crosses on each block beside the image, and on the back of every sheet in pencil.",
            "Hold the sheet over the block against the light and lay cross on cross, two near ones first.",
        ),
        ("Only for paper one sees through; drawn marks must lie outside what is kept.",),
    )


def _gripped(image: Rect, block_mm: tuple[float, float] | None) -> Rect:
    """The block: the image with a grip border all round, or a block at hand centred on it."""
    spare = (
        (GRIP_MM, GRIP_MM)
        if block_mm is None
        else ((block_mm[0] - image.width) / 2, (block_mm[1] - image.height) / 2)
    )
    if min(spare) < -1e-6:
        raise KentoError(
            f"A block of {size_text(*(block_mm or (0, 0)))} is smaller than the image, "
            f"{size_text(image.width, image.height)}: take a larger block."
        )
    return Rect(image.left - spare[0], image.top - spare[1], image.right + spare[0], image.bottom + spare[1])


def _block_stops(block: Rect, choice: KentoSettings) -> tuple[Shape, ...]:
    """Two strips the block's near edge is pushed against, and one at its corner side."""
    right_handed = choice.hand == "right"
    x, out = (block.left, -1.0) if right_handed else (block.right, 1.0)
    inward = -out
    long = min(STOP_LONG_MM, block.width / 6, block.height / 6)
    along = [x + inward * share * block.width for share in _BLOCK_STOPS]
    up = block.top + _BLOCK_SIDE_STOP * block.height
    return (
        *(_box("block stop", place, block.bottom + STOP_MM / 2, long, STOP_MM) for place in along),
        _box("block stop", x + out * STOP_MM / 2, up, STOP_MM, long),
    )


def _packing(block: Rect, sheet_mm: tuple[float, float]) -> list[Shape]:
    """Strips under the sheet's margin beyond the block stops, as thick as the block."""
    width, height = sheet_mm
    gap = STOP_MM + 1.0
    strips = []
    if block.top > gap + 5:
        strips.append(Rect(0, 0, width, block.top - 1))
    if block.left > gap + 5:
        strips.append(Rect(0, max(block.top, 0), block.left - gap, height))
    if width - block.right > gap + 5:
        strips.append(Rect(block.right + gap, max(block.top, 0), width, height))
    return [_shape("packing", strip) for strip in strips]


def _corners(area: Rect) -> tuple[Point, ...]:
    return (
        (area.left, area.top), (area.right, area.top), (area.right, area.bottom), (area.left, area.bottom),
    )  # fmt: skip


def _shape(kind: Kind, area: Rect, word: str = "") -> Shape:
    return Shape(kind, _corners(area), word=word)


def _box(kind: Kind, x: float, y: float, width: float, height: float) -> Shape:
    return _shape(kind, Rect(x - width / 2, y - height / 2, x + width / 2, y + height / 2))


def _cross(x: float, y: float) -> Shape:
    """A cross drawn in one line, so that it stays one thing in every format."""
    half = CROSS_MM / 2
    line = ((x - half, y), (x + half, y), (x, y), (x, y - half), (x, y + half))
    return Shape("cross", line, closed=False)


def _around(points: Sequence[Point], also: tuple[float, float, float, float]) -> Rect:
    xs, ys = [x for x, _ in points] + [also[0], also[2]], [y for _, y in points] + [also[1], also[3]]
    return Rect(min(xs), min(ys), max(xs), max(ys))
