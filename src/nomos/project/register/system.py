"""How a project's sheets meet its blocks: the system, its marks, and what to do about a pull that is out."""

import dataclasses
from typing import Any

from msgspec.structs import replace

from nomos.base.language import tr
from nomos.project.blocks.reduction import is_reduction
from nomos.project.model import Impression, Project, ProofReading
from nomos.project.model.sheets import planned_sheets
from nomos.registration import (
    Contacts,
    KentoError,
    Motion,
    PrintedMark,
    Rect,
    RegisterError,
    Situation,
    SystemAdvice,
    SystemPlan,
    WallChange,
    advise,
    change_text,
    move_text,
    plan_system,
    printed_marks,
    system_called,
    wall_change,
)
from nomos.registration.printed_marks import MarksRoomError


def sheet_of(project: Project) -> tuple[float, float]:
    """Width and height of the sheet, mm."""
    return project.paper.width_mm, project.paper.height_mm


def plan_of_system(project: Project) -> tuple[SystemPlan | None, str]:
    """The chosen system for the project's sheet, or why there is no room for it."""
    try:
        return plan_system(sheet_of(project), project.image, project.register, project.kento), ""
    except (KentoError, RegisterError) as error:
        return None, str(error)


def situation_of(project: Project) -> Situation:
    """What the choice of a system depends on."""
    image, (width, height) = project.image, sheet_of(project)
    margins = image.left, image.top, width - image.right, height - image.bottom
    near = min(margins[3], margins[0] if project.kento.hand == "right" else margins[2])
    return Situation(
        project.paper.weight_gsm,
        (width, height),
        len(project.impressions),
        planned_sheets(project),
        near,
        project.register.damp,
        is_reduction(project),
        any(block.kerf_mm is not None for block in project.blocks),
    )


def advice_for(project: Project) -> tuple[SystemAdvice, ...]:
    """Every system with how it suits this project, the best first."""
    return advise(situation_of(project))


def marks_of(project: Project) -> tuple[tuple[PrintedMark, ...], str]:
    """What every block prints in the margin, or why it cannot. A mark's block is its place in `blocks`.

    In a reduction all pulls come from one block: what a later state leaves standing
    has printed before, so marks could not be told apart.
    """
    if project.register.marks == "none" or not project.blocks:
        return (), ""
    if is_reduction(project):
        return ((), tr("In a reduction every mark prints in all pulls until it is cut away: read the picture itself."))
    plan, reason = plan_of_system(project)
    if plan is None:
        return (), reason
    width, height = sheet_of(project)
    block = plan.block
    room = Rect(max(block.left, 0.0), max(block.top, 0.0), min(block.right, width), min(block.bottom, height))
    taken = [each.points for each in plan.shapes if each.kind in ("floor", "cross", "pin", "tape", "tab")]
    try:
        return printed_marks(project.register.marks, len(project.blocks), project.image, room, taken), ""
    except MarksRoomError as error:
        return (), str(error)


def contacts_of(project: Project) -> Contacts:
    """Where the project's sheet is held: walls, pins or stops; a kento's where nothing has room."""
    plan, _ = plan_of_system(project)
    if plan is not None:
        return plan.contacts
    kento = project.kento
    return Contacts.of_sheet(sheet_of(project), kento.hand, kento.corner_arm_mm, kento.straight_place)


def motion_of(project: Project, pull: Impression) -> Motion:
    """How far out the pull prints, about the middle of the image."""
    return Motion(middle_of(project), (pull.offset.dx_mm, pull.offset.dy_mm), pull.offset.rotation_deg)


def middle_of(project: Project) -> tuple[float, float]:
    """The middle of the image on the sheet, mm."""
    image = project.image
    return image.left + image.width / 2, image.top + image.height / 2


def cure_text(project: Project, pull: Impression) -> str:
    """What brings this pull onto the others, in words, a step a line; nothing for one in register."""
    if not pull.offset:
        return ""
    steps = cure_steps(project, motion_of(project, pull))
    if not steps:
        return tr("A proof that comes out like this is in register: leave the notches alone.")
    return "\n".join([tr("If a proof comes out like this, for this pull:"), *steps])


def cure_steps(project: Project, motion: Motion) -> list[str]:
    """What brings a pull to its place, a step a line; nothing where it is there.

    Wood that is pared cannot be put back, so a second way takes none away.
    """
    contacts = contacts_of(project)
    change = wall_change(motion, contacts)
    if not system_called(project.register.system).notched:
        return move_text(change, contacts)
    steps = change_text(change, contacts.names)
    if change.pares and len(project.impressions) > 1:
        steps += [tr("Or take no wood away:"), *_gluing_alone(change)]
    return steps


def _gluing_alone(change: WallChange) -> list[str]:
    """The same cure without paring: what this block would lose, all the others gain."""
    here = WallChange(*(max(float(value), 0.0) for value in change.walls()))
    there = WallChange(*(max(-float(value), 0.0) for value in change.walls()))
    return [
        *change_text(here),
        *(step.removesuffix(".") + tr(", for every other pull.") for step in change_text(there)),
    ]


def with_register(project: Project, **changes: Any) -> Project:
    """Choose another system of registration, or how it is set up. Raises ProjectError, RegisterError."""
    return replace(project, register=dataclasses.replace(project.register, **changes))


def with_reading(project: Project, reading: ProofReading) -> Project:
    """Keep how far a pull was found out of register."""
    return replace(project, readings=(*project.readings, reading))
