"""Nobody's file, nobody's record: links, outputs onto what is there, several at once, signals, odd names."""

import contextlib
import errno
import os
import random
import signal
import sys
import time
import zipfile
from collections.abc import Callable, Iterator
from pathlib import Path
from typing import Any

from attacking.children import told_by_child
from attacking.files import Attack, Seeds, outcome

_LETTER = b"Dear allotment committee, " * 36
# Commands that write, and what they write, in a folder where a.nomos, s.json, r.csv and d.png lie.
_WRITING = (
    ["calendar", "a.nomos", "--start", "2026-12-01", "--out"], ["edition", "a.nomos", "--statement"],
    ["thumbnail", "a.nomos", "--out"], ["ink", "fit", "r.csv", "--out"], ["edition", "a.nomos", "--csv"],
    ["order", "a.nomos", "--out"], ["keys", "a.nomos", "--kind", "none", "--out"],
    ["blocks", "a.nomos", "--out"], ["flatten", "d.png", "--colours", "3", "--out"],
    ["templates", "a.nomos", "--out"], ["practice", "a.nomos", "--out"], ["studio", "s.json", "--keep"],
    ["carve", "a.nomos", "--out"], ["packet", "a.nomos", "--out"],
)  # fmt: skip
_ODD_NAMES = (
    "n" * 249, "é" * 120, "\U0001f331" * 60, "a b", "-", "--out", "a\nb", "a\x1b[2J", "‮gnp", "<img src=x>",
    "'; rm -rf ~", "$(id)", "%s%n", "..", "CON", "a" * 200 + ".", "\udce4\udcf6",
)  # fmt: skip


