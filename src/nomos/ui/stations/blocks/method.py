"""How the print is made: block by block, reduction, jigsaw, two-sided."""

from PyQt6.QtCore import pyqtSignal
from PyQt6.QtWidgets import QWidget

from nomos.base.language import tr
from nomos.project.blocks.methods import METHODS
from nomos.project.model import Block, Workshop
from nomos.ui.frame.controls import Fields, Figures, NumberBox, button, label
from nomos.ui.frame.form import Form
from nomos.ui.frame.lists import ColourRows
from nomos.ui.frame.parts import group, part_column
from nomos.ui.stations.blocks.method_view import MethodView

# Where the light comes from by default: from the upper left, as most draughtsmen have it.
_LIGHT_DEG = 135.0
_CAUTION = tr(
    "Sawing: clamp the board, fingers clear of the line, eyes and lungs covered. The makers' safety sheets, "
    "local rules and trained people come first."
)
_CUTTING = tr(
    "Cut away from the body, the other hand behind the edge, the board against a bench hook. Nothing cut "
    "away can be put back: print every sheet first."
)
_CARRY = tr("The drawing comes onto the blocks by")


class MethodPart(QWidget):
    """The four ways, and what the chosen one asks for."""

    method_requested = pyqtSignal(str)
    field_requested = pyqtSignal(str, object)
    """A field of the project, and its value."""
    kerf_requested = pyqtSignal(float)
    tint_requested = pyqtSignal(float)

    def __init__(self) -> None:
        super().__init__()
        column = part_column(self)
        self.ways = ColourRows(tr("Ways of printing"))
        self._make_sharing()
        self._make_jigsaw()
        self._make_boards()
        self.carrying = label(kind="quiet")
        self.carried, self.cut_out = Form(Workshop, ("carried",)), Form(Workshop, ("cut_out",))
        self.steps = Figures()
        self._groups = {
            "carry": group(label(_CARRY, kind="name"), self.carried, self.carrying),
            "reduction": group(
                label(tr("Between the pulls"), kind="name"), self.steps, label(_CUTTING, kind="quiet"),
                self.cut_out,
            ),
            "jigsaw": group(
                label(tr("Pieces"), kind="name"), self.pieces, self.kerf, self.saw_fields,
                label(tr("Tints and shades by the light"), kind="name"), self.light_fields, self.tint,
                label(_CAUTION, kind="quiet"),
            ),
            "twosided": group(
                label(tr("Boards"), kind="name"), self.boards, self.turned, self.turning, self.board_fields
            ),
            "sharing": group(label(tr("Colours inked apart on one block"), kind="name"), self.share_fields),
        }  # fmt: skip
        column.addWidget(self.ways)
        for made in self._groups.values():
            column.addWidget(made)
        self._connect()

    def _make_sharing(self) -> None:
        self.share_fields = Form(Workshop, ("clearance_mm", "most_zones"))

    def _make_jigsaw(self) -> None:
        self.pieces = label(kind="quiet")
        self.kerf, self.saw_fields = Form(Block, ("kerf_mm",)), Form(Workshop, ("grip_mm", "neck_mm"))
        self.light_fields = Fields()
        self.light_box = NumberBox(0, 360, unit="°", step=15, digits=0)
        self.light_box.show_value(_LIGHT_DEG)
        self.light_fields.add(
            tr("Light from, 90° is above"), self.light_box, tr("Shadows lie on the side away from it.")
        )
        self.tint = button(tr("Tint and shade the chosen colour"))

    def _make_boards(self) -> None:
        self.boards = Figures()
        self.turned, self.board_fields = Form(Workshop, ("turned",)), Form(Workshop, ("untrue_mm",))
        self.turning = label(kind="quiet")

    def _connect(self) -> None:
        self.ways.chosen.connect(self.method_requested)
        self.kerf.changed.connect(lambda _path, kerf_mm: self.kerf_requested.emit(kerf_mm))
        self.tint.clicked.connect(lambda: self.tint_requested.emit(self.light_box.value()))
        for form in self._forms():
            form.changed.connect(lambda path, value: self.field_requested.emit(f"workshop.{path}", value))

    def _forms(self) -> tuple[Form, ...]:
        return (
            self.carried, self.cut_out, self.share_fields, self.saw_fields, self.turned, self.board_fields,
        )  # fmt: skip

    def show_view(self, view: MethodView) -> None:
        """Show the ways, and what belongs to the one in use."""
        self.ways.show_rows(view.ways, view.method)
        for name, made in self._groups.items():
            method = METHODS[view.method]
            belongs = {"carry": method.own_blocks, "sharing": method.shares}
            made.setVisible(belongs.get(name, name == view.method))
        self.carrying.setText(view.carrying)
        self.steps.show_rows(view.steps)
        self.pieces.setText(view.pieces)
        self.kerf["kerf_mm"].show_value(view.kerf_mm)
        self.tint.setEnabled(view.can_tint)
        self.boards.show_rows(view.boards)
        self.turning.setText(view.turning)
        for form in self._forms():
            form.show_values(view.workshop)
