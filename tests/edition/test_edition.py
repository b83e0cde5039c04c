"""Sheets against scipy and a simulation; the log after a kill at any event; statistics and numbers."""

import os
import signal
import subprocess
import sys
import time
from collections.abc import Iterator
from itertools import pairwise
from pathlib import Path

import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st
from scipy import stats

from nomos.edition import (
    Event,
    LogError,
    SheetsError,
    append_events,
    cut_from,
    layer_figures,
    learnt_good,
    number_sheets,
    read_log,
    read_log_text,
    replay,
    start_sheets,
)
from nomos.edition.log import EventKind


def ids(count: int) -> list[str]:
    """The pulls of a plan."""
    return [f"pull{n + 1}" for n in range(count)]


@given(st.integers(1, 60), st.integers(1, 12), st.floats(0.6, 1.0), st.floats(0.5, 0.99))
def test_the_number_of_sheets_is_the_smallest_by_scipy(
    edition: int, layers: int, good: float, confidence: float
) -> None:
    plan = start_sheets(edition, layers, good, confidence)
    assert plan.p_sheet == pytest.approx(good**layers)
    survives = stats.binom(plan.start_sheets, plan.p_sheet)
    assert survives.sf(edition - 1) >= confidence
    if plan.start_sheets > edition:
        assert stats.binom(plan.start_sheets - 1, plan.p_sheet).sf(edition - 1) < confidence
    chances = [chance for _, chance in plan.curve]
    assert all(b >= a - 1e-12 for a, b in pairwise(chances))


def test_so_many_sheets_are_enough_as_often_as_said() -> None:
    """Pull by pull: 20 sheets of 5 layers at 95 % with 90 % confidence."""
    plan = start_sheets(20, 5, 0.95, 0.9)
    hand = np.random.default_rng(3)
    good = (hand.random((20_000, plan.start_sheets, 5)) < 0.95).all(axis=2).sum(axis=1)
    enough = float((good >= 20).mean())
    assert enough == pytest.approx(dict(plan.curve)[plan.start_sheets], abs=0.01)
    assert enough >= 0.9 - 0.01


@pytest.mark.parametrize(
    ("edition", "layers", "good", "confidence"),
    [(0, 1, 0.9, 0.9), (5, 0, 0.9, 0.9), (5, 1, 0.0, 0.9), (5, 1, 1.1, 0.9), (5, 1, 0.9, 1.0), (50, 40, 0.5, 0.9)],
)
def test_an_edition_that_cannot_be_is_refused(edition: int, layers: int, good: float, confidence: float) -> None:
    with pytest.raises(SheetsError):
        start_sheets(edition, layers, good, confidence)


def test_sheets_from_a_full_sheet_by_hand() -> None:
    """From 560 x 760: 200 x 260 upright 2 x 2 = 4; from 760 x 560 3 x 2 = 6."""
    assert cut_from((560, 760), (200, 260), grain_right=True) == 4
    assert cut_from((760, 560), (200, 260), grain_right=False) == 6
    assert cut_from((560, 760), (250, 190), grain_right=True) == 8
    with pytest.raises(SheetsError):
        cut_from((100, 100), (200, 260), grain_right=False)


def at(minute: int) -> str:
    return f"2026-12-01T{9 + minute // 60:02d}:{minute % 60:02d}:00"


def events() -> list[Event]:
    """Two layers of four sheets: one spoiled in the first, one repaired in the second."""
    made = [Event(at(0), "layer", 0)]
    made += [Event(at(4 * n), "good", 0, n) for n in (1, 2)]
    made += [Event(at(12), "spoiled", 0, 3, "slipped"), Event(at(16), "good", 0, 4)]
    made += [Event(at(60), "layer", 1), Event(at(61), "ink", 1, value=30.5)]
    made += [Event(at(62), "spoiled", 1, 3, "dirt"), Event(at(66), "repaired", 1, 1), Event(at(70), "good", 1, 2)]
    return made


def test_a_log_is_replayed_and_the_bad_sheet_goes_first(tmp_path: Path) -> None:
    path = tmp_path / "print.log"
    for event in events():
        append_events(path, [event])
    assert read_log(path) == tuple(events())
    begun = replay(events()[:7], ids(2), 4)
    assert begun.queue() == [3, 1, 2, 4]
    state = replay(read_log(path), ids(2), 4)
    assert state.queue() == [4]
    # The sheet that was bad before is sacrificed and counts for nothing.
    assert state.tally() == {"good": 1, "spoiled": 0, "repaired": 1}
    assert state.histories[3].reason == "slipped"
    assert state.histories[1].good_through(2)
    undone = replay([*events(), Event(at(71), "undo")], ids(2), 4)
    assert undone.queue() == [2, 4]


