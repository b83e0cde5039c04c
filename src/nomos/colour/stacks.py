"""Very many stacks of films at once: what a search over inks and orders computes with."""

from collections.abc import Sequence
from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from nomos.colour.cielab import reflectance_to_lab
from nomos.colour.layering import Film, Ground, Surface, partly_covered, to_measured
from nomos.colour.spectra import BANDS, Array


@dataclass(frozen=True, eq=False)
class FilmTable:
    """Films ready to be laid: each is R' = (u S + p R) / (q - u S R), all (films, 36).

    The finite film of Kubelka & Munk is a fraction linear in the ground's
    reflectance; u, S, p, q depend on the film alone (see `film_over`). k1,
    thickness, mean S : (films,); cover : of the paper they all lie on.
    """

    us: Array
    p: Array
    q: Array
    k1: Array
    thickness: Array
    scattering: Array
    cover: float

    @classmethod
    def of(cls, films: Sequence[Film]) -> "FilmTable":
        """The table of some films, in their order."""
        k = np.array([film.absorption for film in films]).reshape(-1, BANDS)
        s = np.array([film.scattering for film in films]).reshape(-1, BANDS)
        x = np.array([film.thickness for film in films])[:, None]
        g = np.sqrt(k * (k + 2 * s))
        u = np.where(g * x > 1e-6, np.tanh(g * x) / np.where(g > 0, g, 1), x)
        k1 = np.array([film.k1 for film in films])
        cover = min((film.cover for film in films), default=1.0)
        return cls(u * s, 1 - u * (k + s), 1 + u * (k + s), k1, x[:, 0], s.mean(axis=1), cover)


def stack_labs(ground: Ground, table: FilmTable, sequences: NDArray[np.intp]) -> Array:
    """CIELAB of every combination of every sequence of films.

    Parameters
    ----------
    ground : the paper.
    table : the films to choose from.
    sequences : (n, layers) rows of the table in print order.

    Returns
    -------
    (n, 2**layers, 3) float64, CIELAB D50/2 deg; bit i of the combination is layer i.

    Notes
    -----
    The same figures as `overprints`, which lays one sequence; here each layer
    doubles the combinations of all sequences together.
    """
    count, layers = sequences.shape
    internal = np.empty((count, 1 << layers, BANDS))
    internal[:, 0] = ground.internal
    seen = Surface.bare(ground.k1, (count, 1))
    for layer in range(layers):
        have = 1 << layer
        film = sequences[:, layer]
        below = internal[:, :have]
        us = table.us[film][:, None]
        laid = internal[:, have : 2 * have]
        np.multiply(below, table.p[film][:, None], out=laid)
        laid += us
        laid /= table.q[film][:, None] - us * below
        if table.cover < 1:
            laid[:] = partly_covered(below, laid, table.cover)
        k1, thickness, scattering = (each[film][:, None] for each in (table.k1, table.thickness, table.scattering))
        covered = seen.under(k1, thickness, scattering)
        seen = Surface(*(np.hstack(pair) for pair in zip(seen, covered, strict=True)))
    return reflectance_to_lab(to_measured(internal, seen.k1[..., None]))
