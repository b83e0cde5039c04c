"""The project: an immutable value that holds every decision and nothing that can be computed.

Lengths are millimetres on the printed sheet, origin at its top left, x right, y
down. Bitmaps and the source design are named by the SHA-256 of their bytes; the
bytes lie beside the project (see `store`).
"""

import math
from datetime import date
from typing import Annotated, Literal, TypeVar

import numpy as np
from msgspec import Meta, Struct

from nomos.colour import ColourError, Lab, Opacity, smooth_reflectance
from nomos.colour.layering import USUAL_KIND, PaperKind
from nomos.colour.spectra import BANDS
from nomos.colour.trapping import LOOSEST, MIDDLE_TACK, TIGHTEST, Inking, Surface, Vehicle
from nomos.design import Correction, Cut, ReadAs
from nomos.design.cut import checked_cut
from nomos.edition import FILM_G_M2, SLAB_G, WASTE
from nomos.errors import BadInput
from nomos.order import DRYING_H
from nomos.order.calendar import Times
from nomos.project.craft import Craft, EditionPlan, check_craft, check_edition
from nomos.project.craft import ProjectError as ProjectError
from nomos.proof import Misregister
from nomos.registration import KentoSettings, Rect, RegisterSettings, Turn, check_settings
from nomos.separation import TRAP_MM
from nomos.separation.sharing import CLEARANCE_MM, MOST_ZONES
from nomos.units import LARGEST_MM, SMALLEST_MM

VERSION = 1
LARGEST_TRAP_MM = 3.0
# How many sheets ink is mixed for until it is said (chosen by us).
SHEETS = 20
LARGEST_SHIFT_MM = 5.0
# An overlap up to this far from the darker colour alone is taken before a white sliver, and sheets
# are taken to meet blocks this closely. Both chosen by us, no source; the user sets them.
SEAM_DE00 = 12.0
TOLERANCE_MM = 0.4
LARGEST_TOLERANCE_MM = 3.0
# The thinnest line that holds and the finest tool; chosen by us, the user's wood and tools decide.
LINE_MM = 0.5
TOOL_MM = 0.7
LARGEST_TURN_DEG = 2.0
THINNEST_LINE_MM, WIDEST_LINE_MM = 0.3, 8.0
# A saw for lino or thin board, the border to hold a sawn block by (common practice gives 6 to 13 mm),
# and the neck of a piece that still holds: chosen by us, the user's saw and board decide.
KERF_MM, GRIP_MM, NECK_MM = 0.6, 10.0, 3.0
# How untrue a board cut by hand may be; chosen by us, no source: measure it.
UNTRUE_MM = 0.5

Digest = Annotated[str, Meta(pattern="^[0-9a-f]{64}$")]


Bands = Annotated[tuple[float, ...], Meta(min_length=BANDS, max_length=BANDS)]

Known = Literal["readings", "one reading", "chart", "proof", "recipe"]


class Paper(Struct, frozen=True, forbid_unknown_fields=True):
    """The sheet: its colour (CIELAB D50/2 deg) and size, and how it takes ink and damp.

    reflectance : measured, 380 to 730 nm by 10; its colour is then `lab`.
    kind : coated, smooth or absorbent, which decides how much light its surface gives back.
    grain : along the sheet's height or its width.
    growth : of a damp sheet, along and across the grain, per cent; from memory: measure it.
    """

    name: str
    lab: Lab
    width_mm: float
    height_mm: float
    reflectance: Bands | None = None
    surface: Surface = "smooth"
    kind: PaperKind = USUAL_KIND
    weight_gsm: float | None = None
    thickness_mm: float | None = None
    grain: Literal["height", "width"] = "height"
    growth: tuple[float, float] = (0.2, 1.0)


class Source(Struct, frozen=True, forbid_unknown_fields=True):
    """The design as it was read: file name, bytes by digest, its size, and what of it is printed."""

    name: str
    digest: Digest
    size_mm: tuple[float, float]
    cut: Cut | None = None


