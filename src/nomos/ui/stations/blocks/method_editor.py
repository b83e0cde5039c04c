"""How the print is made: method, zones, pieces, boards. Slow edits are worked out in the background."""

from collections.abc import Callable

from msgspec.structs import replace

from nomos.base.language import tr
from nomos.base.progress import Progress
from nomos.project import Cure, Project, digest
from nomos.project.blocks.edits import without_impression
from nomos.project.blocks.jigsaw import with_kerf, with_light
from nomos.project.blocks.keys import with_shadow_side
from nomos.project.blocks.methods import METHODS, with_method, with_usual_order
from nomos.project.blocks.reduction import is_reduction
from nomos.project.blocks.zones import grade_over_image, printed_again, split_zones, with_grade
from nomos.project.model import Grade
from nomos.ui.frame.document import Edit, Slow
from nomos.ui.frame.editor import Editor
from nomos.ui.frame.jobs import Asker, JobRunner
from nomos.ui.frame.keeper import ProofKeeper
from nomos.ui.frame.questions import Questions
from nomos.ui.frame.station_editor import StationEditor, dropped


class MethodEditor(StationEditor):
    """Edits of how a project is printed."""

    def __init__(self, editor: Editor, runner: JobRunner, keeper: ProofKeeper, questions: Questions) -> None:
        super().__init__(editor, runner, keeper, questions)
        self._slow = Asker(runner, "ways", self.message.emit, said=tr("working it out anew"))
        self._grade: tuple[int, Grade] | None = None

    def slowly(self, text: str, change: Slow) -> None:
        """An edit that takes longer than a hand may wait; dropped if something else is done meanwhile."""
        project = self._document.project
        if project is None:
            return

        def take(after: Project) -> None:
            if self._document.project is project:
                self._editor.apply(text, lambda _project: after)
            else:
                self.message.emit(dropped(text))

        self._slow.do(lambda progress: change(project, progress), take)

    def in_stack(self, text: str, change: Edit) -> None:
        """An edit that works the inks of a reduction out anew, and of anything else touches little."""
        project = self._document.project
        if project is not None and is_reduction(project):
            self.slowly(text, lambda p, _progress: change(p))
        else:
            self._editor.apply(text, change)

    def choose_method(self, method: str) -> None:
        """Print another way; the inks of a reduction are worked out anew each time."""
        change = self.printed_by(method)
        if change is not None:
            self.slowly(METHODS[method].undo, change)

    def printed_by(self, method: str) -> Slow | None:
        """What makes the project printed another way."""
        proof = self._keeper.proof
        if method not in METHODS:
            return None
        return lambda project, progress: with_method(
            project, method, proof.drawn_key if proof else None, progress=progress
        )

    def take_order(self, key: str) -> None:
        """Take one of the orders offered; a reduction's inks follow."""
        project = self._document.project
        if project is not None and is_reduction(project):
            self.slowly(tr("Print order"), lambda p, progress: with_usual_order(p, key, progress=progress))
        else:
            self._editor.apply(tr("Print order"), lambda p: with_usual_order(p, key))

    def cure(self, cure: Cure) -> None:
        """Do what a finding proposes."""
        self.in_stack(cure.text, cure.edit)

    def set_kerf(self, kerf_mm: float) -> None:
        """Saw with a cut of another width."""
        self._editor.apply(tr("Saw cut"), lambda p: with_kerf(p, kerf_mm), "kerf")

    def tint(self, direction_deg: float) -> None:
        """Part the chosen colour into tint and shade by the light."""
        proof, colour = self._keeper.proof, self._editor.state.colour
        if proof is None or colour is None:
            self.message.emit(tr("Click a field of the colour first that is to have tints and shades."))
            return

        def change(project: Project, _progress: Progress) -> Project:
            after, png = with_light(project, proof.blocks.labels, colour, direction_deg)
            self._document.assets[digest(png)] = png
            return after

        self.slowly(tr("Tints and shades"), change)

    def shade(self, direction_deg: float) -> None:
        """Lay the shadow key on the side away from the light, of the chosen colours or of the darks."""
        proof = self._keeper.proof
        if proof is None:
            return

        def change(project: Project, _progress: Progress) -> Project:
            after, png = with_shadow_side(project, proof.blocks.labels, self._editor.state.colours, direction_deg)
            self._document.assets[digest(png)] = png
            return after

        self.slowly(tr("Shadow by the light"), change)

    def print_again(self) -> None:
        """Print the chosen block once more."""
        self._editor.on_pull(tr("Print once more"), printed_again)

    def split_zones(self) -> None:
        """Give each zone of the chosen block a block of its own."""
        self._editor.on_pull(tr("Take zones apart"), split_zones)

    def leave_out(self) -> None:
        """Leave the chosen pull out."""
        self._editor.on_pull(tr("Leave a pull out"), without_impression)

    def grade(self, on: bool) -> None:
        """Ink the chosen zone from full to nothing down the image, or evenly again."""
        zone = self._editor.state.zone

        def change(project: Project, pull: str) -> Project:
            strength = project.impression(pull).zones[zone].strength
            return with_grade(project, pull, zone, grade_over_image(project, strength) if on else None)

        self._editor.on_pull(tr("Graded inking") if on else tr("Even inking"), change)

    def set_grade_to(self, strength: float) -> None:
        """Set the strength at the end of the chosen graded zone."""
        self._regrade(lambda grade: replace(grade, to=strength), tr("grade to"))

    def drag_grade(self, end: str, dx_mm: float, dy_mm: float, gesture: int) -> None:
        """Drag the `start` or the `end` of the graded zone so far from where it was."""
        grade = self._chosen_grade()
        if grade is None:
            return
        if self._grade is None or self._grade[0] != gesture:
            self._grade = (gesture, grade)
        x, y = self._grade[1].start if end == "start" else self._grade[1].end
        place = (round(x + dx_mm, 1), round(y + dy_mm, 1))
        self._regrade(lambda old: replace(old, **{end: place}), ("grade", end, gesture))

    def _chosen_grade(self) -> Grade | None:
        project, pull = self._document.project, self._editor.state.pull
        if project is None or pull is None:
            return None
        return project.impression(pull).zones[self._editor.state.zone].grade

    def _regrade(self, change: Callable[[Grade], Grade], merge_key: object) -> None:
        grade, pull, zone = self._chosen_grade(), self._editor.state.pull, self._editor.state.zone
        if grade is not None and pull is not None:
            changed = change(grade)
            key = (merge_key, pull, zone)
            self._editor.apply(tr("Graded inking"), lambda p: with_grade(p, pull, zone, changed), key)
