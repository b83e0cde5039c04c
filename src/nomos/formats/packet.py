"""The packet a printmaker takes to the bench: project, proof, stages, templates, plan."""

import json
from collections.abc import Sequence
from datetime import date
from pathlib import Path
from typing import Any

import numpy as np
from numpy.typing import NDArray

from nomos.colour import lab_to_hex
from nomos.edition import SheetsError
from nomos.formats.carving_pdf import carving_pdf
from nomos.formats.drawing import bench_drawing, pins_drawing
from nomos.formats.drawing_files import drawing_dxf, drawing_svg, drawings_pdf
from nomos.formats.files import write_file, writing_into
from nomos.formats.index_pdf import index_pdf
from nomos.formats.pdf import DEFAULT_PAPER, templates_pdf
from nomos.formats.pictures import png
from nomos.formats.record import process_page, process_pdf, stage_words, statement_pdf
from nomos.formats.svg import template_svg
from nomos.formats.template import templates
from nomos.formats.transfer_pdf import transfer_pdf
from nomos.order import reasons
from nomos.progress import NULL_PROGRESS, Part, Progress
from nomos.project import (
    Assets,
    CutBlocks,
    Finding,
    LaidSheet,
    Project,
    colour_matches,
    cut_blocks,
    impressions_to_lay,
    kento_or_reason,
    lay_sheet,
    mask_request,
    mean_difference,
    save,
    sheet_labs,
)
from nomos.project.boards import board_pairs, turned_text
from nomos.project.carvings import CarvedBlock, carve_blocks, carving_findings, hours_of
from nomos.project.closelook import CloseLook, look_closely
from nomos.project.editions import all_sheets, buying_list, sheets_of
from nomos.project.edits import between_pulls, in_register, layers
from nomos.project.films import zone_colours
from nomos.project.jigsaw import pieces_of
from nomos.project.keys import carrying_text
from nomos.project.methods import method_of
from nomos.project.model import Impression, ProjectError
from nomos.project.registering import plan_of_system
from nomos.project.review import review
from nomos.project.tolerating import worst_mm
from nomos.proof import render, to_rgb
from nomos.registration import Kento


def write_packet(
    folder: Path,
    project: Project,
    assets: Assets,
    *,
    paper: str = DEFAULT_PAPER,
    progress: Progress = NULL_PROGRESS,
) -> dict[str, Any]:
    """Write everything of a project into a folder and return the plan that `plan.json` holds.

    Proofs and templates show every block in register, whatever was tried on
    the screen. Files are replaced one by one, each whole or not at all.

    Raises
    ------
    BadInput : nothing to print, no room for the kento, or the folder cannot be written.
    Cancelled : called off through `progress`.
    """
    project = in_register(project)
    request = mask_request(project, assets)
    if request is None or not project.impressions:
        raise ProjectError("flat", "There is nothing to print yet: open a picture and flatten it first.")
    blocks = cut_blocks(request, progress=Part(progress, 0.0, 0.2))
    drawn = templates(project, blocks, progress=Part(progress, 0.2, 0.45))
    pdf = templates_pdf(drawn, paper=paper, progress=Part(progress, 0.45, 0.6))
    laid = lay_sheet(blocks, impressions_to_lay(project), pad_mm=0)
    names = []
    with writing_into(folder):
        (folder / "svg").mkdir(parents=True, exist_ok=True)
        save(folder / "project.nomos", project, assets)
        names.append("project.nomos")
        names += [write_file(folder, f"svg/{drawing.name}.svg", template_svg(drawing)) for drawing in drawn]
        names.append(write_file(folder, "blocks.pdf", pdf))
        names += [write_file(folder, name, data) for name, data in _bench_files(project, paper)]
        carved = carve_blocks(project, blocks)
        names.append(write_file(folder, "carving.pdf", carving_pdf(project, blocks, carved, paper=paper)))
        way = project.craft.transfer
        names.append(write_file(folder, "transfer.pdf", transfer_pdf(project, drawn, way, paper=paper)))
        stages = [(stage_words(project, 0), _stage(project, laid, 0))]
        picture = b""
        for pull in range(1, len(project.impressions) + 1):
            progress.report(0.6 + 0.35 * pull / len(project.impressions), "writing proofs")
            rgb = _stage(project, laid, pull)
            stages.append((stage_words(project, pull), rgb))
            picture = png(rgb, laid.px_per_mm)
            names.append(write_file(folder, f"stage-{pull:02d}.png", picture))
        # The finished print is the sheet after the last pull.
        names.append(write_file(folder, "proof.png", picture))
        page = process_page(project.title, stages)
        names.append(write_file(folder, "process.png", png(page, 6.0)))
        names.append(write_file(folder, "process.pdf", process_pdf(project.title, page)))
        names.append(write_file(folder, "statement.pdf", statement_pdf(project, None, date.today())))
        look = look_closely(project, request, blocks, laid)
        plan = plan_of(project, blocks, laid, look, carved)
        plan["carving"] = {
            "hours": round(hours_of(carved), 2),
            "findings": findings_as_json(carving_findings(project, carved)),
            "blocks": [
                {"block": project.block(each.block).name, "hours": round(each.effort.hours, 2)}
                for each in carved
            ],
        }
        plan["sheets"] = _sheets(project, blocks)
        plan["files"] = ["index.pdf", *names, "plan.json"]
        write_file(folder, "index.pdf", index_pdf(project.title, plan))
        write_file(folder, "plan.json", json.dumps(plan, indent=2, ensure_ascii=False).encode())
    progress.report(1.0, "packet written")
    return plan


