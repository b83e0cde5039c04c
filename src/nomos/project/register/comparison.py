"""Proofs beside the plan and beside each other: straight and to scale, split, or their difference."""

from collections.abc import Sequence
from typing import Literal

import numpy as np
from numpy.typing import NDArray

from nomos.colour import delta_e00, srgb_to_lab
from nomos.project.model import Project
from nomos.project.register.scan import printed_sheet
from nomos.project.register.system import middle_of, sheet_of
from nomos.project.sheet.masks import CutBlocks
from nomos.registration import Motion
from nomos.registration.scan_sheet import ScanError, find_sheet, taken_out

Picture = NDArray[np.uint8]
Comparison = Literal["one", "other", "split", "difference"]

PX_PER_MM = 5.0
# A difference of this much is shown black; chosen by us.
_BLACK_DE00 = 25.0


def straightened(project: Project, scan: Picture) -> Picture:
    """A scan as the whole sheet at `PX_PER_MM`; one whose edges do not show is the sheet itself."""
    import cv2

    width, height = sheet_of(project)
    size = round(width * PX_PER_MM), round(height * PX_PER_MM)
    try:
        found = find_sheet(scan, (width, height))
    except ScanError:
        return np.asarray(cv2.resize(scan, size, interpolation=cv2.INTER_AREA), np.uint8)
    page = taken_out(scan, found, PX_PER_MM, (0.0, 0.0, width, height))
    return np.asarray(cv2.resize(page, size, interpolation=cv2.INTER_AREA), np.uint8)


def planned(project: Project, blocks: CutBlocks, pulls: int | None = None) -> Picture:
    """The sheet as it is planned after so many pulls (None: all), at `PX_PER_MM`."""
    from msgspec.structs import replace

    if pulls is not None and pulls < len(project.impressions):
        project = replace(project, impressions=project.impressions[: max(pulls, 1)])
    still = [Motion(middle_of(project), (0.0, 0.0), 0.0) for _ in project.impressions]
    return printed_sheet(project, blocks, still, PX_PER_MM)


def compared(one: Picture, other: Picture, how: Comparison, split: float = 0.5) -> Picture:
    """Two sheets of one size as one picture.

    "split" shows the one at the left of the share `split` and the other at its
    right; "difference" is white where they agree and black at ΔE00 25 and more.
    """
    import cv2

    if other.shape != one.shape:
        other = np.asarray(cv2.resize(other, (one.shape[1], one.shape[0])), np.uint8)
    if how == "one":
        return one
    if how == "other":
        return other
    if how == "split":
        at = round(min(max(split, 0.0), 1.0) * one.shape[1])
        made = other.copy()
        made[:, :at] = one[:, :at]
        made[:, max(at - 1, 0) : at + 1] = (47, 62, 134)
        return made
    blurred = [np.asarray(cv2.GaussianBlur(each, (0, 0), 1.0), np.uint8) for each in (one, other)]
    off = delta_e00(srgb_to_lab(blurred[0]), srgb_to_lab(blurred[1]))
    grey = np.clip(255 * (1 - off / _BLACK_DE00), 0, 255).astype(np.uint8)
    return np.repeat(grey[..., None], 3, axis=2)


def mean_apart(one: Picture, other: Picture) -> float:
    """Mean ΔE00 between two sheets of one size, thumbnails of both."""
    import cv2

    small = [
        np.asarray(cv2.resize(each, None, fx=0.2, fy=0.2, interpolation=cv2.INTER_AREA), np.uint8)
        for each in (one, other)
    ]
    return float(delta_e00(srgb_to_lab(small[0]), srgb_to_lab(small[1])).mean())


def colour_drift(apart: Sequence[float]) -> str:
    """What the distances of proofs from the plan, in their order, say of the colour."""
    if len(apart) < 2:
        return ""
    first, last = apart[0], apart[-1]
    if last - first > 1.5:
        return f"The colour moves off the plan, mean ΔE {first:.1f} to {last:.1f}: roll out afresh."
    return f"The colour holds, mean ΔE {first:.1f} to {last:.1f} from the plan."
