"""The project as a value, what it is made of, its file and its plainest edits."""

from nomos.project.model.block import Block, Contour
from nomos.project.model.craft import Craft, EditionPlan, ProjectError
from nomos.project.model.impression import Grade, Impression, Outline, Zone
from nomos.project.model.ink import Ink, Known, Optics
from nomos.project.model.limits import (
    GRIP_MM,
    KERF_MM,
    LARGEST_SHIFT_MM,
    LARGEST_TOLERANCE_MM,
    LARGEST_TRAP_MM,
    LARGEST_TURN_DEG,
    LINE_MM,
    NECK_MM,
    SEAM_DE00,
    THINNEST_LINE_MM,
    TOLERANCE_MM,
    TOOL_MM,
    UNTRUE_MM,
    VERSION,
    WIDEST_LINE_MM,
    Digest,
)
from nomos.project.model.paper import Bands, Paper
from nomos.project.model.project import Flat, Project, ProofReading, Source, WantedColour, next_by_id
from nomos.project.model.workshop import Workshop

__all__ = [
    "GRIP_MM",
    "KERF_MM",
    "LARGEST_SHIFT_MM",
    "LARGEST_TOLERANCE_MM",
    "LARGEST_TRAP_MM",
    "LARGEST_TURN_DEG",
    "LINE_MM",
    "NECK_MM",
    "SEAM_DE00",
    "THINNEST_LINE_MM",
    "TOLERANCE_MM",
    "TOOL_MM",
    "UNTRUE_MM",
    "VERSION",
    "WIDEST_LINE_MM",
    "Bands",
    "Block",
    "Contour",
    "Craft",
    "Digest",
    "EditionPlan",
    "Flat",
    "Grade",
    "Impression",
    "Ink",
    "Known",
    "Optics",
    "Outline",
    "Paper",
    "Project",
    "ProjectError",
    "ProofReading",
    "Source",
    "WantedColour",
    "Workshop",
    "Zone",
    "next_by_id",
]
