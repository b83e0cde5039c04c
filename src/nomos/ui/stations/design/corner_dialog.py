"""Where does the sheet lie? The photograph with four corners to set, before anything is read in it."""

import numpy as np
from numpy.typing import NDArray
from PyQt6.QtWidgets import QDialog, QHBoxLayout, QVBoxLayout, QWidget

from nomos.base.language import tr
from nomos.design import WHOLE
from nomos.design.cut import Corners, Found
from nomos.ui.frame import theme
from nomos.ui.frame.controls import button, label
from nomos.ui.frame.raster import Page, picture_levels
from nomos.ui.stations.design.picture import PictureView
from nomos.ui.stations.design.picture_view import PictureContent

_SIDES = (tr("above"), tr("at the right"), tr("below"), tr("at the left"))
_LEAST_SEEN = 0.75


class CornerDialog(QDialog):
    """The picture, what is not sure about it, and three ways on."""

    def __init__(self, pixels: NDArray[np.uint8], found: Found, parent: QWidget | None) -> None:
        super().__init__(parent)
        self.setWindowTitle(tr("Where does the sheet lie?"))
        self.corners: Corners | None = None
        self.picture = PictureView()
        self.picture.show_content(PictureContent(picture_levels(Page(pixels)), found.sheet))
        self.picture.use("corners")
        self.sheet = button(
            tr("The sheet lies there"), tip=tr("Its light, its size and the drawing are read by these corners.")
        )
        self.whole = button(tr("All of the picture is the design"), tip=tr("Nothing lies around the drawing."))
        self.leave = button(tr("Do not open it"), plain=True)
        self.sheet.setDefault(True)
        column, row = QVBoxLayout(self), QHBoxLayout()
        column.addWidget(label(doubt_of(found), kind="name"))
        how = tr("Drag each corner onto a corner of the sheet; arrow keys move it finely.")
        column.addWidget(label(how, kind="quiet"))
        column.addWidget(self.picture, 1)
        for made in (self.leave, self.whole, self.sheet):
            row.addWidget(made)
        column.addLayout(row)
        self.resize(theme.scaled(900), theme.scaled(700))
        self._set: Corners = found.sheet
        self.picture.corners_set.connect(self._take)
        self.sheet.clicked.connect(lambda: self._answer(self._set))
        self.whole.clicked.connect(lambda: self._answer(WHOLE))
        self.leave.clicked.connect(self.reject)

    def _take(self, corners: Corners) -> None:
        self._set = corners

    def _answer(self, corners: Corners) -> None:
        self.corners = corners
        self.accept()


def ask_sheet(pixels: NDArray[np.uint8], found: Found, parent: QWidget | None) -> Corners | None:
    """Ask for the corners of the sheet; None where the picture is not to be opened."""
    made = CornerDialog(pixels, found, parent)
    made.exec()
    return made.corners


def doubt_of(found: Found) -> str:
    """What is not sure about a sheet, in a sentence."""
    hidden = [side for side, seen in zip(_SIDES, found.seen, strict=True) if seen < _LEAST_SEEN]
    if len(hidden) in (1, 2, 3):
        return tr("It is not sure where the sheet lies: {sides} its edge is hardly seen.", sides=", ".join(hidden))
    return tr("It is not sure where the sheet lies.")
