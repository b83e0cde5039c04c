"""Carve and Sheets in the real window: maps and hours, how many sheets, the board of all of them."""

from pathlib import Path

from PyQt6.QtCore import QPoint, Qt

from nomos.project.model.sheets import all_sheets, sheets_of
from nomos.ui.desk import Desk
from tests.ui.conftest import Answers, QTest, click, project_of, settle

LEFT = Qt.MouseButton.LeftButton


def test_blocks_are_cut_on_a_map_with_hours(saved: Desk, answers: Answers, tmp_path: Path) -> None:
    desk = saved
    desk.window.go_to("carve")
    settle(desk)
    station = desk.window.at("carve")
    assert "h of cutting in all" in station.total.text()
    before = station.total.text()
    content = desk.window.sheet._content
    assert content is not None
    assert any(word == "D" for _, _, word in content.words)
    station.turn_to("tools")
    station.tools.setText("v 1, u 2")
    station.tools.setModified(True)
    station.tools.editingFinished.emit()
    settle(desk)
    assert [tool.kind for tool in project_of(desk).craft.tools] == ["v", "u"]
    assert station.total.text() != before
    station.tools.setText("spoon 3")
    station.tools.setModified(True)
    station.tools.editingFinished.emit()
    assert "no kind of tool" in desk.window.notice.text()
    station.turn_to("transfer")
    station.way["transfer"].activated.emit(1)
    settle(desk)
    assert project_of(desk).craft.transfer == "direct tracing"
    assert "mirrored already" in station.shows.text()
    station.turn_to("boards")
    click(station.saw)
    settle(desk)
    assert len(project_of(desk).craft.boards) > 1
    answers.folder = tmp_path / "cutting"
    click(station.write)
    settle(desk)
    assert (answers.folder / "carving.pdf").stat().st_size > 10_000
    assert (answers.folder / "transfer.pdf").stat().st_size > 10_000


def test_hours_in_the_log_correct_the_speeds(saved: Desk) -> None:
    desk = saved
    desk.window.go_to("carve")
    settle(desk)
    station = desk.window.at("carve")
    desk.controller.choose_pull(project_of(desk).impressions[0].id)
    station.took.set_by_hand.emit(4.0)
    settle(desk)
    assert "times as long" in station.learnt.text()
    click(station.take)
    settle(desk)
    assert project_of(desk).craft.factor > 1.5


def test_sheets_follow_the_edition(saved: Desk) -> None:
    desk = saved
    desk.window.go_to("sheets")
    settle(desk)
    station = desk.window.at("sheets")
    plan = sheets_of(project_of(desk))
    total = all_sheets(project_of(desk), plan)
    assert station.answer.text().startswith(f"Cut {total} sheets: {plan.start_sheets} for the edition")
    station.edition["edition"].setValue(10)
    settle(desk)
    assert project_of(desk).plan.edition == 10
    click(station.plan)
    settle(desk)
    assert project_of(desk).workshop.sheets is None
    # One number everywhere: what is cut is what the bench begins with.
    state = desk.controller.bencher.state()
    assert state is not None
    assert state.sheets == all_sheets(project_of(desk), sheets_of(project_of(desk)))
    assert not station.plan.isEnabled()
    station.turn_to("buy")
    settle(desk)
    assert any("Newsprint" in name for name, _ in station.buy._rows)


def test_the_board_shows_all_sheets_and_one_is_put_right(saved: Desk) -> None:
    desk = saved
    bencher = desk.controller.bencher
    bencher.begin_layer()
    bencher.pull("good")
    bencher.pull("spoiled", "dirt")
    desk.window.go_to("sheets")
    station = desk.window.at("sheets")
    station.turn_to("board")
    settle(desk)
    overlay = desk.window.column.here("sheets").laid_over(project_of(desk))
    assert overlay is not None
    assert overlay.raster is not None
    assert [word for _, _, word in overlay.words] == ["1", "2", "3", "4", "5", "6"]
    x, y, _ = overlay.words[1]
    QTest.mouseClick(desk.window.sheet, LEFT, pos=_at(desk, x, y - 2))
    settle(desk)
    assert station.board.heading.text() == "Sheet 2"
    assert ("Spoiled", "dirt") in station.board.facts._rows
    QTest.keyClicks(station.board.how, "patched by hand")
    click(station.board.mend)
    settle(desk)
    state = bencher.state()
    assert state is not None
    assert (state.histories[2].spoiled_at, state.histories[2].remark) == (None, "patched by hand")
    assert bencher.events()[-1].kind == "mended"
    QTest.mouseClick(desk.window.sheet, LEFT, pos=_at(desk, overlay.words[0][0], overlay.words[0][1] - 2))
    settle(desk)
    click(station.board.give_up)
    settle(desk)
    assert bencher.events()[-1].kind == "given up"
    assert not station.board.give_up.isVisible()


def _at(desk: Desk, x_mm: float, y_mm: float) -> QPoint:
    x, y = desk.window.sheet._view.to_screen(x_mm, y_mm)
    return QPoint(round(x), round(y))
