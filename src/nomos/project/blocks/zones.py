"""One block inked in several zones, and one block printed more than once."""

from collections.abc import Sequence

from msgspec.structs import replace

from nomos.base.language import tr
from nomos.project.blocks.reduction import is_reduction
from nomos.project.inks.films import zone_colours
from nomos.project.model import Block, Grade, Impression, Ink, Project, ProjectError, Zone
from nomos.project.model.naming import fresh_number
from nomos.project.model.pruning import pruned


def can_share(project: Project, pull: Impression) -> bool:
    """Whether an impression's block can join others: made of colours, printed once, on a board of its own."""
    block = project.block(pull.block)
    once = sum(other.block == block.id for other in project.impressions) == 1
    return once and bool(block.colours) and not (block.contour or block.drawn or block.board or block.kerf_mm)


def merged_pulls(project: Project, pulls: Sequence[str], order: Sequence[str]) -> Project:
    """The project with several impressions as zones of one, inked apart on one block.

    Parameters
    ----------
    pulls : ids of the impressions; the first printed gives the block its place among the ids.
    order : ids of all impressions as they are printed then, with one of `pulls` for all of them.

    Raises
    ------
    ProjectError : one of them is no longer there or cannot share a block.
    """
    by_id = {pull.id: pull for pull in project.impressions}
    if not set(pulls) <= set(by_id) or set(order) - set(by_id):
        raise ProjectError("impressions", tr("The blocks have changed meanwhile; look at the findings again."))
    some = [pull for pull in project.impressions if pull.id in pulls]
    if len(some) < 2 or not all(can_share(project, pull) for pull in some):
        raise ProjectError("blocks", tr("Only blocks of colours, each printed once, can share one block."))
    first = some[0]
    inks = {zone.ink for pull in some for zone in pull.zones if zone.inked}
    if len(inks) > project.workshop.most_zones:
        raise ProjectError(
            "zones",
            tr(
                "That would be {inks} inks on one block; {most_zones} can be inked before the first "
                "dries. Say at Method that more can, or keep a block of its own.",
                inks=len(inks),
                most_zones=project.workshop.most_zones,
            ),
        )
    zones = [
        replace(zone, colours=zone_colours(project, pull, place))
        for pull in some
        for place, zone in enumerate(pull.zones)
    ]
    zones[0] = replace(zones[0], colours=())
    block = replace(
        project.block(first.block),
        name=" and ".join(project.block(pull.block).name for pull in some)[:60],
        colours=tuple(sorted({n for pull in some for n in project.block(pull.block).colours})),
        is_key=any(project.block(pull.block).is_key for pull in some),
    )
    merged = Impression(first.id, block.id, tuple(zones))
    gone = {pull.id for pull in some[1:]}
    lost = {pull.block for pull in some[1:]}
    left = [merged if pull == first.id else by_id[pull] for pull in order if pull not in gone]
    if {pull.id for pull in left} != set(by_id) - gone:
        raise ProjectError("impressions", tr("The blocks have changed meanwhile; look at the findings again."))
    blocks = tuple(block if each.id == block.id else each for each in project.blocks if each.id not in lost)
    return pruned(project, blocks, tuple(left))


def split_zones(project: Project, pull_id: str) -> Project:
    """The project with a block of its own for each zone of an impression, printed one after the other."""
    pull = project.impression(pull_id)
    old = project.block(pull.block)
    if len(pull.zones) < 2 or is_reduction(project):
        raise ProjectError("zones", tr("Only a block that is inked in several zones can be taken apart."))
    fresh = fresh_number(project)
    blocks: list[Block] = []
    pulls: list[Impression] = []
    for place, zone in enumerate(pull.zones):
        colours = zone_colours(project, pull, place)
        name = project.ink(zone.ink).name
        number = fresh + place
        block_id = old.id if place == 0 else f"block{number}"
        blocks.append(Block(block_id, name, colours))
        impression_id = pull.id if place == 0 else f"pull{number}"
        pulls.append(Impression(impression_id, block_id, (replace(zone, colours=()),)))
    at = project.impressions.index(pull)
    place_of = project.blocks.index(old)
    return replace(
        project,
        blocks=(*project.blocks[:place_of], *blocks, *project.blocks[place_of + 1 :]),
        impressions=(*project.impressions[:at], *pulls, *project.impressions[at + 1 :]),
    )


def printed_again(project: Project, pull_id: str) -> Project:
    """The project with the same block printed once more after an impression, its inks to be changed apart."""
    pull = project.impression(pull_id)
    fresh = fresh_number(project)
    inks: list[Ink] = []
    zones: list[Zone] = []
    for place, zone in enumerate(pull.zones):
        ink = replace(project.ink(zone.ink), id=f"ink{fresh + place}")
        inks.append(ink)
        zones.append(replace(zone, ink=ink.id))
    again = replace(pull, id=f"pull{fresh}", zones=tuple(zones), wet=False, trapping=None, name="")
    at = project.impressions.index(pull) + 1
    return replace(
        project, inks=(*project.inks, *inks), impressions=(*project.impressions[:at], again, *project.impressions[at:])
    )


def with_grade(project: Project, pull_id: str, zone: int, grade: Grade | None) -> Project:
    """The project with a zone inked from one strength to another, or evenly."""
    pulls = tuple(
        replace(
            pull,
            zones=tuple(replace(each, grade=grade) if place == zone else each for place, each in enumerate(pull.zones)),
        )
        if pull.id == pull_id
        else pull
        for pull in project.impressions
    )
    return replace(project, impressions=pulls)


def grade_over_image(project: Project, strength: float) -> Grade:
    """A grade from the top of the image to its foot, fading out."""
    middle = (project.image.left + project.image.right) / 2
    return Grade((middle, project.image.top), (middle, project.image.bottom), 0.0 if strength > 0 else 1.0)


def flat_then_graded(project: Project, pull_id: str, zone: int) -> Project:
    """The project with a graded zone printed flat at its pale end first, then graded over it.

    Common practice, no source: a pale and a dark end on one roller leaves roller
    marks in the pale part; a flat pale layer first hides them.
    """
    pull = project.impression(pull_id)
    grade = pull.zones[zone].grade
    if grade is None or len(pull.zones) > 1:
        raise ProjectError("grade", tr("Only an impression of one graded zone can be parted."))
    pale = min(pull.zones[0].strength, grade.to)
    if pale <= 0:
        raise ProjectError("grade", tr("It fades to nothing: there is no pale layer to print flat first."))
    again = printed_again(project, pull_id)
    at = next(place for place, each in enumerate(again.impressions) if each.id == pull_id)
    flat, graded = again.impressions[at : at + 2]
    # The flat layer is there already: the graded one adds what is over it.
    rest = replace(graded.zones[0], strength=graded.zones[0].strength - pale, grade=replace(grade, to=grade.to - pale))
    even = replace(flat.zones[0], strength=pale, grade=None)
    pulls = (replace(flat, zones=(even,)), replace(graded, zones=(rest,)))
    return replace(again, impressions=(*again.impressions[:at], *pulls, *again.impressions[at + 2 :]))
