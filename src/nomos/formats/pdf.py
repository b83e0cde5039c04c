"""Drawings as a PDF at true size, tiled where one is larger than the paper."""

import math
from collections.abc import Callable, Iterable, Sequence
from dataclasses import dataclass
from io import BytesIO
from typing import TYPE_CHECKING

from nomos.base.errors import BadInput
from nomos.base.language import tr
from nomos.base.progress import NULL_PROGRESS, Progress
from nomos.formats.drawing import (
    CHECK_BAR_MM,
    CHIPS_MM,
    HEADING_LINE_MM,
    HEADING_PT,
    TEXT_LINE_MM,
    TEXT_PT,
    Drawing,
    Shape,
)
from nomos.formats.typesetting import BOLD, FONT, MM, register_typefaces
from nomos.registration import Point

if TYPE_CHECKING:
    from reportlab.pdfgen.canvas import Canvas
    from reportlab.pdfgen.pathobject import PDFPathObject

# ISO 216 for A sizes; Letter 8.5 x 11 and tabloid 11 x 17 inches.
PAPERS_MM: dict[str, tuple[float, float]] = {
    "A4": (210.0, 297.0),
    "A3": (297.0, 420.0),
    "A2": (420.0, 594.0),
    "A1": (594.0, 841.0),
    "A0": (841.0, 1189.0),
    "Letter": (215.9, 279.4),
    "Tabloid": (279.4, 431.8),
}
DEFAULT_PAPER = "A4"
# Most printers cannot print the outer 5 mm; the lower margin holds the check bar.
_MARGIN_MM = 8.0
_FOOT_MM = 18.0
_OVERLAP_MM = 10.0
_CROP_MM = 5.0
# Lines on the very edge of a drawing keep their whole width.
_BLEED_MM = 0.6
_WORD_PT, _HATCH_MM = 9.0, 1.6


@dataclass(frozen=True)
class Tiling:
    """How a drawing is cut into pages: page size, usable area, columns, rows, all mm."""

    page: tuple[float, float]
    usable: tuple[float, float]
    columns: int
    rows: int

    @property
    def step(self) -> tuple[float, float]:
        """From one tile's origin to the next."""
        return self.usable[0] - _OVERLAP_MM, self.usable[1] - _OVERLAP_MM


def plan_tiles(drawing_mm: tuple[float, float], paper: str) -> Tiling:
    """The tiling with the fewest pages, upright or on its side. Raises BadInput for an unknown paper."""
    if paper not in PAPERS_MM:
        raise BadInput(
            tr("'{paper}' is not a paper size; choose one of {papers_mm}.", paper=paper, papers_mm=", ".join(PAPERS_MM))
        )
    width, height = PAPERS_MM[paper]
    return min(
        (_tiling(drawing_mm, page) for page in ((width, height), (height, width))),
        key=lambda tiling: tiling.columns * tiling.rows,
    )


def _tiling(drawing: tuple[float, float], page: tuple[float, float]) -> Tiling:
    usable = page[0] - 2 * _MARGIN_MM, page[1] - _MARGIN_MM - _FOOT_MM
    count = [
        1 + max(0, math.ceil((length - room) / (room - _OVERLAP_MM) - 1e-9))
        for length, room in zip(drawing, usable, strict=True)
    ]
    return Tiling(page, usable, count[0], count[1])


def drawings_pdf(
    drawings: Sequence[Drawing], title: str, *, paper: str = DEFAULT_PAPER, progress: Progress = NULL_PROGRESS
) -> bytes:
    """A PDF of all drawings at true size.

    Parameters
    ----------
    drawings : what to draw, a page each, or several where it is tiled.
    paper : name of the paper, a key of `PAPERS_MM`.

    Returns
    -------
    The file's bytes; the same drawings give the same bytes.

    Raises
    ------
    BadInput : there is no such paper.
    Cancelled : called off through `progress`.

    Notes
    -----
    Print scaling is off in the viewer's preferences, and every page carries a
    100 mm bar to check with a ruler all the same.
    """
    buffer, canvas = new_canvas(title)
    for number, drawing in enumerate(drawings):
        progress.report(number / len(drawings), tr("writing the PDF"))

        def draw(drawing: Drawing = drawing) -> None:
            _Pen(canvas, drawing).draw()

        draw_pages(canvas, Sheet(drawing.name, drawing.page_mm, drawing.foot or drawing.heading), draw, paper)
    canvas.save()
    return buffer.getvalue()


