"""What is around the stations: packet, saving, zoom, keys, long work, large text."""

import gc
import json
import threading
import weakref
from pathlib import Path

import numpy as np
import pytest
from msgspec.structs import replace
from PyQt6.QtCore import Qt
from PyQt6.QtWidgets import QApplication, QPushButton

from nomos.base.progress import Progress
from nomos.project import Assets, Project, load, save
from nomos.ui.desk import Desk
from nomos.ui.frame.jobs import QUIET, Asker
from nomos.work import Answers as Known
from nomos.work import cut
from tests.ui.conftest import Answers, QTest, click, drag, look_at, names, press, project_of, settle

LEFT = Qt.MouseButton.LeftButton
CTRL = Qt.KeyboardModifier.ControlModifier
SHIFT = Qt.KeyboardModifier.ShiftModifier


def test_the_packet_is_written_where_requested(little_desk: Desk, answers: Answers, tmp_path: Path) -> None:
    answers.folder = tmp_path / "packet"
    little_desk.controller.go_to("register")
    settle(little_desk)
    click(little_desk.window.at("register").packet)
    settle(little_desk)
    plan = json.loads((tmp_path / "packet" / "plan.json").read_text("utf-8"))
    assert len(plan["order"]) == 4
    assert "packet is in" in little_desk.window.notice.text()
    answers.folder = Path("/proc/none")
    click(little_desk.window.at("register").packet)
    settle(little_desk)
    assert "/proc/none cannot be written" in little_desk.window.notice.text()


def test_save_reopen_and_the_question_of_unsaved_changes(demo_desk: Desk, answers: Answers, tmp_path: Path) -> None:
    desk, window = demo_desk, demo_desk.window
    desk.controller.editor.set("trap_mm", 0.7)
    settle(desk)
    assert "not saved yet" in window.windowTitle()
    answers.leave = "cancel"
    assert not window.close()
    assert answers.asked == 1
    answers.save = tmp_path / "print"
    QTest.keyClick(window, Qt.Key.Key_S, CTRL)
    assert load(tmp_path / "print.nomos")[0] == desk.document.project
    assert not desk.document.unsaved
    desk.controller.editor.set("trap_mm", 0.2)
    answers.open, answers.leave = tmp_path / "print.nomos", "discard"
    QTest.keyClick(window, Qt.Key.Key_O, CTRL)
    settle(desk)
    assert project_of(desk).trap_mm == 0.7
    assert "print.nomos" in window.windowTitle()
    asked = answers.asked
    assert window.close()
    assert answers.asked == asked


def test_a_save_that_fails_says_why_and_keeps_the_changes(demo_desk: Desk, answers: Answers, tmp_path: Path) -> None:
    demo_desk.controller.editor.set("trap_mm", 0.7)
    answers.save = tmp_path / "gone" / "print.nomos"
    click(demo_desk.window.buttons.buttons["save"])
    assert "could not be saved" in demo_desk.window.notice.text()
    assert demo_desk.document.unsaved


@pytest.mark.thorough
def test_colours_are_renamed_recoloured_and_left_bare(demo_desk: Desk) -> None:
    desk = demo_desk
    QTest.keyClick(desk.window, Qt.Key.Key_1)
    settle(desk)
    station = desk.window.at("design")
    press(station.rows, 40, station.rows.middle_of(6))
    settle(desk)
    assert station.name.text() == "Brick"
    station.name.selectAll()
    QTest.keyClicks(station.name, "Old brick")
    QTest.keyClick(station.name, Qt.Key.Key_Return)
    QTest.keyClick(station.editor.hue, Qt.Key.Key_PageUp)
    settle(desk)
    assert "Old brick" in names(desk)
    click(station.bare)
    settle(desk)
    assert "Old brick" not in names(desk)
    assert len(desk.keeper.proof.laid.films if desk.keeper.proof else ()) == 7
    click(station.bare)
    settle(desk)
    assert "Old brick" in names(desk)
    while desk.document.stack.canUndo():
        desk.document.stack.undo()
    settle(desk)
    assert "Brick" in names(desk)


def test_the_sketch_of_an_opened_project_is_read_again(
    desk: Desk, demo: tuple[Project, dict[str, bytes]], tmp_path: Path
) -> None:
    save(tmp_path / "demo.nomos", *demo)
    desk.files.open(tmp_path / "demo.nomos")
    settle(desk)
    desk.controller.go_to("design")
    settle(desk)
    done = desk.controller.designer.done
    assert done is not None
    assert done.flat.suggestion is not None
    assert done.flat.suggestion.count == 9
    look_at(desk, "sketch")
    settle(desk)
    assert desk.controller.state.shown == "sketch"


