"""The board of all sheets: what is known of the chosen one, and what becomes of it."""

from PyQt6.QtCore import pyqtSignal
from PyQt6.QtWidgets import QWidget

from nomos.base.language import tr
from nomos.ui.frame.controls import Figures, NameField, button, label
from nomos.ui.frame.parts import group, part_column
from nomos.ui.stations.sheets.board_view import BoardView


class BoardPart(QWidget):
    """One sheet of the board."""

    best_requested = pyqtSignal(bool)
    mended = pyqtSignal(str)
    """How the chosen sheet was put right."""
    given_up = pyqtSignal()

    def __init__(self) -> None:
        super().__init__()
        column = part_column(self)
        self.said, self.heading, self.facts = label(kind="quiet"), label(kind="name"), Figures()
        self.best, self.give_up = button(""), button(tr("Give it up: it goes first at every layer"))
        self.how, self.mend = NameField(tr("How it was put right")), button(tr("It goes on with the others"))
        self.how.setPlaceholderText(tr("how it was put right"))
        self._mending = group(self.how, self.mend)
        self._one = group(self.heading, self.facts, self.best, self.give_up, self._mending)
        column.addWidget(self.said)
        column.addWidget(self._one)
        self._is_best = False
        self.best.clicked.connect(lambda: self.best_requested.emit(not self._is_best))
        self.give_up.clicked.connect(self.given_up)
        self.mend.clicked.connect(self._mend)

    def _mend(self) -> None:
        how = self.how.text().strip()
        self.how.clear()
        self.mended.emit(how or tr("put right by hand"))

    def show_view(self, view: BoardView) -> None:
        """Show the chosen sheet."""
        self.said.setText(view.said)
        self._one.setVisible(bool(view.heading))
        self.heading.setText(view.heading)
        self.facts.show_rows(view.facts)
        self._is_best = view.best
        self.best.setText(tr("No longer among the best") if view.best else tr("Count it among the best"))
        self.best.setVisible(not view.spoiled)
        self.give_up.setVisible(not view.spoiled)
        self._mending.setVisible(view.spoiled)
