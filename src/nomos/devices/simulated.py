"""A scanner, a colour reader and scales with the faults that real ones have, always the same ones."""

from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from nomos.base.progress import NULL_PROGRESS, Progress

Picture = NDArray[np.uint8]
Page = NDArray[np.float32]


# Rows seen at once.
_STRIP_PX = 200


@dataclass(frozen=True)
class Scanner:
    """Makes a scan of a picture: a colour cast, an exponent, light falling off to one side, and noise.

    cast : gain of red, green and blue in linear light.
    falloff : share of the light that is missing at the right edge.
    noise : standard deviation in steps of 255.
    turn_deg, scale : how the picture lies on the glass, and how many pixels it takes for one of its own.
    blur_px : one standard deviation of the lens.
    border_px, lid : the ground that shows around the picture, and how bright it is, 0 to 255.
    """

    cast: tuple[float, float, float] = (1.0, 0.97, 0.9)
    gamma: float = 1.0
    falloff: float = 0.0
    noise: float = 1.0
    seed: int = 0
    turn_deg: float = 0.0
    scale: float = 1.0
    blur_px: float = 0.0
    border_px: int = 0
    lid: int = 70

    def scan(self, rgb: Picture, *, progress: Progress = NULL_PROGRESS) -> Picture:
        """The scan of a picture, of the same shape but for the border. Raises Cancelled."""
        rgb = self._laid(rgb)
        noise = np.random.default_rng(self.seed)
        strips = []
        for top in range(0, len(rgb), _STRIP_PX):
            progress.report(top / len(rgb), "scanning a sheet")
            strips.append(self._seen(rgb[top : top + _STRIP_PX], noise))
        return np.concatenate(strips)

    def _seen(self, rgb: Picture, hand: np.random.Generator) -> Picture:
        of_level = ((np.arange(256) / 255.0) ** 2.2).astype(np.float32)
        seen = of_level[rgb] * np.array(self.cast, np.float32)
        seen *= (1 - self.falloff * np.linspace(0, 1, rgb.shape[1], dtype=np.float32))[None, :, None]
        np.power(np.clip(seen, 0, 1, out=seen), np.float32(self.gamma / 2.2), out=seen)
        seen *= 255
        noise = hand.standard_normal(rgb.shape, np.float32)
        seen += np.float32(self.noise) * noise
        return np.clip(np.rint(seen, out=seen), 0, 255, out=seen).astype(np.uint8)

    def _laid(self, rgb: Picture) -> Picture:
        """The picture as it lies on the glass."""
        import cv2

        if not (self.turn_deg or self.border_px or self.blur_px or self.scale != 1.0):
            return rgb
        height, width = rgb.shape[:2]
        size = round(width * self.scale) + 2 * self.border_px, round(height * self.scale) + 2 * self.border_px
        # OpenCV counts angles from y towards x on a page whose y runs down.
        middle = (width - 1) / 2, (height - 1) / 2
        matrix = np.asarray(cv2.getRotationMatrix2D(middle, -self.turn_deg, self.scale), np.float64)
        matrix[:, 2] += (size[0] - 1) / 2 - middle[0], (size[1] - 1) / 2 - middle[1]
        lid = (self.lid, self.lid, self.lid)
        laid = cv2.warpAffine(rgb, matrix, size, flags=cv2.INTER_LINEAR, borderValue=lid)
        if self.blur_px:
            laid = cv2.GaussianBlur(laid, (0, 0), self.blur_px)
        return np.asarray(laid, np.uint8)


def uneven_inking(shape: tuple[int, int], amount: float, grain_px: float, seed: int = 0) -> Page:
    """How much of an ink is there: patches where the roller or baren left less. (height, width).

    amount : the share that is missing where least is, 0 to 1.
    grain_px : the size of the patches.
    """
    import cv2

    hand = np.random.default_rng(seed)
    coarse = hand.normal(0, 1, (max(2, round(shape[0] / grain_px)), max(2, round(shape[1] / grain_px))))
    page = cv2.resize(coarse.astype(np.float32), (shape[1], shape[0]), interpolation=cv2.INTER_CUBIC)
    low, high = float(page.min()), float(page.max())
    return np.asarray(1 - amount * (high - page) / max(high - low, 1e-9), np.float32)


@dataclass
class Scales:
    """Weighs to the nearest step, less what stands on it as a tare."""

    step_g: float = 0.1
    tare_g: float = 0.0

    def weigh(self, grams: float) -> float:
        """What the display shows."""
        return round(round((grams - self.tare_g) / self.step_g) * self.step_g, 3)


@dataclass
class ThermoHygrometer:
    """Reads the air of the workshop, in degrees and per cent, drifting a little."""

    temperature: float = 17.5
    humidity: float = 62.0
    seed: int = 0

    def __post_init__(self) -> None:
        self._hand = np.random.default_rng(self.seed)

    def read(self) -> tuple[float, float]:
        """Temperature in degrees Celsius and relative humidity in per cent."""
        self.temperature += float(self._hand.normal(0, 0.2))
        self.humidity = float(np.clip(self.humidity + self._hand.normal(0, 1.0), 0, 100))
        return round(self.temperature, 1), round(self.humidity, 0)
