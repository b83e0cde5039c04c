"""What to know before cutting."""

import argparse
import math
from typing import Any

from nomos.base.errors import BadInput
from nomos.cli.common import answers, command, output, print_json, pull_called, say

DONE = 0
_LEAST_PX, _MOST_PX = 8, 2048
_FURTHEST_MM = 5000.0


def add_commands(commands: Any) -> None:
    """Add the command to the program's."""
    command(commands, "check", "what to know before cutting", _check)
    slip = command(commands, "slip", "what a slip of the gouge does to the print, and the ways out", _slip)
    slip.add_argument("--block", required=True, metavar="NAME", help="the block it slipped on")
    slip.add_argument("--at", type=_place, required=True, metavar="X,Y", help="where, mm on the printed sheet")
    slip.add_argument("--to", type=_place, metavar="X,Y", help="where it ended; default where it began")
    slip.add_argument("--wide", type=float, default=2.0, metavar="MM", help="width of the gouge, default 2")
    small = command(commands, "thumbnail", "a small picture of a project's flat design", _thumbnail)
    output(small, "--out", content=".png", required=True, metavar="PNG", help="the picture")
    small.add_argument("--size", type=int, default=128, metavar="PX", help="its longer side, default 128")


def _thumbnail(options: argparse.Namespace) -> int:
    """For file managers, which ask for many at once: no separation, no proof, only what is wanted."""
    import numpy as np

    from nomos.base.atomic import write_bytes
    from nomos.formats.pictures import png
    from nomos.project import load
    from nomos.project.model.store import labels_of
    from nomos.proof import mips, render_view, to_rgb

    if not _LEAST_PX <= options.size <= _MOST_PX:
        raise BadInput(f"--size must be {_LEAST_PX} to {_MOST_PX} pixels.")
    project, assets = load(options.project)
    if project.flat is None:
        raise BadInput(f"{options.project.name} has no flat design yet, so that there is no picture of it.")
    labels, _ = labels_of(project, assets)
    height, width = labels.shape
    share = options.size / max(height, width)
    size = max(1, round(width * share)), max(1, round(height * share))
    labs = np.array([colour.lab for colour in project.flat.colours])
    small = render_view(mips(labels), labs, (0.0, 0.0, float(width), float(height)), size)
    write_bytes(options.out, png(to_rgb(small), 4.0), keep=True)
    return say(
        options, {"file": str(options.out), "size": list(size)}, [f"{options.out}: {size[0]} x {size[1]} pixels"]
    )


def _place(text: str) -> tuple[float, float]:
    try:
        x, y = (float(part) for part in text.split(","))
    except ValueError:
        x = y = math.nan
    if not (abs(x) < _FURTHEST_MM and abs(y) < _FURTHEST_MM):
        raise argparse.ArgumentTypeError(f"'{text}' is no place; write X,Y in mm, as 90,120")
    return x, y


def _slip(options: argparse.Namespace) -> int:
    from nomos.project import load
    from nomos.project.check.slip import slip_at
    from nomos.work.packet import printable

    if not 0.1 <= options.wide <= 100:
        raise BadInput("--wide must be 0.1 to 100 mm.")
    project, assets = load(options.project)
    block = project.impression(pull_called(project, options.block)).block
    blocks = answers()(printable(project, assets))
    slip = slip_at(project, blocks, block, options.at, options.to or options.at, options.wide)
    assert project.flat is not None
    rows = [
        {
            "colour": project.flat.colours[each.number].name, "area_mm2": round(each.area_mm2, 2),
            "planned": [round(value, 1) for value in each.planned], "now": [round(value, 1) for value in each.now],
            "de00": round(each.de00, 2),
        }
        for each in slip.changes
    ]  # fmt: skip
    lines = [f"{row['colour']}: {row['area_mm2']} mm2, dE00 {row['de00']} from the plan" for row in rows]
    return say(options, {"seen": slip.seen, "changes": rows, "ways": slip.ways}, [*lines, *slip.ways])


def _check(options: argparse.Namespace) -> int:
    from nomos.formats.plan_json import findings_as_json
    from nomos.project import load
    from nomos.work.review import review

    project, assets = load(options.project)
    if project.flat is None:
        raise BadInput(f"{options.project.name} has no flat design yet; open it and flatten a picture first.")
    findings = findings_as_json(review(project, assets, answers()))
    if options.json:
        print_json({"findings": findings})
        return DONE
    for finding in findings:
        print(f"{finding['weight']}: {finding['text']} {finding['remedy']}")
    if not findings:
        print("nothing found")
    return DONE
