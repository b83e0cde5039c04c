"""Edits of colours, blocks and what prints where."""

from collections.abc import Mapping, Sequence

from msgspec.structs import replace

from nomos.base.language import opened, tr
from nomos.colour import Lab
from nomos.colour.names import colour_names
from nomos.design import Correction, FlatDesign, ReadAs
from nomos.project.blocks.pulls import in_rule_order, layers
from nomos.project.blocks.reduction import is_reduction, layer_steps, with_reduction
from nomos.project.model import Block, Flat, Impression, Ink, Project, ProjectError, WantedColour, Zone
from nomos.project.model.edits import with_paper
from nomos.project.model.naming import fresh_number, named
from nomos.project.model.paper import PAPER_COLOURS
from nomos.project.model.pruning import pruned
from nomos.separation import find_key, one_block_per_colour

# Paper darker than this, L*, is no white one; colours so much paler need an opaque ink (chosen by us).
_WHITE_PAPER, _PALER = 80.0, 4.0
TO_BE_FOUND = -1
"""No colour's number: the key of a design has not been looked for."""


def key_of(flat: FlatDesign) -> int | None:
    """The number of the colour that a key is cut from: the line as it was read, or else as it is found."""
    if flat.line is not None:
        return flat.line
    return find_key(flat.labels, [colour.lab for colour in flat.colours], flat.px_per_mm)


def with_flat_design(
    project: Project, flat: FlatDesign, labels: str, *, requested_colours: int | None, smallest_feature_mm: float,
    names: Sequence[str] | None = None, seed: int = 0, read_as: ReadAs | None = None,
    corrections: tuple[Correction, ...] = (), key: int | None = TO_BE_FOUND,
) -> Project:  # fmt: skip
    """The project with a new flat design, separated the plain way and ordered light to dark.

    key : what `key_of` finds of the design, where it was looked for beforehand.
    """
    labs = [colour.lab for colour in flat.colours]
    names = names or colour_names(labs)
    key = key_of(flat) if key == TO_BE_FOUND else key
    separation = one_block_per_colour(labs, project.paper.lab, key=key, bare=flat.paper)
    inks, blocks, impressions = [], [], []
    for number, plan in enumerate(separation.blocks, start=1):
        own = plan.colours[0]
        name = "Key" if plan.is_key else names[own]
        # On dark paper what is paler than it has to cover.
        covers = labs[own][0] > project.paper.lab[0] + _PALER and project.paper.lab[0] < _WHITE_PAPER
        inks.append(Ink(f"ink{number}", name, labs[own], "opaque" if covers else "transparent"))
        blocks.append(Block(f"block{number}", name, plan.colours, plan.is_key))
        impressions.append(Impression(f"pull{number}", f"block{number}", (Zone(f"ink{number}"),)))
    changed = replace(
        project,
        flat=Flat(
            labels,
            tuple(WantedColour(name, lab) for name, lab in zip(names, labs, strict=True)),
            requested_colours,
            smallest_feature_mm,
            seed,
            flat.mean_de00,
            read_as,
            flat.line,
            flat.paper,
            corrections,
        ),
        inks=tuple(inks),
        blocks=tuple(blocks),
        impressions=tuple(impressions),
    )
    return in_rule_order(changed)


def with_paper_called(project: Project, name: str) -> Project:
    """On one of the papers that are known by name; the colour of the design that stays bare follows."""
    said, lab = PAPER_COLOURS[name]
    for number in project.bare_colours():
        project = with_colour(project, number, lab=lab)
    return with_paper(project, name=opened(said), lab=lab)


def with_colour(project: Project, number: int, *, name: str | None = None, lab: Lab | None = None) -> Project:
    """A flat colour renamed or recoloured. Block and ink that carry its name or colour follow."""
    if project.flat is None:
        raise ProjectError("flat", tr("There is no flat design yet: open a picture first."))
    old = project.flat.colours[number]
    new = WantedColour(named(name, old.name), lab or old.lab)
    colours = (*project.flat.colours[:number], new, *project.flat.colours[number + 1 :])
    own = {block.id for block in project.blocks if block.colours == (number,)}
    used = {zone.ink for impression in project.impressions if impression.block in own for zone in impression.zones}
    return replace(
        project,
        flat=replace(project.flat, colours=colours),
        blocks=tuple(replace(b, name=new.name) if b.id in own and b.name == old.name else b for b in project.blocks),
        inks=tuple(
            replace(
                ink, name=new.name if ink.name == old.name else ink.name, lab=new.lab if ink.lab == old.lab else ink.lab
            )
            if ink.id in used
            else ink
            for ink in project.inks
        ),
    )


