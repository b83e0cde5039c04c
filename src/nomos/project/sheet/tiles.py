"""Several pictures beside each other in the place of one sheet."""

import math
from dataclasses import dataclass

from nomos.registration import Rect


@dataclass(frozen=True)
class Tile:
    """One of them: its number, where its picture lies (mm on the sheet) and a word."""

    sheet: int
    place: Rect
    word: str


def cells_of(count: int, sheet_mm: tuple[float, float], shape: float) -> tuple[int, tuple[float, float]]:
    """Columns, and the size of a cell, so that pictures of a shape (width by height) come out largest."""
    best = (0.0, 1)
    for columns in range(1, count + 1):
        wide, tall = sheet_mm[0] / columns, sheet_mm[1] / math.ceil(count / columns)
        best = max(best, (min(wide, tall * shape), columns))
    columns = best[1]
    return columns, (sheet_mm[0] / columns, sheet_mm[1] / math.ceil(max(count, 1) / columns))


def fitted(room: Rect, shape: float) -> Rect:
    """The largest place of a shape, width by height, in the middle of a room."""
    wide = min(room.width, room.height * shape)
    tall = wide / shape
    left, top = room.left + (room.width - wide) / 2, room.top + (room.height - tall) / 2
    return Rect(left, top, left + wide, top + tall)
