"""Who has a project file open: a lock beside it, with a name, that goes when its process does."""

import contextlib
import fcntl
import getpass
import json
import os
import platform
from dataclasses import dataclass
from datetime import datetime
from pathlib import Path
from typing import IO

from nomos.errors import BadInput
from nomos.language import tr
from nomos.reading import read_whole

_MOST_BYTES = 10_000


@dataclass(frozen=True)
class Holder:
    """Whose window has a file open, on which machine, since when."""

    user: str
    machine: str
    since: str

    def __str__(self) -> str:
        on = (
            tr(" on {machine}", machine=self.machine)
            if self.machine and self.machine != platform.node()
            else ""
        )
        return f"{self.user or 'someone'}{on}" + (
            tr(" since {since}", since=self.since) if self.since else ""
        )


@dataclass(eq=False)
class Hold:
    """A file held by this process until it is let go, or the process ends, however it does."""

    path: Path
    _lock: IO[bytes]

    def let_go(self) -> None:
        """Give the file free."""
        with contextlib.suppress(OSError):
            _lock_of(self.path).unlink()
        self._lock.close()


def hold(path: Path) -> "Hold | Holder | None":
    """Take hold of a file, or say who has it; None where no lock can stand, as in a folder that is only read.

    A lock that a dead process has left is nobody's: flock(2) ends with its process.
    """
    path = path.resolve()
    for _ in range(8):
        try:
            lock = _lock_of(path).open("a+b")
        except OSError:
            return None
        try:
            fcntl.flock(lock, fcntl.LOCK_EX | fcntl.LOCK_NB)
        except BlockingIOError:
            lock.close()
            return _holder_in(_lock_of(path))
        except OSError:
            lock.close()
            return None
        if _is_there(lock, _lock_of(path)):
            _sign(lock)
            return Hold(path, lock)
        # Whoever had it took the lock away meanwhile: this one locks nothing any more.
        lock.close()
    return None


def holder_of(path: Path) -> Holder | None:
    """Who has a file open; None if nobody has."""
    lock_file = _lock_of(path.resolve())
    with contextlib.suppress(OSError):
        return _holder_in(lock_file) if is_locked(lock_file) else None
    return None


def is_locked(lock_file: Path) -> bool:
    """Whether some process that lives holds a lock; one that is not there is held by none. Raises OSError."""
    try:
        lock = lock_file.open("rb")
    except FileNotFoundError:
        return False
    with lock:
        try:
            fcntl.flock(lock, fcntl.LOCK_SH | fcntl.LOCK_NB)
        except OSError:
            return True
    return False


def check_free(path: Path) -> None:
    """Raises BadInput where another window or program has a file open that is to be written."""
    holder = holder_of(path)
    if holder is not None:
        raise BadInput(
            tr(
                "{name} is open in a window of {holder}: close it there, or write another file.",
                name=path.name,
                holder=holder,
            )
        )


def _lock_of(path: Path) -> Path:
    return path.with_name(f".{path.name}.lock")


def _is_there(lock: IO[bytes], path: Path) -> bool:
    try:
        return os.fstat(lock.fileno()).st_ino == path.stat().st_ino
    except OSError:
        return False


def _sign(lock: IO[bytes]) -> None:
    try:
        user = getpass.getuser()
    except (KeyError, OSError):
        user = ""
    since = datetime.now().astimezone().strftime("%Y-%m-%d %H:%M")
    words = json.dumps({"user": user, "machine": platform.node(), "since": since})
    with contextlib.suppress(OSError):
        lock.truncate(0)
        lock.write(words.encode())
        lock.flush()


def _holder_in(lock_file: Path) -> Holder:
    """By what the lock says; one that says nothing yet, or nonsense, is held all the same."""
    try:
        known = json.loads(read_whole(lock_file, _MOST_BYTES))
        return Holder(*(str(known.get(name, ""))[:60] for name in ("user", "machine", "since")))
    except (BadInput, ValueError, AttributeError, RecursionError):
        return Holder("", "", "")
