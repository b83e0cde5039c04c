"""How much bare paper a misregister opens at the joins, with the trap there is and without any."""

from collections.abc import Sequence
from dataclasses import dataclass, replace
from math import cos, pi, sin

import numpy as np

from nomos.base.language import tr
from nomos.base.progress import NULL_PROGRESS, Progress
from nomos.project.model import Project
from nomos.project.sheet.masks import CutBlocks, MaskRequest, coarse
from nomos.proof import Misregister, displaced
from nomos.separation import BlockPlan, Mask, block_masks

# Blocks are moved at this size, a millisecond each; in eight directions.
_PIXELS = 400_000
_DIRECTIONS = 8


@dataclass(frozen=True)
class Opened:
    """Bare paper with one block out of register by the tolerance, the worst block and direction, mm².

    block : name of the block that opens most; empty where nothing opens.
    without_mm2 : the same with no trap at all.
    """

    with_mm2: float
    without_mm2: float
    block: str = ""


def opened_by_misregister(
    project: Project, request: MaskRequest, blocks: CutBlocks, *, progress: Progress = NULL_PROGRESS
) -> Opened:
    """The worst sliver that one block out of register opens.

    Parameters
    ----------
    project : its tolerance is how far a block is out.
    request : that the blocks were cut for.

    Notes
    -----
    Each block in turn is moved in eight directions on a coarse sheet. What is
    bare in register already, as the cuts of a jigsaw, is taken off.
    """
    small = coarse(blocks, _PIXELS)
    share = small.px_per_mm / blocks.px_per_mm
    untrapped = block_masks(small.labels, [_scaled(plan, share) for plan in request.plans], (), 0.0)
    progress.report(0.3, tr("trying blocks out of register"))
    opened = _opened_by_each(project, small, small.masks)
    without = _opened_by_each(project, small, untrapped)
    worst = max(range(len(opened)), key=lambda place: opened[place], default=None)
    if worst is None or opened[worst] <= 0:
        return Opened(0.0, max(without, default=0.0))
    name = project.block(project.impressions[worst].block).name
    return Opened(opened[worst], max(*without, opened[worst]), name)


def _scaled(plan: BlockPlan, share: float) -> BlockPlan:
    """A plan for a page of another resolution."""
    lines = tuple((one, other, width * share) for one, other, width in plan.lines)
    return replace(plan, lines=lines, kerf_px=None if plan.kerf_px is None else plan.kerf_px * share)


def _opened_by_each(project: Project, blocks: CutBlocks, masks: Sequence[Mask]) -> list[float]:
    """Bare paper that each impression opens at the worst, mm², in print order."""
    planes = [masks[project.number_of(pull.block)] for pull in project.impressions]
    covers = np.sum(planes, axis=0, dtype=np.int16) if planes else np.zeros(blocks.labels.shape, np.int16)
    wanted = np.ones(256, bool)
    wanted[list(project.bare_colours())] = False
    to_print = wanted[blocks.labels]
    before = np.count_nonzero(to_print & (covers == 0))
    found = []
    for plane in planes:
        alone = to_print & (covers == plane)
        most = max(
            np.count_nonzero(alone & (displaced(plane, out, blocks.px_per_mm) == 0))
            for out in _all_round(project.tolerance_mm)
        )
        found.append(float(most - before) / blocks.px_per_mm**2)
    return found


def _all_round(by_mm: float) -> list[Misregister]:
    turns = np.arange(_DIRECTIONS) * 2 * pi / _DIRECTIONS
    return [Misregister(by_mm * cos(turn), by_mm * sin(turn)) for turn in turns]
