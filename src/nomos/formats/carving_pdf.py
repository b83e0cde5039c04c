"""The carving map as a PDF at true size: the block face up, zones by tool, depth, the order of work."""

from collections.abc import Sequence
from io import BytesIO
from typing import Any

import numpy as np
from numpy.typing import NDArray
from PIL import Image

from nomos.carving.transfer import KNIFE_CAUTION
from nomos.carving.zones import FIRST_DEPTH_MM, TOO_NARROW, bevels, widest_places
from nomos.formats.files import file_name
from nomos.formats.pdf import DEFAULT_PAPER, MM, Sheet, draw_pages, new_canvas
from nomos.progress import NULL_PROGRESS, Progress
from nomos.project import CutBlocks, Project
from nomos.project.carvings import CarvedBlock
from nomos.units import number

# What prints, then tools from the narrowest to the widest, pale; ground no tool gets into is dark.
# Letters say the same.
_PRINTS, _PALEST, _DARKEST, _NARROW = 96, 250, 186, 20
_HEAD_MM, _LINE_MM, _ROW_MM = 9.0, 4.2, 4.6
_ARROW_MM = 2.2
_LETTERS = "ABCDEFGHIJKL"


def carving_pdf(
    project: Project,
    blocks: CutBlocks,
    carved: Sequence[CarvedBlock],
    *,
    paper: str = DEFAULT_PAPER,
    progress: Progress = NULL_PROGRESS,
) -> bytes:
    """A page, or several tiles, for each block. Raises BadInput for an unknown paper, Cancelled."""
    buffer, canvas = new_canvas(f"{project.title}: carving")
    for place, each in enumerate(carved):
        progress.report(place / max(len(carved), 1), "drawing carving maps")
        page = _Page(project, blocks, each)
        name = project.block(each.block).name
        sheet = Sheet(
            f"carve-{file_name(each.block)}", page.size_mm, f"{project.title}: {name}, as it is cut"
        )
        draw_pages(canvas, sheet, lambda page=page: page.draw(canvas), paper)  # type: ignore[misc] # a default
    canvas.save()
    return buffer.getvalue()


