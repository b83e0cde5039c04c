"""Cutting and the edition: carving maps in the background, boards, transfer sheets, sheets to start with."""

from collections.abc import Sequence
from datetime import date

from msgspec.structs import replace

from nomos.base.errors import BadInput
from nomos.base.language import tr
from nomos.base.progress import Part, Progress
from nomos.carving import MATERIALS, Board, Material, Tool
from nomos.project import Project
from nomos.project.edition.carving import CarvedBlock, hours_of, with_boards_cut, with_craft
from nomos.project.edition.sheets import Record, with_edition, with_planned_sheets
from nomos.project.model.craft import CUTTING
from nomos.ui.frame.editor import Editor
from nomos.ui.frame.jobs import Asker, JobRunner
from nomos.ui.frame.keeper import ProofKeeper
from nomos.ui.frame.questions import Questions
from nomos.ui.frame.state import Marked
from nomos.ui.frame.station_editor import StationEditor
from nomos.work.carve import carve_of
from nomos.work.cut import cut_of


class CarveEditor(StationEditor):
    """Works out how blocks are cut, and writes what is taken to the bench."""

    def __init__(self, editor: Editor, runner: JobRunner, keeper: ProofKeeper, questions: Questions) -> None:
        super().__init__(editor, runner, keeper, questions)
        self._maps = Asker(runner, "carve", self._failed, said=tr("planning the cutting"))
        self._hours = Asker(runner, "efforts", self._failed, said=tr("comparing plans"))
        self._files = Asker(runner, "cutting", self._failed, said=tr("writing carving maps"), outlives=True)
        self.others: tuple[tuple[str, float], ...] = ()
        self._looking = False
        keeper.changed.connect(self._look_again)
        editor.document.changed.connect(self._project_changed)

    def _project_changed(self, before: Project | None, after: Project | None) -> None:
        if before is None or after is None or before.source != after.source:
            self.others = ()

    def look(self, looking: bool) -> None:
        """Whether the maps are to follow every change."""
        self._looking = looking
        self._look_again()

    def _look_again(self) -> None:
        project, cut = self._document.project, self._keeper.cut
        if self._looking and project is not None and cut is not None and project.impressions:
            request = carve_of(project, cut)
            if self._runner.answers.known(request) is None:
                self._maps.ask(request, lambda _: self.changed.emit())

    def carved_of(self, project: Project) -> tuple[CarvedBlock, ...]:
        """The maps of this project; none while they are worked out."""
        cut = self._keeper.cut
        known = self._runner.answers.known(carve_of(project, cut)) if cut is not None else None
        return known or ()

    def set_material(self, material: Material) -> None:
        """Cut all blocks in another material, as thick as it is commonly sold."""
        thick = MATERIALS[material].thickness_mm
        self._editor.apply(CUTTING, lambda p: with_craft(p, material=material, thickness_mm=thick))

    def set_boards(self, boards: tuple[Board, ...]) -> None:
        """Cut from other boards."""
        self._editor.apply(tr("Boards"), lambda p: with_craft(p, boards=boards))

    def set_tools(self, tools: tuple[Tool, ...]) -> None:
        """Cut with other tools."""
        self._editor.apply(CUTTING, lambda p: with_craft(p, tools=tools))

    def compare_plans(self, plans: Sequence[tuple[str, Project]]) -> None:
        """Hours of cutting of other plans beside the project's own. plans : a name and a project each."""
        assets, ask = dict(self._document.assets), self._runner.answers

        def work(progress: Progress) -> tuple[tuple[str, float], ...]:
            found = []
            for place, (name, other) in enumerate(plans):
                part = Part(progress, place / len(plans), (place + 1) / len(plans))
                cut = cut_of(other, assets)
                if cut is not None:
                    found.append((name, hours_of(ask(carve_of(other, cut), part))))
            return tuple(found)

        def take(others: tuple[tuple[str, float], ...]) -> None:
            self.others = others
            self.changed.emit()

        self._hours.do(work, take)

    def cut_boards(self) -> None:
        """The blocks are sawn: boards fewer, offcuts kept."""
        self._editor.apply(tr("Saw the blocks"), with_boards_cut)

    def take_from_log(self, good: float, pull_min: float | None) -> None:
        """Plan with what the log says: the chance of a good pull, and the pace."""

        def change(project: Project) -> Project:
            project = with_edition(project, good=good)
            if pull_min is None:
                return project
            return replace(project, times=replace(project.times, pull_min=pull_min))

        self._editor.apply(tr("What the log says"), change)

    def plan_sheets(self) -> None:
        """Plan ink and days for the number of sheets that is enough."""
        self._editor.apply(tr("Sheets"), with_planned_sheets)

    def write_cutting(self, page: str, marked: Marked) -> None:
        """Carving maps and transfer sheets into a folder asked for."""
        project, assets = self._document.project, dict(self._document.assets)
        folder = self._questions.folder_for_packet() if project else None
        if folder is None or project is None:
            return
        from nomos.work.packet import write_cutting

        ask = self._runner.answers
        self._files.do(
            lambda progress: write_cutting(folder, project, assets, ask, marked, paper=page, progress=progress),
            lambda _: self.message.emit(tr("carving.pdf and transfer.pdf are in {folder}.", folder=folder)),
        )

    def write_record(self, record: Record | None) -> None:
        """The edition statement and the tables into a folder asked for."""
        project = self._document.project
        folder = self._questions.folder_for_packet() if project and record else None
        if folder is None or project is None or record is None:
            return
        from nomos.formats.outputs import write_output
        from nomos.formats.record import record_csv, statement_pdf

        try:
            write_output(folder / "statement.pdf", statement_pdf(project, record, date.today()))
            for name, data in record_csv(project, record).items():
                write_output(folder / name, data)
        except BadInput as error:
            self._failed(str(error))
            return
        self.message.emit(tr("The statement and the tables are in {folder}.", folder=folder))
