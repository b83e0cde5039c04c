"""The stations across the top, in the order of the work, each with its present answer."""

from collections.abc import Sequence

from PyQt6.QtCore import QRectF, QSize, Qt, pyqtSignal
from PyQt6.QtGui import QColor, QFontMetrics, QKeyEvent, QMouseEvent, QPainter, QPaintEvent, QPen, QResizeEvent
from PyQt6.QtWidgets import QSizePolicy, QWidget

from nomos.base.language import tr
from nomos.ui.frame import theme
from nomos.ui.frame.plain_text import set_tip
from nomos.ui.frame.view import StationTab
from nomos.ui.frame.words import WRAPPED, lines_of, widest_word

# Room for two lines of an answer, taken or not: the sheet below must not jump while something is dragged.
HEIGHT = 60
_WIDEST = 176
_MOST_LINES = 2


class StationStrip(QWidget):
    """Words to click, or to walk along with the arrow keys. An answer is never cut short: it wraps, and
    where there is no room for that only the present station's is shown, below the names.
    """

    chosen = pyqtSignal(str)

    def __init__(self) -> None:
        super().__init__()
        self.setFocusPolicy(Qt.FocusPolicy.StrongFocus)
        self.setSizePolicy(QSizePolicy.Policy.Expanding, QSizePolicy.Policy.Fixed)
        self.setAccessibleName(tr("Stations"))
        self.setMouseTracking(True)
        self._tabs: tuple[StationTab, ...] = ()
        self._brief = False
        self.setFixedHeight(theme.scaled(HEIGHT))

    def render_tabs(self, tabs: Sequence[StationTab]) -> None:
        """Show these."""
        if tuple(tabs) != self._tabs:
            self._tabs = tuple(tabs)
            here = self._here()
            self.setAccessibleDescription(f"{here.name}: {here.answer}" if here else "")
            self._arrange()
            self.update()

    def _here(self) -> StationTab | None:
        return next((tab for tab in self._tabs if tab.chosen), None)

    def resizeEvent(self, _event: QResizeEvent | None) -> None:
        self._arrange()

    def minimumSizeHint(self) -> QSize:
        return QSize(theme.scaled(320), self.height())

    def _arrange(self) -> None:
        """Every answer in at most two lines, or only the present one."""
        if not self._tabs:
            return
        room = self._wide() - _inset() - theme.scaled(6)
        font = theme.quiet_font()
        lines = max(lines_of(tab.answer, font, room) for tab in self._tabs)
        widest = max(widest_word(tab.answer, font) for tab in self._tabs)
        self._brief = lines > _MOST_LINES or widest > room

    def _wide(self) -> float:
        return min(theme.scaled(_WIDEST), self.width() / max(len(self._tabs), 1))

    def _box(self, place: int) -> QRectF:
        return QRectF(place * self._wide(), 0, self._wide(), self.height())

    def paintEvent(self, _event: QPaintEvent | None) -> None:
        painter, tone = QPainter(self), theme.tones()
        painter.fillRect(self.rect(), QColor(tone.strip))
        for place, tab in enumerate(self._tabs):
            self._draw_tab(painter, tab, self._box(place))
        painter.setPen(QPen(QColor(tone.line), 1))
        painter.drawLine(0, self.height() - 1, self.width(), self.height() - 1)

    def _draw_tab(self, painter: QPainter, tab: StationTab, box: QRectF) -> None:
        tone = theme.tones()
        inset = theme.scaled(6) if self._brief else _inset()
        if tab.chosen:
            painter.fillRect(box, QColor(tone.chosen))
            bar = QRectF(box.left() + inset, box.bottom() - 5, box.width() - 2 * inset, 3)
            painter.fillRect(bar, QColor(tone.accent))
        room = box.adjusted(inset, 0, -theme.scaled(6), 0)
        painter.setFont(theme.font(11) if self._brief else theme.name_font())
        painter.setPen(QColor(tone.accent if tab.chosen else tone.text))
        upper = QRectF(room.left(), box.top() + theme.scaled(4), room.width(), theme.scaled(20))
        painter.drawText(upper, Qt.AlignmentFlag.AlignVCenter, tab.name)
        self._draw_answer(painter, tab, room)
        if tab.chosen and self.hasFocus():
            painter.setPen(QPen(QColor(tone.accent), 1, Qt.PenStyle.DotLine))
            painter.drawRect(box.adjusted(2, 2, -3, -8))

    def _draw_answer(self, painter: QPainter, tab: StationTab, room: QRectF) -> None:
        painter.setFont(theme.quiet_font())
        painter.setPen(QColor(theme.tones().quiet))
        top = theme.scaled(24)
        if not self._brief:
            painter.drawText(QRectF(room.left(), top, room.width(), self.height() - top), WRAPPED, tab.answer)
        elif tab.chosen:
            # Under its name as far as there is room to the right, else pushed to the left.
            wide = QFontMetrics(theme.quiet_font()).horizontalAdvance(tab.answer)
            left = max(min(room.left(), self.width() - wide - theme.scaled(8)), 0)
            line = QRectF(left, top, wide + 4, theme.scaled(20))
            painter.drawText(line, Qt.AlignmentFlag.AlignVCenter, tab.answer)

    def mouseMoveEvent(self, event: QMouseEvent | None) -> None:
        assert event is not None
        under = (tab for n, tab in enumerate(self._tabs) if self._box(n).contains(event.position()))
        tab = next(under, None)
        set_tip(self, f"{tab.name}: {tab.answer}" if tab else "")

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


def _inset() -> int:
    return theme.scaled(14)
