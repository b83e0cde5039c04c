"""Reflectance spectra, 380 to 730 nm in 10 nm steps, and what the CIE observer makes of them."""

from importlib.resources import files

import numpy as np
from numpy.typing import NDArray

Array = NDArray[np.float64]


def _read_cie_table() -> Array:
    text = files("nomos.colour").joinpath("cie_1931_2deg_d50.csv").read_text("utf-8")
    return np.array([line.split(",") for line in text.splitlines()[1:]], dtype=np.float64)


_TABLE = _read_cie_table()
WAVELENGTHS_NM: Array = _TABLE[:, 0]
BANDS = len(WAVELENGTHS_NM)

# CIE 15: tristimulus weights under D50 for the 2 degree observer, scaled so that
# a perfect white has Y = 1.
XYZ_WEIGHTS: Array = _TABLE[:, 1:4] * _TABLE[:, 4:5] / (_TABLE[:, 2] @ _TABLE[:, 4])
# The 2 degree observer itself, (36, 3).
CIE_OBSERVER: Array = _TABLE[:, 1:4]
WHITE_XYZ: Array = XYZ_WEIGHTS.sum(axis=0)


def reflectance_to_xyz(reflectance: Array) -> Array:
    """Tristimulus values of a reflectance under D50 for the 2 degree observer.

    Parameters
    ----------
    reflectance : (..., 36) float64, 0 to 1, at `WAVELENGTHS_NM`.

    Returns
    -------
    (..., 3) float64, a perfect white having Y = 1.

    References
    ----------
    CIE 15, colorimetry; summation at 10 nm over 380 to 730 nm.
    """
    return reflectance @ XYZ_WEIGHTS
