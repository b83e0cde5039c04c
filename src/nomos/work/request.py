"""A request: everything one answer depends on, frozen; and a project with nothing in it but what is named."""

from collections.abc import Callable
from typing import Any, ClassVar, Protocol, TypeVar

from msgspec.structs import replace

from nomos.base.progress import NULL_PROGRESS, Progress
from nomos.project import Impression, Ink, Paper, Project, Zone

A = TypeVar("A")
A_co = TypeVar("A_co", covariant=True)


class Request(Protocol[A_co]):
    """A frozen value that holds exactly what an answer depends on: it is worked out from nothing else.

    said : what the foot line says while it is worked out.
    """

    said: ClassVar[str]

    def work(self, ask: "Ask", progress: Progress) -> A_co:
        """Work the answer out. Raises BadInput, Cancelled."""
        ...

    def __hash__(self) -> int: ...


class Ask(Protocol):
    """Whoever answers requests: from memory, or by working them out."""

    def __call__(self, request: Request[A], progress: Progress = NULL_PROGRESS) -> A:
        """The answer. Raises BadInput, Cancelled."""
        ...

    def alike(self, kind: "type[Request[A]]", suits: Callable[[Any], bool]) -> A | None:
        """The answer last given to a request of a kind that suits, or None: a place to start from."""
        ...


_PLAIN_LAB = (50.0, 0.0, 0.0)


def held(project: Project, *names: str) -> Project:
    """A project with only the named fields, the others as they are in a new one.

    Sheet and image keep their sizes. `inks` and `paper` not named lose colour and name; `order` holds
    which blocks are printed after each other, and nothing of how they are inked; `workshop.grip_mm` holds
    that field of the workshop alone.
    """
    if "impressions" in names:
        # What makes ink go onto wet ink, and how loose it is then.
        names = (*names, "times.way", "workshop.oil_step_pct", "workshop.carbonate_step_pct")
    whole = [name for name in names if name not in ("order", "paper") and "." not in name]
    kept: dict[str, Any] = {name: getattr(project, name) for name in whole}
    for name in (name for name in names if "." in name):
        struct, _, part = name.partition(".")
        own = getattr(project, struct)
        kept[struct] = replace(kept.get(struct, type(own)()), **{part: getattr(own, part)})
    if "order" in names:
        kept["impressions"] = tuple(_uninked(pull) for pull in project.impressions)
        kept["inks"] = (Ink("ink", "", _PLAIN_LAB),)
    elif "impressions" in names and "inks" not in names:
        kept["inks"] = tuple(Ink(ink.id, "", _PLAIN_LAB) for ink in project.inks)
    paper = project.paper
    if "paper" not in names:
        paper = Paper("", _PLAIN_LAB, paper.width_mm, paper.height_mm)
    return Project("", paper, project.image, **kept)


def _uninked(pull: Impression) -> Impression:
    zones = tuple(Zone("ink", colours=zone.colours, areas=zone.areas) for zone in pull.zones)
    return Impression(pull.id, pull.block, zones)
