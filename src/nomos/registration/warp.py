"""Where a sheet lies in a photograph: perspective, the lens, and how the sheet itself lies bent.

Taken together in one smooth map from mm on the sheet to pixels. A lens is told by the two radial terms of
Brown (1966), Decentering distortion of lenses; a bend by the six terms of a quadric in the plane of the
sheet, which is what a slight curl looks like from where the camera stands.
"""

from dataclasses import dataclass, replace

import numpy as np
from numpy.typing import NDArray

Floats = NDArray[np.float64]
Image = NDArray[np.float32]

# One standard deviation of what is thought before anything is seen: pixels as a share of the picture for the
# corners, the lens's terms, and mm of bend. Chosen by us.
_CORNER_SHARE, _LENS, _BEND_MM, _NONE = 0.05, 0.06, 0.25, 1e-7
_NODE_PX = 16
TERMS = 16


@dataclass(frozen=True, eq=False)
class Warp:
    """A map from mm on a sheet to pixels of a picture, whose pixels' middles lie at halves.

    corners : (4, 2) where the sheet's corners would lie if it were flat and the lens straight, pixels,
        upper left first, clockwise.
    lens : (2,) radial terms, of the distance from the picture's middle over half its diagonal.
    bend : (2, 3) mm along x and y by x2, xy, y2, each from -1 to 1 over the sheet.
    sheet_mm, picture_px : width and height.
    rigid : there is no lens and no bend, as on a flatbed scanner.
    """

    corners: Floats
    lens: Floats
    bend: Floats
    sheet_mm: tuple[float, float]
    picture_px: tuple[int, int]
    rigid: bool = False

    @classmethod
    def flat(cls, corners: Floats, sheet_mm: tuple[float, float], picture_px: tuple[int, int]) -> "Warp":
        """A flat sheet seen through a straight lens. corners : (4, 2) pixels."""
        return cls(np.asarray(corners, np.float64), np.zeros(2), np.zeros((2, 3)), sheet_mm, picture_px)

    def to_pixels(self, places_mm: NDArray[np.floating]) -> Floats:
        """Where places on the sheet lie in the picture. (n, 2) to (n, 2)."""
        x, y = (2 * places_mm / np.array(self.sheet_mm) - 1).T
        bent = places_mm + np.stack([x * x, x * y, y * y], axis=-1) @ self.bend.T
        ideal = _through(self._homography(), bent)
        middle = np.array(self.picture_px) / 2
        off = ideal - middle
        r2 = (off**2).sum(axis=-1, keepdims=True) / float(middle @ middle)
        return np.asarray(middle + off * (1 + self.lens[0] * r2 + self.lens[1] * r2 * r2))

    def is_square(self, share: float) -> bool:
        """Whether its corners are those of the sheet's own rectangle, to a share of its sides."""
        sides = np.roll(self.corners, -1, axis=0) - self.corners
        long = np.hypot(*sides.T)
        across = np.abs((sides * np.roll(sides, -1, axis=0)).sum(axis=1)) / (long * np.roll(long, -1))
        shape = long[0] / long[1] / (self.sheet_mm[0] / self.sheet_mm[1])
        unlike = max(abs(long[0] / long[2] - 1), abs(long[1] / long[3] - 1), abs(shape - 1))
        return bool(max(unlike, float(across.max())) < share)

    def straight(self) -> "Warp":
        """The same sheet, flat and through a straight lens, as a flatbed scanner sees it."""
        return replace(self, lens=np.zeros(2), bend=np.zeros((2, 3)), rigid=True)

    def to_mm(self, pixels: Floats) -> Floats:
        """Where places of the picture lie on the sheet. (n, 2) to (n, 2)."""
        back = np.linalg.inv(self._homography())
        places = _through(back, pixels)
        for _ in range(15):
            at = self.to_pixels(places)
            places = np.asarray(places + _through(back, pixels) - _through(back, at), np.float64)
        return places

    def px_per_mm(self) -> tuple[float, float]:
        """Pixels a mm in the middle of the sheet, along its width and height."""
        middle = np.array(self.sheet_mm) / 2
        one, right, down = self.to_pixels(middle + np.array([(0, 0), (1, 0), (0, 1)], np.float64))
        return float(np.hypot(*(right - one))), float(np.hypot(*(down - one)))

    @property
    def turned_deg(self) -> float:
        """How the sheet's upper edge lies in the picture."""
        along = self.corners[1] - self.corners[0]
        return float(np.degrees(np.arctan2(along[1], along[0])))

    def values(self) -> Floats:
        """Its terms as one row. (TERMS,)."""
        return np.concatenate([self.corners.ravel(), self.lens, self.bend.ravel()])

    def with_values(self, values: Floats) -> "Warp":
        """The same warp with other terms."""
        return replace(self, corners=values[:8].reshape(4, 2), lens=values[8:10], bend=values[10:].reshape(2, 3))

    def prior_sigmas(self) -> Floats:
        """What its terms are thought to be before anything is seen, one standard deviation. (TERMS,)."""
        share = _CORNER_SHARE * max(self.picture_px)
        if self.rigid:
            return np.concatenate([np.full(8, share), np.full(8, _NONE)])
        return np.concatenate([np.full(8, share), np.full(2, _LENS), np.full(6, _BEND_MM)])

    def changes(self, places_mm: Floats) -> Floats:
        """How far places move on the sheet, mm, for each term's unit. (n, 2) to (n, 2, TERMS)."""
        step = replace(self, rigid=False).prior_sigmas() * 1e-3
        own, at = self.values(), self.to_pixels(places_mm)
        sides = [self.to_pixels(places_mm + way) - at for way in ((0.5, 0.0), (0.0, 0.5))]
        to_px = np.stack(sides, axis=-1) / 0.5
        moved = np.empty((len(places_mm), 2, TERMS))
        for term in range(TERMS):
            one = own.copy()
            one[term] += step[term]
            moved[..., term] = (self.with_values(one).to_pixels(places_mm) - at) / step[term]
        return np.asarray(np.linalg.solve(to_px, moved), np.float64)

    def _homography(self) -> Floats:
        width, height = self.sheet_mm
        # In double, not by OpenCV: single precision is a hundredth of a pixel here.
        rows, right = [], []
        for (x, y), (u, v) in zip(((0, 0), (width, 0), (width, height), (0, height)), self.corners, strict=True):
            rows += [[x, y, 1, 0, 0, 0, -u * x, -u * y], [0, 0, 0, x, y, 1, -v * x, -v * y]]
            right += [u, v]
        return np.append(np.linalg.solve(np.array(rows), np.array(right)), 1.0).reshape(3, 3)


