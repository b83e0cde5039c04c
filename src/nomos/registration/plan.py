"""A system of registration drawn to scale: what lies where on block, sheet and bench, its steps and limits.

Everything is worked out as the sheet lies before the printer, near edge at the
bottom, as seen on the print; `laid_back` turns a sheet that lies on its side
upright again.
"""

from dataclasses import replace
from typing import Literal

from nomos.registration.contacts import Place
from nomos.registration.kento import KentoSettings, Rect
from nomos.registration.settings import RegisterSettings
from nomos.registration.systems import system_called
from nomos.registration.systems.shapes import SystemPlan


def plan_system(
    sheet_mm: tuple[float, float], image: Rect, settings: RegisterSettings, kento: KentoSettings
) -> SystemPlan:
    """The chosen system for a sheet and an image.

    Raises
    ------
    KentoError, RegisterError : no room for it, saying what would help.
    """
    make = system_called(settings.system).plan
    if not lies_on_side(sheet_mm, settings.side):
        return make(sheet_mm, image, settings, kento)
    width, height = sheet_mm
    laid = Rect(height - image.bottom, image.left, height - image.top, image.right)
    return laid_back(make((height, width), laid, settings, kento), height)


def lies_on_side(sheet_mm: tuple[float, float], side: Literal["long", "short"] | None) -> bool:
    """Whether the sheet's right edge is nearest the printer, so that the chosen side is."""
    width, height = sheet_mm
    return side is not None and width != height and (width > height) != (side == "long")


def laid_back(plan: SystemPlan, height: float) -> SystemPlan:
    """A plan for a sheet laid a quarter turn clockwise, in the sheet's own upright coordinates.

    Parameters
    ----------
    plan : for the turned sheet.
    height : of the upright sheet, mm.

    Returns
    -------
    The plan, mm on the sheet, y down.
    """

    def back(point: Place) -> Place:
        return point[1], height - point[0]

    def way(vector: Place) -> Place:
        return vector[1], -vector[0] + 0.0

    def rect(area: Rect) -> Rect:
        return Rect(area.top, height - area.right, area.bottom, height - area.left)

    held = plan.contacts
    (a, b, c), (u, v, w) = held.places, held.inward
    return replace(
        plan,
        block=rect(plan.block),
        bench=rect(plan.bench),
        shapes=tuple(replace(each, points=tuple(map(back, each.points))) for each in plan.shapes),
        dimensions=tuple(replace(each, start=back(each.start), end=back(each.end)) for each in plan.dimensions),
        contacts=replace(held, places=(back(a), back(b), back(c)), inward=(way(u), way(v), way(w)), turned=True),
    )
