"""The key, and what happens where colours meet."""

from PyQt6.QtCore import pyqtSignal
from PyQt6.QtWidgets import QWidget

from nomos.base.language import tr
from nomos.project.model import LARGEST_TOLERANCE_MM, LARGEST_TRAP_MM, THINNEST_LINE_MM, WIDEST_LINE_MM
from nomos.ui.frame.controls import Choice, Fields, NumberBox, button, label
from nomos.ui.frame.parts import part_column
from nomos.ui.stations.blocks.view import BlocksView


class JoinsPart(QWidget):
    """Key, trap, tolerance and what is too fine."""

    key_kind_requested = pyqtSignal(str)
    contour_requested = pyqtSignal(float)
    shadow_requested = pyqtSignal(float)
    """Shade the side away from a light from this angle, degrees."""
    trap_requested = pyqtSignal(float)
    seam_requested = pyqtSignal(float)
    tolerance_requested = pyqtSignal(float)
    fineness_requested = pyqtSignal(float, float)
    """Thinnest line that holds, and finest tool, mm."""

    def __init__(self) -> None:
        super().__init__()
        column = part_column(self)
        self.key_kind = Choice(
            (
                ("drawn", tr("Drawn")),
                ("contour", tr("Contour")),
                ("shadow", tr("Shadow")),
                ("none", tr("None")),
            )
        )
        self.contour_fields, self.fields = Fields(), Fields()
        self.contour_box = NumberBox(THINNEST_LINE_MM, WIDEST_LINE_MM, step=0.1, digits=2)
        self.contour_fields.add(tr("Width of the contour"), self.contour_box)
        self.shadow_fields, self.light_box = Fields(), NumberBox(0, 360, unit="°", step=15, digits=0)
        self.light_box.show_value(135)
        self.shadow_fields.add(tr("Light from, 90° is above"), self.light_box)
        self.shadow = button(tr("Shade the side away from it alone"))
        self.trap_box = NumberBox(0, LARGEST_TRAP_MM, step=0.1, digits=2)
        self.seam_box = NumberBox(0, 100, unit="ΔE", digits=0)
        self.tolerance_box = NumberBox(0, LARGEST_TOLERANCE_MM, step=0.1, digits=2)
        self.line_box, self.tool_box = (NumberBox(0.1, 10, step=0.1, digits=2) for _ in range(2))
        self.fields.add(tr("Trap: lighter under darker"), self.trap_box)
        self.fields.add(tr("Seam taken before a gap"), self.seam_box)
        self.fields.add(tr("Sheets meet blocks within"), self.tolerance_box)
        self.fields.add(tr("Thinnest line that holds"), self.line_box)
        self.fields.add(tr("Finest tool"), self.tool_box)
        self.opened, self.seams = label(), label(kind="quiet")
        self.take_seam = button(tr("Take that limit"))
        self._better = 0.0
        for widget in (
            label(tr("The key"), kind="name"), self.key_kind, self.contour_fields,
            self.shadow_fields, self.shadow,
            label(tr("Where colours meet"), kind="name"), self.fields, self.opened, self.seams,
            self.take_seam,
        ):  # fmt: skip
            column.addWidget(widget)
        self._connect()

    def _connect(self) -> None:
        self.key_kind.chosen.connect(self.key_kind_requested)
        self.contour_box.set_by_hand.connect(self.contour_requested)
        self.shadow.clicked.connect(lambda: self.shadow_requested.emit(self.light_box.value()))
        self.trap_box.set_by_hand.connect(self.trap_requested)
        self.seam_box.set_by_hand.connect(self.seam_requested)
        self.take_seam.clicked.connect(lambda: self.seam_requested.emit(self._better))
        self.tolerance_box.set_by_hand.connect(self.tolerance_requested)
        for box in (self.line_box, self.tool_box):
            box.set_by_hand.connect(
                lambda _value: self.fineness_requested.emit(self.line_box.value(), self.tool_box.value())
            )

    def show_view(self, view: BlocksView) -> None:
        """Show the station's joins."""
        self.key_kind.show_choice(view.key_kind)
        self.contour_fields.setVisible(view.key_kind == "contour")
        self.contour_box.show_value(view.contour_mm)
        for widget in (self.shadow_fields, self.shadow):
            widget.setVisible(view.key_kind == "shadow")
        self.trap_box.show_value(view.trap_mm)
        self.seam_box.show_value(view.seam_de00)
        self.tolerance_box.show_value(view.tolerance_mm)
        self.line_box.show_value(view.line_mm)
        self.tool_box.show_value(view.tool_mm)
        self.opened.setText(view.opened)
        self.seams.setText(view.seams)
        self._better = view.better_seam or 0.0
        self.take_seam.setVisible(view.better_seam is not None)
