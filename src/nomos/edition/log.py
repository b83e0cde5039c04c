"""The log of an edition: every event a line on disk at once; `replay` says what it comes to.

A line is one JSON object. Lines are only ever added. A line that a power cut
left half written is the last one, and is passed over when the log is read. Any
other line that makes no sense is set aside, counted and kept where it is.
"""

import json
import math
import os
from dataclasses import dataclass
from datetime import datetime
from pathlib import Path
from typing import Any, Literal, get_args

import msgspec

from nomos.errors import BadInput
from nomos.language import tr

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
            tr(
                "The log {name} cannot be written ({what}): make room, or note the pull on paper.",
                name=path.name,
                what=error.strerror or error,
            )
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
        raise LogError(
            tr("The log {name} cannot be read: {what}.", name=path.name, what=error.strerror or error)
        ) from None
    # What stands after the last line's end was torn off by a power cut.
    *whole, torn = text.split("\n")
    found = [_event(line) for line in whole if line.strip()]
    events = [event for event in found if event is not None]
    if found and not events:
        raise LogError(tr("{name} is not a log of an edition.", name=path.name))
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
