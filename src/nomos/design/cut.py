"""What of a picture is printed: four corners in perspective, straightened; the picture stays as it is."""

from dataclasses import dataclass, replace

import numpy as np
from numpy.typing import NDArray

from nomos.base.errors import BadInput
from nomos.base.language import tr
from nomos.base.units import PAPER_SIZES_MM
from nomos.design.corners import find_sheet, whole
from nomos.design.extent import Extent, find_extent
from nomos.design.foreign import Foreign, find_foreign, inside
from nomos.design.light import Light, measure_light
from nomos.design.page import Mask, Rgb, filled
from nomos.design.sheet_page import moved, sheet_page, warp_matrix
from nomos.design.sides import Points, signed_areas

Point = tuple[float, float]
Corners = tuple[Point, Point, Point, Point]
WHOLE: Corners = ((0.0, 0.0), (1.0, 0.0), (1.0, 1.0), (0.0, 1.0))

_LEAST_SHARE = 0.002
# An estimated shape this near a known paper's is that paper's.
_KNOWN_SHAPE = 0.03
# The light is judged on a view with so much around what is printed, at so many pixels.
_AROUND = 0.18
_LIGHT_PX = 480
# A sheet so much larger than what is drawn on it shows its margin.
_WITH_MARGIN = 1.12
# A tilt too slight to tell the focal length by.
_SLIGHT = 1e-3


@dataclass(frozen=True)
class Cut:
    """What is printed of a picture.

    corners : top left, top right, bottom right, bottom left of what is printed, as shares of the picture's
        width and height. Their order turns and mirrors: it begins wherever the top left is to be.
    bare : polygons that stay bare paper, in the same shares.
    sheet : the corners of the sheet it was drawn on, where they are known: the light is judged on it.
    """

    corners: Corners = WHOLE
    bare: tuple[tuple[Point, ...], ...] = ()
    sheet: Corners | None = None

    def turned(self, quarters: int) -> "Cut":
        """The same cut turned clockwise by so many quarters."""
        by = quarters % 4
        one, two, three, four = (*self.corners[4 - by :], *self.corners[: 4 - by])
        return replace(self, corners=(one, two, three, four))

    def mirrored(self) -> "Cut":
        """The same cut seen in a mirror."""
        one, two, three, four = self.corners
        return replace(self, corners=(two, one, four, three))


def to_print(cut: Cut | None, size_mm: tuple[float, float]) -> NDArray[np.float64]:
    """The perspective from shares of a picture's width and height to mm on a print of a size.

    Parameters
    ----------
    cut : what is printed of the picture; None for all of it.
    size_mm : width and height of the print.

    Returns
    -------
    (3, 3) homography.
    """
    return warp_matrix(np.array((cut or Cut()).corners, np.float64), size_mm)


def through(matrix: NDArray[np.floating], place: Point) -> Point:
    """One place through a perspective.

    Parameters
    ----------
    matrix : (3, 3) homography.
    place : x and y.

    Returns
    -------
    x and y.
    """
    x, y, depth = matrix @ np.array([*place, 1.0])
    return float(x / depth), float(y / depth)


def cut_with(cut: Cut, kept: Foreign, size_mm: tuple[float, float]) -> Cut:
    """The cut with something that was left out kept, and its corners so wide that it lies within them.

    Parameters
    ----------
    size_mm : of the print until now.
    """
    to_mm = to_print(cut, size_mm)
    points = moved(np.array(kept.outline), to_mm)
    low, high = np.minimum(points.min(axis=0), 0), np.maximum(points.max(axis=0), size_mm)
    box = np.array([low, (high[0], low[1]), high, (low[0], high[1])])
    bare = tuple(each for each in cut.bare if each != kept.outline)
    return replace(cut, corners=as_corners(moved(box, np.linalg.inv(to_mm))), bare=bare)


