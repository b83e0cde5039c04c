"""Stops for the block, and others for the sheet."""

from nomos.base.language import tr
from nomos.base.units import length_text
from nomos.registration.contacts import Contacts
from nomos.registration.kento import GRIP_MM, KentoSettings, Rect
from nomos.registration.settings import RegisterError, RegisterSettings, Situation
from nomos.registration.systems.record import RegisterSystem
from nomos.registration.systems.shapes import (
    ABOVE_MM,
    BASE_MM,
    JIG_CLEAR_MM,
    PAPER_STOPS,
    SIDE_STOP,
    STOP_LONG_MM,
    STOP_MM,
    Dimension,
    Shape,
    SystemPlan,
    around,
    block_stops,
    box,
    corners_of,
    gripped,
    packing,
    shape,
)


def jig_plan(
    sheet_mm: tuple[float, float], image: Rect, settings: RegisterSettings, choice: KentoSettings
) -> SystemPlan:
    """Stops below the face for the block, others above it for the sheet."""
    jig = settings.jig
    width, height = sheet_mm
    right_handed = choice.hand == "right"
    # The stops for the sheet stand beyond the block: it is trimmed closer than usual where it must be.
    room = min(height - image.bottom, image.left if right_handed else width - image.right) - JIG_CLEAR_MM
    grip = min(GRIP_MM, max(room, 0.0))
    size = jig.block_mm or choice.block_mm or (image.width + 2 * grip, image.height + 2 * grip)
    block = gripped(image, size)
    edge_x, inward = (0.0, 1.0) if right_handed else (width, -1.0)
    near = max(height, block.bottom)
    beyond = min(height - block.bottom, block.left if right_handed else width - block.right)
    if beyond < JIG_CLEAR_MM - 1e-6:
        raise RegisterError(
            tr(
                "The sheet must reach {clear_mm} beyond the block on the two stopped sides, or its stops "
                "would stand on the block: take a larger sheet, or smaller blocks.",
                clear_mm=length_text(JIG_CLEAR_MM, None),
            )
        )
    stops, contacts = _paper_stops(sheet_mm, edge_x, inward)
    shapes = [*packing(block, sheet_mm), shape("block", block), *block_stops(block, choice), *stops]
    points = [point for each in shapes for point in each.points]
    base = around(points, (0, 0, width, near))
    base = Rect(base.left - BASE_MM, base.top - BASE_MM, base.right + BASE_MM, base.bottom + BASE_MM)
    above = jig.thickness_mm + ABOVE_MM
    return SystemPlan(
        "jig",
        block,
        base,
        (Shape("base", corners_of(base)), *shapes),
        (
            Dimension(
                (edge_x, height), (block.left if right_handed else block.right, height), tr("from sheet to block")
            ),
        ),
        contacts,
        (
            tr(
                "Block stops: strips {thickness_mm} high, below the block's face.",
                thickness_mm=length_text(max(jig.thickness_mm - 1, 0.5)),
            ),
            tr(
                "Paper stops: strips {above} high, {above_mm} above the block's face.",
                above=length_text(above),
                above_mm=length_text(ABOVE_MM),
            ),
            tr(
                "Packing {thickness_mm} thick under the sheet's margin, so that it lies level.",
                thickness_mm=length_text(jig.thickness_mm),
            ),
            tr(
                "Push the block into its stops, ink it outside the jig or with the stops masked, lay the "
                "sheet against its own stops, near edge first."
            ),
        ),
        (
            tr("All blocks of a set must be cut to one size and square."),
            tr("Stops higher than the block keep a press roller or a baren off the edges: work within them."),
        ),
    )


def _paper_stops(sheet_mm: tuple[float, float], edge_x: float, inward: float) -> tuple[list[Shape], Contacts]:
    """Two stops along the near edge and one at the side, in mm, and where the sheet touches them."""
    width, height = sheet_mm
    long = min(STOP_LONG_MM, width / 6, height / 6)
    near = [edge_x + inward * share * width for share in PAPER_STOPS]
    stops = [box("paper stop", middle, height + STOP_MM / 2, long, STOP_MM) for middle in near]
    stops.append(box("paper stop", edge_x - inward * STOP_MM / 2, height * SIDE_STOP, STOP_MM, long))
    contacts = Contacts(
        ((edge_x, height * SIDE_STOP), (near[0], height), (near[1], height)),
        ((inward, 0.0), (0.0, -1.0), (0.0, -1.0)),
        (tr("the side stop"), tr("the near stop at the corner"), tr("the far end's near stop")),
    )
    return stops, contacts


def _judged(place: Situation) -> tuple[int, str]:
    """How well it suits, and why. Common practice, no source."""
    if place.floppy or place.damp:
        return (0, tr("The paper is too soft to be pushed against stops."))
    if place.reduction:
        return (2, tr("One block for all pulls always sits the same in its stops."))
    if place.sawn:
        return (2, tr("The stops hold the pieces together in their border."))
    return (1, tr("Good when all blocks are cut to exactly one size and square."))


SYSTEM = RegisterSystem(
    "jig",
    tr("Corner jig"),
    jig_plan,
    _judged,
    (0.12, 0.08, 0.0),
    tr("Near stops first, slide to the side stop, lay it down."),
    carries=tr("the edges at the stops"),
    effort=2,
    holds_block=True,
)
