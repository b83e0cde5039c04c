"""A slip of the gouge: what changes on the sheets still to be printed, and what can be done about it."""

from dataclasses import dataclass

import numpy as np

from nomos.base.language import tr, within
from nomos.base.units import listed, number
from nomos.carving.materials import MATERIALS
from nomos.colour import Lab, as_lab, delta_e00
from nomos.project.inks.films import predicted, printing_sets, zone_keys
from nomos.project.model import Project
from nomos.project.sheet.masks import CutBlocks

# Less is not seen; another block is worth naming where it takes away so much of the difference (chosen by us).
_SEEN_DE00, _WORTH = 2.0, 0.5
# A place smaller than this is filled by hand with a brush, sheet by sheet (chosen by us), mm².
_TOUCHED_UP_MM2 = 4.0


@dataclass(frozen=True)
class Change:
    """One flat colour at the place: its number, how much of it, mm², its colour as planned and as it comes out now."""

    number: int
    area_mm2: float
    planned: Lab
    now: Lab
    de00: float


@dataclass(frozen=True)
class Slip:
    """What a place broken out of a block does to the print, and the ways out, the best first."""

    changes: tuple[Change, ...]
    ways: tuple[str, ...]

    @property
    def seen(self) -> bool:
        """Whether anybody will see it."""
        return any(each.de00 >= _SEEN_DE00 for each in self.changes)


def slip_at(
    project: Project, blocks: CutBlocks, block: str, place_mm: tuple[float, float], end_mm: tuple[float, float],
    wide_mm: float,
) -> Slip:  # fmt: skip
    """What breaks out where a gouge slips.

    Parameters
    ----------
    block : id of the block. place_mm, end_mm : where the slip begins and ends, on the printed sheet.
    wide_mm : of the gouge.

    Notes
    -----
    Colours are those of the fields; wood that stands only for a trap is not missed.
    """
    import cv2

    ppm = blocks.px_per_mm
    mask = blocks.masks[project.number_of(block)]
    gone = np.zeros(mask.shape, np.uint8)
    corner = np.array((project.image.left, project.image.top))
    ends = [tuple(np.rint((np.array(each) - corner) * ppm).astype(int).tolist()) for each in (place_mm, end_mm)]
    cv2.line(gone, ends[0], ends[1], 1, max(1, round(wide_mm * ppm)))
    lost = (gone > 0) & (mask > 0)
    sets, keys = printing_sets(project), zone_keys(project)
    own = {place for place, key in enumerate(keys) if project.impression(key.pull).block == block}
    pixels = np.bincount(blocks.labels[lost], minlength=len(sets))
    hit = [n for n, films in enumerate(sets) if pixels[n] and films & own]
    if not hit:
        return Slip((), (tr("Nothing that prints stands there: clear it and go on."),))
    planned, now = predicted(project, [sets[n] for n in hit]), predicted(project, [sets[n] - own for n in hit])
    off = delta_e00(planned, now)
    changes = tuple(
        Change(n, float(pixels[n] / ppm**2), as_lab(one), as_lab(other), float(each))
        for n, one, other, each in zip(hit, planned, now, off, strict=True)
    )
    worst = max(changes, key=lambda each: each.de00)
    return Slip(tuple(sorted(changes, key=lambda each: -each.de00)), _ways(project, worst, own, sets[worst.number]))


def _ways(project: Project, worst: Change, own: set[int], films: frozenset[int]) -> tuple[str, ...]:
    keys = zone_keys(project)
    later = [project.pull_name(keys[film].pull) for film in sorted(films - own) if film > min(own & films)]
    if worst.de00 < _SEEN_DE00:
        covered = tr(" {later} lies over it.", later=listed(later)) if later else ""
        return (tr("Leave it: nobody will see it.{covered}", covered=covered),)
    ways = [*_other_blocks(project, worst, own, films)]
    mended = MATERIALS[project.craft.material].mended
    if mended:
        ways.append(mended)
    if worst.area_mm2 < _TOUCHED_UP_MM2:
        ways.append(tr("Touch it up on each sheet with a small brush and the same ink, while it is wet."))
    ways.append(tr("Make it part of the design: move the drawing's border there, and say so before the first pull."))
    return tuple(ways)


def _other_blocks(project: Project, worst: Change, own: set[int], films: frozenset[int]) -> list[str]:
    """Blocks that would bring the colour nearer if they printed there, the nearest first."""
    keys, wanted = zone_keys(project), np.array(worst.planned)
    free = [film for film in range(len(keys)) if film not in own | films]
    if not free:
        return []
    off = delta_e00(predicted(project, [(films - own) | {film} for film in free]), wanted)
    near = [(float(each), keys[film].pull) for film, each in zip(free, off, strict=True) if each < _WORTH * worst.de00]
    return [
        tr(
            "Let {name} print there, if it is not cut yet: ΔE {de00} is left of {worst}.",
            name=within(project.pull_name(pull)), de00=number(each), worst=number(worst.de00),
        )
        for each, pull in sorted(near)[:2]
    ]  # fmt: skip
