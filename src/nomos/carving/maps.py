"""The carving map of a block: which tool clears what, how deep, and where the roller would dip in."""

import zlib
from collections.abc import Sequence
from dataclasses import dataclass

import numpy as np
import numpy.typing as npt
from numpy.typing import NDArray

from nomos.base.language import tr
from nomos.base.strips import by_strips
from nomos.carving.materials import CarvingError, MaterialFacts, Tool, check_tools
from nomos.separation import Mask

Floats = NDArray[np.floating]
Floats32 = NDArray[np.float32]

# Where nothing is cut, and where no tool of the set goes in.
STAYS, TOO_NARROW = 0, 255
# Ground begins so deep at an edge and falls with the distance; chosen by us, no source.
FIRST_DEPTH_MM, FALL = 0.6, 0.18
# A roller's skin gives by so much more, at 30 and at 60 degrees Shore A, as a share of its diameter;
# chosen by us.
_SOFT_SHARE, _HARD_SHARE = 0.012, 0.004
# Ground this near the roller's lowest point catches ink.
_CLEAR_MM = 0.3
# How far around a place the gap it lies in is looked for; and specks so small that no roller finds them.
_NEARBY_MM, _FLECK_MM = 5.2, 0.8
# Depths, and the roller, which bridges centimetres, are followed on every second pixel where that is as fine
# as this.
_COARSE_PX_PER_MM = 2.5


@dataclass(frozen=True)
class Roller:
    """What inks the block: diameter and length in mm, hardness in degrees Shore A."""

    diameter_mm: float = 60.0
    shore_a: float = 40.0
    length_mm: float = 100.0

    def dip_mm(self, gap_mm: npt.ArrayLike) -> Floats:
        """How far it reaches down into a gap of a given width, mm: the sagitta of its circle, and its skin.

        A circle of radius R resting on two edges g apart hangs R - sqrt(R^2 - g^2 / 4)
        below them (elementary geometry). A gap that is shorter than the roller carries it at
        its ends, and only the skin gives.
        """
        radius = self.diameter_mm / 2
        gap = np.asarray(gap_mm)
        gap = gap if gap.dtype == np.float32 else gap.astype(np.float64)
        half = np.minimum(gap / 2, radius)
        hard = np.clip((self.shore_a - 30) / 30, 0, 1)
        skin = self.diameter_mm * (_SOFT_SHARE + hard * (_HARD_SHARE - _SOFT_SHARE))
        # The skin gives as far as the gap lets it in.
        hangs = np.where(gap < self.length_mm, 0.0, radius - np.sqrt(radius**2 - half**2))
        return np.asarray(hangs + np.minimum(skin, half))


@dataclass(frozen=True, eq=False)
class _Packed:
    """A page of few numbers, which packs to a hundredth of itself."""

    data: bytes
    shape: tuple[int, ...]

    @classmethod
    def of(cls, page: NDArray[np.uint8]) -> "_Packed":
        return cls(zlib.compress(np.ascontiguousarray(page).data, 1), page.shape)

    def page(self) -> NDArray[np.uint8]:
        return np.frombuffer(zlib.decompress(self.data), np.uint8).reshape(self.shape)


@dataclass(frozen=True, eq=False)
class CarvingMap:
    """How one block is cut.

    outline_mm : length of all edges.
    areas_mm2, depths_mm : cleared by each tool, and how deep in the mean.
    band_mm : how wide the cut beside the outlines is.
    """

    packed_zones: _Packed
    packed_chatter: _Packed
    tools: tuple[Tool, ...]
    px_per_mm: float
    outline_mm: float
    areas_mm2: tuple[float, ...]
    depths_mm: tuple[float, ...]
    deepest_mm: float
    narrow_mm2: float
    chatter_mm2: float
    band_mm: float
    stays_mm2: float

    @property
    def shape(self) -> tuple[int, ...]:
        """Height and width of its pages, pixels."""
        return self.packed_zones.shape

    @property
    def zones(self) -> NDArray[np.uint8]:
        """(height, width), 0 what stays, n the n-th of `tools`, 255 too narrow for any; unpacked anew."""
        return self.packed_zones.page()

    @property
    def chatter(self) -> NDArray[np.bool_]:
        """(height, width), ground the roller reaches however deep it may be cut; unpacked anew."""
        return self.packed_chatter.page() > 0


