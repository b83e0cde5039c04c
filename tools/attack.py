"""Feeds the program what nobody should: seeded, counted, each distinct fault once.

    .venv/bin/python tools/attack.py [--runs 3000] [--seed 1] [--only projects,pictures]

Every attack is a command in a process of its own hand: a file is mutated, given to `nomos`, and what may come
out is status 0, or 2 with one line on standard error. An exception, a second line, a file written outside,
more than ten seconds or more than 1.5 GB is a fault.
"""

import argparse
import contextlib
import io
import json
import multiprocessing
import os
import random
import resource
import shutil
import sys
import tempfile
import time
import traceback
import zipfile
from collections import Counter
from collections.abc import Callable, Iterator
from pathlib import Path
from typing import Any

_SLOW_S, _MOST_MB = 10.0, 1500
_ODD: tuple[Any, ...] = (
    None, True, -1, 0, 1e308, -1e308, 2**63, 10**30, "", "\x00", "a\nb\r\n", "\ud800", "<&>\"'", "é" * 5000,
    [], {}, [[]], [None], {"x": 1}, "NaN", "../../etc/passwd", 0.1, 255, 256, -0.0,
)  # fmt: skip


def mutated_bytes(data: bytes, rng: random.Random) -> bytes:
    """Bytes flipped, cut out, doubled or cut short."""
    made = bytearray(data)
    for _ in range(rng.choice((1, 1, 2, 8, 64))):
        at, kind = rng.randrange(max(len(made), 1)), rng.randrange(5)
        if kind == 0 and made:
            made[at] ^= 1 << rng.randrange(8)
        elif kind == 1:
            del made[at : at + rng.choice((1, 4, 100))]
        elif kind == 2:
            made[at:at] = made[at : at + rng.choice((1, 4, 100))]
        elif kind == 3:
            made[at : at + 4] = rng.choice((b"\xff" * 4, b"\x00" * 4, b"\x7f\xff\xff\xff"))
        else:
            made = made[: rng.randrange(len(made) + 1)]
    return bytes(made)


def mutated_tree(value: Any, rng: random.Random) -> Any:
    """One field of nested lists and objects replaced by something odd, taken out or doubled."""
    places: list[tuple[Any, Any]] = []

    def walk(node: Any) -> None:
        for key in list(_keys(node)):
            places.append((node, key))
            walk(node[key])

    walk(value)
    if places:
        node, key = rng.choice(places)
        kind = rng.randrange(6)
        if kind == 0 and isinstance(node, dict):
            del node[key]
        elif kind == 1 and isinstance(node, list):
            node.extend(node[:] * rng.choice((1, 3)))
        elif kind == 2:
            other, where = rng.choice(places)
            node[key] = json.loads(json.dumps(other[where])) if where in _keys(other) else None
        elif kind == 3 and isinstance(node[key], int | float) and not isinstance(node[key], bool):
            node[key] = node[key] * rng.choice((-1, 0, 1e3, 1e9, 1e-9)) + rng.choice((0, 0.5, 1))
        else:
            node[key] = rng.choice(_ODD)
    return value


def _keys(node: Any) -> Any:
    return node if isinstance(node, dict) else range(len(node)) if isinstance(node, list) else ()


def mutated_project(data: bytes, rng: random.Random) -> bytes:
    """A project whose bytes, entries or fields are not what they were."""
    if rng.random() < 0.25:
        return mutated_bytes(data, rng)
    out = io.BytesIO()
    with (
        zipfile.ZipFile(io.BytesIO(data)) as archive,
        zipfile.ZipFile(out, "w", zipfile.ZIP_DEFLATED) as made,
    ):
        for info in archive.infolist():
            text = archive.read(info)
            if info.filename == "project.json":
                tree = json.loads(text)
                for _ in range(rng.choice((1, 1, 1, 2, 3))):
                    tree = mutated_tree(tree, rng)
                text = json.dumps(tree).encode("utf-8", "surrogatepass")
            elif rng.random() < 0.1:
                text = mutated_bytes(text, rng)
            if rng.random() < 0.98:
                made.writestr(info.filename, text)
    return out.getvalue()


