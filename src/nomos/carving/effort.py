"""How long a block takes to cut."""

from collections.abc import Sequence
from dataclasses import dataclass

from nomos.carving.maps import CarvingMap, outline_tool
from nomos.carving.materials import MaterialFacts, Tool

# Of a gouge's width each stroke clears so much that the last has not, and ground takes so many layers
# for each millimetre of depth; chosen by us, the log corrects the whole by a factor.
_OVERLAP, _LAYERS_A_MM = 0.6, 0.7


@dataclass(frozen=True)
class Effort:
    """Hours by what is done.

    by_tool : the tool's name, the area it clears in mm² and its hours.
    """

    outline_mm: float
    outline_h: float
    by_tool: tuple[tuple[str, float, float], ...]

    @property
    def hours(self) -> float:
        """All of it."""
        return self.outline_h + sum(hours for _, _, hours in self.by_tool)


def effort_of(carving: CarvingMap, facts: MaterialFacts, factor: float = 1.0) -> Effort:
    """The hours for a carving map.

    Outline by its length; each tool's area by what its width clears in a minute,
    in as many layers as the mean depth there needs.

    Parameters
    ----------
    carving : the map of one block.
    facts : cutting speeds of the material, mm and mm2 a minute.
    factor : how much slower the printmaker has proved to be, 1 as expected.

    Returns
    -------
    Hours, in all and by tool.
    """
    outline_h = factor * carving.outline_mm / facts.outline_mm_min / 60
    rows = []
    outliner = outline_tool(carving.tools)
    for tool, area, depth in zip(carving.tools, carving.areas_mm2, carving.depths_mm, strict=True):
        if tool.kind in ("knife", "v") or tool == outliner or area <= 0:
            continue
        rate = tool.width_mm * _OVERLAP * facts.feed_mm_min
        rows.append((tool.name, area, factor * area / rate * max(1.0, depth * _LAYERS_A_MM) / 60))
    return Effort(carving.outline_mm, outline_h, tuple(rows))


def rough_hours(
    outline_mm: float, clear_mm2: float, tools: Sequence[Tool], facts: MaterialFacts, factor: float = 1.0
) -> float:
    """Hours for blocks that no map was made for yet: all ground with the widest gouge, at full depth.

    Narrow ground takes finer tools and shallow ground fewer strokes, so that both errors
    go some way to meet; for choosing between plans, not for the calendar.

    Parameters
    ----------
    outline_mm, clear_mm2 : of all blocks together.
    tools : at least one.
    facts, factor : as for `effort_of`.
    """
    gouges = [tool.width_mm for tool in tools if tool.kind not in ("knife", "v")]
    rate = max(gouges or [tool.width_mm for tool in tools]) * _OVERLAP * facts.feed_mm_min
    clearing = clear_mm2 / rate * max(1.0, facts.deepest_mm * _LAYERS_A_MM)
    return factor * (outline_mm / facts.outline_mm_min + clearing) / 60


def factor_from_log(said_h: float, took_h: float) -> float:
    """How much slower cutting went than was said.

    Parameters
    ----------
    said_h, took_h : hours.

    Returns
    -------
    took_h / said_h, no unit.

    Raises
    ------
    ValueError : no time at all.
    """
    if said_h <= 0 or took_h <= 0:
        raise ValueError("Both times must be more than nothing.")
    return min(max(took_h / said_h, 0.1), 10.0)
