"""The column of a station: its question, its parts in one row, what to know, and below the part in sight."""

from collections.abc import Sequence

from PyQt6.QtCore import Qt, pyqtSignal
from PyQt6.QtGui import QResizeEvent
from PyQt6.QtWidgets import QAbstractButton, QScrollArea, QVBoxLayout, QWidget

from nomos.base.language import tr
from nomos.ui.frame import theme
from nomos.ui.frame.controls import Choice, button, label
from nomos.ui.frame.findings import FindingList, counts_of, words_of
from nomos.ui.frame.form import Form
from nomos.ui.frame.more import More
from nomos.ui.frame.plain_text import set_tip
from nomos.ui.frame.rows import Note

_LEAST_BODY = 200
KNOW = "know"
"""The part that holds the findings."""


class Answers(QWidget):
    """The head stays where it is; the part below it scrolls."""

    part_turned = pyqtSignal(str)

    def __init__(self, question: str, parts: Sequence[tuple[str, str]], first: str) -> None:
        super().__init__()
        self.part = first
        self.parts = Choice(parts)
        self.parts.setAccessibleName(tr("Parts of the station"))
        for made in self.parts.findChildren(QAbstractButton):
            set_tip(made, tr("Show this part of the station."))
        self.know = button("")
        self.know.setCheckable(True)
        self.know.setProperty("know", True)
        self.findings = FindingList()
        self._groups: dict[str, QWidget] = {}
        self.more: dict[str, More] = {}
        self._before = first
        side = theme.scaled(16)
        self._head = QWidget()
        head = QVBoxLayout(self._head)
        head.setContentsMargins(side, theme.scaled(12), side, theme.scaled(6))
        head.setSpacing(theme.scaled(8))
        for widget in (label(question, kind="question"), self.parts, self.know):
            head.addWidget(widget)
        inner = QWidget()
        self._inner = QVBoxLayout(inner)
        self._inner.setContentsMargins(0, 0, 0, 0)
        self._inner.setSpacing(0)
        self._column = QVBoxLayout()
        self._inner.addLayout(self._column, 1)
        self._column.setContentsMargins(side, theme.scaled(6), side, theme.scaled(14))
        self._column.setSpacing(theme.scaled(8))
        self.area = QScrollArea()
        self.area.setWidgetResizable(True)
        self.area.setFrameShape(QScrollArea.Shape.NoFrame)
        self.area.setWidget(inner)
        self.area.setFocusPolicy(Qt.FocusPolicy.NoFocus)
        self._whole = QVBoxLayout(self)
        self._whole.setContentsMargins(0, 0, 0, 0)
        self._whole.setSpacing(0)
        self._whole.addWidget(self._head)
        self._whole.addWidget(self.area, 1)
        self.parts.chosen.connect(self.turn_to)
        self.know.clicked.connect(lambda on: self.turn_to(KNOW if on else self._before))
        self.know.hide()

    def fill(self, groups: dict[str, QWidget], above: QWidget | None = None, below: QWidget | None = None) -> None:
        """Give it the parts named at the beginning, and turn to the first.

        above : what stands over some of the parts, for the station to show or hide.
        below : what stands under every part.
        """
        self._groups = {**groups, KNOW: self.findings}
        if above is not None:
            self._column.addWidget(above)
        for name, made in self._groups.items():
            self._column.addWidget(made)
            forms = [form for form in made.findChildren(Form) if form.further]
            if forms:
                self.more[name] = More(f"{type(self).__name__}/{name}", forms)
                self._column.addWidget(self.more[name])
        if below is not None:
            self._column.addWidget(below)
        self._column.addStretch(1)
        self.turn_to(self.part)

    def resizeEvent(self, _event: QResizeEvent | None) -> None:
        """Where there is little height the head scrolls with the rest."""
        needed = self._head.heightForWidth(self.width()) + theme.scaled(_LEAST_BODY)
        home = self._inner if needed > self.height() else self._whole
        if home.indexOf(self._head) < 0:
            home.insertWidget(0, self._head)

    def turn_to(self, part: str) -> None:
        """Show one part of the station."""
        if part != KNOW:
            self._before = part
        self.part = part
        self.parts.show_choice(part)
        self.know.setChecked(part == KNOW)
        for name, made in self._groups.items():
            made.setVisible(name == part)
            if name in self.more:
                self.more[name].setVisible(name == part)
        bar = self.area.verticalScrollBar()
        if bar is not None:
            bar.setValue(0)
        self.part_turned.emit(part)

    @property
    def groups(self) -> dict[str, QWidget]:
        """The parts by name, without what there is to know."""
        return {name: made for name, made in self._groups.items() if name != KNOW}

    def show_notes(self, notes: Sequence[Note]) -> None:
        """Show what to know; without findings there is nothing to turn to."""
        self.findings.show_findings(notes)
        self.know.setText(counts_of(notes))
        self.know.setAccessibleName(words_of(notes))
        set_tip(self.know, tr("{words_of}. N goes from one to the next on the sheet.", words_of=words_of(notes)))
        self.know.setVisible(bool(notes))
        if not notes and self.part == KNOW:
            self.turn_to(self._before)