class _Page:
    """One block: header, picture, legend, steps."""

    def __init__(self, project: Project, blocks: CutBlocks, carved: CarvedBlock) -> None:
        self._project, self._carved = project, carved
        self._mask = blocks.masks[project.number_of(carved.block)]
        self._mask_px = blocks.px_per_mm
        self._picture = zone_picture(carved)[:, ::-1]
        px = carved.carving.px_per_mm
        self._image_mm = self._picture.shape[1] / px, self._picture.shape[0] / px
        self._notes = notes_of(project, carved)
        self._rows = len(carved.carving.tools) + 2
        below = _ROW_MM * (self._rows + len(self._notes)) + 8
        self.size_mm = max(self._image_mm[0], 150.0), _HEAD_MM + self._image_mm[1] + below

    def draw(self, canvas: Any) -> None:
        """With the origin at the lower left."""
        from reportlab.lib.utils import ImageReader

        height = self.size_mm[1]
        name = self._project.block(self._carved.block).name
        canvas.setFillGray(0)
        canvas.setFont("Lato-Bold", 12)
        canvas.drawString(0, (height - 4.5) * MM, f"{name}: the block face up, mirrored")
        bottom = height - _HEAD_MM - self._image_mm[1]
        picture = BytesIO()
        Image.fromarray(np.ascontiguousarray(self._picture)).save(picture, "PNG")
        picture.seek(0)
        wide, tall = self._image_mm
        canvas.drawImage(ImageReader(picture), 0, bottom * MM, wide * MM, tall * MM)
        canvas.setLineWidth(0.5)
        canvas.rect(0, bottom * MM, wide * MM, tall * MM)
        self._arrows(canvas, bottom + tall)
        self._chatter(canvas, bottom + tall)
        self._letters(canvas, bottom + tall)
        self._legend(canvas, bottom - 5)

    def _arrows(self, canvas: Any, top: float) -> None:
        """Which way the bevel falls."""
        canvas.setLineWidth(0.4)
        canvas.setStrokeGray(0)
        wide = self._image_mm[0]
        pad = (
            self._carved.carving.zones.shape[1] / self._carved.carving.px_per_mm - self._project.image.width
        ) / 2
        for bevel in bevels(self._mask, self._mask_px):
            x, y = wide - (bevel.place[0] + pad), bevel.place[1] + pad
            end = x - bevel.way[0] * _ARROW_MM, y + bevel.way[1] * _ARROW_MM
            canvas.line(x * MM, (top - y) * MM, end[0] * MM, (top - end[1]) * MM)
            canvas.circle(end[0] * MM, (top - end[1]) * MM, 0.35 * MM, stroke=0, fill=1)

    def _letters(self, canvas: Any, top: float) -> None:
        """The letter of each zone where it is widest."""
        carving = self._carved.carving
        canvas.setFont("Lato-Bold", 9)
        for number_of in range(1, len(carving.tools) + 1):
            for x, y in widest_places(carving.zones == number_of, carving.px_per_mm):
                at = self._image_mm[0] - x, top - y
                canvas.setFillGray(1)
                canvas.circle(at[0] * MM, at[1] * MM, 2.2 * MM, stroke=1, fill=1)
                canvas.setFillGray(0)
                canvas.drawCentredString(at[0] * MM, (at[1] - 1.1) * MM, _LETTERS[number_of - 1])

    def _chatter(self, canvas: Any, top: float) -> None:
        carving = self._carved.carving
        canvas.setFont("Lato-Bold", 8)
        canvas.setFillGray(0)
        for x, y in widest_places(carving.chatter, carving.px_per_mm, most=4):
            at = self._image_mm[0] - x, top - y
            canvas.drawCentredString(at[0] * MM, (at[1] - 6) * MM, "roller reaches: mask or wipe")

    def _legend(self, canvas: Any, top: float) -> None:
        carving = self._carved.carving
        hours = {name: h for name, _, h in self._carved.effort.by_tool}
        rows = [
            f"Outlines first, {number(carving.outline_mm / 10, 0)} cm, "
            f"{number(self._carved.effort.outline_h * 60, 0)} min. Arrows: the bevel falls that way."
        ]
        for letter, tool, area in zip(_LETTERS, carving.tools, carving.areas_mm2, strict=False):
            took = f", {number(hours[tool.name] * 60, 0)} min" if tool.name in hours else ""
            rows.append(f"{letter}  {tool.name}: {number(area / 100)} cm²{took}")
        rows.append(f"In all {number(self._carved.effort.hours)} h by the speeds that are set.")
        canvas.setFillGray(0)
        canvas.setFont("Lato", 9)
        for place, row in enumerate([*rows, *self._notes]):
            canvas.drawString(0, (top - place * _ROW_MM) * MM, row)


def notes_of(project: Project, carved: CarvedBlock) -> tuple[str, ...]:
    """The order of work and the cautions, a short line each."""
    carving = carved.carving
    deepest = float(carving.depth_mm.max()) if carving.depth_mm.size else 0.0
    said = [
        f"Order: outlines, then the band beside them {number(carving.band_mm)} mm wide, then gouges, wide",
        f"ones last, then trim close to the edges. Depth {number(FIRST_DEPTH_MM)} mm at an edge, falling to "
        f"{number(deepest)} mm.",
        "Turn the block, not the blade. Nothing cut away can be put back.",
    ]
    if carved.finest_mm is not None:
        said.append(
            f"DELICATE: {carved.too_fine} places, the finest {number(carved.finest_mm, 2)} mm. Cut them last."
        )
    if project.craft.grip_border:
        said.append("Leave the border standing to hold the block by, and mask it when you ink.")
    words = KNIFE_CAUTION.split(". ")
    return (*said, *(f"{part.rstrip('.')}." for part in words))


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
