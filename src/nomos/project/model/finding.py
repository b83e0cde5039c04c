"""A finding: what a printmaker should know before going on, and what can be done about it."""

from collections.abc import Callable
from dataclasses import dataclass, field
from typing import Literal

from nomos.project.model import Project

Weight = Literal["will fail", "could show", "worth knowing"]
Station = Literal["design", "blocks", "inks", "order", "register", "carve", "sheets", "bench"]

# A difference below this is not seen on a print (chosen by us, no source).
UNSEEN_DE00 = 1.5


@dataclass(frozen=True)
class Cure:
    """What the program can do about a finding: the words on the button, and the edit."""

    text: str
    edit: Callable[[Project], Project]


@dataclass(frozen=True)
class Finding:
    """One thing found: how much it matters, which station it belongs to, what it is and what to do.

    place_mm : where on the sheet, for what has one place.
    cure : what the program can do about it, if the user wants it.
    other : a second answer, for a question.
    blocks : ids of the blocks it is about, where it is not about all.
    own : of each of them what is said of it alone.
    """

    weight: Weight
    station: Station
    text: str
    remedy: str
    place_mm: tuple[float, float] | None = None
    cure: Cure | None = field(default=None, compare=False)
    other: Cure | None = field(default=None, compare=False)
    blocks: tuple[str, ...] = ()
    own: tuple[str, ...] = ()
