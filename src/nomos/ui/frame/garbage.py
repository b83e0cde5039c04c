"""Python's garbage is collected on the window's thread alone, and what it leaves goes back to the machine."""

from PyQt6.QtCore import QObject, QTimer

from nomos.base.process import collect, collect_as_usual, leave_garbage

_EVERY_MS = 1_000
# Cycles that have outlived two collections are gone through once in so many.
_ALL_EVERY = 30


class Collector(QObject):
    """Collects on the window's thread, in small steps, what Python would collect wherever it happens to be.

    A cycle that holds a widget and is collected by a worker's thread is taken
    apart there, and Qt's objects belong to the thread that made them.
    """

    def __init__(self) -> None:
        super().__init__()
        leave_garbage()
        self._times = 0
        self._timer = QTimer(self)
        self._timer.setInterval(_EVERY_MS)
        self._timer.timeout.connect(lambda: self.collect())
        self._timer.start()

    def collect(self, *, whole: bool = False) -> None:
        """Collect the young, and every now and then, or if it is asked for, all."""
        self._times += 1
        whole = whole or self._times % _ALL_EVERY == 0
        collect(whole=whole)

    def close(self) -> None:
        """Leave it to Python again."""
        self._timer.stop()
        collect_as_usual()
