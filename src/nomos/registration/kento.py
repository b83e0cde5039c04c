"""Kento: the corner notch (kagi) and the straight notch (hikitsuke) cut into the block.

All coordinates are millimetres as seen on the printed sheet: origin at the
sheet's top left, x right, y down. The block is the mirror image; `on_block`
turns a point over. The edge nearest the printer is the sheet's lower edge, and
a right-handed printer has the corner notch on the right of the block, which is
the left of the print.
"""

from dataclasses import dataclass, replace
from typing import Annotated, Literal

from nomos.base.errors import BadInput
from nomos.base.fields import check_fields, choice, length, share
from nomos.base.language import tr
from nomos.base.units import length_text, range_text, size_text

Point = tuple[float, float]
Hand = Literal["right", "left"]
Side = Literal["long", "short"]

# Written down from memory (the user changes them): 6 to 10 mm outside the
# image, about 1 mm deep, the straight notch two thirds of the edge from the corner.
SMALLEST_MARGIN_MM = 6.0
DEFAULT_DEPTH_MM = 1.0
STRAIGHT_PLACE = 2 / 3
# A border of 6 to 13 mm around the image holds the block (common practice, no source).
GRIP_MM = 10.0
# Wood behind a notch wall thinner than this breaks out (chosen by us, no source).
THINNEST_WALL_MM = 5.0
_CLEAR_OF_IMAGE_MM = 2.0
_WIDEST_FLOOR_MM = 8.0
_BETWEEN_NOTCHES_MM = 10.0
KENTO = tr("Kento")


class KentoError(BadInput):
    """The block, the sheet or the margins leave no room for the notches."""


@dataclass(frozen=True)
class Rect:
    """A rectangle in mm: left, top, right, bottom."""

    left: float
    top: float
    right: float
    bottom: float

    @property
    def width(self) -> float:
        """Right less left."""
        return self.right - self.left

    @property
    def height(self) -> float:
        """Bottom less top."""
        return self.bottom - self.top


@dataclass(frozen=True)
class KentoSettings:
    """What the printer chooses. Lengths in mm.

    hand : the printer's right or left hand seats the corner.
    corner_arm_mm : length of each arm of the corner notch.
    straight_mm : length of the straight notch.
    straight_place : its middle, as a share of the sheet's near edge from the corner.
    depth_mm : how deep both are cut.
    wall_mm : wood left beyond the sheet's edges on the notched sides.
    block_mm : width and height of the block at hand; None makes it as large as needed.
    """

    hand: Annotated[
        Hand,
        choice(
            tr("The printer's hand"), tr("The corner notch lies at that hand when the block faces you."),
            (("right", tr("Right-handed")), ("left", tr("Left-handed"))), bare=True, level="essential",
            undo=KENTO,
        ),
    ] = "right"  # fmt: skip
    corner_arm_mm: Annotated[
        float,
        length(
            tr("Corner notch, each arm"),
            tr("How far the corner notch reaches along each edge of the sheet."), 8, 100, undo=KENTO,
        ),
    ] = 25.0  # fmt: skip
    straight_mm: Annotated[
        float, length(tr("Straight notch, length"), tr("How long the straight notch is."), 8, 200, undo=KENTO)
    ] = 30.0
    straight_place: Annotated[
        float,
        share(
            tr("Middle of the straight notch"),
            tr("Where the straight notch stands along the edge, from the corner."), 0.3, 0.95, undo=KENTO,
        ),
    ] = STRAIGHT_PLACE  # fmt: skip
    depth_mm: Annotated[
        float,
        length(
            tr("Depth of the notches"),
            tr("How deep they are cut: about twice the paper's thickness, 1 mm at least."), 0.2, 5,
            step=0.1, undo=KENTO,
        ),
    ] = DEFAULT_DEPTH_MM  # fmt: skip
    wall_mm: Annotated[
        float,
        length(
            tr("Wood beyond the notches"),
            tr("Wood left outside the notches, so that they do not break out."), THINNEST_WALL_MM, 100,
            undo=KENTO,
        ),
    ] = 12.0  # fmt: skip
    block_mm: tuple[float, float] | None = None


@dataclass(frozen=True)
class Notch:
    """One notch: the wall the sheet stops at, and the floor cut away under the sheet."""

    name: str
    wall: tuple[Point, ...]
    floor: tuple[Point, ...]


