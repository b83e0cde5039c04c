"""What the log of an edition comes to: every sheet with its layers, where the edition stands."""

from collections.abc import Sequence
from dataclasses import dataclass, field, replace

from nomos.edition.log import Event, Printed

_PULLED = ("good", "spoiled", "repaired")


@dataclass
class SheetHistory:
    """What one sheet went through: for each layer good, spoiled with its reason, or repaired."""

    sheet: int
    layers: dict[int, str] = field(default_factory=dict)
    spoiled_at: int | None = None
    reason: str = ""
    number: str = ""
    chosen: bool = False
    remark: str = ""

    def good_through(self, layers: int) -> bool:
        """Whether it has every layer and none spoiled it."""
        return self.spoiled_at is None and all(layer in self.layers for layer in range(layers))


@dataclass
class EditionState:
    """What the log comes to. A layer is a place in `pulls`.

    pulls : ids of the impressions as they are planned, then of those printed that no longer are.
    layers : how many of them are planned.
    layer : the one being printed; -1 before the first.
    printed : of each layer that was begun what was printed.
    started : when each layer was begun; pulled : the moment of every pull, by layer.
    beyond : events of layers that are no longer planned; they count for nothing, and stay in the log.
    sacrifice : the sheet that was given up by hand last, to go first at every layer.
    by_sheet : each sheet goes through all layers before the next; `layer` is then that of the sheet at hand.
    pictures : of proofs. pressed : the last time sheets were put under the press, and for how many hours.
    """

    pulls: tuple[str, ...]
    layers: int
    sheets: int
    layer: int = -1
    printed: dict[int, Printed] = field(default_factory=dict)
    histories: dict[int, SheetHistory] = field(default_factory=dict)
    started: dict[int, str] = field(default_factory=dict)
    pulled: dict[int, list[tuple[str, int, str]]] = field(default_factory=dict)
    remarks: list[Event] = field(default_factory=list)
    ink_g: dict[int, float] = field(default_factory=dict)
    cut_h: dict[int, float] = field(default_factory=dict)
    air: list[Event] = field(default_factory=list)
    pictures: list[Event] = field(default_factory=list)
    pressed: Event | None = None
    beyond: int = 0
    sacrifice: int | None = None
    by_sheet: bool = False

    def queue(self) -> list[int]:
        """The sheets still to pull in this layer: known bad ones first, then in the order of their numbers.

        The first pull of a layer is poor, so a sheet that is spoiled already goes
        first and is spoiled once more (common practice, no source).
        """
        if self.by_sheet:
            return [sheet for sheet, _ in self._missing()]
        done = {sheet for _, sheet, _ in self.pulled.get(self.layer, [])}
        bad = [s for s, h in self.histories.items() if h.spoiled_at not in (None, self.layer)]
        first = [self.sacrifice if self.sacrifice in bad else min(bad)] if bad and not done else []
        # A sheet that was left out of an earlier layer cannot be given it any more in its place.
        earlier = [layer for layer in self.pulled if layer < self.layer]
        whole = [
            sheet
            for sheet in range(1, self.sheets + 1)
            if sheet not in done
            and self.histories[sheet].spoiled_at is None
            and all(layer in self.histories[sheet].layers for layer in earlier)
        ]
        return [*[sheet for sheet in first if sheet not in done], *whole]

    def _missing(self) -> list[tuple[int, int]]:
        """The sheets that go on, each with the first planned layer that it lacks."""
        return [
            (sheet, next(layer for layer in range(self.layers) if layer not in history.layers))
            for sheet, history in self.histories.items()
            if history.spoiled_at is None and not history.good_through(self.layers)
        ]

    def turn_to_sheet(self) -> None:
        """Have the layer that the sheet at hand lacks in hand."""
        missing = self._missing()
        if self.by_sheet and self.layer >= 0:
            self.layer = missing[0][1] if missing else self.layers - 1

    def next_layer(self) -> int | None:
        """The first planned layer that is to be begun by hand; None where all have been.

        Sheet by sheet only the first is: the others follow on the same sheet.
        """
        if self.by_sheet and self.started:
            return None
        return next((layer for layer in range(self.layers) if layer not in self.started), None)

    def tally(self) -> dict[str, int]:
        """Good, spoiled, repaired in this layer, sheet by sheet in all; sacrificed ones apart."""
        counts = {"good": 0, "spoiled": 0, "repaired": 0}
        if self.by_sheet:
            for history in self.histories.values():
                whole = history.good_through(self.layers)
                how = "repaired" if "repaired" in history.layers.values() else "good"
                if whole or history.spoiled_at is not None:
                    counts[how if whole else "spoiled"] += 1
            return counts
        for _, _, how in self.pulled.get(self.layer, []):
            if how in counts:
                counts[how] += 1
        return counts


