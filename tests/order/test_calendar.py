"""The calendar breaks no rule on random cases and is never longer than a simple list schedule."""

from datetime import date, datetime, time, timedelta
from itertools import pairwise

import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from nomos.order.calendar import Run, drying_hours, plan_days
from nomos.order.shortening import with_help
from nomos.order.times import Times
from nomos.order.washing import cleaning, shared_rollers, tack_advice

START = date(2026, 11, 30)

runs = st.lists(
    st.builds(
        Run,
        st.sampled_from(["Rose", "Slate", "Leek"]),
        st.floats(1, 60),
        st.sampled_from(["none", "wipe", "wash"]),
        st.booleans(),
    ),
    min_size=1,
    max_size=5,
)
times = st.builds(
    Times,
    setup_min=st.floats(5, 40),
    pull_min=st.floats(1, 9),
    rack=st.integers(3, 60),
    pulls_a_day=st.sampled_from([0, 0, 25]),
    opens=st.floats(8, 10),
    closes=st.floats(13, 19),
    days=st.sampled_from([(0, 1, 2, 3, 4), (5, 6), (0, 1, 2, 3, 4, 5, 6)]),
    lost=st.sampled_from([(), ("2026-12-01", "2026-12-02")]),
)


def opened(times: Times, at: datetime) -> bool:
    hour = at.hour + at.minute / 60 + at.second / 3600 + at.microsecond / 3.6e9
    day = at.date()
    inside = times.opens - 1e-6 <= hour <= times.closes + 1e-6
    return inside and day.weekday() in times.days and day.isoformat() not in times.lost


@settings(max_examples=60)
@given(runs, times, st.integers(1, 40))
def test_no_rule_is_broken(some: list[Run], limits: Times, sheets: int) -> None:
    plan = plan_days(some, sheets, limits, START)
    work = [task for task in plan.tasks if task.kind in ("print", "cut")]
    for task in work:
        assert opened(limits, task.start)
        assert opened(limits, task.end)
        assert task.end <= datetime.combine(task.start.date(), time()) + timedelta(hours=limits.closes + 1e-6)
    for one, other in pairwise(work):
        assert one.end <= other.start + timedelta(microseconds=10)
    for layer in range(len(some)):
        printed = [task for task in work if task.kind == "print" and task.layer == layer]
        assert sum(task.sheets for task in printed) == sheets
    if limits.pulls_a_day:
        for day in {task.start.date() for task in work}:
            assert sum(t.sheets for t in work if t.start.date() == day) <= limits.pulls_a_day
    _check_drying(some, limits, [task for task in work if task.kind == "print"])
    for task in work:
        if task.kind == "cut":
            before = [t for t in work if t.kind == "print" and t.layer < task.layer]
            assert all(t.end <= task.start + timedelta(microseconds=10) for t in before)


def _check_drying(some: list[Run], limits: Times, printed: list[object]) -> None:
    """Each sheet dry before its next layer, and never more on the rack than it holds."""
    ready: dict[int, datetime] = {}
    laid: list[tuple[datetime, datetime]] = []
    done = dict.fromkeys(range(len(some)), 0)
    for task in printed:
        clock = task.start + timedelta(minutes=limits.setup_min)  # type: ignore[attr-defined] # a Task
        layer, sheets = task.layer, task.sheets  # type: ignore[attr-defined] # a Task
        for _ in range(sheets):
            sheet = done[layer]
            assert ready.get(sheet, clock) <= clock + timedelta(microseconds=10)
            clock += timedelta(minutes=limits.pull_min)
            ready[sheet] = clock + timedelta(hours=some[layer].drying_h)
            laid.append((clock, ready[sheet]))
            done[layer] += 1
    for at, _ in laid:
        assert sum(put <= at < dry for put, dry in laid) <= limits.rack


