"""What the commands share: the options of a design, reading it, printing figures."""

import argparse
import json
import sys
from pathlib import Path
from typing import TYPE_CHECKING, Any

from nomos.errors import BadInput

if TYPE_CHECKING:
    from nomos.colour import Lab
    from nomos.design import Picture
    from nomos.project import Project


def design_options(parser: argparse.ArgumentParser) -> None:
    """The options of every command that reads a design."""
    parser.add_argument("design", type=Path, metavar="DESIGN", help="PNG, JPEG, TIFF, WebP or SVG")
    parser.add_argument("--colours", required=True, metavar="K", help="2 to 24, or auto")
    parser.add_argument("--size-mm", metavar="WxH", help="size of the image, as 180x240 or 7x9.5in")
    parser.add_argument("--min-feature-mm", type=float, metavar="D", help="smallest feature, default 0.8")
    parser.add_argument("--seed", type=int, default=0, help="the same seed gives the same result")
    parser.add_argument("--json", action="store_true", help="one JSON object")


def asked_colours(text: str) -> int | None:
    """The number of colours asked for; None leaves it to the program. Raises BadInput."""
    if text == "auto":
        return None
    try:
        return int(text)
    except ValueError:
        raise BadInput(f"'{text}' is not a number of colours; write 2 to 24, or auto.") from None


def read_design(options: argparse.Namespace) -> tuple[bytes, "Picture"]:
    """The design's bytes and the picture at its size; notes go to standard error. Raises BadInput."""
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


def smallest(options: argparse.Namespace) -> float:
    """The smallest feature in mm."""
    from nomos.design import SMALLEST_FEATURE_MM

    return SMALLEST_FEATURE_MM if options.min_feature_mm is None else options.min_feature_mm


def print_json(figures: dict[str, Any]) -> None:
    """One JSON object on standard output."""
    print(json.dumps(figures, ensure_ascii=False))


def project_of_design(
    options: argparse.Namespace, paper: "Lab", sheet_mm: tuple[float, float] | None = None
) -> tuple["Project", dict[str, bytes]]:
    """A project for the design, flattened and separated the plain way. Raises BadInput."""
    from nomos.design import flatten
    from nomos.project import Source, digest, labels_to_png
    from nomos.project.edits import new_project, with_flat_design, with_source

    count, least_mm = asked_colours(options.colours), smallest(options)
    data, picture = read_design(options)
    project = new_project(options.design.stem, picture.size_mm, paper_lab=paper, sheet_mm=sheet_mm)
    project = with_source(project, Source(options.design.name, digest(data), picture.size_mm))
    flat = flatten(picture, count, smallest_feature_mm=least_mm, seed=options.seed)
    labels = labels_to_png(flat.labels)
    project = with_flat_design(
        project, flat, digest(labels), asked=count, smallest_feature_mm=least_mm, seed=options.seed
    )
    return project, {digest(data): data, digest(labels): labels}


def paper_of(options: argparse.Namespace) -> "Lab":
    """The paper's colour asked for, or the default. Raises BadInput."""
    from nomos.colour import parse_colour
    from nomos.project.edits import DEFAULT_PAPER_LAB

    return parse_colour(options.paper) if options.paper else DEFAULT_PAPER_LAB
