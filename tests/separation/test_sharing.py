"""Colours far enough apart share a block; as few blocks as can be, against trying every grouping."""

from collections.abc import Iterator
from itertools import permutations

import numpy as np
import pytest
from hypothesis import given, settings
from hypothesis import strategies as st
from scipy.spatial.distance import cdist

from nomos.project import Assets, CutBlocks, Project, impressions_to_lay, lay_sheet
from nomos.project.blocks.pulls import moved_impression
from nomos.project.check.cutting import sharing_findings, sharing_of
from nomos.separation.sharing import clearances, conflicts, fewest_blocks, share, shared_order

PPM = 4.0


def spot(x_mm: float, y_mm: float, size_mm: float = 10) -> np.ndarray:
    page = np.zeros((400, 600), np.uint8)
    x, y, size = (round(value * PPM) for value in (x_mm, y_mm, size_mm))
    page[y : y + size, x : x + size] = 1
    return page


def test_clearance_is_the_distance_between_the_nearest_edges() -> None:
    found = clearances([spot(10, 10), spot(50, 10), spot(10, 60), np.zeros((400, 600), np.uint8)], PPM)
    assert found[0, 1] == pytest.approx(30, abs=0.5)
    assert found[0, 2] == pytest.approx(40, abs=0.5)
    assert found[1, 2] == pytest.approx(50, abs=1)
    assert np.isinf(found[3]).all()
    np.testing.assert_array_equal(found, found.T)


@settings(max_examples=30)
@given(st.integers(0, 100_000))
def test_clearance_is_the_least_of_all_pairs_of_pixels(seed: int) -> None:
    """Each pixel of one with each of the other; chamfer distances are within 2 % (Borgefors 1986)."""
    hand = np.random.default_rng(seed)
    masks = []
    for _ in range(3):
        mask = np.zeros((40, 50), np.uint8)
        y, x = hand.integers(0, 35, 2)
        mask[y : y + int(hand.integers(0, 14)), x : x + int(hand.integers(1, 14))] = 1
        masks.append(mask)
    found = clearances(masks, 1.0)
    for one, other in ((0, 1), (0, 2), (1, 2)):
        here, there = np.argwhere(masks[one]), np.argwhere(masks[other])
        least = cdist(here, there).min() if len(here) and len(there) else np.inf
        assert found[one, other] == found[other, one] == pytest.approx(least, rel=0.03)


def test_what_prints_between_and_meets_both_keeps_them_apart() -> None:
    masks = [spot(10, 10), spot(0, 0, 90), spot(60, 60)]
    meets = np.array([[1, 1, 0], [1, 1, 1], [0, 1, 1]], bool)
    assert share(clearances(masks, PPM), meets).groups == ((0,), (1,), (2,))
    # Printed after both, it is no obstacle.
    late = [masks[0], masks[2], masks[1]]
    order = np.array([[1, 0, 1], [0, 1, 1], [1, 1, 1]], bool)
    found = share(clearances(late, PPM), order)
    assert found.groups == ((0, 1), (2,))
    assert found.clearance_mm[0] == pytest.approx(np.hypot(40, 40), abs=1.5)
    assert np.isinf(found.clearance_mm[1])


def groupings(things: list[int]) -> Iterator[list[list[int]]]:
    if not things:
        yield []
        return
    first, *rest = things
    for smaller in groupings(rest):
        for n, group in enumerate(smaller):
            yield [*smaller[:n], [first, *group], *smaller[n + 1 :]]
        yield [[first], *smaller]


@given(st.integers(1, 6), st.integers(0, 10_000), st.integers(1, 4))
def test_no_grouping_has_fewer_blocks(count: int, seed: int, most: int) -> None:
    conflict = np.random.default_rng(seed).random((count, count)) < 0.4
    conflict = np.triu(conflict, 1) | np.triu(conflict, 1).T
    found = fewest_blocks(conflict, most)
    assert sorted(n for group in found for n in group) == list(range(count))

    def allowed(groups: list[list[int]]) -> bool:
        return all(len(g) <= most and not conflict[np.ix_(g, g)].any() for g in groups)

    assert allowed([list(group) for group in found])
    assert len(found) == min(len(groups) for groups in groupings(list(range(count))) if allowed(groups))


def test_conflicts_are_symmetric_and_never_with_itself() -> None:
    distance = np.array([[np.inf, 5.0], [5.0, np.inf]])
    found = conflicts(distance, np.eye(2, dtype=bool), 15)
    assert found.tolist() == [[False, True], [True, False]]


def test_the_demo_says_what_could_share(demo: tuple[Project, Assets], demo_blocks: CutBlocks) -> None:
    project = demo[0]
    laid = lay_sheet(demo_blocks, impressions_to_lay(project))
    found = sharing_of(project, demo_blocks, laid)
    assert sorted(n for group in found.groups for n in group) == list(range(8))
    assert all(clearance >= 15 for clearance in found.clearance_mm)
    texts = [finding.text for finding in sharing_findings(project, found)]
    assert len(texts) == sum(len(group) > 1 for group in found.groups)
    moved = moved_impression(project, project.impressions[0].id, 5)
    assert len(sharing_of(moved, demo_blocks, laid).groups) >= 1


@given(st.integers(2, 5), st.integers(0, 10_000))
def test_groups_are_printed_in_the_order_nearest_to_the_old(count: int, seed: int) -> None:
    """Against all orders: every overprint as it was, and of those the first by what stood first."""
    hand = np.random.default_rng(seed)
    meets = np.triu(hand.random((count, count)) < 0.4, 1)
    meets |= meets.T
    owner = hand.integers(0, count, count)
    groups = [tuple(np.flatnonzero(owner == each).tolist()) for each in np.unique(owner)]
    place = {n: group for group in groups for n in group}

    def keeps(order: tuple[tuple[int, ...], ...]) -> bool:
        later = [(a, b) for a in range(count) for b in range(a + 1, count) if meets[a, b]]
        return all(place[a] == place[b] or order.index(place[a]) < order.index(place[b]) for a, b in later)

    assert shared_order(groups, meets) == min(filter(keeps, permutations(groups)), default=None)
