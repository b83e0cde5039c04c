"""How pulls can be inked: how far their ink may stray, and whether inks on one block keep apart."""

from dataclasses import dataclass
from typing import ClassVar

from nomos.base.language import tr
from nomos.base.progress import Part, Progress
from nomos.project import Project
from nomos.project.check.inking import InkingLook, look_at_inking
from nomos.work.cut import Cut
from nomos.work.request import Ask, held


@dataclass(frozen=True)
class LookAtInking:
    """What is to be known when the blocks are inked."""

    project: Project
    cut: Cut
    said: ClassVar[str] = tr("looking where ink may stray")

    def work(self, ask: Ask, progress: Progress) -> InkingLook:
        """Look."""
        blocks = ask(self.cut, Part(progress, 0.0, 0.2))
        return look_at_inking(self.project, blocks, progress=Part(progress, 0.2, 1.0))


def inking_of(project: Project, cut: Cut) -> LookAtInking:
    """The request for how a project's pulls can be inked."""
    own = held(
        project, "flat", "inks", "paper", "blocks", "impressions", "tolerance_mm",
        "workshop.clearance_mm", "workshop.most_zones",
    )  # fmt: skip
    return LookAtInking(own, cut)
