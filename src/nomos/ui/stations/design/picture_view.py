"""The picture as it was opened, with the corners of what is printed."""

from dataclasses import dataclass
from typing import Literal

import numpy as np
from numpy.typing import NDArray

from nomos.base.language import tr
from nomos.design import WHOLE
from nomos.design.cut import Corners, Found
from nomos.project import Project
from nomos.proof import Pixels, page_of_pixels
from nomos.ui.frame.raster import Page, picture_levels
from nomos.work.open import FirstLook

PictureTool = Literal["corners", "sheet", "length", "bare", "size"]


@dataclass(frozen=True, eq=False)
class PictureContent:
    """What the picture view shows.

    levels : the picture and its halves, 0xffRRGGBB.
    corners : of what is printed; sheet : of the sheet, if it was found. Shares of width and height.
    bare : polygons that stay bare. asked : outlines of what may not belong to the drawing.
    coarse : a first look at the fields, beside the picture while it is being read.
    note : what is going on.
    size_mm : of the print.
    """

    levels: tuple[Pixels, ...]
    corners: Corners
    sheet: Corners | None = None
    bare: tuple[tuple[tuple[float, float], ...], ...] = ()
    asked: tuple[tuple[tuple[float, float], ...], ...] = ()
    coarse: Pixels | None = None
    note: str = ""
    size_mm: tuple[float, float] = (100.0, 100.0)


def picture_content(project: Project, pixels: NDArray[np.uint8], found: Found | None) -> PictureContent:
    """The picture of a project with what is printed of it, and what may not belong to it."""
    cut = project.source.cut if project.source else None
    size = (project.image.width, project.image.height)
    if cut is None:
        return PictureContent(picture_levels(Page(pixels)), WHOLE, size_mm=size)
    asked = tuple(each.outline for each in found.foreign if each.outline not in cut.bare) if found else ()
    return PictureContent(picture_levels(Page(pixels)), cut.corners, cut.sheet, cut.bare, asked, size_mm=size)


def first_content(first: FirstLook) -> PictureContent:
    """A picture that is being read: what was found in it, and coarse fields as soon as there are some."""
    coarse = None if first.coarse is None else page_of_pixels(first.coarse)
    note = (
        tr("A first, coarse look; the fields follow.") if coarse is not None else tr("The sheet and the drawing on it.")
    )
    return PictureContent(
        picture_levels(Page(first.pixels)), first.cut.corners, first.cut.sheet, coarse=coarse, note=note
    )
