"""What the commands share: the options of a design, reading it, printing figures."""

import argparse
import sys
from collections.abc import Callable, Iterable, Sequence
from dataclasses import dataclass
from functools import cache
from importlib import import_module
from pathlib import Path
from typing import TYPE_CHECKING, Any

from nomos.base.errors import BadInput
from nomos.base.language import MARKS
from nomos.base.reading import read_whole

if TYPE_CHECKING:
    import numpy as np
    from numpy.typing import NDArray

    from nomos.colour import Lab
    from nomos.design import Cut
    from nomos.design.cut import Corners, Found
    from nomos.design.picture import Pixels
    from nomos.formats.outputs import Makes
    from nomos.project import Assets, Project
    from nomos.work import Answers
    from nomos.work.open import Flattened


def declared(where: str, path: str) -> Callable[[str], Any]:
    """Reads the value of an option that a struct declares, by its bounds and choices.

    Parameters
    ----------
    where : module and struct, as `nomos.registration.kento:KentoSettings`; loaded when a value is read.
    path : the field in it.
    """

    def read(text: str) -> Any:
        from nomos.base.fields import fields_of, read_field

        module, _, kind = where.partition(":")
        try:
            return read_field(fields_of(getattr(import_module(module), kind))[path], text)
        except BadInput as error:
            raise argparse.ArgumentTypeError(str(error)) from None

    return read


KENTO, CRAFT = "nomos.registration.kento:KentoSettings", "nomos.project.model.craft:Craft"
REGISTER, PROJECT = "nomos.registration.settings:RegisterSettings", "nomos.project.model:Project"


@cache
def answers() -> "Answers":
    """What the commands of this process ask."""
    from nomos.work import Answers

    # One command asks all it needs once, and ends: a page as large as A2 must not be cut twice for it.
    return Answers(most_bytes=800_000_000)


def command(
    commands: Any, name: str, said: str, run: Callable[[argparse.Namespace], int], *, project: bool = True
) -> argparse.ArgumentParser:
    """A command with --json, and of most commands the project they are about: its parser."""
    parser: argparse.ArgumentParser = commands.add_parser(name, help=said)
    if project:
        parser.add_argument("project", type=Path, metavar="PROJECT")
    parser.add_argument("--json", action="store_true", help="one JSON object")
    parser.set_defaults(run=run)
    return parser


@dataclass(frozen=True)
class Written:
    """What an option of a command names to be written; its suffixes are any where none are named.

    project_with : another option, with which a project is written instead.
    content : the suffix that says what is made, where its name need not.
    """

    makes: "Makes" = "file"
    suffixes: tuple[str, ...] = ()
    project_with: str = ""
    content: str = ""


def output(
    parser: argparse.ArgumentParser, flag: str, makes: "Makes" = "file", *suffixes: str,
    project_with: str = "", content: str = "", **said: Any,
) -> None:  # fmt: skip
    """An option that names what is written; whether it may be is decided before the command runs."""
    action = parser.add_argument(flag, type=Path, **said)
    written = Written(makes, (".nomos",) if makes == "project" else suffixes, project_with, content)
    parser.set_defaults(outputs={**(parser.get_default("outputs") or {}), action.dest: written})


def inputs_of(options: argparse.Namespace) -> tuple[Path, ...]:
    """The files that a command was told to read."""
    outputs = getattr(options, "outputs", {})
    values = (value for name, value in vars(options).items() if name not in outputs)
    return tuple(value for value in values if isinstance(value, Path))


def check_outputs(options: argparse.Namespace) -> None:
    """Raises BadInput where a command may not write what it was told to; nothing has been changed."""
    named = {name: getattr(options, name) for name in getattr(options, "outputs", {})}
    if not any(named.values()):
        return
    from nomos.formats.outputs import Output, check_output

    for name, path in named.items():
        written: Written = options.outputs[name]
        if path is not None:
            as_named = Output(written.makes, written.suffixes, written.content)
            made = bool(written.project_with) and getattr(options, written.project_with) is not None
            what = Output("project", (".nomos",)) if made else as_named
            check_output(path, what, inputs_of(options))


