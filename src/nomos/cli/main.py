"""The command line: everything the window computes, without the window."""

import argparse
import sys
from collections.abc import Callable, Sequence
from pathlib import Path
from typing import Any, NoReturn

from nomos.cli import edition as edition_commands
from nomos.cli import inks as ink_commands
from nomos.cli import meeting as meeting_commands
from nomos.cli import order as order_commands
from nomos.cli import register as register_commands
from nomos.cli import separate
from nomos.cli.common import (
    asked_colours,
    asked_reading,
    design_options,
    paper_of,
    print_json,
    project_of_design,
    read_design,
    say_notes,
    smallest,
)
from nomos.errors import BadInput

DONE, FAULT, BAD_INPUT = 0, 1, 2

_DESIGN = "PNG, JPEG, TIFF, WebP or SVG"
# Opens the window: on a project or picture, on the demo, or (third) walks the demo into a folder.
OpenWindow = Callable[[Path | None, str | None, Path | None], int]

_COMMANDS = (
    "flatten", "overprint", "mix", "ink", "chart", "plan", "separate", "check", "blocks",
    "order", "calendar", "kento", "marks", "templates", "misregister", "scan",
    "carve", "sheets", "edition", "packet", "demo",
)  # fmt: skip


def run(arguments: Sequence[str], open_window: OpenWindow) -> int:
    """Do what the arguments say and return the exit status: 0 done, 2 bad input."""
    try:
        return _dispatch(list(arguments), open_window)
    except BadInput as error:
        print(f"nomos: {error}", file=sys.stderr)
        return BAD_INPUT


def _dispatch(arguments: list[str], open_window: OpenWindow) -> int:
    if not arguments or (arguments[0] not in _COMMANDS and not arguments[0].startswith("-")):
        return open_window(_opened(arguments), None, None)
    parser = _parser()
    options = parser.parse_args(arguments)
    if options.command == "demo":
        return _demo(options, open_window)
    command: Callable[[argparse.Namespace], int] = options.run
    return command(options)


def _opened(arguments: list[str]) -> Path | None:
    if len(arguments) > 1:
        raise BadInput(f"One project or picture at a time, not {len(arguments)}; see nomos --help.")
    if not arguments:
        return None
    path = Path(arguments[0])
    if not path.exists():
        commands = ", ".join(_COMMANDS)
        raise BadInput(f"{path} is neither a file nor a command ({commands}); see nomos --help.")
    return path


class _Parser(argparse.ArgumentParser):
    """A parser that says what is wrong in one line, as everything else here does."""

    def error(self, message: str) -> NoReturn:
        raise BadInput(f"{message}; see {self.prog} --help.")


def _parser() -> argparse.ArgumentParser:
    parser = _Parser(
        prog="nomos",
        description="Separates, proofs, orders and registers relief prints in several colours.",
        epilog="Without a command, nomos [PROJECT.nomos | PICTURE] opens the window. "
        "Exit status: 0 done, 1 fault of the program, 2 bad input.",
    )
    parser.add_argument("--version", action="version", version=f"nomos {_version()}")
    commands = parser.add_subparsers(dest="command", required=True, metavar="COMMAND")

    flat = commands.add_parser("flatten", help="reduce a design to flat colours")
    flat.add_argument("design", type=Path, metavar="DESIGN", help=_DESIGN)
    design_options(flat)
    flat.add_argument("--out", type=Path, required=True, metavar="FLAT.png", help="the flat design")
    flat.set_defaults(run=_flatten)

    over = commands.add_parser("overprint", help="the colour of inks printed over each other")
    over.add_argument("--paper", required=True, metavar="SPEC", help="lab(95 0 -2) or #f4f1e8")
    over.add_argument(
        "--ink",
        action="append",
        required=True,
        metavar="SPEC",
        help="in print order: the solid's colour on this paper, then optionally "
        ";opacity=transparent|semi|opaque and ;strength=0..1",
    )
    over.add_argument(
        "--film", choices=("light", "normal", "heavy"), default="normal", help="how thickly all are inked"
    )
    over.add_argument(
        "--wet", nargs="?", type=float, const=-1.0, metavar="SHARE",
        help="wet on wet: the share of each film that takes on the one before, default 0.9",
    )  # fmt: skip
    over.add_argument(
        "--light", choices=("D50", "D65", "A", "LED-B1"), default="D50", help="the light it is seen in"
    )
    over.add_argument("--json", action="store_true", help="one JSON object")
    over.set_defaults(run=_overprint)

    plan = commands.add_parser("plan", help="the whole job: blocks, order, proof, templates")
    plan.add_argument("design", type=Path, metavar="DESIGN", help=_DESIGN)
    design_options(plan)
    plan.add_argument("--out", type=Path, required=True, metavar="DIR", help="folder for the packet")
    plan.add_argument("--paper", metavar="SPEC", help="the paper's colour, lab(95 0 3) or #f4f1e8")
    plan.add_argument("--sheet-mm", metavar="WxH", help="the sheet; default 10 mm wider all round")
    plan.add_argument("--trap-mm", type=float, metavar="T", help="trap, default 0.5")
    plan.add_argument("--hand", choices=("right", "left"), default="right", help="the printer's hand")
    plan.add_argument("--page", default="A4", metavar="NAME", help="paper of the templates, default A4")
    plan.set_defaults(run=_plan)

    separate.add_commands(commands)
    ink_commands.add_commands(commands)
    order_commands.add_commands(commands)
    register_commands.add_commands(commands)
    meeting_commands.add_commands(commands)
    edition_commands.add_commands(commands)

    demo = commands.add_parser("demo", help="open the window on a demo")
    demo.add_argument(
        "scenario", nargs="?", choices=("glasshouse", "coldframe", "pots", "photo"), default="glasshouse",
        help="glasshouse: blocks and a key; coldframe: a reduction; pots: a jigsaw; photo: a photograph of a "
        "crayon sketch",
    )  # fmt: skip
    demo.add_argument("--out", type=Path, metavar="DIR", help="do the main job into DIR, without a window")
    demo.add_argument(
        "--walk", type=Path, metavar="DIR", help="walk through every station, pictures into DIR"
    )
    demo.add_argument("--json", action="store_true", help="with --out: one JSON object")
    return parser


