"""The commands about inks: overprint, mix, ink fit, chart."""

import argparse
from dataclasses import asdict
from pathlib import Path
from typing import TYPE_CHECKING, Any

from nomos.base.errors import BadInput
from nomos.cli.common import answers, command, output, print_json, save_out, say
from nomos.cli.paper import ground_of, not_as_said, paper_options

if TYPE_CHECKING:
    from nomos.colour.mixing import Underlay
    from nomos.project import Assets, Project
    from nomos.project.inks.mixing import Tubs

DONE = 0
_PAPER = "lab(96 0 3)"


def add_commands(commands: Any) -> None:
    """Add the commands to the program's."""
    _add_overprint(commands)
    _add_mix(commands)
    _add_readings(commands)


def _add_overprint(commands: Any) -> None:
    over = command(commands, "overprint", "the colour of inks printed over each other", _overprint, project=False)
    paper_options(over, required=True)
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
    over.add_argument("--light", choices=("D50", "D65", "A", "LED-B1"), default="D50", help="the light it is seen in")


def _add_mix(commands: Any) -> None:
    mix = command(commands, "mix", "recipes for a colour from the inks of a shelf", _mix, project=False)
    mix.add_argument(
        "--target", action="append", required=True, metavar="SPEC",
        help="lab(52 18 30) or #a4683f; several with --family",
    )  # fmt: skip
    mix.add_argument(
        "--family", action="store_true", help="all the targets from the same few tubs, each from the one before"
    )
    mix.add_argument("--left", type=float, default=5.0, metavar="G", help="left of each batch for the next, default 5")
    mix.add_argument("--shelf", type=Path, required=True, metavar="FILE", help="ink shelf, CSV or JSON")
    paper_options(mix, default=_PAPER, help=f"the paper's colour, default {_PAPER}")
    mix.add_argument("--over", action="append", default=[], metavar="SPEC", help="an ink printed below, in print order")
    mix.add_argument("--max-inks", type=int, default=3, metavar="N", help="beside extender and white, 1 to 4")
    mix.add_argument("--grams", type=float, default=100.0, metavar="G", help="batch, default 100")
    mix.add_argument("--film", choices=("light", "normal", "heavy"), default="normal", help="how it is inked")
    mix.add_argument(
        "--came-out", metavar="SPEC", help="the colour that a batch of the best match came out in: what to add"
    )


def _add_readings(commands: Any) -> None:
    ink = commands.add_parser("ink", help="teach an ink its colour")
    teach = ink.add_subparsers(dest="teach", required=True, metavar="WHAT")
    fit = command(teach, "fit", "K and S from readings", _fit, project=False)
    fit.add_argument("readings", type=Path, metavar="READINGS", help="CSV, or CGATS.17 text")
    fit.add_argument("--opacity", choices=("transparent", "semi", "opaque"), default="transparent")
    output(fit, "--out", "file", ".json", metavar="SHELF.json", help="the inks as a shelf file")

    chart = command(commands, "chart", "every overlap of a project's inks, to print and to test", _chart)
    output(
        chart, "--out", "file", ".pdf", ".png", project_with="learn", metavar="FILE",
        help="chart.pdf or chart.png; with --learn the project with the inks refined",
    )  # fmt: skip
    chart.add_argument(
        "--learn", type=Path, metavar="READ",
        help="refine the inks by the chart as printed: a picture of it, or a table with patch and L, a, b or bands",
    )  # fmt: skip
    chart.add_argument(
        "--read",
        type=Path,
        metavar="PICTURE",
        help="compare a scan or a photograph of the chart as printed with what was foretold",
    )

    learn = command(commands, "learn", "what a scanned proof says of inks and trapping", _learn)
    learn.add_argument("scan", type=Path, metavar="PICTURE", help="a photograph or a scan of the whole sheet")
    output(learn, "--out", "project", metavar="PROJECT", help="the project with what explains the difference")


def _overprint(options: argparse.Namespace) -> int:
    import numpy as np

    from nomos.colour import OnWet, ink_film, lab_to_hex, overprints, parse_ink
    from nomos.colour.light import lab_under
    from nomos.colour.trapping import FILM, MIDDLE_TACK, trapping_of

    paper = ground_of(options)
    inks = [parse_ink(text) for text in options.ink]
    thickness = FILM[options.film]
    missed = not_as_said([(text, ink.lab, ink.opacity) for text, ink in zip(options.ink, inks, strict=True)], paper)
    films = [ink_film(ink.lab, ink.opacity, paper, ink.strength * thickness) for ink in inks]
    wet: list[OnWet | None] = [None] * len(films)
    if options.wet is not None:
        share = trapping_of(MIDDLE_TACK, MIDDLE_TACK) if options.wet == -1.0 else options.wet
        if not 0 <= share <= 1:
            raise BadInput("--wet must be a share from 0 to 1.")
        wet = [None, *(OnWet((place,), share) for place in range(len(films) - 1))]
    # After each pull: the first ink alone, the first two, and so on.
    rows = np.tri(len(films), dtype=bool)
    labs = lab_under(overprints(paper, films, rows, wet), options.light)
    steps = [{"lab": [round(float(v), 3) + 0.0 for v in lab], "hex": lab_to_hex(lab)} for lab in labs]
    if options.json:
        print_json({**steps[-1], "steps": steps, "not_as_said": missed})
        return DONE
    for number, (text, step) in enumerate(zip(options.ink, steps, strict=True), start=1):
        lab = " ".join(f"{value:7.2f}" for value in step["lab"])
        print(f"after {number}: {text}  ->  lab {lab}  {step['hex']}")
    return DONE