def theirs(seeds: Seeds) -> dict[str, Attack]:
    """By name: what could touch a file that was not named, or count a pull twice or not at all."""

    def laid_out(folder: Path) -> None:
        (folder / "a.nomos").write_bytes(seeds.project)
        (folder / "other.nomos").write_bytes(seeds.project)
        (folder / "letter.txt").write_bytes(_LETTER)
        (folder / "s.json").write_bytes(seeds.shelf)
        (folder / "r.csv").write_text("name,ground,L,a,b\nOchre,paper,70,5,60\n")
        (folder / "d.png").write_bytes(seeds.pictures["png"])

    def links(folder: Path, rng: random.Random) -> str:
        laid_out(folder)
        letter = folder / "letter.txt"
        names = (
            ".a.nomos.lock", "a.nomos.bench.jsonl", ".a.nomos.bench.jsonl.lock", "a.nomos.previous",
            "out.png.previous", "a.nomos.bench.proofs",
        )  # fmt: skip
        lay = rng.choice((
            lambda path: path.symlink_to(letter), lambda path: path.symlink_to(folder / "new"),
            lambda path: os.link(letter, path), os.mkfifo, Path.mkdir,
        ))  # fmt: skip
        for name in rng.sample(names, rng.choice((1, 2))):
            lay(folder / name)
        commands = rng.choice((
            [["log", "a.nomos", "layer"], ["log", "a.nomos", "good"]],
            [["order", "a.nomos", "--out", "a.nomos"]], [["thumbnail", "a.nomos", "--out", "out.png"]] * 2,
            [["check", "a.nomos"], ["edition", "a.nomos"]],
        ))  # fmt: skip
        for command in commands:
            fault = outcome(command)[1]
            if fault:
                return f"{command[0]}: {fault}"
        if letter.read_bytes() != _LETTER or (folder / "new").exists():
            return f"overwritten through a link by {commands[0][0]}"
        return ""

    def onto(folder: Path, rng: random.Random) -> str:
        laid_out(folder)
        outcome(["log", "a.nomos", "layer"])
        before = _held(folder)
        command = rng.choice(_WRITING)
        target = rng.choice([*before, "letter.txt", ".", "new/deep"])
        if rng.random() < 0.3 and target in before:
            link = folder / f"link{rng.choice(('.png', '.pdf', '.nomos', '.csv', '.ics', '.json'))}"
            link.symlink_to(target)
            target = link.name
        status, fault = outcome([*command, target])
        if fault:
            return f"{command[0]}: {fault}"
        return _lost(before, folder, command[0], status)

    def several(folder: Path, rng: random.Random) -> str:
        laid_out(folder)
        outcome(["log", "a.nomos", "layer"])
        many = rng.choice((2, 3, 6))
        children = [_in_child(lambda: outcome(["log", "a.nomos", "good"])[1]) for _ in range(many)]
        for child in children:
            os.waitpid(child, 0)
        from nomos.edition import read_log

        sheets = [event.sheet for event in read_log(folder / "a.nomos.bench.jsonl") if event.kind == "good"]
        return "" if sorted(sheets) == list(range(1, many + 1)) else f"{many} at once recorded {sheets}"

    def signals(folder: Path, rng: random.Random) -> str:
        laid_out(folder)
        if rng.random() < 0.5:
            outcome(["blocks", "a.nomos", "--out", "out"])
        before = _held(folder)
        command = rng.choice((
            ["packet", "a.nomos", "--out", "packet"], ["blocks", "a.nomos", "--out", "out"],
            ["order", "a.nomos", "--out", "a.nomos"], ["log", "a.nomos", "layer"],
        ))  # fmt: skip
        child = _in_child(lambda: str(_main(command)))
        time.sleep(rng.uniform(0.0, 0.4))
        with contextlib.suppress(ProcessLookupError):
            os.kill(child, rng.choice((signal.SIGTERM, signal.SIGHUP, signal.SIGINT)))
        os.waitpid(child, 0)
        left = [path.name for path in folder.iterdir() if path.name.endswith(".part")]
        if left:
            return f"left over after a signal: {command[0]}"
        if command[0] == "packet" and (folder / "packet").exists():
            whole = (folder / "packet/plan.json").exists() and (folder / "packet/index.pdf").exists()
            return "" if whole else "half a packet is there"
        return _lost(before, folder, command[0], 0)

    def names(folder: Path, rng: random.Random) -> str:
        laid_out(folder)
        name = f"{rng.choice(_ODD_NAMES)}.nomos"
        path = folder / name
        try:
            path.write_bytes(seeds.project)
        except OSError:
            return ""
        given = str(path)
        commands = rng.choice((
            [["log", given, "layer"], ["log", given, "good"]],
            [["order", given, "--out", given], ["thumbnail", given, "--out", "t.png"]],
        ))  # fmt: skip
        for command in commands:
            status, fault = outcome(command)
            if fault or status not in (0, 2):
                return f"{command[0]}: {fault or status}"
            if command[0] == "log" and status != 0:
                return "a name that can be saved cannot be logged"
        return ""

    def nesting(folder: Path, rng: random.Random) -> str:
        many = int(10 ** rng.uniform(3, 7.2))
        inner = rng.choice((b"[]", b"{}", b'""', b"0", b'{"id":""}', b"[[0,0]]"))
        texts = (
            b'{"version":%d,"title":[' % rng.choice((1, 7)) + (inner + b",") * (many // len(inner)) + b"0]}",
            b'{"version":7,"title":' + b"[" * many, b'{"a":' * (many // 5), b" " * many,
            b'{"version":7,"title":"x","impressions":[' + (inner + b",") * (many // len(inner)) + b"0]}",
        )  # fmt: skip
        path = folder / "bomb.nomos"
        with zipfile.ZipFile(path, "w", zipfile.ZIP_DEFLATED) as archive:
            archive.writestr(zipfile.ZipInfo("mimetype"), "application/x-nomos-project")
            archive.writestr("project.json", rng.choice(texts))
        command = rng.choice((["check", "bomb.nomos"], ["thumbnail", "bomb.nomos", "--out", "t.png"]))
        status, fault = outcome(command)
        return fault or ("" if status == 2 else f"a bomb was opened by {command[0]}")

    def markup(folder: Path, rng: random.Random) -> str:
        from msgspec.structs import replace

        from nomos.project import save

        word = rng.choice(("<img src='x'>", "<b>b", "&lt;", "=1+1", "@SUM(A1)", "‮x\x9b", "<!--", "]]>"))
        project, assets = seeds.loaded
        blocks = tuple(replace(block, name=word) for block in project.blocks)
        save(folder / "a.nomos", replace(project, title=word, blocks=blocks), assets)
        for command in (["log", "a.nomos", "layer"], ["log", "a.nomos", "good"],
                        ["edition", "a.nomos", "--csv", "t", "--statement", "s.pdf"]):  # fmt: skip
            fault = outcome(command)[1]
            if fault:
                return f"{command[0]}: {fault}"
        tables = [path.read_text() for path in (folder / "t").iterdir()]
        cells = [cell for table in tables for cell in table.replace("\n", ",").split(",")]
        return "a formula in a table" if any(cell.startswith(("=", "@")) for cell in cells) else ""

    def bad_disks(folder: Path, rng: random.Random) -> str:
        laid_out(folder)
        outcome(["log", "a.nomos", "layer"])
        log = folder / "a.nomos.bench.jsonl"
        before, project = log.read_bytes(), (folder / "a.nomos").read_bytes()
        what = rng.choice((errno.ENOSPC, errno.EIO, errno.EDQUOT, errno.EROFS))
        call, spared = rng.choice(("fsync", "write", "replace", "rename")), rng.randrange(3)

        def life() -> str:
            with _failing(call, what, spared):
                return outcome(rng.choice((
                    ["log", "a.nomos", "good"], ["order", "a.nomos", "--out", "a.nomos"],
                    ["packet", "a.nomos", "--out", "p"], ["edition", "a.nomos", "--csv", "t"],
                )))[1]  # fmt: skip

        fault = told_by_child(life)
        if fault:
            return fault
        from nomos.edition import read_log

        pulled = [event.sheet for event in read_log(log) if event.kind == "good"]
        if not log.read_bytes().startswith(before) or pulled not in ([], [1]):
            return "the log is not what it was and what was added"
        if (folder / "a.nomos").read_bytes() != project and outcome(["check", "a.nomos"])[0] != 0:
            return "a failing disk left a broken project"
        return ""

    return {
        "links": links, "outputs": onto, "several": several, "signals": signals, "names": names,
        "nesting": nesting, "markup": markup, "bad disks": bad_disks,
    }  # fmt: skip


def _held(folder: Path) -> dict[str, bytes]:
    return {
        str(path.relative_to(folder)): path.read_bytes()
        for path in folder.rglob("*")
        if path.is_file() and not path.is_symlink()
    }


def _lost(before: dict[str, bytes], folder: Path, command: str, status: int) -> str:
    """What of the user's is gone and kept nowhere: a refused command changes nothing, another keeps it."""
    now = _held(folder)
    kept = set(now.values())
    for name, data in before.items():
        if now.get(name) == data or (name.endswith(".bench.jsonl") and now.get(name, b"").startswith(data)):
            continue
        if status == 2 or data not in kept:
            return f"overwritten: {name} by {command}, status {status}"
    return ""


def _in_child(life: Callable[[], Any]) -> int:
    # A signal that came before the child is at its life would end up in whatever forked it.
    ending = {signal.SIGTERM, signal.SIGHUP, signal.SIGINT}
    signal.pthread_sigmask(signal.SIG_BLOCK, ending)
    child = os.fork()
    if child == 0:
        try:
            with contextlib.suppress(BaseException), open(os.devnull, "w") as nowhere:
                os.dup2(nowhere.fileno(), 1)
                os.dup2(nowhere.fileno(), 2)
                signal.pthread_sigmask(signal.SIG_UNBLOCK, ending)
                life()
        finally:
            os._exit(0)
    signal.pthread_sigmask(signal.SIG_UNBLOCK, ending)
    return child


def _main(arguments: list[str]) -> int:
    """The program as it is started, signals and all."""
    from nomos.__main__ import main

    sys.argv = ["nomos", *arguments]
    return main()


@contextlib.contextmanager
def _failing(name: str, what: int, spared: int) -> Iterator[None]:
    """A disk on which a call fails from the n-th time on."""
    real, called = getattr(os, name), [0]

    def fails(*given: Any, **named: Any) -> Any:
        called[0] += 1
        if called[0] > spared and not (name == "write" and given[0] < 3):
            raise OSError(what, os.strerror(what))
        return real(*given, **named)

    setattr(os, name, fails)
    try:
        yield
    finally:
        setattr(os, name, real)
