"""After an edit: what nothing uses any more goes."""

from msgspec.structs import replace

from nomos.project.model import Block, Impression, Project


def pruned(project: Project, blocks: tuple[Block, ...], pulls: tuple[Impression, ...]) -> Project:
    """The project with these blocks and pulls, less what is left empty.

    A block that prints nothing goes with its pulls, a zone whose colours its
    block no longer prints goes, and an ink that no zone is inked with.
    """
    kept = {block.id: block for block in blocks if block.colours or block.contour is not None}
    left = tuple(_kept_zones(pull, kept[pull.block]) for pull in pulls if pull.block in kept)
    used = {zone.ink for pull in left for zone in pull.zones}
    printed = {pull.block for pull in left}
    return replace(
        project,
        blocks=tuple(block for block in kept.values() if block.id in printed),
        impressions=left,
        inks=tuple(ink for ink in project.inks if ink.id in used),
    )


def _kept_zones(pull: Impression, block: Block) -> Impression:
    first, *others = pull.zones
    on_block = [replace(z, colours=tuple(n for n in z.colours if n in block.colours)) for z in others]
    others = [zone for zone in on_block if zone.colours or zone.areas]
    taken = {number for zone in others for number in zone.colours}
    # The first zone covers what the others leave: where that is nothing, the next takes its place.
    if others and taken >= set(block.colours):
        by_colour = next(zone for zone in others if zone.colours)
        others.remove(by_colour)
        first = replace(by_colour, colours=(), areas=())
    return replace(pull, zones=(first, *others))


def without_unused_inks(project: Project) -> Project:
    """The project with the inks that some zone is inked with."""
    used = {zone.ink for pull in project.impressions for zone in pull.zones}
    return replace(project, inks=tuple(ink for ink in project.inks if ink.id in used))
