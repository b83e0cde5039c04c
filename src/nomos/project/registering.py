"""What to do at the kento about a pull that came out of register."""

from nomos.project.model import Impression, Project
from nomos.registration import Contacts, Motion, WallChange, change_text, wall_change


def contacts_of(project: Project) -> Contacts:
    """Where the project's sheet meets the walls of its kento."""
    kento = project.kento
    return Contacts.of_sheet(
        (project.paper.width_mm, project.paper.height_mm),
        kento.hand,
        kento.corner_arm_mm,
        kento.straight_place,
    )


def motion_of(project: Project, pull: Impression) -> Motion:
    """How far out the pull prints, about the middle of the image."""
    image, offset = project.image, pull.offset
    centre = image.left + image.width / 2, image.top + image.height / 2
    return Motion(centre, (offset.dx_mm, offset.dy_mm), offset.rotation_deg)


def cure_text(project: Project, pull: Impression) -> str:
    """What brings this pull onto the others, in words, a step a line; nothing for one in register.

    Wood that is pared cannot be put back, so a second way takes none away.
    """
    if not pull.offset:
        return ""
    change = wall_change(motion_of(project, pull), contacts_of(project))
    steps = change_text(change)
    if not steps:
        return "A proof that comes out like this is in register: leave the notches alone."
    lines = ["If a proof comes out like this, for this pull:", *steps]
    if change.pares and len(project.impressions) > 1:
        lines += ["Or take no wood away:", *_gluing_alone(change)]
    return "\n".join(lines)


def _gluing_alone(change: WallChange) -> list[str]:
    """The same cure without paring: what this block would lose, all the others gain."""
    here = WallChange(*(max(float(value), 0.0) for value in change.walls()))
    there = WallChange(*(max(-float(value), 0.0) for value in change.walls()))
    return [
        *change_text(here),
        *(step.removesuffix(".") + ", for every other pull." for step in change_text(there)),
    ]
