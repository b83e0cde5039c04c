"""A walk of two minutes through the stations on the demo: the real window, to be left at any step."""

from collections.abc import Callable, Mapping
from dataclasses import dataclass
from typing import Literal

from PyQt6.QtCore import QEvent, QObject, QRect, Qt
from PyQt6.QtGui import QColor, QPainter, QPaintEvent, QPen
from PyQt6.QtWidgets import QHBoxLayout, QVBoxLayout, QWidget

from nomos.base.language import tr
from nomos.project import Station
from nomos.ui.column import Column
from nomos.ui.controller import Controller
from nomos.ui.frame import theme
from nomos.ui.frame.controls import button, label
from nomos.ui.frame.state import Shown

_DEMO = "glasshouse"


Where = Literal["answers", "ladder", "sheet", "buttons"]


@dataclass(frozen=True)
class Step:
    """A place to look at, and what is to be seen there.

    where : the part of the window that is framed.
    """

    station: Station
    words: str
    where: Where
    part: str = ""
    shown: Shown | None = None


STEPS: tuple[Step, ...] = (
    Step(
        "design",
        tr(
            "This is a sketch that has been opened: read as nine flat colours, one of them bare paper. Too "
            "many, or two that are one? Click a field, or choose another number."
        ),
        "answers",
        "colours",
    ),
    Step(
        "blocks",
        tr(
            "Each rung is one pull: paper on top, the finished print at the foot. Click one to see the sheet "
            "as it is then; drag one to print in another order."
        ),
        "ladder",
        "blocks",
    ),
    Step(
        "blocks",
        tr(
            "Inks are transparent: where two lie over each other they make a third colour, so fewer blocks "
            "may do. Look for plans works that out; the chart shows where one more block stops helping."
        ),
        "answers",
        "fewer",
    ),
    Step(
        "blocks",
        tr(
            "To know counts what will fail on the wood and what could show. N goes from one to the next, and "
            "the sheet moves along."
        ),
        "answers",
        "know",
    ),
    Step(
        "inks",
        tr(
            "How near every colour comes to what is wanted, and how sure that is on this paper. Drag the "
            "strength and watch the sheet."
        ),
        "answers",
        "ink",
    ),
    Step(
        "register",
        tr("How every sheet meets every block. Drag the ring to see the print with one block out of place."),
        "sheet",
    ),
    Step(
        "carve",
        tr(
            "What is cut away, with which tool, and what is too fine for it. The block is seen as it lies "
            "before you: mirrored."
        ),
        "sheet",
        "blocks",
        "carved",
    ),
    Step("sheets", tr("So many sheets to begin with, that enough good ones are left at the end."), "answers"),
    Step(
        "register",
        tr(
            "At last, paper: Print… gives templates at true size, Packet… everything in a folder. Now open "
            "your own sketch."
        ),
        "buttons",
        "",
        "print",
    ),
)


class GuidedWalk(QWidget):
    """The words of a step over the sheet, with a frame around what they are about."""

    def __init__(
        self, over: QWidget, controller: Controller, column: Column, go_to: Callable[[Station], None],
        parts: Mapping[Where, QWidget],
    ) -> None:  # fmt: skip
        """over : the window. parts : what a step can be about."""
        super().__init__()
        self._hand, self._answers, self._turn, self._parts, self.at = controller, column, go_to, parts, -1
        self._frame = _Frame(over)
        self.words, self.place = label(), label(kind="quiet")
        self.next, self.back = button(tr("Next")), button(tr("Back"))
        self.leave = button(tr("Leave the walk"))
        lines = QVBoxLayout(self)
        lines.setContentsMargins(theme.scaled(14), theme.scaled(8), theme.scaled(8), theme.scaled(8))
        row = QHBoxLayout()
        row.addWidget(self.place, 1)
        for made in (self.back, self.next, self.leave):
            row.addWidget(made)
        lines.addWidget(self.words)
        lines.addLayout(row)
        self.next.clicked.connect(lambda: self.go_to(self.at + 1))
        self.back.clicked.connect(lambda: self.go_to(self.at - 1))
        self.leave.clicked.connect(self.end)
        self.hide()

    def begin(self) -> None:
        """Open the demo, once unsaved work is settled, and take the first step when it is there."""
        files = self._hand.files
        files.opened.connect(self._opened)
        self.at = 0
        files.open_demo(_DEMO)

    def _opened(self, _station: str) -> None:
        self._hand.files.opened.disconnect(self._opened)
        self.go_to(0)

    def go_to(self, at: int) -> None:
        """Take a step; after the last one the walk is over."""
        if not 0 <= at < len(STEPS) or self._hand.document.project is None:
            self.end()
            return
        self.at, step = at, STEPS[at]
        self._turn(step.station)
        station = self._answers.here(step.station).widget
        if step.part:
            station.turn_to(step.part)
        if step.shown is not None:
            self._answers.look(step.shown)
        self.words.setText(step.words)
        self.place.setText(
            tr("Step {at} of {steps}. Everything can be tried; nothing is kept.", at=at + 1, steps=len(STEPS))
        )
        self.back.setEnabled(at > 0)
        self.next.setText(tr("Next") if at + 1 < len(STEPS) else tr("Done"))
        self.show()
        self.next.setFocus(Qt.FocusReason.OtherFocusReason)
        self._frame.around(self._parts[step.where])

    def end(self) -> None:
        """Leave: the demo stays open."""
        self.at = -1
        self._frame.hide()
        self.hide()

    def paintEvent(self, _event: QPaintEvent | None) -> None:
        painter, tone = QPainter(self), theme.tones()
        painter.fillRect(self.rect(), QColor(tone.accent_pale))
        painter.fillRect(QRect(0, 0, 4, self.height()), QColor(tone.accent))


class _Frame(QWidget):
    """A line around a part of the window, which takes no click."""

    def __init__(self, window: QWidget) -> None:
        super().__init__(window)
        self.setAttribute(Qt.WidgetAttribute.WA_TransparentForMouseEvents)
        self.setFocusPolicy(Qt.FocusPolicy.NoFocus)
        self._part: QWidget | None = None
        self.hide()

    def around(self, part: QWidget) -> None:
        """Frame a part, wherever it comes to lie."""
        if self._part is not None:
            self._part.removeEventFilter(self)
        self._part = part
        part.installEventFilter(self)
        self._follow()
        self.raise_()
        self.show()

    def eventFilter(self, _watched: QObject | None, event: QEvent | None) -> bool:
        if event is not None and event.type() in (QEvent.Type.Resize, QEvent.Type.Move, QEvent.Type.Show):
            self._follow()
        return False

    def _follow(self) -> None:
        parent, part = self.parentWidget(), self._part
        if parent is not None and part is not None:
            self.setGeometry(QRect(part.mapTo(parent, part.rect().topLeft()), part.size()))

    def paintEvent(self, _event: QPaintEvent | None) -> None:
        painter = QPainter(self)
        painter.setPen(QPen(QColor(theme.tones().accent), theme.scaled(4)))
        painter.drawRect(self.rect().adjusted(2, 2, -2, -2))
