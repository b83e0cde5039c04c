"""What commands write, and what they leave alone: no file is touched that was not named for it."""

import argparse
import json
import os
import shutil
import signal
import subprocess
import sys
import time
from pathlib import Path

import pytest
from msgspec.structs import replace

from nomos.base.atomic import previous_of
from nomos.base.errors import BadInput
from nomos.base.file_lock import FileLock, acquire, lock_of
from nomos.cli.main import _parser, run
from nomos.edition import read_log
from nomos.formats.outputs import UNFINISHED, filling
from nomos.project import Assets, Project, load, save
from nomos.project.edition.sheets import log_path
from nomos.project.model.edits import with_id, with_trap
from nomos.project.register.edits import with_offset
from nomos.proof import Misregister
from tests.test_cli import no_window

# What is read. Whatever else names a file or a folder is written, and declared so.
READ = {"project", "design", "inks", "studio", "shelf", "readings", "learn", "read", "scan", "pictures", "file", "keep"}

Files = dict[str, bytes]


@pytest.fixture
def bench(tmp_path: Path, little: tuple[Project, Assets]) -> Path:
    """A folder with a print, its log, another print, a picture, a shelf and a note of the user's."""
    folder = tmp_path / "bench"
    folder.mkdir()
    project, assets = with_id(little[0]), little[1]
    save(folder / "print.nomos", project, assets)
    save(folder / "other.nomos", with_id(with_trap(project, 0.9), anew=True), assets)
    assert run(["log", str(folder / "print.nomos"), "layer"], no_window) == 0
    (folder / "readings.csv").write_text("name,ground,L,a,b\nOchre,paper,70,5,60\n")
    (folder / "note.pdf").write_text("a note of mine, whatever it is called")
    for name in ("flat.png", "days.ics", "shelf.json", "t.svg", "statement.pdf"):
        (folder / name).write_bytes(b"\x00mine\x00")
    return folder


def files_in(folder: Path) -> Files:
    return {str(path.relative_to(folder)): path.read_bytes() for path in folder.rglob("*") if path.is_file()}


def parsers(parser: argparse.ArgumentParser) -> list[argparse.ArgumentParser]:
    """Every command's parser, those of `ink` among them."""
    found = [parser]
    for action in parser._actions:
        if isinstance(action, argparse._SubParsersAction):
            found += [each for sub in action.choices.values() for each in parsers(sub)]
    return found


def test_every_option_that_names_a_file_says_whether_it_is_written() -> None:
    for parser in parsers(_parser()[0]):
        outs = parser.get_default("outputs") or {}
        for action in parser._actions:
            if action.type is Path:
                assert (action.dest in outs) != (action.dest in READ), f"{parser.prog} {action.dest}"


WRITING = [
    ("calendar print.nomos --start 2026-12-01 --out", ".ics"),
    ("edition print.nomos --statement", ".pdf"),
    ("thumbnail print.nomos --out", ""),
    ("practice print.nomos --out", ".png"),
    ("ink fit readings.csv --out", ".json"),
    ("flatten sketch.png --colours 4 --out", ".png"),
    ("carve print.nomos --out", ".pdf"),
    ("chart print.nomos --out", ".pdf"),
    ("templates print.nomos --out", ".svg"),
]


@pytest.mark.parametrize(("command", "suffix"), WRITING)
def test_no_project_log_input_or_other_file_is_written_over(
    command: str, suffix: str, bench: Path, sketch: Path, monkeypatch: pytest.MonkeyPatch,
    capsys: pytest.CaptureFixture[str],
) -> None:  # fmt: skip
    shutil.copy(sketch, bench / "sketch.png")
    monkeypatch.chdir(bench)
    os.symlink("print.nomos", f"link{suffix or '.png'}")
    os.symlink(log_path(Path("print.nomos")).name, f"loglink{suffix or '.png'}")
    (bench / f"asis{suffix or '.png'}").write_bytes(b"\x01 something else altogether")
    before = files_in(bench)
    made = suffix or ".png"
    given = ["print.nomos", "other.nomos", "print.nomos.bench.jsonl", "readings.csv", f"link{made}"]
    given += [f"loglink{made}", f"asis{made}", "."]
    # A picture that is not read may be replaced by a picture, and is kept.
    for named in (*given, *(["sketch.png"] if "sketch.png" in command else [])):
        assert run([*command.split(), named], no_window) == 2, named
        told = capsys.readouterr().err
        assert told.startswith("nomos: ")
        assert told.count("\n") == 1
        assert files_in(bench) == before, named


