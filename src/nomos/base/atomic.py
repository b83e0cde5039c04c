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

from nomos.base.errors import BadInput
from nomos.base.language import tr

_SUFFIX = ".part"
_PREVIOUS = ".previous"
# A name takes at most 255 bytes on the file systems of Linux, a letter up to four of them.
_MOST_NAME_BYTES, _MOST_PART_BYTES, _TAIL_LETTERS = 255, 160, 24


def beside(path: Path, name: str) -> Path:
    """A file of another name in the folder of a file; a name too long for a disk has its middle hashed."""
    data = name.encode(errors="surrogateescape")
    if len(data) <= _MOST_NAME_BYTES:
        return path.with_name(name)
    tail = f"~{hashlib.sha256(data).hexdigest()[:12]}~{name[-_TAIL_LETTERS:]}"
    return path.with_name(_cut(name, _MOST_NAME_BYTES - len(tail.encode(errors="surrogateescape"))) + tail)


def previous_of(path: Path) -> Path:
    """Where the file is kept that a new one has replaced: beside it, not beside a link to it."""
    path = path.resolve() if path.is_symlink() else path
    return beside(path, path.name + _PREVIOUS)


def _cut(name: str, most_bytes: int) -> str:
    """The beginning of a name that takes no more than so many bytes."""
    data = name.encode(errors="surrogateescape")[:most_bytes]
    return data.decode(errors="ignore")


@contextlib.contextmanager
def replacing(path: Path, *, keep: bool = False) -> Iterator[BinaryIO]:
    """A file to write into, which takes its name once it is on the disk.

    Written beside, flushed, then renamed. A link is followed, so that the file it names is replaced and
    not the link; what runs left unfinished beside it is cleared away. Mode, owner and extended attributes
    go with the name, as far as this user may set them; a hard link keeps the earlier file, as it must where
    a name stands for the whole old file or the whole new one at any moment.

    Parameters
    ----------
    path : the file to be.
    keep : whether the file that is replaced is kept, as `previous_of` says.

    Raises
    ------
    OSError : it could not be written; what was there before is untouched.
    BadInput : it is no ordinary file, or one that may not be written over.
    """
    target = path.resolve() if path.is_symlink() else path
    _check_may_replace(path, target)
    clear_left_behind(target)
    handle, part = tempfile.mkstemp(prefix=part_prefix(target), suffix=_SUFFIX, dir=target.parent)
    try:
        with os.fdopen(handle, "wb") as file:
            yield file
            file.flush()
            os.fsync(file.fileno())
        if target.exists():
            _copy_attributes(target, part)
            if keep and target.stat().st_size > 0:
                _keep(target, previous_of(target))
        else:
            umask = os.umask(0)
            os.umask(umask)
            os.chmod(part, 0o666 & ~umask)
        os.replace(part, target)
        flush_folder(target.parent)
    finally:
        with contextlib.suppress(FileNotFoundError):
            os.unlink(part)


def write_bytes(path: Path, data: bytes, *, keep: bool = False) -> None:
    """Write a file whole, as `replacing` does. Raises BadInput; what was there before is untouched."""
    try:
        with replacing(path, keep=keep) as file:
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
        raise BadInput(tr("{path} may not be written over: choose another name, or allow writing to it.", path=path))


def _host() -> str:
    return hashlib.sha256(platform.node().encode()).hexdigest()[:6]


def part_prefix(target: Path) -> str:
    """The beginning of a part's name: whose it is, on which machine, by which process."""
    return f".{_cut(target.name, _MOST_PART_BYTES)}.{_host()}-{os.getpid()}-"


def clear_left_behind(target: Path) -> None:
    """Take away the parts that processes of this machine left when they were killed."""
    own = f".{_cut(target.name, _MOST_PART_BYTES)}.{_host()}-"
    with contextlib.suppress(OSError):
        for part in target.parent.iterdir():
            if part.name.startswith(own) and part.name.endswith(_SUFFIX):
                process = part.name.removeprefix(own).split("-")[0]
                if process.isdigit() and not _runs(int(process)):
                    if part.is_dir() and not part.is_symlink():
                        shutil.rmtree(part, ignore_errors=True)
                    else:
                        part.unlink(missing_ok=True)


def _runs(process: int) -> bool:
    try:
        os.kill(process, 0)
    except ProcessLookupError:
        return False
    except (OSError, OverflowError):
        return True
    return True


def _copy_attributes(old: Path, new: str) -> None:
    """Give a file the mode, owner and extended attributes (access lists among them) of another."""
    found = old.stat()
    shutil.copymode(old, new)
    with contextlib.suppress(OSError):  # only root may give a file away, a member may give it to the group
        os.chown(new, -1, found.st_gid)
        os.chown(new, found.st_uid, -1)
    with contextlib.suppress(OSError):  # a file system without them
        for name in os.listxattr(old):
            with contextlib.suppress(OSError):
                os.setxattr(new, name, os.getxattr(old, name))


def _keep(path: Path, previous: Path) -> None:
    """Give the old file a second name, in one step from the one before it."""
    fresh = previous.with_name(f"{part_prefix(previous)}kept{_SUFFIX}")
    fresh.unlink(missing_ok=True)
    try:
        try:
            os.link(path, fresh)
        except OSError:  # a file system without hard links
            with path.open("rb") as old, fresh.open("xb") as copy:
                shutil.copyfileobj(old, copy)
            shutil.copystat(path, fresh)
        os.replace(fresh, previous)
    finally:
        fresh.unlink(missing_ok=True)


def flush_folder(folder: Path) -> None:
    """Have on disk which files a folder holds, where the file system lets that be asked for."""
    with contextlib.suppress(OSError):  # not every file system lets a folder be flushed
        handle = os.open(folder, os.O_RDONLY)
        try:
            os.fsync(handle)
        finally:
            os.close(handle)


def has_second_name(path: Path) -> bool:
    """Whether a file is also another by a hard link, which saving whole or not at all cannot keep."""
    try:
        return path.stat().st_nlink > 1
    except OSError:
        return False
