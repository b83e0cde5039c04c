"""A print in other lights, in other eyes, and in grey."""

from importlib.resources import files
from typing import Literal, get_args

import numpy as np

from nomos.base.language import tr
from nomos.colour.cielab import XYZ_TO_SRGB, delta_e00, lab_to_xyz, srgb_encode, srgb_to_lab, xyz_to_lab
from nomos.colour.spectra import CIE_OBSERVER, Array

Light = Literal["D50", "D65", "A", "LED-B1"]
LIGHTS: tuple[Light, ...] = get_args(Light)
LIGHT_NAMES: dict[Light, str] = {
    "D50": tr("viewing booth, D50"),
    "D65": tr("north daylight, D65"),
    "A": tr("filament lamp, A"),
    "LED-B1": tr("warm LED, 2700 K"),
}
Eyes = Literal["normal", "protan", "deutan", "tritan", "grey"]

# Two fields this near in the booth count as one colour, and part when they differ by more than
# the second figure elsewhere (the first chosen by us; the second is asked for).
MATCHING_DE00, PARTED_DE00 = 2.0, 3.0


def _powers() -> dict[Light, Array]:
    text = files("nomos.colour").joinpath("cie_lights.csv").read_text("utf-8")
    lines = text.splitlines()
    table = np.array([line.split(",") for line in lines[1:]], dtype=np.float64)
    names = lines[0].split(",")
    return {light: table[:, names.index(light)] for light in LIGHTS}


def _weights(light: Light) -> tuple[Array, Array]:
    weighted = CIE_OBSERVER * _powers()[light][:, None]
    weights = weighted / weighted[:, 1].sum()
    return weights, weights.sum(axis=0)


_WEIGHTS = {light: _weights(light) for light in LIGHTS}


def lab_under(reflectance: Array, light: Light) -> Array:
    """CIELAB of a reflectance under a light, relative to a perfect white in that light.

    Parameters
    ----------
    reflectance : (..., 36) float64.

    Returns
    -------
    (..., 3) float64, 2 degree observer.

    References
    ----------
    CIE 15; LED-B1 is of CIE 15:2018.
    """
    weights, white = _WEIGHTS[light]
    return xyz_to_lab(reflectance @ weights, white)


def parting_pairs(reflectance: Array, light: Light) -> list[tuple[int, int, float]]:
    """Pairs that look alike in the booth and differ in another light.

    Parameters
    ----------
    reflectance : (n, 36) float64, 0 to 1.

    Returns
    -------
    Their places, and ΔE00 in that light.
    """
    booth, there = lab_under(reflectance, "D50"), lab_under(reflectance, light)
    one, other = np.triu_indices(len(reflectance), 1)
    alike = delta_e00(booth[one], booth[other]) <= MATCHING_DE00
    one, other = one[alike], other[alike]
    apart = delta_e00(there[one], there[other])
    return [(int(a), int(b), float(de00)) for a, b, de00 in zip(one, other, apart, strict=True) if de00 > PARTED_DE00]


# Machado, Oliveira & Fernandes (2009), full severity, on linear sRGB; as carried by colour-science.
_MACHADO: dict[Eyes, Array] = {
    "protan": np.array(
        [[0.152286, 1.052583, -0.204868], [0.114503, 0.786281, 0.099216], [-0.003882, -0.048116, 1.051998]]
    ),
    "deutan": np.array(
        [[0.367322, 0.860646, -0.227968], [0.280085, 0.672501, 0.047413], [-0.01182, 0.04294, 0.968881]]
    ),
    "tritan": np.array(
        [[1.255528, -0.076749, -0.178779], [-0.078411, 0.930809, 0.147602], [0.004733, 0.691367, 0.3039]]
    ),
}


def seen_by(lab: Array, eyes: Eyes) -> Array:
    """What a colour looks like to other eyes, or in grey, as CIELAB D50/2 deg.

    References
    ----------
    Machado, Oliveira & Fernandes (2009), protan, deutan and tritan at full severity; grey keeps L*.

    Parameters
    ----------
    lab : (..., 3) CIELAB D50/2 degrees.
    eyes : whose.

    Returns
    -------
    (..., 3) CIELAB of what they see.
    """
    lab = np.asarray(lab, np.float64)
    if eyes == "normal":
        return lab
    if eyes == "grey":
        return np.concatenate([lab[..., :1], np.zeros_like(lab[..., 1:])], axis=-1)
    linear = np.clip(lab_to_xyz(lab) @ XYZ_TO_SRGB.T, 0, 1) @ _MACHADO[eyes].T
    return srgb_to_lab(255 * srgb_encode(np.clip(linear, 0, 1)))
