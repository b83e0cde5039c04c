"""The best print orders."""

from dataclasses import dataclass
from datetime import date
from typing import TYPE_CHECKING, ClassVar

from msgspec.structs import replace

from nomos.base.language import tr
from nomos.base.progress import Part, Progress
from nomos.project import Project
from nomos.work.cut import Cut, Lay, lay_of
from nomos.work.request import Ask, held

if TYPE_CHECKING:
    from nomos.project.order.search import OrderReport


@dataclass(frozen=True)
class Orders:
    """Orders by a school, with some impressions pinned to places; days are counted from a start."""

    project: Project
    lay: Lay
    school: str = "free"
    pins: tuple[tuple[str, int], ...] = ()
    start: date | None = None
    said: ClassVar[str] = tr("looking for orders")

    def work(self, ask: Ask, progress: Progress) -> "OrderReport":
        """Look for them. Raises BadInput."""
        from nomos.project.order.search import best_orders

        laid = ask(self.lay, Part(progress, 0.0, 0.2))
        borders = ask(self.lay.cut).borders
        return best_orders(
            self.project, laid, borders, school=self.school, pins=dict(self.pins), start=self.start,
            progress=Part(progress, 0.2, 1.0),
        )  # fmt: skip


def orders_of(
    project: Project, cut: Cut, school: str = "free", pins: tuple[tuple[str, int], ...] = (),
    start: date | None = None,
) -> Orders:  # fmt: skip
    """The request for the orders of a project; the order it is in now matters only where it ties pulls."""
    tied = any(pull.wet for pull in project.impressions) or any(block.board for block in project.blocks)
    if not tied:
        pulls = tuple(sorted(project.impressions, key=lambda pull: pull.id))
        project = replace(project, impressions=pulls)
    own = held(
        project, "flat", "inks", "paper", "blocks", "impressions", "register", "plan", "workshop.sheets",
        "times", "craft", "seam_de00", "tolerance_mm",
    )  # fmt: skip
    return Orders(own, lay_of(project, cut), school, tuple(sorted(pins)), start)
