"""How the chosen pull is inked: zones drawn on the sheet, tools, and how it is printed."""

from collections.abc import Sequence
from typing import get_args

from PyQt6.QtCore import pyqtSignal
from PyQt6.QtWidgets import QComboBox, QWidget

from nomos.base.language import tr
from nomos.project.model import Impression, Zone
from nomos.separation.touch import Tool, Touch
from nomos.ui.frame.controls import Choice, Fields, NameField, NumberBox, button, label
from nomos.ui.frame.form import Form
from nomos.ui.frame.lists import ColourRows
from nomos.ui.frame.parts import group, part_column
from nomos.ui.stations.blocks.inking_view import OWN_INK, InkingView

_HANDS = (
    ("move", tr("Move"), tr("Drag the sheet: nothing is drawn.")),
    ("lasso", tr("Lasso"), tr("Draw round a place.")),
    ("line", tr("Line"), tr("A straight line, from where you press to where you let go.")),
    ("brush", tr("Brush"), tr("Draw freely.")),
    ("field", tr("Field"), tr("Choose a whole field by a click.")),
)
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
    named = pyqtSignal(str)
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
        self.width_fields, self.ink_fields, self.name_fields = Fields(), Fields(), Fields()
        self.width_box = NumberBox(0.5, 200, step=1)
        self.width_box.show_value(10)
        self.width_fields.add(tr("What is drawn"), self.what, tr("What a drawing on the sheet does to this pull."))
        self.width_fields.add(
            tr("Width of brush and line"), self.width_box,
            tr("How wide the brush draws, and how wide a line comes out."),
        )  # fmt: skip
        self.ink = _choices(tr("Ink"), [])
        self.ink_fields.add(tr("Ink of the chosen zone"), self.ink, tr("Which ink the zone is inked with."))
        self.tool, self.soft = Form(Zone, ("tool",)), Form(Zone, ("soft_mm",))
        self.take_out = button(tr("Take this zone out"))
        self.zone_note, self.stray = label(_NOTE, kind="quiet"), label(kind="quiet")
        self.name = NameField(
            tr("Name of the pull"), tr("What this pass is called, where a block prints more than once.")
        )
        self.name_fields.add(
            tr("Name of the pull"), self.name,
            tr("What this pass is called, where a block prints more than once."),
        )  # fmt: skip
        self.pull = Form(Impression, ("printing", "packing_sheets", "turned_over"))
        self.again = button(
            tr("Print this block once more"), tip=tr("One more pass, with an ink and zones of its own.")
        )
        self._own = group(
            self.rows, label(tr("Draw on the sheet"), kind="name"), self.hand,
            label(_HOW, kind="quiet"), self.width_fields,
            label(tr("The chosen zone"), kind="name"), self.ink_fields, self.tool, self.soft, self.take_out,
            self.zone_note, label(tr("The pull"), kind="name"), self.name_fields, self.pull, self.stray,
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
        for form in (self.tool, self.soft):
            form.changed.connect(self.zone_requested)
        self.take_out.clicked.connect(self.removed)
        self.name.given.connect(lambda name: self.named.emit(name.strip()))
        self.pull.changed.connect(self.pull_requested)
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
        self.heading.setText(view.heading if view else tr("Choose a block first, on the ladder or in the list."))
        if view is None:
            return
        self.rows.show_rows(view.rows, view.chosen)
        if view.inks != self._inks:
            self._inks = view.inks
            self.ink.clear()
            self.ink.addItems([*(name for _, name in view.inks), OWN_INK])
        self.ink.setCurrentIndex([ink for ink, _ in view.inks].index(view.ink))
        for form in (self.tool, self.soft):
            form.show_values(view.zone)
        for part in (self.ink_fields, self.tool, self.zone_note):
            part.setVisible(view.inked)
        self.soft.setVisible(view.zone.bare == "wiped")
        self.take_out.setVisible(view.removable)
        self.stray.setText(view.stray)
        self.stray.setVisible(bool(view.stray))
        self.name.show_name(view.name)
        self.pull.show_values(view.pull)


def _choices(accessible_name: str, texts: Sequence[str]) -> QComboBox:
    made = QComboBox()
    made.setAccessibleName(accessible_name)
    made.addItems(texts)
    made.setSizeAdjustPolicy(QComboBox.SizeAdjustPolicy.AdjustToMinimumContentsLengthWithIcon)
    made.setMinimumContentsLength(14)
    return made