def save_out(options: argparse.Namespace, project: "Project", assets: "Assets") -> None:
    """Write the project that a command has made. Raises BadInput."""
    from nomos.project import save
    from nomos.project.model.edits import with_id

    save(options.out, with_id(project), assets)


def say(options: argparse.Namespace, figures: dict[str, Any], lines: Iterable[str]) -> int:
    """The figures as JSON, or in words; the exit status."""
    if options.json:
        print_json(figures)
    else:
        print("\n".join(lines))
    return 0


def pull_called(project: "Project", name: str) -> str:
    """The id of the first impression of a block, by the block's name. Raises BadInput."""
    for pull in project.impressions:
        if project.pull_name(pull.id).lower() == name.strip().lower():
            return pull.id
    known = ", ".join(dict.fromkeys(project.pull_name(pull.id) for pull in project.impressions))
    raise BadInput(f"No block is called '{name}'; the project prints {known or 'nothing yet'}.")


def drawn_key(project: "Project", assets: "Assets") -> int | None:
    """The number of the dark colour made of lines, if the design has one."""
    from nomos.project import labels_of
    from nomos.separation import find_key

    if project.flat is None:
        return None
    labels, px_per_mm = labels_of(project, assets)
    return find_key(labels, [colour.lab for colour in project.flat.colours], px_per_mm)


def design_options(parser: argparse.ArgumentParser, *, colours: str | None = None) -> None:
    """The options of every command that reads a design. colours : the default number, None to require it."""
    parser.add_argument(
        "--colours", required=colours is None, default=colours, metavar="K",
        help="2 to 24, or auto" + (" (default)" if colours == "auto" else ""),
    )  # fmt: skip
    parser.add_argument("--size-mm", metavar="WxH", help="size of the image, as 180x240 or 7x9.5in")
    parser.add_argument("--min-feature-mm", type=float, metavar="D", help="smallest feature, default 0.8")
    parser.add_argument(
        "--corners", metavar="'X,Y X,Y X,Y X,Y'",
        help="what is printed of a photograph: top left, top right, bottom right, bottom left, in pixels",
    )  # fmt: skip
    parser.add_argument(
        "--straighten",
        choices=("auto", "none"),
        default="auto",
        help="auto (default) finds the sheet in a photograph and what is drawn on it; none: as --whole",
    )
    for option, what in (("--leave-out", "left out"), ("--keep", "kept")):
        parser.add_argument(
            option, action="append", default=[], choices=("hand", "object", "writing", "stain"),
            help=f"what only lies on a photographed sheet and is {what}, whatever is found; once for each",
        )  # fmt: skip
    parser.add_argument("--whole", action="store_true", help="all of the picture is the design")
    parser.add_argument(
        "--drawn-on", metavar="PAPER", help="with --straighten: the sheet's size, A4, B5, Letter, 210x297"
    )
    parser.add_argument(
        "--read-as", choices=("auto", "drawing", "sketch", "tones"), default="auto",
        help="a clean digital drawing, a sketch drawn by hand, or a photograph's tones; default: judged",
    )  # fmt: skip
    parser.add_argument("--seed", type=seed, default=0, help="the same seed gives the same result")


def asked_colours(text: str) -> int | None:
    """The number of colours asked for; None leaves it to the program. Raises BadInput."""
    if text == "auto":
        return None
    try:
        return int(text)
    except ValueError:
        raise BadInput(f"'{text}' is not a number of colours; write 2 to 24, or auto.") from None


@dataclass(frozen=True, eq=False)
class Design:
    """A design flattened as the options ask for it: its bytes, and what of it was found.

    figures : for JSON, `corners` and how `sure` where a photograph was straightened.
    """

    data: bytes
    done: "Flattened"
    figures: dict[str, Any]


