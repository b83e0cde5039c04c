"""Small parts the answers are made of: figures, lengths, choices, findings, rows of colours."""

from collections.abc import Sequence

from PyQt6.QtCore import QRectF, QSize, Qt, QTimer, pyqtSignal
from PyQt6.QtGui import QColor, QFocusEvent, QFontMetrics, QPainter, QPaintEvent, QValidator
from PyQt6.QtWidgets import (
    QButtonGroup,
    QCheckBox,
    QComboBox,
    QDoubleSpinBox,
    QGridLayout,
    QLabel,
    QLineEdit,
    QPushButton,
    QSizePolicy,
    QSplitter,
    QStackedWidget,
    QVBoxLayout,
    QWidget,
)

from nomos.base.errors import BadInput
from nomos.base.language import tr
from nomos.base.units import length_text, number, parse_length, shown_unit
from nomos.ui.frame import theme
from nomos.ui.frame.flow import FlowLayout
from nomos.ui.frame.plain_text import set_tip
from nomos.ui.frame.words import WRAPPED, WordsButton, lines_of


def label(text: str = "", *, kind: str = "text") -> QLabel:
    """Text that wraps. kind: question, name, text or quiet."""
    made = QLabel(text)
    made.setWordWrap(True)
    made.setTextFormat(Qt.TextFormat.PlainText)
    made.setTextInteractionFlags(Qt.TextInteractionFlag.NoTextInteraction)
    fonts = {"question": theme.question_font, "name": theme.name_font, "quiet": theme.quiet_font}
    if kind in fonts:
        made.setFont(fonts[kind]())
    if kind == "quiet":
        made.setStyleSheet(f"color: {theme.tones().quiet}")
    return made


def button(text: str, *, tip: str = "", plain: bool = False) -> QPushButton:
    """A button with words, and what it does in a sentence; plain ones look like a link."""
    made = WordsButton(text)
    policy = QSizePolicy(QSizePolicy.Policy.Preferred, QSizePolicy.Policy.Minimum)
    policy.setHeightForWidth(True)
    made.setSizePolicy(policy)
    made.setProperty("plain", plain)
    set_tip(made, tip)
    made.setAutoDefault(False)
    return made


LEAST_LIST = 96
# A step of 1 mm is one of 0.05 in where lengths are read in inches.
_INCH_STEP_MM = 1.27


class NameField(QLineEdit):
    """A name to type. Reports it once it is typed; what is being typed is never written over."""

    given = pyqtSignal(str)

    def __init__(self, accessible_name: str, tip: str = "") -> None:
        super().__init__()
        self.setAccessibleName(accessible_name)
        set_tip(self, tip)
        self.setMaxLength(60)
        self.editingFinished.connect(self._give)

    def show_name(self, name: str) -> None:
        """Show a name."""
        if not (self.hasFocus() and self.isModified()):
            self.setText(name)

    def _give(self) -> None:
        if self.isModified():
            self.setModified(False)
            self.given.emit(self.text())


def check_box(text: str, tip: str) -> QCheckBox:
    """Yes or no, and what it is for."""
    made = QCheckBox(text.replace("&", "&&"))
    set_tip(made, tip)
    return made


