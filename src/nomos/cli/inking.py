"""The command about inking: the zones of every pull, what was drawn, how far ink may stray."""

import argparse
from typing import TYPE_CHECKING, Any

from nomos.base.errors import BadInput
from nomos.cli.common import answers, command, declared, output, pull_called, save_out, say

if TYPE_CHECKING:
    from nomos.project import Project
    from nomos.project.check.inking import InkingLook
    from nomos.project.model import Outline

_WHAT = ("inked", "uninked", "wiped", "only")


def add_commands(commands: Any) -> None:
    """Add the command to the program's."""
    inking = command(commands, "inking", "how every pull is inked; zones drawn, passes named", _inking)
    inking.add_argument("--pull", metavar="NAME", help="the pull that is changed")
    inking.add_argument("--draw", metavar="'X,Y X,Y …'", help="with --pull: a closed outline on the sheet, mm")
    inking.add_argument("--what", choices=_WHAT, default="inked", help="what becomes of the place drawn")
    inking.add_argument("--ink", metavar="NAME", help="with --draw: the ink of that place")
    inking.add_argument("--name", metavar="TEXT", help="with --pull: what it is called")
    inking.add_argument("--again", action="store_true", help="with --pull: print the same block once more")
    inking.add_argument(
        "--printing", type=declared("nomos.project.model:Impression", "printing"), metavar="WAY",
        help="with --pull: baren, spoon, foot, press, …",
    )  # fmt: skip
    output(inking, "--out", "project", metavar="PROJECT", help="the project so changed")


def _inking(options: argparse.Namespace) -> int:
    from nomos.project import load
    from nomos.project.edition.card import zone_text
    from nomos.work.cut import cut_of
    from nomos.work.inking import inking_of

    project, assets = load(options.project)
    if options.pull:
        project = _changed(project, options)
    if options.out:
        save_out(options, project, assets)
    cut = cut_of(project, assets)
    look: InkingLook | None = None
    if cut is not None and project.impressions:
        look = answers()(inking_of(project, cut))
    pulls: list[dict[str, Any]] = []
    for pull in project.impressions:
        stray = look.strays.get(pull.id) if look else None
        pulls.append(
            {
                "pull": project.pull_name(pull.id),
                "zones": [zone_text(project, pull, place) for place in range(len(pull.zones))],
                "may_stray_mm": round(stray.half_mm, 1) if stray else None,
                "true_edge_pct": round(100 * stray.tight, 1) if stray else None,
            }
        )
    figures: dict[str, Any] = {"pulls": pulls, "findings": [f.text for f in look.findings] if look else []}
    lines = [f"{each['pull']}: {'; '.join(each['zones'])}" for each in pulls]
    return say(options, figures, [*lines, *figures["findings"]])


def _changed(project: "Project", options: argparse.Namespace) -> "Project":
    from nomos.project.blocks.inking import with_zone_changed, with_zone_drawn
    from nomos.project.blocks.zones import printed_again
    from nomos.project.model.edits import with_pull

    if not options.out:
        raise BadInput("A pull is changed in a project of its own: give --out PROJECT.")
    pull = pull_called(project, options.pull)
    if options.again:
        before = {each.id for each in project.impressions}
        project = printed_again(project, pull)
        pull = next(each.id for each in project.impressions if each.id not in before)
    if options.draw:
        project = with_zone_drawn(project, pull, (_outline(options.draw),), options.what)
        if options.ink:
            ink = next((each.id for each in project.inks if each.name == options.ink), None)
            if ink is None:
                some = ", ".join(each.name for each in project.inks)
                raise BadInput(f"There is no ink '{options.ink}'; the inks are {some}.")
            last = len(project.impression(pull).zones) - 1
            project = with_zone_changed(project, pull, last, ink=ink)
    changes = {name: value for name in ("name", "printing") if (value := getattr(options, name)) is not None}
    return with_pull(project, pull, **changes) if changes else project


def _outline(text: str) -> "Outline":
    try:
        points = tuple((float(x), float(y)) for x, y in (each.split(",") for each in text.split()))
    except ValueError:
        raise BadInput(f"'{text}' is no outline: write places in mm as '20,30 60,30 60,80'.") from None
    if len(points) < 3:
        raise BadInput("An outline has three corners at least.")
    return points
