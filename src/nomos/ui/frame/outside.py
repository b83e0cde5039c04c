"""What comes in by the clipboard, and what the program says of itself."""

from datetime import datetime
from importlib.metadata import PackageNotFoundError, version
from pathlib import Path

from PyQt6.QtCore import Qt
from PyQt6.QtGui import QImage
from PyQt6.QtWidgets import QMessageBox, QWidget

from nomos.base.errors import BadInput
from nomos.base.folders import state_folder
from nomos.base.language import tr

_PARTS = tr(
    "Qt and PyQt (GPL v3), NumPy, SciPy, OpenCV, Pillow, resvg, lxml, ReportLab, Shapely, "
    "msgspec, icalendar, ezdxf, pypdfium2, pillow-heif, segno and platformdirs "
    "under licences of their own; the typeface is Lato (SIL OFL)."
)


def pasted(image: QImage) -> Path:
    """A picture from the clipboard as a file, to be opened like any other. Raises BadInput."""
    folder = state_folder() / "pasted"
    path = folder / f"pasted {datetime.now():%Y-%m-%d %H.%M.%S}.png"
    try:
        folder.mkdir(parents=True, exist_ok=True)
    except OSError as error:
        raise BadInput(
            tr("{folder} cannot be made ({what}); save the picture first.", folder=folder, what=error.strerror or error)
        ) from None
    if not image.save(str(path), "PNG"):
        raise BadInput(tr("{path} cannot be written; save the picture first and open it.", path=path))
    return path


def about_box(parent: QWidget) -> QMessageBox:
    """Version and licences."""
    try:
        own = version("nomos")
    except PackageNotFoundError:
        own = "from its source"
    box = QMessageBox(parent)
    box.setWindowTitle(tr("About Nomos"))
    box.setTextFormat(Qt.TextFormat.PlainText)
    box.setText(tr("Nomos {own}", own=own))
    box.setInformativeText(
        tr(
            "For people who print relief blocks in several colours. It is free software under "
            "the licence in the file LICENSE. It stands on {parts}",
            parts=_PARTS,
        )
    )
    return box
