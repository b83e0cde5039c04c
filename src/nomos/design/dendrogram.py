"""Joining the colours of a page two at a time, the most alike first, and cutting the tree anywhere."""

from collections.abc import Sequence
from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from nomos.colour import Lab, as_lab, delta_e00

Array = NDArray[np.float64]

# Lightness counts less than hue: pressure and shade change it (chosen by us, measured in benchmarks/).
_LIGHTNESS = 1.4
# Where a number is asked for, colours that cannot be told apart are still one.
_INDISTINCT_DE00 = 2.0
# A small area must be this much more distinct to be a colour of its own: share of the page, factor.
_SMALL_SHARE, _SMALL_FACTOR = 0.008, 0.6


@dataclass(frozen=True)
class Joined:
    """Two colours that fall together when one colour fewer is counted: how many are left, and both."""

    left: int
    cost: float
    one: Lab
    other: Lab


class Dendrogram:
    """Colours joined two at a time, the most alike first."""

    def __init__(self, labs: Array, share: Array, pinned: Sequence[Lab] = ()) -> None:
        """labs : (n, 3). share : (n,) of the page. pinned : colours that never join each other, put first."""
        self.pinned = len(pinned)
        self.labs = np.vstack([np.array(pinned, np.float64).reshape(-1, 3), labs])
        self.share = np.concatenate([np.full(len(pinned), 1e-6), share])
        self.joins: list[tuple[float, int, int]] = []
        self.pairs: list[tuple[Lab, Lab]] = []
        self._join_all()

    def _join_all(self) -> None:
        labs, share = self.labs.copy(), self.share.copy()
        count = len(labs)
        alive = np.ones(count, bool)
        apart = np.full((count, count), np.inf)
        for place in range(count):
            apart[place] = self._costs(labs, share, place)
        np.fill_diagonal(apart, np.inf)
        apart[: self.pinned, : self.pinned] = np.inf
        least = apart.min(axis=1)
        for _ in range(count - max(1, self.pinned)):
            one = int(np.argmin(np.where(alive, least, np.inf)))
            other, cost = int(np.argmin(apart[one])), float(least[one])
            if not np.isfinite(cost):
                break
            # A pinned colour keeps its place and its colour, else the larger does.
            if other < self.pinned or (one >= self.pinned and share[other] > share[one]):
                one, other = other, one
            self.joins.append((cost, one, other))
            self.pairs.append((as_lab(labs[one]), as_lab(labs[other])))
            if one >= self.pinned:
                weight = share[one] + share[other]
                labs[one] = (labs[one] * share[one] + labs[other] * share[other]) / weight
            share[one] += share[other]
            alive[other] = False
            apart[other], apart[:, other] = np.inf, np.inf
            row = np.where(alive, self._costs(labs, share, one), np.inf)
            row[one] = np.inf
            if one < self.pinned:
                row[: self.pinned] = np.inf
            apart[one], apart[:, one] = row, row
            least = apart.min(axis=1)

    @staticmethod
    def _costs(labs: Array, share: Array, place: int) -> Array:
        """How unlike every colour is to one of them, a small area's difference counting for less."""
        flat = np.array([1 / _LIGHTNESS, 1, 1])
        size = np.minimum(1, np.minimum(share, share[place]) / _SMALL_SHARE)
        return delta_e00(labs * flat, labs[place] * flat) * (_SMALL_FACTOR + (1 - _SMALL_FACTOR) * size)

    def cut_at(self, limit: float) -> NDArray[np.int64]:
        """The group of each colour when everything more alike than a limit is joined."""
        count = 0
        while count < len(self.joins) and self.joins[count][0] <= limit:
            count += 1
        return self._groups(count)

    def cut_to(self, number: int) -> NDArray[np.int64]:
        """The groups when so many are left, or fewer where they could not be told apart."""
        least = next((n for n, join in enumerate(self.joins) if join[0] > _INDISTINCT_DE00), len(self.joins))
        return self._groups(min(max(len(self.labs) - number, least), len(self.joins)))

    def _groups(self, joins: int) -> NDArray[np.int64]:
        group = np.arange(len(self.labs))
        for _, one, other in self.joins[:joins]:
            group[group == other] = one
        return np.asarray(np.unique(group, return_inverse=True)[1], np.int64)

    def curve(self, most: int, own: int = 0) -> tuple[tuple[int, float], ...]:
        """Mean ΔE00 between colours and what they are joined to, for each number of colours.

        own : colours counted besides these, as a line's.
        """
        found = []
        for number in range(1, min(most - own, len(self.labs)) + 1):
            groups = self._groups(len(self.labs) - number if number <= len(self.labs) else 0)
            mass = np.bincount(groups, self.share)
            middle = np.stack([np.bincount(groups, self.share * self.labs[:, c]) / mass for c in range(3)], -1)
            error = float(self.share @ delta_e00(self.labs, middle[groups]) / self.share.sum())
            found.append((number + own, error))
        return tuple(found)

    def history(self) -> tuple[Joined, ...]:
        """Every join, with how many colours are left after it."""
        return tuple(
            Joined(len(self.labs) - n - 1, cost, *pair)
            for n, ((cost, _, _), pair) in enumerate(zip(self.joins, self.pairs, strict=True))
        )
