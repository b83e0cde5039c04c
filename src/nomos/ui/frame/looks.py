"""What the sheet shows: one row on the sheet's own edge, the same at every station."""

from collections.abc import Collection, Sequence
from dataclasses import dataclass, replace

from PyQt6.QtCore import pyqtSignal
from PyQt6.QtGui import QAction, QColor, QPainter, QPaintEvent
from PyQt6.QtWidgets import QButtonGroup, QMenu, QPushButton, QVBoxLayout, QWidget

from nomos.base.language import tr
from nomos.project import Project, Station
from nomos.ui.frame import theme
from nomos.ui.frame.controls import Choice, button, uncheck
from nomos.ui.frame.flow import FlowLayout
from nomos.ui.frame.plain_text import set_tip
from nomos.ui.frame.state import Shown, UiState


@dataclass(frozen=True)
class Look:
    """One way to look at the sheet: its word, what it shows, and why it cannot be had now."""

    shown: Shown
    word: str
    tip: str
    why_not: str = ""
    legend: str = ""


_TRAPS = tr(
    "Blue: a lighter colour runs under a darker. Grey: colours run under the key. Red: only a kiss, a gap can open."
)
_FREE = tr(
    "Black: it prints, and must. Blue: it prints, but could be cut away unseen. Pale blue: it could be left "
    "standing unseen, the inker may be careless. White: it must go."
)
_APART = tr("The darker, the further two pulls may lie apart there. Triangles: paper flashes most often.")
_STACK = tr(
    "A pile for every pull, the print on top of it: sheets that go in, less those lost there, in red. "
    "Expected on the average; as logged where a layer is done."
)
LOOKS: tuple[Look, ...] = (
    Look("picture", tr("Opened"), tr("The picture as it was opened")),
    Look("sketch", tr("Sketch"), tr("The part of the picture that is printed; held F shows it for a moment")),
    Look("outlined", tr("Outlines"), tr("The sketch with the outlines of the fields that were found")),
    Look("flat", tr("Flat"), tr("The flat colours that are wanted")),
    Look("print", tr("Print"), tr("The print as it is predicted")),
    Look("where", tr("One pull"), tr("Where the chosen pull prints, and what it makes of what lies below")),
    Look("block", tr("Block"), tr("The chosen block alone, in its ink")),
    Look("carved", tr("Block face up"), tr("The chosen block as it lies before you, mirrored")),
    Look("cut", tr("To cut"), tr("The carving map of the chosen block, mirrored")),
    Look("sheets", tr("All blocks"), tr("All blocks as coloured sheets over each other")),
    Look("pieces", tr("Pieces"), tr("The pieces of the jigsaw, face up")),
    Look("traps", tr("Joins"), tr("Where colours run under each other, and where they only meet"), legend=_TRAPS),
    Look("free", tr("Free to cut"), tr("Where the chosen block may print or not, unseen"), legend=_FREE),
    Look("apart", tr("Out of register"), tr("How far two pulls may lie apart, place by place"), legend=_APART),
    Look(
        "plans",
        tr("Plans"),
        tr("The best plan of each number of blocks, beside what is wanted"),
        legend=tr("Number of blocks, and the mean ΔE over the colours. Click a print to take its plan."),
    ),
    Look("stack", tr("Stack"), tr("The sheets at every pull, and how many are lost there"), legend=_STACK),
    Look("card", tr("Card"), tr("The drawdown card that was read")),
    Look("exercise", tr("Practice"), tr("The proof to practise on")),
)
# Boards and cards, which no ruler of the sheet measures.
BOARDS = ("plans", "stack", "card")
# In the row at every station; the others stand in the menu beside it, and come with what asks for them.
_ALWAYS = ("sketch", "flat", "print", "block", "cut")
_NO_BLOCKS = tr("There are no blocks yet.")
_NO_PULL = tr("Choose a pull on the ladder first.")
_OF_A_PULL = ("where", "block", "carved", "cut", "free")
# There only while there is something of the kind to look at.
_PASSING = ("picture", "pieces", "card", "exercise", "plans")
STATION_OF_LOOK: dict[str, Station] = {
    "cut": "carve",
    "apart": "register",
    "exercise": "register",
    "stack": "sheets",
    "plans": "blocks",
}
"""Looks that a station lays over the sheet, wherever they are asked for."""


