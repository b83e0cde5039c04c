"""Starting, the questions, faults, and the walk that `make demo` takes without a display."""

import socket
import threading
from collections.abc import Callable
from functools import partial
from pathlib import Path
from typing import Any

import pytest
from PIL import Image
from PyQt6.QtCore import QTimer
from PyQt6.QtWidgets import QApplication, QMessageBox, QPushButton

from nomos import demo
from nomos.base.errors import BadInput
from nomos.base.file_lock import FileLock, Holder, acquire, lock_of
from nomos.base.progress import NULL_PROGRESS, Progress
from nomos.demo import GLASSHOUSE, Scenario
from nomos.project import Assets, Project, load, save
from nomos.ui import start, walk
from nomos.ui.desk import Desk
from nomos.ui.frame.fault import fault_handler, last_edits
from nomos.ui.frame.jobs import Asker
from nomos.ui.frame.questions import Dialogs
from nomos.ui.frame.state import STATIONS
from nomos.ui.stations.design import opening_editor
from nomos.ui.stations.design.corner_dialog import ask_sheet
from nomos.work import Ask
from nomos.work.open import open_design
from tests.ui.conftest import Answers, project_of, settle


def press_when_requested(text: str) -> None:
    """Press the button of that text in the next message box."""

    def press() -> None:
        box = QApplication.activeModalWidget()
        assert isinstance(box, QMessageBox)
        next(b for b in box.findChildren(QPushButton) if b.text().replace("&", "") == text).click()

    QTimer.singleShot(0, press)


@pytest.mark.parametrize(
    ("button", "answer"), [("Save", "save"), ("Throw them away", "discard"), ("Go on working", "cancel")]
)
def test_unsaved_changes_are_asked_about_in_words(desk: Desk, button: str, answer: str) -> None:
    press_when_requested(button)
    assert Dialogs(ask_sheet, desk.window).unsaved("Frost") == answer


@pytest.mark.parametrize(("button", "taken"), [("Take it up", True), ("Throw it away", False)])
def test_work_left_behind_is_offered_in_words(desk: Desk, button: str, taken: bool) -> None:
    press_when_requested(button)
    assert Dialogs(ask_sheet, desk.window).take_up("Frost") is taken


def test_a_fault_of_the_program_is_reported_without_the_picture_and_work_goes_on(
    little_desk: Desk, tmp_path: Path
) -> None:
    desk, told = little_desk, list[str]()
    desk.controller.fields.rename("A secret title")
    desk.controller.orderer.set_times(pull_min=6.0)
    handle = fault_handler(
        tmp_path, told.append, lambda: (last_edits(desk.document.stack), desk.controller.state.station)
    )

    def break_down() -> None:
        try:
            raise ZeroDivisionError("a wheel came off")
        except ZeroDivisionError as error:
            handle(type(error), error, error.__traceback__)

    break_down()
    (path,) = tmp_path.iterdir()
    text = path.read_text("utf-8")
    for words in ("Nomos 0.1.0", "Qt 6", "at the station blocks", "Times", "a wheel came off", "break_down"):
        assert words in text
    assert "secret" not in text
    assert len(told) == 1
    assert str(path) in told[0]
    assert "Traceback" not in told[0]
    # One that comes again and again does not fill the disk; where none can be written it is still said.
    for _ in range(20):
        break_down()
    assert len(list(tmp_path.iterdir())) == 10
    blind = fault_handler(tmp_path / "gone", told.append, lambda: ((), "inks"))
    blind(ValueError, ValueError("odd"), None)
    assert "ValueError: odd" in told[-1]
    desk.controller.orderer.set_times(pull_min=7.0)
    assert desk.document.project is not None
    assert desk.document.project.times.pull_min == 7.0


def test_a_window_without_a_display_is_refused(monkeypatch: pytest.MonkeyPatch) -> None:
    for name in ("DISPLAY", "WAYLAND_DISPLAY", "QT_QPA_PLATFORM"):
        monkeypatch.delenv(name, raising=False)
    with pytest.raises(BadInput, match="no display"):
        start._check_display()
    monkeypatch.setenv("DISPLAY", ":4712")
    with pytest.raises(BadInput, match="Nothing answers at the display :4712"):
        start._check_display()
    with socket.socket(socket.AF_UNIX) as server:
        server.bind("\0/tmp/.X11-unix/X4712")
        server.listen()
        start._check_display()


def test_the_window_begins_on_what_it_is_given(desk: Desk, sketch: Path, monkeypatch: pytest.MonkeyPatch) -> None:
    begun: list[str] = []
    monkeypatch.setattr(desk.files, "open_demo", begun.append)
    start._begin(desk, None, demo="glasshouse")
    assert begun == ["glasshouse"]
    settle(desk, closely=True)
    for _ in range(10 * len(STATIONS)):
        QApplication.processEvents()
    assert desk.document.project is None
    # What a print will need stands before one is there: all stations but the bench, which is in the middle.
    assert desk.window.column.count() == len(STATIONS) - 1
    start._begin(desk, sketch, demo=None)
    settle(desk)
    assert desk.document.project is not None
    assert desk.document.project.title == "sketch"


