"""Recipes on the scales: grams to the nearest tenth, parts by the knife tip, and putting a batch right."""

from collections.abc import Sequence
from dataclasses import dataclass
from itertools import combinations, product

import numpy as np

from nomos.colour.cielab import delta_e00
from nomos.colour.ink import absorption_for
from nomos.colour.layering import surface_term, to_internal
from nomos.colour.mixing import EXTENDER, Pigment, Recipe, Underlay, mixed, mixture_labs, recipe_of
from nomos.colour.recovery import smooth_reflectance
from nomos.colour.spec import Lab, as_lab
from nomos.colour.spectra import Array

SCALES_G = 0.1
MOST_PARTS = 40
# Of additions that come this near to the best, the smallest is taken.
_NEARLY = 0.3
# Of an addition of several tubs no more than three are weighed; a batch more of anything costs as much as
# one unit of CIELAB (chosen by us).
_MOST_ADDED, _PRICE = 3, 1.0
_AMOUNTS = np.concatenate([[0.0], np.geomspace(0.003, 1.5, 28)])


def pigments_of(recipe: Recipe, shelf: Sequence[Pigment]) -> list[Pigment]:
    """The tubs of a recipe, in its order.

    Parameters
    ----------
    shelf : what stands there.

    Returns
    -------
    A tub for each part.

    Raises
    ------
    KeyError : one is not on the shelf.
    """
    by_name = {pigment.name: pigment for pigment in shelf}
    return [by_name[name] for name in recipe.names]


def weighed(
    recipe: Recipe, shelf: Sequence[Pigment], batch_g: float, target: Lab, ground: Underlay, step_g: float = SCALES_G
) -> tuple[dict[str, float], Recipe]:
    """Grams of each tub to the nearest step of the scales, and the recipe that they make.

    What rounds to nothing is left out; the recipe's ΔE00 tells what rounding costs.

    Parameters
    ----------
    batch_g : of the whole batch, g.
    target : CIELAB, D50/2 deg.
    ground : what it is printed over.
    step_g : the least the scales show, g.

    Returns
    -------
    Grams by tub, and the recipe of these.
    """
    pigments = pigments_of(recipe, shelf)
    steps = _best_steps(np.array(recipe.shares) * batch_g / step_g, pigments, target, ground)
    made = recipe_of(target, pigments, steps / steps.sum(), ground)
    return {n: round(float(g), 3) for n, g in zip(recipe.names, steps * step_g, strict=True) if g > 0}, made


def _best_steps(exact: Array, pigments: Sequence[Pigment], target: Lab, ground: Underlay) -> Array:
    """Whole steps of the scales of each tub, rounded up or down together so that the colour comes nearest. (tubs,)"""
    ways = np.array(list(product((0, 1), repeat=len(exact)))) + np.floor(exact + 1e-9)
    # The batch stays as large as it was asked for, to a step or so.
    ways = ways[(ways.sum(axis=1) > 0) & (np.abs(ways.sum(axis=1) - exact.sum()) <= 1.5)]
    if not len(ways):
        return np.eye(len(exact))[int(np.argmax(exact))]
    labs = mixture_labs(pigments, ways / ways.sum(axis=1, keepdims=True), ground)
    return np.asarray(ways[int(delta_e00(labs, np.array(target)).argmin())])


@dataclass(frozen=True)
class ThinnedFirst:
    """Inks thinned before they are weighed, a tenth of each in extender; the grams then, and how near they come."""

    names: tuple[str, ...]
    grams: dict[str, float]
    de00: float


THINNED = 10
# What the scales cost is worth a tub more where it is seen, ΔE00, and is made less by so much (chosen by us).
_COSTS, _SAVES = 0.5, 0.2


def thinned_first(
    recipe: Recipe, shelf: Sequence[Pigment], batch_g: float, target: Lab, ground: Underlay, step_g: float = SCALES_G
) -> ThinnedFirst | None:
    """Which inks to thin tenfold before weighing, where rounding costs more than is seen; else None.

    Parameters
    ----------
    batch_g : of the whole batch, g.
    target : CIELAB, D50/2 deg.
    ground : what it is printed over.
    step_g : the least the scales show, g.

    Returns
    -------
    As few of them as come nearly as near as all.
    """
    _, as_it_is = weighed(recipe, shelf, batch_g, target, ground, step_g)
    inks = [n for n, name in enumerate(recipe.names) if name != EXTENDER.name]
    if as_it_is.de00 - recipe.de00 <= _COSTS or EXTENDER.name not in recipe.names:
        return None
    clear, tried = recipe.names.index(EXTENDER.name), []
    for some in (some for count in range(1, len(inks) + 1) for some in combinations(inks, count)):
        pigments, shares = pigments_of(recipe, shelf), np.array(recipe.shares)
        shares[clear] -= (THINNED - 1) * shares[list(some)].sum()
        if shares[clear] < 0:
            continue
        for n in some:
            ink = pigments[n]
            pigments[n] = Pigment(ink.name, ink.absorption / THINNED, ink.scattering / THINNED, ink.k1)
            shares[n] *= THINNED
        steps = _best_steps(shares * batch_g / step_g, pigments, target, ground)
        left = recipe_of(target, pigments, steps / steps.sum(), ground).de00
        grams = {n: round(float(g), 3) for n, g in zip(recipe.names, steps * step_g, strict=True) if g > 0}
        tried.append(ThinnedFirst(tuple(recipe.names[n] for n in some), grams, left))
    best = min((each.de00 for each in tried), default=as_it_is.de00)
    near = [each for each in tried if each.de00 <= min(best + _SAVES / 2, as_it_is.de00 - _SAVES)]
    return min(near, key=lambda each: (len(each.names), each.de00), default=None)


