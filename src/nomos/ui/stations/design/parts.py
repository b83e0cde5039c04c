"""The parts of the Design station beside its colours: the picture, and correcting by pointing."""

from collections.abc import Sequence

from PyQt6.QtCore import pyqtBoundSignal, pyqtSignal
from PyQt6.QtWidgets import QComboBox, QGridLayout, QHBoxLayout, QPushButton, QWidget

from nomos.base.language import opened, tr, within
from nomos.base.units import PAPER_SIZES_MM
from nomos.project.model.paper import PAPER_COLOURS
from nomos.ui.frame import theme
from nomos.ui.frame.controls import Choice, Fields, NumberBox, button, check_box, label
from nomos.ui.frame.parts import part_column
from nomos.ui.stations.design.design_view import CorrectPartView, PicturePartView

_READ = (
    ("", tr("as it looks")),
    ("drawing", tr("a clean drawing")),
    ("sketch", tr("a sketch")),
    ("tones", tr("tones")),
)
_OTHER = {"sketch": tr("Is it a sketch? See both"), "tones": tr("Is it tones? See both")}


class PicturePart(QWidget):
    """What of the picture is printed, how large it is, and how it is read."""

    find_requested = pyqtSignal()
    whole_requested = pyqtSignal()
    turn_requested = pyqtSignal(int)
    mirror_requested = pyqtSignal()
    tool_requested = pyqtSignal(str)
    length_given = pyqtSignal(float)
    bare_cleared = pyqtSignal()
    width_requested = pyqtSignal(float)
    height_requested = pyqtSignal(float)
    size_requested = pyqtSignal(float, float)
    fit_requested = pyqtSignal(str, float)
    drawn_on_requested = pyqtSignal(str)
    read_as_requested = pyqtSignal(str)
    readings_requested = pyqtSignal(str)
    faint_dropped = pyqtSignal()
    paper_named = pyqtSignal(str)
    """A kind of paper known by name."""
    paper_shown = pyqtSignal(str)
    """The sheet on which the print is shown while its size is asked for."""

    def __init__(self) -> None:
        super().__init__()
        column = part_column(self)
        self.find_sheet = button(
            tr("Find the sheet and the drawing"),
            tip=tr("Look for the paper in the photograph, and for the drawing on it."),
        )
        self.whole = button(tr("The whole picture"), tip=tr("Print all of the picture."))
        self.left, self.right, self.mirror = (
            button(tr("Turn left"), tip=tr("A quarter turn.")),
            button(tr("Turn right"), tip=tr("A quarter turn.")),
            button(tr("Mirror"), tip=tr("Left and right change sides.")),
        )
        self.tools = Choice(
            (
                ("corners", tr("Print"), tr("Drag the corners of what is printed.")),
                ("size", tr("Size"), tr("Drag the print's size on a sheet of paper.")),
                (
                    "sheet",
                    tr("Sheet"),
                    tr("Drag the corners of the paper it was drawn on: light and size are judged by it."),
                ),
                ("length", tr("Length"), tr("Draw along something whose length you know.")),
                ("bare", tr("Stays bare"), tr("Draw round what is not printed.")),
            )
        )
        self.tools.show_choice("corners")
        self.hint = label(_HINTS["corners"], kind="quiet")
        self.length_fields = Fields()
        self.length = NumberBox(1, 2000, step=10)
        self.length.show_value(100)
        self.length_fields.add(tr("The line drawn is"), self.length, tr("How long it is on the print."))
        self.take_length = button(tr("Set the size by it"))
        self.no_bare = button(tr("Print all of it again"))
        self.size_fields = Fields()
        self.width_box, self.height_box = NumberBox(5, 2000), NumberBox(5, 2000)
        self.size_fields.add(
            tr("Width of the print"),
            self.width_box,
            tr("Of the image, without the sheet's margin. Type 18 cm or 7 in as well."),
        )
        self.size_fields.add(tr("Height"), self.height_box, tr("Of the image, without the sheet's margin."))
        self.shape = check_box(tr("Keep the shape as it is seen"), tr("Width and height change together."))
        self.shape.setChecked(True)
        self.paper, self.margin = QComboBox(), NumberBox(0, 200, step=5)
        self.paper.addItems(list(PAPER_SIZES_MM))
        self.paper.setCurrentText("A4")
        self.margin.show_value(15)
        self.sheet_fields = Fields()
        self.sheet_fields.add(tr("Sheet"), self.paper, tr("A paper of a known size."))
        self.sheet_fields.add(
            tr("Margin all round"), self.margin, tr("Kept free on the chosen sheet when the print is fitted on it.")
        )
        self.fit = button(tr("Fit the print on that sheet"), tip=tr("As large as the sheet holds within the margin."))
        self.drawn = button(
            tr("The sketch was drawn on that sheet"),
            tip=tr("The photographed sheet has this size: the print's size follows."),
        )
        self.read_as = QComboBox()
        self.read_as.addItems([words for _, words in _READ])
        read_fields = Fields()
        read_fields.add(
            tr("Read it as"), self.read_as, tr("How the picture is read: a clean drawing, a sketch, or tones.")
        )
        self.named_paper = QComboBox()
        self.named_paper.addItems([tr("as it was found"), *(words for words, _ in PAPER_COLOURS.values())])
        read_fields.add(
            tr("This paper is"),
            self.named_paper,
            tr("What the drawing stands on; what is printed stands on the same, unless Inks says otherwise."),
        )
        self.found = label(kind="quiet")
        self.foreign = ForeignList()
        self._other = ""
        self.other = button("", tip=tr("The picture lies between the two: both readings side by side, to choose from."))
        self.light = label(kind="quiet")
        self.faint = button(tr("Drop the faint pencil lines"))
        for part in (
            label(tr("What is printed of it"), kind="name"), self.find_sheet, self.whole,
            _row(self.left, self.right, self.mirror), self.tools, self.hint, self.length_fields,
            self.take_length, self.foreign, self.no_bare, label(tr("How large"), kind="name"),
            self.size_fields, self.shape, self.sheet_fields,
            self.fit, self.drawn, label(tr("How it is read"), kind="name"), read_fields, self.found,
            self.other, self.light,
            self.faint,
        ):  # fmt: skip
            column.addWidget(part)
        self._connect()
        self._use("corners")

    def _connect(self) -> None:
        self.find_sheet.clicked.connect(self.find_requested)
        self.whole.clicked.connect(self.whole_requested)
        self.left.clicked.connect(lambda: self.turn_requested.emit(-1))
        self.right.clicked.connect(lambda: self.turn_requested.emit(1))
        self.mirror.clicked.connect(self.mirror_requested)
        self.tools.chosen.connect(self._use)
        self.take_length.clicked.connect(lambda: self.length_given.emit(self.length.value()))
        self.no_bare.clicked.connect(self.bare_cleared)
        self.width_box.set_by_hand.connect(lambda width: self._ask_size(self.width_requested, width))
        self.height_box.set_by_hand.connect(lambda height: self._ask_size(self.height_requested, height))
        self.paper.currentTextChanged.connect(self.paper_shown)
        self.fit.clicked.connect(lambda: self.fit_requested.emit(self.paper.currentText(), self.margin.value()))
        self.drawn.clicked.connect(lambda: self.drawn_on_requested.emit(self.paper.currentText()))
        self.read_as.activated.connect(lambda place: self.read_as_requested.emit(_READ[place][0]))
        self.named_paper.activated.connect(self._name_paper)
        self.other.clicked.connect(lambda: self.readings_requested.emit(self._other))
        self.faint.clicked.connect(self.faint_dropped)

    def _name_paper(self, place: int) -> None:
        if place:
            self.paper_named.emit(list(PAPER_COLOURS)[place - 1])

    def _ask_size(self, asked: pyqtBoundSignal, value: float) -> None:
        if self.shape.isChecked():
            asked.emit(value)
        else:
            self.size_requested.emit(self.width_box.value(), self.height_box.value())

    def ask_size(self) -> None:
        """Have the size asked for in the picture."""
        self.tools.show_choice("size")
        self._use("size")

    def _use(self, tool: str) -> None:
        self.hint.setText(_HINTS[tool])
        self.length_fields.setVisible(tool == "length")
        self.take_length.setVisible(tool == "length")
        self.tool_requested.emit(tool)

    def show_view(self, view: PicturePartView) -> None:
        """Show the part."""
        needs_picture: tuple[QWidget, ...] = (
            self.find_sheet, self.whole, self.left, self.right, self.mirror, self.tools, self.drawn,
        )  # fmt: skip
        for part in needs_picture:
            part.setEnabled(view.known)
        self.width_box.show_value(view.size_mm[0])
        self.height_box.show_value(view.size_mm[1])
        self.read_as.setCurrentIndex(next(n for n, (value, _) in enumerate(_READ) if value == view.read_as))
        self.found.setText(view.found)
        self.named_paper.setCurrentIndex(
            next((n for n, (_, lab) in enumerate(PAPER_COLOURS.values(), 1) if lab == view.paper), 0)
        )
        self._other = view.other
        self.other.setText(_OTHER.get(view.other, ""))
        self.other.setVisible(bool(view.other))
        self.light.setText(view.light)
        self.light.setVisible(bool(view.light))
        self.faint.setVisible(view.faint)
        self.foreign.show_texts(view.foreign if view.known else ())
        self.no_bare.setVisible(view.bare > 0)


