"""Lengths as printmakers type them, and figures as they read them."""

import re
from collections.abc import Sequence

from nomos.base.errors import BadInput
from nomos.base.language import decimals, tr

MM_PER_INCH = 25.4
_MM = {"mm": 1.0, "cm": 10.0, "in": MM_PER_INCH, '"': MM_PER_INCH, "pt": MM_PER_INCH / 72, "": 1.0}
_LENGTH = re.compile(r'\s*([-+−]?\d*[.,]?\d+)\s*(mm|cm|in|"|pt|)\s*', re.IGNORECASE)
_SIZE = re.compile(r"(.+?)\s*[x×]\s*(.+)", re.IGNORECASE)

SMALLEST_MM, LARGEST_MM = 5.0, 2000.0

# ISO 216 for A and B sizes, upright; Letter 8.5 x 11 inches.
PAPER_SIZES_MM: dict[str, tuple[float, float]] = {
    "A2": (420.0, 594.0), "A3": (297.0, 420.0), "A4": (210.0, 297.0), "A5": (148.0, 210.0),
    "A6": (105.0, 148.0), "B3": (353.0, 500.0), "B4": (250.0, 353.0), "B5": (176.0, 250.0),
    "B6": (125.0, 176.0), "Letter": (215.9, 279.4), "Square": (200.0, 200.0),
}  # fmt: skip


def parse_length(text: str, default_unit: str = "mm") -> float:
    """Millimetres of `12.5`, `12,5 mm`, `1.2 cm`, `0.5 in`, `36 pt`. Raises BadInput."""
    found = _LENGTH.fullmatch(text)
    if not found:
        raise BadInput(tr("'{said}' is not a length; write it as 12.5, 12.5 mm or 0.5 in.", said=text))
    number = float(found[1].replace(",", ".").replace("−", "-"))
    return number * _MM[found[2].lower() or default_unit]


def parse_size(text: str) -> tuple[float, float]:
    """Width and height in mm of `180x240`, `180 × 240 mm`, `7x9.5in`. Raises BadInput.

    A unit after the second figure counts for both.
    """
    found = _SIZE.fullmatch(text.strip())
    if not found:
        raise BadInput(tr("'{said}' is not a size; write it as 180x240 (mm) or 7x9.5in.", said=text))
    second = _LENGTH.fullmatch(found[2])
    unit = second[2].lower() if second and second[2] else "mm"
    return checked_size(parse_length(found[1], unit), parse_length(found[2]))


def checked_size(width_mm: float, height_mm: float) -> tuple[float, float]:
    """The size itself if a relief print can have it. Raises BadInput."""
    for side in (width_mm, height_mm):
        if not SMALLEST_MM <= side <= LARGEST_MM:
            raise BadInput(
                tr(
                    "{width_mm:g} × {height_mm:g} mm cannot be printed: each side must be "
                    "{smallest_mm:g} to {largest_mm:g} mm.",
                    width_mm=width_mm, height_mm=height_mm, smallest_mm=SMALLEST_MM, largest_mm=LARGEST_MM,
                )
            )  # fmt: skip
    return width_mm, height_mm


def number(value: float, digits: int = 1) -> str:
    """A figure with a true minus sign, and no minus before zero."""
    text = f"{value:.{digits}f}"
    if float(text) == 0:
        text = text.lstrip("-")
    return decimals(text.replace("-", "−"))


# Decimals that are lost or won from millimetres to inches: 0.1 mm is 0.004 in.
_DIGITS_MORE = 2
_shown_in = "mm"


def show_lengths_in(unit: str) -> None:
    """Have all lengths of this process read in `mm` or `in`; once, before anything is shown."""
    global _shown_in
    _shown_in = unit


def shown_unit() -> str:
    """The unit that lengths are read in: `mm` or `in`."""
    return _shown_in


def length_text(mm: float, digits: int | None = 1) -> str:
    """`12.5 mm`, or `0.492 in` where inches are wanted; digits None for as many as the figure has."""
    return f"{_side(mm, digits)} {_shown_in}"


def lengths_text(one_mm: float, other_mm: float, digits: int | None = 1, *, between: str = ", ") -> str:
    """Two lengths with one unit: `0.5, 1.2 mm`, `2 to 5 mm`, `210 × 297 mm`."""
    return f"{_side(one_mm, digits)}{between}{_side(other_mm, digits)} {_shown_in}"


def range_text(least_mm: float, most_mm: float) -> str:
    """`0.5 to 20 mm`."""
    return lengths_text(least_mm, most_mm, None, between=tr(" to "))


def _side(mm: float, digits: int | None) -> str:
    if _shown_in == "in":
        return number(mm / MM_PER_INCH, min((1 if digits is None else digits) + _DIGITS_MORE, 3))
    return decimals(f"{mm:g}") if digits is None else number(mm, digits)


def counted(count: int, one: str, more: str) -> str:
    """So many of a thing, by its word for one and for more: "1 block", "3 blocks"."""
    return f"{count} {one if count == 1 else more}"


def size_text(width_mm: float, height_mm: float) -> str:
    """`180 × 240 mm`, with a decimal only where it says something."""

    def side(value: float) -> str:
        if _shown_in == "in":
            return number(value / MM_PER_INCH, 2)
        return number(value, 0 if abs(value - round(value)) < 0.05 else 1)

    return f"{side(width_mm)} × {side(height_mm)} {_shown_in}"


# More than this many are counted, not named.
_FEW_G = 10.0
_MOST_LISTED = 4


def grams_text(grams: float) -> str:
    """An amount in grams, without the unit: few are told to a tenth."""
    return number(grams, 0 if grams >= _FEW_G else 1)


def listed(some: Sequence[str]) -> str:
    """Things in words, the first few of many: "Sky 2 mm; Slate 3 mm; and 5 more"."""
    if len(some) <= _MOST_LISTED:
        return "; ".join(some)
    return tr(
        "{join}; and {most_listed} more",
        join="; ".join(some[: _MOST_LISTED - 1]),
        most_listed=len(some) - _MOST_LISTED + 1,
    )
