"""Which of these pictures is meant? Side by side, each with its own button."""

from collections.abc import Sequence

import numpy as np
from numpy.typing import NDArray
from PyQt6.QtCore import Qt
from PyQt6.QtGui import QImage, QPixmap
from PyQt6.QtWidgets import QDialog, QHBoxLayout, QLabel, QVBoxLayout, QWidget

from nomos.base.language import tr
from nomos.ui.frame import theme
from nomos.ui.frame.controls import button, label

Choice = tuple[str, str, NDArray[np.uint8]]
"""What its button says, what lies below the picture, and the picture: (height, width, 3) uint8."""


class PictureChoice(QDialog):
    """Pictures to choose from; `chosen` is the place of the one that was taken, None while none is."""

    def __init__(self, title: str, choices: Sequence[Choice], parent: QWidget | None) -> None:
        super().__init__(parent)
        self.setWindowTitle(title)
        self.chosen: int | None = None
        self.buttons = []
        column, row = QVBoxLayout(self), QHBoxLayout()
        column.addWidget(label(title, kind="name"))
        column.addLayout(row, 1)
        for place, (words, below, pixels) in enumerate(choices):
            of_one, picture = QVBoxLayout(), QLabel()
            picture.setPixmap(_pixmap(pixels))
            picture.setAccessibleName(words)
            take = button(words)
            take.clicked.connect(lambda _on=False, place=place: self._take(place))
            of_one.addWidget(picture, 1, Qt.AlignmentFlag.AlignCenter)
            for part in (label(below, kind="quiet"), take):
                of_one.addWidget(part)
            self.buttons.append(take)
            row.addLayout(of_one)
        self.leave = button(tr("Leave it as it is"), plain=True)
        self.leave.clicked.connect(self.reject)
        column.addWidget(self.leave)

    def _take(self, place: int) -> None:
        self.chosen = place
        self.accept()


def _pixmap(pixels: NDArray[np.uint8]) -> QPixmap:
    """A picture no larger than half a window takes."""
    height, width = pixels.shape[:2]
    image = QImage(np.ascontiguousarray(pixels).tobytes(), width, height, 3 * width, QImage.Format.Format_RGB888)
    side = theme.scaled(460)
    return QPixmap.fromImage(
        image.scaled(side, side, Qt.AspectRatioMode.KeepAspectRatio, Qt.TransformationMode.SmoothTransformation)
    )
