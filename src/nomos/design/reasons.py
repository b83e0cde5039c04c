"""Why a sketch has so many colours, in words."""

from collections.abc import Sequence

from nomos.base.language import tr, within
from nomos.base.units import counted
from nomos.colour import Lab
from nomos.colour.names import colour_names
from nomos.design.dendrogram import Joined


def why_so_many(labs: Sequence[Lab], line: int | None, paper: int | None, joined: Sequence[Joined], own: int) -> str:
    """What is counted, what would fall together with one fewer, and what one more would tell apart.

    Parameters
    ----------
    labs : the colours. line, paper : which of them is the line, the paper.
    joined : every join of the count, with how many areas are left after it.
    own : colours counted besides those joined: the line's.
    """
    areas = len(labs) - (line is not None) - (paper is not None)
    parts = [counted(areas, tr("area"), tr("areas"))]
    parts += [tr("the paper")] if paper is not None else []
    parts += [tr("the line")] if line is not None else []
    text = tr(
        "{labs}: {join}{also}{parts}.",
        labs=counted(len(labs), tr("colour"), tr("colours")), join=", ".join(parts[:-1]),
        also=tr(" and ") if len(parts) > 1 else "", parts=parts[-1],
    )  # fmt: skip
    after = {each.left + own: each for each in joined}
    fewer = after.get(len(labs) - 1)
    if fewer is not None and len(labs) > 2:
        one, other = colour_names([fewer.one, fewer.other])
        text += tr(" With one fewer, {small} and {small_2} fall together.", small=within(one), small_2=within(other))
    more = after.get(len(labs))
    if more is not None:
        one, other = colour_names([more.one, more.other])
        text += tr(" One more would tell {small} from {small_2}.", small=within(one), small_2=within(other))
    return text
