"""The command line: everything the window computes, without the window."""

import argparse
import json
import sys
from collections.abc import Callable, Sequence
from pathlib import Path
from typing import TYPE_CHECKING, Any, NoReturn

from nomos.errors import BadInput

if TYPE_CHECKING:
    from nomos.design import Picture

DONE, FAULT, BAD_INPUT = 0, 1, 2

# Opens the window: on a project or picture, on the demo, or (third) walks the demo into a folder.
OpenWindow = Callable[[Path | None, bool, Path | None], int]

_COMMANDS = ("flatten", "overprint", "plan", "demo")


def run(arguments: Sequence[str], open_window: OpenWindow) -> int:
    """Do what the arguments say and return the exit status: 0 done, 2 bad input."""
    try:
        return _dispatch(list(arguments), open_window)
    except BadInput as error:
        print(f"nomos: {error}", file=sys.stderr)
        return BAD_INPUT


def _dispatch(arguments: list[str], open_window: OpenWindow) -> int:
    if not arguments or (arguments[0] not in _COMMANDS and not arguments[0].startswith("-")):
        return open_window(_opened(arguments), False, None)
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
    _design_options(flat)
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
    over.add_argument("--json", action="store_true", help="one JSON object")
    over.set_defaults(run=_overprint)

    plan = commands.add_parser("plan", help="the whole job: blocks, order, proof, templates")
    _design_options(plan)
    plan.add_argument("--out", type=Path, required=True, metavar="DIR", help="folder for the packet")
    plan.add_argument("--paper", metavar="SPEC", help="the paper's colour, lab(95 0 3) or #f4f1e8")
    plan.add_argument("--sheet-mm", metavar="WxH", help="the sheet; default 10 mm wider all round")
    plan.add_argument("--trap-mm", type=float, metavar="T", help="trap, default 0.5")
    plan.add_argument("--hand", choices=("right", "left"), default="right", help="the printer's hand")
    plan.add_argument("--page", default="A4", metavar="NAME", help="paper of the templates, default A4")
    plan.set_defaults(run=_plan)

    demo = commands.add_parser("demo", help="open the window on the demo")
    demo.add_argument("--out", type=Path, metavar="DIR", help="do the main job into DIR, without a window")
    demo.add_argument(
        "--walk", type=Path, metavar="DIR", help="walk through every station, pictures into DIR"
    )
    demo.add_argument("--json", action="store_true", help="with --out: one JSON object")
    return parser


def _version() -> str:
    from importlib.metadata import version

    return version("nomos")


def _design_options(parser: argparse.ArgumentParser) -> None:
    parser.add_argument("design", type=Path, metavar="DESIGN", help="PNG, JPEG, TIFF, WebP or SVG")
    parser.add_argument("--colours", required=True, metavar="K", help="2 to 24, or auto")
    parser.add_argument("--size-mm", metavar="WxH", help="size of the image, as 180x240 or 7x9.5in")
    parser.add_argument("--min-feature-mm", type=float, metavar="D", help="smallest feature, default 0.8")
    parser.add_argument("--seed", type=int, default=0, help="the same seed gives the same result")
    parser.add_argument("--json", action="store_true", help="one JSON object")


def _colours(text: str) -> int | None:
    if text == "auto":
        return None
    try:
        return int(text)
    except ValueError:
        raise BadInput(f"'{text}' is not a number of colours; write 2 to 24, or auto.") from None


def _read(options: argparse.Namespace) -> tuple[bytes, "Picture"]:
    from nomos.design import read_picture
    from nomos.units import parse_size

    size = parse_size(options.size_mm) if options.size_mm else None
    try:
        data = options.design.read_bytes()
    except OSError as error:
        raise BadInput(f"{options.design} cannot be read: {error.strerror or error}.") from None
    picture = read_picture(data, options.design.name, size_mm=size)
    for note in picture.notes:
        print(f"nomos: {note}", file=sys.stderr)
    return data, picture


def _smallest(options: argparse.Namespace) -> float:
    from nomos.design import SMALLEST_FEATURE_MM

    return SMALLEST_FEATURE_MM if options.min_feature_mm is None else options.min_feature_mm


