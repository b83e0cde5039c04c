"""Has the sheet grow pull by pull on the screen, slowly, as it does at the bench."""

from PyQt6.QtCore import QObject, QTimer

from nomos.ui.controller import Controller

STEP_MS = 800


class Grower(QObject):
    """Steps through the pulls from bare paper to the finished print."""

    def __init__(self, controller: Controller) -> None:
        super().__init__()
        self._hand = controller
        self._clock = QTimer(self)
        self._clock.setInterval(STEP_MS)
        self._clock.timeout.connect(self.step)
        controller.document.changed.connect(lambda _before, _after: self.stop())

    @property
    def growing(self) -> bool:
        """Whether it is on its way."""
        return self._clock.isActive()

    def start(self) -> None:
        """Begin on bare paper; asked for again while it grows, it stops at the finished print."""
        project = self._hand.document.project
        if project is None or not project.impressions:
            return
        if self.growing:
            self.stop()
            self._hand.set_state(pulls=None)
            return
        self._hand.set_state(shown="print")
        self._hand.choose_pull(None, 0)
        self._clock.start()

    def step(self) -> None:
        """One pull more; after the last it rests on the finished print."""
        pulls = self._hand.state.pulls
        if pulls is None:
            # It is finished, or a hand has chosen something else to look at.
            self.stop()
            return
        self._hand.step_view(1)

    def stop(self) -> None:
        """Stay where it is."""
        self._clock.stop()
