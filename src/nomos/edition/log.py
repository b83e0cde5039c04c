"""The log of an edition: every event a line on disk at once; `replay` says what it comes to.

A line is one JSON object. Lines are only ever added. A line that a power cut
left half written is the last one, and is passed over when the log is read. Any
other line that makes no sense is set aside, counted and kept where it is.
"""

import contextlib
import errno
import json
import math
import os
import stat
from collections.abc import Iterator, Sequence
from dataclasses import dataclass, replace
from datetime import datetime
from pathlib import Path
from typing import Any, Literal, get_args

import msgspec

from nomos.base.atomic import flush_folder
from nomos.base.errors import BadInput
from nomos.base.file_lock import Holder, acquire, lock_of
from nomos.base.language import tr

EventKind = Literal[
    "layer", "good", "spoiled", "repaired", "undo", "remark", "ink", "air", "cut", "chosen", "numbered",
    "state", "picture", "press", "order", "batch", "packing", "mended", "given up",
    "project",
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

    Of kind `project`, the text is the id of the project whose log it is.
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


@contextlib.contextmanager
def locked(path: Path, *, wait_s: float = 5.0) -> Iterator[None]:
    """Have a log alone while it is read and added to: window and commands take the same lock.

    Raises LogError: another process has it for longer than `wait_s`, or its folder is gone; ForeignLock.
    """
    found = acquire(lock_of(path), wait_s=wait_s)
    if isinstance(found, Holder):
        raise LogError(tr("{name} is being written by {holder}: try again in a moment.", name=path.name, holder=found))
    if found is None:
        raise LogError(
            tr(
                "The log cannot be written in {parent}: bring the folder back or make it writable, save the "
                "project elsewhere, or note the pull on paper.",
                parent=path.parent,
            )
        )
    try:
        yield
    finally:
        found.release()


def append_events(path: Path, events: Sequence[Event]) -> None:
    """Add events and have them on disk before this returns.

    Raises
    ------
    LogError : they cannot be written, saying why. The log then ends where it ended before; where even that
        cannot be had, the last line lacks its end, which `read_log_text` tells at the next start.

    Notes
    -----
    The last line gets its end only when all before is on disk. No link is followed, and what is no plain
    file is left alone.
    """
    data = "\n".join(event.line() for event in events).encode()
    if not events:
        return
    try:
        path.parent.mkdir(parents=True, exist_ok=True)
        handle = os.open(path, _ADDING, 0o666)
    except OSError as error:
        raise _unwritten(path, error) from None
    try:
        found = os.fstat(handle)
        if not stat.S_ISREG(found.st_mode):
            raise LogError(tr("{path} is no ordinary file: move it away.", path=path))
        _add(handle, found.st_size, data)
        if found.st_size == 0:
            flush_folder(path.parent)
    except OSError as error:
        raise _unwritten(path, error) from None
    finally:
        os.close(handle)


_ADDING = os.O_RDWR | os.O_CREAT | os.O_APPEND | os.O_NOFOLLOW | os.O_NONBLOCK | os.O_CLOEXEC


def _add(handle: int, size: int, data: bytes) -> None:
    """Write lines at the end of a file; after a failure it ends where it ended before. Raises OSError."""
    torn = size > 0 and os.pread(handle, 1, size - 1) != b"\n"
    left = memoryview(b"\n" + data if torn else data)
    try:
        while left:
            left = left[os.write(handle, left) :]
        os.fsync(handle)
    except OSError:
        with contextlib.suppress(OSError):
            os.ftruncate(handle, size)
            os.fsync(handle)
        raise
    with contextlib.suppress(OSError):
        # The lines are on disk; without their end they are told of at the next start, and count.
        os.write(handle, b"\n")


def _unwritten(path: Path, error: OSError) -> LogError:
    if error.errno == errno.ELOOP:
        return LogError(tr("{path} is a link, and a log is none: move it away.", path=path))
    return LogError(
        tr(
            "The log {name} cannot be written ({what}): make room, or note the pull on paper.",
            name=path.name,
            what=error.strerror or error,
        )
    )


@dataclass(frozen=True)
class LogText:
    """What a log holds.

    events : that make sense, in their order. aside : how many whole lines make none; they stay in the file.
    doubtful : the last line lacks its end, so that a disk or the current failed as it was written.
    size : in bytes, up to where it was read.
    """

    events: tuple[Event, ...]
    aside: int = 0
    doubtful: bool = False
    size: int = 0


_BEGINS = b'{"at"'


def read_log(path: Path) -> tuple[Event, ...]:
    """All events of a log, as `read_log_text` reads them."""
    return read_log_text(path).events


def read_log_text(path: Path, *, since: int = 0) -> LogText:
    """What a log holds; nothing for one that is not there. Half a line is passed over.

    Parameters
    ----------
    since : bytes that are known; what stands before is not read.

    Raises
    ------
    LogError : it cannot be read, or is no log.
    """
    try:
        # A pipe would be waited for: nothing is opened that has to be.
        with open(os.open(path, os.O_RDONLY | os.O_NONBLOCK | os.O_CLOEXEC), "rb") as file:
            if not stat.S_ISREG(os.fstat(file.fileno()).st_mode):
                raise LogError(tr("{name} is not a log of an edition.", name=path.name))
            file.seek(since)
            data = file.read()
    except FileNotFoundError:
        return LogText(())
    except OSError as error:
        raise LogError(
            tr("The log {name} cannot be read: {what}.", name=path.name, what=error.strerror or error)
        ) from None
    # What stands after the last line's end was torn off by a power cut.
    *whole, torn = data.split(b"\n")
    found = [_event(line) for line in whole if line.strip()]
    events = tuple(event for event in found if event is not None)
    last = _event(torn) if torn.strip() else None
    # The first line may have been cut off anywhere: what there is of it begins as a line does.
    nothing_of_ours = found or not _BEGINS.startswith(torn[: len(_BEGINS)])
    if nothing_of_ours and not events and last is None and not since:
        raise LogError(tr("{name} is not a log of an edition.", name=path.name))
    return LogText(
        events if last is None else (*events, last), len(found) - len(events), bool(torn.strip()),
        since + len(data),
    )  # fmt: skip


# A line as it is written; one that does not fit is looked at again, more patiently.
_LINES = msgspec.json.Decoder(Event)


def _event(data: bytes) -> Event | None:
    try:
        event = _LINES.decode(data)
        local = _local(event.at)
    except (msgspec.DecodeError, UnicodeDecodeError, RecursionError):
        return _event_of_old(data)
    except ValueError:
        return None
    event = event if local == event.at else replace(event, at=local)
    return event if _makes_sense(event) else None


def _event_of_old(data: bytes) -> Event | None:
    """An event whose figures are written otherwise than today, or with letters that a disk has lost."""
    try:
        raw = json.loads(data.decode("utf-8", errors="replace"))
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
