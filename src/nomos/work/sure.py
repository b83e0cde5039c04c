"""How sure the predicted colours are."""

from dataclasses import dataclass
from typing import ClassVar

from nomos.base.language import tr
from nomos.base.progress import Progress
from nomos.project import Project
from nomos.project.inks.colour_uncertainty import Judged, judge
from nomos.work.request import Ask, held


@dataclass(frozen=True)
class Sure:
    """How sure the flat colours are, and some further overlaps of films."""

    project: Project
    overlaps: tuple[frozenset[int], ...] = ()
    said: ClassVar[str] = tr("how sure the colours are")

    def work(self, ask: Ask, progress: Progress) -> Judged:  # noqa: ARG002 - it asks nothing
        """Judge them."""
        return judge(self.project, self.overlaps, progress=progress)


def sure_of(project: Project, overlaps: tuple[frozenset[int], ...] = ()) -> Sure:
    """The request for how sure a project's colours are."""
    return Sure(held(project, "flat", "inks", "paper", "blocks", "impressions", "register"), overlaps)
