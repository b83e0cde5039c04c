"""Where bare paper or dark seams flash on plausible sheets: a fast estimate along borders, and whole sheets.

A pull moves by an affine change (a, b, c, d, e, f): a place (x, y), mm from the
image's top left, moves by (a + b x + c y, d + e x + f y).
"""

from collections.abc import Callable, Sequence
from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from nomos.base.language import tr
from nomos.base.parallel import map_threads
from nomos.base.progress import NULL_PROGRESS, Progress
from nomos.design import Labels
from nomos.proof.moved import MovedSheets
from nomos.separation import Mask

Floats = NDArray[np.float64]
# Which sets of pulls, one bit each, show as a dark seam. (n,) to (n,) bool.
SeamRule = Callable[[NDArray[np.unsignedinteger]], NDArray[np.bool_]]

# Places are told apart by so much; a sheet flashes where a tile shows more bare paper or seam than this,
# which is 2.5 mm of a gap one tenth wide (chosen by us, no source).
TILE_MM, SEEN_MM2 = 10.0, 0.25
_STEP_MM, _REACH_MM = 0.05, 2.0
_POINTS = 1200


@dataclass(frozen=True, eq=False)
class Flashing:
    """What shows on so many plausible sheets.

    bare_mm2, seam_mm2 : (sheets,) area of bare paper and of dark seams.
    bare_share, seam_share : (rows, columns) share of the sheets on which a tile of `TILE_MM` flashes.
    gaps : between which two flat colours gaps open; only the fast estimate knows them.
    """

    bare_mm2: Floats
    seam_mm2: Floats
    bare_share: Floats
    seam_share: Floats
    bare_sheets: float
    seam_sheets: float
    gaps: tuple["Gap", ...] = ()


@dataclass(frozen=True)
class Gap:
    """Where two flat colours part: mean area on a sheet, and the width that nine sheets of ten stay under."""

    colours: tuple[int, int]
    area_mm2: float
    width_mm: float


@dataclass(frozen=True, eq=False)
class Prints:
    """What is laid on every sheet.

    masks : what each pull prints, in print order, with the same shape as the labels; looked at one by one.
    wanted : for each flat colour whether anything should print there.
    """

    labels: Labels
    masks: Sequence[Mask]
    wanted: NDArray[np.bool_]
    px_per_mm: float


class _Seams:
    """Remembers which sets of pulls are seams."""

    def __init__(self, rule: SeamRule, pulls: int) -> None:
        self._rule, self._known = rule, np.full(1 << pulls, -1, np.int8)

    def __call__(self, bits: NDArray[np.unsignedinteger]) -> NDArray[np.bool_]:
        found = self._known[bits]
        if (found < 0).any():
            fresh = np.unique(bits[found < 0])
            self._known[fresh] = self._rule(fresh)
            found = self._known[bits]
        return np.asarray(found > 0)


# More pulls than this are not put into one table.
MOST_PULLS = 20