class Counted(list[Event]):
    """A log that counts how many of its events are looked at."""

    looked_at = 0

    def __iter__(self) -> Iterator[Event]:
        for event in super().__iter__():
            self.looked_at += 1
            yield event


@given(st.lists(st.sampled_from(["good", "spoiled", "remark", "undo"]), max_size=30))
def test_an_undo_takes_back_the_last_pull_that_stands(kinds: list[EventKind]) -> None:
    begun = Event("2026-11-27T09:00:00", "layer", layer=0, pull="pull1")
    events, kept = Counted([begun]), [begun]
    for place, kind in enumerate(kinds):
        pull = "pull1" if kind in ("good", "spoiled") else ""
        events.append(Event(f"2026-11-27T10:{place:02d}:00", kind, 0 if pull else -1, pull=pull, sheet=place + 1))
        if kind != "undo":
            kept.append(events[-1])
        elif pulls := [event for event in kept if event.kind in ("good", "spoiled")]:
            kept.remove(pulls[-1])
    assert replay(events, ids(2), 40).pulled == replay(kept, ids(2), 40).pulled
    assert events.looked_at <= 3 * len(events), "a long log is gone through a few times, not once an event"


@given(st.integers(0, 2000))
def test_a_log_cut_off_anywhere_loses_nothing_that_was_whole(cut: int) -> None:
    """Every prefix of the file's bytes gives back exactly the events whose lines are whole."""
    import tempfile

    with tempfile.TemporaryDirectory() as folder:
        path = Path(folder) / "print.log"
        for event in events():
            append_events(path, [event])
        data = path.read_bytes()[:cut]
        path.write_bytes(data)
        whole = data.count(b"\n")
        found = read_log(path)
        # The last line may be whole but for its end.
        assert found[:whole] == tuple(events())[:whole]
        assert len(found) <= whole + 1
        append_events(path, [Event(at(99), "remark", text="after the cut")])
        again = read_log(path)
        assert again[:whole] == tuple(events())[:whole]
        assert again[-1].text == "after the cut"


def test_a_killed_bench_keeps_every_event_it_has_answered(tmp_path: Path) -> None:
    """A process writes events and says each one; it is killed; what was said is on disk."""
    path = tmp_path / "print.log"
    script = (
        "import sys\nfrom pathlib import Path\nfrom nomos.edition import Event, append_events\n"
        "n = 0\nwhile True:\n n += 1\n append_events(Path(sys.argv[1]),"
        " [Event('2026-12-01T09:00:00', 'good', 0, n)])\n"
        " print(n, flush=True)\n"
    )
    process = subprocess.Popen([sys.executable, "-c", script, str(path)], stdout=subprocess.PIPE)
    time.sleep(1.5)
    os.kill(process.pid, signal.SIGKILL)
    said = process.communicate(timeout=20)[0].split()
    sheets = [event.sheet for event in read_log(path)]
    assert len(said) > 3
    assert sheets[: len(said)] == [int(number) for number in said]


def test_a_log_that_is_none_and_a_full_disk_are_said(tmp_path: Path) -> None:
    path = tmp_path / "print.log"
    path.write_text("not a log\n")
    with pytest.raises(LogError, match="is not a log"):
        read_log(path)
    with pytest.raises(LogError, match="no ordinary file"):
        append_events(Path("/dev/full"), [Event(at(0), "remark", text="x")])
    assert read_log(tmp_path / "none.log") == ()


def test_statistics_teach_the_next_edition() -> None:
    state = replay(events(), ids(2), 4)
    first, second = layer_figures(state)
    assert (first.good, first.spoiled, first.reasons) == (3, 1, (("slipped", 1),))
    assert first.minutes_a_pull == 4
    assert second.ink_g == 30.5
    # Ten pulls of 95 % before the log, six pulls in it, one of them bad.
    assert learnt_good((first, second)) == pytest.approx((9.5 + 5) / 16)
    assert learnt_good(()) == 0.95


