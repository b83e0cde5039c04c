"""From a project to its proof: masks, the combination map, colours and how near they come."""

from collections.abc import Sequence
from dataclasses import dataclass
from functools import cached_property

import numpy as np
from numpy.typing import NDArray

from nomos.colour import delta_e00, reflectance_to_lab
from nomos.design import Labels
from nomos.progress import NULL_PROGRESS, Progress
from nomos.project.films import FilmKey, printed_reflectance, zone_colours
from nomos.project.model import Block, Impression, Project
from nomos.project.store import Assets, labels_from_png, mask_from_png, png_width
from nomos.project.trapping import border_traps
from nomos.proof import (
    CombinationMap,
    Index,
    Misregister,
    combine,
    displaced,
    displaced_numbers,
    mips,
    padded,
)
from nomos.separation import BlockPlan, Mask, block_masks
from nomos.separation.contour import contour_lines
from nomos.separation.fields import Borders, measure_borders
from nomos.separation.zones import GRADE_STEPS, GradeShape, grade_page, zone_page

# A shifted block is shown this far outside the image.
PAD_MM = 6.0

Array = NDArray[np.float64]
Spot = tuple[float, float, float]


@dataclass(frozen=True)
class MaskRequest:
    """All that the masks depend on; also the key they are remembered by.

    spreads : which colours run under which, decided from the inks; most changes
        of an ink decide nothing anew, and so cut nothing anew.
    """

    labels_png: bytes
    plans: tuple[BlockPlan, ...]
    spreads: tuple[tuple[int, int], ...]
    trap_mm: float
    width_mm: float
    drawn: tuple[bytes | None, ...]


@dataclass(frozen=True, eq=False)
class CutBlocks:
    """The flat design's numbers and one mask for each block of the project, in its order of blocks.

    worked_out : the masks before any was changed by hand.
    """

    labels: Labels
    masks: tuple[Mask, ...]
    px_per_mm: float
    worked_out: tuple[Mask, ...]

    @cached_property
    def borders(self) -> Borders:
        """Areas and border lengths of the flat colours."""
        return measure_borders(self.labels, int(self.labels.max(initial=0)) + 1, self.px_per_mm)

    @cached_property
    def areas_mm2(self) -> tuple[float, ...]:
        """Printing area of each block."""
        return tuple(float(np.count_nonzero(mask) / self.px_per_mm**2) for mask in self.masks)


def mask_request(project: Project, assets: Assets) -> MaskRequest | None:
    """What has to be cut for this project; None while there is no flat design."""
    if project.flat is None:
        return None
    labels_width = png_width(assets[project.flat.labels])
    traps = border_traps(project)
    return MaskRequest(
        assets[project.flat.labels],
        tuple(_block_plan(project, block, labels_width) for block in project.blocks),
        tuple(sorted((trap.lighter, trap.darker) for trap in traps if trap.kind == "spread")),
        project.trap_mm,
        project.image.width,
        tuple(assets[block.drawn] if block.drawn else None for block in project.blocks),
    )


def _block_plan(project: Project, block: Block, labels_width: int) -> BlockPlan:
    assert project.flat is not None
    others = {n for other in project.blocks if other.id != block.id for n in other.colours}
    shadow = block.is_key and block.contour is None and bool(block.colours) and set(block.colours) <= others
    if block.contour is None:
        kerf = None if block.kerf_mm is None else block.kerf_mm * labels_width / project.image.width
        return BlockPlan(block.colours, block.is_key, shadow, kerf_px=kerf)
    labs = np.array([colour.lab for colour in project.flat.colours])
    width_px = block.contour.width_mm * labels_width / project.image.width
    printed = [n for n in range(len(labs)) if n not in project.bare_colours()]
    lines = contour_lines(
        delta_e00(labs[:, None], labs[None]), width_px, weigh=block.contour.weigh, printed=printed
    )
    return BlockPlan(block.colours, block.is_key, shadow, lines)


def cut_blocks(
    request: MaskRequest, *, earlier: CutBlocks | None = None, progress: Progress = NULL_PROGRESS
) -> CutBlocks:
    """Make the masks of a project's blocks.

    Parameters
    ----------
    request : what they depend on.
    earlier : blocks whose request differed in nothing but masks changed by hand.

    Raises
    ------
    ProjectError : a mask changed by hand is of another size.
    Cancelled : called off through `progress`.
    """
    labels = earlier.labels if earlier else labels_from_png(request.labels_png)
    px_per_mm = labels.shape[1] / request.width_mm
    worked_out = (
        earlier.worked_out
        if earlier
        else block_masks(
            labels, request.plans, request.spreads, request.trap_mm * px_per_mm, progress=progress
        )
    )
    masks = tuple(
        mask if data is None else mask_from_png(data, labels.shape)
        for mask, data in zip(worked_out, request.drawn, strict=True)
    )
    return CutBlocks(labels, masks, px_per_mm, worked_out)


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

    def printed_by(self, pull: str) -> NDArray[np.bool_]:
        """In which combinations an impression prints. (combinations,)."""
        return np.asarray(self.map.members[:, [key.pull == pull for key in self.films]].any(axis=1))


