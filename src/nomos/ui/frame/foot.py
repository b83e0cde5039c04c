"""The foot line: what is under the pointer, how far long work is, and the one thing to do next."""

from PyQt6.QtCore import QRectF, Qt, pyqtSignal
from PyQt6.QtGui import QColor, QPainter, QPaintEvent
from PyQt6.QtWidgets import QHBoxLayout, QPushButton, QSizePolicy, QWidget

from nomos.base.language import tr
from nomos.ui.frame import theme
from nomos.ui.frame.controls import label
from nomos.ui.frame.next_step import NextStep
from nomos.ui.frame.plain_text import set_tip

HEIGHT = 28


class _Bar(QWidget):
    def __init__(self) -> None:
        super().__init__()
        self.fraction = 0.0
        self.setFixedSize(theme.scaled(120), theme.scaled(8))

    def paintEvent(self, _event: QPaintEvent | None) -> None:
        painter, tone = QPainter(self), theme.tones()
        painter.fillRect(self.rect(), QColor(tone.line))
        painter.fillRect(QRectF(0, 0, self.width() * self.fraction, self.height()), QColor(tone.accent))


class FootLine(QWidget):
    """One line of text, and on the right the progress of work with a button that stops it."""

    stopped = pyqtSignal(object)
    """Who waits for the work that is to be called off."""
    next_pressed = pyqtSignal(str)
    """The action that what comes next is done by."""

    def __init__(self) -> None:
        super().__init__()
        self.allow_lines(1)
        self._asker: object = None
        row = QHBoxLayout(self)
        row.setContentsMargins(theme.scaled(14), 0, theme.scaled(8), 0)
        row.setSpacing(theme.scaled(8))
        self._text = label()
        self._text.setSizePolicy(QSizePolicy.Policy.Ignored, QSizePolicy.Policy.Preferred)
        self._doing = label(kind="quiet")
        self._doing.setWordWrap(False)
        self._bar = _Bar()
        self._stop = QPushButton(tr("Stop"))
        self._stop.setStyleSheet(f"padding: 1px {theme.scaled(8)}px")
        self._stop.clicked.connect(lambda: self.stopped.emit(self._asker))
        self.next = QPushButton()
        self.next.setStyleSheet(f"padding: 1px {theme.scaled(10)}px")
        self.next.clicked.connect(lambda: self.next_pressed.emit(self._action))
        self._action = ""
        row.addWidget(self._text, 1)
        for part in (self._doing, self._bar, self._stop, self.next):
            row.addWidget(part)
        self.show_idle()

    def allow_lines(self, lines: int) -> None:
        """How many lines of text it has room for, full or not: it must not jump under the hand."""
        self.setFixedHeight(theme.scaled(HEIGHT + 17 * (lines - 1)))

    def paintEvent(self, _event: QPaintEvent | None) -> None:
        QPainter(self).fillRect(self.rect(), QColor(theme.tones().foot))

    def say(self, text: str) -> None:
        """Show what is under the pointer, or the last thing done."""
        self._text.setText(text)

    def text(self) -> str:
        """What stands there."""
        return self._text.text()

    def show_next(self, step: NextStep) -> None:
        """Show the one thing to do next; its tip says why."""
        self._action = step.action
        self.next.setText(tr("Next: {text}", text=step.text))
        set_tip(self.next, step.why)

    def show_progress(self, asker: object, fraction: float, message: str, *, can_stop: bool) -> None:
        """Show how far work is."""
        self._asker = asker
        self._doing.setText(message)
        self._bar.fraction = fraction
        self._bar.update()
        self._doing.show()
        self._bar.show()
        self._stop.setVisible(can_stop)

    def show_idle(self) -> None:
        """Nothing is running."""
        for part in (self._doing, self._bar, self._stop):
            part.hide()
        self._text.setAlignment(Qt.AlignmentFlag.AlignVCenter)
