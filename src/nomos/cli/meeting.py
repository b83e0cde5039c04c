"""The commands about a project's registration: templates, misregister, scan."""

import argparse
from pathlib import Path
from typing import TYPE_CHECKING, Any

from nomos.cli.common import print_json
from nomos.errors import BadInput

if TYPE_CHECKING:
    from nomos.formats.drawing import Drawing
    from nomos.project import CutBlocks, Project
    from nomos.project.proof_scan import PullFound

DONE = 0
_SYSTEMS = ("kento", "floating", "pins", "jig", "bed", "translucent")


def add_commands(commands: Any) -> None:
    """Add the commands to the program's."""
    templates = commands.add_parser("templates", help="a system of registration at true size")
    templates.add_argument("project", type=Path, metavar="PROJECT")
    templates.add_argument("--system", choices=_SYSTEMS, help="default: the project's own")
    templates.add_argument("--marks", choices=("none", "crosses", "rings", "verniers"))
    templates.add_argument("--side", choices=("long", "short"), help="the sheet's side along the printer")
    templates.add_argument("--page", default="A4", metavar="NAME", help="paper of a PDF, default A4")
    templates.add_argument("--kerf-mm", type=float, metavar="K", help="of the cutter that makes the pins")
    templates.add_argument("--clearance-mm", type=float, metavar="C", help="between pin and hole, each side")
    templates.add_argument("--pairs", type=int, choices=(2, 3), help="pairs of tab and pin")
    templates.add_argument("--out", type=Path, required=True, metavar="FILE.pdf|svg|dxf")
    templates.add_argument("--json", action="store_true", help="one JSON object")
    templates.set_defaults(run=_templates)

    miss = commands.add_parser("misregister", help="how far out each place may be, and what will flash")
    miss.add_argument("project", type=Path, metavar="PROJECT")
    miss.add_argument("--sheets", type=int, default=100, metavar="N", help="plausible sheets, default 100")
    miss.add_argument("--seed", type=int, default=0, help="the same seed gives the same sheets")
    miss.add_argument("--fast", action="store_true", help="the estimate along borders alone")
    miss.add_argument("--json", action="store_true", help="one JSON object")
    miss.set_defaults(run=_misregister)

    scan = commands.add_parser("scan", help="how far every block is out on a scan of a proof")
    scan.add_argument("project", type=Path, metavar="PROJECT")
    scan.add_argument("scan", type=Path, metavar="SCAN", help="the whole sheet on a darker ground, 300 dpi")
    scan.add_argument("--by", choices=("marks", "picture"), help="default: marks, where it prints them")
    scan.add_argument("--marks", choices=("crosses", "rings"), help="what the blocks print in the margin")
    scan.add_argument("--json", action="store_true", help="one JSON object")
    scan.set_defaults(run=_scan)


def _nothing(options: argparse.Namespace) -> BadInput:
    return BadInput(f"There is nothing to print in {options.project.name} yet: open and flatten a picture.")


def _registered(options: argparse.Namespace, project: "Project") -> "Project":
    """The project with the choices made on the command line."""
    import dataclasses

    from nomos.project.registering import with_register

    changes: dict[str, Any] = {}
    for name in ("system", "marks", "side"):
        if getattr(options, name, None) is not None:
            changes[name] = getattr(options, name)
    pins = {
        name: value
        for name, value in (
            ("kerf_mm", options.kerf_mm), ("clearance_mm", options.clearance_mm), ("pairs", options.pairs),
        )
        if value is not None
    }  # fmt: skip
    if pins:
        changes["pins"] = dataclasses.replace(project.register.pins, **pins)
    return with_register(project, **changes) if changes else project


def _templates(options: argparse.Namespace) -> int:
    from nomos.formats import writing_into
    from nomos.project import cut_blocks, load, mask_request
    from nomos.project.edits import in_register
    from nomos.project.registering import marks_of

    kind = options.out.suffix.lower()
    if kind not in (".pdf", ".svg", ".dxf"):
        raise BadInput(f"'{options.out.name}' must end in .pdf, .svg or .dxf.")
    project, assets = load(options.project)
    project = in_register(_registered(options, project))
    _, reason = marks_of(project)
    if reason:
        raise BadInput(reason)
    request = mask_request(project, assets)
    if request is None:
        raise _nothing(options)
    data, size = _written(project, cut_blocks(request), kind, options.page)
    with writing_into(options.out):
        options.out.write_bytes(data)
    system = project.register.system
    if options.json:
        print_json({"file": str(options.out), "system": system, "size_mm": [round(s, 2) for s in size]})
    else:
        print(f"{options.out}: {system}, {size[0]:.1f} x {size[1]:.1f} mm")
    return DONE


