"""From a project to the masks of its blocks."""

from collections.abc import Sequence
from dataclasses import dataclass, replace
from functools import cached_property

import numpy as np
from numpy.typing import NDArray

from nomos.base.progress import NULL_PROGRESS, Progress
from nomos.colour import delta_e00
from nomos.design import Labels
from nomos.project.blocks.traps import border_traps
from nomos.project.model import Block, Project
from nomos.project.model.store import Assets, labels_from_png, mask_from_png, png_width
from nomos.separation import BlockPlan, Mask, block_masks
from nomos.separation.contour import contour_lines
from nomos.separation.fields import Borders, measure_borders
from nomos.separation.masks import Masks, every


@dataclass(frozen=True)
class MaskRequest:
    """All that the masks depend on; also the key they are remembered by.

    spreads : which colours run under which, decided from the inks; most changes
        of an ink decide nothing anew, and so cut nothing anew.
    """

    labels_png: bytes
    plans: tuple[BlockPlan, ...]
    spreads: tuple[tuple[int, int], ...]
    trap_mm: float
    width_mm: float
    drawn: tuple[bytes | None, ...]


# What of a project a request for masks hangs on, beside the inks that decide the spreads.
_CUT_BY = ("flat", "blocks", "trap_mm", "seam_de00", "image")


def cut_alike(one: Project, other: Project) -> bool:
    """Whether two projects' blocks are cut alike, but for what their inks decide of the spreads."""
    return all(getattr(one, name) == getattr(other, name) for name in _CUT_BY)


@dataclass(frozen=True, eq=False)
class CutBlocks:
    """The flat design's numbers and one mask for each block of the project, in its order of blocks.

    worked_out : the masks before any was changed by hand.
    """

    labels: Labels
    masks: Sequence[Mask]
    px_per_mm: float
    worked_out: Sequence[Mask]

    @cached_property
    def borders(self) -> Borders:
        """Areas and border lengths of the flat colours."""
        return measure_borders(self.labels, int(self.labels.max(initial=0)) + 1, self.px_per_mm)

    @cached_property
    def areas_mm2(self) -> tuple[float, ...]:
        """Printing area of each block."""
        return tuple(float(np.count_nonzero(mask) / self.px_per_mm**2) for mask in self.masks)


def mask_request(project: Project, assets: Assets) -> MaskRequest | None:
    """What has to be cut for this project; None while there is no flat design."""
    if project.flat is None:
        return None
    labels_width = png_width(assets[project.flat.labels])
    traps = border_traps(project)
    return MaskRequest(
        assets[project.flat.labels],
        tuple(_block_plan(project, block, labels_width) for block in project.blocks),
        tuple(sorted((trap.lighter, trap.darker) for trap in traps if trap.kind == "spread")),
        project.trap_mm,
        project.image.width,
        tuple(assets[block.drawn] if block.drawn else None for block in project.blocks),
    )


def _block_plan(project: Project, block: Block, labels_width: int) -> BlockPlan:
    assert project.flat is not None
    others = {n for other in project.blocks if other.id != block.id for n in other.colours}
    shadow = block.is_key and block.contour is None and bool(block.colours) and set(block.colours) <= others
    if block.contour is None:
        kerf = None if block.kerf_mm is None else block.kerf_mm * labels_width / project.image.width
        return BlockPlan(block.colours, block.is_key, shadow, kerf_px=kerf)
    labs = np.array([colour.lab for colour in project.flat.colours])
    width_px = block.contour.width_mm * labels_width / project.image.width
    printed = [n for n in range(len(labs)) if n not in project.bare_colours()]
    lines = contour_lines(delta_e00(labs[:, None], labs[None]), width_px, weigh=block.contour.weigh, printed=printed)
    return BlockPlan(block.colours, block.is_key, shadow, lines)


def cut_blocks(
    request: MaskRequest, *, earlier: CutBlocks | None = None, progress: Progress = NULL_PROGRESS
) -> CutBlocks:
    """Make the masks of a project's blocks.

    Parameters
    ----------
    request : what they depend on.
    earlier : blocks whose request differed in nothing but masks changed by hand.

    Raises
    ------
    ProjectError : a mask changed by hand is of another size.
    Cancelled : called off through `progress`.
    """
    labels = earlier.labels if earlier else labels_from_png(request.labels_png)
    px_per_mm = labels.shape[1] / request.width_mm
    worked_out = (
        earlier.worked_out
        if earlier
        else block_masks(labels, request.plans, request.spreads, request.trap_mm * px_per_mm, progress=progress)
    )
    masks = worked_out
    if any(data is not None for data in request.drawn):
        by_hand = (
            own if data is None else mask_from_png(data, labels.shape)
            for own, data in zip(worked_out, request.drawn, strict=True)
        )  # fmt: skip
        masks = Masks.of(by_hand, labels.shape)
    return CutBlocks(labels, masks, px_per_mm, worked_out)


def cut_coarsely(request: MaskRequest, most_px: int, *, progress: Progress = NULL_PROGRESS) -> CutBlocks | None:
    """Blocks for a first look: of a page of no more than so many pixels, as if none had been changed by hand.

    None where the page has no more. Raises Cancelled.
    """
    labels = labels_from_png(request.labels_png)
    step = every(labels.size, most_px)
    if step == 1:
        return None
    small = _thinned(labels, step)
    px_per_mm = labels.shape[1] / request.width_mm / step
    plans = [
        replace(
            plan, lines=tuple((one, other, width / step) for one, other, width in plan.lines),
            kerf_px=None if plan.kerf_px is None else plan.kerf_px / step,
        )
        for plan in request.plans
    ]  # fmt: skip
    masks = block_masks(small, plans, request.spreads, request.trap_mm * px_per_mm, progress=progress)
    return CutBlocks(small, masks, px_per_mm, masks)


def coarse(blocks: CutBlocks, most_px: int) -> CutBlocks:
    """The blocks at no more than so many pixels: for answers while something is dragged."""
    step = every(blocks.labels.size, most_px)
    if step == 1:
        return blocks
    labels = _thinned(blocks.labels, step)
    masks = Masks.of((_thinned(mask, step) for mask in blocks.masks), labels.shape)
    return CutBlocks(labels, masks, blocks.px_per_mm / step, masks)


def _thinned(page: NDArray[np.uint8], step: int) -> NDArray[np.uint8]:
    return np.ascontiguousarray(page[step // 2 :: step, step // 2 :: step])
