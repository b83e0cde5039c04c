"""Small parts the answers are made of: figures, lengths, choices, findings, rows of colours."""

from collections.abc import Sequence

from PyQt6.QtCore import QPointF, QRectF, QSize, Qt, pyqtSignal
from PyQt6.QtGui import QColor, QFontMetrics, QKeyEvent, QMouseEvent, QPainter, QPaintEvent, QPen, QValidator
from PyQt6.QtWidgets import (
    QButtonGroup,
    QDoubleSpinBox,
    QGridLayout,
    QHBoxLayout,
    QLabel,
    QLineEdit,
    QPushButton,
    QSizePolicy,
    QVBoxLayout,
    QWidget,
)

from nomos.errors import BadInput
from nomos.ui import theme
from nomos.ui.views.rows import Note, Row
from nomos.units import number, parse_length


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


def button(text: str, *, plain: bool = False) -> QPushButton:
    """A button with words; plain ones look like a link."""
    made = QPushButton(text)
    made.setProperty("plain", plain)
    made.setAutoDefault(False)
    return made


class NameField(QLineEdit):
    """A name to type. Reports it once it is typed; what is being typed is never written over."""

    given = pyqtSignal(str)

    def __init__(self, accessible_name: str) -> None:
        super().__init__()
        self.setAccessibleName(accessible_name)
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


class NumberBox(QDoubleSpinBox):
    """A figure with its unit. Lengths may be typed in inches or points. Reports only what a hand sets."""

    set_by_hand = pyqtSignal(float)

    def __init__(
        self, least: float, most: float, *, unit: str = "mm", step: float = 1.0, digits: int = 1
    ) -> None:
        super().__init__()
        self._unit = unit
        self.setRange(least, most)
        self.setDecimals(digits)
        self.setSingleStep(step)
        self.setSuffix(f" {unit}" if unit else "")
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

    def textFromValue(self, value: float) -> str:
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
        if self._unit == "mm":
            return parse_length(bare)
        bare = bare.replace("−", "-").replace(",", ".")
        try:
            return float(bare)
        except ValueError:
            raise BadInput(f"'{text}' is not a figure.") from None

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

    def add(self, text: str, control: QWidget) -> None:
        """One more row."""
        row = self._grid.rowCount()
        name = label(text)
        name.setBuddy(control)
        control.setAccessibleName(text)
        self._grid.addWidget(name, row, 0)
        self._grid.addWidget(control, row, 1)


class Figures(QWidget):
    """Names on the left, figures with units lined up on the right."""

    def __init__(self) -> None:
        super().__init__()
        self._rows: tuple[tuple[str, str], ...] = ()
        self.setSizePolicy(QSizePolicy.Policy.Expanding, QSizePolicy.Policy.Fixed)

    def show_rows(self, rows: Sequence[tuple[str, str]]) -> None:
        """Show these."""
        if tuple(rows) != self._rows:
            self._rows = tuple(rows)
            self.updateGeometry()
            self.update()

    def sizeHint(self) -> QSize:
        return QSize(theme.scaled(200), len(self._rows) * theme.scaled(20))

    def minimumSizeHint(self) -> QSize:
        return QSize(theme.scaled(120), self.sizeHint().height())

    def paintEvent(self, _event: QPaintEvent | None) -> None:
        painter = QPainter(self)
        tone = theme.tones()
        for place, (name, figure) in enumerate(self._rows):
            box = QRectF(0, place * theme.scaled(20), self.width(), theme.scaled(20))
            room = int(box.width() - QFontMetrics(self.font()).horizontalAdvance(f"{figure}  "))
            painter.setPen(QColor(tone.quiet))
            shown = theme.elided(name, self.font(), room)
            painter.drawText(box, Qt.AlignmentFlag.AlignVCenter, shown)
            painter.setPen(QColor(tone.text))
            painter.drawText(box, Qt.AlignmentFlag.AlignVCenter | Qt.AlignmentFlag.AlignRight, figure)


class Choice(QWidget):
    """A few words side by side of which one holds."""

    chosen = pyqtSignal(str)

    def __init__(self, options: Sequence[tuple[str, str]]) -> None:
        super().__init__()
        row = QHBoxLayout(self)
        row.setContentsMargins(0, 0, 0, 0)
        row.setSpacing(theme.scaled(4))
        self._group = QButtonGroup(self)
        self._buttons: dict[str, QPushButton] = {}
        for value, text in options:
            made = button(text)
            made.setCheckable(True)
            made.setProperty("narrow", True)
            made.clicked.connect(lambda _checked, value=value: self.chosen.emit(value))
            self._group.addButton(made)
            self._buttons[value] = made
            # Longer words get more of the room.
            row.addWidget(made, 3 + len(text))

    def show_choice(self, value: str) -> None:
        """Show which holds; a value that is none of them shows none."""
        if value in self._buttons:
            self._buttons[value].setChecked(True)
            return
        self._group.setExclusive(False)
        for made in self._buttons.values():
            made.setChecked(False)
        self._group.setExclusive(True)


_SHAPES = {"could show": "△", "will fail": "■", "worth knowing": "○"}


