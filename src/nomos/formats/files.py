"""Reading and writing files, each whole or not there, with one sentence when it cannot be."""

import contextlib
import csv
import io
from collections.abc import Iterator
from dataclasses import dataclass
from pathlib import Path

from nomos.base.atomic import replacing
from nomos.base.errors import BadInput
from nomos.base.language import tr
from nomos.base.reading import read_whole

_MOST_TEXT = 20_000_000
# The cells of a row that no column has a name for.
_MORE = "\x00"


@contextlib.contextmanager
def writing_into(folder: Path) -> Iterator[None]:
    """Turn what the file system says while writing into one sentence for the user."""
    try:
        yield
    except OSError as error:
        raise BadInput(
            tr(
                "{folder} cannot be written ({what}); choose another folder or make room.",
                folder=folder,
                what=error.strerror or error,
            )
        ) from None


def read_text(path: Path) -> str:
    """The text of a UTF-8 file, with or without a byte order mark. Raises BadInput."""
    try:
        return read_whole(path, _MOST_TEXT).decode("utf-8-sig")
    except UnicodeDecodeError:
        raise BadInput(tr("{path} cannot be read: it is not UTF-8 text.", path=path)) from None


@dataclass(frozen=True)
class Table:
    """A table of a file: its columns, and each row that holds something, with where it stands."""

    columns: tuple[str, ...]
    rows: tuple[tuple[str, dict[str, str]], ...]


def read_table(text: str, name: str) -> Table:
    """A CSV table with its columns named in the first line; cells without their blanks, missing ones empty.

    Raises BadInput: no CSV, or a row of more cells than there are columns; names the line.
    """
    reader = csv.DictReader(io.StringIO(text, newline=None), restkey=_MORE, restval="", skipinitialspace=True)
    rows = []
    try:
        columns = tuple((column or "").strip() for column in reader.fieldnames or ())
        reader.fieldnames = list(columns)
        for row in reader:
            where = tr("{name}, line {line_num}", name=name, line_num=reader.line_num)
            more: object = row.pop(_MORE, [])
            if isinstance(more, list) and any(cell.strip() for cell in more):
                raise BadInput(tr("{where}: there are more cells than columns; mend the line.", where=where))
            cells = {column: (cell or "").strip() for column, cell in row.items()}
            if any(cells.values()):
                rows.append((where, cells))
    except csv.Error as error:
        raise BadInput(
            tr(
                "{name}, line {line_num}: this is no table of cells ({error}).",
                name=name, line_num=reader.line_num, error=error,
            )
        ) from None  # fmt: skip
    return Table(columns, tuple(rows))


def read_bytes(path: Path) -> bytes:
    """What a file holds. Raises BadInput."""
    return read_whole(path)


def write_file(folder: Path, name: str, data: bytes) -> str:
    """Write a file whole; returns its name. Raises OSError, BadInput."""
    with replacing(folder / name) as file:
        file.write(data)
    return name
