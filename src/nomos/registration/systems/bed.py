"""A drawing under a clear film on the bench."""

from nomos.base.language import tr
from nomos.registration.contacts import Contacts
from nomos.registration.kento import KentoSettings, Rect
from nomos.registration.settings import RegisterSettings, Situation
from nomos.registration.systems.record import RegisterSystem
from nomos.registration.systems.shapes import (
    CORNER_MM,
    Dimension,
    Shape,
    SystemPlan,
    around,
    corners_of,
    cross,
    gripped,
    shape,
)


def bed_plan(
    sheet_mm: tuple[float, float], image: Rect, _settings: RegisterSettings, choice: KentoSettings
) -> SystemPlan:
    """Outline and corner marks on a bed sheet."""
    block = gripped(image, choice.block_mm)
    width, height = sheet_mm
    shapes = [shape("block", block, tr("block here")), Shape("sheet", corners_of(Rect(0, 0, width, height)))]
    shapes += [cross(x, y) for x in (0, width) for y in (0, height)]
    right_handed = choice.hand == "right"
    x, inward = (block.left, 1.0) if right_handed else (block.right, -1.0)
    corner = ((x, block.bottom), (x + inward * CORNER_MM, block.bottom), (x, block.bottom - CORNER_MM))
    shapes.append(Shape("corner", corner, word=tr("marked corner")))
    bench = around([point for each in shapes for point in each.points], (0, 0, width, height))
    return SystemPlan(
        "bed",
        block,
        bench,
        tuple(shapes),
        (Dimension((0, height), (block.left, height), tr("from sheet to block")),),
        Contacts.of_sheet(sheet_mm, choice.hand),
        (
            tr("Tape this sheet to the bench under a clear film. Mark the same corner on every block."),
            tr(
                "Lay the block on its outline, marked corner on marked corner: a block turned by mistake is "
                "the usual error."
            ),
            tr("Lower the sheet by two corners onto their crosses, then let it fall."),
        ),
        (tr("The simplest set-up, for a few sheets: it holds neither block nor paper."),),
    )


def _judged(place: Situation) -> tuple[int, str]:
    """How well it suits, and why. Common practice, no source."""
    if place.pulls <= 1:
        return (1, tr("One pull has nothing to fit to: the simplest set-up will do."))
    if place.sheets <= 5 and place.pulls <= 3:
        return (1, tr("A few sheets in a few pulls: the simplest set-up will do."))
    if place.floppy:
        return (0, tr("A floppy sheet cannot be dropped onto a line."))
    return (0, tr("Too loose for {pulls} pulls on {sheets} sheets.", pulls=place.pulls, sheets=place.sheets))


SYSTEM = RegisterSystem(
    "bed",
    tr("Traced bed sheet"),
    bed_plan,
    _judged,
    (0.4, 0.35, 0.0),
    tr("Marked corner of the block to the marked corner; sheet onto its crosses."),
    carries=tr("the marked corner and the crosses"),
    effort=4,
)
