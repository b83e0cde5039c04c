"""Inks that explain a printed chart of their overlaps: all spectra refined together."""

from collections.abc import Sequence
from dataclasses import dataclass, replace

import numpy as np
from numpy.typing import NDArray

from nomos.colour.cielab import delta_e00, lab_slope, reflectance_to_lab
from nomos.colour.layering import Film, Ground
from nomos.colour.overprinting import OnWet, overprints
from nomos.colour.spectra import BANDS, Array

# How near a patch has to come: one ink alone is read directly, over another it also holds what the
# layers leave out. CIELAB; reflectance for a reading by bands. Chosen by us.
_ALONE, _TOGETHER = 0.05, 1.0
_BAND_ALONE, _BAND_TOGETHER = 0.003, 0.01
# How far ln K may go from what was there, and how smoothly: one standard deviation (chosen by us).
_FREE, _BEND = 0.6, 0.12
# Likewise ln k1, and of ln (S + a little): a clear ink may turn out to scatter after all.
_SURFACE, _SCATTER, _A_LITTLE = 0.8, 0.7, 0.02
_ROUNDS = 8
_MOST_STEP = 0.7


@dataclass(frozen=True, eq=False)
class Learned:
    """Films that explain a chart, and how far its patches were off before and are after, (n,) ΔE00."""

    films: tuple[Film, ...]
    before: Array
    after: Array


def learn_overlaps(
    ground: Ground, films: Sequence[Film], rows: NDArray[np.bool_], read: Array, *, inks: Sequence[int] | None = None,
    on_wet: Sequence[OnWet | None] | None = None,
) -> Learned:  # fmt: skip
    """Refine all inks so that a chart's solids and overlaps come out.

    Parameters
    ----------
    ground : the paper of the chart.
    films : in print order, at the thickness they were printed.
    rows : (n, films) which of them each patch holds.
    read : (n, 3) CIELAB of the patches, or (n, 36) their reflectance.
    inks : the ink of each film, from 0; None where each film is an ink of its own.
    on_wet : as for `overprints`.

    Notes
    -----
    Gauss-Newton on ln K by band, and one factor each for S and k1, with a prior to
    what was there before and to smooth changes: a chart holds far fewer figures than
    the spectra do. In a band the reflectance depends on the inks' K there alone, so
    one shifted evaluation per ink gives all of its derivatives by K. A trapping share
    of its own for each pair explains the pairs better and what was not printed worse.
    """
    spectral = read.shape[1] == BANDS
    alone = rows.sum(axis=1) <= 1
    sigma = np.where(alone, *((_BAND_ALONE, _BAND_TOGETHER) if spectral else (_ALONE, _TOGETHER)))
    bend = np.diff(np.eye(BANDS), 2, axis=0) / _BEND
    of_ink = np.arange(len(films)) if inks is None else np.asarray(inks)
    count = int(of_ink.max()) + 1
    held = np.block(
        [
            [np.vstack([bend, np.eye(BANDS) / _FREE]), np.zeros((2 * BANDS - 2, 2))],
            [np.zeros((2, BANDS)), np.diag([1 / _SCATTER, 1 / _SURFACE])],
        ]
    )
    prior = np.kron(np.eye(count), held)

    def printed(change: Array) -> Array:
        return overprints(ground, _changed(films, change[of_ink]), rows, on_wet)

    def shown(reflectance: Array) -> Array:
        return reflectance if spectral else reflectance_to_lab(reflectance)

    change = np.zeros((count, BANDS + 2))
    for _ in range(_ROUNDS):
        now = printed(change)
        slope = np.zeros((len(rows), read.shape[1], count, BANDS + 2))
        by_lab = np.eye(BANDS)[None] if spectral else np.array([lab_slope(each) for each in now])
        for ink in range(count):
            for part in (slice(0, BANDS), slice(BANDS, BANDS + 1), slice(BANDS + 1, BANDS + 2)):
                shifted = change.copy()
                shifted[ink, part] += 1e-4
                by_band = by_lab * ((printed(shifted) - now) / 1e-4)[:, None]
                slope[:, :, ink, part] = by_band if part.stop == BANDS else by_band.sum(axis=2, keepdims=True)
        weighted = slope.reshape(len(rows), read.shape[1], -1) / sigma[:, None, None]
        left = ((read - shown(now)) / sigma[:, None]).ravel()
        matrix = np.vstack([weighted.reshape(-1, change.size), prior])
        target = np.concatenate([left, -prior @ change.ravel()])
        step = np.linalg.lstsq(matrix, target, rcond=None)[0].reshape(change.shape)
        change = change + np.clip(step, -_MOST_STEP, _MOST_STEP)
        if np.abs(step).max() < 1e-4:
            break
    aim = reflectance_to_lab(read) if spectral else read
    return Learned(
        tuple(_changed(films, change[of_ink])),
        delta_e00(reflectance_to_lab(printed(np.zeros_like(change))), aim),
        delta_e00(reflectance_to_lab(printed(change)), aim),
    )


def _changed(films: Sequence[Film], change: Array) -> list[Film]:
    return [
        replace(
            film,
            absorption=film.absorption * np.exp(each[:BANDS]),
            scattering=np.maximum((film.scattering + _A_LITTLE) * np.exp(each[BANDS]) - _A_LITTLE, 0),
            k1=film.k1 * float(np.exp(each[BANDS + 1])),
        )
        for film, each in zip(films, change, strict=True)
    ]