@dataclass(frozen=True)
class LaidZone:
    """Where a zone lies: its flat colours, and if it is graded how."""

    colours: tuple[int, ...]
    grade: GradeShape | None = None


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
    parts = [_parts(blocks, each, pad) for each in impressions]
    height, width = blocks.labels.shape
    shape = (height + 2 * pad, width + 2 * pad)
    laid = combine([page for page, _ in parts], shape, [len(films) for _, films in parts])
    inner = laid.index[pad : pad + height, pad : pad + width]
    colours, combinations = int(blocks.labels.max(initial=0)) + 1, len(laid.pixels)
    joint = blocks.labels.astype(np.uint32) * combinations + inner
    counts = np.bincount(joint.ravel(), minlength=colours * combinations)
    meetings = counts.reshape(colours, combinations).astype(np.int64)
    films = tuple(film for _, some in parts for film in some)
    return LaidSheet(laid, films, pad, blocks.px_per_mm, meetings, mips(laid.index))


def _parts(blocks: CutBlocks, laid: ToLay, pad: int) -> tuple[Mask, tuple[FilmKey, ...]]:
    """Where an impression prints, with the number (from 1) of the film there, and those films."""
    mask = displaced(padded(blocks.masks[laid.block], pad), laid.offset, blocks.px_per_mm)
    if len(laid.zones) == 1 and laid.zones[0].grade is None:
        return mask, (FilmKey(laid.pull, 0),)
    zones = zone_page(blocks.labels, [zone.colours for zone in laid.zones])
    steps = np.zeros_like(zones)
    for place, zone in enumerate(laid.zones):
        if zone.grade is not None:
            own = grade_page(blocks.masks[laid.block], blocks.px_per_mm, zone.grade)
            steps = np.where(zones == place, own, steps)
    joint = zones.astype(np.uint16) * GRADE_STEPS + steps
    here = np.flatnonzero(np.bincount(joint[blocks.masks[laid.block] > 0], minlength=1))
    # Step 0 of a graded zone is no ink at all.
    printed = [n for n in here if n % GRADE_STEPS or laid.zones[n // GRADE_STEPS].grade is None]
    table = np.zeros(len(laid.zones) * GRADE_STEPS, np.uint8)
    table[printed] = np.arange(1, len(printed) + 1)
    numbers = displaced_numbers(
        np.pad(np.take(table, joint), pad, mode="edge"), laid.offset, blocks.px_per_mm
    )
    films = tuple(FilmKey(laid.pull, int(n) // GRADE_STEPS, int(n) % GRADE_STEPS) for n in printed)
    return numbers * mask, films


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
            shape = GradeShape(start, end, strengths, grade.curve, grade.both, grade.edge_mm)
        zones.append(LaidZone(colours, shape))
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


def sheet_reflectance(
    project: Project, laid: LaidSheet, pulls: int | None = None, *, wet_look: bool = False
) -> Array:
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
        matches.append(
            ColourMatch(
                number,
                float(total / laid.px_per_mm**2),
                (float(mean[0]), float(mean[1]), float(mean[2])),
                difference,
            )
        )
    return tuple(matches)


def mean_difference(matches: Sequence[ColourMatch]) -> float:
    """Area-weighted mean ΔE00 over the image."""
    area = sum(match.area_mm2 for match in matches)
    return sum(match.de00 * match.area_mm2 for match in matches) / area if area else 0.0


def coarse(blocks: CutBlocks, most_px: int) -> CutBlocks:
    """The blocks at no more than so many pixels: for answers while something is dragged."""
    step = 1
    while blocks.labels.size // step**2 > most_px:
        step += 1
    if step == 1:
        return blocks

    def shrunk(page: NDArray[np.uint8]) -> NDArray[np.uint8]:
        return np.ascontiguousarray(page[step // 2 :: step, step // 2 :: step])

    masks = tuple(shrunk(mask) for mask in blocks.masks)
    return CutBlocks(shrunk(blocks.labels), masks, blocks.px_per_mm / step, masks)


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
    bare = nothing.view(np.uint8) & wanted[blocks.labels]
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
