"""How an ink lies on what is there: film, wet or dry, further passes, graded zones, its spectrum."""

from typing import get_args

import numpy as np
from PyQt6.QtCore import QPointF, QRectF, QSize, Qt, pyqtSignal
from PyQt6.QtGui import QColor, QPainter, QPaintEvent, QPen, QPolygonF
from PyQt6.QtWidgets import QComboBox, QSizePolicy, QWidget

from nomos.base.language import opened, tr
from nomos.colour.layering import PAPER_KINDS
from nomos.colour.spectra import WAVELENGTHS_NM, Array
from nomos.colour.trapping import INKINGS, Surface
from nomos.colour.vehicles import VEHICLES
from nomos.ui.frame import theme
from nomos.ui.frame.controls import Choice, Fields, NumberBox, button, label
from nomos.ui.frame.parts import group, part_column
from nomos.ui.stations.inks.view import StackView

_VEHICLES = tuple(VEHICLES)

_WHY_FLAT = tr(
    "A pale and a dark end on one roller leaves roller marks in the pale part: print the pale flat first."
)
_WHY_KIND = tr(
    "A coated sheet gives little light back from its surface; an absorbent one, as most papers for "
    "printing by hand, more: its darks are lighter."
)


class Spectra(QWidget):
    """Reflectance on the paper, K and S over the wavelengths."""

    def __init__(self) -> None:
        super().__init__()
        self.setSizePolicy(QSizePolicy.Policy.Expanding, QSizePolicy.Policy.Fixed)
        self.setAccessibleName(tr("Spectrum, K and S"))
        self._curves: tuple[Array, Array, Array] | None = None

    def show_curves(self, curves: tuple[Array, Array, Array] | None) -> None:
        """Show reflectance, K and S, (36,) each."""
        self._curves = curves
        self.update()

    def sizeHint(self) -> QSize:
        return QSize(theme.scaled(220), theme.scaled(118))

    def paintEvent(self, _event: QPaintEvent | None) -> None:
        painter, tone = QPainter(self), theme.tones()
        foot = theme.scaled(18)
        side = theme.scaled(6)
        box = QRectF(side, 0, self.width() - 2 * side, self.height() - foot)
        painter.fillRect(box, QColor(tone.chosen))
        painter.setPen(QPen(QColor(tone.line), 1))
        painter.drawRect(box)
        painter.setFont(theme.quiet_font())
        for nm in (400, 500, 600, 700):
            x = box.left() + (nm - 380) / 350 * box.width()
            painter.setPen(QPen(QColor(tone.line), 1))
            painter.drawLine(QPointF(x, box.top()), QPointF(x, box.bottom()))
            painter.setPen(QColor(tone.quiet))
            painter.drawText(
                QRectF(x - 30, box.bottom(), 60, foot), Qt.AlignmentFlag.AlignCenter, tr("{nm} nm", nm=nm)
            )
        if self._curves is None:
            return
        reflectance, k, s = self._curves
        most = max(1.1 * float(k.max()), 1.1 * float(s.max()), 0.5)
        painter.setRenderHint(QPainter.RenderHint.Antialiasing)
        styles = (Qt.PenStyle.SolidLine, Qt.PenStyle.DashLine, Qt.PenStyle.DotLine)
        for values, top, style in zip((reflectance, k, s), (1.0, most, most), styles, strict=True):
            points = [
                QPointF(
                    box.left() + (nm - 380) / 350 * box.width(), box.bottom() - min(v / top, 1) * box.height()
                )
                for nm, v in zip(WAVELENGTHS_NM, np.asarray(values), strict=True)
            ]
            painter.setPen(QPen(QColor(tone.accent if style == styles[0] else tone.text), 1.6, style))
            painter.drawPolyline(QPolygonF(points))


