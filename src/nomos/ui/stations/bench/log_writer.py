"""Lines of the log on their way to the disk: in order, in a thread of their own, however slow the disk is."""

import threading
from collections import deque
from collections.abc import Callable, Sequence
from concurrent.futures import Future
from pathlib import Path

from nomos.edition import Event, append_events, locked

# Size and moment of a log, by which it is known to be as it was read.
Stamp = tuple[int, int, int]


class LogChangedError(Exception):
    """Another hand has added to the log since it was read: what was to follow has to be worked out anew."""


class LogWriter:
    """Writes events one batch after the other; the thread lives while there is something to write.

    After a failure nothing more is written until `go_on`: what comes later was meant to follow it.

    Parameters
    ----------
    done : called in that thread after every batch, written or not.
    """

    def __init__(self, done: Callable[[], None]) -> None:
        self._done = done
        self._jobs: deque[tuple[Future[Stamp | None], Path, Stamp | None, Sequence[Event]]] = deque()
        self._guard, self._running = threading.Lock(), False
        self._left: tuple[Path, Stamp | None] | None = None
        self._failed: BaseException | None = None

    def write(self, path: Path, known: Stamp | None, events: Sequence[Event]) -> "Future[Stamp | None]":
        """Have events written at the end of a log, and then its stamp.

        known : the log's stamp as it was read; what this writer itself has added since is known too.
        """
        future = Future[Stamp | None]()
        with self._guard:
            self._jobs.append((future, path, known, events))
            if not self._running:
                self._running = True
                threading.Thread(target=self._work, name="log", daemon=True).start()
        return future

    def _work(self) -> None:
        while True:
            with self._guard:
                if not self._jobs:
                    self._running = False
                    return
                future, path, known, events = self._jobs.popleft()
            if self._failed is None:
                try:
                    stamp = self._written(path, known, events)
                except BaseException as error:  # whatever it is, the window says it
                    self._failed = error
            if self._failed is None:
                future.set_result(stamp)
            else:
                future.set_exception(self._failed)
            self._done()

    def go_on(self) -> None:
        """Write again after a failure: what was to follow the failed events has been taken back."""
        self._failed = None

    def _written(self, path: Path, known: Stamp | None, events: Sequence[Event]) -> Stamp | None:
        """Raises LogError, LogChangedError."""
        with locked(path):
            there = stamp_of(path)
            if there != known and (path, there) != self._left:
                raise LogChangedError
            append_events(path, events)
            now = stamp_of(path)
        self._left = (path, now)
        return now


def stamp_of(path: Path) -> Stamp | None:
    """What tells one state of a file from another; None for one that is not there."""
    try:
        found = path.stat()
    except OSError:
        return None
    return found.st_ino, found.st_size, found.st_mtime_ns
