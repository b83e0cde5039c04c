"""The edition of a project: how many sheets, what to buy, where its log is, and what stands in it."""

import math
from collections.abc import Sequence
from dataclasses import dataclass
from pathlib import Path

from msgspec.structs import replace

from nomos.base.atomic import beside
from nomos.base.language import tr
from nomos.base.units import lengths_text, number
from nomos.colour.trapping import FILM
from nomos.edition import (
    EditionState,
    Event,
    InkNeed,
    LayerFigures,
    LogError,
    Numbers,
    Replay,
    cut_from,
    ink_needed,
    layer_figures,
    learnt_good,
    newsprint_sheets,
    number_sheets,
    read_log,
)
from nomos.edition.inking_tools import INKING_TOOLS
from nomos.edition.sheets import BuyingLine
from nomos.project.edition.printed import is_of_another
from nomos.project.inks.films import FilmKey, zone_keys
from nomos.project.model import Impression, Ink, Project, Zone
from nomos.project.model.sheets import all_sheets, planned_sheets, sheets_of
from nomos.project.order.days import runs_of
from nomos.project.sheet.laying import InkedZone, inked_zones
from nomos.project.sheet.masks import CutBlocks

LOG_SUFFIX = ".bench.jsonl"


def log_path(project_path: Path) -> Path:
    """The log beside the project file; beside a link to it only where one has lain there of old."""
    own = beside(project_path, project_path.name + LOG_SUFFIX)
    if project_path.is_symlink() and not own.exists():
        real = project_path.resolve()
        return beside(real, real.name + LOG_SUFFIX)
    return own


def with_edition(project: Project, **changes: object) -> Project:
    """Mean another edition. Raises ProjectError."""
    return replace(project, plan=replace(project.plan, **changes))


def with_planned_sheets(project: Project) -> Project:
    """The project printed on as many sheets as the edition needs, whatever was said by hand before."""
    return replace(project, workshop=replace(project.workshop, sheets=None))


def buying_list(project: Project, blocks: CutBlocks | None) -> tuple[BuyingLine, ...]:
    """Paper, inks, extender and newsprint for the edition, with costs where prices are given.

    blocks : for the inks; without them only paper is listed. Raises SheetsError.
    """
    plan, sheets = project.plan, all_sheets(project, sheets_of(project))
    each, grain = _from_one(project)
    full = math.ceil(sheets / each)
    found = [
        BuyingLine(tr("{name}, full sheets of {lengths_text}, {each} from one{grain}", name=project.paper.name,
        lengths_text=lengths_text(*plan.full_mm, None, between=" × "), each=each, grain=grain), full, "sheets",
        full * plan.paper_cost)
    ]  # fmt: skip
    if blocks is not None:
        found += _inks(project, blocks, sheets)
    paper = newsprint_sheets(sheets, len(project.impressions))
    found.append(BuyingLine(tr("Newsprint"), paper, "sheets", paper * plan.newsprint_cost))
    return tuple(found)


def each_print_text(project: Project, cost: float, cut_h: float) -> str:
    """What one print of the edition comes to. cost : of all that is bought, 0 where no price is known."""
    times, edition, sheets = project.times, max(project.plan.edition, 1), planned_sheets(project)
    layers = (times.setup_min + run.cleaning_min(times) + sheets * run.minutes(times) for run in runs_of(project))
    work_min = 60 * cut_h + sum(layers)
    material = tr("{cost} of material and ", cost=number(cost / edition, 2)) if cost else ""
    return tr(
        "One print of {edition}: {material}{minutes} minutes of work, cutting and washing up included.",
        edition=edition, material=material, minutes=number(work_min / edition, 0),
    )  # fmt: skip


def _from_one(project: Project) -> tuple[int, str]:
    """How many sheets a full one gives, and what the other way of the grain would give.

    Damp paper grows with its grain, so there all sheets lie one way; dry, as many as there are room for.
    """
    full, size = project.plan.full_mm, (project.paper.width_mm, project.paper.height_mm)
    most, one_way = (cut_from(full, size, grain_right=right) for right in (False, True))
    if most == one_way:
        return most, ""
    if project.register.damp or project.times.damp:
        return one_way, tr(", the grain all one way; {most} if it may lie either way", most=most)
    return most, tr(", the grain either way; {one_way} if it has to lie one way", one_way=one_way)


