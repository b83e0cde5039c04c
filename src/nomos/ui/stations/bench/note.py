"""A line to note something at a pull: what kind, and what."""

from PyQt6.QtCore import Qt, pyqtSignal
from PyQt6.QtGui import QKeyEvent
from PyQt6.QtWidgets import QComboBox, QHBoxLayout, QLineEdit, QWidget

from nomos.base.language import tr
from nomos.project.edition.bench import NOTES
from nomos.ui.frame import theme

_TEXT = 28


class NoteLine(QWidget):
    """Enter notes it, Esc leaves it."""

    noted = pyqtSignal(str, str)
    """A key of `NOTES`, and the text."""
    left = pyqtSignal()

    def __init__(self) -> None:
        super().__init__()
        row = QHBoxLayout(self)
        row.setContentsMargins(0, 0, 0, 0)
        self.kind, self.text = QComboBox(), QLineEdit()
        for key, words in NOTES.items():
            self.kind.addItem(words, key)
        self.kind.setAccessibleName(tr("What is noted"))
        self.text.setAccessibleName(tr("The note"))
        self.text.setPlaceholderText(tr("Enter notes it, Esc leaves it"))
        for part in (self.kind, self.text):
            part.setFont(theme.font(_TEXT))
        row.addWidget(self.kind)
        row.addWidget(self.text, 1)
        self.text.returnPressed.connect(lambda: self.noted.emit(str(self.kind.currentData()), self.text.text()))

    def begin(self) -> None:
        """An empty line, ready to be written on."""
        self.text.clear()
        self.text.setFocus()

    def keyPressEvent(self, event: QKeyEvent | None) -> None:
        assert event is not None
        if event.key() == Qt.Key.Key_Escape:
            self.left.emit()
        else:
            super().keyPressEvent(event)
