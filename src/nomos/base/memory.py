"""Memory that is free goes back to the machine, and a process that takes too much ends."""

import ctypes
import resource

# From this size on a piece of memory comes from the machine itself and goes back to it as soon as it is free;
# glibc's own limit rises to 32 MB with what has been freed, and pages of 9 MB and more were kept by hundreds.
_APART_BYTES = 8 << 20
_M_MMAP_THRESHOLD = -3


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
