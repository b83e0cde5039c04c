"""A family of colours from the same few tubs: lightest first, each mixed from what is left of the one before."""

from collections.abc import Sequence
from dataclasses import dataclass

import numpy as np

from nomos.base.progress import NULL_PROGRESS, Part, Progress
from nomos.colour.cielab import delta_e00
from nomos.colour.mixing import EXTENDER, WHITE_NAME, Pigment, Recipe, Underlay, find_recipes, mixture_labs, recipe_of
from nomos.colour.spec import Lab
from nomos.colour.spectra import Array
from nomos.colour.weighing import SCALES_G

# Of each colour's own recipes so many say which tubs are tried for all; a tub more must bring all of them nearer by
# so much, ΔE00 (chosen by us).
_TRIED, _A_TUB = 12, 0.4
# Using up what is left of the batch before may cost so much, ΔE00 (chosen by us).
_FOR_THE_REST = 0.5
_TRIES, _SEED = 4000, 5


@dataclass(frozen=True, eq=False)
class Member:
    """One colour of a family.

    target : CIELAB. recipe : what the scales make of it. before_g : to take of the batch before.
    add_g : to weigh in, by tub.
    """

    target: Lab
    recipe: Recipe
    before_g: float
    add_g: dict[str, float]


def family(
    targets: Sequence[Lab], inks: Sequence[Pigment], under: Underlay, *, most_inks: int = 2,
    white: Pigment | None = None, batch_g: float = 20.0, left_g: float = 5.0, progress: Progress = NULL_PROGRESS,
) -> tuple[Member, ...]:  # fmt: skip
    """Recipes of all targets from the same few inks, extender and white.

    Parameters
    ----------
    targets : CIELAB, D50/2 deg. inks : of the shelf, white not among them.
    batch_g : of each colour, g. left_g : of each batch that is left for the next one, g.

    Returns
    -------
    A member for each target, the lightest first.

    Raises
    ------
    Cancelled : called off through `progress`.
    """
    ordered = sorted(targets, key=lambda lab: -lab[0])
    chosen = _same_tubs(ordered, inks, under, most_inks, white, progress)
    tubs = [*chosen, EXTENDER, *([white] if white else [])]
    members, before = list[Member](), np.zeros(len(tubs))
    for target in ordered:
        best = find_recipes(target, chosen, under, most_inks=len(chosen), white=white)[0]
        named = dict(zip(best.names, best.shares, strict=True))
        wanted, taken = batch_g * np.array([named.get(tub.name, 0.0) for tub in tubs]), 0.0
        if members and left_g >= SCALES_G:
            added, de00 = _added_to(left_g * before, wanted, target, tubs, under)
            if de00 <= best.de00 + _FOR_THE_REST:
                wanted, taken = added, left_g
        added = np.rint(wanted / SCALES_G) * SCALES_G
        made = taken * before + added
        before = made / made.sum()
        grams = {tub.name: round(float(g), 1) for tub, g in zip(tubs, added, strict=True) if g > 0}
        members.append(Member(target, recipe_of(target, tubs, before, under), round(taken, 1), grams))
    return tuple(members)


def _added_to(
    there_g: Array, wanted_g: Array, target: Lab, tubs: Sequence[Pigment], under: Underlay
) -> tuple[Array, float]:
    """What to add to what is there for a batch as large as wanted, g of each tub, and how near that comes, ΔE00."""
    from scipy.optimize import minimize

    room = max(wanted_g.sum() - there_g.sum(), 0.0)

    def added(logs: Array) -> Array:
        parts = np.exp(np.clip(logs, -12, 12))
        return np.asarray(room * parts / parts.sum())

    def off(logs: Array) -> float:
        made = there_g + added(logs)
        return float(delta_e00(mixture_labs(tubs, made[None] / made.sum(), under)[0], np.array(target)))

    start = np.log(np.maximum(wanted_g - there_g, 1e-3 * wanted_g.sum()))
    found = minimize(off, start, method="Nelder-Mead", options={"xatol": 0.01, "fatol": 0.005, "maxiter": 800})
    return added(found.x), float(found.fun)


def _same_tubs(
    targets: Sequence[Lab], inks: Sequence[Pigment], under: Underlay, most: int, white: Pigment | None,
    progress: Progress,
) -> list[Pigment]:  # fmt: skip
    """The inks that bring all the targets nearest, the fewest of those that come as near."""
    named, sets = {ink.name: ink for ink in inks}, dict[frozenset[str], None]()
    for place, target in enumerate(targets):
        part = Part(progress, place / len(targets), (place + 1) / len(targets))
        found = find_recipes(target, inks, under, most_inks=most, white=white, progress=part)
        sets |= dict.fromkeys(frozenset(each.names) - {EXTENDER.name, WHITE_NAME} for each in found[:_TRIED])
    scored = []
    # What extender or white shows alone still has to come from some tubs.
    for names in [each for each in sets if each] or [frozenset({inks[0].name})]:
        some = [named[name] for name in sorted(names)]
        labs = mixture_labs([*some, EXTENDER, *([white] if white else [])], _tries(len(some) + 1 + bool(white)), under)
        off = [float(delta_e00(labs, np.array(target)).min()) for target in targets]
        scored.append((float(np.hypot(np.mean(off), np.max(off) / 2)) + _A_TUB * len(some), sorted(names)))
    return [named[name] for name in min(scored)[1]]


def _tries(tubs: int) -> Array:
    """Shares that many mixtures of so many tubs are tried with, small ones as often as large ones. (n, tubs)"""
    amounts = 10 ** np.random.default_rng(_SEED).uniform(-2.5, 0, (_TRIES, tubs))
    return np.asarray(amounts / amounts.sum(axis=1, keepdims=True))
