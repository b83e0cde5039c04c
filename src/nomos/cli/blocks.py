"""The commands about blocks: separate, blocks, keys, simplify."""

import argparse
from collections.abc import Iterable
from pathlib import Path
from typing import TYPE_CHECKING, Any

from nomos.base.errors import BadInput
from nomos.cli.common import (
    answers,
    command,
    design_options,
    drawn_key,
    inputs_of,
    output,
    print_json,
    project_of_design,
    pull_called,
    save_out,
    say,
)
from nomos.cli.paper import on_paper, paper_of, paper_options

if TYPE_CHECKING:
    from nomos.colour import Lab
    from nomos.project import Assets, Project
    from nomos.separation.fields import Borders
    from nomos.separation.plans import Plan

DONE = 0


def add_commands(commands: Any) -> None:
    """Add the commands to the program's."""
    parser = command(
        commands, "separate", "plans with few blocks whose overlaps give further colours", _separate, project=False
    )
    parser.add_argument("design", type=Path, metavar="DESIGN|PROJECT", help="a picture or a .nomos project")
    parser.add_argument("--inks", type=Path, metavar="FILE", help="ink shelf, CSV or JSON")
    parser.add_argument("--blocks", type=int, default=5, metavar="N", help="at most so many, default 5")
    parser.add_argument(
        "--method",
        choices=("multiblock", "process", "reduction", "jigsaw", "twosided"),
        default="multiblock",
        help="process: a yellow, a bluish red and a blue, and the design's dark key; "
        "reduction: one board cut further between pulls; jigsaw: one block sawn into pieces; "
        "twosided: the plan's blocks on the faces of half as many boards",
    )
    parser.add_argument("--key", choices=("free", "keep"), help="keep: the drawn key stays as it is")
    parser.add_argument("--must", action="append", default=[], metavar="NAME", help="an ink that must print")
    parser.add_argument("--must-not", action="append", default=[], metavar="NAME", help="one that must not")
    design_options(parser, colours="auto")
    paper_options(parser)
    output(parser, "--out", "project", metavar="PROJECT", help="the best plan as a .nomos project")

    blocks = command(commands, "blocks", "the blocks as pictures or outlines", _blocks)
    output(blocks, "--out", "folder", required=True, metavar="DIR")
    blocks.add_argument("--as", dest="kind", choices=("png", "tiff", "ora", "svg"), default="png")

    keys = command(commands, "keys", "another kind of key", _keys)
    keys.add_argument("--kind", required=True, choices=("drawn", "contour", "shadow", "none"))
    keys.add_argument("--block", metavar="NAME", help="with drawn: the block that is the key")
    keys.add_argument("--width-mm", type=float, metavar="W", help="with contour: how wide the line is")
    output(keys, "--out", "project", required=True, metavar="PROJECT", help="the project with that key")

    simple = command(commands, "simplify", "a shorter outline where nothing is seen of it", _simplify)
    simple.add_argument("--block", required=True, metavar="NAME")
    output(simple, "--out", "project", required=True, metavar="PROJECT", help="the project with that block")


def _opened(options: argparse.Namespace) -> tuple["Project", "Assets"]:
    from nomos.project import load
    from nomos.project.model.edits import with_paper
    from nomos.project.model.store import SUFFIX

    if options.design.suffix.lower() != SUFFIX:
        project, assets = project_of_design(options, paper_of(options))
        return on_paper(project, options), assets
    project, assets = load(options.design)
    project = with_paper(project, lab=paper_of(options)) if options.paper else project
    return on_paper(project, options), assets


