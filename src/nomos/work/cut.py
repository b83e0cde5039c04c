"""Blocks cut from a flat design, and sheets laid from blocks."""

from dataclasses import dataclass, replace
from typing import ClassVar

from nomos.base.language import tr
from nomos.base.progress import Part, Progress, show, wants_first
from nomos.project import (
    Assets,
    CutBlocks,
    LaidSheet,
    MaskRequest,
    Project,
    Spot,
    ToLay,
    bare_places,
    cut_blocks,
    impressions_to_lay,
    lay_sheet,
    mask_request,
)
from nomos.project.sheet.laying import PAD_MM
from nomos.project.sheet.masks import cut_coarsely
from nomos.work.request import Ask, held

# A page of more pixels is seen with so many first: about those of the window.
_FIRST_PX = 1_000_000


@dataclass(frozen=True)
class Cut:
    """The masks of all blocks."""

    masks: MaskRequest
    said: ClassVar[str] = tr("cutting the blocks")

    def work(self, ask: Ask, progress: Progress) -> CutBlocks:
        """Cut them; where only what was drawn by hand differs from blocks cut before, the rest is theirs."""
        blank = replace(self.masks, drawn=())
        earlier = ask.alike(Cut, lambda other: replace(other.masks, drawn=()) == blank)
        cut: CutBlocks = cut_blocks(self.masks, earlier=earlier, progress=progress)
        return cut


@dataclass(frozen=True)
class Lay:
    """A sheet laid from blocks, in whatever order they print."""

    cut: Cut
    pulls: tuple[ToLay, ...]
    pad_mm: float = PAD_MM
    said: ClassVar[str] = tr("laying the sheet")

    def work(self, ask: Ask, progress: Progress) -> LaidSheet:
        """Lay it."""
        blocks = ask(self.cut, progress)
        progress.report(0.8, self.said)
        # Measured here, or who asks for them first when the sheet is shown would wait.
        _ = blocks.borders, blocks.areas_mm2
        progress.report(0.9, self.said)
        return lay_sheet(blocks, self.pulls, pad_mm=self.pad_mm)


@dataclass(frozen=True, eq=False)
class Sheet:
    """A laid sheet with the blocks it was laid from, and the largest spots that stay bare and should not."""

    blocks: CutBlocks
    laid: LaidSheet
    bare: tuple[Spot, ...]


@dataclass(frozen=True)
class Bare:
    """A sheet, and where bare paper shows though a colour should print there."""

    lay: Lay
    project: Project
    said: ClassVar[str] = tr("laying the sheet")

    def work(self, ask: Ask, progress: Progress) -> Sheet:
        """Lay it, and look for such spots; of a large one a coarse sheet is shown first, if it is wanted."""
        if wants_first(progress) and (first := _first_sheet(self.lay, progress)) is not None:
            show(progress, first)
        laid, blocks = ask(self.lay, progress), ask(self.lay.cut)
        progress.report(0.98, self.said)
        return Sheet(blocks, laid, bare_places(self.project, blocks, laid))


def _first_sheet(lay: Lay, progress: Progress) -> Sheet | None:
    # It is a beginning only: whoever waits is told of no share of the work.
    begun = Part(progress, 0.0, 0.0)
    blocks = cut_coarsely(lay.cut.masks, _FIRST_PX, progress=begun)
    if blocks is None:
        return None
    begun.report(1.0, lay.said)
    return Sheet(blocks, lay_sheet(blocks, lay.pulls, pad_mm=lay.pad_mm), ())


def cut_of(project: Project, assets: Assets) -> Cut | None:
    """The request for a project's blocks; None while there is no flat design."""
    masks = mask_request(project, assets)
    return None if masks is None else Cut(masks)


def lay_of(project: Project, cut: Cut, pad_mm: float = PAD_MM) -> Lay:
    """The request for a project's sheet."""
    return Lay(cut, impressions_to_lay(project), pad_mm)


def sheet_of(project: Project, cut: Cut) -> Bare:
    """The request for a project's sheet and what stays bare on it."""
    return Bare(lay_of(project, cut), held(project, "flat", "blocks"))
