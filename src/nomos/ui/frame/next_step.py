"""The one thing to do next, and why: a function of how far the print is."""

from collections.abc import Sequence
from dataclasses import dataclass

from nomos.base.language import tr
from nomos.base.units import counted
from nomos.edition import EditionState
from nomos.project.model import Project
from nomos.project.model.finding import Finding
from nomos.project.register.system import plan_of_system


@dataclass(frozen=True)
class NextStep:
    """What to do, why, and the name of the window's action that does it or leads there."""

    text: str
    why: str
    action: str


@dataclass(frozen=True)
class Standing:
    """How far a print is, beside what the project itself says.

    sized : whether its size was said, by the file or by a hand. saved : whether it has a file.
    edition : by its log, None before there is one.
    """

    sized: bool = True
    saved: bool = True
    edition: EditionState | None = None


def next_step(project: Project | None, findings: Sequence[Finding], standing: Standing) -> NextStep:
    """What comes next. findings : those known by now."""
    if project is None or project.flat is None:
        return NextStep(
            tr("Open a sketch"), tr("Everything begins with a picture; Ctrl+T takes one from the telephone."), "open"
        )
    if not standing.sized:
        return NextStep(tr("Say how large the print is"), tr("The picture does not say it, so it is a guess."), "size")
    if not project.impressions:
        return NextStep(tr("Choose the blocks"), tr("Nothing prints yet."), "station 2")
    plan, reason = plan_of_system(project)
    if plan is None:
        return NextStep(tr("Make room to register"), reason, "station 5")
    edition = standing.edition
    if edition is not None and edition.layer >= 0:
        return _of_edition(project, edition)
    failing = [each for each in findings if each.weight == "will fail"]
    if failing:
        many = counted(len(failing), tr("thing"), tr("things"))
        placed = any(each.place_mm is not None for each in failing)
        return NextStep(
            tr("Look at {many} that will fail", many=many), failing[0].text, "finding" if placed else "station 2"
        )
    if not standing.saved:
        return NextStep(tr("Save the print"), tr("It has no file yet."), "save")
    return NextStep(
        tr("Print the templates"), tr("At 100 %, then measure the bar of 100 mm before you cut by them."), "print"
    )


def _of_edition(project: Project, edition: EditionState) -> NextStep:
    """What comes next once there is a log of the bench."""
    if edition.next_layer() is None and not edition.queue():
        return NextStep(
            tr("Choose and number the sheets"), tr("Every layer is printed on every sheet that is left."), "station 7"
        )
    if not project.readings and edition.layer == len(project.impressions) - 1:
        return NextStep(
            tr("Photograph a proof"),
            tr("It tells what is out of register, by how much, and what to glue."),
            "station 5",
        )
    going_on = edition.pulls[edition.layer]
    planned = any(pull.id == going_on for pull in project.impressions)
    return NextStep(
        tr("Go on printing {name}", name=project.pull_name(going_on)) if planned else tr("Go on at the bench"),
        tr("The bench knows which sheet and which pull is next."),
        "station 8",
    )