def _separate(options: argparse.Namespace) -> int:
    from nomos.formats.shelf import read_inks
    from nomos.project.blocks.boards import board_pairs, turned_text
    from nomos.project.blocks.methods import METHODS, USUAL_METHOD, with_method
    from nomos.project.blocks.plans import with_plan
    from nomos.work.cut import cut_of
    from nomos.work.plans import InkSource, Wanted, plans_of

    project, assets = _opened(options)
    method = METHODS.get(options.method)
    if method is not None and not method.own_blocks:
        return _one_block(options, project, assets)
    cut, ask = cut_of(project, assets), answers()
    if cut is None or project.flat is None:
        raise BadInput(f"{options.design.name} has no flat design yet; open it and flatten a picture first.")
    if options.blocks < 1:
        raise BadInput(f"A plan can have 1 to 8 blocks, not {options.blocks}.")
    process = options.method == "process"
    source: InkSource = "shelf" if options.inks else "process" if process else "own"
    # With process colours the design's own dark key stays; from a shelf, every block takes one of its inks.
    keep = options.key == "keep" or (options.key is None and (process or not options.inks))
    has_key = keep and any(block.is_key for block in project.blocks)
    uses = tuple((name, "must") for name in options.must) + tuple((name, "not") for name in options.must_not)
    shelf = read_inks(options.inks) if options.inks else ()
    wanted = Wanted(source, options.blocks, keep, shelf, uses=uses, seed=options.seed)
    search = ask(plans_of(project, cut, wanted))
    found, borders = search.plans, ask(cut).borders
    best = with_plan(project, found[-1][0], keep_key=keep)
    if method is not None and options.method != USUAL_METHOD:
        best = with_method(best, options.method)
    figures: dict[str, Any] = {
        "size_mm": [round(project.image.width, 2), round(project.image.height, 2)],
        "key": has_key,
        "plans": [_plan_figures(project, borders, plan, keep=keep, key=has_key) for plans in found for plan in plans],
        "reach": [
            {
                "id": number,
                "name": project.flat.colours[number].name,
                "nearest": [round(value, 2) for value in near.lab],
                "de00": round(near.de00, 3),
                "inks": [{"name": name, "strength": strength} for name, strength in near.inks],
            }
            for number, near in search.reach
        ],
    }
    if board_pairs(best):
        figures["boards"] = [{"front": front.name, "back": back.name} for front, back in board_pairs(best)]
        figures["turning"] = turned_text(best)
    if options.out:
        save_out(options, best, assets)
        figures["project"] = str(options.out)
    if options.json:
        print_json(figures)
        return DONE
    for plan in figures["plans"]:
        inks_text = ", ".join(f"{ink['name']} {ink['strength']:.0%}" for ink in plan["inks"])
        print(
            f"{plan['blocks']} blocks: mean dE00 {plan['mean_de00']:.2f}, worst {plan['worst_de00']:.2f}, "
            f"{plan['reached']} of {len(plan['fields'])} colours reached: {inks_text}"
        )
    return DONE


def _one_block(options: argparse.Namespace, project: "Project", assets: "Assets") -> int:
    """A reduction or a jigsaw: one plan, on one block."""
    from nomos.formats.shelf import read_inks
    from nomos.project import labels_of
    from nomos.project.blocks.jigsaw import pieces_of
    from nomos.project.blocks.methods import with_method
    from nomos.project.blocks.plans import candidates_of
    from nomos.project.blocks.reduction import cut_before, is_reduction
    from nomos.separation.fields import measure_borders

    labels, px_per_mm = labels_of(project, assets)
    assert project.flat is not None
    shelf = candidates_of(read_inks(options.inks), project) if options.inks else ()
    project = with_method(project, options.method, drawn_key(project, assets), shelf=shelf)
    assert project.flat is not None
    borders = measure_borders(labels, len(project.flat.colours), px_per_mm)
    plan = _printed_figures(project, borders)
    if is_reduction(project):
        states = [list(project.block(impression.block).colours) for impression in project.impressions]
        outline = sum(borders.outline_mm(_chosen(project, state)) for state in states)
        plan |= {
            "states": len(states),
            "cut_before": [list(cut) for cut in cut_before(project)],
            "clear_area_mm2": round(float(borders.area_mm2.sum() - borders.area_mm2[states[-1]].sum()), 1),
            "outline_mm": round(float(outline), 1),
        }
    else:
        pieces = pieces_of(project, labels, px_per_mm)
        plan |= {
            "pieces": len(pieces),
            "clear_area_mm2": round(float(borders.area_mm2[list(project.bare_colours())].sum()), 1),
            "outline_mm": round(sum(_length_mm(piece.path) for piece in pieces), 1),
        }
    figures: dict[str, Any] = {
        "size_mm": [round(project.image.width, 2), round(project.image.height, 2)], "plans": [plan],
    }  # fmt: skip
    if options.out:
        save_out(options, project, assets)
        figures["project"] = str(options.out)
    if options.json:
        print_json(figures)
        return DONE
    parts = f"{plan['states']} states" if "states" in plan else f"{plan['pieces']} pieces"
    print(f"{options.method}, {parts}: mean dE00 {plan['mean_de00']}, worst {plan['worst_de00']}")
    return DONE


