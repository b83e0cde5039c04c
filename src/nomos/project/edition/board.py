"""The board: every sheet of the edition as it looks now, and what is known of one."""

from collections.abc import Sequence
from dataclasses import dataclass
from datetime import datetime, timedelta
from itertools import islice

import numpy as np
from msgspec.structs import replace
from numpy.typing import NDArray

from nomos.base.language import tr
from nomos.colour import lab_to_srgb
from nomos.edition import EditionState
from nomos.project.edition.sheets import layer_names
from nomos.project.model import Project
from nomos.project.order.days import runs_of
from nomos.project.sheet.laying import LaidSheet, sheet_labs
from nomos.project.sheet.tiles import Tile, fine_enough, fitted, rooms_for, tile_at
from nomos.proof import render_view, to_rgb
from nomos.registration import Rect

# More sheets than this are too small to be looked at.
MOST_SHEETS = 240
_GAP_SHARE = 0.14
_GROUND, _CROSS = 222, (160, 40, 30)


@dataclass(frozen=True, eq=False)
class Board:
    """All sheets beside each other.

    picture : (height, width, 3) uint8 of the whole sheet. left_out : sheets there is no room for.
    """

    picture: NDArray[np.uint8]
    px_per_mm: float
    tiles: tuple[Tile, ...]
    left_out: int

    def sheet_at(self, x_mm: float, y_mm: float) -> int | None:
        """The sheet at a place, or None."""
        tile = tile_at(self.tiles, x_mm, y_mm)
        return tile.sheet if tile is not None else None


@dataclass(frozen=True)
class BoardSheet:
    """A sheet as the board shows it: the planned layers it has."""

    sheet: int
    layers: tuple[int, ...]
    spoiled: bool
    chosen: bool


def board_sheets(state: EditionState) -> tuple[BoardSheet, ...]:
    """The first sheets of an edition, as many as a board has room for."""
    return tuple(
        BoardSheet(
            sheet, tuple(sorted(layer for layer in history.layers if layer < state.layers)),
            history.spoiled_at is not None, history.chosen,
        )
        for sheet, history in islice(state.histories.items(), MOST_SHEETS)
    )  # fmt: skip


def sheets_board(project: Project, laid: LaidSheet, shown: Sequence[BoardSheet], left_out: int) -> Board:
    """Sheets with the layers they really have, the spoiled ones crossed through."""
    wide_mm, tall_mm = project.paper.width_mm, project.paper.height_mm
    px_per_mm = fine_enough((wide_mm, tall_mm))
    picture = np.full((round(tall_mm * px_per_mm), round(wide_mm * px_per_mm), 3), _GROUND, np.uint8)
    shape = project.image.width / project.image.height
    known: dict[tuple[int, ...], NDArray[np.uint8]] = {}
    tiles = []
    rooms = rooms_for(len(shown), (wide_mm, tall_mm), shape, _GAP_SHARE)
    for each, room in zip(shown, rooms, strict=True):
        place = fitted(room, shape)
        size = max(1, round(place.width * px_per_mm)), max(1, round(place.height * px_per_mm))
        if each.layers not in known:
            known[each.layers] = _look_after(project, laid, each.layers, size)
        _put(picture, known[each.layers], place, px_per_mm, crossed=each.spoiled)
        word = tr("{sheet} best", sheet=each.sheet) if each.chosen else f"{each.sheet}"
        tiles.append(Tile(each.sheet, place, word))
    return Board(picture, px_per_mm, tuple(tiles), left_out)


def _look_after(project: Project, laid: LaidSheet, layers: tuple[int, ...], size: tuple[int, int]) -> NDArray[np.uint8]:
    """A sheet with these layers and no others, (height, width, 3) uint8."""
    if not layers:
        paper = np.round(lab_to_srgb(np.array(project.paper.lab))).astype(np.uint8)
        return np.tile(paper, (size[1], size[0], 1))
    printed = replace(project, impressions=tuple(project.impressions[layer] for layer in layers))
    return to_rgb(render_view(laid.levels, sheet_labs(printed, laid), laid.inner_window, size))


def _put(picture: NDArray[np.uint8], look: NDArray[np.uint8], place: Rect, px_per_mm: float, *, crossed: bool) -> None:
    import cv2

    x, y = round(place.left * px_per_mm), round(place.top * px_per_mm)
    part = picture[y : y + look.shape[0], x : x + look.shape[1]]
    part[:] = look[: part.shape[0], : part.shape[1]]
    if crossed:
        height, width = part.shape[:2]
        thick = max(2, width // 40)
        cv2.line(picture, (x, y), (x + width - 1, y + height - 1), _CROSS, thick, cv2.LINE_AA)
        cv2.line(picture, (x, y + height - 1), (x + width - 1, y), _CROSS, thick, cv2.LINE_AA)


def sheet_facts(project: Project, state: EditionState, sheet: int, now: datetime) -> tuple[tuple[str, str], ...]:
    """What is known of one sheet: its layers, how it is, what it printed with, until when it dries."""
    history, names = state.histories[sheet], layer_names(project, state)
    spoiled = state.layers if history.spoiled_at is None else history.spoiled_at
    rows = [
        (
            f"{layer + 1} {names[layer]}",
            _pulled(state, sheet, layer) + (how if layer <= spoiled else tr("the poor first pull")),
        )
        for layer, how in sorted(history.layers.items())
    ]
    rows += [(tr("Lacks"), names[layer]) for layer in range(state.layers) if layer not in history.layers][:1]
    if history.spoiled_at is not None:
        rows.append((tr("Spoiled"), history.reason or tr("yes")))
    if history.remark:
        rows.append((tr("Mended"), history.remark))
    batches = [_batch(state, sheet, layer) for layer in history.layers]
    rows += [(tr("Batch"), text) for text in dict.fromkeys(batches) if text]
    rows += [
        (tr("Remark"), event.text) for event in state.remarks if event.kind == "remark" and event.sheet == history.sheet
    ]
    dries = _dries_until(project, state, sheet)
    if dries is not None:
        rows.append(
            (tr("Wet until"), tr("{dries:%a %d %b %H:%M}", dries=dries)) if dries > now else (tr("Dry"), tr("yes"))
        )
    return tuple(rows)


def _pulled(state: EditionState, sheet: int, layer: int) -> str:
    at = state.pulled_at.get(layer, {}).get(sheet, "")
    return tr("{at:%d %b %H:%M}, ", at=datetime.fromisoformat(at)) if at else ""


def _batch(state: EditionState, sheet: int, layer: int) -> str:
    """What ink was noted last before a sheet got a layer; nothing where none was."""
    at = state.pulled_at.get(layer, {}).get(sheet, "")
    noted = [e.text for e in state.remarks if e.kind == "batch" and e.layer == layer and e.at <= at]
    return noted[-1] if noted else ""


def _dries_until(project: Project, state: EditionState, sheet: int) -> datetime | None:
    """When the layer that was printed on a sheet last is dry; None for a bare sheet or a layer long gone."""
    runs = runs_of(project)
    ends = [
        datetime.fromisoformat(pulls[sheet]) + timedelta(hours=runs[layer].drying_h)
        for layer, pulls in state.pulled_at.items()
        if layer < len(runs) and sheet in pulls
    ]
    return max(ends, default=None)
