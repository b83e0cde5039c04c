"""Where the sheet meets the block: kento."""

from nomos.registration.kento import Hand, Kento, KentoError, KentoSettings, Notch, Point, Rect, place_kento

__all__ = ["Hand", "Kento", "KentoError", "KentoSettings", "Notch", "Point", "Rect", "place_kento"]
