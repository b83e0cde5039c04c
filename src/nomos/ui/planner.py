"""Plans with few blocks: looked for in the background, better ones shown as they are found."""

from dataclasses import dataclass, replace
from pathlib import Path
from typing import Literal

from PyQt6.QtCore import QObject, pyqtSignal

from nomos.errors import BadInput
from nomos.progress import Part, Progress
from nomos.project import Project
from nomos.project.films import stock_of
from nomos.project.separating import (
    PROCESS_INKS,
    Reach,
    ShelfInk,
    candidates_of,
    inks_in_use,
    nearest_reachable,
    planned_colours,
    solver_request,
)
from nomos.project.sureness import plan_sureness
from nomos.separation.fields import Borders
from nomos.separation.plans import CandidateInk, Plan, SolverRequest, mixable_inks
from nomos.separation.solver import solve
from nomos.ui.document import Document
from nomos.ui.jobs import JobRunner
from nomos.ui.keeper import ProofKeeper

InkSource = Literal["own", "mix", "process", "shelf"]
DEFAULT_BLOCKS = 5


@dataclass(frozen=True)
class Asked:
    """What plans are looked for: inks from where, how many blocks at most (the key among them).

    wishes : number of a flat colour and `match` or `single`.
    uses : name of an ink and `must` or `not`.
    """

    source: InkSource = "mix"
    most_blocks: int = DEFAULT_BLOCKS
    keep_key: bool = True
    shelf: tuple[ShelfInk, ...] = ()
    wishes: tuple[tuple[int, str], ...] = ()
    uses: tuple[tuple[str, str], ...] = ()

    def with_wish(self, number: int, wish: str) -> "Asked":
        """With another wish for a flat colour; `none` takes it back."""
        others = tuple(each for each in self.wishes if each[0] != number)
        return replace(self, wishes=others if wish == "none" else (*others, (number, wish)))

    def with_next_use(self, ink: str) -> "Asked":
        """With the next of may, must and must not for an ink."""
        now = dict(self.uses).get(ink, "may")
        following = {"may": "must", "must": "not", "not": "may"}[now]
        others = tuple(each for each in self.uses if each[0] != ink)
        return replace(self, uses=others if following == "may" else (*others, (ink, following)))


@dataclass(frozen=True)
class Found:
    """The plans for a flat design, by number of colour blocks; `done` once the search has ended.

    reach : for each flat colour the nearest that two of the inks at most can give.
    within : of each plan how sure its worst colour is, ΔE00.
    """

    labels: str
    asked: Asked
    plans: tuple[tuple[Plan, ...], ...]
    done: bool
    reach: tuple[tuple[int, Reach], ...] = ()
    within: tuple[tuple[Plan, float], ...] = ()


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

    def _project_changed(self, before: Project | None, after: Project | None) -> None:
        labels = after.flat.labels if after and after.flat else None
        if self.found is not None and self.found.labels != labels:
            self.found = None
            self._runner.cancel("plans")
        if before is None or before.flat is None or before.flat.labels != labels:
            # Wishes go by the numbers of the flat colours, which are other ones now.
            self.asked = replace(self.asked, wishes=())

    def ask(self, asked: Asked) -> None:
        """Choose what to look for next."""
        self.asked = asked
        self.changed.emit()

    def ask_shelf(self, path: Path) -> None:
        """Take the inks of a shelf file."""
        from nomos.formats import read_inks

        try:
            shelf = read_inks(path)
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
            reach = nearest_reachable(stock_of(project), wanted, request.inks, progress=near)
            plans = solve(
                request,
                progress=Part(progress, 0.1, 1.0),
                better=lambda blocks, plan: self._better.emit(asked, blocks, plan),
            )
            sure = tuple((plan, _worst_within(project, plan)) for row in plans for plan in row)
            return Found(labels, asked, plans, done=True, reach=tuple(sorted(reach.items())), within=sure)

        def take(result: Found) -> None:
            self.found = result
            self.changed.emit()

        self._runner.run("plans", work, take, self.told.emit)

    def _improve(self, asked: Asked, blocks: int, plan: Plan) -> None:
        """A better plan replaces the one shown so far."""
        found = self.found
        if found is None or found.done or found.asked is not asked:
            return
        plans = [*found.plans, *[()] * (blocks - len(found.plans))]
        plans[blocks - 1] = (plan,)
        self.found = replace(found, plans=tuple(plans))
        self.changed.emit()


def _worst_within(project: Project, plan: Plan) -> float:
    place = max(range(len(plan.de00)), key=lambda n: plan.de00[n])
    return float(plan_sureness(stock_of(project), plan).within[place])


def _request(project: Project, borders: Borders, asked: Asked) -> SolverRequest:
    key = asked.keep_key and any(block.is_key for block in project.blocks)
    inks = candidates(project, asked)
    known = {ink.name for ink in inks}
    numbers = planned_colours(project, keep_key=asked.keep_key)
    return solver_request(
        project, borders, inks, max(1, asked.most_blocks - key), keep_key=asked.keep_key,
        must=[ink for ink, use in asked.uses if use == "must" and ink in known],
        must_not=[ink for ink, use in asked.uses if use == "not" and ink in known],
        must_match=[n for n, wish in asked.wishes if wish == "match" and n in numbers],
        single=[n for n, wish in asked.wishes if wish == "single" and n in numbers],
    )  # fmt: skip


def candidates(project: Project, asked: Asked) -> tuple[CandidateInk, ...]:
    """The inks that plans are made of."""
    if asked.source == "process":
        return PROCESS_INKS
    if asked.source == "shelf":
        return candidates_of(asked.shelf, project)
    if asked.source == "own":
        return inks_in_use(project)
    assert project.flat is not None
    bare = project.bare_colours()
    numbers = planned_colours(project, keep_key=asked.keep_key)
    return mixable_inks(stock_of(project), [project.flat.colours[n].lab for n in numbers if n not in bare])