def _version() -> str:
    from importlib.metadata import version

    return version("nomos")


def _flatten(options: argparse.Namespace) -> int:
    from nomos.design import flatten
    from nomos.formats import png, writing_into

    count = asked_colours(options.colours)
    design = read_design(options)
    flat = flatten(
        design.picture, count, smallest_feature_mm=smallest(options), seed=options.seed,
        read_as=asked_reading(options),
    )  # fmt: skip
    say_notes(flat.notes)
    with writing_into(options.out):
        options.out.write_bytes(png(flat.to_rgb(), flat.px_per_mm))
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


def _overprint(options: argparse.Namespace) -> int:
    import numpy as np

    from nomos.colour import Ground, OnWet, ink_film, lab_to_hex, overprints, parse_colour, parse_ink
    from nomos.colour.light import lab_under
    from nomos.colour.trapping import FILM, MIDDLE_TACK, trapping_of

    paper = parse_colour(options.paper)
    inks = [parse_ink(text) for text in options.ink]
    thickness = FILM[options.film]
    films = [ink_film(ink.lab, ink.opacity, paper, ink.strength * thickness) for ink in inks]
    wet: list[OnWet | None] = [None] * len(films)
    if options.wet is not None:
        share = trapping_of(MIDDLE_TACK, MIDDLE_TACK) if options.wet == -1.0 else options.wet
        if not 0 <= share <= 1:
            raise BadInput("--wet must be a share from 0 to 1.")
        wet = [None, *(OnWet((place,), share) for place in range(len(films) - 1))]
    # After each pull: the first ink alone, the first two, and so on.
    rows = np.tri(len(films), dtype=bool)
    labs = lab_under(overprints(Ground.from_lab(paper), films, rows, wet), options.light)
    steps = [{"lab": [round(float(v), 3) + 0.0 for v in lab], "hex": lab_to_hex(lab)} for lab in labs]
    if options.json:
        print_json({**steps[-1], "steps": steps})
        return DONE
    for number, (text, step) in enumerate(zip(options.ink, steps, strict=True), start=1):
        lab = " ".join(f"{value:7.2f}" for value in step["lab"])
        print(f"after {number}: {text}  ->  lab {lab}  {step['hex']}")
    return DONE


def _plan(options: argparse.Namespace) -> int:
    from nomos.formats import write_packet
    from nomos.project.edits import with_kento, with_trap
    from nomos.registration import KentoSettings
    from nomos.units import parse_size

    sheet = parse_size(options.sheet_mm) if options.sheet_mm else None
    project, assets = project_of_design(options, paper_of(options), sheet)
    project = with_kento(project, KentoSettings(hand=options.hand))
    if options.trap_mm is not None:
        project = with_trap(project, options.trap_mm)
    plan = write_packet(options.out, project, assets, paper=options.page)
    _print_plan(plan, options.out, as_json=options.json)
    return DONE


def _demo(options: argparse.Namespace, open_window: OpenWindow) -> int:
    if not options.out:
        return open_window(None, options.scenario, options.walk)
    from nomos.demo import demo_project, scenario_called
    from nomos.formats import write_packet

    project, assets = demo_project(scenario_called(options.scenario))
    _print_plan(write_packet(options.out, project, assets), options.out, as_json=options.json)
    return DONE


def _print_plan(plan: dict[str, Any], folder: Path, *, as_json: bool) -> None:
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
