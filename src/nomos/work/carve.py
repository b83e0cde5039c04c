"""How blocks are cut: which tool where, how deep, how long."""

from dataclasses import dataclass
from typing import ClassVar

from nomos.base.language import tr
from nomos.base.progress import Part, Progress
from nomos.project import Project
from nomos.project.edition.carving import CarvedBlock, carve_blocks
from nomos.project.edition.fineness import Features, features_of
from nomos.work.cut import Cut
from nomos.work.request import Ask, held


@dataclass(frozen=True)
class FindFine:
    """What is too fine on every block for its material and tools."""

    project: Project
    cut: Cut
    said: ClassVar[str] = tr("looking for what is too fine")

    def work(self, ask: Ask, progress: Progress) -> Features:
        """Look."""
        blocks = ask(self.cut, Part(progress, 0.0, 0.3))
        return features_of(self.project, blocks, progress=Part(progress, 0.3, 1.0))


def fine_of(project: Project, cut: Cut) -> FindFine:
    """The request for what is too fine."""
    return FindFine(held(project, "flat", "blocks", "line_mm", "tool_mm", "craft.material", "craft.tools"), cut)


@dataclass(frozen=True)
class Carve:
    """The carving map of every block."""

    project: Project
    cut: Cut
    said: ClassVar[str] = tr("planning the cutting")

    def work(self, ask: Ask, progress: Progress) -> tuple[CarvedBlock, ...]:
        """Plan it. Raises CarvingError."""
        blocks = ask(self.cut, Part(progress, 0.0, 0.2))
        features = ask(fine_of(self.project, self.cut), Part(progress, 0.2, 0.4))
        return carve_blocks(self.project, blocks, features, progress=Part(progress, 0.4, 1.0))


def carve_of(project: Project, cut: Cut) -> Carve:
    """The request for a project's carving maps; how its blocks are inked does not matter."""
    return Carve(held(project, "flat", "blocks", "order", "line_mm", "tool_mm", "craft", "workshop.grip_mm"), cut)
