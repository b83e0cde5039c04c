"""The commands about registration: kento, templates, misregister."""

import argparse
from typing import TYPE_CHECKING, Any

from nomos.base.atomic import write_bytes
from nomos.base.errors import BadInput
from nomos.cli.common import KENTO, REGISTER, answers, command, declared, output, print_json, seed

if TYPE_CHECKING:
    from nomos.project import CutBlocks, Project

DONE = 0


def add_commands(commands: Any) -> None:
    """Add the commands to the program's."""
    kento = command(commands, "kento", "where the notches go, on the sheet and on the block", _kento, project=False)
    kento.add_argument("--sheet-mm", required=True, metavar="WxH")
    kento.add_argument("--image-mm", required=True, metavar="WxH")
    kento.add_argument(
        "--margin-mm", nargs="+", type=float, metavar="M",
        help="left and top of the image (one figure: both); left, top, right, bottom; default centred",
    )  # fmt: skip
    kento.add_argument("--hand", type=declared(KENTO, "hand"), default="right", metavar="HAND", help="right or left")
    kento.add_argument(
        "--side", type=declared(REGISTER, "side"), metavar="SIDE", help="along the notches: long or short"
    )
    kento.add_argument(
        "--depth-mm", type=declared(KENTO, "depth_mm"), metavar="D",
        help="default 1 mm, or more for thick paper",
    )  # fmt: skip
    kento.add_argument("--paper-mm", type=float, metavar="T", help="thickness of the paper")

    templates = command(commands, "templates", "a system of registration at true size", _templates)
    templates.add_argument("--system", metavar="SYSTEM", help="default: the project's own")
    templates.add_argument(
        "--marks", type=declared(REGISTER, "marks"), metavar="KIND", help="none, rings, crosses or verniers"
    )
    templates.add_argument(
        "--side", type=declared(REGISTER, "side"), metavar="SIDE", help="along the printer: long or short"
    )
    templates.add_argument("--page", default="A4", metavar="NAME", help="paper of a PDF, default A4")
    templates.add_argument(
        "--kerf-mm", type=declared(REGISTER, "pins.kerf_mm"), metavar="K",
        help="of the cutter that makes the pins",
    )  # fmt: skip
    templates.add_argument(
        "--clearance-mm", type=declared(REGISTER, "pins.clearance_mm"), metavar="C",
        help="between pin and hole, each side",
    )  # fmt: skip
    templates.add_argument(
        "--pairs", type=declared(REGISTER, "pins.pairs"), metavar="N", help="pairs of tab and pin, 2 or 3"
    )
    output(templates, "--out", "file", ".pdf", ".svg", ".dxf", required=True, metavar="FILE.pdf|svg|dxf")

    miss = command(commands, "misregister", "how far out each place may be, and what will flash", _misregister)
    miss.add_argument("--sheets", type=int, default=100, metavar="N", help="plausible sheets, default 100")
    miss.add_argument("--seed", type=seed, default=0, help="the same seed gives the same sheets")
    miss.add_argument("--fast", action="store_true", help="the estimate along borders alone")


def _kento(options: argparse.Namespace) -> int:
    from nomos.base.units import parse_size
    from nomos.formats.plan_json import kento_figures
    from nomos.registration import KentoSettings, depth_for, place_along, place_kento

    sheet, size = parse_size(options.sheet_mm), parse_size(options.image_mm)
    image = _image(sheet, size, options.margin_mm)
    depth = options.depth_mm if options.depth_mm is not None else depth_for(options.paper_mm)
    settings = KentoSettings(hand=options.hand, depth_mm=depth)
    kento = place_along(sheet, image, settings, options.side) if options.side else place_kento(sheet, image, settings)
    figures = {"hand": options.hand, "sheet_mm": list(sheet), **kento_figures(kento)}
    figures["image_on_sheet_mm"] = [image.left, image.top, image.right, image.bottom]
    if options.json:
        print_json(figures)
        return DONE
    print(f"block {kento.block.width:g} x {kento.block.height:g} mm, notches {kento.depth_mm:g} mm deep")
    for notch in (kento.corner, kento.straight):
        print(f"  {notch.name}")
        for place, points in (("sheet", notch.wall), ("block", tuple(map(kento.on_block, notch.wall)))):
            print(f"    wall on the {place}: " + "  ".join(f"{x:.1f}, {y:.1f}" for x, y in points) + " mm")
    near, side = kento.wood_beyond_mm
    print(f"wood beyond the walls: {near:.1f} mm at the near edge, {side:.1f} mm at the corner side")
    near, side = kento.floor_to_image_mm
    print(f"from the notches to the image: {near:.1f} mm at the near edge, {side:.1f} mm at the corner side")
    return DONE


