"""What is the design made of?"""

from PyQt6.QtCore import pyqtSignal
from PyQt6.QtWidgets import QComboBox, QScrollArea

from nomos.design import FEWEST, MOST, Suggestion
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
from nomos.ui.stations.parts import ColourCurve, ColourEditor, answers_column
from nomos.ui.views.answers import DesignView
from nomos.ui.views.rows import Note
from nomos.units import number


class DesignStation(QScrollArea):
    """Size, number of colours, and the colours themselves."""

    count_asked = pyqtSignal(int)
    width_asked = pyqtSignal(float)
    feature_asked = pyqtSignal(float)
    shown_asked = pyqtSignal(str)
    colour_chosen = pyqtSignal(int)
    renamed = pyqtSignal(int, str)
    recoloured = pyqtSignal(int, object, int)
    bare_asked = pyqtSignal(int, bool)
    retitled = pyqtSignal(str)
    merge_asked = pyqtSignal(int, int)
    split_asked = pyqtSignal()

    def __init__(self) -> None:
        super().__init__()
        column = answers_column(self, "What is the design made of?")
        self.title = NameField("Title of the print")
        self.source = label(kind="quiet")
        self.shown = Choice((("sketch", "Sketch"), ("flat", "Flat"), ("print", "Print")))
        self.fields = Fields()
        self.width_box = NumberBox(5, 2000)
        self.count_box = NumberBox(FEWEST, MOST, unit="", digits=0)
        self.feature_box = NumberBox(0, 20, step=0.1)
        self.fields.add("Width of the image", self.width_box)
        self.fields.add("Smallest feature", self.feature_box)
        self.fields.add("Colours", self.count_box)
        self.curve_note = label(kind="quiet")
        self.curve = ColourCurve()
        self.rows = ColourRows("Flat colours")
        self.name = NameField("Name of the colour")
        self.bare = button("Leave it bare")
        self.merge = QComboBox()
        self.merge.setAccessibleName("Merge this colour into another")
        self.split = button("Split the clicked field off")
        self.editor = ColourEditor()
        self.field = label(kind="quiet")
        self.findings = FindingList()
        for part in (
            self.title, self.source, self.shown, self.fields, self.curve_note, self.curve, self.rows,
            self.field, self.name, self.editor, self.bare, self.merge, self.split, self.findings,
        ):  # fmt: skip
            column.addWidget(part)
        column.addStretch(1)
        self._chosen, self._bare, self._count = -1, False, 0
        self.title.given.connect(self.retitled)
        self.count_box.set_by_hand.connect(lambda value: self.count_asked.emit(round(value)))
        self.curve.chosen.connect(self.count_asked)
        self.width_box.set_by_hand.connect(self.width_asked)
        self.feature_box.set_by_hand.connect(self.feature_asked)
        self.shown.chosen.connect(self.shown_asked)
        self.rows.chosen.connect(lambda row: self.colour_chosen.emit(int(row)))
        self.name.given.connect(lambda name: self.renamed.emit(self._chosen, name))
        self.editor.edited.connect(lambda lab, gesture: self.recoloured.emit(self._chosen, lab, gesture))
        self.merge.activated.connect(self._ask_merge)
        self.split.clicked.connect(self.split_asked)
        self.bare.clicked.connect(lambda: self.bare_asked.emit(self._chosen, not self._bare))

    def _ask_merge(self, place: int) -> None:
        others = [n for n in range(self._count) if n != self._chosen]
        if place > 0:
            self.merge_asked.emit(self._chosen, others[place - 1])

    def show_view(self, view: DesignView, suggestion: Suggestion | None, notes: tuple[Note, ...]) -> None:
        """Show the station."""
        self.title.show_name(view.title)
        self.source.setText(
            f"{view.source}, {number(view.size_mm[0])} × {number(view.size_mm[1])} mm. "
            f"The flat colours are ΔE {number(view.mean_de00, 2)} from it on average."
        )
        self.shown.show_choice(view.shown if view.shown != "block" else "print")
        self.width_box.show_value(view.size_mm[0])
        self.count_box.show_value(view.count)
        self.feature_box.show_value(view.smallest_mm)
        for box in (self.width_box, self.count_box, self.feature_box, self.curve):
            box.setEnabled(view.has_source)
        if suggestion and suggestion.curve:
            self.curve.show_curve(suggestion.curve, view.count, suggestion.count)
            self.curve_note.setText(
                f"Mean ΔE for each number of colours. {suggestion.count} fit this design best."
            )
        else:
            self.curve.show_curve((), view.count, 0)
        self.curve_note.setVisible(bool(suggestion and suggestion.curve))
        self.rows.show_rows(
            view.rows,
            None if view.chosen is None else str(view.chosen),
        )
        self._chosen, self._bare = -1 if view.chosen is None else view.chosen, view.chosen_bare
        for part in (self.name, self.editor, self.bare, self.merge, self.split):
            part.setVisible(view.chosen is not None)
        self._show_merge(view)
        self.split.setEnabled(view.can_split)
        if view.strips is not None:
            self.name.show_name(view.chosen_name)
            self.editor.show_colour(view.strips)
            self.bare.setText(
                "Print it with a block of its own" if view.chosen_bare else "Leave it to the bare paper"
            )
        self.field.setText(view.field)
        self.field.setVisible(bool(view.field))
        self.findings.show_findings(notes)

    def _show_merge(self, view: DesignView) -> None:
        names = [row.name for place, row in enumerate(view.rows) if place != view.chosen]
        self._count = len(view.rows)
        wanted = ["Merge it into…", *names]
        if [self.merge.itemText(n) for n in range(self.merge.count())] != wanted:
            self.merge.clear()
            self.merge.addItems(wanted)
        self.merge.setCurrentIndex(0)
