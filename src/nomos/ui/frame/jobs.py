"""Long work off the window's thread: who asks anew is answered anew, and nothing stale arrives."""

import logging
import threading
import time
from collections.abc import Callable
from dataclasses import dataclass, field
from heapq import heappop, heappush
from itertools import count
from typing import Any, Generic, TypeVar

from PyQt6.QtCore import QObject, pyqtSignal

from nomos.base.errors import BadInput
from nomos.base.language import tr
from nomos.base.process import keep_little, step_back, turn_soon
from nomos.base.progress import Cancelled, Progress
from nomos.work import Answers, Request

A = TypeVar("A")
Done = Callable[[A], None]

# What nothing can be shown without, what a hand waits for, and what nobody waits for.
FIRST, ASKED, QUIET = range(3)
_WORKERS = 2
# More often than this nobody sees how far work is, and each word takes a turn of the window's thread.
_TELL_S = 0.03
# A window that is closed is gone within a second, whatever is being worked on.
_LAST_S = 0.7
_NO_MEMORY = tr("There is not enough memory for this; close other programs or make the design smaller.")
_FAULT = tr("That did not work, through a fault of the program. Your project is as it was.")

_log = logging.getLogger(__name__)


@dataclass(eq=False)
class _Job(Generic[A]):
    """One piece of work; its own progress, which raises once it is called off."""

    asker: "Asker"
    work: Callable[[Progress], A]
    done: Done[A]
    shown: Done[Any] | None
    request: Request[A] | None
    owner: object
    called_off: threading.Event = field(default_factory=threading.Event)
    told_at: float = -1.0
    parts: list[object] = field(default_factory=list)

    def _go_on(self) -> None:
        if self.called_off.is_set():
            raise Cancelled

    def report(self, fraction: float, message: str) -> None:
        self._go_on()
        now = time.monotonic()
        if now - self.told_at >= _TELL_S:
            self.told_at = now
            self.asker.runner.reported.emit(self, fraction, message)

    @property
    def show(self) -> Callable[[object], None] | None:
        """What hands a first answer over before the last one is there, where anyone wants to see it."""
        return None if self.shown is None else self._show

    def _show(self, part: object) -> None:
        """Of several not yet seen the newest counts."""
        self._go_on()
        self.parts[:] = [part]
        self.asker.runner.showed.emit(self)


class Asker:
    """One who asks. Of whatever it asks only the newest counts: what it asked before is called off.

    name : by which the runner says that it is busy.
    said : what the foot line says of its work; "" for what is not worth a word.
    outlives : whether its answer counts though another project has been opened meanwhile: a file is written,
        a picture opened. Of all others such an answer is dropped: it is not of the project that is there.
    """

    def __init__(
        self, runner: "JobRunner", name: str, failed: Callable[[str], None], *, said: str = "", rank: int = ASKED,
        outlives: bool = False,
    ) -> None:  # fmt: skip
        self.runner, self.name, self.said, self.rank, self._failed = runner, name, said, rank, failed
        self.outlives = outlives
        self.job: _Job[Any] | None = None
        self._after: list[Callable[[], None]] = []

    def ask(self, request: Request[A], done: Done[A], shown: Done[Any] | None = None) -> None:
        """Have a request answered; at once if its answer is known, and not twice while it is worked on."""
        if self.job is not None and self.job.request == request:
            return
        known = self.runner.answers.known(request)
        if known is not None:
            self._call_off()
            done(known)
            return
        self._begin(lambda progress: self.runner.answers(request, progress), done, shown, request)

    def do(self, work: Callable[[Progress], A], done: Done[A], shown: Done[Any] | None = None) -> None:
        """Do what depends on more than a request can hold: reads or writes files, asks devices."""
        self._begin(work, done, shown, None)

    def _begin(
        self, work: Callable[[Progress], A], done: Done[A], shown: Done[Any] | None, request: Request[A] | None
    ) -> None:
        self._call_off()
        self.job = _Job(self, work, done, shown, request, self.runner.owner())
        self.runner.begin(self.job)

    @property
    def busy(self) -> bool:
        """Whether it waits for an answer."""
        return self.job is not None

    def then(self, again: Callable[[], None]) -> bool:
        """Whether something is being done after which this will be: pictures that come in a row are all read."""
        if self.job is not None:
            self._after.append(again)
        return self.job is not None

    def go_on(self, *, wanted: bool) -> None:
        """Do what waits for what has ended; it goes with a project that is no longer there."""
        if not wanted:
            self._after.clear()
        while self._after and self.job is None:
            self._after.pop(0)()

    def cancel(self) -> None:
        """Call off what it has asked, if anything, and what waits for it."""
        self._after.clear()
        self._call_off()

    def _call_off(self) -> None:
        job, self.job = self.job, None
        if job is not None:
            job.called_off.set()
            self.runner.let_go(self)

    def failed(self, problem: str) -> None:
        """Say what went wrong."""
        self._failed(problem)


