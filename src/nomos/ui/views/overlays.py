"""What can be laid over the design: where colours run under each other, and where the knife is free."""

from dataclasses import replace

import numpy as np
from numpy.typing import NDArray

from nomos.colour import lab_to_srgb, srgb_to_lab
from nomos.project import LaidSheet, Proof
from nomos.project.cutting import freedom_of
from nomos.project.trapping import border_traps
from nomos.proof import CombinationMap, Index, mips
from nomos.separation.contour import contour_mask
from nomos.ui.views.raster import Raster

# Overlays are worked out at no more than so many pixels: a few dozen milliseconds.
_PIXELS = 2_500_000
# A trap, a run under the key, a kiss; where the knife is free to remove, or to leave. Colours to tell
# apart on the pale design, chosen by us.
_TRAP, _UNDER_KEY, _KISS = (34.0, 12.0, -44.0), (62.0, 0.0, 0.0), (40.0, 52.0, 34.0)
_REMOVE, _LEAVE, _PRINTS, _CLEAR = (66.0, 8.0, -26.0), (84.0, 3.0, -12.0), (30.0, 0.0, 0.0), (96.0, 0.0, 2.0)
_PALE = 0.72

_kept: dict[str, tuple[object, Raster]] = {}


def _remembered(kind: str, key: object) -> Raster | None:
    found = _kept.get(kind)
    return found[1] if found is not None and found[0] == key else None


def _step(shape: tuple[int, ...]) -> int:
    step = 1
    while shape[0] * shape[1] // step**2 > _PIXELS:
        step += 1
    return step


def trap_raster(proof: Proof) -> Raster:
    """The flat design, pale, with what runs under what, and the borders that only kiss."""
    project, blocks = proof.project, proof.blocks
    kisses = tuple((t.lighter, t.darker) for t in border_traps(project) if t.kind == "kiss")
    key = (id(blocks), tuple(block.colours for block in project.blocks), kisses, project.tolerance_mm)
    found = _remembered("traps", key)
    if found is not None:
        return found
    assert project.flat is not None
    step = _step(blocks.labels.shape)
    labels = np.ascontiguousarray(blocks.labels[::step, ::step])
    count = len(project.flat.colours)
    page = labels.copy()
    under_key = {n for block in project.blocks if block.is_key for n in block.colours}
    for block, mask in zip(project.blocks, blocks.masks, strict=True):
        own = np.isin(np.arange(256), list(block.colours))
        if block.is_key or block.contour is not None:
            continue
        extra = (mask[::step, ::step] == 1) & ~own[labels]
        hidden = np.isin(labels, list(under_key))
        page[extra & ~hidden] = count
        page[extra & hidden] = count + 1
    wide = max(project.tolerance_mm * blocks.px_per_mm / step, 2.0)
    lines = contour_mask(labels, [(a, b, wide) for a, b in kisses]) if kisses else np.zeros_like(labels)
    page[lines == 1] = count + 2
    white = np.array([255.0, 255.0, 255.0])
    tints = lab_to_srgb(np.array([colour.lab for colour in project.flat.colours])).astype(np.float64)
    pale = srgb_to_lab(tints + _PALE * (white - tints))
    labs = np.vstack([pale, [_TRAP, _UNDER_KEY, _KISS]])
    image = project.image
    made = Raster(mips(page), labs, blocks.px_per_mm / step, image.left, image.top)
    _kept["traps"] = (key, made)
    return made


def free_raster(proof: Proof, pull: str) -> Raster:
    """One block: what it prints, and where it may print or not without a visible change."""
    project, laid = proof.project, proof.laid
    key = (id(laid), pull, proof.labs.tobytes(), project.tolerance_mm)
    found = _remembered("free", key)
    if found is not None:
        return found
    small = _inside(laid)
    free = freedom_of(project, small, pull)
    prints = small.printed_by(pull)[small.map.index].astype(np.uint8)
    page: NDArray[np.uint8] = free * np.uint8(2) + prints
    labs = np.array([_CLEAR, _PRINTS, _LEAVE, _REMOVE])
    made = Raster(mips(page), labs, small.px_per_mm, project.image.left, project.image.top)
    _kept["free"] = (key, made)
    return made


def _inside(laid: LaidSheet) -> LaidSheet:
    """The image of a laid sheet without its margin, at no more pixels than an overlay needs."""
    pad, (height, width) = laid.pad_px, laid.map.index.shape
    inner = laid.map.index[pad : height - pad, pad : width - pad]
    step = _step(inner.shape)
    index: Index = inner[::step, ::step].copy()
    small = CombinationMap(index, laid.map.members, laid.map.pixels)
    return replace(laid, map=small, pad_px=0, px_per_mm=laid.px_per_mm / step)
