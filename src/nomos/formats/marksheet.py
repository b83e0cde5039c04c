"""Marks measured on a proof, from a CSV file."""

import math
from dataclasses import dataclass, field
from pathlib import Path

from nomos.base.errors import BadInput
from nomos.base.language import tr
from nomos.formats.files import read_table, read_text

COLUMNS = ("expected_x_mm", "expected_y_mm", "measured_x_mm", "measured_y_mm")
_WHOLE = tr("the block")


@dataclass
class MarkSheet:
    """The marks of one block: names, and places in mm on the sheet, expected and measured."""

    names: list[str] = field(default_factory=list)
    expected_mm: list[tuple[float, float]] = field(default_factory=list)
    measured_mm: list[tuple[float, float]] = field(default_factory=list)


def read_marks(path: Path) -> dict[str, MarkSheet]:
    """The marks of each block, in the file's order; without a column `block` all are of "the block".

    Raises BadInput for a file that cannot be read or a row that makes no sense, naming it.
    """
    text = read_text(path)
    table = read_table(text, path.name)
    missing = [name for name in COLUMNS if name not in table.columns]
    if missing:
        raise BadInput(
            tr(
                "{name} has no column {missing}; the first line must name block (if there are "
                "several), mark, {columns}.",
                name=path.name, missing=missing[0], columns=", ".join(COLUMNS),
            )
        )  # fmt: skip
    sheets: dict[str, MarkSheet] = {}
    for where, row in table.rows:
        figures = [_figure(row[name], name, where) for name in COLUMNS]
        sheet = sheets.setdefault((row.get("block") or "").strip() or _WHOLE, MarkSheet())
        sheet.names.append((row.get("mark") or "").strip() or tr("mark {len}", len=len(sheet.names) + 1))
        sheet.expected_mm.append((figures[0], figures[1]))
        sheet.measured_mm.append((figures[2], figures[3]))
    if not sheets:
        raise BadInput(tr("{name} holds no marks: measure at least two for each block.", name=path.name))
    return sheets


def _figure(text: str | None, name: str, where: str) -> float:
    try:
        value = float((text or "").strip())
    except ValueError:
        value = math.nan
    if not math.isfinite(value):
        raise BadInput(tr("{where}: {name} is '{what}', not a length in mm.", where=where, name=name, what=text or ""))
    return value
