"""Undo, jobs and rescue: the laws the window rests on."""

import os
import threading
from collections.abc import Callable
from functools import partial
from pathlib import Path

import pytest
from hypothesis import given, settings
from hypothesis import strategies as st
from msgspec.structs import replace
from PyQt6.QtCore import QTimer

from nomos.base.errors import BadInput
from nomos.base.progress import Progress
from nomos.project import Assets, Project, ProjectError, load, save
from nomos.project.blocks.edits import with_bare_colour, with_colour, with_printed_colour
from nomos.project.blocks.pulls import moved_impression
from nomos.project.inks.edits import with_strength
from nomos.project.model.edits import with_sheet, with_trap
from nomos.project.register.edits import with_offset
from nomos.proof import Misregister
from nomos.ui.desk import Desk
from nomos.ui.frame import rescue
from nomos.ui.frame.document import Document
from nomos.ui.frame.jobs import FIRST, QUIET, Asker, JobRunner
from tests.ui.conftest import Answers, QTest

Demo = tuple[Project, Assets]
STEPS: list[Callable[[Project], Project]] = [
    lambda p: moved_impression(p, p.impressions[0].id, 3),
    lambda p: with_colour(p, 2, name="Pane", lab=(70.0, -10.0, 5.0)),
    lambda p: with_bare_colour(p, 4),
    lambda p: with_printed_colour(p, 4),
    lambda p: with_strength(p, p.impressions[0].id, 0.5),
    lambda p: with_offset(p, p.impressions[-1].id, Misregister(0.4)),
    lambda p: with_trap(p, 0.9 - p.trap_mm / 2),
    lambda p: with_sheet(p, (p.paper.width_mm + 10, p.paper.height_mm)),
    lambda p: with_trap(p, 99),  # refused
]


@settings(max_examples=25)
@given(steps=st.lists(st.tuples(st.sampled_from(STEPS), st.integers(0, 2)), max_size=15))
def test_any_edits_all_undone_are_the_start_and_all_redone_the_end(
    steps: list[tuple[Callable[[Project], Project], int]], demo: Demo
) -> None:
    document = Document()
    document.begin(*demo, saved=True)
    for edit, gesture in steps:
        try:
            document.apply("edit", edit, merge_key=gesture or None)
        except ProjectError:
            continue
    end = document.project
    while document.stack.canUndo():
        document.stack.undo()
    assert document.project is not None
    assert replace(document.project, id="") == demo[0]
    assert not document.unsaved
    while document.stack.canRedo():
        document.stack.redo()
    assert document.project == end


def test_one_gesture_is_one_undo_and_a_refused_edit_changes_nothing(demo: Demo) -> None:
    document = Document()
    document.begin(*demo, saved=True)
    seen: list[Project | None] = []
    document.changed.connect(lambda _before, after: seen.append(after))
    for trap in (0.6, 0.7, 0.8):
        document.apply("Trap", partial(with_trap, trap_mm=trap), merge_key="one")
    document.apply("Trap", lambda p: with_trap(p, 0.8), merge_key="two")  # no change at all
    assert document.stack.count() == 1
    with pytest.raises(ProjectError):
        document.apply("Trap", lambda p: with_trap(p, 77))
    assert (document.stack.count(), len(seen)) == (1, 3)


def wait(condition: Callable[[], bool]) -> None:
    for _ in range(500):
        if condition():
            return
        QTest.qWait(10)
    assert condition()


def test_a_newer_job_replaces_the_older_and_late_results_are_dropped() -> None:
    runner = JobRunner()
    results: list[str] = []
    hold = threading.Event()

    def slow(_progress: Progress) -> str:
        hold.wait(5)
        return "old"

    asker = Asker(runner, "one", results.append)
    asker.do(slow, results.append)
    asker.do(lambda _progress: "new", results.append)
    wait(lambda: "new" in results)
    hold.set()
    QTest.qWait(50)
    runner.close()
    assert results == ["new"]


def test_failures_are_sentences_and_cancelled_work_says_nothing(caplog: pytest.LogCaptureFixture) -> None:
    runner = JobRunner()
    done: list[object] = []
    failed: list[str] = []

    def refuse(_progress: Progress) -> None:
        raise BadInput("That sheet is too small.")

    def break_down(_progress: Progress) -> None:
        raise ZeroDivisionError

    def exhaust(_progress: Progress) -> None:
        raise MemoryError

    for name, work in (("a", refuse), ("b", break_down), ("c", exhaust)):
        Asker(runner, name, failed.append).do(work, done.append)
    wait(lambda: len(failed) == 3)
    assert "That sheet is too small." in failed
    assert any("fault of the program" in text for text in failed)
    assert any("memory" in text for text in failed)
    assert caplog.records[0].exc_info
    caplog.clear()
    started = threading.Event()

    def endless(progress: Progress) -> None:
        while True:
            started.set()
            progress.report(0.5, "going on")

    asker = Asker(runner, "d", failed.append)
    asker.do(endless, done.append)
    assert started.wait(5)
    asker.cancel()
    assert runner.busy() == ()
    runner.close()
    assert (done, len(failed)) == ([], 3)