class WantedColour(Struct, frozen=True, forbid_unknown_fields=True):
    """A colour of the flat design; its number is its place in the list."""

    name: str
    lab: Lab


class Flat(Struct, frozen=True, forbid_unknown_fields=True):
    """The flat design: a PNG of colour numbers, the colours, and how they were found.

    read_as : how the design is to be read, where that was said.
    line, paper : the numbers of the drawn line and of bare paper, where they were recognised.
    corrections : what was corrected by hand, in order.
    """

    labels: Digest
    colours: tuple[WantedColour, ...]
    asked: int | None
    smallest_feature_mm: float
    seed: int
    mean_de00: float
    read_as: ReadAs | None = None
    line: int | None = None
    paper: int | None = None
    corrections: tuple[Correction, ...] = ()


class Optics(Struct, frozen=True, forbid_unknown_fields=True):
    """What readings have taught of an ink: K and S of its solid film by band, and its surface term.

    sealed : read on a card that does not drink; on bare paper some of the film then sinks in.
    known : from what: readings over white and black, one reading, a chart of overlaps, a proof, a recipe.
    """

    absorption: Bands
    scattering: Bands
    k1: float
    sealed: bool = False
    known: Known = "readings"


class Ink(Struct, frozen=True, forbid_unknown_fields=True):
    """An ink by the colour of its solid on the paper (CIELAB D50/2 deg) and its opacity, or by its optics.

    reflectance : of its solid on the paper, measured, 380 to 730 nm by 10; its colour is then `lab`.
    pigment : its generic Colour Index name, if known.
    tack : 0 loose to 10 tight.
    drying_h : until it can be overprinted, at 20 degrees.
    cost, tub_g : of a tub, in the user's own money, and what it holds.
    modifier_pct : oil, carbonate, paste or driers worked into it, per cent of the whole by weight.
    """

    id: str
    name: str
    lab: Lab
    opacity: Opacity = "transparent"
    optics: Optics | None = None
    reflectance: Bands | None = None
    pigment: str = ""
    vehicle: Vehicle = "oil"
    tack: float = MIDDLE_TACK
    drying_h: float = DRYING_H
    cost: float = 0.0
    tub_g: float = 0.0
    modifier_pct: float = 0.0
    notes: str = ""


class Contour(Struct, frozen=True, forbid_unknown_fields=True):
    """A key of lines along the borders; weigh: thinner where two colours are nearly alike."""

    width_mm: float
    weigh: bool = True


class Block(Struct, frozen=True, forbid_unknown_fields=True):
    """A block and the numbers of the flat colours it prints; with `contour`, lines along their borders.

    drawn : a PNG mask changed by hand, used in place of the one worked out.
    board : the piece of material it is cut in, if it shares one.
    face : which side of the board; blocks on one side are its successive states, in print order.
    kerf_mm : the width of the saw or knife cut, for a block that is cut apart along its colours' borders.
    """

    id: str
    name: str
    colours: tuple[int, ...]
    is_key: bool = False
    contour: Contour | None = None
    drawn: Digest | None = None
    board: str | None = None
    face: Literal["front", "back"] = "front"
    kerf_mm: float | None = None


class Grade(Struct, frozen=True, forbid_unknown_fields=True):
    """A graded inking (bokashi): the strength runs evenly from one place to another, x and y on the sheet.

    to : the strength at the end and beyond; the zone's own is that at the start and before it.
    curve : 1 runs evenly, more stays longer at the start, less at the end.
    both : from the end back to the start again, two-ended, the strength `to` in the middle.
    edge_mm : follows the block's own edge instead, from it inwards over this width.
    """

    start: tuple[float, float]
    end: tuple[float, float]
    to: float
    curve: float = 1.0
    both: bool = False
    edge_mm: float | None = None


