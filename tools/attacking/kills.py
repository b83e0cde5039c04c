"""The program killed at its work, on a full disk, and two of them on one project."""

import contextlib
import io
import itertools
import os
import random
import resource
import signal
import time
from collections.abc import Callable, Iterator
from pathlib import Path
from typing import Any

from attacking.children import last_told, told_by_child
from attacking.files import Attack, Seeds, described, outcome
from attacking.hand import settle, window_of
from msgspec.structs import replace

# What takes seconds is one in so many.
_LONG = 0.15


def killed(seeds: Seeds) -> dict[str, Attack]:
    """By name: what is killed or kept from writing."""
    project, assets = seeds.loaded

    def while_saving(folder: Path, rng: random.Random) -> str:
        from nomos.project import load, save

        path = folder / "a.nomos"
        save(path, replace(project, title="0"), assets)

        def life(tell: Callable[[int], None]) -> None:
            for count in itertools.count(1):
                save(path, replace(project, title=str(count)), assets)
                tell(count)

        told = last_told(life, rng)
        try:
            found = int(load(path)[0].title)
        except BaseException as error:
            return f"lost by a kill: {described(error)}"
        if not told <= found <= told + 1:
            return f"saved {told}, found {found}"
        # The next save clears what the dead have left.
        save(path, project, assets)
        left = [each.name for each in folder.iterdir() if each.name.startswith(".") and "tmp" in each.name]
        return f"left over: {len(left)} hidden files" if left else ""

    def while_logging(folder: Path, rng: random.Random) -> str:
        from nomos.edition.log import Event, append_events, now_text, read_log

        log = folder / "a.nomos.bench.jsonl"

        def life(tell: Callable[[int], None]) -> None:
            for count in itertools.count(1):
                append_events(log, [Event(now_text(), "remark", text=str(count))])
                tell(count)

        told = last_told(life, rng)
        append_events(log, [Event(now_text(), "remark", text="after")])
        found = [event.text for event in read_log(log)]
        whole = [str(count) for count in range(1, len(found))] + ["after"]
        return "" if len(found) - 1 >= told and found == whole else f"told {told}, found {len(found) - 1}"

    def on_a_full_disk(folder: Path, rng: random.Random) -> str:
        path, shelf = folder / "a.nomos", folder / "s.json"
        path.write_bytes(seeds.project)
        shelf.write_bytes(seeds.shelf)
        arguments = rng.choice((
            ["thumbnail", "a.nomos", "--out", "t.png"], ["blocks", "a.nomos", "--out", "b"],
            ["log", "a.nomos", "good"], ["calendar", "a.nomos", "--out", "c.ics"],
        ))  # fmt: skip
        if rng.random() < _LONG:
            arguments = rng.choice((
                ["simplify", "a.nomos", "--block", "Jigsaw", "--out", "a.nomos"],
                ["packet", "a.nomos", "--out", "p"], ["templates", "a.nomos", "--out", "t"],
            ))  # fmt: skip
        before = path.read_bytes()

        def life() -> str:
            signal.signal(signal.SIGXFSZ, signal.SIG_IGN)
            most = int(10 ** rng.uniform(1, 5.5))
            resource.setrlimit(resource.RLIMIT_FSIZE, (most, most))
            return outcome(arguments)[1]

        fault = told_by_child(life)
        if not fault and path.read_bytes() != before and outcome(["check", "a.nomos"])[0] != 0:
            fault = "a full disk left a broken project"
        return f"{arguments[0]}: {fault}" if fault else ""

    def beside_a_window(folder: Path, rng: random.Random) -> str:
        path = folder / "a.nomos"
        path.write_bytes(seeds.project)
        writes = rng.choice((
            ["simplify", "a.nomos", "--block", "Jigsaw", "--out", "a.nomos"],
            ["log", "a.nomos", "layer", "--layer", "1"],
        ))  # fmt: skip
        with _window_on(path) as opened:
            if not opened:
                return "the window did not open the project"
            status, fault = outcome(writes)
            if fault:
                return fault
            if writes[0] == "simplify" and (status != 2 or path.read_bytes() != seeds.project):
                return f"written under a window's hand, status {status}"
        status, fault = outcome(writes)
        return fault or ("" if status == 0 else "a dead window still holds its project")

    return {
        "saves killed": while_saving, "logs killed": while_logging, "full disk": on_a_full_disk,
        "two at once": beside_a_window,
    }  # fmt: skip


@contextlib.contextmanager
def _window_on(path: Path) -> Iterator[bool]:
    """A window that has a project open, in a process that is killed at the end."""
    reading, writing = os.pipe()
    child = os.fork()
    if child == 0:
        os.close(reading)
        with contextlib.suppress(BaseException), contextlib.redirect_stderr(io.StringIO()):
            _open_window(path)
            os.write(writing, b"open")
            time.sleep(60)
        os._exit(0)
    os.close(writing)
    try:
        yield os.read(reading, 8) == b"open"
    finally:
        os.kill(child, signal.SIGKILL)
        os.waitpid(child, 0)
        os.close(reading)


def _open_window(path: Path) -> Any:
    desk = window_of(path.parent)
    desk.files.open(path)
    settle(desk)
    return desk
