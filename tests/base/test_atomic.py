"""Files written whole or not at all: full disks, links, pipes, what killed processes leave behind."""

import errno
import os
import stat
from pathlib import Path

import pytest

from nomos.base import atomic
from nomos.base.atomic import previous_of, replacing, write_bytes, write_text
from nomos.base.errors import BadInput

# Above the largest process number Linux gives.
NOBODY = 2**22 + 1


def full(_handle: int) -> None:
    raise OSError(errno.ENOSPC, "No space left on device")


def test_on_a_full_disk_the_old_file_stays_and_nothing_lies_beside_it(
    tmp_path: Path, monkeypatch: pytest.MonkeyPatch
) -> None:
    path = tmp_path / "shelf.json"
    write_text(path, "old")
    with monkeypatch.context() as patched:
        patched.setattr(os, "fsync", full)
        with pytest.raises(BadInput, match=r"shelf.json could not be written \(No space left.*untouched"):
            write_text(path, "new")
    assert path.read_text() == "old"
    assert list(tmp_path.iterdir()) == [path]
    with pytest.raises(BadInput, match="No such file"):
        write_text(tmp_path / "gone" / "shelf.json", "new")


def test_the_file_before_is_kept_under_its_name_in_one_step(tmp_path: Path) -> None:
    path, previous = tmp_path / "a.nomos", tmp_path / "a.nomos.previous"
    for text in (b"one", b"two", b"three"):
        with replacing(path, keep=True) as file:
            file.write(text)
    assert (path.read_bytes(), previous.read_bytes()) == (b"three", b"two")
    assert sorted(tmp_path.iterdir()) == [path, previous]


def test_a_link_stays_a_link_and_the_file_it_names_is_written(tmp_path: Path) -> None:
    (tmp_path / "far").mkdir()
    real, link = tmp_path / "far" / "real.json", tmp_path / "link.json"
    real.write_text("old")
    link.symlink_to(real)
    write_text(link, "new")
    assert link.is_symlink()
    assert real.read_text() == "new"


def test_pipes_and_files_that_may_not_be_written_are_left_alone(
    tmp_path: Path, monkeypatch: pytest.MonkeyPatch
) -> None:
    pipe, closed = tmp_path / "pipe", tmp_path / "closed.json"
    os.mkfifo(pipe)
    with pytest.raises(BadInput, match="no ordinary file"):
        write_bytes(pipe, b"x")
    assert stat.S_ISFIFO(pipe.stat().st_mode)
    closed.write_text("old")
    closed.chmod(0o444)
    # Whoever runs the tests may be allowed everything.
    monkeypatch.setattr(os, "access", lambda *_: False)
    with pytest.raises(BadInput, match="may not be written over"):
        write_bytes(closed, b"x")
    assert closed.read_text() == "old"


def test_a_new_file_has_the_usual_rights_and_a_replaced_one_keeps_its_own(tmp_path: Path) -> None:
    path = tmp_path / "a"
    umask = os.umask(0o027)
    try:
        write_bytes(path, b"1")
        assert stat.S_IMODE(path.stat().st_mode) == 0o640
        path.chmod(0o604)
        write_bytes(path, b"2")
        assert stat.S_IMODE(path.stat().st_mode) == 0o604
    finally:
        os.umask(umask)


def test_what_a_killed_process_left_is_cleared_and_what_another_writes_is_not(tmp_path: Path) -> None:
    path = tmp_path / "a.nomos"
    dead = tmp_path / f".a.nomos.{atomic._host()}-{NOBODY}-abc.part"
    alive = tmp_path / f".a.nomos.{atomic._host()}-{os.getpid()}-abc.part"
    elsewhere = tmp_path / f".a.nomos.ffffff-{NOBODY}-abc.part"
    others = tmp_path / f".b.nomos.{atomic._host()}-{NOBODY}-abc.part"
    for part in (dead, alive, elsewhere, others):
        part.touch()
    write_bytes(path, b"x")
    assert sorted(tmp_path.iterdir()) == sorted([path, alive, elsewhere, others])


def test_mode_owner_and_attributes_stay_with_the_name(tmp_path: Path) -> None:
    path = tmp_path / "a.nomos"
    path.write_bytes(b"old")
    path.chmod(0o640)
    os.chown(path, os.getuid(), os.getgid())
    try:
        os.setxattr(path, "user.note", b"kept on the second shelf")
    except OSError:
        pytest.skip("this file system has no attributes")
    if os.getuid() == 0:
        os.chown(path, 1234, 1235)
    before = path.stat()
    write_bytes(path, b"new")
    after = path.stat()
    assert (after.st_mode, after.st_uid, after.st_gid) == (before.st_mode, before.st_uid, before.st_gid)
    assert os.getxattr(path, "user.note") == b"kept on the second shelf"


def test_a_part_that_is_there_is_not_written_through(tmp_path: Path) -> None:
    """Whoever lays a link where the earlier copy is kept loses nothing by the next save."""
    path, letter = tmp_path / "a.nomos", tmp_path / "letter"
    letter.write_text("mine")
    path.write_bytes(b"one")
    previous_of(path).symlink_to(letter)
    write_bytes(path, b"two", keep=True)
    assert letter.read_text() == "mine"
    assert previous_of(path).read_bytes() == b"one"
