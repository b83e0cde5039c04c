"""How a pull can be inked: how far its ink may stray unseen, and whether its inks keep apart."""

from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from nomos.base.language import tr
from nomos.base.progress import NULL_PROGRESS, Progress
from nomos.base.units import length_text, number
from nomos.edition.inking_tools import INKING_TOOLS
from nomos.project.check.cutting import free_page
from nomos.project.model import Impression, Outline, Project, Zone
from nomos.project.model.finding import Finding
from nomos.project.sheet.laying import LaidSheet, impressions_to_lay, lay_sheet, zone_places
from nomos.project.sheet.masks import CutBlocks, coarse
from nomos.separation import outlines

# Pages of this many pixels answer within a third of a millimetre on a sheet of A4, in a blink.
_PIXELS = 500_000
# Less than a finger's breadth of freedom is not worth saying (chosen by us, no source).
WORTH_MM = 2.0
# So narrow a part of the edge may be tighter than what is said (chosen by us, no source).
_TIGHT_SHARE = 0.5


@dataclass(frozen=True)
class Stray:
    """How far the ink of a pull may stray past where it is wanted, unseen.

    half_mm : so far or farther along half of its edge. tight : the share of its edge where it may not.
    """

    half_mm: float
    tight: float

    @property
    def text(self) -> str:
        """In one sentence; nothing where it must be inked with care all along."""
        if self.half_mm < WORTH_MM:
            return ""
        exact = (
            tr("; {tight} % of its edge must be true", tight=number(100 * self.tight, 0)) if self.tight > 0.02 else ""
        )
        loose = tr("up to {half_mm} over along half its edge, unseen", half_mm=length_text(self.half_mm, 0))
        return tr("May be inked loosely, {loose}{exact}.", loose=loose, exact=exact)


@dataclass(frozen=True)
class InkingLook:
    """How far the ink of each pull may stray, by the pull's id, and what is to be known."""

    strays: dict[str, Stray]
    findings: tuple[Finding, ...]


def look_at_inking(project: Project, blocks: CutBlocks, *, progress: Progress = NULL_PROGRESS) -> InkingLook:
    """Look at every pull. Raises Cancelled."""
    small = coarse(blocks, _PIXELS)
    return InkingLook(strays(project, small, progress=progress), inking_findings(project, small))


def strays(project: Project, small: CutBlocks, *, progress: Progress = NULL_PROGRESS) -> dict[str, Stray]:
    """How far the ink of each pull may stray, by the pull's id. Raises Cancelled."""
    laid = lay_sheet(small, impressions_to_lay(project), pad_mm=0)
    found = {}
    for place, pull in enumerate(project.impressions):
        progress.report(place / len(project.impressions), tr("looking where ink may stray"))
        stray = stray_of(project, laid, pull.id)
        if stray is not None:
            found[pull.id] = stray
    return found


def stray_of(project: Project, laid: LaidSheet, pull_id: str) -> Stray | None:
    """How far one pull's ink may stray; None where nothing of it is seen, or nothing forbids it.

    Notes
    -----
    Wanted is where the pull prints and is seen; barred where it does not print and
    would be seen. Along the edge of what is wanted the nearest barred place less the
    tolerance of the sheets is how far ink may run.
    """
    import cv2

    wanted, room = _room(project, laid, pull_id)
    if room is None or not wanted.any():
        return None
    edge = wanted & (cv2.erode(wanted.astype(np.uint8), np.ones((3, 3), np.uint8)) == 0)
    edge &= _inside(edge.shape)
    if not edge.any():
        return None
    along = np.maximum(room[edge], 0.0)
    return Stray(float(np.quantile(along, 1 - _TIGHT_SHARE)), float((along < WORTH_MM / 2).mean()))


def stray_lines(project: Project, laid: LaidSheet, pull_id: str) -> tuple[Outline, ...]:
    """How far ink of a pull may run, unseen: closed outlines on the sheet, mm; none if all over."""
    wanted, room = _room(project, laid, pull_id)
    if room is None:
        return ()
    left, top = project.image.left, project.image.top
    return tuple(
        tuple((round(float(x) + left, 2), round(float(y) + top, 2)) for x, y in ring[:-1])
        for area in outlines(((room > 0) | wanted).astype(np.uint8), laid.px_per_mm)
        for ring in area
    )


