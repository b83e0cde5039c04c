"""From the log of an edition to where it stands: at once, or event by event as it grows."""

from collections.abc import Sequence
from dataclasses import replace

from nomos.edition.log import Event
from nomos.edition.state import PULLED, EditionState, Pulled

# What may happen between a pull and its undo without the pull having to be looked for in the whole log.
_ASIDE = ("ink", "cut", "air", "picture", "press", "remark", "batch", "packing", "project")


def replay(events: Sequence[Event], planned: Sequence[str], sheets: int, *, by_sheet: bool = False) -> EditionState:
    """What the events come to, in their order (see `Replay`)."""
    return Replay(events, planned, sheets, by_sheet=by_sheet).state


class Replay:
    """What a log comes to, and goes on coming to.

    Parameters
    ----------
    events : of the log so far.
    planned : ids of the impressions in print order, as they are planned now.
    sheets : of the edition as it is planned; sheets that the log knows beyond them count too.
    by_sheet : each sheet goes through all layers before the next.

    Notes
    -----
    Later planning changes nothing of what was printed: a layer is known by its
    impression's id. Logs of old know its place alone; the plan at the time is taken
    from their `order` line, or while there is none from the plan of today.
    """

    def __init__(self, events: Sequence[Event], planned: Sequence[str], sheets: int, *, by_sheet: bool = False) -> None:
        self._planned, self._sheets, self._by_sheet = tuple(planned), sheets, by_sheet
        self._begin(tuple(events))

    def _begin(self, events: tuple[Event, ...]) -> None:
        self._events = list(events)
        self._order = _first_order(events)
        self._since: list[Pulled | None] = []
        state = EditionState(self._planned, len(self._planned), 0, by_sheet=self._by_sheet)
        self.state = state
        self._place = {pull: n for n, pull in enumerate(self._planned)}
        kept = _without_undone(events)
        self._grow([self._named(event) for event in kept])
        for event in kept:
            self._apply(self._named(event))
        state.turn_to_sheet()

    @property
    def events(self) -> Sequence[Event]:
        """All that has been counted."""
        return self._events

    def follow(self, events: Sequence[Event]) -> EditionState:
        """Count what has been added to the log."""
        if any(event.kind == "order" for event in events):
            self._begin((*self._events, *events))
            return self.state
        for at, event in enumerate(events):
            if event.kind == "undo":
                if not self._take_back():
                    self._begin((*self._events, *events[at:]))
                    return self.state
            else:
                named = self._named(event)
                self._grow([named])
                self._apply(named)
            self._events.append(event)
            self.state.turn_to_sheet()
        self.state.moment = object()
        return self.state

    def _named(self, event: Event) -> Event:
        """An event of an old log with the id of its impression, as far as that can be known."""
        if event.pull or event.layer < 0:
            return event
        places = self._planned if self._order is None else self._order
        return replace(event, pull=places[event.layer]) if event.layer < len(places) else event

    def _grow(self, events: Sequence[Event]) -> None:
        """Have room for pulls that are no longer planned, and for sheets beyond the plan."""
        state = self.state
        for event in events:
            if event.pull and event.pull not in self._place:
                self._place[event.pull] = len(self._place)
                state.pulls = (*state.pulls, event.pull)
        most = max([self._sheets, *(event.sheet for event in events)])
        if most > state.sheets or not state.histories:
            state.begin(range(state.sheets + 1, most + 1))

    def _apply(self, event: Event) -> None:
        if event.layer >= 0 and not event.pull:
            self.state.beyond += 1
            return
        place = self._place[event.pull] if event.pull else event.layer
        placed = event if place == event.layer else replace(event, layer=place)
        if event.kind in PULLED:
            self._since.append(self.state.pull(placed))
            if placed.layer >= len(self._planned) or event.sheet > self._sheets:
                # Taken back, it takes with it the room that was made for it.
                self._since.append(None)
        else:
            if event.kind not in _ASIDE and (event.kind != "layer" or placed.layer != self.state.layer):
                self._since.append(None)
            _apply(self.state, placed)

    def _take_back(self) -> bool:
        """Take back the last pull; whether that could be told without the whole log."""
        last = self._since[-1] if self._since else None
        if last is None:
            return False
        self._since.pop()
        self.state.take_back(last)
        return True


def _first_order(events: Sequence[Event]) -> tuple[str, ...] | None:
    """The pulls by place, as they were planned when a log of old was first written on."""
    return next((tuple(event.text.split()) for event in events if event.kind == "order"), None)


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
        if event.kind in PULLED:
            standing.append(place)
        elif event.kind == "undo":
            gone.add(place)
            if standing:
                gone.add(standing.pop())
    return [event for place, event in enumerate(events) if place not in gone]


def _apply(state: EditionState, event: Event) -> None:
    """Count what is no pull."""
    if event.kind == "layer":
        state.turn_to(event.layer)
        state.started.setdefault(event.layer, event.at)
        if event.printed is not None:
            state.printed.setdefault(event.layer, event.printed)
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
        state.lose(event.sheet, event.layer, event.text)
        state.sacrifice = event.sheet
    elif event.kind == "mended":
        state.save(event.sheet, event.text)
    elif event.kind not in ("order", "project"):
        state.remarks.append(event)
