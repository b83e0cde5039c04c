"""What a drawdown card asks for, and what was read from it."""

from nomos.base.language import tr
from nomos.base.units import number
from nomos.project.inks.drawdown import Card
from nomos.ui.frame.sheet_view import lab_text

_ASKED = {
    "paper": tr("Click the card's bare paper on the sheet."),
    "grey": tr("Click its grey patch, or go on without."),
    "ink": tr("Click an ink patch."),
    "black": tr("Click the bare black stripe."),
    "over": tr("Click the ink where it runs over the stripe."),
}


def card_view(card: Card | None) -> tuple[str, bool, bool, bool]:
    """What the drawdown card asks for or has read, whether it asks for grey, whether there is a reading."""
    if card is None:
        return tr("A scan of ink drawn down on this paper gives its colour."), False, False, False
    said = f"{card.name}. {_ASKED[card.next_patch]}"
    if card.reading is not None:
        read = card.reading
        said = tr(
            "{name}: Lab {lab_text}, even to ΔE {spread}.",
            name=card.name, lab_text=lab_text(read.lab), spread=number(read.spread),
        )  # fmt: skip
        said += "".join(f" △ {warning}." for warning in read.warnings)
    if card.next_patch in ("black", "over"):
        said += (
            f" {_ASKED[card.next_patch]}" if card.over is None else tr(" Over black it is read: its K and S are known.")
        )
    return said, card.next_patch == "grey", card.reading is not None, card.next_patch in ("black", "over")
