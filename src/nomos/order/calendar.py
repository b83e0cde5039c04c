"""On which days to print: set-up, pulls, cleaning, cutting, drying, rack and working hours."""

from collections.abc import Sequence
from dataclasses import dataclass
from datetime import date, datetime, time, timedelta
from heapq import heappop, heappush
from typing import Literal

from nomos.base.language import tr
from nomos.base.progress import NULL_PROGRESS, Part, Progress
from nomos.order.times import Times
from nomos.order.washing import Cleaning

Limit = Literal["drying", "rack", "hours", "work"]
_FOREVER_DAYS, _NO_LIMIT = 3000, 1_000_000
# Times are whole microseconds: what misses by less than this fits.
_BLINK = timedelta(milliseconds=1)
# Drying doubles in speed for ten degrees; water-based ink dries slower in damp air by half for 50 points
# of humidity (both from memory).
_TEN_DEGREES, _DAMP_AIR = 10.0, 0.5


@dataclass(frozen=True)
class Run:
    """One layer to print: its name, drying time, cleaning after, cutting before, whether on wet ink.

    washes : rollers that are cleaned so. pull_min : minutes a pull; None is the workshop's usual.
    cut_min : minutes of cutting before it; None is the workshop's usual for a state cut further.
    """

    name: str
    drying_h: float
    after: Cleaning
    cut_before: bool = False
    wet: bool = False
    washes: int = 1
    pull_min: float | None = None
    cut_min: float | None = None

    def cutting_min(self, times: Times) -> float:
        """Minutes of cutting before it."""
        own = times.cutting_min if self.cut_min is None else self.cut_min
        return own if self.cut_before else 0.0

    def cleaning_min(self, times: Times) -> float:
        """Minutes of cleaning after it."""
        return {"none": 0.0, "wipe": times.wipe_min, "wash": times.wash_min}[self.after] * self.washes

    def minutes(self, times: Times) -> float:
        """Minutes a pull."""
        return times.pull_min if self.pull_min is None else self.pull_min


@dataclass(frozen=True)
class Task:
    """Something done from one time to another, or sheets drying. layer : place of the run, -1 for paper."""

    kind: Literal["print", "cut", "dry", "damp"]
    layer: int
    text: str
    start: datetime
    end: datetime
    sheets: int = 0


@dataclass(frozen=True)
class Calendar:
    """Tasks by time, the end of the last, what it waited for most, and what would help most.

    waits_h : hours of waiting by cause. help : in a sentence.
    """

    tasks: tuple[Task, ...]
    end: datetime
    limit: Limit
    waits_h: dict[Limit, float]
    help: str = ""

    @property
    def days(self) -> int:
        """Days from the first task to the last, both counted, drying at the end not."""
        work = [task for task in self.tasks if task.kind != "dry"]
        if not work:
            return 0
        return (max(task.end for task in work).date() - min(task.start for task in work).date()).days + 1


def drying_hours(hours: float, times: Times, *, film: float = 1.0, water: bool = False) -> float:
    """Drying time in this air, of this film.

    Parameters
    ----------
    hours : of a normal film at 20 degrees.
    times : temperature, humidity and hours of the workshop.
    film : thickness, 1 normal.
    water : dries by losing water, so humidity counts.

    Returns
    -------
    Hours.
    """
    warm = 2 ** ((20.0 - times.temperature) / _TEN_DEGREES)
    damp = 1 + _DAMP_AIR * (times.humidity - 50) / 50 if water else 1.0
    return hours * warm * film * max(damp, 0.3)


def plan_days(
    runs: Sequence[Run], sheets: int, times: Times, start: date, *, progress: Progress = NULL_PROGRESS
) -> Calendar:
    """The days of an edition.

    Parameters
    ----------
    runs : layers in print order.
    sheets : how many are printed.
    start : the first day that may be used.

    Notes
    -----
    Sheets go through in one order, each not before it is dry and the rack has a
    place. A run may be parted over several days. Two ways are tried, beginning a
    layer with the first dry sheet and waiting until all are dry; the one that ends
    earlier is kept.
    """
    if times.way == "sheet by sheet":
        return _sheet_by_sheet(runs, sheets, times, start)
    eager, patient = (
        _Desk(times, start).whole_edition(
            runs, sheets, patient=waits, progress=Part(progress, waits / 2, (waits + 1) / 2)
        )
        for waits in (False, True)
    )
    return min(eager, patient, key=lambda found: (found.end, len(found.tasks)))


