"""Ways of bringing a drawing onto a block, and which way round its sheet is printed for each."""

from dataclasses import dataclass
from typing import Literal, get_args

from nomos.base.language import tr

TransferWay = Literal["turned tracing", "direct tracing", "pasted key", "toner"]
TRANSFER_WAYS: tuple[TransferWay, ...] = get_args(TransferWay)


@dataclass(frozen=True)
class Transfer:
    """How a way works.

    mirrored : the printed sheet is the mirror image of the print.
    steps : what is done with it.
    block_shows : which way round the block then reads.
    """

    way: TransferWay
    name: str
    mirrored: bool
    steps: str
    block_shows: str


# A block is the mirror image of its print; a sheet laid face down on it reverses by itself (common practice).
TRANSFERS: dict[TransferWay, Transfer] = {
    "turned tracing": Transfer(
        "turned tracing",
        tr("Tracing turned face down"),
        mirrored=False,
        steps=tr("Trace it in soft pencil right-reading, turn it face down on the block and rub it off."),
        block_shows=tr("Turning it over mirrors it: writing on the block reads backwards, as it must."),
    ),
    "direct tracing": Transfer(
        "direct tracing",
        tr("Traced straight through"),
        mirrored=True,
        steps=tr("Lay transfer paper on the block, this sheet face up on it, and draw over every line."),
        block_shows=tr("The sheet is mirrored already: what you see is what you cut."),
    ),
    "pasted key": Transfer(
        "pasted key",
        tr("Key impression pasted face down"),
        mirrored=False,
        steps=tr("Print the finished key on thin paper, paste it face down on the fresh block, and rub the back away."),
        block_shows=tr("It carries the key's cut lines exactly, mirrored by being face down."),
    ),
    "toner": Transfer(
        "toner",
        tr("Laser print, face down"),
        mirrored=False,
        steps=tr("Print it on a laser printer, lay it face down, and bring the toner off with heat or solvent."),
        block_shows=tr("Face down it mirrors itself: writing on the block reads backwards, as it must."),
    ),
}
SOLVENT_CAUTION = tr(
    "Solvents: ventilate, wear gloves, and put oily rags in a closed metal bin, they can heat by themselves. "
    "The product's safety sheet, local rules and trained people come first."
)
CHISEL_CAUTION = tr("Eye protection with mallet and chisels, and whenever chips fly.")
MAT_CAUTION = tr(
    "Windows and pieces: a cutting mat below, a guarded knife against a steel edge, never towards the hand."
)
KNIFE_CAUTION = tr(
    "Carve away from the body, the other hand behind the edge, the block on a bench hook or clamped. Sharp "
    "tools are safer than blunt ones. Trained people and local rules come first."
)
