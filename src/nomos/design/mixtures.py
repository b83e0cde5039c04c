"""Colours that nobody drew: seams along an edge, paper between grains of crayon, colour below the line."""

from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from nomos.colour import Lab, delta_e00
from nomos.design.page import WEIGHTS, Mask
from nomos.design.patches import Patches

Array = NDArray[np.floating]

# Figures chosen by us and measured in benchmarks/: lengths in mm, colours in weighted Lab.
_LEAST_APART = 10.0
_OFF_THE_WAY, _OFF_TO_LINE = 6.0, 8.0
_SEAM_SHARE, _SEAM_CORE, _HARDLY_CORE = 0.03, 0.45, 0.25
_GRAIN_SHARE, _GRAIN_MM2, _GRAIN_OFF = 0.10, 80.0, 7.0
_SCATTERED_MM2, _SCATTERED_MEAN_MM2 = 200.0, 16.0
_SPECKS, _SPECK_MM2, _PALE_DE00 = 6, 6.0, 22.0
_BESIDE_LINE_MM2, _ALONG_LINE = 3.0, 0.6
_LINE_SHARE, _LINE_LIGHTER, _LINE_DE00, _THIN_LINE_DE00 = 0.03, 12.0, 14.0, 22.0


@dataclass(frozen=True, eq=False)
class Surroundings:
    """What patches touch.

    contact : (m, 3) pairs of patches that touch and the length of their border, pixels.
    by_line : (n,) the share of each patch that lies on or beside a drawn line.
    line, paper : their colours, where there is a line and paper shows.
    """

    contact: Array
    by_line: Array
    line: Lab | None
    paper: Lab | None
    px_per_mm: float


