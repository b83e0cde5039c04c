"""The days of an edition: how many, and which."""

from dataclasses import dataclass
from datetime import date
from typing import ClassVar

from nomos.base.errors import BadInput
from nomos.base.language import tr
from nomos.base.progress import Part, Progress
from nomos.order.calendar import Calendar
from nomos.project import Project
from nomos.project.model.sheets import planned_sheets
from nomos.project.order.days import calendar_of, days_needed
from nomos.work.carve import Carve, carve_of
from nomos.work.cut import Cut
from nomos.work.request import Ask, held

# Up to so many pulls are planned while a hand waits: some milliseconds.
_FEW = 1_000


@dataclass(frozen=True, eq=False)
class Planned:
    """A calendar, or why there is none."""

    calendar: Calendar | None
    refused: str = ""


@dataclass(frozen=True)
class CountDays:
    """How many days the edition takes."""

    project: Project
    carve: Carve | None
    said: ClassVar[str] = tr("counting the days")

    def work(self, ask: Ask, progress: Progress) -> int:
        """Count them. Raises Cancelled."""
        hours = _hours(ask, self.carve, Part(progress, 0.0, 0.5))
        return days_needed(self.project, hours, progress=Part(progress, 0.5, 1.0))


@dataclass(frozen=True)
class PlanDays:
    """The days of the edition from a start, and what would shorten them."""

    project: Project
    start: date
    carve: Carve | None
    said: ClassVar[str] = tr("planning the days")

    def work(self, ask: Ask, progress: Progress) -> Planned:
        """Plan them. Raises Cancelled."""
        try:
            hours = _hours(ask, self.carve, Part(progress, 0.0, 0.5))
            return Planned(calendar_of(self.project, self.start, hours, progress=Part(progress, 0.5, 1.0)))
        except BadInput as error:
            return Planned(None, str(error))


def _hours(ask: Ask, carve: Carve | None, progress: Progress) -> dict[str, float] | None:
    """Hours of cutting by block, as Carve plans it."""
    return None if carve is None else {each.block: each.effort.hours for each in ask(carve, progress)}


def count_of(project: Project, cut: Cut | None) -> CountDays:
    """The request for how many days a project takes. cut : its blocks, to know how long they are cut."""
    return CountDays(_held(project), _carve(project, cut))


def days_of(project: Project, start: date, cut: Cut | None) -> PlanDays:
    """The request for a project's days."""
    return PlanDays(_held(project), start, _carve(project, cut))


def _carve(project: Project, cut: Cut | None) -> Carve | None:
    return carve_of(project, cut) if cut is not None and project.impressions else None


def at_once(project: Project) -> bool:
    """Whether the days are so few pulls that they need not be asked for."""
    return planned_sheets(project) * len(project.impressions) <= _FEW


def _held(project: Project) -> Project:
    return held(
        project,
        "flat",
        "inks",
        "paper",
        "blocks",
        "impressions",
        "register",
        "plan",
        "times",
        "workshop.sheets",
        "workshop.carried",
    )
