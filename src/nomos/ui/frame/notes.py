"""Findings as notes at a station, the gravest first."""

from nomos.project import Finding, Proof, Station, Weight
from nomos.ui.frame.rows import Note

_GRAVITY: dict[Weight, int] = {"will fail": 0, "could show": 1, "worth knowing": 2}


def notes(proof: Proof | None, station: Station) -> tuple[Note, ...]:
    """The findings that belong to a station, the gravest first."""
    found = sorted(proof.findings if proof else (), key=lambda finding: _GRAVITY[finding.weight])
    return tuple(note_of(finding) for finding in found if finding.station == station)


def with_a_place(proof: Proof | None) -> tuple[Finding, ...]:
    """The findings that can be shown on the sheet, of all stations, the gravest first."""
    found = (each for each in (proof.findings if proof else ()) if each.place_mm is not None)
    return tuple(sorted(found, key=lambda finding: _GRAVITY[finding.weight]))


def note_of(finding: Finding) -> Note:
    """A finding as it is shown, with a button for each thing that can be done."""
    cures = tuple(cure for cure in (finding.cure, finding.other) if cure is not None)
    return Note(finding.weight, finding.text, finding.remedy, finding.place_mm, cures)
