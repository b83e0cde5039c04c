"""The command line: everything the window computes, without the window."""

import argparse
import sys
from collections.abc import Callable, Collection, Sequence
from dataclasses import asdict
from pathlib import Path
from typing import NoReturn

from nomos import guide
from nomos.base.errors import BadInput
from nomos.cli import blocks, check, design, edition, inking, inks, order, proofs, register, series, settings
from nomos.cli.common import answers, check_outputs, command, output, say
from nomos.cli.design import print_plan

DONE, FAULT, BAD_INPUT = 0, 1, 2

# Opens the window: on a project or picture, on the demo, or (third) walks the demo into a folder.
OpenWindow = Callable[[Path | None, str | None, Path | None], int]


def run(arguments: Sequence[str], open_window: OpenWindow) -> int:
    """Do what the arguments say and return the exit status: 0 done, 2 bad input."""
    try:
        return _dispatch(list(arguments), open_window)
    except BadInput as error:
        print(f"nomos: {error}", file=sys.stderr)
        return BAD_INPUT


def _dispatch(arguments: list[str], open_window: OpenWindow) -> int:
    parser, names = _parser()
    if not arguments or (arguments[0] not in names and not arguments[0].startswith("-")):
        return open_window(_opened(arguments, names), None, None)
    options = parser.parse_args(arguments)
    check_outputs(options)
    if options.command == "demo":
        return _demo(options, open_window)
    run: Callable[[argparse.Namespace], int] = options.run
    return run(options)


def _opened(arguments: list[str], names: Collection[str]) -> Path | None:
    if len(arguments) > 1:
        raise BadInput(f"One project or picture at a time, not {len(arguments)}; see nomos --help.")
    if not arguments:
        return None
    path = Path(arguments[0])
    if not path.exists():
        raise BadInput(f"{path} is neither a file nor a command ({', '.join(names)}); see nomos --help.")
    return path


class _Parser(argparse.ArgumentParser):
    """A parser that says what is wrong in one line, as everything else here does."""

    def error(self, message: str) -> NoReturn:
        raise BadInput(f"{message}; see {self.prog} --help.")


def _parser() -> tuple[argparse.ArgumentParser, Collection[str]]:
    """The program's parser, and the names of its commands."""
    parser = _Parser(
        prog="nomos",
        description="Separates, proofs, orders and registers relief prints in several colours.",
        epilog="Without a command, nomos [PROJECT.nomos | PICTURE] opens the window. "
        "Exit status: 0 done, 1 fault of the program, 2 bad input.",
    )
    parser.add_argument("--version", action="version", version=f"nomos {_version()}")
    commands = parser.add_subparsers(dest="command", required=True, metavar="COMMAND")

    for step in (design, blocks, inking, inks, order, register, proofs, series, check, edition, settings):
        step.add_commands(commands)
    told = command(
        commands, "guide", "print a page of the guide, or the lines that hold some words", _guide,
        project=False,
    )  # fmt: skip
    told.add_argument("page", nargs="?", default="start", help=f"one of {', '.join(guide.PAGES)}")
    told.add_argument("--find", metavar="WORDS", help="the lines that hold these words, instead")
    demo = commands.add_parser("demo", help="open the window on a demo")
    demo.add_argument(
        "scenario", nargs="?", choices=("glasshouse", "coldframe", "pots", "photo"), default="glasshouse",
        help="glasshouse: blocks and a key; coldframe: a reduction; pots: a jigsaw; photo: a photograph of a "
        "crayon sketch",
    )  # fmt: skip
    output(demo, "--out", "folder", metavar="DIR", help="do the main job into DIR, without a window")
    output(demo, "--walk", "folder", metavar="DIR", help="walk through every station, pictures into DIR")
    demo.add_argument("--json", action="store_true", help="with --out: one JSON object")
    return parser, commands.choices


def commands_said() -> tuple[tuple[str, str], ...]:
    """Every command and what it does, in the order of the work; for the man page."""
    parser, _ = _parser()
    steps = next(each for each in parser._actions if isinstance(each, argparse._SubParsersAction))
    return tuple((each.dest, each.help or "") for each in steps._choices_actions)


def _version() -> str:
    from importlib.metadata import version

    return version("nomos")


def _guide(options: argparse.Namespace) -> int:
    if options.find is None:
        text = guide.page(options.page)
        return say(options, {"page": options.page, "text": text}, [text])
    found = guide.search(options.find)
    lines = [f"{place.page}: {place.line}" for place in found] or ["The guide does not have these words."]
    return say(options, {"found": [asdict(place) for place in found]}, lines)


def _demo(options: argparse.Namespace, open_window: OpenWindow) -> int:
    if not options.out:
        return open_window(None, options.scenario, options.walk)
    from nomos.demo import demo_project, scenario_called
    from nomos.work.packet import write_packet

    ask = answers()
    project, assets = demo_project(scenario_called(options.scenario), ask)
    print_plan(write_packet(options.out, project, assets, ask), options.out, as_json=options.json)
    return DONE
