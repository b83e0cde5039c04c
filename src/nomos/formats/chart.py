"""The chart of overlaps as a file: what it should show, and the strips to cut for a real one."""

from pathlib import Path
from typing import TYPE_CHECKING, Any

import numpy as np

from nomos.base.errors import BadInput
from nomos.base.language import tr
from nomos.colour import Lab, lab_to_hex, lab_to_srgb
from nomos.colour.spectra import Array
from nomos.formats.files import read_bytes
from nomos.formats.outputs import write_output
from nomos.formats.pdf import new_canvas
from nomos.formats.pictures import png
from nomos.formats.readings import read_samples
from nomos.formats.typesetting import A4_MM, BOLD, FONT, MM
from nomos.project import Project
from nomos.project.inks.chart import MARK_MM, Chart, overlap_chart
from nomos.project.inks.chart_reading import read_chart

if TYPE_CHECKING:
    from reportlab.pdfgen.canvas import Canvas

_PX_PER_MM = 8.0
_LEFT_MM, _TOP_MM = 12.0, 24.0


def write_chart(path: Path, project: Project, pulls: tuple[str, ...] | None = None) -> dict[str, Any]:
    """Write the chart of a project's inks as PDF or PNG and return its figures.

    PDF: a page with the colours predicted, then one with the strips of each
    block at true size, mirrored. PNG: the predicted chart with its four discs.

    Raises
    ------
    BadInput : another kind of file, too many inks, or it cannot be written.
    """
    chart = overlap_chart(project, pulls)
    kind = path.suffix.lower()
    if kind not in (".pdf", ".png"):
        raise BadInput(tr("{name} must end in .pdf or .png.", name=path.name))
    paper = project.paper.lab
    data = chart_pdf(chart, project.title) if kind == ".pdf" else png(chart_picture(chart, paper), _PX_PER_MM)
    write_output(path, data)
    return {
        "inks": [{"name": ink.name, "hex": lab_to_hex(np.array(ink.lab))} for ink in chart.inks],
        "size_mm": [round(side, 2) for side in chart.size_mm],
        "patch_mm": round(chart.patch_mm, 2),
        "patches": [
            {
                "inks": [chart.inks[n].name for n in patch.films],
                "lab": [round(value, 2) for value in patch.lab],
                "hex": lab_to_hex(np.array(patch.lab)),
                "at_mm": [round(patch.left_mm, 2), round(patch.top_mm, 2)],
            }
            for patch in chart.patches
        ],
    }


def read_chart_file(path: Path, chart: Chart, paper: Lab) -> dict[int, Array]:
    """The patches of a printed chart from a scan of it, or from a table by any instrument.

    A table is CSV or CGATS.17 text with the patch in the column `sample`: its
    number on the chart from 1, row by row, or its inks like `Rose + Slate`; and
    L, a, b or bands. By place in the chart: CIELAB (3,), or reflectance (36,).

    Raises
    ------
    BadInput : the file cannot be read, or it names a patch that the chart has not.
    """
    if path.suffix.lower() not in (".csv", ".txt", ".ti3", ".cgats"):
        from nomos.design import read_pixels

        picture = read_pixels(read_bytes(path), path.name).rgb
        return {place: np.array(each.read.lab) for place, each in enumerate(read_chart(chart, picture, paper))}
    names = {patch.name.lower(): place for place, patch in enumerate(chart.patches)}
    found: dict[int, Array] = {}
    for where, sample, measured in read_samples(path):
        place = names.get(sample.lower(), int(sample) - 1 if sample.isdigit() else -1)
        if not 0 <= place < len(chart.patches):
            raise BadInput(
                tr(
                    "{where}: the chart has no patch '{sample}'; it has {patches}.",
                    where=where, sample=sample, patches=len(chart.patches),
                )
            )  # fmt: skip
        found[place] = measured
    return found


