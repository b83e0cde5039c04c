"""A hand that draws a flat design in some medium, and a camera or scanner that takes its picture.

The answer is known: every drawn page carries the numbers of the flat design it
was made from, and every photograph the corners of its sheet and of its picture.
The faults are those of a kitchen table, in the figures that are given; all of
it is made up, the same every time for the same seed.
"""

from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from benchmarks.devices.grounds import SKINS, Ground, fingers, ground
from benchmarks.devices.media import Medium, decode, draw_medium

Rgb = NDArray[np.uint8]
Linear = NDArray[np.float32]
Corners = tuple[tuple[float, float], tuple[float, float], tuple[float, float], tuple[float, float]]
Table = Ground


@dataclass(frozen=True, eq=False)
class Answer:
    """The flat design that was drawn: numbers by pixel, sRGB colours, which is the line, which the paper."""

    labels: NDArray[np.uint8]
    colours: NDArray[np.uint8]
    px_per_mm: float
    line: int | None = None
    paper: int | None = None


@dataclass(frozen=True, eq=False)
class Sheet:
    """A drawn sheet of paper: linear reflectance, and where the picture stands on it, pixels."""

    linear: Linear
    picture: tuple[int, int, int, int]
    px_per_mm: float


@dataclass(frozen=True, eq=False)
class Photograph:
    """A picture taken: sRGB, the corners of the sheet and of what was drawn, top left first, clockwise."""

    rgb: Rgb
    sheet: Corners
    picture: Corners


