"""The record is sacred: no planning changes what a log says was printed."""

import numpy as np
from hypothesis import given, settings
from hypothesis import strategies as st
from msgspec.structs import replace

from nomos.edition import EditionState, Event, now_text, replay
from nomos.project import Assets, Project, ProjectError
from nomos.project.blocks.edits import without_impression
from nomos.project.blocks.inking import with_zone_changed
from nomos.project.blocks.methods import with_method
from nomos.project.blocks.pulls import between_pulls, moved_impression
from nomos.project.blocks.zones import printed_again
from nomos.project.edition.bench import begin_events, pull_events
from nomos.project.edition.card import pull_card
from nomos.project.edition.printed import contradictions, written
from nomos.project.edition.sheets import state_of
from nomos.project.inks.data import with_ink_data
from nomos.project.inks.films import sitting_advice
from nomos.project.model.edits import with_pull, with_workshop
from tests.conftest import proof_of

Demo = tuple[Project, Assets]
Told = dict[str, object]


def printed(project: Project, layers: int, sheets: int) -> tuple[Event, ...]:
    """The log of so many layers on so many sheets, one of them spoiled."""
    log: tuple[Event, ...] = ()
    for layer in range(layers):
        state = state_of(project, log)
        log += written(project, log, state, begin_events(project, state, now_text(), layer))
        for sheet in range(sheets):
            state = state_of(project, log)
            kind, why = ("spoiled", "dirt") if layer == 0 and sheet == 1 else ("good", "")
            log += written(project, log, state, pull_events(project, state, kind, now_text(), why))  # type: ignore[arg-type] # two of the kinds
    return log


def told(state: EditionState) -> Told:
    """What a log says was printed, by the pulls' ids."""
    return {
        "what": {state.pulls[n]: each for n, each in state.printed.items()},
        "pulled": {state.pulls[n]: some for n, some in state.pulled.items()},
        "sheets": {
            sheet: {state.pulls[n]: how for n, how in history.layers.items()}
            for sheet, history in state.histories.items()
            if history.layers
        },
        "spoiled": {
            sheet: state.pulls[history.spoiled_at]
            for sheet, history in state.histories.items()
            if history.spoiled_at is not None
        },
    }


def some_edit(project: Project, data: st.DataObject) -> Project:
    pull = data.draw(st.sampled_from([each.id for each in project.impressions]))
    what = data.draw(st.sampled_from(["move", "drop", "again", "ink", "rename"]))
    try:
        if what == "move":
            return moved_impression(project, pull, data.draw(st.integers(0, 5)))
        if what == "drop":
            return without_impression(project, pull)
        if what == "again":
            return printed_again(project, pull)
        if what == "ink":
            return with_zone_changed(project, pull, 0, strength=data.draw(st.floats(0.1, 1)))
        return with_pull(project, pull, name=data.draw(st.sampled_from(["Wash", "Frost"])))
    except ProjectError:
        return project


@settings(max_examples=40, deadline=None)
@given(st.data())
def test_replay_after_any_later_edit_gives_the_same_record(little: Demo, data: st.DataObject) -> None:
    project = little[0]
    log = printed(project, data.draw(st.integers(1, 3)), 3)
    before = told(state_of(project, log))
    for _ in range(data.draw(st.integers(1, 5))):
        if not project.impressions:
            break
        project = some_edit(project, data)
    assert told(state_of(project, log)) == before


def test_two_passes_of_one_block_are_two_layers_of_the_log(little: Demo) -> None:
    project = printed_again(little[0], little[0].impressions[0].id)
    state = state_of(project, printed(project, 2, 3))
    assert len(state.pulled[0]) == len(state.pulled[1]) == 3
    assert state.printed[1].name.endswith("pass 2")


def test_an_old_log_is_pinned_to_the_plan_of_its_time(little: Demo) -> None:
    """It knows places alone: what they meant is written down before anything else is."""
    project = little[0]
    old = (Event("2025-11-01T09:00:00", "layer", 0), Event("2025-11-01T09:05:00", "good", 0, 1))
    state = state_of(project, old)
    log = old + written(project, old, state, pull_events(project, state, "good", now_text()))
    assert [event.kind for event in log] == ["layer", "good", "order", "good"]
    first = project.impressions[0].id
    later = moved_impression(project, first, 2)
    state = state_of(later, log)
    assert state.pulls.index(first) == 2
    assert len(state.pulled[2]) == 2
    assert not state.pulled.get(0)