class ForeignList(QWidget):
    """What may not belong to the drawing: a button for each."""

    chosen = pyqtSignal(int)

    def __init__(self) -> None:
        super().__init__()
        self.buttons: list[QPushButton] = []
        self._column = part_column(self)

    def show_texts(self, texts: Sequence[str]) -> None:
        """Show them."""
        while len(self.buttons) < len(texts):
            made = button("", tip=tr("It is hatched in the picture; undo takes it back."))
            place = len(self.buttons)
            made.clicked.connect(lambda _on=False, place=place: self.chosen.emit(place))
            self.buttons.append(made)
            self._column.addWidget(made)
        for place, made in enumerate(self.buttons):
            made.setVisible(place < len(texts))
            made.setText(texts[place] if place < len(texts) else "")
        self.setVisible(bool(texts))


_HINTS = {
    "size": tr(
        "Drag the corner until the print is as large on the sheet as you want it; arrow keys go by 1 mm. "
        "Another sheet can be chosen below."
    ),
    "corners": tr("Drag the four corners to what is to be printed; arrow keys move the chosen one."),
    "sheet": tr("Drag the four corners of the paper it was drawn on: light and size are judged by it."),
    "length": tr("Draw a line on the picture along something whose length you know."),
    "bare": tr("Click round a place that is to stay bare paper; a double click closes it."),
}


