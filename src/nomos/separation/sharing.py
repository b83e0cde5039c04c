"""Blocks whose colours lie far enough apart to be inked apart on one block: how few blocks will do."""

from collections.abc import Sequence
from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from nomos.base.language import tr
from nomos.base.parallel import map_threads
from nomos.base.progress import NULL_PROGRESS, Progress
from nomos.separation.masks import Mask

# Room for a small roller or brush between two colours, and how many zones can be inked before the
# first dries. Both chosen by us, no source; the user's own tools and inks decide.
CLEARANCE_MM = 15.0
MOST_ZONES = 3


@dataclass(frozen=True, eq=False)
class Sharing:
    """Which blocks could be one: groups of block numbers, each in print order, and their tightest clearance.

    clearance_mm : for each group of more than one the least distance between two of its colours.
    meets : (n, n) which blocks print over each other.
    """

    groups: tuple[tuple[int, ...], ...]
    clearance_mm: tuple[float, ...]
    meets: NDArray[np.bool_]


def clearances(masks: Sequence[Mask], px_per_mm: float, *, progress: Progress = NULL_PROGRESS) -> NDArray[np.float64]:
    """Least distance between what any two blocks print, in mm; infinite where one prints nothing.

    Exact to a pixel: one distance transform a block, looked up along the edges of the others.

    Parameters
    ----------
    masks : (height, width) uint8 each, 1 prints; looked at a few at a time.

    Returns
    -------
    (n, n) mm, symmetric; 0 where two overlap. Raises Cancelled.
    """
    import cv2

    count = len(masks)
    found = np.full((count, count), np.inf)
    edges = [_edge(masks[n]) for n in range(count)]

    def from_one(one: int) -> None:
        if not len(edges[one]):
            return
        mask = masks[one]
        away = cv2.distanceTransform(1 - mask, cv2.DIST_L2, cv2.DIST_MASK_5).ravel()
        flat = mask.ravel()
        for other in range(count):
            if other == one or not len(edges[other]):
                continue
            # Where one lies within the other, only the edge of the inner one says so.
            found[one, other] = 0.0 if flat[edges[other]].any() else away[edges[other]].min() / px_per_mm

    said = tr("looking for blocks that could be one")
    map_threads(from_one, range(count), progress=progress, words=lambda _: said)
    return np.minimum(found, found.T)


def _edge(mask: Mask) -> NDArray[np.intp]:
    """The printing pixels, of the flattened page, beside which something does not print."""
    import cv2

    cross = cv2.getStructuringElement(cv2.MORPH_CROSS, (3, 3))
    # What surrounds the page does not print.
    inner = cv2.erode(mask, cross, borderType=cv2.BORDER_CONSTANT, borderValue=(0.0,))
    return np.flatnonzero(np.asarray(inner) != mask)


def conflicts(distance_mm: NDArray[np.float64], meets: NDArray[np.bool_], clearance_mm: float) -> NDArray[np.bool_]:
    """Which pairs of blocks cannot share.

    Parameters
    ----------
    distance_mm : from `clearances`, in print order.
    meets : (n, n) whether two blocks print over each other somewhere.
    clearance_mm : room needed between two colours.

    Notes
    -----
    Two blocks that are one are printed at one moment: whatever has to come
    after the first and before the second, itself or by way of others that it
    prints over or under, would come at another moment than planned.
    """
    found = (distance_mm < clearance_mm) | _between(meets)
    np.fill_diagonal(found, False)
    return found


def _between(meets: NDArray[np.bool_]) -> NDArray[np.bool_]:
    """Pairs of blocks with others printed between them that tie the one before the other."""
    before = np.triu(meets, 1)
    reached = before.copy()
    for middle in range(len(meets)):
        reached |= reached[:, middle : middle + 1] & reached[middle : middle + 1]
    tied = (reached.astype(np.int64) @ reached.astype(np.int64)) > 0
    return np.asarray(tied | tied.T)


def shared_order(groups: Sequence[Sequence[int]], meets: NDArray[np.bool_]) -> tuple[tuple[int, ...], ...] | None:
    """The groups in a print order that keeps every overprint as it was; None if there is none.

    Of several such orders the one nearest to the old.

    Parameters
    ----------
    groups : numbers of layers, each once.
    meets : (n, n) bool, which layers overlap.

    Returns
    -------
    The same groups.
    """
    before = np.triu(meets, 1)
    left = [tuple(sorted(group)) for group in groups]
    order: list[tuple[int, ...]] = []
    while left:
        rest = [n for group in left for n in group]
        free = [
            group
            for group in left
            if not any(before[other, own] for own in group for other in rest if other not in group)
        ]
        if not free:
            return None
        following = min(free)
        order.append(following)
        left.remove(following)
    return tuple(order)


def fewest_blocks(
    conflict: NDArray[np.bool_], most_zones: int = MOST_ZONES, meets: NDArray[np.bool_] | None = None
) -> tuple[tuple[int, ...], ...]:
    """The fewest groups with no conflict inside, none larger than `most_zones`.

    meets : (n, n) which blocks print over each other; with it only groups are taken that can be
        printed in some order that keeps every overprint.

    Notes
    -----
    Colouring of the conflict graph: blocks in order of how many conflicts they
    have (largest first, Welsh & Powell 1967), then exact branch and bound, which for the dozen blocks
    of a print takes milliseconds.

    Parameters
    ----------
    conflict : (n, n) bool: these two cannot share.
    most_zones : in one group.
    meets : (n, n) bool: these two touch.

    Returns
    -------
    Groups of numbers.
    """
    count = len(conflict)
    order = sorted(range(count), key=lambda n: (-int(conflict[n].sum()), n))
    best: list[list[int]] = [[n] for n in range(count)]

    def place(depth: int, groups: list[list[int]]) -> None:
        nonlocal best
        if len(groups) >= len(best):
            return
        if depth == count:
            if meets is None or shared_order(groups, meets) is not None:
                best = [list(group) for group in groups]
            return
        block = order[depth]
        for group in groups:
            if len(group) < most_zones and not conflict[block, group].any():
                group.append(block)
                place(depth + 1, groups)
                group.pop()
        groups.append([block])
        place(depth + 1, groups)
        groups.pop()

    place(0, [])
    return tuple(sorted(tuple(sorted(group)) for group in best))


def share(
    distance_mm: NDArray[np.float64], meets: NDArray[np.bool_], *, clearance_mm: float = CLEARANCE_MM,
    most_zones: int = MOST_ZONES, able: Sequence[bool] | None = None,
) -> Sharing:  # fmt: skip
    """The fewest blocks for a set of masks in print order, by sharing.

    Parameters
    ----------
    distance_mm : (n, n) from `clearances`, in print order.
    meets : (n, n) bool, which of them overlap.
    clearance_mm : least distance between two inks on a block.
    most_zones : inks on one block at the most.
    able : which of them can share at all; None is all.

    Returns
    -------
    The groups, and the distance between the closest two of each.
    """
    barred = conflicts(distance_mm, meets, clearance_mm)
    apart = np.ones(len(meets), bool) if able is None else np.asarray(able, bool)
    barred |= ~(apart[:, None] & apart[None])
    np.fill_diagonal(barred, False)
    groups = fewest_blocks(barred, most_zones, meets)
    tight = [
        min((float(distance_mm[one, other]) for one in group for other in group if one != other), default=np.inf)
        for group in groups
    ]
    return Sharing(groups, tuple(tight), meets)
