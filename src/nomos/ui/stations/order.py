"""Which order?"""

from PyQt6.QtCore import pyqtSignal
from PyQt6.QtWidgets import QHBoxLayout, QScrollArea, QWidget

from nomos.ui import theme
from nomos.ui.controls import FindingList, button, label
from nomos.ui.stations.parts import Cards, answers_column
from nomos.ui.views.answers import OrderView
from nomos.ui.views.rows import Note


class OrderStation(QScrollArea):
    """Orders worth a look, and why each block stands where it does."""

    order_asked = pyqtSignal(str)
    step_asked = pyqtSignal(int)
    """Earlier (-1) or later (1) for the chosen impression."""

    def __init__(self) -> None:
        super().__init__()
        column = answers_column(self, "Which order?")
        self.note = label(
            "Drag a rung on the ladder to try another; the sheet answers at once.", kind="quiet"
        )
        self.cards = Cards("Orders")
        self.why_title = label(kind="name")
        self.why = label()
        moves = QWidget()
        row = QHBoxLayout(moves)
        row.setContentsMargins(0, 0, 0, 0)
        row.setSpacing(theme.scaled(6))
        self.earlier, self.later = button("Print it earlier"), button("Print it later")
        row.addWidget(self.earlier, 1)
        row.addWidget(self.later, 1)
        self.findings = FindingList()
        for part in (self.note, self.cards, self.why_title, self.why, moves, self.findings):
            column.addWidget(part)
        column.addStretch(1)
        self.cards.chosen.connect(self.order_asked)
        self.earlier.clicked.connect(lambda: self.step_asked.emit(-1))
        self.later.clicked.connect(lambda: self.step_asked.emit(1))

    def show_view(self, view: OrderView, notes: tuple[Note, ...]) -> None:
        """Show the station."""
        self.cards.show_choices(view.choices)
        self.why_title.setText(view.why_title or "Choose a rung to see why it stands there")
        self.why.setText(view.why)
        self.why.setVisible(bool(view.why))
        self.earlier.setEnabled(view.can_go_earlier)
        self.later.setEnabled(view.can_go_later)
        self.findings.show_findings(notes)
