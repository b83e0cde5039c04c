"""How the chosen pull is inked: zones drawn on the sheet, tools, and how it is printed."""

from collections.abc import Sequence
from typing import get_args

from PyQt6.QtCore import pyqtSignal
from PyQt6.QtWidgets import QCheckBox, QComboBox, QWidget

from nomos.base.language import tr
from nomos.separation.touch import Tool, Touch
from nomos.ui.frame.controls import Choice, Fields, NameField, NumberBox, button, label
from nomos.ui.frame.lists import ColourRows
from nomos.ui.frame.parts import group, part_column
from nomos.ui.stations.blocks.inking_view import OWN_INK, PRINTINGS, TOOLS, InkingView

_HANDS = (
    ("move", tr("Move")), ("lasso", tr("Lasso")), ("line", tr("Line")), ("brush", tr("Brush")), ("field",
    tr("Field")),
)  # fmt: skip
_DRAWS = (
    ("inked", tr("is inked apart")),
    ("uninked", tr("is left without ink")),
    ("wiped", tr("is wiped before the pull")),
    ("only", tr("alone is inked, the rest not")),
    ("further", tr("joins the chosen zone")),
)
_HOW = tr("Field: click one, with Ctrl all that touches it on the block.")
_NOTE = tr("Strength, film and grading of the chosen zone are set at Inks.")


