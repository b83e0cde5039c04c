"""Where the sheet touches what holds it: three places, and which way each one pushes."""

from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from nomos.base.language import tr
from nomos.registration.kento import Hand, Rect

Floats = NDArray[np.float64]
Place = tuple[float, float]

WALL_NAMES = (
    tr("the side of the corner notch"),
    tr("the base of the corner notch"),
    tr("the base of the straight notch"),
)


@dataclass(frozen=True)
class Contacts:
    """Three contacts that hold a sheet, in mm as seen on the print: one for x, two for y, or the other way.

    places : (3 points) the middle of each wall.
    inward : (3 unit vectors) which way each wall pushes the sheet.
    names : what each is called at the bench.
    turned : the sheet lies a quarter turn clockwise on the bench, its right edge nearest the printer.
    """

    places: tuple[Place, Place, Place]
    inward: tuple[Place, Place, Place]
    names: tuple[str, str, str] = WALL_NAMES
    turned: bool = False

    @classmethod
    def of_sheet(
        cls, sheet_mm: tuple[float, float], hand: Hand = "right", arm_mm: float = 25.0, straight: float = 2 / 3
    ) -> "Contacts":
        """For a kento along the sheet's lower edge; `straight` is the share of the edge from the corner."""
        width, height = sheet_mm

        def across(along: float) -> float:
            return along if hand == "right" else width - along

        sideways = 1.0 if hand == "right" else -1.0
        return cls(
            ((across(0.0), height - arm_mm / 2), (across(arm_mm / 2), height), (across(straight * width), height)),
            ((sideways, 0.0), (0.0, -1.0), (0.0, -1.0)),
        )

    @classmethod
    def of_corners(cls, area: Rect) -> "Contacts":
        """For something laid by three corners of a rectangle: a transfer by its drawing."""
        return cls(
            ((area.left, area.top), (area.left, area.bottom), (area.right, area.bottom)),
            ((1.0, 0.0), (0.0, -1.0), (0.0, -1.0)),
            (tr("the upper left corner"), tr("the lower left corner"), tr("the lower right corner")),
        )

    def by_small_motion(self) -> Floats:
        """(3, 3): what (dx, dy, angle in radians about the sheet's origin) moves each contact by, inwards."""
        places, inward = np.array(self.places), np.array(self.inward)
        turned = np.stack([-places[:, 1], places[:, 0]], axis=1)
        return np.column_stack([inward, (inward * turned).sum(axis=1)])

    def motion_by(self) -> Floats:
        """(3, 3): the small motion (dx, dy, angle) of the sheet for each contact moved inwards by 1 mm."""
        return np.asarray(np.linalg.inv(self.by_small_motion()))