def _written(
    project: "Project", blocks: "CutBlocks", kind: str, page: str
) -> tuple[bytes, tuple[float, float]]:
    """The file's bytes, and the size of what is drawn. Raises BadInput."""
    from nomos.formats.drawing import bench_drawing, pins_drawing, templates_drawing
    from nomos.formats.drawing_files import drawing_dxf, drawing_svg, drawings_pdf
    from nomos.formats.pdf import templates_pdf
    from nomos.formats.template import templates
    from nomos.project.registering import plan_of_system

    plan, reason = plan_of_system(project)
    if plan is None:
        raise BadInput(reason)
    drawing: Drawing
    if plan.system == "kento":
        drawn = templates(project, blocks)
        drawing = templates_drawing(drawn)
        if kind == ".pdf":
            return templates_pdf(drawn, paper=page), drawn[0].size_mm
    elif plan.system == "pins":
        drawing = pins_drawing(project.register.pins)
        if kind == ".pdf":
            bench = bench_drawing(project, plan)
            return drawings_pdf([bench, drawing], paper=page), bench.size_mm
    else:
        drawing = bench_drawing(project, plan)
        if kind == ".pdf":
            return drawings_pdf([drawing], paper=page), drawing.size_mm
    return (drawing_svg if kind == ".svg" else drawing_dxf)(drawing), drawing.size_mm


def _misregister(options: argparse.Namespace) -> int:
    from nomos.project import cut_blocks, load, mask_request
    from nomos.project.tolerating import budget_for, cures, flash_exact, flash_fast, worst_mm

    if not 1 <= options.sheets <= 2000:
        raise BadInput("--sheets must be 1 to 2000.")
    project, assets = load(options.project)
    request = mask_request(project, assets)
    if request is None:
        raise _nothing(options)
    least, most = worst_mm(project)
    blocks = cut_blocks(request)
    fast = flash_fast(project, blocks, options.sheets, options.seed)
    shown = fast if options.fast else flash_exact(project, blocks, options.sheets, options.seed)
    budget = budget_for(project)
    figures = {
        "system": project.register.system,
        "budget": {
            "seating_mm": budget.seating_mm,
            "block_mm": budget.block_mm,
            "cutting_mm": budget.cutting_mm,
            "transfer_mm": budget.transfer_mm,
            "growth_pct": [round(value, 4) for value in budget.growth_pct],
        },
        "apart_95_mm": {"least": round(least, 3), "most": round(most, 3)},
        "tolerance_mm": project.tolerance_mm,
        "sheets": options.sheets,
        "exact": not options.fast,
        "bare_mm2": round(float(shown.bare_mm2.mean()), 3),
        "bare_sheets_pct": round(100 * shown.bare_sheets, 1),
        "seam_mm2": round(float(shown.seam_mm2.mean()), 3),
        "seam_sheets_pct": round(100 * shown.seam_sheets, 1),
        "places": _places(project, shown.bare_share),
        "cures": [cure.text for cure in cures(project, fast)],
    }
    if options.json:
        print_json(figures)
        return DONE
    print(f"two pulls lie {least:.2f} to {most:.2f} mm apart on 95 of 100 sheets ({project.register.system})")
    for what, key in (("bare paper flashes", "bare"), ("dark seams show", "seam")):
        share, area = figures[f"{key}_sheets_pct"], figures[f"{key}_mm2"]
        print(f"{what} on {share:g} % of sheets, {area:g} mm2 on average")
    for cure in cures(project, fast):
        print(f"  {cure.text}")
    return DONE


def _places(project: "Project", share: Any, most: int = 12) -> list[dict[str, Any]]:
    """Where gaps flash most often: the middle of each place on the sheet, and on what share of sheets."""
    import numpy as np

    from nomos.proof.flashing import TILE_MM

    found = []
    for at in np.argsort(-share, axis=None)[:most]:
        row, column = np.unravel_index(at, share.shape)
        if share[row, column] > 0:
            place = [
                round(project.image.left + (column + 0.5) * TILE_MM, 1),
                round(project.image.top + (row + 0.5) * TILE_MM, 1),
            ]
            found.append({"place_mm": place, "sheets_pct": round(100 * float(share[row, column]), 1)})
    return found


def _scan(options: argparse.Namespace) -> int:
    from nomos.design import read_picture
    from nomos.project import cut_blocks, load, mask_request
    from nomos.project.proof_scan import measure_scan
    from nomos.project.registering import with_register

    project, assets = load(options.project)
    if options.marks:
        project = with_register(project, marks=options.marks)
    request = mask_request(project, assets)
    if request is None:
        raise _nothing(options)
    try:
        data = options.scan.read_bytes()
    except OSError as error:
        raise BadInput(f"{options.scan} cannot be read: {error.strerror or error}.") from None
    scan = read_picture(data, options.scan.name).rgb
    by_marks = None if options.by is None else options.by == "marks"
    found = measure_scan(project, cut_blocks(request), scan, by_marks=by_marks)
    pulls = [_pull(project, each) for each in found.pulls]
    if options.json:
        lay = {"turned_deg": round(found.turned_deg, 3), "px_per_mm": [round(v, 4) for v in found.px_per_mm]}
        print_json({"scan": lay, "pulls": pulls})
        return DONE
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
    from nomos.project.registering import cure_steps
    from nomos.registration import stretch_advice

    pull = project.impression(found.pull)
    figures: dict[str, Any] = {
        "block": project.block(pull.block).name,
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
        "sigma": {
            "shift_mm": round(shift, 4),
            "rotation_deg": round(turn, 4),
            "stretch_pct": round(100 * stretch, 4),
        },
        "advice": [*cure_steps(project, motion), *stretch_advice(motion, reach, project.tolerance_mm)],
    }
