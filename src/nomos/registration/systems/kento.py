"""Notches in the wood of every block."""

from nomos.base.language import tr
from nomos.base.units import length_text
from nomos.registration.contacts import Contacts
from nomos.registration.kento import Kento, KentoSettings, Rect, place_kento
from nomos.registration.settings import NOTCH_MARGIN_MM, RegisterSettings, Situation
from nomos.registration.systems.record import RegisterSystem
from nomos.registration.systems.shapes import DAMP, Dimension, Shape, SystemPlan, shape


def kento_shapes(kento: Kento) -> tuple[Shape, ...]:
    """Both notches: floors and walls."""
    found = []
    for notch in (kento.corner, kento.straight):
        found.append(Shape("floor", notch.floor))
        found.append(Shape("wall", notch.wall, closed=False))
    return tuple(found)


def kento_plan(
    sheet_mm: tuple[float, float], image: Rect, settings: RegisterSettings, choice: KentoSettings
) -> SystemPlan:
    """Notches cut into each block."""
    kento = place_kento(sheet_mm, image, choice)
    grain = "along" if kento.block.width >= kento.block.height else "across"
    return SystemPlan(
        "kento",
        kento.block,
        kento.block,
        (shape("block", kento.block), *kento_shapes(kento), *_tidy(kento, choice)),
        kento_dimensions(kento),
        Contacts.of_sheet(sheet_mm, choice.hand, choice.corner_arm_mm, choice.straight_place),
        (
            tr("Score the walls with a knife held upright, then pare the floors to depth from the image's side."),
            tr(
                "Pare the cleared wood between image and notches below the floors (the tidy line), "
                "so that the sheet lies flat."
            ),
            tr("Cut the same notches in every block of the set, from one tracing."),
            tr("Seat the sheet's corner first, then its edge at the straight notch, then let it fall."),
        ),
        (
            tr("Notches hold stiff or damp paper; a floppy dry sheet buckles in them."),
            tr(
                "With the grain {grain} the near edge, a notch wall across the grain splits off "
                "easily: cut across the fibres first.",
                grain=grain,
            ),
            *((DAMP,) if settings.damp else ()),
        ),
    )


def kento_dimensions(kento: Kento) -> tuple[Dimension, ...]:
    """How far the straight notch is from the corner, and both from the image."""
    corner = kento.corner.wall[1]
    xs = sorted(point[0] for point in kento.straight.wall)
    middle = (xs[0] + xs[1]) / 2
    y = corner[1] + min(kento.wood_beyond_mm[0] * 0.5, 6)
    return (Dimension((corner[0], y), (middle, y), tr("to the middle of the straight notch")),)


def _tidy(kento: Kento, choice: KentoSettings) -> tuple[Shape, ...]:
    """The line between image and notches down to which cleared wood is pared."""
    corner = kento.corner.wall[1]
    floors = [point[1] for point in kento.corner.floor]
    y = min(value for value in floors if value > corner[1] - choice.corner_arm_mm + 1e-6)
    edges = kento.block.left, kento.block.right
    return (Shape("tidy", ((edges[0], y), (edges[1], y)), closed=False),)


def _judged(place: Situation) -> tuple[int, str]:
    """How well it suits, and why. Common practice, no source."""
    if place.margin_mm < NOTCH_MARGIN_MM:
        return (
            0,
            tr(
                "The margin leaves no room for notches, which need {notch_margin_mm}.",
                notch_margin_mm=length_text(NOTCH_MARGIN_MM, None),
            ),
        )
    if place.sawn:
        return (1, tr("The notches stand in the border that holds the pieces: keep it."))
    if place.floppy and not place.damp:
        return (1, tr("Floppy paper buckles when it is pushed into notches."))
    if place.damp:
        return (2, tr("Damp paper seats in notches, two fingers at a time."))
    return (2, tr("The notches are in the wood itself and cannot shift."))


SYSTEM = RegisterSystem(
    "kento",
    tr("Kento on the block"),
    kento_plan,
    _judged,
    (0.06, 0.0, 0.05),
    tr("Corner notch first, then the straight notch, let it fall."),
    carries=tr("both notches"),
    effort=0,
    notched="block",
    sheet_of_its_own=False,
)
