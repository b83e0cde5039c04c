"""A project with its laid sheet and all that follows from both."""

from dataclasses import dataclass

from nomos.project.findings import Finding, find
from nomos.project.model import Project
from nomos.project.proofing import (
    Array,
    ColourMatch,
    CutBlocks,
    LaidSheet,
    Spot,
    colour_matches,
    mean_difference,
    sheet_labs,
)


@dataclass(frozen=True, eq=False)
class Proof:
    """What the print will be.

    labs : (combinations, 3) CIELAB of each combination on the finished print.
    matches : each flat colour, wanted against predicted.
    spots : the largest places where bare paper shows that should not.
    """

    project: Project
    blocks: CutBlocks
    laid: LaidSheet
    labs: Array
    matches: tuple[ColourMatch, ...]
    findings: tuple[Finding, ...]
    spots: tuple[Spot, ...]

    @property
    def mean_de00(self) -> float:
        """Area-weighted mean ΔE00 to the wanted colours."""
        return mean_difference(self.matches)


def prove(project: Project, blocks: CutBlocks, laid: LaidSheet, spots: tuple[Spot, ...] = ()) -> Proof:
    """The proof of a project on a sheet already laid: only tables of a few dozen rows are computed."""
    labs = sheet_labs(project, laid)
    matches = colour_matches(project, laid, labs)
    return Proof(project, blocks, laid, labs, matches, find(project, laid, matches), spots)
