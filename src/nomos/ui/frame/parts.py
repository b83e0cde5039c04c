"""What the stations share: groups of a column, the colour editor, order cards, the curve."""

from collections.abc import Sequence

from PyQt6.QtCore import QPointF, QRectF, QSize, Qt, pyqtSignal
from PyQt6.QtGui import QColor, QKeyEvent, QMouseEvent, QPainter, QPaintEvent, QPen
from PyQt6.QtWidgets import QSizePolicy, QVBoxLayout, QWidget

from nomos.base.language import tr
from nomos.base.units import number
from nomos.colour import Lab
from nomos.ui.frame import theme
from nomos.ui.frame.cards import Card
from nomos.ui.frame.colours import MOST_CHROMA, ColourStrips, from_lch
from nomos.ui.frame.flow import FlowLayout
from nomos.ui.frame.patch_strip import PatchStrip
from nomos.ui.frame.rest import Rest
from nomos.ui.frame.sheet import image_of


def part_column(part: QWidget) -> QVBoxLayout:
    """The column of a part of a station, flush with the station's own."""
    column = QVBoxLayout(part)
    column.setContentsMargins(0, 0, 0, 0)
    column.setSpacing(theme.scaled(8))
    return column


def group(*widgets: QWidget) -> QWidget:
    """Widgets that are shown and hidden together, one below the other."""
    made = QWidget()
    column = QVBoxLayout(made)
    column.setContentsMargins(0, 0, 0, 0)
    column.setSpacing(theme.scaled(8))
    for widget in widgets:
        column.addWidget(widget)
    return made


def beside(*widgets: QWidget) -> QWidget:
    """Widgets beside each other, where there is room for that."""
    made = QWidget()
    row = FlowLayout(made, theme.scaled(6))
    for widget in widgets:
        row.addWidget(widget)
    return made


class ColourEditor(QWidget):
    """A colour changed by lightness, chroma and hue."""

    edited = pyqtSignal(object, int)
    """(Lab, number of the gesture)."""

    def __init__(self) -> None:
        super().__init__()
        column = QVBoxLayout(self)
        column.setContentsMargins(0, 0, 0, 0)
        column.setSpacing(theme.scaled(2))
        self.lightness = PatchStrip(tr("Lightness"), 0, 100, 0.5)
        self.chroma = PatchStrip(tr("Chroma"), 0, MOST_CHROMA, 0.5)
        self.hue = PatchStrip(tr("Hue"), 0, 360, 1)
        self._lch = [50.0, 0.0, 0.0]
        for place, strip in enumerate((self.lightness, self.chroma, self.hue)):
            strip.dragged.connect(lambda value, gesture, place=place: self._drag(place, value, gesture))
            column.addWidget(strip)

    def show_colour(self, strips: ColourStrips) -> None:
        """Show a colour."""
        self._lch[0], self._lch[1] = strips.lightness.value, strips.chroma.value
        # A grey has no hue: the one last chosen stays, or it would be lost on the way through grey.
        if strips.chroma.value > 0.5:
            self._lch[2] = strips.hue.value
        for widget, strip in (
            (self.lightness, strips.lightness), (self.chroma, strips.chroma), (self.hue, strips.hue)
        ):  # fmt: skip
            widget.show_state(strip.value, strip.text, strip.patches)

    def _drag(self, place: int, value: float, gesture: int) -> None:
        self._lch[place] = value
        lab: Lab = from_lch(self._lch[0], self._lch[1], self._lch[2] % 360)
        self.edited.emit(lab, 3 * gesture + place)


