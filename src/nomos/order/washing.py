"""Cleaning between inks, which roller takes which, and tack in one sitting."""

from collections.abc import Sequence
from dataclasses import dataclass
from typing import Literal

import numpy as np

from nomos.base.language import tr
from nomos.colour import Lab
from nomos.colour.trapping import trapping_of

Cleaning = Literal["none", "wipe", "wash"]
# Minutes that count for choosing rollers; the calendar has its own.
WEIGHT: dict[Cleaning, float] = {"none": 0.0, "wipe": 0.3, "wash": 1.0}
NEIGHBOUR_HUE_DEG = 50.0
GREY_CHROMA = 8.0
MUCH_LIGHTER = 4.0
_SAME = 3.0
# In one sitting each ink must be looser than the one before by so much (chosen by us).
_LEAST_FALL = 1.0
# Less than this share is no print.
_NOTHING = 0.05

CAUTION = tr("Carbonate is a fine powder: mask on, no draught. Oil and solvent rags go into a closed metal bin.")


def cleaning(here: Lab, after: Lab) -> Cleaning:
    """What slab, roller and block need between two inks.

    Common practice, no source: going on to a neighbouring hue that is not
    lighter needs a wipe, anything else a full wash-up, the same ink nothing.

    Parameters
    ----------
    here, after : CIELAB, D50/2 deg of the inks, in print order.

    Returns
    -------
    The word for it.
    """
    if float(np.linalg.norm(np.subtract(here, after))) < _SAME:
        return "none"
    chroma = np.hypot(here[1], here[2]), np.hypot(after[1], after[2])
    turn = abs(np.degrees(np.arctan2(here[2], here[1]) - np.arctan2(after[2], after[1])))
    neighbour = min(turn, 360 - turn) <= NEIGHBOUR_HUE_DEG or min(chroma) < GREY_CHROMA
    return "wipe" if neighbour and after[0] <= here[0] + MUCH_LIGHTER else "wash"


def cleaned(here: Sequence[Lab], after: Sequence[Lab]) -> tuple[Cleaning, ...]:
    """What each roller of a layer needs before the next layer, where several inks stand on one block.

    Parameters
    ----------
    here, after : CIELAB, D50/2 deg of the inks of both layers; at least one each.

    Returns
    -------
    One for each ink here: the least cleaning on the way to any ink of the next.
    """
    return tuple(min((cleaning(one, other) for other in after), key=lambda way: WEIGHT[way]) for one in here)


@dataclass(frozen=True)
class Rollers:
    """Which roller each ink is printed with (from 0), and how it is cleaned before.

    roller, before : for each layer one of each of its inks.
    needed : rollers that the layer with most inks takes at once.
    """

    roller: tuple[tuple[int, ...], ...]
    before: tuple[tuple[Cleaning, ...], ...]
    needed: int

    @property
    def washes(self) -> int:
        """Full wash-ups between the layers."""
        return sum(each == "wash" for layer in self.before for each in layer)


def rollers_for(layers: Sequence[Sequence[Lab]], rollers: int) -> Rollers:
    """The inks of all layers shared out among some rollers with little cleaning.

    Parameters
    ----------
    layers : CIELAB, D50/2 deg of the inks of each layer, in print order.
    rollers : how many there are; a layer of more inks takes as many as it has inks.

    Notes
    -----
    With one ink a layer exact (`shared_rollers`); else each layer takes the rollers
    that are nearest to clean for it (Kuhn's assignment).
    """
    needed = max((len(inks) for inks in layers), default=1)
    if needed == 1:
        one = shared_rollers([inks[0] for inks in layers], rollers)
        return Rollers(one.roller, one.before, 1)
    from scipy.optimize import linear_sum_assignment

    carried: list[Lab | None] = [None] * max(rollers, needed)
    used: list[tuple[int, ...]] = []
    before: list[tuple[Cleaning, ...]] = []
    for inks in layers:
        ways: list[list[Cleaning]] = [
            ["none" if ink is None else cleaning(ink, lab) for ink in carried] for lab in inks
        ]
        _, took = linear_sum_assignment([[WEIGHT[way] for way in row] for row in ways])
        used.append(tuple(int(roller) for roller in took))
        before.append(tuple(ways[n][roller] for n, roller in enumerate(used[-1])))
        for lab, roller in zip(inks, used[-1], strict=True):
            carried[roller] = lab
    return Rollers(tuple(used), tuple(before), needed)


