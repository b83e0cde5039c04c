"""What is drawn over the sheet: rulers, findings, the handle and the loupe's frame."""

from collections.abc import Sequence

import numpy as np
from numpy.typing import NDArray
from PyQt6.QtCore import QPointF, QRect, QRectF, Qt
from PyQt6.QtGui import QColor, QFontMetrics, QImage, QPainter, QPainterPath, QPen, QPolygonF

from nomos.base.language import tr
from nomos.base.units import MM_PER_INCH, length_text, shown_unit
from nomos.project.model import Outline
from nomos.registration import Rect
from nomos.separation.touch import Touch
from nomos.ui.frame import theme
from nomos.ui.frame.viewport import Viewport, inch_step, tick_step

_INK = QColor("#2b2b2b")
# A map over the image: the darkest it makes a place, of 255.
_SHADE_ALPHA, _SHADE_RGB = 150, 0x18204F
_ACCENT = QColor(theme.LIGHT.accent)


def draw_rulers(
    painter: QPainter, view: Viewport, sheet_mm: tuple[float, float], visible: QRect, block: Rect | None = None
) -> None:
    """Millimetres or inches along the sheet's own top and left edges, outside the block where one is shown.

    They stay in sight when the sheet is zoomed.
    """
    painter.setFont(theme.font(11))
    metrics = QFontMetrics(painter.font())
    painter.setPen(QPen(_INK, 1))
    inches = shown_unit() == "in"
    step, labelled = (inch_step if inches else tick_step)(view.scale)
    unit_mm = MM_PER_INCH if inches else 1.0
    x0, y0 = view.to_screen(0, 0)
    near, far = theme.scaled(4), theme.scaled(9)
    edge_x, edge_y = view.to_screen(min(block.left, 0.0), min(block.top, 0.0)) if block else (x0, y0)
    top = max(edge_y, metrics.height() + far + 4)
    left = max(edge_x, metrics.horizontalAdvance("0000") + far + 4)
    for count in range(int(sheet_mm[0] / step) + 1):
        x = x0 + count * step * view.scale
        if visible.left() <= x <= visible.right():
            major = count % labelled == 0
            painter.drawLine(QPointF(x, top - 2), QPointF(x, top - 2 - (far if major else near)))
            if major:
                box = QRectF(x - 40, top - far - metrics.height() - 3, 80, metrics.height())
                painter.drawText(box, Qt.AlignmentFlag.AlignCenter, tr("{unit_mm:g}", unit_mm=count * step / unit_mm))
    for count in range(int(sheet_mm[1] / step) + 1):
        y = y0 + count * step * view.scale
        if visible.top() <= y <= visible.bottom():
            major = count % labelled == 0
            painter.drawLine(QPointF(left - 2, y), QPointF(left - 2 - (far if major else near), y))
            if major:
                box = QRectF(left - far - 86, y - 10, 80, 20)
                painter.drawText(
                    box,
                    Qt.AlignmentFlag.AlignRight | Qt.AlignmentFlag.AlignVCenter,
                    tr("{unit_mm:g}", unit_mm=count * step / unit_mm),
                )
    painter.drawText(
        QRectF(left - far - 86, top - far - metrics.height() - 3, 80, metrics.height()),
        Qt.AlignmentFlag.AlignRight,
        shown_unit(),
    )


def draw_label(painter: QPainter, at: QPointF, text: str) -> None:
    """Words on a ground of their own, about a place."""
    box = _label_box(at, text)
    painter.setFont(theme.font(12))
    painter.fillRect(box, QColor(theme.GROUND))
    painter.setPen(_INK)
    painter.drawText(box, Qt.AlignmentFlag.AlignCenter, text)


def _label_box(at: QPointF, text: str) -> QRectF:
    metrics = QFontMetrics(theme.font(12))
    box = QRectF(0, 0, metrics.horizontalAdvance(text) + 10, metrics.height() + 2)
    box.moveCenter(at)
    return box


def draw_spot(painter: QPainter, at: QPointF) -> None:
    """A finding's place: a triangle with its tip on it, light inside so that it shows on any colour."""
    size = theme.scaled(11)
    shape = QPainterPath(at)
    shape.lineTo(at + QPointF(-size * 0.6, size * 1.1))
    shape.lineTo(at + QPointF(size * 0.6, size * 1.1))
    shape.closeSubpath()
    painter.setPen(QPen(QColor("#1c1c1c"), 1.6))
    painter.setBrush(QColor("#ffffff"))
    painter.drawPath(shape)


def draw_stroke(painter: QPainter, view: Viewport, touch: Touch) -> None:
    """A stroke while it is drawn."""
    points = touch.points if touch.tool != "line" else (touch.points[0], touch.points[-1])
    line = QPolygonF([QPointF(*view.to_screen(*point)) for point in points])
    colour = QColor(_ACCENT if touch.prints else QColor("#ffffff"))
    colour.setAlpha(170)
    if touch.tool == "lasso":
        painter.setPen(QPen(_ACCENT, 1.4, Qt.PenStyle.DashLine))
        painter.setBrush(colour)
        painter.drawPolygon(line)
        return
    width = max(1.0, touch.width_mm * view.scale)
    round_cap, round_join = Qt.PenCapStyle.RoundCap, Qt.PenJoinStyle.RoundJoin
    painter.setPen(QPen(colour, width, Qt.PenStyle.SolidLine, round_cap, round_join))
    painter.drawPolyline(line)


