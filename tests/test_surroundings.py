"""What the program does where its surroundings fail it: folders, displays, terminals, odd files."""

import os
import subprocess
import sys
from pathlib import Path

import pytest

from nomos.base import folders
from nomos.base.errors import BadInput
from nomos.base.reading import read_whole
from nomos.cli.main import run
from nomos.order.times import day_of
from nomos.project import Assets, Project, save
from nomos.ui.start import _answers


def nomos(*arguments: str, out: int | None = subprocess.PIPE, **environment: str) -> tuple[int, str, str]:
    """The program in a process of its own: status, standard output, standard error."""
    done = subprocess.run(
        [sys.executable, "-m", "nomos", *arguments], stdout=out, stderr=subprocess.PIPE, check=False,
        env={**os.environ, **environment}, timeout=120,
    )  # fmt: skip
    return done.returncode, (done.stdout or b"").decode("latin-1"), done.stderr.decode("latin-1")


@pytest.fixture
def kept(little: tuple[Project, Assets], tmp_path: Path) -> Path:
    path = tmp_path / "a.nomos"
    save(path, *little)
    return path


def test_a_terminal_without_our_letters_and_a_full_disk_behind_the_answer(kept: Path) -> None:
    status, said, _ = nomos("guide", "inks", LC_ALL="C", PYTHONIOENCODING="ascii")
    assert status == 0
    assert "Kubelka" in said
    full = os.open("/dev/full", os.O_WRONLY)
    try:
        status, _, told = nomos("check", str(kept), out=full)
    finally:
        os.close(full)
    assert (status, told) == (2, "nomos: the answer could not be written (No space left on device).\n")


def test_a_display_that_nobody_answers_at_is_a_sentence(kept: Path) -> None:
    status, _, told = nomos(str(kept), DISPLAY=":4711", WAYLAND_DISPLAY="", QT_QPA_PLATFORM="xcb")
    assert status == 2
    assert told.startswith("nomos: Nothing answers at the display :4711")
    for odd in ("", ":", ":x", "nowhere.invalid:1", ":99999999999"):
        assert not _answers(odd)


def test_where_nothing_can_be_kept_a_passing_folder_stands_in(monkeypatch: pytest.MonkeyPatch) -> None:
    monkeypatch.setattr(folders, "_STANDING_IN", {})
    monkeypatch.setenv("XDG_STATE_HOME", "/proc/none")
    state = folders.state_folder()
    assert (state / "..").exists()
    (state / "a").write_text("kept")
    assert folders.state_folder() == state
    assert folders.passing_folders() == (state,)


def test_pipes_devices_folders_and_giants_are_not_read(tmp_path: Path) -> None:
    pipe = tmp_path / "pipe.png"
    os.mkfifo(pipe)
    large = tmp_path / "large.json"
    large.write_bytes(b"x" * 11)
    for path, said in (
        (pipe, "no ordinary file"), (Path("/dev/zero"), "no ordinary file"), (tmp_path, "is a folder"),
        (tmp_path / "gone", "No such file"), (large, "larger than 0 MB"), (Path("a\0b"), "null character"),
    ):  # fmt: skip
        with pytest.raises(BadInput, match=said):
            read_whole(path, 10)


@pytest.mark.parametrize(
    "arguments",
    [["check"], ["flatten", "--colours", "3", "--out", "x.png"], ["studio"], ["mix", "--target", "#123456", "--shelf"]],
)
def test_every_reader_leaves_a_pipe_alone(
    arguments: list[str], tmp_path: Path, capsys: pytest.CaptureFixture[str]
) -> None:
    os.mkfifo(tmp_path / "pipe")
    assert run([*arguments, str(tmp_path / "pipe")], lambda *_: 0) == 2
    assert "no ordinary file" in capsys.readouterr().err


@pytest.mark.parametrize("day", ["9999-12-30", "0001-01-01", "2026-13-01", "soon", "2026-12-01T00:00"])
def test_days_that_no_work_is_planned_for_are_refused(day: str, kept: Path, capsys: pytest.CaptureFixture[str]) -> None:
    with pytest.raises(ValueError, match=r"."):
        day_of(day)
    assert run(["calendar", str(kept), "--start", day], lambda *_: 0) == 2
    assert "not a day to begin on" in capsys.readouterr().err


def test_chance_begins_with_a_whole_number(kept: Path, capsys: pytest.CaptureFixture[str]) -> None:
    for odd in ("-1", "1.5", "x", str(2**40)):
        assert run(["separate", str(kept), "--seed", odd], lambda *_: 0) == 2
        assert "--seed" in capsys.readouterr().err


def test_output_that_was_closed_before_is_no_fault(kept: Path) -> None:
    """As cron and service managers may start it."""
    script = '"$0" -m nomos check "$1" >&- 2>&-'
    done = subprocess.run(["bash", "-c", script, sys.executable, str(kept)], check=False, timeout=120)
    assert done.returncode == 0


@pytest.mark.thorough
def test_a_compositor_of_another_session_and_a_platform_that_is_not_there(kept: Path) -> None:
    status, _, told = nomos(str(kept), DISPLAY="", WAYLAND_DISPLAY="wayland-of-old", QT_QPA_PLATFORM="")
    assert (status, told.startswith("nomos: Nothing answers at the display wayland-of-old")) == (2, True)
    status, _, told = nomos(str(kept), DISPLAY="", WAYLAND_DISPLAY="", QT_QPA_PLATFORM="wayland")
    assert (status, told.startswith("nomos: There is no display")) == (2, True)
    status, _, told = nomos(str(kept), QT_QPA_PLATFORM="nowhere")
    assert (status, "asks for nowhere" in told) == (2, True)
