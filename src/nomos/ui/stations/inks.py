"""Which inks?"""

from PyQt6.QtCore import pyqtSignal
from PyQt6.QtWidgets import QScrollArea

from nomos.ui.controls import (
    Choice,
    ColourRows,
    Fields,
    FindingList,
    NameField,
    NumberBox,
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
    grade_asked = pyqtSignal(bool)
    """Ink the chosen zone from one strength to another, or evenly."""
    grade_to_asked = pyqtSignal(float)

    def __init__(self) -> None:
        super().__init__()
        column = answers_column(self, "Which inks?")
        self.mean = label(kind="quiet")
        self.rows = ColourRows("Inks")
        self.name = NameField("Name of the ink")
        self.opacity = Choice((("transparent", "Transparent"), ("semi", "Half"), ("opaque", "Opaque")))
        self.editor = ColourEditor()
        self.strength = PatchStrip("Strength", 0, 1, 0.01)
        self.inking = Choice((("even", "Inked evenly"), ("graded", "Graded")))
        self.grade_fields = Fields()
        self.grade_box = NumberBox(0, 100, unit="%", step=5, digits=0)
        self.grade_fields.add("At the end", self.grade_box)
        self.grade_note = label("Drag the two rings on the sheet to where it begins and ends.", kind="quiet")
        self.printed = label(kind="quiet")
        self.match_head = label("Furthest from what is wanted", kind="name")
        self.matches = ColourRows("Wanted and predicted")
        self.findings = FindingList()
        for part in (
            self.mean, self.rows, self.name, self.strength, self.inking, self.grade_fields,
            self.grade_note, self.opacity, self.editor, self.printed,
            self.match_head, self.matches, self.findings,
        ):  # fmt: skip
            column.addWidget(part)
        column.addStretch(1)
        self.rows.chosen.connect(self.pull_chosen)
        self.name.given.connect(self.renamed)
        self.opacity.chosen.connect(self.opacity_asked)
        self.editor.edited.connect(self.recoloured)
        self.strength.dragged.connect(self.strength_dragged)
        self.inking.chosen.connect(lambda value: self.grade_asked.emit(value == "graded"))
        self.grade_box.set_by_hand.connect(lambda value: self.grade_to_asked.emit(value / 100))

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
        self.inking.setVisible(view.strength is not None)
        self.inking.show_choice("even" if view.grade_to is None else "graded")
        for widget in (self.grade_fields, self.grade_note):
            widget.setVisible(view.grade_to is not None)
        if view.grade_to is not None:
            self.grade_box.show_value(100 * view.grade_to)
        self.matches.show_rows(view.matches, None)
        self.match_head.setVisible(bool(view.matches))
        self.findings.show_findings(notes)
