"""Which inks?"""

from dataclasses import replace

from PyQt6.QtCore import pyqtSignal
from PyQt6.QtWidgets import QScrollArea, QVBoxLayout, QWidget

from nomos.ui.frame import theme
from nomos.ui.frame.controls import Choice, Fields, NameField, NumberBox, label
from nomos.ui.frame.lists import ColourRows, FindingList
from nomos.ui.frame.parts import ColourEditor, answers_column
from nomos.ui.frame.patch_strip import PatchStrip
from nomos.ui.frame.rows import Note
from nomos.ui.stations.inks.ink_view import InksView
from nomos.ui.stations.inks.learn import LearnPart
from nomos.ui.stations.inks.mix import MixPart
from nomos.ui.stations.inks.see import SeePart
from nomos.ui.stations.inks.stack import StackPart
from nomos.units import number

PARTS = (("ink", "Ink"), ("mix", "Mix"), ("stack", "Stack"), ("see", "See"), ("learn", "Proof"))


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
    part_shown = pyqtSignal()
    """Another part of the station is in sight."""

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
        self.sure = label(kind="quiet")
        self.match_head = label("Furthest from what is wanted", kind="name")
        self.matches = ColourRows("Wanted and predicted")
        self.findings = FindingList()
        self.parts = Choice(PARTS)
        self.mix, self.stack, self.see, self.learn = MixPart(), StackPart(), SeePart(), LearnPart()
        self.part = "ink"
        self._editing = QWidget()
        inner = QVBoxLayout(self._editing)
        inner.setContentsMargins(0, 0, 0, 0)
        inner.setSpacing(theme.scaled(8))
        for part in (
            self.name, self.strength, self.inking, self.grade_fields,
            self.grade_note, self.opacity, self.editor, self.printed,
            self.match_head, self.matches, self.sure, self.findings,
        ):  # fmt: skip
            inner.addWidget(part)
        self._groups: dict[str, QWidget] = {
            "ink": self._editing, "mix": self.mix, "stack": self.stack, "see": self.see, "learn": self.learn,
        }  # fmt: skip
        for widget in (self.mean, self.rows, self.parts, *self._groups.values()):
            column.addWidget(widget)
        column.addStretch(1)
        self.parts.chosen.connect(self.turn_to)
        self.turn_to("ink")
        self.rows.chosen.connect(self.pull_chosen)
        self.name.given.connect(self.renamed)
        self.opacity.chosen.connect(self.opacity_asked)
        self.editor.edited.connect(self.recoloured)
        self.strength.dragged.connect(self.strength_dragged)
        self.inking.chosen.connect(lambda value: self.grade_asked.emit(value == "graded"))
        self.grade_box.set_by_hand.connect(lambda value: self.grade_to_asked.emit(value / 100))

    def turn_to(self, part: str) -> None:
        """Show one part of the station."""
        self.part = part
        self.parts.show_choice(part)
        for name, made in self._groups.items():
            made.setVisible(name == part)
        self.mean.setVisible(part == "ink")
        # The list is there to choose from; what concerns all inks needs the room itself.
        self.rows.setVisible(part in ("ink", "mix", "stack"))
        self.part_shown.emit()

    def show_view(self, view: InksView, notes: tuple[Note, ...]) -> None:
        """Show the station."""
        self.mean.setText(
            f"On the finished print, colours are ΔE {number(view.mean_de00)} from what is wanted on average. "
            "The right of each swatch: the ink over black."
            if view.mean_de00 is not None
            else ""
        )
        rows = view.rows if self.part == "ink" else tuple(replace(row, quiet="") for row in view.rows)
        self.rows.show_rows(rows, view.chosen)
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
        self.sure.setText(view.sure)
        self.sure.setVisible(bool(view.sure))
        self.findings.show_findings(notes)
