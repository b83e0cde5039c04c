"""A system of registration drawn to scale over the sheet: block, base, notches, stops, pins, dimensions."""

from collections.abc import Sequence

from PyQt6.QtCore import QPointF, Qt
from PyQt6.QtGui import QBrush, QColor, QPainter, QPen, QPolygonF

from nomos.base.language import tr
from nomos.base.units import size_text
from nomos.registration import PrintedMark, Shape, SystemPlan
from nomos.ui.frame import theme
from nomos.ui.frame.sheet_marks import draw_label
from nomos.ui.frame.viewport import Viewport

_INK, _ACCENT = QColor("#2b2b2b"), QColor(theme.LIGHT.accent)
_PALE, _STRONG = QColor(47, 62, 134, 60), QColor(47, 62, 134, 150)
_MARK = QColor(30, 30, 30, 200)


def draw_system(painter: QPainter, view: Viewport, plan: SystemPlan, marks: Sequence[PrintedMark] = ()) -> None:
    """Everything of a system, seen through the sheet, with its dimensions, and the printed marks."""
    for shape in plan.shapes:
        _draw_shape(painter, view, shape)
    for mark in marks:
        painter.setPen(Qt.PenStyle.NoPen)
        painter.setBrush(_MARK)
        for ring in mark.rings:
            painter.drawPolygon(_polygon(view, ring))
    for shape in plan.shapes:
        if shape.word:
            draw_label(painter, _polygon(view, shape.points).boundingRect().center(), shape.word)
    for dimension in plan.dimensions:
        _draw_dimension(painter, view, dimension.start, dimension.end, dimension.text)
    block = plan.block
    below = QPointF(*view.to_screen(plan.bench.left, plan.bench.bottom)) + QPointF(0, theme.scaled(16))
    painter.setFont(theme.font(12))
    painter.setPen(_INK)
    painter.drawText(below, tr("Block {width}, seen through the sheet", width=size_text(block.width, block.height)))


def _polygon(view: Viewport, points: Sequence[tuple[float, float]]) -> QPolygonF:
    return QPolygonF([QPointF(*view.to_screen(*point)) for point in points])


def _draw_shape(painter: QPainter, view: Viewport, shape: Shape) -> None:
    """Each kind has a look of its own: lines and hatching, never colour alone."""
    outline = _polygon(view, shape.points)
    painter.setBrush(Qt.BrushStyle.NoBrush)
    if shape.kind == "wall":
        painter.setPen(QPen(_ACCENT, 4, cap=Qt.PenCapStyle.FlatCap, join=Qt.PenJoinStyle.MiterJoin))
        painter.drawPolyline(outline)
        return
    looks: dict[str, tuple[Qt.PenStyle, float, QBrush | None]] = {
        "block": (Qt.PenStyle.DashLine, 1.4, None),
        "tidy": (Qt.PenStyle.DashDotLine, 1.0, None),
        "floor": (Qt.PenStyle.SolidLine, 1.0, QBrush(_ACCENT, Qt.BrushStyle.BDiagPattern)),
        "base": (Qt.PenStyle.SolidLine, 1.0, None),
        "board": (Qt.PenStyle.SolidLine, 1.2, QBrush(QColor(255, 255, 255, 70))),
        "block stop": (Qt.PenStyle.SolidLine, 1.0, QBrush(_PALE)),
        "paper stop": (Qt.PenStyle.SolidLine, 1.0, QBrush(_STRONG)),
        "packing": (Qt.PenStyle.DotLine, 1.0, QBrush(_ACCENT, Qt.BrushStyle.Dense7Pattern)),
        "pin": (Qt.PenStyle.SolidLine, 1.4, QBrush(_STRONG)),
        "tab": (Qt.PenStyle.SolidLine, 1.2, None),
        "tape": (Qt.PenStyle.DotLine, 1.0, QBrush(QColor(255, 255, 255, 90))),
        "corner": (Qt.PenStyle.SolidLine, 1.0, QBrush(_INK)),
    }
    style, width, brush = looks.get(shape.kind, (Qt.PenStyle.SolidLine, 1.4, None))
    painter.setPen(QPen(_ACCENT, width, style))
    if brush is not None:
        painter.setBrush(brush)
    if shape.closed:
        painter.drawPolygon(outline)
    else:
        painter.drawPolyline(outline)


def _draw_dimension(
    painter: QPainter, view: Viewport, start_mm: tuple[float, float], end_mm: tuple[float, float], text: str
) -> None:
    start, end = QPointF(*view.to_screen(*start_mm)), QPointF(*view.to_screen(*end_mm))
    along = end - start
    length = max((along.x() ** 2 + along.y() ** 2) ** 0.5, 1e-6)
    across = QPointF(-along.y() / length, along.x() / length) * 5
    painter.setPen(QPen(_INK, 1))
    painter.drawLine(start, end)
    for point in (start, end):
        painter.drawLine(point - across, point + across)
    middle = (start + end) / 2
    if length < theme.scaled(40):
        # Too short for words in its line: they stand below.
        middle += QPointF(0, theme.scaled(16))
    if abs(along.y()) > abs(along.x()):
        # Beside an upright line, so that the words do not lie over it.
        painter.setFont(theme.font(12))
        wide = painter.fontMetrics().horizontalAdvance(text)
        middle += QPointF(wide / 2 + theme.scaled(10), 0)
    draw_label(painter, middle, text)
