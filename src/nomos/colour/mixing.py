"""Recipes: which inks of a shelf, in which shares, show a wanted colour."""

from collections.abc import Iterator, Sequence
from dataclasses import dataclass
from functools import cache
from itertools import combinations, product
from math import comb

import numpy as np

from nomos.base.language import tr
from nomos.base.progress import NULL_PROGRESS, Progress
from nomos.colour.cielab import delta_e00, reflectance_to_lab
from nomos.colour.layering import SURFACE_K1, USUAL_KIND, Film, Surface, film_over, to_measured
from nomos.colour.spec import Lab, as_lab
from nomos.colour.spectra import BANDS, Array

MOST_INKS = 3
# Of the starts that a coarse lattice finds best, so many are worked out, by the number of inks in them.
_REFINED = {1: 6, 2: 40, 3: 14}
_COARSE, _APART = 15.0, 0.2
_INK_SHARES = (1.0, 0.7, 0.45, 0.28, 0.16, 0.08, 0.04, 0.015)
_WHITE_SHARES = (0.0, 0.12, 0.35, 0.7)
_RATIOS = {1: 1, 2: 8, 3: 5, 4: 4}
_TRACE = 0.02
# Of more subsets than this not all are tried: each of the best smaller ones is grown by each other ink.
_ALL_TRIED, _EXTENDED = 2_500, 60
# Subsets whose lattices are coloured at once: some megabytes.
_TOGETHER = 16
# Of a share's logarithm, for the slope of the colour by it.
_SLOPE_STEP = 1e-5
# Less of a component than this is left out: it cannot be weighed.
_LEAST_SHARE = 0.002


# A distance, the inks of a subset, and the shares of all its tubs to start from.
_Seed = tuple[float, tuple[int, ...], Array]


@dataclass(frozen=True, eq=False)
class Pigment:
    """A tub that can be mixed from: K and S (36,) of its solid film, surface term, and cost of 100 g."""

    name: str
    absorption: Array
    scattering: Array
    k1: float = SURFACE_K1[USUAL_KIND]
    cost: float = 0.0


EXTENDER = Pigment("Extender", np.zeros(BANDS), np.zeros(BANDS))


@dataclass(frozen=True, eq=False)
class Recipe:
    """Shares of some tubs that add up to 1, what they show, and how they hide.

    hiding : the share of the ground's contrast that the film takes away, 0 clear to 1 opaque.
    """

    names: tuple[str, ...]
    shares: tuple[float, ...]
    lab: Lab
    de00: float
    hiding: float
    cost: float

    @property
    def inks(self) -> int:
        """How many inks are in it, extender and white not counted."""
        return sum(name not in (EXTENDER.name, WHITE_NAME) for name in self.names)


WHITE_NAME = "White"
# Leaving out a trace that cannot be weighed may cost so much, which no eye sees (chosen by us).
TRACE_DE00 = 0.02


_BARE = Surface.bare(SURFACE_K1[USUAL_KIND], ())


@dataclass(frozen=True, eq=False)
class Underlay:
    """What a mixture lies on: internal reflectance (36,), its surface, and the film's thickness in solids."""

    internal: Array
    thickness: float = 1.0
    surface: Surface = _BARE


def mixed(pigments: Sequence[Pigment], shares: Sequence[float] | Array, thickness: float = 1.0) -> Film:
    """The film of a mixture: K and S add by amount.

    References
    ----------
    Duncan (1940).

    Parameters
    ----------
    pigments : what is mixed.
    shares : (n,) by amount.
    thickness : of the film against the usual one.

    Returns
    -------
    The film.
    """
    c = np.asarray(shares, np.float64)
    k = c @ np.array([each.absorption for each in pigments])
    s = c @ np.array([each.scattering for each in pigments])
    return Film(k, s, float(c @ [each.k1 for each in pigments]), thickness)