# Weight so far, the roller of each layer, its cleaning, and the layer whose ink each roller carries.
_Shared = tuple[float, tuple[int, ...], tuple[Cleaning, ...], tuple[int, ...]]


def shared_rollers(labs: Sequence[Lab], rollers: int) -> Rollers:
    """Layers in print order shared out among some rollers with the least cleaning.

    Dynamic programming over which ink each roller carries; exact.

    Parameters
    ----------
    labs : CIELAB, D50/2 deg of the inks in print order.
    rollers : how many, at least 1.

    Returns
    -------
    The roller of each layer, and the cleanings.
    """
    ways = [[cleaning(one, other) for other in labs] for one in labs]
    # Rollers are alike: what they carry decides, not which of them carries it, and of clean ones the first
    # is taken.
    start: _Shared = (0.0, (), (), (-1,) * rollers)
    states: dict[tuple[int, ...], _Shared] = {start[3]: start}
    for layer in range(len(labs)):
        following: dict[tuple[int, ...], _Shared] = {}
        for cost, used, done, carried in states.values():
            for roller in range(min(rollers, len(set(used)) + 1)):
                before = carried[roller]
                what: Cleaning = "none" if before < 0 else ways[before][layer]
                after = (*carried[:roller], layer, *carried[roller + 1 :])
                new = (cost + WEIGHT[what], (*used, roller), (*done, what), after)
                key = tuple(sorted(after))
                if key not in following or new < following[key]:
                    following[key] = new
        states = following
    _, used, done, _ = min(states.values())
    return Rollers(tuple((n,) for n in used), tuple((way,) for way in done), 1)


@dataclass(frozen=True)
class TackAdvice:
    """One step of a sitting in which the tack does not fall: the layers, what takes, and what to do."""

    first: int
    second: int
    takes: float
    text: str

    @property
    def brief(self) -> str:
        """In two or three words."""
        return tr("will not take, too tight") if self.fails else tr("only {takes:.0f} % takes", takes=100 * self.takes)

    @property
    def fails(self) -> bool:
        """Whether nothing takes."""
        return self.takes < _NOTHING


def _taken(share: float) -> str:
    if share < _NOTHING:
        return tr("it does not take at all: it lifts the ink below")
    return tr("{share:.0f} % of the film takes", share=100 * share)


def tack_advice(names: Sequence[str], tacks: Sequence[float], wet: Sequence[bool]) -> tuple[TackAdvice, ...]:
    """Where a wet layer does not have a looser ink than the one below it, and how to make it so.

    Parameters
    ----------
    names, tacks : of the layers in print order; tack 0 loose to 10 tight.
    wet : for each whether it is printed on the wet one before.

    Returns
    -------
    One for each such layer.
    """
    found = []
    for second in range(1, len(tacks)):
        first = second - 1
        fall = tacks[first] - tacks[second]
        if not wet[second] or fall >= _LEAST_FALL:
            continue
        takes = trapping_of(tacks[first], tacks[second])
        short = _LEAST_FALL - fall
        found.append(
            TackAdvice(
                first,
                second,
                takes,
                tr(
                    "{names} goes wet on {names_2} and must be looser by {short:.1f} on the scale of "
                    "tack: a drop of oil into {names}, or a little magnesium carbonate into {names_2}. "
                    "As it is, {taken}.",
                    names=names[second], names_2=names[first], short=short, taken=_taken(takes),
                ),
            )
        )  # fmt: skip
    return tuple(found)
