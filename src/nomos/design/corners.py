"""Finding the sheet of paper in a photograph: four corners, in perspective, of any colour on any ground."""

from dataclasses import dataclass, replace

import numpy as np
from numpy.typing import NDArray

from nomos.design.bows import refined_corners
from nomos.design.page import Rgb
from nomos.design.sides import Array, Page, Points, colours_and_steps, quadrilaterals, signed_areas, straight_edges

# A side is looked at in so many places.
_SAMPLES = 44
# Strips beside a side, inside and outside, as shares of the sheet's diagonal.
_STRIPS = (0.008, 0.014, 0.020)
# Colours this far apart on both sides of an edge are two things, ΔE with a and b weighing more.
_APART = 6.0
_STEP = 1.1
# So many of a picture's straight edges are tried and so many quadrilaterals looked at closely; and so many where
# no sheet is sure among those.
_EDGES, _MOST_EDGES = 26, 50
_CLOSELY, _MOST_CLOSELY = 160, 500
_SECOND_LOOK = 0.85
# What a side weighs that cannot be seen, since the picture ends there.
UNSEEN = 0.4
# Below this the sheet is not sure; measured in benchmarks/ on simulated photographs.
SURE = 0.6
# Below this there is nothing like a sheet; a view that is shaded needs more, to be asked about.
LIKELY, LIKELY_TONES = 0.1, 0.45
# A sheet that fills the picture, as on a scan: along its border one even pale colour, Lab.
_EVEN_RIM, _PALE_RIM, _RIM = 2.2, 55.0, 0.018


@dataclass(frozen=True, eq=False)
class Sheet:
    """A sheet found in a picture.

    corners : (4, 2) pixels, top left first, clockwise; the picture's own corners where none was found.
    sure : 0 to 1; below `SURE` it should be set by hand.
    seen : of each side, the upper one first, clockwise, the share along which its edge is seen.
    """

    corners: Points
    sure: float
    seen: tuple[float, float, float, float] = (0.0, 0.0, 0.0, 0.0)


def whole(rgb: Rgb) -> Points:
    """The corners of the picture itself.

    Parameters
    ----------
    rgb : (height, width, 3).

    Returns
    -------
    (4, 2) pixels, top left first, clockwise.
    """
    height, width = rgb.shape[:2]
    return np.array([(0, 0), (width, 0), (width, height), (0, height)], np.float64)


def fills(rgb: Rgb) -> bool:
    """Whether one even pale paper runs along the whole border of a picture, as on a scan.

    Parameters
    ----------
    rgb : (height, width, 3) uint8 sRGB.
    """
    lab, _, _ = colours_and_steps(rgb)
    deep = max(3, round(_RIM * max(lab.shape[:2])))
    sides = (lab[2:deep], lab[-deep:-2], lab[:, 2:deep], lab[:, -deep:-2])
    ring = np.concatenate([side.reshape(-1, 3) for side in sides])
    middle = np.median(ring, axis=0)
    off = float(np.percentile(np.linalg.norm(ring - middle, axis=-1), 90))
    return bool(off < _EVEN_RIM and middle[0] > _PALE_RIM)


def find_sheet(rgb: Rgb) -> Sheet:
    """The sheet of paper in a photograph.

    Parameters
    ----------
    rgb : (height, width, 3) uint8 sRGB.

    Returns
    -------
    Sheet; sure 0 with the picture's own corners where there is nothing like a sheet.

    Notes
    -----
    Of all that two pairs of straight edges enclose, the best has an edge along its sides with other colours
    on both sides of it, one paper along the inside of all four, and is large. Nothing is asked of which is
    the brighter. Each side is then fitted again where the colour steps from outside to inside, at full size,
    as the bow that a lens makes of it.
    """
    lab, across, down = colours_and_steps(rgb)
    size = lab.shape[1], lab.shape[0]
    judge, edges = _Judge(lab, across, down), straight_edges(across, down, _MOST_EDGES)
    found = _sheet_among(rgb, judge, quadrilaterals(edges[:_EDGES], size), _CLOSELY)
    if found.sure >= SURE or len(edges) <= _EDGES:
        return found
    # A grain or a grid has stronger edges than the sheet: looked at again with more of them, which takes longer.
    again = _sheet_among(rgb, judge, quadrilaterals(edges, size), _MOST_CLOSELY)
    # Among so many more there is sooner one that only looks like it.
    return replace(again, sure=again.sure * _SECOND_LOOK)