def test_zoom_pan_true_size_loupe(demo_desk: Desk) -> None:
    desk, sheet = demo_desk, demo_desk.window.sheet
    fitted = sheet.viewport
    QTest.keyClick(desk.window, Qt.Key.Key_Plus)
    assert sheet.viewport.scale == pytest.approx(fitted.scale * 1.25)
    middle = sheet.viewport.to_sheet(sheet.width() / 2, sheet.height() / 2)
    assert fitted.to_sheet(sheet.width() / 2, sheet.height() / 2) == pytest.approx(middle)
    at = sheet.viewport
    drag(sheet, (300.0, 300.0), (310.0, 305.0), (350.0, 320.0))
    assert (sheet.viewport.x - at.x, sheet.viewport.y - at.y) == pytest.approx((50, 20))
    click(desk.window.buttons.buttons["true"])
    assert sheet.viewport.scale == pytest.approx(sheet.true_scale())
    assert desk.window.buttons.scale.text() == "100 % of true size"
    plain = sheet.grab().toImage()
    QTest.keyClick(desk.window, Qt.Key.Key_L)
    QTest.mouseMove(sheet, sheet.rect().center())
    drag(sheet, (300.0, 300.0), (301.0, 300.0))
    assert sheet.grab().toImage() != plain
    QTest.keyClick(desk.window, Qt.Key.Key_W)
    assert sheet.viewport == fitted


def test_letters_typed_into_a_field_are_no_commands(demo_desk: Desk) -> None:
    desk = demo_desk
    field = desk.window.at("blocks").name
    field.setFocus()
    field.selectAll()
    QTest.keyClicks(field, "wl 3k")
    settle(desk)
    assert field.text() == "wl 3k"
    assert desk.controller.state.station == "blocks"
    assert not desk.window.sheet.loupe


def test_the_list_of_keys(demo_desk: Desk) -> None:
    from nomos.ui.frame.keyboard import BINDINGS, KeyList

    shown = [key for _, keys, _ in BINDINGS for key in keys]
    assert len(shown) == len(set(shown))
    for _ in range(2):
        demo_desk.window.menus.actions["keys"][0].trigger()
    listed = demo_desk.window.findChildren(KeyList)
    assert len(listed) == 1, "asked for again it is the same list"
    listed[0].accept()


def test_long_work_reports_in_the_foot_line_and_can_be_stopped(demo_desk: Desk) -> None:
    desk = demo_desk
    before = desk.document.project
    desk.controller.designer.flatten_again(count=5)
    stop = desk.window.foot.findChildren(QPushButton)[0]
    for _ in range(100):
        QTest.qWait(10)
        if stop.isVisible():
            break
    assert stop.isVisible()
    click(stop)
    assert "design" not in desk.runner.busy()
    settle(desk)
    assert not stop.isVisible()
    assert desk.document.project is before


def test_the_last_of_several_flattenings_counts(demo_desk: Desk) -> None:
    for count in (4, 5, 6):
        demo_desk.controller.designer.flatten_again(count=count)
    settle(demo_desk)
    flat = project_of(demo_desk).flat
    assert flat is not None
    assert len(flat.colours) == 6
    assert demo_desk.document.stack.count() == 1
    proof = demo_desk.keeper.proof
    assert proof is not None
    assert proof.project is demo_desk.document.project
    assert np.isfinite(proof.mean_de00)


def test_nothing_is_cut_off_at_a_larger_text_size(demo_desk: Desk) -> None:
    """The strip, ladder and foot keep to their places when the window is small."""
    window = demo_desk.window
    window.resize(960, 640)
    settle(demo_desk)
    for part in (window.strip, window.ladder_area, window.sheet, window.column, window.buttons, window.foot):
        assert part.width() > 0
        top_left = part.mapTo(window, part.rect().topLeft())
        bottom_right = part.mapTo(window, part.rect().bottomRight())
        assert window.rect().contains(top_left)
        assert window.rect().contains(bottom_right)


def test_a_clicked_field_is_split_off_and_merged_back(demo_desk: Desk) -> None:
    desk = demo_desk
    QTest.keyClick(desk.window, Qt.Key.Key_1)
    settle(desk)
    station, sheet = desk.window.at("design"), desk.window.sheet
    press(sheet, *sheet.viewport.to_screen(100, 20))  # the slate of the upper sky
    settle(desk)
    assert station.split.isEnabled()
    click(station.split)
    settle(desk)
    flat = project_of(desk).flat
    assert flat is not None
    assert flat.colours[9].name == "Slate 2"
    desk.controller.choose_colour(9)
    settle(desk)
    station.merge.setCurrentIndex(6)
    station.merge.activated.emit(6)  # as a choice in the list does
    settle(desk)
    assert len(project_of(desk).flat.colours) == 9  # type: ignore[union-attr]
    assert desk.keeper.proof is not None
    assert desk.keeper.proof.mean_de00 < 1.5
    assert desk.document.stack.count() == 2


