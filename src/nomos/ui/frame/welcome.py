"""What the window says before anything is open."""

from PyQt6.QtCore import Qt
from PyQt6.QtGui import QColor, QPainter, QPaintEvent
from PyQt6.QtWidgets import QHBoxLayout, QVBoxLayout, QWidget

from nomos.ui.frame import theme
from nomos.ui.frame.controls import button, label


class Welcome(QWidget):
    """Says what to do first, on an empty sheet."""

    def __init__(self) -> None:
        super().__init__()
        self.open = button("Open a sketch or a project…")
        self.demo = button("Look at a demo first: blocks and a key")
        self.reduction, self.jigsaw = button("A reduction"), button("A jigsaw")
        self.photo = button("A photograph of a sketch")
        column = QVBoxLayout(self)
        column.addStretch(1)
        box = QWidget()
        box.setObjectName("welcome")
        box.setFixedWidth(theme.scaled(420))
        box.setStyleSheet("#welcome { background: #f7f4ea; } #welcome QLabel { color: #1c1c1c; }")
        inner = QVBoxLayout(box)
        inner.setContentsMargins(*[theme.scaled(28)] * 4)
        inner.setSpacing(theme.scaled(12))
        inner.addWidget(label("Start with a coloured sketch", kind="question"))
        inner.addWidget(
            label(
                "A photograph, scan or drawing of the print you have in mind: PNG, JPEG, TIFF, WebP or SVG. "
                "You can also drop the file here."
            )
        )
        inner.addWidget(
            label(
                "Nomos finds the sheet, straightens it, reads it as a few flat colours and a line, shows the "
                "print "
                "as the inks will overlap, and draws templates at true size."
            )
        )
        inner.addSpacing(theme.scaled(6))
        inner.addWidget(self.open)
        inner.addWidget(self.demo)
        others = QHBoxLayout()
        others.addWidget(self.reduction)
        others.addWidget(self.jigsaw)
        others.addWidget(self.photo)
        inner.addLayout(others)
        # Text that wraps has no height of its own until its width is known.
        box.setFixedHeight(inner.totalHeightForWidth(box.width()))
        column.addWidget(box, 0, Qt.AlignmentFlag.AlignHCenter)
        column.addStretch(2)

    def paintEvent(self, _event: QPaintEvent | None) -> None:
        QPainter(self).fillRect(self.rect(), QColor(theme.GROUND))
