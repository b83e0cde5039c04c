"""What is special about each way of printing: sawn blocks, boards with two faces, writing."""

from functools import partial

from nomos.base.language import tr
from nomos.base.units import length_text
from nomos.project.blocks.boards import board_pairs, printed_in_turn, turned_text
from nomos.project.blocks.jigsaw import sawn_block
from nomos.project.model import Project
from nomos.project.model.edits import with_writing
from nomos.project.model.finding import Cure, Finding
from nomos.project.register.system import plan_of_system


def of_methods(project: Project) -> list[Finding]:
    """What is special about sawn blocks and boards with two faces."""
    found = []
    for front, back in printed_in_turn(project):
        text = tr(
            "{name} and {name_2} are faces of one board and are printed one after the other.",
            name=front.name,
            name_2=back.name,
        )
        found.append(
            Finding(
                "could show", "blocks", text,
                tr("Wait until the first face is clean and dry, or print another block between them."),
            )
        )  # fmt: skip
    if board_pairs(project):
        found.append(Finding("worth knowing", "blocks", turned_text(project), tr("Mark that corner on both faces.")))
    plan, _ = plan_of_system(project)
    grip = project.workshop.grip_mm
    if sawn_block(project) is not None and plan is not None:
        image, wood = project.image, plan.block
        border = min(image.left - wood.left, wood.right - image.right, image.top - wood.top, wood.bottom - image.bottom)
        if border < grip - 0.05:
            text = tr(
                "The border that holds the pieces is {border} wide at its narrowest, {grip} are wanted.",
                border=length_text(border),
                grip=length_text(grip),
            )
            found.append(
                Finding(
                    "could show", "blocks", text,
                    tr("Choose a larger sheet, or cut the block larger than the sheet needs."),
                )
            )  # fmt: skip
    return found


def of_writing(project: Project) -> list[Finding]:
    """Whether a design holds writing is asked, not guessed; a print mirrors what is cut."""
    if project.flat is None or project.workshop.writing is False:
        return []
    if project.workshop.writing:
        return [
            Finding(
                "worth knowing", "blocks", tr("The design holds writing: it must stand reversed on every block."),
                tr("It does on the templates headed as mirrored; check one word in a mirror before cutting."),
            )
        ]  # fmt: skip
    return [
        Finding(
            "worth knowing", "blocks",
            tr("Does this design hold writing or numbers? Cut right-reading, they would print reversed."),
            tr("Say yes and the templates remind you to check."),
            cure=Cure(tr("It does"), partial(with_writing, writing=True)),
            other=Cure(tr("It does not"), partial(with_writing, writing=False)),
        )
    ]  # fmt: skip
