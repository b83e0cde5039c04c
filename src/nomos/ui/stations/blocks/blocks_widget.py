"""Which blocks?"""

from PyQt6.QtCore import pyqtSignal
from PyQt6.QtWidgets import QComboBox, QWidget

from nomos.base.language import tr
from nomos.ui.frame.answers import Answers
from nomos.ui.frame.controls import NameField, button, label
from nomos.ui.frame.lists import ColourRows
from nomos.ui.frame.parts import beside, group
from nomos.ui.frame.plain_text import set_tip
from nomos.ui.stations.blocks.blocks_view import BlocksView
from nomos.ui.stations.blocks.fewer import FewerPart
from nomos.ui.stations.blocks.inking import InkingPart
from nomos.ui.stations.blocks.inking_view import InkingView
from nomos.ui.stations.blocks.joins import JoinsPart
from nomos.ui.stations.blocks.method import MethodPart
from nomos.ui.stations.blocks.method_view import MethodView
from nomos.ui.stations.blocks.touch import HandPart

PARTS = (
    ("blocks", tr("Blocks")), ("method", tr("Method")), ("fewer", tr("Fewer")), ("joins", tr("Joins")),
    ("inking", tr("Inking")), ("hand", tr("Hand")),
)  # fmt: skip


class BlocksStation(Answers):
    """The blocks, what prints on the chosen colours, and five parts more, of which one is shown at a time."""

    pull_chosen = pyqtSignal(str)
    renamed = pyqtSignal(str)
    key_requested = pyqtSignal(bool)
    again_requested = pyqtSignal()
    left_out = pyqtSignal()
    split_requested = pyqtSignal()
    switch_thrown = pyqtSignal(str)
    """Id of the block that is to print on the chosen colours, or no longer."""
    meeting_requested = pyqtSignal(str, str)
    """Two blocks: choose every colour on which both print."""

    def __init__(self) -> None:
        super().__init__(tr("Which blocks?"), PARTS, "blocks")
        self.summary = label(kind="quiet")
        self.rows = ColourRows(tr("Blocks"))
        self.name = NameField(tr("Name of the block"), tr("What this block is called on screen, templates and cards."))
        self.key = button(tr("Make it the key"), tip=tr("The key goes on last and its lines hide the joins."))
        self.again, self.leave_out = (
            button(tr("Print it once more"), tip=tr("One more pass of this block.")),
            button(tr("Leave it out"), tip=tr("Print without this pull.")),
        )
        self.split = button(tr("Give each zone a block of its own"))
        self.switch_title = label(kind="name")
        self.switches = ColourRows(tr("What prints on the chosen colour"))
        self.switch_note = label(
            tr("Each patch is the colour that a click would give. Ctrl and click adds a field."), kind="quiet"
        )
        self._make_meeting()
        self.method, self.fewer = MethodPart(), FewerPart()
        self.joins, self.hand, self.inking = JoinsPart(), HandPart(), InkingPart()
        groups: dict[str, QWidget] = {
            "blocks": group(
                self.summary, self.rows, self.name, beside(self.key), beside(self.again, self.leave_out),
                self.split,
                self.switch_title, self.switches, self.switch_note,
                label(tr("Everywhere two blocks meet"), kind="name"), self.meeting, self.meet,
            ),
            "method": self.method,
            "fewer": self.fewer,
            "joins": self.joins,
            "inking": self.inking,
            "hand": self.hand,
        }  # fmt: skip
        self._is_key = False
        self._connect()
        self.fill(groups)

    def _make_meeting(self) -> None:
        self.one, self.other = QComboBox(), QComboBox()
        self.one.setAccessibleName(tr("One block"))
        self.other.setAccessibleName(tr("Other block"))
        for box in (self.one, self.other):
            set_tip(box, tr("Two blocks whose overprint is looked for."))
        self.meeting = beside(self.one, self.other)
        self.meet = button(
            tr("Choose all colours where both print"), tip=tr("Where both lie, their overprint is taken as the colour.")
        )
        self._meetable: tuple[tuple[str, str], ...] = ()

    def turn_to(self, part: str) -> None:
        """Show one part of the station; the hand's tools are put down when it is left."""
        if part != "hand":
            self.hand.put_down()
        if part != "inking":
            self.inking.put_down()
        super().turn_to(part)

    def _connect(self) -> None:
        self.rows.chosen.connect(self.pull_chosen)
        self.name.given.connect(self.renamed)
        self.key.clicked.connect(lambda: self.key_requested.emit(not self._is_key))
        self.again.clicked.connect(self.again_requested)
        self.leave_out.clicked.connect(self.left_out)
        self.split.clicked.connect(self.split_requested)
        self.switches.chosen.connect(self.switch_thrown)
        self.meet.clicked.connect(self._ask_meeting)

    def _ask_meeting(self) -> None:
        places = self.one.currentIndex(), self.other.currentIndex()
        if min(places) >= 0:
            self.meeting_requested.emit(*(self._meetable[place][0] for place in places))

    def show_view(self, view: BlocksView, method: MethodView, inking: InkingView | None) -> None:
        """Show the station."""
        self.summary.setText(view.summary)
        self.rows.show_rows(view.rows, view.chosen)
        self._is_key = view.chosen_is_key
        for part in (self.name, self.key, self.again, self.leave_out):
            part.setVisible(view.chosen is not None)
        self.split.setVisible(view.zones > 1)
        if view.chosen is not None:
            self.name.show_name(view.chosen_name)
            self.key.setText(tr("Make it a colour block") if view.chosen_is_key else tr("Make it the key"))
        self.switch_title.setText(view.switch_title)
        self.switches.show_rows(view.switches, None)
        self.switches.setVisible(bool(view.switches))
        self.switch_note.setVisible(bool(view.switches))
        self._show_meetable(view.meetable)
        self.method.show_view(method)
        self.joins.show_view(view)
        self.hand.show_view(view)
        self.inking.show_view(inking)

    def _show_meetable(self, blocks: tuple[tuple[str, str], ...]) -> None:
        if blocks == self._meetable:
            return
        self._meetable = blocks
        for place, box in enumerate((self.one, self.other)):
            box.clear()
            box.addItems([name for _, name in blocks])
            box.setCurrentIndex(min(place, len(blocks) - 1))