def _row(*parts: QWidget) -> QWidget:
    made = QWidget()
    row = QHBoxLayout(made)
    row.setContentsMargins(0, 0, 0, 0)
    row.setSpacing(theme.scaled(4))
    for part in parts:
        row.addWidget(part)
    return made


# What a click on the sheet does: value, words, and what to do.
TOOLS: tuple[tuple[str, str, str], ...] = (
    ("", tr("Choose"), tr("Click a field to choose its colour.")),
    ("another", tr("Another colour"), tr("Click where a colour is missing: it is added and takes what is like it.")),
    ("paper", tr("Paper"), tr("Click a field that is bare paper: nothing is printed there.")),
    ("line", tr("Line"), tr("Click a field that belongs to the drawn line.")),
    ("no line", tr("No line"), tr("Click a stroke that is no line: what runs below it comes to light.")),
    ("fill", tr("Fill"), tr("Click a field: it gets the colour chosen in the list.")),
    ("brush", tr("Brush"), tr("Draw with the colour chosen in the list, for the last millimetre.")),
)


class CorrectPart(QWidget):
    """Tools to point with, and what has been corrected."""

    tool_requested = pyqtSignal(str)
    everywhere_requested = pyqtSignal(bool)
    brush_requested = pyqtSignal(float)
    next_requested = pyqtSignal()

    def __init__(self) -> None:
        super().__init__()
        column = part_column(self)
        self.places = label()
        self.next = button(tr("Look at the next doubtful place"))
        grid_of = QWidget()
        grid = QGridLayout(grid_of)
        grid.setContentsMargins(0, 0, 0, 0)
        grid.setSpacing(theme.scaled(4))
        self.tools = {value: button(words, tip=tip) for value, words, tip in TOOLS}
        for place, (value, made) in enumerate(self.tools.items()):
            made.setCheckable(True)
            made.setProperty("narrow", True)
            made.clicked.connect(lambda _on, value=value: self.tool_requested.emit(value))
            grid.addWidget(made, place // 2, place % 2)
        self.hint = label(kind="quiet")
        self.everywhere = check_box(
            tr("All over the picture, not only nearby"), tr("What is like it anywhere becomes that colour.")
        )
        self.width_fields = Fields()
        self.brush_box = NumberBox(0.2, 50, step=0.5)
        self.brush_box.show_value(2.0)
        self.width_fields.add(tr("Width of the brush"), self.brush_box, tr("How wide a stroke comes out on the print."))
        self.said_title = label(tr("Corrected so far"), kind="name")
        self.said = label(kind="quiet")
        for part in (
            label(tr("Point at what is wrong"), kind="name"), self.places, self.next, grid_of, self.hint,
            self.everywhere, self.width_fields, self.said_title, self.said,
        ):  # fmt: skip
            column.addWidget(part)
        self.everywhere.clicked.connect(self.everywhere_requested)
        self.brush_box.set_by_hand.connect(self.brush_requested)
        self.next.clicked.connect(self.next_requested)

    def show_view(self, view: CorrectPartView) -> None:
        """Show the part."""
        self.places.setText(_places_text(view.places))
        self.next.setVisible(view.places > 0)
        for value, made in self.tools.items():
            made.setChecked(value == view.tool)
        self.tools["no line"].setEnabled(view.has_line)
        hint = next(text for value, _, text in TOOLS if value == view.tool)
        if view.tool in ("fill", "brush"):
            hint += (
                tr(" Chosen: {colour}.", colour=within(view.colour))
                if view.colour
                else tr(" Choose one first, under Colours.")
            )
        self.hint.setText(hint)
        self.everywhere.setVisible(view.tool == "another")
        self.width_fields.setVisible(view.tool == "brush")
        self.said_title.setVisible(bool(view.said))
        self.said.setText(_lines(view.said))
        self.said.setVisible(bool(view.said))


def _places_text(count: int) -> str:
    if count == 0:
        return tr("There is no place where two colours were hard to tell apart.")
    places = tr("One place is") if count == 1 else tr("{count} places are", count=count)
    return tr("{places} hatched where two colours were hard to tell apart: look there first.", places=places)


def _lines(said: Sequence[str]) -> str:
    return "\n".join(f"{place}. {opened(text)}" for place, text in enumerate(said, start=1))
