"""A design reduced to a few flat colours that can be cut."""

from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from nomos.colour import Lab, delta_e00, lab_to_hex, lab_to_srgb, srgb_to_lab
from nomos.design.cleaning import Labels, majority, on_a_slope, remove_specks
from nomos.design.palette import (
    FEWEST,
    MOST,
    Suggestion,
    bin_numbers,
    colour_histogram,
    find_palette,
    lookup_table,
    suggest_count,
)
from nomos.design.picture import Picture
from nomos.errors import BadInput
from nomos.progress import NULL_PROGRESS, Part, Progress

SMALLEST_FEATURE_MM = 0.8
_ERROR_SAMPLES = 200_000


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
    mean_de00 : mean CIEDE2000 between the design and the flat colours.
    suggestion : present when the number of colours was left to the program.
    """

    labels: Labels
    colours: tuple[FlatColour, ...]
    mean_de00: float
    size_mm: tuple[float, float]
    suggestion: Suggestion | None = None

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


def flatten(
    picture: Picture,
    colours: int | None,
    *,
    smallest_feature_mm: float = SMALLEST_FEATURE_MM,
    seed: int = 0,
    progress: Progress = NULL_PROGRESS,
) -> FlatDesign:
    """Reduce a design to flat colours with no speck smaller than the smallest feature.

    Parameters
    ----------
    picture : the design at print resolution.
    colours : 2 to 24, or None to let the program suggest the number.
    smallest_feature_mm : a region of less area than a square of this side is
        given to its neighbours; 0 keeps everything.
    seed : the same seed gives the same result.

    Returns
    -------
    FlatDesign; fewer colours than asked for where the design has no more, or
    where one of them occurred in specks only.

    Raises
    ------
    BadInput : a number of colours outside 2 to 24, or a smallest feature below 0 or above 20 mm.
    Cancelled : called off through `progress`.
    """
    if colours is not None and not FEWEST <= colours <= MOST:
        raise BadInput(f"A design can be flattened to {FEWEST} to {MOST} colours, not {colours}.")
    if not 0 <= smallest_feature_mm <= 20:
        raise BadInput(f"The smallest feature must be 0 to 20 mm, not {smallest_feature_mm:g} mm.")
    progress.report(0.0, "counting colours")
    histogram = colour_histogram(picture.rgb)
    suggestion = suggest_count(histogram, seed=seed) if colours is None else None
    count = suggestion.count if suggestion else colours
    assert count is not None
    progress.report(0.15, "choosing colours")
    palette = find_palette(histogram, count, seed=seed)
    progress.report(0.3, "laying colours")
    labels = _labelled(picture.rgb, palette)
    labels = majority(labels, len(palette), progress=Part(progress, 0.35, 0.6))
    smallest_px = smallest_feature_mm * picture.px_per_mm
    slope = on_a_slope(picture.rgb) if smallest_feature_mm > 0 else None
    labels = remove_specks(labels, smallest_px, slope, progress=Part(progress, 0.6, 0.95))
    progress.report(0.95, "measuring")
    return _measured(picture, labels, palette, suggestion)


def suggest(picture: Picture, *, seed: int = 0) -> Suggestion:
    """How many colours a design seems to have, and what each number would lose."""
    return suggest_count(colour_histogram(picture.rgb), seed=seed)


def _labelled(rgb: NDArray[np.uint8], palette: NDArray[np.float64]) -> Labels:
    table = lookup_table(palette)
    labels = np.empty(rgb.shape[:2], np.uint8)
    for top in range(0, len(rgb), 256):
        strip = bin_numbers(rgb[top : top + 256])
        np.take(table, strip, out=labels[top : top + 256], mode="clip")
    return labels


def _measured(
    picture: Picture, labels: Labels, palette: NDArray[np.float64], suggestion: Suggestion | None
) -> FlatDesign:
    import cv2

    pixels = cv2.calcHist([labels], [0], None, [len(palette)], [0, len(palette)]).ravel()
    used = np.flatnonzero(pixels)
    renumber = np.zeros(256, np.uint8)
    renumber[used] = np.arange(len(used))
    labels = cv2.LUT(labels, renumber).astype(np.uint8, copy=False)
    labels.flags.writeable = False
    share = pixels[used] / pixels.sum()
    area = picture.size_mm[0] * picture.size_mm[1]
    colours = tuple(
        FlatColour((float(lab[0]), float(lab[1]), float(lab[2])), float(part * area), float(part * 100))
        for lab, part in zip(palette[used], share, strict=True)
    )
    stride = max(1, int(np.sqrt(labels.size / _ERROR_SAMPLES)))
    source = srgb_to_lab(picture.rgb[::stride, ::stride].reshape(-1, 3))
    flat = palette[used][labels[::stride, ::stride].ravel()]
    mean = float(delta_e00(source, flat).mean())
    return FlatDesign(labels, colours, mean, picture.size_mm, suggestion)
