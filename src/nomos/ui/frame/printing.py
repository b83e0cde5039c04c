"""Printing at true size: a PDF of ours on a printer, with the printer's own error put right."""

from collections.abc import Iterator
from contextlib import contextmanager
from dataclasses import dataclass

from PyQt6.QtCore import QBuffer, QByteArray, QMarginsF, QRectF, QSettings, QSizeF
from PyQt6.QtGui import QPageLayout, QPageSize, QPainter
from PyQt6.QtPdf import QPdfDocument
from PyQt6.QtPrintSupport import QPrinter

from nomos.base.errors import BadInput
from nomos.base.language import tr

_INCH_MM, _POINTS = 25.4, 72.0
# A tenth of a millimetre in print; on the screen a page is looked at whole.
PRINT_DPI, LOOK_DPI = 300, 110
# A printer that is further off than this was measured wrongly.
LEAST_MM, MOST_MM = 90.0, 110.0
# What our pages keep free at their edges.
_MARGIN_MM = 7.4


@dataclass(frozen=True)
class Scale:
    """What a bar of 100 mm measures on a printer, along the way the paper runs and across it, mm."""

    along_mm: float = 100.0
    across_mm: float = 100.0

    @property
    def cure(self) -> tuple[float, float]:
        """By how much to draw larger, across and along."""
        return 100.0 / self.across_mm, 100.0 / self.along_mm

    @property
    def right(self) -> bool:
        """Whether nothing has to be put right: closer than a ruler reads."""
        return abs(self.along_mm - 100) < 0.05 and abs(self.across_mm - 100) < 0.05


def kept_scale(settings: QSettings, printer: str) -> Scale:
    """What was measured on a printer; a true one where nothing was."""
    values = [settings.value(f"printers/{_key(printer)}/{way}", 100.0) for way in ("along", "across")]
    try:
        along, across = (min(max(float(value), LEAST_MM), MOST_MM) for value in values)
    except (TypeError, ValueError):
        return Scale()
    return Scale(along, across)


def keep_scale(settings: QSettings, printer: str, scale: Scale) -> None:
    """Keep what was measured on a printer."""
    settings.setValue(f"printers/{_key(printer)}/along", scale.along_mm)
    settings.setValue(f"printers/{_key(printer)}/across", scale.across_mm)


def _key(printer: str) -> str:
    """A printer's name as a key of settings, in which / has a meaning."""
    return printer.replace("/", "_").replace("\\", "_") or "pdf"


@contextmanager
def _opened(pdf: bytes) -> Iterator[QPdfDocument]:
    """A PDF, and its bytes for as long as it is read."""
    data, document = QByteArray(pdf), QPdfDocument(None)
    buffer = QBuffer(data)
    buffer.open(QBuffer.OpenModeFlag.ReadOnly)
    document.load(buffer)
    try:
        yield document
    finally:
        document.close()
        buffer.close()


def print_pdf(printer: QPrinter, pdf: bytes, scale: Scale, most_dpi: int = PRINT_DPI) -> int:
    """Print every page at true size, its upper left corner on the paper's; wide pages are turned.

    Returns the number of pages. Raises BadInput where the printer takes nothing, or stops.
    """
    painter = QPainter()
    with _opened(pdf) as document:
        count = document.pageCount()
        _set_paper(printer, document.pagePointSize(0))
        for page in range(count):
            if page == 0:
                begun = painter.begin(printer)
                if not begun:
                    raise BadInput(tr("The printer takes nothing: is it on, is there room for the file?"))
            elif not printer.newPage():
                painter.end()
                raise BadInput(tr("The printer stopped in the middle: print the pages that are missing again."))
            _draw(painter, printer, document, page, scale, most_dpi)
        if painter.isActive():
            painter.end()
    return count


def _set_paper(printer: QPrinter, size: QSizeF) -> None:
    """Set the printer to upright paper of this size in points, all of it."""
    upright = QSizeF(min(size.width(), size.height()), max(size.width(), size.height()))
    layout = QPageLayout(
        QPageSize(upright, QPageSize.Unit.Point, "", QPageSize.SizeMatchPolicy.FuzzyMatch),
        QPageLayout.Orientation.Portrait,
        QMarginsF(0, 0, 0, 0),
    )
    layout.setMode(QPageLayout.Mode.FullPageMode)
    printer.setPageLayout(layout)
    printer.setFullPage(True)


def _draw(painter: QPainter, printer: QPrinter, document: QPdfDocument, page: int, scale: Scale, most_dpi: int) -> None:
    size = document.pagePointSize(page)
    dpi = min(printer.resolution(), most_dpi)
    image = document.render(page, (size / _POINTS * dpi).toSize())
    unit = printer.resolution() / _POINTS
    painter.save()
    painter.setRenderHint(QPainter.RenderHint.SmoothPixmapTransform)
    # The paper runs upright: what it is off by along and across holds for turned pages as well.
    painter.scale(*scale.cure)
    if size.width() > size.height():
        painter.translate(size.height() * unit, 0)
        painter.rotate(90)
    painter.drawImage(QRectF(0, 0, size.width() * unit, size.height() * unit), image)
    painter.restore()


def cut_off(printer: QPrinter) -> str:
    """What of our pages a printer cannot reach, in a sentence; nothing where it reaches all."""
    least = printer.pageLayout().minimumMargins()
    widest = max(least.left(), least.top(), least.right(), least.bottom())
    mm = printer.pageLayout().units() == QPageLayout.Unit.Millimeter
    widest_mm = widest if mm else widest * _INCH_MM / _POINTS
    if widest_mm <= _MARGIN_MM:
        return ""
    return tr(
        "This printer leaves {widest_mm:.0f} mm free at an edge: the check bar may be cut off.", widest_mm=widest_mm
    )
