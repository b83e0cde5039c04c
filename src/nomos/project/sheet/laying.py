"""From a project to its proof: masks, the combination map, colours and how near they come."""

from collections.abc import Sequence
from dataclasses import dataclass, replace

import numpy as np
from numpy.typing import NDArray

from nomos.base.strips import looked_up, strips
from nomos.colour import as_lab, delta_e00, reflectance_to_lab
from nomos.project.inks.films import FilmKey, printed_in_turn, printed_reflectance, zone_colours
from nomos.project.model import Impression, Project
from nomos.project.sheet.masks import CutBlocks, coarse
from nomos.proof import (
    CombinationMap,
    Index,
    Misregister,
    combine,
    displaced,
    displaced_numbers,
    mips,
    padded,
    render_view,
    to_rgb,
    with_page,
)
from nomos.separation import Mask
from nomos.separation.masks import chosen
from nomos.separation.zones import GRADE_STEPS, GradeShape, Outlines, grade_page, step_strength, zone_page

# A shifted block is shown this far outside the image.
PAD_MM = 6.0
# So many pixels are enough for an area.
_AREA_PX = 1_000_000

Array = NDArray[np.float64]
Spot = tuple[float, float, float]


@dataclass(frozen=True, eq=False)
class LaidSheet:
    """The image with a margin, as combinations of films.

    map : its columns are the films named in `films`, whatever their order.
    pad_px : the margin around the image.
    meetings : (colours, combinations) pixels of each flat colour under each combination.
    levels : the map's index and its smaller versions, for views.
    """

    map: CombinationMap
    films: tuple[FilmKey, ...]
    pad_px: int
    px_per_mm: float
    meetings: NDArray[np.int64]
    levels: tuple[Index, ...]

    @property
    def pulls(self) -> frozenset[str]:
        """The impressions that are laid."""
        return frozenset(key.pull for key in self.films)

    @property
    def inner(self) -> Index:
        """The map's index without its margin: the image alone. (height, width)."""
        height, width = self.map.index.shape
        return self.map.index[self.pad_px : height - self.pad_px, self.pad_px : width - self.pad_px]

    @property
    def inner_window(self) -> tuple[float, float, float, float]:
        """Left, top, right and bottom of the image in pixels of the map."""
        height, width = self.map.index.shape
        pad = float(self.pad_px)
        return pad, pad, width - pad, height - pad

    def small(self, labs: Array, most_px: int) -> NDArray[np.uint8]:
        """A picture of the image alone, no side of it longer than so many pixels. (height, width, 3) sRGB."""
        height, width = self.inner.shape
        share = min(1.0, most_px / max(height, width))
        size = max(1, round(width * share)), max(1, round(height * share))
        return to_rgb(render_view(self.levels, labs, self.inner_window, size))

    def printed_by(self, pull: str) -> NDArray[np.bool_]:
        """In which combinations an impression prints. (combinations,)."""
        return np.asarray(self.map.members[:, [key.pull == pull for key in self.films]].any(axis=1))


@dataclass(frozen=True)
class LaidZone:
    """Where a zone lies: its flat colours, and if it is graded how.

    areas : drawn by hand, mm from the image's top left.
    bare : nothing of it prints.
    of_zone : the grade follows the edge of the zone, not of all that the block prints.
    """

    colours: tuple[int, ...]
    grade: GradeShape | None = None
    areas: Outlines = ()
    bare: bool = False
    of_zone: bool = False


@dataclass(frozen=True)
class ToLay:
    """An impression as it is laid: all that decides where its films lie, and nothing of their inks."""

    pull: str
    block: int
    offset: Misregister
    zones: tuple[LaidZone, ...] = (LaidZone(()),)


