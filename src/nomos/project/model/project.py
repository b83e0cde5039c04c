"""The project: an immutable value that holds every decision and nothing that can be computed.

Lengths are millimetres on the printed sheet, origin at its top left, x right, y
down. Bitmaps and the source design are named by the SHA-256 of their bytes; the
bytes lie beside the project (see `store`).
"""

from typing import Annotated, Literal, TypeVar

from msgspec import Meta, Struct

from nomos.base.language import tr
from nomos.carving import Material
from nomos.colour import Lab, Opacity
from nomos.colour.trapping import (
    CARBONATE_STEP_PCT,
    MIDDLE_TACK,
    OIL_STEP_PCT,
    Inking,
)
from nomos.colour.vehicles import VEHICLES
from nomos.design import Correction, Cut, ReadAs
from nomos.edition import FILM_G_M2, SLAB_G, WASTE
from nomos.order import DRYING_H
from nomos.order.calendar import Times
from nomos.project.model.checks import check_project
from nomos.project.model.clean import clean_names
from nomos.project.model.craft import Craft, EditionPlan
from nomos.project.model.limits import (
    GRIP_MM,
    LINE_MM,
    MOST_BLOCKS,
    MOST_COLOURS,
    MOST_INKS,
    MOST_READINGS,
    NECK_MM,
    SEAM_DE00,
    TOLERANCE_MM,
    TOOL_MM,
    UNTRUE_MM,
    USUAL_VEHICLE,
    VERSION,
    bounded,
)
from nomos.project.model.paper import Bands, Paper
from nomos.proof import Misregister
from nomos.registration import KentoSettings, Rect, RegisterSettings, Turn
from nomos.separation import TRAP_MM
from nomos.separation.sharing import CLEARANCE_MM, MOST_ZONES

Digest = Annotated[str, Meta(pattern="^[0-9a-f]{64}$")]


