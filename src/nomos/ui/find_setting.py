"""Find a setting wherever it stands in the window, and turn to it."""

from collections.abc import Callable
from typing import Any

from PyQt6.QtWidgets import QWidget

from nomos.project import Station
from nomos.ui.frame.answers import Answers
from nomos.ui.frame.finder import Finder, Place, places_of
from nomos.ui.frame.state import STATIONS
from nomos.ui.frame.view import STATION_NAMES


def find_setting(window: QWidget, at: Callable[[Station], Any], turn_to: Callable[[Station, str], object]) -> None:
    """Ask for a word. at : the widget of a station; turn_to : a part of one."""
    stations = {station: made for station in STATIONS if isinstance(made := at(station), Answers)}
    places = [place for station, made in stations.items() for place in places_of(STATION_NAMES[station], made)]
    by_name = {STATION_NAMES[station]: station for station in stations}

    def go(place: Place) -> None:
        station = by_name[place.station]
        made = stations[station]
        turn_to(station, place.part)
        if place.part in made.more:
            made.more[place.part].unfold()
        made.area.ensureWidgetVisible(place.control)
        place.control.setFocus()

    Finder(window, places, go).open()
