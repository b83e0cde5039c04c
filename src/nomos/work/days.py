"""The days of an edition: how many, and which."""

from dataclasses import dataclass
from datetime import date
from typing import ClassVar

from nomos.base.errors import BadInput
from nomos.base.language import tr
from nomos.base.progress import Progress
from nomos.order.calendar import Calendar
from nomos.project import Project
from nomos.project.model.sheets import planned_sheets
from nomos.project.order.days import calendar_of, days_needed
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
    said: ClassVar[str] = tr("counting the days")

    def work(self, _ask: Ask, progress: Progress) -> int:
        """Count them. Raises Cancelled."""
        return days_needed(self.project, progress=progress)


@dataclass(frozen=True)
class PlanDays:
    """The days of the edition from a start, and what would shorten them."""

    project: Project
    start: date
    said: ClassVar[str] = tr("planning the days")

    def work(self, _ask: Ask, progress: Progress) -> Planned:
        """Plan them. Raises Cancelled."""
        try:
            return Planned(calendar_of(self.project, self.start, progress=progress))
        except BadInput as error:
            return Planned(None, str(error))


def count_of(project: Project) -> CountDays:
    """The request for how many days a project takes."""
    return CountDays(_held(project))


def days_of(project: Project, start: date) -> PlanDays:
    """The request for a project's days."""
    return PlanDays(_held(project), start)


def at_once(project: Project) -> bool:
    """Whether the days are so few pulls that they need not be asked for."""
    return planned_sheets(project) * len(project.impressions) <= _FEW


def _held(project: Project) -> Project:
    return held(
        project, "flat", "inks", "paper", "blocks", "impressions", "register", "plan", "times", "workshop.sheets"
    )
