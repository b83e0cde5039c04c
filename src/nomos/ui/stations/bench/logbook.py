"""The log of the edition on disk: where it is, what stands in it, and that nothing in it is ever lost."""

import contextlib
from collections.abc import Callable, Sequence
from concurrent.futures import Future, wait
from dataclasses import dataclass
from datetime import datetime
from pathlib import Path

from PyQt6.QtCore import QObject, pyqtSignal

from nomos.base.atomic import beside
from nomos.base.errors import BadInput
from nomos.base.folders import file_name
from nomos.base.language import tr
from nomos.edition import EditionState, Event, LogText, Replay, locked, now_text, read_log, read_log_text
from nomos.project import Project
from nomos.project.edition.printed import is_of_another, written
from nomos.project.edition.sheets import LOG_SUFFIX, log_path, replay_of
from nomos.ui.frame.document import Document
from nomos.ui.stations.bench.log_files import (
    PRACTICE,
    ReadAhead,
    bench_folder,
    copy_record,
    plan_of,
    proofs_of,
    put_aside,
    throw_away,
)
from nomos.ui.stations.bench.log_writer import LogChangedError, LogWriter, Stamp, stamp_of

Said = Callable[[Project, EditionState, str], Sequence[Event]]


@dataclass(frozen=True, eq=False)
class _Waiting:
    """Events that are counted and not yet on disk: what they follow from, and when they will be there."""

    path: Path
    said: Said
    future: "Future[Stamp | None]"


