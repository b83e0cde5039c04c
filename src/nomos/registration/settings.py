"""What the printer chooses about registration, and what each system is good for."""

from dataclasses import dataclass
from typing import Literal, get_args

from nomos.base.errors import BadInput
from nomos.base.language import tr
from nomos.base.units import length_text, range_text

# The name of a record in `systems`; `check_system` there refuses what is none.
System = str
USUAL_SYSTEM: System = "kento"
MarkKind = Literal["none", "crosses", "rings", "verniers"]
MARK_KINDS: tuple[MarkKind, ...] = get_args(MarkKind)


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

    pairs: int = 2
    taped: bool = True
    clearance_mm: float = 0.1
    kerf_mm: float = 0.2
    board_mm: float = 2.0
    stock_mm: tuple[float, float] = (300.0, 200.0)


@dataclass(frozen=True)
class JigSettings:
    """A base with stops for block and sheet. Lengths in mm; all defaults chosen by us, no source.

    block_mm : width and height of the blocks; None makes them the image with a grip border.
    thickness_mm : of the block; lino is commonly 3.2 mm (1/8 in).
    """

    block_mm: tuple[float, float] | None = None
    thickness_mm: float = 3.2


Hand = Literal["practised", "beginner"]


@dataclass(frozen=True)
class BudgetSettings:
    """The user's own figures, ± mm (or per cent) that 95 of 100 sheets keep; None takes the default.

    hand : whose figures the defaults are.
    """

    seating_mm: float | None = None
    block_mm: float | None = None
    cutting_mm: float | None = None
    transfer_mm: float | None = None
    growth_along_pct: float | None = None
    growth_across_pct: float | None = None
    hand: Hand = "practised"


@dataclass(frozen=True)
class RegisterSettings:
    """How every sheet meets every block, besides the notches themselves.

    side : the sheet's side along the printer; None is the lower edge.
    marks : what every block prints in the margin, to be cut away later.
    damp : printed on damp paper.
    """

    system: System = USUAL_SYSTEM
    side: Literal["long", "short"] | None = None
    pins: PinSettings = PinSettings()
    jig: JigSettings = JigSettings()
    budget: BudgetSettings = BudgetSettings()
    marks: MarkKind = "none"
    damp: bool = False


def check_settings(settings: RegisterSettings) -> None:
    """Refuse figures that cannot be.

    Raises
    ------
    RegisterError : with what is wrong and what to do.
    """
    pins, jig, budget = settings.pins, settings.jig, settings.budget
    if pins.pairs not in (2, 3):
        raise RegisterError(tr("Pins come in two or three pairs."))
    figures: list[tuple[float | None, float, float, str]] = [
        (pins.clearance_mm, 0, 1, tr("the clearance of the pins")),
        (pins.kerf_mm, 0, 3, tr("the cutter's kerf")),
        (pins.board_mm, 0.3, 10, tr("the board of the pins")),
        (min(pins.stock_mm), 60, 3000, tr("a side of the board the pins are cut from")),
        (jig.thickness_mm, 1, 60, tr("the block's thickness")),
        (budget.seating_mm, 0, 5, tr("the seating of the sheet")),
        (budget.block_mm, 0, 5, tr("the seating of the block")),
        (budget.cutting_mm, 0, 5, tr("the cutting")),
        (budget.transfer_mm, 0, 5, tr("the transfer")),
    ]
    for value, least, most, what in figures:
        if value is not None and not least <= value <= most:
            raise RegisterError(
                tr(
                    "{value} for {what} does not work: choose {least}.",
                    value=length_text(value, None),
                    what=what,
                    least=range_text(least, most),
                )
            )
    for value in (budget.growth_along_pct, budget.growth_across_pct):
        if value is not None and not 0 <= value <= 5:
            raise RegisterError(tr("Growth of {value:g} % does not work: choose 0 to 5 %.", value=value))
    if jig.block_mm is not None and not all(5 <= side <= 2000 for side in jig.block_mm):
        raise RegisterError(tr("A side of the block must be {range}.", range=range_text(5, 2000)))


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
