"""What blocks are made of and cut with; all figures chosen by us or from memory, the user sets them."""

from dataclasses import dataclass
from typing import Literal

from nomos.base.errors import BadInput
from nomos.base.language import tr
from nomos.base.units import range_text

Material = str
ToolKind = Literal["knife", "v", "u", "flat", "pen"]
TOOL_WORDS: dict[ToolKind, str] = {
    "knife": "knife", "v": tr("V tool"), "u": tr("U gouge"), "flat": tr("flat gouge"), "pen": "pen",
}  # fmt: skip


class CarvingError(BadInput):
    """Tools, a block or a board that cannot be."""


@dataclass(frozen=True)
class MaterialFacts:
    """How a material cuts: one record each, and nothing outside asks for its name. Lengths in mm.

    said : as it is shown.
    line_mm, channel_mm : the thinnest line that holds, the narrowest channel that clears.
    outline_mm_min : length of outline cut in a minute, both sides of a line counted.
    feed_mm_min : how far a gouge is pushed in a minute, all strokes counted.
    deepest_mm : how deep clearing may go.
    thickness_mm : as it is commonly sold.
    grained : its blocks may not be turned on the board.
    chiselled : mallet and chisels go at it.
    pressed : worked with pens, not cut: what is pressed in stays white, ridges close together sink.
    for_lines : advised for a block of fine lines.
    backed : thin sheets are glued to a board, since cleared ground would print.
    mended : what is done about a place that broke out; "" where nothing holds. Common practice, no source.
    """

    said: str
    line_mm: float
    channel_mm: float
    outline_mm_min: float
    feed_mm_min: float
    deepest_mm: float
    thickness_mm: float
    grained: bool = False
    chiselled: bool = False
    pressed: bool = False
    backed: bool = False
    for_lines: bool = False
    mended: str = ""


_PLUG = tr("Cut the place out square, glue in a plug of the same wood with its grain, plane it level, cut it anew.")
_FILLER = tr(
    "Glue the chip back, or fill the place with a hard filler and cut it anew: solids hold, fine lines do not."
)
MATERIALS: dict[Material, MaterialFacts] = {
    "lino": MaterialFacts(tr("lino"), 0.5, 0.6, 80.0, 140.0, 2.2, 3.2, backed=True, mended=_FILLER),
    "soft wood": MaterialFacts(
        tr("soft wood"), 0.7, 0.8, 45.0, 100.0, 4.0, 12.0, grained=True, chiselled=True, mended=_PLUG
    ),
    "hard wood": MaterialFacts(
        tr("hard wood"), 0.4, 0.5, 25.0, 50.0, 3.0, 12.0, grained=True, chiselled=True, for_lines=True, mended=_PLUG
    ),
    "end grain": MaterialFacts(tr("end grain"), 0.15, 0.2, 18.0, 30.0, 2.0, 23.0, chiselled=True, mended=_PLUG),
    "foam": MaterialFacts(tr("foam"), 1.0, 1.0, 200.0, 300.0, 2.0, 5.0),
    "pressed foam": MaterialFacts(tr("pressed foam"), 2.0, 0.8, 600.0, 900.0, 1.5, 5.0, pressed=True),
}
USUAL_MATERIAL: Material = next(iter(MATERIALS))


@dataclass(frozen=True)
class Tool:
    """A tool of the set: its kind and the width of its cut in mm."""

    kind: ToolKind
    width_mm: float

    @property
    def name(self) -> str:
        """As it is called at the bench."""
        return f"{TOOL_WORDS[self.kind]} {self.width_mm:g} mm"


USUAL_TOOLS: tuple[Tool, ...] = (
    Tool("v", 1.0), Tool("u", 2.0), Tool("u", 5.0), Tool("flat", 10.0),
)  # fmt: skip
# What foam is pressed with: a pen for lines, the blunt end of a brush for ground.
PENS = (Tool("pen", 1.0), Tool("pen", 6.0))


def tools_for(material: Material, tools: tuple[Tool, ...]) -> tuple[Tool, ...]:
    """What a material is worked with: the set of tools, but pens where it is pressed.

    Parameters
    ----------
    material : of the block.
    tools : the set.

    Returns
    -------
    The tools used.
    """
    return PENS if MATERIALS[material].pressed else tools


def check_tools(tools: tuple[Tool, ...]) -> None:
    """Refuse a set of tools that cannot clear anything.

    Raises
    ------
    CarvingError : no tool, or none that clears.
    """
    if tools == PENS:
        return
    if not tools or not any(tool.kind in ("knife", "v") for tool in tools):
        raise CarvingError(tr("The tools need a knife or a V tool for the outlines."))
    if not any(tool.kind in ("u", "flat") for tool in tools):
        raise CarvingError(tr("The tools need at least one gouge to clear ground with."))
    if len(tools) > 12 or any(not 0.2 <= tool.width_mm <= 50 for tool in tools):
        raise CarvingError(tr("Up to twelve tools of {range} can be set.", range=range_text(0.2, 50)))
