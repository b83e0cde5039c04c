"""What the hands of the stations share: the document they edit, and how they say what cannot be."""

from PyQt6.QtCore import QObject, pyqtSignal

from nomos.base.errors import BadInput
from nomos.ui.frame.document import Document, Edit
from nomos.ui.frame.jobs import JobRunner
from nomos.ui.frame.keeper import ProofKeeper
from nomos.ui.frame.questions import Questions


class Hand(QObject):
    """Asks and edits for a station."""

    changed = pyqtSignal()
    """Something that is shown has changed."""
    told = pyqtSignal(str)
    """A sentence for the user."""

    def __init__(
        self, document: Document, runner: JobRunner, keeper: ProofKeeper, questions: Questions
    ) -> None:
        super().__init__()
        self._document, self._runner, self._keeper, self._questions = document, runner, keeper, questions

    def _failed(self, problem: str) -> None:
        self.told.emit(problem)
        self.changed.emit()

    def _edit(self, text: str, change: Edit, merge_key: object = None) -> None:
        try:
            self._document.apply(text, change, merge_key=merge_key)
        except BadInput as error:
            self._failed(str(error))
