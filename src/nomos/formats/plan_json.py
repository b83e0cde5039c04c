"""The plan of a print in figures, as plan.json and --json give it; lengths in mm."""

from collections.abc import Sequence
from typing import Any

import numpy as np

from nomos.colour import lab_to_hex
from nomos.edition import SheetsError
from nomos.order import reasons
from nomos.project import (
    CutBlocks,
    Finding,
    LaidSheet,
    Project,
    colour_matches,
    kento_or_reason,
    mean_difference,
    sheet_labs,
)
from nomos.project.blocks.boards import board_pairs, turned_text
from nomos.project.blocks.jigsaw import pieces_of
from nomos.project.blocks.keys import carrying_text
from nomos.project.blocks.methods import method_of
from nomos.project.blocks.pulls import between_pulls, layers
from nomos.project.check.closelook import CloseLook
from nomos.project.edition.sheets import buying_list
from nomos.project.inks.films import zone_colours
from nomos.project.model import Impression
from nomos.project.model.sheets import all_sheets, sheets_of, sheets_text
from nomos.project.register.system import plan_of_system
from nomos.project.register.tolerance import worst_mm
from nomos.registration import SYSTEMS, Kento


def sheets_as_json(project: Project, blocks: CutBlocks) -> dict[str, Any]:
    """How many sheets to cut and what to buy, or why that cannot be said."""
    try:
        plan = sheets_of(project)
        lines = buying_list(project, blocks)
    except SheetsError as error:
        return {"problem": str(error)}
    return {
        "start": plan.start_sheets,
        "cut": all_sheets(project, plan),
        "why": sheets_text(project),
        "buy": [
            {"what": line.what, "amount": round(line.amount, 1), "unit": line.unit, "cost": round(line.cost, 2)}
            for line in lines
        ],
    }


def plan_of(
    project: Project, blocks: CutBlocks, laid: LaidSheet, findings: Sequence[Finding] = (),
    look: CloseLook | None = None,
) -> dict[str, Any]:  # fmt: skip
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
        "findings": findings_as_json(findings),
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
    if SYSTEMS[system].notched == "block" and kento is not None:
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