class Zone(Struct, frozen=True, forbid_unknown_fields=True):
    """What one part of a block is inked with; strength 1 is the solid, less is extended.

    colours : the flat colours it covers. An impression's first zone covers what its others leave,
        and names none.
    """

    ink: str
    strength: float = 1.0
    colours: tuple[int, ...] = ()
    grade: Grade | None = None
    inking: Inking = "normal"


class Impression(Struct, frozen=True, forbid_unknown_fields=True):
    """One meeting of the sheet with a block, inked in one or more zones. They stand in print order.

    wet : printed while the impression before it is still wet.
    trapping : the share of its film that then takes; None works it out from the inks' tack.
    """

    id: str
    block: str
    zones: tuple[Zone, ...]
    offset: Misregister = Misregister()
    wet: bool = False
    trapping: float | None = None


class Workshop(Struct, frozen=True, forbid_unknown_fields=True):
    """How the printmaker works, where it decides what can be cut and inked.

    clearance_mm : room between two colours inked apart on one block.
    most_zones : how many can be inked before the first dries.
    grip_mm : border around a sawn block to hold it and its pieces by.
    neck_mm : a piece narrower than this at one place breaks there.
    carried : how the drawing comes onto the other blocks: by impressions of the finished key, or by one
        tracing for all.
    turned : how a board is turned over to its other face.
    untrue_mm : how far an edge of a board is out of square or parallel, over its length.
    cut_out : a reduction's board is cut right through, not carved, so that parts come loose.
    writing : whether the design holds writing; None while the user has not been asked.
    sheets : pulls of every block, with bad ones and proofs.
    film_g_m2, slab_g, waste : what a solid holds, what slab and roller keep, and the share that is lost.
    """

    clearance_mm: float = CLEARANCE_MM
    most_zones: int = MOST_ZONES
    grip_mm: float = GRIP_MM
    neck_mm: float = NECK_MM
    carried: Literal["impressions", "tracing"] = "impressions"
    turned: Turn = "sideways"
    untrue_mm: float = UNTRUE_MM
    cut_out: bool = False
    writing: bool | None = None
    sheets: int = SHEETS
    film_g_m2: float = FILM_G_M2
    slab_g: float = SLAB_G
    waste: float = WASTE


class ProofReading(Struct, frozen=True, forbid_unknown_fields=True):
    """How far a pull was found out of register on a proof or sheet, about the middle of the image.

    sheet : which sheet of the edition; 0 for a proof.
    stretch_pct : along x and y; None where the reading cannot show it.
    sigma_mm : one standard error of the shift.
    how : read by eye, from marks, or from a scan.
    """

    pull: str
    day: str
    sheet: int
    dx_mm: float
    dy_mm: float
    rotation_deg: float
    stretch_pct: tuple[float, float] | None = None
    sigma_mm: float = 0.05
    how: Literal["eye", "marks", "scan"] = "eye"


T = TypeVar("T", Ink, Block, Impression)


