"""What was printed stays printed: the record of a pull, and what planning would contradict it."""

from collections.abc import Sequence
from dataclasses import replace

from nomos.base.language import tr
from nomos.base.units import counted
from nomos.edition import EditionState, Event
from nomos.edition.log import Printed, PrintedInk
from nomos.edition.replay import adopted
from nomos.project.model import Impression, Project, Zone


def printed_as(project: Project, pull: Impression) -> Printed:
    """A pull as it is planned at this moment, to be written down as it is begun."""
    before = project.impressions[: project.impressions.index(pull)]
    return Printed(
        project.pull_name(pull.id), tuple(_ink(project, zone) for zone in pull.zones), tuple(each.id for each in before)
    )


def _ink(project: Project, zone: Zone) -> PrintedInk:
    to = zone.grade.to if zone.grade else None
    return PrintedInk(project.ink(zone.ink).name, zone.strength, to, zone.bare or zone.tool)


def written(
    project: Project, so_far: Sequence[Event], state: EditionState, events: Sequence[Event]
) -> tuple[Event, ...]:
    """The events as they go into the log: each names its impression, and the log first of all its print.

    state : what `so_far` comes to.
    """
    named = [
        event
        if event.pull or not 0 <= event.layer < len(state.pulls)
        else replace(event, pull=state.pulls[event.layer])
        for event in events
    ]
    if not events:
        return ()
    planned, at = [pull.id for pull in project.impressions], events[0].at
    first = () if not project.id or print_of(so_far) else (Event(at, "project", text=project.id),)
    return (*first, *adopted(so_far, planned, at), *named)


def print_of(events: Sequence[Event]) -> str:
    """The id of the print whose log it is; "" in logs of old, which are known by their name."""
    return next((event.text for event in events if event.kind == "project"), "")


def is_of_another(project: Project, events: Sequence[Event]) -> bool:
    """Whether a log belongs to another print than the one that its name says."""
    return bool(project.id) and print_of(events) not in ("", project.id)


def contradictions(before: Project, after: Project, state: EditionState) -> tuple[str, ...]:
    """What an edit would make untrue of sheets that are printed, a sentence each; none where all stays true.

    Parameters
    ----------
    before, after : the project before and after the edit.
    state : where the edition stands.

    Notes
    -----
    What is learnt of an ink changes no sheet, so colour and optics of an ink may
    change; which ink it is, how strong, where, in which order and on which block may not.
    """
    planned = {pull.id for pull in before.impressions}
    carried = {pull: state.carrying(n) for n, pull in enumerate(state.pulls) if pull in planned}
    carried = {pull: count for pull, count in carried.items() if count}
    if not carried:
        return ()
    left = {pull.id: pull for pull in after.impressions}
    said = []
    for pull_id, count in carried.items():
        name, sheets = before.pull_name(pull_id), counted(count, tr("sheet"), tr("sheets"))
        carry = tr("carries") if count == 1 else tr("carry")
        if pull_id not in left:
            said.append(
                tr(
                    "{sheets} already {carry} {name}, which would no longer be planned.",
                    sheets=sheets, carry=carry, name=name,
                )
            )  # fmt: skip
        elif _inked(before, pull_id) != _inked(after, pull_id):
            said.append(
                tr(
                    "{sheets} already {carry} {name} as it was inked; this would plan it otherwise.",
                    sheets=sheets, carry=carry, name=name,
                )
            )  # fmt: skip
        elif _cut(before, pull_id) != _cut(after, pull_id):
            said.append(
                tr(
                    "{sheets} already {carry} {name}; its block would print another shape.",
                    sheets=sheets, carry=carry, name=name,
                )
            )  # fmt: skip
    if [pull for pull in _order(before, carried) if pull in left] != _order(after, carried):
        said.append(tr("Layers that are printed would stand in another order than they were printed in."))
    elif first := _slipped_under(after, carried, before):
        said.append(tr("{first} would come below layers that are printed already.", first=first))
    if (before.paper.width_mm, before.paper.height_mm, before.image) != (
        after.paper.width_mm, after.paper.height_mm, after.image,
    ):  # fmt: skip
        most = counted(max(carried.values()), tr("sheet"), tr("sheets"))
        said.append(tr("The sheet or the image on it would change; {most} are printed on the old one.", most=most))
    return tuple(said)


def _inked(project: Project, pull_id: str) -> tuple[object, ...]:
    """Where which ink stands, by name: an ink worked out anew is still that ink."""
    return tuple(
        (
            project.ink(zone.ink).name, zone.strength, zone.colours, zone.grade, zone.areas, zone.bare,
            zone.inking,
        )
        for zone in project.impression(pull_id).zones
    )  # fmt: skip


def _cut(project: Project, pull_id: str) -> tuple[object, ...]:
    block = project.block(project.impression(pull_id).block)
    return block.id, block.colours, block.drawn, block.contour


def _order(project: Project, carried: dict[str, int]) -> list[str]:
    return [pull.id for pull in project.impressions if pull.id in carried]


def _slipped_under(project: Project, carried: dict[str, int], before: Project) -> str:
    """The first pull not printed yet that stands before a printed one and did not before."""

    def under(plan: Project) -> list[str]:
        places = [n for n, pull in enumerate(plan.impressions) if pull.id in carried]
        last = max(places, default=0)
        return [pull.id for pull in plan.impressions[:last] if pull.id not in carried]

    old = set(under(before))
    new = [pull for pull in under(project) if pull not in old]
    return project.pull_name(new[0]) if new else ""
