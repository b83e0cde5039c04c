"""Edits: each takes a project and gives a new one, or raises ProjectError and changes nothing."""

from collections.abc import Callable, Mapping, Sequence

from msgspec.structs import replace

from nomos.colour import Lab, Opacity
from nomos.colour.names import colour_names
from nomos.design import Correction, FlatDesign, ReadAs
from nomos.order import Layer, before_next, light_to_dark
from nomos.project.model import (
    Block,
    Flat,
    Impression,
    Ink,
    Paper,
    Project,
    ProjectError,
    Source,
    WantedColour,
    Zone,
)
from nomos.project.naming import fresh_number
from nomos.project.pruning import pruned
from nomos.project.reduction import (
    cut_before,
    is_reduction,
    layer_steps,
    nested_light_to_dark,
    reordered,
    with_reduction,
)
from nomos.proof import Misregister
from nomos.registration import KentoSettings, Rect
from nomos.separation import one_block_per_colour

DEFAULT_MARGIN_MM = 10.0
# A white relief paper; written down from memory, the user measures or chooses.
DEFAULT_PAPER_LAB: Lab = (96.0, 0.0, 3.0)


def new_project(
    title: str,
    image_mm: tuple[float, float],
    *,
    paper_lab: Lab = DEFAULT_PAPER_LAB,
    paper_name: str = "Paper",
    sheet_mm: tuple[float, float] | None = None,
) -> Project:
    """A project for an image centred on its sheet, which is 10 mm wider all round if none is given."""
    sheet = sheet_mm or (image_mm[0] + 2 * DEFAULT_MARGIN_MM, image_mm[1] + 2 * DEFAULT_MARGIN_MM)
    paper = Paper(paper_name, paper_lab, *sheet)
    return Project(title, paper, _centred(image_mm, sheet))


def _centred(image_mm: tuple[float, float], sheet_mm: tuple[float, float]) -> Rect:
    left, top = (sheet_mm[0] - image_mm[0]) / 2, (sheet_mm[1] - image_mm[1]) / 2
    return Rect(left, top, left + image_mm[0], top + image_mm[1])


def with_source(project: Project, source: Source) -> Project:
    """The project with the design it was made from."""
    return replace(project, source=source)


