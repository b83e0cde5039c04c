"""The commands about proofs that are read: marks, scan."""

import argparse
from pathlib import Path
from typing import TYPE_CHECKING, Any

from nomos.base.atomic import write_bytes
from nomos.base.errors import BadInput
from nomos.cli.common import KENTO, answers, command, declared, output, print_json, pull_called, save_out, say

if TYPE_CHECKING:
    from nomos.formats.marksheet import MarkSheet
    from nomos.registration import Contacts, MarkFit, WallChange
from typing import TYPE_CHECKING

if TYPE_CHECKING:
    from nomos.project import Project
    from nomos.project.register.practice import Fault
    from nomos.project.register.scan import PullFound

DONE = 0
# What the checks call in register, when the printmaker says nothing (chosen by us).
_TOLERANCE_MM = 0.2


def add_commands(commands: Any) -> None:
    """Add the commands to the program's."""
    marks = command(commands, "marks", "from marks on a proof to what to glue or pare", _marks, project=False)
    marks.add_argument("file", type=Path, metavar="FILE.csv")
    marks.add_argument("--sheet-mm", metavar="WxH", help="the sheet; default: as far beyond the marks on both sides")
    marks.add_argument("--hand", type=declared(KENTO, "hand"), default="right", metavar="HAND", help="right or left")
    marks.add_argument("--tolerance-mm", type=float, default=_TOLERANCE_MM, metavar="T")
    marks.add_argument(
        "--uncut", action="append", default=[], metavar="BLOCK", help="a block not cut yet: move its transfer"
    )

    scan = command(commands, "scan", "how far every block is out on a photograph or scan of a proof", _scan)
    scan.add_argument(
        "scan", type=Path, metavar="PICTURE",
        help="the sheet from above: a telephone's photograph, or a scan of 150 dpi or more",
    )  # fmt: skip
    scan.add_argument(
        "--against", metavar="BLOCK",
        help="measure against this block, or 'sheet': its edges (default: edges seen sharply, else the last)",
    )  # fmt: skip
    scan.add_argument("--by", choices=("marks", "picture"), help="default: marks, where it prints them")
    scan.add_argument("--marks", choices=("crosses", "rings"), help="what the blocks print in the margin")

    read = command(commands, "read", "a proof read by eye: how far a block is out, and what to do", _read)
    read.add_argument("--block", required=True, metavar="NAME")
    read.add_argument(
        "--at", action="append", required=True, metavar="'PLACE=X,Y'",
        help="mm to the right and down at a place: upper left, upper right, lower left or lower right; at a "
        "vernier, named by where it stands, the one figure it gives",
    )  # fmt: skip
    read.add_argument("--sheet", type=int, default=0, metavar="N", help="of the edition; 0 is a proof")
    read.add_argument("--uncut", action="store_true", help="the block is not cut yet: move its transfer")
    output(read, "--out", "project", metavar="PROJECT", help="the project with the reading kept")

    practice = command(commands, "practice", "a proof with faults to find", _practice)
    practice.add_argument("--number", type=int, default=1, metavar="N", help="the same number, the same proof")
    practice.add_argument("--faults", type=int, default=1, metavar="K", help="how many things are wrong")
    output(practice, "--out", "file", ".png", metavar="PROOF.png", help="the proof as a picture")
    practice.add_argument(
        "--answer", metavar="'NAME: WHAT[, X, Y]'",
        help="your answer, as 'Key: out of register, 0.5, -0.3' or 'Brick: too much ink'",
    )  # fmt: skip


