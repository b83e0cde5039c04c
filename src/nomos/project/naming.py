"""Plain names for colours, until the printmaker gives better ones."""

import math
from collections.abc import Sequence

import numpy as np

from nomos.colour import Lab, delta_e00
from nomos.project.model import Project

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


# A new colour nearer than this to an old one is taken for the same.
_SAME_DE00 = 3.0


def carried_names(labs: Sequence[Lab], known: Sequence[tuple[str, Lab]]) -> list[str]:
    """Names for new colours, keeping those of known colours that come back almost unchanged."""
    names = colour_names(labs)
    free = list(known)
    for place, lab in enumerate(labs):
        near = [(float(delta_e00(np.array(lab), np.array(old))), name) for name, old in free]
        distance, name = min(near, default=(np.inf, ""))
        if distance < _SAME_DE00 and (name not in names or names[place] == name):
            names[place] = name
            free = [entry for entry in free if entry[0] != name]
    return names


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


def fresh_number(project: Project) -> int:
    """A number from which on no ink, block or impression carries one."""
    ids = [thing.id for things in (project.inks, project.blocks, project.impressions) for thing in things]
    return 1 + max((int("0" + "".join(c for c in each if c.isdigit())) for each in ids), default=0)