class Cards(QWidget):
    """Choices, each with the print it leads to and what it costs."""

    chosen = pyqtSignal(str)
    pointed = pyqtSignal(str)
    """A choice is looked at, by the pointer's rest on it or by an arrow key; "" when it is left."""

    def __init__(self, accessible_name: str) -> None:
        super().__init__()
        self.setFocusPolicy(Qt.FocusPolicy.StrongFocus)
        self.setSizePolicy(QSizePolicy.Policy.Expanding, QSizePolicy.Policy.Fixed)
        self.setAccessibleName(accessible_name)
        self._choices: tuple[Card, ...] = ()
        self._focused = 0
        self.setMouseTracking(True)
        self._rest = Rest(self)
        self._rest.rested.connect(self._point)

    def _point(self, place: int) -> None:
        self.pointed.emit(self._choices[place].key if 0 <= place < len(self._choices) else "")

    def mouseMoveEvent(self, event: QMouseEvent | None) -> None:
        assert event is not None
        self._rest.over(int(event.position().y() // self._height()))

    def leaveEvent(self, _event: object) -> None:
        self._rest.leave()

    def hideEvent(self, _event: object) -> None:
        self._rest.stop()

    def show_choices(self, choices: Sequence[Card]) -> None:
        """Show these."""
        self._choices = tuple(choices)
        self.updateGeometry()
        self.update()

    def _height(self) -> int:
        return theme.scaled(84)

    def sizeHint(self) -> QSize:
        return QSize(theme.scaled(220), len(self._choices) * self._height())

    def minimumSizeHint(self) -> QSize:
        return QSize(theme.scaled(160), self.sizeHint().height())

    def paintEvent(self, _event: QPaintEvent | None) -> None:
        painter, tone = QPainter(self), theme.tones()
        for place, choice in enumerate(self._choices):
            box = QRectF(0, place * self._height(), self.width(), self._height() - theme.scaled(6))
            if choice.chosen:
                painter.fillRect(box, QColor(tone.accent_pale))
                painter.fillRect(QRectF(0, box.top(), 3, box.height()), QColor(tone.accent))
            if choice.thumb is not None:
                image = image_of(choice.thumb, 1.0)
                painter.drawImage(QPointF(theme.scaled(10), box.top() + theme.scaled(6)), image)
            left = theme.scaled(70)
            lines = (
                (choice.name, theme.name_font(), tone.text), (choice.figures, self.font(), tone.text),
                (choice.quiet, theme.quiet_font(), tone.quiet),
            )  # fmt: skip
            for number_of, (text, font, colour) in enumerate(lines):
                painter.setFont(font)
                painter.setPen(QColor(colour))
                top = box.top() + theme.scaled(8 + 20 * number_of)
                line = QRectF(left, top, self.width() - left, theme.scaled(20))
                shown = theme.elided(text, font, int(line.width()))
                painter.drawText(line, Qt.AlignmentFlag.AlignVCenter, shown)
            if self.hasFocus() and place == self._focused:
                painter.setPen(QPen(QColor(tone.accent), 1, Qt.PenStyle.DotLine))
                painter.drawRect(box.adjusted(0, 0, -1, -1))

    def mousePressEvent(self, event: QMouseEvent | None) -> None:
        assert event is not None
        self._choose(int(event.position().y() // self._height()))

    def keyPressEvent(self, event: QKeyEvent | None) -> None:
        assert event is not None
        key = Qt.Key(event.key())
        if key in (Qt.Key.Key_Up, Qt.Key.Key_Down):
            step = -1 if key == Qt.Key.Key_Up else 1
            self._focused = min(max(self._focused + step, 0), len(self._choices) - 1)
            self._point(self._focused)
            self.update()
        elif key in (Qt.Key.Key_Return, Qt.Key.Key_Enter, Qt.Key.Key_Space):
            self._choose(self._focused)
        else:
            super().keyPressEvent(event)

    def _choose(self, place: int) -> None:
        if 0 <= place < len(self._choices):
            self._focused = place
            self.chosen.emit(self._choices[place].key)


class ColourCurve(QWidget):
    """How far off the design each number of colours would be; click a number to take it."""

    chosen = pyqtSignal(int)

    def __init__(self) -> None:
        super().__init__()
        self.setFocusPolicy(Qt.FocusPolicy.StrongFocus)
        self.setSizePolicy(QSizePolicy.Policy.Expanding, QSizePolicy.Policy.Fixed)
        self.setAccessibleName(tr("Number of colours"))
        self._curve: tuple[tuple[int, float], ...] = ()
        self._count, self._suggested = 0, 0

    def show_curve(self, curve: Sequence[tuple[int, float]], count: int, suggested: int) -> None:
        """Show mean ΔE00 by number of colours, the present number and the suggested one."""
        self._curve, self._count, self._suggested = tuple(curve), count, suggested
        self.setVisible(bool(curve))
        self.update()

    def sizeHint(self) -> QSize:
        return QSize(theme.scaled(220), theme.scaled(92))

    def minimumSizeHint(self) -> QSize:
        return QSize(theme.scaled(160), theme.scaled(92))

    def paintEvent(self, _event: QPaintEvent | None) -> None:
        if not self._curve:
            return
        painter, tone = QPainter(self), theme.tones()
        each = self.width() / len(self._curve)
        base, tall = theme.scaled(72), theme.scaled(50)
        most = max(error for _, error in self._curve) or 1.0
        painter.setFont(theme.font(11))
        for place, (count, error) in enumerate(self._curve):
            chosen = count == self._count
            height = max(2.0, tall * (error / most) ** 0.5)
            bar = QRectF(place * each + 2, base - height, each - 4, height)
            painter.fillRect(bar, QColor(tone.accent if chosen else tone.line))
            painter.setPen(QColor(tone.text if chosen else tone.quiet))
            over = QRectF(place * each - 6, bar.top() - theme.scaled(16), each + 12, theme.scaled(15))
            digits = 0 if error >= 9.95 else 1
            if place % 2 == 0 or chosen or count == self._suggested:
                painter.drawText(over, Qt.AlignmentFlag.AlignCenter, number(error, digits))
            under = QRectF(place * each, base + 2, each, theme.scaled(16))
            painter.drawText(under, Qt.AlignmentFlag.AlignCenter, f"{count}")
            if count == self._suggested:
                painter.setPen(QPen(QColor(tone.text), 2))
                y = base + theme.scaled(18)
                painter.drawLine(QPointF(bar.left(), y), QPointF(bar.right(), y))
        theme.draw_focus(painter, self)

    def mousePressEvent(self, event: QMouseEvent | None) -> None:
        assert event is not None
        if self._curve:
            place = int(event.position().x() / self.width() * len(self._curve))
            self.chosen.emit(self._curve[min(place, len(self._curve) - 1)][0])

    def keyPressEvent(self, event: QKeyEvent | None) -> None:
        assert event is not None
        step = {Qt.Key.Key_Left: -1, Qt.Key.Key_Right: 1}.get(Qt.Key(event.key()))
        counts = [count for count, _ in self._curve]
        if step is None or self._count + step not in counts:
            super().keyPressEvent(event)
            return
        self.chosen.emit(self._count + step)
