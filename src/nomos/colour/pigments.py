"""Which absorption an ink is likely to have: families of pigments, and what is drawn from them."""

from functools import cache
from typing import Literal, NamedTuple, get_args

import numpy as np

from nomos.base.language import tr
from nomos.colour.spectra import BANDS, WAVELENGTHS_NM, Array

Family = Literal[
    "yellow", "orange", "red", "magenta", "violet", "blue", "cyan", "green", "oxide green", "earth", "black", "white",
    "mixed",
]  # fmt: skip
FAMILIES: tuple[Family, ...] = get_args(Family)
FAMILY_NAMES: dict[Family, str] = {
    "yellow": tr("a yellow (arylide, cadmium)"),
    "orange": tr("an orange (pyrazolone, cadmium)"),
    "red": tr("a red (naphthol, cadmium)"),
    "magenta": tr("a magenta (quinacridone, rubine)"),
    "violet": tr("a violet (dioxazine)"),
    "blue": tr("an ultramarine or cobalt blue"),
    "cyan": tr("a phthalo blue"),
    "green": tr("a phthalo green"),
    "oxide green": tr("a chrome oxide or viridian green"),
    "earth": tr("an earth (oxide, ochre, umber)"),
    "black": tr("a black"),
    "white": tr("a white"),
    "mixed": tr("a mixture of two"),
}

_MEMBERS, _MIXTURES, _SEED = 300, 1500, 1
# Beside its family's: variances of ln K of curves that run smoothly over some nm, of the amount of
# pigment, and of each band (chosen by us; twice or half of each moves overprints by ΔE00 0.1 at most).
_SMOOTH, _SMOOTH_NM, _AMOUNT, _BAND = 0.04, 55.0, 0.3, 1e-4
# Solids absorb some more than the shapes, whose highest is about 1.
_STRONGER = 0.3

Span = tuple[float, float]


class _Part(NamedTuple):
    """A band of absorption or an edge below which it absorbs: ranges of place and width, nm, and height."""

    edge: bool
    place: Span
    width: Span
    height: Span


def _edge(place: Span, width: Span, height: Span) -> _Part:
    return _Part(True, place, width, height)


def _band(place: Span, width: Span, height: Span) -> _Part:
    return _Part(False, place, width, height)


# Where pigments of a family absorb: ranges about what is published of their spectra (from memory).
_SHAPES: dict[Family, tuple[_Part, ...]] = {
    "yellow": (_edge((468, 515), (7, 16), (0.8, 1.2)), _band((400, 450), (30, 60), (0.05, 0.6))),
    "orange": (_edge((525, 578), (8, 20), (0.7, 1.2)), _band((440, 510), (35, 70), (0.1, 0.7))),
    "red": (
        _edge((575, 612), (7, 15), (0.4, 1.0)),
        _band((500, 550), (30, 60), (0.3, 0.9)),
        _band((360, 420), (25, 60), (0.05, 0.5)),
    ),
    "magenta": (
        _band((515, 545), (18, 40), (0.5, 1.1)),
        _band((555, 582), (12, 26), (0.4, 1.1)),
        _band((360, 410), (25, 60), (0.1, 0.6)),
    ),
    "violet": (
        _band((525, 555), (25, 50), (0.5, 1.1)),
        _band((570, 595), (15, 35), (0.4, 1.1)),
        _band((610, 645), (14, 35), (0.2, 0.9)),
        _band((360, 400), (25, 50), (0.1, 0.6)),
    ),
    "blue": (
        _band((575, 625), (35, 70), (0.8, 1.2)),
        _band((500, 560), (25, 60), (0.05, 0.5)),
        _band((350, 390), (25, 50), (0.05, 0.5)),
    ),
    "cyan": (
        _band((600, 630), (25, 48), (0.7, 1.2)),
        _band((675, 715), (25, 55), (0.5, 1.2)),
        _band((345, 385), (25, 55), (0.2, 0.8)),
    ),
    "green": (
        _band((628, 660), (25, 45), (0.6, 1.1)),
        _band((685, 725), (30, 60), (0.6, 1.2)),
        _edge((425, 465), (8, 22), (0.2, 0.9)),
    ),
    "oxide green": (
        _band((430, 475), (22, 45), (0.5, 1.1)),
        _band((590, 630), (28, 55), (0.5, 1.1)),
        _band((370, 410), (20, 50), (0.2, 0.8)),
        _band((700, 740), (25, 60), (0.1, 0.7)),
    ),
    "earth": (
        _edge((480, 585), (12, 55), (0.6, 1.1)),
        _band((420, 560), (40, 100), (0.1, 0.7)),
        _band((620, 690), (50, 150), (0.03, 0.45)),
    ),
    "black": (_band((300, 500), (350, 900), (0.8, 1.2)),),
    "white": (_edge((380, 405), (4, 9), (0.2, 2.0)),),
}
# What a pigment absorbs where it does not: powers of ten.
_ELSEWHERE, _WHITE_ELSEWHERE = (-2.6, -1.4), (-4.0, -2.0)


class Prior(NamedTuple):
    """Normal distributions of ln K of a solid over the bands: (families, 36) and (families, 36, 36)."""

    mean: Array
    covariance: Array


@cache
def prior(family: Family | None = None) -> Prior:
    """What is known of an ink's absorption before its colour is.

    Parameters
    ----------
    family : that of the ink; None for all of `FAMILIES`, in their order.

    Returns
    -------
    The distribution of each family, the same at every call.
    """
    if family is not None:
        place = FAMILIES.index(family)
        return Prior(*(part[place : place + 1] for part in prior()))
    generator = np.random.default_rng(_SEED)
    shapes = [_members(name, generator) for name in _SHAPES]
    coloured = np.concatenate(shapes)
    one, other = generator.integers(len(coloured), size=(2, _MIXTURES))
    share = generator.uniform(size=(_MIXTURES, 1))
    shapes.append(share * coloured[one] + (1 - share) * coloured[other])
    beside = of_any_ink()
    curves = [np.log(each) for each in shapes]
    return Prior(
        np.array([each.mean(axis=0) for each in curves]) + _STRONGER,
        np.array([np.cov(each.T) + beside for each in curves]),
    )


def of_any_ink() -> Array:
    """Covariance of ln K among inks of one pigment: smooth along the spectrum, and in all bands. (36, 36)."""
    apart = (WAVELENGTHS_NM[:, None] - WAVELENGTHS_NM) / _SMOOTH_NM
    return np.asarray(_SMOOTH * np.exp(-(apart**2)) + _AMOUNT + _BAND * np.eye(BANDS))


def _members(family: Family, generator: np.random.Generator) -> Array:
    """K of pigments of a family, the highest of each about 1. (members, 36)."""
    low, high = _WHITE_ELSEWHERE if family == "white" else _ELSEWHERE
    found = np.repeat(10 ** generator.uniform(low, high, (_MEMBERS, 1)), BANDS, axis=1)
    for part in _SHAPES[family]:
        place, width, height = (generator.uniform(*span, (_MEMBERS, 1)) for span in part[1:])
        away = ((WAVELENGTHS_NM - place) / width).clip(-50, 50)
        found += height * (1 / (1 + np.exp(away)) if part.edge else np.exp(-(away**2) / 2))
    return found
