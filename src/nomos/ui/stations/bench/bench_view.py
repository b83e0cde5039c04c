"""What the bench shows: the layer, the sheet that is next, what to remember, the tally."""

from dataclasses import dataclass
from datetime import datetime, timedelta

import numpy as np
from numpy.typing import NDArray

from nomos.base.language import opened, tr
from nomos.colour import lab_to_hex
from nomos.edition import REASONS, EditionState
from nomos.project import Project, Proof
from nomos.project.blocks.reduction import cut_before
from nomos.project.edition.bench import LayerCard, has_fine_lines, layer_card, reaches_ground
from nomos.project.edition.card import PullCard
from nomos.project.edition.carving import CarvedBlock
from nomos.project.edition.gate import cut_gate
from nomos.ui.frame.view import prints_by_pull

_CAUTIONS = (
    tr("Fingers out of the press. Air and gloves with solvents."),
    tr("Oily rags into a closed metal bin: they heat by themselves."),
    tr("Safety sheets, local rules and trained people come first."),
)
# More zones than this do not go on the screen.
_MOST_ZONES = 4


@dataclass(frozen=True, eq=False)
class BenchView:
    """What is next?

    sheet : the sheet at hand, or what has to be done instead, in two or three words.
    reasons : why a sheet is spoiled, while that is asked.
    begin : the words on the button that begins a layer; empty while one is printed.
    gate : what the next cut means for the edition; asking_cut : it has to be answered now.
    read : what a photograph of the last sheet came to.
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
    gate: str = ""
    read: str = ""
    asking_cut: bool = False


def bench_view(
    project: Project, proof: Proof | None, state: EditionState, carved: tuple[CarvedBlock, ...], now: datetime, *,
    asking: bool = False, asking_cut: bool = False, worth: str = "", warned: frozenset[str] = frozenset(),
    guide: str = "", practising: bool = False, waiting: int = 0, read: str = "", tall: int = 320,
) -> BenchView:  # fmt: skip
    """The bench for the layer at hand.

    worth : what the next layer is worth, if it is one more pass. waiting : how many things are not on disk
        yet. read : what a photograph of the last sheet came to. warned : cautions of this session's other
        layers, which are not said again. tall : of the picture of the sheet, pixels.
    """
    following = state.next_layer()
    gate = cut_gate(project, state)
    cut = gate.text if gate is not None else worth
    if not 0 <= state.layer < state.layers:
        begin = "" if following is None else _begin_words(project, following, asking_cut=asking_cut)
        return BenchView(
            project.title, "", tr("Not begun") if state.layer < 0 else tr("Begin the next"),
            tr("{sheets} sheets, {layers} layers", sheets=state.sheets, layers=state.layers), _CAUTIONS, (),
            "", "", "", (), begin, can_pull=False, guide=guide, gate=cut, asking_cut=asking_cut,
        )  # fmt: skip
    pull = project.impressions[state.layer]
    own = next((each for each in carved if each.block == pull.block), None)
    chatter = own is not None and reaches_ground(own)
    fine = own is not None and has_fine_lines(own)
    card = layer_card(project, proof.blocks if proof else None, state, chatter=chatter, fine=fine)
    queue = state.queue()
    begin = "" if queue or following is None else _begin_words(project, following, asking_cut=asking_cut)
    sheet = tr("Sheet {queue}", queue=queue[0]) if queue else (tr("Layer done") if begin else tr("All printed"))
    bad = bool(queue) and state.histories[queue[0]].spoiled_at is not None
    quiet = (
        tr("a bad one first; then {len} more", len=len(queue) - 1)
        if bad
        else tr("{len} more after it", len=max(len(queue) - 1, 0))
    )
    if state.by_sheet and queue:
        quiet = tr(
            "block {layer} of {layers} under it; {len} sheets after it",
            layer=state.layer + 1, layers=state.layers, len=len(queue) - 1,
        )  # fmt: skip
    tally = _tally(state)
    if waiting:
        tally += tr("   being written: {waiting}", waiting=waiting)
    first = not state.pulled.get(state.layer)
    return BenchView(
        tr("Practice: {title}", title=card.pull.title) if practising else card.pull.title,
        lab_to_hex(np.array(project.ink(pull.main.ink).lab)),
        sheet,
        quiet if queue else "",
        _lines(card.pull, first=first, brief=bool(read)),
        _reminders(card, first=first, warned=warned) if queue else (),
        tally,
        card.pull.after,
        " ".join(part for part in (_timer(card.ready_at, now), _press(state, now)) if part),
        REASONS if asking else (),
        begin,
        can_pull=bool(queue),
        guide=guide,
        picture=_picture(project, proof, state.layer + 1, tall),
        gate="" if queue else cut,
        read=read,
        asking_cut=asking_cut,
    )


def _tally(state: EditionState) -> str:
    counts = state.tally()
    said = "   ".join(f"{counts[how]} {tr(how)}" for how in ("good", "spoiled", "repaired"))
    return tr("{said}   {beyond} of layers no longer planned", said=said, beyond=state.beyond) if state.beyond else said


def _begin_words(project: Project, layer: int, *, asking_cut: bool) -> str:
    name = project.pull_name(project.impressions[layer].id)
    if asking_cut and not cut_before(project)[layer]:
        return tr("Print it all the same: begin layer {layer}, {name}", layer=layer + 1, name=name)
    if asking_cut:
        return tr("It is cut: begin layer {layer}, {name}", layer=layer + 1, name=name)
    if cut_before(project)[layer]:
        return tr("Cut further for layer {layer}, {name}…", layer=layer + 1, name=name)
    return tr("Begin layer {layer}: {name}", layer=layer + 1, name=name)


def _lines(card: PullCard, *, first: bool, brief: bool) -> tuple[str, ...]:
    """What the hands need, in their order, few lines.

    Before the first pull what is checked; after it what too much and too little ink look and sound like.
    brief : what a photograph came to needs the room.
    """
    zones = tuple(f"{opened(zone.text)}." for zone in card.zones)
    if len(zones) > _MOST_ZONES:
        zones = (
            *zones[: _MOST_ZONES - 1],
            tr("And {most_zones} more zones, see the packet.", most_zones=len(zones) - _MOST_ZONES + 1),
        )
    said = [*zones, *([f"{opened(card.amount)}."] if card.amount and first else ())]
    for step in card.steps:
        if (step.kind == "check" and not first) or (brief and step.kind != "lay"):
            continue
        # The way a tool is used is known after the first pull, what goes wrong with it shows then.
        inked = slice(0, 2) if first else slice(1, 4)
        shown = step.said[inked if step.kind == "ink" else slice(1)]
        said.append(tr("{name}: {words}", name=step.name, words=" ".join(shown)))
    return tuple(said)


def _reminders(card: LayerCard, *, first: bool, warned: frozenset[str]) -> tuple[str, ...]:
    """What is due, and before the first pull what can hurt, once a session."""
    cautions = [said for said in card.pull.cautions if said not in warned][:1] if first else []
    return (*card.reminders, *cautions)


def _picture(project: Project, proof: Proof | None, pulls: int, tall: int) -> NDArray[np.uint32] | None:
    """The sheet after this pull, as the plan has it."""
    if proof is None or proof.project is not project:
        return None
    return prints_by_pull(proof, tall)[pulls]


def _press(state: EditionState, now: datetime) -> str:
    """How long sheets still lie under the press."""
    if state.pressed is None:
        return ""
    until = datetime.fromisoformat(state.pressed.at) + timedelta(hours=state.pressed.value)
    return tr("Under the press until {until:%a %H:%M}.", until=until) if until > now else ""


def _timer(ready_at: datetime | None, now: datetime) -> str:
    """How long the sheets still have to dry."""
    if ready_at is None:
        return ""
    left = (ready_at - now).total_seconds() / 3600
    if left <= 0:
        return tr("The layer before is dry.")
    hours, minutes = int(left), int(left * 60) % 60
    return tr(
        "The layer before dries {hours} h {minutes:02d} min more, until {ready_at:%a %H:%M}.",
        hours=hours, minutes=minutes, ready_at=ready_at,
    )  # fmt: skip
