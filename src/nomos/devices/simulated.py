"""A scanner, a colour reader and scales with the faults that real ones have, always the same ones."""

from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

Picture = NDArray[np.uint8]


@dataclass(frozen=True)
class Scanner:
    """Makes a scan of a picture: a colour cast, an exponent, light falling off to one side, and noise.

    cast : gain of red, green and blue in linear light.
    falloff : share of the light that is missing at the right edge.
    noise : standard deviation in steps of 255.
    """

    cast: tuple[float, float, float] = (1.0, 0.97, 0.9)
    gamma: float = 1.0
    falloff: float = 0.0
    noise: float = 1.0
    seed: int = 0

    def scan(self, rgb: Picture) -> Picture:
        """The scan of a picture, of the same shape."""
        linear = (rgb / 255.0) ** 2.2 * np.array(self.cast)
        linear *= (1 - self.falloff * np.linspace(0, 1, rgb.shape[1]))[None, :, None]
        seen = 255 * np.clip(linear, 0, 1) ** (self.gamma / 2.2)
        seen += np.random.default_rng(self.seed).normal(0, self.noise, rgb.shape)
        return np.clip(np.rint(seen), 0, 255).astype(np.uint8)


@dataclass
class ColourReader:
    """Reads a colour as CIELAB, each time a little differently."""

    error: float = 0.15
    seed: int = 0

    def __post_init__(self) -> None:
        self._hand = np.random.default_rng(self.seed)

    def read(self, lab: tuple[float, float, float]) -> tuple[float, float, float]:
        """One reading of a colour."""
        lightness, a, b = np.array(lab) + self._hand.normal(0, self.error, 3)
        return (float(np.clip(lightness, 0, 100)), float(a), float(b))


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
