"""A place of the print seen from close by, on a sheet that is worse there than most."""

from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from nomos.project.model import Project
from nomos.project.register.scan import motion_of_change, printed_sheet
from nomos.project.register.tolerance import plausible_changes, prints_of
from nomos.project.sheet.masks import CutBlocks
from nomos.proof.moved import MovedSheets
from nomos.registration import Rect

# What is seen of it, and how fine; sheets that are drawn, and how many of them show less bare paper there.
SIDE_MM, _PX_PER_MM = 12.0, 10.0
_SHEETS, _BETTER = 40, 0.95


@dataclass(frozen=True, eq=False)
class Magnified:
    """A square of the print, on the sheet that nineteen in twenty are better than there.

    picture : (height, width, 3) uint8. place : the square on the sheet, mm.
    bare_mm2 : paper that shows in it.
    """

    picture: NDArray[np.uint8]
    place: Rect
    bare_mm2: float


def magnify(project: Project, blocks: CutBlocks, place_mm: tuple[float, float]) -> Magnified:
    """The square about a place (mm on the sheet), within the image. Raises ProjectError."""
    place = _square(project.image, place_mm)
    changes = plausible_changes(project, _SHEETS, 0)
    bare = _bare_mm2(project, blocks, place, changes)
    number = int(np.argsort(bare, kind="stable")[int(_BETTER * _SHEETS)])
    fine = min(blocks.px_per_mm, _PX_PER_MM)
    sheet = printed_sheet(project, blocks, [motion_of_change(project, each) for each in changes[number]], fine)
    left, top = round(place.left * fine), round(place.top * fine)
    right, bottom = round(place.right * fine), round(place.bottom * fine)
    return Magnified(np.ascontiguousarray(sheet[top:bottom, left:right]), place, float(bare[number]))


def _square(image: Rect, at: tuple[float, float]) -> Rect:
    side = min(SIDE_MM, image.width, image.height)
    left = min(max(at[0] - side / 2, image.left), image.right - side)
    top = min(max(at[1] - side / 2, image.top), image.bottom - side)
    return Rect(left, top, left + side, top + side)


def _bare_mm2(project: Project, blocks: CutBlocks, place: Rect, changes: NDArray[np.float64]) -> NDArray[np.float64]:
    """Paper that shows in a place and should not, on each sheet. changes : (sheets, pulls, 6)."""
    prints, scale = prints_of(project, blocks), blocks.px_per_mm
    x_mm, y_mm = place.left - project.image.left, place.top - project.image.top
    left, top = round(x_mm * scale), round(y_mm * scale)
    right, bottom = left + round(place.width * scale), top + round(place.height * scale)
    masks = [np.ascontiguousarray(mask[top:bottom, left:right]) for mask in prints.masks]
    wanted = prints.wanted[prints.labels[top:bottom, left:right]]
    # Half a millimetre at the edge: what is moved in from outside is not there.
    rim = round(0.5 * scale)
    wanted[:rim], wanted[-rim:], wanted[:, :rim], wanted[:, -rim:] = False, False, False, False
    a, b, c, d, e, f = np.moveaxis(changes, -1, 0)
    there = np.stack([a + b * x_mm + c * y_mm, b, c, d + e * x_mm + f * y_mm, e, f], axis=-1)
    moved = MovedSheets(masks, there, scale)
    return np.array([((moved.laid(n) == 0) & wanted).sum() for n in range(len(there))]) / scale**2
