"""What an ink's pigment is carried by: one record each, and nothing outside asks for its name.

A further vehicle is one line in `VEHICLES`.
"""

from collections.abc import Mapping
from dataclasses import dataclass
from types import MappingProxyType
from typing import Literal

from nomos.base.language import tr
from nomos.colour.layering import PaperKind


@dataclass(frozen=True)
class Vehicle:
    """How an ink of this vehicle behaves.

    name : as files and commands have it; said : as it is shown.
    wet_strength : a wet film against the dry one, for looks; common practice is to mix bolder than the aim,
        the figures are chosen by us.
    sinks : share of a film that sinks into bare paper of a kind, where its K and S were read on a card that
        does not drink; from memory, no source: a reading replaces it.
    damp : that share on damp paper against dry: fibres are full already, less of oil sinks in and more of
        what water carries (from memory).
    dries_by : taking up oxygen, or losing water, so that the air's humidity counts.
    washed_with : what roller and block are cleaned with.
    care : what the hands look to while it is wet; "" for nothing of its own.
    goes_back_damp : sheets go back into the damp pack after it, and are printed on before they dry.
    """

    name: str
    said: str
    wet_strength: float
    sinks: Mapping[PaperKind, float]
    damp: float
    dries_by: Literal["oxygen", "water"]
    washed_with: Literal["solvent", "water"]
    goes_back_damp: bool = False
    care: str = ""

    @property
    def heats_rags(self) -> bool:
        """Whether a rag with it can heat by itself: what takes up oxygen does (common practice)."""
        return self.dries_by == "oxygen"


def _sinks(coated: float, smooth: float, absorbent: float) -> Mapping[PaperKind, float]:
    return MappingProxyType({"coated": coated, "smooth": smooth, "absorbent": absorbent, "newsprint": absorbent})


_KNOWN = {
    each.name: each
    for each in (
        Vehicle("oil", tr("oil"), 1.05, _sinks(0, 0.03, 0.08), 0.5, "oxygen", "solvent"),
        Vehicle(
            "water-washable oil", tr("water-washable oil"), 1.05, _sinks(0, 0.03, 0.08), 0.8, "oxygen",
            "water",
        ),
        Vehicle(
            "water-based", tr("water-based"), 1.25, _sinks(0.02, 0.08, 0.18), 1.3, "water", "water",
            goes_back_damp=True,
        ),
        Vehicle(
            "water-based with paste", tr("water-based with paste"), 1.4, _sinks(0.02, 0.06, 0.14), 1.3,
            "water", "water", goes_back_damp=True,
        ),
        Vehicle(
            "acrylic", tr("acrylic"), 1.1, _sinks(0.0, 0.03, 0.08), 1.1, "water", "water",
            care=tr("Acrylic dries within minutes: mist the slab, wash block and roller before it sets."),
        ),
    )
}  # fmt: skip
VEHICLES: Mapping[str, Vehicle] = MappingProxyType(_KNOWN)


def sunk(vehicle: str, kind: PaperKind, *, damp: bool = False) -> float:
    """The share of a film that sinks into bare paper.

    Parameters
    ----------
    vehicle : of the ink, by its name.
    kind : of the paper.
    damp : damped before printing.

    Returns
    -------
    A share, 0 to 1; from memory, no source.
    """
    own = VEHICLES[vehicle]
    return own.sinks[kind] * (own.damp if damp else 1.0)
