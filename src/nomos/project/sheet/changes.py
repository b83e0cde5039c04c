"""Where a pull changes what is printed already."""

import numpy as np

from nomos.colour import delta_e00, reflectance_to_lab
from nomos.project.model import Outline, Project
from nomos.project.model.finding import UNSEEN_DE00
from nomos.project.sheet.laying import LaidSheet, sheet_reflectance
from nomos.separation import outlines

# What outlines are traced on; what is narrower is a trap, and no overprint that is meant.
_PIXELS, _NARROW_MM = 300_000, 1.5


def overprinted(project: Project, laid: LaidSheet, pulls: int) -> tuple[Outline, ...]:
    """Where the last of so many pulls lies on ink and is seen: closed outlines on the sheet, mm.

    None for a key, which is there to cover.
    """
    import cv2

    if not 1 < pulls <= len(project.impressions):
        return ()
    if project.block(project.impressions[pulls - 1].block).is_key:
        return ()
    before, after = (reflectance_to_lab(sheet_reflectance(project, laid, count)) for count in (pulls - 1, pulls))
    earlier = {pull.id for pull in project.impressions[: pulls - 1]}
    inked = laid.map.members[:, [film.pull in earlier for film in laid.films]].any(axis=1)
    changed = inked & (delta_e00(before, after) > UNSEEN_DE00)
    step = max(1, int(np.ceil(np.sqrt(laid.inner.size / _PIXELS))))
    scale = laid.px_per_mm / step
    page = changed[laid.inner[::step, ::step]].astype(np.uint8)
    side = max(1, round(_NARROW_MM * scale))
    wide = cv2.morphologyEx(page, cv2.MORPH_OPEN, np.ones((side, side), np.uint8)).astype(np.uint8)
    left, top = project.image.left, project.image.top
    return tuple(
        tuple((round(float(x) + left, 2), round(float(y) + top, 2)) for x, y in ring[:-1])
        for area in outlines(wide, scale)
        for ring in area
    )
