"""What Register, Carve, Sheets and the Bench say, worked out without a window."""

from dataclasses import replace as changed
from datetime import datetime

import numpy as np
import pytest
from msgspec.structs import replace

from nomos.carving import Board
from nomos.edition import Event, replay
from nomos.project import Assets, CutBlocks, Project, cut_blocks, impressions_to_lay, lay_sheet, mask_request, prove
from nomos.project.edition.carving import carve_blocks, with_craft
from nomos.project.edition.sheets import Record, with_edition
from nomos.project.model import ProofReading
from nomos.project.register.practice import make_exercise, mark_answer
from nomos.project.register.scan import PullFound
from nomos.project.register.system import middle_of, with_reading, with_register
from nomos.project.register.tolerance import flash_fast
from nomos.proof.flashing import Flashing
from nomos.registration import Motion
from nomos.ui.frame.state import UiState
from nomos.ui.stations.bench.bench_view import bench_view
from nomos.ui.stations.carve.carve_view import carve_view, carving_overlay
from nomos.ui.stations.register.proofs_view import (
    apart_overlay,
    exercise_overlay,
    practice_view,
    proof_view,
    tolerance_view,
)
from nomos.ui.stations.register.register_view import register_view
from nomos.ui.stations.sheets.sheets_view import record_view, sheets_view

Little = tuple[Project, Assets]


def ids(count: int) -> list[str]:
    """The pulls of a plan."""
    return [f"pull{n + 1}" for n in range(count)]


@pytest.fixture(scope="module")
def blocks(little: Little) -> CutBlocks:
    request = mask_request(*little)
    assert request is not None
    return cut_blocks(request)


def flashing(bare: float, seam: float) -> Flashing:
    none = np.zeros((9, 7))
    share = none.copy()
    share[2, 3] = bare
    return Flashing(np.array([2.0 * (bare > 0)] * 4), np.array([1.5 * (seam > 0)] * 4), share, none, bare, seam)


@pytest.mark.parametrize(
    ("bare", "seam", "said"),
    [
        (0.0, 0.0, "Nothing flashes on any of 4"),
        (0.5, 0.0, "bare paper on 50 % of them, 2.0 mm² a sheet"),
        (0.0, 0.25, "dark seams on 25 %, 1.5 mm² a sheet"),
    ],
)
def test_what_flashes_is_said(bare: float, seam: float, said: str, little: Little) -> None:
    assert said in tolerance_view(little[0], None, flashing(bare, seam)).flashes


def test_the_tolerance_has_its_school_its_parts_and_a_map(little: Little, blocks: CutBlocks) -> None:
    project = little[0]
    view = tolerance_view(project, flash_fast(project, blocks, 10), None)
    assert view.school.startswith("Close")
    assert list(view.worked_out)[:2] == ["seating_mm", "block_mm"]
    assert not view.own
    assert not view.exact
    overlay = apart_overlay(project, flashing(0.5, 0))
    assert len(overlay.words) == 9
    # The tile of the third row and fourth column, 10 mm each, its middle on the sheet.
    assert overlay.spots == ((14 + 35.0, 14 + 25.0),)
    tight = with_register(project, system="pins")
    assert apart_overlay(tight, None).words == ()
    assert tolerance_view(tight, None, None).apart == ""


def test_a_scan_and_what_was_kept_are_shown_block_by_block(little: Little) -> None:
    project = little[0]
    first, second, third = (pull.id for pull in project.impressions[:3])
    found = (
        PullFound(first, "marks", Motion(middle_of(project), (0.6, 0.0), 0.0, (0.02, 0.0)), 0.03),
        PullFound(second, "picture", None, problem="Too little of its edges can be seen."),
    )
    view = proof_view(project, first, found, "proof.png")
    assert [row.figure for row in view.rows][:3] == ["1.20 mm out", "cannot be told", "not read"]
    assert view.source == "From proof.png:"
    assert any("Glue a strip of 0.60 mm" in step for step in view.steps)
    assert any("no kento cures" in step for step in view.steps)
    assert "What is left is stretch" in view.next_proof
    assert proof_view(project, second, found, "proof.png").source.startswith("Too little")
    kept = with_reading(project, ProofReading(third, "2026-12-01", 4, 0.0, 0.7, 0.0))
    shown = proof_view(kept, third, (), "", uncut=True)
    assert shown.history == (("2026-12-01, sheet 4", "0.00, 0.70 mm; worst 0.70 mm"),)
    assert "lay its transfer" in shown.steps[0]
    assert not shown.can_keep


def test_practice_asks_marks_and_counts(little: Little, blocks: CutBlocks) -> None:
    project = little[0]
    assert "Ask for one" in practice_view(project, None, None, 0, 0).task
    made = make_exercise(project, blocks, 3, 2)
    view = practice_view(project, made, None, 0, 0)
    assert "2 things are wrong" in view.task
    assert view.can_answer
    marking = mark_answer(project, made, made.faults[0])
    done = practice_view(project, made, marking, 3, 1)
    assert (done.score, done.can_answer) == ("3 of 3 points", False)
    assert exercise_overlay(project, made).raster is not None
    assert exercise_overlay(project, None).raster is None


