"""Registration at work: the system, the tolerance and what flashes, proofs that are read, and practice."""

from collections.abc import Mapping
from dataclasses import dataclass
from pathlib import Path
from typing import TYPE_CHECKING

from nomos.base.errors import BadInput
from nomos.base.language import tr, within
from nomos.project import Project
from nomos.project.register.plausible import DOZEN
from nomos.project.register.system import with_reading, with_register
from nomos.proof import Misregister
from nomos.registration.settings import REGISTRATION, TOLERANCE, BudgetSettings
from nomos.ui.frame.editor import Editor
from nomos.ui.frame.jobs import Asker, JobRunner
from nomos.ui.frame.keeper import ProofKeeper
from nomos.ui.frame.questions import Questions
from nomos.ui.frame.station_editor import StationEditor
from nomos.work.flash import flash_of, grid_of, magnify_of, one_sheet_of, practise_of
from nomos.work.scan import scan_of, scan_tried_of

if TYPE_CHECKING:
    # Imported where they are used: none of it is needed before its part of the station is in sight.
    from nomos.project.register.magnified import Magnified
    from nomos.project.register.practice import Exercise, Fault, Marking, Picture
    from nomos.project.register.scan import ScanFound
    from nomos.proof.flashing import Flashing


@dataclass(frozen=True, eq=False)
class Flashed:
    """What a simulation found: the fast estimate, and whole sheets once they were asked for."""

    fast: "Flashing"
    exact: "Flashing | None" = None


@dataclass(frozen=True, eq=False)
class Scanned:
    """A scan that has been read, of which file, and of which sheet of the edition (0: a proof)."""

    name: str
    found: "ScanFound"
    sheet: int = 0


@dataclass(frozen=True, eq=False)
class Practice:
    """An exercise, how the last answer did, and the score so far."""

    exercise: "Exercise"
    marking: "Marking | None" = None
    points: int = 0
    answered: int = 0


