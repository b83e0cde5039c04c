"""All that is set in a project as a whole, by path; what there are several of is set where it stands."""

from collections.abc import Mapping
from types import MappingProxyType

from nomos.base.fields import Field, fields_of
from nomos.project.model.project import Project

# Of inks, blocks, pulls, boards and tools there are many: a path does not tell which.
_MANY = ("inks.", "blocks.", "impressions.", "craft.boards.", "craft.tools.")

PROJECT_FIELDS: Mapping[str, Field] = MappingProxyType(
    {path: field for path, field in fields_of(Project).items() if not path.startswith(_MANY)}
)