def test_a_system_that_does_not_suit_names_a_better_one(little: Little) -> None:
    project = with_register(replace(little[0], paper=replace(little[0].paper, weight_gsm=60.0)), system="jig")
    view = register_view(project, None, UiState("register"))
    assert "too soft" in view.why
    assert "Better here: pins and tabs" in view.why
    assert {each.system: each.fits for each in view.systems}["jig"] == "will not do"
    assert "0.5 mm too small" in view.blocks_text


def test_the_cutting_of_the_chosen_block_is_shown_with_its_tools(little: Little, blocks: CutBlocks) -> None:
    project = little[0]
    waiting = carve_view(project, (), None)
    assert "Working out" in waiting.total
    assert {row.figure for row in waiting.rows} == {"…"}
    carved = carve_blocks(project, blocks)
    pull = project.impressions[0].id
    view = carve_view(project, carved, pull, (("3 blocks", 1.2),), {0: 2 * carved[0].effort.hours})
    assert view.compare == "3 blocks: 1.2 h"
    assert view.factor == pytest.approx(2.0, abs=0.05)
    assert view.tools[0][0] == "Outlines, first"
    own = project.block(project.impressions[0].block).name
    others = [block.name for block in project.blocks if block.name != own]
    assert not any(note.text.startswith(tuple(others)) for note in view.notes)
    overlay = carving_overlay(project, carved, pull)
    assert overlay is not None
    assert overlay.raster is not None
    assert carving_overlay(project, carved, None) is None
    none = carve_view(with_craft(project, boards=(Board(30, 30),)), carved, pull)
    assert none.boards is None
    assert "none of the boards" in none.boards_text


def test_sheets_and_record_say_what_cannot_be(little: Little) -> None:
    project = with_edition(little[0], good=0.05, edition=400)
    view = sheets_view(project, None, None)
    assert "Look at what spoils them first" in view.answer
    assert view.curve == ()
    assert record_view(little[0], None).empty


def test_the_bench_says_what_is_next(little: Little, blocks: CutBlocks) -> None:
    project = little[0]
    laid = lay_sheet(blocks, impressions_to_lay(project))
    proof = prove(project, blocks, laid)
    now = datetime(2026, 12, 1, 12, 0)
    carved = carve_blocks(project, blocks)
    start = replay([], ids(4), 6)
    assert bench_view(project, proof, start, carved, now).begin.startswith("Begin layer 1")
    events = [Event("2026-12-01T09:00:00", "layer", 0), Event("2026-12-01T09:04:00", "spoiled", 0, 1, "tear")]
    events += [Event(f"2026-12-01T10:0{n}:00", "good", 0, n) for n in range(2, 7)]
    done = bench_view(project, proof, replay(events, ids(4), 6), carved, now)
    assert (done.sheet, done.begin, done.can_pull) == ("Layer done", "Begin layer 2: Colour 3", False)
    events.append(Event("2026-12-01T11:00:00", "layer", 1))
    view = bench_view(project, proof, replay(events, ids(4), 6), carved, now, asking=True, guide="Weigh the ink.")
    assert view.sheet == "Sheet 1"
    assert view.quiet == "a bad one first; then 5 more"
    assert view.reasons[0] == "slipped"
    assert "dries 22 h 06 min more" in view.timer
    assert view.picture is not None
    pressed = [*events, Event("2026-12-01T11:30:00", "press", value=24.0)]
    later = datetime(2026, 12, 2, 11, 0)
    assert "Under the press until" in bench_view(project, proof, replay(pressed, ids(4), 6), carved, later).timer
    assert "is dry" in bench_view(project, proof, replay(events, ids(4), 6), carved, datetime(2026, 12, 3)).timer


def test_a_record_names_its_sheets(little: Little) -> None:
    from nomos.edition import layer_figures, learnt_good, number_sheets

    project = little[0]
    events = [Event("2026-12-01T09:00:00", "layer", 0, text="Colour 1")]
    events += [Event("2026-12-01T09:04:00", "good", 0, 1), Event("2026-12-01T09:08:00", "spoiled", 0, 2, "dirt")]
    events += [Event("2026-12-01T09:10:00", "chosen", sheet=1, value=1.0)]
    events += [Event("2026-12-01T09:12:00", "remark", 0, text="a cold morning")]
    state = replay(events, ids(4), 6)
    figures = layer_figures(state)
    numbers = number_sheets(list(state.histories.values()), 4, 20, 2, 1)
    view = record_view(project, Record(state, figures, numbers, learnt_good(figures)), "split", 1.2, "It holds.")
    assert [row.figure for row in view.sheets] == ["best; 1 of 4 layers", "spoiled: dirt"]
    assert "20 missing to the edition" in view.numbers
    assert view.apart == "On the whole they are ΔE 1.2 apart. It holds."
    assert view.remarks == ("2026-12-01 09:12  a cold morning",)
    assert changed(view, how="one").how == "one"
