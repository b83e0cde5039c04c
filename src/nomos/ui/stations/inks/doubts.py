"""How sure the predicted colours are, worked out in the background when it is looked at."""

from collections.abc import Sequence

from PyQt6.QtCore import QObject, pyqtSignal

from nomos.project import Project
from nomos.project.inks.colour_uncertainty import Judged
from nomos.ui.frame.jobs import QUIET, Asker, JobRunner
from nomos.work.sure import sure_of


class Doubts(QObject):
    """Has the newest question answered."""

    changed = pyqtSignal()
    message = pyqtSignal(str)

    def __init__(self, runner: JobRunner) -> None:
        super().__init__()
        self._runner = runner
        self._judge = Asker(runner, "sure", self.message.emit, rank=QUIET)

    def of(self, project: Project, overlaps: Sequence[frozenset[int]] = ()) -> Judged | None:
        """How sure the colours are, and some overlaps; None until that has been worked out."""
        request = sure_of(project, tuple(overlaps))
        known = self._runner.answers.known(request)
        # One at a time: while something is dragged, the next begins when the last is done.
        if known is None and not self._judge.busy:
            self._judge.ask(request, lambda _: self.changed.emit())
        return known