def _flatten(options: argparse.Namespace) -> int:
    from nomos.design import flatten
    from nomos.formats import png, writing_into

    count = _colours(options.colours)
    _, picture = _read(options)
    flat = flatten(picture, count, smallest_feature_mm=_smallest(options), seed=options.seed)
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
    }
    if flat.suggestion:
        figures["suggested"] = flat.suggestion.count
    if options.json:
        _print_json(figures)
        return DONE
    width, height = flat.size_mm
    print(f"{len(flat.colours)} colours, {width:.1f} x {height:.1f} mm, mean dE00 {flat.mean_de00:.2f}")
    for colour in flat.colours:
        lab = " ".join(f"{value:7.2f}" for value in colour.lab)
        print(f"  {colour.hex}  lab {lab}  {colour.area_mm2:10.1f} mm2  {colour.area_pct:6.2f} %")
    return DONE


def _overprint(options: argparse.Namespace) -> int:
    import numpy as np

    from nomos.colour import (
        Ground,
        ink_film,
        lab_to_hex,
        overprints,
        parse_colour,
        parse_ink,
        reflectance_to_lab,
    )

    paper = parse_colour(options.paper)
    inks = [parse_ink(text) for text in options.ink]
    films = [ink_film(ink.lab, ink.opacity, paper, ink.strength) for ink in inks]
    # After each pull: the first ink alone, the first two, and so on.
    rows = np.tri(len(films), dtype=bool)
    labs = reflectance_to_lab(overprints(Ground.from_lab(paper), films, rows))
    steps = [{"lab": [round(float(v), 3) + 0.0 for v in lab], "hex": lab_to_hex(lab)} for lab in labs]
    if options.json:
        _print_json({**steps[-1], "steps": steps})
        return DONE
    for number, (text, step) in enumerate(zip(options.ink, steps, strict=True), start=1):
        lab = " ".join(f"{value:7.2f}" for value in step["lab"])
        print(f"after {number}: {text}  ->  lab {lab}  {step['hex']}")
    return DONE


def _plan(options: argparse.Namespace) -> int:
    from nomos.colour import parse_colour
    from nomos.design import flatten
    from nomos.formats import write_packet
    from nomos.project import Source, digest, labels_to_png
    from nomos.project.edits import (
        DEFAULT_PAPER_LAB,
        new_project,
        with_flat_design,
        with_kento,
        with_source,
        with_trap,
    )
    from nomos.registration import KentoSettings
    from nomos.units import parse_size

    count, smallest = _colours(options.colours), _smallest(options)
    data, picture = _read(options)
    paper = parse_colour(options.paper) if options.paper else DEFAULT_PAPER_LAB
    sheet = parse_size(options.sheet_mm) if options.sheet_mm else None
    project = new_project(options.design.stem, picture.size_mm, paper_lab=paper, sheet_mm=sheet)
    project = with_kento(project, KentoSettings(hand=options.hand))
    if options.trap_mm is not None:
        project = with_trap(project, options.trap_mm)
    project = with_source(project, Source(options.design.name, digest(data), picture.size_mm))
    flat = flatten(picture, count, smallest_feature_mm=smallest, seed=options.seed)
    labels = labels_to_png(flat.labels)
    project = with_flat_design(
        project, flat, digest(labels), asked=count, smallest_feature_mm=smallest, seed=options.seed
    )
    assets = {digest(data): data, digest(labels): labels}
    plan = write_packet(options.out, project, assets, paper=options.page)
    _print_plan(plan, options.out, as_json=options.json)
    return DONE


def _demo(options: argparse.Namespace, open_window: OpenWindow) -> int:
    if not options.out:
        return open_window(None, True, options.walk)
    from nomos.demo import demo_project
    from nomos.formats import write_packet

    project, assets = demo_project()
    _print_plan(write_packet(options.out, project, assets), options.out, as_json=options.json)
    return DONE


def _print_plan(plan: dict[str, Any], folder: Path, *, as_json: bool) -> None:
    if as_json:
        _print_json(plan)
        return
    width, height = plan["size_mm"]
    print(f"{plan['title']}, {width:g} x {height:g} mm, mean dE00 {plan['mean_de00']}")
    for step in plan["order"]:
        print(f"  {step['place']:2d} {step['block']:<20} {step['hex']}  {step['area_mm2']:9.0f} mm2")
        print(f"     {step['reason']} Then: {step['then']}.")
    for finding in plan["findings"]:
        print(f"  {finding['weight']}: {finding['text']} {finding['remedy']}")
    print(f"packet in {folder}")


def _print_json(figures: dict[str, Any]) -> None:
    print(json.dumps(figures, ensure_ascii=False))