def flattened_design(options: argparse.Namespace) -> Design:
    """Read and flatten the design; notes go to standard error. Raises BadInput."""
    from nomos.base.units import parse_size
    from nomos.design import SMALLEST_FEATURE_MM, read_picture
    from nomos.project import Source, digest
    from nomos.work.open import Wish, flatten_of

    count = asked_colours(options.colours)
    size = parse_size(options.size_mm) if options.size_mm else None
    data = read_whole(options.design)
    pixels, cut, size, figures = _cut_of(options, data, size)
    picture = read_picture(pixels or data, options.design.name, size_mm=size, cut=cut)
    _say_notes(picture.notes)
    source = Source(options.design.name, digest(data), picture.size_mm, cut)
    least_mm = SMALLEST_FEATURE_MM if options.min_feature_mm is None else options.min_feature_mm
    wish = Wish(count, least_mm, None if options.read_as == "auto" else options.read_as, seed=options.seed)
    done = answers()(flatten_of(source, data, wish))
    _say_notes(done.flat.notes)
    return Design(data, done, figures)


def _cut_of(
    options: argparse.Namespace, data: bytes, size: tuple[float, float] | None
) -> tuple["Pixels | None", "Cut | None", tuple[float, float] | None, dict[str, Any]]:
    """The pixels, what of them is printed, its size if the sheet says it, and the figures for JSON."""
    from dataclasses import replace

    import numpy as np

    from nomos.design import Cut, find_cut, read_pixels
    from nomos.design.cut import Found, as_corners, checked_cut, drawn_size, foreign_on
    from nomos.design.svg import is_svg

    if is_svg(data) or (not options.corners and (options.whole or options.straighten != "auto")):
        if options.drawn_on:
            raise BadInput("--drawn-on needs a photograph of a sheet: the sheet has to be found first.")
        return None, None, size, {}
    pixels = read_pixels(data, options.design.name)
    shape = np.array([pixels.rgb.shape[1], pixels.rgb.shape[0]], np.float64)
    if options.corners:
        corners = _parsed_corners(options.corners)
        cut = checked_cut(Cut(as_corners(corners / shape)), options.design.name)
        # Corners that were given say what is printed: a hand on it is asked about, not left out.
        hands = [replace(each, sure=False) for each in foreign_on(pixels.rgb, corners) if each.kind == "hand"]
        found = Found(cut, cut.corners, 1.0, True, "", foreign=tuple(hands))
        cut = _with_wish(found, options)
        figures = {"corners": _in_pixels(cut.corners, shape), "sure": 1.0, "foreign": _foreign(found, cut)}
        return pixels, cut, size, figures
    found = find_cut(pixels.rgb)
    if not found.certain:
        proposed = " ".join(f"{x:g},{y:g}" for x, y in _in_pixels(found.cut.corners, shape))
        seen = ", ".join(
            f"{side} {share:.0%}" for side, share in zip(("top", "right", "bottom", "left"), found.seen, strict=True)
        )
        raise BadInput(
            f"Where the sheet lies in {options.design.name} is not sure (of its edges are seen: {seen}). "
            f"The likeliest is --corners '{proposed}'; give that or better ones, or --whole for all of it."
        )
    if found.cut == Cut() and not found.foreign:
        if options.drawn_on:
            raise BadInput("--drawn-on needs a photograph of a sheet: no sheet lies in this picture.")
        return pixels, None, size, {}
    cut = _with_wish(found, options)
    if options.drawn_on and size is None:
        found = replace(found, cut=cut)
        size = drawn_size(found, pixels.rgb.shape, _sheet_size(options.drawn_on, found.sheet, pixels.rgb.shape))
        size = (round(size[0], 1), round(size[1], 1))
    figures = {
        "corners": _in_pixels(cut.corners, shape),
        "sheet": _in_pixels(found.sheet, shape),
        "sure": round(found.sure, 3),
        "seen": list(found.seen),
        "certain": found.certain,
        "shape": found.paper or None,
        "foreign": _foreign(found, cut),
    }
    return pixels, cut, size, figures


