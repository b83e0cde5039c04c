"""What would end an edition sooner: each change tried, the one that helps most said."""

from collections.abc import Sequence
from dataclasses import replace
from datetime import date

from nomos.base.language import tr
from nomos.base.progress import NULL_PROGRESS, Part, Progress
from nomos.base.units import counted
from nomos.order.calendar import Calendar, Run, plan_days
from nomos.order.times import Times

# Of the work of a plan with its help, the plan itself.
_OWN_PART = 0.15


def with_help(
    runs: Sequence[Run], sheets: int, times: Times, start: date, *, progress: Progress = NULL_PROGRESS
) -> Calendar:
    """The days, and which change would shorten them most.

    Parameters
    ----------
    runs : pulls in print order.
    sheets : how many go through.
    start : the first day.

    Returns
    -------
    The calendar with its limit and its help in words.
    """
    plan = plan_days(runs, sheets, times, start, progress=Part(progress, 0.0, _OWN_PART))
    tries: list[tuple[str, Sequence[Run], Times]] = [
        (tr("a drier that halves the drying"), [replace(run, drying_h=run.drying_h / 2) for run in runs], times),
        (tr("two hours more a day"), runs, _changed(times, closes=min(times.closes + 2, 24.0))),
        (tr("working on all seven days"), runs, _changed(times, days=(0, 1, 2, 3, 4, 5, 6))),
        (tr("five degrees warmer"), [replace(r, drying_h=r.drying_h / 2**0.5) for r in runs], times),
    ]
    if any(run.cutting_min(times) for run in runs):
        tries.append((tr("someone who cuts meanwhile"), [replace(run, cut_before=False) for run in runs], times))
    if times.way == "sheet by sheet" and 0 < times.rollers < len(runs):
        tries.append((tr("one roller more"), runs, _changed(times, rollers=times.rollers + 1)))
    tries.append((tr("a second pair of hands at the press"), [_quicker(run, times) for run in runs], times))
    if times.rack < sheets:
        tries.append((tr("a rack for all {sheets} sheets", sheets=sheets), runs, _changed(times, rack=sheets)))
    if times.pulls_a_day:
        tries.append((tr("no limit of pulls a day"), runs, _changed(times, pulls_a_day=0)))
    ends = []
    for place, (text, others, changed) in enumerate(tries):
        step = (1 - _OWN_PART) / len(tries)
        part = Part(progress, _OWN_PART + place * step, _OWN_PART + (place + 1) * step)
        ends.append((plan_days(others, sheets, changed, start, progress=part).end, text))
    best = min(ends, default=None)
    if best is None or best[0] >= plan.end:
        return replace(plan, help=tr("Nothing of what was tried would end it earlier."))
    saved = (plan.end.date() - best[0].date()).days
    gain = counted(saved, tr("day"), tr("days")) if saved else tr("some hours")
    return replace(plan, help=tr("What would help most: {most}, {gain} earlier.", most=best[1], gain=gain))


# Who lays and lifts leaves inking and printing to the other (from memory).
_WITH_TWO = 0.6


def _quicker(run: Run, times: Times) -> Run:
    return replace(run, pull_min=_WITH_TWO * run.minutes(times))


def _changed(times: Times, **changes: object) -> Times:
    from msgspec.structs import replace as with_fields

    return with_fields(times, **changes)