def _chosen(project: "Project", numbers: Iterable[int]) -> Any:
    import numpy as np

    assert project.flat is not None
    return np.isin(np.arange(len(project.flat.colours)), list(numbers))


def _length_mm(path: Any) -> float:
    import numpy as np

    return float(np.hypot(*np.diff(path, axis=0).T).sum())


def _printed_figures(project: "Project", borders: "Borders") -> dict[str, Any]:
    """What every printed colour comes to, and the inks, of a project that is one plan itself."""
    import numpy as np

    from nomos.colour import delta_e00
    from nomos.project.inks.films import predicted, printing_sets, pulls_of

    assert project.flat is not None
    sets = printing_sets(project)
    shown = predicted(project, sets)
    numbers = [n for n, films in enumerate(sets) if films]
    wanted = np.array([project.flat.colours[n].lab for n in numbers])
    de00, area = delta_e00(shown[numbers], wanted), borders.area_mm2[numbers]
    return {
        "blocks": len({block.board or block.id for block in project.blocks}),
        "mean_de00": round(float(de00 @ area / area.sum()), 3),
        "worst_de00": round(float(de00.max()), 3),
        "inks": [
            _ink_figures(ink.name, ink.lab, ink.opacity, zone.strength)
            for pull in project.impressions
            for zone in pull.zones
            for ink in (project.ink(zone.ink),)
        ],
        "fields": [
            _field_figures(
                project, number, shown[number], float(distance), float(borders.area_mm2[number]),
                sorted(pulls_of(project, sets[number])),
            )
            for number, distance in zip(numbers, de00, strict=True)
        ],
    }  # fmt: skip


def _plan_figures(project: "Project", borders: "Borders", plan: "Plan", *, keep: bool, key: bool) -> dict[str, Any]:
    import numpy as np

    from nomos.project.blocks.plans import plan_costs, planned_colours
    from nomos.project.inks.colour_uncertainty import plan_sureness
    from nomos.project.inks.films import stock_of

    assert project.flat is not None
    costs = plan_costs(project, borders, plan, keep_key=keep)
    sure = plan_sureness(stock_of(project), plan)
    numbers = planned_colours(project, keep_key=keep)
    return {
        "blocks": len(plan.inks) + key,
        "mean_de00": round(plan.mean_de00, 3),
        "worst_de00": round(plan.worst_de00, 3),
        "worst_within": round(float(sure.within[int(np.argmax(plan.de00))]), 2),
        "reached": plan.reached,
        "inks": [_ink_figures(ink.name, ink.lab, ink.opacity, ink.strength) for ink in plan.inks],
        "fields": [
            _field_figures(project, number, printed, de00, float(borders.area_mm2[number]), members)
            for number, members, printed, de00 in zip(numbers, plan.members, plan.printed, plan.de00, strict=True)
        ],
        "clear_area_mm2": round(costs.clear_area_mm2, 1),
        "outline_mm": round(costs.outline_mm, 1),
        "tight_border_mm": round(costs.tight_mm, 1),
    }