@pytest.mark.thorough
def test_the_walk_takes_a_picture_of_every_station_and_writes_the_packet(
    desk: Desk,
    tmp_path: Path,
    monkeypatch: pytest.MonkeyPatch,
    capsys: pytest.CaptureFixture[str],
    little: tuple[Project, Assets],
) -> None:
    """The walk that `make demo` takes, here over a small print instead of the glasshouse."""
    real = demo.demo_project

    def smaller(scenario: Scenario, ask: Ask, *, progress: Progress = NULL_PROGRESS) -> tuple[Project, Assets]:
        return little if scenario is GLASSHOUSE else real(scenario, ask, progress=progress)

    monkeypatch.setattr(demo, "demo_project", smaller)
    monkeypatch.setattr(walk, "_SHOWN_BLOCKS", 2)
    # Reading a photograph is walked through by the tests of the Design station.
    monkeypatch.setattr(walk, "_walk_photo", lambda _desk, _folder: None)
    desk.runner.hold_quiet(False)
    assert walk.walk_through(desk, tmp_path / "walk") == 0
    pictures = sorted(path.name for path in (tmp_path / "walk").glob("*.png"))
    assert pictures == [
        "station-1-design.png", "station-2-blocks-fewer.png", "station-2-blocks-jigsaw.png",
        "station-2-blocks-joins.png", "station-2-blocks-reduction.png",
        "station-2-blocks.png", "station-3-inks-mix.png", "station-3-inks-see.png",
        "station-3-inks.png", "station-4-order-days.png", "station-4-order.png",
        "station-5-register-pins.png", "station-5-register-proofs.png",
        "station-5-register-tolerance.png", "station-5-register.png", "station-6-carve.png",
        "station-7-sheets.png", "station-8-bench.png",
    ]  # fmt: skip
    for name in pictures:
        with Image.open(tmp_path / "walk" / name) as image:
            assert image.size == (1280, 800)
            assert len(image.convert("RGB").reduce(4).getcolors(1 << 24) or []) > 100
    assert (tmp_path / "walk" / "packet" / "blocks.pdf").stat().st_size > 10_000
    said = capsys.readouterr().out
    assert all(name in said for name in pictures)
    with pytest.raises(BadInput, match="cannot be made"):
        walk.walk_through(desk, Path("/proc/none"))


@pytest.mark.parametrize("make", [lambda d: d.window.welcome, lambda d: d.window.notice])
def test_texts_that_wrap_have_room(desk: Desk, make: Callable[[Desk], object]) -> None:
    """The welcome and a notice show all their lines at the window's size."""
    from PyQt6.QtWidgets import QLabel, QWidget

    desk.window.notice.tell("A sentence that says what is wrong and what to do, and is long enough to wrap. " * 3)
    settle(desk)
    part = make(desk)
    assert isinstance(part, QWidget)
    for label in part.findChildren(QLabel):
        assert label.height() >= label.heightForWidth(label.width()) - 1


def test_a_file_open_in_another_window_is_only_looked_at(
    desk: Desk, answers: Answers, little: tuple[Project, Assets], tmp_path: Path
) -> None:
    path = tmp_path / "pane.nomos"
    save(path, *little)
    other = acquire(lock_of(path))
    assert isinstance(other, FileLock)
    desk.files.open(path)
    assert desk.document.project is None
    answers.read_only = True
    desk.files.open(path)
    settle(desk)
    assert "only to look at" in desk.window.windowTitle()
    desk.controller.fields.rename("Another pane")
    answers.save = path
    assert not desk.files.save()
    assert "choose another name" in desk.window.notice.text()
    answers.save = tmp_path / "own.nomos"
    assert desk.files.save()
    settle(desk)
    assert load(path)[0].title != "Another pane"
    assert load(tmp_path / "own.nomos")[0].title == "Another pane"
    assert "only to look at" not in desk.window.windowTitle()
    other.release()
    own = acquire(lock_of(tmp_path / "own.nomos"))
    assert isinstance(own, Holder)
    desk.files.open(path)
    settle(desk)
    again = acquire(lock_of(tmp_path / "own.nomos"))
    assert isinstance(again, FileLock)
    again.release()


def test_edits_made_while_a_picture_is_read_are_asked_about(
    little_desk: Desk, answers: Answers, sketch: Path, monkeypatch: pytest.MonkeyPatch
) -> None:
    desk, go_on = little_desk, threading.Event()
    really = open_design

    def slowly(*asked: Any) -> Any:
        assert go_on.wait(10)
        return really(*asked)

    monkeypatch.setattr(opening_editor, "open_design", slowly)
    desk.files.open(sketch)
    desk.controller.fields.rename("Edited meanwhile")
    answers.leave = "cancel"
    go_on.set()
    settle(desk)
    assert (answers.asked, project_of(desk).title) == (1, "Edited meanwhile")
    answers.leave = "discard"
    desk.files.open(sketch)
    settle(desk)
    assert (answers.asked, project_of(desk).title) == (2, "sketch")


def _waited(go_on: threading.Event, name: str, _progress: Progress) -> str:
    assert go_on.wait(10)
    return name


def test_an_answer_for_a_project_that_is_gone_is_dropped(little_desk: Desk, demo: tuple[Project, Assets]) -> None:
    desk, go_on, found = little_desk, threading.Event(), list[str]()
    dropped, kept = (Asker(desk.runner, name, found.append, outlives=name == "kept") for name in ("a", "kept"))
    for asker in (dropped, kept):
        asker.do(partial(_waited, go_on, asker.name), found.append)
    project, assets = demo
    desk.document.begin(project, dict(assets), saved=True)
    go_on.set()
    settle(desk)
    assert found == ["kept"]
