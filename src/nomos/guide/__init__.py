"""The guide: how printers do it by hand, what the program adds, what each figure means."""

import re
from dataclasses import dataclass
from functools import cache
from importlib.resources import files

from nomos.base.errors import BadInput
from nomos.base.language import spoken

PAGES = (
    "start", "design", "blocks", "inks", "order", "register", "carve", "sheets", "bench", "words",
)  # fmt: skip
"""The pages' names, in the order of the work."""


@dataclass(frozen=True)
class Place:
    """Where a word was found: the page, its title, and the line it stands in, without marks."""

    page: str
    title: str
    line: str


@cache
def page(name: str) -> str:
    """A page in Markdown. Raises BadInput for a name that is none of `PAGES`."""
    if name not in PAGES:
        raise BadInput(f"The guide has no page {name}: choose one of {', '.join(PAGES)}.")
    folder = files(__name__) if spoken() == "en" else files(__name__).joinpath(spoken())
    return folder.joinpath(f"{name}.md").read_text("utf-8")


def title_of(name: str) -> str:
    """The title of a page."""
    return page(name).splitlines()[0].removeprefix("# ")


def search(wanted: str) -> tuple[Place, ...]:
    """Every line that holds all of the words, those of titles first; nothing for no words."""
    words = wanted.casefold().split()
    found = [
        Place(name, title_of(name), re.sub(r"[*#]|^- ", "", line).strip())
        for name in PAGES
        for line in page(name).splitlines()
        if words and all(word in line.casefold() for word in words)
    ]
    return tuple(sorted(found, key=lambda place: place.line != place.title))