@dataclass(frozen=True)
class Kento:
    """Both notches on one block, in sheet coordinates, with the room that is left.

    wood_beyond_mm : wood outside the walls, at the near edge and at the corner side.
    floor_to_image_mm : from the notch floors to the image, at the near edge and at the corner side.
    """

    corner: Notch
    straight: Notch
    block: Rect
    depth_mm: float
    wood_beyond_mm: tuple[float, float]
    floor_to_image_mm: tuple[float, float]

    def on_block(self, point: Point) -> Point:
        """A point of the sheet as it lies on the block seen face up, from the block's top left."""
        return self.block.right - point[0], point[1] - self.block.top


def place_kento(sheet_mm: tuple[float, float], image: Rect, settings: KentoSettings) -> Kento:
    """Place both notches for a sheet and an image.

    Parameters
    ----------
    sheet_mm : width and height of the sheet.
    image : where the image lies on the sheet.
    settings : the printer's choices.

    Raises
    ------
    KentoError : no room, saying where and what would help.
    """
    width, height = sheet_mm
    check_fields(settings, lambda _name, reason: KentoError(reason))
    near = height - image.bottom
    side = image.left if settings.hand == "right" else width - image.right
    _check_margins(image, sheet_mm, near, side)
    near_floor = min(_WIDEST_FLOOR_MM, near - _CLEAR_OF_IMAGE_MM)
    side_floor = min(_WIDEST_FLOOR_MM, side - _CLEAR_OF_IMAGE_MM)
    _check_edge(sheet_mm, settings)
    block = _block(sheet_mm, image, settings)
    corner_x = 0.0 if settings.hand == "right" else width
    inward = 1.0 if settings.hand == "right" else -1.0

    def at(along: float, up: float) -> Point:
        """A point so far from the corner along the near edge, and so far up from it."""
        return corner_x + inward * along, height - up

    arm = settings.corner_arm_mm
    corner = Notch(
        tr("corner notch"),
        wall=(at(0, arm), at(0, 0), at(arm, 0)),
        floor=(
            at(0, 0), at(arm, 0), at(arm, near_floor), at(side_floor, near_floor),
            at(side_floor, arm), at(0, arm),
        ),
    )  # fmt: skip
    middle, half = settings.straight_place * width, settings.straight_mm / 2
    straight = Notch(
        tr("straight notch"),
        wall=(at(middle - half, 0), at(middle + half, 0)),
        floor=(
            at(middle - half, 0), at(middle + half, 0),
            at(middle + half, near_floor), at(middle - half, near_floor),
        ),
    )  # fmt: skip
    beyond_side = -block.left if settings.hand == "right" else block.right - width
    return Kento(
        corner,
        straight,
        block,
        settings.depth_mm,
        wood_beyond_mm=(block.bottom - height, beyond_side),
        floor_to_image_mm=(near - near_floor, side - side_floor),
    )


def depth_for(paper_mm: float | None) -> float:
    """How deep to cut for a paper so thick: twice its thickness, and 1 mm at the least.

    The wall has to stand well above the sheet's edge (the factor is chosen by us). Raises KentoError.

    Parameters
    ----------
    paper_mm : thickness; None where it is not known.

    Returns
    -------
    mm.

    Raises
    ------
    KentoError : too thick for a notch.
    """
    if paper_mm is None:
        return DEFAULT_DEPTH_MM
    if not 0 < paper_mm <= 2.5:
        raise KentoError(
            tr(
                "Paper of {paper_mm} does not seat in notches: give {range}.",
                paper_mm=length_text(paper_mm, None),
                range=range_text(0.01, 2.5),
            )
        )
    return max(DEFAULT_DEPTH_MM, round(2 * paper_mm, 2))


def place_along(sheet_mm: tuple[float, float], image: Rect, settings: KentoSettings, side: Side) -> Kento:
    """Place both notches along the sheet's long or short side.

    The lower edge is kept where it is such a side; else the sheet is laid a
    quarter turn clockwise on the block, its right edge nearest the printer. The
    notches come back in the sheet's own upright coordinates. Raises KentoError.

    Parameters
    ----------
    sheet_mm : width and height.
    image : mm on the sheet.
    side : the long or the short one.

    Returns
    -------
    Notches in mm on the sheet.

    Raises
    ------
    KentoError : there is no room.
    """
    width, height = sheet_mm
    if (width >= height) == (side == "long") or width == height:
        return place_kento(sheet_mm, image, settings)
    laid = Rect(height - image.bottom, image.left, height - image.top, image.right)
    kento = place_kento((height, width), laid, settings)

    def back(points: tuple[Point, ...]) -> tuple[Point, ...]:
        return tuple((y, height - x) for x, y in points)

    block = kento.block
    return replace(
        kento,
        corner=replace(kento.corner, wall=back(kento.corner.wall), floor=back(kento.corner.floor)),
        straight=replace(kento.straight, wall=back(kento.straight.wall), floor=back(kento.straight.floor)),
        block=Rect(block.top, height - block.right, block.bottom, height - block.left),
    )


