"""An ink's film, from nothing but its colour on the paper and a word for its opacity."""

from collections.abc import Sequence
from functools import lru_cache
from typing import Literal, NamedTuple, get_args

import numpy as np

from nomos.colour.cielab import delta_e00, reflectance_to_lab
from nomos.colour.layering import (
    Film,
    Ground,
    PaperKind,
    film_over,
    partly_covered,
    surface_term,
    to_internal,
    to_measured,
    without_open,
)
from nomos.colour.likeliest import Likeliest, likeliest
from nomos.colour.overprinting import overprints
from nomos.colour.pigments import FAMILIES, Family, prior
from nomos.colour.recovery import smooth_reflectance
from nomos.colour.spectra import BANDS, XYZ_WEIGHTS, Array

Opacity = Literal["transparent", "semi", "opaque"]
OPACITIES: tuple[Opacity, ...] = get_args(Opacity)

# Scattering of the solid for each word. Over black a film that absorbs nothing
# would reflect S / (1 + S): 0, 29 and 55 %. Chosen by us; docs/method.md says from what.
SCATTERING: dict[Opacity, float] = {"transparent": 0.0, "semi": 0.35, "opaque": 1.0}

_BRIGHTEST, _DARKEST = 0.9999, 1e-5
_MOST_ABSORBING = 1e4
_HALVINGS = 70
# How many times as much as its word says an ink may scatter, and how finely that is looked for.
_MOST_SCATTERING, _S_HALVINGS = 200.0, 10
_ROOM = 0.98
# A white a little brighter than the paper would need to scatter many times what its word says to reach
# its colour exactly, and would then hide a black at one pull. What is not seen is not worth that.
_FORGIVEN = 3.0


# A colour that comes back within this (Euclidean distance in CIELAB) has been reached.
REACHED = 0.05

_GroundKey = tuple[bytes, float, PaperKind, float]


class Solid(NamedTuple):
    """An ink's solid: K and S (36,), k1, whether it can have its colour on that paper, and what it is taken for."""

    absorption: Array
    scattering: Array
    k1: float
    reached: bool
    family: Family | None = None


def ink_film(
    lab: Sequence[float], opacity: Opacity, paper: Sequence[float] | Ground, strength: float = 1.0,
    family: Family | None = None,
) -> Film:  # fmt: skip
    """The film of an ink whose solid has a known colour on a known paper.

    Parameters
    ----------
    lab : (3,) CIELAB D50/2 deg of the solid on the paper.
    opacity : "transparent", "semi" or "opaque".
    paper : (3,) CIELAB D50/2 deg of the bare paper, or the paper itself.
    strength : film thickness, or share of ink in the extender; 1 is the solid, 0 no ink.
    family : of its pigment; None to take what is likeliest.

    Returns
    -------
    Film; laid on that paper at strength 1 it has the colour `lab`. An ink that
    would have to be brighter than the paper in some band has the nearest colour
    that it can have there (`solid_of` says so): a transparent ink always, one
    that scatters if that is within 3 of `lab` in CIELAB.

    Raises
    ------
    ColourError
        No ink or paper can have the colour.

    Notes
    -----
    K is the likeliest that a pigment of that colour has (`likeliest`). S is what the
    word says; a half opaque or opaque ink that is much brighter than such a film on
    that paper has the least S that can make it so.
    """
    ground = paper if isinstance(paper, Ground) else Ground.from_lab(paper)
    solid = solid_of(lab, opacity, ground, family)
    return Film(solid.absorption, solid.scattering, solid.k1, strength, ground.cover)


def spectral_solid(reflectance: Sequence[float], opacity: Opacity, ground: Ground) -> Solid:
    """The film of a solid whose reflectance on that paper was measured. See `ink_film`.

    Parameters
    ----------
    reflectance : 36 shares, 0 to 1, 380 to 730 nm by 10.
    opacity : the word for how it covers.
    ground : the paper it was measured on.

    Returns
    -------
    K and S (36,) for one solid film, its surface term k1, and whether the paper allows the colour.
    """
    measured = np.clip(np.asarray(reflectance, np.float64), _DARKEST, 1.0)
    internal = np.minimum(ground.internal, _BRIGHTEST)
    room = to_measured(partly_covered(internal, np.zeros(BANDS), ground.cover), 0.0)
    # On rough paper what stays open shows too, and must have room below it.
    most = _ROOM * float(np.min((measured - room) / (1 - room)))
    k1 = max(0.0, min(surface_term(measured, ground.kind, SCATTERING[opacity]), ground.k1, most))
    wanted = np.clip(without_open(to_internal(measured, k1), internal, ground.cover), _DARKEST, _BRIGHTEST)
    scattering = np.full(BANDS, SCATTERING[opacity])
    if opacity == "transparent":
        wanted = np.minimum(wanted, internal)
    else:
        # A white film (K = 0) on the ground reaches `wanted` at this scattering:
        scattering = np.maximum(scattering, 1 / (1 - wanted) - 1 / (1 - internal))
    shown = reflectance_to_lab(to_measured(partly_covered(internal, wanted, ground.cover), k1))
    reached = bool(np.linalg.norm(shown - reflectance_to_lab(measured)) <= 2 * REACHED)
    return Solid(absorption_for(wanted, internal, scattering), scattering, k1, reached)


