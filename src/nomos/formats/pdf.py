"""Templates as a PDF at true size, tiled where a block is larger than the paper."""

import math
from collections.abc import Callable, Sequence
from dataclasses import dataclass
from io import BytesIO
from typing import TYPE_CHECKING, Any

from nomos import typeface
from nomos.errors import BadInput
from nomos.formats.template import CHECK_BAR_MM, LINE_MM, NARROWEST_MM, Template
from nomos.progress import NULL_PROGRESS, Progress
from nomos.registration import Point

if TYPE_CHECKING:
    from reportlab.pdfgen.canvas import Canvas

MM = 72 / 25.4

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
_GREY = 0.66
_LABEL_PT = 9
_PALE = 0.92


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
        raise BadInput(f"'{paper}' is not a paper size; choose one of {', '.join(PAPERS_MM)}.")
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


def templates_pdf(
    templates: Sequence[Template], *, paper: str = DEFAULT_PAPER, progress: Progress = NULL_PROGRESS
) -> bytes:
    """A PDF of all templates at true size.

    Parameters
    ----------
    templates : what to draw, a page each, or several where it is tiled.
    paper : name of the paper, a key of `PAPERS_MM`.

    Returns
    -------
    The file's bytes; the same templates give the same bytes.

    Notes
    -----
    Print scaling is off in the viewer's preferences, and every page carries a
    100 mm bar to check with a ruler all the same.
    """
    buffer, canvas = new_canvas(f"{templates[0].title}: templates" if templates else "Templates")
    for number, template in enumerate(templates):
        progress.report(number / len(templates), "writing the PDF")
        size = max(template.size_mm[0], NARROWEST_MM), template.size_mm[1] + template.header_mm
        face = "block, mirrored" if template.face == "block" else "tracing, right-reading"

        def draw(template: Template = template, height: float = size[1]) -> None:
            _Pen(canvas, height, template.header_mm).template(template)

        draw_pages(canvas, Sheet(template.name, size, f"{template.heading} ({face})"), draw, paper)
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
    from reportlab.pdfbase import pdfmetrics
    from reportlab.pdfbase.ttfonts import TTFont
    from reportlab.pdfgen.canvas import Canvas

    for name, path in (("Lato", typeface.REGULAR), ("Lato-Bold", typeface.BOLD)):
        pdfmetrics.registerFont(TTFont(name, str(path)))
    buffer = BytesIO()
    canvas = Canvas(buffer, invariant=1, initialFontName="Lato", pageCompression=1)
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
    canvas.setFont("Lato", 7.5)
    canvas.drawString((left + CHECK_BAR_MM + 2) * MM, base * MM, "100 mm: measure it, print at 100 %")
    tiles = tiling.columns * tiling.rows
    where = f", part {row * tiling.columns + column + 1} of {tiles}" if tiles > 1 else ""
    join = " Cut at the marks and lay the edges together." if tiles > 1 else ""
    canvas.drawString(left * MM, (base + 4.2) * MM, f"{text}{where}.{join}")


