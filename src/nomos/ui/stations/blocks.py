"""Which blocks?"""

from collections.abc import Sequence
from typing import get_args

from PyQt6.QtCore import pyqtSignal
from PyQt6.QtWidgets import QComboBox, QScrollArea

from nomos.project.model import (
    LARGEST_TOLERANCE_MM,
    LARGEST_TRAP_MM,
    THINNEST_LINE_MM,
    WIDEST_LINE_MM,
)
from nomos.separation.solver import MOST_BLOCKS
from nomos.separation.touch import Tool, Touch
from nomos.ui.controls import (
    Choice,
    ColourRows,
    Fields,
    FindingList,
    NameField,
    NumberBox,
    button,
    label,
)
from nomos.ui.stations.parts import Cards, answers_column, group
from nomos.ui.views.blocks import BlocksView
from nomos.ui.views.cards import Card
from nomos.ui.views.rows import Note, Row

PARTS = (("blocks", "Blocks"), ("fewer", "Fewer"), ("joins", "Joins"), ("hand", "By hand"))
SOURCES = (
    ("mix", "any ink I could mix"),
    ("own", "the inks of this project"),
    ("process", "a yellow, a red and a blue"),
    ("shelf", "a shelf file…"),
)


class BlocksStation(QScrollArea):
    """The blocks, what prints on the chosen colour, and plans with fewer blocks."""

    pull_chosen = pyqtSignal(str)
    shown_asked = pyqtSignal(str)
    marked_asked = pyqtSignal(str)
    renamed = pyqtSignal(str)
    key_asked = pyqtSignal(bool)
    key_kind_asked = pyqtSignal(str)
    contour_asked = pyqtSignal(float)
    trap_asked = pyqtSignal(float)
    seam_asked = pyqtSignal(float)
    tolerance_asked = pyqtSignal(float)
    fineness_asked = pyqtSignal(float, float)
    """Thinnest line that holds, and finest tool, mm."""
    switch_thrown = pyqtSignal(str)
    """Id of the block that is to print on the chosen colour, or no longer."""
    source_asked = pyqtSignal(str)
    most_asked = pyqtSignal(int)
    plans_asked = pyqtSignal()
    plan_taken = pyqtSignal(str)
    touch_asked = pyqtSignal(object)
    """A Touch to draw with, or None to move the sheet again."""
    anew_asked = pyqtSignal()
    simpler_asked = pyqtSignal()
    method_asked = pyqtSignal(str)
    bring_asked = pyqtSignal()
    send_asked = pyqtSignal()

    def __init__(self) -> None:
        super().__init__()
        column = answers_column(self, "Which blocks?")
        self.summary = label(kind="quiet")
        self.shown = Choice(
            (("print", "Print"), ("block", "Alone"), ("carved", "Carved"), ("sheets", "All sheets"))
        )
        self.marked = Choice((("stays", "Mark what stays"), ("goes", "Mark what goes")))
        self.rows = ColourRows("Blocks")
        self.name = NameField("Name of the block")
        self.key = button("Make it the key")
        self.key_kind = Choice(
            (("drawn", "Drawn"), ("contour", "Contour"), ("shadow", "Shadow"), ("none", "None"))
        )
        self.contour_fields = Fields()
        self.contour_box = NumberBox(THINNEST_LINE_MM, WIDEST_LINE_MM, step=0.1, digits=2)
        self.contour_fields.add("Width of the contour", self.contour_box)
        self.switch_title = label(kind="name")
        self.switches = ColourRows("What prints on the chosen colour")
        self.switch_note = label("Each patch is the colour that a click would give.", kind="quiet")
        self.findings = FindingList()
        self._make_fields()
        self._make_touches()
        self._make_plans()
        self.parts = Choice(tuple((part, text) for part, text in PARTS))
        for widget in (self.summary, self.shown, self.marked, self.parts):
            column.addWidget(widget)
        self.method = Choice((("plain", "A block a colour"), ("reduction", "Reduction")))
        self._groups = {
            "blocks": group(
                self.method,
                self.rows, self.name, self.key, self.switch_title, self.switches, self.switch_note
            ),
            "fewer": group(
                label("Fewer blocks by overprinting", kind="name"), self.plan_fields, self.look,
                self.plan_note, self.cards, self.reach_title, self.reach,
            ),
            "joins": group(
                label("The key", kind="name"), self.key_kind, self.contour_fields,
                label("Where colours meet", kind="name"), self.fields, self.findings,
            ),
            "hand": group(
                label("Touch the chosen block", kind="name"), self.touch_note, self.tools, self.prints,
                self.touch_fields, self.anew, label("Let it be worked out", kind="name"), self.simpler,
                label("In another program", kind="name"), self.send, self.bring,
            ),
        }  # fmt: skip
        for made in self._groups.values():
            column.addWidget(made)
        column.addStretch(1)
        self.turn_to("blocks")
        self._is_key = False
        self._connect()

    def turn_to(self, part: str) -> None:
        """Show one part of the station; the hand's tools are put down when it is left."""
        self.parts.show_choice(part)
        for name, made in self._groups.items():
            made.setVisible(name == part)
        if part != "hand" and self._tool != "move":
            self.tools.show_choice("move")
            self._ask_touch(tool="move")

    def _make_fields(self) -> None:
        self.fields = Fields()
        self.trap_box = NumberBox(0, LARGEST_TRAP_MM, step=0.1, digits=2)
        self.seam_box = NumberBox(0, 100, unit="ΔE", digits=0)
        self.tolerance_box = NumberBox(0, LARGEST_TOLERANCE_MM, step=0.1, digits=2)
        self.fields.add("Trap: lighter under darker", self.trap_box)
        self.fields.add("Seam taken before a gap", self.seam_box)
        self.fields.add("Sheets meet blocks within", self.tolerance_box)
        self.line_box, self.tool_box = (NumberBox(0.1, 10, step=0.1, digits=2) for _ in range(2))
        self.fields.add("Thinnest line that holds", self.line_box)
        self.fields.add("Finest tool", self.tool_box)

    def _make_touches(self) -> None:
        self.tools = Choice((("move", "Move"), ("brush", "Brush"), ("line", "Line"), ("lasso", "Lasso")))
        self.tools.show_choice("move")
        self.prints = Choice((("on", "Print there"), ("off", "Print there no longer")))
        self.prints.show_choice("on")
        self.touch_fields = Fields()
        self.brush_box = NumberBox(0.1, 50, step=0.5)
        self.brush_box.show_value(2.0)
        self.touch_fields.add("Width of brush and line", self.brush_box)
        self.touch_note = label(kind="quiet")
        self.anew = button("Work it out from the colours again")
        self.simpler = button("Simplify it where nothing is seen")
        self.bring = button("Bring blocks in from a file…")
        self.send = button("Send blocks out as OpenRaster…")
        self._tool, self._prints = "move", "on"

    def _ask_touch(self, *, tool: str | None = None, prints: str | None = None) -> None:
        self._tool, self._prints = tool or self._tool, prints or self._prints
        found = next((known for known in get_args(Tool) if known == self._tool), None)
        touch = Touch(found, (), self.brush_box.value(), self._prints == "on") if found else None
        self.touch_asked.emit(touch)

    def _make_plans(self) -> None:
        self.plan_fields = Fields()
        self.source = QComboBox()
        self.source.addItems([text for _, text in SOURCES])
        self.most_box = NumberBox(1, MOST_BLOCKS, unit="", digits=0)
        self.plan_fields.add("Inks", self.source)
        self.plan_fields.add("Blocks", self.most_box)
        self.look = button("Look for plans")
        self.plan_note = label(kind="quiet")
        self.cards = Cards("Plans")
        self.reach_title = label("Nearest to the sketch with two of these inks", kind="name")
        self.reach = ColourRows("Nearest to the sketch")

    def _connect(self) -> None:
        self.parts.chosen.connect(self.turn_to)
        self.method.chosen.connect(self.method_asked)
        self.rows.chosen.connect(self.pull_chosen)
        self.shown.chosen.connect(self.shown_asked)
        self.marked.chosen.connect(self.marked_asked)
        self.name.given.connect(self.renamed)
        self.key.clicked.connect(lambda: self.key_asked.emit(not self._is_key))
        self.key_kind.chosen.connect(self.key_kind_asked)
        self.contour_box.set_by_hand.connect(self.contour_asked)
        self.switches.chosen.connect(self.switch_thrown)
        self.trap_box.set_by_hand.connect(self.trap_asked)
        self.seam_box.set_by_hand.connect(self.seam_asked)
        self.tolerance_box.set_by_hand.connect(self.tolerance_asked)
        for box in (self.line_box, self.tool_box):
            box.set_by_hand.connect(
                lambda _value: self.fineness_asked.emit(self.line_box.value(), self.tool_box.value())
            )
        self.source.activated.connect(lambda place: self.source_asked.emit(SOURCES[place][0]))
        self.most_box.set_by_hand.connect(lambda value: self.most_asked.emit(round(value)))
        self.tools.chosen.connect(lambda tool: self._ask_touch(tool=tool))
        self.prints.chosen.connect(lambda prints: self._ask_touch(prints=prints))
        self.brush_box.set_by_hand.connect(lambda _value: self._ask_touch())
        self.anew.clicked.connect(self.anew_asked)
        self.simpler.clicked.connect(self.simpler_asked)
        self.bring.clicked.connect(self.bring_asked)
        self.send.clicked.connect(self.send_asked)
        self.look.clicked.connect(self.plans_asked)
        self.cards.chosen.connect(self.plan_taken)

    def show_view(self, view: BlocksView, notes: tuple[Note, ...]) -> None:
        """Show the station."""
        self.summary.setText(view.summary)
        self.method.show_choice("reduction" if view.reduction else "plain")
        self.shown.show_choice(view.shown)
        self.marked.show_choice(view.marked)
        self.marked.setVisible(view.shown == "carved")
        self.rows.show_rows(view.rows, view.chosen)
        self.trap_box.show_value(view.trap_mm)
        self.seam_box.show_value(view.seam_de00)
        self.tolerance_box.show_value(view.tolerance_mm)
        self.line_box.show_value(view.line_mm)
        self.tool_box.show_value(view.tool_mm)
        self.key_kind.show_choice(view.key_kind)
        self.contour_fields.setVisible(view.key_kind == "contour")
        self.contour_box.show_value(view.contour_mm)
        self._is_key = view.chosen_is_key
        for part in (self.name, self.key):
            part.setVisible(view.chosen is not None)
        if view.chosen is not None:
            self.name.show_name(view.chosen_name)
            self.key.setText("Make it a colour block" if view.chosen_is_key else "Make it the key")
        self.touch_note.setText(view.touch_note)
        self.anew.setVisible(view.by_hand)
        self.simpler.setEnabled(view.chosen is not None)
        self.switch_title.setText(view.switch_title)
        self.switches.show_rows(view.switches, None)
        self.switches.setVisible(bool(view.switches))
        self.switch_note.setVisible(bool(view.switches))
        self.findings.show_findings(notes)

    def show_plans(
        self, source: str, most: int, cards: Sequence[Card], note: str, reach: Sequence[Row]
    ) -> None:
        """Show what plans are looked for, those found so far, and what the inks come to at best."""
        self.reach.show_rows(reach, None)
        self.reach_title.setVisible(bool(reach))
        self.source.setCurrentIndex([value for value, _ in SOURCES].index(source))
        self.most_box.show_value(most)
        self.cards.show_choices(cards)
        self.plan_note.setText(note)
        self.plan_note.setVisible(bool(note))
