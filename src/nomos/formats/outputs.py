"""What may be written where: one answer for every output of every command and of the window.

A file is written that was named for it, or that lies in a folder named for what is put there; never one
that was read, a project or a log unless that is what is made, a file that is another thing than its name
says, or what a window has open. What is replaced is kept.
"""

import contextlib
import json
import os
import shutil
import signal
import tempfile
import threading
from collections.abc import Callable, Collection, Iterator, Sequence
from dataclasses import dataclass
from pathlib import Path
from typing import Literal

from nomos.base.atomic import clear_left_behind, flush_folder, part_prefix, previous_of, write_bytes
from nomos.base.errors import BadInput
from nomos.base.file_lock import check_free
from nomos.base.language import tr
from nomos.formats.files import writing_into
from nomos.project.edition.sheets import LOG_SUFFIX, log_path
from nomos.project.model.store import MIMETYPE, SUFFIX, id_in

Makes = Literal["file", "project", "folder"]
_LOOKED_AT = 4096
_ZIP_NAMED = b"mimetype"
# Where the files of an earlier packet are kept, and what stands in a folder while they are exchanged.
PREVIOUS, UNFINISHED = "previous", "UNFINISHED.txt"


@dataclass(frozen=True)
class Output:
    """What an option names to be written.

    suffixes : one of them ends its name; any does where none stand.
    content : the suffix that says what is made, where its name need not.
    """

    makes: Makes = "file"
    suffixes: tuple[str, ...] = ()
    content: str = ""


def _is_text(head: bytes) -> bool:
    return b"\0" not in head


def _is_zip_of(mimetype: str) -> Callable[[bytes], bool]:
    """A zip whose first entry, stored, is its type (as projects and OpenRaster files begin)."""
    return lambda head: head[30:38] == _ZIP_NAMED and head[38:].startswith(mimetype.encode())


_KINDS: dict[str, Callable[[bytes], bool]] = {
    ".png": lambda head: head.startswith(b"\x89PNG"),
    ".tiff": lambda head: head[:4] in (b"II*\0", b"MM\0*"),
    ".pdf": lambda head: head.startswith(b"%PDF"),
    ".svg": lambda head: _is_text(head) and b"<svg" in head,
    ".dxf": lambda head: _is_text(head) and head.split()[:1] in ([b"0"], [b"999"]),
    ".ics": lambda head: head.startswith(b"BEGIN:VCALENDAR"),
    ".json": lambda head: _is_text(head) and head.lstrip()[:1] in (b"{", b"["),
    ".csv": _is_text,
    ".txt": _is_text,
    ".ora": _is_zip_of("image/openraster"),
    SUFFIX: _is_zip_of(MIMETYPE),
}


def check_output(path: Path, output: Output, inputs: Collection[Path] = ()) -> None:
    """Decide whether a file or folder may be written.

    Parameters
    ----------
    path : what is to be written; its links are followed.
    output : what is made.
    inputs : what is read for it.

    Raises
    ------
    BadInput : it may not, and why; nothing has been changed.
    """
    if output.makes == "folder":
        if path.exists() and not path.is_dir():
            raise BadInput(tr("{path} is a file, and a folder is to be written: name another.", path=path))
        return
    if output.suffixes and path.suffix.lower() not in output.suffixes:
        raise BadInput(
            tr(
                "'{name}' must end in {suffixes}.",
                name=path.name,
                suffixes=" or ".join(filter(None, (", ".join(output.suffixes[:-1]), output.suffixes[-1]))),
            )
        )
    if path.is_dir():
        raise BadInput(tr("{path} is a folder: name a file in it.", path=path))
    if not path.exists():
        return
    made_anew = output.makes == "project" and _is_project(path)
    if not made_anew and is_any_of(path, inputs):
        raise BadInput(tr("{path} is what is read, and is not written over: name another file.", path=path))
    _check_kind(path, output)
    check_free(path)


def _check_kind(path: Path, output: Output) -> None:
    """Raises BadInput where a file that is there is another thing than what is made."""
    if is_log(path):
        raise BadInput(tr("{path} is the log of an edition, and is not written over.", path=path))
    if _is_project(path) and output.makes != "project":
        raise BadInput(tr("{path} is a project, and is not written over: name another file.", path=path))
    head, suffix = _head(path), output.content or path.suffix.lower()
    suffix = {".tif": ".tiff"}.get(suffix, suffix)
    fits = _KINDS.get(suffix if output.makes == "file" else SUFFIX)
    if head and (fits is None or not fits(head)):
        raise BadInput(
            tr("{path} is another kind of file than what would be written: name another, or move it away.", path=path)
        )


def write_output(path: Path, data: bytes) -> None:
    """Write a file that was named for it, and keep the one it replaces. Raises BadInput.

    A project is saved, not written by this.
    """
    check_output(path, Output())
    write_bytes(path, data, keep=True)


def is_any_of(path: Path, others: Collection[Path]) -> bool:
    """Whether a file is one of some, by whatever name or link."""
    for other in others:
        with contextlib.suppress(OSError):
            if path.samefile(other):
                return True
    return False


