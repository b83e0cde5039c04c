"""Laws of the log: whatever is pulled, nothing is counted twice, and an undo is as if it had not been."""

import pytest
from hypothesis import given
from hypothesis import strategies as st

from nomos.edition import REASONS, EditionState, Event, Replay, layer_figures, number_sheets, replay

outcomes = st.lists(st.sampled_from(["good", "spoiled", "repaired", "next"]), max_size=60)
LAYERS, SHEETS = 3, 5


def ids(count: int) -> list[str]:
    """The pulls of a plan."""
    return [f"pull{n + 1}" for n in range(count)]


def pulled(steps: list[str]) -> list[Event]:
    """Events as the bench writes them: always the sheet that is next, layers one after the other."""
    events = [Event("2026-12-01T09:00:00", "layer", 0)]
    for minute, step in enumerate(steps):
        at = f"2026-12-01T{9 + minute // 60:02d}:{minute % 60:02d}:00"
        state = replay(events, ids(LAYERS), SHEETS)
        queue = state.queue()
        if step == "next" or not queue:
            if state.layer + 1 < LAYERS:
                events.append(Event(at, "layer", state.layer + 1))
            continue
        text = REASONS[minute % len(REASONS)] if step == "spoiled" else ""
        events.append(Event(at, step, state.layer, queue[0], text))  # type: ignore[arg-type] # an outcome
    return events


def shown(state: EditionState) -> object:
    """All that a state says."""
    histories = {n: (h.layers, h.spoiled_at, h.reason) for n, h in state.histories.items()}
    return state.layer, histories, state.pulled, state.queue(), state.tally()


@given(outcomes)
def test_a_sheet_is_pulled_at_most_once_a_layer_and_never_after_it_is_spoiled(steps: list[str]) -> None:
    state = replay(pulled(steps), ids(LAYERS), SHEETS)
    for layer, some in state.pulled.items():
        sheets = [sheet for _, sheet, _ in some]
        assert len(sheets) == len(set(sheets))
        for _, sheet, how in some:
            spoiled = state.histories[sheet].spoiled_at
            # One that is known to be bad may go first, and counts for nothing.
            assert spoiled is None or layer <= spoiled or how == "sacrificed"
        assert [how for _, _, how in some].count("sacrificed") <= 1
    counted = sum(each.good + each.spoiled + each.repaired for each in layer_figures(state))
    sacrificed = sum(how == "sacrificed" for some in state.pulled.values() for _, _, how in some)
    assert counted + sacrificed == sum(map(len, state.pulled.values()))


@given(outcomes, st.sampled_from(["good", "spoiled", "repaired"]))
def test_what_is_taken_back_might_never_have_been(steps: list[str], outcome: str) -> None:
    before = pulled(steps)
    state = replay(before, ids(LAYERS), SHEETS)
    queue = state.queue()
    if not queue:
        return
    extra = Event("2026-12-01T20:00:00", outcome, state.layer, queue[0], "dirt")  # type: ignore[arg-type] # an outcome
    undo = Event("2026-12-01T20:01:00", "undo")
    assert shown(replay([*before, extra, undo], ids(LAYERS), SHEETS)) == shown(state)


@given(outcomes)
def test_a_log_read_in_two_goes_is_the_same_log(steps: list[str]) -> None:
    events = pulled(steps)
    assert shown(replay(events, ids(LAYERS), SHEETS)) == shown(replay(tuple(events), ids(LAYERS), SHEETS))
    # A sheet beyond the plan that the log knows is counted all the same.
    more = [*events, Event("2026-12-01T21:00:00", "good", 0, SHEETS + 4)]
    assert replay(more, ids(LAYERS), SHEETS).sheets == SHEETS + 4