class Seeds:
    """What is mutated: small files of every kind the program reads."""

    def __init__(self, folder: Path) -> None:
        import numpy as np
        from PIL import Image

        from nomos.cli.common import answers
        from nomos.demo import demo_project, scenario_called
        from nomos.project import save

        page = np.full((120, 90, 3), 246, np.uint8)
        page[20:100, 10:45], page[30:90, 45:80] = (200, 60, 50), (40, 60, 120)
        self.pictures: dict[str, bytes] = {}
        for kind in ("PNG", "JPEG", "TIFF", "WEBP"):
            buffer = io.BytesIO()
            Image.fromarray(page).save(buffer, kind, dpi=(50, 50))
            self.pictures[kind.lower()] = buffer.getvalue()
        self.pictures["svg"] = (
            b'<svg xmlns="http://www.w3.org/2000/svg" width="45mm" height="60mm" viewBox="0 0 45 60">'
            b'<rect width="45" height="60" fill="#f6f3ea"/><path d="M5 5L40 9L22 50Z" fill="#c83c32"/></svg>'
        )
        project, assets = demo_project(scenario_called("pots"), answers())
        path = folder / "seed.nomos"
        save(path, project, assets)
        self.project = path.read_bytes()
        inks = [
            {"name": f"Ink {n}", "L": 30 + 8 * n, "a": 9 * n - 20, "b": 40 - 11 * n, "opacity": "semi",
             "strengths": [1, 0.5], "tack": 5, "drying_h": 24} for n in range(5)
        ]  # fmt: skip
        self.shelf = json.dumps({"inks": inks}).encode()
        self.csv = (
            b"name,L,a,b,opacity\nLemon,88,-4,70,transparent\nRose,58,48,5,semi\nBlue,40,-5,-40,opaque\n"
        )
        self.log = self._logged(path)

    @staticmethod
    def _logged(path: Path) -> bytes:
        """A log with events of several kinds, as the command writes it."""
        from nomos.cli.main import run
        from nomos.project.edition.sheets import log_path

        for event in (["layer", "--layer", "1"], ["good"], ["spoiled", "--reason", "slipped"], ["good"],
                      ["remark", "--text", "paper damp"], ["ink", "--text", "12"], ["good"]):  # fmt: skip
            with contextlib.redirect_stdout(io.StringIO()), contextlib.redirect_stderr(io.StringIO()):
                assert run(["log", str(path), *event], lambda *_: 0) == 0, event
        return log_path(path).read_bytes()


def attacks(seeds: Seeds, only: set[str]) -> dict[str, Callable[[Path, random.Random], list[str]]]:
    """By name: what writes the attacked file into a folder, and the command it is given to."""

    def of_project(folder: Path, rng: random.Random) -> list[str]:
        (folder / "a.nomos").write_bytes(mutated_project(seeds.project, rng))
        return rng.choice((
            ["check", "a.nomos"], ["order", "a.nomos"], ["calendar", "a.nomos"], ["edition", "a.nomos"],
            ["thumbnail", "a.nomos", "--out", "t.png"], ["packet", "a.nomos", "--out", "p"],
            ["blocks", "a.nomos", "--out", "b", "--as", "svg"], ["inking", "a.nomos"],
            ["simplify", "a.nomos", "--block", "Jigsaw", "--out", "o.nomos"],
        ))  # fmt: skip

    def of_picture(folder: Path, rng: random.Random) -> list[str]:
        kind = rng.choice(list(seeds.pictures))
        (folder / f"a.{kind}").write_bytes(mutated_bytes(seeds.pictures[kind], rng))
        return ["flatten", f"a.{kind}", "--colours", "3", "--size-mm", "45x60", "--out", "flat.png"]

    def of_shelf(folder: Path, rng: random.Random) -> list[str]:
        if rng.random() < 0.4:
            name, data = "s.csv", mutated_bytes(seeds.csv, rng)
        elif rng.random() < 0.3:
            name, data = "s.json", mutated_bytes(seeds.shelf, rng)
        else:
            tree = mutated_tree(json.loads(seeds.shelf), rng)
            name, data = "s.json", json.dumps(tree).encode("utf-8", "surrogatepass")
        (folder / name).write_bytes(data)
        return ["mix", "--target", "lab(52 18 30)", "--shelf", name]

    def of_log(folder: Path, rng: random.Random) -> list[str]:
        (folder / "a.nomos").write_bytes(seeds.project)
        lines = seeds.log.decode().splitlines()
        for n, line in enumerate(lines):
            if rng.random() < 0.5:
                lines[n] = json.dumps(mutated_tree(json.loads(line), rng))
        data = "\n".join(lines).encode("utf-8", "surrogatepass")
        data = mutated_bytes(data, rng) if rng.random() < 0.4 else data
        from nomos.project.edition.sheets import log_path

        log = log_path(folder / "a.nomos")
        log.parent.mkdir(parents=True, exist_ok=True)
        log.write_bytes(data)
        return rng.choice((["edition", "a.nomos"], ["reminders", "a.nomos"]))

    def of_studio(folder: Path, rng: random.Random) -> list[str]:
        import msgspec

        from nomos.project.edition.studio import Studio

        tree = mutated_tree(msgspec.to_builtins(Studio()), rng)
        (folder / "s.json").write_bytes(json.dumps(tree).encode("utf-8", "surrogatepass"))
        (folder / "a.svg").write_bytes(seeds.pictures["svg"])
        return ["plan", "a.svg", "--colours", "3", "--studio", "s.json", "--out", "p"]

    known = {
        "projects": of_project, "pictures": of_picture, "shelves": of_shelf, "logs": of_log,
        "studios": of_studio,
    }  # fmt: skip
    return {name: made for name, made in known.items() if not only or name in only}


