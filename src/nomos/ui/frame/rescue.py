"""Work that was not saved is kept beside, and offered again at the next start.

A copy belongs to the window that holds a lock on it: whatever number its process
has, in whatever container, the lock goes when the process does. A copy goes only
when its work was saved, thrown away by hand, or kept anew by the window that took
it up.
"""

import contextlib
import json
import os
import uuid
from collections.abc import Callable
from concurrent.futures import Future, ThreadPoolExecutor
from dataclasses import asdict, dataclass
from pathlib import Path
from typing import Protocol

from PyQt6.QtCore import QObject, QTimer, pyqtSignal

from nomos.base.atomic import write_text
from nomos.base.errors import BadInput
from nomos.base.file_lock import FileLock, ForeignLock, acquire, is_locked
from nomos.base.folders import state_folder
from nomos.base.language import tr
from nomos.project import Project, load, save
from nomos.project.model.store import SUFFIX, id_in
from nomos.ui.frame.document import Document, Mark, mark_of

EVERY_MS = 20_000


def rescue_folder() -> Path:
    """Where unsaved work is kept."""
    return state_folder() / "unsaved"


class Rescue(QObject):
    """Writes the project to a file of this window while it has unsaved changes.

    It writes in a thread of its own: long work in the background must not stand
    between the hand and its copy.
    """

    message = pyqtSignal(str)

    def __init__(self, document: Document, folder: Path) -> None:
        super().__init__()
        self._document, self._folder = document, folder
        self.file = folder / f"{os.getpid()}-{uuid.uuid4().hex[:8]}.nomos"
        self._lock: FileLock | None = None
        self._writer = ThreadPoolExecutor(1, thread_name_prefix="rescue")
        self._writing: Future[None] | None = None
        self._kept: Project | None = None
        self._failed = False
        self._timer = QTimer(self)
        self._timer.setInterval(EVERY_MS)
        self._timer.timeout.connect(self.keep)
        self._timer.start()

    def keep(self) -> None:
        """Keep the project as it stands if it has unsaved changes, and drop what was kept otherwise."""
        self._look_at_last()
        project, assets = self._document.project, dict(self._document.assets)
        if project is None or not self._document.unsaved:
            self.drop()
            return
        if project is self._kept or (self._writing is not None and not self._writing.done()):
            return
        self._kept = project
        document = self._document
        of = Origin(str(document.path) if document.path else None, document.mark, document.session)
        self._writing = self._writer.submit(self._write, project, assets, of)

    def keep_now(self) -> bool:
        """Keep the project before anything else happens; whether that succeeded."""
        self.keep()
        return self.wait()

    def wait(self) -> bool:
        """Stay until what is being written is there; whether it is."""
        if self._writing is not None:
            with contextlib.suppress(BadInput, OSError):
                self._writing.result()
        self._look_at_last()
        return self._kept is not None

    def _write(self, project: Project, assets: dict[str, bytes], of: "Origin") -> None:
        self._folder.mkdir(parents=True, exist_ok=True)
        if self._lock is None:
            # No other process knows its name: whatever lies there is no window's.
            found = acquire(_lock_of(self.file))
            self._lock = found if isinstance(found, FileLock) else None
        save(self.file, project, assets)
        write_text(_beside(self.file), json.dumps(asdict(of)))

    def _look_at_last(self) -> None:
        """A copy that could not be written is tried again, and that it could not be is said once."""
        if self._writing is None or not self._writing.done():
            return
        error, self._writing = self._writing.exception(), None
        if error is None:
            self._failed = False
            return
        self._kept = None
        if not self._failed:
            self._failed = True
            self.message.emit(tr("Unsaved work cannot be kept beside ({error}). Save it soon.", error=error))

    def drop(self) -> None:
        """Forget what was kept."""
        self._kept = None
        _remove(self.file)

    def close(self, *, keep: bool = False) -> None:
        """Stop keeping. keep : the copy stays, to be offered at the next start."""
        self._timer.stop()
        self._writer.shutdown(wait=True)
        if not keep:
            self.drop()
        if self._lock is not None:
            self._lock.release()


@dataclass(frozen=True)
class Origin:
    """What unsaved work is of: its file, by its whole path, what that was when it was read, its session."""

    path: str | None
    mark: Mark | None = None
    session: str | None = None


@dataclass(frozen=True)
class Left:
    """Work that a window left behind: its copy, and what it is of."""

    copy: Path
    of: Origin


