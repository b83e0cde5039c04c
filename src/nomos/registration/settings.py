"""What the printer chooses about registration, and what each system is good for."""

from dataclasses import dataclass
from typing import Literal, get_args

from nomos.base.errors import BadInput
from nomos.base.language import tr
from nomos.base.units import length_text, range_text

System = Literal["kento", "floating", "pins", "jig", "bed", "translucent"]
SYSTEMS: tuple[System, ...] = get_args(System)
SYSTEM_NAMES: dict[System, str] = {
    "kento": tr("Kento on the block"),
    "floating": tr("Floating kento"),
    "pins": tr("Pins and tabs"),
    "jig": tr("Corner jig"),
    "bed": tr("Traced bed sheet"),
    "translucent": tr("Seen through the paper"),
}
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

    system: System = "kento"
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


@dataclass(frozen=True)
class SystemAdvice:
    """How well a system suits: 0 will not work, 1 with care, 2 well; and why, in a sentence."""

    system: System
    fitness: int
    reason: str


# Paper lighter than this hangs and cannot be pushed into corners, lighter than the second is seen
# through, and a sheet longer than the third is awkward in two hands (all chosen by us, no source).
FLOPPY_GSM, SEEN_THROUGH_GSM, LARGE_MM = 90.0, 50.0, 500.0
_NOTCH_MARGIN_MM = 6.0


def advise(place: Situation) -> tuple[SystemAdvice, ...]:
    """Every system with how it suits, the best first; of equals the simpler set-up first.

    Stiff paper goes into corners, floppy paper wants pins, large floppy sheets three
    pairs, blocks without margin a floating kento: common practice, no source.

    Parameters
    ----------
    place : sheet and margin in mm, paper, method and number of blocks.

    Returns
    -------
    One for each system.
    """
    judged = [_kento(place), _pins(place), _jig(place), _floating(place), _bed(place), _translucent(place)]
    return tuple(sorted(judged, key=lambda each: -each.fitness))


def _floppy(place: Situation) -> bool:
    return place.weight_gsm is not None and place.weight_gsm < FLOPPY_GSM


def _large(place: Situation) -> bool:
    return max(place.sheet_mm) > LARGE_MM


def _kento(place: Situation) -> SystemAdvice:
    if place.margin_mm < _NOTCH_MARGIN_MM:
        return SystemAdvice(
            "kento",
            0,
            tr(
                "The margin leaves no room for notches, which need {notch_margin_mm}.",
                notch_margin_mm=length_text(_NOTCH_MARGIN_MM, None),
            ),
        )
    if place.sawn:
        return SystemAdvice("kento", 1, tr("The notches stand in the border that holds the pieces: keep it."))
    if _floppy(place) and not place.damp:
        return SystemAdvice("kento", 1, tr("Floppy paper buckles when it is pushed into notches."))
    if place.damp:
        return SystemAdvice("kento", 2, tr("Damp paper seats in notches, two fingers at a time."))
    return SystemAdvice("kento", 2, tr("The notches are in the wood itself and cannot shift."))


def _pins(place: Situation) -> SystemAdvice:
    if place.damp:
        return SystemAdvice("pins", 0, tr("Tape does not hold on damp paper, and punched holes tear."))
    if _floppy(place):
        pairs = tr("three pairs, the sheet is large") if _large(place) else tr("two pairs do")
        return SystemAdvice("pins", 2, tr("Floppy paper hangs from its tabs: {pairs}.", pairs=pairs))
    if place.pulls >= 6:
        return SystemAdvice(
            "pins", 2, tr("{pulls} pulls: tabs repeat best and stay on throughout.", pulls=place.pulls)
        )
    return SystemAdvice("pins", 1, tr("Repeats best, but every sheet needs its tabs fitted."))


def _jig(place: Situation) -> SystemAdvice:
    if _floppy(place) or place.damp:
        return SystemAdvice("jig", 0, tr("The paper is too soft to be pushed against stops."))
    if place.reduction:
        return SystemAdvice("jig", 2, tr("One block for all pulls always sits the same in its stops."))
    if place.sawn:
        return SystemAdvice("jig", 2, tr("The stops hold the pieces together in their border."))
    return SystemAdvice("jig", 1, tr("Good when all blocks are cut to exactly one size and square."))


def _floating(place: Situation) -> SystemAdvice:
    if place.margin_mm < _NOTCH_MARGIN_MM:
        return SystemAdvice("floating", 0, tr("The sheet's margin is narrower than notches need."))
    if _floppy(place) and not place.damp:
        return SystemAdvice("floating", 0, tr("Floppy paper buckles when it is pushed into notches."))
    return SystemAdvice("floating", 1, tr("For blocks cut to the image: one notched board serves them all."))


def _bed(place: Situation) -> SystemAdvice:
    if place.sheets <= 5 and place.pulls <= 3:
        return SystemAdvice("bed", 1, tr("A few sheets in a few pulls: the simplest set-up will do."))
    if _floppy(place):
        return SystemAdvice("bed", 0, tr("A floppy sheet cannot be dropped onto a line."))
    return SystemAdvice(
        "bed",
        0,
        tr("Too loose for {pulls} pulls on {sheets} sheets.", pulls=place.pulls, sheets=place.sheets),
    )


def _translucent(place: Situation) -> SystemAdvice:
    if place.weight_gsm is not None and place.weight_gsm <= SEEN_THROUGH_GSM:
        return SystemAdvice(
            "translucent", 1, tr("The paper is thin enough to be lined up by eye through it.")
        )
    known = (
        tr("The paper's weight is not known") if place.weight_gsm is None else tr("The paper is too thick")
    )
    return SystemAdvice("translucent", 0, tr("{known}: marks must be seen through it.", known=known))