class _Pen:
    """Draws with y running down from the top of a drawing, in mm."""

    def __init__(self, canvas: "Canvas", height_mm: float, header_mm: float) -> None:
        self._canvas, self._height, self._header = canvas, height_mm, header_mm

    def template(self, template: Template) -> None:
        """The whole drawing: header, block edge, printing areas, notches, marked corner."""
        canvas = self._canvas
        self._text(0, 4.5, template.heading, 12, bold=True)
        for place, line in enumerate(template.lines):
            self._text(0, 9.0 + place * LINE_MM, line, 8)
        canvas.setLineWidth(0.4)
        # In the header's right end, clear of the text on the narrowest template.
        width = max(template.size_mm[0], NARROWEST_MM)
        share = 12 / len(template.colours)
        for place, colour in enumerate(template.colours):
            canvas.setFillColor(colour)
            left = (width - 12 + place * share) * MM
            canvas.rect(left, (self._height - 5) * MM, share * MM, 4.5 * MM, stroke=1, fill=1)
        self._cut_now(template)
        canvas.setFillGray(_GREY)
        canvas.setStrokeGray(0)
        canvas.setLineWidth(0.25)
        path = canvas.beginPath()
        for area in template.areas:
            for ring in area:
                self._add(path, ring, closed=True)
        canvas.drawPath(path, stroke=1, fill=1, fillMode=0)
        self._saw_lines(template)
        self._notches(template)
        canvas.setLineWidth(0.6)
        self._line(
            ((0, 0), (template.size_mm[0], 0), template.size_mm, (0, template.size_mm[1])), closed=True
        )
        canvas.setFillGray(0)
        corner = canvas.beginPath()
        self._add(corner, template.corner, closed=True)
        canvas.drawPath(corner, stroke=0, fill=1)
        if template.front_corner:
            canvas.setLineWidth(0.8)
            self._line(template.front_corner, closed=True)

    def _saw_lines(self, template: Template) -> None:
        """The paths of a jigsaw's pieces, and the words on pieces and zones."""
        self._canvas.setLineWidth(0.8)
        for path in template.saw:
            self._line(path, closed=True)
        for x, y, word in template.labels:
            size = _LABEL_PT
            wide = self._canvas.stringWidth(word, "Lato-Bold", size) / MM
            self._canvas.setFillGray(1)
            base = self._height - self._header - y - 1.3
            self._canvas.rect((x - wide / 2 - 0.6) * MM, (base - 0.8) * MM, (wide + 1.2) * MM, 4 * MM, 0, 1)
            self._text(x - wide / 2, self._header + y + 1.3, word, size, bold=True)

    def _cut_now(self, template: Template) -> None:
        canvas = self._canvas
        canvas.setFillGray(_PALE)
        canvas.setStrokeGray(0.3)
        canvas.setLineWidth(0.25)
        canvas.setDash(1, 1.5)
        path = canvas.beginPath()
        for area in template.cut_now:
            for ring in area:
                self._add(path, ring, closed=True)
        canvas.drawPath(path, stroke=1, fill=1, fillMode=0)
        canvas.setDash()

    def _notches(self, template: Template) -> None:
        canvas = self._canvas
        canvas.setDash(2, 2)
        canvas.setLineWidth(0.3)
        self._line(template.sheet, closed=True)
        canvas.setDash(8, 3)
        for tidy in template.tidy:
            self._line(tidy)
        canvas.setDash()
        for floor in template.floors:
            canvas.saveState()
            shape = canvas.beginPath()
            self._add(shape, floor, closed=True)
            canvas.clipPath(shape, stroke=0, fill=0)
            self._hatch(floor)
            canvas.restoreState()
            self._line(floor, closed=True)
        canvas.setLineWidth(1.4)
        for wall in template.walls:
            self._line(wall)

    def _hatch(self, shape: Sequence[Point]) -> None:
        xs, ys = [x for x, _ in shape], [y for _, y in shape]
        height = max(ys) - min(ys)
        start = min(xs) - height
        while start < max(xs):
            self._line(((start, max(ys)), (start + height, min(ys))))
            start += 1.6

    def _text(self, x: float, y: float, text: str, size: float, *, bold: bool = False) -> None:
        self._canvas.setFillGray(0)
        self._canvas.setFont("Lato-Bold" if bold else "Lato", size)
        self._canvas.drawString(x * MM, (self._height - y) * MM, text)

    def _line(self, points: Sequence[Point], *, closed: bool = False) -> None:
        path = self._canvas.beginPath()
        self._add(path, points, closed=closed)
        self._canvas.drawPath(path, stroke=1, fill=0)

    def _add(self, path: Any, points: Any, *, closed: bool) -> None:
        base = self._height - self._header
        for place, (x, y) in enumerate(points):
            (path.lineTo if place else path.moveTo)(x * MM, (base - y) * MM)
        if closed:
            path.close()