@dataclass(frozen=True)
class Camera:
    """How a picture is taken.

    tilt : how far the camera leans over the sheet at most, radians about either side.
    turn_deg : how the sheet lies in the picture.
    fill : share of the picture's height that the sheet takes; above 1 the sheet runs out of it.
    falloff, vignette : share of the light missing at the far side, and in the corners.
    shadow : share of the light that a shadow's edge across the sheet takes; 0 is none.
    cast : gain of red, green and blue in linear light.
    exposure : where paper white comes out, linear, before the cast.
    lens : how far the picture's corner is drawn in (barrel) or out, as a share of its distance.
    aside : how far the sheet's middle lies from the picture's, as shares of its width and height.
    hand_at : where a hand lies on the sheet, as a share of the way round its edge from the top left.
    """

    pixels: tuple[int, int] = (2000, 1500)
    tilt: float = 0.2
    turn_deg: float = 2.0
    fill: float = 0.86
    falloff: float = 0.25
    vignette: float = 0.12
    shadow: float = 0.0
    cast: tuple[float, float, float] = (1.0, 0.95, 0.84)
    exposure: float = 0.75
    blur_px: float = 0.8
    noise: float = 1.5
    jpeg: int | None = 88
    table: Table = "wood"
    lens: float = 0.0
    aside: tuple[float, float] = (0.0, 0.0)
    hand_at: float | None = None
    seed: int = 0

    def take(self, sheet: Sheet) -> Photograph:
        """Photograph a sheet on a table."""
        import cv2

        hand = np.random.default_rng(self.seed)
        corners, matrix = self._pose(sheet, hand)
        width, height = self.pixels
        # What is shrunk is blurred first, as a lens does, or fine grain would show as coarse.
        shrink = self._shrink(corners, sheet)
        drawn = cv2.GaussianBlur(sheet.linear, (0, 0), 0.45 * shrink) if shrink > 1.2 else sheet.linear
        seen = ground((height, width), self.table, hand)
        on = cv2.warpPerspective(np.ones(drawn.shape[:2], np.float32), matrix, (width, height), flags=cv2.INTER_LINEAR)
        laid = cv2.warpPerspective(drawn, matrix, (width, height), flags=cv2.INTER_LINEAR)
        # The sheet's own soft shadow on the table.
        under = cv2.GaussianBlur(on, (0, 0), max(2.0, 0.006 * width))
        seen = seen * (1 - 0.35 * under[..., None]) * (1 - on[..., None]) + laid
        if self.hand_at is not None:
            self._lay_hand(seen, corners, hand)
        seen *= self._light((height, width), hand)[..., None] * np.array(self.cast, np.float32) * self.exposure
        if self.lens:
            seen = self._through_lens(seen)
        if self.blur_px:
            seen = np.asarray(cv2.GaussianBlur(seen, (0, 0), self.blur_px), np.float32)
        rgb = _developed(seen, self.noise, hand)
        if self.jpeg is not None:
            rgb = _through_jpeg(rgb, self.jpeg)
        left, top, right, bottom = sheet.picture
        inner = _moved([(left, top), (right, top), (right, bottom), (left, bottom)], matrix)
        return Photograph(rgb, self._distorted(corners), self._distorted(inner))

    def _lay_hand(self, seen: Linear, corners: Corners, hand: np.random.Generator) -> None:
        side, along = int(4 * self.hand_at) % 4, (4 * self.hand_at) % 1.0  # type: ignore[operator] # it is asked before
        points = np.array(corners)
        start, end = points[side], points[(side + 1) % 4]
        way = end - start
        inward = np.array([-way[1], way[0]])
        if (points.mean(axis=0) - start) @ inward < 0:
            inward = -inward
        lean = inward / max(float(np.hypot(*inward)), 1e-9) + way / max(float(np.hypot(*way)), 1e-9) * (
            hand.uniform(-0.4, 0.4)
        )
        reach = 0.09 * float(np.hypot(*(points[0] - points[2])))
        at = start + along * way
        fingers(
            seen, (float(at[0]), float(at[1])), (float(lean[0]), float(lean[1])), reach,
            self.seed % len(SKINS), hand,
        )  # fmt: skip

    def _radial(self, points: NDArray[np.float64]) -> NDArray[np.float64]:
        """Where light comes from that falls on these places, pixels: the ideal picture of a drawn-in one."""
        width, height = self.pixels
        middle, reach = np.array([width, height]) / 2, np.hypot(width, height) / 2
        off = (points - middle) / reach
        return np.asarray(middle + off * reach * (1 + self.lens * (off**2).sum(axis=-1, keepdims=True)))

    def _through_lens(self, seen: Linear) -> Linear:
        import cv2

        width, height = self.pixels
        y, x = np.mgrid[:height, :width].astype(np.float64)
        of = self._radial(np.stack([x + 0.5, y + 0.5], axis=-1)).astype(np.float32) - 0.5
        return np.asarray(
            cv2.remap(seen, of[..., 0], of[..., 1], cv2.INTER_LINEAR, borderMode=cv2.BORDER_REPLICATE), np.float32
        )

    def _distorted(self, corners: Corners) -> Corners:
        """Corners of the ideal picture where the lens puts them."""
        ideal = np.array(corners, np.float64)
        found = ideal.copy()
        for _ in range(12):
            found += ideal - self._radial(found)
        return _as_corners(found)

    def _pose(self, sheet: Sheet, hand: np.random.Generator) -> tuple[Corners, NDArray[np.float64]]:
        """The sheet's corners in the picture: a pinhole camera tilted over a flat sheet."""
        import cv2

        rows, columns = sheet.linear.shape[:2]
        width, height = self.pixels
        focal = 1.05 * max(width, height)
        at = np.array([(-columns, -rows), (columns, -rows), (columns, rows), (-columns, rows)]) / 2.0
        about_x, about_y = hand.uniform(0.3, 1.0, 2) * self.tilt * np.sign(hand.uniform(-1, 1, 2))
        turned = _rotation(about_x, about_y, np.radians(self.turn_deg)) @ np.hstack([at, np.zeros((4, 1))]).T
        distance = focal / (self.fill * min(height / rows, width / columns))
        aside = (hand.uniform(-0.02, 0.02, 2) + np.array(self.aside)) * np.array([width, height])
        to = (turned[:2] / (turned[2] + distance) * focal).T + np.array([width, height]) / 2 + aside
        of = np.array([(0, 0), (columns, 0), (columns, rows), (0, rows)], np.float32) - 0.5
        matrix = np.asarray(cv2.getPerspectiveTransform(of, (to - 0.5).astype(np.float32)), np.float64)
        return _as_corners(to), matrix

    def _shrink(self, corners: Corners, sheet: Sheet) -> float:
        across = np.hypot(corners[1][0] - corners[0][0], corners[1][1] - corners[0][1])
        return float(sheet.linear.shape[1] / max(across, 1))

    def _light(self, shape: tuple[int, int], hand: np.random.Generator) -> Linear:
        height, width = shape
        y, x = np.mgrid[:height, :width].astype(np.float32)
        x, y = x / width - 0.5, y / height - 0.5
        turn = hand.uniform(0, 2 * np.pi)
        along = x * np.cos(turn) + y * np.sin(turn)
        light = 1 - self.falloff * (along + 0.5) - self.vignette * 2 * (x * x + y * y)
        light += 0.04 * self.falloff * np.sin(5 * (x * np.sin(turn) - y * np.cos(turn)) + 1)
        if self.shadow:
            # Cast by something above: a soft edge running across the sheet.
            turn = hand.uniform(0, 2 * np.pi)
            edge = x * np.cos(turn) + y * np.sin(turn) - hand.uniform(0.02, 0.18)
            light *= 1 - self.shadow / (1 + np.exp(-edge / 0.012))
        return np.asarray(light, np.float32)