def in_parts(recipe: Recipe, shelf: Sequence[Pigment], target: Lab, ground: Underlay) -> tuple[dict[str, int], Recipe]:
    """Whole parts by the knife tip.

    Parameters
    ----------
    target : CIELAB, D50/2 deg.
    ground : what it is printed over.

    Returns
    -------
    As few parts in all as come within ΔE00 0.5 of the best so parted, and their recipe.
    """
    pigments, shares = pigments_of(recipe, shelf), np.array(recipe.shares)
    tried = []
    for total in range(len(shares), MOST_PARTS + 1):
        parts = np.maximum(np.round(shares * total), 1)
        tried.append((recipe_of(target, pigments, parts / parts.sum(), ground), parts))
    best = min(made.de00 for made, _ in tried)
    made, parts = next(each for each in tried if each[0].de00 <= best + 0.5)
    return {name: int(p) for name, p in zip(recipe.names, parts, strict=True)}, made


@dataclass(frozen=True, eq=False)
class Correction:
    """What to add to a batch, g, and how near it comes then.

    before : ΔE00 of the batch as it is.
    again : it takes more than the batch itself: better mixed anew.
    """

    grams: dict[str, float]
    lab: Lab
    before: float
    de00: float
    again: bool


def correct(
    recipe: Recipe, shelf: Sequence[Pigment], batch_g: float, came_out: Lab, target: Lab, ground: Underlay, *,
    step_g: float = SCALES_G,
) -> Correction:  # fmt: skip
    """The smallest addition that brings a batch nearest to what is wanted.

    Parameters
    ----------
    recipe, batch_g : what was weighed, and how much of it there is.
    came_out : the colour that it shows over the same ground at the same film.
    shelf : everything that can be added, extender and white among it.

    Notes
    -----
    The batch is taken to scatter as the recipe says and to absorb what its
    colour shows. One or two tubs are tried on a lattice of amounts, and up to
    three by least squares with a price on every gram.
    """
    film = mixed(pigments_of(recipe, shelf), recipe.shares)
    measured = smooth_reflectance(np.array(came_out))
    k1 = min(film.k1, surface_term(measured, scattering=float(film.scattering.mean())), float(ground.surface.base))
    internal = np.minimum(to_internal(measured, k1), 0.9999)
    # K of the batch at its own film, for one unit of it.
    scattering = film.scattering * ground.thickness
    absorption = absorption_for(internal, np.minimum(ground.internal, 0.9999), scattering) / ground.thickness
    batch = Pigment("batch", np.maximum(absorption, 0), film.scattering, k1)
    aim = np.array(target)
    before = float(delta_e00(np.array(came_out), aim))
    best: list[tuple[float, float, tuple[Pigment, ...], Array]] = []
    for size in (1, 2):
        for some in combinations(shelf, size):
            amounts = np.array(np.meshgrid(*[_AMOUNTS] * size)).reshape(size, -1).T
            labs = _with(batch, some, amounts, ground)
            distance = delta_e00(labs, aim)
            place = int(distance.argmin())
            near = np.flatnonzero(distance <= distance[place] + _NEARLY)
            small = near[int(amounts[near].sum(axis=1).argmin())]
            best.append((float(distance[small]), float(amounts[small].sum()), some, amounts[small]))
    best.append(_all_at_once(batch, shelf, aim, ground))
    nearest = min(each[0] for each in best)
    _, total, some, amounts = min(
        (each for each in best if each[0] <= nearest + _NEARLY), key=lambda each: (each[1], each[0])
    )
    grams = np.round(amounts * batch_g / step_g) * step_g
    lab = _with(batch, some, (grams / batch_g)[None], ground)[0]
    left = float(delta_e00(lab, aim))
    if left >= before:
        return Correction({}, came_out, before, before, again=False)
    return Correction(
        {p.name: round(float(g), 3) for p, g in zip(some, grams, strict=True) if g > 0},
        as_lab(lab), before, left, again=total > 1.0,
    )  # fmt: skip


def _all_at_once(
    batch: Pigment, shelf: Sequence[Pigment], aim: Array, ground: Underlay
) -> tuple[float, float, tuple[Pigment, ...], Array]:
    """The three tubs that help most, and how much of each: least squares with a price on what is added."""
    from scipy.optimize import least_squares

    def solved(some: Sequence[Pigment]) -> Array:
        def residual(amounts: Array) -> Array:
            return np.concatenate([_with(batch, some, amounts[None], ground)[0] - aim, _PRICE * amounts])

        start = np.full(len(some), 0.01)
        return np.asarray(least_squares(residual, start, bounds=(0, 3), max_nfev=60).x)

    order = np.argsort(-solved(shelf))[:_MOST_ADDED]
    some = tuple(shelf[n] for n in order)
    amounts = solved(some)
    distance = float(delta_e00(_with(batch, some, amounts[None], ground)[0], aim))
    return distance, float(amounts.sum()), some, amounts


def _with(batch: Pigment, some: Sequence[Pigment], amounts: Array, ground: Underlay) -> Array:
    """CIELAB of the batch with amounts of some tubs, as shares of the batch. amounts : (n, tubs)."""
    all_of_it = np.hstack([np.ones((len(amounts), 1)), amounts])
    return mixture_labs([batch, *some], all_of_it / all_of_it.sum(axis=1, keepdims=True), ground)
