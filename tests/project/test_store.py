"""The project file: what goes in comes out, and no crash or damage loses anything."""

import errno
import hashlib
import json
import os
import subprocess
import sys
import zipfile
from pathlib import Path

import jsonschema
import msgspec
import pytest

from nomos.base.errors import BadInput
from nomos.project import Assets, Project, load, save
from nomos.project.check.predictions import Predictions, encoded, predictions_of, read_predictions, what_moved
from nomos.project.model import VERSION
from nomos.project.model.edits import with_trap
from nomos.project.model.store import MIMETYPE, json_schema, predicted_in
from tests.conftest import proof_of

Demo = tuple[Project, Assets]
CORPUS = Path(__file__).parents[1] / "corpus" / "pane-6.nomos"
SCHEMA = Path(__file__).parents[2] / "docs" / "project.schema.json"


@pytest.fixture
def saved(tmp_path: Path, demo: Demo) -> Path:
    path = tmp_path / "print.nomos"
    save(path, *demo)
    return path


def test_what_is_saved_is_what_is_loaded(saved: Path, demo: Demo) -> None:
    project, assets = load(saved)
    assert project == demo[0]
    assert assets == demo[1]


def test_ordinary_tools_can_read_it(saved: Path, demo: Demo) -> None:
    with zipfile.ZipFile(saved) as archive:
        first = archive.infolist()[0]
        assert (first.filename, first.compress_type) == ("mimetype", zipfile.ZIP_STORED)
        assert archive.read("mimetype").decode() == MIMETYPE
        content = json.loads(archive.read("project.json"))
        assert content["title"] == demo[0].title
        jsonschema.validate(content, json.loads(SCHEMA.read_text("utf-8")))
        assert archive.testzip() is None


def test_the_published_schema_is_the_one_in_force() -> None:
    assert json.loads(SCHEMA.read_text("utf-8")) == json.loads(msgspec.json.encode(json_schema()))


def test_the_same_project_is_the_same_bytes(saved: Path, tmp_path: Path, demo: Demo) -> None:
    save(tmp_path / "again.nomos", *demo)
    assert (tmp_path / "again.nomos").read_bytes() == saved.read_bytes()


def test_the_copy_before_is_kept(saved: Path, demo: Demo) -> None:
    old = saved.read_bytes()
    save(saved, with_trap(demo[0], 0.9), demo[1])
    assert saved.with_name("print.nomos.previous").read_bytes() == old
    assert load(saved)[0].trap_mm == 0.9


@pytest.mark.parametrize("call", ["fsync", "replace"])
def test_a_full_disk_or_a_crash_leaves_the_old_file(
    saved: Path, demo: Demo, monkeypatch: pytest.MonkeyPatch, call: str
) -> None:
    old = saved.read_bytes()

    def full(*_args: object, **_kw: object) -> None:
        raise OSError(errno.ENOSPC, "No space left on device")

    monkeypatch.setattr(os, call, full)
    with pytest.raises(BadInput, match="No space left"):
        save(saved, with_trap(demo[0], 0.9), demo[1])
    monkeypatch.undo()
    assert saved.read_bytes() == old
    assert not [path for path in saved.parent.iterdir() if path.name.startswith(".")]


def test_a_folder_that_cannot_be_written(demo: Demo, tmp_path: Path) -> None:
    with pytest.raises(BadInput, match="could not be saved"):
        save(tmp_path / "not there" / "print.nomos", *demo)


def rewritten(path: Path, edit: object) -> Path:
    """The file with its project.json replaced by what `edit` makes of it."""
    target = path.with_name("changed.nomos")
    with zipfile.ZipFile(path) as source, zipfile.ZipFile(target, "w") as archive:
        for info in source.infolist():
            data = source.read(info)
            if info.filename == "project.json":
                content = json.loads(data)
                assert callable(edit)
                edit(content)
                data = json.dumps(content).encode()
            archive.writestr(info, data)
    return target


@pytest.mark.parametrize(
    ("change", "words"),
    [
        (lambda c: c.update(version=99), "newer Nomos"),
        (lambda c: c.update(trap_mm=50), "cannot be 50 mm"),
        (lambda c: c.update(title=3), "does not make sense"),
        (lambda c: c.update(surprise=1), "does not make sense"),
        (lambda c: c.pop("paper"), "does not make sense"),
        (lambda c: c["flat"].update(labels="0" * 64), "damaged"),
        (lambda c: c["flat"]["colours"].pop(), "colour"),
    ],
)
def test_a_project_that_makes_no_sense_says_why(saved: Path, change: object, words: str) -> None:
    with pytest.raises(BadInput, match=words) as caught:
        load(rewritten(saved, change))
    assert "\n" not in str(caught.value)


