"""What stands beside and over the picture as it was opened: a first look at its fields, and what goes on."""

from PyQt6.QtCore import QPointF, QRectF, Qt
from PyQt6.QtGui import QBrush, QColor, QFontMetrics, QPainter, QPen, QPolygonF

from nomos.proof import Pixels, render_view
from nomos.ui.frame import theme
from nomos.ui.frame.sheet import image_of

MARGIN = 26


def draw_coarse(painter: QPainter, fields: Pixels, rect: QRectF) -> None:
    """The first, coarse fields, in the right half."""
    height, width = fields.shape
    margin = theme.scaled(MARGIN)
    room = rect.adjusted(rect.width() / 2 + theme.scaled(8), margin, -margin, -margin)
    scale = min(room.width() / width, room.height() / height)
    size = max(1, round(width * scale)), max(1, round(height * scale))
    view = render_view((fields,), None, (0, 0, width, height), size)
    box = QRectF(0, 0, size[0], size[1])
    box.moveCenter(room.center())
    painter.drawImage(box.topLeft(), image_of(view, 1.0))


def draw_note(painter: QPainter, note: str, at: QPointF) -> None:
    """Words on a ground of their own."""
    painter.setFont(theme.font(13))
    metrics = QFontMetrics(painter.font())
    box = QRectF(0, 0, metrics.horizontalAdvance(note) + 20, metrics.height() + 8)
    box.moveCenter(at)
    painter.fillRect(box, QColor(theme.LIGHT.foot))
    painter.setPen(QColor("#1c1c1c"))
    painter.drawText(box, Qt.AlignmentFlag.AlignCenter, note)


def draw_hatched(painter: QPainter, shape: QPolygonF, *, asked: bool = False) -> None:
    """What stays bare, hatched on a pale ground; what is only asked about, on the picture itself."""
    accent = QColor(theme.LIGHT.accent)
    painter.setPen(QPen(accent, 1.4, Qt.PenStyle.DashLine))
    painter.setBrush(Qt.BrushStyle.NoBrush if asked else QColor(255, 255, 255, 190))
    painter.drawPolygon(shape)
    painter.setBrush(QBrush(accent, Qt.BrushStyle.BDiagPattern))
    painter.drawPolygon(shape)
