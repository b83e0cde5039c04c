"""All that is tuned for this process as a whole: why, and what was measured.

Python looks for garbage wherever it happens to be; the window looks for its own, between two events.
Its thread gets its turn soon, workers step back, large pages go back to the machine when they are free.
"""

import contextlib
import ctypes
import gc
import os
import resource
import sys
import threading

# From this size on a piece of memory comes from the machine itself and goes back to it as soon as it is free;
# glibc's own limit rises to 32 MB with what has been freed, and pages of 9 MB and more were kept by hundreds.
_APART_BYTES = 8 << 20
_M_MMAP_THRESHOLD = -3
# While work goes on the window's thread gets its turn after this, not after Python's usual 5 ms.
_TURN_S = 0.0001
_NICE = 5


def keep_little() -> None:
    """Have large pages go back as soon as they are free.

    mallopt(3) of glibc; another C library has none. Each costs a few milliseconds more to get, so that a
    program with one task, which ends with it, does without.
    """
    option = getattr(ctypes.CDLL(None), "mallopt", None)
    if option is not None:
        option(_M_MMAP_THRESHOLD, _APART_BYTES)


def give_back() -> None:
    """Let go of memory that is free but kept by the C library: hundreds of MB after pages have come and gone.

    malloc_trim(3) of glibc; another C library has none, and keeps less.
    """
    trim = getattr(ctypes.CDLL(None), "malloc_trim", None)
    if trim is not None:
        trim(0)


def limit_this_process(most_bytes: int, most_s: int) -> None:
    """Have this process end rather than take more memory or seconds of work than so much (setrlimit(2))."""
    for what, most in ((resource.RLIMIT_AS, most_bytes), (resource.RLIMIT_CPU, most_s)):
        _, hard = resource.getrlimit(what)
        resource.setrlimit(what, (most if hard == resource.RLIM_INFINITY else min(most, hard), hard))


def turn_soon() -> None:
    """Have the window's thread answer while workers compute."""
    sys.setswitchinterval(_TURN_S)


def step_back() -> None:
    """Have this thread step back beside the window's: on Linux each has a priority (setpriority(2))."""
    with contextlib.suppress(OSError):
        os.setpriority(os.PRIO_PROCESS, threading.get_native_id(), _NICE)


def leave_garbage() -> None:
    """Look for no garbage until `collect`: while the program starts, a tenth of the time went into it."""
    gc.disable()


def let_stand() -> None:
    """What was made by now stands until the end: it is not looked through for garbage again."""
    gc.freeze()


def collect(*, whole: bool) -> None:
    """Collect the young garbage, or all of it and give back what is free."""
    gc.collect(2 if whole else 1)
    if whole:
        give_back()


def collect_as_usual() -> None:
    """Leave it to Python again."""
    gc.enable()
