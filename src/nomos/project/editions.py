"""The edition of a project: how many sheets, what to buy, where its log is, and what stands in it."""

import math
from dataclasses import dataclass
from pathlib import Path

from msgspec.structs import replace

from nomos.colour.trapping import FILM
from nomos.edition import (
    EditionState,
    InkNeed,
    LayerFigures,
    Numbers,
    SheetPlan,
    cut_from,
    ink_needed,
    layer_figures,
    learnt_good,
    newsprint_sheets,
    number_sheets,
    read_log,
    replay,
    start_sheets,
)
from nomos.edition.sheets import BuyingLine
from nomos.project.films import FilmKey, zone_colours, zone_keys
from nomos.project.model import Project
from nomos.project.proofing import CutBlocks

LOG_SUFFIX = ".bench.jsonl"


def log_path(project_path: Path) -> Path:
    """The log beside the project file."""
    return project_path.with_name(project_path.name + LOG_SUFFIX)


def with_edition(project: Project, **changes: object) -> Project:
    """Mean another edition. Raises ProjectError."""
    return replace(project, plan=replace(project.plan, **changes))


def sheets_of(project: Project) -> SheetPlan:
    """How many sheets to start with, before proofing and sacrificed ones. Raises SheetsError."""
    layers = max(1, len(project.impressions))
    return start_sheets(project.plan.wanted, layers, project.plan.good, project.plan.confidence)


def all_sheets(project: Project, plan: SheetPlan) -> int:
    """Sheets to cut: those started with, proofing, and a sacrificed one for each layer."""
    layers = len(project.impressions) if project.plan.sacrificed else 0
    return plan.start_sheets + project.plan.proofing + layers


def with_planned_sheets(project: Project) -> Project:
    """The number of sheets that ink and days are planned for. Raises SheetsError."""
    sheets = all_sheets(project, sheets_of(project))
    return replace(project, workshop=replace(project.workshop, sheets=sheets))


def buying_list(project: Project, blocks: CutBlocks | None) -> tuple[BuyingLine, ...]:
    """Paper, inks, extender and newsprint for the edition, with costs where prices are given.

    blocks : for the inks; without them only paper is listed. Raises SheetsError.
    """
    plan, sheets = project.plan, all_sheets(project, sheets_of(project))
    size = project.paper.width_mm, project.paper.height_mm
    each = cut_from(plan.full_mm, size, grain_right=True)
    full = math.ceil(sheets / each)
    found = [
        BuyingLine(f"{project.paper.name}, full sheets of {plan.full_mm[0]:g} × {plan.full_mm[1]:g} mm, "
                   f"{each} from one", full, "sheets", full * plan.paper_cost)
    ]  # fmt: skip
    if blocks is not None:
        found += _inks(project, blocks, sheets)
    paper = newsprint_sheets(sheets, len(project.impressions))
    found.append(BuyingLine("Newsprint", paper, "sheets", paper * plan.newsprint_cost))
    return tuple(found)


def zone_need(project: Project, blocks: CutBlocks, key: FilmKey, sheets: int) -> InkNeed:
    """Ink and extender for one zone of an impression on so many sheets."""
    pull = project.impression(key.pull)
    shop, zone = project.workshop, pull.zones[key.zone]
    area = blocks.areas_mm2[project.number_of(pull.block)]
    if len(pull.zones) > 1:
        area = float(blocks.borders.area_mm2[list(zone_colours(project, pull, key.zone))].sum())
    return ink_needed(
        area, sheets, strength=zone.strength, film=FILM[zone.inking], film_g_m2=shop.film_g_m2,
        slab_g=shop.slab_g, waste=shop.waste,
    )  # fmt: skip


def _inks(project: Project, blocks: CutBlocks, sheets: int) -> list[BuyingLine]:
    grams: dict[str, float] = {}
    modifiers: dict[str, float] = {}
    extender = 0.0
    for key in zone_keys(project):
        need = zone_need(project, blocks, key, sheets)
        ink = project.ink(project.impression(key.pull).zones[key.zone].ink)
        modifier = need.ink_g * ink.modifier_pct / 100
        grams[ink.id] = grams.get(ink.id, 0.0) + need.ink_g - modifier
        modifiers[ink.id] = modifiers.get(ink.id, 0.0) + modifier
        extender += need.extender_g
    lines = []
    for ink_id, amount in grams.items():
        ink = project.ink(ink_id)
        cost = amount / ink.tub_g * ink.cost if ink.tub_g > 0 else 0.0
        lines.append(BuyingLine(f"Ink {ink.name}", amount, "g", cost))
    if sum(modifiers.values()) > 0:
        lines.append(BuyingLine("Modifiers", sum(modifiers.values()), "g"))
    if extender > 0:
        lines.append(BuyingLine("Extender", extender, "g"))
    return lines


@dataclass(frozen=True, eq=False)
class Record:
    """An edition as its log tells it."""

    state: EditionState
    figures: tuple[LayerFigures, ...]
    numbers: Numbers
    good: float


def record_of(project: Project, log: Path) -> Record:
    """Read the log and work out what it comes to. Raises LogError."""
    state = replay(read_log(log), len(project.impressions), project.workshop.sheets)
    figures = layer_figures(state)
    plan = project.plan
    numbers = number_sheets(
        list(state.histories.values()), state.layers, plan.edition, plan.artist, plan.printer, bat=plan.bat
    )
    return Record(state, figures, numbers, learnt_good(figures))