def outline_length_mm(mask: Mask, px_per_mm: float) -> float:
    """Length of all edges, within 1 % on discs, rings and turned rectangles.

    Contours averaged over five points and half a pixel put back on each side;
    measured on shapes whose length is known.

    Parameters
    ----------
    mask : (height, width) bool.
    px_per_mm : of the page.

    Returns
    -------
    Length, mm.
    """
    import cv2

    padded = np.pad(mask, 2)
    contours, tree = cv2.findContours(padded, cv2.RETR_CCOMP, cv2.CHAIN_APPROX_NONE)
    total = 0.0
    for contour, (_, _, _, parent) in zip(contours, tree[0] if tree is not None else (), strict=True):
        points = contour[:, 0].astype(np.float64)
        if len(points) < 3:
            total += 4.0
            continue
        smooth = sum(np.roll(points, step, axis=0) for step in range(-2, 3)) / 5
        length = float(np.hypot(*(np.roll(smooth, -1, axis=0) - smooth).T).sum())
        # Contours run through the middles of the outermost pixels, of a hole through those around it.
        total += length + (np.pi if parent < 0 else -np.pi)
    return total / px_per_mm


def carve(
    mask: Mask, ground: NDArray[np.bool_], px_per_mm: float, tools: Sequence[Tool], facts: MaterialFacts, roller: Roller
) -> CarvingMap:
    """The carving map.

    Parameters
    ----------
    mask : (height, width) uint8, 1 where it prints.
    ground : the same shape, where ground is cleared if it does not print.

    Raises
    ------
    CarvingError : tools that cannot be.

    Notes
    -----
    A band as wide as the finest outline tool follows every edge; beyond it each
    place goes to the widest gouge that gets there, an opening by distance
    transforms: the room for a tool's middle exact, how far from there it
    reaches within 2 %.
    """

    chosen = tuple(sorted(tools, key=lambda tool: tool.width_mm))
    check_tools(chosen)
    if mask.shape != ground.shape:
        raise CarvingError(tr("Block and ground must have the same size."))
    cut = (ground & (mask == 0)).astype(np.uint8)
    edge = _distance(mask == 0)
    # Where all ground is cleared what is cut ends at the edges alone.
    room = edge if ground.all() else _distance(cut == 1)
    outliner = outline_tool(chosen)
    band = outliner.width_mm
    zones = np.where(cut == 1, np.uint8(TOO_NARROW), np.uint8(STAYS))
    gouges = [n for n, tool in enumerate(chosen) if tool.kind in ("u", "flat", "pen") and tool != outliner]
    first = chosen.index(outliner)
    beyond = (cut == 1) & (edge > band * px_per_mm)
    # A knife's cut is as narrow as wanted; a V tool's only as narrow as the tool.
    least = 0.3 if outliner.kind == "knife" else outliner.width_mm
    reached = _opened(room, least * px_per_mm / 2) & (cut == 1)
    np.copyto(zones, first + 1, where=reached)
    for n in gouges:
        inside = _opened(room, chosen[n].width_mm * px_per_mm / 2) & beyond
        np.copyto(zones, n + 1, where=inside)
    del room, reached
    pixel = 1 / px_per_mm**2
    depths, deepest = _depths(edge, zones, px_per_mm, facts, len(chosen))
    chatter = _chatter(edge, beyond, px_per_mm, facts, roller)
    return CarvingMap(
        _Packed.of(zones), _Packed.of(chatter), chosen, px_per_mm, outline_length_mm(mask, px_per_mm),
        tuple(float(np.count_nonzero(zones == n + 1) * pixel) for n in range(len(chosen))), depths, deepest,
        float(np.count_nonzero(zones == TOO_NARROW) * pixel), float(np.count_nonzero(chatter) * pixel),
        band, float(np.count_nonzero(mask) * pixel),
    )  # fmt: skip


