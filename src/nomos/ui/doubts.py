"""How sure the predicted colours are, worked out in the background when it is looked at."""

from PyQt6.QtCore import QObject, pyqtSignal

from nomos.project import Project
from nomos.project.sureness import Judged, judge
from nomos.ui.jobs import JobRunner


class Doubts(QObject):
    """Keeps the last answer until the one for the project as it is now is there."""

    changed = pyqtSignal()
    told = pyqtSignal(str)

    def __init__(self, runner: JobRunner) -> None:
        super().__init__()
        self._runner = runner
        self._known: Judged | None = None
        self._asked: Project | None = None

    def of(self, project: Project) -> Judged | None:
        """How sure the colours are; None until it has been worked out."""
        if self._known is not None and _same(self._known.project, project):
            return self._known
        if self._asked is None or not _same(self._asked, project):
            self._asked = project
            self._runner.run(
                "sure", lambda progress: judge(project, progress=progress), self._take, self._failed
            )
        return None

    def _take(self, found: Judged) -> None:
        self._known, self._asked = found, None
        self.changed.emit()

    def _failed(self, problem: str) -> None:
        self._asked = None
        self.told.emit(problem)


def _same(one: Project, other: Project) -> bool:
    """Whether the colours depend on nothing that differs."""
    return (one.inks, one.impressions, one.blocks, one.paper, one.flat) == (
        other.inks, other.impressions, other.blocks, other.paper, other.flat,
    )  # fmt: skip
