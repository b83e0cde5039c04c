"""The key, and what happens where colours meet."""

from PyQt6.QtCore import pyqtSignal
from PyQt6.QtWidgets import QWidget

from nomos.base.language import tr
from nomos.project.model import Contour, Project
from nomos.ui.frame.controls import Choice, Fields, NumberBox, button, label
from nomos.ui.frame.form import Form
from nomos.ui.frame.parts import part_column
from nomos.ui.stations.blocks.blocks_view import BlocksView


class JoinsPart(QWidget):
    """Key, trap, tolerance and what is too fine."""

    key_kind_requested = pyqtSignal(str)
    contour_requested = pyqtSignal(float)
    shadow_requested = pyqtSignal(float)
    """Shade the side away from a light from this angle, degrees."""
    field_requested = pyqtSignal(str, object)
    """A field of the project, and its value."""

    def __init__(self) -> None:
        super().__init__()
        column = part_column(self)
        self.key_kind = Choice(
            (
                ("drawn", tr("Drawn"), tr("The key is what is drawn as a line.")),
                ("contour", tr("Contour"), tr("The key is a line round every field.")),
                ("shadow", tr("Shadow"), tr("The key is the darkest tone.")),
                ("none", tr("None"), tr("No key: colours meet each other.")),
            )
        )
        self.contour = Form(Contour, ("width_mm",))
        self.shadow_fields, self.light_box = Fields(), NumberBox(0, 360, unit="°", step=15, digits=0)
        self.light_box.show_value(135)
        self.shadow_fields.add(
            tr("Light from, 90° is above"), self.light_box, tr("Shadows lie on the side away from it.")
        )
        self.shadow = button(tr("Shade the side away from it alone"))
        self.fields = Form(Project, ("trap_mm", "seam_de00", "tolerance_mm", "line_mm", "tool_mm"))
        self.opened, self.seams = label(), label(kind="quiet")
        self.take_seam = button(tr("Take that limit"))
        self._better = 0.0
        for widget in (
            label(tr("The key"), kind="name"), self.key_kind, self.contour,
            self.shadow_fields, self.shadow,
            label(tr("Where colours meet"), kind="name"), self.fields, self.opened, self.seams,
            self.take_seam,
        ):  # fmt: skip
            column.addWidget(widget)
        self._connect()

    def _connect(self) -> None:
        self.key_kind.chosen.connect(self.key_kind_requested)
        self.contour.changed.connect(lambda _path, width_mm: self.contour_requested.emit(width_mm))
        self.fields.changed.connect(self.field_requested)
        self.shadow.clicked.connect(lambda: self.shadow_requested.emit(self.light_box.value()))
        self.take_seam.clicked.connect(lambda: self.field_requested.emit("seam_de00", self._better))

    def show_view(self, view: BlocksView) -> None:
        """Show the station's joins."""
        self.key_kind.show_choice(view.key_kind)
        self.contour.setVisible(view.key_kind == "contour")
        self.contour.show_values(Contour(view.contour_mm))
        for widget in (self.shadow_fields, self.shadow):
            widget.setVisible(view.key_kind == "shadow")
        self.fields.show_values(view.project)
        self.opened.setText(view.opened)
        self.seams.setText(view.seams)
        self._better = view.better_seam or 0.0
        self.take_seam.setVisible(view.better_seam is not None)