def _blocks(options: argparse.Namespace) -> int:
    from nomos.formats.masks import mask_layers, write_blocks
    from nomos.project import load
    from nomos.work.cut import cut_of

    project, assets = load(options.project)
    request = cut_of(project, assets)
    if request is None:
        raise BadInput(f"{options.project.name} has no flat design yet; open it and flatten a picture first.")
    cut = answers()(request)
    layers = mask_layers(project, cut)
    names = write_blocks(options.out, layers, cut.px_per_mm, options.kind, inputs_of(options))
    if options.json:
        print_json({"files": list(names), "blocks": [layer.name for layer in layers]})
    else:
        print("\n".join(str(options.out / name) for name in names))
    return DONE


def _ink_figures(name: str, lab: "Lab", opacity: str, strength: float) -> dict[str, Any]:
    import numpy as np

    from nomos.colour import lab_to_hex

    return {
        "name": name,
        "strength": strength,
        "hex": lab_to_hex(np.array(lab)),
        "lab": _rounded(lab),
        "opacity": opacity,
    }


def _field_figures(
    project: "Project", number: int, printed: Iterable[float], de00: float, area_mm2: float, places: Iterable[int]
) -> dict[str, Any]:
    assert project.flat is not None
    return {
        "id": number,
        "name": project.flat.colours[number].name,
        "target": _rounded(project.flat.colours[number].lab),
        "printed": _rounded(printed),
        "de00": round(de00, 3),
        "area_mm2": round(area_mm2, 1),
        "blocks": [place + 1 for place in places],
    }


def _rounded(lab: Iterable[float]) -> list[float]:
    return [round(float(value), 2) for value in lab]


def _keys(options: argparse.Namespace) -> int:
    from nomos.project import load
    from nomos.project.blocks.keys import (
        CONTOUR_MM,
        with_contour_key,
        with_drawn_key,
        with_shadow_key,
        without_made_key,
    )

    project, assets = load(options.project)
    if options.kind == "contour":
        project = with_contour_key(project, options.width_mm or CONTOUR_MM)
    elif options.kind == "shadow":
        project = with_shadow_key(project)
    elif options.kind == "none":
        project = without_made_key(project)
    else:
        if not options.block:
            raise BadInput("--kind drawn needs --block, the block that is the key.")
        pull = project.impression(pull_called(project, options.block))
        project = with_drawn_key(project, pull.block)
    save_out(options, project, assets)
    keys = [block.name for block in project.blocks if block.is_key]
    figures = {"project": str(options.out), "keys": keys, "blocks": [block.name for block in project.blocks]}
    return say(options, figures, [f"{options.out}: key {', '.join(keys) or 'none'}"])


def _simplify(options: argparse.Namespace) -> int:
    from nomos.project import digest, load, mask_to_png
    from nomos.project.blocks.edits import with_drawn
    from nomos.project.check.cutting import simpler_block
    from nomos.work.cut import lay_of
    from nomos.work.packet import printable

    project, assets = load(options.project)
    cut, pull = printable(project, assets), pull_called(project, options.block)
    simpler = simpler_block(project, answers()(cut), answers()(lay_of(project, cut)), pull)
    data = mask_to_png(simpler.mask)
    project = with_drawn(project, {project.impression(pull).block: digest(data)})
    save_out(options, project, {**assets, digest(data): data})
    figures = {
        "project": str(options.out),
        "outline_before_mm": round(simpler.outline_before_mm, 1),
        "outline_after_mm": round(simpler.outline_after_mm, 1),
        "area_change_mm2": round(simpler.area_change_mm2, 1),
    }
    return say(
        options, figures,
        [f"{options.block}: {simpler.outline_before_mm:.0f} mm to cut before, "
         f"{simpler.outline_after_mm:.0f} mm after"],
    )  # fmt: skip
