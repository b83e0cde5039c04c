"""Several sheets of one layer: what creeps from sheet to sheet, what scatters, and when it will show."""

import dataclasses
from collections.abc import Sequence
from dataclasses import dataclass

import numpy as np
from msgspec.structs import replace

from nomos.base.language import tr
from nomos.base.units import length_text, number
from nomos.project.model import Project

# A course is said when its slope is this many standard errors, and this much over the readings; fewer
# readings have none. Chosen by us.
_SURE_TIMES, _WORTH_MM, LEAST_READINGS = 3.0, 0.1, 4
# Of an ink's strength likewise, as a share; a reading of it is no surer than that (docs/method.md).
_WORTH_SHARE, _STRENGTH_SIGMA = 0.08, 0.03
# No hand is steadier than that, however few sheets say so (chosen by us).
_LEAST_SPREAD_MM = 0.05
# So much of the scatter of a normal distribution holds 95 of 100.
_NINETY_FIVE = 1.96


@dataclass(frozen=True)
class Course:
    """A figure over the sheets, as a straight line and what scatters about it.

    at_first, at_last : on the line, at the first and the last sheet that was read.
    slope : a sheet; slope_sigma its standard error. scatter : standard deviation about the line, without
        what reading adds. creeps : whether the slope is surely not nothing.
    """

    sheets: tuple[int, int]
    at_first: float
    at_last: float
    slope: float
    slope_sigma: float
    scatter: float
    creeps: bool

    def reaches(self, limit: float) -> int | None:
        """The sheet at which the line leaves ±limit, if it goes on so; None where it does not, or has."""
        room = (limit if self.slope > 0 else -limit) - self.at_last
        if not self.creeps or room * self.slope <= 0:
            return None
        return self.sheets[1] + int(np.ceil(room / self.slope))


def course_of(sheets: Sequence[int], values: Sequence[float], sigma: float, worth: float) -> Course | None:
    """The course of a figure over sheets.

    Parameters
    ----------
    sheets, values : of each reading.
    sigma : standard error of a reading.
    worth : less than that over all readings is not called creeping.

    Returns
    -------
    None where there are fewer than four readings, or all of one sheet.

    Notes
    -----
    Least squares; the errors of the slope are those of the scatter found, and no less than the readings' own.
    """
    if len(sheets) < LEAST_READINGS or min(sheets) == max(sheets):
        return None
    x, y = np.array(sheets, float), np.array(values, float)
    away = x - x.mean()
    slope = float(away @ y / (away @ away))
    rest = y - y.mean() - slope * away
    noise = float(np.sqrt((rest**2).sum() / (len(y) - 2)))
    error = max(noise, sigma) / float(np.sqrt(away @ away))
    ends = (int(x.min()), int(x.max()))
    first, last = (float(y.mean() + slope * (end - x.mean())) for end in ends)
    creeps = abs(slope) > _SURE_TIMES * error and abs(last - first) >= worth
    return Course(ends, first, last, slope, error, float(np.sqrt(max(noise**2 - sigma**2, 0.0))), creeps)


@dataclass(frozen=True)
class PullSeries:
    """A pull over the sheets: to the right, down, and how it turns, mm and degrees; None with few readings."""

    pull: str
    right: Course | None
    down: Course | None
    turn: Course | None


def series_of(project: Project, pull: str) -> PullSeries:
    """How a pull went over the sheets that were read."""
    own = [reading for reading in project.readings if reading.pull == pull and reading.sheet > 0]
    sheets = [reading.sheet for reading in own]
    sigma = float(np.median([reading.sigma_mm for reading in own])) if own else 0.0
    reach = np.hypot(project.image.width, project.image.height) / 2
    turn = float(np.degrees(1 / reach))
    return PullSeries(
        pull,
        course_of(sheets, [reading.dx_mm for reading in own], sigma, _WORTH_MM),
        course_of(sheets, [reading.dy_mm for reading in own], sigma, _WORTH_MM),
        course_of(sheets, [reading.rotation_deg for reading in own], sigma * turn, _WORTH_MM * turn),
    )


def series_text(project: Project, series: PullSeries) -> str:
    """What a pull's sheets say, in a sentence or two; nothing while there are few."""
    if series.right is None or series.down is None:
        return ""
    said = []
    for course, more, less in (
        (series.right, tr("to the right"), tr("to the left")), (series.down, tr("down"), tr("up")),
    ):  # fmt: skip
        if not course.creeps:
            continue
        way = more if course.slope > 0 else less
        text = tr("{slope} a sheet {way}", slope=length_text(abs(course.slope), 3), way=way)
        at = course.reaches(project.tolerance_mm)
        if at is not None:
            text += tr(": {limit} at sheet {at}", limit=length_text(project.tolerance_mm), at=at)
        said.append(text)
    first, last = series.right.sheets
    scatter = length_text(_NINETY_FIVE * float(np.hypot(series.right.scatter, series.down.scatter)) / np.sqrt(2), 2)
    if not said:
        return tr("Steady from sheet {first} to {last}, ± {scatter}.", first=first, last=last, scatter=scatter)
    return tr(
        "Creeping {said} (sheet {first} to {last}, ± {scatter} beside it): what the sheet or the block is laid "
        "against wears or gives way, or the paper dries. Look at it, and damp the pack evenly.",
        said=tr(" and ").join(said), first=first, last=last, scatter=scatter,
    )  # fmt: skip


def strength_course(sheets: Sequence[int], factors: Sequence[float]) -> Course | None:
    """How an ink's strength went over the sheets, from what it was planned to be: shares, 0 as planned."""
    return course_of(sheets, [factor - 1 for factor in factors], _STRENGTH_SIGMA, _WORTH_SHARE)


def strength_text(name: str, course: Course) -> str:
    """An ink that grows thin or full from sheet to sheet, in a sentence; nothing where it is steady."""
    if not course.creeps:
        return ""
    share = number(100 * abs(course.slope), 1)
    if course.slope < 0:
        at = course.reaches(_WORTH_SHARE)
        soon = tr(" Ink it more fully now.") if at is None else tr(" Ink it more fully before sheet {at}.", at=at)
        return tr("{name} grows {share} % thinner a sheet.", name=name, share=share) + soon
    return tr("{name} grows {share} % fuller a sheet: less ink, or fewer passes.", name=name, share=share)


def measured_spread_mm(series: Sequence[PullSeries]) -> float | None:
    """How far a pull lies from its course on 95 of 100 sheets, over all pulls; None where nothing was read."""
    squares = [
        course.scatter**2 for each in series for course in (each.right, each.down) if course is not None
    ]  # fmt: skip
    return _NINETY_FIVE * float(np.sqrt(np.mean(squares))) if squares else None


def with_spread(project: Project, spread_mm: float) -> Project:
    """The project whose tolerance goes by the spread that was measured, in place of the assumed one.

    What was measured holds all that differs from sheet to sheet: it stands for the seating of sheet and block.
    """
    each = round(max(spread_mm, _LEAST_SPREAD_MM) / float(np.sqrt(2)), 3)
    budget = dataclasses.replace(project.register.budget, seating_mm=each, block_mm=each)
    return replace(project, register=dataclasses.replace(project.register, budget=budget))
