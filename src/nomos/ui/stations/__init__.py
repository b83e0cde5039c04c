"""The stations, a folder each: view states without Qt, widgets, and the hand that asks and edits.

A new station is a folder with a `<name>_presenter.py`, and one line here.
"""

from importlib import import_module
from typing import TYPE_CHECKING, Any

from nomos.project import Station

if TYPE_CHECKING:
    from nomos.ui.controller import Controller
    from nomos.ui.frame.presenter import StationPresenter, Wishes

TABLE: dict[Station, str] = {
    "design": "DesignPresenter",
    "blocks": "BlocksPresenter",
    "inks": "InksPresenter",
    "order": "OrderPresenter",
    "register": "RegisterPresenter",
    "carve": "CarvePresenter",
    "sheets": "SheetsPresenter",
    "bench": "BenchPresenter",
}


def make(station: Station, hand: "Controller", wishes: "Wishes") -> "StationPresenter[Any]":
    """A station, imported and made now."""
    module = import_module(f"nomos.ui.stations.{station}.{station}_presenter")
    here: StationPresenter[Any] = getattr(module, TABLE[station])(hand, wishes)
    return here
