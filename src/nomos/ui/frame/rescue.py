"""Work that was not saved is kept beside, and offered again at the next start.

A copy belongs to the window that holds a lock on it: whatever number its process
has, in whatever container, the lock goes when the process does. A copy goes only
when its work was saved, thrown away by hand, or kept anew by the window that took
it up.
"""

import contextlib
import fcntl
import json
import os
import uuid
from collections.abc import Callable
from concurrent.futures import Future, ThreadPoolExecutor
from dataclasses import dataclass
from pathlib import Path
from typing import IO

from PyQt6.QtCore import QObject, QTimer, pyqtSignal

from nomos.atomic import write_text
from nomos.errors import BadInput
from nomos.folders import state_folder
from nomos.holding import is_locked
from nomos.language import tr
from nomos.project import Project, load, save
from nomos.ui.frame.document import Document

EVERY_MS = 20_000


def rescue_folder() -> Path:
    """Where unsaved work is kept."""
    return state_folder() / "unsaved"


class Rescue(QObject):
    """Writes the project to a file of this window while it has unsaved changes.

    It writes in a thread of its own: long work in the background must not stand
    between the hand and its copy.
    """

    told = pyqtSignal(str)

    def __init__(self, document: Document, folder: Path) -> None:
        super().__init__()
        self._document, self._folder = document, folder
        self.file = folder / f"{os.getpid()}-{uuid.uuid4().hex[:8]}.nomos"
        self._lock: IO[bytes] | None = None
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
        project, assets, path = self._document.project, dict(self._document.assets), self._document.path
        if project is None or not self._document.unsaved:
            self.drop()
            return
        if project is self._kept or (self._writing is not None and not self._writing.done()):
            return
        self._kept = project
        self._writing = self._writer.submit(self._write, project, assets, path, self._document.session)

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

    def _write(self, project: Project, assets: dict[str, bytes], path: Path | None, session: str) -> None:
        self._folder.mkdir(parents=True, exist_ok=True)
        if self._lock is None:
            self._lock = _locked(self.file)
        save(self.file, project, assets)
        write_text(_beside(self.file), json.dumps({"path": str(path) if path else None, "session": session}))

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
            self.told.emit(tr("Unsaved work cannot be kept beside ({error}). Save it soon.", error=error))

    def drop(self) -> None:
        """Forget what was kept."""
        self._kept = None
        _remove(self.file)

    def close(self) -> None:
        """Stop keeping."""
        self._timer.stop()
        self._writer.shutdown(wait=True)
        self.drop()
        if self._lock is not None:
            self._lock.close()
            _lock_of(self.file).unlink(missing_ok=True)


@dataclass(frozen=True)
class Left:
    """Work that a window left behind: its copy, the file it was opened from, if any, and its session."""

    copy: Path
    path: Path | None
    session: str | None = None


def left_behind(folder: Path) -> list[Left]:
    """Copies that no window holds any more, newest first."""
    if not folder.is_dir():
        return []
    found = []
    for path in folder.glob("*.nomos"):
        with contextlib.suppress(OSError):
            if not _held(path):
                found.append((path.stat().st_mtime, Left(path, *_known_of(path))))
    return [left for _, left in sorted(found, key=lambda each: -each[0])]


def offer(
    document: Document,
    folder: Path,
    take_up: Callable[[str], bool],
    *,
    keep: Callable[[], bool] = lambda: False,
    tell: Callable[[str], None] = lambda _text: None,
) -> None:
    """Offer each piece of work left behind until one is taken up; the others wait for the next start.

    Parameters
    ----------
    take_up : whether to take up the work of that title; work that is not is thrown away.
    keep : keeps the work taken up in this window's own copy, and says whether it is there.
    tell : told of a copy that cannot be read; it stays where it is.
    """
    damaged = []
    for left in left_behind(folder):
        try:
            project, assets = load(left.copy)
        except BadInput:
            damaged.append(left.copy.name)
            continue
        if not take_up(project.title):
            _clear_away(left.copy)
            continue
        document.begin(project, assets, path=left.path, session=left.session)
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


def _beside(copy: Path) -> Path:
    return copy.with_suffix(".json")


def _lock_of(copy: Path) -> Path:
    return copy.with_suffix(".lock")


def _locked(copy: Path) -> IO[bytes]:
    """A lock that this process holds until it ends, however it does. Raises OSError."""
    lock = _lock_of(copy).open("ab")
    fcntl.flock(lock, fcntl.LOCK_EX | fcntl.LOCK_NB)
    return lock


def _held(copy: Path) -> bool:
    """Whether some window still holds a copy; one of an earlier release has no lock, and no window."""
    return is_locked(_lock_of(copy))


def _known_of(copy: Path) -> tuple[Path | None, str | None]:
    try:
        known = json.loads(_beside(copy).read_text("utf-8"))
        path, session = known["path"], known.get("session")
    except (OSError, ValueError, KeyError, TypeError, AttributeError):
        return None, None
    found = Path(path) if isinstance(path, str) and Path(path).is_file() else None
    return found, session if isinstance(session, str) and session.isalnum() else None


def _clear_away(copy: Path) -> None:
    """Remove a copy that no window holds, and its lock."""
    _remove(copy)
    with contextlib.suppress(OSError):
        _lock_of(copy).unlink()


def _remove(copy: Path) -> None:
    for path in (copy, copy.with_name(copy.name + ".previous"), _beside(copy)):
        with contextlib.suppress(OSError):
            path.unlink()
