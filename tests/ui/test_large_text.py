"""From 1024 x 700 at usual text up to text twice as large nothing is cut off."""

from collections.abc import Iterator
from importlib import import_module

import pytest
from PyQt6.QtCore import QSettings
from PyQt6.QtWidgets import QApplication, QPushButton

from nomos.cli.common import answers as known
from nomos.project import Assets, Project
from nomos.ui.desk import Desk, set_up
from nomos.ui.frame import theme
from nomos.ui.frame.answers import KNOW, Answers
from nomos.ui.frame.state import STATIONS
from tests.ui.conftest import Answers as Replies
from tests.ui.conftest import settle

USUAL, TWICE = 13, 26
# A screen and a half of a part at 1280 x 800 is the most that is scrolled.
MOST_SCREENS = 1.5


@pytest.fixture
def sized(
    request: pytest.FixtureRequest, application: QApplication, tmp_path: object, demo: tuple[Project, Assets]
) -> Iterator[Desk]:
    """The demo in a window of a width, a height and a height of text."""
    wide, tall, text = request.param
    theme.dress(application, round(100 * text / 13))
    made = set_up(Replies(), QSettings(f"{tmp_path}/w.ini", QSettings.Format.IniFormat))
    made.runner.answers = known()
    made.window.resize(wide, tall)
    made.window.show()
    made.document.begin(demo[0], dict(demo[1]), saved=True)
    settle(made)
    yield made
    made.document.take_as_saved()
    made.window.close()
    made.close()
    made.window.deleteLater()
    theme.dress(application)


def parts_of(desk: Desk) -> Iterator[tuple[str, Answers]]:
    """Every part of every station, shown."""
    for station in STATIONS:
        if station == "bench":
            continue
        desk.window.go_to(station)
        settle(desk)
        column = desk.window.at(station)
        for part in (*(name for name, _ in import_module(type(column).__module__).PARTS), KNOW):
            column.turn_to(part)
            settle(desk)
            yield f"{station}, {part}", column


@pytest.mark.thorough
@pytest.mark.parametrize("sized", [(1024, 700, USUAL), (1024, 700, TWICE)], indirect=True)
def test_nothing_is_cut_off_however_large_the_text(sized: Desk) -> None:
    window = sized.window
    assert (window.width(), window.height()) == (1024, 700)
    usual = QApplication.font().pixelSize() == USUAL
    for name, column in parts_of(sized):
        inner = column.area.widget()
        assert inner is not None
        assert not usual or inner.height() <= MOST_SCREENS * 700, f"{name} is too long"
        bar = column.area.horizontalScrollBar()
        assert bar is not None
        assert bar.maximum() == 0, f"{name} is wider than the column"
        for made in column.findChildren(QPushButton):
            if made.isVisible():
                assert made.width() >= made.minimumSizeHint().width(), f"{name}: {made.text()}"
                assert made.height() >= made.heightForWidth(made.width()), f"{name}: {made.text()}"
    window.go_to("bench")
    settle(sized)
    assert (window.width(), window.height()) == (1024, 700)
    # At the bench nothing stands beside the one thing to do.
    assert window.central_view.width() == window.width()
