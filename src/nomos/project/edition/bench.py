"""What the bench needs to know of a layer: ink, roller, film, packing, block, how the sheet is laid."""

import re
from dataclasses import dataclass, replace
from datetime import datetime, timedelta

from nomos.base.language import tr
from nomos.edition import EditionState, Event, EventKind
from nomos.edition.reminders import LayerWork, reminders
from nomos.project.blocks.reduction import cut_before
from nomos.project.edition.card import PullCard, pull_card
from nomos.project.edition.carving import CarvedBlock
from nomos.project.edition.printed import printed_as
from nomos.project.model import Project, ProjectError
from nomos.project.model.sheets import planned_sheets
from nomos.project.order.days import runs_of
from nomos.project.sheet.masks import CutBlocks

# Ground that the roller reaches is wiped from so much on, and lines are fine below so much (chosen by us).
_WIPED_MM2, _FINE_MM = 100.0, 1.0


@dataclass(frozen=True)
class LayerCard:
    """A layer as it stands at the bench.

    pull : what the plan knows of it. ready_at : when the sheets of the layer before are dry; None where
        nothing has to dry.
    """

    pull: PullCard
    reminders: tuple[str, ...]
    ready_at: datetime | None


def layer_work(project: Project, layer: int, *, bad: bool, chatter: bool, fine: bool) -> LayerWork:
    """What decides the reminders of a layer. bad : there is a spoiled sheet that can go first."""
    pull = project.impressions[layer]
    extended = 1 - min(zone.strength for zone in pull.zones if not zone.bare)
    return LayerWork(
        planned_sheets(project),
        project.plan.sacrificed and bad,
        chatter,
        fine,
        extended,
        project.register.damp or project.times.damp,
        bool(cut_before(project)[layer]),
    )


def layer_card(
    project: Project, blocks: CutBlocks | None, state: EditionState, *, chatter: bool = False, fine: bool = False
) -> LayerCard:
    """The layer at hand; state.layer must be one that is planned."""
    layer = state.layer
    done = len(state.pulled.get(layer, []))
    bad = any(at != layer for at in state.spoiled.values())
    return LayerCard(
        pull_card(project, blocks, layer),
        reminders(layer_work(project, layer, bad=bad, chatter=chatter, fine=fine), done),
        _ready_at(project, state),
    )


def _ready_at(project: Project, state: EditionState) -> datetime | None:
    """When the last sheet of the layer before is dry."""
    before = state.layer - 1
    pulls = state.pulled.get(before, [])
    if before < 0 or not pulls or project.goes_on_wet(state.layer):
        return None
    last = datetime.fromisoformat(pulls[-1][0])
    return last + timedelta(hours=runs_of(project)[before].drying_h)


def begin_events(project: Project, state: EditionState, at: str, layer: int | None = None) -> tuple[Event, ...]:
    """What is written down as a layer begins, the next one if none is named. Raises ProjectError."""
    wanted = state.next_layer() if layer is None else layer
    if wanted is None or not 0 <= wanted < state.layers:
        raise ProjectError("layer", tr("Every layer is printed: choose and number the sheets."))
    pull = project.impressions[wanted]
    inks = ", ".join(dict.fromkeys(project.ink(zone.ink).name for zone in pull.zones if zone.inked))
    begun = Event(at, "layer", wanted, text=inks, pull=pull.id, printed=printed_as(project, pull))
    if cut_before(project)[wanted]:
        said = tr("cut further for {id}", id=project.pull_name(pull.id))
        cut = Event(at, "state", wanted, text=said, pull=pull.id)
        return cut, begun
    return (begun,)


def pull_events(project: Project, state: EditionState, kind: EventKind, at: str, reason: str = "") -> tuple[Event, ...]:
    """The sheet at hand came out good, spoiled or repaired. Raises ProjectError.

    Sheet by sheet the layer it gets may be new to the log: then that is written first.
    """
    if state.layer < 0:
        raise ProjectError("layer", tr("Begin the layer first."))
    queue = state.queue()
    if not queue:
        raise ProjectError("layer", tr("Every sheet has this layer: begin the next one."))
    pulled = Event(at, kind, state.layer, queue[0], reason, pull=state.pulls[state.layer])
    if state.layer not in state.started:
        return (*begin_events(project, state, at, state.layer), pulled)
    return (pulled,)


def given_up_event(state: EditionState, sheet: int, at: str) -> Event:
    """A sheet is given up, to be spoiled in place of others. Raises ProjectError."""
    if sheet not in state.histories:
        raise ProjectError("sheet", tr("There is no sheet {sheet}.", sheet=sheet))
    history = state.histories[sheet]
    if history.spoiled_at is not None:
        raise ProjectError("sheet", tr("Sheet {sheet} is spoiled already.", sheet=sheet))
    layer = max(history.layers, default=0)
    return Event(at, "given up", layer, sheet, "given up", pull=state.pulls[layer])


def reaches_ground(carved: CarvedBlock) -> bool:
    """Whether the roller reaches cleared ground that is worth wiping."""
    return carved.carving.chatter_mm2 > _WIPED_MM2


def has_fine_lines(carved: CarvedBlock) -> bool:
    """Whether a block has lines so fine that extender builds up beside them."""
    return carved.finest_mm is not None and carved.finest_mm < _FINE_MM


NOTES = {
    "ink": tr("Ink used, g"),
    "air": tr("Air, °C and %"),
    "batch": tr("Batch"),
    "packing": tr("Packing, sheets"),
    "remark": tr("Remark"),
}


def note_event(kind: str, text: str) -> Event:
    """What was noted by hand at a pull. Raises ProjectError for a figure that is none.

    kind : a key of `NOTES`. text : grams for ink; degrees and per cent for air, as "19 55".
    """
    text = text.strip()
    if not text:
        raise ProjectError("note", tr("Write what is to be noted."))
    figures = [_figure(part) for part in re.findall(r"-?\d+(?:[.,]\d+)?", text)]
    if kind == "ink":
        if len(figures) != 1 or not 0 < figures[0] < 1e5:
            raise ProjectError("note", tr("'{said}' is not a weight of ink; write the grams, as 12.5.", said=text))
        return Event("", "ink", value=figures[0])
    if kind == "air":
        if len(figures) != 2 or not (-20 <= figures[0] <= 60 and 0 <= figures[1] <= 100):
            raise ProjectError("note", tr("'{said}' is not the air; write degrees and per cent, as 19 55.", said=text))
        return Event("", "air", value=figures[0], also=figures[1])
    if kind in ("batch", "packing", "remark"):
        return Event("", kind, text=text)  # type: ignore[arg-type] # three of the kinds
    raise ProjectError("note", tr("{kind} cannot be noted.", kind=kind))


def noted(made: Event, state: EditionState, at: str) -> Event:
    """A note with its moment, the layer at hand, and if it is of one sheet that sheet."""
    queue = state.queue() if state.layer >= 0 else []
    sheet = queue[0] if queue and made.kind in ("remark", "batch") else 0
    pull = state.pulls[state.layer] if state.layer >= 0 else ""
    return replace(made, at=at, layer=state.layer, sheet=sheet, pull=pull)


def _figure(text: str) -> float:
    return float(text.replace(",", "."))
