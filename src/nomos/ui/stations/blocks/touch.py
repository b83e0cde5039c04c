"""A block changed by hand: touched, simplified, brought in and sent out."""

from typing import get_args

from PyQt6.QtCore import pyqtSignal
from PyQt6.QtWidgets import QComboBox, QWidget

from nomos.base.language import tr
from nomos.separation.touch import Tool, Touch
from nomos.ui.frame.controls import Choice, Fields, NumberBox, button, label
from nomos.ui.frame.parts import part_column
from nomos.ui.stations.blocks.blocks_view import BlocksView

_KINDS = (
    ("ora", tr("OpenRaster, a layer a block")),
    ("png", tr("PNG, black prints")),
    ("tiff", tr("TIFF, black prints")),
    ("svg", tr("SVG outlines")),
)


class HandPart(QWidget):
    """Tools for the chosen block's mask."""

    touch_requested = pyqtSignal(object)
    """A Touch to draw with, or None to move the sheet again."""
    anew_requested = pyqtSignal()
    simpler_requested = pyqtSignal()
    bring_requested = pyqtSignal()
    send_requested = pyqtSignal(str)
    """The kind of file: ora, png, tiff or svg."""

    def __init__(self) -> None:
        super().__init__()
        column = part_column(self)
        self.tools = Choice(
            (
                ("move", tr("Move"), tr("Drag the sheet: nothing is drawn.")),
                ("brush", tr("Brush"), tr("Draw freely.")),
                ("line", tr("Line"), tr("A straight line, from where you press to where you let go.")),
                ("lasso", tr("Lasso"), tr("Draw round a place.")),
            )
        )
        self.tools.show_choice("move")
        self.prints = Choice(
            (
                ("on", tr("Print there"), tr("Draw where this block is to print as well.")),
                ("off", tr("Print there no longer"), tr("Draw where this block is not to print.")),
            )
        )
        self.prints.show_choice("on")
        self.fields = Fields()
        self.brush_box = NumberBox(0.1, 50, step=0.5)
        self.brush_box.show_value(2.0)
        self.fields.add(
            tr("Width of brush and line"),
            self.brush_box,
            tr("How wide the brush draws, and how wide a line comes out."),
        )
        self.note = label(kind="quiet")
        self.anew = button(tr("Work it out from the colours again"))
        self.simpler = button(tr("Simplify it where nothing is seen"), tip=tr("Less to cut, where inks above hide it."))
        self.bring = button(
            tr("Bring blocks in from a file…"), tip=tr("Take what blocks print from layers or pictures.")
        )
        self.send, self.kind, self.kind_fields = (
            button(tr("Send blocks out…"), tip=tr("Write what each block prints, to draw on it elsewhere.")),
            QComboBox(),
            Fields(),
        )
        self.kind.addItems([text for _, text in _KINDS])
        self.kind_fields.add(
            tr("As"), self.kind, tr("How blocks are sent out: as layers of one file, or as a picture each.")
        )
        for widget in (
            label(tr("Touch the chosen block"), kind="name"), self.note, self.tools, self.prints, self.fields,
            self.anew, label(tr("Where nothing is seen of it"), kind="name"),
            self.simpler, label(tr("In another program"), kind="name"), self.kind_fields, self.send,
            self.bring,
        ):  # fmt: skip
            column.addWidget(widget)
        self._tool, self._prints = "move", "on"
        self._connect()

    def _connect(self) -> None:
        self.tools.chosen.connect(lambda tool: self._ask(tool=tool))
        self.prints.chosen.connect(lambda prints: self._ask(prints=prints))
        self.brush_box.set_by_hand.connect(lambda _value: self._ask())
        self.anew.clicked.connect(self.anew_requested)
        self.simpler.clicked.connect(self.simpler_requested)
        self.bring.clicked.connect(self.bring_requested)
        self.send.clicked.connect(lambda: self.send_requested.emit(_KINDS[self.kind.currentIndex()][0]))

    def put_down(self) -> None:
        """Put the tool down: the hand moves the sheet again."""
        if self._tool != "move":
            self.tools.show_choice("move")
            self._ask(tool="move")

    def _ask(self, *, tool: str | None = None, prints: str | None = None) -> None:
        self._tool, self._prints = tool or self._tool, prints or self._prints
        found = next((known for known in get_args(Tool) if known == self._tool), None)
        touch = Touch(found, (), self.brush_box.value(), self._prints == "on") if found else None
        self.touch_requested.emit(touch)

    def show_view(self, view: BlocksView) -> None:
        """Show what can be done to the chosen block."""
        self.note.setText(view.touch_note)
        self.anew.setVisible(view.by_hand)
        self.simpler.setEnabled(view.chosen is not None)