class Asked(Protocol):
    """What has to be asked of work that was left behind."""

    def take_up(self, title: str) -> bool:
        """Whether to open it; what is not is thrown away."""

    def belongs_to(self, title: str, name: str, now: str) -> bool:
        """Whether it goes on in a file that is called otherwise now."""


def left_behind(folder: Path) -> list[Left]:
    """Copies that no window holds any more, newest first."""
    if not folder.is_dir():
        return []
    found = []
    for path in folder.glob("*.nomos"):
        with contextlib.suppress(OSError, ForeignLock):
            if not _held(path):
                found.append((path.stat().st_mtime, Left(path, _origin_of(path))))
    return [left for _, left in sorted(found, key=lambda each: -each[0])]


def offer(
    document: Document, folder: Path, questions: Asked, *, keep: Callable[[], bool] = lambda: False,
    tell: Callable[[str], None] = lambda _text: None, carry: Callable[[Path], None] = lambda _project: None,
) -> None:  # fmt: skip
    """Offer each piece of work left behind until one is taken up; the others wait for the next start.

    Parameters
    ----------
    keep : keeps the work taken up in this window's own copy, and says whether it is there.
    tell : told of a copy that cannot be read, which stays where it is, and of a file that is gone.
    carry : takes along what lies beside a project file that is gone.
    """
    damaged = []
    for left in left_behind(folder):
        try:
            project, assets = load(left.copy)
        except BadInput:
            damaged.append(left.copy.name)
            continue
        if not questions.take_up(project.title):
            _clear_away(left.copy)
            continue
        path = _file_now(left.of, project, questions)
        mark = left.of.mark if path is not None and str(path) == left.of.path else None
        document.begin(project, assets, path=path, session=left.of.session, mark=mark)
        if left.of.path is not None and path is None:
            tell(
                tr(
                    "{path} is not there any more, or is another print now: save this work under a name.",
                    path=left.of.path,
                )
            )
            carry(Path(left.of.path))
        if keep():
            _clear_away(left.copy)
        break
    if damaged:
        tell(
            tr(
                "A copy of unsaved work is damaged and was left in {folder}: {damaged}.",
                folder=folder,
                damaged=", ".join(damaged),
            )
        )


def _file_now(of: Origin, project: Project, questions: Asked) -> Path | None:
    """The file that unsaved work is of, as far as that can be told; a renamed one is asked about."""
    if of.path is None:
        return None
    path = Path(of.path)
    if path.is_file() and (mark_of(path) == of.mark or (project.id and id_in(path) == project.id)):
        return path
    with contextlib.suppress(OSError):
        for other in sorted(path.parent.glob(f"*{SUFFIX}")):
            now = mark_of(other)
            same = now is not None and of.mark is not None and now[:2] == of.mark[:2]
            if (same or (project.id and id_in(other) == project.id)) and other != path:
                return other if questions.belongs_to(project.title, path.name, other.name) else None
    return None


def _beside(copy: Path) -> Path:
    return copy.with_suffix(".json")


def _lock_of(copy: Path) -> Path:
    return copy.with_suffix(".lock")


def _held(copy: Path) -> bool:
    """Whether some window still holds a copy; one of an earlier release has no lock, and no window."""
    return is_locked(_lock_of(copy))


def _origin_of(copy: Path) -> Origin:
    """What a copy is of; a path that is not whole says nothing, as it was another folder's."""
    try:
        known = json.loads(_beside(copy).read_text("utf-8"))
        path, mark, session = known["path"], known.get("mark"), known.get("session")
    except (OSError, ValueError, KeyError, TypeError, AttributeError):
        return Origin(None)
    whole = isinstance(path, str) and Path(path).is_absolute()
    sure = isinstance(mark, list) and len(mark) == 4 and all(isinstance(part, int) for part in mark)
    return Origin(
        path if whole else None,
        (mark[0], mark[1], mark[2], mark[3]) if sure else None,
        session if isinstance(session, str) and session.isalnum() else None,
    )


def _clear_away(copy: Path) -> None:
    """Remove a copy that no window holds, and its lock."""
    _remove(copy)
    with contextlib.suppress(OSError):
        _lock_of(copy).unlink()


def _remove(copy: Path) -> None:
    for path in (copy, copy.with_name(copy.name + ".previous"), _beside(copy)):
        with contextlib.suppress(OSError):
            path.unlink()
