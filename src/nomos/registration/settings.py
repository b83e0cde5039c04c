"""What the printer chooses about registration, and what each system is good for."""

from dataclasses import dataclass
from typing import Annotated, Literal

from msgspec import Meta

from nomos.base.errors import BadInput
from nomos.base.fields import choice, figure, length, yes
from nomos.base.language import tr

# The name of a record in `systems`; `check_system` there refuses what is none.
System = str
USUAL_SYSTEM: System = "kento"
MarkKind = Literal["none", "crosses", "rings", "verniers"]
REGISTRATION, TOLERANCE = tr("Registration"), tr("Tolerance")


def _part(label: str, tip: str) -> Meta:
    """A part of the error, +- mm."""
    return length(label, tip, 0, 5, step=0.05, digits=2, unset=tr("as usual"), undo=TOLERANCE)


def _growth(label: str, tip: str) -> Meta:
    """A part of the error that grows with the sheet, +- per cent."""
    return figure(label, tip, "%", 0, 5, step=0.01, digits=3, unset=tr("as usual"), undo=TOLERANCE)


class RegisterError(BadInput):
    """A system of registration that has no room, or settings that cannot be."""


@dataclass(frozen=True)
class PinSettings:
    """Pairs of tab and pin cut from thin board. Lengths in mm; all defaults chosen by us, no source.

    pairs : two, or three for a large or floppy sheet.
    taped : the female halves are taped onto the sheet; else the sheet itself is punched.
    clearance_mm : between a pin and its hole, on each side.
    kerf_mm : what the cutter takes away along its line.
    board_mm : thickness of the board.
    stock_mm : the piece of board the parts are cut from.
    """

    pairs: Annotated[
        int,
        choice(
            tr("Pins"), tr("Three pairs for a large or floppy sheet."),
            ((2, tr("two pairs")), (3, tr("three pairs"))), undo=REGISTRATION,
        ),
    ] = 2  # fmt: skip
    taped: Annotated[
        bool,
        yes(
            tr("Tabs taped on, not punched"), tr("The sheet itself is not punched: it carries taped tabs."),
            undo=REGISTRATION,
        ),
    ] = True  # fmt: skip
    clearance_mm: Annotated[
        float,
        length(
            tr("Clearance, each side"), tr("Between a pin and its hole, on each side."), 0, 1, step=0.05,
            digits=2, undo=REGISTRATION,
        ),
    ] = 0.1  # fmt: skip
    kerf_mm: Annotated[
        float,
        length(
            tr("Kerf of the cutter"), tr("What the cutter takes away along its line."), 0, 3, step=0.05,
            digits=2, undo=REGISTRATION,
        ),
    ] = 0.2  # fmt: skip
    board_mm: Annotated[
        float,
        length(
            tr("Board of the pins"), tr("How thick the board is that the pins are cut from."), 0.3, 10,
            step=0.1, undo=REGISTRATION,
        ),
    ] = 2.0  # fmt: skip
    stock_mm: Annotated[
        tuple[float, float],
        length(
            tr("Board to cut from"), tr("The piece of board that tabs and pins are cut from."), 60, 3000,
            step=10, sides=(tr("Board to cut from, width"), tr("Board, height")), undo=REGISTRATION,
        ),
    ] = (300.0, 200.0)  # fmt: skip


@dataclass(frozen=True)
class JigSettings:
    """A base with stops for block and sheet. Lengths in mm; all defaults chosen by us, no source.

    block_mm : width and height of the blocks; None makes them the image with a grip border.
    thickness_mm : of the block; lino is commonly 3.2 mm (1/8 in).
    """

    block_mm: Annotated[
        tuple[float, float],
        length(
            tr("Block"), tr("Of the block you have."), 5, 2000, unset=tr("as needed"),
            sides=(tr("A side of the block"), tr("A side of the block")), undo=REGISTRATION,
        ),
    ] | None = None  # fmt: skip
    thickness_mm: Annotated[
        float, length(tr("Thickness of the block"), tr("Lino is commonly 3.2 mm."), 1, 60, step=0.1, undo=REGISTRATION)
    ] = 3.2


Hand = Literal["practised", "beginner"]


