"""Registration at work: the system, the tolerance and what flashes, proofs that are read, and practice."""

from collections.abc import Mapping
from dataclasses import dataclass
from pathlib import Path
from typing import TYPE_CHECKING, Any

from PyQt6.QtCore import QObject, pyqtSignal

from nomos.errors import BadInput
from nomos.progress import Part, Progress
from nomos.project import Project
from nomos.project.registering import motion_of, with_budget, with_reading, with_register
from nomos.proof import Misregister
from nomos.ui.document import Document, Edit
from nomos.ui.jobs import JobRunner
from nomos.ui.keeper import ProofKeeper
from nomos.ui.questions import Questions
from nomos.ui.views.state import UiState

if TYPE_CHECKING:
    # Imported where they are used: none of it is needed before its part of the station is in sight.
    from nomos.project.proof_scan import PullFound, ScanFound
    from nomos.project.training import Exercise, Fault, Marking, Picture
    from nomos.proof.flashing import Flashing


@dataclass(frozen=True, eq=False)
class Flashed:
    """What a simulation found: the fast estimate, and whole sheets once they were asked for."""

    project: Project
    fast: "Flashing"
    exact: "Flashing | None" = None


@dataclass(frozen=True, eq=False)
class Scanned:
    """A scan that has been read, and of which file."""

    name: str
    found: "ScanFound"


@dataclass(frozen=True, eq=False)
class Practice:
    """An exercise, how the last answer did, and the score so far."""

    exercise: "Exercise"
    marking: "Marking | None" = None
    points: int = 0
    answered: int = 0