@given(outcomes, st.integers(1, 6), st.integers(0, 2), st.integers(0, 2), st.booleans())
def test_only_whole_sheets_get_a_number_and_each_number_one_sheet(
    steps: list[str], edition: int, artist: int, printer: int, bat: bool
) -> None:
    histories = list(replay(pulled(steps), ids(LAYERS), SHEETS).histories.values())
    whole = {history.sheet for history in histories if history.good_through(LAYERS)}
    numbers = number_sheets(histories, LAYERS, edition, artist, printer, bat=bat)
    sheets, names = [sheet for sheet, _ in numbers.given], [name for _, name in numbers.given]
    assert set(sheets) | set(numbers.cancelled) == whole
    assert len(set(sheets)) == len(sheets)
    assert len(set(names)) == len(names)
    assert numbers.short == edition - sum("/" in name for name in names)


@pytest.mark.parametrize("kind", ["air", "ink", "cut", "remark", "press", "picture"])
def test_other_events_change_no_pull(kind: str) -> None:
    events = pulled(["good", "good", "spoiled"])
    other = Event("2026-12-01T22:00:00", kind, 0, text="x", value=2.5)  # type: ignore[arg-type] # each of the kinds
    assert shown(replay([*events, other], ids(LAYERS), SHEETS)) == shown(replay(events, ids(LAYERS), SHEETS))
    state = replay([*events, other, other], ids(LAYERS), SHEETS)
    if kind == "ink":
        assert state.ink_g[0] == 5.0
    if kind == "cut":
        assert state.cut_h[0] == 5.0


kinds = st.lists(
    st.tuples(
        st.sampled_from(["good", "spoiled", "repaired", "undo", "next", "mended", "given up", "ink", "odd", "gone"]),
        st.integers(1, SHEETS + 2),
        st.integers(0, LAYERS - 1),
    ),
    max_size=50,
)


@given(kinds, st.booleans(), st.integers(1, 4))
def test_followed_event_by_event_a_log_comes_to_what_it_comes_to_at_once(
    steps: list[tuple[str, int, int]], by_sheet: bool, at_a_time: int
) -> None:
    """Pulls of the sheet that is next and of others, undos of them, layers begun again, sheets given up."""
    events: list[Event] = [Event("2026-12-01T09:00:00", "layer", 0, pull="pull1")]
    following = Replay(events, ids(LAYERS), SHEETS, by_sheet=by_sheet)
    told = len(events)
    for minute, (step, sheet, layer) in enumerate(steps):
        at = f"2026-12-01T{10 + minute // 60:02d}:{minute % 60:02d}:00"
        state = following.state
        queue = state.queue()
        if step == "next":
            events.append(Event(at, "layer", layer, pull=ids(LAYERS)[layer]))
        elif step == "undo":
            events.append(Event(at, "undo"))
        elif step in ("good", "spoiled", "repaired"):
            if not queue or told < len(events):
                continue
            events.append(Event(at, step, state.layer, queue[0], pull=state.pulls[state.layer]))  # type: ignore[arg-type] # an outcome
        elif step == "odd":
            events.append(Event(at, "good", layer, sheet, pull=ids(LAYERS)[layer]))
        elif step == "gone":
            events.append(Event(at, "spoiled", 7, sheet, pull="a pull no longer planned"))
        elif step == "ink":
            events.append(Event(at, "ink", layer, value=3.0, pull=ids(LAYERS)[layer]))
        elif sheet <= state.sheets:
            events.append(Event(at, step, layer, sheet, pull=ids(LAYERS)[layer]))  # type: ignore[arg-type] # a kind
        if len(events) - told >= at_a_time:
            following.follow(events[told:])
            told = len(events)
    following.follow(events[told:])
    once = replay(events, ids(LAYERS), SHEETS, by_sheet=by_sheet)
    assert following.state.queue() == once.queue()
    assert following.state == once
    for wanted in range(LAYERS + 1):
        counted = sum(history.good_through(wanted) for history in once.histories.values())
        assert once.good_through(wanted) == following.state.good_through(wanted) == counted