def _room(project: Project, laid: LaidSheet, pull_id: str) -> tuple[NDArray[np.bool_], NDArray[np.float64] | None]:
    """Where a pull is wanted, and how far each place is from where it is barred, mm; None if nowhere."""
    import cv2

    prints, free = laid.printed_by(pull_id)[laid.inner], free_page(project, laid, pull_id) > 0
    wanted, barred = prints & ~free, ~prints & ~free
    if not barred.any():
        return wanted, None
    far = cv2.distanceTransform((~barred).astype(np.uint8), cv2.DIST_L2, cv2.DIST_MASK_5)
    return wanted, np.asarray(far, np.float64) / laid.px_per_mm - project.tolerance_mm


def _inside(shape: tuple[int, ...]) -> NDArray[np.bool_]:
    """The image without its border: there the paper's margin ends what is wanted, not a neighbour."""
    page = np.zeros(shape, np.bool_)
    page[1:-1, 1:-1] = True
    return page


def inking_findings(project: Project, small: CutBlocks) -> tuple[Finding, ...]:
    """Pulls with more inks than can be inked in time, or with inks nearer than their tools allow."""
    found = []
    for pull in project.impressions:
        if project.block(pull.block).kerf_mm is not None:
            # Pieces are taken apart and inked one by one.
            continue
        found += _too_many(project, pull)
        found += _too_near(project, small, pull)
    return tuple(found)


def _too_many(project: Project, pull: Impression) -> list[Finding]:
    inks = {zone.ink for zone in pull.zones if not zone.bare}
    most = project.workshop.most_zones
    if len(inks) <= most:
        return []
    return [
        Finding(
            "could show", "blocks",
            tr("{id}: {inks} inks at once, and {most} can be inked before the first dries.",
            id=project.pull_name(pull.id), inks=len(inks), most=most),
            tr("Print some of them in a further pull of the block, or say at Method that more can."),
        )
    ]  # fmt: skip


def _too_near(project: Project, blocks: CutBlocks, pull: Impression) -> list[Finding]:
    import cv2

    inked = [n for n, zone in enumerate(pull.zones) if not zone.bare]
    if len({pull.zones[n].ink for n in inked}) < 2:
        return []
    page = zone_places(project, blocks, pull)
    mask = blocks.masks[project.number_of(pull.block)] > 0
    tightest: tuple[float, float, Zone, Zone, tuple[float, float]] | None = None
    for at, first in enumerate(inked):
        own = (page == first) & mask
        if not own.any():
            continue
        far = np.asarray(cv2.distanceTransform((~own).astype(np.uint8), cv2.DIST_L2, cv2.DIST_MASK_5))
        for second in inked[at + 1 :]:
            one, other = pull.zones[first], pull.zones[second]
            there = (page == second) & mask
            if one.ink == other.ink or not there.any():
                continue
            apart = np.where(there, far, np.inf)
            y, x = np.unravel_index(int(apart.argmin()), apart.shape)
            gap = max(float(apart[y, x]) - 1.0, 0.0) / blocks.px_per_mm
            need = project.workshop.clearance_mm * max(INKING_TOOLS[each.tool].room_share for each in (one, other))
            place = project.image.left + x / blocks.px_per_mm, project.image.top + y / blocks.px_per_mm
            if gap < need and (tightest is None or gap - need < tightest[0] - tightest[1]):
                tightest = gap, need, one, other, (float(place[0]), float(place[1]))
    if tightest is None:
        return []
    gap, need, one, other, at_mm = tightest
    names = tr("{name} and {name_2}", name=project.ink(one.ink).name, name_2=project.ink(other.ink).name)
    met = "meet" if gap < 0.5 else tr("stand {gap} apart", gap=length_text(gap))
    return [
        Finding(
            "could show", "blocks",
            tr("{id}: {names} {met} on the block; inking them apart this way takes {need}.",
            id=project.pull_name(pull.id), names=names, met=met, need=length_text(need, 0)),
            tr("Let them blend there, ink with a smaller tool, mask one with paper, or cut a channel "
            "between."),
            at_mm,
        )
    ]  # fmt: skip
