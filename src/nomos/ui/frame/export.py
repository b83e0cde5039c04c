"""What the sheet shows as a picture or a PDF at its true size, and figures as a table."""

from collections.abc import Sequence
from pathlib import Path

import numpy as np
from numpy.typing import NDArray
from PyQt6.QtGui import QColor

from nomos.base.errors import BadInput
from nomos.base.language import tr
from nomos.ui.frame.sheet_view import SheetContent

# A picture of a sheet without pixels of its own: outlines alone.
_PLAIN_PX_PER_MM = 6.0


def sheet_picture(content: SheetContent) -> tuple[NDArray[np.uint8], float]:
    """The whole sheet in the pixels it is known by: (height, width, 3) uint8, and pixels a mm."""
    raster = content.raster
    px_per_mm = raster.px_per_mm if raster is not None else _PLAIN_PX_PER_MM
    wide, tall = (max(1, round(side * px_per_mm)) for side in content.sheet_mm)
    paper = QColor(content.paper_hex)
    page = np.empty((tall, wide, 3), np.uint8)
    page[:] = paper.red(), paper.green(), paper.blue()
    if raster is None:
        return page, px_per_mm
    rgb = raster.rgb()
    left, top = round(raster.left_mm * px_per_mm), round(raster.top_mm * px_per_mm)
    from_y, from_x = max(0, -top), max(0, -left)
    part = rgb[from_y : tall - top, from_x : wide - left]
    page[max(0, top) : max(0, top) + part.shape[0], max(0, left) : max(0, left) + part.shape[1]] = part
    return page, px_per_mm


def write_sheet(path: Path, content: SheetContent) -> None:
    """Write what the sheet shows as PNG, or as PDF at true size. Raises BadInput."""
    from nomos.formats.outputs import write_output
    from nomos.formats.pictures import picture_pdf, png

    kind = path.suffix.lower()
    if kind not in (".png", ".pdf"):
        raise BadInput(tr("'{name}' must end in .png or .pdf.", name=path.name))
    picture, px_per_mm = sheet_picture(content)
    data = png(picture, px_per_mm) if kind == ".png" else picture_pdf(picture, content.sheet_mm)
    write_output(path, data)


def as_table(rows: Sequence[Sequence[str]]) -> str:
    """Rows as a spreadsheet takes them from the clipboard: tabs between, a line each."""
    return "\n".join("\t".join(cell.replace("\t", " ").replace("\n", " ") for cell in row) for row in rows)
