"""Merging flat colours and splitting a field off: edits that make a new page of colour numbers."""

from collections.abc import Mapping, Sequence

import numpy as np
from msgspec.structs import replace

from nomos.base.language import tr
from nomos.base.strips import looked_up
from nomos.colour.names import free_name
from nomos.design import MOST, Correction, FlatDesign, Labels
from nomos.design.corrections import Fields, ToPixel, apply
from nomos.design.cut import through, to_print
from nomos.project.blocks.edits import with_printed_colour
from nomos.project.blocks.reduction import is_reduction, layer_steps, with_reduction
from nomos.project.model import Project, ProjectError, WantedColour, Zone
from nomos.project.model.pruning import pruned
from nomos.project.model.store import digest, labels_to_png
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
        raise ProjectError("colours", tr("Choose two different colours to merge."))
    table = np.arange(256, dtype=np.uint8)
    table[number] = into
    table[number + 1 :] -= 1
    table[number] = table[into]
    png = labels_to_png(looked_up(table, labels))
    colours = tuple(colour for n, colour in enumerate(flat.colours) if n != number)
    renumber = {n: int(table[n]) for n in range(len(flat.colours)) if n != number}
    said = Correction("same", flat.colours[into].lab, flat.colours[number].lab)
    changed = with_labels(project, png, colours, renumber, said)
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
        raise ProjectError("flat", tr("There is no flat design yet: open a picture first."))
    count = len(flat.colours)
    if count >= MOST_COLOURS:
        raise ProjectError(
            "colours", tr("There are {count} colours already; merge some before splitting more off.", count=count)
        )
    own = field_at(labels, x, y)
    number = int(labels[y, x])
    if np.count_nonzero(own) == np.count_nonzero(labels == number):
        raise ProjectError(
            "colours", tr("{name} is one field already; there is nothing to split.", name=flat.colours[number].name)
        )
    page = labels.copy()
    page[own] = count
    png = labels_to_png(page)
    taken = {colour.name for colour in flat.colours}
    base = flat.colours[number].name
    name = next(f"{base} {n}" for n in range(2, 1000) if f"{base} {n}" not in taken)
    lab = flat.colours[number].lab
    said = Correction("another", lab, places=(_place_of(project, page.shape, x, y),))
    changed = with_labels(project, png, (*flat.colours, WantedColour(name, lab)), {n: n for n in range(count)}, said)
    blocks = tuple(
        replace(block, colours=tuple(sorted((*block.colours, count)))) if number in block.colours else block
        for block in changed.blocks
    )
    # It stays inked as it was: in the zone of the colour it came from.
    pulls = tuple(
        replace(
            pull,
            zones=tuple(
                replace(zone, colours=(*zone.colours, count)) if number in zone.colours else zone for zone in pull.zones
            ),
        )
        for pull in changed.impressions
    )
    return replace(changed, blocks=blocks, impressions=pulls), png


def corrected(project: Project, labels: Labels, correction: Correction) -> tuple[Project, bytes]:
    """A correction by pointing: what is paper, line or no line, a field filled, a stroke of the brush.

    Blocks and pulls stay as they are; a colour that is new is printed by a block of its own.
    Returns the project and the PNG of the new colour numbers, an asset of it.
    Raises ProjectError where nothing would change.
    """
    flat = project.flat
    if flat is None:
        raise ProjectError("flat", tr("There is no flat design yet: open a picture first."))
    labs = [colour.lab for colour in flat.colours]
    fields = Fields(labels.copy(), list(labs), flat.line, flat.paper)
    apply(fields, [correction], _pixel_of(project, labels.shape), labels.shape[1] / project.image.width, None)
    if np.array_equal(fields.labels, labels) and fields.line == flat.line:
        raise ProjectError("flat", tr("That changes nothing: it is so already."))
    png = labels_to_png(fields.labels)
    taken = [colour.name for colour in flat.colours]
    new: list[WantedColour] = []
    for lab in fields.labs[len(labs) :]:
        new.append(WantedColour(free_name(lab, [*taken, *(each.name for each in new)]), lab))
    changed = with_labels(
        project, png, (*flat.colours, *new), {n: n for n in range(len(labs))}, correction,
        line=fields.line, paper=fields.paper,
    )  # fmt: skip
    for number in range(len(labs), len(fields.labs)):
        if number != fields.paper:
            changed = with_printed_colour(changed, number)
    return changed, png


