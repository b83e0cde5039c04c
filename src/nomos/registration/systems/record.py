"""What a system of registration is: everything that differs from one to another, in one record."""

from collections.abc import Callable
from dataclasses import dataclass
from typing import Literal

from nomos.registration.kento import KentoSettings, Rect
from nomos.registration.settings import RegisterSettings, Situation
from nomos.registration.systems.shapes import SystemPlan

Plan = Callable[[tuple[float, float], Rect, RegisterSettings, KentoSettings], SystemPlan]


@dataclass(frozen=True)
class RegisterSystem:
    """A system of registration.

    name : as files and commands have it; said : as it is shown.
    plan : lays it out for a sheet (width and height, mm) and an image on it, by the settings of register and of
        its notches, the near edge at the bottom; raises KentoError or RegisterError where there is no room.
    judge : how well it suits, 0 will not work, 1 with care, 2 well; and why, in a sentence.
    errors_mm : what 95 of 100 sheets of a practised hand keep: seating of the sheet, of the block, cutting
        of notches. Chosen by us, no source, so that careful work keeps a few tenths; measure your own.
    lay : how the hand lays the sheet, in a few words.
    carries : what is traced or printed along with the drawing, so that it finds its place on each block.
    effort : of equals the one that is set up with less comes first.
    notched : what its notches are cut into: every block, one board for all, or nothing.
    crosses : whether every block carries marks that the sheet is laid on by eye.
    sheet_of_its_own : whether there is something to be drawn beside the blocks: a board, a base, a bed.
    has_parts : whether parts are cut for it, as pins and tabs.
    holds_block : whether the block lies in stops, so that its own size and thickness count.
    """

    name: str
    said: str
    plan: Plan
    judge: Callable[[Situation], tuple[int, str]]
    errors_mm: tuple[float, float, float]
    lay: str
    carries: str
    effort: int
    notched: Literal["block", "board", ""] = ""
    crosses: bool = False
    sheet_of_its_own: bool = True
    has_parts: bool = False
    holds_block: bool = False
