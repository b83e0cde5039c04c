"""Films of ink laid over each other: Kubelka-Munk with Saunderson's surface term.

Inside the film there are two diffuse fluxes and no surface; what an instrument
or an eye sees has gone through the surface twice. `internal` and `measured`
name the two sides throughout.
"""

from collections.abc import Sequence
from dataclasses import dataclass
from functools import lru_cache
from typing import Literal, NamedTuple, get_args

import numpy as np

from nomos.base.language import tr
from nomos.colour.recovery import smooth_reflectance
from nomos.colour.spectra import XYZ_WEIGHTS, Array

# Counts on whenever the same inks on the same paper come out as other colours than before, with what is
# said of it to whoever opens a print of before.
COLOUR_MODEL = 3
CHANGES = {
    2: tr("Since then paper without a coating gives back more light at its surface, and black less."),
    3: tr("Since then an ink known by its colour is taken for the likeliest pigment of that colour, and inks that "
          "cover keep their hue when they are thinned."),
}  # fmt: skip

PaperKind = Literal["coated", "smooth", "absorbent", "newsprint"]
PAPER_KINDS: tuple[PaperKind, ...] = get_args(PaperKind)
# Saunderson (1942): the most that a surface gives back before light enters it. A gloss film of refractive
# index about 1.5 gives 0.04 (Fresnel: ((n - 1) / (n + 1))^2). On paper without a coating ink lies among
# fibres, and part of the light comes back from them unchanged: with 0.1 the published sets of uncoated
# paper and newsprint come out a third to a half nearer (docs/method.md, "How near"); between them, chosen
# by us, paper that is calendered or sized hard.
SURFACE_K1: dict[PaperKind, float] = {"coated": 0.04, "smooth": 0.07, "absorbent": 0.1, "newsprint": 0.1}
# Printmakers' papers are not coated.
USUAL_KIND: PaperKind = "absorbent"
SURFACE_K2 = 0.6
# An ink darker than that has a smaller surface term, or it could not exist: a share of its darkest band.
# Of a clear film nearly all that is left there is surface. A film that scatters gives light back from its
# inside in every band; were that taken for surface, its K would seem to grow many times from band to band
# and a tint of it would change its hue (held against other physics: docs/method.md, "Tints").
_CLEAR_SHARE, _CLOUDY_SHARE, _CLOUDY_S = 0.85, 0.05, 0.08
# And a share of its whole reflectance. It decides for blacks: were nearly all that a black gives back its
# surface, a colour printed over it would not be seen. On rough paper more of it is (published black pairs
# on uncoated paper 7.5 and 10.5 against 3.4 and 5.3), on newsprint, which drinks the ink, less.
_LIGHT_SHARE: dict[PaperKind, float] = {"coated": 0.5, "smooth": 0.65, "absorbent": 0.8, "newsprint": 0.5}


def to_internal(measured: Array, k1: float | Array) -> Array:
    """Reflectance inside the film from the measured one. Saunderson (1942), inverted.

    Parameters
    ----------
    measured : reflectance with the surface, 0 to 1, any shape.
    k1 : share that the surface itself gives back.

    Returns
    -------
    Reflectance inside the film, the same shape.
    """
    m = np.asarray(measured)
    return (m - k1) / ((1 - k1) * (1 - SURFACE_K2) + SURFACE_K2 * (m - k1))


def to_measured(internal: Array, k1: float | Array) -> Array:
    """Measured reflectance from the one inside the film.

    R = k1 + (1 - k1)(1 - k2) Ri / (1 - k2 Ri); arrays broadcast.

    Parameters
    ----------
    internal : (..., 36) float64, 0 to 1.
    k1 : surface term, a share or an array that broadcasts.

    Returns
    -------
    R = k1 + (1 - k1)(1 - k2) Ri / (1 - k2 Ri), the broadcast shape.

    References
    ----------
    Saunderson (1942).
    """
    return k1 + (1 - k1) * (1 - SURFACE_K2) * internal / (1 - SURFACE_K2 * internal)


def film_over(ground: Array, absorption: Array, scattering: Array, thickness: float | Array = 1.0) -> Array:
    """Internal reflectance of one film on a ground.

    Parameters
    ----------
    ground : (..., 36) float64, internal reflectance below the film, 0 to 1.
    absorption, scattering : (..., 36) float64, K and S for one unit of film, at least 0.
    thickness : film thickness X in units of the solid's film.

    Returns
    -------
    (..., 36) float64.

    Notes
    -----
    The published form R = (1 - Rg(a - b coth bSX)) / (a - Rg + b coth bSX) is
    divided out here with g = bS = sqrt(K^2 + 2KS) and u = tanh(gX) / g, which
    has no singularity: S = 0 gives Rg exp(-2KX), K = 0 gives the white film.

    References
    ----------
    Kubelka & Munk (1931); Kubelka (1948).
    """
    k, s = absorption, scattering
    g = np.sqrt(k * (k + 2 * s))
    gx = g * thickness
    u = np.where(gx > 1e-6, np.tanh(gx) / np.where(g > 0, g, 1), thickness)
    # Of a film as good as black rounding leaves a little less than nothing.
    return np.maximum((ground + u * (s - ground * (k + s))) / (1 + u * (k + s - ground * s)), 0.0)


