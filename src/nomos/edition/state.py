"""Where an edition stands: every sheet with its layers, the queue of those to come, the tally."""

from collections import Counter
from collections.abc import Iterable
from dataclasses import dataclass, field

from nomos.edition.log import Event, Printed

PULLED = ("good", "spoiled", "repaired")


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
    started : when each layer was begun; pulled : the moment of every pull, its sheet and outcome, by layer.
    pulled_at : by layer, when each sheet had it last. counts : by layer, pulls by outcome.
    complete : the sheets that came through all planned layers; spoiled : at which layer each other was lost.
    beyond : events of layers that are no longer planned; they count for nothing, and stay in the log.
    sacrifice : the sheet that was given up by hand last, to go first at every layer.
    by_sheet : each sheet goes through all layers before the next; `layer` is then that of the sheet at hand.
    pictures : of proofs. pressed : the last time sheets were put under the press, and for how many hours.
    moment : another object after every event; what is worked out of the state is known by it.

    Notes
    -----
    It follows its log event by event: what is asked at every pull costs no more at the last sheet of a long
    edition than at the first.
    """

    pulls: tuple[str, ...]
    layers: int
    sheets: int
    layer: int = -1
    printed: dict[int, Printed] = field(default_factory=dict)
    histories: dict[int, SheetHistory] = field(default_factory=dict)
    started: dict[int, str] = field(default_factory=dict)
    pulled: dict[int, list[tuple[str, int, str]]] = field(default_factory=dict)
    pulled_at: dict[int, dict[int, str]] = field(default_factory=dict)
    counts: dict[int, Counter[str]] = field(default_factory=dict)
    complete: dict[int, str] = field(default_factory=dict)
    spoiled: dict[int, int] = field(default_factory=dict)
    remarks: list[Event] = field(default_factory=list)
    ink_g: dict[int, float] = field(default_factory=dict)
    cut_h: dict[int, float] = field(default_factory=dict)
    air: list[Event] = field(default_factory=list)
    pictures: list[Event] = field(default_factory=list)
    pressed: Event | None = None
    beyond: int = 0
    sacrifice: int | None = None
    by_sheet: bool = False
    moment: object = field(default_factory=object, compare=False)
    _queue: list[int] | None = field(default=None, repr=False, compare=False)
    _reached: Counter[int] = field(default_factory=Counter, repr=False, compare=False)

    def queue(self) -> list[int]:
        """The sheets still to pull in this layer: known bad ones first, then in the order of their numbers.

        The first pull of a layer is poor, so a sheet that is spoiled already goes
        first and is spoiled once more (common practice, no source).
        """
        if self._queue is None:
            self._queue = self._unpulled()
        return self._queue

    def _unpulled(self) -> list[int]:
        if self.by_sheet:
            return [s for s, h in self.histories.items() if s not in self.spoiled and s not in self.complete]
        done = self.pulled_at.get(self.layer, {})
        bad = [sheet for sheet, layer in self.spoiled.items() if layer != self.layer]
        first = [self.sacrifice if self.sacrifice in bad else min(bad)] if bad and not done else []
        # A sheet that was left out of an earlier layer cannot be given it any more in its place.
        earlier = [layer for layer in self.pulled if layer < self.layer]
        whole = [
            sheet
            for sheet in range(1, self.sheets + 1)
            if sheet not in done
            and sheet not in self.spoiled
            and all(layer in self.histories[sheet].layers for layer in earlier)
        ]
        return [*first, *whole]

    def turn_to_sheet(self) -> None:
        """Have the layer that the sheet at hand lacks in hand."""
        if self.by_sheet and self.layer >= 0:
            queue = self.queue()
            had = self.histories[queue[0]].layers if queue else {}
            self.layer = next(n for n in range(self.layers) if n not in had) if queue else self.layers - 1

    def next_layer(self) -> int | None:
        """The first planned layer that is to be begun by hand; None where all have been.

        Sheet by sheet only the first is: the others follow on the same sheet.
        """
        if self.by_sheet and self.started:
            return None
        return next((layer for layer in range(self.layers) if layer not in self.started), None)

    def good_through(self, layers: int) -> int:
        """How many sheets have the first so many layers, and none spoiled them."""
        return sum(count for reached, count in self._reached.items() if reached >= layers)

    def carrying(self, layer: int) -> int:
        """How many sheets carry a layer."""
        return len(self.pulled_at.get(layer, {}))

    def tally(self) -> dict[str, int]:
        """Good, spoiled, repaired in this layer, sheet by sheet in all; sacrificed ones apart."""
        if not self.by_sheet:
            counts = self.counts.get(self.layer, Counter())
            return {how: counts[how] for how in PULLED}
        whole = Counter(self.complete.values())
        return {"good": whole["good"], "spoiled": len(self.spoiled), "repaired": whole["repaired"]}

    # Following the log

    def begin(self, sheets: Iterable[int]) -> None:
        """Count so many sheets more that nothing has happened to yet."""
        for sheet in sheets:
            self.histories[sheet] = SheetHistory(sheet)
            self._reached[0] += 1
        self.sheets = len(self.histories)
        self._queue = None

    def pull(self, event: Event) -> "Pulled":
        """One sheet had a layer; what there was before, to take it back with."""
        history, layer = self.histories[event.sheet], event.layer
        last = self.pulled_at.setdefault(layer, {})
        before = history.layers.get(layer), history.spoiled_at, history.reason, last.get(event.sheet)
        sacrificed = history.spoiled_at not in (None, layer)
        how = "sacrificed" if sacrificed else event.kind
        self.pulled.setdefault(layer, []).append((event.at, event.sheet, how))
        self.counts.setdefault(layer, Counter())[how] += 1
        last[event.sheet] = event.at
        self._change(history, layer, event.kind)
        if event.kind == "spoiled" and not sacrificed:
            self._lose(history, layer, event.text)
        return Pulled(event, *before, self._pop(event))

    def _pop(self, event: Event) -> bool:
        """Whether the sheet pulled was next and goes; the queue is made anew where another was."""
        queue = self._queue
        if not queue or queue[0] != event.sheet or event.layer != self.layer:
            self._queue = None
            return False
        if self.by_sheet and event.sheet not in self.spoiled and event.sheet not in self.complete:
            return False
        del queue[0]
        return True

    def take_back(self, pulled: "Pulled") -> None:
        """Take back the last of all pulls; nothing else may have happened to its sheet since."""
        event, history = pulled.event, self.histories[pulled.event.sheet]
        _, _, how = self.pulled[event.layer].pop()
        self.counts[event.layer][how] -= 1
        if not self.pulled[event.layer]:
            del self.pulled[event.layer], self.pulled_at[event.layer], self.counts[event.layer]
        elif pulled.at is None:
            del self.pulled_at[event.layer][event.sheet]
        else:
            self.pulled_at[event.layer][event.sheet] = pulled.at
        if pulled.spoiled_at is None:
            self._save(history)
        self._change(history, event.layer, pulled.how)
        history.reason = pulled.reason
        if pulled.popped and self._queue is not None and (self.by_sheet or event.layer == self.layer):
            self._queue.insert(0, event.sheet)
        elif not (self.by_sheet and self._queue and self._queue[0] == event.sheet):
            self._queue = None

    def lose(self, sheet: int, layer: int, reason: str) -> None:
        """A sheet is good no longer."""
        self._lose(self.histories[sheet], layer, reason)
        self._queue = None

    def save(self, sheet: int, how: str) -> None:
        """A spoiled sheet was repaired or cut afresh: it goes on with the others."""
        self._save(self.histories[sheet])
        self.histories[sheet].remark = how
        self._queue = None

    def turn_to(self, layer: int) -> None:
        """Have another layer in hand."""
        if layer != self.layer:
            self.layer, self._queue = layer, None

    def _lose(self, history: SheetHistory, layer: int, reason: str) -> None:
        self._count(history, -1)
        history.spoiled_at, history.reason = layer, reason
        self.spoiled[history.sheet] = layer
        self._count(history, 1)

    def _save(self, history: SheetHistory) -> None:
        self._count(history, -1)
        history.spoiled_at, history.reason = None, ""
        self.spoiled.pop(history.sheet, None)
        self._count(history, 1)

    def _change(self, history: SheetHistory, layer: int, how: str | None) -> None:
        self._count(history, -1)
        if how is None:
            history.layers.pop(layer, None)
        else:
            history.layers[layer] = how
        self._count(history, 1)

    def _count(self, history: SheetHistory, by: int) -> None:
        """Count a sheet among those that came so far, or take it out."""
        if history.spoiled_at is not None:
            self.complete.pop(history.sheet, None)
            return
        reached = 0
        while reached in history.layers:
            reached += 1
        self._reached[reached] += by
        if reached >= self.layers and by > 0:
            repaired = "repaired" in history.layers.values()
            self.complete[history.sheet] = "repaired" if repaired else "good"
        else:
            self.complete.pop(history.sheet, None)


@dataclass(frozen=True, slots=True)
class Pulled:
    """A pull, and what there was before it. popped : whether its sheet was next, and went."""

    event: Event
    how: str | None
    spoiled_at: int | None
    reason: str
    at: str | None
    popped: bool = False
