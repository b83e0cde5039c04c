"""A project with its laid sheet and all that follows from both."""

from dataclasses import dataclass, replace
from typing import TYPE_CHECKING

from nomos.project.check.findings import find
from nomos.project.model import Project
from nomos.project.model.finding import Finding
from nomos.project.sheet.laying import Array, ColourMatch, LaidSheet, Spot, colour_matches, mean_difference, sheet_labs
from nomos.project.sheet.masks import CutBlocks
from nomos.separation import find_key

if TYPE_CHECKING:
    from nomos.project.check.closelook import CloseLook
    from nomos.project.check.inking import InkingLook


@dataclass(frozen=True, eq=False)
class Proof:
    """What the print will be.

    labs : (combinations, 3) CIELAB of each combination on the finished print.
    matches : each flat colour, wanted against predicted.
    spots : the largest places where bare paper shows that should not.
    close : what a close look has found, once there has been one; inking : the same of the inking.
    """

    project: Project
    blocks: CutBlocks
    laid: LaidSheet
    labs: Array
    matches: tuple[ColourMatch, ...]
    findings: tuple[Finding, ...]
    spots: tuple[Spot, ...]
    close: "CloseLook | None" = None
    inking: "InkingLook | None" = None

    @property
    def drawn_key(self) -> int | None:
        """Number of the dark colour made of lines, if the design has one."""
        assert self.project.flat is not None
        labs = [colour.lab for colour in self.project.flat.colours]
        return find_key(self.blocks.labels, labs, self.blocks.px_per_mm)

    def reordered(self, project: Project) -> "Proof":
        """The same sheet with the same pulls in another order; its findings are not looked for."""
        if project is self.project:
            return self
        labs = sheet_labs(project, self.laid)
        matches = colour_matches(project, self.laid, labs)
        return replace(self, project=project, labs=labs, matches=matches, findings=(), spots=())

    @property
    def mean_de00(self) -> float:
        """Area-weighted mean ΔE00 to the wanted colours."""
        return mean_difference(self.matches)


def prove(project: Project, blocks: CutBlocks, laid: LaidSheet, spots: tuple[Spot, ...] = ()) -> Proof:
    """The proof of a project on a sheet already laid: only tables of a few dozen rows are computed."""
    labs = sheet_labs(project, laid)
    matches = colour_matches(project, laid, labs)
    return Proof(project, blocks, laid, labs, matches, find(project, laid, matches, blocks.borders), spots)
