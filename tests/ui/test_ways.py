"""Method, zones, wishes and overlays in the real window, by mouse and keyboard."""

import numpy as np
import pytest
from PyQt6.QtCore import QPoint, Qt
from PyQt6.QtWidgets import QPushButton

from nomos.project.blocks.methods import method_of
from nomos.project.blocks.reduction import layer_steps
from nomos.project.blocks.zones import merged_pulls
from nomos.ui.desk import Desk
from nomos.work.plans import Wanted
from tests.ui.conftest import QTest, click, drag, look_at, names, press, project_of, settle

CTRL = Qt.KeyboardModifier.ControlModifier
LEFT = Qt.MouseButton.LeftButton


def choose_way(desk: Desk, place: int) -> None:
    station = desk.window.at("blocks")
    station.turn_to("method")
    settle(desk)
    press(station.method.ways, 60, station.method.ways.middle_of(place))
    settle(desk)


def undo(desk: Desk) -> None:
    QTest.keyClick(desk.window, Qt.Key.Key_Z, CTRL)
    settle(desk)


def at_sheet(desk: Desk, x_mm: float, y_mm: float, modifiers: Qt.KeyboardModifier) -> None:
    sheet = desk.window.sheet
    x, y = sheet.viewport.to_screen(x_mm, y_mm)
    QTest.mouseClick(sheet, LEFT, modifiers, QPoint(round(x), round(y)))
    settle(desk)


def test_a_jigsaw_is_chosen_shown_in_pieces_and_undone(demo_desk: Desk) -> None:
    desk, station = demo_desk, demo_desk.window.at("blocks")
    before = project_of(desk)
    choose_way(desk, 2)
    assert method_of(project_of(desk)) == "jigsaw"
    assert len(desk.window.ladder._rungs[1].inks) == 7
    settle(desk, closely=True)
    assert "pieces, the smallest" in station.method.pieces.text()
    plain = desk.window.sheet.grab().toImage()
    look_at(desk, "pieces")
    settle(desk)
    content = desk.window.sheet._content
    assert content is not None
    assert len(content.words) > 20
    assert desk.window.sheet.grab().toImage() != plain
    station.method.kerf["kerf_mm"].set_by_hand.emit(1.2)
    settle(desk)
    assert next(b.kerf_mm for b in project_of(desk).blocks if b.kerf_mm is not None) == 1.2
    undo(desk)
    undo(desk)
    assert project_of(desk) == before


def test_two_sided_boards_are_turned_over(demo_desk: Desk) -> None:
    desk, station = demo_desk, demo_desk.window.at("blocks")
    choose_way(desk, 3)
    assert "near left corner" in station.method.turning.text()
    click(station.method.turned.findChildren(QPushButton)[1])
    settle(desk)
    assert "far right corner" in station.method.turning.text()
    assert "up to" in station.method.turning.text()
    click(station.method.carried.findChildren(QPushButton)[1])
    settle(desk)
    assert "Trace the drawing" in station.method.carrying.text()


def test_colours_put_on_one_block_and_taken_apart(demo_desk: Desk) -> None:
    desk, station = demo_desk, demo_desk.window.at("blocks")
    project = project_of(desk)
    pulls = [pull.id for pull in project.impressions]
    desk.controller.editor.apply(
        "Share", lambda p: merged_pulls(p, (pulls[0], pulls[3]), (pulls[0], *pulls[1:3], *pulls[4:]))
    )
    desk.controller.choose_pull(pulls[0])
    settle(desk)
    assert names(desk)[0] == "Sky rose and Bed ochre"
    desk.controller.go_to("inks")
    settle(desk)
    rows = desk.window.at("inks").rows
    press(rows, 60, rows.middle_of(2))
    desk.controller.inks.set_strength(0.5, 1)
    settle(desk)
    assert [zone.strength for zone in project_of(desk).impressions[0].zones] == [1.0, 0.5]
    desk.controller.go_to("blocks")
    settle(desk)
    click(station.split)
    settle(desk)
    assert names(desk)[:2] == ["Sky rose", "Bed ochre"]


def test_a_block_is_printed_once_more_and_left_out(demo_desk: Desk) -> None:
    desk, station = demo_desk, demo_desk.window.at("blocks")
    before = project_of(desk)
    desk.controller.choose_pull(before.impressions[2].id)
    settle(desk)
    click(station.again)
    settle(desk)
    assert names(desk)[2:4] == ["Dusk mauve", "Dusk mauve"]
    desk.controller.choose_pull(project_of(desk).impressions[3].id)
    settle(desk)
    click(station.leave_out)
    settle(desk)
    assert project_of(desk).impressions == before.impressions


def test_several_fields_are_switched_together(demo_desk: Desk) -> None:
    desk, station = demo_desk, demo_desk.window.at("blocks")
    at_sheet(desk, 60, 20, Qt.KeyboardModifier.NoModifier)
    at_sheet(desk, 115, 95, CTRL)
    assert set(desk.controller.state.colours) == {5, 1}
    assert "On 2 colours" in station.switch_title.text()
    row = next(row for row in station.switches._rows if row.name.endswith("Sky rose"))
    assert row.name == "on 1 of 2: Sky rose"
    press(station.switches, 60, station.switches.middle_of(0))
    settle(desk)
    assert {1, 5} <= set(project_of(desk).block(row.id).colours)
    station.one.setCurrentIndex(0)
    station.other.setCurrentIndex(4)
    click(station.meet)
    settle(desk)
    assert desk.controller.state.colours == (5,)
    station.other.setCurrentIndex(1)
    click(station.meet)
    assert "meet nowhere" in desk.window.notice.text()