def _mix(options: argparse.Namespace) -> int:
    from nomos.colour import ink_film, lab_to_hex, parse_colour, parse_ink
    from nomos.colour.weighing import THINNED, ThinnedFirst, correct, in_parts, thinned_first, weighed
    from nomos.formats.shelf import read_inks
    from nomos.project.inks.films import known_by_colour
    from nomos.project.inks.mixing import in_words, recipes_for, tubs_of, underlay

    if not 1 <= options.max_inks <= 4:
        raise BadInput("--max-inks must be 1 to 4.")
    if not 0.5 <= options.grams <= 100_000:
        raise BadInput("--grams must be 0.5 to 100000.")
    if len(options.target) > 1 and not options.family:
        raise BadInput("One --target at a time; with --family several are mixed from the same few tubs.")
    if not 0 <= options.left <= 100_000:
        raise BadInput("--left must be 0 to 100000.")
    target, ground = parse_colour(options.target[0]), ground_of(options)
    specs = [parse_ink(text) for text in options.over]
    below = [ink_film(spec.lab, spec.opacity, ground, spec.strength) for spec in specs]
    shelf = [each.ink for each in read_inks(options.shelf)]
    missed = not_as_said(
        [
            *((text, spec.lab, spec.opacity) for text, spec in zip(options.over, specs, strict=True)),
            *((ink.name, ink.lab, ink.opacity) for ink in shelf if known_by_colour(ink)),
        ],
        ground,
    )
    tubs = tubs_of(shelf, ground)
    if not tubs.inks:
        raise BadInput(f"{options.shelf.name} holds nothing but white; add an ink to mix from.")
    under = underlay(ground, below, options.film)
    if options.family:
        return _mix_family(options, tubs, under, missed)
    found = recipes_for(target, tubs, under, most_inks=options.max_inks)
    rows = []
    for words, recipe in in_words(found, tubs, options.grams, target, under, 3):
        grams, on_scales = weighed(recipe, tubs.all, options.grams, target, under)
        thinned = thinned_first(recipe, tubs.all, options.grams, target, under)
        parts, by_knife = in_parts(recipe, tubs.all, target, under)
        rows.append(
            {
                "choice": words,
                "shares": {n: round(c, 4) for n, c in zip(recipe.names, recipe.shares, strict=True)},
                "parts": parts,
                "grams": grams,
                "lab": [round(value, 2) for value in recipe.lab],
                "hex": lab_to_hex(on_scales.lab),  # type: ignore[arg-type] # a tuple of three
                "de00": round(recipe.de00, 3),
                "de00_weighed": round(on_scales.de00, 3),
                "de00_parts": round(by_knife.de00, 3),
                "thin_first": thinned,
                "hiding": round(recipe.hiding, 3),
                "cost_100g": round(recipe.cost, 2),
            }
        )
    figures: dict[str, Any] = {"target": [round(value, 2) for value in target], "recipes": rows, "not_as_said": missed}
    if options.came_out:
        put_right = correct(found[0], tubs.all, options.grams, parse_colour(options.came_out), target, under)
        figures["correction"] = {
            "add_g": put_right.grams,
            "de00_before": round(put_right.before, 3),
            "de00_after": round(put_right.de00, 3),
            "better_anew": put_right.again,
        }
    if options.json:
        print_json(figures)
        return DONE
    for row in rows:
        weights = ", ".join(f"{name} {grams:g} g" for name, grams in row["grams"].items())  # type: ignore[attr-defined] # a dict
        word = f" ({', '.join(row['choice'])})" if row["choice"] else ""  # type: ignore[arg-type] # a list
        print(f"dE00 {row['de00_weighed']:.2f}: {weights}{word}")
        first = row["thin_first"]
        if isinstance(first, ThinnedFirst):
            then = ", ".join(f"{name} {g:g} g" for name, g in first.grams.items())
            thin = f"thin {' and '.join(first.names)} {THINNED} times in extender first"
            print(f"  nearer, dE00 {first.de00:.2f}: {thin}, then {then}")
    for name, grams in figures.get("correction", {}).get("add_g", {}).items():
        print(f"add {grams:g} g {name}")
    return DONE


