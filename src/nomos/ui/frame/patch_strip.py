"""A strip of patches to drag along."""

from collections.abc import Sequence

from PyQt6.QtCore import QPointF, QRectF, QSize, Qt, pyqtSignal
from PyQt6.QtGui import QColor, QKeyEvent, QMouseEvent, QPainter, QPaintEvent, QPen
from PyQt6.QtWidgets import QSizePolicy, QWidget

from nomos.ui.frame import theme


class PatchStrip(QWidget):
    """A range as a row of patches showing what each step would give; drag along it to choose.

    `dragged` carries the value and the number of the gesture, so that one drag undoes as one.
    """

    dragged = pyqtSignal(float, int)

    def __init__(self, name: str, least: float, most: float, step: float) -> None:
        super().__init__()
        self._least, self._most, self._step = least, most, step
        self._value, self._text = least, ""
        self._patches: tuple[str, ...] = ()
        self._gesture = 0
        self._name = name
        self.setAccessibleName(name)
        self.setFocusPolicy(Qt.FocusPolicy.StrongFocus)
        self.setSizePolicy(QSizePolicy.Policy.Expanding, QSizePolicy.Policy.Fixed)
        self.setCursor(Qt.CursorShape.SizeHorCursor)

    def show_state(self, value: float, text: str, patches: Sequence[str]) -> None:
        """Show the value, its figure with unit, and the patches from least to most (#rrggbb)."""
        self._value, self._text, self._patches = value, text, tuple(patches)
        self.update()

    def sizeHint(self) -> QSize:
        return QSize(theme.scaled(220), theme.scaled(46))

    def minimumSizeHint(self) -> QSize:
        return QSize(theme.scaled(140), theme.scaled(46))

    def _track(self) -> QRectF:
        inset = theme.scaled(7)
        return QRectF(inset, theme.scaled(21), self.width() - 2 * inset, theme.scaled(14))

    def paintEvent(self, _event: QPaintEvent | None) -> None:
        painter = QPainter(self)
        tone, track = theme.tones(), self._track()
        head = QRectF(0, 0, self.width(), theme.scaled(19))
        painter.setPen(QColor(tone.quiet))
        painter.drawText(head, Qt.AlignmentFlag.AlignVCenter, self._name)
        painter.setPen(QColor(tone.text))
        painter.drawText(head, Qt.AlignmentFlag.AlignVCenter | Qt.AlignmentFlag.AlignRight, self._text)
        each = track.width() / max(len(self._patches), 1)
        for place, patch in enumerate(self._patches):
            box = QRectF(track.left() + place * each, track.top(), each - 1, track.height())
            painter.fillRect(box, QColor(patch))
        share = (self._value - self._least) / (self._most - self._least)
        x = track.left() + min(max(share, 0), 1) * track.width()
        painter.setRenderHint(QPainter.RenderHint.Antialiasing)
        painter.setPen(QPen(QColor(tone.accent if self.hasFocus() else tone.text), 2))
        painter.drawLine(QPointF(x, track.top() - 3), QPointF(x, track.bottom() + 3))
        painter.setBrush(QColor(tone.chosen))
        painter.drawEllipse(QPointF(x, track.bottom() + theme.scaled(4)), theme.scaled(4), theme.scaled(4))

    def mousePressEvent(self, event: QMouseEvent | None) -> None:
        assert event is not None
        self._gesture += 1
        self._drag(event.position().x())

    def mouseMoveEvent(self, event: QMouseEvent | None) -> None:
        assert event is not None
        if event.buttons() & Qt.MouseButton.LeftButton:
            self._drag(event.position().x())

    def _drag(self, x: float) -> None:
        track = self._track()
        share = min(max((x - track.left()) / track.width(), 0.0), 1.0)
        steps = round(share * (self._most - self._least) / self._step)
        self.dragged.emit(self._least + steps * self._step, self._gesture)

    def keyPressEvent(self, event: QKeyEvent | None) -> None:
        assert event is not None
        key = Qt.Key(event.key())
        size = {Qt.Key.Key_Left: -1, Qt.Key.Key_Right: 1, Qt.Key.Key_PageDown: -10, Qt.Key.Key_PageUp: 10}
        if key not in size:
            super().keyPressEvent(event)
            return
        self._gesture += 1
        wanted = self._value + size[key] * self._step
        self.dragged.emit(min(max(wanted, self._least), self._most), self._gesture)
