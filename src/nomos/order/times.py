"""How long the work takes, and when there is time for it: what the days are planned from."""

from datetime import date
from typing import Annotated, Any, Literal

from msgspec import Meta, Struct

from nomos.base.fields import choice, count, figure, yes
from nomos.base.language import tr

Way = Literal["whole edition", "sheet by sheet"]
FIRST_YEAR, LAST_YEAR = 1990, 2200
TIMES = tr("Times")


def _minutes(label: str, tip: str, step: float, **more: Any) -> Meta:
    return figure(label, tip, tr("min"), 0, 10_000, step=step, undo=TIMES, **more)


class Times(Struct, frozen=True, forbid_unknown_fields=True):
    """How long things take and when there is time; all chosen by us or from memory, the user sets them.

    rack : places to dry; pulls_a_day : no more than so many, 0 without a limit.
    opens, closes : working hours; days : of the week, Monday is 0.
    damp : paper is damped and pressed the evening before; keeps_days : how long it stays so.
    lost : days on which nothing can be done, as 2026-12-24.
    """

    setup_min: Annotated[float, _minutes(tr("Set-up"), tr("Minutes to set up for one layer."), 5)] = 30.0
    pull_min: Annotated[
        float, _minutes(tr("One pull"), tr("Minutes from one sheet to the next."), 0.5, level="usual")
    ] = 4.0
    wash_min: Annotated[
        float, _minutes(tr("Wash-up"), tr("Minutes to change to an ink that must not see the one before."), 5)
    ] = 25.0
    wipe_min: Annotated[
        float, _minutes(tr("Wipe"), tr("Minutes to change to an ink that may see a little of it."), 1)
    ] = 8.0
    cutting_min: Annotated[
        float, _minutes(tr("Cutting a state further"), tr("Minutes of cutting between two states of a reduction."), 30)
    ] = 180.0
    cut_h: Annotated[
        float,
        figure(
            tr("Cutting a day, at most"), tr("Hours a day that you cut well for."), tr("h"), 0.5, 16, step=0.5,
            undo=TIMES,
        ),
    ] = 4.0  # fmt: skip
    rollers: Annotated[
        int,
        count(
            tr("Rollers beside each other, 0 one for each ink"),
            tr("Printing sheet by sheet, what has a roller and a slab of its own is not cleaned in between."), 0, 50,
            undo=TIMES,
        ),
    ] = 0  # fmt: skip
    rack: Annotated[
        int,
        count(
            tr("Places on the rack"), tr("So many sheets can dry at once."), 1, 1_000_000, step=5,
            level="usual", undo=TIMES,
        ),
    ] = 60  # fmt: skip
    pulls_a_day: Annotated[
        int,
        count(
            tr("Pulls a day, 0 any"), tr("The most pulls you want to make on one day."), 0, 1_000_000,
            step=5, undo=TIMES,
        ),
    ] = 0  # fmt: skip
    opens: Annotated[
        float, figure(tr("Work begins at"), tr("Hour of the day."), tr("h"), 0, 24, step=0.5, level="usual", undo=TIMES)
    ] = 9.0
    closes: Annotated[
        float, figure(tr("Work ends at"), tr("Hour of the day."), tr("h"), 0, 24, step=0.5, level="usual", undo=TIMES)
    ] = 17.0
    days: tuple[int, ...] = (0, 1, 2, 3, 4)
    temperature: Annotated[
        float,
        figure(
            tr("Air"), tr("Temperature where the sheets dry: cold air dries more slowly."), "°C", 0, 45,
            undo=TIMES,
        ),
    ] = 20.0  # fmt: skip
    humidity: Annotated[
        float, figure(tr("Humidity"), tr("Of the air where the sheets dry."), "%", 0, 100, step=5, undo=TIMES)
    ] = 50.0
    damp: Annotated[
        bool, yes(tr("Damped the evening before"), tr("The pack is damp when the day begins."), undo=TIMES)
    ] = False
    damp_min: Annotated[
        float, _minutes(tr("Damping and pressing"), tr("Minutes to damp the pack and put it under weight."), 5)
    ] = 30.0
    keeps_days: Annotated[
        int,
        figure(
            tr("Stays damp"), tr("Days that a damp pack can be printed from."), tr("days"), 0, 3650,
            digits=0, whole=True, undo=TIMES,
        ),
    ] = 3  # fmt: skip
    way: Annotated[
        Way,
        choice(
            tr("How the edition is printed"),
            tr("All sheets get one layer before the next, or one sheet goes through all layers."),
            (("whole edition", tr("Whole edition a layer")), ("sheet by sheet", tr("Sheet by sheet"))),
            bare=True,
            level="usual", undo=TIMES,
        ),
    ] = "whole edition"  # fmt: skip
    start: str = ""
    lost: tuple[str, ...] = ()


def day_of(text: str) -> date:
    """A day written as 2026-12-01.

    Parameters
    ----------
    text : as 2026-12-01.

    Raises
    ------
    ValueError : no day, or none that work is planned for.
    """
    day = date.fromisoformat(text)
    if not FIRST_YEAR <= day.year <= LAST_YEAR:
        raise ValueError(f"{text} is not planned for: choose a day from {FIRST_YEAR} to {LAST_YEAR}.")
    return day