def mixture_labs(pigments: Sequence[Pigment], shares: Array, ground: Underlay) -> Array:
    """CIELAB of many mixtures over one ground. (n, 3).

    Parameters
    ----------
    pigments : n of them.
    shares : (m, n) by amount.
    ground : (36,) reflectance below.

    Returns
    -------
    (m, 3) CIELAB D50/2 degrees.
    """
    k = shares @ np.array([each.absorption for each in pigments])
    s = shares @ np.array([each.scattering for each in pigments])
    return _labs_of(k, s, shares @ np.array([each.k1 for each in pigments]), ground)


def _labs_of(k: Array, s: Array, k1: Array, ground: Underlay) -> Array:
    seen = ground.surface.under(k1, np.full(len(k1), ground.thickness), s.mean(axis=1)).k1
    return reflectance_to_lab(to_measured(film_over(ground.internal, k, s, ground.thickness), seen[:, None]))


def find_recipes(
    target: Lab, shelf: Sequence[Pigment], ground: Underlay, *, most_inks: int = MOST_INKS,
    white: Pigment | None = None, progress: Progress = NULL_PROGRESS,
) -> tuple[Recipe, ...]:  # fmt: skip
    """Recipes for a wanted colour, the best first, no two of the same tubs.

    Parameters
    ----------
    target : CIELAB D50/2 deg that is to be seen over the ground.
    shelf : inks to choose from, extender and white not among them.
    ground : paper, or paper with what is printed already.
    most_inks : in one recipe, beside extender and white.
    white : an opaque white that may be added; None without.

    Notes
    -----
    Every subset of the shelf is tried on a coarse lattice of shares, of a
    large shelf only those that hold one of the best smaller ones; the best
    are worked out by least squares in CIELAB and then on ΔE00 itself by the
    simplex of Nelder & Mead (1965). Deterministic.

    Raises
    ------
    Cancelled : called off through `progress`.
    """
    extra = [EXTENDER] if white is None else [EXTENDER, white]
    seeds: list[_Seed] = []
    for size in range(1, most_inks + 1):
        subsets = _worth_trying(size, len(shelf), seeds)
        done, left = (size - 1) / most_inks, 1 / most_inks
        for at in range(0, len(subsets), _TOGETHER):
            progress.report(0.6 * (done + left * at / len(subsets)), tr("trying mixtures"))
            seeds += _coarse(target, shelf, subsets[at : at + _TOGETHER], extra, ground)
    # The best of each size are kept: fewer inks may be worth a little.
    seeds.sort(key=lambda seed: seed[0])
    found: dict[tuple[str, ...], Recipe] = {}
    tried = dict.fromkeys(range(1, most_inks + 1), 0)
    nearest = dict.fromkeys(tried, np.inf)
    for place, (distance_there, subset, start) in enumerate(seeds):
        size = len(subset)
        # A start is coarse by a few units: one much further off than what was found leads to nothing better.
        if tried[size] >= _REFINED[min(size, 3)] or distance_there > nearest[size] + _COARSE:
            continue
        tried[size] += 1
        progress.report(0.6 + 0.4 * place / len(seeds), tr("working recipes out"))
        recipe = _worked_out(target, [*(shelf[n] for n in subset), *extra], start, ground)
        nearest[size] = min(nearest[size], recipe.de00)
        if recipe.names not in found or recipe.de00 < found[recipe.names].de00:
            found[recipe.names] = recipe
    return tuple(sorted(found.values(), key=lambda recipe: (round(recipe.de00, 2), recipe.inks)))


def _worth_trying(size: int, inks: int, seeds: list[_Seed]) -> list[tuple[int, ...]]:
    """The subsets of a size to try: all; or of very many the best of one ink less, with each other ink."""
    if size == 1 or comb(inks, size) <= _ALL_TRIED:
        return list(combinations(range(inks), size))
    near = sorted((seed for seed in seeds if len(seed[1]) == size - 1), key=lambda seed: seed[0])
    best = list(dict.fromkeys(subset for _, subset, _ in near))[:_EXTENDED]
    grown = (tuple(sorted((*subset, ink))) for subset in best for ink in range(inks) if ink not in subset)
    return list(dict.fromkeys(grown))


