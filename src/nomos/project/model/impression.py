"""One meeting of the sheet with a block: the zones it is inked in, graded or wiped, and how it is printed."""

from typing import Annotated, Literal

from msgspec import Meta, Struct

from nomos.base.fields import choice, count, figure, length, share, yes
from nomos.base.language import opened, tr
from nomos.colour.trapping import INKINGS, Inking
from nomos.edition.inking_tools import INKING_TOOLS
from nomos.edition.pressings import PRESSINGS
from nomos.proof import Misregister

GRADED = tr("Graded inking")


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
    to: Annotated[float, share(tr("To"), tr("The strength at the end of the grading."), undo=GRADED)]
    curve: Annotated[
        float,
        figure(
            tr("Bends by, 1 is even"), tr("More stays longer at the start, less at the end."), "", 0.2, 5,
            step=0.1, undo=GRADED,
        ),
    ] = 1.0  # fmt: skip
    both: Annotated[bool, yes(tr("Two-ended"), tr("From the end back to the start again."), undo=GRADED)] = False
    edge_mm: Annotated[
        float,
        length(
            tr("Width along the edge"), tr("Over this width the ink grades from the block's own edge."), 0.5,
            500, unset=tr("not along the edge"), undo=GRADED,
        ),
    ] | None = None  # fmt: skip
    outer: Annotated[
        bool,
        choice(
            tr("Which edges"), tr("The grading follows every edge, or leaves holes and specks alone."),
            ((False, tr("Every edge")), (True, tr("Outer edge only"))), bare=True, undo=GRADED,
        ),
    ] = False  # fmt: skip


Outline = tuple[tuple[float, float], ...]
Tool = str
Printing = Annotated[str, Meta(extra_json_schema={"enum": list(PRESSINGS)})]


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
    strength: Annotated[
        float,
        share(
            tr("Strength"), tr("How much of it is ink; the rest is extender."), level="usual",
            undo=tr("Strength"),
        ),
    ] = 1.0  # fmt: skip
    colours: tuple[int, ...] = ()
    grade: Grade | None = None
    inking: Annotated[
        Inking,
        choice(
            tr("Film"), tr("How much ink is on the roller."),
            tuple((word, tr("{word} film", word=opened(tr(word)))) for word in INKINGS), bare=True,
            undo=tr("Film"),
        ),
    ] = "normal"  # fmt: skip
    areas: tuple[Outline, ...] = ()
    bare: Literal["", "uninked", "wiped"] = ""
    soft_mm: Annotated[
        float,
        length(
            tr("Soft edge of the wiping"), tr("Over how much of its edge the ink fades."), 0, 100, digits=0,
            undo=tr("Inking"),
        ),
    ] = 0.0  # fmt: skip
    tool: Annotated[
        Tool,
        choice(
            tr("Put on with"), tr("Roller, brush or other tool for this zone."),
            lambda: tuple((name, tool.name) for name, tool in INKING_TOOLS.items()), level="usual",
            undo=tr("Inking"),
        ),
    ] = "roller"  # fmt: skip

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
    wet: Annotated[
        bool,
        choice(
            tr("What it goes onto"), tr("On wet ink less of this one takes."),
            ((False, tr("On dry ink")), (True, tr("On wet ink"))), bare=True, undo=tr("Wet or dry"),
        ),
    ] = False  # fmt: skip
    trapping: Annotated[
        float,
        share(
            tr("Ink trapping, measured"),
            tr("How much of this ink takes on the wet one below, if it was measured."), step=5,
            unset=tr("worked out"), undo=tr("Wet or dry"),
        ),
    ] | None = None  # fmt: skip
    name: str = ""
    printing: Annotated[
        Printing | None,
        choice(
            tr("Printed with"), tr("Press, baren, spoon or foot."),
            lambda: ((None, tr("as usual")), *((name, way.name) for name, way in PRESSINGS.items())),
            level="usual", unset=tr("as usual"), undo=tr("Way of printing"),
        ),
    ] = None  # fmt: skip
    packing_sheets: Annotated[
        int,
        count(
            tr("Sheets of packing"), tr("Sheets between tympan and paper for this pull."), 0, 50,
            zero_unsets=True, unset=tr("as usual"), undo=tr("Way of printing"),
        ),
    ] | None = None  # fmt: skip
    turned_over: Annotated[
        bool,
        yes(
            tr("Block onto paper, both turned over"),
            tr("The block lies face down on the paper for this pull."), undo=tr("Way of printing"),
        ),
    ] = False  # fmt: skip

    @property
    def main(self) -> Zone:
        """The first zone that ink stands on."""
        return next((zone for zone in self.zones if not zone.bare), self.zones[0])