def on_paper(
    answer: Answer,
    medium: Medium,
    *,
    margin_mm: float | tuple[float, float] = 15.0,
    paper: tuple[int, int, int] = (244, 241, 233),
    tooth: float = 0.02,
    seed: int = 0,
) -> Sheet:
    """Draw a flat design on a sheet with a margin all round.

    Parameters
    ----------
    answer : its paper colour is left undrawn.
    margin_mm : of the sheet, all round, or at the sides and above and below.
    paper : sRGB of the sheet.
    tooth : how much the sheet's own grain shades it, one standard deviation.
    """
    import cv2

    hand = np.random.default_rng(seed)
    beside, above = (margin_mm, margin_mm) if isinstance(margin_mm, float) else margin_mm
    across, down = round(beside * answer.px_per_mm), round(above * answer.px_per_mm)
    height, width = answer.labels.shape
    page = np.empty((height + 2 * down, width + 2 * across, 3), np.float32)
    page[:] = decode(np.array(paper, np.uint8))
    page[down : down + height, across : across + width] = draw_medium(
        answer.labels, answer.colours, np.array(paper, np.uint8), answer.px_per_mm, medium, hand,
        line=answer.line, paper_number=answer.paper,
    )  # fmt: skip
    grain = cv2.GaussianBlur(
        hand.normal(0, 1, page.shape[:2]).astype(np.float32), (0, 0), max(0.12 * answer.px_per_mm, 0.5)
    )
    page *= (1 + tooth * grain / max(float(grain.std()), 1e-6))[..., None]
    return Sheet(page, (across, down, across + width, down + height), answer.px_per_mm)


def scanned(sheet: Sheet, *, noise: float = 1.0, falloff: float = 0.03, seed: int = 0) -> Photograph:
    """A flatbed scan of the whole sheet: square, nearly even light, a little noise."""
    hand = np.random.default_rng(seed)
    rows, columns = sheet.linear.shape[:2]
    seen = sheet.linear * (1 - falloff * np.linspace(0, 1, columns, dtype=np.float32))[None, :, None]
    left, top, right, bottom = sheet.picture
    whole: Corners = ((0, 0), (columns, 0), (columns, rows), (0, rows))
    inner: Corners = ((left, top), (right, top), (right, bottom), (left, bottom))
    return Photograph(_developed(seen, noise, hand), whole, inner)


def _developed(linear: Linear, noise: float, hand: np.random.Generator) -> Rgb:
    """sRGB of linear light with the noise of a sensor: by the root of the light, and a little always."""
    linear = np.maximum(linear, 0)
    sigma = noise / 255 * (0.25 + 1.6 * np.sqrt(linear))
    linear = linear + (sigma * hand.standard_normal(linear.shape, dtype=np.float32) * 0.5).astype(np.float32)
    linear = np.clip(linear, 0, 1)
    coded = np.where(linear <= 0.0031308, 12.92 * linear, 1.055 * linear ** (1 / 2.4) - 0.055)
    return np.rint(255 * coded).astype(np.uint8)


def _through_jpeg(rgb: Rgb, quality: int) -> Rgb:
    import cv2

    done, data = cv2.imencode(".jpg", rgb[..., ::-1], [cv2.IMWRITE_JPEG_QUALITY, quality])
    assert done
    return np.ascontiguousarray(np.asarray(cv2.imdecode(data, cv2.IMREAD_COLOR))[..., ::-1])


def _moved(points: list[tuple[int, int]], matrix: NDArray[np.float64]) -> Corners:
    import cv2

    at = np.array(points, np.float64).reshape(-1, 1, 2) - 0.5
    return _as_corners(cv2.perspectiveTransform(at, matrix).reshape(4, 2) + 0.5)


def _rotation(about_x: float, about_y: float, about_z: float) -> NDArray[np.float64]:
    """A rotation about the three axes, x first."""
    matrix = np.eye(3)
    for angle, (one, other) in ((about_x, (1, 2)), (about_y, (2, 0)), (about_z, (0, 1))):
        turn = np.eye(3)
        turn[one, one] = turn[other, other] = np.cos(angle)
        turn[one, other], turn[other, one] = -np.sin(angle), np.sin(angle)
        matrix = turn @ matrix
    return matrix


def _as_corners(points: NDArray[np.floating]) -> Corners:
    one, two, three, four = ((float(x), float(y)) for x, y in points)
    return one, two, three, four
