"""The command about several sheets of one layer: series."""

import argparse
import re
from pathlib import Path
from typing import TYPE_CHECKING, Any

from nomos.base.errors import BadInput
from nomos.base.reading import PHOTOGRAPHS
from nomos.cli.common import answers, command, output, pull_called, save_out, say

if TYPE_CHECKING:
    from nomos.project.register.series import Course


def add_commands(commands: Any) -> None:
    """Add the command to the program's."""
    series = command(commands, "series", "what creeps or grows thin over photographs of several sheets", _series)
    series.add_argument(
        "pictures", type=Path, nargs="+", metavar="FOLDER|PICTURE",
        help="photographs of sheets of one layer; the last number in a name is the sheet's",
    )  # fmt: skip
    series.add_argument("--against", metavar="BLOCK", help="measure against this block, or 'sheet': its edges")
    output(series, "--out", "project", metavar="PROJECT", help="the project with the readings and the spread kept")


def _series(options: argparse.Namespace) -> int:
    from nomos.formats.files import read_bytes
    from nomos.project import load
    from nomos.project.register import series as over
    from nomos.project.register.readings import reading_of
    from nomos.project.register.system import with_reading
    from nomos.work.packet import printable
    from nomos.work.scan import sheet_read_of

    project, assets = load(options.project)
    cut, against = printable(project, assets), options.against
    if against is not None:
        against = "" if against == "sheet" else pull_called(project, against)
    rows, strengths, refused = [], {}, {}
    ask = answers()
    for sheet, path in _numbered(options.pictures):
        try:
            read = ask(sheet_read_of(project, cut, read_bytes(path), path.name, against))
        except BadInput as error:
            refused[path.name] = str(error)
            continue
        # All sheets are measured against one and the same.
        against = read.found.against
        pulls = {}
        for found in read.found.pulls:
            kept = reading_of(project, found, sheet)
            if kept is None or found.pull == against:
                continue
            project = with_reading(project, kept)
            pulls[project.pull_name(found.pull)] = {
                "dx_mm": kept.dx_mm, "dy_mm": kept.dy_mm, "rotation_deg": kept.rotation_deg, "sigma_mm": kept.sigma_mm,
            }  # fmt: skip
        strengths[sheet] = read.strengths
        named = {project.ink(ink).name: round(factor, 3) for ink, factor in read.strengths.items()}
        rows.append({"file": path.name, "sheet": sheet, "pulls": pulls, "strength": named})
    if not rows:
        why = "; ".join(f"{name}: {text}" for name, text in refused.items())
        raise BadInput(f"None of these pictures could be read: {why}")
    every = [over.series_of(project, pull.id) for pull in project.impressions if pull.id != against]
    spread = over.measured_spread_mm(every)
    lines = [f"{name}: {why}" for name, why in refused.items()]
    figures: dict[str, Any] = {
        "against": project.pull_name(against) if against else "the sheet's edges",
        "sheets": rows, "refused": refused, "spread_mm": None if spread is None else round(spread, 4),
        "pulls": {}, "inks": {},
    }  # fmt: skip
    for each in every:
        text = over.series_text(project, each)
        name = project.pull_name(each.pull)
        figures["pulls"][name] = {
            "right": _course(each.right), "down": _course(each.down), "turn": _course(each.turn), "text": text,
        }  # fmt: skip
        lines += [f"{name}: {text}"] if text else []
    for ink in project.inks:
        sheets = [sheet for sheet in strengths if ink.id in strengths[sheet]]
        course = over.strength_course(sheets, [strengths[sheet][ink.id] for sheet in sheets])
        text = over.strength_text(ink.name, course) if course is not None else ""
        figures["inks"][ink.name] = {"strength": _course(course), "text": text}
        lines += [text] if text else []
    if options.out:
        save_out(options, project if spread is None else over.with_spread(project, spread), assets)
        figures["project"] = str(options.out)
    worth = over.LEAST_READINGS
    if len(strengths) < worth:
        lines.append(f"{len(rows)} sheets read; from {worth} on it can be said what creeps.")
    return say(options, figures, lines)


def _numbered(given: list[Path]) -> list[tuple[int, Path]]:
    """The pictures with the numbers of their sheets, in that order. Raises BadInput."""
    paths = []
    for each in given:
        inside = sorted(p for p in each.iterdir() if p.suffix.lower() in PHOTOGRAPHS) if each.is_dir() else [each]
        paths += inside
    found = []
    for path in paths:
        numbers = re.findall(r"\d+", path.stem)
        if not numbers:
            raise BadInput(f"{path.name}: name it by its sheet, as sheet-05.jpg, so that it is known which one it is.")
        found.append((int(numbers[-1]), path))
    if not found:
        raise BadInput("There is no picture in that folder.")
    return sorted(found)


def _course(course: "Course | None") -> dict[str, Any] | None:
    """A course for JSON."""
    if course is None:
        return None
    return {
        "first_sheet": course.sheets[0], "last_sheet": course.sheets[1], "at_first": round(course.at_first, 4),
        "at_last": round(course.at_last, 4), "a_sheet": round(course.slope, 5),
        "sigma": round(course.slope_sigma, 5), "scatter": round(course.scatter, 4), "creeps": course.creeps,
    }  # fmt: skip
