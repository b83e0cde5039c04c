"""Files written whole or not at all: at any moment a name stands for the old file or for the new one."""

import contextlib
import hashlib
import os
import platform
import shutil
import stat
import tempfile
from collections.abc import Iterator
from pathlib import Path
from typing import BinaryIO

from nomos.errors import BadInput
from nomos.language import tr

_SUFFIX = ".part"
_MOST_LETTERS = 60


@contextlib.contextmanager
def replacing(path: Path, *, previous: Path | None = None) -> Iterator[BinaryIO]:
    """A file to write into, which takes its name once it is on the disk.

    Written beside, flushed, then renamed. A link is followed, so that the file it names is replaced and
    not the link; what runs left unfinished beside it is cleared away.

    Parameters
    ----------
    path : the file to be.
    previous : where the file that is replaced is kept.

    Raises
    ------
    OSError : it could not be written; what was there before is untouched.
    BadInput : it is no ordinary file, or one that may not be written over.
    """
    target = path.resolve() if path.is_symlink() else path
    _check_may_replace(path, target)
    _clear_left_behind(target)
    handle, part = tempfile.mkstemp(prefix=_prefix(target), suffix=_SUFFIX, dir=target.parent)
    try:
        with os.fdopen(handle, "wb") as file:
            yield file
            file.flush()
            os.fsync(file.fileno())
        if target.exists():
            shutil.copymode(target, part)
            if previous is not None:
                _keep(target, previous)
        else:
            umask = os.umask(0)
            os.umask(umask)
            os.chmod(part, 0o666 & ~umask)
        os.replace(part, target)
        _flush_folder(target.parent)
    finally:
        with contextlib.suppress(FileNotFoundError):
            os.unlink(part)


def write_bytes(path: Path, data: bytes) -> None:
    """Write a file whole. Raises BadInput in a sentence; what was there before is untouched."""
    try:
        with replacing(path) as file:
            file.write(data)
    except OSError as error:
        raise BadInput(
            tr(
                "{path} could not be written ({what}); what was there before is untouched.",
                path=path,
                what=error.strerror or error,
            )
        ) from None


def write_text(path: Path, text: str) -> None:
    """Write a text whole, in UTF-8. Raises BadInput in a sentence."""
    write_bytes(path, text.encode("utf-8", errors="replace"))


def _check_may_replace(path: Path, target: Path) -> None:
    try:
        found = target.stat()
    except OSError:
        # What is wrong with the folder, writing will say.
        return
    if not stat.S_ISREG(found.st_mode):
        raise BadInput(tr("{path} is no ordinary file: choose another name.", path=path))
    if not os.access(target, os.W_OK):
        raise BadInput(
            tr("{path} may not be written over: choose another name, or allow writing to it.", path=path)
        )


def _host() -> str:
    return hashlib.sha256(platform.node().encode()).hexdigest()[:6]


def _prefix(target: Path) -> str:
    """The beginning of a part's name: whose it is, on which machine, by which process."""
    return f".{target.name[:_MOST_LETTERS]}.{_host()}-{os.getpid()}-"


def _clear_left_behind(target: Path) -> None:
    """Take away the parts that processes of this machine left when they were killed."""
    own = f".{target.name[:_MOST_LETTERS]}.{_host()}-"
    with contextlib.suppress(OSError):
        for part in target.parent.iterdir():
            if part.name.startswith(own) and part.name.endswith(_SUFFIX):
                process = part.name.removeprefix(own).split("-")[0]
                if process.isdigit() and not _runs(int(process)):
                    part.unlink(missing_ok=True)


def _runs(process: int) -> bool:
    try:
        os.kill(process, 0)
    except ProcessLookupError:
        return False
    except (OSError, OverflowError):
        return True
    return True


def _keep(path: Path, previous: Path) -> None:
    """Give the old file a second name, in one step from the one before it."""
    fresh = previous.with_name(f"{_prefix(previous)}kept{_SUFFIX}")
    fresh.unlink(missing_ok=True)
    try:
        try:
            os.link(path, fresh)
        except OSError:  # a file system without hard links
            shutil.copy2(path, fresh)
        os.replace(fresh, previous)
    finally:
        fresh.unlink(missing_ok=True)


def _flush_folder(folder: Path) -> None:
    with contextlib.suppress(OSError):  # not every file system lets a folder be flushed
        handle = os.open(folder, os.O_RDONLY)
        try:
            os.fsync(handle)
        finally:
            os.close(handle)
