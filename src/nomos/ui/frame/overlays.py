"""What can be laid over the design: where colours run under each other, and where the knife is free."""

from functools import lru_cache

import numpy as np

from nomos.colour import lab_to_srgb, srgb_to_lab
from nomos.project import Block, CutBlocks, Project, Proof
from nomos.project.blocks.traps import border_traps
from nomos.proof import Index, mips
from nomos.separation.contour import contour_mask
from nomos.ui.frame.raster import Raster
from nomos.work.freedom import Freedom

# Overlays are worked out at no more than so many pixels: a few dozen milliseconds.
_PIXELS = 2_500_000
# A trap, a run under the key, a kiss; where the knife is free to remove, or to leave. Colours to tell
# apart on the pale design, chosen by us.
_TRAP, _UNDER_KEY, _KISS = (34.0, 12.0, -44.0), (62.0, 0.0, 0.0), (40.0, 52.0, 34.0)
_REMOVE, _LEAVE, _PRINTS, _CLEAR = (66.0, 8.0, -26.0), (84.0, 3.0, -12.0), (30.0, 0.0, 0.0), (96.0, 0.0, 2.0)
_PALE = 0.72


def _step(shape: tuple[int, ...]) -> int:
    step = 1
    while shape[0] * shape[1] // step**2 > _PIXELS:
        step += 1
    return step


def trap_raster(proof: Proof) -> Raster:
    """The flat design, pale, with what runs under what, and the borders that only kiss."""
    project = proof.project
    assert project.flat is not None
    kisses = tuple((t.lighter, t.darker) for t in border_traps(project) if t.kind == "kiss")
    levels, px_per_mm = _trap_page(proof.blocks, project.blocks, kisses, project.tolerance_mm)
    white = np.array([255.0, 255.0, 255.0])
    tints = lab_to_srgb(np.array([colour.lab for colour in project.flat.colours])).astype(np.float64)
    pale = srgb_to_lab(tints + _PALE * (white - tints))
    labs = np.vstack([pale, [_TRAP, _UNDER_KEY, _KISS]])
    return Raster(levels, labs, px_per_mm, project.image.left, project.image.top)


@lru_cache(maxsize=1)
def _trap_page(
    cut: CutBlocks, blocks: tuple[Block, ...], kisses: tuple[tuple[int, int], ...], tolerance_mm: float
) -> tuple[tuple[Index, ...], float]:
    """The numbers of the colours; after them what is trapped, what runs under the key, what kisses."""
    step = _step(cut.labels.shape)
    labels = np.ascontiguousarray(cut.labels[::step, ::step])
    count = int(cut.labels.max(initial=0)) + 1
    page = labels.copy()
    under_key = {n for block in blocks if block.is_key for n in block.colours}
    for block, mask in zip(blocks, cut.masks, strict=True):
        own = np.isin(np.arange(256), list(block.colours))
        if block.is_key or block.contour is not None:
            continue
        extra = (mask[::step, ::step] == 1) & ~own[labels]
        hidden = np.isin(labels, list(under_key))
        page[extra & ~hidden] = count
        page[extra & hidden] = count + 1
    wide = max(tolerance_mm * cut.px_per_mm / step, 2.0)
    lines = contour_mask(labels, [(a, b, wide) for a, b in kisses]) if kisses else np.zeros_like(labels)
    page[lines == 1] = count + 2
    return mips(page), cut.px_per_mm / step


def free_raster(project: Project, free: Freedom) -> Raster:
    """One block: what it prints, and where it may print or not without a visible change."""
    labs = np.array([_CLEAR, _PRINTS, _LEAVE, _REMOVE])
    return Raster(free.levels, labs, free.px_per_mm, project.image.left, project.image.top)
