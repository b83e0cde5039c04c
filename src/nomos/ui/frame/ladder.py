"""The pull ladder: the sheet after each impression, bare paper on top, finished print at the foot."""

from collections.abc import Callable, Sequence

from PyQt6.QtCore import QPointF, QRectF, QSize, Qt, QTimer, pyqtSignal
from PyQt6.QtGui import QColor, QFont, QImage, QKeyEvent, QMouseEvent, QPainter, QPaintEvent, QPen, QResizeEvent
from PyQt6.QtWidgets import QSizePolicy, QWidget

from nomos.base.language import tr
from nomos.ui.frame import theme
from nomos.ui.frame.sheet import image_of
from nomos.ui.frame.view import Rung

# Rungs share the height there is, within these bounds; a picture leaves this much of its rung free.
TALLEST, LEAST, ROUND_PICTURE = 80, 74, 14


class PullLadder(QWidget):
    """Rungs to look at and to drag. While a rung is dragged the order follows it at once."""

    chosen = pyqtSignal(object, int)
    """(impression id or None for the bare paper, number of pulls)."""
    moved = pyqtSignal(str, int, int)
    """(impression id, its new place counted from 0, number of the gesture)."""
    resized = pyqtSignal()
    """The rungs are of another height: their pictures have to be made anew."""

    def __init__(self) -> None:
        super().__init__()
        self.setFocusPolicy(Qt.FocusPolicy.StrongFocus)
        self.setSizePolicy(QSizePolicy.Policy.Expanding, QSizePolicy.Policy.Minimum)
        self.setAccessibleName(tr("Pull ladder"))
        self._rungs: tuple[Rung, ...] = ()
        self._images: list[QImage | None] = []
        self._pressed: tuple[QPointF, str | None] | None = None
        self._dragged: str | None = None
        self._gesture = 0
        self._make: Callable[[int], Sequence[Rung]] = lambda _tall: ()
        # The sheet and the answers come first: small pictures of every pull take a turn of their own.
        self._due = QTimer(self)
        self._due.setSingleShot(True)
        self._due.setInterval(0)
        self._due.timeout.connect(lambda: self.render_rungs(self._make(self.picture_height())))

    def render_soon(self, make: Callable[[int], Sequence[Rung]]) -> None:
        """Show what is made of the height of the small pictures, pixels, in the next turn of the window."""
        self._make = make
        self._due.start()

    def render_rungs(self, rungs: Sequence[Rung]) -> None:
        """Show these."""
        if len(rungs) != len(self._rungs):
            self.updateGeometry()
        self._rungs = tuple(rungs)
        self._images = [None if rung.thumb is None else image_of(rung.thumb, 1.0) for rung in rungs]
        self.setMinimumHeight(len(rungs) * theme.scaled(LEAST))
        self.update()

    def rung_height(self) -> int:
        """Height of one rung in pixels."""
        share = self.height() // max(len(self._rungs), 1)
        return min(max(share, theme.scaled(LEAST)), theme.scaled(TALLEST))

    def picture_height(self) -> int:
        """Height of the small pictures in pixels."""
        return self.rung_height() - theme.scaled(ROUND_PICTURE)

    def sizeHint(self) -> QSize:
        return QSize(theme.scaled(180), len(self._rungs) * theme.scaled(LEAST))

    def resizeEvent(self, event: QResizeEvent | None) -> None:
        if event is not None and event.size().height() != event.oldSize().height():
            self.resized.emit()

    def paintEvent(self, _event: QPaintEvent | None) -> None:
        painter, tone = QPainter(self), theme.tones()
        painter.fillRect(self.rect(), QColor(tone.ladder))
        for place, rung in enumerate(self._rungs):
            box = QRectF(0, place * self.rung_height(), self.width(), self.rung_height())
            self._draw_rung(painter, rung, self._images[place], box)
        theme.draw_focus(painter, self)

    def _draw_rung(self, painter: QPainter, rung: Rung, image: QImage | None, box: QRectF) -> None:
        tone = theme.tones()
        if rung.chosen:
            painter.fillRect(box, QColor(tone.chosen))
            painter.fillRect(QRectF(0, box.top(), 4, box.height()), QColor(tone.accent))
        x, y = theme.scaled(14), box.top() + theme.scaled(7)
        wide = theme.scaled(50)
        if image is not None:
            painter.fillRect(QRectF(x + 2, y + 2, image.width(), image.height()), QColor(tone.line))
            painter.drawImage(QPointF(x, y), image)
        left = x + wide + theme.scaled(10)
        room = int(box.width() - left - theme.scaled(6))
        painter.setFont(theme.font(13, QFont.Weight.DemiBold))
        painter.setPen(QColor(tone.text))
        title = theme.elided(rung.title, painter.font(), room)
        painter.drawText(QRectF(left, y - 3, room, theme.scaled(20)), Qt.AlignmentFlag.AlignVCenter, title)
        if rung.inks:
            bar = QRectF(left, y + theme.scaled(20), theme.scaled(40), theme.scaled(14))
            share = bar.width() / len(rung.inks)
            for place, ink in enumerate(rung.inks):
                painter.fillRect(QRectF(left + place * share, bar.top(), share, bar.height()), QColor(ink))
            painter.setPen(QPen(QColor(tone.line), 1))
            painter.drawRect(bar)
        painter.setFont(theme.quiet_font())
        painter.setPen(QColor(tone.quiet))
        # Two lines at most, and never into the rung below.
        top = y + theme.scaled(37)
        note = QRectF(left, top, room, box.bottom() - top)
        painter.save()
        painter.setClipRect(note)
        painter.drawText(note, Qt.TextFlag.TextWordWrap, rung.note)
        painter.restore()
        if rung.pull is not None and rung.pull == self._dragged:
            painter.setPen(QPen(QColor(tone.accent), 2))
            painter.drawRect(box.adjusted(1, 1, -2, -2))

    def _at(self, y: float) -> int:
        return min(max(int(y // self.rung_height()), 0), len(self._rungs) - 1)

    def mousePressEvent(self, event: QMouseEvent | None) -> None:
        assert event is not None
        if not self._rungs or event.position().y() > len(self._rungs) * self.rung_height():
            return
        rung = self._rungs[self._at(event.position().y())]
        self._pressed = (event.position(), rung.pull)
        self._gesture += 1
        self.chosen.emit(rung.pull, rung.pulls)

    def mouseMoveEvent(self, event: QMouseEvent | None) -> None:
        assert event is not None
        if self._pressed is None or self._pressed[1] is None:
            return
        if self._dragged is None:
            if (event.position() - self._pressed[0]).manhattanLength() < 8:
                return
            self._dragged = self._pressed[1]
            self.setCursor(Qt.CursorShape.ClosedHandCursor)
        place = max(self._at(event.position().y()), 1)
        here = next((n for n, rung in enumerate(self._rungs) if rung.pull == self._dragged), place)
        if place != here:
            self.moved.emit(self._dragged, place - 1, self._gesture)
        self.update()

    def mouseReleaseEvent(self, _event: QMouseEvent | None) -> None:
        self._pressed, self._dragged = None, None
        self.unsetCursor()
        self.update()

    def keyPressEvent(self, event: QKeyEvent | None) -> None:
        """Up and down choose a rung; with Ctrl they move it."""
        assert event is not None
        step = {Qt.Key.Key_Up: -1, Qt.Key.Key_Down: 1}.get(Qt.Key(event.key()))
        if step is None or not self._rungs:
            super().keyPressEvent(event)
            return
        here = next((n for n, rung in enumerate(self._rungs) if rung.chosen), len(self._rungs) - 1)
        place = min(max(here + step, 0), len(self._rungs) - 1)
        rung = self._rungs[here]
        if event.modifiers() & Qt.KeyboardModifier.ControlModifier:
            if rung.pull is not None and place >= 1 and place != here:
                self._gesture += 1
                self.moved.emit(rung.pull, place - 1, self._gesture)
            return
        self.chosen.emit(self._rungs[place].pull, self._rungs[place].pulls)
