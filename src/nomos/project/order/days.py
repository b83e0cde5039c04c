"""The days of an edition: how long each pull takes, what dries, and when the last sheet is done."""

from collections.abc import Mapping
from datetime import date, timedelta

from nomos.base.language import tr
from nomos.base.progress import NULL_PROGRESS, Progress
from nomos.colour.trapping import FILM
from nomos.colour.vehicles import VEHICLES
from nomos.edition.inking_tools import INKING_TOOLS
from nomos.order.calendar import Calendar, Run, drying_hours, plan_days
from nomos.order.shortening import with_help
from nomos.order.washing import WEIGHT, Cleaning, cleaned
from nomos.project.blocks.pulls import inked_with, stays_damp
from nomos.project.blocks.reduction import cut_before, is_reduction
from nomos.project.inks.films import printing_sets, zone_keys
from nomos.project.model import Impression, Project, ProjectError
from nomos.project.model.sheets import planned_sheets

# Days are counted from a Monday where no start is given, so that the same project gives the same figures.
A_MONDAY = date(2024, 1, 1)
# Minutes a pull that each further inked zone, each wiped place, a graded roller and paste take beyond a
# plain one; chosen by us, the log's pace tells better.
_ZONE_MIN, _WIPE_MIN, _GRADE_MIN = 1.5, 1.0, 0.5
# Oil dries by air alone where it cannot sink in: on a film of ink by so much slower (from memory).
_ON_INK = 1.25


def _on_ink(project: Project, place: int) -> bool:
    """Whether most of what an impression prints lies on ink that is there already."""
    keys = zone_keys(project)
    order = {pull.id: at for at, pull in enumerate(project.impressions)}
    at = [order[key.pull] for key in keys]
    own = [films for films in printing_sets(project) if any(at[film] == place for film in films)]
    over = [films for films in own if any(at[film] < place for film in films)]
    return 2 * len(over) > len(own)


def runs_of(project: Project, cut_h: Mapping[str, float] | None = None) -> tuple[Run, ...]:
    """The impressions as the calendar sees them, in print order.

    cut_h : hours of cutting by block, each cut before it first prints; without it only a state cut further
        takes time, as long as is usual.
    """
    pulls, cuts = project.impressions, cut_before(project)
    runs, cut = [], set[str]()
    for place, pull in enumerate(pulls):
        last = place + 1 == len(pulls)
        between = not last and (project.goes_on_wet(place + 1) or stays_damp(project, place))
        inks = inked_with(project, pull)
        ways: tuple[Cleaning, ...] = tuple("wash" for _ in inks)
        if not last:
            following = [ink.lab for ink in inked_with(project, pulls[place + 1])]
            ways = cleaned([ink.lab for ink in inks], following)
        worst = max(ways, key=lambda way: WEIGHT[way])
        # A key whose impressions carry the drawing is cut before anything else.
        first = {*_carrying(project)} if place == 0 else set()
        due = ({pull.block} | first) - cut
        cut_min = None if cut_h is None else 60 * sum(cut_h.get(block, 0.0) for block in due)
        cut |= due
        runs.append(
            Run(
                project.pull_name(pull.id),
                0.0 if between else _dry_after_h(project, place),
                worst,
                bool(cuts[place]) if cut_min is None else cut_min > 0,
                project.goes_on_wet(place),
                sum(way == worst for way in ways),
                pull_minutes(project, pull),
                cut_min,
            )
        )
    return tuple(runs)


def _carrying(project: Project) -> tuple[str, ...]:
    """The drawn key, where its impressions carry the drawing onto the other blocks."""
    own = [block.id for block in project.blocks if block.is_key and block.contour is None]
    return tuple(own) if project.workshop.carried == "impressions" and not is_reduction(project) else ()


def _dry_after_h(project: Project, place: int) -> float:
    """Hours until every zone of an impression is dry."""
    hours = []
    for zone in project.impressions[place].zones:
        if not zone.inked:
            continue
        ink = project.ink(zone.ink)
        water = VEHICLES[ink.vehicle].dries_by == "water"
        # Ink in extender is as thick a film as without.
        film = FILM[zone.inking] * (_ON_INK if not water and _on_ink(project, place) else 1.0)
        hours.append(drying_hours(ink.drying_h, project.times, film=film, water=water))
    return max(hours)


def pull_minutes(project: Project, pull: Impression) -> float:
    """Minutes a pull of an impression takes, by what is done on its zones."""
    inked = [zone for zone in pull.zones if zone.inked and not zone.bare]
    minutes = project.times.pull_min + _ZONE_MIN * (len(inked) - 1)
    minutes += _WIPE_MIN * sum(zone.bare == "wiped" for zone in pull.zones)
    minutes += _GRADE_MIN * sum(zone.grade is not None for zone in inked)
    return minutes + sum(INKING_TOOLS[zone.tool].more_min for zone in inked)


def first_day(project: Project, today: date) -> date:
    """Where the days begin: on the day that was said, or else on the next Monday, today if it is one."""
    if project.times.start:
        return date.fromisoformat(project.times.start)
    return today + timedelta(days=-today.weekday() % 7)


def days_needed(
    project: Project, cut_h: Mapping[str, float] | None = None, *, progress: Progress = NULL_PROGRESS
) -> int:
    """Days from the first cut or pull to the last, 0 where a working day is too short for anything."""
    try:
        start = first_day(project, A_MONDAY)
        sheets = planned_sheets(project)
        return plan_days(runs_of(project, cut_h), sheets, project.times, start, progress=progress).days
    except ValueError:
        return 0


def calendar_of(
    project: Project, start: date, cut_h: Mapping[str, float] | None = None, *, progress: Progress = NULL_PROGRESS
) -> Calendar:
    """The days of the edition, and what would shorten them. Raises ProjectError if no day is long enough."""
    try:
        return with_help(runs_of(project, cut_h), planned_sheets(project), project.times, start, progress=progress)
    except ValueError as error:
        raise ProjectError("times", tr("{error} Make the day longer, or things shorter.", error=error)) from None
