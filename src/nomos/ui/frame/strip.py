"""The stations across the top, in the order of the work, each with its present answer."""

from collections.abc import Sequence

from PyQt6.QtCore import QRectF, QSize, Qt, pyqtSignal
from PyQt6.QtGui import QColor, QKeyEvent, QMouseEvent, QPainter, QPaintEvent, QPen
from PyQt6.QtWidgets import QSizePolicy, QWidget

from nomos.ui.frame import theme
from nomos.ui.frame.view import StationTab

HEIGHT = 56
_WIDEST = 176


class StationStrip(QWidget):
    """Words to click, or to walk along with the arrow keys."""

    chosen = pyqtSignal(str)

    def __init__(self) -> None:
        super().__init__()
        self.setFocusPolicy(Qt.FocusPolicy.StrongFocus)
        self.setFixedHeight(theme.scaled(HEIGHT))
        self.setSizePolicy(QSizePolicy.Policy.Expanding, QSizePolicy.Policy.Fixed)
        self.setAccessibleName("Stations")
        self._tabs: tuple[StationTab, ...] = ()

    def render_tabs(self, tabs: Sequence[StationTab]) -> None:
        """Show these."""
        if tuple(tabs) != self._tabs:
            self._tabs = tuple(tabs)
            self.update()

    def minimumSizeHint(self) -> QSize:
        return QSize(theme.scaled(480), theme.scaled(HEIGHT))

    def _box(self, place: int) -> QRectF:
        wide = min(theme.scaled(_WIDEST), self.width() / max(len(self._tabs), 1))
        return QRectF(place * wide, 0, wide, self.height())

    def paintEvent(self, _event: QPaintEvent | None) -> None:
        painter, tone = QPainter(self), theme.tones()
        painter.fillRect(self.rect(), QColor(tone.strip))
        for place, tab in enumerate(self._tabs):
            self._draw_tab(painter, tab, self._box(place))
        painter.setPen(QPen(QColor(tone.line), 1))
        painter.drawLine(0, self.height() - 1, self.width(), self.height() - 1)

    def _draw_tab(self, painter: QPainter, tab: StationTab, box: QRectF) -> None:
        tone = theme.tones()
        inset = theme.scaled(14)
        if tab.chosen:
            painter.fillRect(box, QColor(tone.chosen))
            bar = QRectF(box.left() + inset, box.bottom() - 5, box.width() - 2 * inset, 3)
            painter.fillRect(bar, QColor(tone.accent))
        room = box.adjusted(inset, 0, -theme.scaled(6), 0)
        painter.setFont(theme.name_font())
        painter.setPen(QColor(tone.accent if tab.chosen else tone.text))
        upper = QRectF(room.left(), theme.scaled(8), room.width(), theme.scaled(20))
        painter.drawText(upper, Qt.AlignmentFlag.AlignVCenter, tab.name)
        painter.setFont(theme.quiet_font())
        painter.setPen(QColor(tone.quiet))
        lower = QRectF(room.left(), theme.scaled(28), room.width(), theme.scaled(20))
        text = theme.elided(tab.answer, theme.quiet_font(), int(room.width()))
        painter.drawText(lower, Qt.AlignmentFlag.AlignVCenter, text)
        if tab.chosen and self.hasFocus():
            painter.setPen(QPen(QColor(tone.accent), 1, Qt.PenStyle.DotLine))
            painter.drawRect(box.adjusted(2, 2, -3, -8))

    def mousePressEvent(self, event: QMouseEvent | None) -> None:
        assert event is not None
        for place, tab in enumerate(self._tabs):
            if self._box(place).contains(event.position()):
                self.chosen.emit(tab.station)

    def keyPressEvent(self, event: QKeyEvent | None) -> None:
        assert event is not None
        step = {Qt.Key.Key_Left: -1, Qt.Key.Key_Right: 1}.get(Qt.Key(event.key()))
        if step is None or not self._tabs:
            super().keyPressEvent(event)
            return
        here = next((place for place, tab in enumerate(self._tabs) if tab.chosen), 0)
        self.chosen.emit(self._tabs[min(max(here + step, 0), len(self._tabs) - 1)].station)
