"""The row under the sheet: files, undo, and how the sheet is looked at."""

from collections.abc import Mapping

from PyQt6.QtCore import pyqtSignal
from PyQt6.QtGui import QColor, QPainter, QPaintEvent
from PyQt6.QtWidgets import QHBoxLayout, QPushButton, QWidget

from nomos.base.language import tr, within
from nomos.ui.frame import theme
from nomos.ui.frame.controls import button, label
from nomos.ui.frame.flow import FlowLayout
from nomos.ui.frame.keyboard import key_of
from nomos.ui.frame.plain_text import set_tip

_FILES = (
    ("open", tr("Open…")), ("save", tr("Save")), ("print", tr("Print…")), ("packet", tr("Packet…")),
    ("undo", tr("Undo")),
    ("redo", tr("Redo")),
)  # fmt: skip
_LOOKS = (("whole", tr("Whole sheet")), ("true", tr("True size")), ("loupe", tr("Loupe")), ("keys", tr("Keys")))


class ButtonRow(QWidget):
    """Buttons with words. Each reports the name of its action."""

    pressed = pyqtSignal(str)

    def __init__(self) -> None:
        super().__init__()
        self.buttons: dict[str, QPushButton] = {}
        row = QHBoxLayout(self)
        row.setContentsMargins(theme.scaled(8), theme.scaled(3), theme.scaled(8), theme.scaled(3))
        self.scale = label(kind="quiet")
        self.scale.setWordWrap(False)
        files, looks = QWidget(), QWidget()
        for side, entries in ((files, _FILES), (looks, _LOOKS)):
            flow = FlowLayout(side, theme.scaled(2), fill=False)
            if side is looks:
                flow.addWidget(self.scale)
            for name, text in entries:
                flow.addWidget(self._button(name, text))
        row.addWidget(files)
        row.addStretch(1)
        row.addWidget(looks)
        self.buttons["loupe"].setCheckable(True)

    def _button(self, name: str, text: str) -> QPushButton:
        made = button(text, plain=True)
        set_tip(made, f"{text.rstrip('…')}: {key_of(name)}")
        made.clicked.connect(lambda: self.pressed.emit(name))
        self.buttons[name] = made
        return made

    def show_state(self, *, project: bool, unsaved: bool, packet: bool, undo: str, redo: str) -> None:
        """What can be done now; undo and redo name what they would take back, or are empty."""
        enabled = {"save": project, "print": packet, "packet": packet, "undo": bool(undo), "redo": bool(redo)}
        for name, on in enabled.items():
            self.buttons[name].setEnabled(on)
        for name in ("whole", "true", "loupe"):
            self.buttons[name].setEnabled(project)
        self.buttons["save"].setText(tr("Save •") if unsaved else tr("Save"))
        self.buttons["save"].setAccessibleName(tr("Save, there are unsaved changes") if unsaved else tr("Save"))
        set_tip(self.buttons["undo"], tr("Undo {undo}: {key_of}", undo=within(undo), key_of=key_of("undo")))
        set_tip(self.buttons["redo"], tr("Redo {redo}: {key_of}", redo=within(redo), key_of=key_of("redo")))

    def show_whys(self, whys: Mapping[str, str]) -> None:
        """Say of buttons that are grey what they lack, by the names of their actions."""
        for name, made in self.buttons.items():
            if name in whys and not made.isEnabled():
                set_tip(made, whys[name])
            elif name not in ("undo", "redo"):
                set_tip(made, f"{made.text().rstrip('… •')}: {key_of(name)}")

    def show_scale(self, share_of_true_size: float) -> None:
        """How large the sheet is drawn, against its true size."""
        self.scale.setText(tr("{share_of_true_size:.0f} % of true size", share_of_true_size=100 * share_of_true_size))

    def paintEvent(self, _event: QPaintEvent | None) -> None:
        QPainter(self).fillRect(self.rect(), QColor(theme.tones().strip))
