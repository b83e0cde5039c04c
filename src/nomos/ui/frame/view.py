"""The station strip and the pull ladder."""

from dataclasses import dataclass
from functools import lru_cache
from pathlib import Path

import numpy as np
from numpy.typing import NDArray

from nomos.base.errors import BadInput
from nomos.base.language import tr, visible, within
from nomos.base.units import counted, length_text, number, size_text
from nomos.colour import lab_to_hex
from nomos.project import LaidSheet, Project, Proof, Station
from nomos.project.blocks.pulls import between_pulls
from nomos.project.blocks.reduction import is_reduction
from nomos.project.model.sheets import planned_sheets, sheets_of
from nomos.project.register.system import plan_of_system
from nomos.project.register.tolerance import worst_mm
from nomos.project.sheet.laying import sheet_labs_by_pull
from nomos.proof import render_view
from nomos.registration import SYSTEMS
from nomos.ui.frame.state import STATIONS, UiState

# Small pictures stand in a column of this share of their height.
_WIDEST = 0.75

STATION_NAMES: dict[Station, str] = {
    "design": tr("Design"),
    "blocks": tr("Blocks"),
    "inks": tr("Inks"),
    "order": tr("Order"),
    "register": tr("Register"),
    "carve": tr("Carve"),
    "sheets": tr("Sheets"),
    "bench": tr("Bench"),
}


@dataclass(frozen=True)
class StationTab:
    """One station in the strip with its present answer."""

    station: Station
    name: str
    answer: str
    chosen: bool


def station_tabs(
    project: Project | None, proof: Proof | None, state: UiState, days: int | None = None
) -> tuple[StationTab, ...]:
    """The strip: what each station has to say. days : of the edition, once they are counted."""
    answers = _answers(project, proof, days) if project and project.flat else {"design": tr("open a sketch")}
    return tuple(
        StationTab(station, STATION_NAMES[station], answers.get(station, ""), station == state.station)
        for station in STATIONS
    )


def _answers(project: Project, proof: Proof | None, days: int | None) -> dict[str, str]:
    assert project.flat is not None
    counts: dict[str, int] = {}
    for finding in proof.findings if proof else ():
        counts[finding.station] = counts.get(finding.station, 0) + 1

    def found(station: str) -> str:
        many = counts.get(station, 0)
        return f", {counted(many, tr('finding'), tr('findings'))}" if many else ""

    order = counted(len(project.impressions), tr("pull"), tr("pulls"))
    if days is not None:
        order += f", {counted(days, tr('day'), tr('days'))}"
    out = [i for i in project.impressions if i.offset]
    register = _register(project)
    if out:
        register += tr(", {out} out", out=len(out))
    size = size_text(project.image.width, project.image.height)
    return {
        "design": tr("{colours} colours, {size}", colours=len(project.flat.colours), size=size),
        "blocks": f"{_blocks(project)}{found('blocks')}",
        "inks": tr("mean ΔE {mean_de00}{found}", mean_de00=number(proof.mean_de00), found=found("inks"))
        if proof
        else tr("working"),
        "order": order,
        "register": register,
        "carve": tr("{material}, {tools} tools", material=tr(project.craft.material), tools=len(project.craft.tools)),
        "sheets": _sheets(project),
        "bench": tr("one sheet at a time"),
    }


def _sheets(project: Project) -> str:
    try:
        sheets_of(project)
    except BadInput:
        return tr("too few survive")
    return tr("cut {planned_sheets}", planned_sheets=planned_sheets(project))


def _register(project: Project) -> str:
    name = within(SYSTEMS[project.register.system].said).removesuffix(tr(" on the block"))
    if plan_of_system(project)[0] is None:
        return tr("no room for {name}", name=name)
    return f"{name}, ±{length_text(worst_mm(project)[1])}"


def _blocks(project: Project) -> str:
    count = len(project.blocks)
    if is_reduction(project):
        return tr("1 board, {count} states", count=count)
    return counted(count, tr("block"), tr("blocks"))


@dataclass(frozen=True, eq=False)
class Rung:
    """One rung of the ladder: the sheet after a pull.

    pull : the impression's id; None for the bare paper.
    inks : the colour of each zone's ink.
    thumb : (height, width) 0xffRRGGBB pixels, None while there is no proof.
    """

    pull: str | None
    pulls: int
    title: str
    inks: tuple[str, ...]
    note: str
    chosen: bool
    thumb: NDArray[np.uint32] | None


def ladder_rungs(project: Project | None, proof: Proof | None, state: UiState, thumb_px: int) -> tuple[Rung, ...]:
    """The ladder, bare paper first. thumb_px : height of the small pictures."""
    if project is None:
        return ()
    notes = (*between_pulls(project, brief=True), tr("finished print"))
    finished = len(project.impressions)
    looked_at = finished if state.pulls is None else state.pulls
    known = proof is not None and proof.project is project
    none: tuple[None, ...] = (None,) * (finished + 1)
    thumbs = prints_by_pull(proof, thumb_px) if proof is not None and known else none
    rungs = [Rung(None, 0, tr("Bare paper"), (), "", looked_at == 0, thumbs[0])]
    for place, impression in enumerate(project.impressions, start=1):
        inks = tuple(lab_to_hex(np.array(project.ink(zone.ink).lab)) for zone in impression.zones)
        rungs.append(
            Rung(
                impression.id,
                place,
                f"{place} {project.pull_name(impression.id)}",
                inks,
                notes[place - 1],
                looked_at == place,
                thumbs[place],
            )
        )
    return tuple(rungs)


@lru_cache(maxsize=2)
def prints_by_pull(proof: Proof, tall: int) -> tuple[NDArray[np.uint32], ...]:
    """Small pictures of the bare paper and of the sheet after every pull.

    Made once a proof, however often they are looked at: the ladder's and the bench's.
    """
    return tuple(_small(proof.laid, labs, tall) for labs in sheet_labs_by_pull(proof.project, proof.laid))


def small_print(proof: Proof, tall: int) -> NDArray[np.uint32]:
    """A small picture of the finished sheet's image.

    tall : its height; a picture wider than three quarters of that is made lower instead.
    """
    return _small(proof.laid, proof.labs, tall)


def _small(laid: LaidSheet, labs: NDArray[np.float64], tall: int) -> NDArray[np.uint32]:
    height, width = laid.inner.shape
    shape = width / height
    wide = min(tall * shape, tall * _WIDEST)
    size = max(1, round(wide)), max(1, round(wide / shape))
    return render_view(laid.levels, labs, laid.inner_window, size)


def window_title(project: Project | None, path: Path | None, *, unsaved: bool, read_only: bool = False) -> str:
    """What stands over the window: the print, its file, and whether that is behind."""
    if project is None:
        return tr("Nomos")
    name = path.name if path else tr("not saved yet")
    state = tr(", only to look at") if read_only else ""
    state += tr(", changed") if unsaved and path else ""
    return visible(tr("{title} ({name}{state}) — Nomos", title=project.title, name=name, state=state))
