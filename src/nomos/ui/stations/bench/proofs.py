"""Pictures of proofs: kept beside the log, laid beside the plan and each other."""

from dataclasses import dataclass
from pathlib import Path
from typing import TYPE_CHECKING

from PyQt6.QtCore import QObject, pyqtSignal

from nomos.base.errors import BadInput
from nomos.base.language import tr
from nomos.base.progress import Progress
from nomos.base.reading import read_whole
from nomos.edition import Event
from nomos.project import Project
from nomos.ui.frame.document import Document
from nomos.ui.frame.jobs import Asker, JobRunner
from nomos.ui.frame.keeper import ProofKeeper
from nomos.ui.stations.bench.logbook import LogBook
from nomos.work.scan import planned_of

if TYPE_CHECKING:
    from nomos.project.register.comparison import Comparison, Picture, StrayMark

# The colour is followed over so many of the last proofs.
_MOST_DRIFT = 6


@dataclass(frozen=True, eq=False)
class Compared:
    """A proof beside the plan (-1) or another proof, and how far apart they are on the whole.

    marks : still to be cut away; None beside another proof, which does not tell.
    """

    proof: int
    against: int
    how: "Comparison"
    picture: "Picture"
    mean_de00: float
    px_per_mm: float
    drift: str = ""
    marks: "tuple[StrayMark, ...] | None" = None


class ProofBook(QObject):
    """Keeps pictures of proofs and compares them."""

    changed = pyqtSignal()
    message = pyqtSignal(str)

    def __init__(self, document: Document, runner: JobRunner, keeper: ProofKeeper, book: LogBook) -> None:
        super().__init__()
        self._document, self._runner, self._keeper, self._book = document, runner, keeper, book
        self._pictures = Asker(runner, "pictures", self.message.emit, said=tr("reading a proof"))
        self._compare = Asker(runner, "compare", self.message.emit, said=tr("laying proofs side by side"))
        self.compared: Compared | None = None
        document.changed.connect(self._project_changed)

    def _project_changed(self, before: Project | None, after: Project | None) -> None:
        if before is None or after is None or before.source != after.source:
            self._pictures.cancel()
            self._compare.cancel()
            self.compared = None

    def add(self, path: Path, layer: int | None = None) -> None:
        """Keep a picture of a proof, straight and to scale. layer : that it shows, the one at hand if none is named."""
        project, state = self._document.project, self._book.state()
        if project is None or state is None:
            return
        of = state.layer if layer is None else layer
        if self._pictures.then(lambda: self.add(path, of)):
            return
        folder, place = self._book.folder, len(state.pictures) + 1
        name = f"proof-{place:03d}.png"

        def work(progress: Progress) -> str:
            from nomos.design import read_picture
            from nomos.formats.files import write_file, writing_into
            from nomos.formats.pictures import png
            from nomos.project.register.comparison import PX_PER_MM, straightened

            data = read_whole(path)
            progress.report(0.2, tr("reading the proof"))
            sheet = straightened(project, read_picture(data, path.name).rgb)
            with writing_into(folder):
                folder.mkdir(parents=True, exist_ok=True)
                return write_file(folder, name, png(sheet, PX_PER_MM))

        def take(kept: str) -> None:
            if self._book.write(lambda _p, _s, at: (Event(at, "picture", of, text=kept),)):
                self.compare_with(len(self.names()) - 1)

        self._pictures.do(work, take)

    def names(self) -> tuple[str, ...]:
        """Names of the pictures that are kept, in their order."""
        state = self._book.state()
        return tuple(event.text for event in state.pictures) if state is not None else ()

    def compare_with(self, proof: int, against: int = -1, how: "Comparison" = "split") -> None:
        """Lay a proof beside the plan (-1) or another proof."""
        project, cut = self._document.project, self._keeper.cut
        names = self.names()
        if project is None or cut is None or not 0 <= proof < len(names) or against >= len(names):
            return
        folder, plan, ask = self._book.folder, planned_of(project, cut), self._runner.answers

        def work(progress: Progress) -> Compared:
            from nomos.design import read_picture
            from nomos.project.register.comparison import PX_PER_MM, colour_drift, compared, mean_apart, stray_marks

            def kept(place: int) -> "Picture":
                if place < 0:
                    return ask(plan, progress)
                return read_picture(read_whole(folder / names[place]), names[place]).rgb

            progress.report(0.2, tr("laying proofs side by side"))
            try:
                one, other = kept(against), kept(proof)
            except OSError as error:
                raise BadInput(
                    tr("A picture of a proof cannot be read: {what}.", what=error.strerror or error)
                ) from None
            try:
                apart = [mean_apart(kept(-1), kept(n)) for n in range(len(names))[-_MOST_DRIFT:]]
            except OSError:
                # One of the others is gone: what the two show is still there.
                apart = []
            picture = compared(one, other, how)
            drift = colour_drift(apart)
            marks = stray_marks(project, one, other) if against < 0 else None
            return Compared(proof, against, how, picture, mean_apart(one, other), PX_PER_MM, drift, marks)

        def take(found: Compared) -> None:
            self.compared = found
            self.changed.emit()

        self._compare.do(work, take)
