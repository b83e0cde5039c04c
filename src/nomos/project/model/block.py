"""A block and the key that is laid as a contour."""

from typing import Annotated, Literal

from msgspec import Struct

from nomos.base.fields import choice, length
from nomos.base.language import opened, tr
from nomos.carving import MATERIALS, Material
from nomos.project.model.limits import THINNEST_LINE_MM, WIDEST_LINE_MM, Digest


class Contour(Struct, frozen=True, forbid_unknown_fields=True):
    """A key of lines along the borders; weigh: thinner where two colours are nearly alike."""

    width_mm: Annotated[
        float,
        length(
            tr("Width of the contour"), tr("Of the line round every field that makes the key."),
            THINNEST_LINE_MM, WIDEST_LINE_MM, step=0.1, digits=2, undo=tr("Contour"),
        ),
    ]  # fmt: skip
    weigh: bool = True


class Block(Struct, frozen=True, forbid_unknown_fields=True):
    """A block and the numbers of the flat colours it prints; with `contour`, lines along their borders.

    drawn : a PNG mask changed by hand, used in place of the one worked out.
    board : the piece of material it is cut in, if it shares one.
    face : which side of the board; blocks on one side are its successive states, in print order.
    kerf_mm : the width of the saw or knife cut, for a block that is cut apart along its colours' borders.
    material : of its own, hard for a key of fine lines, softer for colour; None is the workshop's.
    """

    id: str
    name: str
    colours: tuple[int, ...]
    is_key: bool = False
    contour: Contour | None = None
    drawn: Digest | None = None
    board: str | None = None
    face: Literal["front", "back"] = "front"
    kerf_mm: Annotated[
        float,
        length(
            tr("The saw takes"), tr("How wide the cut is between the pieces of a jigsaw."), 0, 5, step=0.1,
            digits=2, unset=tr("not sawn"), undo=tr("Saw cut"),
        ),
    ] | None = None  # fmt: skip
    material: Annotated[
        Material | None,
        choice(
            tr("The chosen block"), tr("This block alone may be of another material."),
            lambda: ((None, tr("As all")), *((name, opened(each.said)) for name, each in MATERIALS.items())),
            unset=tr("As all"), undo=tr("Material of a block"),
        ),
    ] = None  # fmt: skip
