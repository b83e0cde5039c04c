"""The Bench in the real window, by mouse and keyboard; nothing is lost to a kill."""

import dataclasses
from pathlib import Path

import pytest
from PIL import Image
from PyQt6.QtCore import QEvent, Qt
from PyQt6.QtGui import QKeyEvent
from PyQt6.QtWidgets import QApplication

from nomos.devices import Scanner
from nomos.edition import read_log
from nomos.project.blocks.methods import with_method
from nomos.project.blocks.zones import printed_again
from nomos.project.edition.bench import pull_events
from nomos.project.edition.gate import cut_gate
from nomos.project.register.comparison import planned
from nomos.project.register.scan import printed_sheet, still
from nomos.ui.desk import Desk
from nomos.ui.stations.bench.bench_editor import GUIDE
from nomos.ui.stations.bench.logbook import LogBook
from tests.ui.conftest import Answers, QTest, click, press, project_of, settle

LEFT = Qt.MouseButton.LeftButton


def key(desk: Desk, which: Qt.Key) -> None:
    QTest.keyClick(desk.window.at("bench"), which)
    settle(desk)


def test_the_bench_by_keys_and_what_is_on_disk_after_each(saved: Desk) -> None:
    desk = saved
    desk.window.go_to("bench")
    settle(desk)
    screen, path = desk.window.at("bench"), desk.controller.bencher.path
    assert path.name == "pane.nomos.bench.jsonl"
    assert screen.sheet.text() == "Not begun"
    for place, (which, kind) in enumerate(
        ((Qt.Key.Key_Return, "layer"), (Qt.Key.Key_Space, "good"), (Qt.Key.Key_R, "repaired")), start=1
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
    desk.controller.bencher.book.forget()
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
    screen = desk.window.at("bench")
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


@pytest.mark.thorough
def test_practice_writes_nothing_into_the_record(saved: Desk) -> None:
    desk = saved
    bencher = desk.controller.bencher
    bencher.begin_layer()
    bencher.pull("good")
    before = bencher.path.read_bytes()
    desk.window.go_to("bench")
    settle(desk)
    bencher.begin_guide()
    settle(desk)
    for place, words in enumerate(GUIDE):
        assert desk.window.at("bench").guide.text().startswith(words)
        if place == len(GUIDE) - 1:
            kinds = [event.kind for event in read_log(bencher.path)]
            assert kinds == ["project", "air", "ink", "layer", "good", "good", "spoiled", "ink"]
            assert bencher.path.name.startswith("practice-")
        key(desk, Qt.Key.Key_G)
    assert desk.controller.registrar.scanned is not None
    assert bencher.path.read_bytes() == before
    assert not list(bencher.path.parent.glob("practice-*"))


def test_the_record_of_a_print_without_a_file_goes_with_it(little_desk: Desk, answers: Answers, tmp_path: Path) -> None:
    desk = little_desk
    bencher = desk.controller.bencher
    bencher.begin_layer()
    bencher.pull("good")
    answers.save = tmp_path / "pane.nomos"
    assert desk.files.save()
    assert bencher.path.parent == tmp_path
    assert [event.kind for event in bencher.events()] == ["project", "layer", "good"]
    answers.save = tmp_path / "variant.nomos"
    assert desk.files.save_as()
    bencher.pull("good")
    assert [len(read_log(path)) for path in sorted(tmp_path.glob("*.bench.jsonl"))] == [3, 4]
    # The next print of the same title begins with nothing.
    assert desk.document.project is not None
    desk.document.begin(desk.document.project, desk.document.assets)
    assert not bencher.events()


def test_planning_against_what_is_printed_is_asked_about(saved: Desk, answers: Answers) -> None:
    desk = saved
    bencher, controller = desk.controller.bencher, desk.controller
    bencher.begin_layer()
    for _ in range(2):
        bencher.pull("good")
    project = project_of(desk)
    first = project.impressions[0]
    answers.change_printed = False
    controller.move_pull(first.id, 3, 1)
    assert project_of(desk).impressions == project.impressions
    assert "printed already" in answers.contradicted[0]
    desk.controller.choose_pull(first.id)
    controller.methods.leave_out()
    assert project_of(desk) == project
    assert "2 sheets already carry" in answers.contradicted[1]
    # Agreed to, it is planned; what was printed stands in the record as it was.
    name = project.pull_name(first.id)
    answers.change_printed = True
    controller.methods.leave_out()
    settle(desk)
    assert len(project_of(desk).impressions) == len(project.impressions) - 1
    state = bencher.state()
    assert state is not None
    assert [each.name for each in state.printed.values()] == [name]
    assert len(state.pulled[state.pulls.index(first.id)]) == 2


def test_a_key_held_down_is_one_pull(saved: Desk) -> None:
    desk = saved
    desk.window.go_to("bench")
    settle(desk)
    screen = desk.window.at("bench")
    key(desk, Qt.Key.Key_Return)
    for repeated in (False, True, True, True):
        held = QKeyEvent(QEvent.Type.KeyPress, Qt.Key.Key_Space, Qt.KeyboardModifier.NoModifier, " ", repeated)
        QApplication.sendEvent(screen, held)
    settle(desk)
    assert [event.kind for event in desk.controller.bencher.events()] == ["project", "layer", "good"]


def test_two_windows_never_pull_one_sheet_twice(saved: Desk) -> None:
    """What the other window has written counts before the next pull."""
    desk = saved
    first = desk.controller.bencher
    second = LogBook(desk.document)
    first.begin_layer()
    for _ in range(3):
        first.pull("good")
        second.write(lambda project, state, at: pull_events(project, state, "good", at))
    sheets = [event.sheet for event in read_log(first.path) if event.kind == "good"]
    assert sheets == [1, 2, 3, 4, 5, 6]


def test_a_log_taken_away_is_written_again_and_a_folder_gone_is_said(saved: Desk, tmp_path: Path) -> None:
    desk = saved
    bencher = desk.controller.bencher
    bencher.begin_layer()
    bencher.pull("good")
    bencher.path.unlink()
    bencher.pull("good")
    assert [event.kind for event in read_log(bencher.path)] == ["project", "layer", "good", "good"]
    tmp_path.rename(tmp_path.with_name("away"))
    try:
        bencher.pull("good")
        assert "bring the folder back" in desk.window.notice.text()
        assert not tmp_path.exists()
    finally:
        tmp_path.with_name("away").rename(tmp_path)


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
    station = desk.window.at("sheets")
    station.turn_to("record")
    settle(desk)
    assert "can be numbered" in station.numbers.text()
    press(station.sheets, 60, station.sheets.middle_of(2))
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
    assert bencher.proofs.compared is not None
    content = desk.window.sheet._content
    assert content is not None
    assert content.raster is not None
    station.how.chosen.emit("difference")
    settle(desk)
    assert bencher.proofs.compared.how == "difference"
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
    # One that is empty tells other windows that the one they know was put aside.
    assert log.read_bytes() == b""
    assert len(list(log.parent.glob("pane.nomos.bench-*.jsonl"))) == 1
    assert "Nothing has been printed yet" in station.said.text()


def test_a_cut_that_cannot_be_taken_back_is_asked_about_first(saved: Desk) -> None:
    """With the sheets there are, how likely the edition is reached, and what is cut away; only then on."""
    desk = saved
    desk.document.apply("Reduction", lambda p: with_method(p, "reduction", None))
    desk.window.go_to("bench")
    settle(desk)
    bencher, screen = desk.controller.bencher, desk.window.at("bench")
    key(desk, Qt.Key.Key_Return)
    while (state := bencher.state()) is not None and state.queue():
        bencher.pull("good")
    settle(desk)
    assert state is not None
    gate = cut_gate(project_of(desk), state)
    assert gate is not None
    assert gate.printed == 6
    assert gate.needed is not None
    assert gate.needed > 6
    assert gate.chance == 0
    assert screen.gate.text() == gate.text
    assert screen.begin.text().startswith("Cut further for layer 2")
    before = len(bencher.events())
    key(desk, Qt.Key.Key_Return)
    assert len(bencher.events()) == before
    assert screen.not_yet.isVisible()
    key(desk, Qt.Key.Key_Escape)
    assert not screen.not_yet.isVisible()
    key(desk, Qt.Key.Key_Return)
    key(desk, Qt.Key.Key_Return)
    assert [event.kind for event in bencher.events()[before:]] == ["state", "layer"]


def test_weights_air_and_remarks_are_noted_at_a_pull(saved: Desk) -> None:
    desk = saved
    desk.window.go_to("bench")
    settle(desk)
    screen, bencher = desk.window.at("bench"), desk.controller.bencher
    key(desk, Qt.Key.Key_Return)
    for place, text in enumerate(("12,5", "19 55", "mother batch 2", "3 sheets", "rain all day")):
        key(desk, Qt.Key.Key_N)
        assert screen.note.isVisible()
        screen.note.kind.setCurrentIndex(place)
        QTest.keyClicks(screen.note.text, text)
        QTest.keyClick(screen.note.text, Qt.Key.Key_Return)
        settle(desk)
        assert not screen.note.isVisible()
    state = bencher.state()
    assert state is not None
    assert state.ink_g == {0: 12.5}
    assert (state.air[0].value, state.air[0].also) == (19, 55)
    assert [event.text for event in state.remarks] == ["mother batch 2", "3 sheets", "rain all day"]
    # The bench has its keys again.
    key(desk, Qt.Key.Key_Space)
    assert bencher.events()[-1].kind == "good"


def test_one_more_pass_is_weighed_against_the_sheets_it_spoils(saved: Desk) -> None:
    desk = saved
    first = project_of(desk).impressions[0].id
    desk.document.apply("Once more", lambda p: printed_again(p, first))
    settle(desk)
    desk.window.go_to("bench")
    settle(desk)
    bencher, screen = desk.controller.bencher, desk.window.at("bench")
    key(desk, Qt.Key.Key_Return)
    while (state := bencher.state()) is not None and state.queue():
        bencher.pull("good")
    settle(desk)
    assert "pass 2" in screen.gate.text()
    assert "will spoil about 0.3 of 6 good sheets" in screen.gate.text()
    before = len(bencher.events())
    key(desk, Qt.Key.Key_Return)
    assert len(bencher.events()) == before
    assert "all the same" in screen.begin.text()
    key(desk, Qt.Key.Key_Escape)
    key(desk, Qt.Key.Key_Return)
    key(desk, Qt.Key.Key_Return)
    assert [event.kind for event in bencher.events()[before:]] == ["layer"]


def test_sheet_by_sheet_is_followed_by_the_keys(saved: Desk) -> None:
    """One key a pull: the block changes under the sheet, then the next sheet begins with the first block."""
    desk = saved
    desk.controller.orderer.set_times(way="sheet by sheet")
    desk.window.go_to("bench")
    settle(desk)
    screen, layers = desk.window.at("bench"), len(project_of(desk).impressions)
    key(desk, Qt.Key.Key_Return)
    seen = []
    for _ in range(layers + 1):
        seen.append((screen.sheet.text(), screen.quiet.text().split(";")[0]))
        key(desk, Qt.Key.Key_Space)
    assert [sheet for sheet, _ in seen] == ["Sheet 1"] * layers + ["Sheet 2"]
    assert seen[1][1] == f"block 2 of {layers} under it"
    assert "wet layer before" in screen.lines.text()


def test_a_photograph_at_the_bench_says_what_to_glue_and_goes_to_the_record(saved: Desk, tmp_path: Path) -> None:
    desk, screen = saved, saved.window.at("bench")
    desk.window.go_to("bench")
    settle(desk)
    key(desk, Qt.Key.Key_Return)
    key(desk, Qt.Key.Key_Space)
    click(screen.buttons["photograph"])
    door, proof, project = desk.window.export_actions.door, desk.keeper.proof, project_of(desk)
    assert door is not None
    assert proof is not None
    motions = still(project)

    def scanned(right_mm: float) -> Path:
        motions[0] = dataclasses.replace(motions[0], shift_mm=(right_mm, 0.0))
        page, path = printed_sheet(project, proof.blocks, motions), tmp_path / f"{right_mm}.png"
        Image.fromarray(Scanner(border_px=40, noise=1).scan(page)).save(path)
        return path

    # The first block printed a millimetre to the right.
    picture = scanned(1.0)
    door.arrived.emit(picture)
    settle(desk)
    assert screen.read.text().startswith(f"Sheet 1. {project.pull_name(project.impressions[0].id)}: ")
    assert "to the right" in screen.read.text()
    assert "lue" in screen.read.text() or "are" in screen.read.text()
    kept = [each for each in project_of(desk).readings if each.pull == project.impressions[0].id]
    assert [each.sheet for each in kept] == [1]
    assert kept[0].dx_mm == pytest.approx(1.0, abs=0.15)
    assert desk.controller.bencher.proofs.names() == ("proof-001.png",)
    # The next sheet has not been photographed; what the telephone sends next is read without a click.
    for _ in range(2):
        key(desk, Qt.Key.Key_Space)
        assert not screen.read.isVisible()
        door._take(picture)
        settle(desk)
    assert screen.read.text().startswith("Sheet 3. ")
    # Pictures that come while one is read wait for it: each goes to the record with the sheet it was taken of.
    for number in (4, 5):
        key(desk, Qt.Key.Key_Space)
        door._take(scanned(number / 10))
    settle(desk)
    kept = [each for each in project_of(desk).readings if each.pull == project.impressions[0].id][-2:]
    assert [x for each in kept for x in (each.sheet, each.dx_mm)] == pytest.approx([4, 0.4, 5, 0.5], abs=0.15)
    assert len(desk.controller.bencher.proofs.names()) == 5
    door.close()
