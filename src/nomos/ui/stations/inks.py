"""Which inks?"""

from PyQt6.QtCore import pyqtSignal
from PyQt6.QtWidgets import QScrollArea

from nomos.ui.controls import (
    Choice,
    ColourRows,
    FindingList,
    NameField,
    PatchStrip,
    label,
)
from nomos.ui.stations.parts import ColourEditor, answers_column
from nomos.ui.views.answers import InksView
from nomos.ui.views.rows import Note
from nomos.units import number


class InksStation(QScrollArea):
    """The inks, and for the one chosen its colour, opacity and strength."""

    pull_chosen = pyqtSignal(str)
    renamed = pyqtSignal(str)
    recoloured = pyqtSignal(object, int)
    opacity_asked = pyqtSignal(str)
    strength_dragged = pyqtSignal(float, int)

    def __init__(self) -> None:
        super().__init__()
        column = answers_column(self, "Which inks?")
        self.mean = label(kind="quiet")
        self.rows = ColourRows("Inks")
        self.name = NameField("Name of the ink")
        self.opacity = Choice((("transparent", "Transparent"), ("semi", "Half"), ("opaque", "Opaque")))
        self.editor = ColourEditor()
        self.strength = PatchStrip("Strength", 0, 1, 0.01)
        self.printed = label(kind="quiet")
        self.match_head = label("Furthest from what is wanted", kind="name")
        self.matches = ColourRows("Wanted and predicted")
        self.findings = FindingList()
        for part in (
            self.mean, self.rows, self.name, self.strength, self.opacity, self.editor, self.printed,
            self.match_head, self.matches, self.findings,
        ):  # fmt: skip
            column.addWidget(part)
        column.addStretch(1)
        self.rows.chosen.connect(self.pull_chosen)
        self.name.given.connect(self.renamed)
        self.opacity.chosen.connect(self.opacity_asked)
        self.editor.edited.connect(self.recoloured)
        self.strength.dragged.connect(self.strength_dragged)

    def show_view(self, view: InksView, notes: tuple[Note, ...]) -> None:
        """Show the station."""
        self.mean.setText(
            f"On the finished print, colours are ΔE {number(view.mean_de00)} from what is wanted on average."
            if view.mean_de00 is not None
            else ""
        )
        self.rows.show_rows(view.rows, view.chosen)
        for part in (self.name, self.editor, self.printed):
            part.setVisible(view.chosen is not None)
        self.opacity.setVisible(view.ink is not None)
        self.strength.setVisible(view.strength is not None)
        if view.strips is not None:
            self.name.show_name(view.name)
            self.opacity.show_choice(view.opacity)
            self.editor.show_colour(view.strips)
            self.printed.setText(view.printed)
        if view.strength is not None:
            self.strength.show_state(view.strength.value, view.strength.text, view.strength.patches)
        self.matches.show_rows(view.matches, None)
        self.match_head.setVisible(bool(view.matches))
        self.findings.show_findings(notes)
