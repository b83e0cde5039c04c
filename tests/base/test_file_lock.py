"""One file, two windows: who holds it is known by name, and a dead process holds nothing."""

import os
import subprocess
import sys
from collections.abc import Callable
from pathlib import Path

import pytest

from nomos.base.file_lock import FileLock, ForeignLock, Holder, acquire, holder_of, lock_of
from nomos.cli.main import run
from nomos.project import Assets, Project, load, save
from tests.test_cli import no_window

_HOLD_AND_DIE = """
import os, sys
from pathlib import Path
from nomos.base.file_lock import acquire, lock_of
acquire(lock_of(Path(sys.argv[1])))
os.kill(os.getpid(), 9)
"""


def test_a_second_hand_is_told_who_has_the_file_until_it_is_let_go(tmp_path: Path) -> None:
    path = tmp_path / "bed.nomos"
    first = acquire(lock_of(path))
    assert isinstance(first, FileLock)
    second = acquire(lock_of(path))
    assert isinstance(second, Holder)
    assert "since" in str(second)
    assert holder_of(path) == second
    first.release()
    assert holder_of(path) is None
    third = acquire(lock_of(path))
    assert isinstance(third, FileLock)
    third.release()
    assert list(tmp_path.iterdir()) == []


def test_a_link_and_its_file_are_one(tmp_path: Path) -> None:
    (tmp_path / "link.nomos").symlink_to(tmp_path / "bed.nomos")
    first = acquire(lock_of(tmp_path / "bed.nomos"))
    assert isinstance(first, FileLock)
    assert isinstance(acquire(lock_of(tmp_path / "link.nomos")), Holder)
    first.release()


def test_what_a_killed_process_held_is_free(tmp_path: Path) -> None:
    path = tmp_path / "bed.nomos"
    subprocess.run([sys.executable, "-c", _HOLD_AND_DIE, str(path)], check=False)
    assert holder_of(path) is None
    mine = acquire(lock_of(path))
    assert isinstance(mine, FileLock)
    mine.release()


@pytest.mark.parametrize("words", [b"", b"[]", b"\xff", b'{"user": 5}', b"[" * 9000])
def test_a_lock_that_says_nonsense_is_held_all_the_same(tmp_path: Path, words: bytes) -> None:
    path = tmp_path / "bed.nomos"
    mine = acquire(lock_of(path))
    assert isinstance(mine, FileLock)
    (tmp_path / ".bed.nomos.lock").write_bytes(words)
    assert isinstance(acquire(lock_of(path)), Holder)
    mine.release()


def test_a_command_leaves_a_file_alone_that_a_window_has(
    tmp_path: Path, little: tuple[Project, Assets], capsys: pytest.CaptureFixture[str]
) -> None:
    path = tmp_path / "pane.nomos"
    save(path, *little)
    before = load(path)[0]
    mine = acquire(lock_of(path))
    assert isinstance(mine, FileLock)
    command = ["order", str(path), "--out", str(path)]
    assert run(command, no_window) == 2
    assert "is open in a window of" in capsys.readouterr().err
    assert load(path)[0] == before
    mine.release()
    assert run(command, no_window) == 0


def test_what_lies_where_a_lock_should_is_left_alone(tmp_path: Path) -> None:
    """A link to a file of the user's, a second name of one, a pipe, a folder, a file of another program."""
    letter = tmp_path / "letter.txt"
    letter.write_text("Dear allotment committee," * 40)
    written = letter.read_bytes()
    ways: list[Callable[[Path], object]] = [
        lambda lock: lock.symlink_to(letter),
        lambda lock: os.link(letter, lock),
        lambda lock: lock.write_bytes(written),
        os.mkfifo,
        Path.mkdir,
        lambda lock: lock.symlink_to(tmp_path / "not there yet"),
    ]
    for n, lay in enumerate(ways):
        path = tmp_path / f"{n}.nomos"
        lay(lock_of(path))
        with pytest.raises(ForeignLock, match="no lock of Nomos and was left"):
            acquire(lock_of(path))
        assert holder_of(path) is None
        assert letter.read_bytes() == written
        assert not (tmp_path / "not there yet").exists()
    lock = lock_of(tmp_path / "2.nomos")
    assert lock.read_bytes() == written


def test_a_lock_that_was_moved_away_takes_no_other_file_with_it(tmp_path: Path) -> None:
    path = tmp_path / "bed.nomos"
    mine = acquire(lock_of(path))
    assert isinstance(mine, FileLock)
    lock_of(path).unlink()
    lock_of(path).write_text("somebody's")
    mine.release()
    assert lock_of(path).read_text() == "somebody's"
