"""The part Inking at Blocks: zones drawn with the mouse, inked, wiped, taken out; passes and printing."""

import pytest
from PyQt6.QtCore import QPoint, Qt
from PyQt6.QtWidgets import QPushButton

from nomos.project import Project
from nomos.project.edition.card import pull_card
from nomos.ui.desk import Desk
from nomos.ui.stations.blocks.inking import InkingPart
from tests.ui.conftest import QTest, click, drag, project_of, settle

LEFT = Qt.MouseButton.LeftButton


@pytest.fixture
def inking(little_desk: Desk) -> InkingPart:
    """The part, with the first pull in hand."""
    station = little_desk.window.at("blocks")
    little_desk.controller.choose_pull(project_of(little_desk).impressions[0].id)
    station.turn_to("inking")
    settle(little_desk)
    part: InkingPart = station.inking
    return part


def hand(part: InkingPart, tool: str) -> None:
    names = {made.text().lower(): made for made in part.hand.findChildren(QPushButton)}
    QTest.mouseClick(names[tool], LEFT)


def becomes(part: InkingPart, what: int) -> None:
    part.what.setCurrentIndex(what)
    part.what.activated.emit(what)


def around(desk: Desk, *shares: tuple[float, float]) -> list[tuple[float, float]]:
    """Places in the image, as shares of it, on the screen."""
    image = project_of(desk).image
    view = desk.window.sheet._view
    return [view.to_screen(image.left + x * image.width, image.top + y * image.height) for x, y in shares]


def zones(desk: Desk) -> tuple[str, ...]:
    return tuple(zone.bare or "inked" for zone in project_of(desk).impressions[0].zones)


def test_zones_are_drawn_with_the_mouse_and_undone(little_desk: Desk, inking: InkingPart) -> None:
    desk = little_desk
    before = project_of(desk)
    hand(inking, "lasso")
    drag(desk.window.sheet, *around(desk, (0.1, 0.1), (0.6, 0.1), (0.6, 0.5), (0.1, 0.5)))
    settle(desk)
    assert zones(desk) == ("inked", "inked")
    assert desk.controller.state.zone == 1
    assert len(inking.rows._rows) == 2
    # What was drawn is drawn over the sheet.
    laid_over = desk.window.column.here("blocks").laid_over(project_of(desk))
    assert laid_over is not None
    assert len(laid_over.lines) == 1
    # An ink of its own, put on with a dabber.
    inking.ink.setCurrentIndex(inking.ink.count() - 1)
    inking.ink.activated.emit(inking.ink.count() - 1)
    inking.tool["tool"].activated.emit(inking.tool["tool"].findText("dabber"))
    settle(desk)
    zone = project_of(desk).impressions[0].zones[1]
    assert (zone.tool, zone.ink != before.impressions[0].zones[0].ink) == ("dabber", True)
    # Wiped with a brush: the card says so.
    hand(inking, "brush")
    becomes(inking, 2)
    drag(desk.window.sheet, *around(desk, (0.7, 0.7), (0.8, 0.8)))
    settle(desk)
    assert zones(desk) == ("inked", "inked", "wiped")
    inking.soft["soft_mm"].setValue(0)
    card = pull_card(project_of(desk), None, 0)
    assert any("wiped" in zone.text and "a hard edge" in zone.text for zone in card.zones)
    hand(inking, "move")
    QTest.mouseClick(inking.take_out, LEFT)
    settle(desk)
    assert zones(desk) == ("inked", "inked")
    while desk.document.stack.canUndo():
        desk.document.stack.undo()
    assert project_of(desk) == before


def test_a_click_on_a_field_inks_it_alone(little_desk: Desk, inking: InkingPart) -> None:
    desk = little_desk
    hand(inking, "field")
    becomes(inking, 3)
    ((x, y),) = around(desk, (0.5, 0.04))
    QTest.mouseClick(desk.window.sheet, LEFT, pos=QPoint(round(x), round(y)))
    settle(desk)
    assert zones(desk) == ("uninked", "inked")
    # Another station: the tool is put down, a click chooses again.
    desk.window.go_to("inks")
    desk.window.go_to("blocks")
    assert not desk.controller.inker.drawing


def test_a_further_wash_has_its_name_and_its_way_of_printing(little_desk: Desk, inking: InkingPart) -> None:
    desk = little_desk
    count = len(project_of(desk).impressions)
    click(inking.again)
    settle(desk)
    after = project_of(desk)
    assert len(after.impressions) == count + 1
    desk.controller.choose_pull(after.impressions[1].id)
    inking.name.setFocus()
    inking.name.selectAll()
    QTest.keyClicks(inking.name, "Mauve, 2nd wash")
    QTest.keyClick(inking.name, Qt.Key.Key_Return)
    inking.pull["printing"].activated.emit(inking.pull["printing"].findText("spoon"))
    inking.pull["packing_sheets"].setValue(3)
    turned = inking.pull["turned_over"]
    QTest.mouseClick(turned, LEFT, pos=turned.rect().center() / 4)
    settle(desk)
    project = project_of(desk)
    assert project.pull_name(project.impressions[1].id) == "Mauve, 2nd wash"
    card = pull_card(project, None, 1)
    assert "spoon" in card.printing
    assert card.packing == "3 sheets of packing"
    assert card.title.endswith("Mauve, 2nd wash")
    assert project.impressions[1].turned_over == ("turn" in card.lay.lower() or "onto the paper" in card.lay)


def test_without_a_pull_there_is_nothing_to_ink(little_desk: Desk, inking: InkingPart) -> None:
    little_desk.controller.set_state(pull=None)
    settle(little_desk)
    assert not inking.rows.isVisible()
    assert "Choose a block first" in inking.heading.text()
    project: Project = project_of(little_desk)
    assert len(project.impressions[0].zones) == 1