class FindingList(QWidget):
    """Findings, each with a shape, a word and what can be done; those with a place can be shown there."""

    show_asked = pyqtSignal(float, float)
    """A place on the sheet, mm."""
    cure_asked = pyqtSignal(object)
    """A Cure."""

    def __init__(self) -> None:
        super().__init__()
        self._column = QVBoxLayout(self)
        self._column.setContentsMargins(0, 0, 0, 0)
        self._column.setSpacing(theme.scaled(10))
        self._rows: tuple[Note, ...] | None = None

    def show_findings(self, rows: Sequence[Note]) -> None:
        """Show these; nothing at all when there are none."""
        if tuple(rows) == self._rows:
            return
        self._rows = tuple(rows)
        while (item := self._column.takeAt(0)) is not None:
            if (widget := item.widget()) is not None:
                widget.deleteLater()
        for row in rows:
            block = QWidget()
            column = QVBoxLayout(block)
            column.setContentsMargins(0, 0, 0, 0)
            column.setSpacing(theme.scaled(2))
            head = label(f"{_SHAPES[row.weight]} {row.weight.capitalize()}")
            head.setFont(theme.font(13, head.font().Weight.DemiBold))
            column.addWidget(head)
            column.addWidget(label(row.text))
            column.addWidget(label(row.remedy, kind="quiet"))
            for cure in row.cures:
                made = button(cure.text)
                made.clicked.connect(lambda _checked, asked=cure: self.cure_asked.emit(asked))
                column.addWidget(made, 0, Qt.AlignmentFlag.AlignLeft)
            if row.place_mm is not None:
                show = button("Show it on the sheet", plain=True)
                show.clicked.connect(lambda _checked, place=row.place_mm: self.show_asked.emit(*place))
                column.addWidget(show, 0, Qt.AlignmentFlag.AlignLeft)
            self._column.addWidget(block)