class Project(Struct, frozen=True, forbid_unknown_fields=True):
    """Everything decided so far."""

    title: str
    paper: Paper
    image: Rect
    version: int = VERSION
    source: Source | None = None
    flat: Flat | None = None
    inks: tuple[Ink, ...] = ()
    blocks: tuple[Block, ...] = ()
    impressions: tuple[Impression, ...] = ()
    trap_mm: float = TRAP_MM
    seam_de00: float = SEAM_DE00
    tolerance_mm: float = TOLERANCE_MM
    line_mm: float = LINE_MM
    tool_mm: float = TOOL_MM
    kento: KentoSettings = KentoSettings()
    register: RegisterSettings = RegisterSettings()
    readings: tuple[ProofReading, ...] = ()
    craft: Craft = Craft()
    plan: EditionPlan = EditionPlan()
    workshop: Workshop = Workshop()
    times: Times = Times()

    def __post_init__(self) -> None:
        _check_sizes(self)
        _check_colours(self)
        _check_references(self)
        _check_impressions(self)
        _check_materials(self)
        check_settings(self.register)
        check_craft(self.craft)
        check_edition(self.plan)

    def ink(self, ink_id: str) -> Ink:
        """The ink of that id. Raises KeyError."""
        return next_by_id(self.inks, ink_id)

    def block(self, block_id: str) -> Block:
        """The block of that id. Raises KeyError."""
        return next_by_id(self.blocks, block_id)

    def number_of(self, block_id: str) -> int:
        """The place of a block in `blocks`, by which its mask is known. Raises KeyError."""
        for place, block in enumerate(self.blocks):
            if block.id == block_id:
                return place
        raise KeyError(block_id)

    def impression(self, impression_id: str) -> Impression:
        """The impression of that id. Raises KeyError."""
        return next_by_id(self.impressions, impression_id)

    def bare_colours(self) -> tuple[int, ...]:
        """Numbers of the flat colours that no block prints."""
        printed = {number for block in self.blocks for number in block.colours}
        count = len(self.flat.colours) if self.flat else 0
        return tuple(number for number in range(count) if number not in printed)


def next_by_id(things: tuple[T, ...], wanted: str) -> T:
    """The thing of that id. Raises KeyError."""
    for thing in things:
        if thing.id == wanted:
            return thing
    raise KeyError(wanted)


def _require(holds: bool, field: str, reason: str) -> None:
    if not holds:
        raise ProjectError(field, reason)


def _within(value: float, least: float, most: float) -> bool:
    return math.isfinite(value) and least <= value <= most


def _check_sizes(project: Project) -> None:
    paper, image = project.paper, project.image
    for side in (paper.width_mm, paper.height_mm):
        _require(
            _within(side, SMALLEST_MM, LARGEST_MM),
            "paper",
            f"A sheet side of {side:g} mm is not possible: choose {SMALLEST_MM:g} to {LARGEST_MM:g} mm.",
        )
    inside = (
        -1e-6 <= image.left < image.right <= paper.width_mm + 1e-6
        and -1e-6 <= image.top < image.bottom <= paper.height_mm + 1e-6
    )
    _require(inside, "image", "The image runs off the sheet: choose a larger sheet or smaller margins.")
    _require(
        _within(project.trap_mm, 0, LARGEST_TRAP_MM),
        "trap_mm",
        f"A trap of {project.trap_mm:g} mm is not possible: choose 0 to {LARGEST_TRAP_MM:g} mm.",
    )
    _require(
        _within(project.tolerance_mm, 0, LARGEST_TOLERANCE_MM),
        "tolerance_mm",
        f"A tolerance of {project.tolerance_mm:g} mm is not possible: "
        f"choose 0 to {LARGEST_TOLERANCE_MM:g} mm.",
    )
    for value, what in ((project.line_mm, "thinnest line"), (project.tool_mm, "finest tool")):
        _require(
            _within(value, 0.1, 10),
            "line_mm",
            f"{value:g} mm for the {what} is not possible: choose 0.1 to 10 mm.",
        )
    _require(
        _within(project.seam_de00, 0, 100), "seam_de00", "The seam that may be seen must be ΔE 0 to 100."
    )
    _check_workshop(project.workshop)
    _check_times(project.times)


def _check_workshop(workshop: Workshop) -> None:
    for value, least, most, what in (
        (workshop.clearance_mm, 0, 200, "clearance between two inks"),
        (workshop.grip_mm, 0, 100, "grip border"),
        (workshop.neck_mm, 0.1, 50, "narrowest neck"),
        (workshop.untrue_mm, 0, 20, "untrueness of a board"),
    ):
        _require(
            _within(value, least, most),
            "workshop",
            f"{value:g} mm for the {what} is not possible: choose {least:g} to {most:g} mm.",
        )
    _require(1 <= workshop.sheets <= 100_000, "workshop", "Sheets must be 1 to 100 000.")
    known = _within(workshop.film_g_m2, 0.1, 500) and _within(workshop.slab_g, 0, 1e4)
    _require(
        known and _within(workshop.waste, 0, 0.9),
        "workshop",
        "Film, slab and waste must be figures that can be.",
    )
    _require(1 <= workshop.most_zones <= 20, "workshop", "Between 1 and 20 zones can be inked at a time.")


