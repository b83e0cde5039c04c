"""Where the sheet meets the block: kento."""

from nomos.registration.kento import Hand, Kento, KentoError, KentoSettings, Notch, Point, Rect, place_kento
from nomos.registration.turning import (
    TURNS,
    Corner,
    Turn,
    TurnError,
    seated_corner,
    through_board,
    turning_error,
)

__all__ = [
    "TURNS",
    "Corner",
    "Hand",
    "Kento",
    "KentoError",
    "KentoSettings",
    "Notch",
    "Point",
    "Rect",
    "Turn",
    "TurnError",
    "place_kento",
    "seated_corner",
    "through_board",
    "turning_error",
]
