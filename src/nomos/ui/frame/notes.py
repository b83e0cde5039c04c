"""Findings as notes at a station, the gravest first."""

from nomos.project import (
    Proof,
    Station,
    Weight,
)
from nomos.ui.frame.rows import Note

_GRAVITY: dict[Weight, int] = {"will fail": 0, "could show": 1, "worth knowing": 2}


def notes(proof: Proof | None, station: Station) -> tuple[Note, ...]:
    """The findings that belong to a station, the gravest first."""
    found = sorted(proof.findings if proof else (), key=lambda finding: _GRAVITY[finding.weight])
    return tuple(
        Note(f.weight, f.text, f.remedy, f.place_mm, tuple(c for c in (f.cure, f.other) if c is not None))
        for f in found
        if f.station == station
    )
