"""The commands about inks: mix, ink fit, chart."""

import argparse
from pathlib import Path
from typing import TYPE_CHECKING, Any

from nomos.cli.common import print_json
from nomos.errors import BadInput

if TYPE_CHECKING:
    from nomos.project import Assets, Project

DONE = 0
_PAPER = "lab(96 0 3)"


def add_commands(commands: Any) -> None:
    """Add the commands to the program's."""
    mix = commands.add_parser("mix", help="recipes for a colour from the inks of a shelf")
    mix.add_argument("--target", required=True, metavar="SPEC", help="lab(52 18 30) or #a4683f")
    mix.add_argument("--shelf", type=Path, required=True, metavar="FILE", help="ink shelf, CSV or JSON")
    mix.add_argument("--paper", default=_PAPER, metavar="SPEC", help=f"the paper's colour, default {_PAPER}")
    mix.add_argument(
        "--over",
        action="append",
        default=[],
        metavar="SPEC",
        help="an ink printed below, in print order",
    )
    mix.add_argument("--max-inks", type=int, default=3, metavar="N", help="beside extender and white, 1 to 4")
    mix.add_argument("--grams", type=float, default=100.0, metavar="G", help="batch, default 100")
    mix.add_argument("--film", choices=("light", "normal", "heavy"), default="normal", help="how it is inked")
    mix.add_argument("--json", action="store_true", help="one JSON object")
    mix.set_defaults(run=_mix)

    ink = commands.add_parser("ink", help="teach an ink its colour")
    teach = ink.add_subparsers(dest="teach", required=True, metavar="WHAT")
    fit = teach.add_parser("fit", help="K and S from readings")
    fit.add_argument("readings", type=Path, metavar="READINGS", help="CSV, or CGATS.17 text")
    fit.add_argument("--opacity", choices=("transparent", "semi", "opaque"), default="transparent")
    fit.add_argument("--out", type=Path, metavar="SHELF.json", help="the inks as a shelf file")
    fit.add_argument("--json", action="store_true", help="one JSON object")
    fit.set_defaults(run=_fit)

    chart = commands.add_parser("chart", help="every overlap of a project's inks, to print and to test")
    chart.add_argument("project", type=Path, metavar="PROJECT")
    chart.add_argument(
        "--out", type=Path, required=True, metavar="FILE",
        help="chart.pdf or chart.png; with --learn the project with the inks refined",
    )  # fmt: skip
    chart.add_argument(
        "--learn", type=Path, metavar="READ",
        help="refine the inks by the chart as printed: its scan, or a table with patch and L, a, b or bands",
    )  # fmt: skip
    chart.add_argument("--json", action="store_true", help="one JSON object")
    chart.set_defaults(run=_chart)


def _mix(options: argparse.Namespace) -> int:
    from nomos.colour import Ground, ink_film, lab_to_hex, parse_colour, parse_ink
    from nomos.colour.mixing import choices
    from nomos.colour.weighing import in_parts, weighed
    from nomos.formats import read_inks
    from nomos.project.mixing import recipes_for, tubs_of, underlay

    if not 1 <= options.max_inks <= 4:
        raise BadInput("--max-inks must be 1 to 4.")
    if not 0.5 <= options.grams <= 100_000:
        raise BadInput("--grams must be 0.5 to 100000.")
    target, paper = parse_colour(options.target), parse_colour(options.paper)
    specs = [parse_ink(text) for text in options.over]
    ground = Ground.from_lab(paper)
    below = [ink_film(spec.lab, spec.opacity, ground, spec.strength) for spec in specs]
    tubs = tubs_of([each.ink for each in read_inks(options.shelf)], ground)
    if not tubs.inks:
        raise BadInput(f"{options.shelf.name} holds nothing but white; add an ink to mix from.")
    under = underlay(ground, below, options.film)
    found = recipes_for(target, tubs, under, most_inks=options.max_inks)
    words: dict[int, list[str]] = {}
    as_weighed = [weighed(recipe, tubs.all, options.grams, target, under)[1].de00 for recipe in found]
    for word, recipe in choices(found, as_weighed).items():
        words.setdefault(id(recipe), []).append(word)
    rows = []
    chosen = list({id(recipe): recipe for recipe in choices(found, as_weighed).values()}.values())
    for recipe in [*chosen, *[r for r in found if id(r) not in words][:3]]:
        grams, on_scales = weighed(recipe, tubs.all, options.grams, target, under)
        parts, by_knife = in_parts(recipe, tubs.all, target, under)
        rows.append(
            {
                "choice": words.get(id(recipe), []),
                "shares": {n: round(c, 4) for n, c in zip(recipe.names, recipe.shares, strict=True)},
                "parts": parts,
                "grams": grams,
                "lab": [round(value, 2) for value in recipe.lab],
                "hex": lab_to_hex(on_scales.lab),  # type: ignore[arg-type] # a tuple of three
                "de00": round(recipe.de00, 3),
                "de00_weighed": round(on_scales.de00, 3),
                "de00_parts": round(by_knife.de00, 3),
                "hiding": round(recipe.hiding, 3),
                "cost_100g": round(recipe.cost, 2),
            }
        )
    if options.json:
        print_json({"target": [round(value, 2) for value in target], "recipes": rows})
        return DONE
    for row in rows:
        weights = ", ".join(f"{name} {grams:g} g" for name, grams in row["grams"].items())  # type: ignore[attr-defined] # a dict
        word = f" ({', '.join(row['choice'])})" if row["choice"] else ""  # type: ignore[arg-type] # a list
        print(f"dE00 {row['de00_weighed']:.2f}: {weights}{word}")
    return DONE


