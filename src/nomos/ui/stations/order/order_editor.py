"""Orders looked for in the background, pins, and the days of the edition."""

from dataclasses import dataclass
from datetime import date
from typing import TypeVar

from msgspec.structs import replace

from nomos.base.language import tr
from nomos.base.progress import NULL_PROGRESS, Progress
from nomos.devices import ThermoHygrometer
from nomos.order.times import TIMES
from nomos.project import Project
from nomos.project.order.days import first_day
from nomos.project.order.search import OrderReport, with_order
from nomos.ui.frame.document import Slow
from nomos.ui.frame.editor import Editor
from nomos.ui.frame.jobs import Asker, JobRunner
from nomos.ui.frame.keeper import ProofKeeper
from nomos.ui.frame.questions import Questions
from nomos.ui.frame.station_editor import StationEditor
from nomos.work import Request
from nomos.work.carve import Carve
from nomos.work.days import Planned, at_once, count_of, days_of
from nomos.work.orders import Orders, orders_of

A = TypeVar("A")


@dataclass(frozen=True)
class Wanted:
    """What orders are looked for: a school, and places that impressions are pinned to."""

    school: str = "free"
    pins: tuple[tuple[str, int], ...] = ()


class OrderEditor(StationEditor):
    """Looks for orders, and changes the times of the calendar."""

    def __init__(self, editor: Editor, runner: JobRunner, keeper: ProofKeeper, questions: Questions) -> None:
        super().__init__(editor, runner, keeper, questions)
        self._search = Asker(runner, "orders", self.message.emit, said=tr("looking for orders"))
        self._days = Asker(runner, "days", self.message.emit, said=tr("planning the days"))
        self._file = Asker(runner, "calendar", self.message.emit, said=tr("writing a file"), outlives=True)
        self._count = Asker(runner, "day count", self.message.emit)
        self._known: tuple[int | None, Planned | None] = (None, None)
        self.wanted = Wanted()
        self.rollers = 1
        self._gauge = ThermoHygrometer()
        editor.document.changed.connect(self._project_changed)

    def _project_changed(self, before: Project | None, after: Project | None) -> None:
        if before is None or after is None or before.source != after.source:
            # The days of another print stand for none of this one.
            self._known = (None, None)
        ids = {pull.id for pull in after.impressions} if after else set()
        kept = tuple(pin for pin in self.wanted.pins if pin[0] in ids)
        if kept != self.wanted.pins:
            self.wanted = Wanted(self.wanted.school, kept)

    def choose_school(self, school: str) -> None:
        """Keep to a rule."""
        self.wanted = Wanted(school, self.wanted.pins)
        self.look()

    def pin(self) -> None:
        """Pin the chosen impression to the place it has, or let it go."""
        project, pull = self._document.project, self._editor.state.pull
        if project is None or pull is None:
            self.message.emit(tr("Choose a rung of the ladder first."))
            return
        pins = dict(self.wanted.pins)
        if pull in pins:
            del pins[pull]
        else:
            pins[pull] = [each.id for each in project.impressions].index(pull)
        self.wanted = Wanted(self.wanted.school, tuple(sorted(pins.items())))
        self.changed.emit()

    def _request(self) -> Orders | None:
        """What would be asked now."""
        project, cut = self._document.project, self._keeper.cut
        if project is None or cut is None or not project.impressions:
            return None
        return orders_of(project, cut, self.wanted.school, self.wanted.pins, first_day(project, date.today()))

    @property
    def report(self) -> OrderReport | None:
        """The orders found for the project as it is, whatever order it is in; None before they are."""
        request = self._request()
        return None if request is None else self._runner.answers.known(request)

    def look(self) -> None:
        """Look for the best orders."""
        request = self._request()
        if request is not None:
            self._search.ask(request, lambda _: self.changed.emit())
            self.changed.emit()

    def days_of(self, project: Project) -> Planned | None:
        """The days; for many sheets they are asked for, and those of before stand until they are there."""
        request = days_of(project, first_day(project, date.today()), self._keeper.cut)
        self._known = (self._known[0], self._soon(self._days, request, request.carve, project) or self._known[1])
        return self._known[1]

    def count_of(self, project: Project) -> int | None:
        """How many days; the same."""
        request = count_of(project, self._keeper.cut)
        found = self._soon(self._count, request, request.carve, project)
        self._known = (found if found is not None else self._known[0], self._known[1])
        return self._known[0]

    def _soon(self, asker: Asker, request: Request[A], carve: Carve | None, project: Project) -> A | None:
        answers = self._runner.answers
        if at_once(project) and (carve is None or answers.known(carve) is not None):
            return answers(request)
        known = answers.known(request)
        if known is None:
            asker.ask(request, lambda _: self.changed.emit())
        return known

    def take(self, key: str) -> None:
        """Print in one of the orders found, by its place among them."""
        change = self.printed_in(key)
        if change is not None:
            self._editor.apply(tr("Print order"), lambda p: change(p, NULL_PROGRESS))

    def printed_in(self, key: str) -> Slow | None:
        """What makes the project printed in one of the orders found, by its place among them."""
        report = self.report
        if report is None or not key.isdigit() or int(key) >= len(report.choices):
            return None
        pulls = report.choices[int(key)].pulls
        return lambda project, _progress: with_order(project, pulls)

    def read_air(self) -> None:
        """Take temperature and humidity from the gauge."""
        temperature, humidity = self._gauge.read()
        self.set_times(temperature=temperature, humidity=humidity)

    def set_times(self, **changes: object) -> None:
        """Change when there is time, or what the air is like."""
        self._editor.apply(TIMES, lambda p: replace(p, times=replace(p.times, **changes)), tuple(changes))

    def lose_day(self, day: str) -> None:
        """A day on which nothing can be done; once more takes it back."""

        def change(project: Project) -> Project:
            lost = set(project.times.lost) ^ {day}
            return replace(project, times=replace(project.times, lost=tuple(sorted(lost))))

        self._editor.apply(tr("A day lost"), change)

    def set_rollers(self, rollers: int) -> None:
        """How many rollers there are."""
        self.rollers = rollers
        self.changed.emit()

    def write_calendar(self) -> None:
        """Write the days as iCalendar into a folder asked for."""
        project, folder = self._document.project, self._questions.folder_for_packet()
        if project is None or folder is None:
            return
        request = days_of(project, first_day(project, date.today()), self._keeper.cut)
        path, title, answers = folder / "edition.ics", project.title, self._runner.answers

        def work(progress: Progress) -> str:
            from nomos.formats.ical import calendar_ics
            from nomos.formats.outputs import write_output

            planned = answers(request, progress)
            if planned.calendar is None:
                return planned.refused
            write_output(path, calendar_ics(planned.calendar, title))
            return tr("The days are in {path}.", path=path)

        self._file.do(work, self.message.emit)
