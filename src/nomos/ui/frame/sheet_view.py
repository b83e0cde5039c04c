"""What the sheet shows, and what is said of the place pointed at."""

from dataclasses import dataclass
from functools import lru_cache

import numpy as np
from numpy.typing import NDArray

from nomos.base.language import tr, within
from nomos.base.units import lengths_text, number
from nomos.colour import delta_e00, lab_to_hex, lab_to_srgb, srgb_to_lab
from nomos.colour.light import lab_under, seen_by
from nomos.project import LaidSheet, Project, Proof, films_in_order, sheet_labs, sheet_reflectance
from nomos.project.inks.drawdown import Card
from nomos.project.model import Outline
from nomos.project.register.system import marks_of, plan_of_system
from nomos.proof import Index
from nomos.registration import PrintedMark, Rect, SystemPlan
from nomos.ui.frame.overlays import free_raster, joins_raster
from nomos.ui.frame.raster import Page, Raster, index_levels, picture_levels
from nomos.ui.frame.state import MIRRORED, Marked, UiState
from nomos.work.freedom import Freedom
from nomos.work.joins import JoinsPage


@dataclass(frozen=True)
class Handle:
    """Something to drag: its name, where it is on the sheet (mm), and a word beside it."""

    name: str
    place_mm: tuple[float, float]
    word: str = ""


@dataclass(frozen=True, eq=False)
class Inset:
    """A place seen from close by: its picture, where it is on the sheet (mm), and what is said of it."""

    raster: Raster
    place: Rect
    word: str


@dataclass(frozen=True, eq=False)
class Overlay:
    """What a station lays over the sheet: words in mm, spots, lines, or a picture of the whole sheet.

    lines : closed outlines in mm on the sheet. inset : a place seen from close by.
    shade : (rows, columns) 0 to 1 over the image, the more the darker.
    """

    words: tuple[tuple[float, float, str], ...] = ()
    spots: tuple[tuple[float, float], ...] = ()
    raster: Raster | None = None
    lines: tuple[Outline, ...] = ()
    inset: Inset | None = None
    shade: NDArray[np.float64] | None = None


@dataclass(frozen=True, eq=False)
class SheetContent:
    """What the sheet shows.

    spots : places with a finding, x and y on the sheet in mm.
    handles : what can be dragged.
    words : x, y (mm) and a word: the numbers of a jigsaw's pieces.
    lines : closed outlines in mm: what was drawn by hand, or how far ink may run.
    """

    sheet_mm: tuple[float, float]
    image: Rect
    paper_hex: str
    raster: Raster | None = None
    plan: SystemPlan | None = None
    spots: tuple[tuple[float, float], ...] = ()
    handles: tuple[Handle, ...] = ()
    words: tuple[tuple[float, float, str], ...] = ()
    marks: tuple[PrintedMark, ...] = ()
    lines: tuple[Outline, ...] = ()
    inset: Inset | None = None
    shade: NDArray[np.float64] | None = None


def sheet_content(
    project: Project, proof: Proof | None, state: UiState, sketch: Raster | None, card: Card | None = None,
    laid_over: Overlay | None = None, outlines: Overlay | None = None, free: Freedom | None = None,
    joins: JoinsPage | None = None, first: Raster | None = None,
) -> SheetContent:  # fmt: skip
    """The sheet for a station.

    sketch : the design's own pixels, once read; outlines : the same with the outlines of the fields.
    card : a drawdown card. laid_over : words, spots, or another picture of the whole sheet.
    free : where the chosen block is free, joins : how colours join, if that is what is looked at.
    first : the print as it is seen while there is no proof.
    """
    raster: Raster | None = None
    spots: tuple[tuple[float, float], ...] = ()
    if state.shown == "sketch" and sketch is not None:
        raster = sketch
    elif state.shown == "outlined" and outlines is not None:
        raster, spots = outlines.raster, outlines.spots
    elif state.shown == "card" and card is not None:
        raster = _card_raster(project, card)
    elif free is not None:
        raster = free_raster(project, free)
    elif joins is not None:
        raster = joins_raster(project, joins)
    elif proof is not None:
        raster = _flat(proof) if state.shown in _FLAT else _print(proof, state)
        if state.shown == "print" and state.pulls is None:
            spots = tuple((x, y) for x, y, _ in proof.spots)
    else:
        raster = first
    at_register = state.station == "register"
    words = _piece_numbers(project, proof) if state.shown == "pieces" else ()
    lines = free.lines if free is not None else ()
    if laid_over is not None:
        raster, spots, words = laid_over.raster or raster, laid_over.spots, laid_over.words
        lines = laid_over.lines
    # A picture of whole sheets stands alone: the bench belongs to the print.
    plain = laid_over is not None and laid_over.raster is not None
    return SheetContent(
        (project.paper.width_mm, project.paper.height_mm),
        project.image,
        lab_to_hex(np.array(WOOD_LAB if state.shown in MIRRORED else project.paper.lab)),
        raster,
        plan_of_system(project)[0] if at_register and not plain else None,
        spots,
        () if plain or laid_over is not None else _handles(project, state),
        words,
        marks_of(project)[0] if at_register and not plain else (),
        lines,
        laid_over.inset if laid_over is not None else None,
        laid_over.shade if laid_over is not None else None,
    )


