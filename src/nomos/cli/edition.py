"""The commands about cutting and printing the edition: carve, sheets, edition, packet."""

import argparse
from pathlib import Path
from typing import TYPE_CHECKING, Any

from nomos.cli.common import print_json
from nomos.errors import BadInput

if TYPE_CHECKING:
    from nomos.project import CutBlocks, Project
    from nomos.project.carvings import CarvedBlock

DONE = 0


def add_commands(commands: Any) -> None:
    """Add the commands to the program's."""
    carve = commands.add_parser("carve", help="what to cut with which tool, and how long it takes")
    carve.add_argument("project", type=Path, metavar="PROJECT")
    carve.add_argument("--out", type=Path, metavar="FILE.pdf", help="the carving maps at true size")
    carve.add_argument("--material", choices=("lino", "soft wood", "hard wood", "end grain", "foam"))
    carve.add_argument("--page", default="A4", metavar="NAME", help="paper of the PDF, default A4")
    carve.add_argument("--json", action="store_true", help="one JSON object")
    carve.set_defaults(run=_carve)

    sheets = commands.add_parser("sheets", help="how many sheets to start with")
    sheets.add_argument("--edition", type=int, required=True, metavar="E", help="good sheets wanted")
    sheets.add_argument("--layers", type=int, required=True, metavar="N")
    sheets.add_argument("--good", type=float, required=True, metavar="P", help="chance that a pull is good")
    sheets.add_argument("--confidence", type=float, default=0.9, metavar="C", help="default 0.9")
    sheets.add_argument("--json", action="store_true", help="one JSON object")
    sheets.set_defaults(run=_sheets)

    edition = commands.add_parser("edition", help="the record of an edition, from its log")
    edition.add_argument("project", type=Path, metavar="PROJECT")
    edition.add_argument("--csv", type=Path, metavar="DIR", help="sheets, pulls and layers as tables")
    edition.add_argument("--statement", type=Path, metavar="FILE.pdf", help="edition statement and colophon")
    edition.add_argument("--json", action="store_true", help="one JSON object")
    edition.set_defaults(run=_edition)

    packet = commands.add_parser("packet", help="everything a printmaker takes to the bench")
    packet.add_argument("project", type=Path, metavar="PROJECT")
    packet.add_argument("--out", type=Path, required=True, metavar="DIR")
    packet.add_argument("--page", default="A4", metavar="NAME", help="paper of the PDFs, default A4")
    packet.add_argument("--json", action="store_true", help="one JSON object")
    packet.set_defaults(run=_packet)


def _cut(path: Path) -> "tuple[Project, dict[str, bytes], CutBlocks]":
    from nomos.project import cut_blocks, load, mask_request

    project, assets = load(path)
    request = mask_request(project, assets)
    if request is None or not project.impressions:
        raise BadInput(f"There is nothing to cut in {path.name} yet: open it and flatten a picture first.")
    return project, assets, cut_blocks(request)


def _carve(options: argparse.Namespace) -> int:
    from nomos.formats import writing_into
    from nomos.formats.carving_pdf import carving_pdf
    from nomos.project.carvings import carve_blocks, carving_findings, hours_of, with_craft

    if options.out and options.out.suffix.lower() != ".pdf":
        raise BadInput(f"'{options.out.name}' must end in .pdf.")
    project, _, blocks = _cut(options.project)
    if options.material:
        project = with_craft(project, material=options.material)
    carved = carve_blocks(project, blocks)
    if options.out:
        data = carving_pdf(project, blocks, carved, paper=options.page)
        with writing_into(options.out):
            options.out.write_bytes(data)
    figures: dict[str, Any] = {
        "material": project.craft.material,
        "hours": round(hours_of(carved), 2),
        "blocks": [_block(project, each) for each in carved],
        "boards": _boards(project),
        "findings": [finding.text for finding in carving_findings(project, carved)],
    }
    if options.json:
        print_json(figures)
        return DONE
    for block in figures["blocks"]:
        print(f"{block['block']}: {block['hours']:.1f} h, {block['outline_mm'] / 10:.0f} cm of outline")
        for tool in block["tools"]:
            print(f"  {tool['tool']}: {tool['area_mm2'] / 100:.1f} cm2")
    print(f"in all {figures['hours']:.1f} h in {figures['material']}")
    return DONE


