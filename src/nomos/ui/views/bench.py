"""What the bench shows: the layer, the sheet that is next, what to remember, the tally."""

from dataclasses import dataclass
from datetime import datetime, timedelta

import numpy as np
from numpy.typing import NDArray

from nomos.colour import lab_to_hex
from nomos.edition import REASONS, EditionState
from nomos.project import Project, Proof
from nomos.project.benching import layer_card
from nomos.project.carvings import CarvedBlock
from nomos.ui.views.frame import small_print

_FINE_MM = 1.0
_CAUTIONS = (
    "Fingers out of the press. Air and gloves with solvents.",
    "Oily rags into a closed metal bin: they heat by themselves.",
    "Safety sheets, local rules and trained people come first.",
)


@dataclass(frozen=True, eq=False)
class BenchView:
    """What is next?

    sheet : the sheet at hand, or what has to be done instead, in two or three words.
    reasons : why a sheet is spoiled, while that is asked.
    begin : the words on the button that begins a layer; empty while one is printed.
    """

    title: str
    swatch: str
    sheet: str
    quiet: str
    lines: tuple[str, ...]
    reminders: tuple[str, ...]
    tally: str
    after: str
    timer: str
    reasons: tuple[str, ...]
    begin: str
    can_pull: bool
    guide: str
    picture: NDArray[np.uint32] | None = None


def bench_view(
    project: Project,
    proof: Proof | None,
    state: EditionState,
    carved: tuple[CarvedBlock, ...],
    now: datetime,
    *,
    asking: bool = False,
    guide: str = "",
    tall: int = 320,
) -> BenchView:
    """The bench for the layer at hand. tall : of the picture of the sheet, pixels."""
    if state.layer < 0:
        first = project.block(project.impressions[0].block).name
        return BenchView(
            project.title, "", "Not begun", f"{state.sheets} sheets, {state.layers} layers", _CAUTIONS, (),
            "",
            "", "", (), f"Begin layer 1: {first}", can_pull=False, guide=guide,
        )  # fmt: skip
    pull = project.impressions[state.layer]
    own = next((each for each in carved if each.block == pull.block), None)
    chatter = own is not None and own.carving.chatter_mm2 > 100
    fine = own is not None and own.finest_mm is not None and own.finest_mm < _FINE_MM
    card = layer_card(project, proof.blocks if proof else None, state, chatter=chatter, fine=fine)
    queue = state.queue()
    counts = state.tally()
    begin = ""
    if not queue:
        more = state.layer + 1 < state.layers
        begin = f"Begin layer {state.layer + 2}" if more else ""
    sheet = f"Sheet {queue[0]}" if queue else ("Layer done" if begin else "All printed")
    bad = bool(queue) and state.histories[queue[0]].spoiled_at is not None
    quiet = (
        f"a bad one first; then {len(queue) - 1} more" if bad else f"{max(len(queue) - 1, 0)} more after it"
    )
    tally = f"{counts['good']} good   {counts['spoiled']} spoiled   {counts['repaired']} repaired"
    if state.beyond:
        tally += f"   {state.beyond} of layers no longer planned"
    return BenchView(
        card.title,
        lab_to_hex(np.array(project.ink(pull.zones[0].ink).lab)),
        sheet,
        quiet if queue else "",
        (f"Ink: {card.ink}. {card.amount}", card.film, card.packing, card.lay),
        card.reminders if queue else (),
        tally,
        card.after,
        " ".join(part for part in (_timer(card.ready_at, now), _press(state, now)) if part),
        REASONS if asking else (),
        begin,
        can_pull=bool(queue),
        guide=guide,
        picture=_picture(project, proof, state.layer + 1, tall),
    )


def _picture(project: Project, proof: Proof | None, pulls: int, tall: int) -> NDArray[np.uint32] | None:
    """The sheet after this pull, as the plan has it."""
    if proof is None or proof.project is not project:
        return None
    return small_print(proof, project, tall, pulls)


def _press(state: EditionState, now: datetime) -> str:
    """How long sheets still lie under the press."""
    if state.pressed is None:
        return ""
    until = datetime.fromisoformat(state.pressed.at) + timedelta(hours=state.pressed.value)
    return f"Under the press until {until:%a %H:%M}." if until > now else ""


def _timer(ready_at: datetime | None, now: datetime) -> str:
    """How long the sheets still have to dry."""
    if ready_at is None:
        return ""
    left = (ready_at - now).total_seconds() / 3600
    if left <= 0:
        return "The layer before is dry."
    hours, minutes = int(left), int(left * 60) % 60
    return f"The layer before dries {hours} h {minutes:02d} min more, until {ready_at:%a %H:%M}."