def _fit(options: argparse.Namespace) -> int:
    import numpy as np

    from nomos.colour import lab_to_hex, reflectance_to_lab
    from nomos.colour.fitting import fit_ink
    from nomos.formats import read_readings, write_shelf
    from nomos.project.model import Ink, Known, Optics

    rows, inks = [], []
    for each in read_readings(options.readings):
        fit = fit_ink(each.readings, options.opacity)
        solid = max(each.readings, key=lambda reading: (reading.background.mean(), reading.thickness))
        lab = reflectance_to_lab(solid.measured)
        unsure_k, unsure_s = (float(np.mean(known)) for known in fit.uncertain)
        rows.append(
            {
                "name": each.name,
                "readings": len(each.readings),
                "lab": [round(float(value), 2) for value in lab],
                "hex": lab_to_hex(lab),
                "absorption": [round(float(value), 5) for value in fit.absorption],
                "scattering": [round(float(value), 5) for value in fit.scattering],
                "k1": round(fit.k1, 5),
                "de00": [round(value, 3) for value in fit.de00],
                "uncertain": {"K": round(unsure_k, 3), "S": round(unsure_s, 3)},
            }
        )
        known: Known = "readings" if len(each.readings) > 1 else "one reading"
        k, s = tuple(map(float, fit.absorption)), tuple(map(float, fit.scattering))
        colour = (float(lab[0]), float(lab[1]), float(lab[2]))
        inks.append(
            Ink(each.name, each.name, colour, options.opacity, Optics(k, s, fit.k1, sealed=True, known=known))
        )
    figures: dict[str, Any] = {"inks": rows}
    if options.out:
        write_shelf(options.out, inks)
        figures["shelf"] = str(options.out)
    if options.json:
        print_json(figures)
        return DONE
    for row in rows:
        unsure: Any = row["uncertain"]
        worst: Any = row["de00"]
        print(
            f"{row['name']}: {row['readings']} readings, worst dE00 {max(worst):.2f}; "
            f"uncertain in K {unsure['K']:.0%}, in S {unsure['S']:.0%} of the spectrum"
        )
    return DONE


def _chart(options: argparse.Namespace) -> int:
    from nomos.formats.chart import write_chart
    from nomos.project import load

    project, assets = load(options.project)
    if options.learn:
        return _learn_chart(options, project, assets)
    figures = write_chart(options.out, project)
    if options.json:
        print_json(figures)
        return DONE
    print(f"{len(figures['patches'])} overlaps of {len(figures['inks'])} inks in {options.out}")
    return DONE


def _learn_chart(options: argparse.Namespace, project: "Project", assets: "Assets") -> int:
    from nomos.formats.chart import read_chart_file
    from nomos.project import save
    from nomos.project.charting import overlap_chart
    from nomos.project.overlaps import learn_chart, with_learned

    chart = overlap_chart(project)
    learned = learn_chart(project, chart, read_chart_file(options.learn, chart, project.paper.lab))
    save(options.out, with_learned(project, learned.inks), assets)
    figures = {
        "project": str(options.out),
        "inks": [ink.name for ink in learned.inks],
        "patches": learned.patches,
        "mean_de00_before": round(learned.before, 3),
        "mean_de00_after": round(learned.after, 3),
        "worst_solid_de00": round(learned.solids, 3),
    }
    if options.json:
        print_json(figures)
        return DONE
    print(
        f"{learned.patches} patches: mean dE00 {learned.before:.2f} before, {learned.after:.2f} after; "
        f"{options.out} written"
    )
    return DONE
