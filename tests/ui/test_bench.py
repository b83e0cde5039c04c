"""Carve, Sheets and the Bench in the real window, by mouse and keyboard; nothing is lost to a kill."""

from pathlib import Path

import pytest
from PIL import Image
from PyQt6.QtCore import Qt

from nomos.devices import Scanner
from nomos.edition import read_log
from nomos.project.comparing import planned
from nomos.project.editions import sheets_of
from nomos.ui.bencher import GUIDE
from nomos.ui.start import Desk
from tests.ui.conftest import Answers, QTest, click, press, project_of, settle


@pytest.fixture
def saved(little_desk: Desk, tmp_path: Path) -> Desk:
    little_desk.document.save(tmp_path / "pane.nomos")
    return little_desk


def key(desk: Desk, which: Qt.Key) -> None:
    QTest.keyClick(desk.window.bench_screen, which)
    settle(desk)


def test_blocks_are_cut_on_a_map_with_hours(saved: Desk, answers: Answers, tmp_path: Path) -> None:
    desk = saved
    desk.window.go_to("carve")
    settle(desk)
    station = desk.window.answers.carve
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
    station.way.activated.emit(1)
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
    station = desk.window.answers.carve
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
    station = desk.window.answers.sheets
    plan = sheets_of(project_of(desk))
    assert station.answer.text().startswith(f"Start with {plan.start_sheets} sheets")
    station.boxes["edition"].setValue(10)
    station.boxes["edition"].set_by_hand.emit(10)
    settle(desk)
    assert project_of(desk).plan.edition == 10
    click(station.plan)
    settle(desk)
    assert project_of(desk).workshop.sheets > 10
    assert not station.plan.isEnabled()
    station.turn_to("buy")
    settle(desk)
    assert any("Newsprint" in name for name, _ in station.buy._rows)


def test_the_bench_by_keys_and_what_is_on_disk_after_each(saved: Desk) -> None:
    desk = saved
    desk.window.go_to("bench")
    settle(desk)
    screen, path = desk.window.bench_screen, desk.controller.bencher.path
    assert path.name == "pane.nomos.bench.jsonl"
    assert screen.sheet.text() == "Not begun"
    for place, (which, kind) in enumerate(
        ((Qt.Key.Key_Return, "layer"), (Qt.Key.Key_Space, "good"), (Qt.Key.Key_R, "repaired"))
    ):
        key(desk, which)
        assert [event.kind for event in read_log(path)][place] == kind
    assert screen.sheet.text() == "Sheet 3"
    assert screen.tally.text() == "1 good   0 spoiled   1 repaired"
    key(desk, Qt.Key.Key_X)
    assert screen.reasons[0].text() == "Slipped\n1"
    key(desk, Qt.Key.Key_4)
    assert read_log(path)[-1].text == "dirt"
    key(desk, Qt.Key.Key_Backspace)
    assert screen.sheet.text() == "Sheet 3"
    key(desk, Qt.Key.Key_P)
    assert "Under the press" in screen.after.text()
    assert screen.lines.font().pixelSize() >= 28
    # Another window on the same file: a kill has lost nothing.
    desk.controller.bencher._events = None
    desk.controller.look_again()
    settle(desk)
    assert screen.sheet.text() == "Sheet 3"


def test_every_sheet_of_a_layer_then_the_bad_one_first(saved: Desk) -> None:
    desk = saved
    bencher = desk.controller.bencher
    desk.window.go_to("bench")
    bencher.begin_layer()
    for sheet in range(1, 7):
        bencher.pull("spoiled" if sheet == 5 else "good", "crease" if sheet == 5 else "")
    settle(desk)
    screen = desk.window.bench_screen
    assert screen.sheet.text() == "Layer done"
    click(screen.begin)
    settle(desk)
    assert screen.sheet.text() == "Sheet 5"
    assert "Bad sheet first" in screen.reminder.text()
    assert "dries" in screen.after.text()
    click(screen.buttons["good"])
    settle(desk)
    assert screen.sheet.text() == "Sheet 1"
    state = bencher.state()
    assert state is not None
    assert state.tally() == {"good": 0, "spoiled": 0, "repaired": 0}


def test_the_guided_run_with_simulated_devices(saved: Desk) -> None:
    desk = saved
    desk.window.go_to("bench")
    settle(desk)
    key(desk, Qt.Key.Key_G)
    for words in GUIDE:
        assert desk.window.bench_screen.guide.text().startswith(words)
        key(desk, Qt.Key.Key_G)
    kinds = [event.kind for event in read_log(desk.controller.bencher.path)]
    assert kinds == ["air", "ink", "layer", "good", "good", "spoiled", "ink"]
    assert desk.controller.registrar.scanned is not None


def test_the_record_compares_proofs_numbers_sheets_and_writes_itself(
    saved: Desk, answers: Answers, tmp_path: Path
) -> None:
    desk = saved
    bencher, project = desk.controller.bencher, project_of(desk)
    for layer in range(len(project.impressions)):
        bencher.begin_layer(layer)
        for _ in range(3):
            bencher.pull("good")
    desk.window.go_to("sheets")
    station = desk.window.answers.sheets
    station.turn_to("record")
    settle(desk)
    assert "can be numbered" in station.numbers.text()
    press(station.sheets, 60, station.sheets.row_height() * 2.5)
    settle(desk)
    click(station.number)
    settle(desk)
    state = bencher.state()
    assert state is not None
    assert state.histories[3].number == "BAT"
    assert state.histories[1].number == "1/20"
    proof = desk.keeper.proof
    assert proof is not None
    page = planned(project, proof.blocks)
    answers.scan = tmp_path / "proof.png"
    Image.fromarray(Scanner(border_px=40, noise=1).scan(page)).save(answers.scan)
    click(station.picture)
    settle(desk)
    assert (bencher.folder / "proof-001.png").exists()
    assert bencher.compared is not None
    content = desk.window.sheet._content
    assert content is not None
    assert content.raster is not None
    station.how.chosen.emit("difference")
    settle(desk)
    assert bencher.compared.how == "difference"
    assert "apart" in station.apart.text()
    click(station.picture)
    settle(desk)
    assert "The colour holds" in station.apart.text()
    station.remark.setText("the pane is too cold a green")
    station.remark.setModified(True)
    station.remark.editingFinished.emit()
    settle(desk)
    assert "too cold a green" in station.remarks.text()
    answers.folder = tmp_path
    click(station.write)
    settle(desk)
    assert (tmp_path / "statement.pdf").exists()
    log = bencher.path
    assert (tmp_path / "pulls.csv").read_text().count("\n") == 1 + 3 * len(project.impressions)
    click(station.anew)
    settle(desk)
    assert not log.exists()
    assert len(list(log.parent.glob("pane.nomos.bench-*.jsonl"))) == 1
    assert "Nothing has been printed yet" in station.said.text()


def test_a_full_disk_at_the_bench_is_said_and_the_pull_not_counted(
    saved: Desk, monkeypatch: pytest.MonkeyPatch
) -> None:
    from nomos.edition import LogError
    from nomos.ui import bencher as module

    desk = saved
    desk.window.go_to("bench")
    desk.controller.bencher.begin_layer()
    settle(desk)

    def full(*_: object) -> None:
        raise LogError("The log cannot be written (No space left on device): make room.")

    monkeypatch.setattr(module, "append_event", full)
    key(desk, Qt.Key.Key_Space)
    assert "make room" in desk.window.notice.text()
    assert desk.window.bench_screen.sheet.text() == "Sheet 1"
