"""What a project was said to look like when it was saved, beside what it is said to look like now.

Predictions are never read as if they were decisions: they lie beside the project in its file, and serve to
say once that the reckoning has changed, by how much and why.
"""

import msgspec
from msgspec import Struct

from nomos.base.language import tr
from nomos.base.units import number
from nomos.colour.layering import CHANGES, COLOUR_MODEL
from nomos.project.check.proof import Proof

# A change that nobody sees is not said; so many colours are named.
_SAID_DE00, _MOST_SAID = 0.3, 3


class Predictions(Struct, frozen=True):
    """How near each colour was said to come. model : by which reckoning, as `COLOUR_MODEL` counts them."""

    model: int
    colours: tuple[tuple[str, float], ...]


def predictions_of(proof: Proof) -> Predictions:
    """The figures of a proof, by the names of the flat colours."""
    flat = proof.project.flat
    assert flat is not None
    return Predictions(
        COLOUR_MODEL, tuple((flat.colours[each.number].name, round(each.de00, 3)) for each in proof.matches)
    )


def encoded(predictions: Predictions) -> bytes:
    """As it stands in the file."""
    return msgspec.json.encode(predictions)


def read_predictions(data: bytes | None) -> Predictions | None:
    """Out of a file; None where it has none that make sense, as those of earlier forms."""
    try:
        return msgspec.json.decode(data, type=Predictions) if data is not None else None
    except (msgspec.DecodeError, UnicodeDecodeError, RecursionError):
        return None


def what_moved(before: Predictions | None, proof: Proof) -> str:
    """In a sentence what is foretold otherwise than when the project was saved; "" where nothing is.

    before : None for a project of an earlier form, whose figures nobody has kept.
    """
    now = predictions_of(proof)
    if before is not None and before.model == now.model:
        return ""
    why = " ".join(text for model, text in CHANGES.items() if before is None or model > before.model)
    if before is None:
        mean = number(proof.mean_de00)
        worst = max(now.colours, key=lambda each: each[1], default=("", 0.0))
        return tr(
            "This print was saved by an earlier Nomos, whose figures are not in its file. It is now foretold "
            "at a mean ΔE of {mean}, {name} the furthest off at {worst}. {why}",
            mean=mean, name=worst[0], worst=number(worst[1]), why=why,
        )  # fmt: skip
    known = dict(before.colours)
    moved = sorted(
        ((abs(de00 - known[name]), name, known[name], de00) for name, de00 in now.colours if name in known),
        reverse=True,
    )
    said = [each for each in moved if each[0] >= _SAID_DE00]
    if not said:
        return ""
    figures = ", ".join(
        tr("{name} ΔE {old}, now {new}", name=name, old=number(old), new=number(new))
        for _, name, old, new in said[:_MOST_SAID]
    )
    more = tr(" and {more} more", more=len(said) - _MOST_SAID) if len(said) > _MOST_SAID else ""
    return tr(
        "Colours are reckoned otherwise than when this was saved: {figures}{more}. {why}",
        figures=figures, more=more, why=why,
    )  # fmt: skip
