"""The answers of the Carve and Sheets stations."""

from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from functools import lru_cache

import numpy as np
from numpy.typing import NDArray

from nomos.base.errors import BadInput
from nomos.base.language import opened, tr
from nomos.base.units import length_text, number, size_text
from nomos.carving import MATERIALS, TRANSFERS, Tool, factor_from_log
from nomos.carving.maps import TOO_NARROW, CarvingMap, widest_places
from nomos.carving.nesting import CuttingPlan
from nomos.colour import lab_to_hex
from nomos.edition import EditionState
from nomos.project import Project
from nomos.project.edition.carving import CarvedBlock, boards_plan, carving_findings, cutting_cautions, hours_of
from nomos.project.edition.gate import cut_gate
from nomos.project.model import Block, Craft
from nomos.proof import mips
from nomos.registration import Rect
from nomos.ui.frame.notes import note_of
from nomos.ui.frame.raster import Raster
from nomos.ui.frame.rows import Note, Row
from nomos.ui.frame.sheet_view import Overlay

# Zones of the carving map on wood: what stays dark, each wider tool paler; red-brown where no tool gets in.
_STAYS_LAB, _NARROW_LAB, _CHATTER_LAB = (30.0, 0.0, 0.0), (45.0, 45.0, 35.0), (72.0, 4.0, -14.0)
_NEAR_LAB, _FAR_LAB = np.array((62.0, 8.0, 26.0)), np.array((92.0, 2.0, 14.0))
_LETTERS = "ABCDEFGHIJKL"
_MOST_LETTERS = 2


@dataclass(frozen=True)
class CarveView:
    """How is it cut?"""

    rows: tuple[Row, ...]
    chosen: str | None
    total: str
    tools: tuple[tuple[str, str], ...]
    notes: tuple[Note, ...]
    craft: Craft
    holds: str
    transfer_steps: str
    transfer_shows: str
    caution: str
    boards: CuttingPlan | None
    boards_text: str
    compare: str
    learnt: str
    factor: float
    block: Block | None
    gate: str


def carve_view(
    project: Project, carved: Sequence[CarvedBlock], pull: str | None, others: Sequence[tuple[str, float]] = (),
    cut_h: Mapping[int, float] | None = None, state: EditionState | None = None,
) -> CarveView:  # fmt: skip
    """The Carve station.

    carved : none while it is worked out. others : hours of other plans, to compare. cut_h : hours by layer
        from the log. state : of the edition, for what the next cut of a reduction means.
    """
    gate = cut_gate(project, state) if state is not None and state.started else None
    learnt, factor = learnt_factor(project, carved, cut_h or {})
    by_block = {each.block: each for each in carved}
    rows = []
    seen: set[str] = set()
    for impression in project.impressions:
        if impression.block in seen:
            continue
        seen.add(impression.block)
        found = by_block.get(impression.block)
        hours = f"{number(found.effort.hours)} h" if found else "…"
        ink = project.ink(impression.main.ink)
        name = project.block(impression.block).name
        rows.append(Row(impression.id, lab_to_hex(np.array(ink.lab)), name, hours))
    own = by_block.get(project.impression(pull).block) if pull else None
    craft, facts = project.craft, MATERIALS[project.craft.material]
    transfer = TRANSFERS[craft.transfer]
    boards, said = None, ""
    try:
        boards = boards_plan(project)
        said = _boards_text(boards)
    except BadInput as error:
        said = str(error)
    total = (
        tr("{hours_of} h of cutting in all", hours_of=number(hours_of(tuple(carved))))
        if carved
        else tr("Working out the cutting…")
    )
    return CarveView(
        tuple(rows),
        pull,
        total,
        _tool_rows(own) if own else (),
        tuple(
            note_of(f)
            for f in carving_findings(project, tuple(carved))
            if own is None or not f.blocks or own.block in f.blocks
        ),
        craft,
        tr(
            "{material} holds lines of {line_mm} and channels of {channel_mm}.",
            material=opened(facts.said),
            line_mm=length_text(facts.line_mm, 2),
            channel_mm=length_text(facts.channel_mm, 2),
        ),
        transfer.steps,
        transfer.block_shows,
        " ".join(cutting_cautions(project)),
        boards,
        said,
        "\n".join(f"{name}: {number(hours)} h" for name, hours in others),
        learnt,
        factor,
        project.block(project.impression(pull).block) if pull else None,
        gate.text if gate is not None else "",
    )


def learnt_factor(project: Project, carved: Sequence[CarvedBlock], cut_h: Mapping[int, float]) -> tuple[str, float]:
    """What the hours in the log say of the speeds, in a sentence, and the factor they come to."""
    by_block = {each.block: each.effort.hours / project.craft.factor for each in carved}
    said = took = 0.0
    for layer, hours in cut_h.items():
        if 0 <= layer < len(project.impressions):
            block = project.impressions[layer].block
            if block in by_block:
                said, took = said + by_block[block], took + hours
    if said <= 0 or took <= 0:
        return "", 1.0
    factor = round(factor_from_log(said, took), 2)
    return tr("By the log cutting takes {factor} times as long as the speeds say.", factor=number(factor, 2)), factor


