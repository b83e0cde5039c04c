"""What stands on a template, before it is drawn: a value in millimetres for each face of a block."""

from collections.abc import Sequence
from dataclasses import dataclass, replace
from typing import Literal

import numpy as np

from nomos.base.folders import file_name
from nomos.base.language import tr
from nomos.base.progress import NULL_PROGRESS, Progress
from nomos.base.units import length_text, size_text
from nomos.colour import lab_to_hex
from nomos.project import CutBlocks, Finding, Project
from nomos.project.blocks.boards import front_of
from nomos.project.blocks.jigsaw import pieces_of
from nomos.project.blocks.reduction import is_reduction
from nomos.project.inks.films import zone_colours
from nomos.project.model import Block, Impression, ProjectError
from nomos.project.register.system import marks_of, plan_of_system
from nomos.project.sheet.laying import zone_places
from nomos.registration import SYSTEMS, Point, Rect, SystemPlan, seated_corner
from nomos.separation import Mask, Ring, outlines
from nomos.separation.jigsaw import Piece

Face = Literal["block", "tracing"]
FACES: tuple[Face, ...] = ("block", "tracing")

CORNER_MARK_MM = 6.0
CUT_NOW_TEXT = tr("Pale and dashed: cut this away now. Grey: keep it. White: already gone.")

SAW_TEXT = tr("Heavy closed lines: saw or cut along them; the numbers name the pieces.")
# More inks than this do not go into a heading.
_MOST_INKS = 3

FACE_TEXT: dict[Face, str] = {
    "block": tr("This is the block, mirrored: what you see is what you cut."),
    "tracing": tr("Tracing, right-reading: turn it face down on the block, which mirrors it."),
}
NOTCH_TEXT = tr(
    "Kento: cut the walls upright along the heavy lines, pare the hatched floors to depth, and cleared wood "
    "below the long dashes down to the floors."
)


@dataclass(frozen=True, eq=False)
class Template:
    """One face of one block at true size, origin at the block's top left, x right, y down, mm.

    colours : of the inks, one for each zone.
    areas : what prints, as outer rings followed by their holes.
    cut_now : in a reduction, what was printed before and is cut away for this state.
    saw : in a jigsaw the closed path of each piece, and the two of the border that holds them.
    labels : x, y and a word: the numbers of pieces, or what each zone is inked with.
    walls, floors : the notches' walls as lines and their floors as closed shapes.
    corner : the marked corner of the block, the same wood on every block of the set.
    front_corner : on the back of a board, the corner that is marked solid on its front.
    tidy : lines down to which cleared wood between image and notches is pared.
    legend : which pieces are inked with what.
    face_text : what is written of the face instead of the usual.
    warnings : what will fail or could show on this block, with what to do.
    """

    name: str
    face: Face
    title: str
    heading: str
    details: str
    colours: tuple[str, ...]
    size_mm: tuple[float, float]
    areas: tuple[tuple[Ring, ...], ...]
    walls: tuple[tuple[Point, ...], ...]
    floors: tuple[tuple[Point, ...], ...]
    sheet: tuple[Point, ...]
    corner: tuple[Point, ...]
    cut_now: tuple[tuple[Ring, ...], ...] = ()
    saw: tuple[tuple[Point, ...], ...] = ()
    labels: tuple[tuple[float, float, str], ...] = ()
    front_corner: tuple[Point, ...] = ()
    tidy: tuple[tuple[Point, ...], ...] = ()
    legend: str = ""
    face_text: str = ""
    warnings: tuple[str, ...] = ()

    @property
    def notes(self) -> tuple[str, ...]:
        """What stands under the heading."""
        said = [f"{self.title}. {self.face_text or FACE_TEXT[self.face]}", self.details]
        said += [NOTCH_TEXT] if self.floors else []
        said += [CUT_NOW_TEXT] if self.cut_now else []
        said += [SAW_TEXT] if self.saw else []
        said += [self.legend] if self.legend else []
        said += self.warnings
        return tuple(said)


@dataclass(frozen=True, eq=False)
class _Drawing:
    """What stands on both faces of a template, right-reading on the image, mm from its top left."""

    rings: tuple[tuple[Ring, ...], ...]
    gone: tuple[tuple[Ring, ...], ...] = ()
    saw: tuple[Ring, ...] = ()
    labels: tuple[tuple[float, float, str], ...] = ()
    legend: str = ""


