"""Memory that is free goes back to the machine."""

import ctypes


def give_back() -> None:
    """Let go of memory that is free but kept by the C library: hundreds of MB after pages have come and gone.

    malloc_trim(3) of glibc; another C library has none, and keeps less.
    """
    trim = getattr(ctypes.CDLL(None), "malloc_trim", None)
    if trim is not None:
        trim(0)
