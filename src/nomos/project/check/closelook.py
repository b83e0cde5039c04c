"""What takes seconds to find: what is too fine, blocks that could be one, pieces, slivers at joins."""

from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from nomos.base.language import tr
from nomos.base.progress import NULL_PROGRESS, Part, Progress
from nomos.project.blocks.jigsaw import pieces_of
from nomos.project.blocks.reduction import is_reduction
from nomos.project.check.cutting import cutting_findings, sharing_findings, sharing_of
from nomos.project.check.opening import Opened, opened_by_misregister
from nomos.project.check.parts import (
    LooseParts,
    apart_findings,
    colours_apart_mm,
    loose_findings,
    loose_parts,
    piece_findings,
)
from nomos.project.edition.fineness import Features, features_of
from nomos.project.model import Project
from nomos.project.model.finding import Finding
from nomos.project.sheet.laying import LaidSheet
from nomos.project.sheet.masks import CutBlocks, MaskRequest
from nomos.separation.fields import Field, find_fields
from nomos.separation.jigsaw import Piece
from nomos.separation.sharing import Sharing


@dataclass(frozen=True, eq=False)
class CloseLook:
    """What was found on one set of blocks.

    features : too fine, by block id.
    sharing : of the impressions in print order.
    pieces : of a jigsaw.
    apart_mm : (colours, colours) between the flat colours of a reduction; None for other methods.
    loose : parts and windows of each state of a board that is cut out.
    opened : what a misregister opens at the joins.
    fields : the connected fields of the flat design, largest first.
    """

    features: Features
    sharing: Sharing
    pieces: tuple[Piece, ...]
    apart_mm: NDArray[np.float64] | None
    loose: tuple[LooseParts, ...]
    opened: Opened
    fields: tuple[Field, ...]


def look_closely(
    project: Project, request: MaskRequest, blocks: CutBlocks, laid: LaidSheet, features: Features | None = None, *,
    progress: Progress = NULL_PROGRESS,
) -> CloseLook:  # fmt: skip
    """Everything that takes seconds. request : that the blocks were cut for. Raises Cancelled."""
    features = features_of(project, blocks) if features is None else features
    sharing = sharing_of(project, blocks, laid, progress=Part(progress, 0.0, 0.6))
    progress.report(0.7, tr("looking at the pieces"))
    pieces = pieces_of(project, blocks.labels, blocks.px_per_mm)
    apart = None
    if is_reduction(project):
        progress.report(0.75, tr("measuring between colours"))
        apart = colours_apart_mm(blocks)
    loose = loose_parts(project, blocks)
    opened = opened_by_misregister(project, request, blocks, progress=Part(progress, 0.8, 1.0))
    fields = find_fields(blocks.labels, blocks.px_per_mm)
    return CloseLook(features, sharing, pieces, apart, loose, opened, fields)


def close_findings(project: Project, look: CloseLook) -> tuple[Finding, ...]:
    """What a close look says of the project as it is."""
    return (
        *cutting_findings(project, look.features),
        *sharing_findings(project, look.sharing),
        *piece_findings(project, look.pieces),
        *apart_findings(project, look.apart_mm),
        *loose_findings(project, look.loose),
    )
