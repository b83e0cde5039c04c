"""The record is sacred: no planning changes what a log says was printed."""

from hypothesis import given, settings
from hypothesis import strategies as st

from nomos.edition import Event, now_text, replay
from nomos.edition.log import EditionState
from nomos.project import Assets, Project, ProjectError
from nomos.project.blocks.edits import without_impression
from nomos.project.blocks.inking import with_pull, with_zone_changed
from nomos.project.blocks.pulls import moved_impression
from nomos.project.blocks.zones import printed_again
from nomos.project.edition.bench import begin_events, pull_event
from nomos.project.edition.printed import contradictions, written
from nomos.project.edition.sheets import state_of

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
            log += written(project, log, state, (pull_event(state, kind, now_text(), why),))  # type: ignore[arg-type] # two of the kinds
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
    log = old + written(project, old, state, (pull_event(state, "good", now_text()),))
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