def checked_cut(cut: Cut, name: str) -> Cut:
    """The cut itself if it encloses something. Raises BadInput."""
    points = np.array(cut.corners, np.float64)
    if not np.isfinite(points).all() or (np.abs(points - 0.5) > 2).any():
        raise BadInput(tr("The corners of {name} lie far outside the picture; set them again.", name=name))
    way = np.roll(points, -1, axis=0) - points
    after = np.roll(way, -1, axis=0)
    cross = way[:, 0] * after[:, 1] - way[:, 1] * after[:, 0]
    if not ((cross > 0).all() or (cross < 0).all()):
        raise BadInput(
            tr(
                "The corners of {name} cross each other or lie on one line; give them as top left, "
                "top right, bottom right, bottom left.",
                name=name,
            )
        )
    x, y = points.T
    if abs(x @ np.roll(y, -1) - y @ np.roll(x, -1)) / 2 < _LEAST_SHARE:
        raise BadInput(tr("The corners of {name} enclose next to nothing; set them further apart.", name=name))
    return cut


@dataclass(frozen=True, eq=False)
class Found:
    """What was found in a photograph, all in shares of the picture.

    cut : what is printed: the drawn frame, or the extent of the drawing.
    sheet : the sheet's corners.
    sure : 0 to 1; certain : whether that is enough. Where it is not, the corners are a proposal, and are
        asked for before anything is read.
    paper : the known paper whose shape the sheet has, "" for none.
    seen : of each side, the upper one first, clockwise, the share along which its edge is seen.
    foreign : what lies on the sheet and is not drawn; what of it is sure stays bare in the cut.
    """

    cut: Cut
    sheet: Corners
    sure: float
    certain: bool
    paper: str
    seen: tuple[float, float, float, float] = (0.0, 0.0, 0.0, 0.0)
    foreign: tuple[Foreign, ...] = ()


def find_cut(rgb: Rgb) -> Found:
    """The sheet in a photograph and what is drawn on it.

    Parameters
    ----------
    rgb : (height, width, 3) uint8 sRGB.

    Returns
    -------
    The corners found, what is drawn, and how sure that is. The picture itself, certainly, where a sheet fills
    it (a scan), where it was drawn on a screen, or where it shows no sheet but a view.
    """
    from nomos.design.corners import LIKELY, LIKELY_TONES, SURE, fills
    from nomos.design.drawing import recognise_drawing
    from nomos.design.kind import kind_of

    if recognise_drawing(rgb) is not None:
        return Found(Cut(), WHOLE, 1.0, True, "")
    if fills(rgb):
        extent, foreign = _drawn_on(rgb, whole(rgb))
        # A scan is printed whole unless a frame was drawn, or something lies beside the drawing.
        inner = extent.straight == 4 or any(each.sure for each in foreign)
        cut = Cut(as_corners(extent.corners) if inner else WHOLE, _bare_of(foreign))
        return Found(cut, WHOLE, 1.0, True, "", foreign=foreign)
    sheet = find_sheet(rgb)
    if sheet.sure < LIKELY or (sheet.sure < LIKELY_TONES and kind_of(rgb).read_as == "tones"):
        return Found(Cut(), WHOLE, sheet.sure, True, "")
    return found_on(rgb, sheet.corners, sheet.sure, certain=sheet.sure >= SURE, seen=sheet.seen)


def found_on(
    rgb: Rgb, sheet: Points, sure: float = 1.0, *, certain: bool = True,
    seen: tuple[float, float, float, float] = (1.0, 1.0, 1.0, 1.0),
) -> Found:  # fmt: skip
    """What is drawn on a sheet whose corners are known, or said.

    Parameters
    ----------
    rgb : the photograph. sheet : (4, 2) pixels, top left first, clockwise.
    """
    size = np.array([rgb.shape[1], rgb.shape[0]], np.float64)
    extent, foreign = _drawn_on(rgb, sheet)
    outline = as_corners(sheet / size)
    cut = Cut(as_corners(extent.corners), _bare_of(foreign), outline)
    shape = known_shape(proportions(sheet, rgb.shape[:2]))
    return Found(cut, outline, sure, certain, shape, seen, foreign)


def _drawn_on(rgb: Rgb, sheet: Points) -> tuple[Extent, tuple[Foreign, ...]]:
    """What is drawn on a sheet, and what only lies on it."""
    page = sheet_page(rgb, sheet)
    foreign = find_foreign(page)
    return find_extent(page, inside(page, _bare_of(foreign))), foreign


