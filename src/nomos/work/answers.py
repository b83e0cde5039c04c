"""Answers that are kept: each request is worked out once, and the least used go when there are too many."""

import contextlib
import sys
import threading
import time
from collections import OrderedDict
from collections.abc import Callable
from dataclasses import dataclass, fields, is_dataclass
from typing import Any, TypeVar
from weakref import WeakValueDictionary

import msgspec
import numpy as np

from nomos.base.process import give_back
from nomos.base.progress import NULL_PROGRESS, Progress
from nomos.work.request import Request

A = TypeVar("A")

# What is kept for a hand that comes back to it.
MOST_BYTES = 240_000_000
# What took longer has had pages that came and went.
_LONG_S = 1.0
# How often who waits for another's answer looks whether it has been called off.
_LOOK_S = 0.05


@dataclass
class _Kept:
    answer: Any
    size: int


class Answers:
    """What has been answered, by request. Safe to ask from several threads."""

    def __init__(self, most_bytes: int = MOST_BYTES) -> None:
        self._most = most_bytes
        self._kept: OrderedDict[Request[Any], _Kept] = OrderedDict()
        self._size = 0
        # What is no longer kept here is known as long as anyone else holds it.
        self._elsewhere: WeakValueDictionary[Request[Any], Any] = WeakValueDictionary()
        # What several answers hold is counted in each of them: the bound holds in any case.
        self._lock = threading.Lock()
        self._turns: dict[Request[Any], tuple[threading.Lock, int]] = {}

    def __call__(self, request: Request[A], progress: Progress = NULL_PROGRESS) -> A:
        """The answer to a request; who asks while another works it out waits. Raises BadInput, Cancelled."""
        found = self._look(request)
        if found is not None:
            return found.answer
        with self._lock:
            turn, waiting = self._turns.get(request, (threading.Lock(), 0))
            self._turns[request] = turn, waiting + 1
        try:
            while not turn.acquire(timeout=_LOOK_S):
                progress.report(0.0, request.said)
            try:
                found = self._look(request)
                if found is not None:
                    return found.answer
                began = time.monotonic()
                answer = request.work(self, progress)
                self._keep(request, answer)
                if time.monotonic() - began > _LONG_S:
                    give_back()
                return answer
            finally:
                turn.release()
        finally:
            with self._lock:
                _, waiting = self._turns[request]
                if waiting == 1:
                    del self._turns[request]
                else:
                    self._turns[request] = turn, waiting - 1

    def known(self, request: Request[A]) -> A | None:
        """The answer if there is one; nothing is worked out."""
        found = self._look(request)
        return None if found is None else found.answer

    def alike(self, kind: type[Request[A]], suits: Callable[[Any], bool]) -> A | None:
        """The answer last given to a request of a kind that suits: a place to start from."""
        with self._lock:
            newest = reversed(self._kept.items())
            return next((kept.answer for asked, kept in newest if type(asked) is kind and suits(asked)), None)

    def forget(self) -> None:
        """Let go of everything."""
        with self._lock:
            self._kept.clear()
            self._elsewhere.clear()
            self._size = 0

    @property
    def size(self) -> int:
        """Bytes of all that is kept."""
        return self._size

    def _look(self, request: Request[Any]) -> _Kept | None:
        with self._lock:
            found = self._kept.get(request)
            if found is not None:
                self._kept.move_to_end(request)
                return found
            held = self._elsewhere.get(request)
            return None if held is None else _Kept(held, 0)

    def _keep(self, request: Request[Any], answer: object) -> None:
        size = bytes_of(answer) + bytes_of(request)
        with self._lock:
            self._kept[request] = _Kept(answer, size)
            self._size += size
            # One answer larger than the bound stands beside the rest: it must not cost all it was made of.
            beside = size if size > self._most else 0
            while self._size - beside > self._most:
                asked, gone = self._kept.popitem(last=False)
                self._size -= gone.size
                with contextlib.suppress(TypeError):
                    # A plain tuple cannot be pointed to without holding it.
                    self._elsewhere[asked] = gone.answer


def bytes_of(value: object, seen: set[int] | None = None) -> int:
    """About how many bytes a value holds: its arrays, pictures and words, each counted once."""
    seen = set() if seen is None else seen
    if id(value) in seen:
        return 0
    seen.add(id(value))
    if isinstance(value, np.ndarray):
        return value.nbytes
    if isinstance(value, bytes | str | int | float | bool | None.__class__):
        return sys.getsizeof(value)
    if isinstance(value, dict):
        return sum(bytes_of(part, seen) for pair in value.items() for part in pair)
    if isinstance(value, list | tuple | set | frozenset):
        return 8 * len(value) + sum(bytes_of(part, seen) for part in value)
    if isinstance(value, msgspec.Struct):
        return sum(bytes_of(getattr(value, name), seen) for name in value.__struct_fields__)
    if is_dataclass(value):
        return sum(bytes_of(getattr(value, each.name), seen) for each in fields(value))
    return sys.getsizeof(value)