def is_log(path: Path) -> bool:
    """Whether a file is the log of an edition, by its name or by its first line."""
    if path.name.endswith(LOG_SUFFIX):
        return True
    first = _head(path).split(b"\n")[0]
    return first.startswith(b'{"at"') and b'"kind"' in first


def _is_project(path: Path) -> bool:
    """Whether a file is a project, or was one before it was damaged."""
    return path.suffix.lower() == SUFFIX or _KINDS[SUFFIX](_head(path))


def _head(path: Path) -> bytes:
    try:
        with path.open("rb") as file:
            return file.read(_LOOKED_AT)
    except OSError:
        return b""


@contextlib.contextmanager
def filling(
    folder: Path, inputs: Sequence[Path] = (), *, manifest: str | None = None, project: tuple[str, str] = ("", "")
) -> Iterator[Path]:
    """A passing folder to write into; its files take their places in `folder` once all of them are there.

    Parameters
    ----------
    folder : where they go; it is made if it is not there, and then appears whole.
    inputs : what is read for them, which none of them may replace.
    manifest : a JSON file among them whose `files` name them; what an earlier one does not name is not
        theirs, and is not replaced. None: anything of the same kind is.
    project : the one among them that is a project, and that print's id.

    Raises
    ------
    BadInput : something there may not be replaced, or the folder cannot be written; nothing has been
        changed.

    Notes
    -----
    Files that are replaced are kept in `previous` in the folder, a project beside itself. While they are
    exchanged a file UNFINISHED.txt says so, which is left where the machine stops in the middle.
    """
    stage = Path()
    try:
        with writing_into(folder):
            there = folder.is_dir()
            within = folder if there else folder.absolute().parent
            within.mkdir(parents=True, exist_ok=True)
            clear_left_behind(within / folder.name)
            with _undisturbed():
                # It is known before anything can end the command.
                stage = Path(tempfile.mkdtemp(prefix=part_prefix(folder), suffix=".part", dir=within))
            umask = os.umask(0)
            os.umask(umask)
            stage.chmod(0o777 & ~umask)
            yield stage
            names = [path.relative_to(stage) for path in sorted(stage.rglob("*")) if path.is_file()]
            _check_places(folder, names, inputs, manifest, project)
            with _undisturbed():
                if there:
                    _exchange(stage, folder, names, project[0])
                else:
                    stage.rename(folder)
                flush_folder(within)
    finally:
        if stage != Path():
            with _undisturbed():
                _clear(stage)


def _clear(stage: Path) -> None:
    """Take a passing folder away, under another name: threads that are still writing find it no more."""
    gone = stage.with_suffix(".gone.part")
    with contextlib.suppress(OSError):
        stage.rename(gone)
    for each in (gone, stage):
        shutil.rmtree(each, ignore_errors=True)


def _check_places(
    folder: Path, names: Sequence[Path], inputs: Collection[Path], manifest: str | None, project: tuple[str, str]
) -> None:
    ours = None if manifest is None else _named_in(folder / manifest)
    for name in names:
        path = folder / name
        if not path.exists():
            continue
        is_project = str(name) == project[0]
        if is_project and log_path(path).exists() and id_in(path) != project[1]:
            raise BadInput(
                tr(
                    "{path} is another print, with the record of its edition beside it: choose another folder.",
                    path=path,
                )
            )
        if ours is not None and not is_project and str(name) not in ours:
            raise BadInput(tr("{path} is not of an earlier packet: choose another folder, or move it away.", path=path))
        check_output(path, Output("project" if is_project else "file"), inputs)


def _named_in(manifest: Path) -> frozenset[str]:
    """What an earlier packet wrote; nothing where there was none."""
    try:
        files = json.loads(manifest.read_bytes())["files"]
        return frozenset(str(name) for name in files)
    except (OSError, ValueError, KeyError, TypeError, RecursionError):
        return frozenset()


def _exchange(stage: Path, folder: Path, names: Sequence[Path], project: str) -> None:
    """Put the new files where the old ones are. Raises OSError."""
    replaced = [name for name in names if (folder / name).exists()]
    mark = folder / UNFINISHED
    if replaced:
        mark.write_text(
            tr("The files in this folder were being replaced: some are new, some old. Write them again.\n"), "utf-8"
        )
    for name in names:
        path = folder / name
        path.parent.mkdir(parents=True, exist_ok=True)
        if name in replaced:
            kept = previous_of(path) if str(name) == project else folder / PREVIOUS / name
            kept.parent.mkdir(parents=True, exist_ok=True)
            os.replace(path, kept)
        os.replace(stage / name, path)
    mark.unlink(missing_ok=True)


@contextlib.contextmanager
def _undisturbed() -> Iterator[None]:
    """No signal ends the process in the middle: it waits the few moments that renaming takes."""
    if threading.current_thread() is not threading.main_thread():
        yield
        return
    waiting = signal.pthread_sigmask(signal.SIG_BLOCK, {signal.SIGTERM, signal.SIGINT, signal.SIGHUP})
    try:
        yield
    finally:
        signal.pthread_sigmask(signal.SIG_SETMASK, waiting)