def _check_times(times: Times) -> None:
    minutes = (
        times.setup_min,
        times.pull_min,
        times.wash_min,
        times.wipe_min,
        times.cutting_min,
        times.damp_min,
    )
    _require(all(_within(value, 0, 10_000) for value in minutes), "times", "Minutes must be 0 to 10 000.")
    hours = _within(times.opens, 0, 24) and _within(times.closes, 0, 24) and times.opens < times.closes
    _require(hours, "times", "A working day must end after it begins.")
    days = bool(times.days) and all(0 <= day <= 6 for day in times.days)
    _require(days, "times", "At least one day of the week must be a working day.")
    _require(times.rack >= 1 and times.pulls_a_day >= 0, "times", "The rack needs at least one place.")
    air = _within(times.temperature, 0, 45) and _within(times.humidity, 0, 100)
    _require(air, "times", "The air must have 0 to 45 °C and 0 to 100 % humidity.")
    for day in (*times.lost, *([times.start] if times.start else [])):
        try:
            date.fromisoformat(day)
        except ValueError:
            raise ProjectError("times", f"{day} is not a date; write it as 2026-12-01.") from None


def _check_colours(project: Project) -> None:
    colours = project.flat.colours if project.flat else ()
    named: list[Paper | WantedColour | Ink] = [project.paper, *colours, *project.inks]
    for thing in named:
        lightness, a, b = thing.lab
        _require(
            _within(lightness, 0, 100) and _within(a, -200, 200) and _within(b, -200, 200),
            "lab",
            f"{thing.name} has a colour that cannot be: L* must be 0 to 100, a* and b* −200 to 200.",
        )
    # What is wanted may be out of reach; what is printed with must exist.
    printed_with: list[Paper | Ink] = [project.paper, *project.inks]
    for real in printed_with:
        try:
            smooth_reflectance(np.array(real.lab))
        except ColourError:
            raise ProjectError(
                "lab", f"No paper or ink can have the colour asked of {real.name}: take a less saturated one."
            ) from None


def _check_materials(project: Project) -> None:
    paper = project.paper
    spectra = [paper.reflectance or ()]
    for ink in project.inks:
        _require(_within(ink.tack, LOOSEST, TIGHTEST), "inks", f"The tack of {ink.name} must be 0 to 10.")
        known = _within(ink.drying_h, 0, 10_000) and ink.cost >= 0 and ink.tub_g >= 0
        known = known and _within(ink.modifier_pct, 0, 90)
        _require(known, "inks", f"Drying, cost and tub of {ink.name} cannot be below nothing.")
        if ink.optics is not None:
            spectra += [ink.optics.absorption, ink.optics.scattering]
    for values in spectra:
        _require(
            all(_within(value, 0, 1e5) for value in values), "inks", "A spectrum holds values that cannot be."
        )
    _require(
        all(_within(value, 0, 20) for value in paper.growth), "paper", "Damp paper grows 0 to 20 per cent."
    )


