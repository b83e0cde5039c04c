"""How many sheets to start with so that enough are good at the end, and what paper that takes."""

import math
from dataclasses import dataclass

from nomos.base.errors import BadInput
from nomos.base.language import tr

_MOST_SHEETS = 100_000


class SheetsError(BadInput):
    """An edition that cannot be planned."""


@dataclass(frozen=True)
class SheetPlan:
    """The smallest number of sheets that is enough with the confidence asked for.

    p_sheet : chance that one sheet is good through all layers.
    curve : sheets and the probability that at least the edition is good.
    """

    start_sheets: int
    p_sheet: float
    curve: tuple[tuple[int, float], ...]


def probability_of(edition: int, sheets: int, p_sheet: float) -> float:
    """That at least `edition` of so many sheets are good, each by itself with the same chance: binomial.

    As the regularised incomplete beta function (NIST Handbook of Mathematical
    Functions 8.17.5), which loads faster than a whole library of distributions.
    """
    from scipy.special import betainc

    if sheets < edition:
        return 0.0
    return float(betainc(edition, sheets - edition + 1, p_sheet))


def start_sheets(edition: int, layers: int, good: float, confidence: float = 0.9) -> SheetPlan:
    """How many sheets to start with.

    Parameters
    ----------
    edition : good sheets wanted, proofs among them.
    layers : pulls on each sheet.
    good : chance that a pull is good.
    confidence : that at least the edition is good.

    Raises
    ------
    SheetsError : figures that cannot be, or more than 100 000 sheets.

    Notes
    -----
    Each sheet survives with good ** layers; the smallest n with P(Binomial(n, p) >= edition) >= confidence,
    found by bisection, as that probability grows with n.
    """
    if not 1 <= edition <= 10_000:
        raise SheetsError(tr("An edition of {edition} cannot be planned: choose 1 to 10 000.", edition=edition))
    if not 1 <= layers <= 100:
        raise SheetsError(tr("{layers} layers cannot be planned: choose 1 to 100.", layers=layers))
    if not 0 < good <= 1:
        raise SheetsError(
            tr("The chance that a pull is good must be more than 0 and at most 1, not {good:g}.", good=good)
        )
    if not 0 < confidence < 1:
        raise SheetsError(tr("The confidence must be between 0 and 1, not {confidence:g}.", confidence=confidence))
    p = good**layers
    if probability_of(edition, _MOST_SHEETS, p) < confidence:
        raise SheetsError(
            tr(
                "With {good:.0%} good pulls and {layers} layers only {p:.2%} of sheets survive: more "
                "than {most_sheets} would be needed. Look at what spoils them first.",
                good=good, layers=layers, p=p, most_sheets=_MOST_SHEETS,
            )
        )  # fmt: skip
    low, high = edition, edition
    while probability_of(edition, high, p) < confidence:
        low, high = high, min(2 * high, _MOST_SHEETS)
    while low < high:
        middle = (low + high) // 2
        if probability_of(edition, middle, p) >= confidence:
            high = middle
        else:
            low = middle + 1
    return SheetPlan(low, p, _curve(edition, low, p))


def _curve(edition: int, enough: int, p: float) -> tuple[tuple[int, float], ...]:
    last = enough + max(3, round(0.3 * enough))
    step = max(1, (last - edition) // 40)
    counts = sorted({*range(edition, last + 1, step), enough, last})
    return tuple((count, probability_of(edition, count, p)) for count in counts)


def cut_from(full_mm: tuple[float, float], sheet_mm: tuple[float, float], *, grain_right: bool) -> int:
    """How many sheets a full sheet gives, all the same way. grain_right : only upright, as the grain runs.

    Raises SheetsError where not even one does.
    """

    def upright(width: float, height: float) -> int:
        return math.floor(full_mm[0] / width + 1e-9) * math.floor(full_mm[1] / height + 1e-9)

    width, height = sheet_mm
    # Where not even one lies upright, it is turned: better across the grain than none.
    count = upright(width, height) if grain_right else max(upright(width, height), upright(height, width))
    count = count or upright(height, width)
    if count < 1:
        raise SheetsError(tr("A full sheet is smaller than the sheets to print on: choose a larger paper."))
    return count


@dataclass(frozen=True)
class BuyingLine:
    """Something to buy: what, how much of what, and what it costs (0 where no price is known)."""

    what: str
    amount: float
    unit: str
    cost: float = 0.0


def newsprint_sheets(sheets: int, layers: int) -> int:
    """Sheets of newsprint: one for ten pulls, and five for proofing each layer (chosen by us)."""
    return math.ceil(sheets * layers / 10) + 5 * layers