def along_borders(
    prints: Prints, changes: Floats, rule: SeamRule, *, points: int = _POINTS, seed: int = 0,
    progress: Progress = NULL_PROGRESS,
) -> Flashing:  # fmt: skip
    """The fast estimate: profiles across a sample of all borders, shifted and laid over each other.

    Parameters
    ----------
    changes : (sheets, pulls, 6), mm from the image's top left.

    Notes
    -----
    At a border only the part of a shift across it matters. A sample stands for
    a length of border, and for what lies nearest to it, so nothing is counted
    twice. Ends and corners of borders are what it leaves out.
    """
    sample = _sample(prints, points, seed)
    sheets, pulls, _ = changes.shape
    height, width = prints.labels.shape
    rows, columns = _tiles((height / prints.px_per_mm, width / prints.px_per_mm))
    bare_mm2, seam_mm2 = np.zeros(sheets), np.zeros(sheets)
    bare_share, seam_share = np.zeros(rows * columns), np.zeros(rows * columns)
    if sample is None:
        none = np.zeros((rows, columns))
        return Flashing(bare_mm2, seam_mm2, none, none, 0.0, 0.0)
    seams = _Seams(rule, pulls)
    place = np.arange(sample.own.shape[1])
    tile = sample.tile_of(columns, rows)
    still, edges = sample.still_and_edges()
    seen_bare = seen_seam = 0
    widths = np.zeros((sheets, len(tile)))
    for sheet in range(sheets):
        progress.report(sheet / sheets, tr("printing plausible sheets"))
        bits = still.copy()
        for pull, edge in enumerate(edges):
            across = (_moved(changes[sheet, pull], sample.places[edge]) * sample.normals[edge]).sum(axis=1)
            shifted = place[None] - np.rint(across / _STEP_MM).astype(int)[:, None]
            here = sample.profiles[pull][edge[:, None], np.clip(shifted, 0, len(place) - 1)]
            bits[edge] |= here.astype(np.uint32) << pull
        bare = (bits == 0) & sample.wanted
        seam = seams(bits) & sample.own
        widths[sheet] = bare.sum(axis=1) * _STEP_MM
        bare_mm2[sheet], seam_mm2[sheet], tiled = _added(sample, bare, seam, tile, rows * columns)
        bare_share += tiled[0] > SEEN_MM2
        seam_share += tiled[1] > SEEN_MM2
        seen_bare += bool((tiled[0] > SEEN_MM2).any())
        seen_seam += bool((tiled[1] > SEEN_MM2).any())
    shape = (rows, columns)
    return Flashing(
        bare_mm2, seam_mm2, (bare_share / sheets).reshape(shape), (seam_share / sheets).reshape(shape),
        seen_bare / sheets, seen_seam / sheets, sample.gaps(widths),
    )  # fmt: skip


def _added(
    sample: "_Sample", bare: NDArray[np.bool_], seam: NDArray[np.bool_], tile: NDArray[np.int64], tiles: int
) -> tuple[float, float, list[Floats]]:
    areas = [each.sum(axis=1) * _STEP_MM * sample.length_mm for each in (bare, seam)]
    tiled = [np.asarray(np.bincount(tile, area, tiles), np.float64) for area in areas]
    return float(areas[0].sum()), float(areas[1].sum()), tiled