def foreign_on(rgb: Rgb, corners: Points) -> tuple[Foreign, ...]:
    """What lies on a part of a picture and is not drawn there. corners : (4, 2) pixels."""
    return find_foreign(sheet_page(rgb, corners))


def _bare_of(foreign: tuple[Foreign, ...]) -> tuple[tuple[Point, ...], ...]:
    return tuple(each.outline for each in foreign if each.sure)


def as_corners(points: Points) -> Corners:
    """Four points as a value."""
    one, two, three, four = ((round(float(x), 6), round(float(y), 6)) for x, y in points)
    return one, two, three, four


def proportions(corners: Points, shape: tuple[int, ...]) -> float:
    """Width over height of a rectangle seen in perspective.

    Parameters
    ----------
    corners : (4, 2) pixels. shape : height and width of the picture, its optical axis in the middle.

    References
    ----------
    Zhang & He (2007), Whiteboard scanning and image enhancement, equations 11, 20 and 21. Where the sheet
    lies nearly square to the camera, the focal length cannot be told and opposite sides are averaged.
    """
    m1, m2, m4, m3 = (np.array([x - shape[1] / 2, y - shape[0] / 2, 1.0]) for x, y in corners)
    flat = _mean_side(corners, 0, 2) / max(_mean_side(corners, 1, 3), 1e-9)
    k2 = float(np.cross(m1, m4) @ m3 / (np.cross(m2, m4) @ m3))
    k3 = float(np.cross(m1, m4) @ m2 / (np.cross(m3, m4) @ m2))
    n2, n3 = k2 * m2 - m1, k3 * m3 - m1
    if abs(n2[2] * n3[2]) < _SLIGHT * max(abs(n2[2]), abs(n3[2]), _SLIGHT) or min(abs(n2[2]), abs(n3[2])) < 0.02:
        return flat
    focal2 = -(n2[0] * n3[0] + n2[1] * n3[1]) / (n2[2] * n3[2])
    # No lens of a telephone or a camera sees narrower or wider than this.
    longest = max(shape[:2])
    if not 0.4 * longest < np.sqrt(max(focal2, 0)) < 4 * longest:
        return flat
    across = (n2[0] ** 2 + n2[1] ** 2) / focal2 + n2[2] ** 2
    down = (n3[0] ** 2 + n3[1] ** 2) / focal2 + n3[2] ** 2
    ratio = float(np.sqrt(across / down))
    return ratio if abs(np.log(ratio / flat)) < 0.35 else flat


def _mean_side(corners: Points, one: int, other: int) -> float:
    ends = np.roll(corners, -1, axis=0)
    return float(np.mean([np.hypot(*(ends[side] - corners[side])) for side in (one, other)]))


def known_shape(ratio: float) -> str:
    """The paper of a shape, either way up: `A` and `B` sizes have one, so A4 stands for them; "" for none.

    Parameters
    ----------
    ratio : of width over height.

    Returns
    -------
    The paper's name, or an empty string.
    """
    for name in ("A4", "Letter"):
        width, height = PAPER_SIZES_MM[name]
        for shape in (width / height, height / width):
            if abs(np.log(ratio / shape)) < _KNOWN_SHAPE:
                return name
    return ""


def paper_size(name: str, ratio: float) -> tuple[float, float]:
    """Width and height of a paper in mm, lying as a shape of width over height does. Raises BadInput."""
    known = {each.lower(): size for each, size in PAPER_SIZES_MM.items()}
    if name.lower() not in known:
        raise BadInput(
            tr(
                "'{name}' is not a paper size; choose one of {paper_sizes_mm}.",
                name=name,
                paper_sizes_mm=", ".join(PAPER_SIZES_MM),
            )
        )
    short, long = sorted(known[name.lower()])
    return (long, short) if ratio > 1 else (short, long)


