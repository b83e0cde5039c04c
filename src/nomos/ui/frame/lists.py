"""Rows with a patch of colour."""

from collections.abc import Sequence

from PyQt6.QtCore import QRectF, QSize, Qt, pyqtSignal
from PyQt6.QtGui import QColor, QFontMetrics, QKeyEvent, QMouseEvent, QPainter, QPaintEvent, QPen, QResizeEvent
from PyQt6.QtWidgets import QSizePolicy, QWidget

from nomos.ui.frame import theme
from nomos.ui.frame.rest import Rest
from nomos.ui.frame.rows import Row
from nomos.ui.frame.words import WRAPPED, lines_of


class ColourRows(QWidget):
    """Rows with swatches of which one is chosen, by click or by the arrow keys."""

    chosen = pyqtSignal(str)
    pointed = pyqtSignal(str)
    """The pointer rests on a row; "" when it has left them."""

    def __init__(self, accessible_name: str) -> None:
        super().__init__()
        self.setMouseTracking(True)
        self._rest = Rest(self)
        self._rest.rested.connect(self._point)
        self.setFocusPolicy(Qt.FocusPolicy.StrongFocus)
        self.setSizePolicy(QSizePolicy.Policy.Expanding, QSizePolicy.Policy.Fixed)
        self.setAccessibleName(accessible_name)
        self._rows: tuple[Row, ...] = ()
        self._chosen: str | None = None

    def show_rows(self, rows: Sequence[Row], chosen: str | None) -> None:
        """Show these rows with one of them chosen."""
        if (tuple(rows), chosen) != (self._rows, self._chosen):
            before = self._tops(self.width())[-1]
            self._rows, self._chosen = tuple(rows), chosen
            if self._tops(self.width())[-1] != before:
                self.updateGeometry()
            self.update()

    def table(self) -> list[tuple[str, ...]]:
        """The rows in words: name, figure, and what stands below."""
        return [(row.name, row.figure, row.quiet) for row in self._rows]

    def middle_of(self, place: int) -> float:
        """How far down the middle of a row is, pixels."""
        tops = self._tops(self.width())
        return (tops[place] + tops[place + 1]) / 2

    def _tops(self, width: int) -> list[float]:
        """Where each row begins, and where the last one ends; words that find no room wrap."""
        tops = [0.0]
        least = theme.scaled(38 if any(each.quiet for each in self._rows) else 26)
        line = theme.scaled(17)
        for row in self._rows:
            name, quiet = self._lines(row, width)
            tops.append(tops[-1] + least + line * (max(name - 1, 0) + max(quiet - 1, 0)))
        return tops

    def _lines(self, row: Row, width: int) -> tuple[int, int]:
        """How many lines the name and what stands below it take."""
        room = width - self._left(row) - theme.scaled(6)
        figure = QFontMetrics(self.font()).horizontalAdvance(row.figure) + theme.scaled(8)
        return (
            lines_of(row.name, self.font(), room - figure),
            lines_of(row.quiet, theme.quiet_font(), room) if row.quiet else 0,
        )

    def _left(self, row: Row) -> int:
        return theme.scaled(26) + theme.scaled(18) if row.swatch else theme.scaled(10)

    def hasHeightForWidth(self) -> bool:
        return True

    def heightForWidth(self, width: int) -> int:
        return round(self._tops(width)[-1])

    def sizeHint(self) -> QSize:
        wide = max(theme.scaled(220), self.width())
        return QSize(theme.scaled(220), self.heightForWidth(wide))

    def minimumSizeHint(self) -> QSize:
        return QSize(theme.scaled(140), self.sizeHint().height())

    def resizeEvent(self, event: QResizeEvent | None) -> None:
        if event is not None and event.size().width() != event.oldSize().width():
            self.updateGeometry()

    def paintEvent(self, _event: QPaintEvent | None) -> None:
        painter = QPainter(self)
        tone = theme.tones()
        tops, wide = self._tops(self.width()), theme.scaled(26)
        for place, row in enumerate(self._rows):
            height = tops[place + 1] - tops[place]
            box = QRectF(0, tops[place], self.width(), height)
            if row.id == self._chosen:
                painter.fillRect(box, QColor(tone.accent_pale))
                painter.fillRect(QRectF(0, box.top(), 3, height), QColor(tone.accent))
            if row.swatch:
                inset = (height - theme.scaled(18)) / 2
                swatch = QRectF(theme.scaled(8), box.top() + inset, wide, theme.scaled(18))
                painter.fillRect(swatch, QColor(row.swatch))
                if row.over:
                    part = swatch.adjusted(0.62 * wide, 0, 0, 0)
                    painter.fillRect(part, QColor(row.over))
                painter.setPen(QPen(QColor(tone.line), 1))
                painter.drawRect(swatch)
            self._draw_words(painter, row, box.adjusted(self._left(row), 0, -theme.scaled(6), 0))
        theme.draw_focus(painter, self)

    def _draw_words(self, painter: QPainter, row: Row, box: QRectF) -> None:
        tone = theme.tones()
        name, quiet = self._lines(row, self.width())
        # The lines of the row stand in its middle together.
        tall = theme.scaled(17) * (max(name, 1) + quiet)
        top = box.top() + (box.height() - tall) / 2
        upper = QRectF(box.left(), top, box.width(), theme.scaled(17) * max(name, 1))
        painter.setFont(self.font())
        painter.setPen(QColor(tone.text))
        painter.drawText(upper, int(Qt.AlignmentFlag.AlignTop | Qt.AlignmentFlag.AlignRight), row.figure)
        figure = QFontMetrics(self.font()).horizontalAdvance(row.figure) + theme.scaled(8)
        painter.drawText(upper.adjusted(0, 0, -figure, 0), WRAPPED, row.name)
        if row.quiet:
            painter.setFont(theme.quiet_font())
            painter.setPen(QColor(tone.quiet))
            lower = QRectF(box.left(), upper.bottom(), box.width(), theme.scaled(17) * quiet)
            painter.drawText(lower, WRAPPED, row.quiet)

    def _place_of(self, y: float) -> int:
        tops = self._tops(self.width())
        places = (n for n in range(len(self._rows)) if tops[n] <= y < tops[n + 1])
        return next(places, -1)

    def _point(self, place: int) -> None:
        self.pointed.emit(self._rows[place].id if 0 <= place < len(self._rows) else "")

    def mousePressEvent(self, event: QMouseEvent | None) -> None:
        assert event is not None
        place = self._place_of(event.position().y())
        if place >= 0:
            self.chosen.emit(self._rows[place].id)

    def mouseMoveEvent(self, event: QMouseEvent | None) -> None:
        assert event is not None
        self._rest.over(self._place_of(event.position().y()))

    def leaveEvent(self, _event: object) -> None:
        self._rest.leave()

    def hideEvent(self, _event: object) -> None:
        self._rest.stop()

    def keyPressEvent(self, event: QKeyEvent | None) -> None:
        assert event is not None
        step = {Qt.Key.Key_Up: -1, Qt.Key.Key_Down: 1}.get(Qt.Key(event.key()))
        if step is None or not self._rows:
            super().keyPressEvent(event)
            return
        ids = [row.id for row in self._rows]
        place = ids.index(self._chosen) + step if self._chosen in ids else 0
        self.chosen.emit(ids[min(max(place, 0), len(ids) - 1)])
