"""Plausible sheets: how the print comes out within the budget, nine at a time or one at full size."""

import numpy as np
from numpy.typing import NDArray

from nomos.base.language import tr
from nomos.base.progress import NULL_PROGRESS, Progress
from nomos.project.model import Project
from nomos.project.register.scan import motion_of_change, printed_sheet
from nomos.project.register.system import sheet_of
from nomos.project.register.tolerance import plausible_changes
from nomos.project.sheet.masks import CutBlocks, coarse

# Sheets across and down; how fine the whole picture is, and how fine each sheet is drawn before it is
# averaged into its place, so that thin gaps are not lost.
ACROSS, _PX_PER_MM, _DRAWN_PX_PER_MM = 3, 6.0, 6.0
_GROUND = 185
_GAP_PX = 6
# One sheet is drawn so fine, that a gap of a tenth of a millimetre is seen from close by.
_FINE_PX_PER_MM = 10.0
# Sheets to leaf through one by one.
DOZEN = 12
# Blocks are thinned to so many pixels for nine.
_PIXELS = 1_500_000


def plausible_grid(
    project: Project, blocks: CutBlocks, seed: int = 0, *, progress: Progress = NULL_PROGRESS
) -> NDArray[np.uint8]:
    """Nine sheets drawn from the budget in one picture of its shape. Raises ProjectError, Cancelled."""
    import cv2

    width, height = sheet_of(project)
    size = round(width * _PX_PER_MM), round(height * _PX_PER_MM)
    tile = (size[0] - _GAP_PX * (ACROSS - 1)) // ACROSS, (size[1] - _GAP_PX * (ACROSS - 1)) // ACROSS
    page = np.full((size[1], size[0], 3), _GROUND, np.uint8)
    small = coarse(blocks, _PIXELS)
    for place, changes in enumerate(plausible_changes(project, ACROSS**2, seed)):
        progress.report(place / ACROSS**2, tr("printing plausible sheets"))
        motions = [motion_of_change(project, change) for change in changes]
        sheet = printed_sheet(project, small, motions, _DRAWN_PX_PER_MM, texture=seed * ACROSS**2 + place)
        left, top = (place % ACROSS) * (tile[0] + _GAP_PX), (place // ACROSS) * (tile[1] + _GAP_PX)
        page[top : top + tile[1], left : left + tile[0]] = cv2.resize(sheet, tile, interpolation=cv2.INTER_AREA)
    return page


def plausible_sheet(project: Project, blocks: CutBlocks, number: int) -> NDArray[np.uint8]:
    """One of a dozen sheets drawn from the budget, at full size. (height, width, 3). Raises ProjectError."""
    changes = plausible_changes(project, DOZEN, 0)[number % DOZEN]
    motions = [motion_of_change(project, change) for change in changes]
    fine = min(blocks.px_per_mm, _FINE_PX_PER_MM)
    return printed_sheet(project, blocks, motions, fine, texture=number)
