"""The project file: what goes in comes out, and no crash or damage loses anything."""

import errno
import json
import os
import zipfile
from pathlib import Path

import jsonschema
import msgspec
import pytest

from nomos.errors import BadInput
from nomos.project import Assets, Project, load, save
from nomos.project.model.edits import with_trap
from nomos.project.model.store import MIMETYPE, json_schema

Demo = tuple[Project, Assets]
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
        (lambda c: c.update(trap_mm=50), "trap of 50 mm"),
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
