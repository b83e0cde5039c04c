"""The log of the bench on disks that are full, slow or broken, and beside other logs and windows."""

import errno
import os
import threading

import pytest
from PyQt6.QtCore import Qt

from nomos.edition import read_log
from nomos.project.edition.bench import begin_events
from nomos.project.model.edits import with_id
from nomos.ui.desk import Desk
from nomos.ui.stations.bench.logbook import LogBook
from tests.ui.conftest import settle
from tests.ui.test_bench import key


def test_a_full_disk_at_the_bench_is_said_and_the_pull_not_counted(
    saved: Desk, monkeypatch: pytest.MonkeyPatch
) -> None:
    desk = saved
    bencher = desk.controller.bencher
    desk.window.go_to("bench")
    bencher.begin_layer()
    settle(desk)
    before = bencher.path.read_bytes()

    def full(_handle: int) -> None:
        raise OSError(errno.ENOSPC, "No space left on device")

    with monkeypatch.context() as patched:
        patched.setattr(os, "fsync", full)
        key(desk, Qt.Key.Key_Space)
        settle(desk)
    assert "make room" in desk.window.notice.text()
    assert desk.window.at("bench").sheet.text() == "Sheet 1"
    # What was refused does not stand in the file and count at the next start.
    assert bencher.path.read_bytes() == before
    key(desk, Qt.Key.Key_Space)
    settle(desk)
    assert [event.sheet for event in read_log(bencher.path) if event.kind == "good"] == [1]


def test_a_slow_disk_holds_no_hand_and_all_comes_to_it_in_order(saved: Desk, monkeypatch: pytest.MonkeyPatch) -> None:
    """Three pulls while the disk does not answer: they count, it is said that they are being written."""
    desk = saved
    bencher, screen = desk.controller.bencher, desk.window.at("bench")
    desk.window.go_to("bench")
    bencher.begin_layer()
    settle(desk)
    answers_now, flushed = threading.Event(), os.fsync

    def slow(handle: int) -> None:
        assert answers_now.wait(60)
        flushed(handle)

    monkeypatch.setattr(os, "fsync", slow)
    monkeypatch.setattr(LogBook, "patience_s", 0.0)
    for _ in range(3):
        key(desk, Qt.Key.Key_Space)
        settle(desk)
    assert screen.sheet.text() == "Sheet 4"
    assert "being written: 3" in screen.tally.text()
    answers_now.set()
    assert bencher.book.wait()
    bencher.changed.emit()
    settle(desk)
    assert "being written" not in screen.tally.text()
    assert [event.sheet for event in read_log(bencher.path) if event.kind == "good"] == [1, 2, 3]


def test_what_a_slow_disk_refuses_takes_back_what_followed_it(saved: Desk, monkeypatch: pytest.MonkeyPatch) -> None:
    desk = saved
    bencher = desk.controller.bencher
    bencher.begin_layer()
    answers_now = threading.Event()

    def broken(_handle: int) -> None:
        assert answers_now.wait(60)
        raise OSError(errno.EIO, "Input/output error")

    with monkeypatch.context() as patched:
        patched.setattr(os, "fsync", broken)
        patched.setattr(LogBook, "patience_s", 0.0)
        for _ in range(3):
            bencher.pull("good")
        answers_now.set()
        assert not bencher.book.wait()
    assert "3 things are not in it" in desk.window.notice.text()
    state = bencher.state()
    assert state is not None
    assert state.queue()[0] == 1
    bencher.pull("good")
    assert [event.sheet for event in read_log(bencher.path) if event.kind == "good"] == [1]


def test_the_log_of_another_print_is_put_aside_and_never_added_to(saved: Desk) -> None:
    """A project that replaced another under its name does not go on with its edition."""
    desk = saved
    bencher = desk.controller.bencher
    bencher.begin_layer()
    bencher.pull("good")
    of_other = bencher.path.read_bytes()
    desk.document.apply("another", lambda project: with_id(project, anew=True))
    bencher.book.forget()
    state = bencher.state()
    assert state is not None
    assert not state.started
    assert "record of another print" in desk.window.notice.text()
    bencher.begin_layer()
    (aside,) = bencher.path.parent.glob("pane.nomos.bench-*.jsonl")
    assert aside.read_bytes() == of_other
    assert [event.kind for event in read_log(bencher.path)] == ["project", "layer"]


def test_what_is_open_to_look_at_writes_no_record(saved: Desk) -> None:
    desk = saved
    desk.document.read_only = True
    desk.controller.bencher.begin_layer()
    assert not desk.controller.bencher.path.exists()
    assert "write it down there" in desk.window.notice.text()


def test_another_edition_begun_elsewhere_gets_no_old_pulls(saved: Desk) -> None:
    """Two logbooks: one puts the record aside, the other must not write the old one down again."""
    desk = saved
    bencher, other = desk.controller.bencher, LogBook(desk.document)
    bencher.begin_layer()
    bencher.pull("good")
    assert other.state() is not None
    bencher.begin_anew()
    other.write(lambda project, state, at: begin_events(project, state, at))
    assert [event.kind for event in read_log(bencher.path)] == ["project", "layer"]