def replay(
    events: Sequence[Event], planned: Sequence[str], sheets: int, *, by_sheet: bool = False
) -> EditionState:
    """What the events come to, in their order.

    Parameters
    ----------
    planned : ids of the impressions in print order, as they are planned now.
    sheets : of the edition as it is planned; sheets that the log knows beyond them count too.
    by_sheet : each sheet goes through all layers before the next.

    Notes
    -----
    Later planning changes nothing of what was printed: a layer is known by its
    impression's id. Logs of old know its place alone; the plan at the time is taken
    from their `order` line, or while there is none from the plan of today.
    """
    order = _first_order(events)
    kept = [_named(event, planned, order) for event in _without_undone(events)]
    gone = [event.pull for event in kept if event.pull and event.pull not in planned]
    pulls = (*planned, *dict.fromkeys(gone))
    place = {pull: n for n, pull in enumerate(pulls)}
    most = max([sheets, *(event.sheet for event in kept)])
    state = EditionState(pulls, len(planned), most, by_sheet=by_sheet)
    state.histories = {sheet: SheetHistory(sheet) for sheet in range(1, most + 1)}
    for event in kept:
        if event.pull:
            _apply(state, replace(event, layer=place[event.pull]))
        elif event.layer >= 0:
            state.beyond += 1
        else:
            _apply(state, event)
    state.turn_to_sheet()
    return state


def _first_order(events: Sequence[Event]) -> tuple[str, ...] | None:
    """The pulls by place, as they were planned when a log of old was first written on."""
    return next((tuple(event.text.split()) for event in events if event.kind == "order"), None)


def _named(event: Event, planned: Sequence[str], order: tuple[str, ...] | None) -> Event:
    """An event of an old log with the id of its impression, as far as that can be known."""
    if event.pull or event.layer < 0:
        return event
    places = planned if order is None else order
    return replace(event, pull=places[event.layer]) if event.layer < len(places) else event


def adopted(events: Sequence[Event], planned: Sequence[str], at: str) -> tuple[Event, ...]:
    """What has to be written into a log of old before anything else: which pull each place meant."""
    unnamed = any(event.layer >= 0 and not event.pull for event in events)
    if not unnamed or _first_order(events) is not None:
        return ()
    return (Event(at, "order", text=" ".join(planned)),)


def _without_undone(events: Sequence[Event]) -> list[Event]:
    """An undo takes back the last pull that stands."""
    standing: list[int] = []
    gone = set[int]()
    for place, event in enumerate(events):
        if event.kind in _PULLED:
            standing.append(place)
        elif event.kind == "undo":
            gone.add(place)
            if standing:
                gone.add(standing.pop())
    return [event for place, event in enumerate(events) if place not in gone]


def _apply(state: EditionState, event: Event) -> None:
    if event.kind == "layer":
        state.layer = event.layer
        state.started.setdefault(event.layer, event.at)
        if event.printed is not None:
            state.printed.setdefault(event.layer, event.printed)
    elif event.kind in _PULLED:
        history = state.histories[event.sheet]
        sacrificed = history.spoiled_at not in (None, event.layer)
        how = "sacrificed" if sacrificed else event.kind
        state.pulled.setdefault(event.layer, []).append((event.at, event.sheet, how))
        history.layers[event.layer] = event.kind
        if event.kind == "spoiled" and not sacrificed:
            history.spoiled_at, history.reason = event.layer, event.text
    elif event.kind == "ink":
        state.ink_g[event.layer] = state.ink_g.get(event.layer, 0.0) + event.value
    elif event.kind == "cut":
        state.cut_h[event.layer] = state.cut_h.get(event.layer, 0.0) + event.value
    elif event.kind == "air":
        state.air.append(event)
    elif event.kind == "picture":
        state.pictures.append(event)
    elif event.kind == "press":
        state.pressed = event
    elif event.kind == "chosen":
        state.histories[event.sheet].chosen = event.value > 0
    elif event.kind == "numbered":
        state.histories[event.sheet].number = event.text
    elif event.kind == "given up":
        history = state.histories[event.sheet]
        history.spoiled_at, history.reason = event.layer, event.text
        state.sacrifice = event.sheet
    elif event.kind == "mended":
        # Repaired or cut afresh: it goes on with the others.
        history = state.histories[event.sheet]
        history.spoiled_at, history.reason = None, ""
        history.remark = event.text
    elif event.kind != "order":
        state.remarks.append(event)
