"""How long work in the core says how far it is, and learns that it is no longer wanted."""

from collections.abc import Callable
from typing import Protocol


class Cancelled(Exception):  # noqa: N818 - nothing went wrong
    """The work was called off; nothing it would have made is to be used."""


class Progress(Protocol):
    """What a long core function is handed."""

    def report(self, fraction: float, message: str) -> None:
        """Say that `fraction` (0 to 1) is done. Raises Cancelled when the work is called off."""


class _Silent:
    def report(self, fraction: float, message: str) -> None:
        pass


class Part:
    """A stretch of a longer piece of work, reporting into the whole."""

    def __init__(self, whole: Progress, start: float, end: float) -> None:
        self._whole, self._start, self._span = whole, start, end - start

    def report(self, fraction: float, message: str) -> None:
        """Report `fraction` of this part as the right share of the whole."""
        self._whole.report(self._start + self._span * fraction, message)

    @property
    def show(self) -> Callable[[object], None] | None:
        """What hands a first answer on to the whole, if that wants any."""
        return _shows(self._whole)


def show(progress: Progress, part: object) -> None:
    """Hand a first answer over before the last one is there, if whoever waits wants to see any."""
    wants = _shows(progress)
    if wants is not None:
        wants(part)


def wants_first(progress: Progress) -> bool:
    """Whether whoever waits wants to see a first answer."""
    return _shows(progress) is not None


def _shows(progress: Progress) -> Callable[[object], None] | None:
    found: Callable[[object], None] | None = getattr(progress, "show", None)
    return found


NULL_PROGRESS: Progress = _Silent()