class LogBook(QObject):
    """Reads and writes the log of the project at hand, or of practice beside it.

    What a hand does counts at once and is written by `LogWriter`; `waiting` says how much is not on disk
    yet. What cannot be written is taken back, and said.
    """

    changed = pyqtSignal()
    message = pyqtSignal(str)
    _batch_done = pyqtSignal()
    patience_s = 0.03
    """So long a hand waits for the disk; a quick one has the events by then."""

    def __init__(self, document: Document, now: Callable[[], datetime] | None = None) -> None:
        super().__init__()
        self._document, self._now = document, now or datetime.now
        self._events: list[Event] = []
        self._read_from: tuple[Path, Stamp | None] | None = None
        self._size = 0
        self._replay: tuple[object, Replay] | None = None
        self._writer, self._waiting = LogWriter(self._say_done), list[_Waiting]()
        self._batch_done.connect(self._batch_arrived)
        self._kept_in: Path | None = None
        self._foreign = False
        self.practising = False
        document.moved.connect(self._document_moved)

    def _say_done(self) -> None:
        """From the writer's thread."""
        with contextlib.suppress(RuntimeError):  # the window is gone
            self._batch_done.emit()

    def _batch_arrived(self) -> None:
        if self._waiting:
            self._settle()
            self.changed.emit()

    # Where it is

    def keep_in(self, folder: Path | None) -> None:
        """Keep the log in a folder of its own, or again beside the project."""
        self.wait()
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
        return beside(real, f"{PRACTICE}-{real.name}") if self.practising else real

    @property
    def folder(self) -> Path:
        """Where pictures of proofs lie, beside the log."""
        return proofs_of(self.path)

    # What stands in it

    @property
    def waiting(self) -> int:
        """How many times something was written down that is not on disk yet."""
        return len(self._waiting)

    def forget(self) -> None:
        """Read it anew when it is asked for."""
        self._events, self._read_from, self._replay, self._size = [], None, None, 0

    def events(self) -> Sequence[Event]:
        """All events; what another hand has added is read when it is asked for."""
        if self._waiting:
            return self._events
        path = self.path
        stamp = stamp_of(path)
        if self._read_from == (path, stamp):
            return self._events
        before = self._read_from[1] if self._read_from is not None and self._read_from[0] == path else None
        if stamp is None and before is not None:
            # The file has gone from under us: what is known stays known, and goes back with the next event.
            return self._events
        grown = before is not None and stamp is not None and before[0] == stamp[0] and stamp[1] >= self._size
        if not grown:
            self.forget()
        self._read_from = (path, stamp)
        try:
            self._read(path)
        except BadInput as error:
            self._events = []
            self.message.emit(str(error))
        return self._events

    def take(self, read: ReadAhead | None) -> None:
        """Take over a log that was read beside the window, unless it has changed since."""
        if read is None or self._waiting or read.path != self.path or stamp_of(read.path) != read.stamp:
            return
        self.forget()
        self._foreign, self._read_from, self._size = False, (read.path, read.stamp), read.text.size
        self._events, self._replay = list(read.text.events), (read.key, read.replay)
        self._say_odd(read.path, read.text)

    def _read(self, path: Path) -> None:
        """Read what is not known yet. Raises LogError."""
        found = read_log_text(path, since=self._size)
        project = self._document.project
        if self._size == 0:
            self._foreign = project is not None and is_of_another(project, found.events)
            if self._foreign:
                self.message.emit(
                    tr(
                        "{name} is the record of another print. With the first pull here it is put aside, "
                        "and a new one begins.",
                        name=path.name,
                    )
                )
        if self._foreign:
            return
        self._size = found.size
        self._count(found.events)
        self._say_odd(path, found)

    def _say_odd(self, path: Path, found: LogText) -> None:
        """Say what in a log makes no sense, and what is in doubt."""
        if found.aside:
            what = tr("line makes") if found.aside == 1 else tr("lines make")
            self.message.emit(
                tr(
                    "{aside} {what} no sense in {name}; set aside, and kept there.",
                    aside=found.aside, what=what, name=path.name,
                )
            )  # fmt: skip
        if found.doubtful:
            self.message.emit(
                tr(
                    "The disk or the current failed as the last line of {name} was written: compare the last "
                    "sheet with the stack.",
                    name=path.name,
                )
            )

    def _count(self, events: Sequence[Event]) -> None:
        """Have events counted after those that are known."""
        if self._replay is not None:
            self._replay[1].follow(events)
        self._events.extend(events)

    def state(self) -> EditionState | None:
        """What the log comes to; None without a project."""
        project = self._document.project
        if project is None or not project.impressions:
            return None
        events = self.events()
        key = plan_of(project)
        if self._replay is None or self._replay[0] != key:
            self._replay = (key, replay_of(project, events))
        return self._replay[1].state

    # Writing

    def write(self, said: Said) -> bool:
        """Write down what follows from where the edition stands; whether it counts.

        said : gives the events from the project, the state and the moment; raises BadInput for what cannot
            be.
        """
        self._settle()
        if self._document.read_only and not self.practising:
            self.message.emit(tr("This print is open in another window: write it down there."))
            return False
        counts = self._submit(said)
        # Twice, as another hand may have been first.
        for _ in range(2):
            wait([each.future for each in self._waiting], self.patience_s)
            counts = self._settle() and counts
        self.changed.emit()
        return counts

    def _submit(self, said: Said) -> bool:
        project, state = self._document.project, self.state()
        if project is None or state is None:
            return False
        try:
            if self._foreign:
                aside = self._put_aside(self.path)
                self.message.emit(tr("The record of another print was put aside as {name}.", name=aside.name))
                state = self.state()
                assert state is not None
            whole = written(project, self._events, state, said(project, state, now_text(self._now())))
            if self._document.path is None or self._kept_in is not None:
                self.path.parent.mkdir(parents=True, exist_ok=True)
        except BadInput as error:
            self.message.emit(str(error))
            return False
        except OSError as error:
            self.message.emit(
                tr(
                    "The log cannot be written in {parent} ({what}).", parent=self.path.parent,
                    what=error.strerror or error,
                )
            )  # fmt: skip
            return False
        known = self._read_from[1] if self._read_from is not None else None
        to_write: Sequence[Event] = whole
        if known is not None and stamp_of(self.path) is None and not self._waiting:
            # The file has been taken away: what was there is written down again.
            known, to_write = None, (*self._events, *whole)
            self.message.emit(
                tr("{name} was gone and has been written again from what was known.", name=self.path.name)
            )
        self._count(whole)
        self._waiting.append(_Waiting(self.path, said, self._writer.write(self.path, known, to_write)))
        return True

    def wait(self) -> bool:
        """Stay until everything is on disk; whether it is."""
        wait([each.future for each in self._waiting])
        return self._settle()

    def _settle(self) -> bool:
        """See what has come to the disk; False where something could not be written and was taken back."""
        while self._waiting and self._waiting[0].future.done():
            first = self._waiting[0]
            error = first.future.exception()
            if error is not None:
                return self._take_back(error)
            del self._waiting[0]
            stamp = first.future.result()
            if first.path == self.path:
                self._read_from = (first.path, stamp)
                self._size = stamp[1] if stamp is not None else 0
        return True

    def _take_back(self, error: BaseException) -> bool:
        """What could not be written does not count; where another hand was first it is worked out anew.

        Returns whether it counts again.
        """
        wait([each.future for each in self._waiting])
        lost, self._waiting = self._waiting, []
        self._writer.go_on()
        self.forget()
        if isinstance(error, LogChangedError) and all(each.path == self.path for each in lost):
            return False not in [self._submit(each.said) for each in lost]
        known = isinstance(error, BadInput)
        reason = error if known else tr("The log could not be written ({error}).", error=error)
        more = tr(" {lost} things are not in it.", lost=len(lost)) if len(lost) > 1 else ""
        self.message.emit(f"{reason}{more}")
        return False

    # Moving it

    def _put_aside(self, path: Path) -> Path:
        """Begin without what was there, under a name with the time. Raises LogError."""
        aside = put_aside(path, self._now())
        self._foreign = False
        self.forget()
        return aside

    def begin_anew(self) -> None:
        """Begin another edition: log and proofs so far are put aside under a name with the time."""
        self.wait()
        path = self.path
        if not path.exists() or self._document.read_only:
            return
        try:
            with locked(path):
                aside = self._put_aside(path)
                # A log that is there tells other windows that the one they know has been put aside.
                path.touch()
        except BadInput as error:
            self.message.emit(str(error))
            return
        self.message.emit(tr("A new edition begins; the record so far is kept as {name}.", name=aside.name))
        self.changed.emit()

    def carry(self, old: Path) -> None:
        """Take along the record of a print whose file is gone: a copy of it, until the print has a file."""
        project = self._document.project
        if project is None or self._document.path is not None or not old.exists() or self.path.exists():
            return
        try:
            if is_of_another(project, read_log(old)):
                return
            self.path.parent.mkdir(parents=True, exist_ok=True)
            copy_record(old, self.path)
        except (OSError, BadInput) as error:
            self.message.emit(tr("The record in {old} could not be taken along ({what}).", old=old, what=error))
            return
        self.forget()
        self.message.emit(tr("The record of the bench was taken along from {old}.", old=old))
        self.changed.emit()

    def begin_practice(self) -> None:
        """Write into a log of practice from now on; what was practised before is thrown away."""
        self.wait()
        self.practising = True
        throw_away(self.path)
        self.forget()
        self.changed.emit()

    def end_practice(self) -> None:
        """Throw the practice away: the edition's own log is as it was."""
        if not self.practising:
            return
        self.wait()
        throw_away(self.path)
        self.practising = False
        self.forget()
        self.changed.emit()

    def _document_moved(self, before: object, session: str, after: Path) -> None:
        """The project has another file: its record goes with it. before : Path, or None while it had none."""
        self.wait()
        if self._kept_in is not None:
            return
        if isinstance(before, Path):
            old = log_path(before)
        else:
            old = next(iter(bench_folder().glob(f"*-{session}{LOG_SUFFIX}")), log_path(after))
        new = log_path(after)
        if old == new or not old.exists():
            self.forget()
            return
        try:
            if new.exists():
                self._put_aside(new)
            copy_record(old, new)
            if not isinstance(before, Path):
                throw_away(old)
        except (OSError, BadInput) as error:
            self.message.emit(
                tr(
                    "The record stays in {old} and could not be copied beside {name} ({what}).",
                    old=old, name=after.name, what=getattr(error, "strerror", None) or error,
                )
            )  # fmt: skip
        self.forget()
        self.changed.emit()