def _block(project: "Project", each: "CarvedBlock") -> dict[str, Any]:
    carving = each.carving
    return {
        "block": project.block(each.block).name,
        "hours": round(each.effort.hours, 3),
        "outline_mm": round(carving.outline_mm, 1),
        "outline_h": round(each.effort.outline_h, 3),
        "tools": [
            {"tool": tool.name, "area_mm2": round(area, 1)}
            for tool, area in zip(carving.tools, carving.areas_mm2, strict=True)
        ],
        "stays_mm2": round(carving.stays_mm2, 1),
        "too_narrow_mm2": round(carving.narrow_mm2, 1),
        "chatter_mm2": round(carving.chatter_mm2, 1),
        "deepest_mm": round(float(carving.depth_mm.max(initial=0.0)), 2),
        "too_fine": each.too_fine,
        "finest_mm": None if each.finest_mm is None else round(each.finest_mm, 3),
    }


def _boards(project: "Project") -> dict[str, Any]:
    """How the blocks are sawn from the boards at hand, or why they cannot be."""
    from nomos.project.carvings import boards_plan

    try:
        plan = boards_plan(project)
    except BadInput as error:
        return {"problem": str(error)}
    return {
        "waste_pct": round(100 * plan.waste, 1),
        "cost": plan.cost,
        "boards": [
            {
                "board_mm": [cut.board.width_mm, cut.board.height_mm],
                "blocks": [
                    {
                        "block": block.name,
                        "at_mm": [round(block.place.left, 1), round(block.place.top, 1)],
                        "size_mm": [round(block.place.width, 1), round(block.place.height, 1)],
                        "turned": block.turned,
                    }
                    for block in cut.blocks
                ],
                "offcuts_mm": [[round(r.width, 1), round(r.height, 1)] for r in cut.offcuts],
            }
            for cut in plan.boards
        ],
    }


def _sheets(options: argparse.Namespace) -> int:
    from nomos.edition import start_sheets

    plan = start_sheets(options.edition, options.layers, options.good, options.confidence)
    if options.json:
        curve = [[count, round(chance, 6)] for count, chance in plan.curve]
        print_json({"start_sheets": plan.start_sheets, "p_sheet": round(plan.p_sheet, 6), "curve": curve})
        return DONE
    print(f"start with {plan.start_sheets} sheets: {plan.p_sheet:.1%} of them come through all layers")
    for count, chance in plan.curve:
        print(f"  {count:4d} sheets: {chance:6.1%} that {options.edition} are good")
    return DONE


def _edition(options: argparse.Namespace) -> int:
    from datetime import date

    from nomos.formats import writing_into
    from nomos.formats.record import record_csv, record_json, statement_pdf
    from nomos.project import load
    from nomos.project.editions import log_path, record_of

    project, _ = load(options.project)
    record = record_of(project, log_path(options.project))
    if options.csv:
        with writing_into(options.csv):
            options.csv.mkdir(parents=True, exist_ok=True)
            for name, data in record_csv(project, record).items():
                (options.csv / name).write_bytes(data)
    if options.statement:
        with writing_into(options.statement):
            options.statement.write_bytes(statement_pdf(project, record, date.today()))
    figures = record_json(project, record)
    if options.json:
        print_json(figures)
        return DONE
    for layer in figures["layers"]:
        pace = f", {layer['minutes_a_pull']:.1f} min a pull" if layer["minutes_a_pull"] else ""
        print(
            f"{layer['layer']} {layer['block']}: {layer['good']} good, {layer['spoiled']} spoiled, "
            f"{layer['repaired']} repaired{pace}"
        )
    print(f"{len(figures['numbers'])} sheets can be numbered, {figures['short']} are missing to the edition")
    return DONE


def _packet(options: argparse.Namespace) -> int:
    from nomos.formats import write_packet
    from nomos.project import load

    project, assets = load(options.project)
    plan = write_packet(options.out, project, assets, paper=options.page)
    if options.json:
        print_json(plan)
        return DONE
    print(f"{len(plan['files'])} files in {options.out}; begin with index.pdf")
    return DONE
