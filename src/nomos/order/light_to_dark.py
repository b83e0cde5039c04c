"""The usual print order, light to dark with the key last, and why each block stands where it does."""

from collections.abc import Sequence
from dataclasses import dataclass
from itertools import pairwise

from nomos.base.language import tr
from nomos.colour import Lab, Opacity
from nomos.order.washing import MUCH_LIGHTER, WEIGHT, Cleaning, cleaned

# Drying of an oil-based relief ink at 20 °C before the next layer: 24 to 72 h.
# Written down from memory; the user's own ink decides.
DRYING_H = 24
_WORDS: dict[Cleaning, str] = {"none": tr("no cleaning"), "wipe": tr("wipe"), "wash": tr("wash up")}


@dataclass(frozen=True)
class Layer:
    """What the rules look at: name, colour of the solid, opacity, and whether it is the key.

    drying_h : before the next goes on. wet : it goes on the one before while that is wet.
    damp : the sheet stays damp for the next layer and does not dry between.
    inks : of all zones, where there are several.
    """

    name: str
    lab: Lab
    opacity: Opacity = "transparent"
    is_key: bool = False
    drying_h: float = DRYING_H
    wet: bool = False
    damp: bool = False
    inks: tuple[Lab, ...] = ()

    @property
    def labs(self) -> tuple[Lab, ...]:
        """Of all its inks."""
        return self.inks or (self.lab,)


def light_to_dark(layers: Sequence[Layer]) -> tuple[int, ...]:
    """The numbers of the layers in print order: L* falling, key last.

    Common practice, no source: a darker ink covers a lighter one's edge, pale
    inks want a clean roller, and the key draws everything together at the end.

    Parameters
    ----------
    layers : in any order.

    Returns
    -------
    Each number once.
    """
    return tuple(sorted(range(len(layers)), key=lambda n: (layers[n].is_key, -layers[n].lab[0])))


def reasons(order: Sequence[Layer]) -> tuple[str, ...]:
    """For each layer in print order why it stands there or what that costs.

    Parameters
    ----------
    order : layers in print order.

    Returns
    -------
    A sentence or two each.
    """
    return tuple(_reason(place, order) for place in range(len(order)))


def _reason(place: int, order: Sequence[Layer]) -> str:
    layer = order[place]
    lightness = tr("L* {lab:.0f}", lab=layer.lab[0])
    said = []
    if layer.is_key:
        over = order[place + 1 :]
        clear = [other.name for other in over if other.opacity == "transparent"]
        hiding = [other.name for other in over if other.opacity != "transparent"]
        if not over:
            said.append(tr("The key goes on last: it covers the joins of all the colours."))
        elif place == 0:
            said.append(tr("The key goes on first, as the guide for the colours."))
        else:
            said.append(tr("The key lies under later colours."))
        if clear:
            said.append(tr("Knocked back by what is transparent over it: {clear}.", clear=", ".join(clear)))
        if hiding:
            said.append(tr("Hidden where {hiding} covers it.", hiding=", ".join(hiding)))
    else:
        darker_before = [other.name for other in order[:place] if other.lab[0] < layer.lab[0] - MUCH_LIGHTER]
        if darker_before:
            said.append(
                tr(
                    "Lighter than what is already printed ({darker_before}), {lightness}:",
                    darker_before=", ".join(darker_before),
                    lightness=lightness,
                )
            )
            said.append(
                tr("it will show there only as a veil.")
                if layer.opacity == "transparent"
                else tr("its opacity lets it show there.")
            )
        elif place == 0 and (
            paler := [o.name for o in order[1:] if not o.is_key and o.lab[0] > layer.lab[0] + MUCH_LIGHTER]
        ):
            said.append(
                tr(
                    "First, {lightness}, though paler ones come later ({paler}).",
                    lightness=lightness,
                    paler=", ".join(paler),
                )
            )
        elif place == 0:
            said.append(
                tr(
                    "Palest, {lightness}: first on a clean roller, and everything darker covers its edge.",
                    lightness=lightness,
                )
            )
        else:
            said.append(
                tr(
                    "{lightness}, next darker after {name}: covers its edge.",
                    lightness=lightness,
                    name=order[place - 1].name,
                )
            )
    below = [other.name for other in order[:place]]
    if layer.opacity == "opaque" and below:
        said.append(tr("Opaque: hides {below} where it covers them.", below=", ".join(below)))
    elif layer.opacity == "semi" and place > 0:
        said.append(tr("Half opaque: veils what it covers."))
    return " ".join(said)


def before_next(order: Sequence[Layer]) -> tuple[tuple[str, str], ...]:
    """What has to happen after each pull, for all but the last: cleaning first, then drying.

    Common practice, no source: going on to a neighbouring hue that is not
    lighter needs a wipe, anything else a full wash-up.

    Parameters
    ----------
    order : layers in print order.

    Returns
    -------
    How it is cleaned and how it dries, one fewer than layers.
    """
    said = []
    for here, after in pairwise(order):
        dries = tr("back into the damp pack") if here.damp else tr("dry {drying_h:g} h", drying_h=here.drying_h)
        said.append((_cleaned(cleaned(here.labs, after.labs)), tr("the sheets still wet") if after.wet else dries))
    return tuple(said)


def _cleaned(each: Sequence[Cleaning]) -> str:
    worst = max(each, key=lambda one: WEIGHT[one])
    many = sum(one == worst for one in each)
    return tr("{words} {many} inks", words=_WORDS[worst], many=many) if many > 1 and worst != "none" else _WORDS[worst]
