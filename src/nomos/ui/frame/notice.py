"""A line over the sheet for what went wrong or has been done; it stays until it is read."""

from PyQt6.QtCore import QRect, QSize, Qt
from PyQt6.QtGui import QColor, QPainter, QPaintEvent
from PyQt6.QtWidgets import QHBoxLayout, QWidget

from nomos.language import tr
from nomos.ui.frame import theme
from nomos.ui.frame.controls import button, label

_MOST_LINES = 4


class Notice(QWidget):
    """Sentences for the user, newest last, until they are put away."""

    def __init__(self) -> None:
        super().__init__()
        self._lines: list[str] = []
        row = QHBoxLayout(self)
        row.setContentsMargins(theme.scaled(14), theme.scaled(6), theme.scaled(8), theme.scaled(6))
        self._text = label()
        self._text.setTextInteractionFlags(Qt.TextInteractionFlag.TextSelectableByMouse)
        self.put_away = button(tr("Put away"))
        self.put_away.clicked.connect(self.clear)
        row.addWidget(self._text, 1)
        row.addWidget(self.put_away, 0, Qt.AlignmentFlag.AlignTop)
        self.hide()

    def tell(self, sentence: str) -> None:
        """Add a sentence; one already there is not said twice."""
        older = [line for line in self._lines if line != sentence]
        self._lines = [*older[1 - _MOST_LINES :], sentence]
        self._text.setText("\n".join(self._lines))
        self.show()

    def text(self) -> str:
        """What stands there."""
        return "\n".join(self._lines)

    def clear(self) -> None:
        """Put everything away."""
        self._lines = []
        self.hide()

    def sizeHint(self) -> QSize:
        size = super().sizeHint()
        return QSize(theme.scaled(200), size.height())

    def paintEvent(self, _event: QPaintEvent | None) -> None:
        painter, tone = QPainter(self), theme.tones()
        painter.fillRect(self.rect(), QColor(tone.accent_pale))
        painter.fillRect(QRect(0, 0, 4, self.height()), QColor(tone.accent))
