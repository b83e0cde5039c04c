"""An ink: its colour or its optics, how it dries, and what has been worked into it."""

from typing import Annotated, Literal

from msgspec import Struct

from nomos.base.fields import choice, figure
from nomos.base.language import tr
from nomos.colour import Lab, Opacity
from nomos.colour.pigments import FAMILY_NAMES, Family
from nomos.colour.trapping import LOOSEST, MIDDLE_TACK, TIGHTEST
from nomos.colour.vehicles import VEHICLES
from nomos.order import DRYING_H
from nomos.project.model.limits import USUAL_VEHICLE
from nomos.project.model.paper import Bands

INK = tr("Ink")
VehicleName = str
Known = Literal["readings", "one reading", "chart", "proof", "recipe"]


class Optics(Struct, frozen=True, forbid_unknown_fields=True):
    """What readings have taught of an ink: K and S of its solid film by band, and its surface term.

    sealed : read on a card that does not drink; on bare paper some of the film then sinks in.
    known : from what: readings over white and black, one reading, a chart of overlaps, a proof, a recipe.
    """

    absorption: Bands
    scattering: Bands
    k1: float
    sealed: bool = False
    known: Known = "readings"


class Ink(Struct, frozen=True, forbid_unknown_fields=True):
    """An ink by the colour of its solid on the paper (CIELAB D50/2 deg) and its opacity, or by its optics.

    reflectance : of its solid on the paper, measured, 380 to 730 nm by 10; its colour is then `lab`.
    pigment : its generic Colour Index name, if known.
    family : of its pigment, where it is not to be guessed from the colour.
    tack : 0 loose to 10 tight, as it comes from the tub.
    drying_h : until it can be overprinted, at 20 degrees.
    cost, tub_g : of a tub, in the user's own money, and what it holds.
    modifier_pct : oil, carbonate, paste or driers worked into it, per cent of the whole by weight.
    modifier : which: oil makes it looser, carbonate tighter, another leaves the tack as it is.
    """

    id: str
    name: str
    lab: Lab
    opacity: Opacity = "transparent"
    optics: Optics | None = None
    reflectance: Bands | None = None
    pigment: str = ""
    family: Annotated[
        Family | None,
        choice(
            tr("Its pigment"),
            tr("Of an ink known by its colour: which pigments it is likely to hold decides what it shows thinned "
               "and over others."),
            ((None, tr("the likeliest")), *FAMILY_NAMES.items()), undo=INK,
        ),
    ] = None  # fmt: skip
    vehicle: Annotated[
        VehicleName,
        choice(
            tr("Vehicle"), tr("What the ink dries by."),
            lambda: tuple((name, vehicle.said) for name, vehicle in VEHICLES.items()), level="usual",
            undo=INK,
        ),
    ] = USUAL_VEHICLE  # fmt: skip
    tack: Annotated[
        float,
        figure(
            tr("Tack, 0 loose to 10 tight"),
            tr("How the ink pulls between knife and slab, against the others."), "", LOOSEST, TIGHTEST,
            step=0.5, undo=INK,
        ),
    ] = MIDDLE_TACK  # fmt: skip
    drying_h: Annotated[
        float,
        figure(
            tr("Overprint after"), tr("Hours before the next layer may go onto this ink."), tr("h"), 0,
            10_000, step=6, digits=0, level="usual", undo=INK,
        ),
    ] = DRYING_H  # fmt: skip
    cost: float = 0.0
    tub_g: float = 0.0
    modifier_pct: Annotated[
        float,
        figure(
            tr("Worked into it, of the whole"), tr("How much oil or carbonate has been worked in."), "%", 0,
            90, undo=INK,
        ),
    ] = 0.0  # fmt: skip
    modifier: Annotated[
        Literal["", "oil", "carbonate"],
        choice(
            tr("What is worked in"),
            tr("Oil makes the ink looser, carbonate stiffer. Do not breathe the powder."),
            (("oil", tr("Oil")), ("carbonate", tr("Carbonate")), ("", tr("Paste, other"))), bare=True,
            undo=INK,
        ),
    ] = ""  # fmt: skip
    notes: str = ""
