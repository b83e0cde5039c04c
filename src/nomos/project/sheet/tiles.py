"""Several pictures beside each other in the place of one sheet."""

import math
from collections.abc import Sequence
from dataclasses import dataclass

from nomos.registration import Rect

# Several pictures are drawn at so many pixels for each mm of the sheet, and at no more than so many in all:
# they are drawn anew after every change, while the hand waits.
_PX_PER_MM, _MOST_PX = 6.0, 2_000_000


@dataclass(frozen=True)
class Tile:
    """One of them: its number, where its picture lies (mm on the sheet) and a word."""

    sheet: int
    place: Rect
    word: str


def tile_at(tiles: Sequence[Tile], x_mm: float, y_mm: float) -> Tile | None:
    """The tile whose picture lies at a place, or None."""
    for tile in tiles:
        if tile.place.left <= x_mm <= tile.place.right and tile.place.top <= y_mm <= tile.place.bottom:
            return tile
    return None


def fine_enough(sheet_mm: tuple[float, float]) -> float:
    """How finely a sheet of several pictures is drawn, pixels per mm."""
    return min(_PX_PER_MM, math.sqrt(_MOST_PX / (sheet_mm[0] * sheet_mm[1])))


def rooms_for(count: int, sheet_mm: tuple[float, float], shape: float, gap_share: float) -> tuple[Rect, ...]:
    """Places for so many pictures of a shape (width by height), so parted that they come out largest.

    gap_share : of the smaller side of a place with its gap, the gap.
    """
    best = (0.0, 1)
    for columns in range(1, count + 1):
        wide, tall = sheet_mm[0] / columns, sheet_mm[1] / math.ceil(count / columns)
        best = max(best, (min(wide, tall * shape), columns))
    columns = best[1]
    wide, tall = sheet_mm[0] / columns, sheet_mm[1] / math.ceil(max(count, 1) / columns)
    half = gap_share * min(wide, tall) / 2
    corners = [((at % columns) * wide, (at // columns) * tall) for at in range(count)]
    return tuple(Rect(x + half, y + half, x + wide - half, y + tall - half) for x, y in corners)


def fitted(room: Rect, shape: float) -> Rect:
    """The largest place of a shape, width by height, in the middle of a room."""
    wide = min(room.width, room.height * shape)
    tall = wide / shape
    left, top = room.left + (room.width - wide) / 2, room.top + (room.height - tall) / 2
    return Rect(left, top, left + wide, top + tall)