def zone_need(project: Project, blocks: CutBlocks, key: FilmKey, sheets: int) -> InkNeed:
    """Ink and extender for one zone of an impression on so many sheets; a graded one by its mean.

    A zone that is left or wiped bare takes none.
    """
    pull = project.impression(key.pull)
    shop, zone = project.workshop, pull.zones[key.zone]
    if not zone.inked:
        return InkNeed(0.0, 0.0, 0.0, 0.0, 0.0)
    inked = _inked(project, blocks, pull)[key.zone]
    return ink_needed(
        inked.area_mm2, sheets, left_on_tool_g(project, zone), strength=inked.strength,
        film=FILM[zone.inking], film_g_m2=shop.film_g_m2, waste=shop.waste,
    )  # fmt: skip


def left_on_tool_g(project: Project, zone: Zone) -> float:
    """Ink that a run of a zone leaves on tool and slab, g: as it was weighed, or by the tool."""
    own, craft = project.workshop.slab_g, project.craft
    return INKING_TOOLS[zone.tool].keeps_g(craft.roller_mm, craft.roller_long_mm) if own is None else own


def _inked(project: Project, blocks: CutBlocks, pull: Impression) -> tuple[InkedZone, ...]:
    if len(pull.zones) == 1 and pull.zones[0].grade is None:
        return (InkedZone(blocks.areas_mm2[project.number_of(pull.block)], pull.zones[0].strength),)
    return inked_zones(project, blocks, pull)


def _mother(project: Project, ink: Ink) -> str:
    """The id of the first ink that is the same as this one but for its id: they are mixed together."""
    return next(each.id for each in project.inks if replace(each, id=ink.id) == ink)


def _inks(project: Project, blocks: CutBlocks, sheets: int) -> list[BuyingLine]:
    # An ink that is mixed once for several pulls is one batch: equal inks count together.
    batch_of = {ink.id: _mother(project, ink) for ink in project.inks}
    grams: dict[str, float] = {}
    modifiers: dict[str, float] = {}
    extender = 0.0
    for key in zone_keys(project):
        need = zone_need(project, blocks, key, sheets)
        ink = project.ink(project.impression(key.pull).zones[key.zone].ink)
        modifier = need.ink_g * ink.modifier_pct / 100
        batch = batch_of[ink.id]
        grams[batch] = grams.get(batch, 0.0) + need.ink_g - modifier
        modifiers[batch] = modifiers.get(batch, 0.0) + modifier
        extender += need.extender_g
    lines = []
    for ink_id, amount in grams.items():
        ink = project.ink(ink_id)
        cost = amount / ink.tub_g * ink.cost if ink.tub_g > 0 else 0.0
        lines.append(BuyingLine(tr("Ink {name}", name=ink.name), amount, "g", cost))
    if sum(modifiers.values()) > 0:
        lines.append(BuyingLine(tr("Modifiers"), sum(modifiers.values()), "g"))
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


def state_of(project: Project, events: Sequence[Event]) -> EditionState:
    """Where the edition stands by its log."""
    return replay_of(project, events).state


def replay_of(project: Project, events: Sequence[Event]) -> Replay:
    """The log of a project, to be followed as it grows."""
    ids = [pull.id for pull in project.impressions]
    return Replay(events, ids, planned_sheets(project), by_sheet=project.sheet_by_sheet)


def layer_names(project: Project, state: EditionState) -> tuple[str, ...]:
    """What each layer of a log is called: as it was when it was printed, else as it is planned."""
    return tuple(
        state.printed[layer].name
        if layer in state.printed
        else project.pull_name(pull)
        if layer < state.layers
        else tr("no longer planned")
        for layer, pull in enumerate(state.pulls)
    )


def events_of(project: Project, log: Path) -> tuple[Event, ...]:
    """The events of a project's log. Raises LogError, also where it is the log of another print."""
    events = read_log(log)
    if is_of_another(project, events):
        raise LogError(
            tr(
                "{log} is the record of another print than {title}: move it away, or give it the name of its "
                "own print.",
                log=log,
                title=project.title,
            )
        )
    return events


def record_of(project: Project, log: Path) -> Record:
    """Read the log and work out what it comes to. Raises LogError."""
    return record_from(project, state_of(project, events_of(project, log)))


def record_from(project: Project, state: EditionState) -> Record:
    """The record of an edition by where its log says it stands."""
    figures = layer_figures(state)
    plan = project.plan
    whole = [state.histories[sheet] for sheet in sorted(state.complete)]
    numbers = number_sheets(whole, state.layers, plan.edition, plan.artist, plan.printer, bat=plan.bat)
    return Record(state, figures, numbers, learnt_good(figures))
