"""CIELAB D50/2 degrees, sRGB previews and the CIEDE2000 colour difference.

One white point and one set of matrices serve the whole program: two libraries
that round theirs differently disagree by some hundredths of a Lab unit.
"""

from functools import lru_cache

import numpy as np
from numpy.typing import NDArray

from nomos.colour.spectra import WHITE_XYZ, XYZ_WEIGHTS, Array, reflectance_to_xyz

# CIE 15: f(t) is linear below (6/29)^3.
_DELTA = 6 / 29

# IEC 61966-2-1: linear sRGB to XYZ under D65.
_SRGB_TO_XYZ_D65 = np.array([[0.4124, 0.3576, 0.1805], [0.2126, 0.7152, 0.0722], [0.0193, 0.1192, 0.9505]])
# Lam (1985): the Bradford cone responses.
_BRADFORD = np.array([[0.8951, 0.2664, -0.1614], [-0.7502, 1.7135, 0.0367], [0.0389, -0.0685, 1.0296]])


def _adaptation(source_white: Array, target_white: Array) -> Array:
    scale = (_BRADFORD @ target_white) / (_BRADFORD @ source_white)
    matrix: Array = np.linalg.inv(_BRADFORD) @ np.diag(scale) @ _BRADFORD
    return matrix


SRGB_TO_XYZ: Array = _adaptation(_SRGB_TO_XYZ_D65.sum(axis=1), WHITE_XYZ) @ _SRGB_TO_XYZ_D65
XYZ_TO_SRGB: Array = np.asarray(np.linalg.inv(SRGB_TO_XYZ), np.float64)


def xyz_to_lab(xyz: Array, white: Array = WHITE_XYZ) -> Array:
    """CIELAB of tristimulus values relative to a white, D50 by default. CIE 15.

    Parameters
    ----------
    xyz : (..., 3) relative to the white.
    white : (3,) tristimulus values.

    Returns
    -------
    (..., 3) L*, a*, b*.
    """
    t = np.asarray(xyz) / white
    f = np.where(t > _DELTA**3, np.cbrt(t), t / (3 * _DELTA**2) + 4 / 29)
    x, y, z = f[..., 0], f[..., 1], f[..., 2]
    lab = np.empty_like(f)
    lab[..., 0], lab[..., 1], lab[..., 2] = 116 * y - 16, 500 * (x - y), 200 * (y - z)
    return lab


def lab_to_xyz(lab: Array) -> Array:
    """Tristimulus values of a CIELAB colour.

    Parameters
    ----------
    lab : (..., 3) float64, CIELAB, D50/2 deg.

    Returns
    -------
    (..., 3) X, Y, Z with Y 1 for white.

    References
    ----------
    CIE 15:2004, inverse of the CIELAB formula.
    """
    lightness, a, b = np.moveaxis(np.asarray(lab, dtype=np.float64), -1, 0)
    y = (lightness + 16) / 116
    f = np.stack([y + a / 500, y, y - b / 200], axis=-1)
    return np.where(f > _DELTA, f**3, 3 * _DELTA**2 * (f - 4 / 29)) * WHITE_XYZ


def reflectance_to_lab(reflectance: Array) -> Array:
    """CIELAB of a reflectance.

    Parameters
    ----------
    reflectance : (..., 36) float64, 0 to 1, 380 to 730 nm by 10.

    Returns
    -------
    (..., 3) CIELAB, D50/2 deg.
    """
    return xyz_to_lab(reflectance_to_xyz(reflectance))


# L*, a*, b* of the cube roots of X, Y, Z, but for the constant of L*.
_LAB_OF_ROOTS = np.array([[0.0, 116.0, 0.0], [500.0, -500.0, 0.0], [0.0, 200.0, -200.0]])