def lay_sheet(blocks: CutBlocks, impressions: Sequence[ToLay], *, pad_mm: float = PAD_MM) -> LaidSheet:
    """Lay impressions over each other.

    Parameters
    ----------
    blocks : the masks.
    impressions : each with its block, zones and misregister.
    pad_mm : how much around the image is mapped.
    """
    pad = round(pad_mm * blocks.px_per_mm)
    # One film all over needs no page of its own until it is laid.
    mixed = [None if _is_even(each) else _parts(blocks, each, pad) for each in impressions]
    films = [(FilmKey(each.pull, 0),) if some is None else some[1]
             for each, some in zip(impressions, mixed, strict=True)]  # fmt: skip
    pages = (_mask(blocks, each, pad) if some is None else some[0]
             for each, some in zip(impressions, mixed, strict=True))  # fmt: skip
    height, width = blocks.labels.shape
    shape = (height + 2 * pad, width + 2 * pad)
    laid = combine(pages, shape, [len(some) for some in films])
    return _sheet(blocks, laid, [film for some in films for film in some], pad)


def lay_one_more(blocks: CutBlocks, rest: LaidSheet, one: ToLay) -> LaidSheet:
    """One more impression on a sheet laid from these blocks: what `lay_sheet` gives of all of them."""
    pad = rest.pad_px
    even = _is_even(one)
    page, films = (_mask(blocks, one, pad), (FilmKey(one.pull, 0),)) if even else _parts(blocks, one, pad)
    return _sheet(blocks, with_page(rest.map, page, len(films)), (*rest.films, *films), pad)


def _sheet(blocks: CutBlocks, laid: CombinationMap, films: Sequence[FilmKey], pad: int) -> LaidSheet:
    height, width = blocks.labels.shape
    inner = laid.index[pad : pad + height, pad : pad + width]
    colours, combinations = int(blocks.labels.max(initial=0)) + 1, len(laid.pixels)
    counts = np.zeros(colours * combinations, np.int64)
    for rows in strips(blocks.labels.shape):
        joint = blocks.labels[rows].astype(np.int64) * combinations + inner[rows]
        counts += np.bincount(joint.ravel(), minlength=len(counts))
    meetings = counts.reshape(colours, combinations)
    return LaidSheet(laid, tuple(films), pad, blocks.px_per_mm, meetings, mips(laid.index))


def _is_even(laid: ToLay) -> bool:
    """Whether an impression prints one film wherever it prints."""
    return len(laid.zones) == 1 and laid.zones[0].grade is None


def _mask(blocks: CutBlocks, laid: ToLay, pad: int) -> Mask:
    return displaced(padded(blocks.masks[laid.block], pad), laid.offset, blocks.px_per_mm)