def carried(
    project: Project, before: Labels, flat: FlatDesign, png: bytes, corrections: tuple[Correction, ...]
) -> Project:
    """The project on newly laid fields, blocks and pulls as they were as far as can be.

    Parameters
    ----------
    before : the colour numbers until now, of the same size.
    flat, png : the new fields, and their numbers as a PNG.

    Notes
    -----
    An old colour goes on as the new one that lies over most of it; a new one that
    no old one goes on as gets a block of its own, unless it is paper.
    """
    old = project.flat
    assert old is not None
    count, after = len(old.colours), len(flat.colours)
    pairs = np.bincount(before.ravel().astype(int) * after + flat.labels.ravel(), minlength=count * after)
    over = pairs.reshape(count, after)
    renumber = {n: int(over[n].argmax()) for n in range(count) if over[n].any()}
    names: list[str] = []
    for number, colour in enumerate(flat.colours):
        known = [n for n, now in renumber.items() if now == number]
        main = max(known, key=lambda n: over[n, number], default=None)
        name = free_name(colour.lab, names) if main is None else old.colours[main].name
        names.append(free_name(colour.lab, names) if name in names else name)
    colours = tuple(WantedColour(name, c.lab) for name, c in zip(names, flat.colours, strict=True))
    steps = layer_steps(project) if is_reduction(project) else ()
    changed = with_labels(project, png, colours, renumber, line=flat.line, paper=flat.paper)
    assert changed.flat is not None
    changed = replace(changed, flat=replace(changed.flat, corrections=corrections, mean_de00=flat.mean_de00))
    if steps:
        moved = [tuple(dict.fromkeys(renumber[n] for n in step if n in renumber)) for step in steps]
        changed = with_reduction(changed, [step for step in moved if step])
    for number in changed.bare_colours():
        if number not in renumber.values() and number != flat.paper:
            changed = with_printed_colour(changed, number)
    return changed


def place_on_picture(project: Project, place_mm: tuple[float, float]) -> tuple[float, float]:
    """The place of the picture, as shares of its width and height, at a place on the image in mm."""
    cut = project.source.cut if project.source else None
    matrix = to_print(cut, (project.image.width, project.image.height))
    x, y = through(np.linalg.inv(matrix), place_mm)
    return round(x, 6), round(y, 6)


def _place_of(project: Project, shape: tuple[int, ...], x: int, y: int) -> tuple[float, float]:
    per_mm = shape[1] / project.image.width
    return place_on_picture(project, ((x + 0.5) / per_mm, (y + 0.5) / per_mm))


def _pixel_of(project: Project, shape: tuple[int, ...]) -> ToPixel:
    cut = project.source.cut if project.source else None
    matrix = to_print(cut, (project.image.width, project.image.height))
    per_mm = shape[1] / project.image.width

    def pixel(place: tuple[float, float]) -> tuple[int, int] | None:
        x, y = through(matrix, place)
        column, row = int(x * per_mm), int(y * per_mm)
        return (row, column) if 0 <= row < shape[0] and 0 <= column < shape[1] else None

    return pixel


def with_labels(
    project: Project, png: bytes, colours: tuple[WantedColour, ...], renumber: Mapping[int, int],
    said: Correction | None = None, *, line: int | None = None, paper: int | None = None,
) -> Project:  # fmt: skip
    """The project on another page of colour numbers.

    Parameters
    ----------
    png, colours : the page and what its numbers stand for.
    renumber : old numbers to new ones; a colour that is left out is gone.
    said : the correction that made it, kept for the next time the design is read.
    line, paper : their new numbers; None carries the old ones on.
    """
    assert project.flat is not None
    blocks = tuple(
        replace(block, colours=tuple(sorted({renumber[n] for n in block.colours if n in renumber})))
        for block in project.blocks
    )
    pulls = tuple(replace(pull, zones=_renumbered(pull.zones, renumber)) for pull in project.impressions)
    old = project.flat
    flat = replace(
        old, labels=digest(png), colours=colours,
        line=renumber.get(old.line) if line is None and old.line is not None else line,
        paper=renumber.get(old.paper) if paper is None and old.paper is not None else paper,
        corrections=old.corrections if said is None else (*old.corrections, said),
    )  # fmt: skip
    # A block is left without colours when its only one is merged away: it goes, with its pull.
    return pruned(replace(project, flat=flat, blocks=blocks, impressions=pulls), blocks, pulls)


def _renumbered(zones: Sequence[Zone], renumber: Mapping[int, int]) -> tuple[Zone, ...]:
    """Zones by the new numbers; one left without colours goes."""
    first, *others = zones
    moved = [
        replace(zone, colours=tuple(sorted({renumber[n] for n in zone.colours if n in renumber}))) for zone in others
    ]
    return (first, *(zone for zone in moved if zone.colours))
