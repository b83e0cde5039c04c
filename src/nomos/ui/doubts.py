"""How sure the predicted colours are, worked out in the background when it is looked at."""

from collections.abc import Sequence

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

    def of(self, project: Project, overlaps: Sequence[frozenset[int]] = ()) -> Judged | None:
        """How sure the colours are, and some overlaps; None until that has been worked out.

        One at a time: while something is dragged, the next begins when the last is done.
        """
        known = self._known
        if known is not None and _same(known.project, project) and set(overlaps) <= set(known.overlaps):
            return known
        if "sure" not in self._runner.busy():
            self._runner.run(
                "sure",
                lambda progress: judge(project, overlaps, progress=progress),
                self._take,
                self.told.emit,
            )
        return None

    def _take(self, found: Judged) -> None:
        self._known = found
        self.changed.emit()


def _same(one: Project, other: Project) -> bool:
    """Whether the colours depend on nothing that differs."""
    return (one.inks, one.impressions, one.blocks, one.paper, one.flat, one.register.damp) == (
        other.inks, other.impressions, other.blocks, other.paper, other.flat, other.register.damp,
    )  # fmt: skip