def _stage(project: Project, laid: LaidSheet, pull: int) -> NDArray[np.uint8]:
    return to_rgb(render(laid.map.index, sheet_labs(project, laid, pull)))


def _sheets(project: Project, blocks: CutBlocks) -> dict[str, Any]:
    """How many sheets to cut and what to buy, or why that cannot be said."""
    try:
        plan = sheets_of(project)
        lines = buying_list(project, blocks)
    except SheetsError as error:
        return {"problem": str(error)}
    return {
        "start": plan.start_sheets,
        "cut": all_sheets(project, plan),
        "buy": [
            {
                "what": line.what,
                "amount": round(line.amount, 1),
                "unit": line.unit,
                "cost": round(line.cost, 2),
            }
            for line in lines
        ],
    }


def _bench_files(project: Project, paper: str) -> list[tuple[str, bytes]]:
    """What a system other than a kento in the block needs: the bench sheet, and pins for a cutter."""
    plan, _ = plan_of_system(project)
    if plan is None or plan.system == "kento":
        return []
    drawings = [bench_drawing(project, plan)]
    files = []
    if plan.system == "pins":
        pins = pins_drawing(project.register.pins)
        drawings.append(pins)
        files = [("pins.svg", drawing_svg(pins)), ("pins.dxf", drawing_dxf(pins))]
    return [("bench.pdf", drawings_pdf(drawings, paper=paper)), *files]


def plan_of(
    project: Project,
    blocks: CutBlocks,
    laid: LaidSheet,
    look: CloseLook | None = None,
    carved: tuple[CarvedBlock, ...] = (),
) -> dict[str, Any]:
    """The plan in figures: order, inks, areas, colours, registration and findings; lengths in mm."""
    assert project.flat is not None
    labs = sheet_labs(project, laid)
    matches = colour_matches(project, laid, labs)
    bare = project.bare_colours()
    return {
        "title": project.title,
        "size_mm": [round(project.image.width, 2), round(project.image.height, 2)],
        "sheet_mm": [round(project.paper.width_mm, 2), round(project.paper.height_mm, 2)],
        "paper": {"name": project.paper.name, "lab": _rounded(project.paper.lab)},
        "trap_mm": project.trap_mm,
        "mean_de00": round(mean_difference(matches), 2),
        "order": _order(project, blocks),
        "colours": [
            {
                "name": project.flat.colours[match.number].name,
                "wanted": _rounded(project.flat.colours[match.number].lab),
                "predicted": _rounded(match.predicted),
                "hex": lab_to_hex(np.array(match.predicted)),
                "de00": round(match.de00, 2),
                "area_mm2": round(match.area_mm2, 1),
                "bare": match.number in bare,
                **_borders_of(project, blocks, match.number, look),
            }
            for match in matches
        ],
        **_method(project, blocks),
        "registration": _registration(project),
        "findings": findings_as_json(review(project, blocks, laid, matches, look, carved)),
    }


def _borders_of(project: Project, blocks: CutBlocks, number: int, look: CloseLook | None) -> dict[str, Any]:
    """Outline and neighbours of a flat colour, and how many fields it has."""
    assert project.flat is not None
    borders, names = blocks.borders, [colour.name for colour in project.flat.colours]
    own = np.arange(len(borders.area_mm2)) == number
    meets = borders.shared_mm[number]
    figures: dict[str, Any] = {
        "outline_mm": round(borders.outline_mm(own), 1),
        "meets_mm": {names[n]: round(float(meets[n]), 1) for n in np.argsort(-meets) if meets[n] > 0},
    }
    if look is not None:
        figures["fields"] = sum(field.colour == number for field in look.fields)
    return figures


