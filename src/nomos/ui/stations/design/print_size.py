"""How large the print is, asked in the picture: it lies on a sheet of paper and is dragged by its corner."""

from PyQt6.QtCore import QPointF, QRectF, Qt
from PyQt6.QtGui import QColor, QImage, QPainter, QPen, QPolygonF, QTransform

from nomos.base.language import tr
from nomos.base.units import LARGEST_MM, PAPER_SIZES_MM, SMALLEST_MM, size_text
from nomos.design.cut import Corners
from nomos.ui.frame import theme

Size = tuple[float, float]

_GRIP, _NEAR = 8, 40
# Around the paper, on every side, as a share of the room.
_AROUND = 0.08


class PrintSize:
    """A print of one shape in the middle of a sheet of paper, both to scale."""

    def __init__(self) -> None:
        self.paper = "A4"
        self._size: Size = (100.0, 100.0)
        self._dragged: Size | None = None

    @property
    def size_mm(self) -> Size:
        """As it is shown: while it is dragged, as it would become."""
        return self._dragged or self._size

    def show_size(self, size_mm: Size, paper: str) -> None:
        """Show this size on that paper; one that is being dragged stays with the hand."""
        self._size, self.paper = size_mm, paper

    def paper_mm(self) -> Size:
        """The paper, the way round that suits the print."""
        short, long = sorted(PAPER_SIZES_MM[self.paper])
        return (long, short) if self._size[0] > self._size[1] else (short, long)

    def scale(self, room: QRectF) -> float:
        """Screen pixels per mm; it does not change while the print is dragged."""
        wide, high = (
            max(paper, side) * (1 + 2 * _AROUND) for paper, side in zip(self.paper_mm(), self._size, strict=True)
        )
        return min(room.width() / wide, room.height() / high)

    def box(self, room: QRectF) -> QRectF:
        """The print on the screen."""
        return self._centred(room, self.size_mm)

    def press(self, room: QRectF, at: QPointF) -> bool:
        """Whether the corner has been taken hold of."""
        if (self.box(room).bottomRight() - at).manhattanLength() > theme.scaled(_NEAR):
            return False
        self._dragged = self._size
        return True

    def drag(self, room: QRectF, at: QPointF) -> None:
        """The corner follows the pointer; the shape stays, and so does the middle."""
        away = at - room.center()
        ratio = self._size[0] / self._size[1]
        self._take(2 * max(away.x(), away.y() * ratio) / self.scale(room))

    def nudge(self, by_mm: float) -> None:
        """One step wider or narrower."""
        self._take(round(self.size_mm[0] + by_mm, 1))

    def let_go(self) -> float | None:
        """The width that was chosen, mm; None if it is the one there was."""
        chosen, self._dragged = self._dragged, None
        return None if chosen is None or chosen == self._size else chosen[0]

    def _take(self, width_mm: float) -> None:
        high = self._size[1] / self._size[0]
        least, most = SMALLEST_MM * max(1, 1 / high), LARGEST_MM * min(1, 1 / high)
        width = round(min(max(width_mm, least), most), 1)
        self._dragged = width, round(width * high, 1)

    def _centred(self, room: QRectF, size_mm: Size) -> QRectF:
        scale = self.scale(room)
        made = QRectF(0, 0, size_mm[0] * scale, size_mm[1] * scale)
        made.moveCenter(room.center())
        return made

    def paint(self, painter: QPainter, room: QRectF, picture: QImage, corners: Corners) -> None:
        """Paper, what is printed of the picture, its size in words, and the corner to drag."""
        accent = QColor(theme.LIGHT.accent)
        paper, box = self._centred(room, self.paper_mm()), self.box(room)
        painter.fillRect(paper, QColor("#ffffff"))
        painter.setPen(QPen(QColor("#8a8a8a"), 1))
        painter.drawRect(paper)
        self._paint_picture(painter, box, picture, corners)
        painter.setPen(QPen(accent, 1.6))
        painter.setBrush(Qt.BrushStyle.NoBrush)
        painter.drawRect(box)
        grip = theme.scaled(_GRIP)
        painter.fillRect(QRectF(box.right() - grip, box.bottom() - grip, 2 * grip, 2 * grip), accent)
        painter.setFont(theme.font(13))
        painter.setPen(QColor("#1c1c1c"))
        words = tr(
            "The print {size_text}, on {paper} {size_text_2}",
            size_text=size_text(*self.size_mm), paper=self.paper, size_text_2=size_text(*self.paper_mm()),
        )  # fmt: skip
        painter.drawText(
            QRectF(room.left(), room.bottom() - 2, room.width(), theme.scaled(22)),
            Qt.AlignmentFlag.AlignCenter, words,
        )  # fmt: skip

    def _paint_picture(self, painter: QPainter, box: QRectF, picture: QImage, corners: Corners) -> None:
        """What lies between the corners, pulled straight."""
        wide, high = picture.width(), picture.height()
        quad = QPolygonF([QPointF(x * wide, y * high) for x, y in corners])
        straight = QPolygonF([box.topLeft(), box.topRight(), box.bottomRight(), box.bottomLeft()])
        seen = QTransform()
        if not QTransform.quadToQuad(quad, straight, seen):
            return
        painter.save()
        painter.setRenderHint(QPainter.RenderHint.SmoothPixmapTransform)
        painter.setClipRect(box)
        painter.setTransform(seen, combine=True)
        painter.drawImage(0, 0, picture)
        painter.restore()