def _image(sheet: tuple[float, float], size: tuple[float, float], margins: list[float] | None) -> Any:
    """Where the image lies. Raises BadInput for margins that do not fit."""
    from nomos.registration import Rect

    spare = sheet[0] - size[0], sheet[1] - size[1]
    given = margins or [spare[0] / 2, spare[1] / 2]
    if len(given) not in (1, 2, 4):
        raise BadInput("--margin-mm takes one figure, two (left, top) or four (left, top, right, bottom).")
    left, top = (given * 2)[:2]
    if len(given) == 4 and max(abs(left + given[2] - spare[0]), abs(top + given[3] - spare[1])) > 0.05:
        raise BadInput(
            f"Image and margins make {size[0] + left + given[2]:g} x {size[1] + top + given[3]:g} mm, "
            f"and the sheet is {sheet[0]:g} x {sheet[1]:g} mm: give left and top alone, or all four to fit."
        )
    return Rect(left, top, left + size[0], top + size[1])


def _registered(options: argparse.Namespace, project: "Project") -> "Project":
    """The project with the choices made on the command line."""
    import dataclasses

    from nomos.project.register.system import with_register

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
    from nomos.project import load
    from nomos.project.register.edits import in_register
    from nomos.project.register.system import marks_of
    from nomos.work.packet import printable

    kind = options.out.suffix.lower()
    project, assets = load(options.project)
    project = in_register(_registered(options, project))
    _, reason = marks_of(project)
    if reason:
        raise BadInput(reason)
    data, size = _written(project, answers()(printable(project, assets)), kind, options.page)
    write_bytes(options.out, data, keep=True)
    system = project.register.system
    if options.json:
        print_json({"file": str(options.out), "system": system, "size_mm": [round(s, 2) for s in size]})
    else:
        print(f"{options.out}: {system}, {size[0]:.1f} x {size[1]:.1f} mm")
    return DONE


def _written(project: "Project", blocks: "CutBlocks", kind: str, page: str) -> tuple[bytes, tuple[float, float]]:
    """The file's bytes, and the size of what is drawn. Raises BadInput."""
    from nomos.formats.bench_drawings import bench_drawing, pins_drawing
    from nomos.formats.dxf import drawing_dxf
    from nomos.formats.pdf import drawings_pdf
    from nomos.formats.svg import drawing_svg
    from nomos.formats.template import templates
    from nomos.formats.template_drawing import set_drawing, template_drawings
    from nomos.project.register.system import plan_of_system
    from nomos.registration import SYSTEMS

    plan, reason = plan_of_system(project)
    if plan is None:
        raise BadInput(reason)
    # For paper a page each; for a cutter what is cut, in one drawing.
    system = SYSTEMS[plan.system]
    if not system.sheet_of_its_own:
        drawn = templates(project, blocks)
        pages, cut = template_drawings(drawn), set_drawing(drawn)
    else:
        pages = [bench_drawing(project, plan)]
        cut = pages[0]
        if system.has_parts:
            cut = pins_drawing(project.register.pins)
            pages.append(cut)
    if kind == ".pdf":
        return drawings_pdf(pages, project.title, paper=page), pages[0].size_mm
    return (drawing_svg if kind == ".svg" else drawing_dxf)(cut), cut.size_mm


def _misregister(options: argparse.Namespace) -> int:
    from nomos.project import load
    from nomos.project.register.tolerance import budget_for, cures, worst_mm
    from nomos.work.flash import flash_of
    from nomos.work.packet import printable

    if not 1 <= options.sheets <= 2000:
        raise BadInput("--sheets must be 1 to 2000.")
    project, assets = load(options.project)
    cut, ask = printable(project, assets), answers()
    least, most = worst_mm(project)
    fast = ask(flash_of(project, cut, options.sheets, options.seed))
    shown = fast if options.fast else ask(flash_of(project, cut, options.sheets, options.seed, exact=True))
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