def _coarse(
    target: Lab, shelf: Sequence[Pigment], subsets: list[tuple[int, ...]], extra: Sequence[Pigment], ground: Underlay
) -> list[_Seed]:
    """Where to start with each of some subsets of one size: two places of the lattice."""
    inks = len(subsets[0])
    lattice = _lattice(inks, len(extra))
    parts = [[*(shelf[n] for n in subset), *extra] for subset in subsets]
    k = lattice @ np.array([[each.absorption for each in pigments] for pigments in parts])
    s = lattice @ np.array([[each.scattering for each in pigments] for pigments in parts])
    k1 = np.array([[each.k1 for each in pigments] for pigments in parts]) @ lattice.T
    labs = _labs_of(k.reshape(-1, BANDS), s.reshape(-1, BANDS), k1.ravel(), ground)
    distances = delta_e00(labs, np.array(target)).reshape(len(subsets), len(lattice))
    extender = lattice[:, inks]
    found = []
    for subset, distance in zip(subsets, distances, strict=True):
        # Two starts: the nearest, and the nearest of another depth, where the colour may be met again.
        first = int(distance.argmin())
        other = int(np.where(np.abs(extender - extender[first]) > _APART, distance, np.inf).argmin())
        found += [(float(distance[at]), subset, lattice[at]) for at in dict.fromkeys((first, other))]
    return found


@cache
def _lattice(inks: int, extras: int) -> Array:
    """Coarse shares of some inks, of extender, and of white if there are two extras. (n, inks + extras)."""
    ratios = [np.array(r) / sum(r) for r in _whole_ratios(inks, _RATIOS.get(inks, 3))]
    # A trace of a strong ink can be all that is needed.
    if inks in (2, 3):
        pairs = ((1.0,),) if inks == 2 else ((0.3, 0.7), (0.5, 0.5), (0.7, 0.3))
        rest = [tuple((1 - _TRACE) * each for each in pair) for pair in pairs]
        ratios += [np.array([*pair[:at], _TRACE, *pair[at:]]) for pair in rest for at in range(inks)]
    rows = []
    for ratio, share, white in product(ratios, _INK_SHARES, _WHITE_SHARES if extras > 1 else (0.0,)):
        ink = share * (1 - white)
        rows.append([*(ratio * ink), max(1 - ink - white, 0.0), *([white] if extras > 1 else [])])
    return np.array(rows)


def _whole_ratios(count: int, steps: int) -> Iterator[tuple[int, ...]]:
    """All ways to part `steps` among some inks, each getting at least one."""
    if count == 1:
        yield (max(steps, 1),)
        return
    for first in range(1, steps - count + 2):
        for rest in _whole_ratios(count - 1, steps - first):
            yield (first, *rest)


