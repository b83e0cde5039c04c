"""The lines that lists in the answers are made of."""

from dataclasses import dataclass

from nomos.project import Cure


@dataclass(frozen=True)
class Row:
    """A line: id, colour of its swatch (none if empty), name, figure, quiet line.

    over : a second colour in the swatch's right part: the same ink over black.
    """

    id: str
    swatch: str
    name: str
    figure: str = ""
    quiet: str = ""
    over: str = ""


@dataclass(frozen=True)
class Note:
    """A finding as it is shown."""

    weight: str
    text: str
    remedy: str
    place_mm: tuple[float, float] | None = None
    cures: tuple[Cure, ...] = ()
