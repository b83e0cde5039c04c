"""How much of a wet second ink takes on a wet first one, and thick, thin or grainy films."""

from dataclasses import replace
from typing import Literal, get_args

import numpy as np

from nomos.base.language import tr
from nomos.colour.layering import Film, Ground
from nomos.colour.overprinting import overprints
from nomos.colour.spectra import Array

Inking = Literal["light", "normal", "heavy"]
INKINGS: tuple[Inking, ...] = get_args(Inking)
# Thickness of a film for each word, against the film the ink's solid was read at (chosen by us).
FILM: dict[Inking, float] = {"light": 0.75, "normal": 1.0, "heavy": 1.3}

Surface = Literal["smooth", "rough"]
# Share of the surface that a solid covers: rough paper and wood grain stay open in places (from memory;
# a look through a loupe replaces it).
COVER: dict[Surface, float] = {"smooth": 1.0, "rough": 0.93}

# A wet print shines: less of the surface is seen (chosen by us).
WET_SURFACE = 0.3

# Tack on a plain scale: 0 loose, 10 tight.
LOOSEST, TIGHTEST, MIDDLE_TACK = 0.0, 10.0, 5.0
# How a knife drawn through it shows the tack, for every step (common practice; the words are ours).
KNIFE_TEST = (
    tr("runs off the knife like oil"),
    tr("runs off in a stream"),
    tr("runs off in a thread that breaks late"),
    tr("drips off slowly, drops flatten at once"),
    tr("drips off in lumps that flatten"),
    tr("hangs from the knife, falls when it is shaken"),
    tr("stands as a soft peak that leans over"),
    tr("stands as a peak"),
    tr("pulls short threads, the peak stays sharp"),
    tr("pulls long threads, the knife is hard to lift"),
    tr("drags the slab with it"),
)
# Of oil, and of magnesium carbonate, this share of the whole changes the tack by a step (from memory: the
# workshop's own figure replaces it).
OIL_STEP_PCT, CARBONATE_STEP_PCT = 2.0, 3.0
# The share of a wet ink that takes on a wet one, by how far the tack falls from first to second. At the
# same tack presses report 70 to 95 % (from memory); more takes where it falls, less where it rises, and
# past a step or so nothing (common practice). The shape is chosen by us; a measured share replaces it.
_FALL = (-1.5, -1.0, 0.0, 2.5)
_TAKES = (0.0, 0.45, 0.9, 1.0)


def tack_with(tack: float, oil_steps: float, carbonate_steps: float) -> float:
    """The tack of an ink once it was modified.

    Parameters
    ----------
    tack : as it comes from the tub, 0 to 10.
    oil_steps, carbonate_steps : by how many steps each of them moves it, down and up.

    Returns
    -------
    0 to 10.
    """
    return float(np.clip(tack - oil_steps + carbonate_steps, LOOSEST, TIGHTEST))


def knife_test(tack: float) -> str:
    """What a knife shows of an ink of that tack, 0 to 10.

    Parameters
    ----------
    tack : 0 loose to 10 tight.

    Returns
    -------
    What is seen, in words.
    """
    return KNIFE_TEST[int(np.clip(round(tack), LOOSEST, TIGHTEST))]


def trapping_of(first_tack: float, second_tack: float) -> float:
    """Share of a wet second ink's film that takes on a wet first one.

    Parameters
    ----------
    first_tack, second_tack : 0 loose to 10 tight.

    Returns
    -------
    A share, 0 to 1.
    """
    return float(np.interp(first_tack - second_tack, _FALL, _TAKES))


def density(reflectance: Array, paper: Array, through: Array) -> float:
    """Optical density over paper in the band that an ink absorbs.

    Parameters
    ----------
    reflectance, paper : (36,) measured.
    through : (36,) weights of the bands, from `complementary`.
    """
    return float(-np.log10((reflectance @ through) / (paper @ through)))


def complementary(solid: Array, paper: Array) -> Array:
    """Weights of the bands in which an ink absorbs most: a filter of its complementary colour. (36,).

    The third of the spectrum where the solid is darkest against the paper,
    in place of the wide-band filters of a densitometer.

    Parameters
    ----------
    solid, paper : (36,) reflectances.

    Returns
    -------
    (36,) weights that sum to 1.
    """
    ratio = solid / paper
    weights = (ratio <= np.quantile(ratio, 1 / 3)).astype(np.float64)
    return np.asarray(weights / weights.sum())


def preucil(overprint: float, first: float, second: float) -> float:
    """Ink trapping from densities, all through the second ink's complementary filter.

    (D_overprint - D_first) / D_second. It also counts what densities fail to add
    up, so that a film that took in full may show less than 1.

    References
    ----------
    Preucil (1958).

    Parameters
    ----------
    overprint, first, second : densities less the paper's.

    Returns
    -------
    The share of the second ink that takes; 1 is all of it.
    """
    if second <= 0:
        raise ValueError("The second ink must have a density of its own.")
    return (overprint - first) / second


def apparent_trapping(ground: Ground, first: Film, second: Film, share: float) -> float:
    """What Preucil's formula reads where a share of the second film takes on the first.

    Parameters
    ----------
    ground : (36,) reflectance of the paper.
    first, second : films.
    share : of the second that takes, 0 to 1.

    Returns
    -------
    The apparent trapping, as densities give it.
    """
    one, two = overprints(ground, [first])[-1], overprints(ground, [second])[-1]
    both = overprints(ground, [first, replace(second, thickness=second.thickness * share)])[-1]
    paper = overprints(ground, [])[0]
    through = complementary(two, paper)
    return preucil(*(density(each, paper, through) for each in (both, one, two)))


def share_taken(apparent: float, ground: Ground, first: Film, second: Film) -> float:
    """The share of the second film that explains a reading of Preucil's formula.

    Densities do not quite add up even where a film takes in full: the reading is
    compared with what the layers themselves would read, by halving the interval.

    Parameters
    ----------
    apparent : the reading, a share.
    first, second : the films as solids, in print order.

    Returns
    -------
    A share, 0 to 1.
    """
    low, high = 0.0, 1.0
    for _ in range(40):
        middle = (low + high) / 2
        if apparent_trapping(ground, first, second, middle) < apparent:
            low = middle
        else:
            high = middle
    return (low + high) / 2