class StackPart(QWidget):
    """Film, tack, trapping, passes, graded course and paper."""

    inking_requested = pyqtSignal(str)
    pull_requested = pyqtSignal(str, object)
    """A field of the impression, and its value: wet, trapping."""
    ink_requested = pyqtSignal(str, object)
    step_requested = pyqtSignal(str, float)
    """A field of the workshop: how much of a modifier changes the tack by a step."""
    paper_requested = pyqtSignal(str, object)
    grade_requested = pyqtSignal(str, object)
    flat_requested = pyqtSignal()
    densities_requested = pyqtSignal(float, float, float)
    """Densities of the first ink, the second, and both, through the second's complementary filter."""

    def __init__(self) -> None:
        super().__init__()
        column = part_column(self)
        self.heading = label(kind="name")
        self.inking = Choice(tuple((word, tr("{word} film", word=opened(tr(word)))) for word in INKINGS))
        self.wet = Choice((("dry", tr("On dry ink")), ("wet", tr("On wet ink"))))
        self.trapping_note = label(kind="quiet")
        self.fields, self.grade_fields, self.paper_fields = Fields(), Fields(), Fields()
        self.trapping_box = NumberBox(0, 100, unit="%", step=5, digits=0)
        self.tack_box = NumberBox(0, 10, unit="", step=0.5)
        self.drying_box = NumberBox(0, 10_000, unit="h", step=6, digits=0)
        self.vehicle = QComboBox()
        self.vehicle.addItems([vehicle.said for vehicle in VEHICLES.values()])
        self.fields.add(tr("Ink trapping, measured"), self.trapping_box)
        self.fields.add(tr("Tack, 0 loose to 10 tight"), self.tack_box)
        self.fields.add(tr("Overprint after"), self.drying_box)
        self.vehicle_fields = Fields()
        self.vehicle_fields.add(tr("Vehicle"), self.vehicle)
        self._make_densities()
        self.modifier = Fields()
        self.modifier_box = NumberBox(0, 60, unit="%", step=1)
        self.modifier.add(tr("Worked into it, of the whole"), self.modifier_box)
        self.modifier_kind = Choice(
            (("oil", tr("Oil")), ("carbonate", tr("Carbonate")), ("", tr("Paste, other")))
        )
        self.step_fields, self.knife = Fields(), label(kind="quiet")
        self.step_box = NumberBox(0.1, 50, unit="%", step=0.5)
        self.step_fields.add(tr("Changes the tack by a step"), self.step_box)
        self.passes = label(kind="quiet")
        self.course = Choice(
            (("one", tr("One end")), ("both", tr("Two ends")), ("edge", tr("Along the edge")))
        )
        self.curve_box = NumberBox(0.2, 5, unit="", step=0.1)
        self.edge_box = NumberBox(0.5, 500, step=1)
        self.grade_fields.add(tr("Bends by, 1 is even"), self.curve_box)
        self.grade_fields.add(tr("Width along the edge"), self.edge_box)
        self.edges = Choice((("every", tr("Every edge")), ("outer", tr("Outer edge only"))))
        self.flat = button(tr("Print it flat first, then graded"))
        self.why_flat = label(_WHY_FLAT, kind="quiet")
        self.surface = Choice(
            tuple((word, tr("{word} face", word=opened(tr(word)))) for word in get_args(Surface))
        )
        self.kind = Choice(tuple((word, opened(tr(word))) for word in PAPER_KINDS))
        self.kind_note = label(_WHY_KIND, kind="quiet")
        self.weight_box = NumberBox(0, 2000, unit="g/m²", step=10, digits=0)
        self.along_box, self.across_box = (NumberBox(0, 20, unit="%", step=0.1) for _ in range(2))
        self.paper_fields.add(tr("Weight, 0 not known"), self.weight_box)
        self.paper_fields.add(tr("Damp, along the grain"), self.along_box)
        self.paper_fields.add(tr("Damp, across it"), self.across_box)
        self.grain = Choice((("height", tr("Grain runs up")), ("width", tr("Grain runs across"))))
        self.spectra = Spectra()
        self._step = "oil_step_pct"
        self._grade = (self.course, self.grade_fields, self.edges, self.flat, self.why_flat)
        for widget in (
            self.heading, self.inking, self.wet, self.trapping_note, self.fields, self.vehicle_fields,
            self.knife, self.modifier, self.modifier_kind, self.step_fields,
            self.density_fields, self.from_densities, self.passes,
            *self._grade, label(tr("Spectrum on the paper, K dashed, S dotted"), kind="name"), self.spectra,
        ):  # fmt: skip
            column.addWidget(widget)
        # A part of its own: the paper is the same under every ink.
        self.paper = group(
            label(tr("The paper"), kind="name"), self.surface, self.kind, self.kind_note, self.grain,
            self.paper_fields,
        )  # fmt: skip
        self._connect()

    def _make_densities(self) -> None:
        """Densities from which the trapping is worked out."""
        self.density_fields = Fields()
        self.density_boxes = [NumberBox(0, 4, unit="D", step=0.05, digits=2) for _ in range(3)]
        for name, box in zip(
            (tr("Density, first ink"), tr("second ink"), tr("both")), self.density_boxes, strict=True
        ):
            self.density_fields.add(name, box)
        self.from_densities = button(tr("Trapping from these densities"))

    def _connect(self) -> None:
        self.inking.chosen.connect(self.inking_requested)
        self.wet.chosen.connect(lambda value: self.pull_requested.emit("wet", value == "wet"))
        self.trapping_box.set_by_hand.connect(lambda value: self.pull_requested.emit("trapping", value / 100))
        self.tack_box.set_by_hand.connect(lambda value: self.ink_requested.emit("tack", value))
        self.drying_box.set_by_hand.connect(lambda value: self.ink_requested.emit("drying_h", value))
        self.vehicle.activated.connect(lambda place: self.ink_requested.emit("vehicle", _VEHICLES[place]))
        self.course.chosen.connect(self._ask_course)
        self.curve_box.set_by_hand.connect(lambda value: self.grade_requested.emit("curve", value))
        self.edge_box.set_by_hand.connect(lambda value: self.grade_requested.emit("edge_mm", value))
        self.edges.chosen.connect(lambda which: self.grade_requested.emit("outer", which == "outer"))
        self.flat.clicked.connect(self.flat_requested)
        self.modifier_box.set_by_hand.connect(lambda value: self.ink_requested.emit("modifier_pct", value))
        self.modifier_kind.chosen.connect(lambda kind: self.ink_requested.emit("modifier", kind))
        self.step_box.set_by_hand.connect(lambda value: self.step_requested.emit(self._step, value))
        self.from_densities.clicked.connect(
            lambda: self.densities_requested.emit(*(box.value() for box in self.density_boxes))
        )
        self.surface.chosen.connect(lambda value: self.paper_requested.emit("surface", value))
        self.kind.chosen.connect(lambda value: self.paper_requested.emit("kind", value))
        self.grain.chosen.connect(lambda value: self.paper_requested.emit("grain", value))
        self.weight_box.set_by_hand.connect(
            lambda value: self.paper_requested.emit("weight_gsm", value or None)
        )
        for box in (self.along_box, self.across_box):
            box.set_by_hand.connect(
                lambda _value: self.paper_requested.emit(
                    "growth", (self.along_box.value(), self.across_box.value())
                )
            )

    def _ask_course(self, course: str) -> None:
        self.grade_requested.emit("edge_mm", self.edge_box.value() if course == "edge" else None)
        self.grade_requested.emit("both", course == "both")

    def show_view(self, view: StackView | None) -> None:
        """Show how the chosen ink lies."""
        if view is None:
            self.heading.setText(tr("Choose an ink in the list first"))
        own = (self.inking, self.wet, self.trapping_note, self.fields, self.vehicle_fields, self.passes)
        for measured in (self.density_fields, self.from_densities):
            measured.setVisible(view is not None and view.wet)
        for modified in (self.modifier, self.modifier_kind, self.knife):
            modified.setVisible(view is not None)
        self.step_fields.setVisible(view is not None and bool(view.modifier))
        for widget in (*own, self.spectra):
            widget.setVisible(view is not None)
        for part in self._grade:
            part.setVisible(view is not None and view.grade is not None)
        self.paper.setEnabled(view is not None)
        if view is None:
            return
        self.heading.setText(view.heading)
        self.inking.show_choice(view.inking)
        self.wet.show_choice("wet" if view.wet else "dry")
        self.wet.setEnabled(view.can_be_wet)
        self.trapping_note.setText(view.trapping_note)
        self.trapping_box.show_value(view.trapping)
        self.trapping_box.setEnabled(view.wet)
        self.tack_box.show_value(view.tack)
        self.drying_box.show_value(view.drying_h)
        self.vehicle.setCurrentIndex(_VEHICLES.index(view.vehicle))
        self.modifier_box.show_value(view.modifier_pct)
        self.modifier_kind.show_choice(view.modifier)
        self.step_box.show_value(view.step_pct)
        self._step = "carbonate_step_pct" if view.modifier == "carbonate" else "oil_step_pct"
        self.knife.setText(view.knife)
        self.passes.setText(view.passes)
        self.spectra.show_curves(view.spectra)
        self.surface.show_choice(view.surface)
        self.kind.show_choice(view.kind)
        self.grain.show_choice(view.grain)
        self.weight_box.show_value(view.weight_gsm)
        self.along_box.show_value(view.growth[0])
        self.across_box.show_value(view.growth[1])
        if view.grade is not None:
            course = "edge" if view.grade.edge_mm is not None else "both" if view.grade.both else "one"
            self.course.show_choice(course)
            self.curve_box.show_value(view.grade.curve)
            self.edge_box.show_value(view.grade.edge_mm or 8.0)
            self.edge_box.setEnabled(course == "edge")
            self.edges.setVisible(course == "edge")
            self.edges.show_choice("outer" if view.grade.outer else "every")
