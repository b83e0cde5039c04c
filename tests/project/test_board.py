"""The board of all sheets: each as it really looks, and what becomes of one."""

from datetime import datetime

import numpy as np

from nomos.edition import Event, now_text
from nomos.project import Assets, Project
from nomos.project.edition.bench import begin_events, given_up_event, note_event, noted, pull_events
from nomos.project.edition.board import board_sheets, sheet_facts, sheets_board
from nomos.project.edition.printed import written
from nomos.project.edition.sheets import state_of
from nomos.project.model.edits import with_workshop
from tests.conftest import proof_of

Demo = tuple[Project, Assets]


def two_layers(project: Project) -> tuple[Event, ...]:
    """Two layers on four sheets: the second is spoiled at once, the fourth has one layer alone."""
    log: tuple[Event, ...] = ()
    for layer in (0, 1):
        state = state_of(project, log)
        log += written(project, log, state, begin_events(project, state, now_text(), layer))
        while (state := state_of(project, log)).queue():
            sheet = state.queue()[-1 if state.queue()[0] == 2 and layer else 0]
            if layer == 1 and state.queue() == [4]:
                break
            how = "spoiled" if (sheet, layer) == (2, 0) else "good"
            log += written(project, log, state, pull_events(project, state, how, now_text(), "slipped"))  # type: ignore[arg-type] # two of the kinds
    return log


def test_every_sheet_looks_as_it_does_now(little: Demo) -> None:
    project = with_workshop(little[0], sheets=4)
    proof, state = proof_of(project, little[1]), state_of(project, two_layers(project))
    board = sheets_board(project, proof.laid, board_sheets(state), 0)
    looks = {}
    for tile in board.tiles:
        place = tile.place
        box = [round(value * board.px_per_mm) for value in (place.top, place.bottom, place.left, place.right)]
        looks[tile.sheet] = board.picture[box[0] : box[1], box[2] : box[3]].astype(float)
        middle = (place.left + place.right) / 2, (place.top + place.bottom) / 2
        assert board.sheet_at(*middle) == tile.sheet
    assert [tile.sheet for tile in board.tiles] == [1, 2, 3, 4]
    assert board.sheet_at(0.1, 0.1) is None
    # One and three carry the same; four lacks the second layer; two is crossed through.
    assert np.abs(looks[1] - looks[3]).mean() < 2
    assert np.abs(looks[1] - looks[4]).mean() > 3
    assert (np.abs(looks[2] - (160, 40, 30)).sum(axis=2) < 30).any()
    facts = dict(sheet_facts(project, state, 4, datetime.now()))
    assert "Lacks" in facts
    assert any(name.startswith("1 ") for name in facts)


def test_a_sheet_given_up_goes_first_and_one_put_right_goes_on(little: Demo) -> None:
    project = with_workshop(little[0], sheets=4)
    log = two_layers(project)
    state = state_of(project, log)
    log += written(project, log, state, (given_up_event(state, 3, now_text()),))
    log += written(project, log, state_of(project, log), (Event(now_text(), "mended", sheet=2, text="patched"),))
    state = state_of(project, log)
    assert state.histories[3].reason == "given up"
    assert (state.histories[2].spoiled_at, state.histories[2].remark) == (None, "patched")
    log += written(project, log, state, begin_events(project, state, now_text(), 2))
    after = state_of(project, log)
    assert after.queue()[0] == 3
    # Giving up is no pull: what was pulled stays as it was.
    assert after.pulled == state.pulled


def test_a_sheet_knows_its_batch_and_its_remark(little: Demo) -> None:
    """The batch noted last before the pull holds for the sheet; a remark is of the sheet at hand."""
    project = with_workshop(little[0], sheets=4)
    log: tuple[Event, ...] = ()
    state = state_of(project, log)
    log += written(project, log, state, begin_events(project, state, "2026-12-01T09:00:00"))
    for minute, (kind, text) in enumerate(
        (("batch", "first tin"), ("", ""), ("batch", "second tin"), ("remark", "a hair"), ("", ""))
    ):
        state, at = state_of(project, log), f"2026-12-01T09:{minute + 1:02d}:00"
        made = (noted(note_event(kind, text), state, at),) if kind else pull_events(project, state, "good", at)
        log += written(project, log, state, made)
    state, now = state_of(project, log), datetime(2026, 12, 1, 10)
    first, second = (dict(sheet_facts(project, state, sheet, now)) for sheet in (1, 2))
    assert (first["Batch"], second["Batch"]) == ("first tin", "second tin")
    assert second["Remark"] == "a hair"
    assert "Remark" not in first
