"""Plans with few blocks: looked for in the background, better ones shown as they are found."""

from dataclasses import dataclass, replace
from pathlib import Path
from typing import Literal

from PyQt6.QtCore import QObject, pyqtSignal

from nomos.errors import BadInput
from nomos.progress import Part, Progress
from nomos.project import Project
from nomos.project.reduction import with_reduction
from nomos.project.separating import (
    PROCESS_INKS,
    Reach,
    inks_in_use,
    nearest_reachable,
    planned_colours,
    solver_request,
)
from nomos.separation.fields import Borders
from nomos.separation.solver import CandidateInk, Plan, SolverRequest, mixable_inks, solve
from nomos.ui.document import Document
from nomos.ui.jobs import JobRunner
from nomos.ui.keeper import ProofKeeper

InkSource = Literal["own", "mix", "process", "shelf"]
DEFAULT_BLOCKS = 5


@dataclass(frozen=True)
class Asked:
    """What plans are looked for: inks from where, how many blocks at most (the key among them)."""

    source: InkSource = "mix"
    most_blocks: int = DEFAULT_BLOCKS
    keep_key: bool = True
    shelf: tuple[CandidateInk, ...] = ()


@dataclass(frozen=True)
class Found:
    """The plans for a flat design, by number of colour blocks; `done` once the search has ended.

    reach : for each flat colour the nearest that two of the inks at most can give.
    """

    labels: str
    asked: Asked
    plans: tuple[tuple[Plan, ...], ...]
    done: bool
    reach: tuple[tuple[int, Reach], ...] = ()


class Planner(QObject):
    """Looks for plans, and forgets them when the design they were for is no longer there."""

    changed = pyqtSignal()
    told = pyqtSignal(str)
    _better = pyqtSignal(object, int, object)

    def __init__(self, document: Document, runner: JobRunner, keeper: ProofKeeper) -> None:
        super().__init__()
        self._document, self._runner, self._keeper = document, runner, keeper
        self.asked = Asked()
        self.found: Found | None = None
        self._better.connect(self._improve)
        document.changed.connect(self._project_changed)

    def _project_changed(self, _before: Project | None, after: Project | None) -> None:
        labels = after.flat.labels if after and after.flat else None
        if self.found is not None and self.found.labels != labels:
            self.found = None
            self._runner.cancel("plans")

    def ask(self, asked: Asked) -> None:
        """Choose what to look for next."""
        self.asked = asked
        self.changed.emit()

    def ask_shelf(self, path: Path) -> None:
        """Take the inks of a shelf file."""
        from nomos.formats import read_shelf

        try:
            shelf = read_shelf(path)
        except BadInput as error:
            self.told.emit(str(error))
            return
        self.ask(replace(self.asked, source="shelf", shelf=shelf))

    def look(self) -> None:
        """Look for plans."""
        project, proof = self._document.project, self._keeper.proof
        if project is None or project.flat is None or proof is None:
            return
        asked, labels, borders = self.asked, project.flat.labels, proof.blocks.borders
        found = Found(labels, asked, (), done=False)
        self.found = found
        self.changed.emit()
        numbers = planned_colours(project, keep_key=asked.keep_key)
        bare = project.bare_colours()
        wanted = {n: project.flat.colours[n].lab for n in numbers if n not in bare}

        def work(progress: Progress) -> Found:
            request = _request(project, borders, asked)
            near = Part(progress, 0.0, 0.1)
            reach = nearest_reachable(project.paper.lab, wanted, request.inks, progress=near)
            plans = solve(
                request,
                progress=Part(progress, 0.1, 1.0),
                better=lambda blocks, plan: self._better.emit(asked, blocks, plan),
            )
            return Found(labels, asked, plans, done=True, reach=tuple(sorted(reach.items())))

        def take(result: Found) -> None:
            self.found = result
            self.changed.emit()

        self._runner.run("plans", work, take, self.told.emit)

    def reduce(self) -> None:
        """Make the project a reduction, or work its inks out anew for the order it has."""
        project = self._document.project
        if project is None:
            return

        def take(reduced: Project) -> None:
            # What was changed meanwhile is not thrown away.
            if self._document.project is project:
                self._document.apply("Reduction", lambda _project: reduced)

        self._runner.run(
            "plans", lambda progress: with_reduction(project, progress=progress), take, self.told.emit
        )

    def _improve(self, asked: Asked, blocks: int, plan: Plan) -> None:
        """A better plan replaces the one shown so far."""
        found = self.found
        if found is None or found.done or found.asked is not asked:
            return
        plans = [*found.plans, *[()] * (blocks - len(found.plans))]
        plans[blocks - 1] = (plan,)
        self.found = replace(found, plans=tuple(plans))
        self.changed.emit()


def _request(project: Project, borders: Borders, asked: Asked) -> SolverRequest:
    key = asked.keep_key and any(block.is_key for block in project.blocks)
    return solver_request(
        project, borders, _inks(project, asked), max(1, asked.most_blocks - key), keep_key=asked.keep_key
    )


def _inks(project: Project, asked: Asked) -> tuple[CandidateInk, ...]:
    if asked.source == "process":
        return PROCESS_INKS
    if asked.source == "shelf":
        return asked.shelf
    if asked.source == "own":
        return inks_in_use(project)
    assert project.flat is not None
    bare = project.bare_colours()
    numbers = planned_colours(project, keep_key=asked.keep_key)
    return mixable_inks(project.paper.lab, [project.flat.colours[n].lab for n in numbers if n not in bare])