def test_garbage_is_collected_on_the_windows_thread_alone(desk: Desk) -> None:
    class Ring:
        def __init__(self) -> None:
            self.itself = self

        def __del__(self) -> None:
            ended.append(threading.current_thread())

    ended: list[threading.Thread] = []
    made: list[object] = []
    asker = Asker(desk.runner, "rings", made.append)
    # More rings than Python would wait for, were it left to collect where they are made.
    asker.do(lambda _progress: [Ring() for _ in range(50_000)].clear(), made.append)
    settle(desk)
    assert made == [None]
    assert ended == []
    desk.collector.collect()
    assert len(ended) == 50_000
    assert set(ended) == {threading.main_thread()}


def test_what_nobody_waits_for_is_not_begun_beside_what_somebody_does(desk: Desk) -> None:
    desk.runner.hold_quiet(False)
    told: list[object] = []
    begun, go_on = threading.Event(), threading.Event()

    def asked(_progress: Progress) -> str:
        begun.set()
        go_on.wait()
        return "asked"

    wanted = Asker(desk.runner, "asked", told.append)
    quiet = Asker(desk.runner, "quiet", told.append, rank=QUIET)
    wanted.do(asked, told.append)
    begun.wait()
    quiet.do(lambda _progress: told.append("begun"), lambda _none: told.append("quiet"))
    also = Asker(desk.runner, "also", told.append)
    also.do(lambda _progress: "also", told.append)
    while also.busy:
        QApplication.processEvents()
    assert told == ["also"]
    go_on.set()
    while quiet.busy or wanted.busy:
        QApplication.processEvents()
    assert set(told) == {"also", "asked", "begun", "quiet"}


def test_nothing_is_kept_of_the_pages_of_a_design_that_is_gone(
    desk: Desk, little: tuple[Project, Assets], demo: tuple[Project, Assets]
) -> None:
    desk.runner.answers = Known()
    desk.document.begin(little[0], dict(little[1]), saved=True)
    desk.controller.go_to("blocks")
    settle(desk)
    for look in ("flat", "print", "traps"):
        look_at(desk, look)
        settle(desk)
    proof = desk.keeper.proof
    assert proof is not None
    labels = weakref.ref(proof.blocks.labels)
    del proof
    desk.document.begin(demo[0], dict(demo[1]), saved=True)
    settle(desk)
    desk.runner.answers.forget()
    desk.collector.collect(whole=True)
    gc.collect()
    assert desk.keeper.proof is not None
    assert labels() is None


def test_a_large_print_is_seen_before_it_is_laid_and_nothing_of_the_one_before(
    little_desk: Desk, demo: tuple[Project, Assets], monkeypatch: pytest.MonkeyPatch
) -> None:
    """A coarse sheet of its own stands there until the proof does; the old print does not."""
    monkeypatch.setattr(cut, "_FIRST_PX", 20_000)
    desk, seen = little_desk, []
    desk.keeper.changed.connect(lambda: seen.append((desk.keeper.first, desk.keeper.proof)))
    desk.runner.answers = Known()
    desk.document.begin(demo[0], dict(demo[1]), saved=True)
    assert desk.keeper.proof is None
    settle(desk)
    firsts = [first for first, proof in seen if first is not None and proof is None]
    proof = desk.keeper.proof
    assert firsts
    assert proof is not None
    assert desk.keeper.first is None
    first = firsts[0].laid
    assert first.inner.size <= 20_000 < proof.laid.inner.size
    assert first.inner.shape[1] / first.px_per_mm == pytest.approx(demo[0].image.width, rel=0.01)
    # It is this print: on the whole as light as the proof comes out.
    shares = [np.bincount(each.map.index.ravel(), minlength=len(labs)) / each.map.index.size
              for each, labs in ((first, firsts[0].labs), (proof.laid, proof.labs))]  # fmt: skip
    assert shares[0] @ firsts[0].labs == pytest.approx(shares[1] @ proof.labs, abs=1.0)


def test_a_pull_that_is_gone_cannot_be_chosen(little_desk: Desk) -> None:
    """A list that has not followed the project yet may still offer it."""
    hand = little_desk.controller
    gone = project_of(little_desk).impressions[-1].id
    hand.choose_pull(gone)
    hand.editor.apply("one fewer", lambda p: replace(p, impressions=p.impressions[:-1]))
    assert hand.state.pull is None
    little_desk.window.ladder.chosen.emit(gone, len(project_of(little_desk).impressions) + 1)
    settle(little_desk)
    assert hand.state.pull is None