def _marks(options: argparse.Namespace) -> int:
    import numpy as np

    from nomos.formats.marksheet import read_marks
    from nomos.registration import MarksError, fit_marks, together, wall_change

    sheets = read_marks(options.file)
    if not options.tolerance_mm > 0:
        raise BadInput("--tolerance-mm must be more than 0.")
    unknown = [name for name in options.uncut if name not in sheets]
    if unknown:
        raise BadInput(f"No block is called '{unknown[0]}'; {options.file.name} has {', '.join(sheets)}.")
    contacts, assumed = _contacts(options, sheets)
    fits = {}
    for name, sheet in sheets.items():
        try:
            fits[name] = fit_marks(np.array(sheet.expected_mm), np.array(sheet.measured_mm))
        except MarksError as error:
            raise MarksError(f"{name}: {error}") from None
    alone = {name: wall_change(fit.motion, contacts) for name, fit in fits.items()}
    shared = together(alone, options.uncut) if len(alone) > 1 else {}
    figures = {}
    for name, fit in fits.items():
        figures[name] = _figures(sheets[name], fit, alone[name], contacts, options.tolerance_mm)
        figures[name]["advice"] = _advice(name, sheets[name], fit, alone, shared, options)
        if name in shared:
            figures[name]["kento_together"] = _walls(shared[name])
    if options.json:
        print_json({"blocks": figures, "sheet_assumed_mm": assumed} if assumed else {"blocks": figures})
        return DONE
    for name, figure in figures.items():
        print(
            f"{name}: {figure['dx_mm']:+.2f} mm to the right, {figure['dy_mm']:+.2f} mm down, "
            f"turned {figure['rotation_deg']:+.3f} deg, marks fit to {figure['residual_rms_mm']:.2f} mm"
        )
        for line in figure["advice"]:
            print(f"  {line}")
    return DONE


def _contacts(options: argparse.Namespace, sheets: dict[str, "MarkSheet"]) -> tuple["Contacts", list[float] | None]:
    """Where the sheet meets the notches; without the sheet's size, margins alike on both sides."""
    from nomos.base.units import parse_size
    from nomos.registration import Contacts

    if options.sheet_mm:
        return Contacts.of_sheet(parse_size(options.sheet_mm), options.hand), None
    xs, ys = zip(*(place for sheet in sheets.values() for place in sheet.expected_mm), strict=True)
    width, height = max(xs) + max(min(xs), 0.0), max(ys) + max(min(ys), 0.0)
    size = max(width, 50.0), max(height, 50.0)
    return Contacts.of_sheet(size, options.hand), [round(side, 2) for side in size]


def _walls(change: "WallChange") -> dict[str, float]:
    return {
        "corner_side_mm": round(change.corner_side_mm, 3) + 0.0,
        "corner_base_mm": round(change.corner_base_mm, 3) + 0.0,
        "straight_base_mm": round(change.straight_base_mm, 3) + 0.0,
    }


def _figures(
    sheet: "MarkSheet", fit: "MarkFit", change: "WallChange", contacts: "Contacts", tolerance_mm: float
) -> dict[str, Any]:
    import numpy as np

    from nomos.registration import after_change

    motion = fit.motion
    places = np.array(sheet.expected_mm)

    def worst(after: Any) -> float:
        return round(float(np.hypot(*(after.moved(places) - places).T).max()), 3)

    stretch, sigma = motion.stretch, fit.sigma_stretch
    return {
        "dx_mm": round(motion.shift_mm[0], 4) + 0.0,
        "dy_mm": round(motion.shift_mm[1], 4) + 0.0,
        "rotation_deg": round(motion.rotation_deg, 4) + 0.0,
        "stretch_x_pct": None if stretch is None else round(stretch[0] * 100, 4) + 0.0,
        "stretch_y_pct": None if stretch is None else round(stretch[1] * 100, 4) + 0.0,
        "residual_rms_mm": round(fit.residual_rms_mm, 4),
        "sigma": {
            "shift_mm": round(fit.sigma_shift_mm, 4),
            "rotation_deg": round(fit.sigma_rotation_deg, 4),
            "stretch_pct": None if sigma is None else [round(value * 100, 4) for value in sigma],
        },
        "worst_mm": worst(motion),
        "worst_after_mm": worst(after_change(motion, change, contacts)),
        "in_register": worst(motion) <= tolerance_mm,
        "kento": _walls(change),
    }


