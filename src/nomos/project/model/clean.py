"""Names that can stand on a page, in a file and in a log: without what no letter is."""

import re
from collections.abc import Iterable
from typing import TYPE_CHECKING

from msgspec import Struct
from msgspec.structs import force_setattr

if TYPE_CHECKING:
    from nomos.project.model.project import Project

# Controls, line ends, marks that turn the direction of writing, halves of letters, and what XML 1.0 forbids.
_NO_LETTER = re.compile("[\x00-\x1f\x7f-\x9f\u2028-\u202e\u2066-\u2069\ud800-\udfff\ufffe\uffff]+")
# Longer words than any page holds take minutes to set.
MOST_LETTERS = 200


def clean_names(project: "Project") -> None:
    """Put a space for what is no letter in a title or name, and cut endless ones; old files may hold such."""
    colours = project.flat.colours if project.flat else ()
    things: Iterable[Struct] = (
        project, project.paper, *colours, *project.inks, *project.blocks, *project.impressions
    )  # fmt: skip
    for thing in things:
        for field in ("title", "name"):
            text = getattr(thing, field, None)
            if text and (len(text) > MOST_LETTERS or _NO_LETTER.search(text)):
                force_setattr(thing, field, _NO_LETTER.sub(" ", text[:MOST_LETTERS]).strip() or "?")
