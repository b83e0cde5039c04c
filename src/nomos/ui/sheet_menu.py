"""The menu of a place on the sheet: what lies there, which pulls print, what was found, other looks, the picture."""

import math

from PyQt6.QtCore import QPoint
from PyQt6.QtWidgets import QApplication, QMenu

from nomos.base.language import tr
from nomos.ui.central_view import CentralView
from nomos.ui.column import Column
from nomos.ui.controller import Controller
from nomos.ui.frame.looks import looks_of
from nomos.ui.frame.notes import with_a_place
from nomos.ui.frame.plain_text import set_tip
from nomos.ui.frame.sheet_view import place_text, pulls_at

# What was found so near is told of a place, mm on the sheet.
_NEAR_MM = 6.0


def copy_picture(view: CentralView) -> None:
    """Put what the sheet shows on the clipboard, as a picture."""
    clipboard = QApplication.clipboard()
    if clipboard is not None:
        clipboard.setPixmap(view.sheet.grab())


def sheet_menu(hand: Controller, view: CentralView, column: Column, at: QPoint) -> QMenu:
    """The menu for a point of the sheet's view."""
    menu, place = QMenu(view.sheet), view.sheet.viewport.to_sheet(at.x(), at.y())
    menu.setToolTipsVisible(True)
    project, proof = hand.document.project, hand.keeper.proof
    said = menu.addAction(place_text(proof, hand.state, place))
    assert said is not None
    said.setEnabled(False)
    menu.addSeparator()
    for pull in pulls_at(proof, hand.state, place):
        entry = menu.addAction(tr("Choose {pull}", pull=proof.project.pull_name(pull) if proof else pull))
        assert entry is not None
        entry.triggered.connect(lambda _on=False, pull=pull: hand.choose_pull(pull, None))
    for finding in with_a_place(proof):
        if finding.place_mm is not None and math.dist(finding.place_mm, place) < _NEAR_MM:
            found = menu.addAction(finding.text)
            assert found is not None
            set_tip(found, finding.remedy)
            found.triggered.connect(lambda _on=False, station=finding.station: hand.go_to(station))
    menu.addSeparator()
    looks = menu.addMenu(tr("Look at"))
    assert looks is not None
    for look in looks_of(project, hand.state, hand.at_hand()) if project is not None else ():
        shown = looks.addAction(look.word)
        assert shown is not None
        shown.setEnabled(not look.why_not)
        shown.triggered.connect(lambda _on=False, shown=look.shown: column.look(shown))
    copied = menu.addAction(tr("Copy the picture"))
    assert copied is not None
    copied.triggered.connect(lambda: copy_picture(view))
    return menu
