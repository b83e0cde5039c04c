"""What every station says, frozen: the words and figures of each of its parts, on demos and drawn designs."""

from typing import Any

import pytest
from PyQt6.QtGui import QPainter
from PyQt6.QtWidgets import QAbstractButton, QAbstractSpinBox, QComboBox, QLabel, QLineEdit, QWidget

from nomos.cli.common import answers
from nomos.demo import COLD_FRAME, PHOTO, POTS, demo_project
from nomos.project import Assets, Project
from nomos.ui.desk import Desk
from nomos.ui.frame import theme
from nomos.ui.frame.state import STATIONS
from tests.test_golden import beginning, boards_of, frozen
from tests.ui.conftest import settle

_PARTS = {
    "design": ("colours", "picture", "correct", "know"),
    "blocks": ("blocks", "method", "fewer", "joins", "hand", "know"),
    "inks": ("ink", "mix", "stack", "paper", "see", "reach", "learn", "know"),
    "order": ("orders", "days", "times", "sitting", "know"),
    "register": ("system", "measures", "try", "tolerance", "proofs", "know"),
    "carve": ("blocks", "tools", "boards", "transfer", "know"),
    "sheets": ("sheets", "buy", "record"),
    "bench": ("",),
}


@pytest.fixture
def drawn_text(monkeypatch: pytest.MonkeyPatch) -> list[str]:
    """What is drawn as text, before it is shortened to its place."""
    said: list[str] = []
    draw: Any = QPainter.drawText

    def heard(painter: QPainter, *arguments: Any) -> Any:
        said.append(next(each for each in reversed(arguments) if isinstance(each, str)))
        return draw(painter, *arguments)

    monkeypatch.setattr(QPainter, "drawText", heard)
    monkeypatch.setattr(theme, "elided", lambda text, *_: text)
    return said


def _words(widget: QWidget) -> list[str]:
    """The words of all that is in sight in a widget, in the order of their making."""
    found = []
    for each in widget.findChildren(QWidget):
        if not each.isVisibleTo(widget):
            continue
        if isinstance(each, QLabel | QLineEdit | QAbstractButton | QAbstractSpinBox):
            found.append(each.text())
        elif isinstance(each, QComboBox):
            found.append(each.currentText())
    return [text for text in found if text]


def _said_at(desk: Desk, drawn: list[str]) -> dict[str, list[str]]:
    window, found = desk.window, {}
    for station in STATIONS:
        window.go_to(station)
        for part in _PARTS[station]:
            if part:
                window.at(station).turn_to(part)
            settle(desk, closely=True)
            drawn.clear()
            column = window.at(station)
            for sight in (column, window.strip, window.ladder):
                sight.grab()
            found[f"{station} {part}".strip()] = [*_words(column), *dict.fromkeys(drawn)]
    return found


@pytest.mark.parametrize(
    "name", ["coldframe", "pots", pytest.param("photo", marks=pytest.mark.thorough), "glasshouse", "little", "boards"]
)
def test_the_stations_say_what_they_said(
    name: str, desk: Desk, demo: tuple[Project, Assets], little: tuple[Project, Assets], drawn_text: list[str]
) -> None:
    scenarios = {each.name: each for each in (COLD_FRAME, POTS, PHOTO)}
    drawn = little if name in ("little", "boards") else demo
    project, assets = demo_project(scenarios[name], answers()) if name in scenarios else drawn
    project = beginning(boards_of(project) if name == "boards" else project)
    desk.document.begin(project, dict(assets), saved=True)
    settle(desk, closely=True)
    frozen(f"stations-{name}", _said_at(desk, drawn_text))