# How far light spreads under the paper's surface between covered and open places: 1 not at all, 2 far
# (Yule & Nielsen 1951; 2 is usual for uncoated paper, from memory).
YULE_NIELSEN_N = 2.0


def partly_covered(open_: Array, covered: Array, cover: float | Array, n: float = YULE_NIELSEN_N) -> Array:
    """Reflectance of a surface of which a share is covered by a film.

    Parameters
    ----------
    open_, covered : (..., 36) internal reflectance of both parts.
    cover : share that is covered, 0 to 1.
    n : Yule and Nielsen's factor.

    References
    ----------
    Neugebauer (1937), Yule & Nielsen (1951): R = (sum a_i R_i^(1/n))^n.
    """
    return ((1 - cover) * open_ ** (1 / n) + cover * covered ** (1 / n)) ** n


def without_open(reflectance: Array, open_: Array, cover: float, n: float = YULE_NIELSEN_N) -> Array:
    """What the covered places reflect, from the whole surface: `partly_covered` inverted, at least 0."""
    if cover >= 1:
        return reflectance
    root = (reflectance ** (1 / n) - (1 - cover) * open_ ** (1 / n)) / cover
    return np.asarray(np.maximum(root, 0) ** n)


@dataclass(frozen=True, eq=False)
class Ground:
    """Bare paper.

    internal : (36,) reflectance below its surface.
    k1 : its surface term.
    kind : what paper it is, which bounds the surface term of the inks on it.
    cover : share of it that a solid covers; rough paper stays open in places.
    """

    internal: Array
    k1: float
    kind: PaperKind = USUAL_KIND
    cover: float = 1.0

    @classmethod
    def from_lab(cls, lab: Sequence[float], kind: PaperKind = USUAL_KIND, cover: float = 1.0) -> "Ground":
        """Paper of the given CIELAB colour. Raises ColourError where no paper can have it."""
        reflectance = smooth_reflectance(np.asarray(lab, dtype=np.float64))
        k1 = surface_term(reflectance, kind)
        return cls(to_internal(reflectance, k1), k1, kind, cover)

    @classmethod
    def from_reflectance(
        cls, reflectance: Sequence[float], kind: PaperKind = USUAL_KIND, cover: float = 1.0
    ) -> "Ground":
        """Paper of a measured reflectance, 36 values above 0."""
        measured = np.asarray(reflectance, np.float64)
        k1 = surface_term(measured, kind)
        return cls(to_internal(measured, k1).clip(1e-4, 0.9999), k1, kind, cover)


class Stock(NamedTuple):
    """A paper by what is known of it, to be compared and remembered; `ground` is what it does to light."""

    lab: tuple[float, float, float]
    reflectance: tuple[float, ...] | None = None
    kind: PaperKind = USUAL_KIND
    cover: float = 1.0

    @property
    def ground(self) -> Ground:
        """The paper as a ground for films. Raises ColourError where no paper can be so."""
        return _ground(self)


@lru_cache(maxsize=64)
def _ground(stock: Stock) -> Ground:
    """Asked for each film of each print on the paper, and the same for all of them."""
    if stock.reflectance is not None:
        return Ground.from_reflectance(stock.reflectance, stock.kind, stock.cover)
    return Ground.from_lab(stock.lab, stock.kind, stock.cover)


class KnownFilm(NamedTuple):
    """A solid film that is known, to be compared and remembered: K, S by band, and k1."""

    absorption: tuple[float, ...]
    scattering: tuple[float, ...]
    k1: float

    @classmethod
    def of(cls, film: "Film") -> "KnownFilm":
        """What is known of a film, at the thickness of a solid."""
        return cls(tuple(film.absorption.tolist()), tuple(film.scattering.tolist()), film.k1)

    def film(self, thickness: float = 1.0, cover: float = 1.0) -> "Film":
        """The film laid so thick, on paper of which it covers so much."""
        return Film(np.array(self.absorption), np.array(self.scattering), self.k1, thickness, cover)


@dataclass(frozen=True, eq=False)
class Film:
    """One ink film: K and S (36,) for the solid, surface term k1, thickness in solids.

    Extender thins K and S alike, so a strength of 0.5 is half the film.
    cover : share of the surface that it covers; rough paper and grain stay open in places.
    """

    absorption: Array
    scattering: Array
    k1: float
    thickness: float = 1.0
    cover: float = 1.0


