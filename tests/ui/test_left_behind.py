"""Work left behind finds its own file and no other; a window that is told to end keeps first."""

import os
import signal
import subprocess
import sys
from pathlib import Path

import pytest

from nomos.project import Assets, Project, load, save
from nomos.project.edition.sheets import log_path
from nomos.project.model.edits import with_id, with_title, with_trap
from nomos.ui.desk import Desk
from nomos.ui.frame import rescue
from nomos.ui.frame.document import Document
from tests.ui.conftest import Answers
from tests.ui.test_document import crashed

Little = tuple[Project, Assets]


@pytest.fixture
def left(tmp_path: Path, little: Little) -> Path:
    """A folder of work left behind: of print.nomos, opened by its bare name, with a trap of 1.1 not saved."""
    home, folder = tmp_path / "home", tmp_path / "unsaved"
    home.mkdir()
    project = with_id(little[0])
    save(home / "print.nomos", project, little[1])
    before = Path.cwd()
    os.chdir(home)
    try:
        document = Document()
        document.begin(project, little[1], path=Path("print.nomos"), saved=True)
    finally:
        os.chdir(before)
    document.apply("trap", lambda each: with_trap(each, 1.1))
    window = rescue.Rescue(document, folder)
    assert window.keep_now()
    crashed(window)
    return folder


def taken_up(folder: Path, answers: Answers, told: list[str], carried: list[Path]) -> Document:
    document = Document()
    rescue.offer(document, folder, answers, tell=told.append, carry=carried.append)
    assert document.project is not None
    assert document.project.trap_mm == 1.1
    return document


def test_started_elsewhere_it_finds_its_own_file(
    left: Path, tmp_path: Path, little: Little, monkeypatch: pytest.MonkeyPatch
) -> None:
    """Another folder has a print of the same name: it is not the one, and is never written."""
    elsewhere = tmp_path / "elsewhere"
    elsewhere.mkdir()
    save(elsewhere / "print.nomos", with_id(with_title(little[0], "Another"), anew=True), little[1])
    monkeypatch.chdir(elsewhere)
    document = taken_up(left, Answers(), [], [])
    assert document.path == tmp_path / "home" / "print.nomos"
    assert not document.changed_elsewhere(document.path)


def test_a_file_that_another_program_wrote_since_is_asked_about_before_it_is_replaced(
    left: Path, tmp_path: Path, little: Little
) -> None:
    path = tmp_path / "home" / "print.nomos"
    save(path, with_trap(with_id(little[0]), 0.3), little[1])
    document = taken_up(left, Answers(), [], [])
    assert document.path == path
    assert document.changed_elsewhere(path)


def test_a_name_that_is_another_print_by_now_is_not_taken(left: Path, tmp_path: Path, little: Little) -> None:
    path, told, carried = tmp_path / "home" / "print.nomos", list[str](), list[Path]()
    save(path, with_id(with_title(little[0], "Another"), anew=True), little[1])
    document = taken_up(left, Answers(), told, carried)
    assert document.path is None
    assert "another print now" in told[0]
    assert carried == [path]


@pytest.mark.parametrize("goes_on", [True, False])
def test_a_file_renamed_since_is_asked_about(left: Path, tmp_path: Path, goes_on: bool) -> None:
    path, told = tmp_path / "home" / "print.nomos", list[str]()
    path.rename(path.with_name("frost.nomos"))
    answers = Answers(renamed_goes_on=goes_on)
    document = taken_up(left, answers, told, [])
    assert answers.renamed == [("A little pane", "print.nomos", "frost.nomos")]
    assert document.path == (path.with_name("frost.nomos") if goes_on else None)
    assert bool(told) != goes_on


def test_the_record_of_a_file_that_is_gone_is_taken_along(desk: Desk, tmp_path: Path, little: Little) -> None:
    project = with_id(little[0])
    path = tmp_path / "gone.nomos"
    desk.document.begin(project, little[1], path=path)
    desk.document.path = path
    bencher = desk.controller.bencher
    bencher.begin_layer()
    bencher.pull("good")
    record = log_path(path).read_bytes()
    desk.document.begin(project, little[1])
    bencher.book.carry(log_path(path))
    assert bencher.path.read_bytes() == record
    assert "taken along" in desk.window.notice.text()
    state = bencher.state()
    assert state is not None
    assert state.queue()[0] == 2


_WINDOW = """
import sys
from pathlib import Path
from PyQt6.QtCore import QTimer
from nomos.project.model.edits import with_trap
from nomos.ui import start
from nomos.ui.desk import set_up

def edited(*given):
    desk = set_up(*given)
    def edit():
        if desk.document.project is None:
            QTimer.singleShot(50, edit)
            return
        desk.document.apply("trap", lambda project: with_trap(project, 1.3))
        print("edited", flush=True)
    QTimer.singleShot(50, edit)
    return desk

start.set_up = edited
sys.exit(start.open_window(Path(sys.argv[1]), demo=None, walk=None))
"""


@pytest.mark.parametrize("number", [signal.SIGTERM, signal.SIGHUP])
def test_a_window_told_to_end_keeps_its_work_first(number: int, tmp_path: Path, little: Little) -> None:
    """Within the twenty seconds in which nothing would have been kept."""
    path = tmp_path / "print.nomos"
    save(path, with_id(little[0]), little[1])
    running = subprocess.Popen([sys.executable, "-c", _WINDOW, str(path)], stdout=subprocess.PIPE, text=True)
    assert running.stdout is not None
    assert running.stdout.readline() == "edited\n"
    running.send_signal(number)
    assert running.wait(60) == 128 + number
    running.stdout.close()
    (left,) = rescue.left_behind(rescue.rescue_folder())
    assert load(left.copy)[0].trap_mm == 1.3
    assert left.of.path == str(path)
    assert load(path)[0].trap_mm != 1.3