def _mix_family(options: argparse.Namespace, tubs: "Tubs", under: "Underlay", missed: dict[str, float]) -> int:
    """Several colours from the same few tubs."""
    import numpy as np

    from nomos.colour import lab_to_hex, parse_colour
    from nomos.colour.family import family

    targets = [parse_colour(text) for text in options.target]
    members = family(
        targets, tubs.inks, under, most_inks=options.max_inks, white=tubs.white, batch_g=options.grams,
        left_g=min(options.left, options.grams),
    )  # fmt: skip
    rows = [
        {
            "target": [round(value, 2) for value in each.target], "before_g": each.before_g, "add_g": each.add_g,
            "lab": [round(value, 2) for value in each.recipe.lab], "hex": lab_to_hex(np.array(each.recipe.lab)),
            "de00": round(each.recipe.de00, 3),
        }
        for each in members
    ]  # fmt: skip
    lines = []
    for each in members:
        added = ", ".join(f"{name} {grams:g} g" for name, grams in each.add_g.items()) or "nothing"
        before = f"{each.before_g:g} g of the one before, then " if each.before_g else ""
        lines.append(f"{lab_to_hex(np.array(each.target))}: {before}{added}; dE00 {each.recipe.de00:.2f}")
    return say(options, {"family": rows, "not_as_said": missed}, lines)


def _fit(options: argparse.Namespace) -> int:
    import numpy as np

    from nomos.colour import as_lab, lab_to_hex, reflectance_to_lab
    from nomos.colour.fitting import fit_ink
    from nomos.formats.readings import read_readings
    from nomos.formats.shelf import write_shelf
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
        colour = as_lab(lab)
        inks.append(Ink(each.name, each.name, colour, options.opacity, Optics(k, s, fit.k1, sealed=True, known=known)))
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
    if options.read:
        return _read_chart(options, project)
    if not options.out:
        raise BadInput("Say where the chart is to go with --out, or give a scan of it with --read.")
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
    from nomos.project.inks.chart import overlap_chart
    from nomos.project.inks.overlaps import learn_chart, with_learned

    chart = overlap_chart(project)
    learned = learn_chart(project, chart, read_chart_file(options.learn, chart, project.paper.lab))
    save_out(options, with_learned(project, learned.inks), assets)
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


def _read_chart(options: argparse.Namespace, project: "Project") -> int:
    from nomos.formats.files import read_bytes
    from nomos.project.inks.chart import overlap_chart
    from nomos.project.inks.chart_reading import read_chart
    from nomos.work.scan import pixels_of

    chart = overlap_chart(project)
    found = read_chart(chart, pixels_of(read_bytes(options.read), options.read.name), project.paper.lab)
    rows = [
        {
            "inks": [chart.inks[n].name for n in each.patch.films],
            "read": [round(value, 2) for value in each.read.lab],
            "predicted": [round(float(value), 2) for value in each.patch.lab],
            "de00": round(each.de00, 3),
        }
        for each in found
    ]
    mean = sum(each.de00 for each in found) / max(len(found), 1)
    sure = max((each.sure_de00 for each in found), default=0.0)
    figures = {"patches": rows, "mean_de00": round(mean, 3), "sure_de00": round(sure, 3)}
    return say(options, figures, [f"{len(rows)} patches, mean dE00 {mean:.2f}, read to dE00 {sure:.1f}"])


def _learn(options: argparse.Namespace) -> int:
    from nomos.formats.files import read_bytes
    from nomos.project import load
    from nomos.project.register.learning import with_cause
    from nomos.project.register.proof_places import place_text
    from nomos.work.packet import printable
    from nomos.work.scan import learn_of

    project, assets = load(options.project)
    request = learn_of(project, printable(project, assets), read_bytes(options.scan), options.scan.name)
    learnt = answers()(request)
    assert project.flat is not None
    names = [colour.name for colour in project.flat.colours]
    figures: dict[str, Any] = {
        "fields": [
            {
                "name": names[each.number],
                "read": [round(v, 2) for v in each.read],
                "de00": round(each.de00, 3),
                "sure_de00": round(each.sure_de00, 3),
            }
            for each in learnt.fields
        ],
        "causes": [
            {
                "text": each.text,
                "remedy": each.remedy,
                "factor": round(each.factor, 3),
                "sure": round(each.sure, 3),
                "de00_before": round(each.before, 3),
                "de00_after": round(each.after, 3),
            }
            for each in learnt.causes
        ],
        "places": [{**asdict(each), "text": place_text(project, each)} for each in learnt.places],
    }
    if options.out:
        for cause in learnt.causes:
            project = with_cause(project, cause)
        save_out(options, project, assets)
        figures["project"] = str(options.out)
    said = [f"{each.text} {each.remedy}" for each in learnt.causes] or ["nothing needs an explanation"]
    said += [place_text(project, each) for each in learnt.places]
    return say(options, figures, said)
