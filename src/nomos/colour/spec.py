"""Colours and inks as typed on the command line: `lab(62 30 38);opacity=semi;strength=0.5`."""

import re
from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from nomos.base.language import tr
from nomos.colour.cielab import srgb_to_lab
from nomos.colour.ink import OPACITIES, Opacity
from nomos.colour.recovery import ColourError

Lab = tuple[float, float, float]


def as_lab(values: NDArray[np.floating]) -> Lab:
    """One colour of an array, (3,), as it is kept."""
    return float(values[0]), float(values[1]), float(values[2])


_NUMBER = r"[-+−]?\d+(?:\.\d*)?|[-+−]?\.\d+"
_LAB = re.compile(rf"lab\(\s*({_NUMBER})[\s,]+({_NUMBER})[\s,]+({_NUMBER})\s*\)", re.IGNORECASE)
_HEX = re.compile(r"#?([0-9a-f]{6})", re.IGNORECASE)


@dataclass(frozen=True)
class InkSpec:
    """An ink as asked for: its solid's colour on the paper, opacity and strength (0 to 1)."""

    lab: Lab
    opacity: Opacity = "transparent"
    strength: float = 1.0


def parse_colour(text: str) -> Lab:
    """The colour of `lab(L a b)` or `#rrggbb`.

    Parameters
    ----------
    text : as typed.

    Returns
    -------
    CIELAB, D50/2 deg.

    Raises
    ------
    ColourError : with a clear sentence.
    """
    if found := _LAB.fullmatch(text.strip()):
        lightness, a, b = (float(part.replace("−", "-")) for part in found.groups())
        if not 0 <= lightness <= 100:
            raise ColourError(tr("In '{said}' the lightness L must be between 0 and 100.", said=text))
        return lightness, a, b
    if found := _HEX.fullmatch(text.strip()):
        lightness, a, b = srgb_to_lab(np.array(list(bytes.fromhex(found[1])), dtype=np.float64))
        return min(float(lightness), 100.0), float(a), float(b)
    raise ColourError(tr("'{said}' is not a colour; write it as lab(62 30 38) or #c4683f.", said=text))


def parse_ink(text: str) -> InkSpec:
    """An ink as `COLOUR[;opacity=WORD][;strength=0..1]`.

    Parameters
    ----------
    text : as typed.

    Returns
    -------
    Its colour in CIELAB, D50/2 deg, opacity and strength.

    Raises
    ------
    ColourError : with a clear sentence.
    """
    colour, *options = text.split(";")
    lab, opacity, strength = parse_colour(colour), "transparent", 1.0
    for option in options:
        name, _, value = (part.strip() for part in option.partition("="))
        if name == "opacity" and value in OPACITIES:
            opacity = value
        elif name == "strength":
            strength = _parse_strength(value, text)
        elif name == "opacity":
            raise ColourError(tr("In '{said}' the opacity must be transparent, semi or opaque.", said=text))
        else:
            raise ColourError(
                tr(
                    "In '{said}' only opacity= and strength= may follow the colour, not '{option}'.",
                    said=text,
                    option=option,
                )
            )
    return InkSpec(lab, OPACITIES[OPACITIES.index(opacity)], strength)


def _parse_strength(value: str, text: str) -> float:
    try:
        strength = float(value)
    except ValueError:
        strength = -1.0
    if not 0 <= strength <= 1:
        raise ColourError(tr("In '{said}' the strength must be a number from 0 to 1.", said=text))
    return strength
