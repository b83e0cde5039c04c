"""What is the design made of?"""

from PyQt6.QtCore import pyqtSignal
from PyQt6.QtWidgets import QComboBox

from nomos.base.language import tr
from nomos.base.units import number, size_text
from nomos.design import FEWEST, MOST
from nomos.ui.frame.answers import Answers
from nomos.ui.frame.controls import Fields, NameField, NumberBox, button, label
from nomos.ui.frame.lists import ColourRows
from nomos.ui.frame.parts import ColourCurve, ColourEditor, group
from nomos.ui.stations.design.design_view import CorrectPartView, DesignView, PicturePartView
from nomos.ui.stations.design.parts import CorrectPart, PicturePart

_MOST_GRADIENTS = 3
PARTS = (("picture", tr("Picture")), ("colours", tr("Colours")), ("correct", tr("Correct")))


class DesignStation(Answers):
    """The picture, the number of colours and the colours themselves, and correcting them."""

    count_requested = pyqtSignal(int)
    feature_requested = pyqtSignal(float)
    colour_chosen = pyqtSignal(int)
    renamed = pyqtSignal(int, str)
    recoloured = pyqtSignal(int, object, int)
    bare_requested = pyqtSignal(int, bool)
    kept = pyqtSignal(int)
    retitled = pyqtSignal(str)
    merge_requested = pyqtSignal(int, int)
    split_requested = pyqtSignal()
    grade_requested = pyqtSignal(int)

    def __init__(self) -> None:
        super().__init__(tr("What is the design made of?"), PARTS, "colours")
        self.picture, self.correct = PicturePart(), CorrectPart()
        self.title = NameField(
            tr("Title of the print"), tr("What the print is called on templates and in the statement.")
        )
        self.source = label(kind="quiet")
        self.fields = Fields()
        self.count_box = NumberBox(FEWEST, MOST, unit="", digits=0)
        self.feature_box = NumberBox(0, 20, step=0.1)
        self.fields.add(
            tr("Smallest feature"), self.feature_box, tr("Smaller fields are joined to what is around them.")
        )
        self.fields.add(tr("Colours"), self.count_box, tr("So many flat colours the design is read as."))
        self.why = label()
        self.curve_note = label(tr("Mean ΔE for each number of colours, as a second opinion."), kind="quiet")
        self.curve = ColourCurve()
        self.rows = ColourRows(tr("Flat colours"))
        self.name = NameField(tr("Name of the colour"))
        self.bare = button(tr("Leave it bare"))
        self.keep = button(tr("Keep this colour whatever the number"))
        self.merge = QComboBox()
        self.merge.setAccessibleName(tr("Make this colour one with another"))
        self.split = button(tr("Split the clicked field off"))
        self.editor = ColourEditor()
        self.field = label(kind="quiet")
        self.gradients = [button("") for _ in range(_MOST_GRADIENTS)]
        colours = group(
            self.fields, self.why, *self.gradients, self.curve_note, self.curve, self.rows,
            self.field, self.name, self.editor, self.keep, self.bare, self.merge, self.split,
        )  # fmt: skip
        picture = group(self.title, self.source, self.picture)
        self._chosen, self._bare, self._count = -1, False, 0
        self._connect()
        self.fill({"picture": picture, "colours": colours, "correct": self.correct})

    def _connect(self) -> None:
        self.title.given.connect(self.retitled)
        self.count_box.set_by_hand.connect(lambda value: self.count_requested.emit(round(value)))
        self.curve.chosen.connect(self.count_requested)
        self.feature_box.set_by_hand.connect(self.feature_requested)
        self.rows.chosen.connect(lambda row: self.colour_chosen.emit(int(row)))
        self.name.given.connect(lambda name: self.renamed.emit(self._chosen, name))
        self.editor.edited.connect(lambda lab, gesture: self.recoloured.emit(self._chosen, lab, gesture))
        for place, made in enumerate(self.gradients):
            made.clicked.connect(lambda _on, place=place: self.grade_requested.emit(place))
        self.keep.clicked.connect(lambda: self.kept.emit(self._chosen))
        self.merge.activated.connect(self._ask_merge)
        self.split.clicked.connect(self.split_requested)
        self.bare.clicked.connect(lambda: self.bare_requested.emit(self._chosen, not self._bare))

    def _ask_merge(self, place: int) -> None:
        others = [n for n in range(self._count) if n != self._chosen]
        if place > 0:
            self.merge_requested.emit(self._chosen, others[place - 1])

    def show_view(self, view: DesignView, picture: PicturePartView, correct: CorrectPartView) -> None:
        """Show the station."""
        self.title.show_name(view.title)
        self.source.setText(
            tr(
                "{source}, {size_text}. The flat colours are ΔE {mean_de00} from it on average.",
                source=view.source, size_text=size_text(*view.size_mm), mean_de00=number(view.mean_de00, 2),
            )
        )  # fmt: skip
        self.picture.show_view(picture)
        self.correct.show_view(correct)
        self.count_box.show_value(view.count)
        self.feature_box.show_value(view.smallest_mm)
        for box in (self.count_box, self.feature_box, self.curve, self.keep):
            box.setEnabled(view.has_source)
        self.why.setText(view.why)
        self.why.setVisible(bool(view.why))
        for place, made in enumerate(self.gradients):
            made.setVisible(place < len(view.gradients))
            made.setText(view.gradients[place] if place < len(view.gradients) else "")
        self.curve.show_curve(view.curve, view.count, view.suggested)
        self.curve_note.setVisible(bool(view.curve))
        self.rows.show_rows(view.rows, None if view.chosen is None else str(view.chosen))
        self._chosen, self._bare = -1 if view.chosen is None else view.chosen, view.chosen_bare
        for part in (self.name, self.editor, self.keep, self.bare, self.merge, self.split):
            part.setVisible(view.chosen is not None)
        self._show_merge(view)
        self.split.setEnabled(view.can_split)
        if view.strips is not None:
            self.name.show_name(view.chosen_name)
            self.editor.show_colour(view.strips)
            self.keep.setText(
                tr("Kept whatever the number") if view.kept else tr("Keep this colour whatever the number")
            )
            self.keep.setEnabled(view.has_source and not view.kept)
            self.bare.setText(
                tr("Print it with a block of its own") if view.chosen_bare else tr("Leave it to the bare paper")
            )
        self.field.setText(view.field)
        self.field.setVisible(bool(view.field))

    def _show_merge(self, view: DesignView) -> None:
        names = [row.name for place, row in enumerate(view.rows) if place != view.chosen]
        self._count = len(view.rows)
        wanted = [tr("Make it one with…"), *names]
        if [self.merge.itemText(n) for n in range(self.merge.count())] != wanted:
            self.merge.clear()
            self.merge.addItems(wanted)
        self.merge.setCurrentIndex(0)