def test_traps_and_freedom_are_shown_on_the_sheet(demo_desk: Desk) -> None:
    desk, station = demo_desk, demo_desk.window.at("blocks")
    desk.controller.choose_pull(project_of(desk).impressions[2].id)
    station.turn_to("joins")
    settle(desk, closely=True)
    assert "without the trap" in station.joins.opened.text()
    plain = desk.window.sheet.grab().toImage()
    look_at(desk, "traps")
    settle(desk)
    traps = desk.window.sheet.grab().toImage()
    assert traps != plain
    station.turn_to("hand")
    look_at(desk, "free")
    settle(desk)
    assert desk.window.sheet.grab().toImage() not in (plain, traps)
    raster = desk.window.sheet._content.raster if desk.window.sheet._content else None
    assert raster is not None
    # It must print, may stay, must go; under a transparent key nothing may go unseen.
    assert set(np.unique(raster.levels[0])) >= {0, 1, 2}


def test_a_graded_zone_is_dragged_by_its_ends(demo_desk: Desk) -> None:
    desk = demo_desk
    pull = project_of(desk).impressions[4].id
    desk.controller.go_to("inks")
    desk.controller.choose_pull(pull)
    settle(desk)
    click(desk.window.at("inks").inking.findChildren(QPushButton)[1])
    settle(desk)
    grade = project_of(desk).impression(pull).zones[0].grade
    assert grade is not None
    assert desk.keeper.proof is not None
    lab = desk.keeper.proof.matches
    sheet = desk.window.sheet
    start = sheet.viewport.to_screen(*grade.end)
    there = sheet.viewport.to_screen(grade.end[0], grade.end[1] - 60)
    drag(sheet, start, (start[0], (start[1] + there[1]) / 2), there)
    settle(desk)
    moved = project_of(desk).impression(pull).zones[0].grade
    assert moved is not None
    assert moved.end[1] == pytest.approx(grade.end[1] - 60, abs=2)
    assert moved.start == grade.start
    assert desk.document.stack.count() == 2
    assert desk.keeper.proof.matches != lab
    desk.window.at("inks").grade_box.set_by_hand.emit(40)
    settle(desk)
    assert project_of(desk).impression(pull).zones[0].grade.to == 0.4  # type: ignore[union-attr]


def test_wishes_and_inks_for_plans_are_kept_and_followed(demo_desk: Desk) -> None:
    desk, station = demo_desk, demo_desk.window.at("blocks")
    station.turn_to("fewer")
    desk.controller.blocks.ask_inks("own")
    desk.controller.planner.ask(Wanted("own", 3))
    settle(desk)
    fewer = station.fewer
    press(fewer.wishes, 60, fewer.wishes.middle_of(6))
    click(fewer.wish.findChildren(QPushButton)[1])
    settle(desk)
    assert fewer.wishes._rows[6].figure == "must match"
    leek = next(place for place, row in enumerate(fewer.uses._rows) if row.name == "Leek")
    for _ in range(2):
        press(fewer.uses, 60, fewer.uses.middle_of(leek))
        settle(desk)
    assert fewer.uses._rows[leek].figure == "must not"
    click(fewer.look)
    settle(desk)
    found = desk.controller.planner.found
    assert found is not None
    request = desk.controller.planner.request
    assert request is not None
    assert request.wanted.wishes == ((6, "match"),)
    assert all(ink.name != "Leek" for plans in found.plans for plan in plans for ink in plan.inks)
    assert any(ink.name == "Brick" for ink in found.plans[-1][0].inks)


@pytest.mark.thorough
def test_a_reduction_is_changed_without_keeping_the_hand_waiting(desk: Desk) -> None:
    desk.window.resize(1280, 800)
    desk.window.show()
    desk.files.open_demo("coldframe")
    settle(desk, closely=True)
    station = desk.window.at("blocks")
    before = len(layer_steps(project_of(desk)))
    station.turn_to("know")
    for head in station.findings.findChildren(QPushButton):
        if head.isCheckable() and not head.isChecked():
            click(head)
    cure = next(b for b in station.findings.findChildren(QPushButton) if b.text().startswith("Ink Night apart"))
    click(cure)
    settle(desk)
    steps = layer_steps(project_of(desk))
    assert len(steps) == before - 1
    assert sorted(map(len, steps)) == [1, 1, 1, 2]
    assert desk.document.stack.count() == 1
    assert desk.keeper.proof is not None
    assert desk.keeper.proof.mean_de00 < 1
    desk.controller.fields.leave_bare(2, True)
    settle(desk)
    assert len(layer_steps(project_of(desk))) == before - 2


def test_tints_and_shades_by_the_light(desk: Desk) -> None:
    desk.window.resize(1280, 800)
    desk.window.show()
    desk.files.open_demo("pots")
    settle(desk)
    station = desk.window.at("blocks")
    station.turn_to("method")
    desk.controller.choose_colour(4)
    settle(desk)
    click(station.method.tint)
    settle(desk)
    flat = project_of(desk).flat
    assert flat is not None
    assert [colour.name for colour in flat.colours[7:]] == ["Clay, light", "Clay, dark"]
    assert len(project_of(desk).impressions[0].zones) == 9
    assert desk.keeper.proof is not None
    assert len(desk.keeper.proof.matches) == 9