def _handles(project: Project, state: UiState) -> tuple[Handle, ...]:
    """The chosen block's handle at Register, the ends of a graded zone at Inks."""
    if state.pull is None:
        return ()
    pull, image = project.impression(state.pull), project.image
    if state.station == "register":
        at = (image.left + image.right) / 2, (image.top + image.bottom) / 2
        return (Handle("block", (at[0] + pull.offset.dx_mm, at[1] + pull.offset.dy_mm)),)
    zone = pull.zones[min(state.zone, len(pull.zones) - 1)]
    # A grade that follows an edge has no ends to drag.
    along = zone.grade is not None and zone.grade.edge_mm is None
    if state.station == "inks" and zone.grade is not None and along and not state.paper_chosen:
        return (
            Handle("start", zone.grade.start, f"{number(100 * zone.strength, 0)} %"),
            Handle("end", zone.grade.end, f"{number(100 * zone.grade.to, 0)} %"),
        )
    return ()


def _piece_numbers(project: Project, proof: Proof | None) -> tuple[tuple[float, float, str], ...]:
    look = proof.close if proof else None
    left, top = project.image.left, project.image.top
    # As it is sawn: the block's face, mirrored.
    right = project.paper.width_mm
    return tuple(
        (right - (left + piece.place[0]), top + piece.place[1], str(piece.number))
        for piece in (look.pieces if look else ())
    )


def card_height(project: Project, card: Card | None) -> float:
    """How far down the sheet a drawdown card reaches that is shown as wide as the sheet, mm."""
    if card is None:
        return project.paper.height_mm
    height, width = card.picture.shape[:2]
    return project.paper.width_mm * height / width


def _card_raster(project: Project, card: Card) -> Raster:
    """The card as wide as the sheet."""
    width = card.picture.shape[1]
    whole = Rect(0, 0, project.paper.width_mm, project.paper.height_mm)
    return sketch_raster(card.picture, width / project.paper.width_mm, whole)


def sketch_raster(rgb: NDArray[np.uint8], px_per_mm: float, image: Rect) -> Raster:
    """The design's own pixels as a raster."""
    return Raster(picture_levels(Page(rgb)), None, px_per_mm, image.left, image.top)


def picture_overlay(project: Project, picture: NDArray[np.uint8], px_per_mm: float) -> Overlay:
    """A picture of the whole sheet as the sheet."""
    whole = Rect(0, 0, project.paper.width_mm, project.paper.height_mm)
    return Overlay(raster=sketch_raster(picture, px_per_mm, whole))


def _print(proof: Proof, state: UiState) -> Raster:
    laid = proof.laid
    if state.shown == "block" and state.pull is not None and state.pull in laid.pulls:
        labs = np.tile(np.array(proof.project.paper.lab), (len(proof.labs), 1))
        zones = proof.project.impression(state.pull).zones
        for column, key in enumerate(laid.films):
            if key.pull == state.pull:
                labs[laid.map.members[:, column]] = proof.project.ink(zones[key.zone].ink).lab
    elif state.shown == "carved" and state.pull is not None and state.pull in laid.pulls:
        return _carved(proof, state.pull, state.marked)
    elif state.shown == "pieces":
        return _sawn(proof)
    elif state.shown == "sheets":
        labs = _coloured_sheets(proof)
    elif state.shown == "where" and state.pull is not None and state.pull in laid.pulls:
        labs = _faded(proof, looked_at(proof, state), laid.printed_by(state.pull))
    else:
        labs = looked_at(proof, state)
    return laid_raster(proof.project, laid, labs)