@dataclass(frozen=True)
class Sheet:
    """A drawing that goes on as many pages as it takes: its name, size in mm, and what stands at the foot."""

    name: str
    size_mm: tuple[float, float]
    foot: str


def new_canvas(title: str) -> tuple[BytesIO, "Canvas"]:
    """An empty PDF with our typefaces, the same bytes every time, never scaled by a viewer."""
    from reportlab.pdfgen.canvas import Canvas

    register_typefaces()
    buffer = BytesIO()
    canvas = Canvas(buffer, invariant=1, initialFontName=FONT, pageCompression=1)
    canvas.setTitle(title)
    canvas.setCreator("Nomos")
    canvas.setViewerPreference("PrintScaling", "None")
    return buffer, canvas


def draw_pages(canvas: "Canvas", sheet: Sheet, draw: Callable[[], None], paper: str) -> None:
    """Draw once, and show it through a window on each of its pages; a 100 mm bar on every page.

    draw : draws with the origin at the drawing's lower left, in points.
    """
    tiling = plan_tiles(sheet.size_mm, paper)
    canvas.beginForm(
        sheet.name, -_BLEED_MM * MM, -_BLEED_MM * MM,
        (sheet.size_mm[0] + _BLEED_MM) * MM, (sheet.size_mm[1] + _BLEED_MM) * MM,
    )  # fmt: skip
    draw()
    canvas.endForm()
    for row in range(tiling.rows):
        for column in range(tiling.columns):
            _draw_tile(canvas, sheet, tiling, column, row)


def _draw_tile(canvas: "Canvas", sheet: Sheet, tiling: Tiling, column: int, row: int) -> None:
    page_w, page_h = tiling.page
    use_w, use_h = tiling.usable
    canvas.setPageSize((page_w * MM, page_h * MM))
    canvas.saveState()
    window = canvas.beginPath()
    window.rect(
        (_MARGIN_MM - _BLEED_MM) * MM, (_FOOT_MM - _BLEED_MM) * MM,
        (use_w + 2 * _BLEED_MM) * MM, (use_h + 2 * _BLEED_MM) * MM,
    )  # fmt: skip
    canvas.clipPath(window, stroke=0, fill=0)
    top = page_h - _MARGIN_MM + row * tiling.step[1]
    canvas.translate((_MARGIN_MM - column * tiling.step[0]) * MM, (top - sheet.size_mm[1]) * MM)
    canvas.doForm(sheet.name)
    canvas.restoreState()
    tiles = tiling.columns * tiling.rows
    if tiles > 1:
        _crop_marks(canvas, tiling, column, row)
    _foot(canvas, sheet.foot, tiling, column, row)
    canvas.showPage()


def _crop_marks(canvas: "Canvas", tiling: Tiling, column: int, row: int) -> None:
    """Where to cut, in the middle of the overlap, drawn in the margins beside it."""
    left, right = _MARGIN_MM, tiling.page[0] - _MARGIN_MM
    low, high = _FOOT_MM, tiling.page[1] - _MARGIN_MM
    half = _OVERLAP_MM / 2
    canvas.setLineWidth(0.3)
    cuts_x = [left + half] * (column > 0) + [right - half] * (column < tiling.columns - 1)
    cuts_y = [high - half] * (row > 0) + [low + half] * (row < tiling.rows - 1)
    for x in cuts_x:
        canvas.line(x * MM, high * MM, x * MM, (high + _CROP_MM) * MM)
        canvas.line(x * MM, low * MM, x * MM, (low - _CROP_MM) * MM)
    for y in cuts_y:
        canvas.line(left * MM, y * MM, (left - _CROP_MM) * MM, y * MM)
        canvas.line(right * MM, y * MM, (right + _CROP_MM) * MM, y * MM)


