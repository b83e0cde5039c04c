"""Between planning and what is printed: an edit that would make the record untrue is asked about first."""

from PyQt6.QtCore import QObject, pyqtSignal

from nomos.base.language import tr
from nomos.project import Project
from nomos.project.edition.printed import contradictions
from nomos.ui.frame.document import Document
from nomos.ui.frame.questions import Questions
from nomos.ui.stations.bench.logbook import LogBook


class PrintedGuard(QObject):
    """Asks once about each contradiction; the log itself keeps what was printed whatever is planned."""

    message = pyqtSignal(str)
    refused = pyqtSignal()
    """An edit was not made: what is shown must go back."""

    def __init__(self, document: Document, book: LogBook, questions: Questions) -> None:
        super().__init__()
        self._document, self._book, self._questions = document, book, questions
        self._accepted: set[str] = set()
        document.allows = self._allows
        document.stack.indexChanged.connect(self._stepped)
        self._before: Project | None = None
        document.changed.connect(self._changed)

    def _said(self, before: Project, after: Project) -> tuple[str, ...]:
        if self._book.practising or self._document.project is not before:
            return ()
        if not self._book.events():
            return ()
        state = self._book.state()
        return contradictions(before, after, state) if state is not None else ()

    def _allows(self, before: Project, after: Project) -> bool:
        new = [said for said in self._said(before, after) if said not in self._accepted]
        if not new:
            return True
        if self._questions.contradicts(tuple(new)):
            self._accepted |= set(new)
            return True
        self.refused.emit()
        return False

    def _changed(self, before: Project | None, after: Project | None) -> None:
        if before is None or after is None or before.source != after.source:
            self._accepted = set()
        self._before = before

    def _stepped(self, _index: int) -> None:
        """Undoing cannot be asked about, but it is said."""
        before, after = self._before, self._document.project
        if before is None or after is None or self._book.practising or not self._book.events():
            return
        state = self._book.state()
        if state is None:
            return
        new = [said for said in contradictions(before, after, state) if said not in self._accepted]
        if new:
            self.message.emit(" ".join([*new, tr("The log keeps what was printed; redo goes back.")]))
