"""Blocks tried out of register, and put back."""

from msgspec.structs import replace

from nomos.project.model import Project
from nomos.project.model.edits import with_impression
from nomos.proof import Misregister


def with_offset(project: Project, impression_id: str, offset: Misregister) -> Project:
    """An impression tried out of register."""
    return with_impression(project, impression_id, lambda old: replace(old, offset=offset))


def in_register(project: Project) -> Project:
    """The project with every block back in its place."""
    return replace(project, impressions=tuple(replace(i, offset=Misregister()) for i in project.impressions))
