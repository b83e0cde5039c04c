"""The same work for several things at once, where OpenCV and NumPy let go of the interpreter."""

import os
from collections.abc import Callable, Sequence
from concurrent.futures import ThreadPoolExecutor, wait
from typing import TypeVar

from nomos.base.progress import NULL_PROGRESS, Progress

T = TypeVar("T")
A = TypeVar("A")

# More hands than this each hold pages of their own, and memory is what a large print is short of.
_MOST_HANDS = 4
_LOOK_S = 0.05


def map_threads(
    work: Callable[[T], A], things: Sequence[T], *, progress: Progress = NULL_PROGRESS,
    words: Callable[[T], str] = lambda _: "",
) -> list[A]:  # fmt: skip
    """What the work gives for each thing, in their order; whoever waits is told which is being waited for.

    Raises whatever the work raises, and Cancelled; what has not begun then is left.
    """
    hands = min(_MOST_HANDS, os.cpu_count() or 1, len(things))
    pool = ThreadPoolExecutor(max(hands, 1), thread_name_prefix="nomos-map")
    try:
        begun = [pool.submit(work, thing) for thing in things]
        for place, (thing, one) in enumerate(zip(things, begun, strict=True)):
            progress.report(place / len(things), words(thing))
            while not wait([one], timeout=_LOOK_S).done:
                progress.report(place / len(things), words(thing))
        return [one.result() for one in begun]
    finally:
        pool.shutdown(wait=True, cancel_futures=True)
