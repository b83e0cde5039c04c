"""Cutting and the edition: carving maps in the background, boards, transfer sheets, sheets to start with."""

from collections.abc import Sequence
from dataclasses import dataclass
from datetime import date
from pathlib import Path
from typing import Any, Literal

from msgspec.structs import replace
from PyQt6.QtCore import QObject, pyqtSignal

from nomos.carving.transfer import TransferWay
from nomos.errors import BadInput
from nomos.progress import Part, Progress
from nomos.project import Project, cut_blocks, mask_request
from nomos.project.carvings import CarvedBlock, carve_blocks, hours_of, with_boards_cut, with_craft
from nomos.project.editions import Record, with_edition, with_planned_sheets
from nomos.project.edits import in_register
from nomos.ui.document import Document, Edit
from nomos.ui.jobs import JobRunner
from nomos.ui.keeper import ProofKeeper
from nomos.ui.questions import Questions

_CUTS_NOTHING = ("title", "readings", "times")


@dataclass(frozen=True, eq=False)
class Carved:
    """Carving maps, and the project they belong to."""

    project: Project
    blocks: tuple[CarvedBlock, ...]


class Crafter(QObject):
    """Works out how blocks are cut, and writes what is taken to the bench."""

    changed = pyqtSignal()
    told = pyqtSignal(str)

    def __init__(
        self, document: Document, runner: JobRunner, keeper: ProofKeeper, questions: Questions
    ) -> None:
        super().__init__()
        self._document, self._runner, self._keeper, self._questions = document, runner, keeper, questions
        self.carved: Carved | None = None
        self.marked: Literal["stays", "goes"] = "stays"
        self.others: tuple[tuple[str, float], ...] = ()
        self._looking = False
        keeper.changed.connect(self._look_again)
        document.changed.connect(self._project_changed)

    def _project_changed(self, before: Project | None, after: Project | None) -> None:
        if before is None or after is None or before.source != after.source:
            self.carved, self.others = None, ()

    def look(self, looking: bool) -> None:
        """Whether the maps are to follow every change."""
        self._looking = looking
        self._look_again()

    def _look_again(self) -> None:
        project, proof = self._document.project, self._keeper.proof
        if not self._looking or project is None or proof is None or proof.project is not project:
            return
        if self.carved is not None and _same_cutting(self.carved.project, project):
            return
        blocks = proof.blocks

        def take(carved: tuple[CarvedBlock, ...]) -> None:
            self.carved = Carved(project, carved)
            self.changed.emit()

        self._runner.run(
            "carve", lambda progress: carve_blocks(project, blocks, progress=progress), take, self._failed
        )

    def carved_of(self, project: Project) -> tuple[CarvedBlock, ...]:
        """The maps of this project; none while they are worked out."""
        found = self.carved
        return found.blocks if found is not None and _same_cutting(found.project, project) else ()

    def set_craft(self, **changes: Any) -> None:
        """Cut with other tools, in other material, from other boards."""
        self._edit("Cutting", lambda p: with_craft(p, **changes), ("craft", tuple(changes)))

    def compare_plans(self, plans: Sequence[tuple[str, Project]]) -> None:
        """Hours of cutting of other plans beside the project's own. plans : a name and a project each."""
        assets = dict(self._document.assets)

        def work(progress: Progress) -> tuple[tuple[str, float], ...]:
            found = []
            for place, (name, other) in enumerate(plans):
                progress.report(place / max(len(plans), 1), f"cutting {name}")
                request = mask_request(other, assets)
                if request is not None:
                    found.append((name, hours_of(carve_blocks(other, cut_blocks(request)))))
            return tuple(found)

        def take(others: tuple[tuple[str, float], ...]) -> None:
            self.others = others
            self.changed.emit()

        self._runner.run("efforts", work, take, self._failed)

    def cut_boards(self) -> None:
        """The blocks are sawn: boards fewer, offcuts kept."""
        self._edit("Saw the blocks", with_boards_cut)

    def set_edition(self, **changes: Any) -> None:
        """Mean another edition."""
        self._edit("Edition", lambda p: with_edition(p, **changes), ("edition", tuple(changes)))

    def take_from_log(self, good: float, pull_min: float | None) -> None:
        """Plan with what the log says: the chance of a good pull, and the pace."""

        def change(project: Project) -> Project:
            project = with_edition(project, good=good)
            if pull_min is None:
                return project
            return replace(project, times=replace(project.times, pull_min=pull_min))

        self._edit("What the log says", change)

    def plan_sheets(self) -> None:
        """Plan ink and days for the number of sheets that is enough."""
        self._edit("Sheets", with_planned_sheets)

    def mark(self, marked: str) -> None:
        """Mark transfer sheets by what stays or by what goes."""
        self.marked = "goes" if marked == "goes" else "stays"
        self.changed.emit()

    def write_cutting(self, page: str) -> None:
        """Carving maps and transfer sheets into a folder asked for."""
        project, proof = self._document.project, self._keeper.proof
        folder = self._questions.folder_for_packet() if project and proof else None
        if folder is None or project is None or proof is None:
            return
        blocks, way, marked = proof.blocks, project.craft.transfer, self.marked

        def work(progress: Progress) -> None:
            _write_cutting(folder, in_register(project), blocks, way, marked, page, progress)

        self._runner.run(
            "packet",
            work,
            lambda _: self.told.emit(f"carving.pdf and transfer.pdf are in {folder}."),
            self._failed,
        )

    def write_record(self, record: Record | None) -> None:
        """The edition statement and the tables into a folder asked for."""
        project = self._document.project
        folder = self._questions.folder_for_packet() if project and record else None
        if folder is None or project is None or record is None:
            return
        from nomos.formats import writing_into
        from nomos.formats.record import record_csv, statement_pdf

        try:
            with writing_into(folder):
                (folder / "statement.pdf").write_bytes(statement_pdf(project, record, date.today()))
                for name, data in record_csv(project, record).items():
                    (folder / name).write_bytes(data)
        except BadInput as error:
            self._failed(str(error))
            return
        self.told.emit(f"The statement and the tables are in {folder}.")

    def _failed(self, problem: str) -> None:
        self.told.emit(problem)
        self.changed.emit()

    def _edit(self, text: str, change: Edit, merge_key: object = None) -> None:
        try:
            self._document.apply(text, change, merge_key=merge_key)
        except BadInput as error:
            self._failed(str(error))


def _same_cutting(one: Project, other: Project) -> bool:
    """Whether two projects are cut alike."""
    # What is named says nothing of the cutting; all else may, and is compared.
    alike = replace(one, **{name: getattr(other, name) for name in _CUTS_NOTHING})
    return one is other or alike == other


def _write_cutting(
    folder: Path, project: Project, blocks: Any, way: TransferWay, marked: Any, page: str, progress: Progress
) -> None:
    from nomos.formats import templates, writing_into
    from nomos.formats.carving_pdf import carving_pdf
    from nomos.formats.files import write_file
    from nomos.formats.transfer_pdf import transfer_pdf

    drawn = templates(project, blocks, progress=Part(progress, 0.0, 0.4))
    carved = carve_blocks(project, blocks, progress=Part(progress, 0.4, 0.6))
    with writing_into(folder):
        folder.mkdir(parents=True, exist_ok=True)
        write_file(folder, "transfer.pdf", transfer_pdf(project, drawn, way, marked, paper=page))
        write_file(folder, "carving.pdf", carving_pdf(project, blocks, carved, paper=page))
