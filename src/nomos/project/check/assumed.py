"""What a plan rests on that nobody has measured yet, and what would make it sure."""

from nomos.base.language import tr
from nomos.base.units import length_text, listed
from nomos.project.model import Project


def assumed(project: Project) -> tuple[str, ...]:
    """What is taken for granted, a sentence each."""
    guessed = [ink.name for ink in project.inks if ink.optics is None and ink.reflectance is None]
    said = []
    if guessed:
        said.append(tr("Known by colour alone: {names}. A drawdown of each makes them sure.", names=listed(guessed)))
    if not project.readings:
        said.append(
            tr(
                "That every pull lies within {tolerance} of its place: read a proof, and it is known.",
                tolerance=length_text(project.tolerance_mm),
            )
        )
    if project.register.budget.hand == "beginner":
        said.append(
            tr("A first edition: tolerance, spares and times are generous until a print is kept in the studio.")
        )
    if project.workshop.slab_g is None:
        said.append(tr("How much ink film, tools and slab take: weigh before and after the first pulls."))
    if project.craft.factor == 1.0:
        said.append(tr("How fast you cut and print: the log of the bench teaches it."))
    return tuple(said)
