"""The edition of a project: how many sheets, what to buy, where its log is, and what stands in it."""

import math
from dataclasses import dataclass
from pathlib import Path

from msgspec.structs import replace

from nomos.edition import (
    EditionState,
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
from nomos.project.films import film_of, zone_keys
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


def _inks(project: Project, blocks: CutBlocks, sheets: int) -> list[BuyingLine]:
    grams: dict[str, float] = {}
    modifiers: dict[str, float] = {}
    extender = 0.0
    shop = project.workshop
    for key in zone_keys(project):
        pull = project.impression(key.pull)
        zone = pull.zones[key.zone]
        area = blocks.areas_mm2[project.number_of(pull.block)] / len(pull.zones)
        film = film_of(project, key).thickness / max(zone.strength, 1e-6)
        need = ink_needed(
            area, sheets, strength=zone.strength, film=film, film_g_m2=shop.film_g_m2, slab_g=shop.slab_g,
            waste=shop.waste,
        )  # fmt: skip
        ink = project.ink(zone.ink)
        modifier = need.ink_g * ink.modifier_pct / 100
        grams[zone.ink] = grams.get(zone.ink, 0.0) + need.ink_g - modifier
        modifiers[zone.ink] = modifiers.get(zone.ink, 0.0) + modifier
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
