"""Plans of a separation: what is wanted, the inks to choose from, and what a search gives."""

from collections.abc import Hashable, Sequence
from dataclasses import dataclass, field

import numpy as np

from nomos.colour import ColourError, Film, Ground, Lab, Opacity, ink_film
from nomos.colour.ink import solid_of
from nomos.colour.layering import KnownFilm, Stock

# A colour nearer than this counts as reached.
REACHED_DE00 = 5.0
# The worst colour counts this much beside the mean, so that none is given up for the others.
WORST_SHARE = 0.25
RESTARTS = 8
MOST_BLOCKS = 8
WEAKEST = 0.1
MIX_NAME = "mix "


@dataclass(frozen=True)
class CandidateInk:
    """An ink that may be used: its solid on this paper, and the strengths it may be thinned to.

    to_mix : its colour is a proposal and may be adjusted.
    solid : its film, where more is known of it than a colour and a word.
    ink : all else that whoever takes the plan wants to know of it.
    """

    name: str
    lab: Lab
    opacity: Opacity = "transparent"
    strengths: tuple[float, ...] = (1.0,)
    to_mix: bool = False
    solid: KnownFilm | None = None
    ink: Hashable = None

    def film(self, ground: Ground, strength: float = 1.0) -> Film:
        """Its film on a paper. Raises ColourError where no ink can be so."""
        return film_of_ink(self, ground, strength)


def film_of_ink(ink: "CandidateInk | PlannedInk", ground: Ground, strength: float) -> Film:
    """The film of an ink on a paper, by its solid if that is known.

    Parameters
    ----------
    ink : from a shelf.
    ground : (36,) reflectance of the paper.
    strength : 0 to 1.

    Raises
    ------
    ColourError : no ink can have that colour there.
    """
    if ink.solid is not None:
        return ink.solid.film(strength, ground.cover)
    return ink_film(ink.lab, ink.opacity, ground, strength)


@dataclass(frozen=True)
class Wish:
    """What is wanted of one flat colour.

    weight : area in mm² or any other positive weight.
    must_match : counts four times, and more beyond ΔE00 3.
    bare : no block may print there.
    single : at most one block may print there.
    """

    lab: Lab
    weight: float
    must_match: bool = False
    bare: bool = False
    single: bool = False


@dataclass(frozen=True)
class SolverRequest:
    """All that a search depends on; also the key its result is remembered by.

    paper : its colour, or all that is known of it.
    must, must_not : names of inks that have to be used, or may not be.
    refine : adjust strengths between the weakest and the strongest allowed.
    """

    paper: Lab | Stock
    wishes: tuple[Wish, ...]
    inks: tuple[CandidateInk, ...]
    most_blocks: int
    must: tuple[str, ...] = ()
    must_not: tuple[str, ...] = ()
    worst_share: float = WORST_SHARE
    refine: bool = True
    restarts: int = RESTARTS
    seed: int = 0


@dataclass(frozen=True)
class PlannedInk:
    """An ink of a plan with its strength."""

    name: str
    lab: Lab
    opacity: Opacity
    strength: float
    solid: KnownFilm | None = None
    ink: Hashable = None

    def film(self, ground: Ground) -> Film:
        """Its film on a paper, at its strength. Raises ColourError."""
        return film_of_ink(self, ground, self.strength)


@dataclass(frozen=True)
class Plan:
    """A separation: inks in print order, and for each flat colour the places of those that print there.

    printed : predicted CIELAB of each flat colour. de00 : its distance from what is wanted.
    """

    inks: tuple[PlannedInk, ...]
    members: tuple[tuple[int, ...], ...]
    printed: tuple[Lab, ...]
    de00: tuple[float, ...]
    mean_de00: float
    worst_de00: float
    cost: float = field(compare=False)

    @property
    def reached(self) -> int:
        """How many of the flat colours come out within ΔE00 5."""
        return sum(distance <= REACHED_DE00 for distance in self.de00)


def mixable_inks(paper: Lab | Stock, wanted: Sequence[Lab]) -> tuple[CandidateInk, ...]:
    """Transparent inks that could be mixed: those of the wanted colours, and a coarse net of others.

    Every ink may be thinned to any strength from 0.2 to 1. Colours that no ink
    can have are left out.

    Parameters
    ----------
    paper : a colour in CIELAB, D50/2 deg, or a stock.
    wanted : CIELAB, D50/2 deg.

    Returns
    -------
    Inks by colour on the paper.
    """
    strengths = (1.0, 0.6, 0.35)
    labs: list[Lab] = list(wanted)
    for lightness, chroma in ((80.0, 45.0), (65.0, 30.0), (50.0, 45.0), (40.0, 25.0)):
        for hue in range(0, 360, 30):
            angle = np.radians(hue)
            labs.append((lightness, float(chroma * np.cos(angle)), float(chroma * np.sin(angle))))
    inks = []
    ground = paper.ground if isinstance(paper, Stock) else Ground.from_lab(paper)
    for number, lab in enumerate(labs):
        try:
            reached = solid_of(lab, "transparent", ground).reached
        except ColourError:
            continue
        if not reached:
            continue
        inks.append(CandidateInk(f"{MIX_NAME}{number + 1}", lab, "transparent", strengths, to_mix=True))
    return tuple(inks)
