"""Films printed over each other: every combination, in one order or in many, on dry ink and on wet."""

from collections.abc import Collection, Iterator, Sequence
from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from nomos.colour.layering import Film, Ground, Surface, film_over, partly_covered, to_measured
from nomos.colour.spectra import BANDS, Array


def all_combinations(count: int) -> NDArray[np.bool_]:
    """Every combination of `count` films: (2**count, count); bit i of the row number is column i.

    Parameters
    ----------
    count : films, in print order.

    Returns
    -------
    (2**count, count) bool.
    """
    rows = np.arange(1 << count)[:, None]
    return (rows >> np.arange(count)) & 1 == 1


@dataclass(frozen=True)
class OnWet:
    """A film laid while others are wet: their places among the films, and the share that takes there."""

    wet: tuple[int, ...]
    share: float


# Internal reflectance (36,) of a stack of films on its paper, and the surface that is seen.
Stack = tuple[Array, Surface]


def laid_on(ground: Ground, films: Sequence[Film]) -> Stack:
    """What films in print order leave for the next.

    Parameters
    ----------
    ground : the paper.
    films : the first printed first.

    Returns
    -------
    Internal reflectance (36,), 0 to 1, and the surface that is seen.
    """
    stack: Stack = ground.internal, Surface.bare(ground.k1, ())
    for film in films:
        stack = _with_film(stack, film, np.asarray(film.thickness))
    return stack


def _with_film(below: Stack, film: Film, thickness: Array) -> Stack:
    """A film of some thicknesses (n,) on as many stacks; its K, S, k1 and cover may be of n films."""
    internal, surface = below
    laid = film_over(internal, film.absorption, film.scattering, thickness[..., None])
    covers = np.asarray(film.cover).min() >= 1
    internal = laid if covers else partly_covered(internal, laid, film.cover)
    return internal, surface.under(film.k1, thickness, film.scattering.mean(axis=-1))


def measured_under(below: Stack, film: Film) -> Array:
    """Measured reflectance (36,) of a film laid on what others leave for it (`laid_on`).

    Parameters
    ----------
    below : (36,) inside reflectance under the film.
    film : what is laid on.

    Returns
    -------
    (36,) measured reflectance, 0 to 1.
    """
    internal, surface = _with_film(below, film, np.asarray(film.thickness))
    return to_measured(internal, float(surface.k1))


def overprints(
    ground: Ground, films: Sequence[Film], rows: NDArray[np.bool_] | None = None,
    on_wet: Sequence[OnWet | None] | None = None,
) -> Array:  # fmt: skip
    """Measured reflectance of combinations of films, laid in print order.

    Parameters
    ----------
    ground : the paper.
    films : N films, first printed first.
    rows : (n, N) bool, which films each combination holds; None takes all 2**N
        in the order of `all_combinations`.
    on_wet : for each film what it is laid on while wet; None where all below is dry.

    Returns
    -------
    (n, 36) float64.

    Notes
    -----
    The surface that is seen is that of `Surface`.
    """
    if rows is None:
        rows = all_combinations(len(films))
    *_, (internal, k1) = _printed_in_turn(ground, films, rows, on_wet)
    return to_measured(internal, k1)


def overprints_in_turn(
    ground: Ground, films: Sequence[Film], rows: NDArray[np.bool_], on_wet: Sequence[OnWet | None],
    after: Collection[int],
) -> Iterator[Array]:  # fmt: skip
    """What `overprints` gives after each of these numbers of films, in print order. (n, 36) each."""
    for count, (internal, k1) in enumerate(_printed_in_turn(ground, films, rows, on_wet)):
        if count in after:
            yield to_measured(internal, k1)


def _printed_in_turn(
    ground: Ground, films: Sequence[Film], rows: NDArray[np.bool_], on_wet: Sequence[OnWet | None] | None
) -> Iterator[tuple[Array, Array]]:
    """Internal reflectance and the surface that is seen, before every film and after the last."""
    internal = np.repeat(ground.internal[None, :], len(rows), axis=0)
    seen = Surface.bare(ground.k1, (len(rows),))
    wets: Sequence[OnWet | None] = on_wet if on_wet is not None else [None] * len(films)
    yield internal, seen.k1[:, None]
    for film, printed, wet in zip(films, rows.T, wets, strict=True):
        thickness = np.full(int(printed.sum()), film.thickness)
        if wet is not None:
            thickness[rows[printed][:, list(wet.wet)].any(axis=1)] *= wet.share
        below = internal[printed], Surface(*(part[printed] for part in seen))
        internal[printed], covered = _with_film(below, film, thickness)
        for part, new in zip(seen, covered, strict=True):
            part[printed] = new
        yield internal, seen.k1[:, None]


def overprints_of_stacks(ground: Ground, films: Sequence[Film], stacks: NDArray[np.int_], shares: Array) -> Array:
    """Measured reflectance of stacks of films, each in an order of its own.

    Parameters
    ----------
    ground : the paper.
    films : of which the stacks are made.
    stacks : (n, depth) numbers of films, the first printed first.
    shares : (n, depth) how much of each film takes, 0 to 1; 1 on dry ink.

    Returns
    -------
    (n, 36) float64, as `overprints` gives for the same films in the same order.
    """
    below: Stack = (
        np.repeat(ground.internal[None], len(stacks), axis=0), Surface.bare(ground.k1, (len(stacks),))
    )  # fmt: skip
    absorption, scattering = (
        np.array([each.absorption for each in films]).reshape(-1, BANDS),
        np.array([each.scattering for each in films]).reshape(-1, BANDS),
    )
    k1, cover, thickness = (np.array([getattr(each, name) for each in films]) for name in ("k1", "cover", "thickness"))
    for numbers, share in zip(stacks.T, shares.T, strict=True):
        film = Film(absorption[numbers], scattering[numbers], k1[numbers], 1.0, cover[numbers][:, None])
        below = _with_film(below, film, thickness[numbers] * share)
    return to_measured(below[0], below[1].k1[:, None])