def drawn_size(found: Found, shape: tuple[int, ...], paper_mm: tuple[float, float]) -> tuple[float, float]:
    """How large the drawing is, mm, on a sheet of known size. shape : height and width of the picture."""
    size = np.array([shape[1], shape[0]], np.float64)
    to_sheet = warp_matrix(np.array(found.sheet) * size, paper_mm)
    corners = moved(np.array(found.cut.corners) * size, to_sheet)
    return _mean_side(corners, 0, 2), _mean_side(corners, 1, 3)


def straightened(rgb: Rgb, corners: Points, size_px: tuple[int, int]) -> Rgb:
    """What lies between four corners as an upright page of a width and height in pixels.

    Parameters
    ----------
    rgb : (height, width, 3) uint8.
    corners : as shares of width and height.
    size_px : width and height of the page.

    Returns
    -------
    (height, width, 3) uint8.
    """
    import cv2

    shrink = min(_mean_side(corners, 0, 2) / size_px[0], _mean_side(corners, 1, 3) / size_px[1])
    if shrink > 1.25:
        # Shrunk first by averaging, or fine grain would turn into coarse.
        small = max(1, round(rgb.shape[1] / shrink)), max(1, round(rgb.shape[0] / shrink))
        corners = corners * np.array([small[0] / rgb.shape[1], small[1] / rgb.shape[0]])
        rgb = np.asarray(cv2.resize(rgb, small, interpolation=cv2.INTER_AREA), np.uint8)
    half = np.array([[1, 0, -0.5], [0, 1, -0.5], [0, 0, 1]])
    matrix = half @ warp_matrix(corners, size_px) @ np.linalg.inv(half)
    page = cv2.warpPerspective(rgb, matrix, size_px, flags=cv2.INTER_LINEAR, borderMode=cv2.BORDER_REPLICATE)
    return np.asarray(page, np.uint8)


def light_of_cut(rgb: Rgb, corners: Points, sheet: Points | None) -> Light:
    """The light on what lies between four corners, judged with the margin around them where there is one.

    Parameters
    ----------
    rgb : the picture. corners : (4, 2) pixels. sheet : (4, 2) the sheet's, None looks for it.
    """
    across, down = _mean_side(corners, 0, 2), _mean_side(corners, 1, 3)
    scale = _LIGHT_PX / max(across, down)
    size = max(8, round(across * scale)), max(8, round(down * scale))
    back = np.linalg.inv(warp_matrix(corners, size))
    room = round(_AROUND * min(size))
    outer = np.array(
        [(-room, -room), (size[0] + room, -room), (size[0] + room, size[1] + room), (-room, size[1] + room)], np.float64
    )
    around = moved(outer, back)
    view = straightened(rgb, around, (size[0] + 2 * room, size[1] + 2 * room))
    margin = sheet is not None and bool(abs(signed_areas(sheet)) > _WITH_MARGIN * abs(signed_areas(corners)))
    light = measure_light(view, _on_sheet(rgb, around, view.shape[:2], sheet), margin=margin)
    whole = np.array([size[0] + 2 * room, size[1] + 2 * room, size[0] + 2 * room, size[1] + 2 * room])
    shares = np.array([room, room, room + size[0], room + size[1]]) / whole
    return light.cropped(*(float(share) for share in shares))


def _on_sheet(rgb: Rgb, around: Points, shape: tuple[int, ...], sheet: Points | None) -> Mask:
    """Where a view shows the sheet: inside the picture, and inside the sheet if one is found."""
    size = np.array([rgb.shape[1], rgb.shape[0]], np.float64)
    matrix = warp_matrix(around, (shape[1], shape[0]))
    mask = np.ones(shape[:2], bool)
    if sheet is None:
        found = find_sheet(rgb)
        sheet = found.corners if found.sure > 0.5 else None
    outlines = [np.array(WHOLE) * size] if sheet is None else [np.array(WHOLE) * size, sheet]
    for outline in outlines:
        points = moved(outline, matrix)
        mask &= filled(shape, points + (points.mean(axis=0) - points) * 0.012)
    # A sheet that leaves most of the view out was not the one meant.
    return mask if mask.mean() > 0.4 else np.ones(shape[:2], bool)