class _Desk:
    """Keeps the clock, the working hours and the rack while an edition is laid out."""

    def __init__(self, times: Times, start: date) -> None:
        self.times, self.tasks = times, list[Task]()
        self.lost = {date.fromisoformat(day) for day in times.lost}
        self.now = datetime.combine(start, time())
        self.waits: dict[Limit, float] = {"drying": 0.0, "rack": 0.0, "hours": 0.0, "work": 0.0}
        self.pulled: dict[date, int] = {}
        self.has_cut: dict[date, float] = {}
        self.begun = datetime.combine(start, time())
        # When the sheets on the rack will be free of it: a heap, the soonest first.
        self.drying: list[datetime] = []
        if times.damp:
            # Paper is damped on a working day, and printed from the next one on.
            self.now = self.window(self.now)[0]
            self.to_next_day()

    def window(self, at: datetime) -> tuple[datetime, datetime]:
        """The working hours that are open at a time, or open next."""
        day = at.date()
        for _ in range(_FOREVER_DAYS):
            opens = datetime.combine(day, time()) + timedelta(hours=self.times.opens)
            closes = datetime.combine(day, time()) + timedelta(hours=self.times.closes)
            if day.weekday() in self.times.days and day not in self.lost and at < closes:
                return max(opens, at), closes
            day += timedelta(days=1)
            at = datetime.combine(day, time())
        raise ValueError("There is no working day left.")

    def wait_until(self, when: datetime, why: Limit) -> None:
        """Wait for something."""
        if when > self.now:
            self.waits[why] += (when - self.now).total_seconds() / 3600
            self.now = when

    def to_work(self) -> datetime:
        """Wait for working hours; when they end."""
        opens, closes = self.window(self.now)
        self.wait_until(opens, "hours")
        return closes

    def to_next_day(self) -> None:
        """Wait for the next working day."""
        tomorrow = datetime.combine(self.now.date() + timedelta(days=1), time())
        self.wait_until(self.window(tomorrow)[0], "hours")

    def cut(self, run: Run, layer: int) -> None:
        """Cut for a layer, parted over days: nobody cuts well for more than so many hours a day."""
        left = whole = run.cutting_min(self.times)
        while left > 1e-6:
            closes = self.to_work()
            room = 60 * self.times.cut_h - self.has_cut.get(self.now.date(), 0.0)
            if room < 1e-6:
                self.to_next_day()
                continue
            piece = min(left, room, (closes - self.now).total_seconds() / 60)
            end = self.now + timedelta(minutes=piece)
            if left == whole or piece >= 1:
                # Seconds left over from the day before are no row of their own.
                self.tasks.append(Task("cut", layer, tr("cut for {name}", name=run.name), self.now, end))
            self.has_cut[self.now.date()] = self.has_cut.get(self.now.date(), 0.0) + piece
            self.now, left = end, left - piece

    def whole_edition(self, runs: Sequence[Run], sheets: int, *, patient: bool, progress: Progress) -> Calendar:
        """Every sheet through one layer before the next."""
        ready = [self.now] * sheets
        for place, run in enumerate(runs):
            # All sheets have been through the pull before: the clock stands after it, and they dry meanwhile.
            self.cut(run, place)
            if patient:
                self.wait_until(max(ready), "drying")
            done = 0
            while done < sheets:
                done = self._stint(place, run, ready, done)
                progress.report((place + done / sheets) / len(runs), "")
        return self.finished()

    def _stint(self, place: int, run: Run, ready: list[datetime], done: int) -> int:
        """Print as many sheets as this day, the rack and their drying allow; how many are done then."""
        times = self.times
        after, each = run.cleaning_min(times), run.minutes(times)
        self.wait_until(ready[done] - timedelta(minutes=times.setup_min), "drying")
        self._wait_for_rack()
        closes = self.to_work()
        limit = times.pulls_a_day or _NO_LIMIT
        room = limit - self.pulled.get(self.now.date(), 0)
        least = timedelta(minutes=times.setup_min + each + after)
        if room <= 0 or self.now + least > closes + _BLINK:
            self.check_room(least)
            self.to_next_day()
            return done
        start, clock = self.now, self.now + timedelta(minutes=times.setup_min)
        first, pull, dries = done, timedelta(minutes=each), timedelta(hours=run.drying_h)
        # The last pull that leaves time for the cleaning ends then.
        latest = closes + _BLINK - timedelta(minutes=after)
        while done < len(ready) and done - first < room:
            pulled = clock + pull
            if ready[done] > clock + _BLINK or pulled > latest or not self._place_at(pulled):
                break
            clock = pulled
            ready[done] = clock + dries
            heappush(self.drying, ready[done])
            done += 1
        if done == first:
            # The first sheet was not dry, or had no place: the desk waits for it and tries again.
            self.wait_until(ready[done], "drying")
            self.wait_until(self.now + timedelta(minutes=1), "rack")
            return done
        end = clock + timedelta(minutes=after)
        self.tasks.append(Task("print", place, run.name, start, end, done - first))
        self.tasks.append(Task("dry", place, run.name, clock, clock + dries, done - first))
        self.pulled[start.date()] = self.pulled.get(start.date(), 0) + done - first
        self.now = end
        return done

    def check_room(self, least: timedelta) -> None:
        """Raises ValueError where a working day is too short for anything."""
        if least > timedelta(hours=self.times.closes - self.times.opens):
            raise ValueError("A working day is too short for one set-up, one pull and the cleaning.")

    def _place_at(self, when: datetime) -> bool:
        """Whether the rack has a place for one more sheet at a time; times only ever grow."""
        while self.drying and self.drying[0] <= when:
            heappop(self.drying)
        return len(self.drying) < self.times.rack

    def places_free(self) -> int:
        """How many sheets the rack has places for now."""
        self._place_at(self.now)
        return self.times.rack - len(self.drying)

    def wait_for_a_place(self) -> None:
        """Wait until the first sheet on the rack is dry."""
        self.wait_until(self.drying[0], "rack")

    def dry(self, sheets: int, until: datetime) -> None:
        """Have so many sheets on the rack until a time."""
        for _ in range(sheets):
            heappush(self.drying, until)

    def _wait_for_rack(self) -> None:
        if len(self.drying) < self.times.rack or self._place_at(self.now):
            return
        taken = sorted(self.drying)
        self.wait_until(taken[len(taken) - self.times.rack], "rack")

    def finished(self) -> Calendar:
        """What has been laid out so far."""
        tasks = [*self.tasks, *self._damping()]
        tasks.sort(key=lambda task: (task.start, task.end))
        work = sum((task.end - task.start).total_seconds() / 3600 for task in tasks if task.kind in ("print", "cut"))
        self.waits["work"] = work
        causes: tuple[Limit, ...] = ("drying", "rack", "hours", "work")
        most = max(causes, key=lambda each: self.waits[each])
        end = max((task.end for task in tasks), default=self.now)
        return Calendar(tuple(tasks), end, most, self.waits)

    def _damping(self) -> list[Task]:
        """Paper damped the evening before each printing day, again when it has lain too long."""
        if not self.times.damp:
            return []
        made, last = [], None
        for day in sorted({task.start.date() for task in self.tasks if task.kind == "print"}):
            if last is not None and (day - last).days <= self.times.keeps_days:
                continue
            last = self._working_day_before(day)
            evening = datetime.combine(last, time()) + timedelta(hours=self.times.closes)
            end = evening + timedelta(minutes=self.times.damp_min)
            made.append(Task("damp", -1, tr("damp and press paper"), evening, end))
        return made

    def _working_day_before(self, day: date) -> date:
        """The last day before one on which somebody works; the day the edition begins at the earliest."""
        while day > self.begun.date():
            day -= timedelta(days=1)
            if day.weekday() in self.times.days and day not in self.lost:
                return day
        return day