def solid_of(lab: Sequence[float], opacity: Opacity, ground: Ground, family: Family | None = None) -> Solid:
    """The film of a solid known by its colour on a paper. See `ink_film`.

    Parameters
    ----------
    lab : 3 figures, CIELAB, D50/2 deg.
    opacity : the word for how it covers.
    ground : the paper it lies on.
    family : of its pigment; None to take what is likeliest.

    Returns
    -------
    K and S (36,) for one solid film, its surface term k1, and whether it can have that colour there.
    """
    return _solid(tuple(map(float, lab)), opacity, _key(ground), family)


def _key(ground: Ground) -> _GroundKey:
    return ground.internal.tobytes(), ground.k1, ground.kind, ground.cover


@lru_cache(maxsize=4096)
def _solid(lab: tuple[float, ...], opacity: Opacity, key: _GroundKey, family: Family | None) -> Solid:
    internal, paper_k1, kind, cover = key
    ground = Ground(np.minimum(np.frombuffer(internal), _BRIGHTEST), paper_k1, kind, cover)
    wanted = np.array(lab)
    smooth_reflectance(wanted)

    def with_scattering(times: float) -> tuple[Likeliest, Array]:
        scattering = np.full(BANDS, SCATTERING[opacity] * times)
        return likeliest(wanted, ground, scattering, prior(family)), scattering

    found, scattering = with_scattering(1.0)
    if opacity != "transparent" and found.missed > _FORGIVEN:
        # The least S that can make it so bright.
        low, high = 0.0, np.log(_MOST_SCATTERING)
        for _ in range(_S_HALVINGS):
            middle = (low + high) / 2
            more, scattering = with_scattering(float(np.exp(middle)))
            low, high = (middle, high) if more.missed > REACHED else (low, middle)
        found, scattering = with_scattering(float(np.exp(high)))
    return Solid(
        np.exp(found.log_absorption),
        scattering,
        found.k1,
        found.missed <= 2 * REACHED,
        family or FAMILIES[int(found.weights.argmax())],
    )


def absorption_for(wanted: Array, ground: Array, scattering: Array) -> Array:
    """K that brings a film of unit thickness to `wanted`; R falls steadily as K grows.

    Parameters
    ----------
    wanted : (36,) reflectance of the film on its ground.
    ground : (36,) reflectance below.
    scattering : (36,) S of the film.

    Returns
    -------
    (36,) K of a film of unit thickness.
    """
    clear = scattering == 0
    found = np.empty_like(wanted)
    found[clear] = np.log(ground[clear] / wanted[clear]) / 2
    if clear.all():
        return found
    wanted, ground, scattering = wanted[~clear], ground[~clear], scattering[~clear]
    low, high = np.zeros_like(wanted), np.full_like(wanted, _MOST_ABSORBING)
    for _ in range(_HALVINGS):
        middle = (low + high) / 2
        too_bright = film_over(ground, middle, scattering) > wanted
        low, high = np.where(too_bright, middle, low), np.where(too_bright, high, middle)
    found[~clear] = (low + high) / 2
    return found


def shortfall(lab: Sequence[float], opacity: Opacity, ground: Ground) -> float:
    """How far the nearest colour that an ink can have on a paper is from the one it is said to have, ΔE00."""
    shown = reflectance_to_lab(overprints(ground, [ink_film(lab, opacity, ground)])[-1])
    return float(delta_e00(shown, np.array(lab)))


# White and black of a card that hiding is measured on (ISO 6504-3 asks for Y of 80 on white and at most 5
# on black; the latter's usual 1 is from memory).
_CARD_WHITE, _CARD_BLACK = 0.8, 0.01


def contrast_ratio(absorption: Array, scattering: Array, k1: float) -> float:
    """How a solid hides a card of black and white: Y over black by Y over white.

    Parameters
    ----------
    absorption, scattering : (36,) of the film.
    k1 : its surface term.

    Returns
    -------
    0 clear to 1 opaque, as an instrument reads it, through the surface.

    References
    ----------
    ISO 6504-3:2019, hiding power of paints by contrast ratio.
    """
    sides = to_internal(np.array([[_CARD_BLACK], [_CARD_WHITE]]), min(k1, _CARD_BLACK / 2)).clip(0, 1)
    seen = to_measured(film_over(sides * np.ones(BANDS), absorption, scattering), k1)
    black, white = seen @ XYZ_WEIGHTS[:, 1]
    return float(black / white)
