"""The carving map as a PDF at true size: the block face up, zones by tool, depth, the order of work."""

from collections.abc import Sequence
from typing import TYPE_CHECKING, Any

import numpy as np
from numpy.typing import NDArray
from PIL import Image

from nomos.base.folders import file_name
from nomos.base.language import tr
from nomos.base.progress import NULL_PROGRESS, Progress
from nomos.base.units import counted, length_text, number
from nomos.carving.maps import FIRST_DEPTH_MM, TOO_NARROW, bevels, widest_places
from nomos.formats.pdf import DEFAULT_PAPER, Sheet, draw_pages, new_canvas
from nomos.formats.typesetting import BOLD, FONT, MM, broken, paragraph, rows, space, text_pages
from nomos.project import CutBlocks, Project
from nomos.project.edition.carving import CarvedBlock, cutting_cautions

if TYPE_CHECKING:
    from reportlab.platypus import Flowable

# What prints, then tools from the narrowest to the widest, pale; ground no tool gets into is dark.
# Letters say the same.
_PRINTS, _PALEST, _DARKEST, _NARROW = 96, 250, 186, 20
_HEAD_MM, _LINE_MM, _TEXT_PT = 7.0, 4.0, 8.5
_ARROW_MM = 2.2
_REACHED = tr("roller reaches: mask or wipe")
_LETTERS = "ABCDEFGHIJKL"


def carving_pdf(
    project: Project, blocks: CutBlocks, carved: Sequence[CarvedBlock], *, paper: str = DEFAULT_PAPER,
    progress: Progress = NULL_PROGRESS,
) -> bytes:  # fmt: skip
    """A map, on several tiles where it is large, for each block, and a page of words for all of them.

    Raises BadInput for an unknown paper, Cancelled.
    """
    buffer, canvas = new_canvas(tr("{title}: carving", title=project.title))
    for place, each in enumerate(carved):
        progress.report(place / max(len(carved), 1), tr("drawing carving maps"))
        page = _Page(project, blocks, each)
        name = project.block(each.block).name
        sheet = Sheet(
            f"carve-{file_name(each.block)}",
            page.size_mm,
            tr("{title}: {name}, as it is cut", title=project.title, name=name),
        )
        draw_pages(canvas, sheet, lambda page=page: page.draw(canvas), paper)  # type: ignore[misc] # a default
    if carved:
        text_pages(canvas, _words(project, carved))
    canvas.save()
    return buffer.getvalue()


class _Page:
    """The map of one block: heading, picture, and the letters of its tools."""

    def __init__(self, project: Project, blocks: CutBlocks, carved: CarvedBlock) -> None:
        self._project, self._carved = project, carved
        self._mask = blocks.masks[project.number_of(carved.block)]
        self._mask_px = blocks.px_per_mm
        self._picture = zone_picture(carved)[:, ::-1]
        px = carved.carving.px_per_mm
        self._image_mm = self._picture.shape[1] / px, self._picture.shape[0] / px
        width = max(self._image_mm[0], 120.0)
        letters = ".  ".join(f"{letter}  {text}" for letter, text in tool_lines(carved))
        self._below = broken(letters, min(width, 180.0), _TEXT_PT)
        self.size_mm = width, _HEAD_MM + self._image_mm[1] + _LINE_MM * len(self._below) + 2

    def draw(self, canvas: Any) -> None:
        """With the origin at the lower left."""
        from reportlab.lib.utils import ImageReader

        height = self.size_mm[1]
        name = self._project.block(self._carved.block).name
        canvas.setFillGray(0)
        canvas.setFont(BOLD, 12)
        canvas.drawString(0, (height - 4.5) * MM, tr("{name}: the block face up, mirrored", name=name))
        bottom = height - _HEAD_MM - self._image_mm[1]
        picture = Image.fromarray(np.ascontiguousarray(self._picture))
        wide, tall = self._image_mm
        canvas.drawImage(ImageReader(picture), 0, bottom * MM, wide * MM, tall * MM)
        canvas.setLineWidth(0.5)
        canvas.rect(0, bottom * MM, wide * MM, tall * MM)
        self._arrows(canvas, bottom + tall)
        self._chatter(canvas, bottom + tall)
        self._letters(canvas, bottom + tall)
        canvas.setFillGray(0)
        canvas.setFont(FONT, _TEXT_PT)
        for place, line in enumerate(self._below, start=1):
            canvas.drawString(0, (bottom - place * _LINE_MM) * MM, line)

    def _arrows(self, canvas: Any, top: float) -> None:
        """Which way the bevel falls."""
        canvas.setLineWidth(0.4)
        canvas.setStrokeGray(0)
        wide = self._image_mm[0]
        pad = (self._carved.carving.shape[1] / self._carved.carving.px_per_mm - self._project.image.width) / 2
        for bevel in bevels(self._mask, self._mask_px):
            x, y = wide - (bevel.place[0] + pad), bevel.place[1] + pad
            end = x - bevel.way[0] * _ARROW_MM, y + bevel.way[1] * _ARROW_MM
            canvas.line(x * MM, (top - y) * MM, end[0] * MM, (top - end[1]) * MM)
            canvas.circle(end[0] * MM, (top - end[1]) * MM, 0.35 * MM, stroke=0, fill=1)

    def _letters(self, canvas: Any, top: float) -> None:
        """The letter of each zone where it is widest."""
        carving = self._carved.carving
        zones = carving.zones
        canvas.setFont(BOLD, 9)
        for number_of in range(1, len(carving.tools) + 1):
            for x, y in widest_places(zones == number_of, carving.px_per_mm):
                at = self._image_mm[0] - x, top - y
                canvas.setFillGray(1)
                canvas.circle(at[0] * MM, at[1] * MM, 2.2 * MM, stroke=1, fill=1)
                canvas.setFillGray(0)
                canvas.drawCentredString(at[0] * MM, (at[1] - 1.1) * MM, _LETTERS[number_of - 1])

    def _chatter(self, canvas: Any, top: float) -> None:
        carving = self._carved.carving
        canvas.setFont(BOLD, 8)
        canvas.setFillGray(0)
        for x, y in widest_places(carving.chatter, carving.px_per_mm, most=4):
            half = canvas.stringWidth(_REACHED, BOLD, 8) / 2 / MM
            middle = min(max(self._image_mm[0] - x, half + 1), self._image_mm[0] - half - 1)
            canvas.drawCentredString(middle * MM, (top - y - 6) * MM, _REACHED)