@pytest.mark.parametrize("command", ["order", "keys --kind contour", "inking"])
def test_a_project_is_no_place_of_a_log_or_of_another_kind(
    command: str, bench: Path, monkeypatch: pytest.MonkeyPatch, capsys: pytest.CaptureFixture[str]
) -> None:
    monkeypatch.chdir(bench)
    os.link("note.pdf", "note.nomos")
    before = files_in(bench)
    name, *rest = command.split()
    for named in ("print.nomos.bench.jsonl", "note.pdf", "note.nomos", "print.png"):
        assert run([name, "print.nomos", *rest, "--out", named], no_window) == 2, named
    assert files_in(bench) == before
    capsys.readouterr()
    # Onto the project itself is meant, and the one before is kept.
    assert run([name, "print.nomos", *rest, "--out", "print.nomos"], no_window) == 0
    assert (bench / "print.nomos.previous").read_bytes() == before["print.nomos"]
    assert load(bench / "print.nomos")[0].id == load(bench / "print.nomos.previous")[0].id


def test_what_is_replaced_on_purpose_is_kept(bench: Path, monkeypatch: pytest.MonkeyPatch) -> None:
    monkeypatch.chdir(bench)
    for _ in range(2):
        assert run(["calendar", "print.nomos", "--start", "2026-12-01", "--out", "new.ics"], no_window) == 0
    assert previous_of(bench / "new.ics").exists()


@pytest.mark.thorough
def test_nothing_a_window_holds_is_written(
    bench: Path, monkeypatch: pytest.MonkeyPatch, capsys: pytest.CaptureFixture[str]
) -> None:
    monkeypatch.chdir(bench)
    (bench / "packet").mkdir()
    shutil.copy("other.nomos", "packet/project.nomos")
    held = acquire(lock_of(bench / "packet/project.nomos"))
    assert isinstance(held, FileLock)
    before = files_in(bench)
    for command in (["packet", "print.nomos", "--out", "packet"], ["demo", "pots", "--out", "packet"]):
        assert run(command, no_window) == 2
        assert "is open in a window of" in capsys.readouterr().err
    held.release()
    assert files_in(bench) | {"packet/.project.nomos.lock": b""} == before | {"packet/.project.nomos.lock": b""}


@pytest.mark.thorough
def test_a_packet_leaves_its_own_project_alone_and_keeps_the_offsets(
    bench: Path, monkeypatch: pytest.MonkeyPatch, capsys: pytest.CaptureFixture[str]
) -> None:
    monkeypatch.chdir(bench)
    project, assets = load(bench / "print.nomos")
    project = with_offset(project, project.impressions[0].id, Misregister(1.2, 0.0, 0.0))
    (bench / "packet").mkdir()
    save(bench / "packet/project.nomos", project, assets)
    own = (bench / "packet/project.nomos").read_bytes()
    assert run(["packet", "packet/project.nomos", "--out", "packet"], no_window) == 0
    assert (bench / "packet/project.nomos").read_bytes() == own
    # The same again: what it wrote before is replaced and kept.
    index = (bench / "packet/index.pdf").read_bytes()
    assert run(["packet", "packet/project.nomos", "--out", "packet"], no_window) == 0
    assert (bench / "packet/previous/index.pdf").read_bytes() == index
    assert not (bench / "packet" / UNFINISHED).exists()
    # Another print is not put where the record of this one lies, nor over a file that is no packet's.
    assert run(["log", "packet/project.nomos", "layer"], no_window) == 0
    capsys.readouterr()
    before = files_in(bench)
    assert run(["packet", "other.nomos", "--out", "packet"], no_window) == 2
    assert "another print" in capsys.readouterr().err
    (bench / "mine").mkdir()
    (bench / "mine/proof.png").write_bytes((bench / "packet/proof.png").read_bytes())
    before |= {"mine/proof.png": before["packet/proof.png"]}
    assert run(["packet", "other.nomos", "--out", "mine"], no_window) == 2
    assert "not of an earlier packet" in capsys.readouterr().err
    assert files_in(bench) == before


