"""How much bare paper a misregister opens at the joins, with the trap there is and without any."""

from dataclasses import dataclass, replace
from math import cos, pi, sin

import numpy as np

from nomos.progress import NULL_PROGRESS, Progress
from nomos.project.model import Project
from nomos.project.proofing import (
    CutBlocks,
    MaskRequest,
    bare_paper_mm2,
    coarse,
    cut_blocks,
    impressions_to_lay,
    lay_sheet,
)
from nomos.proof import Misregister

# Sheets are moved at this size, a few milliseconds each; in eight directions.
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
    bare_masks = replace(request, spreads=(), trap_mm=0.0, drawn=tuple(None for _ in request.drawn))
    untrapped = coarse(cut_blocks(bare_masks), _PIXELS)
    worst, without, name = 0.0, 0.0, ""
    pulls = [pull.id for pull in project.impressions]
    for place, pull in enumerate(pulls):
        progress.report(place / len(pulls), "trying blocks out of register")
        opened = _opened_by(project, small, pull)
        if opened > worst:
            worst, name = opened, project.block(project.impression(pull).block).name
        without = max(without, _opened_by(project, untrapped, pull))
    return Opened(worst, max(without, worst), name)


def _opened_by(project: Project, blocks: CutBlocks, pull: str) -> float:
    in_register = [replace(each, offset=Misregister()) for each in impressions_to_lay(project)]
    before = bare_paper_mm2(project, lay_sheet(blocks, in_register, pad_mm=0))
    found = []
    for turn in np.arange(_DIRECTIONS) * 2 * pi / _DIRECTIONS:
        out = Misregister(project.tolerance_mm * cos(turn), project.tolerance_mm * sin(turn))
        moved = [replace(each, offset=out) if each.pull == pull else each for each in in_register]
        found.append(bare_paper_mm2(project, lay_sheet(blocks, moved, pad_mm=0)) - before)
    return max(found, default=0.0)