def outcome(arguments: list[str]) -> str:
    """What a command comes to: "" for what may be, else the fault in a line."""
    from nomos.cli.main import run

    out, err = io.StringIO(), io.StringIO()
    try:
        with contextlib.redirect_stdout(out), contextlib.redirect_stderr(err):
            status = run(arguments, lambda *_: 0)
    except SystemExit as ended:
        return "" if ended.code in (0, None) else f"SystemExit {ended.code}"
    except BaseException as error:
        last = traceback.extract_tb(error.__traceback__)[-1]
        ours = [f for f in traceback.extract_tb(error.__traceback__) if "nomos" in f.filename]
        place = ours[-1] if ours else last
        return f"{type(error).__name__} at {Path(place.filename).name}:{place.lineno} ({str(error)[:80]!r})"
    said = [line for line in err.getvalue().splitlines() if line.startswith("nomos: ")]
    if status == 2 and (not said or len(said[-1]) < 20):
        return f"status 2 without a sentence: {err.getvalue()[:80]!r}"
    return "" if status in (0, 2) else f"status {status}"


def attack(job: tuple[str, int, str]) -> tuple[str, int, str]:
    """One attack in a folder of its own. (name, seed, fault)."""
    name, seed, home = job
    rng = random.Random(f"{name} {seed}")
    folder = Path(tempfile.mkdtemp(dir=home))
    os.chdir(folder)
    arguments = attacks(_SEEDS[0], {name})[name](folder, rng)
    began = time.monotonic()
    fault = outcome(arguments)
    if not fault and time.monotonic() - began > _SLOW_S:
        fault = f"slow: {arguments[0]} took more than {_SLOW_S:g} s"
    most = resource.getrusage(resource.RUSAGE_SELF).ru_maxrss // 1024
    if not fault and most > _MOST_MB:
        fault = f"memory: {arguments[0]} after {most} MB"
    outside = [path for path in Path(home).iterdir() if not path.name.startswith("tmp")]
    if not fault and outside:
        fault = f"written outside: {outside[0].name}"
    os.chdir(home)
    shutil.rmtree(folder, ignore_errors=True)
    return name, seed, fault


_SEEDS: list[Seeds] = []


def attacked(runs: int, seed: int, only: set[str], workers: int = 2) -> Iterator[tuple[str, int, str]]:
    """Run so many attacks, evenly over what is attacked. (name, seed, fault or "")."""
    home = tempfile.mkdtemp()
    seeding = tempfile.mkdtemp()
    _SEEDS[:] = [Seeds(Path(seeding))]
    names = list(attacks(_SEEDS[0], only))
    jobs = [(names[n % len(names)], seed * 1_000_000 + n, home) for n in range(runs)]
    try:
        # Each hand is a fresh process now and then, so that memory is of few attacks.
        with multiprocessing.get_context("fork").Pool(workers, maxtasksperchild=50) as pool:
            yield from pool.imap_unordered(attack, jobs)
    finally:
        shutil.rmtree(home, ignore_errors=True)
        shutil.rmtree(seeding, ignore_errors=True)


def main() -> None:
    """Attack, and say what was found."""
    parser = argparse.ArgumentParser(description=__doc__)
    parser.add_argument("--runs", type=int, default=3000)
    parser.add_argument("--seed", type=int, default=1)
    parser.add_argument("--only", default="", help="projects, pictures, shelves, logs, studios; with commas")
    options = parser.parse_args()
    only = set(options.only.split(",")) - {""}
    counts, faults, first = Counter[str](), Counter[str](), dict[str, tuple[str, int]]()
    for name, seed, fault in attacked(options.runs, options.seed, only):
        counts[name] += 1
        if fault:
            if fault not in first:
                print(f"{name} {seed}: {fault}", flush=True)
            faults[fault] += 1
            first.setdefault(fault, (name, seed))
    print(", ".join(f"{many} {name}" for name, many in sorted(counts.items())))
    for fault, many in faults.most_common():
        print(f"{many:5d}  {fault}   first: {first[fault][0]} {first[fault][1]}")
    print(f"{len(faults)} distinct faults in {sum(counts.values())} attacks")
    sys.exit(bool(faults))


if __name__ == "__main__":
    main()
