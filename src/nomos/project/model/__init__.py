"""The project as a value, what it is made of, its file and its plainest edits."""

from nomos.project.model.block import Block, Contour
from nomos.project.model.craft import Craft, EditionPlan, ProjectError
from nomos.project.model.impression import Grade, Impression, Outline, Zone
from nomos.project.model.ink import Ink, Known, Optics
from nomos.project.model.limits import KERF_MM, LARGEST_SHIFT_MM, LARGEST_TRAP_MM, LARGEST_TURN_DEG, VERSION
from nomos.project.model.paper import Paper
from nomos.project.model.project import Flat, Project, ProofReading, Source, WantedColour
from nomos.project.model.workshop import Workshop
