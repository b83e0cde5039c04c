"""Colours read from a picture of a proof, a chart or a drawdown card, balanced to its paper."""

from collections.abc import Iterator
from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from nomos.base.language import tr
from nomos.colour import Lab, as_lab, delta_e00, srgb_to_lab
from nomos.colour.cielab import XYZ_TO_SRGB, lab_to_xyz, srgb_decode, srgb_encode
from nomos.colour.spectra import Array

Picture = NDArray[np.uint8]

# A pixel this bright in all channels has lost its colour; more than this share of a patch is glare, a
# corner of it this far from another is uneven (chosen by us, no source).
_CLIPPED, _GLARE_SHARE, _UNEVEN_DE00 = 254, 0.01, 2.5
_BLACK, _LEAST = 0.5, 1e-4


@dataclass(frozen=True, eq=False)
class Balance:
    """How a scanner's channels become real ones: linear gain and exponent of each."""

    gain: Array
    gamma: Array

    def lab(self, rgb: Array) -> Array:
        """CIELAB D50/2 deg of scanned values 0 to 255. (..., 3) to (..., 3)."""
        linear = np.maximum(srgb_decode(np.asarray(rgb, np.float64) / 255), _LEAST / 100)
        real = (self.gain * linear) ** self.gamma
        return srgb_to_lab(255 * srgb_encode(np.clip(real, 0, 1.2)))


def balanced(paper_rgb: Array, paper: Lab, grey_rgb: Array | None = None, grey: Lab | None = None) -> Balance:
    """The balance that gives the paper its own colour, and a grey patch too if there is one.

    Parameters
    ----------
    paper_rgb, grey_rgb : (3,) as scanned, 0 to 255.
    paper, grey : what they are, CIELAB D50/2 deg.
    """
    scanned, real = _linear(paper_rgb), _real(paper)
    if grey_rgb is None or grey is None:
        return Balance(real / scanned, np.ones(3))
    dark, real_dark = _linear(grey_rgb), _real(grey)
    gamma = np.clip(np.log(real / real_dark) / np.log(scanned / dark), 0.4, 2.5)
    return Balance(real ** (1 / gamma) / scanned, gamma)


def _linear(rgb: Array) -> Array:
    return np.maximum(srgb_decode(np.asarray(rgb, np.float64) / 255), _LEAST)


def _real(lab: Lab) -> Array:
    return np.maximum(lab_to_xyz(np.array(lab)) @ XYZ_TO_SRGB.T, _LEAST)


@dataclass(frozen=True)
class PatchReading:
    """A patch: its mean colour, the mean ΔE00 of its pixels to it, and what is wrong with it."""

    lab: Lab
    spread: float
    warnings: tuple[str, ...] = ()


def read_patch(picture: Picture, window: tuple[int, int, int, int], balance: Balance) -> PatchReading:
    """The colour of a window of a picture.

    Parameters
    ----------
    picture : (height, width, 3) uint8 sRGB.
    window : left, top, right, bottom in pixels, not empty.
    balance : what makes the bare paper and a grey card come out right.

    Returns
    -------
    CIELAB, D50/2 deg, and its spread.
    """
    left, top, right, bottom = window
    patch = picture[top:bottom, left:right].reshape(-1, 3)
    mean = patch.astype(np.float64).mean(axis=0)
    # Colours are averaged as light, not as numbers on a screen.
    linear = srgb_decode(patch.astype(np.float64) / 255).mean(axis=0)
    lab = balance.lab(255 * srgb_encode(linear))
    step = max(1, len(patch) // 4000)
    spread = float(delta_e00(balance.lab(patch[::step].astype(np.float64)), lab).mean())
    warnings = []
    clipped = np.asarray((patch >= _CLIPPED).all(axis=1)).mean()
    if clipped > _GLARE_SHARE and mean.min() < 250:
        warnings.append(tr("glare: part of it is blown out; turn the light or the card"))
    middle_y, middle_x = (top + bottom) // 2, (left + right) // 2
    corners = [
        balance.lab(picture[rows, columns].reshape(-1, 3).mean(axis=0))
        for rows in (slice(top, middle_y), slice(middle_y, bottom))
        for columns in (slice(left, middle_x), slice(middle_x, right))
        if picture[rows, columns].size
    ]
    if corners and max(float(delta_e00(one, other)) for one in corners for other in corners) > _UNEVEN_DE00:
        warnings.append(tr("uneven: its corners differ; light it from both sides, or draw the ink down anew"))
    return PatchReading(as_lab(lab), spread, tuple(warnings))


def insides(labels: NDArray[np.uint8], count: int, inset_px: float) -> Iterator[NDArray[np.bool_]]:
    """Where each flat colour lies away from its borders, one page after the other."""
    import cv2

    for number in range(count):
        own = (labels == number).astype(np.uint8)
        yield cv2.distanceTransform(np.pad(own, 1), cv2.DIST_L2, cv2.DIST_MASK_3)[1:-1, 1:-1] > inset_px


def mean_colour(picture: Picture, inside: NDArray[np.bool_]) -> Array:
    """Mean linear colour of some pixels of a scan. (3,) scanned values 0 to 255."""
    linear = srgb_decode(np.arange(256) / 255)
    return np.asarray(255 * srgb_encode(linear[picture[inside]].mean(axis=0)))
