"""What the window has in its hand: the station, what is chosen, which pull is looked at."""

from dataclasses import dataclass
from typing import Literal, get_args

from nomos.colour.light import Eyes, Light
from nomos.project import Station

Shown = Literal[
    "print",
    "where",
    "flat",
    "sketch",
    "outlined",
    "picture",
    "block",
    "carved",
    "sheets",
    "pieces",
    "traps",
    "free",
    "card",
    "apart",
    "exercise",
    "cut",
    "stack",
    "plans",
]
# Views of the wood itself, face up: the mirror image of the print.
MIRRORED = ("carved", "pieces", "cut")
Marked = Literal["stays", "goes"]
STATIONS: tuple[Station, ...] = get_args(Station)


@dataclass(frozen=True)
class UiState:
    """Nothing of this is saved with the project.

    pulls : the sheet after so many pulls; None is the finished print.
    also : further flat colours that are chosen with it.
    zone : which zone of the impression is in hand.
    light, eyes, wet_look : how the print is looked at: the light, whose eyes, and whether it is still wet.
    place : pixel of the flat design last clicked, on the colour that is chosen.
    paper_chosen : at the inks, the paper itself is in hand.
    pointing : at the Design station, what a click on the sheet corrects; "" chooses a colour.
    everywhere : another colour pointed out takes what is like it all over, not only nearby.
    brush_mm : the width of the brush.
    shown : what the sheet shows: the print, the print with all that the chosen pull leaves alone faded, the
        flat design, the sketch, the sketch with outlines of the
        fields, the picture as it was opened, one block alone, the block as
        it is carved (mirrored), all blocks as coloured sheets over each other, the pieces of a jigsaw, what
        runs under what, where the chosen block is free, a drawdown card, how far pulls may lie apart, a
        proof to practise on, the carving map of a block, the piles of sheets at every pull, or
        the plans that were found.
    marked : on the carved block, what stays or what goes.
    """

    station: Station = "design"
    colour: int | None = None
    also: tuple[int, ...] = ()
    pull: str | None = None
    zone: int = 0
    pulls: int | None = None
    shown: Shown = "print"
    marked: Marked = "stays"
    page: str = "A4"
    paper_chosen: bool = False
    light: Light = "D50"
    eyes: Eyes = "normal"
    wet_look: bool = False
    place: tuple[int, int] | None = None
    pointing: str = ""
    everywhere: bool = False
    brush_mm: float = 2.0

    @property
    def colours(self) -> tuple[int, ...]:
        """All flat colours that are chosen, the one in hand first."""
        return () if self.colour is None else (self.colour, *self.also)