def _foreign(found: "Found", cut: "Cut") -> list[dict[str, Any]]:
    return [{"kind": each.kind, "left_out": each.outline in cut.bare, "sure": each.sure} for each in found.foreign]


def _with_wish(found: "Found", options: argparse.Namespace) -> "Cut":
    """What is printed, with what is left out or kept as it was asked for; says what was found."""
    from dataclasses import replace

    from nomos.design.cut import cut_with
    from nomos.design.foreign import NAMES

    cut = found.cut
    for each in found.foreign:
        if each.kind in options.keep and each.outline in cut.bare:
            cut = cut_with(cut, each, (1.0, 1.0))
        elif each.kind in options.leave_out and each.outline not in cut.bare:
            cut = replace(cut, bare=(*cut.bare, each.outline))
        said, other = ("left out", "keep") if each.outline in cut.bare else ("kept", "leave-out")
        print(f"nomos: {NAMES[each.kind]} on the sheet is {said}; --{other} {each.kind}.", file=sys.stderr)
    return cut


def _parsed_corners(text: str) -> "NDArray[np.float64]":
    import numpy as np

    parts = text.replace(";", " ").split()
    try:
        points = [tuple(float(value) for value in part.split(",")) for part in parts]
    except ValueError:
        points = []
    if len(points) != 4 or any(len(point) != 2 for point in points):
        raise BadInput(
            f"'{text}' are not four corners; write them as 'X,Y X,Y X,Y X,Y': top left, top right, bottom "
            "right, bottom left, in pixels of the picture."
        )
    return np.array(points, np.float64)


def _in_pixels(corners: "Corners", shape: "NDArray[np.float64]") -> list[list[float]]:
    return [[round(float(x * shape[0]), 1), round(float(y * shape[1]), 1)] for x, y in corners]


def _sheet_size(text: str, sheet: "Corners", shape: tuple[int, ...]) -> tuple[float, float]:
    import numpy as np

    from nomos.base.units import parse_size
    from nomos.design.cut import paper_size, proportions

    if "x" in text.lower() or "×" in text:
        return parse_size(text)
    corners = np.array(sheet) * np.array([shape[1], shape[0]], np.float64)
    return paper_size(text, proportions(corners, shape))


def seed(text: str) -> int:
    """A number that chance begins with. Raises BadInput."""
    if not text.isdigit() or int(text) >= 2**32:
        raise BadInput(f"--seed {text} does not work: choose a whole number from 0 to {2**32 - 1}.")
    return int(text)


def print_json(figures: dict[str, Any]) -> None:
    """One JSON object on standard output; dataclasses, dates and tuples are written as they are."""
    import msgspec

    text = msgspec.json.encode(figures, enc_hook=_plain).decode()
    # What the terminal would be shown as marks is written so that a reader gets it back as it was.
    print(text.translate({code: f"\\u{code:04x}" for code in MARKS}))


def _plain(value: Any) -> Any:
    """What NumPy gives, as a plain number or list."""
    return value.tolist()


def project_of_design(
    options: argparse.Namespace, paper: "Lab | None", sheet_mm: tuple[float, float] | None = None
) -> tuple["Project", dict[str, bytes]]:
    """A project for the design, flattened and separated the plain way. Raises BadInput."""
    from nomos.work.open import assets_of, project_of

    design = flattened_design(options)
    project = project_of(options.design.stem, design.done, paper_lab=paper, sheet_mm=sheet_mm)
    return project, assets_of(design.data, design.done)


def _say_notes(notes: Sequence[str]) -> None:
    """What had to be assumed or could not be, on standard error."""
    for note in notes:
        print(f"nomos: {note}", file=sys.stderr)
