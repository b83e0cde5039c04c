"""What the hands of the stations share: the document they edit, and how they say what cannot be."""

from PyQt6.QtCore import QObject, pyqtSignal

from nomos.base.language import tr
from nomos.ui.frame.editor import Editor
from nomos.ui.frame.jobs import JobRunner
from nomos.ui.frame.keeper import ProofKeeper
from nomos.ui.frame.questions import Questions


class StationEditor(QObject):
    """Asks and edits for a station."""

    changed = pyqtSignal()
    """Something that is shown has changed."""
    message = pyqtSignal(str)
    """A sentence for the user."""

    def __init__(self, editor: Editor, runner: JobRunner, keeper: ProofKeeper, questions: Questions) -> None:
        super().__init__()
        self._editor, self._document = editor, editor.document
        self._runner, self._keeper, self._questions = runner, keeper, questions

    def _failed(self, problem: str) -> None:
        self.message.emit(problem)
        self.changed.emit()


def dropped(what: str) -> str:
    """What is said of work that came too late: the print was changed while it was done."""
    return tr("{what} was dropped: the print was changed meanwhile. Ask for it once more.", what=what)
