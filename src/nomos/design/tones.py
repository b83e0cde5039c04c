"""Shaded tones, of a photograph or a painting, as the few colours that stand for them best."""

import numpy as np
from numpy.typing import NDArray

from nomos.base.language import tr
from nomos.base.progress import NULL_PROGRESS, Part, Progress
from nomos.design.cleaning import Labels, majority, on_a_slope, remove_specks
from nomos.design.drawing import lay_nearest
from nomos.design.page import Rgb, lab_page
from nomos.design.palette import Suggestion, colour_histogram, find_palette, suggest_count
from nomos.design.picture import Picture


def lay_tones(
    picture: Picture, requested: int | None, smallest_mm: float, seed: int, *, shaded: bool,
    progress: Progress = NULL_PROGRESS,
) -> tuple[Labels, NDArray[np.float64], Suggestion | None]:  # fmt: skip
    """Numbers of the colours by pixel, the colours, (n, 3) CIELAB, and how many were suggested.

    Parameters
    ----------
    requested : how many colours; None takes as many as are worth it.
    smallest_mm : areas smaller than a square of this side go to what is around them.
    shaded : a photograph or painting, where every place counts; in a clean drawing that is read as tones,
        mixtures along edges hardly do.
    """
    histogram = colour_histogram(picture.rgb, shaded=shaded)
    suggestion = suggest_count(histogram, seed=seed, shaded=shaded) if requested is None else None
    count = suggestion.count if suggestion else requested
    assert count is not None
    progress.report(0.2, tr("choosing colours"))
    palette = find_palette(histogram, count, seed=seed)
    progress.report(0.4, tr("laying colours"))
    labels = lay_nearest(picture.rgb, palette)
    labels = majority(labels, len(palette), progress=Part(progress, 0.5, 0.7))
    slope = on_a_slope(picture.rgb) if smallest_mm > 0 else None
    smallest_px = smallest_mm * picture.px_per_mm
    labels = remove_specks(labels, smallest_px, slope, progress=Part(progress, 0.7, 1.0))
    if shaded:
        palette = _means(picture.rgb, labels, palette)
    return labels, palette, suggestion


def _means(rgb: Rgb, labels: Labels, palette: NDArray[np.float64]) -> NDArray[np.float64]:
    """The mean colour of each field as it has become, so that what was joined to it counts."""
    lab, count = lab_page(rgb), len(palette)
    flat, area = labels.ravel(), np.bincount(labels.ravel(), minlength=count)
    sums = np.stack([np.bincount(flat, lab[..., c].ravel(), count) for c in range(3)], axis=-1)
    return np.where(area[:, None] > 0, sums / np.maximum(area[:, None], 1), palette)
