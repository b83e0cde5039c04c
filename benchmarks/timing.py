"""How long something takes, and a table of it."""

import statistics
import time
from collections.abc import Callable
from dataclasses import dataclass


@dataclass(frozen=True)
class Line:
    """One measurement beside its alternative: what, figure, and what it was held against."""

    what: str
    figure: str
    note: str = ""


@dataclass(frozen=True)
class Section:
    """A question, its lines and what follows."""

    title: str
    lines: tuple[Line, ...]
    verdict: str


def seconds(work: Callable[[], object], *, repeats: int = 7) -> float:
    """Median wall time of one call after one that is not counted, in seconds."""
    work()
    times = []
    for _ in range(repeats):
        start = time.perf_counter()
        work()
        times.append(time.perf_counter() - start)
    return statistics.median(times)


def side_by_side(one: Callable[[], object], other: Callable[[], object], *, repeats: int = 9) -> tuple[float, float]:
    """Median times of two, taken in turns so that both meet the same load."""
    one(), other()
    times: tuple[list[float], list[float]] = ([], [])
    for _ in range(repeats):
        for work, kept in zip((one, other), times, strict=True):
            start = time.perf_counter()
            work()
            kept.append(time.perf_counter() - start)
    return statistics.median(times[0]), statistics.median(times[1])