def as_solid(film: Film) -> Film:
    """The same film as a solid: its thickness counted into K and S.

    Parameters
    ----------
    film : of any thickness.

    Returns
    -------
    Thickness 1, K and S times the old one.
    """
    return Film(film.absorption * film.thickness, film.scattering * film.thickness, film.k1, 1.0, film.cover)


def darkest_share(scattering: float | Array) -> Array:
    """The share of a solid's darkest band that is surface, by its mean S; the shape of that."""
    return np.asarray(_CLOUDY_SHARE + (_CLEAR_SHARE - _CLOUDY_SHARE) * np.exp(-np.asarray(scattering) / _CLOUDY_S))


def surface_term(measured: Array, kind: PaperKind = USUAL_KIND, scattering: float = 0.0) -> float:
    """The surface term k1 of a solid or a paper: that of the kind of paper, or less where it is darker.

    Parameters
    ----------
    measured : (36,) reflectance, 0 to 1.
    kind : of the paper.
    scattering : mean S of the solid.

    Returns
    -------
    k1, 0 to 1.
    """
    darkest, light = float(np.min(measured)), float(measured @ XYZ_WEIGHTS[:, 1])
    return min(SURFACE_K1[kind], float(darkest_share(scattering)) * darkest, _LIGHT_SHARE[kind] * light)


def film_surface(bare: Array, ground: Ground, dark: Array) -> tuple[Array, Array]:
    """`surface_term` of films of which is known what they give back without a surface.

    Parameters
    ----------
    bare : (n, 36) reflectance with k1 = 0, on the paper.
    ground : the paper.
    dark : (n,) the share of the darkest band, `darkest_share`.

    Returns
    -------
    k1 (n,), and its slope by each band of `bare` (n, 36).
    """
    light = _LIGHT_SHARE[ground.kind]
    each, place = np.arange(len(bare)), bare.argmin(axis=1)
    lowest, mean = bare[each, place], bare @ XYZ_WEIGHTS[:, 1]
    # The share of the whole that is the surface's: k1 = share (k1 + R (1 - k1)).
    by_dark, by_light = 1 - dark * (1 - lowest), 1 - light * (1 - mean)
    terms = np.array([dark * lowest / by_dark, light * mean / by_light, np.full(len(bare), ground.k1)])
    decides = terms.argmin(axis=0)
    slope = np.where(decides == 1, light * (1 - light) / by_light**2, 0.0)[:, None] * XYZ_WEIGHTS[:, 1]
    slope[each, place] += np.where(decides == 0, dark * (1 - dark) / by_dark**2, 0.0)
    return terms.min(axis=0), slope


def surface_on(ground: Ground, absorption: Array, scattering: Array) -> float:
    """The surface term that a solid read on a card is taken to have on a paper.

    The surface is the paper's, not the card's, but a film smooths it: three quarters of
    what the kind of paper gives (from memory), or what a dark ink leaves room for.

    Parameters
    ----------
    absorption, scattering : (36,) of the solid, a film.

    Returns
    -------
    The share k1, no unit.
    """
    bare = to_measured(film_over(ground.internal, absorption, scattering), 0.0)
    # Its darkest band says nothing here: K and S were read on a card.
    share, light = _LIGHT_SHARE[ground.kind], float(bare @ XYZ_WEIGHTS[:, 1])
    return min(0.75 * SURFACE_K1[ground.kind], share * light / (1 - share * (1 - light)), ground.k1)


class Surface(NamedTuple):
    """The surface term of a stack of films, as it grows; arrays of any one shape.

    A film lowers the term of what it lies on towards its own, by its share of a
    solid, and two thin films together as far as one thick. Of several inks the
    darkest decides, wherever it lies: so transparent inks look the same in any
    order, and none makes a black lighter. What scatters hides the surfaces below
    it as it hides the rest, and shows its own.
    """

    base: Array
    lowered: Array
    most: Array

    @classmethod
    def bare(cls, k1: float | Array, shape: tuple[int, ...]) -> "Surface":
        """Of bare paper, or of whatever has the surface term k1."""
        return cls(np.full(shape, k1, np.float64), np.zeros(shape), np.zeros(shape))

    def under(self, k1: float | Array, thickness: Array, scattering: float | Array) -> "Surface":
        """With a film on top: its own term, its thickness in solids, and its mean S."""
        share = np.minimum(1.0, thickness)
        clear = 1 - share * (1 - 1 / (1 + scattering * thickness))
        base = self.base + (1 - clear) * (k1 - self.base)
        deep = np.maximum(base - k1, 0)
        return Surface(base, clear * self.lowered + share * deep, np.maximum(clear * self.most, deep))

    @property
    def k1(self) -> Array:
        """The term that is seen."""
        return np.asarray(self.base - np.minimum(self.lowered, self.most))
