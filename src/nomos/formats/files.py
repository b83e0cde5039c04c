"""Reading and writing files, each whole or not there, with one sentence when it cannot be."""

import contextlib
from collections.abc import Iterator
from pathlib import Path

from nomos.atomic import replacing
from nomos.errors import BadInput
from nomos.reading import read_whole

_MOST_TEXT = 20_000_000


@contextlib.contextmanager
def writing_into(folder: Path) -> Iterator[None]:
    """Turn what the file system says while writing into one sentence for the user."""
    try:
        yield
    except OSError as error:
        raise BadInput(
            f"{folder} cannot be written ({error.strerror or error}); choose another folder or make room."
        ) from None


def read_text(path: Path) -> str:
    """The text of a UTF-8 file, with or without a byte order mark. Raises BadInput."""
    try:
        return read_whole(path, _MOST_TEXT).decode("utf-8-sig")
    except UnicodeDecodeError:
        raise BadInput(f"{path} cannot be read: it is not UTF-8 text.") from None


def read_bytes(path: Path) -> bytes:
    """What a file holds. Raises BadInput."""
    return read_whole(path)


def write_file(folder: Path, name: str, data: bytes) -> str:
    """Write a file whole; returns its name. Raises OSError, BadInput."""
    with replacing(folder / name) as file:
        file.write(data)
    return name


def file_name(name: str) -> str:
    """A name of any letters as part of a file name."""
    kept = "".join(letter if letter.isalnum() else "-" for letter in name.lower())
    return "-".join(part for part in kept.split("-") if part) or "block"
