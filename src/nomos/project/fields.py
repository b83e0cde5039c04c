"""Merging flat colours and splitting a field off: edits that make a new page of colour numbers."""

from collections.abc import Mapping, Sequence

import numpy as np
from msgspec.structs import replace

from nomos.design import MOST, Labels
from nomos.project.model import Project, ProjectError, WantedColour, Zone
from nomos.project.pruning import pruned
from nomos.project.reduction import is_reduction, layer_steps, with_reduction
from nomos.project.store import digest, labels_to_png
from nomos.separation.fields import field_at

# Numbers are bytes, and a list much longer than this cannot be worked with.
MOST_COLOURS = 2 * MOST


def merged(project: Project, labels: Labels, number: int, into: int) -> tuple[Project, bytes]:
    """One flat colour given to another; blocks that printed it print the other where they did.

    Returns the project and the PNG of the new colour numbers, an asset of it.
    Raises ProjectError where there is nothing to merge.
    """
    flat = project.flat
    if flat is None or number == into or not {number, into} <= set(range(len(flat.colours))):
        raise ProjectError("colours", "Choose two different colours to merge.")
    table = np.arange(256, dtype=np.uint8)
    table[number] = into
    table[number + 1 :] -= 1
    table[number] = table[into]
    png = labels_to_png(np.take(table, labels))
    colours = tuple(colour for n, colour in enumerate(flat.colours) if n != number)
    renumber = {n: int(table[n]) for n in range(len(flat.colours)) if n != number}
    changed = with_labels(project, png, colours, renumber)
    if is_reduction(project):
        # The state whose own colour went would print the same as the next one.
        steps = [[renumber[n] for n in step if n != number] for step in layer_steps(project)]
        changed = with_reduction(changed, steps)
    return changed, png


def split_off(project: Project, labels: Labels, x: int, y: int) -> tuple[Project, bytes]:
    """The connected field at a pixel as a colour of its own, printed by the same blocks as before.

    Returns the project and the PNG of the new colour numbers, an asset of it.
    Raises ProjectError where the colour is that one field already, or there are too many colours.
    """
    flat = project.flat
    if flat is None:
        raise ProjectError("flat", "There is no flat design yet: open a picture first.")
    count = len(flat.colours)
    if count >= MOST_COLOURS:
        raise ProjectError(
            "colours", f"There are {count} colours already; merge some before splitting more off."
        )
    own = field_at(labels, x, y)
    number = int(labels[y, x])
    if np.count_nonzero(own) == np.count_nonzero(labels == number):
        raise ProjectError(
            "colours", f"{flat.colours[number].name} is one field already; there is nothing to split."
        )
    page = labels.copy()
    page[own] = count
    png = labels_to_png(page)
    taken = {colour.name for colour in flat.colours}
    base = flat.colours[number].name
    name = next(f"{base} {n}" for n in range(2, 1000) if f"{base} {n}" not in taken)
    changed = with_labels(
        project,
        png,
        (*flat.colours, WantedColour(name, flat.colours[number].lab)),
        {n: n for n in range(count)},
    )
    blocks = tuple(
        replace(block, colours=tuple(sorted((*block.colours, count)))) if number in block.colours else block
        for block in changed.blocks
    )
    # It stays inked as it was: in the zone of the colour it came from.
    pulls = tuple(
        replace(
            pull,
            zones=tuple(
                replace(zone, colours=(*zone.colours, count)) if number in zone.colours else zone
                for zone in pull.zones
            ),
        )
        for pull in changed.impressions
    )
    return replace(changed, blocks=blocks, impressions=pulls), png


def with_labels(
    project: Project, png: bytes, colours: tuple[WantedColour, ...], renumber: Mapping[int, int]
) -> Project:
    """The project on another page of colour numbers: its PNG, its colours, and old numbers to new ones."""
    assert project.flat is not None
    blocks = tuple(
        replace(block, colours=tuple(sorted({renumber[n] for n in block.colours if n in renumber})))
        for block in project.blocks
    )
    pulls = tuple(replace(pull, zones=_renumbered(pull.zones, renumber)) for pull in project.impressions)
    flat = replace(project.flat, labels=digest(png), colours=colours)
    # A block is left without colours when its only one is merged away: it goes, with its pull.
    return pruned(replace(project, flat=flat, blocks=blocks, impressions=pulls), blocks, pulls)


def _renumbered(zones: Sequence[Zone], renumber: Mapping[int, int]) -> tuple[Zone, ...]:
    """Zones by the new numbers; one left without colours goes."""
    first, *others = zones
    moved = [
        replace(zone, colours=tuple(sorted({renumber[n] for n in zone.colours if n in renumber})))
        for zone in others
    ]
    return (first, *(zone for zone in moved if zone.colours))