def test_what_is_shown_first_waits_for_nothing_and_two_askers_never_meet() -> None:
    """Two long jobs nobody waits for, and then the proof; each asker gets its own answer."""
    runner = JobRunner()
    hold, done = threading.Event(), list[str]()

    def slow(_progress: Progress) -> str:
        hold.wait(5)
        return "slow"

    askers = [Asker(runner, "same name", done.append, rank=QUIET) for _ in range(3)]
    for asker in askers:
        asker.do(slow, done.append)
    Asker(runner, "proof", done.append, rank=FIRST).do(lambda _progress: "first", done.append)
    wait(lambda: done == ["first"])
    hold.set()
    wait(lambda: len(done) == 4)
    runner.close()
    assert done == ["first", "slow", "slow", "slow"]


def crashed(window: rescue.Rescue) -> None:
    """What is left when a process ends without a word: its copy, and a lock that nobody holds."""
    assert window._lock is not None
    window._timer.stop()
    window._writer.shutdown(wait=True)
    os.close(window._lock._handle)


def test_unsaved_work_is_kept_beside_and_offered_again(demo_desk: Desk, tmp_path: Path) -> None:
    folder, file = tmp_path / "unsaved", tmp_path / "frost.nomos"
    demo_desk.document.save(file)
    keeping = rescue.Rescue(demo_desk.document, folder)
    keeping.keep()
    assert not folder.exists()  # nothing to keep yet
    demo_desk.controller.editor.set("trap_mm", 1.1)
    assert keeping.keep_now()
    assert rescue.left_behind(folder) == []  # its window is there
    crashed(keeping)
    assert [left.copy for left in rescue.left_behind(folder)] == [keeping.file]
    # Taken up, the work knows its file again, and is kept anew before the old copy goes.
    other = Document()
    second = rescue.Rescue(other, folder)
    rescue.offer(other, folder, Answers(), keep=second.keep_now)
    assert other.project == demo_desk.document.project
    assert other.unsaved
    assert other.path == file
    assert not keeping.file.exists()
    crashed(second)
    of = rescue.Origin(str(file), other.mark, other.session)
    assert rescue.left_behind(folder) == [rescue.Left(second.file, of)]


def test_of_two_crashed_windows_the_second_waits_for_the_next_start(tmp_path: Path, demo: Demo) -> None:
    copies = []
    for title in ("One", "Two"):
        document = Document()
        document.begin(replace(demo[0], title=title), demo[1])
        window = rescue.Rescue(document, tmp_path)
        assert window.keep_now()
        crashed(window)
        copies.append(window.file)
    assert copies[0] != copies[1]
    third = Document()
    rescue.offer(third, tmp_path, Answers())
    # Nothing of its own is kept yet: even the one taken up stays.
    assert len(rescue.left_behind(tmp_path)) == 2
    kept = rescue.Rescue(third, tmp_path)
    rescue.offer(third, tmp_path, Answers(), keep=kept.keep_now)
    assert len(rescue.left_behind(tmp_path)) == 1
    kept.close()


def test_a_copy_that_fails_is_tried_again_and_said(tmp_path: Path, demo: Demo) -> None:
    document = Document()
    document.begin(*demo)
    blocked = tmp_path / "unsaved"
    blocked.write_text("a file where the folder should be", "utf-8")
    window, told = rescue.Rescue(document, blocked), list[str]()
    window.message.connect(told.append)
    assert not window.keep_now()
    assert len(told) == 1
    blocked.unlink()
    assert window.keep_now()
    window.close()


def test_a_damaged_copy_is_said_and_stays_and_a_refused_one_goes(tmp_path: Path, demo: Demo) -> None:
    (tmp_path / "999999998.nomos").write_bytes(b"half a file")
    save(tmp_path / "999999999.nomos", *demo)
    document, told = Document(), list[str]()
    rescue.offer(document, tmp_path, Answers(rescued=False), tell=told.append)
    assert document.project is None
    assert [path.name for path in tmp_path.glob("*.nomos")] == ["999999998.nomos"]
    assert "damaged" in told[0]


def test_while_a_slow_disk_saves_the_window_goes_on_being_drawn(
    little_desk: Desk, tmp_path: Path, monkeypatch: pytest.MonkeyPatch
) -> None:
    """The disk answers only when the window's own clock has gone on; what was saved is what stood then."""
    desk, ticks, flushed = little_desk, list[int](), os.fsync
    ticked = threading.Event()
    clock = QTimer()

    def tick() -> None:
        ticks.append(1)
        if len(ticks) == 3:
            ticked.set()

    def slow(handle: int) -> None:
        assert ticked.wait(60)
        flushed(handle)

    monkeypatch.setattr(os, "fsync", slow)
    clock.timeout.connect(tick)
    clock.start(5)
    desk.controller.editor.set("trap_mm", 1.1)
    desk.document.save(tmp_path / "slow.nomos")
    clock.stop()
    assert len(ticks) >= 3
    assert not desk.document.unsaved
    assert load(tmp_path / "slow.nomos")[0].trap_mm == 1.1


def test_a_notice_that_lasts_stays_whatever_is_opened(little_desk: Desk) -> None:
    notice = little_desk.window.notice
    notice.warn("Work is kept in a passing folder.")
    for n in range(6):
        notice.tell(f"Something passing, {n}.")
    little_desk.files.opened.emit("blocks")
    assert notice.text() == "Work is kept in a passing folder."
    notice.put_away.click()
    assert notice.text() == ""
