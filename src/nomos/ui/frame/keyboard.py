"""Every key in one table: what the window binds and what it lists under Keys."""

from collections.abc import Callable, Mapping, Sequence

from PyQt6.QtCore import Qt
from PyQt6.QtGui import QKeySequence, QShortcut
from PyQt6.QtWidgets import QDialog, QGridLayout, QVBoxLayout, QWidget

from nomos.base.language import tr
from nomos.ui.frame import theme
from nomos.ui.frame.controls import button, label

# (name of the action, keys, what it does). A plain letter or digit does nothing while a field is typed in.
BINDINGS: tuple[tuple[str, tuple[str, ...], str], ...] = (
    ("station 1", ("1",), tr("Design")),
    ("station 2", ("2",), tr("Blocks")),
    ("station 3", ("3",), tr("Inks")),
    ("station 4", ("4",), tr("Order")),
    ("station 5", ("5",), tr("Register")),
    ("station 6", ("6",), tr("Carve")),
    ("station 7", ("7",), tr("Sheets")),
    ("station 8", ("8",), tr("Bench")),
    ("earlier", (",",), tr("The sheet one pull earlier")),
    ("later", (".",), tr("The sheet one pull later")),
    ("grow", ("G",), tr("Watch the sheet grow pull by pull; again to stop")),
    ("finding", ("N",), tr("To the next finding, where it is on the sheet")),
    ("whole", ("W",), tr("Whole sheet")),
    ("true", ("T",), tr("True size")),
    ("loupe", ("L",), tr("Loupe on and off")),
    ("closer", ("+", "="), tr("Closer")),
    ("further", ("-",), tr("Further away")),
    ("full screen", ("F11",), tr("Full screen, and back")),
    ("copy picture", ("Ctrl+Shift+C",), tr("Copy what the sheet shows as a picture")),
    ("open", ("Ctrl+O",), tr("Open a sketch or a project")),
    ("telephone", ("Ctrl+T",), tr("A picture from the telephone")),
    ("save", ("Ctrl+S",), tr("Save")),
    ("save as", ("Ctrl+Shift+S",), tr("Save under another name")),
    ("print", ("Ctrl+P",), tr("Print templates, pulls or carving maps at true size")),
    ("packet", ("Ctrl+Shift+P",), tr("Write the packet of templates and proofs")),
    ("undo", ("Ctrl+Z",), tr("Undo")),
    ("redo", ("Ctrl+Shift+Z", "Ctrl+Y"), tr("Redo")),
    ("find", ("Ctrl+F",), tr("Find a setting by any word for it")),
    ("preferences", ("Ctrl+,",), tr("Preferences, and the studio")),
    ("stop", (tr("Esc"),), tr("Stop what is running")),
    ("guide", ("F1",), tr("The guide, at this station")),
    ("keys", ("K",), tr("This list")),
)
# Keys that the parts of the window answer to by themselves.
_IN_PLACE: tuple[tuple[str, str], ...] = (
    (tr("Tab"), tr("To the next control")),
    ("↑ ↓", tr("Another rung of the ladder, or another row")),
    (tr("Ctrl+↑ ↓"), tr("On the ladder: print it earlier or later")),
    ("← →", tr("Along a strip of patches, the stations, or the sheet")),
    (tr("Page ↑ ↓"), tr("Along a strip of patches, ten steps")),
    (tr("F held"), tr("At Design: the sketch in place of what was made of it")),
    (tr("← → ↑ ↓ Space"), tr("On the picture: move a corner; take the next")),
    (tr("Space X R"), tr("At the bench: good, spoiled, repaired; Backspace takes back")),
)


def bind(window: QWidget, actions: Mapping[str, Callable[[], object]]) -> None:
    """Give the window its keys. Raises KeyError for a binding without an action."""
    for name, keys, _ in BINDINGS:
        for key in keys:
            shortcut = QShortcut(QKeySequence(key), window)
            action = actions[name]
            shortcut.activated.connect(lambda action=action: action())


def key_of(name: str) -> str:
    """The first key of an action, as shown on a button's tip."""
    return next(keys[0] for action, keys, _ in BINDINGS if action == name)


class KeyList(QDialog):
    """All keys, in two columns."""

    def __init__(self, parent: QWidget) -> None:
        super().__init__(parent)
        self.setWindowTitle(tr("Keys"))
        column = QVBoxLayout(self)
        column.setContentsMargins(*[theme.scaled(18)] * 4)
        column.addWidget(label(tr("Everything works from the keyboard"), kind="question"))
        listed = [(tr(" or ").join(keys), what) for _, keys, what in BINDINGS]
        grid = QGridLayout()
        grid.setHorizontalSpacing(theme.scaled(16))
        grid.setVerticalSpacing(theme.scaled(5))
        rows = [*listed, *_IN_PLACE]
        half = (len(rows) + 1) // 2
        for side, part in enumerate((rows[:half], rows[half:])):
            self._fill(grid, part, 3 * side)
        grid.setColumnMinimumWidth(2, theme.scaled(20))
        column.addLayout(grid)
        close = button(tr("Close"))
        close.clicked.connect(self.accept)
        column.addWidget(close, 0, Qt.AlignmentFlag.AlignRight)

    @staticmethod
    def _fill(grid: QGridLayout, rows: Sequence[tuple[str, str]], first: int) -> None:
        for place, (keys, what) in enumerate(rows):
            for offset, (text, kind) in enumerate(((keys, "name"), (what, "text"))):
                made = label(text, kind=kind)
                made.setWordWrap(False)
                grid.addWidget(made, place, first + offset)
