"""The paper that a command is given, and what inks cannot show on it."""

import argparse
import sys
from collections.abc import Iterable
from typing import TYPE_CHECKING, Any

from nomos.cli.common import declared

if TYPE_CHECKING:
    from nomos.colour import Ground, Lab, Opacity
    from nomos.project import Project

_PAPER = "nomos.project.model:Paper"
# A colour further off than this is said to be so, ΔE00 (chosen by us: it is just seen).
_SAID_DE00 = 0.5


def paper_options(parser: argparse.ArgumentParser, **more: Any) -> None:
    """The paper of what is printed: its colour, and what kind it is."""
    parser.add_argument("--paper", metavar="SPEC", **{"help": "the paper's colour, lab(95 0 3) or #f4f1e8", **more})
    parser.add_argument(
        "--paper-kind", type=declared(_PAPER, "kind"), metavar="KIND",
        help="coated, smooth, absorbent or newsprint; default absorbent",
    )  # fmt: skip


def paper_of(options: argparse.Namespace) -> "Lab | None":
    """The paper's colour asked for; None takes what the picture shows. Raises BadInput."""
    from nomos.colour import parse_colour

    return parse_colour(options.paper) if options.paper else None


def ground_of(options: argparse.Namespace) -> "Ground":
    """The bare paper asked for. Raises BadInput."""
    from nomos.colour import Ground, parse_colour
    from nomos.colour.layering import USUAL_KIND

    return Ground.from_lab(parse_colour(options.paper), options.paper_kind or USUAL_KIND)


def on_paper(project: "Project", options: argparse.Namespace) -> "Project":
    """The project on the kind of paper asked for."""
    from msgspec.structs import replace

    if options.paper_kind is None:
        return project
    return replace(project, paper=replace(project.paper, kind=options.paper_kind))


def not_as_said(inks: "Iterable[tuple[str, Lab, Opacity]]", ground: "Ground") -> dict[str, float]:
    """Inks that cannot have their colour on a paper, said on standard error: by how much they miss it, ΔE00.

    Parameters
    ----------
    inks : name, CIELAB and opacity of each.
    ground : the paper.
    """
    from nomos.colour.ink import shortfall

    missed = {name: shortfall(lab, opacity, ground) for name, lab, opacity in inks}
    for name, off in missed.items():
        if off >= _SAID_DE00:
            print(
                f"nomos: {name} cannot have that colour on this paper as it covers; the nearest is taken, "
                f"dE00 {off:.1f} off. Give the paper or the opacity it was read with.",
                file=sys.stderr,
            )
    return {name: round(off, 2) for name, off in missed.items() if off >= _SAID_DE00}
