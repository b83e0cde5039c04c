"""The column at the right: the stations, each made when it is first shown, or before."""

from typing import Any

from PyQt6.QtCore import QTimer, pyqtSignal
from PyQt6.QtWidgets import QStackedWidget, QWidget

from nomos.project import Project, Proof, Station
from nomos.ui.controller import Controller
from nomos.ui.frame import theme
from nomos.ui.frame.answers import Answers
from nomos.ui.frame.looks import STATION_OF_LOOK
from nomos.ui.frame.presenter import StationPresenter, Wishes
from nomos.ui.frame.sheet_view import Overlay
from nomos.ui.frame.state import Shown
from nomos.ui.stations import TABLE, make


class Column(QStackedWidget):
    """Shows the station the hand is at; what is asked for there goes to the controller."""

    complete = pyqtSignal()
    """All stations have been made."""

    def __init__(self, controller: Controller) -> None:
        super().__init__()
        self._hand, self.wishes = controller, Wishes()
        self._made: dict[Station, StationPresenter[Any]] = {}
        # Due as soon as the hand does nothing.
        self._idle = QTimer(self)
        self._idle.timeout.connect(self._make_one)
        self.setMinimumWidth(theme.scaled(240))

    def here(self, station: Station) -> StationPresenter[Any]:
        """A station, made if it is not there yet."""
        if station not in self._made:
            made = self._made[station] = make(station, self._hand, self.wishes)
            if not made.in_middle:
                self.addWidget(made.widget)
            if isinstance(made.widget, Answers):
                made.widget.findings.show_requested.connect(self.wishes.show_requested)
                made.widget.findings.cure_requested.connect(self._hand.methods.cure)
        return self._made[station]

    def make_all(self) -> None:
        """Make all stations, one each time the hand does nothing."""
        self._idle.start(0)

    def _make_one(self) -> None:
        missing = [station for station in TABLE if station not in self._made]
        if not missing:
            self._idle.stop()
            self.complete.emit()
            return
        made = self.here(missing[0]).widget
        # Style and font, too, are worked out now and not when it is first shown.
        for part in (made, *made.findChildren(QWidget)):
            part.ensurePolished()

    def show_station(self, project: Project, proof: Proof | None) -> None:
        """Render the present station. proof : only one that belongs to the project."""
        here = self.here(self._hand.state.station)
        if here.in_middle and not project.impressions:
            # There is no bench before there is something to print.
            here = self.here("sheets")
        here.show(project, proof)
        if isinstance(here.widget, Answers):
            here.widget.show_notes(here.notes(proof))
        if not here.in_middle:
            self.setCurrentWidget(here.widget)

    def laid_over(self, project: Project) -> Overlay | None:
        """What the station of what is looked at, or else the present one, lays over the sheet."""
        state = self._hand.state
        return self.here(STATION_OF_LOOK.get(state.shown, state.station)).laid_over(project)

    def look(self, shown: Shown) -> None:
        """Have the sheet show something else, and have worked out what that takes."""
        here = self._hand.state.station
        before, after = (STATION_OF_LOOK.get(each, here) for each in (self._hand.state.shown, shown))
        if before not in (here, after):
            # What was worked out for a look from elsewhere need not follow any more.
            self.here(before).gone()
        self.here(after).need(shown)
        self._hand.show(shown)

    def come_to(self, station: Station) -> None:
        """The hand has turned to a station: its sheet is shown, and nothing is worked out for another."""
        for name, made in self._made.items():
            if name != station:
                made.gone()
        self.here(station).come()
