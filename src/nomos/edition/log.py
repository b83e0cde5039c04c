"""The log of an edition: every event a line on disk at once, and what it comes to when it is read again.

A line is one JSON object. Lines are only ever added. A line that a power cut
left half written is the last one, and is passed over when the log is read. Any
other line that makes no sense is set aside, counted and kept where it is.
"""

import json
import math
import os
from collections.abc import Sequence
from dataclasses import dataclass, field, replace
from datetime import datetime
from pathlib import Path
from typing import Any, Literal, get_args

import msgspec

from nomos.errors import BadInput

EventKind = Literal[
    "layer", "good", "spoiled", "repaired", "undo", "remark", "ink", "air", "cut", "chosen", "numbered",
    "state", "picture", "press", "order", "batch", "packing", "mended", "given up",
]  # fmt: skip
EVENT_KINDS: tuple[EventKind, ...] = get_args(EventKind)
Reason = Literal["slipped", "too much ink", "too little ink", "dirt", "crease", "wrong block", "tear"]
REASONS: tuple[Reason, ...] = get_args(Reason)


# What lies beyond was written by nobody.
_MOST_SHEETS, _MOST_LAYERS, _MOST_VALUE = 100_000, 1000, 1e7


class LogError(BadInput):
    """A log that cannot be read or written."""


@dataclass(frozen=True)
class PrintedInk:
    """One zone as it was inked: the ink's name, its strengths, and what was done with it.

    to : the strength at the other end of a graded zone.
    how : "uninked", "wiped", or with what it was put on.
    """

    name: str
    strength: float = 1.0
    to: float | None = None
    how: str = ""


@dataclass(frozen=True)
class Printed:
    """A layer as it was when it was begun: what is planned later changes nothing of it.

    after : ids of the pulls that were planned before it, in their order.
    """

    name: str
    inks: tuple[PrintedInk, ...] = ()
    after: tuple[str, ...] = ()


@dataclass(frozen=True)
class Event:
    """One thing that happened.

    layer : place of the impression in print order, from 0; -1 where it concerns none.
    pull : the impression's id, which stays the same wherever it is moved; "" in logs of old.
    printed : with the begin of a layer, what is printed.
    sheet : number of the sheet, from 1; 0 where it concerns none.
    text : a reason, a remark, a number given, the name of a picture.
    value : a figure that belongs to it: grams of ink, hours of cutting, degrees.
    """

    at: str
    kind: EventKind
    layer: int = -1
    sheet: int = 0
    text: str = ""
    value: float = 0.0
    also: float = 0.0
    pull: str = ""
    printed: Printed | None = None

    def line(self) -> str:
        """As it stands in the file."""
        figures: dict[str, Any] = {"at": self.at, "kind": self.kind}
        for name in ("layer", "sheet", "text", "value", "also", "pull"):
            if getattr(self, name) != getattr(Event, name):
                figures[name] = getattr(self, name)
        if self.printed is not None:
            figures["printed"] = msgspec.to_builtins(self.printed)
        return json.dumps(figures, ensure_ascii=False)


def now_text(moment: datetime | None = None) -> str:
    """Now, to the second."""
    return (moment or datetime.now()).isoformat(timespec="seconds")


def append_event(path: Path, event: Event) -> None:
    """Add an event and have it on disk before this returns.

    Raises LogError where it cannot be written, saying why; nothing written before is touched.
    """
    data = (event.line() + "\n").encode()
    try:
        path.parent.mkdir(parents=True, exist_ok=True)
        torn = _ends_torn(path)
        with path.open("ab") as file:
            file.write(b"\n" + data if torn else data)
            file.flush()
            os.fsync(file.fileno())
    except OSError as error:
        raise LogError(
            f"The log {path.name} cannot be written ({error.strerror or error}): make room, or note the pull "
            "on paper."
        ) from None


def _ends_torn(path: Path) -> bool:
    """Whether the last line was left without its end."""
    if not path.exists() or path.stat().st_size == 0:
        return False
    with path.open("rb") as file:
        file.seek(-1, os.SEEK_END)
        return file.read(1) != b"\n"


def read_log(path: Path) -> tuple[Event, ...]:
    """All events; none for a log that is not there. Half a line is passed over.

    Raises LogError for a file that is no log.
    """
    if not path.exists():
        return ()
    try:
        text = path.read_bytes().decode("utf-8", errors="replace")
    except OSError as error:
        raise LogError(f"The log {path.name} cannot be read: {error.strerror or error}.") from None
    # What stands after the last line's end was torn off by a power cut.
    *whole, torn = text.split("\n")
    found = [_event(line) for line in whole if line.strip()]
    events = [event for event in found if event is not None]
    if found and not events:
        raise LogError(f"{path.name} is not a log of an edition.")
    last = _event(torn) if torn.strip() else None
    return (*events, last) if last is not None else tuple(events)


def set_aside(path: Path) -> int:
    """How many whole lines of a log make no sense; they stay in the file. 0 for one that is not there."""
    try:
        text = path.read_bytes().decode("utf-8", errors="replace")
    except OSError:
        return 0
    return sum(_event(line) is None for line in text.split("\n")[:-1] if line.strip())


def _event(line: str) -> Event | None:
    try:
        raw = json.loads(line)
        kind = raw["kind"]
        if kind not in EVENT_KINDS:
            return None
        event = Event(
            _local(str(raw["at"])), kind, int(raw.get("layer", -1)), int(raw.get("sheet", 0)),
            str(raw.get("text", "")), float(raw.get("value", 0.0)), float(raw.get("also", 0.0)),
            str(raw.get("pull", "")),
            msgspec.convert(raw["printed"], Printed) if raw.get("printed") else None,
        )  # fmt: skip
    except (ValueError, KeyError, TypeError, OverflowError, RecursionError, msgspec.ValidationError):
        return None
    return event if _makes_sense(event) else None


def _local(at: str) -> str:
    """A moment as the log writes it; one with a time zone is taken to this place's. Raises ValueError."""
    moment = datetime.fromisoformat(at)
    return now_text(moment.astimezone().replace(tzinfo=None)) if moment.tzinfo is not None else at


def _makes_sense(event: Event) -> bool:
    figures = math.isfinite(event.value) and math.isfinite(event.also)
    figures = figures and max(abs(event.value), abs(event.also)) <= _MOST_VALUE
    of_sheet = event.kind in ("good", "spoiled", "repaired", "chosen", "numbered", "mended", "given up")
    of_layer = event.kind in ("layer", "good", "spoiled", "repaired", "given up")
    return (
        figures
        and (1 if of_sheet else 0) <= event.sheet <= _MOST_SHEETS
        and (0 if of_layer else -1) <= event.layer <= _MOST_LAYERS
    )


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
    kept = [_named(event, planned, _first_order(events)) for event in _without_undone(events)]
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
    kept: list[Event] = []
    for event in events:
        if event.kind != "undo":
            kept.append(event)
            continue
        for place in range(len(kept) - 1, -1, -1):
            if kept[place].kind in ("good", "spoiled", "repaired"):
                del kept[place]
                break
    return kept


def _apply(state: EditionState, event: Event) -> None:
    if event.kind == "layer":
        state.layer = event.layer
        state.started.setdefault(event.layer, event.at)
        if event.printed is not None:
            state.printed.setdefault(event.layer, event.printed)
    elif event.kind in ("good", "spoiled", "repaired"):
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