def _parts(blocks: CutBlocks, laid: ToLay, pad: int) -> tuple[Mask, tuple[FilmKey, ...]]:
    """Where an impression prints, with the number (from 1) of the film there, and those films."""
    mask = _mask(blocks, laid, pad)
    joint = _zone_steps(blocks, laid)
    here = np.flatnonzero(np.bincount(joint[blocks.masks[laid.block] > 0], minlength=1))
    printed = [n for n in here if _prints(laid, int(n))]
    table = np.zeros(len(laid.zones) * GRADE_STEPS, np.uint8)
    table[printed] = np.arange(1, len(printed) + 1)
    numbers = displaced_numbers(np.pad(looked_up(table, joint), pad, mode="edge"), laid.offset, blocks.px_per_mm)
    films = tuple(FilmKey(laid.pull, int(n) // GRADE_STEPS, int(n) % GRADE_STEPS) for n in printed)
    return numbers * mask, films


def zone_places(project: Project, blocks: CutBlocks, pull: Impression) -> NDArray[np.uint8]:
    """Which of a pull's zones each pixel of the image lies in: (height, width) places among its zones."""
    return _zone_page(blocks, _laid_zones(project, pull))


def _zone_page(blocks: CutBlocks, zones: Sequence[LaidZone]) -> NDArray[np.uint8]:
    return zone_page(blocks.labels, [zone.colours for zone in zones], [zone.areas for zone in zones], blocks.px_per_mm)


def _zone_steps(blocks: CutBlocks, laid: ToLay) -> NDArray[np.uint16]:
    """For each pixel of the image the zone it lies in and its step there: zone times steps plus step."""
    mask = blocks.masks[laid.block]
    zones = _zone_page(blocks, laid.zones)
    steps = np.zeros_like(zones)
    for place, zone in enumerate(laid.zones):
        if zone.grade is not None:
            here = zones == place
            edge = here.view(np.uint8) if zone.of_zone else mask
            steps = np.where(here, grade_page(edge, blocks.px_per_mm, zone.grade), steps)
    return np.asarray(zones.astype(np.uint16) * GRADE_STEPS + steps)


def _prints(laid: ToLay, joint: int) -> bool:
    """Whether any ink stands at a step of a zone; step 0 of a graded one is none at all."""
    zone = laid.zones[joint // GRADE_STEPS]
    return not zone.bare and (joint % GRADE_STEPS > 0 or zone.grade is None)


@dataclass(frozen=True)
class InkedZone:
    """How much of a block one zone covers, and how strongly on the mean of it; mm2 and a share."""

    area_mm2: float
    strength: float


def inked_zones(project: Project, blocks: CutBlocks, pull: Impression) -> tuple[InkedZone, ...]:
    """What each zone of an impression inks, a graded one by the mean over its area.

    Parameters
    ----------
    blocks : the masks; of large ones fewer pixels are looked at, areas come within a per cent.
    """
    mask = chosen(blocks.masks, [project.number_of(pull.block)])
    own = coarse(replace(blocks, masks=mask, worked_out=mask), _AREA_PX)
    laid = ToLay(pull.id, 0, Misregister(), _laid_zones(project, pull))
    graded = len(pull.zones) > 1 or pull.zones[0].grade is not None
    joint = _zone_steps(own, laid) if graded else np.zeros_like(own.masks[0])
    counts = np.bincount(joint[own.masks[0] > 0], minlength=len(laid.zones) * GRADE_STEPS)
    found = []
    for place, (zone, lies) in enumerate(zip(pull.zones, laid.zones, strict=True)):
        steps = counts[place * GRADE_STEPS : (place + 1) * GRADE_STEPS]
        area = float(steps.sum()) / own.px_per_mm**2
        strength = zone.strength
        if lies.bare:
            strength = 0.0
        elif lies.grade is not None and area:
            strength = float(steps @ [step_strength(n) for n in range(GRADE_STEPS)] / steps.sum())
        found.append(InkedZone(area, strength))
    return tuple(found)


def impressions_to_lay(project: Project) -> tuple[ToLay, ...]:
    """Each impression as it is laid, by id, so that their order does not matter."""
    found = [
        ToLay(pull.id, project.number_of(pull.block), pull.offset, _laid_zones(project, pull))
        for pull in project.impressions
    ]
    return tuple(sorted(found, key=lambda entry: entry.pull))


def _laid_zones(project: Project, pull: Impression) -> tuple[LaidZone, ...]:
    left, top = project.image.left, project.image.top
    zones = []
    for place, zone in enumerate(pull.zones):
        colours = zone_colours(project, pull, place) if len(pull.zones) > 1 else ()
        shape = None
        if zone.grade is not None:
            grade = zone.grade
            start, end = ((x - left, y - top) for x, y in (grade.start, grade.end))
            strengths = (zone.strength, grade.to)
            shape = GradeShape(start, end, strengths, grade.curve, grade.both, grade.edge_mm, grade.outer)
        elif zone.bare == "wiped" and zone.soft_mm:
            # The cloth takes less at its edge: what is left fades from there inwards.
            shape = GradeShape((0.0, 0.0), (1.0, 0.0), (zone.strength, 0.0), edge_mm=zone.soft_mm)
        areas = tuple(tuple((x - left, y - top) for x, y in outline) for outline in zone.areas)
        soft = zone.bare == "wiped" and zone.soft_mm > 0
        zones.append(LaidZone(colours, shape, areas, bool(zone.bare) and not soft, soft))
    return tuple(zones)


def films_in_order(project: Project, laid: LaidSheet, pulls: int | None = None) -> list[int]:
    """Columns of the laid sheet's films in print order, after so many pulls (None: all)."""
    columns: dict[str, list[int]] = {}
    for column, key in enumerate(laid.films):
        columns.setdefault(key.pull, []).append(column)
    printed = project.impressions[: len(project.impressions) if pulls is None else pulls]
    return [column for pull in printed for column in columns.get(pull.id, ())]


def sheet_labs(project: Project, laid: LaidSheet, pulls: int | None = None) -> Array:
    """CIELAB of each combination after so many pulls (None: all). (combinations, 3)."""
    return reflectance_to_lab(sheet_reflectance(project, laid, pulls))


def sheet_labs_by_pull(project: Project, laid: LaidSheet) -> Array:
    """CIELAB of each combination on bare paper and after every pull. (pulls + 1, combinations, 3)."""
    order = films_in_order(project, laid)
    keys = [laid.films[n] for n in order]
    place_of = {pull.id: place for place, pull in enumerate(project.impressions, start=1)}
    films = np.cumsum(np.bincount([place_of[key.pull] for key in keys], minlength=len(place_of) + 1))
    # A pull without ink leaves the sheet as it was.
    after, which = np.unique(films, return_inverse=True)
    printed = printed_in_turn(project, keys, laid.map.members[:, order], set(after.tolist()))
    return np.stack([reflectance_to_lab(each) for each in printed])[which]


def sheet_reflectance(project: Project, laid: LaidSheet, pulls: int | None = None, *, wet_look: bool = False) -> Array:
    """Measured reflectance of each combination after so many pulls (None: all). (combinations, 36)."""
    order = films_in_order(project, laid, pulls)
    keys = [laid.films[n] for n in order]
    return printed_reflectance(project, keys, laid.map.members[:, order], wet_look=wet_look)


@dataclass(frozen=True)
class ColourMatch:
    """How a flat colour comes out: mean predicted CIELAB over its area, mean ΔE00 to what is wanted."""

    number: int
    area_mm2: float
    predicted: tuple[float, float, float]
    de00: float


def colour_matches(project: Project, laid: LaidSheet, labs: Array) -> tuple[ColourMatch, ...]:
    """Wanted against predicted for each flat colour; a colour left bare wants the paper."""
    assert project.flat is not None
    bare = project.bare_colours()
    matches = []
    for number, colour in enumerate(project.flat.colours):
        counts = laid.meetings[number] if number < len(laid.meetings) else np.zeros(len(labs), np.int64)
        total = counts.sum()
        if total == 0:
            continue
        wanted = np.array(project.paper.lab if number in bare else colour.lab)
        mean = counts @ labs / total
        difference = float(counts @ delta_e00(labs, wanted) / total)
        matches.append(ColourMatch(number, float(total / laid.px_per_mm**2), as_lab(mean), difference))
    return tuple(matches)


def mean_difference(matches: Sequence[ColourMatch]) -> float:
    """Area-weighted mean ΔE00 over the image."""
    area = sum(match.area_mm2 for match in matches)
    return sum(match.de00 * match.area_mm2 for match in matches) / area if area else 0.0


def bare_places(project: Project, blocks: CutBlocks, laid: LaidSheet, most: int = 12) -> tuple[Spot, ...]:
    """The largest spots of bare paper where a colour should print: x, y on the sheet and area, mm."""
    import cv2

    if bare_paper_mm2(project, laid) == 0:
        return ()
    height, width = blocks.labels.shape
    pad = laid.pad_px
    unprinted = np.asarray(~laid.map.members.any(axis=1))
    nothing = unprinted[laid.map.index[pad : pad + height, pad : pad + width]]
    wanted = np.ones(256, np.uint8)
    wanted[list(project.bare_colours())] = 0
    bare = nothing.view(np.uint8) & looked_up(wanted, blocks.labels)
    _, _, stats, centres = cv2.connectedComponentsWithStats(bare, connectivity=8)
    area = stats[1:, cv2.CC_STAT_AREA]
    ppm = blocks.px_per_mm
    return tuple(
        (
            float(project.image.left + centres[n + 1][0] / ppm),
            float(project.image.top + centres[n + 1][1] / ppm),
            float(area[n] / ppm**2),
        )
        for n in np.argsort(-area, kind="stable")[:most]
    )


def bare_paper_mm2(project: Project, laid: LaidSheet) -> float:
    """Area where paper shows though a colour should print there."""
    nothing = ~laid.map.members.any(axis=1)
    printed = [n for n in range(len(laid.meetings)) if n not in project.bare_colours()]
    return float(laid.meetings[printed][:, nothing].sum() / laid.px_per_mm**2)