def _depths(
    edge: Floats32, zones: NDArray[np.uint8], px_per_mm: float, facts: MaterialFacts, tools: int
) -> tuple[tuple[float, ...], float]:
    """The mean depth of each tool's ground, and the deepest cut."""
    step = _step(px_per_mm)
    depth = cutting_depth_mm(edge[::step, ::step] / np.float32(px_per_mm), facts)
    zones = np.ascontiguousarray(zones[::step, ::step])
    counts = np.bincount(zones.ravel(), minlength=TOO_NARROW + 1)
    sums = np.bincount(zones.ravel(), weights=depth.ravel(), minlength=TOO_NARROW + 1)
    means = sums / np.maximum(counts, 1)
    deepest = float(depth.max(where=zones != STAYS, initial=0.0))
    return tuple(means[1 : tools + 1].tolist()), deepest


def _step(px_per_mm: float) -> int:
    """Every how many pixels depths and the roller are looked at: neither is known any finer."""
    return 2 if px_per_mm >= 2 * _COARSE_PX_PER_MM else 1


def _chatter(
    edge: Floats32, beyond: NDArray[np.bool_], px_per_mm: float, facts: MaterialFacts, roller: Roller
) -> NDArray[np.uint8]:
    """Ground that the roller reaches however deep it may be cut, 1; specks left out."""
    import cv2

    step = _step(px_per_mm)
    coarse = px_per_mm / step
    far = np.ascontiguousarray(edge[::step, ::step])
    depth = cutting_depth_mm(far / np.float32(px_per_mm), facts)
    reaches = roller.dip_mm(_span(far, step, _odd(_NEARBY_MM * coarse)) * np.float32(2 / px_per_mm))
    reached = (beyond[::step, ::step] & (reaches + _CLEAR_MM > depth)).astype(np.uint8)
    fleck = _odd(_FLECK_MM * coarse)
    reached = np.asarray(cv2.morphologyEx(reached, cv2.MORPH_OPEN, np.ones((fleck, fleck), np.uint8)))
    if step == 1:
        return reached
    whole = reached.repeat(step, axis=0).repeat(step, axis=1)[: len(edge), : edge.shape[1]]
    return np.asarray(whole & beyond, np.uint8)


def _odd(pixels: float) -> int:
    """The nearest odd number; `odd` of the sketches' pages rounds up, and so hangs on the resolution."""
    return 2 * round((pixels - 1) / 2) + 1


def cutting_depth_mm(edge_mm: Floats32, facts: MaterialFacts) -> Floats32:
    """How deep ground is cut that lies so far from an edge: ever deeper, as far as the board allows; mm.

    Parameters
    ----------
    edge_mm : distance from the nearest edge, any shape.
    facts : of the material.

    Returns
    -------
    Depth, mm, the same shape.
    """
    return np.minimum(np.float32(FIRST_DEPTH_MM) + np.float32(FALL) * edge_mm, np.float32(facts.deepest_mm))


def outline_tool(tools: Sequence[Tool]) -> Tool:
    """The finest knife, V tool or pen, which goes along the edges."""
    return min((tool for tool in tools if tool.kind in ("knife", "v", "pen")), key=lambda tool: tool.width_mm)


def _distance(page: NDArray[np.bool_]) -> NDArray[np.float32]:
    """Exact distance of what is true to what is not, in pixels."""
    import cv2

    if page.all():
        return np.full(page.shape, float(max(page.shape)), np.float32)
    distance = cv2.distanceTransform(page.view(np.uint8), cv2.DIST_L2, cv2.DIST_MASK_PRECISE)
    # Whole squares of pixels under the root: the last bit of what comes back hangs on where memory lies.
    np.square(distance, out=distance)
    np.rint(distance, out=distance)
    return np.asarray(np.sqrt(distance, out=distance), np.float32)


