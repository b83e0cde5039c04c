"""The plain separation: one block for each flat colour, the darkest line-like colour as the key."""

from collections.abc import Sequence
from dataclasses import dataclass

import numpy as np

from nomos.base.strips import strips
from nomos.colour import Lab, delta_e00
from nomos.design import Labels, fill_nearest
from nomos.separation.masks import BlockPlan
from nomos.separation.outline import outline_mm

# What counts as a line: on average not wider than this. Chosen by us, no source.
LINE_WIDTH_MM = 3.5
# A key holds the picture together only if it is dark.
_KEY_LIGHTNESS = 45.0
# ... and lies over this share of the joins of the other colours: drawn lines 0.25 to 1, dark things that are
# no key up to 0.13. Chosen by us from drawn scenes, no source.
_KEY_HOLDS = 0.18
# A flat colour this near the paper is left to the paper.
_BARE_DE00 = 6.0


@dataclass(frozen=True)
class PlainSeparation:
    """Blocks light to dark with the key last, and the colours left bare."""

    blocks: tuple[BlockPlan, ...]
    bare: tuple[int, ...]


def mean_width_mm(labels: Labels, number: int, px_per_mm: float) -> float:
    """Mean width of a colour's areas: 2 x area / outline length, right for long lines.

    The page's own edge counts as no outline.

    Parameters
    ----------
    labels : (height, width) numbers.
    number : of the colour.
    px_per_mm : of the page.

    Returns
    -------
    Width, mm; 0 for a colour that is nowhere.
    """

    own = (labels == number).astype(np.uint8)
    area_mm2 = np.count_nonzero(own) / px_per_mm**2
    return float(2 * area_mm2 / max(outline_mm(own, px_per_mm), 1 / px_per_mm))


def joins_held(labels: Labels, number: int) -> float:
    """Share of the joins between the other colours that lie below a colour, were they to run on below it.

    This is what holds a picture together: a key lies over most joins, a tree over few.

    Parameters
    ----------
    labels : (height, width) numbers.
    number : of the colour.

    Returns
    -------
    A share, 0 to 1.
    """
    own = (labels == number).astype(np.uint8)
    if own.all():
        return 0.0
    below = fill_nearest(labels, own)
    joins = held = 0
    for rows in strips(labels.shape):
        row, cover = below[rows], own[rows]
        # Each row meets the next, the last of a strip that of the strip below.
        next_row, next_cover = (page[rows.start + 1 : rows.stop + 1] for page in (below, own))
        for meet, hides in (
            (row[:, 1:] != row[:, :-1], cover[:, 1:] | cover[:, :-1]),
            (row[: len(next_row)] != next_row, cover[: len(next_row)] | next_cover),
        ):
            joins += int(np.count_nonzero(meet))
            held += int(np.count_nonzero(meet & (hides > 0)))
    return held / joins if joins else 0.0


def find_key(labels: Labels, labs: Sequence[Lab], px_per_mm: float) -> int | None:
    """The darkest colour that is dark, made of lines, and holds the picture together.

    Parameters
    ----------
    labels : (height, width) uint8.
    labs : CIELAB, D50/2 deg by label.

    Returns
    -------
    Its label, or None.
    """
    for number in sorted(range(len(labs)), key=lambda n: labs[n][0]):
        if labs[number][0] > _KEY_LIGHTNESS:
            return None
        slender = mean_width_mm(labels, number, px_per_mm) <= LINE_WIDTH_MM
        if slender and joins_held(labels, number) >= _KEY_HOLDS:
            return number
    return None


def one_block_per_colour(
    labs: Sequence[Lab], paper: Lab, *, key: int | None, bare: int | None = None
) -> PlainSeparation:
    """Separate a flat design the plain way.

    Parameters
    ----------
    labs : CIELAB D50/2 deg of each colour number.
    paper : CIELAB of the paper. The lightest colour stays bare if it is within
        ΔE00 6 of the paper, or within 6 of white (a sketch on white paper).
    key : the number of the line, as drawn or as `find_key` finds it; None if there is none.
    bare : the number of bare paper, where the sketch was read with it.
    """
    lightest = max(range(len(labs)), key=lambda n: labs[n][0])
    white = np.array([paper, (100.0, 0.0, 0.0)])
    is_bare = len(labs) > 1 and lightest != key and delta_e00(np.array(labs[lightest]), white).min() < _BARE_DE00
    left = (bare,) if bare is not None else (lightest,) if is_bare else ()
    colours = sorted((n for n in range(len(labs)) if n != key and n not in left), key=lambda n: -labs[n][0])
    blocks = [BlockPlan((number,)) for number in colours]
    if key is not None:
        blocks.append(BlockPlan((key,), is_key=True))
    return PlainSeparation(tuple(blocks), left)
