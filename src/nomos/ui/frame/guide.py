"""The guide in a window of its own, beside the work: what this station is about, and a search."""

from PyQt6.QtCore import Qt
from PyQt6.QtGui import QTextCharFormat, QTextCursor
from PyQt6.QtWidgets import (
    QDialog,
    QHBoxLayout,
    QLineEdit,
    QListWidget,
    QListWidgetItem,
    QTextBrowser,
    QVBoxLayout,
    QWidget,
)

from nomos import guide
from nomos.base.language import tr
from nomos.ui.frame import theme

# So many letters of a line are shown where a word was found in it.
_SNIPPET = 70


class GuideWindow(QDialog):
    """Pages at the left, the one in hand at the right; typing in the field above finds lines in all."""

    def __init__(self, parent: QWidget) -> None:
        super().__init__(parent)
        self.setWindowTitle(tr("Guide"))
        self.setModal(False)
        self.wanted = QLineEdit()
        self.wanted.setPlaceholderText(tr("Find a word…"))
        self.wanted.setAccessibleName(tr("Find a word in the guide"))
        self.wanted.setClearButtonEnabled(True)
        self.pages, self.text = QListWidget(), QTextBrowser()
        self.pages.setAccessibleName(tr("Pages of the guide"))
        self.pages.setWordWrap(True)
        self.pages.setSpacing(theme.scaled(3))
        self.pages.setHorizontalScrollBarPolicy(Qt.ScrollBarPolicy.ScrollBarAlwaysOff)
        self.text.setAccessibleName(tr("The page"))
        left = QVBoxLayout()
        left.addWidget(self.wanted)
        left.addWidget(self.pages, 1)
        row = QHBoxLayout(self)
        row.addLayout(left, 2)
        row.addWidget(self.text, 5)
        self.resize(theme.scaled(780), theme.scaled(560))
        self.wanted.textChanged.connect(self._list)
        self.pages.currentItemChanged.connect(self._show)
        self._list("")

    def open_at(self, name: str) -> None:
        """Show a page."""
        self.wanted.clear()
        self.pages.setCurrentRow(guide.PAGES.index(name))
        self.show()
        self.raise_()
        self.pages.setFocus()

    def _list(self, wanted: str) -> None:
        self.pages.clear()
        if not wanted.strip():
            for name in guide.PAGES:
                self._add(name, guide.title_of(name))
            return
        for place in guide.search(wanted):
            here = place.title.split(":")[0]
            said = place.line if place.line == place.title else f"{here}: {_around(place.line, wanted)}"
            self._add(place.page, said)
        self.pages.setCurrentRow(0)

    def _add(self, page: str, text: str) -> None:
        item = QListWidgetItem(text)
        item.setData(Qt.ItemDataRole.UserRole, page)
        self.pages.addItem(item)

    def _show(self, item: QListWidgetItem | None) -> None:
        if item is None:
            return
        self.text.setMarkdown(guide.page(item.data(Qt.ItemDataRole.UserRole)))
        _space_out(self.text)
        wanted = self.wanted.text().split()
        # The first of the words that is looked for is brought into sight.
        if wanted:
            self.text.find(wanted[0])


def _around(line: str, wanted: str) -> str:
    """The part of a line around the first of the words."""
    at = line.casefold().find(wanted.split()[0].casefold())
    first, last = max(at - _SNIPPET // 2, 0), at + _SNIPPET
    return f"{'…' if first else ''}{line[first:last].strip()}{'…' if last < len(line) else ''}"


def _space_out(text: QTextBrowser) -> None:
    """Give headings the sizes of the window, and paragraphs room between them."""
    document = text.document()
    assert document is not None
    document.setDocumentMargin(theme.scaled(14))
    cursor, block = QTextCursor(document), document.begin()
    while block.isValid():
        shape, level = block.blockFormat(), block.blockFormat().headingLevel()
        shape.setTopMargin(theme.scaled(12 if level == 2 else 0))
        shape.setBottomMargin(theme.scaled(6))
        cursor.setPosition(block.position())
        cursor.setBlockFormat(shape)
        if level:
            cursor.movePosition(QTextCursor.MoveOperation.EndOfBlock, QTextCursor.MoveMode.KeepAnchor)
            letters = QTextCharFormat()
            letters.setFont(theme.question_font() if level == 1 else theme.name_font())
            cursor.mergeCharFormat(letters)
        block = block.next()