class NumberBox(QDoubleSpinBox):
    """A figure with its unit. Reports only what a hand sets.

    Lengths may be typed in any unit; they are held in mm and read in the unit that is preferred.
    """

    set_by_hand = pyqtSignal(float)

    def __init__(self, least: float, most: float, *, unit: str = "mm", step: float = 1.0, digits: int = 1) -> None:
        super().__init__()
        self._length = unit == "mm"
        self._unit = shown_unit() if self._length else unit
        self._digits = digits
        if self._unit == "in":
            # Inches that are typed must not be rounded to tenths of a millimetre; a step is a round one.
            digits, step = digits + 2, step * _INCH_STEP_MM
        self.setRange(least, most)
        self.setDecimals(digits)
        self.setSingleStep(step)
        self.setSuffix(f" {self._unit}" if self._unit else "")
        self.setKeyboardTracking(False)
        self.setAlignment(Qt.AlignmentFlag.AlignRight)
        self.setMinimumWidth(theme.scaled(88))
        self.valueChanged.connect(self.set_by_hand)

    def show_value(self, value: float) -> None:
        """Show a figure without reporting it."""
        if abs(value - self.value()) > 10 ** -(self.decimals() + 2):
            self.blockSignals(True)
            self.setValue(value)
            self.blockSignals(False)

    def focusInEvent(self, event: QFocusEvent | None) -> None:
        super().focusInEvent(event)
        # By mouse too the whole figure is taken, to be typed over: once the press has set the cursor.
        QTimer.singleShot(0, self.selectAll)

    def textFromValue(self, value: float) -> str:
        if self._length:
            return length_text(value, self._digits).removesuffix(f" {self._unit}")
        return number(value, self.decimals())

    def valueFromText(self, text: str | None) -> float:
        try:
            return self._parsed(text or "")
        except BadInput:
            return self.value()

    def validate(self, text: str | None, position: int) -> tuple[QValidator.State, str, int]:
        try:
            fits = self.minimum() <= self._parsed(text or "") <= self.maximum()
        except BadInput:
            fits = False
        state = QValidator.State.Acceptable if fits else QValidator.State.Intermediate
        return state, text or "", position

    def _parsed(self, text: str) -> float:
        # The field's own unit stays at the end when another is typed before it.
        bare = text.strip().removesuffix(self._unit).strip()
        if self._length:
            return parse_length(bare, self._unit)
        bare = bare.replace("−", "-").replace(",", ".")
        try:
            return float(bare)
        except ValueError:
            raise BadInput(tr("'{said}' is not a figure.", said=text)) from None

    def wheelEvent(self, event: object) -> None:
        # A wheel turned to scroll the answers must not change a figure on the way.
        if hasattr(event, "ignore"):
            event.ignore()


class Fields(QWidget):
    """Labelled controls in two columns."""

    def __init__(self) -> None:
        super().__init__()
        self._grid = QGridLayout(self)
        self._grid.setContentsMargins(0, 0, 0, 0)
        self._grid.setHorizontalSpacing(theme.scaled(8))
        self._grid.setVerticalSpacing(theme.scaled(5))
        self._grid.setColumnStretch(0, 1)

    def add(self, text: str, control: QWidget, tip: str) -> None:
        """One more row: what stands beside the control, and what it is for."""
        row = self._grid.rowCount()
        name = label(text)
        name.setBuddy(control)
        control.setAccessibleName(text)
        set_tip(control, tip)
        if isinstance(control, QComboBox):
            # Long entries are read in the open list; the column must not be wider for them.
            control.setMinimumWidth(theme.scaled(LEAST_LIST))
        self._grid.addWidget(name, row, 0)
        self._grid.addWidget(control, row, 1)


