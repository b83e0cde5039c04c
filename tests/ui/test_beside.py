"""Two looks of one sheet: before and after, files, the sketch, plans; the divider, the map, the figures."""

from pathlib import Path

import numpy as np
import pytest
from PyQt6.QtCore import QPoint, Qt

from nomos.colour import delta_e00
from nomos.project import Assets, Project, sheet_labs
from nomos.ui.desk import Desk
from tests.ui.conftest import Answers, QTest, click, drag, look_at, press, project_of, settle


def act(desk: Desk, name: str) -> None:
    """Choose an entry of the menu."""
    settle(desk)
    desk.window.menus.actions[name][0].trigger()
    settle(desk)


def recoloured(desk: Desk) -> None:
    """The first ink gets another colour."""
    desk.controller.choose_pull(project_of(desk).impressions[0].id)
    desk.controller.inks.recolour_ink((40.0, 50.0, -20.0), 1)
    settle(desk)


def test_before_and_after_an_edit_with_how_much_of_it_is_seen(little_desk: Desk) -> None:
    """The share and mean that are said, against the colours of every combination on the sheet."""
    desk = little_desk
    before = project_of(desk)
    recoloured(desk)
    alone = desk.window.sheet.grab().toImage()
    act(desk, "beside before")
    beside, proof = desk.window.beside.beside, desk.keeper.proof
    assert beside is not None
    assert proof is not None
    laid = proof.laid
    off = delta_e00(sheet_labs(project_of(desk), laid), sheet_labs(before, laid))
    pad = laid.pad_px
    inner = off[laid.map.index[pad:-pad, pad:-pad]]
    said = (float(beside.text.split("on ")[1].split(" %")[0]), float(beside.text.split("mean ΔE ")[1].split(",")[0]))
    assert said[0] == pytest.approx(100 * (inner > 2).mean(), abs=1.5)
    assert said[1] == pytest.approx(inner.mean(), abs=0.4)
    assert beside.text in desk.window.foot.text()
    shown = desk.window.sheet.grab().toImage()
    assert shown != alone
    # The divider is dragged with the mouse; the map takes the place of the other look.
    sheet = desk.window.sheet
    x = sheet._divider_x()
    drag(sheet, (x, 300.0), (x - 60, 300.0), (x - 120, 300.0))
    assert sheet._divider_x() == pytest.approx(x - 120, abs=2)
    act(desk, "beside map")
    assert sheet.mapped
    assert sheet.grab().toImage() != shown
    # Another edit, and the print stands alone again.
    desk.controller.editor.set("trap_mm", 0.9)
    settle(desk)
    assert desk.window.beside.beside is None


def test_before_a_change_is_forgotten_with_its_project(little_desk: Desk, demo: tuple[Project, Assets]) -> None:
    desk = little_desk
    recoloured(desk)
    project, assets = demo
    desk.document.begin(project, dict(assets), saved=True)
    settle(desk)
    act(desk, "beside before")
    assert desk.window.beside.beside is None
    assert "Nothing has changed yet" in desk.window.notice.text()
    recoloured(desk)
    act(desk, "beside before")
    assert desk.window.beside.beside is not None


def test_a_print_beside_itself_shows_no_difference(little_desk: Desk, answers: Answers, tmp_path: Path) -> None:
    desk = little_desk
    desk.files._save_to(tmp_path / "pane.nomos")
    act(desk, "beside saved")
    assert desk.window.beside.beside is not None
    assert desk.window.beside.beside.text == "No difference is seen."
    act(desk, "alone")
    assert desk.window.beside.beside is None
    answers.open = tmp_path / "sketch.png"
    act(desk, "beside file")
    assert "is no project" in desk.window.notice.text()
    (tmp_path / "broken.nomos").write_bytes(b"nothing")
    answers.open = tmp_path / "broken.nomos"
    act(desk, "beside file")
    assert desk.window.beside.beside is None
    assert "broken.nomos" in desk.window.notice.text()
    act(desk, "beside map")
    assert "Lay something beside" in desk.window.notice.text()


@pytest.mark.thorough
def test_a_plan_is_tried_on_the_sheet_by_pointing_and_lost_by_nothing(little_desk: Desk) -> None:
    desk, station = little_desk, little_desk.window.at("blocks")
    station.turn_to("fewer")
    click(station.fewer.look)
    settle(desk)
    before = project_of(desk)
    cards = station.fewer.cards
    QTest.keyClick(cards, Qt.Key.Key_Down)
    settle(desk)
    beside = desk.window.beside.beside
    assert beside is not None
    assert "blocks" in beside.title
    assert project_of(desk) == before
    # The pointer that rests on a card does the same, and takes it away when it leaves.
    QTest.mouseMove(cards, QPoint(60, cards._height() // 2))
    settle(desk)
    # As if it had rested there.
    cards._rest.stop()
    cards._rest.at(cards._rest.place)
    settle(desk)
    assert desk.window.beside.beside is not None
    cards.leaveEvent(None)
    settle(desk)
    assert desk.window.beside.beside is None
    assert np.array_equal(project_of(desk).image, before.image)
    # All of them beside what is wanted, as large as there is room; a click takes one.
    look_at(desk, "plans")
    settle(desk)
    content = desk.window.sheet._content
    assert content is not None
    points = station.fewer.curve._chart.points
    assert [word.split(":")[0] for _, _, word in content.words] == [
        "wanted", *(str(point.blocks) for point in points)
    ]  # fmt: skip
    x, y, word = content.words[-1]
    press(desk.window.sheet, *desk.window.sheet.viewport.to_screen(x, y - 4))
    settle(desk)
    assert f"{len(project_of(desk).blocks)}:" in word
    assert desk.controller.state.shown == "print"


def test_the_sheet_grows_pull_by_pull_and_rests_finished(little_desk: Desk) -> None:
    desk, grower = little_desk, little_desk.window.grower
    pulls = len(project_of(desk).impressions)
    act(desk, "grow")
    seen = [desk.controller.state.pulls]
    while grower.growing:
        grower.step()
        settle(desk)
        seen.append(desk.controller.state.pulls)
    assert seen == [*range(pulls), None, None]
    # Asked for again on the way, or by an edit, it stops.
    act(desk, "grow")
    act(desk, "grow")
    assert not grower.growing
    act(desk, "grow")
    desk.controller.editor.set("trap_mm", 0.8)
    assert not grower.growing


def test_looks_from_another_station_are_worked_out_there_and_no_longer_than_looked_at(little_desk: Desk) -> None:
    """The carving map at Blocks follows while it is looked at; at Carve the hours follow whatever is."""
    desk, crafter = little_desk, little_desk.controller.crafter
    desk.controller.choose_pull(project_of(desk).impressions[0].id)
    settle(desk)
    look_at(desk, "cut")
    settle(desk)
    content = desk.window.sheet.content
    assert content is not None
    assert content.words  # the letters of the tools
    look_at(desk, "print")
    settle(desk)
    assert not crafter._looking
    desk.window.go_to("carve")
    settle(desk)
    look_at(desk, "print")
    settle(desk)
    assert crafter._looking
    before = desk.window.at("carve").total.text()
    desk.controller.editor.set("craft.factor", 3.0)
    settle(desk)
    assert desk.window.at("carve").total.text() != before