@pytest.mark.parametrize("keep", [0, 10, 0.5, 0.98])
def test_a_damaged_file_says_so_and_names_the_copy_before(saved: Path, demo: Demo, keep: float) -> None:
    save(saved, *demo)
    data = saved.read_bytes()
    saved.write_bytes(data[: int(len(data) * keep) if keep < 1 else int(keep)])
    with pytest.raises(BadInput, match=r"print.nomos.previous"):
        load(saved)


def test_a_flipped_byte_inside_a_picture_is_noticed(saved: Path) -> None:
    data = bytearray(saved.read_bytes())
    data[len(data) // 2] ^= 0xFF
    saved.write_bytes(bytes(data))
    with pytest.raises(BadInput):
        load(saved)


def test_a_file_that_is_not_there(tmp_path: Path) -> None:
    with pytest.raises(BadInput, match="cannot be read"):
        load(tmp_path / "nothing.nomos")


def packed(path: Path, text: bytes) -> Path:
    """A project file of this project.json."""
    with zipfile.ZipFile(path, "w", zipfile.ZIP_DEFLATED) as archive:
        archive.writestr(zipfile.ZipInfo("mimetype"), MIMETYPE)
        archive.writestr("project.json", text)
    return path


@pytest.mark.parametrize(
    ("text", "words"),
    [
        (b'{"version": 99, "title": [3]}', "newer Nomos"),
        (b'{"version": 0}', "format 0, and there is none"),
        (b'{"version": -1}', "format -1, and there is none"),
        (b'{"version": "7"}', "does not make sense"),
        (b'{"version": 7, "title": ' + b"[" * 200_000, "does not make sense"),
        (b'{"version": 7, "odd": [' + b"[]," * 2_000_000 + b"[]]}", "does not make sense"),
        (b" " * 65_000_000, "more than 64 MB"),
    ],
)
def test_what_no_print_needs_is_refused_by_its_type_and_size(tmp_path: Path, text: bytes, words: str) -> None:
    with pytest.raises(BadInput, match=words):
        load(packed(tmp_path / "odd.nomos", text))


def test_lists_that_are_not_taken_are_never_built(tmp_path: Path) -> None:
    """Thirty million empty lists are refused at the first, in the memory that the text itself takes."""
    path = packed(tmp_path / "lists.nomos", b'{"version": 7, "title": [' + b"[]," * 20_000_000 + b"[]]}")
    look = f"""
from pathlib import Path
from nomos.project import load
try:
    load(Path({str(path)!r}))
except Exception as error:
    print(error)
# Its own peak: getrusage(2) has that of whoever forked it.
line = next(each for each in open("/proc/self/status") if each.startswith("VmHWM"))
print(int(line.split()[1]) // 1024)
"""
    said = subprocess.run([sys.executable, "-c", look], capture_output=True, text=True, check=True).stdout
    words, megabytes = said.strip().split("\n")
    assert "does not make sense" in words
    assert int(megabytes) < 400


def test_a_change_of_the_form_counts_its_number_on() -> None:
    """Whoever changes what project.json holds writes a form down: `limits.VERSION`, `forms.py`, this line."""
    known = {9: "b9088a78a0aa"}
    assert known[VERSION] == _digest_of(bare(json_schema()))


def bare(schema: object) -> object:
    """A schema without its words."""
    if isinstance(schema, dict):
        return {key: bare(value) for key, value in schema.items() if key not in ("description", "title")}
    return [bare(value) for value in schema] if isinstance(schema, list) else schema


def _digest_of(schema: object) -> str:
    return hashlib.sha256(msgspec.json.encode(schema, order="sorted")).hexdigest()[:12]


def test_an_older_form_gets_an_id_that_stays() -> None:
    corpus = Path(__file__).parents[1] / "corpus"
    one = load(corpus / "pane-1.nomos")[0]
    assert (one.version, len(one.id)) == (VERSION, 12)
    assert load(corpus / "pane-1.nomos")[0] == one
    assert load(corpus / "pane-2.nomos")[0].id != one.id


def test_what_was_foretold_lies_beside_and_is_compared(saved: Path, demo: Demo) -> None:
    proof = proof_of(*demo)
    save(saved, *demo, predicted=encoded(predictions_of(proof)))
    assert load(saved)[0] == demo[0]
    before = read_predictions(predicted_in(saved))
    assert before is not None
    assert what_moved(before, proof) == ""
    # As if an earlier reckoning had said 2.8 of the key.
    name, now = next((name, de00) for name, de00 in before.colours if name == "Key")
    earlier = Predictions(1, tuple((each, 2.8 if each == name else de00) for each, de00 in before.colours))
    said = what_moved(earlier, proof)
    assert f"Key ΔE 2.8, now {now:.1f}" in said
    assert "paper without a coating" in said
    # A file that says nothing of it: what is foretold now, and that the old figures are not known.
    assert "figures are not in its file" in what_moved(read_predictions(predicted_in(CORPUS)), proof)
    assert read_predictions(b"[1]") is None
