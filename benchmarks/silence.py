"""How long work goes on without a word, and so without being called off: every request and every job."""

import runpy
import tempfile
import time
from pathlib import Path

from benchmarks.timing import Line, Section
from nomos.cli.common import answers
from nomos.demo import demo_project
from nomos.work import Answers
from nomos.work.cut import cut_of

ROOT = Path(__file__).resolve().parents[1]
_AIM_S = 0.5
_SHOWN = 12


class Watch:
    """The longest time between two reports, and what was said before it."""

    def __init__(self) -> None:
        self.longest_s, self.message, self._last = 0.0, "", ""
        self._since = time.perf_counter()

    def report(self, _fraction: float, message: str) -> None:
        """Take the time."""
        now = time.perf_counter()
        if now - self._since > self.longest_s:
            self.longest_s, self.message = now - self._since, self._last
        self._since, self._last = now, message


def silences() -> dict[str, Watch]:
    """The longest silence of every request and job of the demo, in seconds."""
    listed = runpy.run_path(str(ROOT / "tests" / "work" / "test_stopping.py"))
    project, assets = demo_project(ask=answers())
    cut = cut_of(project, assets)
    assert cut is not None
    found = {}
    for name, make in listed["REQUESTS"].items():
        found[name] = watch = Watch()
        Answers()(make(project, assets, cut), watch)
        watch.report(1.0, "")
    for name, job in listed["JOBS"].items():
        found[name] = watch = Watch()
        with tempfile.TemporaryDirectory() as folder:
            job(project, assets, answers(), Path(folder), watch)
        watch.report(1.0, "")
    return found


def measure() -> Section:
    """The longest silences, the longest first."""
    found = sorted(silences().items(), key=lambda each: -each[1].longest_s)
    over = sum(watch.longest_s > _AIM_S for _, watch in found)
    lines = tuple(Line(name, f"{watch.longest_s:.2f} s", f"after “{watch.message}”") for name, watch in found[:_SHOWN])
    return Section(
        f"Longest time without a report, of {len(found)} requests and jobs",
        lines,
        f"{_AIM_S} s: {'met' if not over else f'missed by {over}'}",
    )


if __name__ == "__main__":
    print(*(f"{line.what:24} {line.figure}  {line.note}" for line in measure().lines), sep="\n")
