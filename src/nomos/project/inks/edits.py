"""Edits of inks and how strongly they are used."""

from collections.abc import Callable

from msgspec.structs import replace

from nomos.colour import Lab, Opacity
from nomos.project.model import Impression, Project, Zone
from nomos.project.model.edits import with_impression
from nomos.project.model.naming import named


def with_ink(
    project: Project, ink_id: str, *, name: str | None = None, lab: Lab | None = None, opacity: Opacity | None = None
) -> Project:
    """An ink renamed, recoloured or given another opacity."""
    inks = tuple(
        replace(
            ink,
            name=named(name, ink.name),
            lab=lab or ink.lab,
            opacity=opacity or ink.opacity,
            # Readings are of the ink as it was: another colour or opacity is another ink.
            optics=ink.optics if lab is None and opacity is None else None,
        )
        if ink.id == ink_id
        else ink
        for ink in project.inks
    )
    return replace(project, inks=inks)


def with_strength(project: Project, impression_id: str, strength: float, zone: int = 0) -> Project:
    """A zone of an impression inked at another strength, 0 to 1."""
    return with_zone(project, impression_id, zone, lambda old: replace(old, strength=strength))


def with_zone(project: Project, impression_id: str, zone: int, change: Callable[[Zone], Zone]) -> Project:
    """The project with one zone of an impression changed."""

    def changed(old: Impression) -> Impression:
        zones = tuple(change(each) if place == zone else each for place, each in enumerate(old.zones))
        return replace(old, zones=zones)

    return with_impression(project, impression_id, changed)
