"""Edits of what inks and papers are."""

from msgspec.structs import replace

from nomos.colour import Lab
from nomos.project.model import Optics, Project


def with_ink_data(project: Project, ink_id: str, **changes: object) -> Project:
    """An ink with other data: pigment, vehicle, tack, drying_h, cost, tub_g, notes."""
    return replace(project, inks=tuple(replace(ink, **changes) if ink.id == ink_id else ink for ink in project.inks))


def with_optics(project: Project, ink_id: str, lab: Lab, optics: Optics) -> Project:
    """An ink with K and S that are known, and the colour of its solid by them."""
    return with_ink_data(project, ink_id, lab=lab, optics=optics)