def chart_picture(chart: Chart, paper: tuple[float, float, float]) -> np.ndarray:
    """The chart as it should look, (height, width, 3) uint8 at 8 pixels a mm."""
    width, height = (round(side * _PX_PER_MM) for side in chart.size_mm)
    page = np.empty((height, width, 3), np.uint8)
    page[:] = lab_to_srgb(np.array(paper))
    for patch in chart.patches:
        x, y = round(patch.left_mm * _PX_PER_MM), round(patch.top_mm * _PX_PER_MM)
        side = round(chart.patch_mm * _PX_PER_MM)
        page[y : y + side, x : x + side] = lab_to_srgb(np.array(patch.lab))
    rows, columns = np.ogrid[:height, :width]
    for x_mm, y_mm in chart.marks:
        disc = np.hypot(columns + 0.5 - x_mm * _PX_PER_MM, rows + 0.5 - y_mm * _PX_PER_MM)
        page[disc <= MARK_MM / 2 * _PX_PER_MM] = 20
    return page


def chart_pdf(chart: Chart, title: str) -> bytes:
    """The predicted chart and the strips of each block, a page each, A4 at true size."""
    buffer, canvas = new_canvas(tr("{title}: overlaps", title=title))
    canvas.setPageSize((A4_MM[0] * MM, A4_MM[1] * MM))
    _heading(
        canvas,
        tr("{title}: every overlap of {inks} inks, as predicted", title=title, inks=len(chart.inks)),
        tr("Right-reading."),
    )
    for patch in chart.patches:
        _square(canvas, patch.left_mm, patch.top_mm, chart.patch_mm, lab_to_hex(np.array(patch.lab)))
        _name(canvas, chart, patch.left_mm, patch.top_mm, "".join(str(n + 1) for n in patch.films) or "paper")
    _marks(canvas, chart)
    below = chart.size_mm[1] + 6
    for place, ink in enumerate(chart.inks):
        _text(canvas, 0, below + 4.5 * place, f"{place + 1}  {ink.name}", 9)
    canvas.showPage()
    for place, ink in enumerate(chart.inks):
        heading = tr("{place} of {inks}: {name}", place=place + 1, inks=len(chart.inks), name=ink.name)
        _heading(canvas, heading, tr("The block, mirrored: the grey strips stay. Cut all blocks in one corner."))
        for patch in chart.patches:
            if place in patch.films:
                mirrored = chart.size_mm[0] - patch.left_mm - chart.patch_mm
                _square(canvas, mirrored, patch.top_mm, chart.patch_mm, "#b8b8b8")
        if place == len(chart.inks) - 1:
            # The discs go on once, with the ink that is printed last.
            _marks(canvas, chart)
        canvas.setStrokeGray(0)
        canvas.rect(
            _LEFT_MM * MM, (A4_MM[1] - _TOP_MM - chart.size_mm[1]) * MM,
            chart.size_mm[0] * MM, chart.size_mm[1] * MM, stroke=1, fill=0,
        )  # fmt: skip
        canvas.showPage()
    canvas.save()
    return buffer.getvalue()


def _heading(canvas: "Canvas", heading: str, line: str) -> None:
    canvas.setFillGray(0)
    canvas.setFont(BOLD, 13)
    canvas.drawString(_LEFT_MM * MM, (A4_MM[1] - 13) * MM, heading)
    canvas.setFont(FONT, 9)
    canvas.drawString(_LEFT_MM * MM, (A4_MM[1] - 18.5) * MM, tr("{line} Print at 100 %.", line=line))


def _square(canvas: "Canvas", left: float, top: float, side: float, colour: str) -> None:
    canvas.setFillColor(colour)
    canvas.rect((_LEFT_MM + left) * MM, (A4_MM[1] - _TOP_MM - top - side) * MM, side * MM, side * MM, stroke=0, fill=1)


def _name(canvas: "Canvas", chart: Chart, left: float, top: float, word: str) -> None:
    """The numbers of a patch's inks, in the gap below it."""
    size = 5.0 if chart.patch_mm < 14 else 6.5
    _text(canvas, left, top + chart.patch_mm + 1.35, word, size)


def _text(canvas: "Canvas", x: float, y: float, text: str, size: float) -> None:
    canvas.setFillGray(0)
    canvas.setFont(FONT, size)
    canvas.drawString((_LEFT_MM + x) * MM, (A4_MM[1] - _TOP_MM - y) * MM, text)


def _marks(canvas: "Canvas", chart: Chart) -> None:
    canvas.setFillGray(0)
    for x, y in chart.marks:
        canvas.circle((_LEFT_MM + x) * MM, (A4_MM[1] - _TOP_MM - y) * MM, MARK_MM / 2 * MM, stroke=0, fill=1)
