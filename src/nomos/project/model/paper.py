"""The sheet that is printed on."""

from typing import Annotated, Literal

from msgspec import Meta, Struct

from nomos.colour import Lab
from nomos.colour.layering import USUAL_KIND, PaperKind
from nomos.colour.spectra import BANDS
from nomos.colour.trapping import Surface
from nomos.project.model.limits import bounded

Bands = Annotated[tuple[float, ...], Meta(min_length=BANDS, max_length=BANDS)]


class Paper(Struct, frozen=True, forbid_unknown_fields=True):
    """The sheet: its colour (CIELAB D50/2 deg) and size, and how it takes ink and damp.

    reflectance : measured, 380 to 730 nm by 10; its colour is then `lab`.
    kind : coated, smooth or absorbent, which decides how much light its surface gives back.
    grain : along the sheet's height or its width.
    growth : of a damp sheet, along and across the grain, per cent; from memory: measure it.
    """

    name: str
    lab: Lab
    width_mm: Annotated[float, bounded("side_mm")]
    height_mm: Annotated[float, bounded("side_mm")]
    reflectance: Bands | None = None
    surface: Surface = "smooth"
    kind: PaperKind = USUAL_KIND
    weight_gsm: float | None = None
    thickness_mm: float | None = None
    grain: Literal["height", "width"] = "height"
    growth: tuple[float, float] = (0.2, 1.0)
