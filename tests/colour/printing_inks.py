"""Made-up inks of the pigments that printmakers use, for printing by `radiative_transfer`.

Shapes of absorption as they are remembered from published curves of each pigment;
no figure of them is used by the program that is held against them.
"""

from typing import NamedTuple

import numpy as np
from numpy.typing import NDArray

from tests.colour.radiative_transfer import FORWARD, Layer

Array = NDArray[np.float64]
NM = np.arange(380.0, 731.0, 10.0)


class Band(NamedTuple):
    """A band of absorption: its place and half width in nm, and its height."""

    place: float
    width: float
    height: float


class Edge(NamedTuple):
    """Absorption up to an edge (width above 0) or from it on (below 0), in nm."""

    place: float
    width: float
    height: float


# By pigment: what it absorbs in, from memory. Places differ by a few nm from maker to maker.
PIGMENTS: dict[str, tuple[Band | Edge, ...]] = {
    "arylide yellow": (Edge(482, 9, 1.0), Band(430, 40, 0.3)),
    "diarylide yellow": (Edge(508, 12, 1.0), Band(440, 45, 0.4)),
    "orange": (Edge(560, 12, 0.8), Band(490, 50, 0.4)),
    "naphthol red": (Edge(594, 9, 0.7), Band(520, 45, 0.5), Band(400, 30, 0.2)),
    "quinacridone": (Band(525, 26, 0.9), Band(565, 16, 0.9), Band(385, 40, 0.35)),
    "rubine": (Edge(588, 11, 0.35), Band(545, 40, 0.8), Band(370, 50, 0.5)),
    "violet": (Band(535, 35, 0.8), Band(575, 20, 0.9), Band(625, 18, 0.8), Band(380, 30, 0.4)),
    "ultramarine": (Band(600, 55, 1.0), Band(520, 40, 0.15), Band(370, 40, 0.1)),
    "phthalo blue": (Band(615, 38, 1.0), Band(695, 40, 0.9), Band(360, 45, 0.6)),
    "phthalo green": (Band(640, 35, 0.9), Band(700, 45, 1.0), Edge(445, 14, 0.6)),
    "chrome oxide": (Band(455, 32, 0.8), Band(605, 42, 0.9), Band(390, 30, 0.5), Band(720, 40, 0.4)),
    "yellow oxide": (Edge(500, 16, 0.9), Band(650, 70, 0.07), Band(440, 50, 0.3)),
    "red oxide": (Edge(572, 16, 0.9), Band(540, 60, 0.4), Band(670, 60, 0.12)),
    "umber": (Edge(540, 45, 0.8), Band(430, 90, 0.5), Band(650, 140, 0.35)),
    "black": (Band(380, 600, 1.0),),
}


def thinned(ink: Layer, share: float) -> Layer:
    """In a clear extender."""
    return Layer(ink.absorbed * share, ink.scattered * share)


def mixed(ink: Layer, other: Layer, share: float) -> Layer:
    """So much of an ink, the rest of another."""
    return Layer(*(share * mine + (1 - share) * its for mine, its in zip(ink, other, strict=True)))


def absorption(name: str, generator: np.random.Generator) -> Array:
    """Of one maker's pigment of that name, highest about 1. (36,)."""
    found = np.full(len(NM), 10 ** generator.uniform(-2.3, -1.6))
    for part in PIGMENTS[name]:
        place = part.place + generator.normal(0, 4)
        width = part.width * np.exp(generator.normal(0, 0.12))
        height = part.height * np.exp(generator.normal(0, 0.2))
        away = (NM - place) / width
        found += height * (np.exp(-(away**2) / 2) if isinstance(part, Band) else 1 / (1 + np.exp(away)))
    return found


def ink_of(name: str, scattering: float, generator: np.random.Generator, strength: float | None = None) -> Layer:
    """An ink as thick as it is printed.

    Parameters
    ----------
    name : of `PIGMENTS`.
    scattering : S of Kubelka and Munk at 550 nm that the film is to have, about.
    generator : of what differs from maker to maker.
    strength : K at its highest; None for one by chance.
    """
    height = float(np.exp(generator.uniform(np.log(0.7), np.log(4)))) if strength is None else strength
    slope = generator.uniform(0.0, 1.5)
    # Two fluxes against many directions: K = 2 absorbed, S = 3/4 (1 - g) scattered (Mudgett & Richards 1971).
    scattered = scattering / (0.75 * (1 - FORWARD)) * (NM / 550) ** -slope
    return Layer(height * absorption(name, generator) / 2, scattered)


def white_ink(scattering: float, generator: np.random.Generator) -> Layer:
    """A titanium white: it scatters, and absorbs below 400 nm."""
    edge = 1.5 / (1 + np.exp((NM - generator.uniform(388, 400)) / 5))
    scattered = scattering / (0.75 * (1 - FORWARD)) * (NM / 550) ** -generator.uniform(0.2, 0.9)
    return Layer(edge + 0.003, scattered)


def paper(name: str, generator: np.random.Generator) -> Array:
    """Measured reflectance of a sheet: white, cream, kraft, blue or grey. (36,).

    Shapes as they are remembered from readings: an edge in the blue, what wood pulp and dyes absorb.
    """
    blue = 1 / (1 + np.exp((NM - generator.uniform(385, 400)) / 12))
    match name:
        case "white":
            return np.asarray(generator.uniform(0.84, 0.92) * (1 - 0.5 * blue) * (1 - 0.0001 * (730 - NM)))
        case "cream":
            return np.asarray(
                generator.uniform(0.78, 0.86) * np.exp(-generator.uniform(0.2, 0.4) * np.exp(-(NM - 380) / 110))
            )
        case "kraft":
            lignin = generator.uniform(1.2, 1.7) * np.exp(-(NM - 380) / generator.uniform(130, 190))
            return np.asarray(generator.uniform(0.55, 0.68) * np.exp(-lignin))
        case "blue":
            dye = sum(
                h * np.exp(-(((NM - p + generator.normal(0, 5)) / w) ** 2) / 2)
                for p, w, h in ((580, 40, 0.35), (630, 35, 0.4))
            )
            return np.asarray(0.8 * np.exp(-generator.uniform(0.7, 1.6) * np.asarray(dye)) * (1 - 0.3 * blue))
        case _:
            return np.asarray(generator.uniform(0.3, 0.5) * (1 - 0.0003 * (730 - NM)) * (1 - 0.1 * blue))