def templates(
    project: Project, blocks: CutBlocks, findings: Sequence[Finding] = (), *, progress: Progress = NULL_PROGRESS
) -> tuple[Template, ...]:
    """Both faces of every block, in the order they are first printed.

    findings : those of a single block stand on its templates.

    Raises
    ------
    ProjectError : the kento has no room, or there is nothing to print.
    """
    plan, reason = plan_of_system(project)
    if plan is None:
        raise ProjectError("kento", reason)
    if not project.impressions:
        raise ProjectError("impressions", tr("There is no block to make a template of: open a picture first."))
    made: list[Template] = []
    before: Mask | None = None
    names = list(dict.fromkeys(impression.block for impression in project.impressions))
    for place, block in enumerate(names):
        progress.report(place / len(names), tr("drawing templates"))
        mask = blocks.masks[project.number_of(block)]
        drawing = _drawing(project, blocks, project.block(block), mask, before)
        warned = _warnings(block, findings)
        faces = (_template(project, plan, project.block(block), drawing, face) for face in FACES)
        made += [replace(face, warnings=warned) for face in faces]
        before = mask if is_reduction(project) else None
    return tuple(made)


def _warnings(block: str, findings: Sequence[Finding]) -> tuple[str, ...]:
    """What will fail or could show on a block, with what to do."""
    told = [each for each in findings if block in each.blocks and each.weight != "worth knowing"]
    own = (each.own[each.blocks.index(block)] if each.own else each.text for each in told)
    return tuple(f"{text} {each.remedy}" for text, each in zip(own, told, strict=True))


def _drawing(project: Project, blocks: CutBlocks, block: Block, mask: Mask, before: Mask | None) -> _Drawing:
    rings = outlines(mask, blocks.px_per_mm)
    if before is not None:
        return _Drawing(rings, outlines(before & (1 - mask), blocks.px_per_mm))
    if block.kerf_mm is not None:
        pieces = pieces_of(project, blocks.labels, blocks.px_per_mm)
        labels = tuple((*piece.place, str(piece.number)) for piece in pieces)
        saw = (*(piece.path for piece in pieces), *_border(project))
        return _Drawing(rings, saw=saw, labels=labels, legend=_legend(project, block, pieces))
    pulls = [each for each in project.impressions if each.block == block.id]
    pull = next((each for each in pulls if len(each.zones) > 1), pulls[0])
    if len(pull.zones) > 1:
        return _Drawing(rings, labels=_zone_labels(project, blocks, pull, mask))
    return _Drawing(rings)


def _legend(project: Project, block: Block, pieces: Sequence[Piece]) -> str:
    """The pieces of each ink: "Leaf: 1, 7. Clay: 6, 9."; what no ink prints stays bare."""
    pull = next(each for each in project.impressions if each.block == block.id)
    said = []
    for place, zone in enumerate(pull.zones):
        own = zone_colours(project, pull, place)
        numbers = ", ".join(str(piece.number) for piece in pieces if piece.colour in own)
        said.append(f"{project.ink(zone.ink).name}: {numbers}.")
    bare = [str(piece.number) for piece in pieces if piece.colour not in block.colours]
    said += [tr("Not inked: {bare}.", bare=", ".join(bare))] if bare else []
    return " ".join(said)


def _border(project: Project) -> tuple[Ring, Ring]:
    """Inner and outer path of the border that holds a sawn block together."""
    width, height, grip = project.image.width, project.image.height, project.workshop.grip_mm
    inner = np.array([(0, 0), (width, 0), (width, height), (0, height), (0, 0)], np.float64)
    outward = np.array([(-grip, -grip), (grip, -grip), (grip, grip), (-grip, grip), (-grip, -grip)])
    return inner, inner + outward


def _zone_labels(
    project: Project, blocks: CutBlocks, pull: Impression, mask: Mask
) -> tuple[tuple[float, float, str], ...]:
    """The name of each zone's ink, where the zone is widest."""
    import cv2

    page = zone_places(project, blocks, pull)
    found = []
    for place, zone in enumerate(pull.zones):
        own = np.pad(((page == place) & (mask == 1)).astype(np.uint8), 1)
        if own.any():
            depth = np.asarray(cv2.distanceTransform(own, cv2.DIST_L2, cv2.DIST_MASK_5))
            y, x = np.unravel_index(depth.argmax(), depth.shape)
            at = ((float(x) - 0.5) / blocks.px_per_mm, (float(y) - 0.5) / blocks.px_per_mm)
            word = {"": project.ink(zone.ink).name, "uninked": tr("no ink"), "wiped": "wiped"}[zone.bare]
            found.append((*at, word))
    return tuple(found)


