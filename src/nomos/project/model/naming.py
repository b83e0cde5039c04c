"""Names and numbers that are kept: for colours that come back, and for what is new."""

from collections.abc import Sequence

import numpy as np

from nomos.base.language import tr
from nomos.colour import Lab, delta_e00
from nomos.colour.names import colour_names
from nomos.project.model import Project, ProjectError

# A new colour nearer than this to an old one is taken for the same.
_SAME_DE00 = 3.0


def carried_names(labs: Sequence[Lab], known: Sequence[tuple[str, Lab]]) -> list[str]:
    """Names for new colours, keeping those of known colours that come back almost unchanged."""
    names = colour_names(labs)
    free = list(known)
    for place, lab in enumerate(labs):
        near = [(float(delta_e00(np.array(lab), np.array(old))), name) for name, old in free]
        distance, name = min(near, default=(np.inf, ""))
        if distance < _SAME_DE00 and (name not in names or names[place] == name):
            names[place] = name
            free = [entry for entry in free if entry[0] != name]
    return names


def fresh_number(project: Project) -> int:
    """A number from which on no ink, block or impression carries one."""
    ids = [thing.id for things in (project.inks, project.blocks, project.impressions) for thing in things]
    return 1 + max((int("0" + "".join(c for c in each if c.isdigit())) for each in ids), default=0)


def fresh_name(name: str, taken: Sequence[str]) -> str:
    """A name that none of these is: "Slate", then "Slate 2", "Slate 3"."""
    if name not in taken:
        return name
    stem = name.rstrip("0123456789 ") or name
    return next(made for n in range(2, len(taken) + 3) if (made := f"{stem[:56]} {n}") not in taken)


def named(name: str | None, old: str) -> str:
    """A name that was given, or the old one. Raises ProjectError for an empty one."""
    if name is None:
        return old
    if not name.strip():
        raise ProjectError("name", tr("A name cannot be empty."))
    return name.strip()[:60]