def _sheet_among(rgb: Rgb, judge: "_Judge", candidates: Points, closely: int) -> Sheet:
    """The likeliest of some quadrilaterals, (n, 4, 2), so many of them looked at closely; refined at full size."""
    if not len(candidates):
        return Sheet(whole(rgb), 0.0)
    looks = judge.look(judge.likely(candidates, closely))
    best = int(looks.score.argmax())
    if looks.score[best] <= 0:
        return Sheet(whole(rgb), 0.0)
    corners = looks.corners
    full = corners[best] / np.array([judge.size[0] / rgb.shape[1], judge.size[1] / rgb.shape[0]])
    refined, tight = refined_corners(rgb, full)
    far = np.abs(corners - corners[best]).max(axis=(1, 2)) > 0.045 * max(judge.size)
    rival = float(looks.score[far].max()) / float(looks.score[best]) if far.any() else 0.0
    points, sides = _in_order(refined, looks.seen[best])
    return Sheet(points, _sureness(looks, best, rival, tight), sides)


def _sureness(looks: "_Looks", best: int, rival: float, tight: float) -> float:
    """How sure the best is, 0 to 1: each doubt that there is takes its share."""
    doubts = (
        float(np.interp(looks.seen[best].sum(), [2.6, 3.05, 3.35], [0.4, 0.55, 1.0])),
        float(np.interp(looks.level[best], [4.0, 9.0], [0.5, 1.0])),
        float(np.exp(-max(looks.spread[best] - 4.0, 0.0) / 14)),
        float(np.interp(looks.ground[best], [10.0, 24.0], [1.0, 0.6])),
        float(np.interp(rival, [0.8, 1.0], [1.0, 0.7])),
        0.6 + 0.4 * tight,
        0.8 if looks.painted[best] else 1.0,
    )
    return float(np.prod(doubts))


def _in_order(points: Points, seen: NDArray[np.floating]) -> tuple[Points, tuple[float, float, float, float]]:
    """Clockwise as seen, beginning at the top left, with what was seen of each side."""
    middle = points.mean(axis=0)
    first = int(np.argmin(((points - middle) / np.ptp(points, axis=0)).sum(axis=1)))
    one, two, three, four = (round(float(each), 3) for each in np.roll(seen, -first))
    return np.roll(points, -first, axis=0), (one, two, three, four)


class _Judge:
    """How like a sheet quadrilaterals are."""

    def __init__(self, lab: Page, across: Page, down: Page) -> None:
        self._lab, self._across, self._down = lab, across, down
        self._height, self._width = across.shape
        self.size = self._width, self._height

    def _beyond(self, points: Array) -> NDArray[np.bool_]:
        """Places on the picture's border or outside it: what runs there cannot be judged."""
        return np.asarray((points < 3).any(axis=-1) | (points > np.array([self._width, self._height]) - 4).any(axis=-1))

    def _at(self, page: Page, points: Array) -> Page:
        column = np.clip(np.rint(points[..., 0]).astype(int), 0, self._width - 1)
        row = np.clip(np.rint(points[..., 1]).astype(int), 0, self._height - 1)
        return np.asarray(page[row, column])

    def _along(self, corners: Points, samples: int) -> tuple[Array, Array]:
        """Places along the sides, (n, 4, samples, 2), and the sides' inward normals, (n, 4, 2)."""
        ends = np.roll(corners, -1, axis=1)
        along = np.linspace(0.04, 0.96, samples)[None, None, :, None]
        way = ends - corners
        inward = np.stack([-way[..., 1], way[..., 0]], axis=-1)
        inward /= np.maximum(np.hypot(inward[..., 0], inward[..., 1]), 1e-9)[..., None]
        return corners[:, :, None] + way[:, :, None] * along, inward

    def _edge(self, points: Array, inward: Array) -> Array:
        """How strong the step across a side is, looked for a little to either side of it."""
        best = np.zeros(points.shape[:3])
        normal = inward[:, :, None]
        for shift in (-3.0, -1.5, 0.0, 1.5, 3.0):
            at = points + shift * normal
            step = np.abs(self._at(self._across, at) * normal[..., 0] + self._at(self._down, at) * normal[..., 1])
            best = np.maximum(best, step)
        return best

    def likely(self, corners: Points, most: int) -> Points:
        """Of (n, 4, 2) so many with the most edge along their sides, judged together and quickly."""
        if len(corners) <= most:
            return corners
        points, inward = self._along(corners, 18)
        share = np.where(self._beyond(points), UNSEEN, np.clip(self._edge(points, inward) / _STEP, 0, 1))
        share = share.mean(axis=-1)
        area = np.sqrt(np.clip(np.abs(signed_areas(corners)) / (0.45 * self._width * self._height), 0, 1))
        order = np.argsort(-_weighed(share) * area, kind="stable")
        return np.asarray(corners[order[:most]])

    def look(self, corners: Points) -> "_Looks":
        """All that is judged of (n, 4, 2)."""
        points, inward = self._along(corners, _SAMPLES)
        reach = np.hypot(*(corners[:, 0] - corners[:, 2]).T)[:, None, None, None]
        beyond = self._beyond(points - inward[:, :, None] * reach * _STRIPS[0])
        off = [inward[:, :, None] * reach * strip for strip in _STRIPS]
        inside = np.mean([self._at(self._lab, points + by) for by in off], axis=0)
        outside = np.mean([self._at(self._lab, points - by) for by in off], axis=0)
        apart = inside - outside
        contrast = np.linalg.norm(apart, axis=-1)
        # What differs in lightness alone, inside darker in its own tint, may be a shadow's edge.
        plain = np.linalg.norm(apart[..., 1:], axis=-1) < 0.22 * np.abs(apart[..., 0])
        shaded = plain & (inside[..., 0] < outside[..., 0])
        edge = np.clip(self._edge(points, inward) / _STEP, 0, 1)
        held = edge * (contrast > _APART) * np.where(shaded, 0.85, 1.0)
        seen = np.where(beyond, 0.0, held).sum(axis=-1) / _SAMPLES
        hidden = beyond.mean(axis=-1)
        ring = np.where(beyond[..., None], np.nan, inside)
        spread = _spread(ring.reshape(len(corners), -1, 3))
        beside = np.where(beyond[..., None], np.nan, outside)
        ground = _unlike(beside)
        level = _median(np.where(beyond, np.nan, contrast).reshape(len(corners), -1))
        area = np.clip(np.abs(signed_areas(corners)) / (0.45 * self._width * self._height), 0, 1) ** 0.7
        score = _weighed(seen + hidden * UNSEEN) * np.sqrt(np.clip(level / 15, 0, 1))
        # Where the sheet is hardly another colour than its ground, the ground may differ by less, too.
        uneven = np.maximum(ground - np.minimum(8, 0.27 * level), 0) / np.clip(2 * level, 1, 60)
        score *= np.exp(-np.maximum(spread - 3, 0) / 14 - uneven)
        score *= area * ((hidden < 0.7).sum(axis=-1) >= 2)
        # Darker than what is pale and grey around it: it may be paint on paper.
        within, around = (_median_colour(part.reshape(len(corners), -1, 3)) for part in (ring, beside))
        pale = (around[:, 0] > _PALE_RIM) & (np.hypot(around[:, 1], around[:, 2]) < 27)
        return _Looks(corners, score, seen, level, spread, ground, pale & (within[:, 0] < around[:, 0] - 3))


