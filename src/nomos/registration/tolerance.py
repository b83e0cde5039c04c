"""How far out a place of the print may be: the parts of the error combined, and plausible sheets drawn.

Every part is given as the figure that 95 of 100 sheets keep. Independent parts
add by their squares; growth of the paper adds by the distance from the corner
that is held.
"""

from dataclasses import dataclass
from functools import cache

import numpy as np
from numpy.typing import NDArray

from nomos.registration.contacts import Contacts
from nomos.registration.kento import Rect
from nomos.registration.settings import BudgetSettings, Hand, System
from nomos.registration.systems import system_called

Floats = NDArray[np.float64]

# A normal error stays within so many standard deviations on 95 of 100 sheets.
_TWO_SIDED_95 = 1.959964
# Lines carried by the key's own impressions, and by one tracing (chosen by us, no source).
_TRANSFER_MM = {"impressions": 0.06, "tracing": 0.15}
# A first edition is about twice as far out (chosen by us, no source).
_BY_HAND: dict[Hand, float] = {"practised": 1.0, "beginner": 2.0}
# The errors in the order of `ErrorModel`: those of the block are the fourth to the ninth.
_ERRORS, _OF_BLOCK = 11, slice(3, 9)
# How much of a sheet's growth from dry to damp comes and goes between two pulls (chosen by us, no source).
_DAMP_SHARE, _DRY_SHARE = 0.1, 0.03


@dataclass(frozen=True)
class Budget:
    """The parts of the error, each as what 95 of 100 sheets keep.

    seating_mm : of the sheet, at each contact.
    block_mm : of the block in its place, at each contact.
    cutting_mm : of the notches or stops, at each contact.
    transfer_mm : of the drawing onto the block, at its corners.
    growth_pct : of the paper between two pulls, along x and y of the sheet.
    """

    seating_mm: float
    block_mm: float
    cutting_mm: float
    transfer_mm: float
    growth_pct: tuple[float, float]


def budget_of(
    system: System, own: BudgetSettings, *, damp: bool, carried: str, growth: tuple[float, float], grain: str
) -> Budget:
    """The user's own figures, and defaults for the rest.

    Parameters
    ----------
    carried : how the drawing comes onto the blocks, "impressions" or "tracing".
    growth : of the paper from dry to damp, along and across its grain, per cent.
    grain : along the sheet's "height" or "width".
    """

    def or_default(value: float | None, default: float) -> float:
        return default if value is None else value

    times = _BY_HAND[own.hand]
    seating, block, cutting = (times * figure for figure in system_called(system).errors_mm)
    share = _DAMP_SHARE if damp else _DRY_SHARE
    along = or_default(own.growth_along_pct, share * growth[0])
    across = or_default(own.growth_across_pct, share * growth[1])
    return Budget(
        or_default(own.seating_mm, seating),
        or_default(own.block_mm, block),
        or_default(own.cutting_mm, cutting),
        or_default(own.transfer_mm, times * _TRANSFER_MM[carried]),
        (across, along) if grain == "height" else (along, across),
    )


@dataclass(frozen=True, eq=False)
class ErrorModel:
    """The errors of one pull as random numbers: of seating, block and transfer three each, two of growth."""

    budget: Budget
    contacts: Contacts
    image: Rect

    def _basis(self) -> Floats:
        """(11, 6): the affine change (a, b, c, d, e, f) that one standard deviation of each error makes.

        A place (x, y) moves by (a + b x + c y, d + e x + f y).
        """
        rows = []
        of_block = float(np.hypot(self.budget.block_mm, self.budget.cutting_mm))
        for contacts, figure in (
            (self.contacts, self.budget.seating_mm),
            (self.contacts, of_block),
            (Contacts.of_corners(self.image), self.budget.transfer_mm),
        ):
            for dx, dy, angle in contacts.motion_by().T * figure / _TWO_SIDED_95:
                rows.append([dx, 0.0, -angle, dy, angle, 0.0])
        # What grows between two pulls is the difference of both sheets' states.
        grow_x, grow_y = (value / 100 / _TWO_SIDED_95 / np.sqrt(2) for value in self.budget.growth_pct)
        held = np.array(self.contacts.places)
        push = np.abs(np.array(self.contacts.inward))
        x0, y0 = held[push[:, 0].argmax()][0], held[push[:, 1].argmax()][1]
        rows.append([-grow_x * x0, grow_x, 0.0, 0.0, 0.0, 0.0])
        rows.append([0.0, 0.0, 0.0, -grow_y * y0, 0.0, grow_y])
        return np.array(rows)

    def draw(self, hand: np.random.Generator, sheets: int, pulls: int) -> Floats:
        """Plausible pulls: (sheets, pulls, 6) affine changes as in the basis.

        How a block was cut, traced and set is one and the same on every sheet of
        an edition; how the sheet was laid, and how damp it was, is its own.
        """
        drawn = hand.standard_normal((sheets, pulls, _ERRORS))
        drawn[:, :, _OF_BLOCK] = drawn[:1, :, _OF_BLOCK]
        return np.asarray(drawn @ self._basis())

    def covariance(self, places: Floats) -> Floats:
        """Of the error of one pull at places (..., 2) mm. (..., 2, 2) mm²."""
        x, y = places[..., 0], places[..., 1]
        one, none = np.ones_like(x), np.zeros_like(x)
        at = np.stack([np.stack([one, x, y, none, none, none], -1), np.stack([none, none, none, one, x, y], -1)], -2)
        by_error = at @ self._basis().T
        return np.asarray(by_error @ np.swapaxes(by_error, -1, -2))

    def two_pulls_mm(self, places: Floats) -> Floats:
        """How far two pulls lie from each other, on 95 of 100 sheets: what shows, mm. (...,)."""
        return radius_95(2 * self.covariance(places))


def radius_95(covariance: Floats) -> Floats:
    """The circle that holds 95 of 100 draws of a centred normal pair. covariance : (..., 2, 2). (...,).

    A normal pair on a line stays within 1.960 standard deviations, an even one
    within 2.448 (Rayleigh); between them the share inside is averaged over the
    directions.

    Parameters
    ----------
    covariance : (..., 2, 2), mm².

    Returns
    -------
    (...) radii, mm.
    """
    least, most = np.moveaxis(np.linalg.eigvalsh(covariance), -1, 0)
    most = np.maximum(most, 1e-18)
    ratios, factors = _factors()
    return np.asarray(np.sqrt(most) * np.interp(np.sqrt(np.clip(least / most, 0, 1)), ratios, factors))


@cache
def _factors() -> tuple[Floats, Floats]:
    # The mean over so many directions, and so many halvings, are exact to a millionth of the radius.
    ratios = np.linspace(0, 1, 65)
    angle = (np.arange(180) + 0.5) * np.pi / 180
    spread = np.cos(angle) ** 2 + (ratios[:, None] * np.sin(angle)) ** 2
    low, high = np.full(len(ratios), 1.9), np.full(len(ratios), 2.5)
    for _ in range(24):
        middle = (low + high) / 2
        inside = 1 - np.exp(-(middle[:, None] ** 2) / (2 * spread)).mean(axis=1)
        low, high = np.where(inside < 0.95, middle, low), np.where(inside < 0.95, high, middle)
    return ratios, (low + high) / 2
