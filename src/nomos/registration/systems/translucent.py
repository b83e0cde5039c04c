"""Crosses seen through the sheet."""

from nomos.base.language import tr
from nomos.registration.contacts import Contacts
from nomos.registration.kento import GRIP_MM, KentoSettings, Rect
from nomos.registration.settings import SEEN_THROUGH_GSM, RegisterError, RegisterSettings, Situation
from nomos.registration.systems.record import RegisterSystem
from nomos.registration.systems.shapes import Dimension, SystemPlan, around, corners_of, cross, gripped, shape


def translucent_plan(
    sheet_mm: tuple[float, float], image: Rect, _settings: RegisterSettings, choice: KentoSettings
) -> SystemPlan:
    """Crosses beside the image on block and sheet."""
    block = gripped(image, choice.block_mm)
    off = GRIP_MM / 2
    places = (
        (image.left - off, image.top - off), (image.right + off, image.top - off),
        (image.left - off, image.bottom + off), (image.right + off, image.bottom + off),
    )  # fmt: skip
    if min(block.left, block.top) > min(image.left, image.top) - off:
        raise RegisterError(tr("The block leaves no room for crosses beside the image: take a larger block."))
    shapes = (shape("block", block), *(cross(x, y) for x, y in places))
    near, far = places[2], places[3]
    return SystemPlan(
        "translucent",
        block,
        around(list(corners_of(block)), (0, 0, *sheet_mm)),
        shapes,
        (Dimension(near, far, tr("from cross to cross")),),
        Contacts.of_corners(image),
        (
            tr("Draw the four crosses on each block beside the image, and on the back of every sheet in pencil."),
            tr("Hold the sheet over the block against the light and lay cross on cross, two near ones first."),
        ),
        (tr("Only for paper one sees through; drawn marks must lie outside what is kept."),),
    )


def _judged(place: Situation) -> tuple[int, str]:
    """How well it suits, and why. Common practice, no source."""
    if place.weight_gsm is not None and place.weight_gsm <= SEEN_THROUGH_GSM:
        return (1, tr("The paper is thin enough to be lined up by eye through it."))
    known = tr("The paper's weight is not known") if place.weight_gsm is None else tr("The paper is too thick")
    return (0, tr("{known}: marks must be seen through it.", known=known))


SYSTEM = RegisterSystem(
    "translucent",
    tr("Seen through the paper"),
    translucent_plan,
    _judged,
    (0.25, 0.0, 0.08),
    tr("Cross on cross against the light, near ones first."),
    carries=tr("the four crosses"),
    effort=5,
    crosses=True,
)
