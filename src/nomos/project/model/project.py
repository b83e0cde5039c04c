"""The project: an immutable value that holds every decision and nothing that can be computed.

Lengths are millimetres on the printed sheet, origin at its top left, x right, y
down. Bitmaps and the source design are named by the SHA-256 of their bytes; the
bytes lie beside the project (see `store`).
"""

from typing import Annotated, Literal, TypeVar

from msgspec import Meta, Struct, field

from nomos.base.fields import figure, length
from nomos.base.language import tr
from nomos.colour import Lab
from nomos.design import Correction, Cut, ReadAs
from nomos.order.times import Times
from nomos.project.model.block import Block
from nomos.project.model.checks import check_project
from nomos.project.model.clean import clean_names
from nomos.project.model.craft import Craft, EditionPlan
from nomos.project.model.impression import Impression
from nomos.project.model.ink import Ink
from nomos.project.model.limits import (
    LARGEST_TOLERANCE_MM,
    LARGEST_TRAP_MM,
    MOST_BLOCKS,
    MOST_COLOURS,
    MOST_INKS,
    MOST_READINGS,
    SEAM_DE00,
    TOLERANCE_MM,
    VERSION,
    Digest,
)
from nomos.project.model.paper import Paper
from nomos.project.model.workshop import Workshop
from nomos.registration import KentoSettings, Rect, RegisterSettings
from nomos.separation import TRAP_MM


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
    requested_colours: int | None = field(name="asked")
    smallest_feature_mm: float
    seed: int
    mean_de00: float
    read_as: ReadAs | None = None
    line: int | None = None
    paper: int | None = None
    corrections: tuple[Correction, ...] = ()


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
    trap_mm: Annotated[
        float,
        length(
            tr("Trap: lighter under darker"),
            tr("How far the lighter colour runs under the darker, so that no gap opens."), 0, LARGEST_TRAP_MM,
            step=0.1, digits=2, level="usual", undo=tr("Trap"),
        ),
    ] = TRAP_MM  # fmt: skip
    seam_de00: Annotated[
        float,
        figure(
            tr("A dark seam may show up to"),
            tr("Up to this ΔE an overlap is taken before a gap; above it the two only kiss."), "ΔE", 0, 100,
            digits=0, undo=tr("Seam"),
        ),
    ] = SEAM_DE00  # fmt: skip
    tolerance_mm: Annotated[
        float,
        length(
            tr("Sheets meet blocks within"),
            tr("How far sheets may lie from their place, as you know your hand."),
            0, LARGEST_TOLERANCE_MM, step=0.1, digits=2, level="usual", undo=tr("Tolerance"),
        ),
    ] = TOLERANCE_MM  # fmt: skip
    line_mm: Annotated[
        float,
        length(
            tr("Thinnest line that holds"),
            tr("Thinner printing lines are pointed out, and kept off your blocks."), 0.1, 10, step=0.1,
            digits=2, zero_unsets=True, unset=tr("by the material"), undo=tr("Fineness"),
        ),
    ] | None = None  # fmt: skip
    tool_mm: Annotated[
        float,
        length(
            tr("Narrowest channel"), tr("Channels narrower than this are pointed out."), 0.1, 10, step=0.1,
            digits=2, zero_unsets=True, unset=tr("by material and tools"), undo=tr("Fineness"),
        ),
    ] | None = None  # fmt: skip
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
