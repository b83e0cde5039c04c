"""A flat design: its colours, where each lies, and how it was read."""

from dataclasses import dataclass, field
from typing import Literal

import numpy as np
from numpy.typing import NDArray

from nomos.colour import Lab, lab_to_hex, lab_to_srgb
from nomos.design.cleaning import Labels
from nomos.design.gradients import Gradient
from nomos.design.page import Mask
from nomos.design.palette import Suggestion

# How a design is read: a clean digital drawing's colours as they are, a hand's sketch by its line and
# patches, a photograph's shaded tones by the least error.
ReadAs = Literal["drawing", "sketch", "tones"]


@dataclass(frozen=True)
class FlatColour:
    """One colour of the flat design, with what it covers."""

    lab: Lab
    area_mm2: float
    area_pct: float

    @property
    def hex(self) -> str:
        """The sRGB preview as #rrggbb."""
        return lab_to_hex(np.array(self.lab))


@dataclass(frozen=True, eq=False)
class FlatDesign:
    """The result of flattening.

    labels : (height, width) uint8, read-only; the number of the colour at each pixel.
    colours : light to dark; labels count through them.
    mean_de00 : mean CIEDE2000 between the design, evened out, and the flat colours.
    suggestion : the number the program would take, and why.
    read_as : how the design was read.
    line, paper : the numbers of the drawn line and of bare paper, where they were recognised.
    unsure : (height, width) where the evidence is thin; None where there is no doubt to speak of.
    notes : what could not be kept of earlier corrections, and what is wrong with the light.
    gradients : colours that together run evenly from dark to light, and how: they could be inked as one.
    """

    labels: Labels
    colours: tuple[FlatColour, ...]
    mean_de00: float
    size_mm: tuple[float, float]
    suggestion: Suggestion | None = None
    read_as: ReadAs = "drawing"
    line: int | None = None
    paper: int | None = None
    unsure: Mask | None = None
    notes: tuple[str, ...] = field(default=())
    gradients: tuple[tuple[tuple[int, ...], Gradient], ...] = ()

    @property
    def px_per_mm(self) -> float:
        """Resolution of the labels."""
        return float(self.labels.shape[1] / self.size_mm[0])

    def to_rgb(self) -> NDArray[np.uint8]:
        """The flat design as (height, width, 3) uint8 sRGB."""
        import cv2

        table = np.zeros((256, 3), np.uint8)
        table[: len(self.colours)] = lab_to_srgb(np.array([colour.lab for colour in self.colours]))
        # A channel at a time: indexing the table with the page takes three times as long.
        channels = [cv2.LUT(self.labels, np.ascontiguousarray(table[:, c])) for c in range(3)]
        return np.asarray(cv2.merge(channels), np.uint8)
