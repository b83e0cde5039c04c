"""An ink's film, from nothing but its colour on the paper and a word for its opacity."""

from collections.abc import Sequence
from functools import lru_cache
from typing import Literal, get_args

import numpy as np

from nomos.colour.layering import Film, Ground, film_over, surface_term, to_internal
from nomos.colour.recovery import smooth_reflectance
from nomos.colour.spectra import Array

Opacity = Literal["transparent", "semi", "opaque"]
OPACITIES: tuple[Opacity, ...] = get_args(Opacity)

# Scattering of the solid for each word. Over black a film that absorbs nothing
# would reflect S / (1 + S): 0, 38 and 80 %. Chosen by us, no source; a reading
# over black replaces the word.
SCATTERING: dict[Opacity, float] = {"transparent": 0.0, "semi": 0.6, "opaque": 4.0}

_BRIGHTEST = 0.9999
_MOST_ABSORBING = 1e4
_HALVINGS = 70


def ink_film(lab: Sequence[float], opacity: Opacity, paper: Sequence[float], strength: float = 1.0) -> Film:
    """The film of an ink whose solid has a known colour on a known paper.

    Parameters
    ----------
    lab : (3,) CIELAB D50/2 deg of the solid on the paper.
    opacity : "transparent", "semi" or "opaque".
    paper : (3,) CIELAB D50/2 deg of the bare paper.
    strength : film thickness, or share of ink in the extender; 1 is the solid, 0 no ink.

    Returns
    -------
    Film; laid on that paper at strength 1 it has the colour `lab`.

    Raises
    ------
    ColourError
        No ink or paper can have the colour.

    Notes
    -----
    S is what the opacity word says, or, in a band where the ink is brighter
    than the paper, the least scattering that can make it so; K then follows
    from the solid. With S = 0 that is K = ln(Rg / R) / 2 (Kubelka-Munk).
    """
    absorption, scattering, k1 = _solid(tuple(map(float, lab)), opacity, tuple(map(float, paper)))
    return Film(absorption, scattering, k1, strength)


@lru_cache(maxsize=4096)
def _solid(lab: tuple[float, ...], opacity: Opacity, paper: tuple[float, ...]) -> tuple[Array, Array, float]:
    solid = smooth_reflectance(np.array(lab))
    k1 = surface_term(solid)
    wanted = np.minimum(to_internal(solid, k1), _BRIGHTEST)
    ground = np.minimum(Ground.from_lab(paper).internal, _BRIGHTEST)
    # A white film (K = 0) on the ground reaches `wanted` at this scattering:
    needed = 1 / (1 - wanted) - 1 / (1 - ground)
    scattering = np.maximum(SCATTERING[opacity], needed)
    return absorption_for(wanted, ground, scattering), scattering, k1


def absorption_for(wanted: Array, ground: Array, scattering: Array) -> Array:
    """K that brings a film of unit thickness to `wanted`; R falls steadily as K grows."""
    low = np.zeros_like(wanted)
    high = np.full_like(wanted, _MOST_ABSORBING)
    for _ in range(_HALVINGS):
        middle = (low + high) / 2
        too_bright = film_over(ground, middle, scattering) > wanted
        low, high = np.where(too_bright, middle, low), np.where(too_bright, high, middle)
    clear = scattering == 0
    found = (low + high) / 2
    found[clear] = np.log(ground[clear] / wanted[clear]) / 2
    return found
