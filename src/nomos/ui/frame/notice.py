"""A line over the sheet for what went wrong or has been done; it stays until it is over or put away."""

from PyQt6.QtCore import QRect, QSize, Qt
from PyQt6.QtGui import QColor, QPainter, QPaintEvent
from PyQt6.QtWidgets import QHBoxLayout, QWidget

from nomos.base.language import tr, visible
from nomos.project import Station
from nomos.ui.frame import theme
from nomos.ui.frame.controls import button, label

_MOST_LINES = 4


class Notice(QWidget):
    """Sentences for the user, newest last, until they are put away."""

    def __init__(self) -> None:
        super().__init__()
        self._lines: list[str] = []
        self._advice: set[str] = set()
        self._lasting: set[str] = set()
        self._fresh: set[str] = set()
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
        sentence = visible(sentence)
        self._fresh.add(sentence)
        older = [line for line in self._lines if line != sentence]
        lasting = [line for line in older if line in self._lasting]
        passing = [line for line in older if line not in self._lasting]
        self._lines = [*lasting, *passing[len(passing) + len(lasting) + 1 - _MOST_LINES :], sentence]
        self._show_lines()

    def warn(self, sentence: str) -> None:
        """Add a sentence that stays, whatever is opened, until it is put away by hand."""
        self._lasting.add(visible(sentence))
        self.tell(sentence)

    def advise(self, sentence: str) -> None:
        """Add a sentence that is of use at Design alone."""
        self._advice.add(visible(sentence))
        self.tell(sentence)

    def come_to(self, station: Station) -> None:
        """Put away what is of no use at another station than Design, where sketches are read."""
        if station == "design":
            return
        self._lines = [line for line in self._lines if line not in self._advice]
        self._advice.clear()
        self._show_lines()

    def go_on(self) -> None:
        """Something else has been done since: what was told before the last thing done is over."""
        stay = self._lasting | self._advice | self._fresh
        self._lines = [line for line in self._lines if line in stay]
        self._fresh = set()
        self._show_lines()

    def text(self) -> str:
        """What stands there."""
        return "\n".join(self._lines)

    def put_older_away(self) -> None:
        """Put away what was of another print."""
        self._lines = [line for line in self._lines if line in self._lasting]
        self._advice.clear()
        self._show_lines()

    def clear(self) -> None:
        """Put everything away."""
        self._lines = []
        self._lasting.clear()
        self._advice.clear()
        self._show_lines()

    def _show_lines(self) -> None:
        self._text.setText(self.text())
        self.setVisible(bool(self._lines))

    def sizeHint(self) -> QSize:
        size = super().sizeHint()
        return QSize(theme.scaled(200), size.height())

    def paintEvent(self, _event: QPaintEvent | None) -> None:
        painter, tone = QPainter(self), theme.tones()
        painter.fillRect(self.rect(), QColor(tone.accent_pale))
        painter.fillRect(QRect(0, 0, 4, self.height()), QColor(tone.accent))
