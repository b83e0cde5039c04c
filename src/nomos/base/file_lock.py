"""A lock beside a file: who has it, by name, until its process lets go of it or ends.

The locks are flock(2)'s, which end with their process however that ends. A lock file is opened without
following a link, and nothing is written into a file that Nomos did not write itself. filelock (4.3) was
looked at and not taken: it does not say who holds a lock, and is forty times as long as what is needed here.
"""

import contextlib
import errno
import fcntl
import getpass
import json
import os
import platform
import stat
import time
from dataclasses import dataclass
from datetime import datetime
from pathlib import Path

from nomos.base.atomic import beside
from nomos.base.errors import BadInput
from nomos.base.language import tr
from nomos.base.reading import read_whole

_MOST_BYTES = 10_000
_SIGNED = b'{"user"'
_LOOK_AGAIN_S = 0.02
# A lock may be taken away by whoever had it between opening it and locking it.
_TRIES = 8


class ForeignLock(BadInput):
    """What lies where a lock should is a link, a folder, a device or a file that is not Nomos's."""


@dataclass(frozen=True)
class Holder:
    """Whose process has a file, on which machine, since when."""

    user: str
    machine: str
    since: str

    def __str__(self) -> str:
        on = tr(" on {machine}", machine=self.machine) if self.machine and self.machine != platform.node() else ""
        return f"{self.user or 'someone'}{on}" + (tr(" since {since}", since=self.since) if self.since else "")


@dataclass(eq=False)
class FileLock:
    """A lock held by this process until it is released, or the process ends."""

    lock_file: Path
    _handle: int

    def release(self) -> None:
        """Give the file free."""
        if self._handle < 0:
            return
        if _is_there(self._handle, self.lock_file):
            with contextlib.suppress(OSError):
                self.lock_file.unlink()
        os.close(self._handle)
        self._handle = -1


def lock_of(path: Path) -> Path:
    """Where the lock of a file lies: beside the file itself, whatever link it was named by."""
    path = path.resolve()
    return beside(path, f".{path.name}.lock")


def acquire(lock_file: Path, *, wait_s: float = 0.0) -> FileLock | Holder | None:
    """Take a lock, or say who has it.

    Parameters
    ----------
    lock_file : as `lock_of` gives it.
    wait_s : how long to wait for whoever has it, seconds.

    Returns
    -------
    The lock; or its holder; or None where no lock can stand, as in a folder that is only read.

    Raises
    ------
    ForeignLock : something lies there that Nomos did not write; it is left as it is.
    """
    until = time.monotonic() + wait_s
    tries = 0
    while tries < _TRIES:
        tries += 1
        try:
            handle = _opened(lock_file, os.O_RDWR | os.O_CREAT)
        except OSError:
            return None
        try:
            fcntl.flock(handle, fcntl.LOCK_EX | fcntl.LOCK_NB)
        except BlockingIOError:
            os.close(handle)
            if time.monotonic() >= until:
                return _holder_in(lock_file)
            time.sleep(_LOOK_AGAIN_S)
            tries = 0
            continue
        except OSError:
            os.close(handle)
            return None
        if not _is_there(handle, lock_file):
            # Whoever had it took the lock away meanwhile: this one locks nothing any more.
            os.close(handle)
            continue
        if not _is_ours(handle):
            os.close(handle)
            raise _foreign(lock_file)
        _sign(handle)
        return FileLock(lock_file, handle)
    return None


def holder_of(path: Path) -> Holder | None:
    """Who has a file open; None if nobody has."""
    lock_file = lock_of(path)
    with contextlib.suppress(OSError, ForeignLock):
        return _holder_in(lock_file) if is_locked(lock_file) else None
    return None


def is_locked(lock_file: Path) -> bool:
    """Whether some process that lives holds a lock; one that is not there is held by none.

    Raises OSError, ForeignLock.
    """
    try:
        handle = _opened(lock_file, os.O_RDONLY)
    except FileNotFoundError:
        return False
    try:
        fcntl.flock(handle, fcntl.LOCK_SH | fcntl.LOCK_NB)
    except OSError:
        return True
    finally:
        os.close(handle)
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


def _opened(lock_file: Path, flags: int) -> int:
    """A handle on a plain file, no link followed and no pipe waited for. Raises OSError, ForeignLock."""
    try:
        handle = os.open(lock_file, flags | os.O_NOFOLLOW | os.O_NONBLOCK | os.O_CLOEXEC, 0o666)
    except OSError as error:
        if error.errno in (errno.ELOOP, errno.EISDIR, errno.ENXIO):
            raise _foreign(lock_file) from None
        raise
    found = os.fstat(handle)
    if not stat.S_ISREG(found.st_mode) or found.st_nlink > 1:
        os.close(handle)
        raise _foreign(lock_file)
    return handle


def _foreign(lock_file: Path) -> ForeignLock:
    return ForeignLock(tr("{lock_file} is no lock of Nomos and was left as it is: move it away.", lock_file=lock_file))


def _is_ours(handle: int) -> bool:
    """Whether a lock is empty or signed as Nomos signs."""
    size = os.fstat(handle).st_size
    return size == 0 or (size <= _MOST_BYTES and os.pread(handle, len(_SIGNED), 0) == _SIGNED)


def _is_there(handle: int, path: Path) -> bool:
    try:
        found, there = os.fstat(handle), os.lstat(path)
    except OSError:
        return False
    return (found.st_dev, found.st_ino) == (there.st_dev, there.st_ino)


def _sign(handle: int) -> None:
    try:
        user = getpass.getuser()
    except (KeyError, OSError):
        user = ""
    since = datetime.now().astimezone().strftime("%Y-%m-%d %H:%M")
    words = json.dumps({"user": user, "machine": platform.node(), "since": since})
    with contextlib.suppress(OSError):
        os.ftruncate(handle, 0)
        os.pwrite(handle, words.encode(), 0)


def _holder_in(lock_file: Path) -> Holder:
    """By what the lock says; one that says nothing yet, or nonsense, is held all the same."""
    try:
        known = json.loads(read_whole(lock_file, _MOST_BYTES))
        return Holder(*(str(known.get(name, ""))[:60] for name in ("user", "machine", "since")))
    except (BadInput, ValueError, AttributeError, RecursionError):
        return Holder("", "", "")