def _check_margins(image: Rect, sheet_mm: tuple[float, float], near: float, side: float) -> None:
    if image.left < 0 or image.top < 0 or image.right > sheet_mm[0] or image.bottom > sheet_mm[1]:
        raise KentoError(
            tr(
                "The image, {width}, runs off the sheet, {size_text}: choose a larger sheet or move the image.",
                width=size_text(image.width, image.height),
                size_text=size_text(*sheet_mm),
            )
        )
    for margin, where in ((near, tr("lower edge")), (side, tr("corner side"))):
        if margin < SMALLEST_MARGIN_MM - 1e-9:
            raise KentoError(
                tr(
                    "The margin at the sheet's {where} is {margin}, and the notches need "
                    "{smallest_margin_mm} outside the image: widen it by {smallest_margin_mm_2}.",
                    where=where, margin=length_text(margin), smallest_margin_mm=length_text(SMALLEST_MARGIN_MM, None),
                    smallest_margin_mm_2=length_text(SMALLEST_MARGIN_MM - margin),
                )
            )  # fmt: skip


def _check_edge(sheet_mm: tuple[float, float], settings: KentoSettings) -> None:
    middle, half = settings.straight_place * sheet_mm[0], settings.straight_mm / 2
    gap = middle - half - settings.corner_arm_mm
    if gap < _BETWEEN_NOTCHES_MM:
        raise KentoError(
            tr(
                "The straight notch comes within {gap} of the corner notch; they need "
                "{between_notches_mm} between them: make them shorter or move the straight notch out.",
                gap=length_text(gap),
                between_notches_mm=length_text(_BETWEEN_NOTCHES_MM, None),
            )
        )
    if middle + half > sheet_mm[0]:
        raise KentoError(
            tr(
                "The straight notch runs {middle} past the sheet's end: make it shorter or move it towards the corner.",
                middle=length_text(middle + half - sheet_mm[0]),
            )
        )
    if settings.corner_arm_mm > sheet_mm[1] / 2:
        raise KentoError(tr("The corner notch is longer than half the sheet: make its arms shorter."))


def _block(sheet_mm: tuple[float, float], image: Rect, settings: KentoSettings) -> Rect:
    """The block: wood beyond the sheet on the notched sides, a grip border around the image elsewhere.

    The sheet may hang over the two other sides; the notches alone place it.
    """
    width, height = sheet_mm
    right_handed = settings.hand == "right"
    straight_end = settings.straight_place * width + settings.straight_mm / 2 + THINNEST_WALL_MM
    far_side = max(image.right if right_handed else width - image.left, straight_end - GRIP_MM) + GRIP_MM
    wanted = (settings.wall_mm + far_side, settings.wall_mm + height - image.top + GRIP_MM)
    size = settings.block_mm or wanted
    spare = size[0] - wanted[0], size[1] - wanted[1]
    give = settings.wall_mm - THINNEST_WALL_MM
    if min(spare) < -give - 1e-9:
        least = size_text(wanted[0] - give, wanted[1] - give)
        raise KentoError(
            tr(
                "A block of {size_text} has no room for the kento: image, sheet corner and "
                "{thinnest_wall_mm} of wood beyond the notches need {least}; take a larger block or "
                "narrower margins.",
                size_text=size_text(*size), thinnest_wall_mm=length_text(THINNEST_WALL_MM, None), least=least,
            )
        )  # fmt: skip
    # A scant block gives up wood beyond the notches; an ample one keeps the rest on the far sides.
    wall_x, wall_y = settings.wall_mm + min(0.0, spare[0]), settings.wall_mm + min(0.0, spare[1])
    bottom = height + wall_y
    if right_handed:
        return Rect(-wall_x, bottom - size[1], size[0] - wall_x, bottom)
    return Rect(width + wall_x - size[0], bottom - size[1], width + wall_x, bottom)