VehicleName = Annotated[str, Meta(extra_json_schema={"enum": list(VEHICLES)})]
Known = Literal["readings", "one reading", "chart", "proof", "recipe"]


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
    colours: Annotated[tuple[WantedColour, ...], Meta(max_length=MOST_COLOURS)]
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
    tack : 0 loose to 10 tight, as it comes from the tub.
    drying_h : until it can be overprinted, at 20 degrees.
    cost, tub_g : of a tub, in the user's own money, and what it holds.
    modifier_pct : oil, carbonate, paste or driers worked into it, per cent of the whole by weight.
    modifier : which: oil makes it looser, carbonate tighter, another leaves the tack as it is.
    """

    id: str
    name: str
    lab: Lab
    opacity: Opacity = "transparent"
    optics: Optics | None = None
    reflectance: Bands | None = None
    pigment: str = ""
    vehicle: VehicleName = USUAL_VEHICLE
    tack: Annotated[float, bounded("tack")] = MIDDLE_TACK
    drying_h: Annotated[float, bounded("drying_h")] = DRYING_H
    cost: float = 0.0
    tub_g: float = 0.0
    modifier_pct: Annotated[float, bounded("modifier_pct")] = 0.0
    modifier: Literal["", "oil", "carbonate"] = ""
    notes: str = ""


class Contour(Struct, frozen=True, forbid_unknown_fields=True):
    """A key of lines along the borders; weigh: thinner where two colours are nearly alike."""

    width_mm: Annotated[float, bounded("contour_mm")]
    weigh: bool = True


class Block(Struct, frozen=True, forbid_unknown_fields=True):
    """A block and the numbers of the flat colours it prints; with `contour`, lines along their borders.

    drawn : a PNG mask changed by hand, used in place of the one worked out.
    board : the piece of material it is cut in, if it shares one.
    face : which side of the board; blocks on one side are its successive states, in print order.
    kerf_mm : the width of the saw or knife cut, for a block that is cut apart along its colours' borders.
    material : of its own, hard for a key of fine lines, softer for colour; None is the workshop's.
    """

    id: str
    name: str
    colours: tuple[int, ...]
    is_key: bool = False
    contour: Contour | None = None
    drawn: Digest | None = None
    board: str | None = None
    face: Literal["front", "back"] = "front"
    kerf_mm: Annotated[float, bounded("kerf_mm")] | None = None
    material: Material | None = None


class Grade(Struct, frozen=True, forbid_unknown_fields=True):
    """A graded inking (bokashi): the strength runs evenly from one place to another, x and y on the sheet.

    to : the strength at the end and beyond; the zone's own is that at the start and before it.
    curve : 1 runs evenly, more stays longer at the start, less at the end.
    both : from the end back to the start again, two-ended, the strength `to` in the middle.
    edge_mm : follows the block's own edge instead, from it inwards over this width.
    outer : follows the outer edges alone, not those of holes and specks.
    """

    start: tuple[float, float]
    end: tuple[float, float]
    to: Annotated[float, bounded("share")]
    curve: Annotated[float, bounded("curve")] = 1.0
    both: bool = False
    edge_mm: Annotated[float, bounded("edge_mm")] | None = None
    outer: bool = False


Outline = tuple[tuple[float, float], ...]
Tool = Literal["roller", "half roller", "small roller", "dabber", "brush", "brush and paste"]
Printing = Literal["baren", "spoon", "hand", "clean roller", "hand press", "press"]


class Zone(Struct, frozen=True, forbid_unknown_fields=True):
    """What one part of a block is inked with; strength 1 is the solid, less is extended.

    colours : the flat colours it covers. An impression's first zone covers what its others leave,
        and names none.
    areas : drawn by hand, closed outlines on the sheet; a later zone lies over an earlier one.
    bare : no ink stands there: it is left without, or wiped off before the pull.
    soft_mm : over how much of a wiped zone the ink fades, from its edge inwards.
    tool : with what it is put on; the workshop's usual roller where nothing is said.
    """

    ink: str
    strength: Annotated[float, bounded("share")] = 1.0
    colours: tuple[int, ...] = ()
    grade: Grade | None = None
    inking: Inking = "normal"
    areas: tuple[Outline, ...] = ()
    bare: Literal["", "uninked", "wiped"] = ""
    soft_mm: Annotated[float, bounded("soft_mm")] = 0.0
    tool: Tool = "roller"

    @property
    def inked(self) -> bool:
        """Whether any ink of it reaches the sheet."""
        return not self.bare or self.soft_mm > 0


class Impression(Struct, frozen=True, forbid_unknown_fields=True):
    """One meeting of the sheet with a block, inked in one or more zones. They stand in print order.

    wet : printed while the impression before it is still wet.
    trapping : the share of its film that then takes; None works it out from the inks' tack.
    name : of this pass of the block, where it has one of its own.
    printing, packing_sheets : how it is rubbed or pressed; None is the workshop's usual way.
    turned_over : the block is laid onto the paper and both are turned over.
    """

    id: str
    block: str
    zones: tuple[Zone, ...]
    offset: Misregister = Misregister()
    wet: bool = False
    trapping: Annotated[float, bounded("share")] | None = None
    name: str = ""
    printing: Printing | None = None
    packing_sheets: Annotated[int, bounded("packing_sheets")] | None = None
    turned_over: bool = False

    @property
    def main(self) -> Zone:
        """The first zone that ink stands on."""
        return next((zone for zone in self.zones if not zone.bare), self.zones[0])


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
    sheets : pulls of every block, with bad ones and proofs; None is what the edition needs.
    film_g_m2, slab_g, waste : what a solid holds, what slab and roller keep, and the share that is lost.
    oil_step_pct, carbonate_step_pct : how much of it changes the tack of an ink by one step.
    """

    clearance_mm: Annotated[float, bounded("clearance_mm")] = CLEARANCE_MM
    most_zones: Annotated[int, bounded("most_zones")] = MOST_ZONES
    grip_mm: Annotated[float, bounded("grip_mm")] = GRIP_MM
    neck_mm: Annotated[float, bounded("neck_mm")] = NECK_MM
    carried: Literal["impressions", "tracing"] = "impressions"
    turned: Turn = "sideways"
    untrue_mm: Annotated[float, bounded("untrue_mm")] = UNTRUE_MM
    cut_out: bool = False
    writing: bool | None = None
    sheets: Annotated[int, bounded("sheets")] | None = None
    film_g_m2: Annotated[float, bounded("film_g_m2")] = FILM_G_M2
    slab_g: Annotated[float, bounded("slab_g")] = SLAB_G
    waste: Annotated[float, bounded("waste")] = WASTE
    oil_step_pct: Annotated[float, bounded("step_pct")] = OIL_STEP_PCT
    carbonate_step_pct: Annotated[float, bounded("step_pct")] = CARBONATE_STEP_PCT


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
    """Everything decided so far.

    id : of this print, by which its log knows it, whatever its file is called; "" while it has no file.
    """

    title: str
    paper: Paper
    image: Rect
    version: int = VERSION
    id: Annotated[str, Meta(pattern="^[0-9a-z]{0,32}$")] = ""
    source: Source | None = None
    flat: Flat | None = None
    inks: Annotated[tuple[Ink, ...], Meta(max_length=MOST_INKS)] = ()
    blocks: Annotated[tuple[Block, ...], Meta(max_length=MOST_BLOCKS)] = ()
    impressions: Annotated[tuple[Impression, ...], Meta(max_length=MOST_BLOCKS)] = ()
    trap_mm: Annotated[float, bounded("trap_mm")] = TRAP_MM
    seam_de00: Annotated[float, bounded("seam_de00")] = SEAM_DE00
    tolerance_mm: Annotated[float, bounded("tolerance_mm")] = TOLERANCE_MM
    line_mm: Annotated[float, bounded("fineness_mm")] = LINE_MM
    tool_mm: Annotated[float, bounded("fineness_mm")] = TOOL_MM
    kento: KentoSettings = KentoSettings()
    register: RegisterSettings = RegisterSettings()
    readings: Annotated[tuple[ProofReading, ...], Meta(max_length=MOST_READINGS)] = ()
    craft: Craft = Craft()
    plan: EditionPlan = EditionPlan()
    workshop: Workshop = Workshop()
    times: Times = Times()

    def __post_init__(self) -> None:
        clean_names(self)
        check_project(self)

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

    def pull_name(self, impression_id: str) -> str:
        """What a pull is called: its own name, or its block's, told apart from the block's other passes."""
        pull = self.impression(impression_id)
        name = self.block(pull.block).name
        at = [each.id for each in self.impressions if each.block == pull.block].index(pull.id)
        return pull.name or (tr("{name}, pass {index}", name=name, index=at + 1) if at else name)

    @property
    def sheet_by_sheet(self) -> bool:
        """Whether each sheet goes through all layers before the next; never where a board is cut on."""
        return self.times.way == "sheet by sheet" and not any(block.board for block in self.blocks)

    def goes_on_wet(self, place: int) -> bool:
        """Whether the impression at a place in print order goes onto ink that is still wet."""
        return place > 0 and (self.impressions[place].wet or self.sheet_by_sheet)

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
