"""Tabs on the sheet, on pins on the bench."""

from nomos.base.language import tr
from nomos.registration.contacts import Contacts
from nomos.registration.kento import KentoSettings, Rect
from nomos.registration.pins import TAB_MM, female_part, male_part, overlap_mm, pin_places
from nomos.registration.settings import RegisterSettings, Situation
from nomos.registration.systems.record import RegisterSystem
from nomos.registration.systems.shapes import (
    LASER_CAUTION,
    Dimension,
    Shape,
    SystemPlan,
    around,
    block_stops,
    corners_of,
    gripped,
    shape,
)


def pins_plan(
    sheet_mm: tuple[float, float], image: Rect, settings: RegisterSettings, choice: KentoSettings
) -> SystemPlan:
    """Tabs or punched holes on pins taped to the bench."""
    pins = settings.pins
    block = gripped(image, choice.block_mm)
    places = pin_places(sheet_mm, block, pins, image.top)
    shapes = [shape("block", block), *block_stops(block, choice)]
    for place, (x, y) in enumerate(places):
        male = tuple((x + px, y + py) for px, py in male_part(place, pins).outer)
        shapes.append(Shape("base", male))
        shapes += [Shape("pin", tuple((x + px, y + py) for px, py in hole)) for hole in male_part(place, pins).holes]
        if pins.taped:
            tab = tuple((x + px, y + py) for px, py in female_part(place, pins).outer)
            shapes.append(Shape("tab", tab, word=tr("pair {place}", place=place + 1)))
            half = TAB_MM[0] / 2 + 6
            shapes.append(Shape("tape", corners_of(Rect(x - half, -4.0, x + half, overlap_mm(image.top)))))
        else:
            shapes.append(
                Shape("tab", corners_of(Rect(x - 6, y - 6, x + 6, y + 6)), word=tr("pair {place}", place=place + 1))
            )
    first, last = places[0], places[-1]
    names = (tr("pin 1"), tr("pin 1"), tr("pin {places}", places=len(places)))
    contacts = Contacts((first, first, last), ((1.0, 0.0), (0.0, 1.0), (0.0, 1.0)), names)
    bench = around([point for each in shapes for point in each.points], (0, 0, *sheet_mm))
    tape = (
        tr(
            "Tape each tab under the sheet's far edge, on its back, half on paper and half on tab; on light "
            "paper use low-tack tape, and let it reach over the tab's end so that the sheet does not "
            "lift off."
        )
        if pins.taped
        else tr("Punch the sheets all against one stop, so that the holes are the same on each.")
    )
    return SystemPlan(
        "pins",
        block,
        bench,
        tuple(shapes),
        (Dimension(first, last, tr("from pin to pin")),),
        contacts,
        (
            tr(
                "Cut the pairs from thin board: the stub glued on the foot is the male half, the plate with "
                "the hole the female."
            ),
            tr("Fix the block stops to the base, then the feet by this sheet."),
            tape,
            tr("Lower the tabs onto the pins one after the other, then let the sheet fall."),
        ),
        (
            tr("Pair 1 holds both ways; the others slide along the edge, so that the paper may grow."),
            tr("Dry paper only: tape does not hold on damp sheets.")
            if pins.taped
            else tr("Punched holes wear: past 30 pulls tape a tab over them."),
            LASER_CAUTION,
        ),
    )


def _judged(place: Situation) -> tuple[int, str]:
    """How well it suits, and why. Common practice, no source."""
    if place.damp:
        return (0, tr("Tape does not hold on damp paper, and punched holes tear."))
    if place.floppy:
        pairs = tr("three pairs, the sheet is large") if place.large else tr("two pairs do")
        return (2, tr("Floppy paper hangs from its tabs: {pairs}.", pairs=pairs))
    if place.pulls >= 6:
        return (2, tr("{pulls} pulls: tabs repeat best and stay on throughout.", pulls=place.pulls))
    return (1, tr("Repeats best, but every sheet needs its tabs fitted."))


SYSTEM = RegisterSystem(
    "pins",
    tr("Pins and tabs"),
    pins_plan,
    _judged,
    (0.04, 0.06, 0.03),
    tr("Tabs onto the pins one by one, let it fall."),
    carries=tr("both pin holes"),
    effort=1,
    has_parts=True,
)
