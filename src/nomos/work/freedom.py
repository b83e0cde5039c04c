"""Where the knife and the inker are free: what a block may print or leave without a change that is seen."""

from dataclasses import dataclass, replace
from typing import ClassVar

import numpy as np

from nomos.base.language import tr
from nomos.base.progress import NULL_PROGRESS, Part, Progress
from nomos.project import LaidSheet, Project
from nomos.project.check.cutting import freedom_of
from nomos.project.check.inking import stray_lines
from nomos.project.model import Outline
from nomos.proof import CombinationMap, Index, mips
from nomos.separation.masks import every
from nomos.work.cut import Cut, Lay, lay_of
from nomos.work.request import Ask, held

# It is looked at on a screen: no more pixels than that, and fewer for lines.
_PIXELS, _LINE_PIXELS = 2_500_000, 300_000


@dataclass(frozen=True, eq=False)
class Freedom:
    """One block on the image, and how far its ink may run.

    levels : (height, width) numbers, each half as fine as the one before: 1 where it prints,
        2 more where it is free to print or not.
    px_per_mm : of the finest.
    lines : closed outlines, mm on the sheet.
    """

    levels: tuple[Index, ...]
    px_per_mm: float
    lines: tuple[Outline, ...]


@dataclass(frozen=True)
class LookForFreedom:
    """Where a pull's block may print or not, unseen."""

    project: Project
    lay: Lay
    pull: str
    said: ClassVar[str] = tr("looking where nothing is seen")

    def work(self, ask: Ask, progress: Progress) -> Freedom:
        """Look. Raises Cancelled."""
        laid = ask(self.lay, Part(progress, 0.0, 0.4))
        return look_for_freedom(self.project, laid, self.pull, progress=Part(progress, 0.4, 1.0))


def freedom_request(project: Project, cut: Cut, pull: str) -> LookForFreedom:
    """The request for where a pull's block is free."""
    own = held(project, "flat", "inks", "paper", "blocks", "impressions", "tolerance_mm")
    return LookForFreedom(own, lay_of(project, cut), pull)


def look_for_freedom(project: Project, laid: LaidSheet, pull: str, *, progress: Progress = NULL_PROGRESS) -> Freedom:
    """Where a pull's block is free on a laid sheet. pull : its id. Raises Cancelled."""
    small = _inside(laid, _PIXELS)
    free = freedom_of(project, small, pull)
    progress.report(0.5, LookForFreedom.said)
    prints = small.printed_by(pull)[small.map.index].astype(np.uint8)
    levels = mips(free * np.uint8(2) + prints)
    progress.report(0.7, LookForFreedom.said)
    return Freedom(levels, small.px_per_mm, stray_lines(project, _inside(laid, _LINE_PIXELS), pull))


def _inside(laid: LaidSheet, pixels: int) -> LaidSheet:
    """The image of a laid sheet without its margin, at no more than so many pixels."""
    inner = laid.inner
    step = every(inner.size, pixels)
    index: Index = inner[::step, ::step].copy()
    small = CombinationMap(index, laid.map.members, laid.map.pixels)
    return replace(laid, map=small, pad_px=0, px_per_mm=laid.px_per_mm / step)