def findings_as_json(findings: Sequence[Finding]) -> list[dict[str, Any]]:
    """Findings as `plan.json` and `nomos check` give them."""
    return [
        {
            "weight": each.weight,
            "station": each.station,
            "text": each.text,
            "remedy": each.remedy,
            "place_mm": None if each.place_mm is None else [round(value, 1) for value in each.place_mm],
        }
        for each in findings
    ]


def _rounded(lab: tuple[float, float, float]) -> list[float]:
    return [round(value, 2) for value in lab]


def _order(project: Project, blocks: CutBlocks) -> list[dict[str, Any]]:
    order = layers(project)
    why, then = reasons(order), (*between_pulls(project), "finished")
    steps = []
    for place, impression in enumerate(project.impressions):
        block, zone = project.block(impression.block), impression.zones[0]
        ink = project.ink(zone.ink)
        steps.append(
            {
                "place": place + 1,
                "block": block.name,
                "is_key": block.is_key,
                "ink": ink.name,
                "lab": _rounded(ink.lab),
                "hex": lab_to_hex(np.array(ink.lab)),
                "opacity": ink.opacity,
                "strength": zone.strength,
                "zones": [_zone(project, impression, at) for at in range(len(impression.zones))],
                "area_mm2": round(blocks.areas_mm2[project.number_of(block.id)], 1),
                "reason": why[place],
                "then": then[place],
            }
        )
    return steps


def _zone(project: Project, impression: Impression, place: int) -> dict[str, Any]:
    """One zone: its ink, and the flat colours it covers."""
    assert project.flat is not None
    zone = impression.zones[place]
    ink = project.ink(zone.ink)
    figures: dict[str, Any] = {
        "ink": ink.name,
        "hex": lab_to_hex(np.array(ink.lab)),
        "strength": zone.strength,
        "colours": [project.flat.colours[n].name for n in zone_colours(project, impression, place)],
    }
    if zone.grade is not None:
        start, end = zone.grade.start, zone.grade.end
        figures["grade"] = {"from_mm": list(start), "to_mm": list(end), "to_strength": zone.grade.to}
    return figures


def _method(project: Project, blocks: CutBlocks) -> dict[str, Any]:
    """How it is printed, and what that takes: pieces of a jigsaw, boards with two faces."""
    assert project.flat is not None
    figures: dict[str, Any] = {"method": method_of(project), "carrying": carrying_text(project)}
    left, top = project.image.left, project.image.top
    pieces = pieces_of(project, blocks.labels, blocks.px_per_mm)
    if pieces:
        figures["pieces"] = [
            {
                "number": piece.number,
                "colour": project.flat.colours[piece.colour].name,
                "area_mm2": round(piece.area_mm2, 1),
                "place_mm": [round(left + piece.place[0], 1), round(top + piece.place[1], 1)],
                "window_of": piece.window_of,
            }
            for piece in pieces
        ]
    pairs = board_pairs(project)
    if pairs:
        figures["boards"] = [{"front": front.name, "back": back.name} for front, back in pairs]
        figures["turning"] = turned_text(project)
    return figures


def _registration(project: Project) -> dict[str, Any]:
    plan, reason = plan_of_system(project)
    system = project.register.system
    if plan is None:
        return {"system": system, "refused": reason}
    least, most = worst_mm(project)
    figures: dict[str, Any] = {
        "system": system,
        "hand": project.kento.hand,
        "apart_95_mm": [round(least, 3), round(most, 3)],
        "steps": list(plan.steps),
    }
    kento, _ = kento_or_reason(project)
    if system == "kento" and kento is not None:
        return figures | kento_figures(kento)
    return figures | {"block_mm": [round(plan.block.width, 2), round(plan.block.height, 2)]}


def kento_figures(kento: Kento) -> dict[str, Any]:
    """Every notch as corner points on sheet and block, depth and the room left: mm, for JSON."""

    def notch(points: tuple[tuple[float, float], ...]) -> list[list[float]]:
        return [[round(x, 3), round(y, 3)] for x, y in points]

    notches = {}
    for name, part in (("corner", kento.corner), ("straight", kento.straight)):
        notches[name] = {
            "wall_on_sheet_mm": notch(part.wall),
            "floor_on_sheet_mm": notch(part.floor),
            "wall_on_block_mm": notch(tuple(kento.on_block(point) for point in part.wall)),
            "floor_on_block_mm": notch(tuple(kento.on_block(point) for point in part.floor)),
        }
    return {
        "depth_mm": kento.depth_mm,
        "block_mm": [round(kento.block.width, 2), round(kento.block.height, 2)],
        "wood_beyond_mm": [round(value, 2) for value in kento.wood_beyond_mm],
        "floor_to_image_mm": [round(value, 2) for value in kento.floor_to_image_mm],
        **notches,
    }
