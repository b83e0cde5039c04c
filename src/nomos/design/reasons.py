"""Why a sketch has so many colours, in words."""

from collections.abc import Sequence

from nomos.colour import Lab
from nomos.colour.names import colour_names
from nomos.design.dendrogram import Joined
from nomos.units import counted


def why_so_many(
    labs: Sequence[Lab], line: int | None, paper: int | None, joined: Sequence[Joined], own: int
) -> str:
    """What is counted, what would fall together with one fewer, and what one more would tell apart.

    Parameters
    ----------
    labs : the colours. line, paper : which of them is the line, the paper.
    joined : every join of the count, with how many areas are left after it.
    own : colours counted besides those joined: the line's.
    """
    areas = len(labs) - (line is not None) - (paper is not None)
    parts = [f"{counted(areas, 'area')}"]
    parts += ["the paper"] if paper is not None else []
    parts += ["the line"] if line is not None else []
    plural = "s" if len(labs) != 1 else ""
    text = (
        f"{len(labs)} colour{plural}: {', '.join(parts[:-1])}{' and ' if len(parts) > 1 else ''}{parts[-1]}."
    )
    after = {each.left + own: each for each in joined}
    fewer = after.get(len(labs) - 1)
    if fewer is not None and len(labs) > 2:
        one, other = colour_names([fewer.one, fewer.other])
        text += f" With one fewer, {_small(one)} and {_small(other)} fall together."
    more = after.get(len(labs))
    if more is not None:
        one, other = colour_names([more.one, more.other])
        text += f" One more would tell {_small(one)} from {_small(other)}."
    return text


def _small(name: str) -> str:
    return name[:1].lower() + name[1:]