def _tool_rows(own: CarvedBlock) -> tuple[tuple[str, str], ...]:
    carving = own.carving
    hours = {name: took for name, _, took in own.effort.by_tool}
    rows = [
        (
            tr("Outlines, first"),
            tr(
                "{outline_mm} cm, {outline_h} min",
                outline_mm=number(carving.outline_mm / 10, 0),
                outline_h=number(own.effort.outline_h * 60, 0),
            ),
        )
    ]
    for letter, tool, area in zip(_LETTERS, carving.tools, carving.areas_mm2, strict=False):
        took = tr(", {hours} min", hours=number(hours[tool.name] * 60, 0)) if tool.name in hours else ""
        rows.append((f"{letter}  {tool.name}", tr("{area} cm²{took}", area=number(area / 100), took=took)))
    if carving.narrow_mm2 > 0.5:
        rows.append((tr("Too narrow for all"), tr("{narrow_mm2} mm²", narrow_mm2=number(carving.narrow_mm2))))
    rows.append((tr("Deepest"), length_text(carving.deepest_mm)))
    return tuple(rows)


def _boards_text(plan: CuttingPlan) -> str:
    said = []
    for cut in plan.boards:
        names = ", ".join(block.name for block in cut.blocks)
        rest = (
            tr("; left over {width}", width=size_text(cut.offcuts[0].width, cut.offcuts[0].height))
            if cut.offcuts
            else ""
        )
        said.append(f"{size_text(cut.board.width_mm, cut.board.height_mm)}: {names}{rest}.")
    cost = tr(" They cost {cost:.2f}.", cost=plan.cost) if plan.cost else ""
    return "\n".join([*said, tr("{waste:.0f} % is waste.{cost}", waste=100 * plan.waste, cost=cost)])


def carving_overlay(project: Project, carved: Sequence[CarvedBlock], pull: str | None) -> Overlay | None:
    """The carving map of the chosen block, face up: mirrored, zones lettered."""
    block = project.impression(pull).block if pull else None
    own = next((each for each in carved if each.block == block), None)
    if own is None:
        return None
    return _zone_overlay(own.carving, project.image, project.paper.width_mm)


@lru_cache(maxsize=2)
def _zone_overlay(carving: CarvingMap, image: Rect, sheet_width_mm: float) -> Overlay:
    zones, reached = carving.zones, carving.chatter
    page = zones.copy()
    narrow, chatter = len(carving.tools) + 1, len(carving.tools) + 2
    page[zones == TOO_NARROW] = narrow
    page[reached] = chatter
    count = max(len(carving.tools) - 1, 1)
    labs = [np.array(_STAYS_LAB)]
    labs += [_NEAR_LAB + (_FAR_LAB - _NEAR_LAB) * n / count for n in range(len(carving.tools))]
    labs += [np.array(_NARROW_LAB), np.array(_CHATTER_LAB)]
    page = np.ascontiguousarray(page[:, ::-1])
    pad = (page.shape[1] / carving.px_per_mm - image.width) / 2
    left = sheet_width_mm - image.right - pad
    raster = Raster(mips(page), np.array(labs), carving.px_per_mm, left, image.top - pad)
    pages = [(zones == n + 1, _LETTERS[n]) for n in range(len(carving.tools))]
    return Overlay(_letters([*pages, (reached, tr("roller reaches"))], raster), raster=raster)


def _letters(pages: Sequence[tuple[NDArray[np.bool_], str]], raster: Raster) -> tuple[tuple[float, float, str], ...]:
    """The letter of each zone where it is widest, and where the roller reaches, on the block face up."""
    found = []
    for page, word in pages:
        most, below = (_MOST_LETTERS, 0.0) if len(word) == 1 else (1, 6.0)
        # On a sheet that is looked at as a whole half as fine will do.
        for x, y in widest_places(page[::2, ::2], raster.px_per_mm / 2, most, least_mm=4.0):
            at_x = page.shape[1] / raster.px_per_mm - x
            found.append((raster.left_mm + at_x, raster.top_mm + y + below, word))
    return tuple(found)


def tools_text(tools: Sequence[Tool]) -> str:
    """The set of tools as it is typed: "v 1, u 2, u 5, flat 10"."""
    return ", ".join(f"{tool.kind} {tool.width_mm:g}" for tool in tools)


def read_tools(text: str) -> tuple[Tool, ...]:
    """Tools from what was typed. Raises BadInput."""
    found = []
    for part in text.replace(";", ",").split(","):
        words = part.split()
        if not words:
            continue
        try:
            kind, width = words[0].lower(), float(words[1])
        except (IndexError, ValueError):
            raise BadInput(
                tr("'{strip}' is no tool: write a kind and a width in mm, as u 3.", strip=part.strip())
            ) from None
        if kind not in ("knife", "v", "u", "flat"):
            raise BadInput(tr("'{words}' is no kind of tool: knife, v, u or flat.", words=words[0]))
        found.append(Tool(kind, width))  # type: ignore[arg-type] # checked just above
    return tuple(found)
