"""Broken files of every kind the program reads: seeds, what is done to them, and what comes of it."""

import contextlib
import io
import json
import random
import traceback
import zipfile
from collections.abc import Callable
from pathlib import Path
from typing import Any

Attack = Callable[[Path, random.Random], str]
"""Attacks once, in a folder of its own; the fault in a line, or ""."""

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
    with zipfile.ZipFile(io.BytesIO(data)) as archive, zipfile.ZipFile(out, "w", zipfile.ZIP_DEFLATED) as made:
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
             "strengths": [1, 0.5], "tack": 5, "drying_h": 24} for n in range(3)
        ]  # fmt: skip
        self.shelf = json.dumps({"inks": inks}).encode()
        self.csv = b"name,L,a,b,opacity\nLemon,88,-4,70,transparent\nRose,58,48,5,semi\nBlue,40,-5,-40,opaque\n"
        self.log = self._logged(path)
        from nomos.formats.openraster import MaskLayer, openraster

        masks = np.zeros((2, 60, 45), np.uint8)
        masks[0, 10:50, 5:20], masks[1, 20:40, 15:40] = 1, 1
        self.layers = openraster(
            [MaskLayer(name, mask) for name, mask in zip(("Pane", "Frost"), masks, strict=True)], 2.0
        )
        self.loaded = project, assets

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


def broken_files(seeds: Seeds) -> dict[str, Attack]:
    """By name: what writes a broken file into a folder and gives it to a command."""

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
        if rng.random() < 0.9:
            return ["studio", "s.json"]
        return ["plan", "a.svg", "--colours", "3", "--studio", "s.json", "--out", "p"]

    def of_scan(folder: Path, rng: random.Random) -> list[str]:
        (folder / "a.nomos").write_bytes(seeds.project)
        kind = rng.choice(("png", "jpeg", "tiff", "webp"))
        (folder / f"a.{kind}").write_bytes(mutated_bytes(seeds.pictures[kind], rng))
        return [*rng.choice((["scan"], ["learn"])), "a.nomos", f"a.{kind}"]

    def of_readings(folder: Path, rng: random.Random) -> list[str]:
        (folder / "a.nomos").write_bytes(seeds.project)
        table = b"patch,L,a,b\n1,90,0,5\n2,40,20,10\n3,60,-10,20\n"
        (folder / "read.csv").write_bytes(mutated_bytes(table, rng))
        return ["chart", "a.nomos", "--learn", "read.csv", "--out", "o.nomos"]

    def of_odd_words(folder: Path, rng: random.Random) -> list[str]:
        """Options that no hand would type."""
        (folder / "a.nomos").write_bytes(seeds.project)
        odd = str(rng.choice(("-1", "0", "1e308", "nan", "", "9999-12-30", "\u202e", "1,5", "2x3", "lab(1 2)")))
        return rng.choice((
            ["calendar", "a.nomos", "--start", odd], ["sheets", "a.nomos", "--good", odd],
            ["mix", "--target", odd], ["kento", "--sheet-mm", odd, "--image-mm", odd], ["marks", odd],
            ["misregister", "a.nomos", "--sheets", odd], ["thumbnail", "a.nomos", "--size", odd],
            ["simplify", "a.nomos", "--block", odd, "--out", "o.nomos"],
            ["thumbnail", "a.nomos", "--out", odd], ["check", odd], ["edition", "a.nomos", odd],
            ["log", "a.nomos", "air", "--text", odd], ["packet", "a.nomos", "--out", odd],
            ["log", "a.nomos", "press", "--hours", odd], ["read", "a.nomos", odd],
        ))  # fmt: skip

    def of_layers(folder: Path, rng: random.Random) -> str:
        """A file of layers, as the window reads it: no command does."""
        from nomos.formats.openraster import read_openraster

        data = seeds.layers
        (folder / "a.ora").write_bytes(mutated_archive(data, rng) if rng.random() < 0.5 else mutated_bytes(data, rng))
        return fault_of(lambda: read_openraster(folder / "a.ora"))

    given = {
        "projects": of_project, "pictures": of_picture, "shelves": of_shelf, "logs": of_log,
        "studios": of_studio, "scans": of_scan, "readings": of_readings, "options": of_odd_words,
    }  # fmt: skip

    def to_command(make: Callable[[Path, random.Random], list[str]]) -> Attack:
        return lambda folder, rng: outcome(make(folder, rng))[1]

    return {"layers": of_layers, **{name: to_command(make) for name, make in given.items()}}


def mutated_archive(data: bytes, rng: random.Random) -> bytes:
    """An archive with one entry that is not what it was, or is not there."""
    out = io.BytesIO()
    with zipfile.ZipFile(io.BytesIO(data)) as archive, zipfile.ZipFile(out, "w") as made:
        chosen = rng.choice(archive.namelist())
        for info in archive.infolist():
            text = archive.read(info)
            if info.filename != chosen:
                made.writestr(info, text)
            elif rng.random() < 0.7:
                made.writestr(info, mutated_bytes(text, rng))
    return out.getvalue()


def outcome(arguments: list[str]) -> tuple[int, str]:
    """The status of a command, and "" where it may be so, else the fault in a line."""
    from nomos.cli.main import run

    out, err = io.StringIO(), io.StringIO()
    try:
        with contextlib.redirect_stdout(out), contextlib.redirect_stderr(err):
            status = run(arguments, lambda *_: 0)
    except SystemExit as ended:
        status = ended.code if isinstance(ended.code, int) else 0
        return (status, "") if status in (0, 2) else (status, f"SystemExit {ended.code}")
    except BaseException as error:
        return 1, described(error)
    said = [line for line in err.getvalue().splitlines() if line.startswith("nomos: ")]
    if status == 2 and (not said or len(said[-1]) < 20):
        return status, f"status 2 without a sentence: {err.getvalue()[:80]!r}"
    return status, "" if status in (0, 2) else f"status {status}"


def described(error: BaseException) -> str:
    """An exception in a line: what, and where in our own files."""
    frames = traceback.extract_tb(error.__traceback__)
    place = ([frame for frame in frames if "nomos" in frame.filename] or frames)[-1]
    return f"{type(error).__name__} at {Path(place.filename).name}:{place.lineno} ({str(error)[:80]!r})"


def fault_of(act: Callable[[], object]) -> str:
    """What an act comes to: "" for what may be, a refusal in words among it."""
    from nomos.base.errors import BadInput

    try:
        act()
    except BadInput:
        return ""
    except Exception as error:
        return described(error)
    return ""
