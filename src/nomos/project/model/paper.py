"""The sheet that is printed on."""

from typing import Annotated, Literal, get_args

from msgspec import Meta, Struct

from nomos.base.fields import choice, figure, length
from nomos.base.language import opened, tr
from nomos.base.units import LARGEST_MM, SMALLEST_MM
from nomos.colour import Lab
from nomos.colour.layering import PAPER_KINDS, USUAL_KIND, PaperKind
from nomos.colour.spectra import BANDS
from nomos.colour.trapping import Surface

SHEET, PAPER = tr("Sheet"), tr("Paper")
Bands = Annotated[tuple[float, ...], Meta(min_length=BANDS, max_length=BANDS)]


# Papers as a printmaker names them, CIELAB D50/2 deg. Common practice, no source; a reading of one's own is
# nearer.
PAPER_COLOURS: dict[str, tuple[str, Lab]] = {
    "white": (tr("white"), (96.0, 0.0, 3.0)),
    "cream": (tr("cream"), (92.0, 1.0, 13.0)),
    "kraft": (tr("kraft"), (62.0, 10.0, 28.0)),
    "grey": (tr("grey"), (64.0, 0.0, 2.0)),
    "dark": (tr("dark"), (20.0, 0.0, -1.0)),
}


class Paper(Struct, frozen=True, forbid_unknown_fields=True):
    """The sheet: its colour (CIELAB D50/2 deg) and size, and how it takes ink and damp.

    reflectance : measured, 380 to 730 nm by 10; its colour is then `lab`.
    kind : coated, smooth or absorbent, which decides how much light its surface gives back.
    grain : along the sheet's height or its width.
    growth : of a damp sheet, along and across the grain, per cent; from memory: measure it.
    """

    name: str
    lab: Lab
    width_mm: Annotated[
        float, length(tr("Sheet width"), tr("Of the paper that is printed on."), SMALLEST_MM, LARGEST_MM, undo=SHEET)
    ]
    height_mm: Annotated[
        float, length(tr("Sheet height"), tr("Of the paper that is printed on."), SMALLEST_MM, LARGEST_MM, undo=SHEET)
    ]
    reflectance: Bands | None = None
    surface: Annotated[
        Surface,
        choice(
            tr("Face of the paper"),
            tr("On a smooth face a solid covers all of the paper, on a rough one hollows stay open."),
            tuple((word, tr("{word} face", word=opened(tr(word)))) for word in get_args(Surface)), bare=True,
            undo=PAPER,
        ),
    ] = "smooth"  # fmt: skip
    kind: Annotated[
        PaperKind,
        choice(
            tr("Kind of paper"),
            tr("On a coated paper inks keep their strength; into an absorbent one they sink and are duller."),
            tuple((word, opened(tr(word))) for word in PAPER_KINDS), bare=True, level="usual", undo=PAPER,
        ),
    ] = USUAL_KIND  # fmt: skip
    weight_gsm: Annotated[
        float,
        figure(
            tr("Weight"), tr("Of the paper, grams a square metre."), "g/m²", 0, 2000, step=10, digits=0,
            zero_unsets=True, unset=tr("not known"), level="usual", undo=PAPER,
        ),
    ] | None = None  # fmt: skip
    thickness_mm: float | None = None
    grain: Annotated[
        Literal["height", "width"],
        choice(
            tr("Grain"), tr("The paper grows most across its grain."),
            (("height", tr("Grain runs up")), ("width", tr("Grain runs across"))), bare=True, undo=PAPER,
        ),
    ] = "height"  # fmt: skip
    growth: Annotated[
        tuple[float, float],
        figure(
            tr("Growth when damp"),
            tr("How much the paper grows when it is damped: more across its grain than along it."), "%", 0,
            20, step=0.1, undo=PAPER, sides=(tr("Damp, along the grain"), tr("Damp, across it")),
        ),
    ] = (0.2, 1.0)  # fmt: skip
