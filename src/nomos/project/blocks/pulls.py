"""The pulls in their order: the usual rule, what comes between them, and moving one."""

from msgspec.structs import replace

from nomos.base.language import tr, within
from nomos.colour.vehicles import VEHICLES
from nomos.order import Layer, before_next, light_to_dark
from nomos.project.blocks.reduction import cut_before, is_reduction, nested_light_to_dark, reordered
from nomos.project.inks.films import sitting_advice
from nomos.project.model import Impression, Ink, Project


def layers(project: Project) -> tuple[Layer, ...]:
    """The impressions in print order as the order rules see them."""
    return tuple(
        Layer(
            project.pull_name(impression.id),
            project.ink(impression.main.ink).lab,
            project.ink(impression.main.ink).opacity,
            project.block(impression.block).is_key,
            project.ink(impression.main.ink).drying_h,
            project.goes_on_wet(place),
            stays_damp(project, place),
            tuple(ink.lab for ink in inked_with(project, impression)),
        )
        for place, impression in enumerate(project.impressions)
    )


def inked_with(project: Project, pull: Impression) -> tuple[Ink, ...]:
    """The inks that stand on the block for a pull, each once, the main one first."""
    main = [pull.main.ink]
    return tuple(project.ink(n) for n in dict.fromkeys([*main, *(z.ink for z in pull.zones if z.inked)]))


def stays_damp(project: Project, place: int) -> bool:
    """Whether the sheet goes back into the damp pack after a pull instead of drying.

    Water-based colour sinks into damp paper and is printed on again at once
    (common practice, no source); after the last of them the sheet dries.
    """
    pulls = project.impressions
    damp = project.times.damp or project.register.damp
    if not damp or place + 1 >= len(pulls):
        return False
    both = (*inked_with(project, pulls[place]), *inked_with(project, pulls[place + 1]))
    return all(VEHICLES[ink.vehicle].goes_back_damp for ink in both)


def between_pulls(project: Project, *, brief: bool = False) -> tuple[str, ...]:
    """What has to happen after each pull but the last, in the order of the hands.

    A block is washed and dry before it is cut further, and meanwhile the sheets dry.
    brief : without the names of what is cut away.
    """
    tight = {each.second: f": {each.brief}" for each in sitting_advice(project)}
    cuts = cut_before(project)[1:]
    names = project.flat.colours if project.flat else ()
    notes = []
    for place, ((clean, dry), cut) in enumerate(zip(before_next(layers(project)), cuts, strict=True), start=1):
        away = tr("cut away {join}", join=", ".join(within(names[n].name) for n in cut))
        steps = (tr("wash up"), tr("cut further") if brief else away, dry) if cut else (clean, dry)
        notes.append(f"{', '.join(steps)}{tight.get(place, '')}")
    return tuple(notes)


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


def ordered(project: Project, key: str) -> Project:
    """The project in one of the orders offered: `rule` or `key-first`."""
    by_rule = in_rule_order(project)
    keys = [i for i in by_rule.impressions if by_rule.block(i.block).is_key]
    return moved_impression(by_rule, keys[0].id, 0) if key == "key-first" and keys else by_rule