class Figures(QWidget):
    """Names on the left, figures with units lined up on the right."""

    def __init__(self) -> None:
        super().__init__()
        self._rows: tuple[tuple[str, str], ...] = ()
        self.setSizePolicy(QSizePolicy.Policy.Expanding, QSizePolicy.Policy.Fixed)

    def rows(self) -> tuple[tuple[str, ...], ...]:
        """What is shown."""
        return self._rows

    def show_rows(self, rows: Sequence[tuple[str, str]]) -> None:
        """Show these."""
        if tuple(rows) != self._rows:
            self._rows = tuple(rows)
            self.updateGeometry()
            self.update()

    def _tops(self, width: int) -> list[float]:
        tops = [0.0]
        for name, figure in self._rows:
            tops.append(tops[-1] + theme.scaled(20) + (self._lines(name, figure, width) - 1) * theme.scaled(16))
        return tops

    def _lines(self, name: str, figure: str, width: int) -> int:
        return lines_of(name, self.font(), self._room(figure, width))

    def _room(self, figure: str, width: int) -> float:
        return width - QFontMetrics(self.font()).horizontalAdvance(f"{figure}  ")

    def hasHeightForWidth(self) -> bool:
        return True

    def heightForWidth(self, width: int) -> int:
        return round(self._tops(width)[-1])

    def sizeHint(self) -> QSize:
        return QSize(theme.scaled(200), self.heightForWidth(max(theme.scaled(200), self.width())))

    def minimumSizeHint(self) -> QSize:
        return QSize(theme.scaled(120), self.sizeHint().height())

    def paintEvent(self, _event: QPaintEvent | None) -> None:
        painter = QPainter(self)
        tone = theme.tones()
        tops = self._tops(self.width())
        for place, (name, figure) in enumerate(self._rows):
            box = QRectF(0, tops[place] + theme.scaled(2), self.width(), tops[place + 1] - tops[place])
            painter.setPen(QColor(tone.quiet))
            painter.drawText(box.adjusted(0, 0, self._room(figure, 0), 0), WRAPPED, name)
            painter.setPen(QColor(tone.text))
            painter.drawText(box, int(Qt.AlignmentFlag.AlignTop | Qt.AlignmentFlag.AlignRight), figure)


class Aside(QWidget):
    """Prose that is there to be asked for: a word, and below it the text once the word is pressed."""

    def __init__(self, word: str, tip: str) -> None:
        super().__init__()
        column = QVBoxLayout(self)
        column.setContentsMargins(0, 0, 0, 0)
        column.setSpacing(theme.scaled(2))
        self._word, self._text = word, label(kind="quiet")
        self.opener = button("", tip=tip, plain=True)
        self.opener.setProperty("fold", True)
        self.opener.setCheckable(True)
        self.opener.clicked.connect(self._open)
        column.addWidget(self.opener)
        column.addWidget(self._text)
        self._open(False)

    def _open(self, on: bool) -> None:
        self._text.setVisible(on)
        self.opener.setText(f"{'▾' if on else '▸'}  {self._word}")

    def setText(self, text: str) -> None:
        """What is told when it is asked for."""
        self._text.setText(text)

    def text(self) -> str:
        """What is told when it is asked for."""
        return self._text.text()


class Choice(QWidget):
    """A few words side by side of which one holds, in as many rows as they need."""

    chosen = pyqtSignal(str)

    def __init__(self, options: Sequence[tuple[str, ...]], tip: str = "") -> None:
        """options : value, words, and where it needs one a tip of its own. tip : of all the others."""
        super().__init__()
        row = FlowLayout(self, theme.scaled(4))
        self._group = QButtonGroup(self)
        self._buttons: dict[str, QPushButton] = {}
        for value, text, *own in options:
            made = button(text, tip=own[0] if own else tip)
            made.setCheckable(True)
            made.setProperty("narrow", True)
            made.clicked.connect(lambda _checked, value=value: self.chosen.emit(value))
            self._group.addButton(made)
            self._buttons[value] = made
            row.addWidget(made)

    def show_choice(self, value: str) -> None:
        """Show which holds; a value that is none of them shows none."""
        if value in self._buttons:
            self._buttons[value].setChecked(True)
            return
        uncheck(self._group)

    def chosen_text(self) -> str:
        """The words that hold, "" for none."""
        return next((made.text() for made in self._buttons.values() if made.isChecked()), "")


def uncheck(group: QButtonGroup) -> None:
    """Have none of the buttons of a group hold."""
    group.setExclusive(False)
    for made in group.buttons():
        made.setChecked(False)
    group.setExclusive(True)


def column_of(*parts: QWidget) -> QWidget:
    """Parts one below the other, edge to edge; those that hold further ones take the room that is left."""
    made = QWidget()
    column = QVBoxLayout(made)
    column.setContentsMargins(0, 0, 0, 0)
    column.setSpacing(0)
    for part in parts:
        column.addWidget(part, 1 if isinstance(part, QStackedWidget | QSplitter) else 0)
    return made
