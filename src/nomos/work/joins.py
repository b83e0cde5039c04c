"""How the colours of a print join: what runs under what, and what only kisses, as a page to look at."""

from dataclasses import dataclass
from typing import ClassVar

import numpy as np

from nomos.base.language import tr
from nomos.base.progress import Part, Progress
from nomos.project import Project
from nomos.project.blocks.traps import border_traps
from nomos.proof import Index, mips
from nomos.separation.contour import contour_mask
from nomos.separation.masks import every
from nomos.work.cut import Cut
from nomos.work.request import Ask

# It is looked at on a screen: no more pixels than that.
_PIXELS = 2_500_000


@dataclass(frozen=True, eq=False)
class JoinsPage:
    """The image by numbers: its flat colours; then what is trapped, what runs under the key, what kisses.

    levels : (height, width) numbers, each half as fine as the one before.
    px_per_mm : of the finest.
    """

    levels: tuple[Index, ...]
    px_per_mm: float


@dataclass(frozen=True)
class Joins:
    """Where colours join.

    kisses : pairs of flat colours that only meet. tolerance_mm : how wide that is shown.
    """

    cut: Cut
    kisses: tuple[tuple[int, int], ...]
    tolerance_mm: float
    said: ClassVar[str] = tr("looking at the joins")

    def work(self, ask: Ask, progress: Progress) -> JoinsPage:
        """Look. Raises Cancelled."""
        cut = ask(self.cut, Part(progress, 0.0, 0.5))
        step = every(cut.labels.size, _PIXELS)
        labels = np.ascontiguousarray(cut.labels[::step, ::step])
        count = int(cut.labels.max(initial=0)) + 1
        plans = self.cut.masks.plans
        hidden = _among(labels, {n for plan in plans if plan.is_key for n in plan.colours})
        more = np.zeros(labels.shape, bool)
        for place, plan in enumerate(plans):
            progress.report(0.5 + 0.3 * place / len(plans), self.said)
            if not plan.is_key and not plan.lines:
                more |= (cut.masks[place][::step, ::step] == 1) & ~_among(labels, set(plan.colours))
        page = labels.copy()
        page[more & ~hidden] = count
        page[more & hidden] = count + 1
        progress.report(0.85, self.said)
        if self.kisses:
            wide = max(self.tolerance_mm * cut.px_per_mm / step, 2.0)
            page[contour_mask(labels, [(a, b, wide) for a, b in self.kisses]) == 1] = count + 2
        return JoinsPage(mips(page), cut.px_per_mm / step)


def _among(labels: Index, colours: set[int]) -> np.ndarray:
    """Where one of some colours lies. (height, width) bool."""
    return np.asarray(np.isin(np.arange(256), list(colours)))[labels]


def joins_of(project: Project, cut: Cut) -> Joins:
    """The request for a project's joins; of its inks only what runs under what matters."""
    kisses = tuple((trap.lighter, trap.darker) for trap in border_traps(project) if trap.kind == "kiss")
    return Joins(cut, kisses, project.tolerance_mm)
