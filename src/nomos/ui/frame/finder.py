"""Find a setting by any word for it, in either language, and be taken there."""

from collections.abc import Callable, Iterator, Sequence
from dataclasses import dataclass

from PyQt6.QtWidgets import QAbstractButton, QDialog, QLineEdit, QListWidget, QListWidgetItem, QVBoxLayout, QWidget

from nomos.base.language import tr
from nomos.ui.frame import theme
from nomos.ui.frame.answers import Answers
from nomos.ui.frame.controls import label
from nomos.ui.frame.plain_text import set_tip
from nomos.ui.language import both_languages

# Words of the trade for one thing; who looks for one finds the others.
_ALIKE: tuple[tuple[str, ...], ...] = (
    ("trap", "overlap", "spread", "choke", "überfüllung", "überlappung"),
    ("register", "registration", "kento", "kagi", "hikitsuke", "notch", "pins", "passer", "passung"),
    ("packing", "tympan", "blanket", "aufzug"), ("extender", "medium", "transparent", "lasurmittel"),
    ("block", "plate", "matrix", "lino", "wood", "druckstock", "platte"),
    ("pull", "impression", "abzug", "druckgang"), ("roller", "brayer", "walze"),
    ("gouge", "knife", "chisel", "tools", "geissfuss", "werkzeug"), ("baren", "spoon", "press", "printed with"),
    ("bokashi", "graded", "blend", "verlauf"), ("dry", "drying", "overprint after", "trocknen"),
    ("paper", "washi", "papier"), ("edition", "copies", "auflage"), ("price", "cost", "preis", "kosten"),
)  # fmt: skip
_MOST = 30


@dataclass(frozen=True)
class Place:
    """A control of a station: what it is called, here and in both languages, all that is said of it, and where."""

    name: str
    names: str
    words: str
    station: str
    part: str
    control: QWidget


def places_of(station: str, answers: Answers) -> Iterator[Place]:
    """Every control of a station that has a name."""
    for part, group in answers.groups.items():
        for control in group.findChildren(QWidget):
            name = control.accessibleName() or (control.text() if isinstance(control, QAbstractButton) else "")
            if name and control.toolTip():
                names, words = (both_languages(*said).casefold() for said in ([name], [name, control.toolTip()]))
                yield Place(name, names, words, station, part, control)


def found(places: Sequence[Place], wanted: str) -> list[Place]:
    """The places whose words hold all of these, or words of the trade for the same; names that begin so first."""
    words = wanted.casefold().split()
    if not words:
        return []
    alike = [{word, *(other for some in _ALIKE if any(word in each for each in some) for other in some)}
             for word in words]  # fmt: skip
    fits = [each for each in places if all(any(one in each.words for one in some) for some in alike)]
    fits.sort(
        key=lambda each: (
            words[0] not in each.names, not any(one in each.names for one in alike[0]), words[0] not in each.words
        )
    )  # fmt: skip
    return list({(each.station, each.part, each.name): each for each in fits}.values())[:_MOST]


class Finder(QDialog):
    """A line to type in, and what is found; Enter goes there."""

    def __init__(self, parent: QWidget, places: Sequence[Place], go: Callable[[Place], object]) -> None:
        super().__init__(parent)
        self.setWindowTitle(tr("Find a setting"))
        self._places, self._go, self._found = places, go, list[Place]()
        self.line, self.list = QLineEdit(), QListWidget()
        self.line.setAccessibleName(tr("Word"))
        self.list.setAccessibleName(tr("Found"))
        set_tip(self.line, tr("Any word for it: overlap, kento, extender, Walze."))
        self.nothing = label("", kind="quiet")
        column = QVBoxLayout(self)
        for part in (self.line, self.list, self.nothing):
            column.addWidget(part)
        self.resize(theme.scaled(460), theme.scaled(360))
        self.line.textChanged.connect(self._look)
        self.line.returnPressed.connect(self._take)
        self.list.itemActivated.connect(self._take)
        self.list.itemClicked.connect(self._take)

    def _look(self, wanted: str) -> None:
        self.list.clear()
        self._found = found(self._places, wanted)
        for each in self._found:
            made = QListWidgetItem(f"{each.name}  ·  {each.station}")
            set_tip(made, each.control.toolTip())
            self.list.addItem(made)
        self.list.setCurrentRow(0)
        nothing = bool(wanted.strip()) and not self.list.count()
        self.nothing.setText(tr("Nothing is called that. Try another word for it.") if nothing else "")

    def _take(self) -> None:
        row = self.list.currentRow()
        if 0 <= row < len(self._found):
            self.accept()
            self._go(self._found[row])
