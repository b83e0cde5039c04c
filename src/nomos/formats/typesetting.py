"""Our typefaces in PDF: text broken by the widths of its letters, and pages of running text."""

from collections.abc import Sequence
from functools import cache
from html import escape
from typing import TYPE_CHECKING, Any

import numpy as np

from nomos.base import typeface
from nomos.design.page import Rgb

if TYPE_CHECKING:
    from reportlab.pdfgen.canvas import Canvas
    from reportlab.platypus import Flowable

MM = 72 / 25.4
FONT, BOLD = "Lato", "Lato-Bold"
A4_MM = (210.0, 297.0)
_LEADING = 1.28
_MARGIN_MM = 18.0


@cache
def register_typefaces() -> None:
    """Make our typefaces known to reportlab, once."""
    from reportlab.pdfbase import pdfmetrics
    from reportlab.pdfbase.ttfonts import TTFont

    for name, path in ((FONT, typeface.REGULAR), (BOLD, typeface.BOLD)):
        pdfmetrics.registerFont(TTFont(name, str(path)))


def broken(text: str, width_mm: float, size_pt: float, *, bold: bool = False) -> tuple[str, ...]:
    """The lines of a text that is set in a width."""
    from reportlab.lib.utils import simpleSplit

    register_typefaces()
    return tuple(simpleSplit(text, BOLD if bold else FONT, size_pt, width_mm * MM)) or ("",)


def paragraph(text: str, size_pt: float = 10.0, *, bold: bool = False, after_mm: float = 1.4) -> "Flowable":
    """A paragraph of plain text, in which nothing is markup."""
    from reportlab.lib.styles import ParagraphStyle
    from reportlab.platypus import Paragraph

    register_typefaces()
    name = BOLD if bold else FONT
    style = ParagraphStyle(
        f"{name}{size_pt}", fontName=name, fontSize=size_pt, leading=size_pt * _LEADING,
        spaceAfter=after_mm * MM, splitLongWords=1,
    )  # fmt: skip
    return Paragraph(escape("".join(letter for letter in text if letter.isprintable()), quote=False), style)


def space(height_mm: float) -> "Flowable":
    """Room between paragraphs."""
    from reportlab.platypus import Spacer

    return Spacer(1, height_mm * MM)


def rows(named: Sequence[tuple[str, str]], first_mm: float = 40.0, size_pt: float = 10.0) -> "Flowable":
    """Names in bold, each with its sentence beside it; a table that runs on over pages."""
    from reportlab.platypus import Table

    cells = [[paragraph(name, size_pt, bold=True), paragraph(text, size_pt)] for name, text in named]
    wide = A4_MM[0] - 2 * _MARGIN_MM - first_mm
    table = Table(cells, colWidths=[first_mm * MM, wide * MM], hAlign="LEFT")
    table.setStyle(
        [("LEFTPADDING", (0, 0), (-1, -1), 0), ("TOPPADDING", (0, 0), (-1, -1), 0),
         ("BOTTOMPADDING", (0, 0), (-1, -1), 1.5), ("VALIGN", (0, 0), (-1, -1), "TOP")]
    )  # fmt: skip
    return table


def numbered_picture(pixels: Rgb, width_mm: float, places: Sequence[tuple[int, float, float]]) -> "Flowable":
    """A picture with numbers on it. places : number, and where in shares of width and height from the top left."""
    from PIL import Image
    from reportlab.graphics.shapes import Circle, Drawing, String
    from reportlab.graphics.shapes import Image as Picture
    from reportlab.lib.colors import Color

    register_typefaces()
    height, width = pixels.shape[:2]
    wide, tall = width_mm * MM, width_mm * MM * height / width
    drawn = Drawing(wide, tall)
    black, white = Color(0, 0, 0), Color(1, 1, 1)
    drawn.add(Picture(0, 0, wide, tall, Image.fromarray(np.ascontiguousarray(pixels))))
    for number, x, y in places:
        at = x * wide, (1 - y) * tall
        drawn.add(Circle(*at, 7, fillColor=white, strokeColor=black, strokeWidth=0.8))
        drawn.add(String(at[0], at[1] - 3, str(number), fontName=BOLD, fontSize=8, textAnchor="middle"))
    return drawn


def ruled(names: Sequence[str]) -> "Flowable":
    """Lines to write on by hand, side by side, with what belongs there below each."""
    from reportlab.platypus import Table

    cells = [[part for name in names for part in (paragraph(name), "")]]
    wide, gap = 60.0 * MM, 22.0 * MM
    table = Table(cells, colWidths=[wide, gap] * len(names), hAlign="LEFT")
    lines = [("LINEABOVE", (2 * place, 0), (2 * place, 0), 0.6, "black") for place in range(len(names))]
    table.setStyle([("LEFTPADDING", (0, 0), (-1, -1), 0), *lines])
    return table


PAGE_END = object()
"""In running text: what follows begins a page."""


def text_pages(canvas: "Canvas", story: Sequence[Any], page_mm: tuple[float, float] = A4_MM) -> None:
    """Running text on as many pages as it takes."""
    from reportlab.platypus import Frame

    left = list(story)
    while left:
        canvas.setPageSize((page_mm[0] * MM, page_mm[1] * MM))
        frame = Frame(
            _MARGIN_MM * MM, _MARGIN_MM * MM, (page_mm[0] - 2 * _MARGIN_MM) * MM,
            (page_mm[1] - 2 * _MARGIN_MM) * MM, 0, 0, 0, 0,
        )  # fmt: skip
        while left and left[0] is not PAGE_END and frame.add(left[0], canvas, trySplit=1):
            del left[0]
        if left and left[0] is PAGE_END:
            del left[0]
        elif left:
            # What does not fit goes on in parts where it can be parted, whole on the next page where not.
            parts = frame.split(left[0], canvas)
            if parts and frame.add(parts[0], canvas):
                left[:1] = parts[1:]
        canvas.showPage()
