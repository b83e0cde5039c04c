"""How an ink lies on what is there: film, wet or dry, further passes, graded zones, its spectrum."""

import numpy as np
from PyQt6.QtCore import QPointF, QRectF, QSize, Qt, pyqtSignal
from PyQt6.QtGui import QColor, QPainter, QPaintEvent, QPen, QPolygonF
from PyQt6.QtWidgets import QSizePolicy, QWidget

from nomos.base.language import tr
from nomos.colour.spectra import WAVELENGTHS_NM, Array
from nomos.project.model import Grade, Impression, Ink, Paper, Workshop, Zone
from nomos.ui.frame import theme
from nomos.ui.frame.controls import Choice, Fields, NumberBox, button, label
from nomos.ui.frame.form import Form
from nomos.ui.frame.parts import group, part_column
from nomos.ui.stations.inks.inks_view import StackView

# How wide a grading along an edge begins with.
_USUAL_EDGE_MM = 8.0
_WHY_FLAT = tr("A pale and a dark end on one roller leaves roller marks in the pale part: print the pale flat first.")
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
            painter.drawText(QRectF(x - 30, box.bottom(), 60, foot), Qt.AlignmentFlag.AlignCenter, tr("{nm} nm", nm=nm))
        if self._curves is None:
            return
        reflectance, k, s = self._curves
        most = max(1.1 * float(k.max()), 1.1 * float(s.max()), 0.5)
        painter.setRenderHint(QPainter.RenderHint.Antialiasing)
        styles = (Qt.PenStyle.SolidLine, Qt.PenStyle.DashLine, Qt.PenStyle.DotLine)
        for values, top, style in zip((reflectance, k, s), (1.0, most, most), styles, strict=True):
            points = [
                QPointF(box.left() + (nm - 380) / 350 * box.width(), box.bottom() - min(v / top, 1) * box.height())
                for nm, v in zip(WAVELENGTHS_NM, np.asarray(values), strict=True)
            ]
            painter.setPen(QPen(QColor(tone.accent if style == styles[0] else tone.text), 1.6, style))
            painter.drawPolyline(QPolygonF(points))


