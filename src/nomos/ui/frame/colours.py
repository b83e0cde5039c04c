"""Strips of patches to drag a colour along: lightness, chroma and hue."""

import math
from dataclasses import dataclass

import numpy as np

from nomos.base.units import number
from nomos.colour import Lab
from nomos.colour.cielab import labs_to_hex

PATCHES = 24


MOST_CHROMA = 100.0


@dataclass(frozen=True)
class Strip:
    """A range shown as patches: the value, its figure, and what each step would give."""

    value: float
    text: str
    patches: tuple[str, ...]


@dataclass(frozen=True)
class ColourStrips:
    """A colour as lightness, chroma and hue."""

    lightness: Strip
    chroma: Strip
    hue: Strip


def to_lch(lab: Lab) -> tuple[float, float, float]:
    """Lightness, chroma and hue angle in degrees (CIE 15)."""
    return lab[0], math.hypot(lab[1], lab[2]), math.degrees(math.atan2(lab[2], lab[1])) % 360


def from_lch(lightness: float, chroma: float, hue: float) -> Lab:
    """CIELAB of lightness, chroma and hue angle in degrees."""
    return (lightness, chroma * math.cos(math.radians(hue)), chroma * math.sin(math.radians(hue)))


def colour_strips(lab: Lab) -> ColourStrips:
    """What a colour becomes along each of its three ranges."""
    lightness, chroma, hue = to_lch(lab)
    middles = [(step + 0.5) / PATCHES for step in range(PATCHES)]

    def strip(value: float, text: str, labs: list[Lab]) -> Strip:
        return Strip(value, text, labs_to_hex(np.array(labs)))

    return ColourStrips(
        strip(lightness, f"L* {number(lightness)}", [from_lch(100 * m, chroma, hue) for m in middles]),
        strip(chroma, f"C* {number(chroma)}", [from_lch(lightness, MOST_CHROMA * m, hue) for m in middles]),
        strip(hue, f"{number(hue, 0)}°", [from_lch(lightness, max(chroma, 20), 360 * m) for m in middles]),
    )