def _through(matrix: NDArray[np.floating], places: NDArray[np.floating]) -> Floats:
    full = places @ matrix[:, :2].T + matrix[:, 2]
    return np.asarray(full[:, :2] / full[:, 2:], np.float64)


def taken_out(
    picture: Image, warp: Warp, px_per_mm: float, area: tuple[float, float, float, float],
    shrunk: tuple[float, float] = (1.0, 1.0),
) -> tuple[Image, NDArray[np.bool_]]:  # fmt: skip
    """A part of the sheet, straight and to scale, and where the picture shows it.

    Parameters
    ----------
    picture : (height, width, 3) float32, as photographed or shrunk by a factor.
    warp : of the picture as it was photographed.
    area : left, top, right, bottom in mm on the sheet.
    shrunk : the picture's width and height over those it was photographed with.

    Returns
    -------
    (rows, columns, 3) float32 at px_per_mm, and (rows, columns).
    """
    import cv2

    shrink = px_per_mm / (min(warp.px_per_mm()) * shrunk[0])
    if shrink < 0.5:
        # By areas first, to a little finer than is wanted: a wide blur of a large picture takes seconds.
        size = round(picture.shape[1] * 1.5 * shrink), round(picture.shape[0] * 1.5 * shrink)
        shrunk = shrunk[0] * size[0] / picture.shape[1], shrunk[1] * size[1] / picture.shape[0]
        picture, shrink = np.asarray(cv2.resize(picture, size, interpolation=cv2.INTER_AREA), np.float32), 1 / 1.5
    left, top, right, bottom = area
    columns, rows = round((right - left) * px_per_mm), round((bottom - top) * px_per_mm)
    across, down = _nodes(columns), _nodes(rows)
    x, y = np.meshgrid(left + (across + 0.5) / px_per_mm, top + (down + 0.5) / px_per_mm)
    at = warp.to_pixels(np.stack([x.ravel(), y.ravel()], axis=-1)) * np.array(shrunk) - 0.5
    of_y, of_x = _between(down, rows), _between(across, columns)
    maps = [
        (of_y @ at[:, n].reshape(len(down), len(across)).astype(np.float32) @ of_x.T).astype(np.float32) for n in (0, 1)
    ]
    if shrink < 0.7:
        picture = np.asarray(cv2.GaussianBlur(picture, (0, 0), 0.5 / shrink), np.float32)
    page = cv2.remap(picture, maps[0], maps[1], cv2.INTER_LINEAR, borderMode=cv2.BORDER_REPLICATE)
    inside = (maps[0] > 0) & (maps[0] < picture.shape[1] - 1) & (maps[1] > 0)
    return np.asarray(page, np.float32), inside & (maps[1] < picture.shape[0] - 1)


def _nodes(count: int) -> Floats:
    """Places along a side where a smooth map is reckoned; between them it is interpolated."""
    return np.linspace(0, max(count - 1, 1), max(2, -(-count // _NODE_PX) + 1))


def _between(nodes: Floats, count: int) -> Image:
    """(count, nodes): each pixel as a share of the two nodes beside it."""
    step = nodes[1] - nodes[0]
    place = np.arange(count) / step
    low = np.clip(place.astype(int), 0, len(nodes) - 2)
    made = np.zeros((count, len(nodes)), np.float32)
    made[np.arange(count), low] = 1 - (place - low)
    made[np.arange(count), low + 1] = place - low
    return made
