"""Two looks of one sheet: what the other one is, and where and by how much they differ."""

from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from nomos.base.language import tr
from nomos.base.units import number
from nomos.colour import delta_e00, srgb_to_lab
from nomos.project import Project, Proof, sheet_labs
from nomos.project.sheet.laying import LaidSheet
from nomos.proof import to_rgb
from nomos.registration import Rect
from nomos.ui.frame.raster import Page, Raster, picture_levels

# Differences are looked for at this many pixels a mm; below the first figure nothing is seen side by side,
# from the second on the map is as dark as it gets (chosen by us, no source).
_PX_PER_MM = 4.0
SEEN_DE00, _FULL_DE00 = 2.0, 15.0
_PALE, _DARK = np.array([247.0, 246.0, 242.0]), np.array([150.0, 24.0, 32.0])


@dataclass(frozen=True, eq=False)
class Beside:
    """Another look of the sheet, laid beside the one that is shown.

    raster : its pixels. map : where both differ, pale to dark. text : by how much, in a sentence.
    """

    title: str
    raster: Raster
    map: Raster
    text: str


def print_raster(project: Project, laid: LaidSheet) -> Raster:
    """The finished print of a project laid on a sheet."""
    pad = laid.pad_px / laid.px_per_mm
    image = project.image
    return Raster(laid.levels, sheet_labs(project, laid), laid.px_per_mm, image.left - pad, image.top - pad)


def laid_beside(title: str, proof: Proof, other: Raster) -> Beside:
    """Another look beside the finished print of a proof."""
    project = proof.project
    one, two = (_looked_at(each, project.image) for each in (print_raster(project, proof.laid), other))
    off = delta_e00(srgb_to_lab(one), srgb_to_lab(two))
    share = np.clip((off - SEEN_DE00) / (_FULL_DE00 - SEEN_DE00), 0, 1)[..., None]
    seen = np.where(off[..., None] > SEEN_DE00, 0.25 + 0.75 * share, 0.0)
    shaded = np.round(_PALE + seen * (_DARK - _PALE)).astype(np.uint8)
    where = Raster(picture_levels(Page(shaded)), None, _PX_PER_MM, project.image.left, project.image.top)
    return Beside(title, other, where, _said(off))


def _looked_at(raster: Raster, image: Rect) -> NDArray[np.uint8]:
    """The image's part of a raster at the map's own size, (height, width, 3) uint8."""
    size = max(1, round(image.width * _PX_PER_MM)), max(1, round(image.height * _PX_PER_MM))
    height, width = raster.levels[0].shape
    left, top = ((image.left - raster.left_mm), (image.top - raster.top_mm))
    window = (
        max(left * raster.px_per_mm, 0.0),
        max(top * raster.px_per_mm, 0.0),
        min((left + image.width) * raster.px_per_mm, float(width)),
        min((top + image.height) * raster.px_per_mm, float(height)),
    )
    return to_rgb(raster.view(window, size))


def _said(off: NDArray[np.float64]) -> str:
    visible = float((off > SEEN_DE00).mean())
    if visible < 0.0005:
        return tr("No difference is seen.")
    mean, worst = float(off.mean()), float(np.quantile(off, 0.99))
    return tr(
        "Seen on {visible} % of the image: mean ΔE {mean}, {worst} in the worst hundredth.",
        visible=number(100 * visible, 1), mean=number(mean), worst=number(worst, 0),
    )  # fmt: skip