class RegisterEditor(StationEditor):
    """Changes how sheets meet blocks, simulates, reads proofs, and sets exercises."""

    def __init__(self, editor: Editor, runner: JobRunner, keeper: ProofKeeper, questions: Questions) -> None:
        super().__init__(editor, runner, keeper, questions)
        self._flashes = Asker(runner, "flash", self._failed)
        self._magnified = Asker(runner, "magnified", self._failed)
        self._sheets = Asker(runner, "sheets", self._failed, said=tr("printing plausible sheets"))
        self._scans = Asker(runner, "scan", self._failed, said=tr("reading the scan"))
        self._exercises = Asker(runner, "exercise", self._failed, said=tr("making a proof to read"))
        self.scanned: Scanned | None = None
        self.practice: Practice | None = None
        self.sheet = 0
        self.uncut = False
        self.looking = False
        self.grid: Picture | None = None
        """Plausible sheets: nine beside each other, or one alone."""
        self.alone: int | None = None
        """Which of a dozen is shown alone."""
        self._grid_seed = 0
        editor.document.changed.connect(self._project_changed)
        keeper.changed.connect(self._look_again)

    def _project_changed(self, before: Project | None, after: Project | None) -> None:
        if before is None or after is None or before.source != after.source:
            self.scanned = self.practice = self.grid = self.alone = None
        elif before.impressions != after.impressions:
            known = {pull.id for pull in after.impressions}
            if self.scanned is not None and not all(f.pull in known for f in self.scanned.found.pulls):
                self.scanned = None
            if self.practice is not None and not all(f.pull in known for f in self.practice.exercise.faults):
                self.practice = None

    # The system and the budget

    def choose_system(self, system: str) -> None:
        """Choose another system."""
        self._editor.apply(REGISTRATION, lambda p: with_register(p, system=system))

    def usual_budget(self) -> None:
        """Take the usual figures for every part of the error."""
        hand = self._document.project.register.budget.hand if self._document.project else "practised"
        self._editor.apply(TOLERANCE, lambda p: with_register(p, budget=BudgetSettings(hand=hand)))

    # What flashes

    def look_at_flashes(self, looking: bool) -> None:
        """Whether the fast estimate is to follow every change."""
        self.looking = looking
        self._look_again()

    def _look_again(self) -> None:
        project, cut = self._document.project, self._keeper.cut
        if self.looking and project is not None and cut is not None:
            request = flash_of(project, cut)
            if self._runner.answers.known(request) is None:
                self._flashes.ask(request, lambda _: self.changed.emit())

    @property
    def flashed(self) -> Flashed | None:
        """What flashes on the sheets of the project as it is; None until it has been worked out."""
        project, cut = self._document.project, self._keeper.cut
        if project is None or cut is None:
            return None
        known = self._runner.answers.known
        fast = known(flash_of(project, cut))
        return None if fast is None else Flashed(fast, known(flash_of(project, cut, exact=True)))

    def magnified(self, place_mm: tuple[float, float]) -> "Magnified | None":
        """A place from close by, on a sheet that is worse there than most; asked for if it is not known."""
        project, cut = self._document.project, self._keeper.cut
        if project is None or cut is None or self._keeper.rough:
            return None
        request = magnify_of(project, cut, place_mm)
        known = self._runner.answers.known(request)
        if known is None:
            self._magnified.ask(request, lambda _: self.changed.emit())
        return known

    def simulate(self) -> None:
        """Print whole sheets, one by one."""
        project, cut = self._document.project, self._keeper.cut
        if project is not None and cut is not None:
            self._sheets.ask(flash_of(project, cut, exact=True), lambda _: self.changed.emit())

    def show_sheets(self) -> None:
        """Nine plausible sheets beside each other; once more takes other ones, then none."""
        project, cut = self._document.project, self._keeper.cut
        if project is None or cut is None or not project.impressions:
            return

        def take(grid: "Picture") -> None:
            self.grid, self.alone = grid, None
            self.changed.emit()

        self._sheets.ask(grid_of(project, cut, self._grid_seed), take)
        self._grid_seed += 1

    def show_one_sheet(self) -> None:
        """One of a dozen plausible sheets at full size; once more takes the next."""
        project, cut = self._document.project, self._keeper.cut
        if project is None or cut is None or not project.impressions:
            return
        number = 0 if self.alone is None else self.alone + 1

        def take(sheet: "Picture") -> None:
            self.grid, self.alone = sheet, number % DOZEN
            self.changed.emit()

        self._sheets.ask(one_sheet_of(project, cut, number % DOZEN), take)

    def hide_sheets(self) -> None:
        """Show the print again."""
        self.grid = self.alone = None
        self.changed.emit()

    # Proofs

    def set_sheet(self, sheet: int) -> None:
        """Which sheet of the edition is read next; 0 is a proof."""
        self.sheet = sheet

    def set_uncut(self, uncut: bool) -> None:
        """Whether the chosen block is still to be cut."""
        self.uncut = uncut
        self.changed.emit()

    def read_by_eye(self, read_mm: Mapping[tuple[int, str], float]) -> None:
        """Keep what was read of the chosen pull."""
        from nomos.project.register.readings import read_by_eye, reading_by_eye

        project, pull = self._document.project, self._editor.state.pull
        if project is None or pull is None:
            self.message.emit(tr("Choose a block first."))
            return
        try:
            fit = read_by_eye(project, pull, read_mm)
        except BadInput as error:
            self.message.emit(str(error))
            return
        reading = reading_by_eye(project, pull, fit, self.sheet)
        self._editor.apply(tr("Read a proof"), lambda p: with_reading(p, reading))

    def open_scan(self) -> None:
        """Read a scan, asked for."""
        path = self._questions.scan_to_open() if self._document.project else None
        if path is not None:
            self.read_scan(path)

    def read_scan(self, path: Path, sheet: int | None = None) -> None:
        """How far every pull is out on a picture of a whole sheet. sheet : whose reading goes to the record."""
        project, cut = self._document.project, self._keeper.cut
        if project is None or cut is None or self._scans.then(lambda: self.read_scan(path, sheet)):
            return
        from nomos.formats.files import read_bytes

        try:
            request = scan_of(project, cut, read_bytes(path), path.name)
        except BadInput as error:
            self._failed(str(error))
            return
        self._scans.ask(request, lambda found: self._take_scan(path.name, found, sheet))

    def scan_demo(self) -> None:
        """Scan the sheet as it is tried on the screen, on the simulated scanner."""
        project, cut = self._document.project, self._keeper.cut
        if project is not None and cut is not None:
            name = tr("a simulated scan")
            self._scans.ask(scan_tried_of(project, cut), lambda found: self._take_scan(name, found))

    def _take_scan(self, name: str, found: "ScanFound", sheet: int | None = None) -> None:
        project = self._document.project
        by = tr("the sheet's edges")
        if project is not None and found.against:
            by = within(project.pull_name(found.against))
        self.scanned = Scanned(
            tr("{name}, measured against {by}", name=name, by=by), found, self.sheet if sheet is None else sheet
        )
        if sheet is not None:
            self.keep_scan(sheet)
        self.changed.emit()
        missing = [each.problem for each in found.pulls if each.problem]
        if missing:
            self.message.emit(missing[0])

    def keep_scan(self, sheet: int | None = None) -> None:
        """Keep what the scan showed of every pull, of the sheet that is set if none is named."""
        from nomos.project.register.readings import reading_of

        scanned = self.scanned
        if scanned is None:
            return

        def change(project: Project) -> Project:
            for each in scanned.found.pulls:
                reading = reading_of(project, each, self.sheet if sheet is None else sheet)
                if reading is not None:
                    project = with_reading(project, reading)
            return project

        self._editor.apply(tr("Keep a scan"), change)

    def show_reading(self) -> None:
        """Put the chosen pull on the screen where it was last found."""
        from nomos.project.register.edits import with_offset
        from nomos.project.register.readings import motion_kept

        project, pull = self._document.project, self._editor.state.pull
        if project is None or pull is None:
            return
        kept = next((each for each in reversed(project.readings) if each.pull == pull), None)
        if kept is None:
            self.message.emit(tr("This block has not been read yet."))
            return
        motion = motion_kept(project, kept)
        offset = Misregister(round(motion.shift_mm[0], 2), round(motion.shift_mm[1], 2), round(motion.rotation_deg, 2))
        self._editor.apply(tr("Show a reading"), lambda p: with_offset(p, pull, offset))

    # Practice

    def exercise(self, faults: int = 1) -> None:
        """Set the next exercise."""
        project, cut, last = self._document.project, self._keeper.cut, self.practice
        if project is None or cut is None or not project.impressions:
            return
        number = last.exercise.number + 1 if last else 1

        def take(made: "Exercise") -> None:
            points, answered = (last.points, last.answered) if last else (0, 0)
            self.practice = Practice(made, None, points, answered)
            self.changed.emit()

        self._exercises.ask(practise_of(project, cut, number, faults), take)

    def answer(self, fault: "Fault") -> None:
        """Say what is wrong with the exercise."""
        project, practice = self._document.project, self.practice
        if project is None or practice is None or practice.marking is not None:
            return
        from nomos.project.register.practice import mark_answer

        marking = mark_answer(project, practice.exercise, fault)
        self.practice = Practice(practice.exercise, marking, practice.points + marking.points, practice.answered + 1)
        self.changed.emit()