class Registrar(QObject):
    """Changes how sheets meet blocks, simulates, reads proofs, and sets exercises."""

    changed = pyqtSignal()
    told = pyqtSignal(str)

    def __init__(
        self, document: Document, runner: JobRunner, keeper: ProofKeeper, questions: Questions
    ) -> None:
        super().__init__()
        self._document, self._runner, self._keeper, self._questions = document, runner, keeper, questions
        self.state = UiState()
        self.flashed: Flashed | None = None
        self.scanned: Scanned | None = None
        self.practice: Practice | None = None
        self.sheet = 0
        self.uncut = False
        self.looking = False
        self.grid: Picture | None = None
        self._grid_seed = 0
        document.changed.connect(self._project_changed)
        keeper.changed.connect(self._look_again)

    def _project_changed(self, before: Project | None, after: Project | None) -> None:
        if before is None or after is None or before.source != after.source:
            self.scanned = self.practice = self.flashed = self.grid = None
        elif self.scanned is not None and before.impressions != after.impressions:
            known = {pull.id for pull in after.impressions}
            if not all(found.pull in known for found in self.scanned.found.pulls):
                self.scanned = None

    # The system and the budget

    def set_register(self, **changes: Any) -> None:
        """Choose another system, its side, its pins or stops, marks, or damp paper."""
        self._edit("Registration", lambda p: with_register(p, **changes))

    def set_budget(self, **figures: Any) -> None:
        """Give one's own figure for a part of the error, or say whose hand it is; None takes the default."""
        self._edit("Tolerance", lambda p: with_budget(p, **figures), ("budget", tuple(figures)))

    # What flashes

    def look_at_flashes(self, looking: bool) -> None:
        """Whether the fast estimate is to follow every change."""
        self.looking = looking
        self._look_again()

    def _look_again(self) -> None:
        project, proof = self._document.project, self._keeper.proof
        if not self.looking or project is None or proof is None or proof.project is not project:
            return
        if self.flashed is not None and self.flashed.project is project:
            return
        from nomos.project.tolerating import flash_fast

        blocks = proof.blocks

        def take(fast: "Flashing") -> None:
            self.flashed = Flashed(project, fast)
            self.changed.emit()

        self._runner.run("flash", lambda _progress: flash_fast(project, blocks), take, self._failed)

    def simulate(self) -> None:
        """Print whole sheets, one by one."""
        project, proof = self._document.project, self._keeper.proof
        if project is None or proof is None:
            return
        blocks = proof.blocks

        from nomos.project.tolerating import EXACT_SHEETS, flash_exact, flash_fast

        def work(progress: Progress) -> Flashed:
            fast = flash_fast(project, blocks)
            return Flashed(project, fast, flash_exact(project, blocks, EXACT_SHEETS, progress=progress))

        def take(flashed: Flashed) -> None:
            self.flashed = flashed
            self.changed.emit()

        self._runner.run("flash", work, take, self._failed)

    def show_sheets(self) -> None:
        """Nine plausible sheets beside each other; once more takes other ones, then none."""
        project, proof = self._document.project, self._keeper.proof
        if project is None or proof is None or not project.impressions:
            return
        from nomos.project.plausible import plausible_grid

        blocks, seed = proof.blocks, self._grid_seed
        self._grid_seed += 1

        def take(grid: "Picture") -> None:
            self.grid = grid
            self.changed.emit()

        self._runner.run(
            "exercise", lambda _progress: plausible_grid(project, blocks, seed), take, self._failed
        )

    def hide_sheets(self) -> None:
        """Show the print again."""
        self.grid = None
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
        from nomos.project.reading import read_by_eye, reading_by_eye

        project, pull = self._document.project, self.state.pull
        if project is None or pull is None:
            self.told.emit("Choose a block first.")
            return
        try:
            fit = read_by_eye(project, pull, read_mm)
        except BadInput as error:
            self.told.emit(str(error))
            return
        reading = reading_by_eye(project, pull, fit, self.sheet)
        self._edit("Read a proof", lambda p: with_reading(p, reading))

    def open_scan(self) -> None:
        """Read a scan, asked for."""
        path = self._questions.scan_to_open() if self._document.project else None
        if path is not None:
            self.read_scan(path)

    def read_scan(self, path: Path) -> None:
        """How far every pull is out on a scan of a whole sheet."""
        project, proof = self._document.project, self._keeper.proof
        if project is None or proof is None:
            return
        blocks = proof.blocks

        def work(progress: Progress) -> "ScanFound":
            from nomos.design import read_picture
            from nomos.project.proof_scan import measure_scan

            try:
                data = path.read_bytes()
            except OSError as error:
                raise BadInput(f"{path.name} cannot be read: {error.strerror or error}.") from None
            progress.report(0.02, "reading the scan")
            scan = read_picture(data, path.name).rgb
            return measure_scan(project, blocks, scan, progress=Part(progress, 0.05, 1.0))

        self._runner.run("scan", work, lambda found: self._take_scan(path.name, found), self._failed)

    def scan_demo(self) -> None:
        """Scan the sheet as it is tried on the screen, on the simulated scanner."""
        project, proof = self._document.project, self._keeper.proof
        if project is None or proof is None:
            return
        blocks = proof.blocks

        def work(progress: Progress) -> "ScanFound":
            from nomos.devices import Scanner
            from nomos.project.proof_scan import measure_scan, printed_sheet

            progress.report(0.02, "scanning a sheet")
            motions = [motion_of(project, pull) for pull in project.impressions]
            page = printed_sheet(project, blocks, motions)
            scan = Scanner(turn_deg=0.7, blur_px=0.8, border_px=80, noise=2.0).scan(page)
            return measure_scan(project, blocks, scan, progress=Part(progress, 0.1, 1.0))

        self._runner.run("scan", work, lambda found: self._take_scan("a simulated scan", found), self._failed)

    def _take_scan(self, name: str, found: "ScanFound") -> None:
        self.scanned = Scanned(name, found)
        self.changed.emit()
        missing = [each.problem for each in found.pulls if each.problem]
        if missing:
            self.told.emit(missing[0])

    def keep_scan(self) -> None:
        """Keep what the scan showed of every pull."""
        from nomos.project.reading import reading_of

        scanned = self.scanned
        if scanned is None:
            return

        def change(project: Project) -> Project:
            for each in scanned.found.pulls:
                reading = reading_of(project, each, self.sheet)
                if reading is not None:
                    project = with_reading(project, reading)
            return project

        self._edit("Keep a scan", change)

    def found_of(self, pull: str) -> "PullFound | None":
        """What the last scan showed of a pull."""
        scanned = self.scanned
        return None if scanned is None else next((f for f in scanned.found.pulls if f.pull == pull), None)

    def show_reading(self) -> None:
        """Put the chosen pull on the screen where it was last found."""
        from nomos.project.edits import with_offset
        from nomos.project.reading import motion_kept

        project, pull = self._document.project, self.state.pull
        if project is None or pull is None:
            return
        kept = next((each for each in reversed(project.readings) if each.pull == pull), None)
        if kept is None:
            self.told.emit("This block has not been read yet.")
            return
        motion = motion_kept(project, kept)
        offset = Misregister(
            round(motion.shift_mm[0], 2), round(motion.shift_mm[1], 2), round(motion.rotation_deg, 2)
        )
        self._edit("Show a reading", lambda p: with_offset(p, pull, offset))

    # Practice

    def exercise(self, faults: int = 1) -> None:
        """Set the next exercise."""
        project, proof = self._document.project, self._keeper.proof
        if project is None or proof is None or not project.impressions:
            return
        from nomos.project.training import make_exercise

        blocks, last = proof.blocks, self.practice
        number = last.exercise.number + 1 if last else 1

        def take(made: "Exercise") -> None:
            points, answered = (last.points, last.answered) if last else (0, 0)
            self.practice = Practice(made, None, points, answered)
            self.changed.emit()

        self._runner.run(
            "exercise", lambda _progress: make_exercise(project, blocks, number, faults), take, self._failed
        )

    def answer(self, fault: "Fault") -> None:
        """Say what is wrong with the exercise."""
        project, practice = self._document.project, self.practice
        if project is None or practice is None or practice.marking is not None:
            return
        from nomos.project.training import mark_answer

        marking = mark_answer(project, practice.exercise, fault)
        self.practice = Practice(
            practice.exercise, marking, practice.points + marking.points, practice.answered + 1
        )
        self.changed.emit()

    def _failed(self, problem: str) -> None:
        self.told.emit(problem)
        self.changed.emit()

    def _edit(self, text: str, change: Edit, merge_key: object = None) -> None:
        try:
            self._document.apply(text, change, merge_key=merge_key)
        except BadInput as error:
            self._failed(str(error))
