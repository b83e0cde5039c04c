"""Files and the long work that comes with them: open, save, write the packet."""

import re
from collections.abc import Callable
from pathlib import Path
from typing import NamedTuple, cast

from PyQt6.QtCore import QObject, pyqtSignal

from nomos.base.atomic import has_second_name
from nomos.base.errors import BadInput
from nomos.base.file_lock import FileLock, ForeignLock, Holder, acquire, lock_of
from nomos.base.language import tr
from nomos.base.progress import Progress
from nomos.project import Project, load
from nomos.project.model.edits import with_id, with_title
from nomos.project.model.store import SUFFIX, predicted_in
from nomos.ui.frame.document import Document, mark_of
from nomos.ui.frame.foretold import Foretold
from nomos.ui.frame.jobs import FIRST, Asker, JobRunner
from nomos.ui.frame.keeper import ProofKeeper
from nomos.ui.frame.questions import Questions
from nomos.ui.stations.bench.log_files import ReadAhead, read_ahead
from nomos.ui.stations.design.design_editor import DesignEditor


class _Read(NamedTuple):
    """A project file as it was read, with what it says was foretold, and the log beside it."""

    project: Project
    assets: dict[str, bytes]
    predicted: bytes | None
    log: ReadAhead | None


class Files(QObject):
    """Everything that reads or writes."""

    changed = pyqtSignal()
    """Something has been saved or refused."""
    opened = pyqtSignal(str)
    """Another project has been opened; the station to begin at."""
    settled = pyqtSignal(object)
    """The path of a project that was opened or saved."""
    message = pyqtSignal(str)
    """A sentence for the user: what failed, or what has been done."""

    def __init__(
        self, document: Document, runner: JobRunner, keeper: ProofKeeper, questions: Questions, designer: DesignEditor
    ) -> None:
        super().__init__()
        self._document, self._runner, self.questions = document, runner, questions
        self._foretold = Foretold(document, keeper)
        self._foretold.message.connect(self.message)
        self._designer = designer
        designer.may_leave = self._may_leave
        self._lock: FileLock | None = None
        self._foreign = ""
        self.log_read: ReadAhead | None = None
        """The log of the project that is being begun, while it is."""
        self.studio: Path | None = None
        """The file of this machine's studio, whether it is there or not."""
        document.changed.connect(self._let_go)
        # Nothing can be shown without it: it waits for no other work.
        self._reading = Asker(
            runner, "reading", self.message.emit, said=tr("reading the project"), rank=FIRST, outlives=True
        )
        self._packets = Asker(runner, "packet", self.message.emit, said=tr("writing the packet"), outlives=True)
        self._exports = Asker(runner, "export", self.message.emit, said=tr("writing the sheet"), outlives=True)
        self._pages = Asker(runner, "pages", self.message.emit, said=tr("drawing the pages"), outlives=True)

    def open_requested(self) -> None:
        """Ask for a sketch or project and open it."""
        path = self.questions.file_to_open()
        if path is not None:
            self.open(path)

    def open(self, path: Path) -> None:
        """Open a project, or a sketch as a new project, once unsaved work is settled."""
        if not self.settle_unsaved():
            return
        if path.suffix.lower() == SUFFIX:
            self._designer.opening.cancel()
            self._open_project(path)
            return
        self._reading.cancel()
        self._designer.open(path)

    def _open_project(self, path: Path) -> None:
        """Read it beside the window; what it holds is held from when it is there."""
        asked_at, mark = self._document.project, mark_of(path)

        def work(_progress: Progress) -> _Read:
            project, assets = load(path)
            return _Read(project, assets, predicted_in(path), read_ahead(path, project))

        def take(read: _Read) -> None:
            if not self._may_leave(asked_at):
                return
            if mark_of(path) != mark:
                # Another window has saved it meanwhile.
                self._open_project(path)
                return
            self._begin_on(path, read)

        self._reading.do(work, take)

    def _begin_on(self, path: Path, read: _Read) -> None:
        found = self._locked(path)
        if isinstance(found, Holder) and not self.questions.open_to_read(path.name, str(found)):
            return
        self._foretold.opened(read.project, read.predicted)
        self.log_read = read.log
        self._document.begin(read.project, read.assets, path=path, saved=True)
        self.log_read = None
        self._lock = found if isinstance(found, FileLock) else None
        self._document.read_only = isinstance(found, Holder)
        self.opened.emit("blocks")
        self.settled.emit(path)
        if self._foreign:
            self.message.emit(self._foreign)

    def _locked(self, path: Path) -> FileLock | Holder | None:
        """The lock of a file, this window's own where it has it; None where none can stand, which is said."""
        self._foreign = ""
        if self._lock is not None and self._lock.lock_file == lock_of(path):
            return self._lock
        try:
            return acquire(lock_of(path))
        except ForeignLock as error:
            self._foreign = tr("{error} Until then two windows may open this print.", error=error)
            return None

    def _let_go(self) -> None:
        """The file is no longer that of what is open."""
        path = self._document.path
        if self._lock is not None and (path is None or self._lock.lock_file != lock_of(path)):
            self.close()

    def close(self) -> None:
        """Give the file free for other windows."""
        if self._lock is not None:
            self._lock.release()
            self._lock = None

    def open_demo(self, name: str = "glasshouse") -> None:
        """Start on one of the demos."""
        if not self.settle_unsaved():
            return
        from nomos.demo import demo_project, scenario_called

        self._reading.cancel()
        asked_at = self._document.project

        def begin(result: tuple[Project, dict[str, bytes]]) -> None:
            if not self._may_leave(asked_at):
                return
            project, assets = result
            self._document.begin(project, assets, saved=True)
            # A photograph begins where it is made into fields.
            self.opened.emit("design" if scenario.drawn_on else "blocks")

        scenario = scenario_called(name)
        ask = self._runner.answers
        self._designer.opening.do(lambda progress: demo_project(scenario, ask, progress=progress), begin)

    def ask_shelf(self) -> Path | None:
        """Ask for an ink shelf file."""
        return self.questions.shelf_to_open()

    def studio_file(self) -> Path | None:
        """The studio of this machine; None, and that is said, where nothing is kept in it."""
        if self.studio is None or not self.studio.exists():
            self.message.emit(tr("Nothing is kept in the studio yet: Edit, Preferences keeps a print's inks."))
            return None
        return self.studio

    def ask_project(self) -> Path | None:
        """Ask for a project file."""
        path = self.questions.file_to_open()
        if path is None or path.suffix.lower() == SUFFIX:
            return path
        self.message.emit(tr("{name} is no project; choose a {suffix} file.", name=path.name, suffix=SUFFIX))
        return None

    def save(self) -> bool:
        """Save, asking where if that is not known; whether it is saved now."""
        path = self._document.path
        if path is not None and self._document.read_only:
            self.message.emit(
                tr("{name} is open in another window: this one is saved under a name of its own.", name=path.name)
            )
        if path is None or self._document.read_only:
            return self.save_as()
        # Another window, or another program, has written it since.
        if self._document.changed_elsewhere(path) and not self.questions.may_replace(path.name, meant=False):
            return False
        return self._save_to(path)

    def save_as(self) -> bool:
        """Save under a name asked for; whether it is saved now."""
        path = self._asked_name()
        if path is None:
            return False
        if path.suffix.lower() != SUFFIX:
            # The name that was agreed to was another one: what has this one is asked about.
            path = path.with_name(path.name + SUFFIX)
            if path.exists() and not self.questions.may_replace(path.name, meant=True):
                return False
        return self._save_to(path)

    def _asked_name(self) -> Path | None:
        project = self._document.project
        if project is None:
            return None
        folder = self._document.path.parent if self._document.path else Path()
        return self.questions.file_to_save(folder / f"{project.title}{SUFFIX}")

    def _save_to(self, path: Path) -> bool:
        found = self._locked(path)
        if isinstance(found, Holder):
            self.message.emit(
                tr("{name} is open in a window of {held}: choose another name.", name=path.name, held=found)
            )
            return False
        second_name = has_second_name(path)
        try:
            self._document.save(path, predicted=self._foretold.now())
        except BadInput as error:
            if found is not None and found is not self._lock:
                found.release()
            self.message.emit(str(error))
            return False
        self._document.read_only = False
        if found is not self._lock:
            self._let_go()
            self._lock = found
        more = tr(" The second name that its file had still has the earlier version.") if second_name else ""
        self.message.emit(tr("Saved as {name}.", name=path.name) + more)
        self.changed.emit()
        self.settled.emit(path)
        return True

    def revert(self) -> None:
        """Go back to what was saved last; that can be undone like any edit."""
        path = self._document.path
        if path is None:
            return
        try:
            saved, assets = load(path)
        except BadInput as error:
            self.message.emit(str(error))
            return
        self._document.assets.update(assets)
        self._document.apply(tr("Go back to what was saved"), lambda _project: saved)

    def variant(self) -> None:
        """Save the project under a further name beside its own, and go on in that file."""
        project, path = self._document.project, self._document.path
        if project is None or path is None or not self.settle_unsaved():
            return
        stem = re.sub(r"-variant-\d+$", "", path.stem)
        places = (path.with_name(f"{stem}-variant-{n}{SUFFIX}") for n in range(2, 1000))
        place = next(each for each in places if not each.exists())
        number_of = place.stem.rsplit("-", 1)[1]
        title = re.sub(r", variant \d+$", "", project.title)
        # Another print of the same design: its record begins anew.
        assets = dict(self._document.assets)
        named = with_title(project, tr("{title}, variant {number_of}", title=title, number_of=number_of))
        self._document.begin(with_id(named, anew=True), assets)
        self._save_to(place)

    def where(self) -> None:
        """Say where the project is, and what lies beside it."""
        path = self._document.path
        if path is None:
            self.message.emit(tr("It has no file yet. What you do is kept every 20 s, and offered after a crash."))
            return
        self.message.emit(
            tr(
                "{resolve}. The copy before the last save is {name}.previous; the log of the bench lies beside it.",
                resolve=path.resolve(),
                name=path.name,
            )
        )

    def export(self, write: Callable[[Path], None]) -> None:
        """Write what the sheet shows into a picture or PDF asked for."""
        path = self.questions.picture_to_save()
        if path is None:
            return
        self._exports.do(
            lambda _progress: write(path), lambda _done: self.message.emit(tr("The sheet is in {path}.", path=path))
        )

    def _may_leave(self, asked_at: Project | None) -> bool:
        """Whether the project may go: what has been done to it since that was asked is asked about anew."""
        return self._document.project is asked_at or self.settle_unsaved()

    def settle_unsaved(self) -> bool:
        """Ask about unsaved changes; whether it is all right to leave the project."""
        project = self._document.project
        if project is None or not self._document.unsaved:
            return True
        answer = self.questions.unsaved(project.title)
        return self.save() if answer == "save" else answer == "discard"

    def draw_pages(
        self, what: str, chosen: frozenset[str], faces: str, paper: str, take: Callable[[bytes], None],
        failed: Callable[[str], None],
    ) -> None:  # fmt: skip
        """Draw chosen pages of the packet to print: `take` gets their PDF, `failed` why there are none."""
        project, assets, ask = self._document.project, dict(self._document.assets), self._runner.answers
        if project is None:
            return
        # Imported here: it costs start-up time that most sessions do not need.
        from nomos.work.printing import Faces, What, pages_pdf

        def work(progress: Progress) -> bytes | str:
            try:
                return pages_pdf(
                    project, assets, ask, cast(What, what), chosen, cast(Faces, faces),
                    paper=paper, progress=progress,
                )  # fmt: skip
            except BadInput as error:
                return str(error)

        self._pages.do(work, lambda found: failed(found) if isinstance(found, str) else take(found))

    def stop_pages(self) -> None:
        """The pages are wanted no longer."""
        self._pages.cancel()

    def check_page(self, paper: str) -> bytes:
        """The page that a printer's scale is checked with."""
        from nomos.work.printing import scale_pdf

        return scale_pdf(paper)

    def ask_print_file(self) -> str | None:
        """The PDF file that is printed into, or None."""
        path = self.questions.file_to_print()
        return str(path) if path is not None else None

    def write_packet(self, page: str, folder: Path | None = None) -> None:
        """Write the packet into a folder, asking for it if none is given. page : paper of the templates."""
        project, assets = self._document.project, dict(self._document.assets)
        if project is None:
            return
        target = folder or self.questions.folder_for_packet()
        if target is None:
            return

        # Imported here: it costs start-up time that most sessions do not need.
        from nomos.work.packet import write_packet

        ask = self._runner.answers
        inputs = (self._document.path,) if self._document.path is not None else ()
        self._packets.do(
            lambda progress: write_packet(target, project, assets, ask, inputs=inputs, paper=page, progress=progress),
            lambda _: self.message.emit(
                tr("The packet is in {target}: templates in blocks.pdf, the plan in plan.json.", target=target)
            ),
        )
