"""Plain names for colours, until the printmaker gives better ones."""

import math
from collections.abc import Sequence

from nomos.colour import Lab

# Hue angle in CIELAB up to which a name holds; chosen by us, by eye.
_HUES = (
    (12, "rose"), (38, "red"), (62, "orange"), (82, "ochre"), (105, "yellow"), (132, "olive"),
    (178, "green"), (222, "teal"), (262, "blue"), (300, "slate blue"), (332, "violet"), (360, "rose"),
)  # fmt: skip


def _name(lab: Lab) -> str:
    lightness, a, b = lab
    chroma, hue = math.hypot(a, b), math.degrees(math.atan2(b, a)) % 360
    if lightness < 22 and chroma < 20:
        return "black"
    if chroma < 7:
        return "white" if lightness > 92 else "pale grey" if lightness > 75 else "grey"
    tone = "pale" if lightness > 78 else "light" if lightness > 66 else "deep" if lightness < 40 else ""
    name = next(name for most, name in _HUES if hue <= most)
    return f"{tone} {name}".strip()


def colour_names(labs: Sequence[Lab]) -> list[str]:
    """A name for each colour, no two alike, first letter large."""
    names: list[str] = []
    for lab in labs:
        name = plain = _name(lab).capitalize()
        count = 1
        while name in names:
            count += 1
            name = f"{plain} {count}"
        names.append(name)
    return names