def laid_raster(project: Project, laid: LaidSheet, labs: NDArray[np.float64]) -> Raster:
    """A laid sheet in its place on the paper. labs : of each combination."""
    pad = laid.pad_px / laid.px_per_mm
    return Raster(laid.levels, labs, laid.px_per_mm, project.image.left - pad, project.image.top - pad)


def looked_at(proof: Proof, state: UiState) -> NDArray[np.float64]:
    """The colours of each combination after the pulls, in the light and by the eyes that are asked for."""
    plain = state.light == "D50" and not state.wet_look
    if plain and state.pulls is None:
        labs = proof.labs
    else:
        reflectance = sheet_reflectance(proof.project, proof.laid, state.pulls, wet_look=state.wet_look)
        labs = lab_under(reflectance, state.light)
    return seen_by(labs, state.eyes)


# So much of what the chosen pull leaves alone is still seen.
_FADED_SHARE = 0.22
# What is looked at on the flat design, or shows it until it is there.
_FLAT = ("flat", "outlined", "picture", "traps")


def _faded(proof: Proof, labs: NDArray[np.float64], kept: NDArray[np.bool_]) -> NDArray[np.float64]:
    """The colours with all but the kept combinations faded into the paper."""
    paper = np.array(proof.project.paper.lab)
    return np.where(kept[:, None], labs, paper + _FADED_SHARE * (labs - paper))


# A block of limewood, soot rubbed on what stays, red chalk on what goes; colours to tell apart, no source.
WOOD_LAB = (84.0, 6.0, 24.0)
_STAYS_LAB, _GOES_LAB = (30.0, 0.0, 0.0), (56.0, 42.0, 28.0)
_SHEET_SHARE = 0.55


def on_print(project: Project, state: UiState, place: tuple[float, float]) -> tuple[float, float]:
    """The place on the print of a place on what is shown: a carved block is the mirror image."""
    mirrored = state.shown in MIRRORED
    return (project.paper.width_mm - place[0], place[1]) if mirrored else place


def _carved(proof: Proof, pull: str, marked: Marked) -> Raster:
    """The block itself, face up: mirrored, with what stays or what goes marked."""
    prints = proof.laid.printed_by(pull)
    labs = np.tile(np.array(WOOD_LAB), (len(prints), 1))
    labs[prints if marked == "stays" else ~prints] = _STAYS_LAB if marked == "stays" else _GOES_LAB
    return _turned_over(proof, labs)


def _sawn(proof: Proof) -> Raster:
    """The pieces of a jigsaw face up: mirrored, each in its ink, the saw cuts between them."""
    project, laid = proof.project, proof.laid
    sawn = {block.id for block in project.blocks if block.kerf_mm is not None}
    labs = np.tile(np.array(WOOD_LAB), (len(proof.labs), 1))
    for column, key in enumerate(laid.films):
        pull = project.impression(key.pull)
        if pull.block in sawn:
            labs[laid.map.members[:, column]] = project.ink(pull.zones[key.zone].ink).lab
    return _turned_over(proof, labs)


def _turned_over(proof: Proof, labs: NDArray[np.float64]) -> Raster:
    laid, project = proof.laid, proof.project
    pad = laid.pad_px / laid.px_per_mm
    left = project.paper.width_mm - project.image.right - pad
    return Raster(_mirrored(laid), labs, laid.px_per_mm, left, project.image.top - pad)


@lru_cache(maxsize=1)
def _mirrored(laid: LaidSheet) -> tuple[Index, ...]:
    """A laid sheet's smaller versions mirrored."""
    return tuple(level[:, ::-1].copy() for level in laid.levels)


