"""What kind of picture it is: areas that a hand has laid, or shaded tones of a photograph or painting."""

from dataclasses import dataclass
from hashlib import sha256
from typing import Literal

import numpy as np

from nomos.base.progress import NULL_PROGRESS, Progress
from nomos.design.light import Light
from nomos.design.page import Rgb
from nomos.design.sketch import Sketch, look_at

# A picture is judged at this size whatever it is printed at: so many pixels along the longer side, as if that
# were so many mm. Measured on photographs that packages carry and on simulated sketches, see benchmarks/.
_SIDE_PX, _SIDE_MM = 700, 150.0
_LARGEST = 20
# Between these shares of cores and of the largest stretches a picture goes from tones to areas, and between
# these drifts within a stretch, weighted Lab, from areas to tones.
_CORE, _TOP, _DRIFT = (0.66, 0.78), (0.64, 0.84), (5.0, 7.5)
_LEAST_SOFT = 2
# A drawn line on paper speaks for a sketch, however the colour between is scribbled.
_DRAWN = 0.75
# A margin of coloured paper that also shows between the colours speaks for a drawing on it, though the tooth
# of dark paper scatters a crayon's colour; it stays a doubt.
_ON_PAPER, _LEAST_BARE = 0.45, 0.1


@dataclass(frozen=True)
class Kind:
    """How a picture is to be read, and how much speaks for tones, 0 to 1."""

    read_as: Literal["sketch", "tones"]
    tones: float

    @property
    def between(self) -> bool:
        """Whether it may as well be the other."""
        return 0.3 < self.tones < 0.7


def kind_of(rgb: Rgb, progress: Progress = NULL_PROGRESS, *, light: Light | None = None) -> Kind:
    """Whether a picture is a sketch or shaded tones, judged at a size of its own.

    Parameters
    ----------
    rgb : (height, width, 3) uint8 sRGB.
    light : as it was measured with the margin of the sheet, where there is one.

    Returns
    -------
    Kind; the same for a picture whatever size it is printed at.
    """
    import cv2

    scale = _SIDE_PX / max(rgb.shape[:2])
    size = max(8, round(rgb.shape[1] * scale)), max(8, round(rgb.shape[0] * scale))
    how = cv2.INTER_AREA if scale < 1 else cv2.INTER_NEAREST
    small = np.asarray(cv2.resize(rgb, size, interpolation=how), np.uint8)
    tones = _judged(small, progress)
    if light is not None and light.tinted and light.paper_share >= _LEAST_BARE:
        tones = min(tones, _ON_PAPER)
    return Kind("tones" if tones >= 0.5 else "sketch", round(tones, 3))


_known: dict[bytes, float] = {}
_MOST_KNOWN = 32


def _judged(small: Rgb, progress: Progress) -> float:
    """`_tones_of` a picture at that size; remembered, as it is asked again whenever the print's size changes."""
    key = sha256(small.tobytes() + bytes(str(small.shape), "ascii")).digest()
    if key not in _known:
        tones = _tones_of(look_at(small, _SIDE_PX / _SIDE_MM, progress=progress))
        # Several jobs may judge at once: what another has forgotten already is no fault.
        for old in list(_known)[: 1 - _MOST_KNOWN]:
            _known.pop(old, None)
        _known[key] = tones
    return _known[key]


def _tones_of(sketch: Sketch) -> float:
    """How much speaks for tones: few stretches hold together, or colour drifts far within them."""
    patches = sketch.patches
    core = float(patches.core.sum() / patches.area.sum())
    top = float(np.sort(patches.area)[::-1][:_LARGEST].sum() / patches.area.sum())
    scattered = float(np.interp(core, _CORE, (1, 0)) * np.interp(top, _TOP, (1, 0)))
    if sketch.drawn.lab is not None and sketch.light.paper_share > 0:
        scattered *= _DRAWN
    drifting = float(np.interp(patches.spread, _DRIFT, (0, 1))) if len(patches.soft) >= _LEAST_SOFT else 0.0
    return max(scattered, drifting)