def _advice(
    name: str, sheet: "MarkSheet", fit: "MarkFit", alone: dict[str, "WallChange"], shared: dict[str, "WallChange"],
    options: argparse.Namespace,
) -> list[str]:  # fmt: skip
    """What to do at this block, plainest first."""
    import numpy as np

    from nomos.registration import change_text, stretch_advice

    motion = fit.motion
    said = [
        f"{sheet.names[place]} does not fit the other marks: read it again before anything is cut."
        for place in fit.doubtful
    ]
    places = np.array(sheet.expected_mm)
    reach = np.abs(places - motion.centre_mm).max(axis=0)
    if float(np.hypot(*(motion.moved(places) - places).T).max()) <= options.tolerance_mm:
        said.append(f"In register within {options.tolerance_mm:g} mm at every mark: leave it.")
    elif name in options.uncut:
        dx, dy = -motion.shift_mm[0], -motion.shift_mm[1]
        said.append(
            f"Not cut yet: move its transfer by {dx:+.2f} mm to the right and {dy:+.2f} mm down as seen on "
            f"the print, and turn it by {-motion.rotation_deg:+.2f} degrees from x towards y."
        )
    else:
        change = shared.get(name, alone[name])
        said += change_text(change)
        if len(shared) > 1 and not change_text(change):
            said.append("Leave this block; the others are brought to it.")
        if change.pares:
            said.append(
                "What is pared cannot be put back: if other blocks print with this one, gluing the same "
                "onto them does as well."
            )
    return said + stretch_advice(motion, (float(reach[0]), float(reach[1])), options.tolerance_mm)


def _scan(options: argparse.Namespace) -> int:
    from nomos.formats.files import read_bytes
    from nomos.project import load
    from nomos.project.register.system import with_register
    from nomos.work.packet import printable
    from nomos.work.scan import scan_of

    project, assets = load(options.project)
    if options.marks:
        project = with_register(project, marks=options.marks)
    by_marks = None if options.by is None else options.by == "marks"
    cut, data = printable(project, assets), read_bytes(options.scan)
    against = options.against
    if against is not None:
        against = "" if against == "sheet" else pull_called(project, against)
    found = answers()(scan_of(project, cut, data, options.scan.name, by_marks, against))
    measured = project.pull_name(found.against) if found.against else "the sheet's edges"
    pulls = [_pull(project, each) for each in found.pulls]
    if options.json:
        lay = {"turned_deg": round(found.turned_deg, 3), "px_per_mm": [round(v, 4) for v in found.px_per_mm]}
        lay |= {"against": measured, "printed": found.printed, "unexplained_mm": round(found.left_mm, 4)}
        print_json({"scan": lay, "pulls": pulls})
        return DONE
    print(f"Measured against {measured}; {found.printed} of {len(project.impressions)} pulls are printed.")
    for pull in pulls:
        if pull["problem"]:
            print(f"{pull['block']}: {pull['problem']}")
            continue
        print(
            f"{pull['block']}: {pull['dx_mm']:+.2f} mm to the right, {pull['dy_mm']:+.2f} mm down, turned "
            f"{pull['rotation_deg']:+.3f} deg, sure to {2 * pull['sigma_corner_mm']:.2f} mm at the corners"
        )
        for line in pull["advice"]:
            print(f"  {line}")
    return DONE


def _pull(project: "Project", found: "PullFound") -> dict[str, Any]:
    """One pull of a scan for JSON."""
    from nomos.project.register.system import cure_steps
    from nomos.registration import stretch_advice

    pull = project.impression(found.pull)
    figures: dict[str, Any] = {
        "block": project.pull_name(pull.id),
        "how": found.how,
        "problem": found.problem or None,
        "sigma_corner_mm": round(found.sigma_mm, 4),
    }
    motion = found.motion
    if motion is None:
        return figures | {"advice": []}
    along, across = motion.stretch or (0.0, 0.0)
    reach = project.image.width / 2, project.image.height / 2
    shift, turn, stretch = found.sigmas
    return figures | {
        "dx_mm": round(motion.shift_mm[0], 4),
        "dy_mm": round(motion.shift_mm[1], 4),
        "rotation_deg": round(motion.rotation_deg, 4),
        "stretch_x_pct": round(100 * along, 4),
        "stretch_y_pct": round(100 * across, 4),
        "sigma": {"shift_mm": round(shift, 4), "rotation_deg": round(turn, 4), "stretch_pct": round(100 * stretch, 4)},
        "advice": [*cure_steps(project, motion), *stretch_advice(motion, reach, project.tolerance_mm)],
    }


