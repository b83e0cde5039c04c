"""What practice asks for at the right pull: said once, when it is due."""

from dataclasses import dataclass

from nomos.base.language import tr

# How often, in pulls; common practice says that it is done, how often is chosen by us.
WIPE_GROUND, WIPE_LINES, DAMP_AGAIN, CHECK_REGISTER = 5, 8, 6, 10


@dataclass(frozen=True)
class LayerWork:
    """What decides what has to be remembered at a layer.

    pulls : how many it will have. sacrifice : a known bad sheet goes first.
    chatter : cleared ground that the roller reaches. fine : fine lines on the block.
    extended : share of extender in the ink. damp : on damp paper. key_of_state : a state was cut for it.
    """

    pulls: int
    sacrifice: bool
    chatter: bool
    fine: bool
    extended: float
    damp: bool
    after_cutting: bool = False


def reminders(work: LayerWork, done: int) -> tuple[str, ...]:
    """What is due before the next pull, the most pressing first. done : pulls of this layer so far."""
    said = []
    if done == 0:
        if work.after_cutting:
            said.append(tr("Brush every chip out of the new cuts, and check that the block is dry."))
        said.append(
            tr("Bad sheet first: the first pull of a layer is poor.")
            if work.sacrifice
            else tr("Pull on newsprint first: the first pull of a layer is poor.")
        )
    if done == 1:
        said.append(tr("Hold this sheet against the plan: colour, register, dirt."))
    if done > 1 and done % CHECK_REGISTER == 0:
        said.append(tr("Check register against the first good sheet."))
    if done and done == work.pulls // 2 and work.pulls >= 6:
        said.append(tr("Half way: scrape the slab down and roll out afresh."))
    if work.chatter and done and done % WIPE_GROUND == 0:
        said.append(tr("Wipe the cleared ground."))
    if work.fine and work.extended > 0.3 and done and done % WIPE_LINES == 0:
        said.append(tr("Wipe the fine lines: extender builds up beside them."))
    if work.damp and done and done % DAMP_AGAIN == 0:
        said.append(tr("Damp the block and the pack again."))
    return tuple(said)