def _heading(project: Project, block: Block) -> str:
    """Which pull, which block, which inks: "2 and 5 of 6: Blue. Ink Blue"."""
    at = [n for n, pull in enumerate(project.impressions, start=1) if pull.block == block.id]
    inks = []
    for place in at:
        for zone in project.impressions[place - 1].zones:
            strength = "" if zone.strength == 1 else tr(", strength {strength:.0%}", strength=zone.strength)
            graded = tr(" graded to {to:.0%}", to=zone.grade.to) if zone.grade else ""
            inks.append(f"{project.ink(zone.ink).name}{strength}{graded}")
    kind = tr(", key block") if block.is_key else tr(", state {at}", at=at[0]) if is_reduction(project) else ""
    if block.board and not is_reduction(project):
        kind += tr(", {face} of board {removeprefix}", face=block.face, removeprefix=block.board.removeprefix("board"))
    pulls = tr(" and ").join(str(place) for place in at)
    word = tr("Inks") if len(inks) > 1 else tr("Ink")
    some = f"{word} {'; '.join(inks)}" if len(inks) <= _MOST_INKS else tr("{inks} inks", inks=len(inks))
    return tr(
        "{pulls} of {impressions}: {name}{kind}. {some}",
        pulls=pulls, impressions=len(project.impressions), name=block.name, kind=kind, some=some,
    )  # fmt: skip


def _template(project: Project, plan: SystemPlan, block: Block, drawing: _Drawing, face: Face) -> Template:
    image, edge = project.image, plan.block
    sign, left = (-1.0, edge.right) if face == "block" else (1.0, -edge.left)

    def turned(points: Sequence[Point]) -> tuple[Point, ...]:
        return tuple((left + sign * x, y - edge.top) for x, y in points)

    def ring(points: Ring) -> Ring:
        moved = points + np.array([image.left, image.top])
        return np.column_stack([left + sign * moved[:, 0], moved[:, 1] - edge.top])

    width, height = project.paper.width_mm, project.paper.height_mm
    first = next(n for n, pull in enumerate(project.impressions, start=1) if pull.block == block.id)
    zones = project.impressions[first - 1].zones
    hand = project.kento.hand
    # The wood's corner behind the corner notch: it never changes place when the block is turned.
    own = SYSTEMS[plan.system]
    notched = own.notched == "block"
    depth = (
        tr("notches {depth_mm} deep", depth_mm=length_text(project.kento.depth_mm))
        if notched
        else SYSTEMS[plan.system].said
    )
    details = tr(
        "Block {width}, sheet {width_2}, {depth}. Solid black corner: bottom {also}.",
        width=size_text(edge.width, edge.height), width_2=size_text(width, height), depth=depth,
        also="right" if (hand == "right") == (face == "block") else "left",
    )  # fmt: skip
    front_corner: tuple[Point, ...] = ()
    front = front_of(project, block)
    if front is not None:
        lies = seated_corner(hand, project.workshop.turned)
        front_corner = turned(_corner(edge, lies.edge, lies.side))
        details += tr(" Back of {name}: its solid corner is the open one here.", name=front.name)
    return Template(
        name=f"{first:02d}-{file_name(block.name)}-{face}",
        face=face,
        title=project.title,
        heading=_heading(project, block),
        details=details,
        colours=tuple(lab_to_hex(np.array(project.ink(zone.ink).lab)) for zone in zones),
        size_mm=(edge.width, edge.height),
        areas=(
            *(tuple(ring(part) for part in area) for area in drawing.rings),
            *((np.array(turned([*shape, shape[0]])),) for shape in _marks(project, block)),
        ),
        walls=tuple(
            turned(shape.points) for shape in plan.shapes if shape.kind == "cross" or (notched and shape.kind == "wall")
        )
        if notched or own.crosses
        else (),
        floors=tuple(turned(each.points) for each in plan.shapes if notched and each.kind == "floor"),
        tidy=tuple(turned(each.points) for each in plan.shapes if notched and each.kind == "tidy"),
        sheet=turned(((0, 0), (width, 0), (width, height), (0, height))),
        corner=turned(_corner(edge, "near", hand)),
        cut_now=tuple(tuple(ring(part) for part in area) for area in drawing.gone),
        saw=tuple(turned([(image.left + x, image.top + y) for x, y in path.tolist()]) for path in drawing.saw),
        labels=tuple((*turned(((image.left + x, image.top + y),))[0], word) for x, y, word in drawing.labels),
        front_corner=front_corner,
        legend=drawing.legend,
    )


def _marks(project: Project, block: Block) -> list[tuple[Point, ...]]:
    """What the block prints in the margin, as closed shapes on the sheet."""
    place = project.number_of(block.id)
    return [ring for mark in marks_of(project)[0] if mark.block == place for ring in mark.rings]


def _corner(edge: Rect, near: str, side: str) -> tuple[Point, ...]:
    """A triangle at a corner of the block, named as the block lies face up, in sheet coordinates.

    Seen on the sheet a block is its mirror image: its right side is the left.
    """
    x, inward = (edge.left, CORNER_MARK_MM) if side == "right" else (edge.right, -CORNER_MARK_MM)
    y, upward = (edge.bottom, -CORNER_MARK_MM) if near == "near" else (edge.top, CORNER_MARK_MM)
    return ((x, y), (x + inward, y), (x, y + upward))