def lab_slope(reflectance: Array) -> Array:
    """How CIELAB D50/2 degrees moves with each band of reflectances. (..., 36) to (..., 3, 36).

    Parameters
    ----------
    reflectance : (..., 36), 0 to 1, 380 to 730 nm by 10.

    Returns
    -------
    (..., 3, 36): Lab units per unit of reflectance in a band.
    """
    t = reflectance_to_xyz(reflectance) / WHITE_XYZ
    by_t = np.where(t > _DELTA**3, np.maximum(t, 1e-12) ** (-2 / 3) / 3, 1 / (3 * _DELTA**2))
    by_band = XYZ_WEIGHTS.T * (by_t / WHITE_XYZ)[..., None]
    return np.asarray(_LAB_OF_ROOTS @ by_band)


def srgb_encode(linear: Array) -> Array:
    """sRGB shares of linear ones.

    Parameters
    ----------
    linear : (...,) float64, 0 to 1.

    Returns
    -------
    The same shape, 0 to 1.

    References
    ----------
    IEC 61966-2-1:1999.
    """
    return np.where(linear <= 0.0031308, 12.92 * linear, 1.055 * np.power(np.maximum(linear, 0), 1 / 2.4) - 0.055)


def srgb_decode(encoded: Array) -> Array:
    """Linear shares of sRGB ones.

    Parameters
    ----------
    encoded : (...,) float64, 0 to 1.

    Returns
    -------
    The same shape, 0 to 1.

    References
    ----------
    IEC 61966-2-1:1999.
    """
    return np.where(encoded <= 0.04045, encoded / 12.92, ((encoded + 0.055) / 1.055) ** 2.4)


LINEAR_OF_SRGB = srgb_decode(np.arange(256) / 255)
"""Linear shares of the whole numbers of sRGB. (256,)"""


def lab_to_srgb(lab: Array) -> NDArray[np.uint8]:
    """sRGB preview of a CIELAB colour, white adapted from D50 to D65 (Bradford).

    Parameters
    ----------
    lab : (..., 3) float64, CIELAB D50/2 deg.

    Returns
    -------
    (..., 3) uint8; a colour outside sRGB is clipped channel by channel.

    References
    ----------
    IEC 61966-2-1:1999; Lam (1985).
    """
    linear = lab_to_xyz(lab) @ XYZ_TO_SRGB.T
    return np.rint(255 * np.clip(srgb_encode(linear), 0, 1)).astype(np.uint8)


def srgb_to_lab(srgb: NDArray[np.uint8] | Array) -> Array:
    """CIELAB of sRGB values.

    Parameters
    ----------
    srgb : (..., 3), 0 to 255.

    Returns
    -------
    (..., 3) float64, CIELAB, D50/2 deg, adapted from D65 by Bradford.
    """
    values = np.asarray(srgb)
    # Whole numbers are looked up: a power costs a hundred times as much.
    linear = LINEAR_OF_SRGB[values] if values.dtype == np.uint8 else srgb_decode(values.astype(np.float64) / 255)
    return xyz_to_lab(linear @ SRGB_TO_XYZ.T)


def lab_to_hex(lab: Array) -> str:
    """The sRGB preview of one CIELAB colour.

    Parameters
    ----------
    lab : (3,) float64, CIELAB, D50/2 deg; what sRGB cannot show is clipped.

    Returns
    -------
    #rrggbb.
    """
    return _hex_of(*(float(each) for each in lab))


@lru_cache(maxsize=4096)
def _hex_of(lightness: float, a: float, b: float) -> str:
    """The same: a window asks for its few colours at every change."""
    return "#{:02x}{:02x}{:02x}".format(*lab_to_srgb(np.array([lightness, a, b])))


def labs_to_hex(labs: Array) -> tuple[str, ...]:
    """The sRGB previews of several colours.

    Parameters
    ----------
    labs : (n, 3) CIELAB D50/2 degrees.

    Returns
    -------
    n strings `#rrggbb`; what sRGB has not is clipped.
    """
    return tuple("#{:02x}{:02x}{:02x}".format(*each) for each in lab_to_srgb(np.asarray(labs)).tolist())


