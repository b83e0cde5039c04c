"""Rows with a patch of colour."""

from collections.abc import Sequence

from PyQt6.QtCore import QRectF, QSize, Qt, pyqtSignal
from PyQt6.QtGui import QColor, QFontMetrics, QKeyEvent, QMouseEvent, QPainter, QPaintEvent, QPen
from PyQt6.QtWidgets import QSizePolicy, QWidget

from nomos.ui.frame import theme
from nomos.ui.frame.rows import Row


class ColourRows(QWidget):
    """Rows with swatches of which one is chosen, by click or by the arrow keys."""

    chosen = pyqtSignal(str)

    def __init__(self, accessible_name: str) -> None:
        super().__init__()
        self.setFocusPolicy(Qt.FocusPolicy.StrongFocus)
        self.setSizePolicy(QSizePolicy.Policy.Expanding, QSizePolicy.Policy.Fixed)
        self.setAccessibleName(accessible_name)
        self._rows: tuple[Row, ...] = ()
        self._chosen: str | None = None

    def show_rows(self, rows: Sequence[Row], chosen: str | None) -> None:
        """Show these rows with one of them chosen."""
        if (tuple(rows), chosen) != (self._rows, self._chosen):
            taller = len(rows) != len(self._rows)
            self._rows, self._chosen = tuple(rows), chosen
            if taller:
                self.updateGeometry()
            self.update()

    def table(self) -> list[tuple[str, ...]]:
        """The rows in words: name, figure, and what stands below."""
        return [(row.name, row.figure, row.quiet) for row in self._rows]

    def row_height(self) -> int:
        """Height of one row; twofold rows are taller."""
        return theme.scaled(38 if any(row.quiet for row in self._rows) else 26)

    def sizeHint(self) -> QSize:
        return QSize(theme.scaled(220), len(self._rows) * self.row_height())

    def minimumSizeHint(self) -> QSize:
        return QSize(theme.scaled(140), self.sizeHint().height())

    def paintEvent(self, _event: QPaintEvent | None) -> None:
        painter = QPainter(self)
        tone = theme.tones()
        height, wide = self.row_height(), theme.scaled(26)
        for place, row in enumerate(self._rows):
            box = QRectF(0, place * height, self.width(), height)
            if row.id == self._chosen:
                painter.fillRect(box, QColor(tone.accent_pale))
                painter.fillRect(QRectF(0, box.top(), 3, height), QColor(tone.accent))
            left = theme.scaled(10)
            if row.swatch:
                inset = (height - theme.scaled(18)) / 2
                swatch = QRectF(theme.scaled(8), box.top() + inset, wide, theme.scaled(18))
                painter.fillRect(swatch, QColor(row.swatch))
                if row.over:
                    part = swatch.adjusted(0.62 * wide, 0, 0, 0)
                    painter.fillRect(part, QColor(row.over))
                painter.setPen(QPen(QColor(tone.line), 1))
                painter.drawRect(swatch)
                left = wide + theme.scaled(18)
            self._draw_words(painter, row, box.adjusted(left, 0, -theme.scaled(6), 0))
        if self.hasFocus():
            painter.setPen(QPen(QColor(tone.accent), 1, Qt.PenStyle.DotLine))
            painter.drawRect(self.rect().adjusted(0, 0, -1, -1))

    def _draw_words(self, painter: QPainter, row: Row, box: QRectF) -> None:
        tone = theme.tones()
        upper = box.adjusted(0, 2, 0, -box.height() / 2 + 2) if row.quiet else box
        flags = Qt.AlignmentFlag.AlignVCenter
        painter.setFont(self.font())
        metrics = QFontMetrics(self.font())
        painter.setPen(QColor(tone.text))
        figure_width = metrics.horizontalAdvance(row.figure)
        painter.drawText(upper, flags | Qt.AlignmentFlag.AlignRight, row.figure)
        room = int(upper.width() - figure_width - theme.scaled(8))
        painter.drawText(upper, flags, theme.elided(row.name, self.font(), room))
        if row.quiet:
            painter.setFont(theme.quiet_font())
            painter.setPen(QColor(tone.quiet))
            lower = box.adjusted(0, box.height() / 2 - 2, 0, -2)
            painter.drawText(lower, flags, theme.elided(row.quiet, theme.quiet_font(), int(lower.width())))

    def mousePressEvent(self, event: QMouseEvent | None) -> None:
        assert event is not None
        place = int(event.position().y() // self.row_height())
        if 0 <= place < len(self._rows):
            self.chosen.emit(self._rows[place].id)

    def keyPressEvent(self, event: QKeyEvent | None) -> None:
        assert event is not None
        step = {Qt.Key.Key_Up: -1, Qt.Key.Key_Down: 1}.get(Qt.Key(event.key()))
        if step is None or not self._rows:
            super().keyPressEvent(event)
            return
        ids = [row.id for row in self._rows]
        place = ids.index(self._chosen) + step if self._chosen in ids else 0
        self.chosen.emit(ids[min(max(place, 0), len(ids) - 1)])
