"""What stands on a template, before it is PDF or SVG: a drawing in millimetres for each face of a block."""

from collections.abc import Sequence
from dataclasses import dataclass
from typing import Literal

import numpy as np

from nomos.colour import lab_to_hex
from nomos.formats.files import file_name
from nomos.progress import NULL_PROGRESS, Progress
from nomos.project import CutBlocks, Project, kento_or_reason
from nomos.project.model import ProjectError
from nomos.project.reduction import is_reduction
from nomos.registration import Kento, Point
from nomos.separation import Ring, outlines
from nomos.units import number, size_text

Face = Literal["block", "tracing"]
FACES: tuple[Face, ...] = ("block", "tracing")

CHECK_BAR_MM = 100.0
HEADER_MM = 17.0
CORNER_MARK_MM = 6.0
CUT_NOW_TEXT = "Pale and dashed: cut this away now. Grey: keep it. White: already gone."

FACE_TEXT: dict[Face, str] = {
    "block": "This is the block, mirrored: what you see is what you cut.",
    "tracing": "Tracing, right-reading: turn it face down on the block, which mirrors it.",
}
NOTCH_TEXT = "Kento: cut the walls upright along the heavy lines, pare the hatched floors to depth."


@dataclass(frozen=True, eq=False)
class Template:
    """One face of one block at true size, origin at the block's top left, x right, y down, mm.

    areas : what prints, as outer rings followed by their holes.
    cut_now : in a reduction, what was printed before and is cut away for this state.
    walls, floors : the notches' walls as lines and their floors as closed shapes.
    corner : the marked corner of the block, the same wood on every block of the set.
    """

    name: str
    face: Face
    title: str
    heading: str
    details: str
    colour_hex: str
    size_mm: tuple[float, float]
    areas: tuple[tuple[Ring, ...], ...]
    walls: tuple[tuple[Point, ...], ...]
    floors: tuple[tuple[Point, ...], ...]
    sheet: tuple[Point, ...]
    corner: tuple[Point, ...]
    cut_now: tuple[tuple[Ring, ...], ...] = ()


def templates(
    project: Project, blocks: CutBlocks, *, progress: Progress = NULL_PROGRESS
) -> tuple[Template, ...]:
    """Both faces of every block, in print order.

    Raises
    ------
    ProjectError : the kento has no room, or there is nothing to print.
    """
    kento, reason = kento_or_reason(project)
    if kento is None:
        raise ProjectError("kento", reason)
    if not project.impressions:
        raise ProjectError("impressions", "There is no block to make a template of: open a picture first.")
    made = []
    masks = [blocks.masks[project.number_of(impression.block)] for impression in project.impressions]
    reduction = is_reduction(project)
    for place, mask in enumerate(masks):
        progress.report(place / len(masks), "drawing templates")
        rings = outlines(mask, blocks.px_per_mm)
        gone: tuple[tuple[Ring, ...], ...] = ()
        if reduction and place > 0:
            gone = outlines(masks[place - 1] & (1 - mask), blocks.px_per_mm)
        made += [_template(project, kento, place, rings, gone, face) for face in FACES]
    return tuple(made)


def _template(
    project: Project,
    kento: Kento,
    place: int,
    rings: tuple[tuple[Ring, ...], ...],
    gone: tuple[tuple[Ring, ...], ...],
    face: Face,
) -> Template:
    impression = project.impressions[place]
    block, zone = project.block(impression.block), impression.zones[0]
    ink = project.ink(zone.ink)
    image, edge = project.image, kento.block
    sign, left = (-1.0, edge.right) if face == "block" else (1.0, -edge.left)

    def turned(points: Sequence[Point]) -> tuple[Point, ...]:
        return tuple((left + sign * x, y - edge.top) for x, y in points)

    def ring(points: Ring) -> Ring:
        moved = points + np.array([image.left, image.top])
        return np.column_stack([left + sign * moved[:, 0], moved[:, 1] - edge.top])

    width, height = project.paper.width_mm, project.paper.height_mm
    # The wood's corner behind the corner notch: it never changes place when the block is turned.
    corner_x = edge.left if project.kento.hand == "right" else edge.right
    inward = CORNER_MARK_MM if project.kento.hand == "right" else -CORNER_MARK_MM
    corner = (
        (corner_x, edge.bottom),
        (corner_x + inward, edge.bottom),
        (corner_x, edge.bottom - CORNER_MARK_MM),
    )
    strength = "" if zone.strength == 1 else f", strength {zone.strength:.0%}"
    key = ", key block" if block.is_key else f", state {place + 1}" if is_reduction(project) else ""
    details = (
        f"Block {size_text(edge.width, edge.height)}, sheet {size_text(width, height)}, "
        f"notches {number(kento.depth_mm)} mm deep. Solid black corner: bottom "
        f"{'right' if (project.kento.hand == 'right') == (face == 'block') else 'left'}."
    )
    return Template(
        name=f"{place + 1:02d}-{file_name(block.name)}-{face}",
        face=face,
        title=project.title,
        heading=f"{place + 1} of {len(project.impressions)}: {block.name}{key}. Ink {ink.name}{strength}",
        details=details,
        colour_hex=lab_to_hex(np.array(ink.lab)),
        size_mm=(edge.width, edge.height),
        areas=tuple(tuple(ring(part) for part in area) for area in rings),
        walls=tuple(turned(notch.wall) for notch in (kento.corner, kento.straight)),
        floors=tuple(turned(notch.floor) for notch in (kento.corner, kento.straight)),
        sheet=turned(((0, 0), (width, 0), (width, height), (0, height))),
        corner=turned(corner),
        cut_now=tuple(tuple(ring(part) for part in area) for area in gone),
    )
