"""A choice is looked at when the pointer rests on it; a pointer that only passes asks for nothing."""

from PyQt6.QtCore import QObject, QTimer, pyqtSignal

# So long the pointer rests on a choice before it is laid beside the print.
_REST_MS = 250


class Rest(QObject):
    """Watches over which of some choices the pointer is."""

    rested = pyqtSignal(int)
    """The place of the choice it rests on, or -1 once it has left all of them."""

    def __init__(self, parent: QObject) -> None:
        super().__init__(parent)
        self.place = -1
        self._clock = QTimer(self)
        self._clock.setSingleShot(True)
        self._clock.setInterval(_REST_MS)
        self._clock.timeout.connect(lambda: self.rested.emit(self.place))

    def over(self, place: int) -> bool:
        """The pointer is over a choice. Whether it is another than before."""
        if place == self.place:
            return False
        self.place = place
        self._clock.start()
        return True

    def at(self, place: int) -> None:
        """A key has gone to a choice: no rest is needed."""
        self.place = place
        self.rested.emit(place)

    def leave(self) -> None:
        """The pointer has left all of them."""
        self._clock.stop()
        if self.place >= 0:
            self.at(-1)

    def stop(self) -> None:
        """They are out of sight."""
        self._clock.stop()
