"""The bench: large, few words, one key or click for each event, readable at two metres."""

from PyQt6.QtCore import QEvent, QSize, Qt, QTimer, pyqtSignal
from PyQt6.QtGui import QColor, QFont, QHideEvent, QKeyEvent, QPainter, QPaintEvent, QPixmap, QShowEvent
from PyQt6.QtWidgets import QGridLayout, QHBoxLayout, QLabel, QPushButton, QVBoxLayout, QWidget

from nomos.base.language import opened, tr
from nomos.ui.frame import theme
from nomos.ui.frame.plain_text import set_tip
from nomos.ui.frame.sheet import image_of
from nomos.ui.stations.bench.bench_view import BenchView
from nomos.ui.stations.bench.note import NoteLine

# Type in pixels: what is read from two metres, and what is read close by.
_HUGE, _LARGE, _TEXT = 84, 40, 28
_BUTTON_PX = 84
_MINUTE_MS = 60_000


def _words(size: int, *, bold: bool = False) -> QLabel:
    made = QLabel()
    made.setWordWrap(True)
    made.setTextFormat(Qt.TextFormat.PlainText)
    made.setFont(theme.font(size, QFont.Weight.Bold if bold else QFont.Weight.Normal))
    return made


def _large_button(text: str, tip: str = "") -> QPushButton:
    made = QPushButton(text)
    set_tip(made, tip)
    made.setFont(theme.font(_TEXT, QFont.Weight.DemiBold))
    made.setMinimumHeight(theme.scaled(_BUTTON_PX))
    made.setFocusPolicy(Qt.FocusPolicy.NoFocus)
    made.setAutoDefault(False)
    return made


