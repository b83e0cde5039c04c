"""Lays another look of the print beside the one that is shown: a plan, a file, an edit, the sketch."""

from collections.abc import Callable
from pathlib import Path

from PyQt6.QtCore import QObject, pyqtSignal

from nomos.base.errors import BadInput
from nomos.base.language import tr
from nomos.base.progress import Part, Progress
from nomos.project import Assets, Project, load
from nomos.ui.controller import Controller
from nomos.ui.frame.beside import Beside, laid_beside, print_raster
from nomos.ui.frame.document import Slow
from nomos.ui.frame.jobs import Asker, JobRunner
from nomos.ui.frame.raster import Raster
from nomos.work.cut import cut_of, sheet_of

Look = Callable[[Progress], Raster]


class Comparer(QObject):
    """What is laid beside the print; none for most of the time."""

    changed = pyqtSignal()
    message = pyqtSignal(str)

    def __init__(self, controller: Controller, runner: JobRunner) -> None:
        super().__init__()
        self._hand, self._runner = controller, runner
        self._work = Asker(runner, tr("compare looks"), self.message.emit, said=tr("laying both beside each other"))
        self.beside: Beside | None = None
        self._before: Project | None = None
        self._session = ""
        controller.document.changed.connect(self._edited)

    def _edited(self, before: Project | None, after: Project | None) -> None:
        # Of another print by name or file there are no pictures any more.
        session, self._session = self._session, self._hand.document.session
        self._before = before if after is not None and session == self._session else None
        self.stop()

    def stop(self) -> None:
        """Show the print alone again."""
        self._work.cancel()
        if self.beside is not None:
            self.beside = None
            self.changed.emit()

    def with_sketch(self) -> None:
        """Beside the sketch the design was read from."""
        sketch = self._hand.designer.sketch
        if sketch is None:
            self._hand.designer.need_reading()
            self.message.emit(tr("The sketch is being read: compare again in a moment."))
            return
        self._lay("sketch", lambda _progress: sketch)

    def with_saved(self) -> None:
        """Beside the print as it was saved last."""
        path = self._hand.document.path
        if path is not None:
            self._with_file(tr("as saved"), path)

    def with_file(self, path: Path) -> None:
        """Beside the print of another file, a variant of this one."""
        self._with_file(path.stem, path)

    def _with_file(self, title: str, path: Path) -> None:
        self._lay(title, lambda progress: self._look_of(*load(path), progress))

    def with_before(self) -> None:
        """Beside the print before the last change."""
        if self._before is None:
            self.message.emit(tr("Nothing has changed yet."))
            return
        before = self._before
        self.with_made(tr("before the change"), lambda _project, _progress: before)

    def with_made(self, title: str, make: Slow) -> None:
        """Beside the print of what is made of this project, in the background; its pictures are the same."""
        project, assets = self._hand.document.project, dict(self._hand.document.assets)
        if project is not None:
            self._lay(
                title,
                lambda progress: self._look_of(
                    make(project, Part(progress, 0.0, 0.5)), assets, Part(progress, 0.5, 1.0)
                ),
            )

    def _look_of(self, other: Project, assets: Assets, progress: Progress) -> Raster:
        cut = cut_of(other, assets)
        if cut is None or not other.impressions:
            raise BadInput(tr("There is no print to compare with: it has no blocks."))
        return print_raster(other, self._runner.answers(sheet_of(other, cut), progress).laid)

    def _lay(self, title: str, look: Look) -> None:
        proof = self._hand.keeper.proof
        if proof is None or proof.project is not self._hand.document.project:
            self.message.emit(tr("The print is being laid: compare again in a moment."))
            return

        def work(progress: Progress) -> Beside:
            other = look(Part(progress, 0.0, 0.7))
            progress.report(0.7, tr("looking for what differs"))
            return laid_beside(title, proof, other)

        def take(found: Beside) -> None:
            # Of another print by now: it would be laid beside what it does not belong to.
            if self._hand.document.project is proof.project:
                self.beside = found
                self._hand.set_state(shown="print", pulls=None)
                self.changed.emit()

        self._work.do(work, take)
