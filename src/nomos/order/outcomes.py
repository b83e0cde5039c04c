"""How many different sheets all orders of some layers give."""

from functools import reduce

import numpy as np

from nomos.order.search import OrderProblem, bits_of

# Above so many steps nobody waits for a count; above twenty layers it may not fit 63 bits.
_MOST_STEPS, _MOST_TANGLED = 1_500_000_000, 20


def distinct_outcomes(problem: OrderProblem) -> int | None:
    """How many different sheets all allowed orders give.

    Acyclic orientations of the graph of layers that meet, with some edges given
    (Stanley 1973). A layer whose neighbours all meet each other can stand at any
    place among them (Dirac 1961: such are eliminated one by one); what is left
    is counted by inclusion and exclusion over the sets of layers that can be
    printed first. Pins are not counted in.

    Parameters
    ----------
    problem : layers, which of them meet, and what must precede what.

    Returns
    -------
    A count, at least 1, or None where there are too many ways to be counted.
    """
    count = problem.count
    meets = OrderProblem(count, problem.sets, problem.cost, problem.before).meets()
    near = [bits_of(np.flatnonzero(row)) for row in meets]
    earlier = [sum(1 << a for a, b in problem.before if b == n) for n in range(count)]
    later = [sum(1 << b for a, b in problem.before if a == n) for n in range(count)]
    ways, left = _eliminated(near, earlier, later, (1 << count) - 1)
    while left:
        part = _together(left & -left, near, left)
        left &= ~part
        counted = _counted(_members(part), near, earlier)
        if counted is None:
            return None
        ways *= counted
    return ways


def _members(some: int) -> list[int]:
    return [n for n in range(some.bit_length()) if some >> n & 1]


def _eliminated(near: list[int], earlier: list[int], later: list[int], left: int) -> tuple[int, int]:
    """Ways of the layers whose places are free of how the others stand, and the layers that are left."""
    ways, met = 1, True
    while met:
        met = False
        for layer in _members(left):
            around, before, after = near[layer] & left, earlier[layer] & left, later[layer] & left
            if before == around or after == around:
                factor = 1
            elif before or after or any(around & ~(near[n] | 1 << n) for n in _members(around)):
                continue
            else:
                factor = around.bit_count() + 1
            ways, left, met = ways * factor, left & ~(1 << layer), True
    return ways, left


def _together(some: int, near: list[int], within: int) -> int:
    """All layers that hang together with some of them."""
    while True:
        wider = reduce(int.__or__, (near[n] for n in _members(some)), some) & within
        if wider == some:
            return some
        some = wider


def _counted(members: list[int], near: list[int], earlier: list[int]) -> int | None:
    """Acyclic orientations of layers that hang together; None where that takes too long."""
    place = {layer: at for at, layer in enumerate(members)}
    around, before = (
        [bits_of([place[n] for n in _members(masks[layer]) if n in place]) for layer in members]
        for masks in (near, earlier)
    )
    count = len(members)
    if count > _MOST_TANGLED:
        return None
    apart = _apart(around, before)
    if len(apart) << count > _MOST_STEPS:
        return None
    every = np.arange(1 << count, dtype=np.uint32)
    size = sum(every >> bit & 1 for bit in range(count))
    # Sums may pass 63 bits on the way and come back: what is asked for does not, being at most 20!.
    ways = np.zeros(1 << count, np.uint64)
    ways[0] = 1
    for level in range(1, count + 1):
        here = every[size == level]
        found = np.zeros(len(here), np.uint64)
        for first, looked_at, odd in apart:
            can = np.flatnonzero((here & looked_at) == first)
            share = ways[here[can] ^ first]
            found[can] += share if odd else -share
        ways[here] = found
    return int(ways[-1])


def _apart(near: list[int], earlier: list[int]) -> list[tuple[np.uint32, np.uint32, bool]]:
    """Sets of layers of which no two meet, with what must come before them as well, and whether odd."""
    found: list[tuple[int, int, int]] = [(0, 0, 0)]
    for layer in range(len(near)):
        found += [
            (some | 1 << layer, barred | near[layer], before | earlier[layer])
            for some, barred, before in found if not barred >> layer & 1
        ]  # fmt: skip
    return [(np.uint32(some), np.uint32(some | before), some.bit_count() % 2 == 1) for some, _, before in found[1:]]