def _coloured_sheets(proof: Proof) -> NDArray[np.float64]:
    """Every block as a sheet of coloured film: not what prints, but what lies where."""
    members, project = proof.laid.map.members, proof.project
    shown = np.full((len(members), 3), 255.0)
    for column in films_in_order(project, proof.laid):
        key = proof.laid.films[column]
        ink = project.ink(project.impression(key.pull).zones[key.zone].ink)
        tint = lab_to_srgb(np.array(ink.lab)).astype(np.float64)
        here = members[:, column]
        shown[here] += _SHEET_SHARE * (tint - shown[here])
    return srgb_to_lab(shown)


def _flat(proof: Proof) -> Raster:
    assert proof.project.flat is not None
    labs = np.array([colour.lab for colour in proof.project.flat.colours])
    image = proof.project.image
    return Raster(index_levels(Page(proof.blocks.labels)), labs, proof.blocks.px_per_mm, image.left, image.top)


def lab_text(lab: NDArray[np.float64] | tuple[float, ...]) -> str:
    """L*, a*, b* as whole numbers."""
    return " ".join(number(float(value), 0) for value in lab)


def pulls_at(proof: Proof | None, state: UiState, place: tuple[float, float]) -> tuple[str, ...]:
    """Ids of the pulls that print at a place, in their order, as far as the sheet is looked at."""
    row = _row_at(proof, state, place)
    if proof is None or row is None:
        return ()
    printing = {key.pull for key, prints in zip(proof.laid.films, proof.laid.map.members[row], strict=True) if prints}
    return tuple(pull.id for pull in proof.project.impressions[: state.pulls] if pull.id in printing)


def _row_at(proof: Proof | None, state: UiState, place: tuple[float, float]) -> int | None:
    """The combination of films at a place; None beside the image."""
    if proof is None or proof.project.flat is None:
        return None
    image, laid = proof.project.image, proof.laid
    at = on_print(proof.project, state, place)
    x = int((at[0] - image.left) * laid.px_per_mm) + laid.pad_px
    y = int((at[1] - image.top) * laid.px_per_mm) + laid.pad_px
    height, width = laid.map.index.shape
    return int(laid.map.index[y, x]) if 0 <= x < width and 0 <= y < height else None


def place_text(proof: Proof | None, state: UiState, place: tuple[float, float] | None) -> str:
    """The foot line: the place, what prints there, predicted, wanted, ΔE."""
    if place is None:
        return ""
    said = [f"x {lengths_text(*place, between='  y ')}"]
    if proof is None or proof.project.flat is None:
        return said[0]
    image, laid = proof.project.image, proof.laid
    at, place = place, on_print(proof.project, state, place)
    x = int((place[0] - image.left) * laid.px_per_mm) + laid.pad_px
    y = int((place[1] - image.top) * laid.px_per_mm) + laid.pad_px
    height, width = laid.map.index.shape
    row = _row_at(proof, state, at)
    if row is None:
        return tr("{said}    margin, bare paper", said=said[0])
    order = {pull.id: number_of for number_of, pull in enumerate(proof.project.impressions, start=1)}
    prints = [f"{order[pull]} {within(proof.project.pull_name(pull))}" for pull in pulls_at(proof, state, at)]
    said.append(tr("prints {prints}", prints=", ".join(prints)) if prints else tr("bare paper"))
    labs = proof.labs if state.pulls is None else sheet_labs(proof.project, laid, state.pulls)
    said.append(tr("predicted {lab_text}", lab_text=lab_text(labs[row])))
    inner_x, inner_y = x - laid.pad_px, y - laid.pad_px
    if not (0 <= inner_x < width - 2 * laid.pad_px and 0 <= inner_y < height - 2 * laid.pad_px):
        return "    ".join(said)
    labels = proof.blocks.labels
    # While a block is dragged the sheet is laid coarser than the labels.
    step = proof.blocks.px_per_mm / laid.px_per_mm
    colour = int(labels[min(int(inner_y * step), len(labels) - 1), min(int(inner_x * step), labels.shape[1] - 1)])
    bare = colour in proof.project.bare_colours()
    wanted = np.array(proof.project.paper.lab if bare else proof.project.flat.colours[colour].lab)
    name = tr("paper") if bare else within(proof.project.flat.colours[colour].name)
    said.append(tr("wanted {lab_text} ({name})", lab_text=lab_text(wanted), name=name))
    if state.pulls is None:
        said.append(tr("ΔE {delta_e00}", delta_e00=number(float(delta_e00(labs[row], wanted)))))
    return "    ".join(said)