def draw_outlines(painter: QPainter, view: Viewport, outlines: Sequence[Outline]) -> None:
    """Closed lines on the sheet, dashed dark on light so that they show on any colour."""
    lines = [QPolygonF([QPointF(*view.to_screen(*point)) for point in outline]) for outline in outlines]
    painter.setBrush(Qt.BrushStyle.NoBrush)
    for colour, width, style in (
        (QColor("#ffffff"), 2.6, Qt.PenStyle.SolidLine), (_ACCENT, 1.4, Qt.PenStyle.DashLine),
    ):  # fmt: skip
        painter.setPen(QPen(colour, width, style))
        for line in lines:
            painter.drawPolygon(line)


def draw_divider(painter: QPainter, x: float, height: int, title: str) -> None:
    """The line between two looks of a sheet, with what lies at either side of it."""
    for colour, width in ((QColor("#ffffff"), 4.0), (_ACCENT, 2.0)):
        painter.setPen(QPen(colour, width))
        painter.drawLine(QPointF(x, 0), QPointF(x, height))
    metrics = QFontMetrics(theme.font(12))
    top = theme.scaled(12)
    draw_label(painter, QPointF(x - metrics.horizontalAdvance(tr("now")) / 2 - theme.scaled(14), top), tr("now"))
    draw_label(painter, QPointF(x + metrics.horizontalAdvance(title) / 2 + theme.scaled(14), top), title)


def draw_words(painter: QPainter, view: Viewport, words: Sequence[tuple[float, float, str]]) -> None:
    """Words at places (mm), each on a ground of its own; one that would cover another is left out."""
    drawn: list[QRectF] = []
    for x, y, word in words:
        box = _label_box(QPointF(*view.to_screen(x, y)), word)
        if not any(box.intersects(other) for other in drawn):
            draw_label(painter, box.center(), word)
            drawn.append(box)


def draw_handle(painter: QPainter, at: QPointF, word: str = "") -> None:
    """A handle to drag something by: a ring with four arms, and what it is."""
    radius, arm = theme.scaled(11), theme.scaled(19)
    for colour, width in ((QColor("#ffffff"), 5.0), (_ACCENT, 2.2)):
        painter.setPen(QPen(colour, width))
        painter.setBrush(Qt.BrushStyle.NoBrush)
        painter.drawEllipse(at, radius, radius)
        for dx, dy in ((1, 0), (-1, 0), (0, 1), (0, -1)):
            painter.drawLine(at + QPointF(dx * radius, dy * radius), at + QPointF(dx * arm, dy * arm))
    if word:
        draw_label(painter, at + QPointF(0, arm + theme.scaled(12)), word)


def draw_shade(painter: QPainter, view: Viewport, image: Rect, shade: NDArray[np.float64]) -> None:
    """The image darkened place by place. shade : (rows, columns) 0 to 1."""
    alpha = np.rint(_SHADE_ALPHA * np.clip(shade, 0, 1)).astype(np.uint32)
    pixels = np.ascontiguousarray((alpha << np.uint32(24)) | np.uint32(_SHADE_RGB))
    rows, columns = pixels.shape
    tint = QImage(pixels.tobytes(), columns, rows, 4 * columns, QImage.Format.Format_ARGB32).copy()
    left, top = view.to_screen(image.left, image.top)
    painter.setRenderHint(QPainter.RenderHint.SmoothPixmapTransform)
    painter.drawImage(QRectF(left, top, image.width * view.scale, image.height * view.scale), tint)


def draw_inset(painter: QPainter, frame: QRectF, there: QRectF, image: QImage, word: str) -> None:
    """A place from close by, framed, with a line to where it is and what is said of it."""
    painter.setBrush(Qt.BrushStyle.NoBrush)
    for colour, width in ((QColor("#ffffff"), 3.5), (_INK, 1.5)):
        painter.setPen(QPen(colour, width))
        painter.drawLine(frame.center(), there.center())
        painter.drawRect(there)
    painter.drawImage(frame.topLeft(), image)
    painter.drawRect(frame)
    box = _label_box(QPointF(frame.center().x(), frame.bottom() + theme.scaled(10)), word)
    # Words longer than the frame is wide reach into the view, not out of it.
    box.moveRight(frame.right()) if frame.left() > there.left() else box.moveLeft(frame.left())
    draw_label(painter, box.center(), word)


def draw_loupe_frame(painter: QPainter, frame: QRectF, width_mm: float) -> None:
    """The loupe's edge and what it spans."""
    painter.setPen(QPen(QColor("#1c1c1c"), 1.5))
    painter.setBrush(Qt.BrushStyle.NoBrush)
    painter.drawRect(frame)
    painter.setFont(theme.font(11))
    text = tr("{width_mm} across", width_mm=length_text(width_mm, 0))
    box = QRectF(frame.left(), frame.bottom() + 2, frame.width(), QFontMetrics(painter.font()).height() + 2)
    painter.fillRect(box, QColor(theme.LIGHT.foot))
    painter.drawText(box, Qt.AlignmentFlag.AlignCenter, text)
