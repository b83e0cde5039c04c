"""How the print is made: block by block, reduction, jigsaw, two-sided."""

from PyQt6.QtCore import pyqtSignal
from PyQt6.QtWidgets import QCheckBox, QWidget

from nomos.base.language import opened, tr
from nomos.registration import TURNS
from nomos.ui.frame.controls import Choice, Fields, Figures, NumberBox, button, label
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
    workshop_requested = pyqtSignal(str, object)
    """A field of the workshop, and its value."""
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
        self.carried = Choice((("impressions", tr("Impressions of the key")), ("tracing", tr("One tracing"))))
        self.cut_out = QCheckBox(tr("The plate is cut right through"))
        self.steps = Figures()
        self._groups = {
            "carry": group(label(_CARRY, kind="name"), self.carried, self.carrying),
            "reduction": group(
                label(tr("Between the pulls"), kind="name"), self.steps, label(_CUTTING, kind="quiet"),
                self.cut_out,
            ),
            "jigsaw": group(
                label(tr("Pieces"), kind="name"), self.pieces, self.saw_fields,
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
        self.share_fields = Fields()
        self.clearance_box = NumberBox(0, 200, step=1, digits=0)
        self.zones_box = NumberBox(1, 20, unit="", digits=0)
        self.share_fields.add(tr("Room between them"), self.clearance_box)
        self.share_fields.add(tr("Inked before the first dries"), self.zones_box)

    def _make_jigsaw(self) -> None:
        self.pieces = label(kind="quiet")
        self.saw_fields, self.light_fields = Fields(), Fields()
        self.kerf_box = NumberBox(0, 5, step=0.1, digits=2)
        self.grip_box = NumberBox(0, 100, step=1)
        self.neck_box = NumberBox(0.1, 50, step=0.5)
        self.saw_fields.add(tr("The saw takes"), self.kerf_box)
        self.saw_fields.add(tr("Border to hold it by"), self.grip_box)
        self.saw_fields.add(tr("Narrowest neck"), self.neck_box)
        self.light_box = NumberBox(0, 360, unit="°", step=15, digits=0)
        self.light_box.show_value(_LIGHT_DEG)
        self.light_fields.add(tr("Light from, 90° is above"), self.light_box)
        self.tint = button(tr("Tint and shade the chosen colour"))

    def _make_boards(self) -> None:
        self.boards = Figures()
        self.turned = Choice(tuple((turn, opened(tr(turn))) for turn in TURNS))
        self.turning = label(kind="quiet")
        self.board_fields = Fields()
        self.untrue_box = NumberBox(0, 20, step=0.1, digits=2)
        self.board_fields.add(tr("A board is untrue by"), self.untrue_box)

    def _connect(self) -> None:
        self.ways.chosen.connect(self.method_requested)
        self.kerf_box.set_by_hand.connect(self.kerf_requested)
        self.tint.clicked.connect(lambda: self.tint_requested.emit(self.light_box.value()))
        self.carried.chosen.connect(lambda value: self.workshop_requested.emit("carried", value))
        self.turned.chosen.connect(lambda value: self.workshop_requested.emit("turned", value))
        self.cut_out.clicked.connect(lambda on: self.workshop_requested.emit("cut_out", on))
        for box, name in (
            (self.clearance_box, "clearance_mm"), (self.grip_box, "grip_mm"), (self.neck_box, "neck_mm"),
            (self.untrue_box, "untrue_mm"),
        ):  # fmt: skip
            box.set_by_hand.connect(lambda value, name=name: self.workshop_requested.emit(name, value))
        self.zones_box.set_by_hand.connect(
            lambda value: self.workshop_requested.emit("most_zones", round(value))
        )

    def show_view(self, view: MethodView, carried: str) -> None:
        """Show the ways, and what belongs to the one in use."""
        self.ways.show_rows(view.ways, view.method)
        for name, made in self._groups.items():
            belongs = {"carry": view.method in ("multiblock", "twosided"), "sharing": view.method != "jigsaw"}
            made.setVisible(belongs.get(name, name == view.method))
        self.carried.show_choice(carried)
        self.carrying.setText(view.carrying)
        self.steps.show_rows(view.steps)
        self.cut_out.setChecked(view.workshop.cut_out)
        self.pieces.setText(view.pieces)
        self.kerf_box.show_value(view.kerf_mm)
        self.grip_box.show_value(view.workshop.grip_mm)
        self.neck_box.show_value(view.workshop.neck_mm)
        self.tint.setEnabled(view.can_tint)
        self.boards.show_rows(view.boards)
        self.turned.show_choice(view.workshop.turned)
        self.turning.setText(view.turning)
        self.untrue_box.show_value(view.workshop.untrue_mm)
        self.clearance_box.show_value(view.workshop.clearance_mm)
        self.zones_box.show_value(view.workshop.most_zones)