def _opened(room: NDArray[np.float32], radius_px: float) -> NDArray[np.bool_]:
    """What a disc of a radius reaches where there is room for its middle."""
    import cv2

    outside = (room <= radius_px).view(np.uint8)
    if outside.all():
        return np.zeros(room.shape, bool)
    reach = np.float32(radius_px + 0.5 + 1e-4)

    def reached(part: NDArray[np.uint8]) -> NDArray[np.bool_]:
        # Five times as fast as exact distances, within 2 % of them (Borgefors 1986): less than a hand wavers.
        return np.asarray(cv2.distanceTransform(part, cv2.DIST_L2, cv2.DIST_MASK_5) <= reach)

    return by_strips(outside, int(reach) + 2, reached)


def _span(edge: Floats32, step: int, size: int) -> Floats32:
    """For each place the largest distance to an edge nearby: half the width of the gap it lies in.

    edge : in pixels of which `step` lie between two places of the page; size : places looked at, across.
    """
    import cv2

    widest = np.asarray(cv2.dilate(edge, np.ones((size, size), np.uint8)), np.float32)
    return np.minimum(widest, edge * 2 + np.float32(step * size / 2))


@dataclass(frozen=True)
class Bevel:
    """Which way an edge's slope falls: a place on the edge and the way down, away from what prints; mm."""

    place: tuple[float, float]
    way: tuple[float, float]


def bevels(mask: Mask, px_per_mm: float, every_mm: float = 12.0) -> tuple[Bevel, ...]:
    """Arrows along the edges of a block, leaning away from what prints so that edges have support.

    Common practice, no source.

    Parameters
    ----------
    mask : (height, width) uint8, 1 prints.
    every_mm : apart along an edge.

    Returns
    -------
    Places in mm from the mask's top left, and unit vectors.
    """
    import cv2

    # The slope of the mask blurred, at the places alone: the derivative of a Gaussian laid on each.
    sigma = max(1.0, 0.4 * px_per_mm)
    reach = int(np.ceil(3 * sigma))
    off = np.arange(-reach, reach + 1, dtype=np.float32)
    bell = np.exp(-(off**2) / (2 * sigma**2))
    slope = np.outer(bell, off * bell)
    page = cv2.copyMakeBorder(mask, reach, reach, reach, reach, cv2.BORDER_REPLICATE)
    contours, _ = cv2.findContours(mask, cv2.RETR_LIST, cv2.CHAIN_APPROX_NONE)
    step = max(1, round(every_mm * px_per_mm))
    found = []
    for contour in contours:
        if len(contour) < step / 2:
            continue
        for x, y in contour[step // 2 :: step, 0]:
            if not (1 < x < mask.shape[1] - 2 and 1 < y < mask.shape[0] - 2):
                continue
            around = page[y : y + 2 * reach + 1, x : x + 2 * reach + 1]
            way = -np.array([(slope * around).sum(), (slope.T * around).sum()])
            size = float(np.hypot(*way))
            if size > 1e-3 * bell.sum() ** 2:
                found.append(
                    Bevel(
                        ((float(x) + 0.5) / px_per_mm, (float(y) + 0.5) / px_per_mm),
                        (float(way[0] / size), float(way[1] / size)),
                    )
                )
    return tuple(found)


def widest_places(
    page: NDArray[np.bool_], px_per_mm: float, most: int = 3, *, least_mm: float = 5.0
) -> list[tuple[float, float]]:
    """Where what is true is widest, the widest first, far from each other.

    Parameters
    ----------
    page : (height, width) bool.
    most : how many places.
    least_mm : narrower places are left out.

    Returns
    -------
    x, y in mm from the top left.
    """
    import cv2

    # Half as fine is fine enough to find room for a letter, and four times as fast.
    left = np.ascontiguousarray(page[::2, ::2].astype(np.uint8))
    found = []
    for _ in range(most):
        depth = cv2.distanceTransform(np.pad(left, 1), cv2.DIST_L2, cv2.DIST_MASK_3)[1:-1, 1:-1]
        y, x = np.unravel_index(int(depth.argmax()), depth.shape)
        if 4 * depth[y, x] < least_mm * px_per_mm:
            break
        found.append(((2 * float(x) + 1) / px_per_mm, (2 * float(y) + 1) / px_per_mm))
        cv2.circle(left, (int(x), int(y)), int(10 * px_per_mm), 0, -1)
    return found
