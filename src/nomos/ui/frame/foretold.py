"""Says once what is foretold of a print otherwise than when it was saved."""

from PyQt6.QtCore import QObject, pyqtSignal

from nomos.project import Project
from nomos.project.check.predictions import encoded, predictions_of, read_predictions, what_moved
from nomos.ui.frame.document import Document
from nomos.ui.frame.keeper import ProofKeeper


class Foretold(QObject):
    """Keeps what a file says of its print until there is a proof to compare it with."""

    message = pyqtSignal(str)

    def __init__(self, document: Document, keeper: ProofKeeper) -> None:
        super().__init__()
        self._document, self._keeper = document, keeper
        self._opened: tuple[Project, bytes | None] | None = None
        keeper.changed.connect(self._compare)

    def opened(self, project: Project, predicted: bytes | None) -> None:
        """A project has been read from a file. predicted : what that says of it."""
        self._opened = project, predicted

    def now(self) -> bytes | None:
        """What is foretold of the print as it stands; None while its proof is not there."""
        proof = self._keeper.proof
        if proof is None or proof.project is not self._document.project:
            return None
        return encoded(predictions_of(proof))

    def _compare(self) -> None:
        proof = self._keeper.proof
        if self._opened is None or proof is None or proof.project is not self._opened[0]:
            return
        said = what_moved(read_predictions(self._opened[1]), proof)
        self._opened = None
        if said:
            self.message.emit(said)