def test_what_contradicts_the_record_is_said_and_what_does_not_is_free(little: Demo) -> None:
    project = little[0]
    state = state_of(project, printed(project, 1, 3))
    first, last = project.impressions[0], project.impressions[-1]
    name = project.pull_name(first.id)
    assert contradictions(project, with_pull(project, first.id, name="Dawn"), state) == ()
    assert contradictions(project, with_zone_changed(project, last.id, 0, strength=0.5), state) == ()
    (said,) = contradictions(project, with_zone_changed(project, first.id, 0, strength=0.5), state)
    assert said == f"3 sheets already carry {name} as it was inked; this would plan it otherwise."
    (said,) = contradictions(project, without_impression(project, first.id), state)
    assert "no longer be planned" in said
    (said,) = contradictions(project, moved_impression(project, last.id, 0), state)
    assert "below layers that are printed" in said
    nothing = replay((), [pull.id for pull in project.impressions], 6)
    assert contradictions(project, without_impression(project, first.id), nothing) == ()


def test_a_spoiled_sheet_that_is_mended_goes_on(little: Demo) -> None:
    project = little[0]
    log = printed(project, 1, 3)
    assert state_of(project, log).histories[2].spoiled_at == 0
    log += (Event(now_text(), "mended", sheet=2, text="cut afresh"),)
    state = state_of(project, (*log, *begin_events(project, state_of(project, log), now_text())))
    assert state.histories[2].spoiled_at is None
    assert 2 in state.queue()


def by_sheet_of(project: Project) -> Project:
    return replace(project, times=replace(project.times, way="sheet by sheet"))


def test_sheet_by_sheet_each_sheet_gets_every_layer_before_the_next(little: Demo) -> None:
    """The log in the order of the hands, whatever is spoiled; the layers' snapshots are written once."""
    project = by_sheet_of(with_workshop(little[0], sheets=3))
    layers = len(project.impressions)
    log: tuple[Event, ...] = ()
    state = state_of(project, log)
    log += written(project, log, state, begin_events(project, state, now_text()))
    while (state := state_of(project, log)).queue():
        spoil = state.queue()[0] == 2 and state.layer == 1
        log += written(project, log, state, pull_events(project, state, "spoiled" if spoil else "good", now_text()))
    pulls = [(event.sheet, event.layer) for event in log if event.kind in ("good", "spoiled")]
    whole = [(1, n) for n in range(layers)], [(2, 0), (2, 1)], [(3, n) for n in range(layers)]
    assert pulls == [each for sheet in whole for each in sheet]
    assert [event.layer for event in log if event.kind == "layer"] == list(range(layers))
    assert state.tally() == {"good": 2, "spoiled": 1, "repaired": 0}
    assert state.next_layer() is None
    # Taking back the last pull puts that layer of that sheet in hand again.
    state = state_of(project, (*log, Event(now_text(), "undo")))
    assert (state.queue(), state.layer) == ([3], layers - 1)


def test_sheet_by_sheet_is_printed_wet_on_wet(little: Demo) -> None:
    project = little[0]
    by_sheet = by_sheet_of(project)
    assert [by_sheet.goes_on_wet(n) for n in range(2)] == [False, True]
    proof, wet = (proof_of(each, little[1]) for each in (project, by_sheet))
    assert not np.allclose(proof.labs, wet.labs)
    tight = with_ink_data(by_sheet, by_sheet.impressions[1].zones[0].ink, tack=9.0)
    (finding, *_) = (each for each in proof_of(tight, little[1]).findings if each.station == "order")
    assert finding.weight == "will fail"
    assert "will not take" in pull_card(tight, None, 1).wet
    assert "will not take" in between_pulls(tight)[0]
    # Oil worked into it by the workshop's own measure brings it down again.
    loose = with_ink_data(tight, tight.impressions[1].zones[0].ink, modifier="oil", modifier_pct=14.0)
    assert not [each for each in sitting_advice(loose) if each.second == 1]
    assert [each for each in sitting_advice(with_workshop(loose, oil_step_pct=7.0)) if each.second == 1]
    # A board that is cut on cannot go sheet by sheet.
    assert not with_method(by_sheet, "reduction", None).sheet_by_sheet