@dataclass(frozen=True)
class BudgetSettings:
    """The user's own figures, ± mm (or per cent) that 95 of 100 sheets keep; None takes the default.

    hand : whose figures the defaults are.
    """

    seating_mm: Annotated[
        float,
        _part(
            tr("Seating of the sheet, ±"),
            tr("How far a sheet lies from the notches or stops on 95 of 100 pulls."),
        ),
    ] | None = None  # fmt: skip
    block_mm: Annotated[
        float,
        _part(
            tr("Seating of the block, ±"),
            tr("How far the block lies from its place when it is put back."),
        ),
    ] | None = None  # fmt: skip
    cutting_mm: Annotated[
        float, _part(tr("Cutting of notches or stops, ±"), tr("How exactly notches or stops are made."))
    ] | None = None  # fmt: skip
    transfer_mm: Annotated[
        float, _part(tr("Transfer of the drawing, ±"), tr("How exactly the drawing comes onto the block."))
    ] | None = None  # fmt: skip
    growth_along_pct: Annotated[
        float,
        _growth(tr("Growth along the grain, ±"), tr("How much sheets differ in growth along the grain."))
    ] | None = None  # fmt: skip
    growth_across_pct: Annotated[
        float,
        _growth(tr("Growth across the grain, ±"), tr("How much sheets differ in growth across the grain.")),
    ] | None = None  # fmt: skip
    hand: Annotated[
        Hand,
        choice(
            tr("Whose hand"), tr("Whose usual figures the parts of the error are."),
            (("practised", tr("Practised hand")), ("beginner", tr("First edition"))), bare=True,
            level="essential",
            undo=TOLERANCE,
        ),
    ] = "practised"  # fmt: skip


@dataclass(frozen=True)
class RegisterSettings:
    """How every sheet meets every block, besides the notches themselves.

    side : the sheet's side along the printer; None is the lower edge.
    marks : what every block prints in the margin, to be cut away later.
    damp : printed on damp paper.
    """

    system: System = USUAL_SYSTEM
    side: Annotated[
        Literal["long", "short"] | None,
        choice(
            tr("Along the printer"), tr("The edge of the block that lies towards you."),
            (
                (None, tr("the lower edge")), ("long", tr("the long side")), ("short", tr("the short side")),
            ),
            undo=REGISTRATION,
        ),
    ] = None  # fmt: skip
    pins: PinSettings = PinSettings()
    jig: JigSettings = JigSettings()
    budget: BudgetSettings = BudgetSettings()
    marks: Annotated[
        MarkKind,
        choice(
            tr("Marks in the margin"), tr("Marks that print with every block, to measure proofs by."),
            (
                ("none", tr("none")), ("rings", tr("dots")), ("crosses", tr("crosses")),
                ("verniers", tr("verniers")),
            ),
            undo=REGISTRATION,
        ),
    ] = "none"  # fmt: skip
    damp: Annotated[
        bool,
        yes(
            tr("Printed on damp paper"), tr("Damp paper grows, and shrinks as it dries."), level="usual",
            undo=REGISTRATION,
        ),
    ] = False  # fmt: skip


# Paper lighter than this hangs and cannot be pushed into corners, lighter than the second is seen
# through, and a sheet longer than the third is awkward in two hands (all chosen by us, no source).
FLOPPY_GSM, SEEN_THROUGH_GSM, LARGE_MM = 90.0, 50.0, 500.0
NOTCH_MARGIN_MM = 6.0


@dataclass(frozen=True)
class Situation:
    """What the choice of a system depends on.

    weight_gsm : of the paper, None where it is not known.
    sheet_mm : width and height.
    pulls : impressions on every sheet.
    margin_mm : the narrowest margin around the image.
    reduction : all pulls from one block.
    sawn : a block that is sawn apart and laid together.
    """

    weight_gsm: float | None
    sheet_mm: tuple[float, float]
    pulls: int
    sheets: int
    margin_mm: float
    damp: bool
    reduction: bool = False
    sawn: bool = False

    @property
    def floppy(self) -> bool:
        """Whether the paper hangs and cannot be pushed into corners."""
        return self.weight_gsm is not None and self.weight_gsm < FLOPPY_GSM

    @property
    def large(self) -> bool:
        """Whether the sheet is awkward in two hands."""
        return max(self.sheet_mm) > LARGE_MM