def _sheet_by_sheet(runs: Sequence[Run], sheets: int, times: Times, start: date) -> Calendar:
    """Each sheet through all layers, wet on wet, before the next, once all blocks are cut.

    Rollers with their slabs stand beside each other, one for each ink as far as there are, and are washed in the
    evening; only what shares a roller is cleaned in between.
    """
    desk = _Desk(times, start)
    for place, run in enumerate(runs):
        desk.cut(run, place)
    beside = min(times.rollers or len(runs), len(runs))
    shared = sorted(run.cleaning_min(times) for run in runs)[beside:]
    one_sheet = sum(run.minutes(times) for run in runs) + sum(shared)
    evening = beside * times.wash_min
    done = 0
    while done < sheets:
        closes = desk.to_work()
        room = (closes - desk.now).total_seconds() / 60 - times.setup_min - evening
        limit = (times.pulls_a_day or sheets * len(runs)) // max(len(runs), 1)
        places = desk.places_free()
        if places <= 0:
            desk.wait_for_a_place()
            continue
        many = min(int(room // one_sheet), sheets - done, max(limit, 1), places)
        if many <= 0:
            desk.check_room(timedelta(minutes=times.setup_min + one_sheet + evening))
            desk.to_next_day()
            continue
        end = desk.now + timedelta(minutes=times.setup_min + many * one_sheet)
        dry = timedelta(hours=max((run.drying_h for run in runs), default=0.0))
        desk.tasks.append(Task("print", 0, tr("all layers"), desk.now, end, many))
        desk.tasks.append(Task("dry", 0, tr("all layers"), end, end + dry, many))
        desk.dry(many, end + dry)
        desk.now, done = end + timedelta(minutes=evening), done + many
        if done < sheets:
            desk.to_next_day()
    return desk.finished()