def _check_references(project: Project) -> None:
    for things, field in (
        (project.inks, "inks"),
        (project.blocks, "blocks"),
        (project.impressions, "impressions"),
    ):
        ids = [thing.id for thing in things]
        _require(len(set(ids)) == len(ids), field, f"Two of the {field} have the same id.")
    count = len(project.flat.colours) if project.flat else 0
    if project.source is not None and project.source.cut is not None:
        try:
            checked_cut(project.source.cut, project.source.name)
        except BadInput as error:
            raise ProjectError("source", str(error)) from None
    _check_corrections(project.flat.corrections if project.flat else ())
    for number in (project.flat.line, project.flat.paper) if project.flat else ():
        _require(
            number is None or 0 <= number < count,
            "flat",
            "The line or the paper is a colour that is not there.",
        )
    blocks, inks = {block.id for block in project.blocks}, {ink.id for ink in project.inks}
    for block in project.blocks:
        known = all(0 <= number < count for number in block.colours)
        _require(known, "blocks", f"Block {block.name} prints a colour that the design does not have.")
        if block.contour is not None:
            _require(
                _within(block.contour.width_mm, THINNEST_LINE_MM, WIDEST_LINE_MM),
                "contour",
                f"A contour of {block.contour.width_mm:g} mm is not possible: "
                f"choose {THINNEST_LINE_MM:g} to {WIDEST_LINE_MM:g} mm.",
            )
        if block.kerf_mm is not None:
            _require(
                _within(block.kerf_mm, 0, 5),
                "kerf_mm",
                f"A saw cut {block.kerf_mm:g} mm wide is not possible: choose 0 to 5 mm.",
            )
    for impression in project.impressions:
        _require(impression.block in blocks, "impressions", "An impression is of a block that is not there.")
        for zone in impression.zones:
            _require(zone.ink in inks, "impressions", "An impression uses an ink that is not there.")
            known = all(0 <= number < count for number in zone.colours)
            _require(known, "zones", "A zone covers a colour that the design does not have.")


def _check_corrections(corrections: tuple[Correction, ...]) -> None:
    for each in corrections:
        figures = [*(each.lab or ()), *(each.other or ()), *(side for place in each.places for side in place)]
        known = all(math.isfinite(figure) and abs(figure) < 1e3 for figure in figures)
        _require(
            known and _within(each.width_mm, 0, LARGEST_MM),
            "corrections",
            "A correction lies nowhere that can be.",
        )


def _check_impressions(project: Project) -> None:
    for impression in project.impressions:
        _check_zones(impression)
        _require(
            impression.trapping is None or _within(impression.trapping, 0, 1),
            "trapping",
            "Ink trapping must be 0 to 100 %.",
        )
        shift = max(abs(impression.offset.dx_mm), abs(impression.offset.dy_mm))
        _require(
            _within(shift, 0, LARGEST_SHIFT_MM)
            and _within(abs(impression.offset.rotation_deg), 0, LARGEST_TURN_DEG),
            "offset",
            f"A block can be tried up to {LARGEST_SHIFT_MM:g} mm and {LARGEST_TURN_DEG:g}° out of register.",
        )


def _check_zones(impression: Impression) -> None:
    first, *others = impression.zones or (None,)
    _require(first is not None and not first.colours, "zones", "The first zone covers what the others leave.")
    named = [number for zone in others for number in zone.colours]
    apart = len(set(named)) == len(named) and all(zone.colours for zone in others)
    _require(apart, "zones", "Every further zone needs colours of its own.")
    for zone in impression.zones:
        strengths = (zone.strength, zone.grade.to if zone.grade else 0.0)
        for strength in strengths:
            _require(_within(strength, 0, 1), "strength", "The strength of an ink must be 0 to 100 %.")
        if zone.grade is not None:
            places = (*zone.grade.start, *zone.grade.end)
            known = all(_within(value, -LARGEST_MM, LARGEST_MM) for value in places)
            apart = zone.grade.start != zone.grade.end
            _require(known and apart, "grade", "A graded zone needs two different places on the sheet.")
            bent = _within(zone.grade.curve, 0.2, 5) and _within(zone.grade.edge_mm or 1, 0.5, 500)
            _require(bent, "grade", "A graded zone bends by 0.2 to 5, or follows an edge over 0.5 to 500 mm.")