class BenchScreen(QWidget):
    """One sheet after the other."""

    good = pyqtSignal()
    spoiled = pyqtSignal()
    reason_given = pyqtSignal(int)
    repaired = pyqtSignal()
    taken_back = pyqtSignal()
    begun = pyqtSignal()
    guide_requested = pyqtSignal()
    guided_on = pyqtSignal()
    guide_left = pyqtSignal()
    never_mind = pyqtSignal()
    cut_refused = pyqtSignal()
    note_given = pyqtSignal(str, str)
    """A kind of note and what is noted."""
    photograph_requested = pyqtSignal()
    pressed = pyqtSignal()
    ticked = pyqtSignal()
    """Once a minute while the bench is in sight: timers go on."""

    def __init__(self) -> None:
        super().__init__()
        self.setFocusPolicy(Qt.FocusPolicy.StrongFocus)
        self.setAccessibleName(tr("Bench"))
        self._asking, self._asking_cut, self._guiding, self._swatch = False, False, False, ""
        column = QVBoxLayout(self)
        side = theme.scaled(28)
        column.setContentsMargins(side + theme.scaled(28), theme.scaled(16), side, theme.scaled(16))
        column.setSpacing(theme.scaled(6))
        self._make_words(column)
        self._make_buttons(column)
        self._clock = QTimer(self)
        self._clock.setInterval(_MINUTE_MS)
        self._clock.timeout.connect(self.ticked)

    def _make_words(self, column: QVBoxLayout) -> None:
        self.title, self.sheet = _words(_LARGE, bold=True), _words(_HUGE, bold=True)
        self.quiet, self.lines = _words(_TEXT), _words(_TEXT)
        self.reminder, self.tally, self.after = _words(_TEXT, bold=True), _words(_TEXT), _words(_TEXT)
        self.gate, self.read = _words(_TEXT, bold=True), _words(_TEXT, bold=True)
        head = QHBoxLayout()
        head.addWidget(self.sheet, 2)
        head.addWidget(self.quiet, 3, Qt.AlignmentFlag.AlignBottom)
        column.addWidget(self.title)
        column.addLayout(head)
        self.picture = QLabel()
        self.picture.setAccessibleName(tr("The sheet after this pull"))
        self.picture.setAlignment(Qt.AlignmentFlag.AlignTop | Qt.AlignmentFlag.AlignRight)
        middle = QHBoxLayout()
        said = QVBoxLayout()
        for part in (self.read, self.reminder, self.lines, self.gate):
            said.addWidget(part)
        said.addStretch(1)
        middle.addLayout(said, 3)
        middle.addWidget(self.picture, 1)
        column.addLayout(middle, 1)

    def _make_buttons(self, column: QVBoxLayout) -> None:
        self.buttons = {
            name: _large_button(words, tip)
            for name, words, tip in (
                ("good", tr("Good\nSpace"), tr("The sheet is good.")),
                ("spoiled", tr("Spoiled\nX"), tr("The sheet is spoiled: say why.")),
                ("repaired", tr("Repaired\nR"), tr("It was mended and counts.")),
                ("back", tr("Take back\nBackspace"), tr("Undo what was said last.")),
                ("note", tr("Note\nN"), tr("Batch, air, packing, a remark.")),
                (
                    "photograph",
                    tr("Photograph\nF"),
                    tr("Take the sheet that was pulled last with the telephone: is it in register?"),
                ),
            )
        }
        self._row = QWidget()
        row = QHBoxLayout(self._row)
        row.setContentsMargins(0, 0, 0, 0)
        for made in self.buttons.values():
            row.addWidget(made)
        self._reason_grid = self._made_reasons()
        self.note = NoteLine()
        self.note.setVisible(False)
        self.begin = _large_button("", tr("Print this layer next. The key does the same."))
        self.guide = _large_button("", tr("Go through a bench session without a press, in a log of its own."))
        self.not_yet = _large_button(tr("Not yet\nEsc"), tr("The board is not cut on."))
        for part in (
            self.begin, self.not_yet, self._row, self.note, self._reason_grid, self.tally, self.after,
            self.guide,
        ):  # fmt: skip
            column.addWidget(part)
        for name, wish in (
            ("good", self.good), ("spoiled", self.spoiled), ("repaired", self.repaired),
            ("back", self.taken_back),
        ):  # fmt: skip
            self.buttons[name].clicked.connect(wish)
        self.buttons["note"].clicked.connect(self._take_note)
        self.buttons["photograph"].clicked.connect(self.photograph_requested)
        self.note.noted.connect(self._noted)
        self.note.left.connect(self._leave_note)
        self.begin.clicked.connect(self.begun)
        self.not_yet.clicked.connect(self.cut_refused)
        self.guide.clicked.connect(self._guide)

    def _made_reasons(self) -> QWidget:
        """Why a sheet is spoiled, a button each."""
        self.reasons = [_large_button("") for _ in range(8)]
        made = QWidget()
        grid = QGridLayout(made)
        grid.setContentsMargins(0, 0, 0, 0)
        for place, each in enumerate(self.reasons):
            grid.addWidget(each, place // 4, place % 4)
            if place < 7:
                each.clicked.connect(lambda _checked, place=place: self.reason_given.emit(place))
        self.reasons[7].setText(tr("Not spoiled\nEsc"))
        self.reasons[7].clicked.connect(self.never_mind)
        return made

    def _take_note(self) -> None:
        self.note.setVisible(True)
        self.note.begin()

    def _noted(self, kind: str, text: str) -> None:
        self._leave_note()
        self.note_given.emit(kind, text)

    def _leave_note(self) -> None:
        self.note.setVisible(False)
        self.setFocus()

    def showEvent(self, _event: QShowEvent | None) -> None:
        self._clock.start()

    def hideEvent(self, _event: QHideEvent | None) -> None:
        self._clock.stop()

    def minimumSizeHint(self) -> QSize:
        # The window decides how large it is: what has no room is cut off below, not grown for.
        return QSize(theme.scaled(480), theme.scaled(320))

    def _guide(self) -> None:
        (self.guided_on if self._guiding else self.guide_requested).emit()

    def show_view(self, view: BenchView) -> None:
        """Show what is next."""
        self._asking, self._swatch = bool(view.reasons), view.swatch
        self._guiding = bool(view.guide)
        for part, text in (
            (self.title, view.title), (self.sheet, view.sheet), (self.quiet, view.quiet),
            (self.lines, "\n".join(view.lines)), (self.tally, view.tally),
            (self.reminder, "\n".join(f"→ {each}" for each in view.reminders[:2])),
            (self.after, " ".join(part for part in (view.timer, view.after) if part)),
            (self.gate, view.gate), (self.read, view.read),
        ):  # fmt: skip
            part.setText(text)
            part.setVisible(bool(text))
        self._show_picture(view)
        if self._asking:
            # Room for the reasons: what is known by now steps back.
            self.lines.setVisible(False)
            self.after.setVisible(False)
            self.read.setVisible(False)
        self.begin.setText(tr("{begin}\nEnter", begin=view.begin))
        self.begin.setVisible(bool(view.begin) and not self._asking)
        self._asking_cut = view.asking_cut
        self.not_yet.setVisible(view.asking_cut)
        self._row.setVisible(view.can_pull and not self._asking)
        self._reason_grid.setVisible(self._asking)
        for place, made in enumerate(self.reasons[:7]):
            if place < len(view.reasons):
                made.setText(f"{opened(tr(view.reasons[place]))}\n{place + 1}")
        self.guide.setText(f"{view.guide}\nG" if view.guide else tr("Try it with simulated devices\nG"))
        self.guide.setVisible((self._guiding or not view.can_pull) and not self._asking)
        self.update()

    def _show_picture(self, view: BenchView) -> None:
        """The sheet as it should look after this pull."""
        shown = view.picture is not None and not view.reasons
        if view.picture is not None:
            self.picture.setPixmap(QPixmap.fromImage(image_of(view.picture, 1.0)))
        self.picture.setVisible(shown)

    def paintEvent(self, _event: QPaintEvent | None) -> None:
        painter, tone = QPainter(self), theme.tones()
        painter.fillRect(self.rect(), QColor(tone.ladder))
        if self._swatch:
            painter.fillRect(0, 0, theme.scaled(28), self.height(), QColor(self._swatch))

    def event(self, event: QEvent | None) -> bool:
        # At the bench its own keys come before the window's: 1 is a reason there, not a station.
        if event is not None and event.type() == QEvent.Type.ShortcutOverride and isinstance(event, QKeyEvent):
            own = {Qt.Key.Key_X, Qt.Key.Key_R, Qt.Key.Key_P, Qt.Key.Key_G, Qt.Key.Key_N, Qt.Key.Key_F, Qt.Key.Key_Space}
            if self._asking:
                own |= {Qt.Key(Qt.Key.Key_1 + n) for n in range(7)}
            if self._asking or self._asking_cut or self._guiding:
                own |= {Qt.Key.Key_Escape}
            if event.key() in own:
                event.accept()
                return True
        return super().event(event)

    def keyPressEvent(self, event: QKeyEvent | None) -> None:
        assert event is not None
        if event.isAutoRepeat():
            # A key that is held is one pull, not twenty.
            return
        key = event.key()
        if self._asking:
            place = key - Qt.Key.Key_1
            if 0 <= place < 7:
                self.reason_given.emit(place)
            elif key == Qt.Key.Key_Escape:
                self.never_mind.emit()
            return
        pulling, beginning = self._row.isVisible(), self.begin.isVisible()
        if key == Qt.Key.Key_Space and pulling:
            self.good.emit()
        elif key == Qt.Key.Key_X and pulling:
            self.spoiled.emit()
        elif key == Qt.Key.Key_R and pulling:
            self.repaired.emit()
        elif key == Qt.Key.Key_Backspace:
            self.taken_back.emit()
        elif key == Qt.Key.Key_P:
            self.pressed.emit()
        elif key == Qt.Key.Key_F:
            self.photograph_requested.emit()
        elif key in (Qt.Key.Key_Return, Qt.Key.Key_Enter) and beginning:
            self.begun.emit()
        elif key == Qt.Key.Key_G and self.guide.isVisible():
            self._guide()
        elif key == Qt.Key.Key_Escape and self._asking_cut:
            self.cut_refused.emit()
        elif key == Qt.Key.Key_N and pulling:
            self._take_note()
        elif key == Qt.Key.Key_Escape and self._guiding:
            self.guide_left.emit()
        else:
            super().keyPressEvent(event)