class StackPart(QWidget):
    """Film, tack, trapping, passes, graded course and paper."""

    zone_requested = pyqtSignal(str, object)
    """A field of the chosen zone, and its value; likewise of its pull, ink and grading."""
    pull_requested = pyqtSignal(str, object)
    ink_requested = pyqtSignal(str, object)
    grade_requested = pyqtSignal(str, object)
    field_requested = pyqtSignal(str, object)
    """A field of the project, and its value."""
    flat_requested = pyqtSignal()
    densities_requested = pyqtSignal(float, float, float)
    """Densities of the first ink, the second, and both, through the second's complementary filter."""

    def __init__(self) -> None:
        super().__init__()
        column = part_column(self)
        self.heading = label(kind="name")
        self.inking, self.wet = Form(Zone, ("inking",)), Form(Impression, ("wet",))
        self.trapping_note = label(kind="quiet")
        self.trapping = Form(Impression, ("trapping",))
        self.ink = Form(Ink, ("tack", "drying_h", "vehicle"))
        self._make_densities()
        self.modifier = Form(Ink, ("modifier_pct", "modifier"))
        self.steps = {kind: Form(Workshop, (f"{kind}_step_pct",)) for kind in ("oil", "carbonate")}
        self.knife = label(kind="quiet")
        self.passes = label(kind="quiet")
        self.course = Choice((("one", tr("One end")), ("both", tr("Two ends")), ("edge", tr("Along the edge"))))
        self.bend, self.along = Form(Grade, ("curve",)), Form(Grade, ("edge_mm",))
        self.edges = Form(Grade, ("outer",))
        self.flat = button(tr("Print it flat first, then graded"))
        self.why_flat = label(_WHY_FLAT, kind="quiet")
        self.paper_faces = Form(Paper, ("surface", "kind"))
        self.kind_note = label(_WHY_KIND, kind="quiet")
        self.paper_fields = Form(Paper, ("grain", "weight_gsm", "growth"))
        self.spectra, self.taken, self.family = Spectra(), label(kind="quiet"), Form(Ink, ("family",))
        self._grade = (self.course, self.bend, self.along, self.edges, self.flat, self.why_flat)
        for widget in (
            self.heading, self.inking, self.wet, self.trapping_note, self.trapping, self.ink,
            self.knife, self.modifier, *self.steps.values(),
            self.density_fields, self.from_densities, self.passes,
            *self._grade, label(tr("Spectrum on the paper, K dashed, S dotted"), kind="name"), self.spectra,
            self.taken, self.family,
        ):  # fmt: skip
            column.addWidget(widget)
        # A part of its own: the paper is the same under every ink.
        self.paper = group(
            label(tr("The paper"), kind="name"), self.paper_faces, self.kind_note, self.paper_fields,
        )  # fmt: skip
        self._connect()

    def _make_densities(self) -> None:
        """Densities from which the trapping is worked out."""
        self.density_fields = Fields()
        self.density_boxes = [NumberBox(0, 4, unit="D", step=0.05, digits=2) for _ in range(3)]
        for name, box in zip((tr("Density, first ink"), tr("second ink"), tr("both")), self.density_boxes, strict=True):
            self.density_fields.add(name, box, tr("Read through the second ink's own filter."))
        self.from_densities = button(tr("Trapping from these densities"))

    def _connect(self) -> None:
        self.inking.changed.connect(self.zone_requested)
        for form in (self.wet, self.trapping):
            form.changed.connect(self.pull_requested)
        for form in (self.ink, self.modifier, self.family):
            form.changed.connect(self.ink_requested)
        for form in self.steps.values():
            form.changed.connect(lambda path, value: self.field_requested.emit(f"workshop.{path}", value))
        self.course.chosen.connect(self._ask_course)
        for form in (self.bend, self.along, self.edges):
            form.changed.connect(self.grade_requested)
        self.flat.clicked.connect(self.flat_requested)
        self.from_densities.clicked.connect(
            lambda: self.densities_requested.emit(*(box.value() for box in self.density_boxes))
        )
        for form in (self.paper_faces, self.paper_fields):
            form.changed.connect(lambda path, value: self.field_requested.emit(f"paper.{path}", value))

    def _ask_course(self, course: str) -> None:
        self.grade_requested.emit("edge_mm", self.along["edge_mm"].value() if course == "edge" else None)
        self.grade_requested.emit("both", course == "both")

    def show_view(self, view: StackView | None) -> None:
        """Show how the chosen ink lies."""
        if view is None:
            self.heading.setText(tr("Choose an ink in the list first"))
        for measured in (self.density_fields, self.from_densities):
            measured.setVisible(view is not None and view.pull.wet)
        own = (
            self.inking, self.wet, self.trapping_note, self.trapping, self.ink, self.passes, self.modifier,
            self.knife, self.spectra, self.taken, self.family,
        )  # fmt: skip
        for widget in own:
            widget.setVisible(view is not None)
        for kind, form in self.steps.items():
            form.setVisible(view is not None and view.ink.modifier == kind)
        for part in self._grade:
            part.setVisible(view is not None and view.zone.grade is not None)
        self.paper.setEnabled(view is not None)
        if view is None:
            return
        self.heading.setText(view.heading)
        self.inking.show_values(view.zone)
        self.wet.show_values(view.pull)
        self.wet.setEnabled(view.can_be_wet)
        self.trapping_note.setText(view.trapping_note)
        self.trapping.show_values(view.pull, {"trapping": view.trapping})
        self.trapping.setEnabled(view.pull.wet)
        for form in (self.ink, self.modifier, self.family):
            form.show_values(view.ink)
        self.taken.setText(view.taken)
        self.family.setVisible(bool(view.taken))
        for form in self.steps.values():
            form.show_values(view.workshop)
        self.knife.setText(view.knife)
        self.passes.setText(view.passes)
        self.spectra.show_curves(view.spectra)
        for form in (self.paper_faces, self.paper_fields):
            form.show_values(view.paper)
        if view.zone.grade is not None:
            self._show_grade(view.zone.grade)

    def _show_grade(self, grade: Grade) -> None:
        course = "edge" if grade.edge_mm is not None else "both" if grade.both else "one"
        self.course.show_choice(course)
        for form in (self.bend, self.along, self.edges):
            form.show_values(grade, {"edge_mm": _USUAL_EDGE_MM})
        self.along.setEnabled(course == "edge")
        self.edges.setVisible(course == "edge")
