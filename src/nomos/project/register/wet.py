"""The texture of ink that goes onto wet ink: it takes unevenly, in small patches.

That wet ink on wet ink gives texture is common practice, no source; how wide its patches are and how far they
part is chosen by us. The mean is the trapping that colours are reckoned with.
"""

import numpy as np
from numpy.typing import NDArray

from nomos.base.strips import strips
from nomos.project.inks.films import trapping_at
from nomos.project.model import Project

# How wide a patch is, mm; and the furthest from the mean, in its own scatter.
_PATCH_MM, _FURTHEST = 0.8, 2.5

Floats32 = NDArray[np.float32]


def goes_on_wet_ink(project: Project) -> bool:
    """Whether any pull does."""
    return any(project.goes_on_wet(place) for place in range(len(project.impressions)))


def patches(shape: tuple[int, int], px_per_mm: float, seed: int) -> Floats32:
    """Where ink takes better and worse than on the mean, its usual scatter being 1. (height, width)."""
    import cv2

    chance = np.random.default_rng(seed)
    cells = tuple(max(2, round(side / (px_per_mm * _PATCH_MM))) for side in shape)
    coarse = chance.standard_normal(cells).astype(np.float32)
    page = np.asarray(cv2.resize(coarse, shape[::-1], interpolation=cv2.INTER_CUBIC), np.float32)
    page -= page.mean()
    page /= max(float(page.std()), 1e-6)
    return np.clip(page, -_FURTHEST, _FURTHEST)


def mottled(
    project: Project, sets: NDArray[np.int32], table: NDArray[np.float64], uneven: Floats32
) -> NDArray[np.uint8]:
    """A sheet whose ink on wet ink is patchy.

    Parameters
    ----------
    sets : (height, width), the pulls that lie at each pixel, a bit each in print order.
    table : (2 ** pulls, 3) the colour of every set, 0 to 255.
    uneven : (height, width) from `patches`.

    Notes
    -----
    As much as does not take on the mean is what it varies by.
    """
    picture = np.empty((*sets.shape, 3), np.uint8)
    for rows in strips(sets.shape):
        own = sets[rows]
        rgb = table[own]
        for place in range(len(project.impressions)):
            takes = trapping_at(project, place)
            if takes is None:
                continue
            first = 0 if project.sheet_by_sheet else place - 1
            below = sum(1 << earlier for earlier in range(first, place))
            y, x = np.nonzero((own >> place & 1 > 0) & (own & below > 0))
            without = table[own[y, x] & ~(1 << place)]
            share = 1 + (1 - takes) * uneven[rows][y, x]
            rgb[y, x] = without + (rgb[y, x] - without) * share[:, None]
        picture[rows] = np.clip(np.rint(rgb), 0, 255)
    return picture
