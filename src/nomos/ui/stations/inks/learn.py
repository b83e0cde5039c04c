"""Amounts for the sheets, and what a scanned proof teaches."""

from PyQt6.QtCore import Qt, pyqtSignal
from PyQt6.QtWidgets import QVBoxLayout, QWidget

from nomos.base.language import tr
from nomos.project.model import Workshop
from nomos.ui.frame.controls import Fields, Figures, NumberBox, button, label
from nomos.ui.frame.form import Form
from nomos.ui.frame.lists import ColourRows
from nomos.ui.frame.parts import part_column
from nomos.ui.stations.inks.inks_view import ProofView


class LearnPart(QWidget):
    """How much ink; a proof compared with what was predicted."""

    field_requested = pyqtSignal(str, object)
    """A field of the project, and its value."""
    weights_requested = pyqtSignal(float, float, int)
    """Grams before, grams after, pulls: for the chosen impression."""
    scan_requested = pyqtSignal()
    cause_taken = pyqtSignal(int)

    def __init__(self) -> None:
        super().__init__()
        self._column = column = part_column(self)
        self.fields = Form(Workshop, ("sheets", "film_g_m2", "slab_g"))
        self.needs = Figures()
        self.note = label(kind="quiet")
        self.weigh = Fields()
        self.before_box, self.after_box = (NumberBox(0, 100_000, unit="g", step=1) for _ in range(2))
        self.pulls_box = NumberBox(1, 10_000, unit="", digits=0)
        self.weigh.add(tr("Ink before"), self.before_box, tr("Weight of the ink before the pulls."))
        self.weigh.add(tr("Ink after"), self.after_box, tr("Weight of what is left of it."))
        self.weigh.add(tr("Pulls between"), self.pulls_box, tr("So many pulls were made between both weighings."))
        self.take_weights = button(
            tr("Work the film out from these weights"), tip=tr("How thick your films are, from what was weighed.")
        )
        self.scan = button(
            tr("Compare with a picture of a proof…"), tip=tr("Measure the colours of a real proof against the plan.")
        )
        self.scan_note = label(tr("Photograph the whole sheet in even light, or scan it."), kind="quiet")
        self.read = ColourRows(tr("Fields of the proof"))
        self.causes = QWidget()
        self._causes = QVBoxLayout(self.causes)
        self._causes.setContentsMargins(0, 0, 0, 0)
        self._shown: tuple[str, ...] = ()
        self.places = label()
        for widget in (
            label(tr("Ink for the edition"), kind="name"), self.fields, self.needs, self.note, self.weigh,
            self.take_weights, label(tr("Learning from the proof"), kind="name"), self.scan, self.scan_note,
            self.read, self.causes, self.places,
        ):  # fmt: skip
            column.addWidget(widget)
        self.fields.changed.connect(lambda path, value: self.field_requested.emit(f"workshop.{path}", value))
        self.take_weights.clicked.connect(
            lambda: self.weights_requested.emit(
                self.before_box.value(), self.after_box.value(), round(self.pulls_box.value())
            )
        )
        self.scan.clicked.connect(self.scan_requested)

    def show_view(self, view: ProofView) -> None:
        """Show amounts and the comparison."""
        self.fields.show_values(view.workshop, {"sheets": view.sheets})
        self.needs.show_rows(view.needs)
        self.note.setText(view.note)
        if view.scan:
            self.scan_note.setText(tr("{scan}: furthest from what was predicted.", scan=view.scan))
        self.read.show_rows(view.fields, None)
        self.places.setText(view.places)
        self.places.setVisible(bool(view.places))
        if view.causes == self._shown:
            return
        self._shown = view.causes
        while (item := self._causes.takeAt(0)) is not None:
            if (widget := item.widget()) is not None:
                widget.deleteLater()
        for place, text in enumerate(view.causes):
            self._causes.addWidget(label(text))
            made = button(tr("Take it into the plan"))
            made.clicked.connect(lambda _checked, place=place: self.cause_taken.emit(place))
            self._causes.addWidget(made, 0, Qt.AlignmentFlag.AlignLeft)