class InkingPart(QWidget):
    """The zones of a pull, tools to draw more, and how the pull is printed."""

    zone_chosen = pyqtSignal(int)
    hand_requested = pyqtSignal(str, str, object)
    """What the hand draws with, what becomes of the place, and a Touch to draw with or None."""
    ink_requested = pyqtSignal(str)
    """Id of the chosen zone's ink; "" for one of its own."""
    zone_requested = pyqtSignal(str, object)
    """A field of the chosen zone, and its value."""
    removed = pyqtSignal()
    pull_requested = pyqtSignal(str, object)
    """A field of the pull, and its value."""
    again_requested = pyqtSignal()

    def __init__(self) -> None:
        super().__init__()
        column = part_column(self)
        self.heading = label(kind="name")
        self.rows = ColourRows(tr("Zones of the pull"))
        self.hand = Choice(_HANDS)
        self.what = _choices(tr("What becomes of the place"), [text for _, text in _DRAWS])
        self.width_fields, self.zone_fields, self.pull_fields = Fields(), Fields(), Fields()
        self.width_box, self.soft_box = NumberBox(0.5, 200, step=1), NumberBox(0, 50, step=1, digits=0)
        self.width_box.show_value(10)
        self.width_fields.add(tr("What is drawn"), self.what)
        self.width_fields.add(tr("Width of brush and line"), self.width_box)
        self.ink, self.tool = (
            _choices(tr("Ink"), []),
            _choices(tr("Put on with"), [text for _, text in TOOLS]),
        )
        self.zone_fields.add(tr("Ink of the chosen zone"), self.ink)
        self.zone_fields.add(tr("Put on with"), self.tool)
        self.soft_fields = Fields()
        self.soft_fields.add(tr("Soft edge of the wiping"), self.soft_box)
        self.take_out = button(tr("Take this zone out"))
        self.zone_note, self.stray = label(_NOTE, kind="quiet"), label(kind="quiet")
        self.name = NameField(tr("Name of the pull"))
        self.printing = _choices(tr("Printed with"), [text.split(",")[0] for _, text in PRINTINGS])
        self.packing_box = NumberBox(0, 40, unit="", digits=0)
        self.packing_box.setSpecialValueText(tr("as usual"))
        self.pull_fields.add(tr("Name of the pull"), self.name)
        self.pull_fields.add(tr("Printed with"), self.printing)
        self.pull_fields.add(tr("Sheets of packing"), self.packing_box)
        self.turned = QCheckBox(tr("Block onto paper, both turned over"))
        self.again = button(tr("Print this block once more"))
        self._own = group(
            self.rows, label(tr("Draw on the sheet"), kind="name"), self.hand,
            label(_HOW, kind="quiet"), self.width_fields,
            label(tr("The chosen zone"), kind="name"), self.zone_fields, self.soft_fields, self.take_out,
            self.zone_note, label(tr("The pull"), kind="name"), self.pull_fields, self.turned, self.stray,
            self.again,
        )  # fmt: skip
        column.addWidget(self.heading)
        column.addWidget(self._own)
        self._hand = "move"
        self._inks: tuple[tuple[str, str], ...] = ()
        self.hand.show_choice("move")
        self._connect()

    def _connect(self) -> None:
        self.rows.chosen.connect(lambda key: self.zone_chosen.emit(int(key)))
        self.hand.chosen.connect(self._take_up)
        self.what.activated.connect(lambda _place: self._take_up(self._hand))
        self.width_box.set_by_hand.connect(lambda _value: self._take_up(self._hand))
        self.ink.activated.connect(self._ask_ink)
        self.tool.activated.connect(lambda place: self.zone_requested.emit("tool", TOOLS[place][0]))
        self.soft_box.set_by_hand.connect(lambda value: self.zone_requested.emit("soft_mm", value))
        self.take_out.clicked.connect(self.removed)
        self.name.given.connect(lambda name: self.pull_requested.emit("name", name.strip()))
        self.printing.activated.connect(
            lambda place: self.pull_requested.emit("printing", PRINTINGS[place][0] or None)
        )
        self.packing_box.set_by_hand.connect(
            lambda count: self.pull_requested.emit("packing_sheets", int(count) or None)
        )
        self.turned.clicked.connect(lambda on: self.pull_requested.emit("turned_over", on))
        self.again.clicked.connect(self.again_requested)

    def _ask_ink(self, place: int) -> None:
        self.ink_requested.emit(self._inks[place][0] if place < len(self._inks) else "")

    def _take_up(self, hand: str) -> None:
        self._hand = hand
        self.width_box.setEnabled(hand in ("brush", "line"))
        tool = next((known for known in get_args(Tool) if known == hand), None)
        touch = Touch(tool, (), self.width_box.value()) if tool else None
        self.hand_requested.emit(hand, _DRAWS[self.what.currentIndex()][0], touch)

    def put_down(self) -> None:
        """Put the tool down: the hand moves the sheet again."""
        if self._hand != "move":
            self.hand.show_choice("move")
            self._take_up("move")

    def show_view(self, view: InkingView | None) -> None:
        """Show how the chosen pull is inked."""
        self._own.setVisible(view is not None)
        self.heading.setText(
            view.heading if view else tr("Choose a block first, on the ladder or in the list.")
        )
        if view is None:
            return
        self.rows.show_rows(view.rows, view.chosen)
        if view.inks != self._inks:
            self._inks = view.inks
            self.ink.clear()
            self.ink.addItems([*(name for _, name in view.inks), OWN_INK])
        self.ink.setCurrentIndex([ink for ink, _ in view.inks].index(view.ink))
        self.tool.setCurrentIndex([str(tool) for tool, _ in TOOLS].index(view.tool))
        self.zone_fields.setVisible(view.inked)
        self.zone_note.setVisible(view.inked)
        self.soft_fields.setVisible(view.soft_mm is not None)
        self.soft_box.show_value(view.soft_mm or 0.0)
        self.take_out.setVisible(view.removable)
        self.stray.setText(view.stray)
        self.stray.setVisible(bool(view.stray))
        self.name.show_name(view.name)
        self.printing.setCurrentIndex([printing for printing, _ in PRINTINGS].index(view.printing))
        self.packing_box.show_value(view.packing)
        self.turned.setChecked(view.turned_over)


def _choices(accessible_name: str, texts: Sequence[str]) -> QComboBox:
    made = QComboBox()
    made.setAccessibleName(accessible_name)
    made.addItems(texts)
    made.setSizeAdjustPolicy(QComboBox.SizeAdjustPolicy.AdjustToMinimumContentsLengthWithIcon)
    made.setMinimumContentsLength(14)
    return made