def _read(options: argparse.Namespace) -> int:
    from nomos.project import load
    from nomos.project.register.readings import eye_places, read_by_eye, reading_by_eye, verdict
    from nomos.project.register.system import with_reading

    project, assets = load(options.project)
    pull = pull_called(project, options.block)
    places = eye_places(project, pull)
    read: dict[tuple[int, str], float] = {}
    for text in options.at:
        name, _, figures = text.partition("=")
        number = next((n for n, each in enumerate(places) if each.name == name.strip().lower()), None)
        if number is None:
            known = ", ".join(each.name for each in places)
            raise BadInput(f"'{name.strip()}' is no place to read at; there are {known}.")
        way = places[number].way
        ways = ("x", "y") if way == "both" else (way,)
        try:
            values = [float(value) for value in figures.split(",")]
        except ValueError:
            values = []
        if len(values) != len(ways):
            raise BadInput(f"'{text}' needs {len(ways)} figure{'s' * (len(ways) > 1)} in mm after the =.")
        read |= {(number, each): value for each, value in zip(ways, values, strict=True)}
    fit = read_by_eye(project, pull, read)
    said = verdict(project, fit.motion, fit.sigma_shift_mm, uncut=options.uncut)
    figures_out: dict[str, Any] = {
        "block": project.block(project.impression(pull).block).name,
        "dx_mm": round(fit.motion.shift_mm[0], 4),
        "dy_mm": round(fit.motion.shift_mm[1], 4),
        "rotation_deg": round(fit.motion.rotation_deg, 4),
        "found": said.found,
        "steps": list(said.steps),
        "next_proof": said.next_proof,
    }
    if options.out:
        save_out(options, with_reading(project, reading_by_eye(project, pull, fit, options.sheet)), assets)
        figures_out["project"] = str(options.out)
    return say(options, figures_out, [said.found, *said.steps, said.next_proof])


def _practice(options: argparse.Namespace) -> int:
    from nomos.formats.pictures import png
    from nomos.project import load
    from nomos.project.register.practice import mark_answer
    from nomos.work.flash import practise_of
    from nomos.work.packet import printable

    project, assets = load(options.project)
    cut = printable(project, assets)
    if not 1 <= options.faults <= len(project.impressions) or options.number < 1:
        raise BadInput(f"--number must be at least 1, and --faults 1 to {len(project.impressions)}.")
    exercise = answers()(practise_of(project, cut, options.number, options.faults))
    figures: dict[str, Any] = {"number": exercise.number, "faults": len(exercise.faults)}
    if options.out:
        write_bytes(options.out, png(exercise.picture, exercise.px_per_mm), keep=True)
        figures["file"] = str(options.out)
    said = [f"proof {exercise.number}: {len(exercise.faults)} thing(s) wrong"]
    if options.answer:
        marking = mark_answer(project, exercise, _answered(project, options.answer))
        figures |= {"points": marking.points, "said": marking.text}
        said = [f"{marking.points} of 3 points. {marking.text}"]
    return say(options, figures, said)


def _answered(project: "Project", text: str) -> "Fault":
    """An answer to an exercise as it is typed. Raises BadInput."""
    from nomos.project.register.practice import KINDS, Fault

    name, _, rest = text.partition(":")
    what, *figures = (part.strip() for part in rest.split(","))
    kind = next((each for each in KINDS if each == what), None)
    if kind is None:
        raise BadInput(f"'{what}' is no fault; there are {', '.join(KINDS)}.")
    try:
        x, y = ([float(figure) for figure in figures] + [0.0, 0.0])[:2]
    except ValueError:
        raise BadInput(f"'{text}' needs figures in mm after the comma.") from None
    return Fault(pull_called(project, name), kind, x, y)
