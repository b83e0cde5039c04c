"""A kento in an L of board that the block is laid into."""

from dataclasses import replace

from nomos.base.language import tr
from nomos.base.units import length_text, size_text
from nomos.registration.contacts import Contacts
from nomos.registration.kento import KentoSettings, Rect, place_kento
from nomos.registration.settings import NOTCH_MARGIN_MM, RegisterError, RegisterSettings, Situation
from nomos.registration.systems.kento import kento_dimensions, kento_shapes
from nomos.registration.systems.record import RegisterSystem
from nomos.registration.systems.shapes import Shape, SystemPlan, around, corners_of, shape


def floating_plan(
    sheet_mm: tuple[float, float], image: Rect, _settings: RegisterSettings, choice: KentoSettings
) -> SystemPlan:
    """Notches in an L of board as thick as the block."""
    kento = place_kento(sheet_mm, image, replace(choice, block_mm=None))
    near, side = kento.floor_to_image_mm
    room = max(min(near, side) - 0.5, 0.0)
    block = Rect(image.left - room, image.top - room, image.right + room, image.bottom + room)
    if choice.block_mm is not None:
        spare = choice.block_mm[0] - image.width, choice.block_mm[1] - image.height
        if min(spare) < -0.01 or max(spare[0] - 2 * side, spare[1] - 2 * near) > 0.01:
            raise RegisterError(
                tr(
                    "A block of {size_text} does not go into the floating kento: the image is {width}, "
                    "and the notches leave {near} below it and {side} at its corner side. Trim the block.",
                    size_text=size_text(*choice.block_mm), width=size_text(image.width, image.height),
                    near=length_text(near), side=length_text(side),
                )
            )  # fmt: skip
        block = Rect(
            image.left - spare[0] / 2, image.top - spare[1] / 2,
            image.right + spare[0] / 2, image.bottom + spare[1] / 2,
        )  # fmt: skip
    right_handed = choice.hand == "right"
    outer = kento.block
    x_in, x_out = (block.left, outer.left) if right_handed else (block.right, outer.right)
    far_x = block.right if right_handed else block.left
    board = (
        (x_out, outer.bottom), (far_x, outer.bottom), (far_x, block.bottom),
        (x_in, block.bottom), (x_in, block.top), (x_out, block.top),
    )  # fmt: skip
    bench = around([*board, *corners_of(block)], (0, 0, *sheet_mm))
    return SystemPlan(
        "floating",
        block,
        bench,
        (Shape("board", board), shape("block", block), *kento_shapes(kento)),
        kento_dimensions(kento),
        Contacts.of_sheet(sheet_mm, choice.hand, choice.corner_arm_mm, choice.straight_place),
        (
            tr("Cut the L from board exactly as thick as the block, and the notches into it."),
            tr("Fix the L to the base. Push each block into its inner corner, label upright."),
            tr("Seat the sheet's corner first, then its edge at the straight notch, then let it fall."),
        ),
        (
            tr("Every block must have the same square corner: it is what meets the L."),
            tr("The block may rise or slide: hold it with a strip of double-sided tape."),
        ),
    )


def _judged(place: Situation) -> tuple[int, str]:
    """How well it suits, and why. Common practice, no source."""
    if place.margin_mm < NOTCH_MARGIN_MM:
        return (0, tr("The sheet's margin is narrower than notches need."))
    if place.floppy and not place.damp:
        return (0, tr("Floppy paper buckles when it is pushed into notches."))
    return (1, tr("For blocks cut to the image: one notched board serves them all."))


SYSTEM = RegisterSystem(
    "floating",
    tr("Floating kento"),
    floating_plan,
    _judged,
    (0.06, 0.08, 0.0),
    tr("Corner notch first, then the straight notch, let it fall."),
    carries=tr("both notches"),
    effort=3,
    notched="board",
)
