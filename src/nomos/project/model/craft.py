"""What a printmaker cuts with and how the edition is meant: parts of the project with their checks."""

from msgspec import Struct

from nomos.base.errors import BadInput
from nomos.base.language import tr
from nomos.base.units import range_text
from nomos.carving import USUAL_TOOLS, Board, CarvingError, Material, Tool, TransferWay, check_tools

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

    material: Material = "lino"
    tools: tuple[Tool, ...] = USUAL_TOOLS
    thickness_mm: float = 3.2
    curl_mm: float = 0.0
    roller_mm: float = 60.0
    roller_long_mm: float = 100.0
    roller_shore: float = 40.0
    transfer: TransferWay = "turned tracing"
    boards: tuple[Board, ...] = (Board(610.0, 305.0, 20),)
    saw_mm: float = 2.0
    grip_border: bool = True
    factor: float = 1.0


class EditionPlan(Struct, frozen=True, forbid_unknown_fields=True):
    """What the edition is meant to be.

    edition : numbered prints. artist, printer : proofs beside them. bat : one sheet the edition must match.
    proofing : sheets for proofing. sacrificed : one known bad sheet for every layer.
    good : chance that a pull is good. confidence : that enough are good at the end.
    varied : sheets are meant to differ.
    full_mm : the full sheet of paper. paper_cost : of one, in the user's own money; newsprint_cost likewise.
    """

    edition: int = 20
    artist: int = 2
    printer: int = 1
    bat: bool = True
    proofing: int = 3
    sacrificed: bool = True
    varied: bool = False
    good: float = GOOD
    confidence: float = CONFIDENCE
    full_mm: tuple[float, float] = (560.0, 760.0)
    paper_cost: float = 0.0
    newsprint_cost: float = 0.0

    @property
    def wanted(self) -> int:
        """Good sheets wanted: the edition with its proofs and the BAT."""
        return self.edition + self.artist + self.printer + int(self.bat)


def check_craft(craft: Craft) -> None:
    """Raise ProjectError for figures that cannot be."""
    try:
        check_tools(craft.tools)
    except CarvingError as error:
        raise ProjectError("craft", str(error)) from None
    for value, least, most, what in (
        (craft.thickness_mm, 1, 60, tr("mm for the thickness of the block")),
        (craft.curl_mm, 0, 20, tr("mm for the curl of the block")),
        (craft.roller_mm, 10, 400, tr("mm for the diameter of the roller")),
        (craft.roller_long_mm, 10, 1500, tr("mm for the length of the roller")),
        (craft.roller_shore, 5, 100, tr("degrees for the hardness of the roller")),
        (craft.saw_mm, 0, 10, tr("mm for the kerf of the saw")),
        (craft.factor, 0.1, 10, tr("times as slow")),
    ):
        if not least <= value <= most:
            raise ProjectError(
                "craft",
                tr(
                    "{value:g} {what} does not work: choose {least:g} to {most:g}.",
                    value=value,
                    what=what,
                    least=least,
                    most=most,
                ),
            )
    for board in craft.boards:
        sides = 20 <= board.width_mm <= 3000 and 20 <= board.height_mm <= 3000
        if not (sides and 0 <= board.count <= 1000 and board.cost >= 0):
            raise ProjectError(
                "craft",
                tr(
                    "A board at hand must be {range} on each side, up to 1000 of them.",
                    range=range_text(20, 3000),
                ),
            )


def check_edition(plan: EditionPlan) -> None:
    """Raise ProjectError for figures that cannot be."""
    counts = (plan.artist, plan.printer, plan.proofing)
    if not 1 <= plan.edition <= 10_000 or not all(0 <= count <= 1000 for count in counts):
        raise ProjectError(
            "plan", tr("An edition has 1 to 10 000 prints and up to 1000 proofs of each kind.")
        )
    if not 0.01 <= plan.good <= 1 or not 0.5 <= plan.confidence <= 0.999:
        raise ProjectError("plan", tr("A pull is good with 1 to 100 %, and the confidence is 50 to 99.9 %."))
    if not all(50 <= side <= 5000 for side in plan.full_mm) or min(plan.paper_cost, plan.newsprint_cost) < 0:
        raise ProjectError(
            "plan",
            tr(
                "A full sheet has sides of {range}, and prices are not below nothing.",
                range=range_text(50, 5000),
            ),
        )
