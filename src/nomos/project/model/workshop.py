"""How the printmaker works, where it decides what can be cut and inked."""

from typing import Annotated, Literal

from msgspec import Meta, Struct

from nomos.base.fields import choice, count, figure, length, share, yes
from nomos.base.language import opened, tr
from nomos.colour.trapping import CARBONATE_STEP_PCT, OIL_STEP_PCT
from nomos.edition import FILM_G_M2, WASTE
from nomos.project.model.limits import GRIP_MM, NECK_MM, UNTRUE_MM
from nomos.registration import TURNS, Turn
from nomos.separation.sharing import CLEARANCE_MM, MOST_ZONES

WORKING = tr("Way of working")


def _tack_step(label: str) -> Meta:
    tip = tr("How much of it changes the tack of an ink by one step.")
    return figure(label, tip, "%", 0.1, 50, step=0.5, undo=WORKING)


class Workshop(Struct, frozen=True, forbid_unknown_fields=True):
    """How the printmaker works, where it decides what can be cut and inked.

    clearance_mm : room between two colours inked apart on one block.
    most_zones : how many can be inked before the first dries.
    grip_mm : border around a sawn block to hold it and its pieces by.
    neck_mm : a piece narrower than this at one place breaks there.
    carried : how the drawing comes onto the other blocks: by impressions of the finished key, or by one
        tracing for all.
    turned : how a board is turned over to its other face.
    untrue_mm : how far an edge of a board is out of square or parallel, over its length.
    cut_out : a reduction's board is cut right through, not carved, so that parts come loose.
    writing : whether the design holds writing; None while the user has not been asked.
    sheets : pulls of every block, with bad ones and proofs; None is what the edition needs.
    film_g_m2, slab_g, waste : what a solid holds, what slab and tool keep (None is by the tool), and the
        share that is lost.
    oil_step_pct, carbonate_step_pct : how much of it changes the tack of an ink by one step.
    """

    clearance_mm: Annotated[
        float,
        length(
            tr("Room between them"),
            tr("How far apart two zones of one block are at least, to be inked apart."),
            0, 200, digits=0, undo=WORKING,
        ),
    ] = CLEARANCE_MM  # fmt: skip
    most_zones: Annotated[
        int,
        count(
            tr("Inked before the first dries"),
            tr("So many inks can be put on one block before the first of them dries."), 1, 20, undo=WORKING,
        ),
    ] = MOST_ZONES  # fmt: skip
    grip_mm: Annotated[
        float,
        length(
            tr("Border to hold it by"), tr("Around a sawn block, to hold it and its pieces by."), 0, 100,
            undo=WORKING,
        ),
    ] = GRIP_MM  # fmt: skip
    neck_mm: Annotated[
        float,
        length(
            tr("Narrowest neck"), tr("A piece narrower than this at one place breaks there."), 0.1, 50,
            step=0.5, undo=WORKING,
        ),
    ] = NECK_MM  # fmt: skip
    carried: Annotated[
        Literal["impressions", "tracing"],
        choice(
            tr("The drawing comes onto the blocks by"),
            tr("Pull the key's line onto every colour block, or draw every block from one tracing."),
            (("impressions", tr("Impressions of the key")), ("tracing", tr("One tracing"))), bare=True,
            level="usual",
            undo=WORKING,
        ),
    ] = "impressions"  # fmt: skip
    turned: Annotated[
        Turn,
        choice(
            tr("A board is turned over"), tr("How it comes to lie on its other face."),
            tuple((turn, opened(tr(turn))) for turn in TURNS), bare=True, undo=WORKING,
        ),
    ] = "sideways"  # fmt: skip
    untrue_mm: Annotated[
        float,
        length(
            tr("A board is untrue by"),
            tr("How far an edge is out of square or parallel, over its length: measure it."), 0, 20,
            step=0.1, digits=2, undo=WORKING,
        ),
    ] = UNTRUE_MM  # fmt: skip
    cut_out: Annotated[
        bool,
        yes(
            tr("The plate is cut right through"), tr("A reduction's board is not carved: parts come loose."),
            undo=WORKING,
        ),
    ] = False  # fmt: skip
    writing: bool | None = None
    sheets: Annotated[
        int,
        count(
            tr("Sheets, bad ones too"), tr("Pulls of every block, with bad ones and proofs."), 1, 100_000,
            level="usual",
            unset=tr("as the edition needs"), undo=tr("Sheets"),
        ),
    ] | None = None  # fmt: skip
    film_g_m2: Annotated[
        float,
        figure(
            tr("A solid film holds"), tr("Grams of ink on a square metre of a solid film."), "g/m²", 0.1,
            500, undo=WORKING,
        ),
    ] = FILM_G_M2  # fmt: skip
    slab_g: Annotated[
        float,
        figure(
            tr("Left on slab and tool"), tr("Ink that stands on slab and tool after a run and prints no sheet."), "g",
            0, 10_000, zero_unsets=True, unset=tr("by the tool"), undo=WORKING,
        ),
    ] | None = None  # fmt: skip
    waste: Annotated[
        float,
        share(
            tr("Lost"), tr("Ink that never reaches the block, of all that is put out."), 0,
            0.9, undo=WORKING,
        ),
    ] = WASTE  # fmt: skip
    oil_step_pct: Annotated[float, _tack_step(tr("Oil for a step of tack"))] = OIL_STEP_PCT
    carbonate_step_pct: Annotated[float, _tack_step(tr("Carbonate for a step of tack"))] = CARBONATE_STEP_PCT