@dataclass(frozen=True, eq=False)
class _Looks:
    """What was judged of n quadrilaterals.

    corners : (n, 4, 2). score : (n,), the larger the likelier.
    seen : (n, 4) share of each side along which an edge is seen.
    level : (n,) how far inside and outside are apart. spread : (n,) how far colour along the inside scatters.
    ground : (n,) how unlike the rest one side's outside is. painted : (n,) it may be paint on paper.
    """

    corners: Points
    score: Array
    seen: Array
    level: Array
    spread: Array
    ground: Array
    painted: NDArray[np.bool_]


def _median(values: Array) -> Array:
    """The median of each row's numbers that are known; 0 where none is."""
    known = np.isfinite(values).any(axis=-1)
    found = np.zeros(len(values))
    found[known] = np.nanmedian(values[known], axis=-1)
    return found


def _median_colour(colours: Array) -> Array:
    """The median of each row's colours, lightness, a and b by themselves. (n, k, 3) to (n, 3)."""
    return np.stack([_median(colours[..., c]) for c in range(3)], axis=-1)


def _unlike(outside: Array) -> Array:
    """How far the colour outside one side lies from that of the others. (n, 4, k, 3) to (n,)."""
    n, sides, count, _ = outside.shape
    each = _median_colour(outside.reshape(n * sides, count, 3)).reshape(n, sides, 3)
    each[~np.isfinite(outside[..., 0]).any(axis=-1)] = np.nan
    middle = _median_colour(each)
    far = np.linalg.norm((each - middle[:, None]) * np.array([0.6, 1.0, 1.0]), axis=-1)
    return np.asarray(np.nan_to_num(far).max(axis=-1))


def _weighed(support: Array) -> Array:
    """The mean of four sides, of which the weakest counts a third: a hand may lie on it. (n, 4) to (n,)."""
    least = support.min(axis=-1)
    return np.asarray((support.sum(axis=-1) - least * 2 / 3) / (3 + 1 / 3))


def _spread(ring: Array) -> Array:
    """How far colours scatter that should be one paper, lightness weighing less. (n, k, 3) to (n,)."""
    middle = _median_colour(ring)
    far = np.linalg.norm((ring - middle[:, None]) * np.array([0.55, 1.0, 1.0]), axis=-1)
    known = np.isfinite(far).any(axis=1)
    found = np.full(len(ring), 99.0)
    # A quarter of it may be a hand, a clip, or a drawing that reaches the edge.
    found[known] = np.nanpercentile(far[known], 75, axis=1)
    return found
