"""The stack: how many sheets go into every pull, how many are lost there, how they look after it."""

import math
from collections import Counter
from collections.abc import Sequence
from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from nomos.base.units import number
from nomos.colour import lab_to_srgb
from nomos.edition import EditionState
from nomos.project.model import Project
from nomos.project.model.sheets import planned_sheets
from nomos.project.sheet.laying import LaidSheet, sheet_labs_by_pull
from nomos.project.sheet.tiles import Tile, fine_enough, fitted, rooms_for
from nomos.proof import render_view, to_rgb
from nomos.registration import Rect

# Of a cell, the height of the whole pile at the first pull; a sheet is never thicker than this.
_PILE_SHARE, _THICKEST_MM = 0.32, 0.6
# Below a pile stands what it says.
_GAP_SHARE, _FOOT_SHARE = 0.16, 0.05
_GROUND, _EDGE, _LOST = 222, (120, 112, 100), (190, 70, 55)


@dataclass(frozen=True)
class Step:
    """Sheets at one pull.

    before : that go into it. lost : that do not come out good, proofs and sacrificed ones among them.
    printed : whether the log says so; it is expected otherwise, on the average.
    """

    before: float
    lost: float
    printed: bool

    @property
    def after(self) -> float:
        """That go on."""
        return self.before - self.lost


@dataclass(frozen=True, eq=False)
class Stack:
    """The piles of all pulls, one beside the other.

    picture : (height, width, 3) uint8 of the whole sheet. tiles : a cell for each pull, and what it says.
    """

    picture: NDArray[np.uint8]
    px_per_mm: float
    tiles: tuple[Tile, ...]


def steps_of(project: Project, state: EditionState | None) -> tuple[Step, ...]:
    """Sheets at every pull, in print order: as logged where a layer is done, as expected where it is not.

    On the average a share of `plan.good` goes on; proofing takes its sheets at the
    first pull, and one is sacrificed at each if that is meant.
    """
    plan, layers = project.plan, len(project.impressions)
    each = int(plan.sacrificed)
    aside = [each + (plan.proofing if layer == 0 else 0) for layer in range(layers)]
    before, steps = float(planned_sheets(project)), []
    for layer in range(layers):
        done = _done(state, layer)
        if done is not None:
            steps.append(Step(float(sum(done)), float(done[1]), True))
        else:
            # What is put aside later is no part of the edition: its share is not at risk now.
            rest = min(float(sum(aside[layer:])), before)
            own = min(float(aside[layer]), rest)
            steps.append(Step(before, own + (before - rest) * (1 - plan.good), False))
        before = steps[-1].after
    return tuple(steps)


def _done(state: EditionState | None, layer: int) -> tuple[int, int] | None:
    """Good and spoiled pulls of a layer that is done, or None."""
    if state is None or state.by_sheet or layer > state.layer or (layer == state.layer and state.queue()):
        return None
    counts = state.counts.get(layer, Counter())
    return sum(counts.values()) - counts["spoiled"], counts["spoiled"]


def edition_stack(project: Project, laid: LaidSheet, steps: Sequence[Step]) -> Stack:
    """A pile of sheets for every pull, those that are lost there moved aside and marked."""
    wide_mm, tall_mm = project.paper.width_mm, project.paper.height_mm
    px_per_mm = fine_enough((wide_mm, tall_mm))
    picture = np.full((round(tall_mm * px_per_mm), round(wide_mm * px_per_mm), 3), _GROUND, np.uint8)
    shape = project.image.width / (project.image.height / (1 - _PILE_SHARE))
    rooms = rooms_for(len(steps), (wide_mm, tall_mm), shape, _GAP_SHARE)
    thick = _PILE_SHARE * rooms[0].height / max(planned_sheets(project), 1) if rooms else 0.0
    thick = min(_THICKEST_MM, thick)
    paper = np.round(lab_to_srgb(np.array(project.paper.lab))).astype(np.uint8)
    tiles = []
    labs = sheet_labs_by_pull(project, laid)[1:]
    for layer, (step, room) in enumerate(zip(steps, rooms, strict=True)):
        above = Rect(room.left, room.top, room.right, room.top + room.height * (1 - _PILE_SHARE))
        place = fitted(above, project.image.width / project.image.height)
        size = max(1, round(place.width * px_per_mm)), max(1, round(place.height * px_per_mm))
        look = to_rgb(render_view(laid.levels, labs[layer], laid.inner_window, size))
        x, y = round(place.left * px_per_mm), round(place.top * px_per_mm)
        picture[y : y + size[1], x : x + size[0]] = look
        _draw_pile(picture, place, room.bottom - _FOOT_SHARE * room.height, step, thick, paper, px_per_mm)
        tiles.append(Tile(layer, room, _word(layer, step, last=layer + 1 == len(steps))))
    return Stack(picture, px_per_mm, tuple(tiles))


def _draw_pile(
    picture: NDArray[np.uint8], place: Rect, foot_mm: float, step: Step, thick_mm: float,
    paper: NDArray[np.uint8], px_per_mm: float,
) -> None:  # fmt: skip
    """Sheets from the side below their picture, the lost ones on top and to the right."""
    aside = 0.1 * place.width

    def row(sheets: int) -> int:
        return round((foot_mm - sheets * thick_mm) * px_per_mm)

    def across(sheet: int) -> slice:
        left = place.left + (aside if sheet >= kept else 0.0)
        return slice(round(left * px_per_mm), round((left + place.width - aside) * px_per_mm))

    kept, before = round(step.after), round(step.before)
    picture[row(kept) : row(0), across(0)] = paper
    picture[row(before) : row(kept), across(before)] = _LOST
    # The edge of every sheet where there is room for one, of as many as there is room for elsewhere.
    for sheet in range(0, before, max(1, math.ceil(2 / (thick_mm * px_per_mm)))):
        picture[row(sheet + 1), across(sheet)] = _EDGE


def _word(layer: int, step: Step, *, last: bool) -> str:
    digits = 0 if step.printed else 1
    # As rounded, so that what is read adds up.
    before, after = round(step.before, digits), round(step.after, digits)
    left = f" = {number(after, digits)}" if last else ""
    return f"{layer + 1}:  {number(before, digits)} − {number(before - after, digits)}{left}"