def looks_of(project: Project, state: UiState, at_hand: Collection[str] = ()) -> tuple[Look, ...]:
    """The looks there are now. at_hand : those of the passing ones that there is something for."""
    if any(block.kerf_mm is not None for block in project.blocks):
        at_hand = {*at_hand, "pieces"}
    found = []
    for look in LOOKS:
        if look.shown in _PASSING and look.shown not in at_hand and look.shown != state.shown:
            continue
        why = ""
        if look.shown not in ("picture", "sketch", "outlined", "flat") and not project.impressions:
            why = _NO_BLOCKS
        elif look.shown in _OF_A_PULL and state.pull is None:
            why = _NO_PULL
        found.append(replace(look, why_not=why))
    return tuple(found)


def legend_of(shown: Shown) -> str:
    """What the colours of a look mean, where it has its own."""
    return next((look.legend for look in LOOKS if look.shown == shown), "")


class LooksRow(QWidget):
    """Words of which one holds; on carved wood also what is marked on it."""

    chosen = pyqtSignal(str)
    marked_requested = pyqtSignal(str)

    def __init__(self) -> None:
        super().__init__()
        self.setAccessibleName(tr("What the sheet shows"))
        column = QVBoxLayout(self)
        column.setContentsMargins(theme.scaled(8), theme.scaled(3), theme.scaled(8), theme.scaled(3))
        column.setSpacing(theme.scaled(2))
        row = QWidget()
        flow = FlowLayout(row, theme.scaled(1), fill=False)
        self._group = QButtonGroup(self)
        self.buttons: dict[str, QPushButton] = {}
        self.more, menu = button(tr("More looks"), plain=True), QMenu(self)
        menu.setToolTipsVisible(True)
        self.more.setMenu(menu)
        self.more.setProperty("look", True)
        self.actions_by_look: dict[str, QAction] = {}
        for look in LOOKS:
            if look.shown not in _ALWAYS:
                entry = menu.addAction(look.word)
                assert entry is not None
                entry.triggered.connect(lambda _on=False, shown=look.shown: self.chosen.emit(shown))
                self.actions_by_look[look.shown] = entry
                continue
            made = button(look.word, plain=True)
            made.setCheckable(True)
            made.setProperty("look", True)
            made.clicked.connect(lambda _on, shown=look.shown: self.chosen.emit(shown))
            self._group.addButton(made)
            self.buttons[look.shown] = made
            flow.addWidget(made)
        flow.addWidget(self.more)
        self.marked = Choice((("stays", tr("What stays")), ("goes", tr("What goes"))))
        set_tip(self.marked, tr("What is marked on the wood, and on the sheets that are written"))
        self.marked.chosen.connect(self.marked_requested)
        flow.addWidget(self.marked)
        # The sheet does not move when there is something to mark.
        row.setMinimumHeight(self.marked.sizeHint().height())
        column.addWidget(row)

    def show_looks(self, looks: Sequence[Look], state: UiState) -> None:
        """Show what can be looked at, and what is."""
        there = {look.shown: look for look in looks}
        entries: dict[str, QPushButton | QAction] = {**self.buttons, **self.actions_by_look}
        for shown, made in entries.items():
            look = there.get(shown)  # type: ignore[call-overload] # the keys are the same words
            made.setVisible(look is not None)
            if look is not None:
                made.setEnabled(not look.why_not)
                set_tip(made, look.why_not or f"{look.tip}.")
        other = there.get(state.shown) if state.shown in self.actions_by_look else None
        # What is looked at always has its word in the row.
        self.more.setText(other.word if other else tr("More looks"))
        set_tip(self.more, f"{other.tip}." if other else tr("Other ways to look at the sheet."))
        uncheck(self._group)
        if state.shown in self.buttons:
            self.buttons[state.shown].setChecked(True)
        self.marked.setVisible(state.shown == "carved")
        self.marked.show_choice(state.marked)

    def paintEvent(self, _event: QPaintEvent | None) -> None:
        QPainter(self).fillRect(self.rect(), QColor(theme.tones().strip))