def _foot(canvas: "Canvas", text: str, tiling: Tiling, column: int, row: int) -> None:
    """The check bar and what page this is, in the lower margin of every page."""
    left, base = _MARGIN_MM + 6.0, 7.5
    canvas.setLineWidth(0.5)
    canvas.line(left * MM, base * MM, (left + CHECK_BAR_MM) * MM, base * MM)
    for tick in range(11):
        tall = 3.0 if tick % 10 == 0 else 2.2 if tick == 5 else 1.4
        x = (left + tick * CHECK_BAR_MM / 10) * MM
        canvas.line(x, base * MM, x, (base + tall) * MM)
    canvas.setFont(FONT, 7.5)
    canvas.drawString((left + CHECK_BAR_MM + 2) * MM, base * MM, tr("100 mm: measure it, print at 100 %"))
    tiles = tiling.columns * tiling.rows
    where = tr(", part {column} of {tiles}", column=row * tiling.columns + column + 1, tiles=tiles) if tiles > 1 else ""
    join = tr(" Cut at the marks and lay the edges together.") if tiles > 1 else ""
    canvas.drawString(left * MM, (base + 4.2) * MM, f"{text}{where}.{join}")


class _Pen:
    """Draws with y running down from below the header of a drawing, in mm."""

    def __init__(self, canvas: "Canvas", drawing: Drawing) -> None:
        self._canvas, self._drawing = canvas, drawing
        self._base = drawing.page_mm[1] - drawing.header_mm

    def draw(self) -> None:
        """Header, shapes, words."""
        self._header()
        for shape in self._drawing.shapes:
            self._shape(shape)
        self._words()

    def _header(self) -> None:
        canvas, drawing = self._canvas, self._drawing
        canvas.setFillGray(0)
        y = drawing.page_mm[1]
        for lines, font, size, step in (
            (drawing.headings, BOLD, HEADING_PT, HEADING_LINE_MM),
            (drawing.text, FONT, TEXT_PT, TEXT_LINE_MM),
        ):
            canvas.setFont(font, size)
            for line in lines:
                y -= step
                canvas.drawString(0, (y + 0.7) * MM, line)
        canvas.setLineWidth(0.4)
        canvas.setStrokeGray(0)
        for place, colour in enumerate(drawing.chips):
            wide = CHIPS_MM / len(drawing.chips)
            canvas.setFillColor(colour)
            left = drawing.width_mm - CHIPS_MM + place * wide
            canvas.rect(left * MM, (drawing.page_mm[1] - 5) * MM, wide * MM, 4.5 * MM, stroke=1, fill=1)

    def _shape(self, shape: Shape) -> None:
        canvas, look = self._canvas, shape.look
        canvas.setLineWidth(look.line_pt)
        canvas.setDash(*([list(look.dash)] if look.dash else []))
        canvas.setStrokeGray(0)
        if look.hatched:
            self._hatch(shape.rings)
        fill = look.tint if look.fill is None else look.fill
        if fill is not None:
            canvas.setFillGray(fill)
        if shape.colour:
            canvas.setFillColor(shape.colour)
        canvas.drawPath(
            self._path(shape.rings, closed=shape.closed),
            stroke=int(look.line_pt > 0), fill=int(fill is not None), fillMode=0,
        )  # fmt: skip
        canvas.setDash()

    def _hatch(self, rings: Iterable[Sequence[Point]]) -> None:
        """Slanting lines inside a shape."""
        canvas = self._canvas
        for ring in rings:
            xs, ys = [x for x, _ in ring], [y for _, y in ring]
            high = max(ys) - min(ys)
            canvas.saveState()
            canvas.clipPath(self._path([ring], closed=True), stroke=0, fill=0)
            start = min(xs) - high
            while start < max(xs):
                lines = [((start, max(ys)), (start + high, min(ys)))]
                canvas.drawPath(self._path(lines, closed=False), stroke=1, fill=0)
                start += _HATCH_MM
            canvas.restoreState()

    def _words(self) -> None:
        canvas = self._canvas
        for word in self._drawing.words:
            x, y = word.place[0] * MM, (self._base - word.place[1]) * MM
            wide = canvas.stringWidth(word.text, BOLD, _WORD_PT)
            canvas.setFillGray(1)
            canvas.rect(x - wide / 2 - 2, y - 4.5, wide + 4, 12, 0, 1)
            canvas.setFillGray(0)
            canvas.setFont(BOLD, _WORD_PT)
            canvas.drawCentredString(x, y - 2.3, word.text)

    def _path(self, rings: Iterable[Sequence[Point]], *, closed: bool) -> "PDFPathObject":
        path = self._canvas.beginPath()
        for ring in rings:
            for place, (x, y) in enumerate(ring):
                (path.lineTo if place else path.moveTo)(float(x) * MM, (self._base - float(y)) * MM)
            if closed:
                path.close()
        return path