def test_the_log_of_another_print_is_said_by_every_command_that_reads_it(
    bench: Path, monkeypatch: pytest.MonkeyPatch, capsys: pytest.CaptureFixture[str]
) -> None:
    monkeypatch.chdir(bench)
    shutil.move("other.nomos", "print.nomos")
    for command in (["edition"], ["log", "good"], ["reminders", "--quick"]):
        assert run([command[0], "print.nomos", *command[1:]], no_window) == 2
        assert "record of another print" in capsys.readouterr().err
    assert run(["studio", "studio.json", "--keep", "print.nomos"], no_window) == 2


@pytest.mark.thorough
def test_six_hands_at_once_record_six_sheets(bench: Path) -> None:
    """Each waits for the others: no sheet is recorded twice, none is lost."""
    command = [sys.executable, "-m", "nomos", "log", str(bench / "print.nomos"), "good"]
    running = [subprocess.Popen(command, stdout=subprocess.DEVNULL) for _ in range(6)]
    assert [each.wait(60) for each in running] == [0] * 6
    events = read_log(log_path(bench / "print.nomos"))
    assert sorted(event.sheet for event in events if event.kind == "good") == [1, 2, 3, 4, 5, 6]


def test_a_log_that_is_being_written_is_said_after_a_while(bench: Path) -> None:
    log = log_path(bench / "print.nomos")
    held = acquire(lock_of(log))
    assert isinstance(held, FileLock)
    from nomos.edition import LogError, locked

    with pytest.raises(LogError, match="is being written by"), locked(log, wait_s=0.05):
        pass
    held.release()


@pytest.mark.thorough
@pytest.mark.parametrize("number", [signal.SIGTERM, signal.SIGHUP, signal.SIGINT])
def test_a_command_that_is_stopped_leaves_nothing_half_written(number: signal.Signals, bench: Path) -> None:
    command = [sys.executable, "-m", "nomos", "packet", str(bench / "print.nomos"), "--out"]
    # A job in the background of a script inherits that an interrupt is ignored; this one did not ask for it.
    running = subprocess.Popen(
        [*command, str(bench / "packet")], stderr=subprocess.PIPE,
        preexec_fn=lambda: signal.signal(number, signal.SIG_DFL),
    )  # fmt: skip
    for _ in range(600):
        # It writes into a folder beside: now it is in the middle.
        if any(path.name.endswith(".part") for path in bench.iterdir()) or running.poll() is not None:
            break
        time.sleep(0.05)
    running.send_signal(number)
    _, told = running.communicate(timeout=60)
    assert running.returncode == 128 + number
    assert told.decode().startswith("nomos: stopped")
    assert not (bench / "packet").exists()
    assert not [path for path in bench.iterdir() if path.name.endswith(".part")]