def surroundings(
    patches: Patches, near_line: Mask, line: Lab | None, paper: Lab | None, px_per_mm: float
) -> Surroundings:
    """What the patches of a page touch. near_line : (height, width)."""
    count = len(patches.area)
    number = patches.number.astype(np.int64)
    keys = []
    for one, other in ((number[:, :-1], number[:, 1:]), (number[:-1], number[1:])):
        meet = one != other
        keys.append(np.minimum(one, other)[meet] * count + np.maximum(one, other)[meet])
    key, length = np.unique(np.concatenate(keys), return_counts=True)
    contact = np.stack([key // count, key % count, length], axis=-1).astype(np.float64)
    beside = np.bincount(number.ravel(), near_line.ravel(), count) / patches.area
    return Surroundings(contact, beside, line, paper, px_per_mm)


def mixtures(
    labs: Array, of_patch: NDArray[np.int64], patches: Patches, around: Surroundings,
    *, kept: frozenset[int] = frozenset(),
) -> dict[int, int]:  # fmt: skip
    """The colours that are only mixtures of others, and the colour each is given to.

    Parameters
    ----------
    labs : (k, 3) colours. of_patch : (n,) the colour of each patch.
    kept : colours that stay whatever they look like.
    """
    look = _Look(labs, of_patch, patches, around)
    goes: dict[int, int] = {}
    for number in np.argsort(look.area, kind="stable"):
        number = int(number)
        if number in kept or len(goes) >= len(labs) - 1:
            continue
        into = look.of_line(number) or look.of_grain(number, goes) or look.of_seam(number, goes)
        if into:
            goes[number] = look.neighbour(number, goes)
    # A chain ends at a colour that stays.
    for number in goes:
        while goes[number] in goes:
            goes[number] = goes[goes[number]]
    return goes


class _Look:
    """Figures about each colour that tell a mixture from a colour."""

    def __init__(self, labs: Array, of_patch: NDArray[np.int64], patches: Patches, around: Surroundings) -> None:
        count = len(labs)
        self.labs, self.around = labs, around
        self.area = np.bincount(of_patch, patches.area, count)
        self.core = np.bincount(of_patch, patches.core, count) / np.maximum(self.area, 1)
        self.count = np.bincount(of_patch, minlength=count)
        self.largest = np.array([patches.area[of_patch == n].max(initial=0) for n in range(count)])
        self.share = self.area / patches.number.size
        self.by_line = np.bincount(of_patch, around.by_line * patches.area, count) / np.maximum(self.area, 1)
        one, other = (of_patch[around.contact[:, side].astype(int)] for side in (0, 1))
        meets = np.bincount(one * count + other, around.contact[:, 2], count * count).reshape(count, count)
        np.fill_diagonal(meets, 0)
        self.meets = meets + meets.T
        self.outline = np.maximum(self.meets.sum(axis=1), 1)
        self.points = labs * WEIGHTS

    def neighbour(self, number: int, goes: dict[int, int]) -> int:
        """The colour that stays and touches it most."""
        length = self.meets[number].copy()
        length[[number, *goes]] = -1
        return int(np.argmax(length))

    def of_line(self, number: int) -> bool:
        """Dark, small and along the line: the line over a colour, or lines so near that they run together."""
        line = self.around.line
        inside = self.core[number] * self.area[number] / self.around.px_per_mm**2
        if line is not None and inside < _BESIDE_LINE_MM2 and self.by_line[number] > _ALONG_LINE:
            return True
        thin = self.core[number] < 0.45 and self.share[number] < 0.3 * _LINE_SHARE
        if line is None or self.share[number] > _LINE_SHARE or self.by_line[number] < (0.1 if thin else 0.25):
            return False
        half = np.array([0.5, 1, 1])
        apart = float(delta_e00(self.labs[number] * half, np.array(line) * half))
        near = apart < (_THIN_LINE_DE00 if thin else _LINE_DE00)
        return bool(self.labs[number][0] - line[0] < _LINE_LIGHTER and near)

    def of_grain(self, number: int, goes: dict[int, int]) -> bool:
        """In many small spots within one colour, and between it and the paper: grain that did not close."""
        paper = self.around.paper
        mm2 = self.around.px_per_mm**2
        scattered = (
            self.largest[number] < _SCATTERED_MM2 * mm2
            and self.area[number] < _SCATTERED_MEAN_MM2 * mm2 * self.count[number]
        )
        small = scattered or self.largest[number] < _GRAIN_MM2 * mm2
        if paper is None or self.share[number] > _GRAIN_SHARE or not small:
            return False
        white = np.array(paper) * WEIGHTS
        if self._pale_specks(number, paper):
            return True
        around = sum(
            self.meets[number, other]
            for other in range(len(self.labs))
            if other != number
            and other not in goes
            and self.area[other] > 2.5 * self.area[number]
            and _on_the_way(self.points[number], self.points[other], white, _GRAIN_OFF, 0.08)
        )
        return bool(around > 0.45 * self.outline[number])

    def _pale_specks(self, number: int, paper: Lab) -> bool:
        """Nothing but specks, nearly as pale as the paper."""
        specks = self.count[number] >= _SPECKS and self.area[number] / self.count[number] < _SPECK_MM2 * (
            self.around.px_per_mm**2
        )
        pale = float(delta_e00(self.labs[number], np.array(paper))) < _PALE_DE00
        return bool(specks and pale and self.share[number] < _SEAM_SHARE)

    def of_seam(self, number: int, goes: dict[int, int]) -> bool:
        """Thin, and between two colours that it touches: the mixture along an edge."""
        if self.share[number] > _SEAM_SHARE or self.core[number] > _SEAM_CORE:
            return False
        touched = [n for n in range(len(self.labs)) if n != number and n not in goes]
        ends = [(self.points[n], self.meets[number, n]) for n in touched]
        if self.around.line is not None:
            # A blurred end of the line itself touches no line; it is thin, and on the way to its colour.
            ends.append((np.array(self.around.line) * WEIGHTS, 0.0))
        to_line = len(touched)
        # The thinner it is, the less it has to touch the two it lies between.
        contact = (0.45 if self.core[number] < _HARDLY_CORE else 0.6) * self.outline[number]
        return any(
            length + other_length > contact
            and _on_the_way(self.points[number], end, other, _OFF_TO_LINE if place == to_line else _OFF_THE_WAY, 0.1)
            for place, (end, length) in enumerate(ends)
            for other, other_length in ends[:place]
        )


def _on_the_way(point: Array, start: Array, end: Array, off: float, margin: float) -> bool:
    """Whether a colour lies between two others, no further off the straight way than said."""
    way = end - start
    length = float(way @ way)
    if length < _LEAST_APART**2:
        return False
    share = float((point - start) @ way) / length
    return margin < share < 1 - margin and float(np.linalg.norm(point - start - share * way)) < off
