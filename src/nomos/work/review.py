"""Everything a printmaker should know of a project: one list, whoever asks for it."""

from dataclasses import dataclass
from typing import ClassVar

from nomos.base.language import tr
from nomos.base.progress import NULL_PROGRESS, Part, Progress
from nomos.project import Assets, Finding, Project, colour_matches, find, sheet_labs
from nomos.project.check.closelook import CloseLook, close_findings, look_closely
from nomos.project.check.inking import InkingLook
from nomos.project.edition.carving import CarvedBlock, carving_findings
from nomos.work.carve import carve_of, fine_of
from nomos.work.cut import Cut, Lay, cut_of, lay_of
from nomos.work.inking import inking_of
from nomos.work.request import Ask, held


@dataclass(frozen=True)
class LookClosely:
    """What takes seconds to find: what is too fine, what could share a block, pieces, slivers."""

    project: Project
    lay: Lay
    said: ClassVar[str] = tr("looking closely")

    def work(self, ask: Ask, progress: Progress) -> CloseLook:
        """Look."""
        laid = ask(self.lay, Part(progress, 0.0, 0.1))
        blocks = ask(self.lay.cut)
        features = ask(fine_of(self.project, self.lay.cut), Part(progress, 0.1, 0.5))
        rest = Part(progress, 0.5, 1.0)
        return look_closely(self.project, self.lay.cut.masks, blocks, laid, features, progress=rest)


def look_of(project: Project, cut: Cut) -> LookClosely:
    """The request for a close look at a project."""
    own = held(
        project, "flat", "blocks", "order", "tolerance_mm", "line_mm", "tool_mm", "craft.material", "craft.tools",
        "workshop.clearance_mm", "workshop.most_zones", "workshop.neck_mm", "workshop.cut_out",
    )  # fmt: skip
    return LookClosely(own, lay_of(project, cut))


def slow_findings(
    project: Project, look: CloseLook | None, inking: InkingLook | None = None, carved: tuple[CarvedBlock, ...] = ()
) -> tuple[Finding, ...]:
    """What takes seconds to find, of what has been worked out so far."""
    return (
        *(close_findings(project, look) if look is not None else ()),
        *(inking.findings if inking is not None else ()),
        *(carving_findings(project, carved) if carved else ()),
    )


def review(project: Project, assets: Assets, ask: Ask, *, progress: Progress = NULL_PROGRESS) -> tuple[Finding, ...]:
    """All findings of a project. Raises BadInput, Cancelled."""
    cut = cut_of(project, assets)
    if cut is None:
        return ()
    lay = lay_of(project, cut)
    laid = ask(lay, Part(progress, 0.0, 0.3))
    blocks = ask(cut)
    matches = colour_matches(project, laid, sheet_labs(project, laid))
    look = ask(look_of(project, cut), Part(progress, 0.3, 0.6))
    inking = ask(inking_of(project, cut), Part(progress, 0.6, 0.7)) if project.impressions else None
    carved = ask(carve_of(project, cut), Part(progress, 0.7, 1.0)) if project.impressions else ()
    return (*find(project, laid, matches, blocks.borders), *slow_findings(project, look, inking, carved))