def tool_lines(carved: CarvedBlock) -> list[tuple[str, str]]:
    """The letter of each tool, what it clears and how long that takes."""
    hours = {name: h for name, _, h in carved.effort.by_tool}
    said = []
    for letter, tool, area in zip(_LETTERS, carved.carving.tools, carved.carving.areas_mm2, strict=False):
        took = tr(", {hours} min", hours=number(hours[tool.name] * 60, 0)) if tool.name in hours else ""
        said.append((letter, tr("{name}: {area} cm²{took}", name=tool.name, area=number(area / 100), took=took)))
    return said


def _words(project: Project, carved: Sequence[CarvedBlock]) -> list["Flowable"]:
    """How to cut, once, then what is special about each block."""
    band = carved[0].carving.band_mm
    story = [
        paragraph(tr("Cutting"), 16, bold=True, after_mm=3),
        paragraph(
            tr(
                "Outlines first; the arrows say which way the bevel falls. Then the band beside "
                "them, {band} wide, then gouges, wide ones last, then trim close to the edges. Begin "
                "{first_depth_mm} deep at an edge.",
                band=length_text(band),
                first_depth_mm=length_text(FIRST_DEPTH_MM),
            )
        ),
        paragraph(tr("Turn the block, not the blade. Nothing cut away can be put back.")),
        *(paragraph(caution) for caution in cutting_cautions(project)),
    ]
    if project.craft.grip_border:
        story.append(paragraph(tr("Leave the border standing to hold the block by, and mask it when you ink.")))
    story += [space(3), paragraph(tr("Block by block"), 13, bold=True)]
    story.append(rows([(project.block(each.block).name, " ".join(notes_of(each))) for each in carved]))
    hours = sum(each.effort.hours for each in carved)
    story += [space(2), paragraph(tr("In all {hours} h by the speeds that are set.", hours=number(hours)), bold=True)]
    return story


def notes_of(carved: CarvedBlock) -> tuple[str, ...]:
    """What is special about a block: time, outline, depth, and what is delicate."""
    carving = carved.carving
    said = [
        tr(
            "{hours} h. Outlines {outline_mm} cm, {outline_h} min. Deepest {deepest}.",
            hours=number(carved.effort.hours), outline_mm=number(carving.outline_mm / 10, 0),
            outline_h=number(carved.effort.outline_h * 60, 0), deepest=length_text(carving.deepest_mm),
        )
    ]  # fmt: skip
    if carved.finest_mm is not None:
        said.append(
            tr(
                "Delicate: {too_fine}, the finest {finest_mm}; cut them last.",
                too_fine=counted(carved.too_fine, tr("place"), tr("places")),
                finest_mm=length_text(carved.finest_mm, 2),
            )
        )
    return tuple(said)


def zone_picture(carved: CarvedBlock) -> NDArray[np.uint8]:
    """Zones as greys, right-reading: dark what stays, paler the wider the tool. (height, width, 3)."""
    carving = carved.carving
    table = np.zeros(256, np.uint8)
    count = max(len(carving.tools) - 1, 1)
    table[0] = _PRINTS
    for place in range(len(carving.tools)):
        table[place + 1] = round(_DARKEST + (_PALEST - _DARKEST) * place / count)
    table[TOO_NARROW] = _NARROW
    grey = table[carving.zones]
    return np.repeat(grey[..., None], 3, axis=2)
