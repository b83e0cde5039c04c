"""Proofs beside the plan and beside each other: straight and to scale, split, or their difference."""

from collections.abc import Sequence
from dataclasses import dataclass
from typing import Literal

import numpy as np
from numpy.typing import NDArray

from nomos.base.language import tr
from nomos.base.units import counted, lengths_text, listed, number
from nomos.colour import delta_e00, srgb_to_lab
from nomos.design.corners import SURE, fills, find_sheet
from nomos.project.model import Project
from nomos.project.register.scan import printed_sheet, still
from nomos.project.register.system import sheet_of
from nomos.project.sheet.masks import CutBlocks
from nomos.registration.warp import Warp, taken_out

Picture = NDArray[np.uint8]
Comparison = Literal["one", "other", "split", "difference"]

PX_PER_MM = 5.0
# A difference of this much is shown black; chosen by us.
_BLACK_DE00 = 25.0
# A mark is darker than the plan by so much, and so large; edges are where the plan changes by so much, and
# what lies this much further off than sheets may be out is none of theirs. Chosen by us, no source.
_MARK_L, _LEAST_MARK_MM2, _EDGE_LEVEL, _EDGE_MM, _MOST_MARKS = 5.0, 0.25, 12.0, 0.4, 200


def straightened(project: Project, scan: Picture) -> Picture:
    """A scan as the whole sheet at `PX_PER_MM`; one whose edges do not show is the sheet itself."""
    import cv2

    width, height = sheet_of(project)
    size = round(width * PX_PER_MM), round(height * PX_PER_MM)
    found = None if fills(scan) else find_sheet(scan)
    if found is None or found.sure < SURE:
        return np.asarray(cv2.resize(scan, size, interpolation=cv2.INTER_AREA), np.uint8)
    warp = Warp.flat(found.corners, (width, height), (scan.shape[1], scan.shape[0]))
    page, _ = taken_out(scan.astype(np.float32), warp, PX_PER_MM, (0.0, 0.0, width, height))
    return np.asarray(np.rint(page), np.uint8)


def planned(project: Project, blocks: CutBlocks, pulls: int | None = None) -> Picture:
    """The sheet as it is planned after so many pulls (None: all), at `PX_PER_MM`."""
    from msgspec.structs import replace

    if pulls is not None and pulls < len(project.impressions):
        project = replace(project, impressions=project.impressions[: max(pulls, 1)])
    return printed_sheet(project, blocks, still(project), PX_PER_MM)


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
        return tr(
            "The colour moves off the plan, mean ΔE {first:.1f} to {last:.1f}: roll out afresh.", first=first, last=last
        )
    return tr("The colour holds, mean ΔE {first:.1f} to {last:.1f} from the plan.", first=first, last=last)


@dataclass(frozen=True)
class StrayMark:
    """Ink where the plan has none, away from every edge: something left standing on a block.

    place_mm : its middle on the sheet. ink : of the pull whose ink it looks like.
    """

    place_mm: tuple[float, float]
    area_mm2: float
    ink: str


def stray_marks(project: Project, plan: Picture, proof: Picture) -> tuple[StrayMark, ...]:
    """Marks on a proof that are still to be cut away, the largest first.

    Parameters
    ----------
    plan, proof : the whole sheet at `PX_PER_MM`, (height, width, 3) uint8.

    Notes
    -----
    Darker than planned by more than paper and scanner stray, at least a quarter of
    a square millimetre, and further from the plan's own edges than sheets may lie
    out: what lies there is the register's.
    """
    import cv2

    if proof.shape != plan.shape:
        proof = np.asarray(cv2.resize(proof, (plan.shape[1], plan.shape[0])), np.uint8)
    smooth = [srgb_to_lab(np.asarray(cv2.GaussianBlur(each, (0, 0), 1.0), np.uint8)) for each in (plan, proof)]
    # A sheet paler or darker on the whole has no marks for that.
    drop = smooth[0][..., 0] - smooth[1][..., 0]
    drop -= np.median(drop)
    far = round((project.tolerance_mm + _EDGE_MM) * PX_PER_MM)
    grey = plan.mean(axis=2).astype(np.float32)
    edges = (np.abs(cv2.Laplacian(grey, cv2.CV_32F, ksize=3)) > _EDGE_LEVEL).astype(np.uint8)
    near = cv2.dilate(edges, cv2.getStructuringElement(cv2.MORPH_ELLIPSE, (2 * far + 1, 2 * far + 1)))
    marks = ((drop > _MARK_L) & (near == 0)).astype(np.uint8)
    count, parts, _, centres = cv2.connectedComponentsWithStats(marks, connectivity=8)
    found = []
    for n in range(1, count):
        own = parts == n
        # Its edge is blurred: each pixel counts by how dark it is.
        area = float(drop[own].sum() / drop[own].max()) / PX_PER_MM**2
        if area < _LEAST_MARK_MM2:
            continue
        ink = _looks_like(project, smooth[1][own].mean(axis=0))
        place = float(centres[n][0]) / PX_PER_MM, float(centres[n][1]) / PX_PER_MM
        found.append(StrayMark(place, area, ink))
    return tuple(sorted(found, key=lambda mark: -mark.area_mm2))[:_MOST_MARKS]


def _looks_like(project: Project, lab: NDArray[np.float64]) -> str:
    """The name of the ink nearest in hue and lightness: a mark prints thinly, so chroma counts little."""
    inks = {project.ink(pull.main.ink).id: project.ink(pull.main.ink) for pull in project.impressions}
    paper = np.array(project.paper.lab)
    way = lab - paper
    return max(inks.values(), key=lambda ink: _alike(way, np.array(ink.lab) - paper)).name


def _alike(one: NDArray[np.float64], other: NDArray[np.float64]) -> float:
    """The cosine between two ways from the paper's colour."""
    return float(one @ other / (np.linalg.norm(one) * np.linalg.norm(other) + 1e-9))


def marks_text(marks: Sequence[StrayMark]) -> str:
    """Stray marks in a sentence: how many, and where the largest lie."""
    if not marks:
        return tr("No stray marks: nothing is left to cut away.")
    said = [
        tr(
            "{area_mm2} mm² at {lengths_text}, by its colour on {ink}",
            area_mm2=number(mark.area_mm2), lengths_text=lengths_text(*mark.place_mm, 0), ink=mark.ink,
        )
        for mark in marks
    ]  # fmt: skip
    return tr(
        "{marks} to cut away: {said}.",
        marks=counted(len(marks), tr("stray mark"), tr("stray marks")),
        said=listed(said),
    )