@dataclass(frozen=True, eq=False)
class _Sample:
    """Places on borders: where, which way across, how much border each stands for, and profiles there.

    profiles : for each pull (points, samples); own : nearest to this border; wanted : own, and to be printed.
    """

    places: Floats
    pairs: NDArray[np.int64]
    normals: Floats
    length_mm: Floats
    profiles: tuple[NDArray[np.bool_], ...]
    own: NDArray[np.bool_]
    wanted: NDArray[np.bool_]

    def gaps(self, widths_mm: Floats) -> tuple[Gap, ...]:
        """The gaps at the places, (sheets, points), by the two colours that meet there; largest first."""
        keys, at = np.unique(np.sort(self.pairs, axis=1), axis=0, return_inverse=True)
        found = []
        for place, (one, other) in enumerate(keys):
            own = widths_mm[:, at.ravel() == place]
            area = float((own * self.length_mm[at.ravel() == place]).sum() / len(own))
            widest = float(np.quantile(own.max(axis=1), 0.9))
            found.append(Gap((int(one), int(other)), area, widest))
        return tuple(sorted((gap for gap in found if gap.area_mm2 > 0), key=lambda gap: -gap.area_mm2))

    def still_and_edges(self) -> tuple[NDArray[np.uint32], list[NDArray[np.intp]]]:
        """What prints all along the profiles, a bit for each pull, and for each pull where it has an edge."""
        still = np.zeros(self.own.shape, np.uint32)
        for pull, profile in enumerate(self.profiles):
            still[profile.all(axis=1)] |= np.uint32(1 << pull)
        edges = [profile.any(axis=1) & ~profile.all(axis=1) for profile in self.profiles]
        return still, [np.flatnonzero(edge) for edge in edges]

    def tile_of(self, columns: int, rows: int) -> NDArray[np.int64]:
        x = np.clip(self.places[:, 0] // TILE_MM, 0, columns - 1)
        y = np.clip(self.places[:, 1] // TILE_MM, 0, rows - 1)
        return np.asarray(y * columns + x, np.int64)


def _sample(prints: Prints, points: int, seed: int) -> _Sample | None:
    import cv2

    labels, scale = prints.labels, prints.px_per_mm
    upright = np.argwhere(labels[:, 1:] != labels[:, :-1])
    level = np.argwhere(labels[1:] != labels[:-1])
    if not len(upright) + len(level):
        return None
    # The middle of each crack between two pixels of different colours, in pixel coordinates (y, x).
    cracks = np.concatenate([upright + np.array([0.0, 0.5]), level + np.array([0.5, 0.0])])
    hand = np.random.default_rng(seed)
    y, x = np.floor(cracks).astype(int).T
    beyond_y, beyond_x = np.ceil(cracks).astype(int).T
    pairs = np.column_stack([labels[y, x], labels[beyond_y, beyond_x]]).astype(np.int64)
    chosen, stands_for = _chosen(pairs, points, hand)
    places, pairs = cracks[chosen], pairs[chosen]
    normals = _normals(labels, places)
    # A border of normal n crosses |nx| + |ny| cracks for each pixel of its length.
    length = stands_for / np.abs(normals).sum(axis=1) / scale
    steps = np.arange(-_REACH_MM, _REACH_MM + _STEP_MM / 2, _STEP_MM)
    at_x = places[:, 1:2] + normals[:, :1] * steps * scale
    at_y = places[:, :1] + normals[:, 1:] * steps * scale
    height, width = labels.shape
    column, row = np.rint(at_x).astype(int), np.rint(at_y).astype(int)
    inside = (column >= 0) & (column < width) & (row >= 0) & (row < height)
    column, row = np.clip(column, 0, width - 1), np.clip(row, 0, height - 1)
    # Outside the image the edge of a block goes on: it is not a border between colours.
    profiles = tuple((mask[row, column] == 1) & inside for mask in prints.masks)
    border = np.ones(labels.shape, np.uint8)
    border[:, 1:][labels[:, 1:] != labels[:, :-1]] = 0
    border[1:][labels[1:] != labels[:-1]] = 0
    away = cv2.distanceTransform(border, cv2.DIST_L2, cv2.DIST_MASK_5)
    own = inside & (away[row, column] > np.abs(steps) * scale - 1.6) & _counted(prints)[row, column]
    wanted = own & prints.wanted[labels[row, column]]
    return _Sample(
        (places[:, ::-1] + 0.5) / scale, pairs, normals, length, profiles, np.asarray(own), np.asarray(wanted)
    )


def _chosen(pairs: NDArray[np.int64], points: int, hand: np.random.Generator) -> tuple[NDArray[np.int64], Floats]:
    """Places among the cracks, and how many each stands for; short borders get more than their share."""
    low, high = pairs.min(axis=1), pairs.max(axis=1)
    kinds, at, counts = np.unique(low * 256 + high, return_inverse=True, return_counts=True)
    share = np.sqrt(counts) / np.sqrt(counts).sum()
    wanted = np.minimum(np.maximum(np.rint(points * share), 8).astype(int), counts)
    chosen, stands = [], []
    for kind, (count, take) in enumerate(zip(counts, wanted, strict=True)):
        own = np.flatnonzero(at.ravel() == kind)
        chosen.append(own[hand.choice(len(own), take, replace=False)])
        stands.append(np.full(take, count / take))
    assert len(chosen) == len(kinds)
    return np.concatenate(chosen), np.concatenate(stands)


def _normals(labels: Labels, places: Floats) -> Floats:
    """Unit normals (x, y) of borders at cracks, from where the colour on one side lies around them."""
    reach = 6
    y, x = np.floor(places).astype(int).T
    padded = np.pad(labels, reach, mode="edge")
    offsets = np.arange(-reach, reach + 1)
    dy, dx = np.meshgrid(offsets, offsets, indexing="ij")
    weight = np.exp(-(dx**2 + dy**2) / (2 * 2.5**2))
    normals = np.empty((len(places), 2))
    for start in range(0, len(places), 4000):
        part = slice(start, start + 4000)
        patch = padded[
            y[part, None, None] + reach + dy[None], x[part, None, None] + reach + dx[None]
        ] == labels[y[part], x[part]][:, None, None]  # fmt: skip
        # The colour's centre of gravity about the crack lies against the normal.
        away_x = (dx[None] - (places[part, 1] - x[part])[:, None, None]) * weight
        away_y = (dy[None] - (places[part, 0] - y[part])[:, None, None]) * weight
        normals[part, 0] = -(patch * away_x).sum(axis=(1, 2)) + away_x.sum(axis=(1, 2)) * patch.mean(axis=(1, 2))
        normals[part, 1] = -(patch * away_y).sum(axis=(1, 2)) + away_y.sum(axis=(1, 2)) * patch.mean(axis=(1, 2))
    size = np.hypot(*normals.T)
    flat = size < 1e-9
    normals[flat] = (1.0, 0.0)
    return np.asarray(normals / np.where(flat, 1.0, size)[:, None])


def _moved(change: Floats, places: Floats) -> Floats:
    a, b, c, d, e, f = change
    x, y = places.T
    return np.column_stack([a + b * x + c * y, d + e * x + f * y])


def _tiles(size_mm: tuple[float, float]) -> tuple[int, int]:
    rows, columns = (max(1, int(np.ceil(side / TILE_MM))) for side in size_mm)
    return rows, columns


def on_whole_sheets(prints: Prints, changes: Floats, rule: SeamRule, *, progress: Progress = NULL_PROGRESS) -> Flashing:
    """Every sheet laid in full, pixel by pixel: the exact figures.

    Parameters
    ----------
    changes : (sheets, pulls, 6), mm from the image's top left.

    Raises
    ------
    Cancelled : called off through `progress`.
    """
    sheets, pulls, _ = changes.shape
    seams = _Seams(rule, pulls)
    scale = prints.px_per_mm
    tiles = _tiles((prints.labels.shape[0] / scale, prints.labels.shape[1] / scale))
    inner = _counted(prints)
    wanted = prints.wanted[prints.labels] & inner
    moved = MovedSheets(prints.masks, changes, scale)

    def flashes(sheet: int) -> tuple[Floats, Floats]:
        bits = moved.laid(sheet)
        return _tiled((bits == 0) & wanted, scale, tiles), _tiled(seams(bits) & inner, scale, tiles)

    def words(sheet: int) -> str:
        return tr("printing sheet {sheet} of {sheets}", sheet=sheet + 1, sheets=sheets)

    bare, seam = (
        np.array(each)
        for each in zip(*map_threads(flashes, range(sheets), progress=progress, words=words), strict=True)
    )
    bare_seen, seam_seen = bare > SEEN_MM2, seam > SEEN_MM2
    return Flashing(
        bare.sum(axis=(1, 2)), seam.sum(axis=(1, 2)), bare_seen.mean(axis=0), seam_seen.mean(axis=0),
        float(bare_seen.any(axis=(1, 2)).mean()), float(seam_seen.any(axis=(1, 2)).mean()),
    )  # fmt: skip


def _tiled(page: NDArray[np.bool_], scale: float, tiles: tuple[int, int]) -> Floats:
    """Area of what is true in each tile, mm². (rows, columns)."""
    import cv2

    whole = cv2.integral(page.view(np.uint8))
    rows, columns = (
        np.minimum(np.rint(np.arange(count + 1) * TILE_MM * scale).astype(int), side)
        for count, side in zip(tiles, page.shape, strict=True)
    )
    corners = whole[np.ix_(rows, columns)].astype(np.float64)
    return np.asarray(np.diff(np.diff(corners, axis=0), axis=1) / scale**2)


def _counted(prints: Prints) -> NDArray[np.bool_]:
    """Where a gap can be: away from the image's own edge, and from what stays bare in register.

    A block that prints past the image, or into a place meant bare, has moved, but opens no gap.
    """
    import cv2

    height, width = prints.labels.shape
    bare = ~prints.wanted[prints.labels]
    printed = np.zeros(prints.labels.shape, np.uint8)
    for mask in prints.masks:
        printed |= mask
    frame = np.pad((bare | (printed == 0)).astype(np.uint8), 1, constant_values=1)
    reach = max(1, round(_REACH_MM / 2 * prints.px_per_mm))
    near = cv2.dilate(frame, np.ones((2 * reach + 1, 2 * reach + 1), np.uint8))
    return np.asarray(near[1 : height + 1, 1 : width + 1] == 0)
