"""Orders looked for in the background, pins, and the days of the edition."""

from dataclasses import dataclass
from datetime import date
from pathlib import Path

from msgspec.structs import replace
from PyQt6.QtCore import QObject, pyqtSignal

from nomos.devices import ThermoHygrometer
from nomos.errors import BadInput
from nomos.progress import Progress
from nomos.project import Project
from nomos.project.ordering import OrderReport, best_orders, with_order
from nomos.ui.document import Document, Edit
from nomos.ui.jobs import JobRunner
from nomos.ui.keeper import ProofKeeper
from nomos.ui.questions import Questions
from nomos.ui.views.state import UiState


@dataclass(frozen=True)
class Wanted:
    """What orders are looked for: a school, and places that impressions are pinned to."""

    school: str = "free"
    pins: tuple[tuple[str, int], ...] = ()


class Orderer(QObject):
    """Looks for orders, and changes the times of the calendar."""

    changed = pyqtSignal()
    told = pyqtSignal(str)

    def __init__(
        self, document: Document, runner: JobRunner, keeper: ProofKeeper, questions: Questions
    ) -> None:
        super().__init__()
        self._document, self._runner, self._keeper, self._questions = document, runner, keeper, questions
        self.state = UiState()
        self.wanted = Wanted()
        self.report: OrderReport | None = None
        self.rollers = 1
        self._gauge = ThermoHygrometer()
        document.changed.connect(self._project_changed)

    def _project_changed(self, before: Project | None, after: Project | None) -> None:
        ids = {pull.id for pull in after.impressions} if after else set()
        kept = tuple(pin for pin in self.wanted.pins if pin[0] in ids)
        if kept != self.wanted.pins:
            self.wanted = Wanted(self.wanted.school, kept)
        if before is None or after is None or _but_order(before) != _but_order(after):
            # Other inks or blocks: what was found is of another print.
            self.report = None

    def choose_school(self, school: str) -> None:
        """Keep to a rule."""
        self.wanted = Wanted(school, self.wanted.pins)
        self.look()

    def pin(self) -> None:
        """Pin the chosen impression to the place it has, or let it go."""
        project, pull = self._document.project, self.state.pull
        if project is None or pull is None:
            self.told.emit("Choose a rung of the ladder first.")
            return
        pins = dict(self.wanted.pins)
        if pull in pins:
            del pins[pull]
        else:
            pins[pull] = [each.id for each in project.impressions].index(pull)
        self.wanted = Wanted(self.wanted.school, tuple(sorted(pins.items())))
        self.changed.emit()

    def look(self) -> None:
        """Look for the best orders."""
        project, proof = self._document.project, self._keeper.proof
        if project is None or proof is None or not project.impressions:
            return
        wanted, laid, borders = self.wanted, proof.laid, proof.blocks.borders
        start = _start(project)

        def work(progress: Progress) -> OrderReport:
            return best_orders(
                project, laid, borders, school=wanted.school, pins=dict(wanted.pins), start=start,
                progress=progress,
            )  # fmt: skip

        def take(report: OrderReport) -> None:
            self.report = report
            self.changed.emit()

        self.changed.emit()
        self._runner.run("orders", work, take, self.told.emit)

    def take(self, key: str) -> None:
        """Print in one of the orders found, by its place among them."""
        if self.report is None or not key.isdigit() or int(key) >= len(self.report.choices):
            return
        pulls = self.report.choices[int(key)].pulls
        self._edit("Print order", lambda p: with_order(p, pulls))

    def set_times(self, **changes: object) -> None:
        """Change how long things take, or when there is time."""
        self._edit("Times", lambda p: replace(p, times=replace(p.times, **changes)), tuple(changes))

    def read_air(self) -> None:
        """Take temperature and humidity from the gauge."""
        temperature, humidity = self._gauge.read()
        self.set_times(temperature=temperature, humidity=humidity)

    def lose_day(self, day: str) -> None:
        """A day on which nothing can be done; once more takes it back."""

        def change(project: Project) -> Project:
            lost = set(project.times.lost) ^ {day}
            return replace(project, times=replace(project.times, lost=tuple(sorted(lost))))

        self._edit("A day lost", change)

    def set_rollers(self, rollers: int) -> None:
        """How many rollers there are."""
        self.rollers = rollers
        self.changed.emit()

    def write_calendar(self) -> None:
        """Write the days as iCalendar into a folder asked for."""
        project, folder = self._document.project, self._questions.folder_for_packet()
        if project is None or folder is None:
            return
        from nomos.formats import writing_into
        from nomos.formats.ical import calendar_ics
        from nomos.project.ordering import calendar_of

        path: Path = folder / "edition.ics"
        try:
            data = calendar_ics(calendar_of(project, _start(project)), project.title)
            with writing_into(path):
                path.write_bytes(data)
        except BadInput as error:
            self.told.emit(str(error))
            return
        self.told.emit(f"The days are in {path}.")

    def _edit(self, text: str, change: Edit, merge_key: object = None) -> None:
        try:
            self._document.apply(text, change, merge_key=merge_key)
        except BadInput as error:
            self.told.emit(str(error))
            self.changed.emit()


def _start(project: Project) -> date:
    return date.fromisoformat(project.times.start) if project.times.start else date.today()


def _but_order(project: Project) -> Project:
    """A project with its impressions in the order of their names."""
    return replace(project, impressions=tuple(sorted(project.impressions, key=lambda pull: pull.id)))
