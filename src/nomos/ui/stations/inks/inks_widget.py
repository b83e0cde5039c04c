"""Which inks?"""

from dataclasses import replace

from PyQt6.QtCore import pyqtSignal
from PyQt6.QtWidgets import QWidget

from nomos.base.language import tr
from nomos.base.units import number
from nomos.ui.frame.answers import Answers
from nomos.ui.frame.controls import Choice, Fields, NameField, NumberBox, label
from nomos.ui.frame.lists import ColourRows
from nomos.ui.frame.parts import ColourEditor, group
from nomos.ui.frame.patch_strip import PatchStrip
from nomos.ui.stations.inks.ink_view import InksView
from nomos.ui.stations.inks.learn import LearnPart
from nomos.ui.stations.inks.mix import MixPart
from nomos.ui.stations.inks.see import SeePart
from nomos.ui.stations.inks.stack import StackPart

PARTS = (
    ("ink", tr("Ink")), ("mix", tr("Mix")), ("stack", tr("Stack")), ("paper", tr("Paper")), ("see",
    tr("See")),
    ("reach", tr("Reach")), ("learn", tr("Proof")),
)  # fmt: skip


class InksStation(Answers):
    """The inks, and for the one chosen its colour, opacity and strength."""

    pull_chosen = pyqtSignal(str)
    renamed = pyqtSignal(str)
    recoloured = pyqtSignal(object, int)
    opacity_requested = pyqtSignal(str)
    strength_dragged = pyqtSignal(float, int)
    grade_requested = pyqtSignal(bool)
    """Ink the chosen zone from one strength to another, or evenly."""
    grade_to_requested = pyqtSignal(float)

    def __init__(self) -> None:
        super().__init__(tr("Which inks?"), PARTS, "ink")
        self.mean = label(kind="quiet")
        self.rows = ColourRows(tr("Inks"))
        self.name = NameField(tr("Name of the ink"), tr("What the ink is called on cards, lists and the ladder."))
        self.opacity = Choice(
            (
                ("transparent", tr("Transparent"), tr("What lies below shows through.")),
                ("semi", tr("Half"), tr("It hides a part of what lies below.")),
                ("opaque", tr("Opaque"), tr("It hides what lies below.")),
            )
        )
        self.editor = ColourEditor()
        self.strength = PatchStrip(tr("Strength"), 0, 1, 0.01)
        self.inking = Choice(
            (
                ("even", tr("Inked evenly"), tr("The zone has one strength.")),
                ("graded", tr("Graded"), tr("The zone goes from one strength to another.")),
            )
        )
        self.grade_fields = Fields()
        self.grade_box = NumberBox(0, 100, unit="%", step=5, digits=0)
        self.grade_fields.add(tr("At the end"), self.grade_box, tr("The strength at the end of the grading."))
        self.grade_note = label(tr("Drag the two rings on the sheet to where it begins and ends."), kind="quiet")
        self.printed = label(kind="quiet")
        self.sure = label(kind="quiet")
        self.match_head = label(tr("Furthest from what is wanted"), kind="name")
        self.matches = ColourRows(tr("Wanted and predicted"))
        self.mix, self.stack, self.see, self.learn = MixPart(), StackPart(), SeePart(), LearnPart()
        editing = group(
            self.mean, self.name, self.strength, self.inking, self.grade_fields,
            self.grade_note, self.opacity, self.editor, self.printed,
            self.match_head, self.matches, self.sure,
        )  # fmt: skip
        groups: dict[str, QWidget] = {
            "ink": editing, "mix": self.mix, "stack": self.stack, "paper": self.stack.paper,
            "see": self.see, "reach": self.see.reaching, "learn": self.learn,
        }  # fmt: skip
        self.fill(groups, above=self.rows)
        self.rows.chosen.connect(self.pull_chosen)
        self.name.given.connect(self.renamed)
        self.opacity.chosen.connect(self.opacity_requested)
        self.editor.edited.connect(self.recoloured)
        self.strength.dragged.connect(self.strength_dragged)
        self.inking.chosen.connect(lambda value: self.grade_requested.emit(value == "graded"))
        self.grade_box.set_by_hand.connect(lambda value: self.grade_to_requested.emit(value / 100))

    def turn_to(self, part: str) -> None:
        """Show one part of the station, and the list where there is an ink to choose for it."""
        self.rows.setVisible(part in ("ink", "mix", "stack"))
        super().turn_to(part)

    def show_view(self, view: InksView) -> None:
        """Show the station."""
        self.mean.setText(
            tr(
                "On the finished print, colours are ΔE {mean_de00} from what is wanted on average. "
                "The right of each swatch: the ink over black; the figure its contrast ratio, 0 clear to 1 hiding.",
                mean_de00=number(view.mean_de00),
            )
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