def with_flat_design(
    project: Project,
    flat: FlatDesign,
    labels: str,
    *,
    asked: int | None,
    smallest_feature_mm: float,
    names: Sequence[str] | None = None,
    seed: int = 0,
    read_as: ReadAs | None = None,
    corrections: tuple[Correction, ...] = (),
) -> Project:
    """The project with a new flat design, separated the plain way and ordered light to dark."""
    labs = [colour.lab for colour in flat.colours]
    names = names or colour_names(labs)
    separation = one_block_per_colour(
        flat.labels, labs, flat.px_per_mm, project.paper.lab, line=flat.line, bare=flat.paper
    )
    inks, blocks, impressions = [], [], []
    for number, plan in enumerate(separation.blocks, start=1):
        own = plan.colours[0]
        name = "Key" if plan.is_key else names[own]
        inks.append(Ink(f"ink{number}", name, labs[own]))
        blocks.append(Block(f"block{number}", name, plan.colours, plan.is_key))
        impressions.append(Impression(f"pull{number}", f"block{number}", (Zone(f"ink{number}"),)))
    changed = replace(
        project,
        flat=Flat(
            labels,
            tuple(WantedColour(name, lab) for name, lab in zip(names, labs, strict=True)),
            asked,
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


def layers(project: Project) -> tuple[Layer, ...]:
    """The impressions in print order as the order rules see them."""
    return tuple(
        Layer(
            project.block(impression.block).name,
            project.ink(impression.zones[0].ink).lab,
            project.ink(impression.zones[0].ink).opacity,
            project.block(impression.block).is_key,
            project.ink(impression.zones[0].ink).drying_h,
            impression.wet,
        )
        for impression in project.impressions
    )


def between_pulls(project: Project, *, brief: bool = False) -> tuple[str, ...]:
    """What has to happen after each pull but the last; in a reduction the cut comes first.

    brief : without the names of what is cut away.
    """
    notes = before_next(layers(project))
    cuts = cut_before(project)[1:]
    names = project.flat.colours if project.flat else ()
    return tuple(
        note
        if not cut
        else f"cut further, {note}"
        if brief
        else f"cut away {', '.join(names[n].name.lower() for n in cut)}, {note}"
        for note, cut in zip(notes, cuts, strict=True)
    )


def in_rule_order(project: Project) -> Project:
    """The project printed light to dark with the key last; a reduction keeps the inks it has."""
    if is_reduction(project):
        return nested_light_to_dark(project)
    order = light_to_dark(layers(project))
    return replace(project, impressions=tuple(project.impressions[place] for place in order))


def moved_impression(project: Project, impression_id: str, place: int) -> Project:
    """The project with one impression moved to another place (0 is first); a reduction is nested anew."""
    if is_reduction(project):
        return reordered(project, impression_id, place)
    moving = project.impression(impression_id)
    rest = [impression for impression in project.impressions if impression.id != impression_id]
    place = min(max(place, 0), len(rest))
    return replace(project, impressions=(*rest[:place], moving, *rest[place:]))


def with_colour(project: Project, number: int, *, name: str | None = None, lab: Lab | None = None) -> Project:
    """A flat colour renamed or recoloured. Block and ink that carry its name or colour follow."""
    if project.flat is None:
        raise ProjectError("flat", "There is no flat design yet: open a picture first.")
    old = project.flat.colours[number]
    new = WantedColour(_named(name, old.name), lab or old.lab)
    colours = (*project.flat.colours[:number], new, *project.flat.colours[number + 1 :])
    own = {block.id for block in project.blocks if block.colours == (number,)}
    used = {
        zone.ink for impression in project.impressions if impression.block in own for zone in impression.zones
    }
    return replace(
        project,
        flat=replace(project.flat, colours=colours),
        blocks=tuple(
            replace(b, name=new.name) if b.id in own and b.name == old.name else b for b in project.blocks
        ),
        inks=tuple(
            replace(
                ink,
                name=new.name if ink.name == old.name else ink.name,
                lab=new.lab if ink.lab == old.lab else ink.lab,
            )
            if ink.id in used
            else ink
            for ink in project.inks
        ),
    )


def _named(name: str | None, old: str) -> str:
    if name is None:
        return old
    if not name.strip():
        raise ProjectError("name", "A name cannot be empty.")
    return name.strip()[:60]


def with_block(
    project: Project, block_id: str, *, name: str | None = None, is_key: bool | None = None
) -> Project:
    """A block renamed, or made the key (which takes the key from any other)."""
    blocks = []
    for block in project.blocks:
        if block.id == block_id:
            key = block.is_key if is_key is None else is_key
            block = replace(block, name=_named(name, block.name), is_key=key)
        elif is_key:
            block = replace(block, is_key=False)
        blocks.append(block)
    return replace(project, blocks=tuple(blocks))


def with_bare_colour(project: Project, number: int) -> Project:
    """The project with one flat colour left to the bare paper; blocks left empty go, with their pulls."""
    blocks = tuple(
        replace(block, colours=tuple(n for n in block.colours if n != number)) for block in project.blocks
    )
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
        (
            place
            for place, layer in enumerate(layers(project))
            if layer.is_key or layer.lab[0] < colour.lab[0]
        ),
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


def with_ink(
    project: Project,
    ink_id: str,
    *,
    name: str | None = None,
    lab: Lab | None = None,
    opacity: Opacity | None = None,
) -> Project:
    """An ink renamed, recoloured or given another opacity."""
    inks = tuple(
        replace(
            ink,
            name=_named(name, ink.name),
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

    return _with_impression(project, impression_id, changed)


def with_offset(project: Project, impression_id: str, offset: Misregister) -> Project:
    """An impression tried out of register."""
    return _with_impression(project, impression_id, lambda old: replace(old, offset=offset))


def in_register(project: Project) -> Project:
    """The project with every block back in its place."""
    return replace(project, impressions=tuple(replace(i, offset=Misregister()) for i in project.impressions))


def with_trap(project: Project, trap_mm: float) -> Project:
    """The project with another trap."""
    return replace(project, trap_mm=trap_mm)


def with_seam(project: Project, seam_de00: float) -> Project:
    """The project with another limit up to which an overlap is taken before a gap, as ΔE00."""
    return replace(project, seam_de00=seam_de00)


def with_tolerance(project: Project, tolerance_mm: float) -> Project:
    """The project for sheets that meet blocks this closely."""
    return replace(project, tolerance_mm=tolerance_mm)


def with_fineness(project: Project, *, line_mm: float | None = None, tool_mm: float | None = None) -> Project:
    """The project for another thinnest line that holds, or another finest tool."""
    return replace(project, line_mm=line_mm or project.line_mm, tool_mm=tool_mm or project.tool_mm)


def with_workshop(project: Project, **changes: object) -> Project:
    """The project made in another way of working; names as in `Workshop`."""
    return replace(project, workshop=replace(project.workshop, **changes))


def with_writing(project: Project, writing: bool) -> Project:
    """The project with the answer to whether the design holds writing."""
    return with_workshop(project, writing=writing)


def with_drawn(project: Project, masks: Mapping[str, str | None]) -> Project:
    """The project with masks changed by hand, block id to digest; None works a block out from its colours."""
    return replace(
        project,
        blocks=tuple(
            replace(block, drawn=masks[block.id]) if block.id in masks else block for block in project.blocks
        ),
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


def with_kento(project: Project, settings: KentoSettings) -> Project:
    """The project with other choices for the kento; whether they fit is a finding."""
    return replace(project, kento=settings)


def with_sheet(project: Project, sheet_mm: tuple[float, float]) -> Project:
    """The project on a sheet of another size, the image centred on it."""
    return replace(
        project,
        paper=replace(project.paper, width_mm=sheet_mm[0], height_mm=sheet_mm[1]),
        image=_centred((project.image.width, project.image.height), sheet_mm),
    )


def with_image_at(project: Project, left_mm: float, top_mm: float) -> Project:
    """The project with the image elsewhere on the sheet."""
    image = project.image
    return replace(project, image=Rect(left_mm, top_mm, left_mm + image.width, top_mm + image.height))


def with_image_size(project: Project, size_mm: tuple[float, float]) -> Project:
    """The project with an image of another size; the margins stay, the sheet follows."""
    image, paper = project.image, project.paper
    right, below = paper.width_mm - image.right, paper.height_mm - image.bottom
    new = Rect(image.left, image.top, image.left + size_mm[0], image.top + size_mm[1])
    return replace(
        project,
        paper=replace(paper, width_mm=new.right + right, height_mm=new.bottom + below),
        image=new,
        source=replace(project.source, size_mm=size_mm) if project.source else None,
    )


def with_paper(project: Project, *, name: str | None = None, lab: Lab | None = None) -> Project:
    """The project on paper of another name or colour. The inks keep the colour they have on it."""
    paper = project.paper
    reflectance = paper.reflectance if lab is None else None
    return replace(
        project,
        paper=replace(paper, name=_named(name, paper.name), lab=lab or paper.lab, reflectance=reflectance),
    )


def with_title(project: Project, title: str) -> Project:
    """The project under another title, as it stands on templates and in the plan."""
    return replace(project, title=_named(title, project.title))


def _with_impression(
    project: Project, impression_id: str, change: Callable[[Impression], Impression]
) -> Project:
    return replace(
        project,
        impressions=tuple(change(i) if i.id == impression_id else i for i in project.impressions),
    )
