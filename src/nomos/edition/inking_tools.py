"""What ink is put on with: one record each, and nothing outside asks for its name.

A further tool is one line in `INKING_TOOLS`. How a right film looks and sounds: common practice, no source.
"""

import math
from dataclasses import dataclass

from nomos.base.language import tr


@dataclass(frozen=True)
class Cues:
    """How it is put on, how a right film looks, sounds and feels, and what too much and too little do."""

    way: str
    right: str
    much: str
    little: str


@dataclass(frozen=True)
class InkingTool:
    """A tool that puts ink on a block.

    key : as files and commands have it; name : as it is shown.
    room_share : room it needs between two inks, as a share of what the workshop's roller does; from memory.
    more_min : minutes a pull takes longer with it, by zone; from memory.
    left_g : ink that stays in it and on the slab after a run, that nobody scrapes off; from memory.
    rolled : the share of the workshop's roller whose surface carries ink, on it and rolled out on the slab.
    usual : the workshop's own roller, whose size is known.
    """

    key: str
    name: str
    cues: Cues
    room_share: float
    more_min: float = 0.0
    left_g: float = 0.5
    rolled: float = 0.0
    usual: bool = False

    @property
    def rolls(self) -> bool:
        """Whether it reaches over cleared ground."""
        return self.rolled > 0

    def keeps_g(self, roller_mm: float, long_mm: float) -> float:
        """Ink that one run leaves on tool and slab, g. roller_mm, long_mm : diameter and length of the roller."""
        surface_m2 = math.pi * roller_mm * long_mm / 1e6
        return self.left_g + self.rolled * surface_m2 * (1 + _SLAB_ROLLERS) * _ROLLED_G_M2


# Ink rolled out lies about so thick, on the roller and on a slab of so many times its surface; from memory.
_ROLLED_G_M2, _SLAB_ROLLERS = 12.0, 2.0
_ROLLED = Cues(
    tr("Roll, lift, turn the block: several thin coats, from two sides."),
    tr("Right: a satin sheen and an even hiss."),
    tr("Too much: it smacks, lines fill. Stop, clean the lines, less ink."),
    tr("Too little: grey and speckled. One more thin coat, not one thick."),
)
_DABBED = Cues(
    tr("Dab, lift, turn the dabber: a little at a time, worked out on the slab first."),
    tr("Right: an even bloom, no ridges."),
    tr("Too much: threads as it lifts. Dab it off on newsprint."),
    tr("Too little: the weave shows."),
)
_BRUSHED = Cues(
    tr("Damp the block first; brush the colour out even, the last strokes with the grain; a brush for each colour."),
    tr("Right: damp all over, no puddles."),
    tr("Too much: it runs to the edges. Blot them."),
    tr("Too little: dry strokes show."),
)
_PASTED = Cues(
    tr("Damp the block first; colour, then a pea of paste, brushed into one; a brush for each colour."),
    tr("Right: colour and paste brushed to one even damp film, last strokes with the grain."),
    tr("Too much paste: it shines and sticks. Too much water: edges bleed."),
    tr("Too little paste: it grains. A pea more for a hand of block."),
)
_DRAWN = Cues(
    tr("Draw it on quickly, edges first."),
    tr("Right: an even wet line, printed before it dries."),
    tr("Too much: it beads on the block. Breathe on it and wait."),
    tr("Too little: it is dry when the sheet comes. Go over it again."),
)
INKING_TOOLS: dict[str, InkingTool] = {
    each.key: each
    for each in (
        InkingTool("roller", tr("roller"), _ROLLED, 1.0, left_g=1.5, rolled=1.0, usual=True),
        InkingTool("half roller", tr("roller, half its width"), _ROLLED, 1.0, left_g=1.0, rolled=0.5),
        InkingTool("small roller", tr("small roller"), _ROLLED, 0.5, left_g=0.7, rolled=0.3),
        InkingTool("dabber", tr("dabber"), _DABBED, 0.25, left_g=0.8),
        InkingTool("brush", tr("brush"), _BRUSHED, 0.15),
        InkingTool("brush and paste", tr("brush and paste"), _PASTED, 0.15, 1.0),
        InkingTool("pen", tr("felt pen"), _DRAWN, 0.05, left_g=0.0),
    )
}
