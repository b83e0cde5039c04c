"""Blocks cut from boards at hand: which from which, along the grain, with the saw's kerf, what is left."""

from collections.abc import Sequence
from dataclasses import dataclass
from typing import Annotated

from nomos.base import fields
from nomos.base.language import tr
from nomos.base.units import size_text
from nomos.carving.materials import CarvingError
from nomos.registration import Rect

# Offcuts narrower than this are not worth keeping (chosen by us).
KEPT_MM = 50.0
_SLACK = 1e-6


@dataclass(frozen=True)
class Board:
    """A board or sheet at hand: width and height in mm, how many of them, what one costs."""

    width_mm: Annotated[float, fields.length(tr("A board, width"), tr("Width of a board at hand."), 20, 3000, step=10)]
    height_mm: Annotated[float, fields.length(tr("Height"), tr("Height of a board at hand."), 20, 3000, step=10)]
    count: Annotated[int, fields.count(tr("How many"), tr("So many boards of this size are at hand."), 0, 1000)] = 1
    cost: Annotated[
        float,
        fields.figure(
            tr("What one costs"), tr("Price of one board; the cuts are planned for the least of it."), "",
            0, 1e7, digits=2,
        ),
    ] = 0.0  # fmt: skip


@dataclass(frozen=True)
class CutBlock:
    """A block on a board: its name, where it lies, mm from the board's corner, and whether it is turned."""

    name: str
    place: Rect
    turned: bool


@dataclass(frozen=True)
class CutBoard:
    """One board with its blocks and what is left of it."""

    board: Board
    blocks: tuple[CutBlock, ...]
    offcuts: tuple[Rect, ...]


@dataclass(frozen=True)
class CuttingPlan:
    """All boards that are used. waste : share of their area that is no block and no offcut worth keeping."""

    boards: tuple[CutBoard, ...]
    waste: float
    cost: float


def plan_cutting(
    blocks: Sequence[tuple[str, float, float]], boards: Sequence[Board], kerf_mm: float, *, turning: bool
) -> CuttingPlan:
    """Cut blocks from boards in straight cuts from edge to edge, using as little board as is found.

    Parameters
    ----------
    blocks : name, width and height in mm of each.
    boards : what is at hand.
    kerf_mm : what the saw takes between two parts.
    turning : whether a block may lie across; grained material may not.

    Raises
    ------
    CarvingError : a block goes on no board, or there are too few.

    Notes
    -----
    Guillotine cuts, each block into the free rectangle it leaves least of; several
    orders of blocks and both ways of splitting are tried, and the plan with the
    least board area, then the largest offcut, is kept. Not proved least.
    """
    if not blocks:
        return CuttingPlan((), 0.0, 0.0)
    for name, width, height in blocks:
        if not any(_fits(width, height, b.width_mm, b.height_mm, turning) for b in boards):
            raise CarvingError(
                tr(
                    "{name}, {width}, goes on none of the boards at hand: add a larger one.",
                    name=name,
                    width=size_text(width, height),
                )
            )
    keys = (
        lambda b: -b[1] * b[2], lambda b: -max(b[1], b[2]), lambda b: -b[2], lambda b: -b[1],
    )  # fmt: skip
    best: tuple[tuple[float, float], list[_Open]] | None = None
    for key in keys:
        for split in ("short", "long"):
            for small_first in (True, False):
                # A block that may lie across need not: the same way for all is often best.
                for turned in (False, True) if turning else (False,):
                    found = _cut(sorted(blocks, key=key), boards, kerf_mm, turned, split, small_first)
                    if found is None:
                        continue
                    area = sum(each.board.width_mm * each.board.height_mm for each in found)
                    spare = max((r.width * r.height for each in found for r in each.free), default=0.0)
                    if best is None or (area, -spare) < best[0]:
                        best = ((area, -spare), found)
    if best is None:
        raise CarvingError(tr("There are too few boards at hand for all blocks: add one."))
    return _plan(best[1])


@dataclass
class _Open:
    """A board being cut."""

    board: Board
    blocks: list[CutBlock]
    free: list[Rect]


def _fits(width: float, height: float, room_w: float, room_h: float, turning: bool) -> bool:
    straight = width <= room_w + _SLACK and height <= room_h + _SLACK
    return straight or (turning and height <= room_w + _SLACK and width <= room_h + _SLACK)


def _cut(
    blocks: Sequence[tuple[str, float, float]], boards: Sequence[Board], kerf: float, turning: bool, split: str,
    small_first: bool,
) -> list[_Open] | None:  # fmt: skip
    left = {n: board.count for n, board in enumerate(boards)}
    opened: list[_Open] = []
    for name, width, height in blocks:
        if not _place(opened, name, width, height, kerf, turning, split):
            sizes = sorted(left, key=lambda n: boards[n].width_mm * boards[n].height_mm, reverse=not small_first)
            fresh = next(
                (n for n in sizes
                 if left[n] > 0 and _fits(width, height, boards[n].width_mm, boards[n].height_mm, turning)),
                None,
            )  # fmt: skip
            if fresh is None:
                return None
            left[fresh] -= 1
            board = boards[fresh]
            opened.append(_Open(board, [], [Rect(0, 0, board.width_mm, board.height_mm)]))
            _place(opened[-1:], name, width, height, kerf, turning, split)
    return opened


def _place(
    opened: Sequence[_Open], name: str, width: float, height: float, kerf: float, turning: bool, split: str
) -> bool:
    """Put a block where least is left beside it."""
    best: tuple[float, _Open, Rect, bool] | None = None
    for board in opened:
        for free in board.free:
            for turned in (False, True) if turning else (False,):
                w, h = (height, width) if turned else (width, height)
                if w <= free.width + _SLACK and h <= free.height + _SLACK:
                    left = min(free.width - w, free.height - h)
                    if best is None or left < best[0]:
                        best = (left, board, free, turned)
    if best is None:
        return False
    _, board, free, turned = best
    w, h = (height, width) if turned else (width, height)
    board.free.remove(free)
    place = Rect(free.left, free.top, free.left + w, free.top + h)
    board.blocks.append(CutBlock(name, place, turned))
    beside_w, below_h = free.width - w - kerf, free.height - h - kerf
    across = (beside_w < below_h) == (split == "short")
    beside = Rect(place.right + kerf, free.top, free.right, place.bottom if across else free.bottom)
    below = Rect(free.left, place.bottom + kerf, free.right if across else place.right, free.bottom)
    board.free += [rest for rest in (beside, below) if rest.width > _SLACK and rest.height > _SLACK]
    return True


def _plan(opened: Sequence[_Open]) -> CuttingPlan:
    boards = []
    total = kept = used = 0.0
    for each in opened:
        offcuts = tuple(r for r in each.free if min(r.width, r.height) >= KEPT_MM)
        boards.append(CutBoard(each.board, tuple(each.blocks), offcuts))
        total += each.board.width_mm * each.board.height_mm
        kept += sum(r.width * r.height for r in offcuts)
        used += sum(block.place.width * block.place.height for block in each.blocks)
    return CuttingPlan(tuple(boards), max(0.0, 1 - (used + kept) / total), sum(each.board.cost for each in opened))
