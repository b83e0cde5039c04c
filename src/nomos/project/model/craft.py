"""What a printmaker cuts with and how the edition is meant: parts of the project with their checks."""

from typing import Annotated

from msgspec import Struct

from nomos.base.errors import BadInput
from nomos.base.fields import choice, count, figure, length, share, yes
from nomos.base.language import opened, tr
from nomos.carving import (
    MATERIALS,
    TRANSFER_WAYS,
    TRANSFERS,
    USUAL_MATERIAL,
    USUAL_TOOLS,
    Board,
    Material,
    Tool,
    TransferWay,
)

CUTTING, EDITION = tr("Cutting"), tr("Edition")

# Chosen by us, no source; the log corrects the chance of a good pull.
GOOD, CONFIDENCE = 0.95, 0.9


class ProjectError(BadInput):
    """A project that cannot be: which field, and why."""

    def __init__(self, field: str, reason: str) -> None:
        super().__init__(reason)
        self.field = field


class Craft(Struct, frozen=True, forbid_unknown_fields=True):
    """How blocks are cut.

    thickness_mm : of the blocks. curl_mm : how far a block rises from a flat board at its middle or edge.
    roller_mm, roller_long_mm, roller_shore : diameter, length and hardness (Shore A) of the roller.
    boards : at hand, offcuts among them. saw_mm : the kerf of the saw.
    grip_border : the border around the image is left standing to hold the block by, and masked.
    factor : how much slower cutting went than was said, from the log.
    """

    material: Annotated[
        Material,
        choice(
            tr("Material"), tr("What the blocks are of: it decides which lines hold."),
            lambda: tuple((name, opened(each.said)) for name, each in MATERIALS.items()), level="essential",
            undo=CUTTING,
        ),
    ] = USUAL_MATERIAL  # fmt: skip
    tools: tuple[Tool, ...] = USUAL_TOOLS
    thickness_mm: Annotated[float, length(tr("Thickness"), tr("Of block or board."), 1, 60, step=0.1, undo=CUTTING)] = (
        3.2
    )
    curl_mm: Annotated[
        float,
        length(
            tr("Curl"), tr("How far the block stands off the bed at its worst."), 0, 20, step=0.1,
            undo=CUTTING,
        ),
    ] = 0.0  # fmt: skip
    roller_mm: Annotated[
        float,
        length(
            tr("Roller, diameter"), tr("A larger roller dips less into cleared ground."), 10, 400,
            undo=CUTTING,
        ),
    ] = 60.0  # fmt: skip
    roller_long_mm: Annotated[
        float,
        length(
            tr("Roller, length"), tr("Longer than a gap is wide, a roller is carried across it."), 10, 1500,
            undo=CUTTING,
        ),
    ] = 100.0  # fmt: skip
    roller_shore: Annotated[
        float,
        figure(
            tr("Roller, hardness"), tr("Shore A; a harder roller dips less."), "Shore A", 5, 100, digits=0,
            undo=CUTTING,
        ),
    ] = 40.0  # fmt: skip
    transfer: Annotated[
        TransferWay,
        choice(
            tr("Way of transfer"), tr("How the drawing comes onto the block."),
            lambda: tuple((way, TRANSFERS[way].name) for way in TRANSFER_WAYS), level="usual", undo=CUTTING,
        ),
    ] = "turned tracing"  # fmt: skip
    boards: tuple[Board, ...] = (Board(610.0, 305.0, 20),)
    saw_mm: Annotated[
        float,
        length(
            tr("Kerf of the saw"), tr("How wide the saw cuts: white lines between the pieces of a jigsaw."),
            0, 10, step=0.1, undo=CUTTING,
        ),
    ] = 2.0  # fmt: skip
    grip_border: Annotated[
        bool,
        yes(
            tr("Leave the border to hold it by"),
            tr("Wood outside the image stays, to hold the block by."), undo=CUTTING,
        ),
    ] = True  # fmt: skip
    factor: Annotated[
        float,
        figure(
            tr("Slower than reckoned"),
            tr("Your own pace against the usual one; it grows from what blocks took."), tr("times"), 0.1, 10,
            step=0.1, undo=CUTTING,
        ),
    ] = 1.0  # fmt: skip


class EditionPlan(Struct, frozen=True, forbid_unknown_fields=True):
    """What the edition is meant to be.

    edition : numbered prints. artist, printer : proofs beside them. bat : one sheet the edition must match.
    proofing : sheets for proofing. sacrificed : one known bad sheet for every layer.
    good : chance that a pull is good. confidence : that enough are good at the end.
    varied : sheets are meant to differ.
    full_mm : the full sheet of paper. paper_cost : of one, in the user's own money; newsprint_cost likewise.
    """

    edition: Annotated[
        int,
        count(
            tr("Edition"), tr("So many sheets are numbered and signed."), 1, 10_000, level="essential",
            undo=EDITION,
        ),
    ] = 20  # fmt: skip
    artist: Annotated[
        int, count(tr("Artist's proofs"), tr("Beside the edition, for the artist."), 0, 1000, undo=EDITION)
    ] = 2
    printer: Annotated[
        int, count(tr("Printer's proofs"), tr("Beside the edition, for who prints it."), 0, 1000, undo=EDITION)
    ] = 1
    bat: Annotated[bool, yes(tr("A sheet to match"), tr("The BAT, which the edition must match."), undo=EDITION)] = True
    proofing: Annotated[
        int,
        count(
            tr("Sheets for proofing"), tr("Good paper spent until the print is right."), 0, 1000,
            level="usual", undo=EDITION,
        ),
    ] = 3  # fmt: skip
    sacrificed: Annotated[
        bool,
        yes(
            tr("One bad sheet for every layer"),
            tr("The first pull of a layer is poor: a sheet is given up for it."), undo=EDITION,
        ),
    ] = True  # fmt: skip
    varied: Annotated[
        bool, yes(tr("A varied edition"), tr("Sheets differ on purpose, and are numbered so"), undo=EDITION)
    ] = False
    good: Annotated[
        float,
        share(
            tr("A pull is good with"),
            tr("How many of a hundred pulls come out good: yours grow from the record."), 0.01, 1, digits=1,
            level="usual", undo=EDITION,
        ),
    ] = GOOD  # fmt: skip
    confidence: Annotated[
        float,
        share(
            tr("Sure to"), tr("How sure it is to be that enough good sheets are left at the end."), 0.5,
            0.999, digits=1, undo=EDITION,
        ),
    ] = CONFIDENCE  # fmt: skip
    full_mm: Annotated[
        tuple[float, float],
        length(
            tr("Full sheet"), tr("Of the sheets the paper is sold in."), 50, 5000, level="usual",
            sides=(tr("Full sheet, width"), tr("Full sheet, height")), undo=EDITION,
        ),
    ] = (560.0, 760.0)  # fmt: skip
    paper_cost: Annotated[
        float,
        figure(
            tr("A full sheet costs"), tr("Its price, for the list to buy from."), "", 0, 1e7, digits=2,
            undo=EDITION,
        ),
    ] = 0.0  # fmt: skip
    newsprint_cost: Annotated[
        float,
        figure(
            tr("A sheet of newsprint"), tr("Its price, for proofs and first pulls."), "", 0, 1e7, digits=2,
            undo=EDITION,
        ),
    ] = 0.0  # fmt: skip

    @property
    def wanted(self) -> int:
        """Good sheets wanted: the edition with its proofs and the BAT."""
        return self.edition + self.artist + self.printer + int(self.bat)
