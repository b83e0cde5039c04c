"""Counting the colours of a sketch as a person does: areas by the colour they mean, the paper, the line."""

from dataclasses import dataclass, field

import numpy as np
from numpy.typing import NDArray

from nomos.colour import Lab, delta_e00
from nomos.design.dendrogram import Dendrogram, Joined
from nomos.design.mixtures import Surroundings, mixtures
from nomos.design.patches import Patches

Array = NDArray[np.float64]

# Two colours nearer than this are one to whoever drew them, the more so the more the medium drifts.
# Measured in benchmarks/ over six media; lightness counts less, as pressure and shade change it.
_ONE_DE00, _PER_SPREAD = 5.5, 0.5
# A dark area this near the line's colour is the same ink.
_LINE_DE00 = 8.0
_PAPER_DE00 = 7.0
_LEAST_CORE_MM2 = 0.8
_LEAST_CORE_SHARE = 0.1
_MOST_PATCHES = 400
_CURVE_UP_TO = 16


@dataclass(frozen=True, eq=False)
class Counted:
    """The colours counted.

    labs : (k, 3) CIELAB.
    of_patch : (n,) which colour each patch is, -1 where only the pixels can say.
    line, paper : the numbers of the line's colour and the paper's, if there are such.
    joined : how the count could go on, from many colours to one.
    curve : mean ΔE00 that each number of colours leaves between patches and their colour.
    """

    labs: Array
    of_patch: NDArray[np.int64]
    line: int | None
    paper: int | None
    joined: tuple[Joined, ...] = field(default=())
    curve: tuple[tuple[int, float], ...] = ()


@dataclass(frozen=True)
class Wanted:
    """What the count must keep to.

    requested : the number of colours, line and paper among them; None leaves it to the program.
    pinned : colours that are kept whatever the number.
    same : pairs of colours that are one.
    """

    requested: int | None = None
    pinned: tuple[Lab, ...] = ()
    same: tuple[tuple[Lab, Lab], ...] = ()


@dataclass(frozen=True, eq=False)
class Candidates:
    """The patches solid enough to be a colour, and the tree of their colours, for any number of them."""

    members: NDArray[np.int64]
    solid: NDArray[np.bool_]
    tree: Dendrogram


def candidates(patches: Patches, pinned: tuple[Lab, ...], px_per_mm: float) -> Candidates:
    """What a count has to choose from.

    Parameters
    ----------
    patches : of the page.
    pinned : colours that are kept whatever the number.
    px_per_mm : of the page.

    Returns
    -------
    The choice: patches and what they touch.
    """
    solid = (patches.core > _LEAST_CORE_MM2 * px_per_mm**2) & (patches.core > _LEAST_CORE_SHARE * patches.area)
    if not solid.any():
        solid = patches.area == patches.area.max()
    members = np.flatnonzero(solid)
    members = members[np.argsort(-patches.core[members], kind="stable")][:_MOST_PATCHES]
    tree = Dendrogram(patches.lab[members], patches.area[members] / patches.number.size, pinned)
    return Candidates(members, solid, tree)


def count_colours(patches: Patches, around: Surroundings, wanted: Wanted, choice: Candidates) -> Counted:
    """The colours of a page's patches.

    Parameters
    ----------
    patches : from `find_patches`.
    around : what touches what, the line's colour and the paper's.
    wanted : a number that was requested, and what was corrected by hand.
    choice : from `candidates`, with the same colours pinned.
    """
    tree = choice.tree
    if wanted.requested is None:
        return _finished(tree.cut_at(_ONE_DE00 + _PER_SPREAD * patches.spread), patches, choice, around, wanted)
    best: Counted | None = None
    for extra in range(-1, 9):
        counted = _finished(tree.cut_to(max(wanted.requested + extra, 1)), patches, choice, around, wanted)
        if best is None or abs(len(counted.labs) - wanted.requested) < abs(len(best.labs) - wanted.requested):
            best = counted
        if len(counted.labs) >= wanted.requested:
            break
    assert best is not None
    return best


def _finished(
    groups: NDArray[np.int64], patches: Patches, choice: Candidates, around: Surroundings, wanted: Wanted
) -> Counted:
    """Colours of groups: mixtures left out, the line's own colour added, what is the same joined."""
    tree, members, solid = choice.tree, choice.members, choice.solid
    count = int(groups.max()) + 1
    mass = np.bincount(groups, tree.share, count)
    labs = np.stack([np.bincount(groups, tree.share * tree.labs[:, c], count) / mass for c in range(3)], -1)
    pinned = groups[: tree.pinned]
    labs[pinned] = tree.labs[: tree.pinned]
    of_patch = np.full(len(patches.area), -1)
    of_patch[members] = groups[tree.pinned :]
    rest = np.flatnonzero(of_patch < 0)
    if len(rest):
        of_patch[rest] = np.argmin(delta_e00(patches.lab[rest][:, None], labs[None]), axis=1)
    goes = mixtures(labs, of_patch, patches, around, kept=frozenset(pinned.tolist()))
    for number, into in goes.items():
        of_patch[of_patch == number] = into
    for one, other in wanted.same:
        a, b = (int(np.argmin(delta_e00(labs, np.array(lab)))) for lab in (one, other))
        if a != b and b not in goes and a not in goes:
            keep, gone = (a, b) if mass[a] >= mass[b] or a in pinned else (b, a)
            of_patch[of_patch == gone] = keep
            goes[gone] = keep
    left = [number for number in range(count) if number not in goes]
    table = np.full(count, -1)
    table[left] = np.arange(len(left))
    labs = labs[left]
    of_patch = table[of_patch]
    of_patch[~solid] = -1
    line = None
    if around.line is not None:
        apart = delta_e00(labs, np.array(around.line))
        line = int(np.argmin(apart))
        if apart[line] > _LINE_DE00:
            labs, line = np.vstack([labs, around.line]), len(labs)
    alone = int(line is not None and not (of_patch == line).any())
    curve = tree.curve(_CURVE_UP_TO, alone)
    return Counted(labs, of_patch, line, _paper_of(labs, around.paper), tree.history(), curve)


def _paper_of(labs: Array, paper: Lab | None) -> int | None:
    if paper is None:
        return None
    apart = delta_e00(labs, np.array(paper))
    nearest = int(np.argmin(apart))
    return nearest if apart[nearest] < _PAPER_DE00 else None
