"""The name a painter would give a colour, until the printmaker gives a better one."""

from collections.abc import Sequence
from functools import cache

import numpy as np
from numpy.typing import NDArray

from nomos.base.language import opened, tr, within
from nomos.colour.cielab import delta_e00
from nomos.colour.spec import Lab

# CIELAB D50/2 deg of a typical colour of each name; chosen by us, by eye, no source.
PALETTE: tuple[tuple[str, Lab], ...] = (
    ("White", (98, 0, 1)), ("Ivory", (95, 0, 7)), ("Cream", (91, 1, 17)), ("Pale grey", (82, 0, 0)),
    ("Grey", (60, 0, 0)), ("Dark grey", (40, 0, 0)), ("Charcoal", (26, 0, 0)), ("Black", (10, 0, 0)),
    ("Warm grey", (62, 3, 9)), ("Blue grey", (56, -2, -12)), ("Pale blue grey", (78, -2, -8)),
    ("Straw", (84, 1, 34)), ("Lemon", (91, -8, 72)), ("Yellow", (84, 5, 80)), ("Golden yellow", (77, 17, 75)),
    ("Ochre", (66, 11, 44)), ("Mustard", (68, 6, 62)), ("Sand", (74, 6, 24)), ("Buff", (78, 9, 30)),
    ("Amber", (72, 26, 68)), ("Orange", (64, 44, 66)), ("Apricot", (79, 20, 38)), ("Peach", (83, 16, 22)),
    ("Salmon", (70, 36, 28)), ("Coral", (64, 48, 36)), ("Vermilion", (52, 63, 50)), ("Red", (45, 62, 40)),
    ("Crimson", (38, 58, 22)), ("Brick", (47, 38, 32)), ("Terracotta", (55, 34, 36)), ("Rust", (43, 38, 44)),
    ("Tan", (63, 14, 32)), ("Brown", (43, 16, 28)), ("Reddish brown", (36, 25, 23)),
    ("Dark brown", (26, 12, 16)), ("Umber", (33, 8, 17)), ("Maroon", (26, 36, 13)), ("Wine", (31, 40, 4)),
    ("Pale pink", (87, 12, 5)), ("Pink", (72, 35, 5)), ("Rose", (61, 46, 12)), ("Magenta", (50, 68, -8)),
    ("Plum", (36, 33, -14)), ("Mauve", (68, 16, -10)), ("Lilac", (76, 15, -17)), ("Lavender", (73, 9, -24)),
    ("Violet", (44, 36, -42)), ("Purple", (37, 48, -33)), ("Aubergine", (22, 18, -10)),
    ("Indigo", (28, 15, -38)), ("Navy", (19, 4, -24)), ("Ultramarine", (34, 26, -66)),
    ("Blue", (46, 2, -46)), ("Sky blue", (72, -10, -28)), ("Pale blue", (84, -6, -13)),
    ("Slate blue", (48, 0, -22)), ("Turquoise", (72, -38, -9)), ("Teal", (46, -28, -9)),
    ("Petrol", (34, -14, -17)), ("Pale turquoise", (88, -18, -3)), ("Sea green", (60, -30, 6)),
    ("Mint", (85, -20, 9)), ("Jade", (56, -38, 16)), ("Green", (50, -42, 32)), ("Leaf green", (57, -32, 46)),
    ("Grass green", (48, -26, 40)), ("Bottle green", (28, -22, 10)), ("Dark green", (36, -25, 18)),
    ("Lime", (80, -30, 68)), ("Apple green", (72, -30, 48)), ("Pale green", (84, -17, 25)),
    ("Sage", (65, -12, 14)), ("Moss", (46, -14, 32)), ("Olive", (48, -4, 40)), ("Khaki", (64, -4, 33)),
    ("Dark olive", (31, -5, 24)),
)  # fmt: skip
# What tells two of one name apart, by which is the lighter.
_APART = {
    2: ("Light", "Dark"),
    3: ("Light", "", "Dark"),
    4: ("Pale", "Light", "Dark", "Deep"),
    5: ("Pale", "Light", "", "Dark", "Deep"),
}
_WORDED = {
    "Light": tr("Light {colour}"), "Dark": tr("Dark {colour}"), "Pale": tr("Pale {colour}"),
    "Deep": tr("Deep {colour}"),
}  # fmt: skip
_MOST_ALIKE = max(_APART)


@cache
def _places() -> NDArray[np.float64]:
    return np.array([lab for _, lab in PALETTE], np.float64)


def colour_names(labs: Sequence[Lab]) -> list[str]:
    """A name for each colour, no two alike: of one name the lighter and darker are told apart by that.

    Where more than five share a name, the odd ones take the next nearest name that is free.

    Parameters
    ----------
    labs : CIELAB, D50/2 deg.

    Returns
    -------
    As many names, in the same order.
    """
    ranked = [np.argsort(delta_e00(_places(), np.array(lab)), kind="stable") for lab in labs]
    chosen = [PALETTE[order[0]][0] for order in ranked]
    for place, order in enumerate(ranked):
        if chosen.count(chosen[place]) > _MOST_ALIKE:
            free = (PALETTE[n][0] for n in order if PALETTE[n][0] not in chosen)
            chosen[place] = next(free, chosen[place])
    names = list(chosen)
    for name in dict.fromkeys(chosen):
        alike = sorted((n for n, own in enumerate(chosen) if own == name), key=lambda n: -labs[n][0])
        for place, word in zip(alike, _APART.get(len(alike), ("",)), strict=False):
            names[place] = _worded(word, name)
    return _told_apart(names, labs)


def _worded(word: str, name: str) -> str:
    """`Light brown`, but never `Dark dark brown` or `Light pale blue`."""
    if not word:
        return tr(name)
    known = name.split(" ", 1)[0] in ("Pale", "Light", "Dark", "Deep")
    plain = tr(opened(name.split(" ", 1)[1]) if known else name)
    return _WORDED[word].format(colour=within(plain))


def _told_apart(names: list[str], labs: Sequence[Lab]) -> list[str]:
    """Names made by different words may still meet: `Dark` of green and Dark green. The next name serves."""
    seen: set[str] = set()
    for place, name in enumerate(names):
        if name in seen:
            order = np.argsort(delta_e00(_places(), np.array(labs[place])), kind="stable")
            others = (tr(PALETTE[n][0]) for n in order)
            names[place] = next(other for other in others if other not in {*seen, *names})
        seen.add(names[place])
    return names


def free_name(lab: Lab, taken: Sequence[str]) -> str:
    """The nearest name that is not taken yet; with a number where all are.

    Parameters
    ----------
    lab : CIELAB, D50/2 deg.
    taken : names in use; case counts.

    Returns
    -------
    A name.
    """
    order = np.argsort(delta_e00(_places(), np.array(lab)), kind="stable")
    names = [tr(PALETTE[n][0]) for n in order]
    numbered = (f"{names[0]} {n}" for n in range(2, 1000))
    return next(name for name in (*names, *numbered) if name not in taken)
