"""What another process asks of the window by a signal: end, but keep first what is not saved."""

import contextlib
import os
import signal
from collections.abc import Callable

from PyQt6.QtCore import QSocketNotifier

_ENDING = (signal.SIGTERM, signal.SIGHUP, signal.SIGINT)


class EndedBySignal:
    """Ends the application when a signal asks for it.

    Python hears of a signal only when it runs again, which may be long in Qt's loop: the signal's number
    is written into a pipe that the loop listens to (signal.set_wakeup_fd).

    by : the signal that ended it, or None.
    """

    def __init__(self, end: Callable[[], None]) -> None:
        self.by: int | None = None
        self._end = end
        self._read, write = os.pipe()
        os.set_blocking(self._read, False)
        os.set_blocking(write, False)
        self._write = write
        self._woken_before = signal.set_wakeup_fd(write, warn_on_full_buffer=False)
        self._before = {each: signal.signal(each, lambda _number, _frame: None) for each in _ENDING}
        self._notifier = QSocketNotifier(self._read, QSocketNotifier.Type.Read)  # type: ignore[call-overload] # takes an int
        self._notifier.activated.connect(self._heard)

    def _heard(self) -> None:
        with contextlib.suppress(OSError):
            numbers = os.read(self._read, 64)
            if self.by is None and numbers:
                self.by = numbers[0]
                self._end()

    def close(self) -> None:
        """Listen no more."""
        self._notifier.setEnabled(False)
        signal.set_wakeup_fd(self._woken_before)
        for number, handler in self._before.items():
            signal.signal(number, handler)
        os.close(self._read)
        os.close(self._write)
