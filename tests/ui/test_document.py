"""Undo, jobs and rescue: the laws the window rests on."""

import os
import threading
from collections.abc import Callable
from functools import partial
from pathlib import Path

import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from nomos.errors import BadInput
from nomos.progress import Progress
from nomos.project import Assets, Project, ProjectError, save
from nomos.project import edits as ed
from nomos.proof import Misregister
from nomos.ui import rescue
from nomos.ui.document import Document
from nomos.ui.jobs import JobRunner
from nomos.ui.start import Desk
from tests.ui.conftest import QTest

Demo = tuple[Project, Assets]
STEPS: list[Callable[[Project], Project]] = [
    lambda p: ed.moved_impression(p, p.impressions[0].id, 3),
    lambda p: ed.with_colour(p, 2, name="Pane", lab=(70.0, -10.0, 5.0)),
    lambda p: ed.with_bare_colour(p, 4),
    lambda p: ed.with_printed_colour(p, 4),
    lambda p: ed.with_strength(p, p.impressions[0].id, 0.5),
    lambda p: ed.with_offset(p, p.impressions[-1].id, Misregister(0.4)),
    lambda p: ed.with_trap(p, 0.9 - p.trap_mm / 2),
    lambda p: ed.with_sheet(p, (p.paper.width_mm + 10, p.paper.height_mm)),
    lambda p: ed.with_trap(p, 99),  # refused
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
    assert document.project == demo[0]
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
        document.apply("Trap", partial(ed.with_trap, trap_mm=trap), merge_key="one")
    document.apply("Trap", lambda p: ed.with_trap(p, 0.8), merge_key="two")  # no change at all
    assert document.stack.count() == 1
    with pytest.raises(ProjectError):
        document.apply("Trap", lambda p: ed.with_trap(p, 77))
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

    runner.run("slot", slow, results.append, results.append)
    runner.run("slot", lambda _progress: "new", results.append, results.append)
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

    for slot, work in (("a", refuse), ("b", break_down), ("c", exhaust)):
        runner.run(slot, work, done.append, failed.append)
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

    runner.run("d", endless, done.append, failed.append)
    assert started.wait(5)
    runner.cancel("d")
    assert runner.busy() == ()
    runner.close()
    assert (done, len(failed)) == ([], 3)


def test_unsaved_work_is_kept_beside_and_offered_again(
    demo_desk: Desk, tmp_path: Path, monkeypatch: pytest.MonkeyPatch
) -> None:
    folder = tmp_path / "unsaved"
    keeping = rescue.Rescue(demo_desk.document, demo_desk.runner, folder)
    keeping.keep()
    assert not folder.exists()  # nothing to keep yet
    demo_desk.controller.set_trap(1.1)
    keeping.keep()
    own = folder / f"{os.getpid()}.nomos"
    wait(lambda: own.exists() and "rescue" not in demo_desk.runner.busy())
    assert rescue.left_behind(folder) == []  # this process is alive
    monkeypatch.setattr(rescue, "_alive", lambda _process: False)
    assert rescue.left_behind(folder) == [own]
    other = Document()
    asked: list[str] = []

    def take(title: str) -> bool:
        asked.append(title)
        return True

    rescue.offer(other, folder, take)
    assert asked == [demo_desk.document.project.title if demo_desk.document.project else ""]
    assert other.project == demo_desk.document.project
    assert other.unsaved
    assert rescue.left_behind(folder) == []
    keeping.close()


def test_damaged_or_refused_leftovers_are_cleared_away(tmp_path: Path, demo: Demo) -> None:
    (tmp_path / "999999998.nomos").write_bytes(b"half a file")
    save(tmp_path / "999999999.nomos", *demo)
    document = Document()
    rescue.offer(document, tmp_path, lambda _title: False)
    assert document.project is None
    assert list(tmp_path.glob("*.nomos")) == []