def with_block(project: Project, block_id: str, *, name: str | None = None, is_key: bool | None = None) -> Project:
    """A block renamed, or made the key (which takes the key from any other)."""
    blocks = []
    for block in project.blocks:
        if block.id == block_id:
            key = block.is_key if is_key is None else is_key
            block = replace(block, name=named(name, block.name), is_key=key)
        elif is_key:
            block = replace(block, is_key=False)
        blocks.append(block)
    return replace(project, blocks=tuple(blocks))


def with_bare_colour(project: Project, number: int) -> Project:
    """The project with one flat colour left to the bare paper; blocks left empty go, with their pulls."""
    blocks = tuple(replace(block, colours=tuple(n for n in block.colours if n != number)) for block in project.blocks)
    changed = pruned(project, blocks, project.impressions)
    # The state whose own colour went would print the same as the next one.
    steps = layer_steps(project) if is_reduction(project) else ()
    fewer = [tuple(n for n in step if n != number) for step in steps]
    return with_reduction(changed, fewer) if any(fewer) else changed


def with_printed_colour(project: Project, number: int) -> Project:
    """The project with a block of its own, and an ink, for a flat colour that was bare."""
    if project.flat is None or number not in project.bare_colours():
        return project
    colour = project.flat.colours[number]
    if is_reduction(project):
        steps = layer_steps(project)
        lighter = [step for step in steps if project.flat.colours[step[0]].lab[0] >= colour.lab[0]]
        darker = [step for step in steps if step not in lighter]
        return with_reduction(_with_standing(project, number), [*lighter, (number,), *darker])
    fresh = fresh_number(project)
    block, ink = f"block{fresh}", f"ink{fresh}"
    place = next(
        (place for place, layer in enumerate(layers(project)) if layer.is_key or layer.lab[0] < colour.lab[0]),
        len(project.impressions),
    )
    pull = Impression(f"pull{fresh}", block, (Zone(ink),))
    return replace(
        project,
        inks=(*project.inks, Ink(ink, colour.name, colour.lab)),
        blocks=(*project.blocks, Block(block, colour.name, (number,))),
        impressions=(*project.impressions[:place], pull, *project.impressions[place:]),
    )


def _with_standing(project: Project, number: int) -> Project:
    """A reduction whose first state holds one colour more."""
    first = project.impressions[0].block
    blocks = tuple(
        replace(block, colours=tuple(sorted((*block.colours, number)))) if block.id == first else block
        for block in project.blocks
    )
    return replace(project, blocks=blocks)


def with_drawn(project: Project, masks: Mapping[str, str | None]) -> Project:
    """The project with masks changed by hand, block id to digest; None works a block out from its colours."""
    return replace(
        project,
        blocks=tuple(replace(block, drawn=masks[block.id]) if block.id in masks else block for block in project.blocks),
    )


def run_through(project: Project, lighter: int, darker: int) -> Project:
    """The project with every block that prints the lighter colour printing the darker one too."""
    for block in project.blocks:
        if lighter in block.colours and not block.is_key:
            project = with_switch(project, block.id, (darker,), True)
    return project


def without_impression(project: Project, impression_id: str) -> Project:
    """The project with one pull fewer; its block and ink go with it where no other pull needs them."""
    pulls = tuple(impression for impression in project.impressions if impression.id != impression_id)
    return pruned(project, project.blocks, pulls)


def with_switch(project: Project, block_id: str, numbers: Sequence[int], on: bool) -> Project:
    """The project with some flat colours printed by a block, or not. A block left empty stays."""
    blocks = []
    for block in project.blocks:
        if block.id == block_id:
            colours = {*block.colours, *numbers} if on else set(block.colours) - set(numbers)
            block = replace(block, colours=tuple(sorted(colours)))
        blocks.append(block)
    return replace(project, blocks=tuple(blocks))