_TURN = 2 * np.pi
_COS_6, _SIN_6 = np.cos(np.radians(6)), np.sin(np.radians(6))
_COS_30, _SIN_30 = np.cos(np.radians(30)), np.sin(np.radians(30))
_COS_63, _SIN_63 = np.cos(np.radians(63)), np.sin(np.radians(63))


def delta_e00(first: Array, second: Array) -> Array:
    """CIEDE2000 colour difference with kL = kC = kH = 1.

    Parameters
    ----------
    first, second : (..., 3) float64, CIELAB; they broadcast.

    Returns
    -------
    (...) float64, 0 for equal colours, symmetric.

    References
    ----------
    CIE 142-2001; Sharma, Wu & Dalal (2005), equations 2 to 22.
    """
    one, other = np.asarray(first, dtype=np.float64), np.asarray(second, dtype=np.float64)
    l1, a1, b1 = one[..., 0], one[..., 1], one[..., 2]
    l2, a2, b2 = other[..., 0], other[..., 1], other[..., 2]
    g = 1.5 - 0.5 * _above_greys((np.sqrt(a1 * a1 + b1 * b1) + np.sqrt(a2 * a2 + b2 * b2)) / 2)
    a1, a2 = g * a1, g * a2
    c1, c2 = np.sqrt(a1 * a1 + b1 * b1), np.sqrt(a2 * a2 + b2 * b2)
    h1, h2 = np.arctan2(b1, a1), np.arctan2(b2, a2)
    h1, h2 = h1 + _TURN * (h1 < 0), h2 + _TURN * (h2 < 0)
    grey = c1 * c2 == 0
    turn_h = h2 - h1
    far = np.abs(turn_h) > np.pi
    shorter = np.where(far, turn_h - np.copysign(_TURN, turn_h), turn_h)
    big_dh = 2 * np.sqrt(c1 * c2) * np.sin(np.where(grey, 0, shorter / 2))
    # The mean hue lies half way along the shorter arc; for greys it is the sum.
    h = np.where(grey, h1 + h2, (h1 + h2 + _TURN * far) / 2)
    mean_l, mean_c = (l1 + l2) / 2 - 50, (c1 + c2) / 2
    s_l = 1 + 0.015 * mean_l * mean_l / np.sqrt(20 + mean_l * mean_l)
    s_c, s_h = 1 + 0.045 * mean_c, 1 + 0.015 * mean_c * _of_hue(h)
    from_blue = (np.degrees(h) - 360 * (h >= _TURN) - 275) / 25
    turn = np.radians(30) * np.exp(-from_blue * from_blue)
    r_t = -2 * _above_greys(mean_c) * np.sin(2 * turn)
    dl, dc, dh = (l2 - l1) / s_l, (c2 - c1) / s_c, big_dh / s_h
    return np.sqrt(np.maximum(dl * dl + dc * dc + dh * dh + r_t * dc * dh, 0))


def _above_greys(chroma: Array) -> Array:
    """sqrt(C^7 / (C^7 + 25^7)), the seventh power by products: a power costs ten times as much."""
    squared = chroma * chroma
    c7 = squared * squared * squared * chroma
    return np.sqrt(c7 / (c7 + 25.0**7))


def _of_hue(h: Array) -> Array:
    """T of the mean hue (equation 15), its four cosines from one cosine and one sine."""
    c, s = np.cos(h), np.sin(h)
    c2, s2 = c * c - s * s, 2 * c * s
    c3, s3 = c2 * c - s2 * s, s2 * c + c2 * s
    c4, s4 = c2 * c2 - s2 * s2, 2 * c2 * s2
    return (
        1
        - 0.17 * (c * _COS_30 + s * _SIN_30)
        + 0.24 * c2
        + 0.32 * (c3 * _COS_6 - s3 * _SIN_6)
        - 0.20 * (c4 * _COS_63 + s4 * _SIN_63)
    )
