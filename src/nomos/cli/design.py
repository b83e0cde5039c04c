"""The commands about the design: flatten, plan."""

import argparse
import sys
from pathlib import Path
from typing import TYPE_CHECKING, Any

from nomos.base.atomic import write_bytes
from nomos.cli.common import (
    CRAFT,
    KENTO,
    PROJECT,
    answers,
    asked_colours,
    command,
    declared,
    design_options,
    drawn_key,
    flattened_design,
    inputs_of,
    output,
    print_json,
    project_of_design,
)
from nomos.cli.paper import on_paper, paper_of, paper_options

if TYPE_CHECKING:
    from nomos.project import Project

DONE = 0
_DESIGN = "PNG, JPEG, TIFF, WebP or SVG"


def add_commands(commands: Any) -> None:
    """Add the commands to the program's."""
    flat = command(commands, "flatten", "reduce a design to flat colours", _flatten, project=False)
    flat.add_argument("design", type=Path, metavar="DESIGN", help=_DESIGN)
    design_options(flat)
    output(flat, "--out", "file", ".png", required=True, metavar="FLAT.png", help="the flat design")

    plan = command(commands, "plan", "the whole job: blocks, order, proof, templates", _plan, project=False)
    plan.add_argument("design", type=Path, metavar="DESIGN", help=_DESIGN)
    design_options(plan)
    output(plan, "--out", "folder", required=True, metavar="DIR", help="folder for the packet")
    paper_options(plan)
    plan.add_argument("--sheet-mm", metavar="WxH", help="the sheet; default 10 mm wider all round")
    plan.add_argument("--trap-mm", type=declared(PROJECT, "trap_mm"), metavar="T", help="trap, default 0.5")
    plan.add_argument(
        "--hand", type=declared(KENTO, "hand"), metavar="HAND", help="right or left; default the studio's"
    )
    plan.add_argument("--studio", type=Path, metavar="FILE", help="the tools and habits to begin with")
    plan.add_argument("--page", default="A4", metavar="NAME", help="paper of the templates, default A4")
    plan.add_argument(
        "--system", default="auto", metavar="SYSTEM",
        help="how sheets meet blocks; default the kento, or what fits where it has no room",
    )  # fmt: skip
    plan.add_argument(
        "--method", choices=("multiblock", "reduction", "jigsaw", "twosided"), default="multiblock",
        help="a block a colour (default), one board cut further, one sawn apart, or both faces of boards",
    )  # fmt: skip
    plan.add_argument(
        "--edition", type=declared(PROJECT, "plan.edition"), metavar="E", help="numbered prints, default 20"
    )
    plan.add_argument(
        "--material", type=declared(CRAFT, "material"), metavar="NAME",
        help="what the blocks are made of: lino (default), soft wood, hard wood, end grain, foam, …",
    )  # fmt: skip


def _flatten(options: argparse.Namespace) -> int:
    from nomos.formats.pictures import png

    count = asked_colours(options.colours)
    design = flattened_design(options)
    flat = design.done.flat
    write_bytes(options.out, png(flat.to_rgb(), flat.px_per_mm), keep=True)
    figures: dict[str, Any] = {
        "colours": [
            {
                "hex": colour.hex,
                "lab": [round(value, 3) for value in colour.lab],
                "area_mm2": round(colour.area_mm2, 2),
                "area_pct": round(colour.area_pct, 3),
            }
            for colour in flat.colours
        ],
        "mean_de00": round(flat.mean_de00, 3),
        "size_mm": [round(side, 2) for side in flat.size_mm],
        "read_as": flat.read_as,
        "line": flat.line,
        "paper": flat.paper,
        "unsure_pct": 0.0 if flat.unsure is None else round(100 * float(flat.unsure.mean()), 3),
        **design.figures,
    }
    if flat.suggestion and count is None:
        figures["suggested"] = flat.suggestion.count
        figures["why"] = flat.suggestion.why
    for note in flat.notes:
        print(f"nomos: {note}", file=sys.stderr)
    if options.json:
        print_json(figures)
        return DONE
    width, height = flat.size_mm
    print(
        f"{len(flat.colours)} colour{'s' if len(flat.colours) != 1 else ''}, "
        f"{width:.1f} x {height:.1f} mm, mean dE00 {flat.mean_de00:.2f}"
    )
    if flat.suggestion and count is None and flat.suggestion.why:
        print(flat.suggestion.why)
    for number, colour in enumerate(flat.colours):
        lab = " ".join(f"{value:7.2f}" for value in colour.lab)
        what = "  line" if number == flat.line else "  paper" if number == flat.paper else ""
        print(f"  {colour.hex}  lab {lab}  {colour.area_mm2:10.1f} mm2  {colour.area_pct:6.2f} %{what}")
    return DONE


def _plan(options: argparse.Namespace) -> int:
    from nomos.base.units import parse_size
    from nomos.project.blocks.methods import USUAL_METHOD, with_method
    from nomos.project.edition.carving import with_craft
    from nomos.project.edition.sheets import with_edition
    from nomos.project.edition.studio import begun_in, read_studio
    from nomos.project.model.edits import with_kento, with_trap
    from nomos.registration import KentoSettings, system_called
    from nomos.work.packet import write_packet

    if options.system != "auto":
        # Before the picture is looked at, which takes seconds.
        system_called(options.system)
    sheet = parse_size(options.sheet_mm) if options.sheet_mm else None
    project, assets = project_of_design(options, paper_of(options), sheet)
    project = on_paper(project, options)
    # The picture is not looked at again: three bytes a pixel for what follows.
    answers().forget()
    if options.studio is not None:
        project = begun_in(read_studio(options.studio), project)
    if options.hand is not None or options.studio is None:
        project = with_kento(project, KentoSettings(hand=options.hand or "right"))
    if options.trap_mm is not None:
        project = with_trap(project, options.trap_mm)
    if options.method != USUAL_METHOD:
        project = with_method(project, options.method, drawn_key(project, assets))
    if options.edition is not None:
        project = with_edition(project, edition=options.edition)
    if options.material is not None:
        project = with_craft(project, material=options.material)
    project = _with_system(project, options.system)
    plan = write_packet(options.out, project, assets, answers(), inputs=inputs_of(options), paper=options.page)
    print_plan(plan, options.out, as_json=options.json)
    return DONE


def _with_system(project: "Project", system: str) -> "Project":
    """The system asked for; for "auto" the usual one, or the best that has room where that has none."""
    from nomos.project.register.system import advice_for, plan_of_system, with_register
    from nomos.registration import SYSTEMS

    if system != "auto":
        return with_register(project, system=system)
    if plan_of_system(project)[0] is not None:
        return project
    for advice in advice_for(project):
        other = with_register(project, system=advice.system)
        if advice.fitness > 0 and plan_of_system(other)[0] is not None:
            print(f"nomos: no room for a kento; {SYSTEMS[advice.system].said.lower()} instead.", file=sys.stderr)
            return other
    return project


def print_plan(plan: dict[str, Any], folder: Path, *, as_json: bool) -> None:
    """A plan as JSON, or in words."""
    if as_json:
        print_json(plan)
        return
    width, height = plan["size_mm"]
    print(f"{plan['title']}, {width:g} x {height:g} mm, mean dE00 {plan['mean_de00']}")
    for step in plan["order"]:
        print(f"  {step['place']:2d} {step['block']:<20} {step['hex']}  {step['area_mm2']:9.0f} mm2")
        print(f"     {step['reason']} Then: {step['then']}.")
    for finding in plan["findings"]:
        print(f"  {finding['weight']}: {finding['text']} {finding['remedy']}")
    print(f"packet in {folder}")
