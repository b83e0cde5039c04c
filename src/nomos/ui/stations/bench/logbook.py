"""The log of the edition on disk: where it is, what stands in it, and that nothing in it is ever lost."""

import contextlib
import fcntl
import shutil
from collections.abc import Callable, Iterator, Sequence
from datetime import datetime
from pathlib import Path

from PyQt6.QtCore import QObject, pyqtSignal

from nomos.edition import EditionState, Event, LogError, append_event, now_text, read_log, set_aside
from nomos.errors import BadInput
from nomos.folders import file_name, state_folder
from nomos.language import tr
from nomos.project import Project
from nomos.project.edition.printed import written
from nomos.project.edition.sheets import LOG_SUFFIX, log_path, state_of
from nomos.project.model.sheets import planned_sheets
from nomos.ui.frame.document import Document

PROOFS, _PRACTICE = ".proofs", "practice"
Stamp = tuple[int, int]


class LogBook(QObject):
    """Reads and writes the log of the project at hand, or of practice beside it."""

    changed = pyqtSignal()
    told = pyqtSignal(str)

    def __init__(self, document: Document, now: Callable[[], datetime] | None = None) -> None:
        super().__init__()
        self._document, self._now = document, now or datetime.now
        self._events: tuple[Event, ...] = ()
        self._read_from: tuple[Path, Stamp | None] | None = None
        self._known: tuple[object, EditionState] | None = None
        self._kept_in: Path | None = None
        self.practising = False
        document.moved.connect(self._document_moved)

    # Where it is

    def keep_in(self, folder: Path | None) -> None:
        """Keep the log in a folder of its own, or again beside the project."""
        self._kept_in = folder
        self.forget()
        self.changed.emit()

    def _real_path(self) -> Path:
        if self._kept_in is not None:
            return self._kept_in / f"print{LOG_SUFFIX}"
        if self._document.path is not None:
            return log_path(self._document.path)
        title = self._document.project.title if self._document.project else "print"
        # Two projects that are not saved may have one title; their records are two all the same.
        return bench_folder() / f"{file_name(title)[:60]}-{self._document.session}{LOG_SUFFIX}"

    @property
    def path(self) -> Path:
        """Where the log is: beside the project, or kept for it while it has no file; practice has its own."""
        real = self._real_path()
        return real.with_name(f"{_PRACTICE}-{real.name}") if self.practising else real

    @property
    def folder(self) -> Path:
        """Where pictures of proofs lie, beside the log."""
        return self.path.with_suffix(PROOFS)

    # What stands in it

    def forget(self) -> None:
        """Read it anew when it is asked for."""
        self._events, self._read_from, self._known = (), None, None

    def events(self) -> tuple[Event, ...]:
        """All events; read again when another window has written."""
        path = self.path
        stamp = _stamp(path)
        if self._read_from == (path, stamp):
            return self._events
        lost = stamp is None and self._read_from is not None and self._read_from[0] == path
        if lost:
            # The file has gone from under us: what is known stays known, and goes back with the next event.
            return self._events
        self._read_from = (path, stamp)
        try:
            self._events = read_log(path)
            if aside := set_aside(path):
                what = tr("line makes") if aside == 1 else tr("lines make")
                self.told.emit(
                    tr(
                        "{aside} {what} no sense in {name}; set aside, and kept there.",
                        aside=aside,
                        what=what,
                        name=path.name,
                    )
                )
        except BadInput as error:
            self._events = ()
            self.told.emit(str(error))
        return self._events

    def state(self) -> EditionState | None:
        """What the log comes to; None without a project."""
        project = self._document.project
        if project is None or not project.impressions:
            return None
        events = self.events()
        key = (
            events,
            tuple(pull.id for pull in project.impressions),
            planned_sheets(project),
            project.sheet_by_sheet,
        )
        if self._known is None or self._known[0] != key:
            self._known = (key, state_of(project, events))
        return self._known[1]

    def state_for(self, project: Project) -> EditionState:
        """What the log comes to for a project as it was planned."""
        return state_of(project, self.events())

    # Writing

    def write(self, events: Callable[[Project, EditionState, str], Sequence[Event]]) -> bool:
        """Have on disk what follows from where the edition stands; whether it is there.

        events : from the project, the state and the moment; raises BadInput for what cannot be.
        """
        project = self._document.project
        if project is None or not project.impressions:
            return False
        try:
            with self._held():
                # Another window may have pulled a sheet meanwhile.
                state = self.state()
                assert state is not None
                so_far = self.events()
                self._restore(so_far)
                whole = written(project, so_far, state, events(project, state, now_text(self._now())))
                for event in whole:
                    append_event(self.path, event)
        except BadInput as error:
            self.told.emit(str(error))
            return False
        self._events = (*so_far, *whole)
        self._read_from = (self.path, _stamp(self.path))
        self.changed.emit()
        return True

    def _restore(self, known: Sequence[Event]) -> None:
        """Write down again what was there, where the file has been taken away."""
        path = self.path
        if not known or path.exists():
            return
        for event in known:
            append_event(path, event)
        self.told.emit(tr("{name} was gone and has been written again from what was known.", name=path.name))

    @contextlib.contextmanager
    def _held(self) -> Iterator[None]:
        """No other window writes meanwhile. Raises LogError where the folder is gone."""
        path = self.path
        try:
            if self._document.path is None or self._kept_in is not None:
                path.parent.mkdir(parents=True, exist_ok=True)
            # A lock beside the log: the log itself may be put aside meanwhile.
            lock = path.with_name(f".{path.name}.lock").open("ab")
        except OSError as error:
            raise LogError(
                tr(
                    "The log cannot be written in {parent} ({what}): bring the folder back, save the "
                    "project elsewhere, or note the pull on paper.",
                    parent=path.parent,
                    what=error.strerror or error,
                )
            ) from None
        with lock:
            fcntl.flock(lock, fcntl.LOCK_EX)
            yield

    def begin_anew(self) -> None:
        """Begin another edition: log and proofs so far are put aside under a name with the time."""
        path, folder = self.path, self.folder
        if not path.exists():
            return
        moment = f"{self._now():%Y%m%d-%H%M%S}"
        aside = path.with_name(f"{path.stem}-{moment}{path.suffix}")
        try:
            path.rename(aside)
            if folder.exists():
                folder.rename(aside.with_suffix(PROOFS))
        except OSError as error:
            self.told.emit(
                tr("{name} cannot be put aside: {what}.", name=path.name, what=error.strerror or error)
            )
            return
        self.forget()
        self.told.emit(tr("A new edition begins; the record so far is kept as {name}.", name=aside.name))
        self.changed.emit()

    def begin_practice(self) -> None:
        """Write into a log of practice from now on; what was practised before is thrown away."""
        self.practising = True
        _throw_away(self.path, self.folder)
        self.forget()
        self.changed.emit()

    def end_practice(self) -> None:
        """Throw the practice away: the edition's own log is as it was."""
        if not self.practising:
            return
        _throw_away(self.path, self.folder)
        self.practising = False
        self.forget()
        self.changed.emit()

    def _document_moved(self, before: object, session: str, after: Path) -> None:
        """The project has another file: its record goes with it. before : Path, or None while it had none."""
        if self._kept_in is not None:
            return
        project = self._document.project
        assert project is not None
        if isinstance(before, Path):
            old = log_path(before)
        else:
            old = next(iter(bench_folder().glob(f"*-{session}{LOG_SUFFIX}")), log_path(after))
        new = log_path(after)
        if old == new or not old.exists():
            return
        try:
            if new.exists():
                moment = f"{self._now():%Y%m%d-%H%M%S}"
                new.rename(new.with_name(f"{new.stem}-{moment}{new.suffix}"))
            part = new.with_name(f".{new.name}.part")
            shutil.copyfile(old, part)
            part.replace(new)
            proofs = old.with_suffix(PROOFS)
            if proofs.exists():
                shutil.copytree(proofs, new.with_suffix(PROOFS), dirs_exist_ok=True)
            if not isinstance(before, Path):
                _throw_away(old, proofs)
        except OSError as error:
            self.told.emit(
                tr(
                    "The record stays in {old} and could not be copied beside {name} ({what}).",
                    old=old,
                    name=after.name,
                    what=error.strerror or error,
                )
            )
        self.forget()
        self.changed.emit()


def bench_folder() -> Path:
    """Where logs are kept of projects that have no file."""
    return state_folder() / "bench"


def _stamp(path: Path) -> Stamp | None:
    try:
        found = path.stat()
    except OSError:
        return None
    return found.st_size, found.st_mtime_ns


def _throw_away(log: Path, proofs: Path) -> None:
    with contextlib.suppress(OSError):
        log.unlink()
    shutil.rmtree(proofs, ignore_errors=True)
    with contextlib.suppress(OSError):
        log.with_name(f".{log.name}.lock").unlink()
