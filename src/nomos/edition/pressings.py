"""How paper is brought onto the block: one record each, and nothing outside asks for its name.

A further way is one line in `PRESSINGS`.
"""

from dataclasses import dataclass

from nomos.base.language import tr


@dataclass(frozen=True)
class Pressing:
    """A way of rubbing or pressing.

    key : as files and commands have it; name : as it is shown; how : as it is said at the bench.
    packed : there is packing above the sheet, to be made more or less.
    slips : the sheet can slip under it and is taped.
    over : what lies on the sheet while it is pressed. released : a thin sheet that was taped comes off with care.
    caution : what can hurt.
    """

    key: str
    name: str
    how: str
    slips: bool = False
    over: str = ""
    released: str = ""
    packed: bool = False
    caution: str = ""


_PRESS = tr("Fingers out of the press.")
# Where none is said.
UNSAID = Pressing("", "", "")
_RELEASED = tr("Thin sheets are taped at the far edge: loosen the tape before lifting.")
PRESSINGS: dict[str, Pressing] = {
    each.key: each
    for each in (
        Pressing(
            "baren", tr("baren"), tr("baren, in rings from the middle outwards"), over=tr("baking parchment between")
        ),
        Pressing("spoon", tr("spoon"), tr("spoon, small strokes, a card over the paper"), slips=True),
        Pressing(
            "hand", tr("the palm of the hand"), tr("the palm of the hand"), slips=True, over=tr("a clean sheet between")
        ),
        Pressing("clean roller", tr("a clean roller"), tr("a clean roller, straight over"), slips=True),
        Pressing("foot", tr("by foot"), tr("by foot, on felt and a board, without turning the heel"), slips=True),
        Pressing("hand press", tr("hand press"), tr("hand press"), packed=True, caution=_PRESS, released=_RELEASED),
        Pressing("press", tr("press"), tr("press"), packed=True, caution=_PRESS, released=_RELEASED),
    )
}
