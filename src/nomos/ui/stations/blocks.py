"""Which blocks?"""

from PyQt6.QtCore import pyqtSignal
from PyQt6.QtWidgets import QScrollArea

from nomos.project.model import LARGEST_TRAP_MM
from nomos.ui.controls import (
    Choice,
    ColourRows,
    Fields,
    FindingList,
    NameField,
    NumberBox,
    button,
    label,
)
from nomos.ui.stations.parts import answers_column
from nomos.ui.views.answers import BlocksView
from nomos.ui.views.rows import Note


class BlocksStation(QScrollArea):
    """The blocks, how much each prints, the key and the trap."""

    pull_chosen = pyqtSignal(str)
    shown_asked = pyqtSignal(str)
    renamed = pyqtSignal(str)
    key_asked = pyqtSignal(bool)
    trap_asked = pyqtSignal(float)

    def __init__(self) -> None:
        super().__init__()
        column = answers_column(self, "Which blocks?")
        self.summary = label(kind="quiet")
        self.shown = Choice((("print", "Whole print"), ("block", "One block alone")))
        self.rows = ColourRows("Blocks")
        self.name = NameField("Name of the block")
        self.key = button("Make it the key")
        self.fields = Fields()
        self.trap_box = NumberBox(0, LARGEST_TRAP_MM, step=0.1, digits=2)
        self.fields.add("Trap", self.trap_box)
        self.findings = FindingList()
        for part in (
            self.summary, self.shown, self.rows, self.name, self.key, self.fields, self.findings
        ):  # fmt: skip
            column.addWidget(part)
        column.addStretch(1)
        self._is_key = False
        self.rows.chosen.connect(self.pull_chosen)
        self.shown.chosen.connect(self.shown_asked)
        self.name.given.connect(self.renamed)
        self.key.clicked.connect(lambda: self.key_asked.emit(not self._is_key))
        self.trap_box.set_by_hand.connect(self.trap_asked)

    def show_view(self, view: BlocksView, notes: tuple[Note, ...]) -> None:
        """Show the station."""
        self.summary.setText(view.summary)
        self.shown.show_choice("block" if view.alone else "print")
        self.rows.show_rows(view.rows, view.chosen)
        self.trap_box.show_value(view.trap_mm)
        self._is_key = view.chosen_is_key
        for part in (self.name, self.key):
            part.setVisible(view.chosen is not None)
        if view.chosen is not None:
            self.name.show_name(view.chosen_name)
            self.key.setText("Make it a colour block" if view.chosen_is_key else "Make it the key")
        self.findings.show_findings(notes)