def simple_list_schedule(some: list[Run], sheets: int, limits: Times) -> datetime:
    """One layer after the other, begun when all sheets are dry, for a rack that holds them all."""
    now = datetime.combine(START, time())
    end = now
    minutes = {"none": 0.0, "wipe": limits.wipe_min, "wash": limits.wash_min}
    dry = now

    def opening(at: datetime) -> datetime:
        while True:
            day = datetime.combine(at.date(), time())
            opens, closes = day + timedelta(hours=limits.opens), day + timedelta(hours=limits.closes)
            if at.weekday() in limits.days and at.date().isoformat() not in limits.lost and at < closes:
                return max(at, opens)
            at = day + timedelta(days=1)

    for run in some:
        left = limits.cutting_min if run.cut_before else 0.0
        while left > 1e-6:
            now = opening(now)
            closes = datetime.combine(now.date(), time()) + timedelta(hours=limits.closes)
            piece = min(left, (closes - now).total_seconds() / 60)
            now, left = now + timedelta(minutes=piece), left - piece
        now = max(now, dry)
        todo = sheets
        while todo:
            now = opening(now)
            closes = datetime.combine(now.date(), time()) + timedelta(hours=limits.closes)
            room = (closes - now).total_seconds() / 60 - limits.setup_min - minutes[run.after]
            many = min(todo, int((room + 1e-9) // limits.pull_min))
            if many > 0:
                printed = now + timedelta(minutes=limits.setup_min + many * limits.pull_min)
                dry = printed + timedelta(hours=run.drying_h)
                now, todo = printed + timedelta(minutes=minutes[run.after]), todo - many
            if todo:
                now = datetime.combine(now.date(), time()) + timedelta(days=1)
        end = max(now, dry)
    return end


@settings(max_examples=60)
@given(runs, times, st.integers(1, 40))
def test_never_longer_than_a_simple_list_schedule(some: list[Run], limits: Times, sheets: int) -> None:
    from msgspec.structs import replace

    free = replace(limits, rack=10_000, pulls_a_day=0, cut_h=16.0)
    plan = plan_days(some, sheets, free, START)
    assert plan.end <= simple_list_schedule(some, sheets, free) + timedelta(seconds=1)


def test_drying_limits_and_a_drier_helps() -> None:
    """By hand: four layers, 20 sheets, 20 h of drying: one layer a day from Monday to Thursday."""
    four = [Run(name, 20.0, "wash") for name in ("Rose", "Green", "Ochre", "Key")]
    plan = with_help(four, 20, Times(), START)
    assert [t.start.date().day for t in plan.tasks if t.kind == "print"] == [30, 1, 2, 3]
    assert plan.limit in ("drying", "hours")
    assert plan.days == 4
    assert "help most" in plan.help
    small = with_help(four, 20, Times(rack=5), START)
    assert small.end > plan.end
    assert small.limit == "rack" or small.waits_h["rack"] + small.waits_h["hours"] > 50
    later = plan_days(four, 20, Times(lost=("2026-12-01",)), START)
    assert later.end.date() == plan.end.date() + timedelta(days=1)


def test_one_sheet_through_all_layers_and_damp_paper() -> None:
    from msgspec.structs import replace

    four = [Run(name, 20.0, "wipe") for name in ("Rose", "Green", "Ochre", "Key")]
    one = plan_days(four, 2, Times(way="sheet by sheet"), START)
    assert one.days == 1
    many = plan_days(four, 60, Times(way="sheet by sheet"), START)
    # With a roller for each ink nothing is waited for; with one for all every pull is cleaned after.
    shared = plan_days(four, 60, Times(way="sheet by sheet", rollers=1), START)
    assert many.days <= plan_days(four, 60, Times(), START).days < shared.days + 2
    damp = plan_days(four, 20, replace(Times(), damp=True, keeps_days=2), START)
    evenings = [task.start for task in damp.tasks if task.kind == "damp"]
    # Damped on working days alone, none before the edition begins, printed from the day after on.
    assert [evening.date().isoformat() for evening in evenings] == ["2026-11-30", "2026-12-02"]
    first_print = min(task.start for task in damp.tasks if task.kind == "print")
    assert min(evenings).date() >= START
    assert first_print.date() > min(evenings).date()
    assert all(evening.weekday() < 5 for evening in evenings)
    with pytest.raises(ValueError, match="too short"):
        plan_days(four, 5, Times(opens=9, closes=9.5), START)


def test_damping_is_never_on_a_closed_day_and_the_rack_holds_sheet_by_sheet_too() -> None:
    """Printing on Mondays and Fridays, one of them lost: damped the working day before."""
    two = [Run(name, 60.0, "none") for name in ("Rose", "Key")]
    some = Times(damp=True, keeps_days=1, days=(0, 4), lost=("2026-12-04",))
    days = plan_days(two, 10, some, START)
    for task in days.tasks:
        if task.kind == "damp":
            assert task.start.date() >= START
            assert task.start.weekday() in (0, 4)
            assert task.start.date().isoformat() != "2026-12-04"
    racked = plan_days(two, 23, Times(way="sheet by sheet", rack=5), START)
    drying = [task for task in racked.tasks if task.kind == "dry"]
    assert sum(task.sheets for task in drying) == 23
    for at in (task.start for task in drying):
        assert sum(task.sheets for task in drying if task.start <= at < task.end) <= 5


def test_air_and_film_change_the_drying() -> None:
    assert drying_hours(24, Times(temperature=30)) == pytest.approx(12)
    assert drying_hours(24, Times(), film=1.3) == pytest.approx(31.2)
    assert drying_hours(2, Times(humidity=100), water=True) == pytest.approx(3)
    assert drying_hours(24, Times(humidity=100)) == pytest.approx(24)


def test_two_rollers_need_fewer_wash_ups() -> None:
    yellow, orange, blue, navy = (88, 0, 80), (70, 40, 70), (40, 0, -50), (25, 5, -40)
    labs = [yellow, blue, orange, navy]
    one, two = shared_rollers(labs, 1), shared_rollers(labs, 2)
    assert one.washes == 3
    assert two.washes == 0
    assert two.roller[0] == two.roller[2] != two.roller[1] == two.roller[3]
    assert cleaning(yellow, yellow) == "none"


def test_tack_must_fall_in_one_sitting() -> None:
    advice = tack_advice(["Rose", "Slate", "Key"], [4, 6, 3], [False, True, True])
    assert len(advice) == 1
    assert "oil into Slate" in advice[0].text
    assert advice[0].fails
    assert "does not take at all" in advice[0].text
    assert tack_advice(["Rose", "Slate"], [4, 6], [False, False]) == ()


def test_going_lighter_wants_a_wash_and_going_darker_a_wipe() -> None:
    """Neighbouring hues, and greys beside any hue: only the lightness decides."""
    straw, ochre, grey = (80, 5, 60), (60, 12, 50), (50, 1, 2)
    assert cleaning(straw, ochre) == "wipe"
    assert cleaning(ochre, straw) == "wash"
    # A little lighter is not seen in the next ink.
    assert cleaning(ochre, (63.5, 10, 52)) == "wipe"
    assert cleaning(ochre, (65.0, 10, 52)) == "wash"
    assert cleaning((70, 40, -50), grey) == "wipe"
    assert cleaning(grey, (70, 40, -50)) == "wash"
    # Colour along one axis alone is colour, and no grey.
    assert cleaning((60, 20, 0), (50, -20, 0)) == "wash"
    assert cleaning((60, 0, 20), (50, 0, -20)) == "wash"


def test_the_tack_that_is_missing_is_said() -> None:
    (equal,) = tack_advice(["Rose", "Slate"], [4, 4], [False, True])
    assert "looser by 1.0 on the scale" in equal.text
    (tighter,) = tack_advice(["Rose", "Slate"], [4, 6.5], [False, True])
    assert "looser by 3.5 on the scale" in tighter.text
    assert tack_advice(["Rose", "Slate"], [4, 3], [False, True]) == ()


def test_cutting_takes_what_it_takes_and_no_day_more_than_the_hand_lasts() -> None:
    """Ten hours for the first block and two for the second, three a day; sheets dry while the second is cut."""
    some = [Run("sky", 24.0, "wash", cut_before=True, cut_min=600.0), Run("key", 24.0, "none", True, cut_min=120.0)]
    plan = plan_days(some, 10, Times(cut_h=3.0), START)
    cut = [task for task in plan.tasks if task.kind == "cut"]
    by_day: dict[date, float] = {}
    for task in cut:
        by_day[task.start.date()] = by_day.get(task.start.date(), 0.0) + (task.end - task.start).total_seconds() / 60
    assert sum(by_day.values()) == pytest.approx(720.0)
    assert max(by_day.values()) == pytest.approx(180.0)
    dries = next(task for task in plan.tasks if task.kind == "dry")
    assert any(dries.start <= task.start < dries.end for task in cut if task.layer == 1)


def test_sheet_by_sheet_what_has_its_own_roller_is_not_cleaned_in_between() -> None:
    """Eight inks on 53 sheets: weeks with one roller for all, days with a roller for each."""
    eight = [Run(f"ink {n}", 24.0, "wash", wet=n > 0) for n in range(8)]
    days = {
        rollers: plan_days(eight, 53, Times(way="sheet by sheet", rollers=rollers), START).days for rollers in (0, 7, 2)
    }
    assert days[0] < days[7] < days[2]
    assert days[0] <= 10