class JobRunner(QObject):
    """Works for those who ask. Answers come back on the window's thread; each request is worked out once."""

    progressed = pyqtSignal(object, float, str)
    """(asker, fraction, message)."""
    settled = pyqtSignal(object)
    """(asker): its work has ended, failed or been called off."""
    reported = pyqtSignal(object, float, str)
    showed = pyqtSignal(object)
    _ended = pyqtSignal(object, object, object)

    def __init__(self) -> None:
        super().__init__()
        self.answers = Answers()
        self.owner: Callable[[], object] = lambda: None
        """Whose work is asked for: by what the project that is open is told from all others."""
        self._askers: list[Asker] = []
        self._waiting: list[tuple[int, int, _Job[Any]]] = []
        self._number = count()
        self._something = threading.Condition()
        self._closed = False
        self._held, self._urgent = False, 0
        turn_soon()
        keep_little()
        # One hand is kept free for what nothing can be shown without.
        self._threads = [
            threading.Thread(target=self._serve, args=(rank,), name=f"nomos-job-{n}", daemon=True)
            for n, rank in enumerate((FIRST, *(QUIET,) * _WORKERS))
        ]
        self.reported.connect(self._report)
        self.showed.connect(self._show)
        self._ended.connect(self._settle)
        for thread in self._threads:
            thread.start()

    def begin(self, job: _Job[Any]) -> None:
        """Have a job done in its turn: the first in rank, of equals the oldest."""
        if job.asker not in self._askers:
            self._askers.append(job.asker)
        with self._something:
            heappush(self._waiting, (job.asker.rank, next(self._number), job))
            self._something.notify_all()

    def hold_quiet(self, held: bool) -> None:
        """Begin nothing that nobody waits for, while a hand drags; or go on with it."""
        with self._something:
            self._held = held
            self._something.notify_all()

    def let_go(self, asker: Asker) -> None:
        """An asker no longer waits."""
        self.settled.emit(asker)

    def busy(self) -> tuple[str, ...]:
        """The names of those who wait for an answer."""
        return tuple(asker.name for asker in self._askers if asker.busy)

    def waiting(self) -> tuple[Asker, ...]:
        """Those who wait for an answer."""
        return tuple(asker for asker in self._askers if asker.busy)

    def stop(self) -> None:
        """Call off all that was asked for by hand; what nothing can be shown without goes on."""
        for asker in self.waiting():
            if asker.rank == ASKED:
                asker.cancel()

    def close(self) -> None:
        """Call off everything, and wait a little for the threads to end: what they do is not wanted."""
        for asker in self.waiting():
            asker.cancel()
        with self._something:
            self._closed = True
            self._something.notify_all()
        until = time.monotonic() + _LAST_S
        for thread in self._threads:
            thread.join(max(until - time.monotonic(), 0.0))

    def _serve(self, rank: int) -> None:
        """Do jobs of this rank or before until the runner is closed."""
        step_back()
        while (job := self._next(rank)) is not None:
            self._work(job)
            with self._something:
                self._urgent -= job.asker.rank < QUIET
                self._something.notify_all()

    def _next(self, rank: int) -> _Job[Any] | None:
        with self._something:
            while not self._closed:
                # What nobody waits for is not begun beside what somebody does: both would take longer.
                least = rank if not (self._held or self._urgent) else min(rank, ASKED)
                if self._waiting and self._waiting[0][0] <= least:
                    job = heappop(self._waiting)[2]
                    self._urgent += job.asker.rank < QUIET
                    return job
                self._something.wait()
        return None

    def _work(self, job: _Job[Any]) -> None:
        result, problem = None, None
        try:
            job.report(0.0, "")
            result = job.work(job)
        except Cancelled:
            problem = ""
        except BadInput as error:
            problem = str(error)
        except MemoryError:
            problem = _NO_MEMORY
        except Exception:
            _log.exception("job %s failed", job.asker.name)
            problem = _FAULT
        if not self._closed:
            # After a window is closed there is nobody to hear it.
            self._ended.emit(job, result, problem)

    def _report(self, job: _Job[Any], fraction: float, message: str) -> None:
        if job.asker.job is job:
            self.progressed.emit(job.asker, fraction, message)

    def _show(self, job: _Job[Any]) -> None:
        wanted = job.asker.job is job and self._still_wanted(job)
        if job.parts and wanted and job.shown is not None:
            job.shown(job.parts.pop())

    def _settle(self, job: _Job[Any], result: object, problem: str | None) -> None:
        if job.asker.job is not job:
            return
        job.asker.job = None
        self.settled.emit(job.asker)
        wanted = self._still_wanted(job)
        if wanted and problem is None:
            job.done(result)
        elif wanted and problem:
            job.asker.failed(problem)
        job.asker.go_on(wanted=wanted)

    def _still_wanted(self, job: _Job[Any]) -> bool:
        return job.asker.outlives or job.owner == self.owner()