def test_the_best_sheets_are_numbered_first_and_the_rest_cancelled() -> None:
    made = [Event(at(0), "layer", 0)]
    made += [Event(at(n), "good", 0, n) for n in range(1, 9)]
    made += [Event(at(10), "spoiled", 0, 9, "tear"), Event(at(11), "chosen", -1, 5, value=1)]
    state = replay(made, ids(1), 9)
    numbers = number_sheets(list(state.histories.values()), 1, 4, 1, 1)
    assert numbers.given[0] == (5, "BAT")
    assert [name for _, name in numbers.given[1:]] == ["1/4", "2/4", "3/4", "4/4", "AP", "PP"]
    assert numbers.cancelled == (8,)
    assert 9 not in {sheet for sheet, _ in numbers.given}
    assert number_sheets(list(state.histories.values()), 1, 12, 0, 0, bat=False).short == 4


@pytest.mark.parametrize(
    "line",
    [
        '{"at": "2026-01-05T10:00:00", "kind": "good", "layer": 0, "sheet": 0}',
        '{"at": "2026-01-05T10:00:00", "kind": "good", "layer": 0, "sheet": 3000000}',
        '{"at": "2026-01-05T10:00:00", "kind": "ink", "layer": 0, "value": Infinity}',
        '{"at": "2026-13-05T10:00:00", "kind": "layer", "layer": 0}',
        '{"at": "2026-01-05T10:00:00", "kind": "layer", "layer": -1}',
        '{"at": "2026-01-05T10:00:00", "kind": "gooe", "layer": 0, "sheet": 1}',
        "[" * 100_000,
        '{"at": "2026-01-05T10:00:00", "kind": "press", "value": 1e300}',
    ],
)
def test_a_bad_line_is_set_aside_counted_and_kept(tmp_path: Path, line: str) -> None:
    log = tmp_path / "x.bench.jsonl"
    append_events(log, [Event("2026-01-05T09:00:00", "layer", 0)])
    with log.open("a", encoding="utf-8") as file:
        file.write(line + "\n")
    append_events(log, [Event("2026-01-05T09:05:00", "good", 0, 1)])
    events = read_log(log)
    assert [event.kind for event in events] == ["layer", "good"]
    assert read_log_text(log).aside == 1
    assert line in log.read_text("utf-8")
    state = replay(events, ids(1), 3)
    assert state.pulled == {0: [("2026-01-05T09:05:00", 1, "good")]}
    assert layer_figures(state)[0].good == 1


def test_a_time_zone_is_taken_and_a_layer_that_is_gone_counts_for_nothing(tmp_path: Path) -> None:
    log = tmp_path / "x.bench.jsonl"
    log.write_text('{"at": "2026-01-05T09:00:00+00:00", "kind": "layer", "layer": 0}\n', "utf-8")
    append_events(log, [Event("2026-01-05T09:05:00", "good", 0, 1)])
    append_events(log, [Event("2026-01-06T09:00:00", "layer", 1)])
    append_events(log, [Event("2026-01-06T09:05:00", "good", 1, 1)])
    # The second layer was left out of the plan since.
    state = replay(read_log(log), ids(1), 3)
    assert (state.layer, state.beyond) == (0, 2)
    assert layer_figures(state)
    assert read_log_text(log).aside == 0


def test_a_pause_is_no_part_of_the_pace() -> None:
    """Pulls at 0, 4, 8 minutes, an hour at table, then at 68, 73 and 79."""
    made = [Event(at(0), "layer", 0)]
    made += [Event(at(minute), "good", 0, sheet) for sheet, minute in enumerate((0, 4, 8, 68, 73, 79), start=1)]
    (figures,) = layer_figures(replay(made, ids(1), 6))
    assert figures.minutes_a_pull == 5
    few = [Event(at(0), "layer", 0), Event(at(0), "good", 0, 1), Event(at(4), "good", 0, 2)]
    assert layer_figures(replay(few, ids(1), 6))[0].minutes_a_pull is None


def test_the_curve_reaches_beyond_what_is_enough() -> None:
    """At least three sheets more, a third more of many: to see what some further sheets would bring."""
    for edition in (3, 40):
        plan = start_sheets(edition, 4, 0.95, 0.9)
        last = plan.curve[-1][0]
        assert last == plan.start_sheets + max(3, round(0.3 * plan.start_sheets))
        assert [count for count, _ in plan.curve] == sorted({count for count, _ in plan.curve})
