"""Processes of their own: killed at some moment, or asked what they come to."""

import contextlib
import os
import random
import signal
import time
from collections.abc import Callable

# A save of the seed takes a few ms, an event less: kills fall before, in and between them.
_LIVES_S = 0.15


def last_told(life: Callable[[Callable[[int], None]], None], rng: random.Random) -> int:
    """The last that a process told before it was killed, 0 for nothing."""
    reading, writing = os.pipe()
    child = os.fork()
    if child == 0:
        os.close(reading)
        try:
            life(lambda count: os.write(writing, f"{count}\n".encode()) and None)
        finally:
            os._exit(1)
    os.close(writing)
    time.sleep(rng.uniform(0.0, _LIVES_S))
    os.kill(child, signal.SIGKILL)
    os.waitpid(child, 0)
    with os.fdopen(reading) as told:
        lines = told.read().split()
    return int(lines[-1]) if lines else 0


def told_by_child(life: Callable[[], str]) -> str:
    """What a process of its own comes to, so that its limits are its own."""
    reading, writing = os.pipe()
    child = os.fork()
    if child == 0:
        os.close(reading)
        fault = "ended without a word"
        with contextlib.suppress(BaseException):
            fault = life()
        os.write(writing, fault.encode("utf-8", "replace"))
        os._exit(0)
    os.close(writing)
    with os.fdopen(reading, errors="replace") as told:
        fault = told.read()
    os.waitpid(child, 0)
    return fault