class ColourRows(QWidget):
    """Rows with swatches of which one is chosen, by click or by the arrow keys."""

    chosen = pyqtSignal(str)

    def __init__(self, accessible_name: str) -> None:
        super().__init__()
        self.setFocusPolicy(Qt.FocusPolicy.StrongFocus)
        self.setSizePolicy(QSizePolicy.Policy.Expanding, QSizePolicy.Policy.Fixed)
        self.setAccessibleName(accessible_name)
        self._rows: tuple[Row, ...] = ()
        self._chosen: str | None = None

    def show_rows(self, rows: Sequence[Row], chosen: str | None) -> None:
        """Show these rows with one of them chosen."""
        if (tuple(rows), chosen) != (self._rows, self._chosen):
            taller = len(rows) != len(self._rows)
            self._rows, self._chosen = tuple(rows), chosen
            if taller:
                self.updateGeometry()
            self.update()

    def row_height(self) -> int:
        """Height of one row; twofold rows are taller."""
        return theme.scaled(38 if any(row.quiet for row in self._rows) else 26)

    def sizeHint(self) -> QSize:
        return QSize(theme.scaled(220), len(self._rows) * self.row_height())

    def minimumSizeHint(self) -> QSize:
        return QSize(theme.scaled(140), self.sizeHint().height())

    def paintEvent(self, _event: QPaintEvent | None) -> None:
        painter = QPainter(self)
        tone = theme.tones()
        height, wide = self.row_height(), theme.scaled(26)
        for place, row in enumerate(self._rows):
            box = QRectF(0, place * height, self.width(), height)
            if row.id == self._chosen:
                painter.fillRect(box, QColor(tone.accent_pale))
                painter.fillRect(QRectF(0, box.top(), 3, height), QColor(tone.accent))
            left = theme.scaled(10)
            if row.swatch:
                inset = (height - theme.scaled(18)) / 2
                swatch = QRectF(theme.scaled(8), box.top() + inset, wide, theme.scaled(18))
                painter.fillRect(swatch, QColor(row.swatch))
                if row.over:
                    part = swatch.adjusted(0.62 * wide, 0, 0, 0)
                    painter.fillRect(part, QColor(row.over))
                painter.setPen(QPen(QColor(tone.line), 1))
                painter.drawRect(swatch)
                left = wide + theme.scaled(18)
            self._draw_words(painter, row, box.adjusted(left, 0, -theme.scaled(6), 0))
        if self.hasFocus():
            painter.setPen(QPen(QColor(tone.accent), 1, Qt.PenStyle.DotLine))
            painter.drawRect(self.rect().adjusted(0, 0, -1, -1))

    def _draw_words(self, painter: QPainter, row: Row, box: QRectF) -> None:
        tone = theme.tones()
        upper = box.adjusted(0, 2, 0, -box.height() / 2 + 2) if row.quiet else box
        flags = Qt.AlignmentFlag.AlignVCenter
        painter.setFont(self.font())
        metrics = QFontMetrics(self.font())
        painter.setPen(QColor(tone.text))
        figure_width = metrics.horizontalAdvance(row.figure)
        painter.drawText(upper, flags | Qt.AlignmentFlag.AlignRight, row.figure)
        room = int(upper.width() - figure_width - theme.scaled(8))
        painter.drawText(upper, flags, theme.elided(row.name, self.font(), room))
        if row.quiet:
            painter.setFont(theme.quiet_font())
            painter.setPen(QColor(tone.quiet))
            lower = box.adjusted(0, box.height() / 2 - 2, 0, -2)
            painter.drawText(lower, flags, theme.elided(row.quiet, theme.quiet_font(), int(lower.width())))

    def mousePressEvent(self, event: QMouseEvent | None) -> None:
        assert event is not None
        place = int(event.position().y() // self.row_height())
        if 0 <= place < len(self._rows):
            self.chosen.emit(self._rows[place].id)

    def keyPressEvent(self, event: QKeyEvent | None) -> None:
        assert event is not None
        step = {Qt.Key.Key_Up: -1, Qt.Key.Key_Down: 1}.get(Qt.Key(event.key()))
        if step is None or not self._rows:
            super().keyPressEvent(event)
            return
        ids = [row.id for row in self._rows]
        place = ids.index(self._chosen) + step if self._chosen in ids else 0
        self.chosen.emit(ids[min(max(place, 0), len(ids) - 1)])


class PatchStrip(QWidget):
    """A range as a row of patches showing what each step would give; drag along it to choose.

    `dragged` carries the value and the number of the gesture, so that one drag undoes as one.
    """

    dragged = pyqtSignal(float, int)

    def __init__(self, name: str, least: float, most: float, step: float) -> None:
        super().__init__()
        self._least, self._most, self._step = least, most, step
        self._value, self._text = least, ""
        self._patches: tuple[str, ...] = ()
        self._gesture = 0
        self._name = name
        self.setAccessibleName(name)
        self.setFocusPolicy(Qt.FocusPolicy.StrongFocus)
        self.setSizePolicy(QSizePolicy.Policy.Expanding, QSizePolicy.Policy.Fixed)
        self.setCursor(Qt.CursorShape.SizeHorCursor)

    def show_state(self, value: float, text: str, patches: Sequence[str]) -> None:
        """Show the value, its figure with unit, and the patches from least to most (#rrggbb)."""
        self._value, self._text, self._patches = value, text, tuple(patches)
        self.update()

    def sizeHint(self) -> QSize:
        return QSize(theme.scaled(220), theme.scaled(46))

    def minimumSizeHint(self) -> QSize:
        return QSize(theme.scaled(140), theme.scaled(46))

    def _track(self) -> QRectF:
        inset = theme.scaled(7)
        return QRectF(inset, theme.scaled(21), self.width() - 2 * inset, theme.scaled(14))

    def paintEvent(self, _event: QPaintEvent | None) -> None:
        painter = QPainter(self)
        tone, track = theme.tones(), self._track()
        head = QRectF(0, 0, self.width(), theme.scaled(19))
        painter.setPen(QColor(tone.quiet))
        painter.drawText(head, Qt.AlignmentFlag.AlignVCenter, self._name)
        painter.setPen(QColor(tone.text))
        painter.drawText(head, Qt.AlignmentFlag.AlignVCenter | Qt.AlignmentFlag.AlignRight, self._text)
        each = track.width() / max(len(self._patches), 1)
        for place, patch in enumerate(self._patches):
            box = QRectF(track.left() + place * each, track.top(), each - 1, track.height())
            painter.fillRect(box, QColor(patch))
        share = (self._value - self._least) / (self._most - self._least)
        x = track.left() + min(max(share, 0), 1) * track.width()
        painter.setRenderHint(QPainter.RenderHint.Antialiasing)
        painter.setPen(QPen(QColor(tone.accent if self.hasFocus() else tone.text), 2))
        painter.drawLine(QPointF(x, track.top() - 3), QPointF(x, track.bottom() + 3))
        painter.setBrush(QColor(tone.chosen))
        painter.drawEllipse(QPointF(x, track.bottom() + theme.scaled(4)), theme.scaled(4), theme.scaled(4))

    def mousePressEvent(self, event: QMouseEvent | None) -> None:
        assert event is not None
        self._gesture += 1
        self._drag(event.position().x())

    def mouseMoveEvent(self, event: QMouseEvent | None) -> None:
        assert event is not None
        if event.buttons() & Qt.MouseButton.LeftButton:
            self._drag(event.position().x())

    def _drag(self, x: float) -> None:
        track = self._track()
        share = min(max((x - track.left()) / track.width(), 0.0), 1.0)
        steps = round(share * (self._most - self._least) / self._step)
        self.dragged.emit(self._least + steps * self._step, self._gesture)

    def keyPressEvent(self, event: QKeyEvent | None) -> None:
        assert event is not None
        key = Qt.Key(event.key())
        size = {Qt.Key.Key_Left: -1, Qt.Key.Key_Right: 1, Qt.Key.Key_PageDown: -10, Qt.Key.Key_PageUp: 10}
        if key not in size:
            super().keyPressEvent(event)
            return
        self._gesture += 1
        wanted = self._value + size[key] * self._step
        self.dragged.emit(min(max(wanted, self._least), self._most), self._gesture)