def _worked_out(target: Lab, pigments: Sequence[Pigment], start: Array, ground: Underlay) -> Recipe:
    from scipy.optimize import least_squares, minimize

    aim = np.array(target)
    k, s = np.array([each.absorption for each in pigments]), np.array([each.scattering for each in pigments])
    k1 = np.array([each.k1 for each in pigments])
    steps = _SLOPE_STEP * np.eye(len(pigments))

    def shares_of(z: Array) -> Array:
        weights = np.exp(z - z.max(axis=-1, keepdims=True))
        return np.asarray(weights / weights.sum(axis=-1, keepdims=True))

    def labs_of(shares: Array) -> Array:
        return _labs_of(shares @ k, shares @ s, shares @ k1, ground)

    def away(z: Array) -> Array:
        return labs_of(shares_of(z[None]))[0] - aim

    def slopes(z: Array) -> Array:
        """By all shares at once: one call for many is as quick as for one."""
        labs = labs_of(shares_of(z + np.vstack([steps, -steps])))
        return np.asarray((labs[: len(z)] - labs[len(z) :]).T / (2 * _SLOPE_STEP))

    def off(z: Array) -> float:
        return float(delta_e00(away(z) + aim, aim))

    def inside(shares: Array) -> Array:
        """Off the edge: a share of nothing has no slope in its logarithm, and would stay nothing."""
        return np.log(np.maximum(shares, 0.02))

    fitted = least_squares(away, inside(start), jac=slopes, max_nfev=25).x
    tried = [start, shares_of(fitted)]
    if off(fitted) > TRACE_DE00:
        # Nearest in CIELAB need not be nearest in ΔE00: on from whichever of the two is.
        nearest = min(inside(start), inside(shares_of(fitted)), key=off)
        tuning = {"maxfev": 160, "xatol": 1e-3, "fatol": 1e-4}
        tried.append(shares_of(minimize(off, nearest, method="Nelder-Mead", options=tuning).x))
    # What cannot be weighed is left out; whether that is as good decides the distance.
    tried = [shares for each in tried for shares in (each, _without_traces(each))]
    distances = [float(each) for each in delta_e00(labs_of(np.array(tried)), aim)]
    least = min(distances)
    best = max(
        (shares for shares, d in zip(tried, distances, strict=True) if d <= least + TRACE_DE00),
        key=lambda shares: int((shares == 0).sum()),
    )
    return recipe_of(target, pigments, best, ground)


def _without_traces(shares: Array) -> Array:
    kept = np.where(shares < _LEAST_SHARE, 0.0, shares)
    return np.asarray(kept / kept.sum())


def recipe_of(target: Lab, pigments: Sequence[Pigment], shares: Array, ground: Underlay) -> Recipe:
    """The recipe of some shares, those of nothing left out."""
    used = [(p, float(c)) for p, c in zip(pigments, shares, strict=True) if c > 0]
    lab = mixture_labs(pigments, np.asarray(shares)[None], ground)[0]
    film = mixed(pigments, shares, ground.thickness)
    over = [film_over(np.full(BANDS, r), film.absorption, film.scattering, film.thickness) for r in (0.8, 0.04)]
    contrast = float((over[0] - over[1]).mean() / 0.76)
    # A deep clear film also takes contrast away; against what it would do without scattering it is none.
    clear = float(np.exp(-2 * film.absorption * film.thickness).mean())
    return Recipe(
        tuple(p.name for p, _ in used), tuple(c for _, c in used),
        as_lab(lab), float(delta_e00(lab, np.array(target))),
        float(np.clip(1 - contrast / max(clear, 1e-6), 0, 1)), sum(p.cost * c for p, c in used),
    )  # fmt: skip


def choices(recipes: Sequence[Recipe], as_weighed: Sequence[float] | None = None) -> dict[str, Recipe]:
    """The best match, the fewest inks, the cheapest and the most transparent of some recipes.


    The last three among those that look nearly as good: within ΔE00 1 of the best, or within 2 of the aim.

    Parameters
    ----------
    recipes : at least one.
    as_weighed : ΔE00 of each as the scales round it; the best match is the best of these.

    Returns
    -------
    A recipe by what it is best at.
    """
    if not recipes:
        return {}
    off = as_weighed if as_weighed is not None else [recipe.de00 for recipe in recipes]
    best = recipes[min(range(len(recipes)), key=lambda n: off[n])]
    good = [r for r in recipes if r.de00 <= max(best.de00 + 1.0, 2.0)]
    return {
        tr("best match"): best,
        tr("fewest inks"): min(good, key=lambda r: (r.inks, r.de00)),
        tr("cheapest"): min(good, key=lambda r: (r.cost, r.de00)),
        tr("most transparent"): min(good, key=lambda r: (round(r.hiding, 2), r.de00)),
    }
