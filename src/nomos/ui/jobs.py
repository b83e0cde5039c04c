"""Long work off the window's thread: one running job for each slot, newer ones replacing older."""

import logging
import threading
from collections.abc import Callable
from concurrent.futures import ThreadPoolExecutor
from typing import Any, TypeVar

from PyQt6.QtCore import QObject, pyqtSignal

from nomos.errors import BadInput
from nomos.progress import Cancelled, Progress

T = TypeVar("T")

_log = logging.getLogger(__name__)


class _Job:
    """One piece of work; its own progress, which raises once it is called off."""

    def __init__(self, runner: "JobRunner", slot: str) -> None:
        self.slot = slot
        self._runner = runner
        self._cancelled = threading.Event()

    def report(self, fraction: float, message: str) -> None:
        if self._cancelled.is_set():
            raise Cancelled
        self._runner.reported.emit(self, fraction, message)

    def show(self, part: object) -> None:
        """Hand a first answer over before the last one is there."""
        self.report(0.0, "")
        self._runner.showed.emit(self, part)

    def cancel(self) -> None:
        self._cancelled.set()


class JobRunner(QObject):
    """Runs work for named slots. Results come back on the window's thread, stale ones never."""

    progressed = pyqtSignal(str, float, str)
    """(slot, fraction, message)."""
    settled = pyqtSignal(str)
    """(slot): its work has ended, failed or been called off."""
    reported = pyqtSignal(object, float, str)
    showed = pyqtSignal(object, object)
    _ended = pyqtSignal(object, object, object)

    def __init__(self) -> None:
        super().__init__()
        self._pool = ThreadPoolExecutor(max_workers=2, thread_name_prefix="nomos-job")
        self._running: dict[str, _Job] = {}
        self._answers: dict[_Job, tuple[Callable[[Any], None], Callable[[str], None]]] = {}
        self._first: dict[_Job, Callable[[Any], None]] = {}
        self.reported.connect(self._report)
        self.showed.connect(self._show)
        self._ended.connect(self._settle)

    def run(
        self,
        slot: str,
        work: Callable[[Progress], T],
        done: Callable[[T], None],
        failed: Callable[[str], None],
    ) -> None:
        """Do `work` in the background and hand its result to `done`, or one sentence to `failed`.

        A job already running in the slot is called off. Cancelled work calls neither.
        """
        self._begin(slot, lambda job: work(job), done, failed, None)

    def run_showing(
        self,
        slot: str,
        work: Callable[[Progress, Callable[[Any], None]], T],
        done: Callable[[T], None],
        failed: Callable[[str], None],
        shown: Callable[[Any], None],
    ) -> None:
        """As `run`, for work that hands first answers to `shown` on the way."""
        self._begin(slot, lambda job: work(job, job.show), done, failed, shown)

    def _begin(
        self,
        slot: str,
        work: Callable[[_Job], Any],
        done: Callable[[Any], None],
        failed: Callable[[str], None],
        shown: Callable[[Any], None] | None,
    ) -> None:
        self.cancel(slot)
        job = _Job(self, slot)
        self._running[slot] = job
        self._answers[job] = (done, failed)
        if shown is not None:
            self._first[job] = shown
        self._pool.submit(self._work, job, work)

    def cancel(self, slot: str) -> None:
        """Call off what runs in a slot, if anything does."""
        job = self._running.pop(slot, None)
        if job is not None:
            job.cancel()
            self._answers.pop(job, None)
            self._first.pop(job, None)
            self.settled.emit(slot)

    def busy(self) -> tuple[str, ...]:
        """The slots with work running."""
        return tuple(self._running)

    def close(self) -> None:
        """Call off everything and wait for the threads to end."""
        for slot in tuple(self._running):
            self.cancel(slot)
        self._pool.shutdown(wait=True)

    def _work(self, job: _Job, work: Callable[[_Job], Any]) -> None:
        result, problem = None, None
        try:
            job.report(0.0, "")
            result = work(job)
        except Cancelled:
            problem = ""
        except BadInput as error:
            problem = str(error)
        except MemoryError:
            problem = "There is not enough memory for this; close other programs or make the design smaller."
        except Exception:
            _log.exception("job %s failed", job.slot)
            problem = "That did not work, through a fault of the program. Your project is as it was."
        self._ended.emit(job, result, problem)

    def _report(self, job: _Job, fraction: float, message: str) -> None:
        if self._running.get(job.slot) is job:
            self.progressed.emit(job.slot, fraction, message)

    def _show(self, job: _Job, part: object) -> None:
        if self._running.get(job.slot) is job and job in self._first:
            self._first[job](part)

    def _settle(self, job: _Job, result: object, problem: str | None) -> None:
        answers = self._answers.pop(job, None)
        self._first.pop(job, None)
        if self._running.get(job.slot) is job:
            del self._running[job.slot]
            self.settled.emit(job.slot)
        if answers is None or problem == "":
            return
        done, failed = answers
        if problem is None:
            done(result)
        else:
            failed(problem)