def test_an_exchange_that_the_machine_stops_in_is_marked(tmp_path: Path, monkeypatch: pytest.MonkeyPatch) -> None:
    folder = tmp_path / "out"
    for text in ("one", "two"):
        with filling(folder) as stage:
            for name in ("a.txt", "b.txt"):
                (stage / name).write_text(f"{text} {name}")
    assert (folder / "a.txt").read_text() == "two a.txt"
    assert (folder / "previous/a.txt").read_text() == "one a.txt"
    moved = os.replace

    def stops(source: os.PathLike[str], target: os.PathLike[str]) -> None:
        if str(target).endswith("out/b.txt"):
            raise OSError(5, "Input/output error")
        moved(source, target)

    def write_again() -> None:
        with filling(folder) as stage:
            for name in ("a.txt", "b.txt"):
                (stage / name).write_text(f"three {name}")

    monkeypatch.setattr(os, "replace", stops)
    with pytest.raises(BadInput, match="Input/output error"):
        write_again()
    assert (folder / UNFINISHED).exists()


@pytest.mark.parametrize("name", ["é" * 120 + ".nomos", "🌱" * 62 + ".nomos", "n" * 249 + ".nomos"])
def test_a_name_as_long_as_a_disk_takes_is_saved_logged_and_kept(
    name: str, tmp_path: Path, little: tuple[Project, Assets]
) -> None:
    path = tmp_path / name
    assert len(name.encode()) <= 255
    project = with_id(little[0])
    for trap in (0.5, 0.6):
        save(path, with_trap(project, trap), little[1])
    assert load(previous_of(path))[0].trap_mm == 0.5
    assert run(["log", str(path), "layer"], no_window) == 0
    assert run(["log", str(path), "good"], no_window) == 0
    assert [event.kind for event in read_log(log_path(path))] == ["project", "layer", "good"]
    held = acquire(lock_of(path))
    assert isinstance(held, FileLock)
    held.release()


def test_tables_hold_no_formula_and_what_was_printed_keeps_its_name(
    bench: Path, monkeypatch: pytest.MonkeyPatch
) -> None:
    """The block is out of the plan by now, and was named so that a spreadsheet would reckon."""
    monkeypatch.chdir(bench)
    project, assets = load(bench / "print.nomos")
    blocks = tuple(replace(block, name=f"=1+{n}*HYPERLINK") for n, block in enumerate(project.blocks))
    save(bench / "named.nomos", replace(project, blocks=blocks), assets)
    assert run(["log", "named.nomos", "layer"], no_window) == 0
    assert run(["log", "named.nomos", "spoiled", "--reason", "dirt"], no_window) == 0
    planned = load(bench / "named.nomos")[0]
    save(bench / "named.nomos", replace(planned, impressions=planned.impressions[1:]), assets)
    assert run(["edition", "named.nomos", "--csv", "tables"], no_window) == 0
    for name in ("sheets", "pulls", "layers"):
        rows = (bench / f"tables/{name}.csv").read_text().splitlines()
        assert any("'=1+" in row for row in rows), rows
        assert not any(cell.startswith("=") for row in rows for cell in row.split(","))


@pytest.mark.thorough
def test_names_cannot_speak_to_a_terminal_and_json_gives_them_back(tmp_path: Path) -> None:
    odd = "no\x1b[31m\u202ename\x07.nomos"
    done = subprocess.run(
        [sys.executable, "-m", "nomos", "check", str(tmp_path / odd)], capture_output=True, check=False
    )
    said = done.stderr.decode()
    assert done.returncode == 2
    assert "␛[31m⟨U+202E⟩name␇" in said
    shelf = tmp_path / "shelf.csv"
    shelf.write_text("name,L,a,b,opacity\nred\u202e\u009b,40,60,30,transparent\n", "utf-8")
    command = [sys.executable, "-m", "nomos", "mix", "--target", "lab(40 60 30)", "--shelf", str(shelf)]
    said = subprocess.run(command, capture_output=True, check=True).stdout.decode()
    assert not {"\u202e", "\u009b", "\x1b"} & set(said)
    as_json = subprocess.run([*command, "--json"], capture_output=True, check=True).stdout.decode()
    assert not {"\u202e", "\u009b"} & set(as_json)
    assert "\u202e" in json.dumps(json.loads(as_json), ensure_ascii=False)
