"""Everything a printmaker should know of a project: one list, whoever asks for it."""

from collections.abc import Sequence

from nomos.project.carvings import CarvedBlock, carving_findings
from nomos.project.closelook import CloseLook, close_findings
from nomos.project.finding import Finding
from nomos.project.findings import find
from nomos.project.model import Project
from nomos.project.proofing import ColourMatch, CutBlocks, LaidSheet


def review(
    project: Project,
    blocks: CutBlocks,
    laid: LaidSheet,
    matches: Sequence[ColourMatch],
    look: CloseLook | None = None,
    carved: tuple[CarvedBlock, ...] = (),
) -> tuple[Finding, ...]:
    """All findings: of design, inks, order and register; of a close look; of the cutting.

    look, carved : what takes seconds to work out; without them their findings are left out.
    """
    return (
        *find(project, laid, matches, blocks.borders),
        *(close_findings(project, look) if look is not None else ()),
        *(carving_findings(project, carved) if carved else ()),
    )
