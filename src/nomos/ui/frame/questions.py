"""The few questions that need an answer before anything else: which file, which folder, save first?"""

from collections.abc import Callable, Sequence
from pathlib import Path
from typing import Literal, Protocol

import numpy as np
from numpy.typing import NDArray
from PyQt6.QtCore import Qt
from PyQt6.QtWidgets import QFileDialog, QMessageBox, QWidget

from nomos.base.language import tr, visible
from nomos.design.cut import Corners, Found
from nomos.ui.frame.picture_choice import Choice, PictureChoice

Unsaved = Literal["save", "discard", "cancel"]

OPEN_FILTER = tr(
    "Sketches and projects (*.png *.jpg *.jpeg *.tif *.tiff *.webp *.heic *.avif *.gif *.bmp *.pdf *.ora "
    "*.svg *.nomos);;All files (*)"
)
SHELF_FILTER = tr("Ink shelves (*.csv *.json);;All files (*)")
SCAN_FILTER = tr("Scans (*.png *.jpg *.jpeg *.tif *.tiff *.webp *.heic);;Tables (*.csv *.txt *.cgats);;All files (*)")
READINGS_FILTER = tr("Readings (*.csv *.txt *.cgats);;All files (*)")
BLOCKS_FILTER = tr("Blocks (*.ora *.png *.tif *.tiff);;All files (*)")
SAVE_FILTER = tr("Nomos project (*.nomos)")


AskSheet = Callable[[NDArray[np.uint8], Found, QWidget | None], Corners | None]


class Questions(Protocol):
    """What the window asks; tests answer by themselves."""

    def file_to_open(self) -> Path | None:
        """A sketch or project, or None."""

    def shelf_to_open(self) -> Path | None:
        """An ink shelf, or None."""

    def sheet_in(self, pixels: NDArray[np.uint8], found: Found) -> Corners | None:
        """The corners of the sheet in a photograph where they are not sure; None leaves it unopened."""

    def which_picture(self, title: str, choices: Sequence[Choice]) -> int | None:
        """The place of the picture that is meant, of those side by side; None leaves it as it is."""

    def blocks_to_open(self) -> list[Path]:
        """An OpenRaster file or a set of masks; empty for none."""

    def scan_to_open(self) -> Path | None:
        """A scan of a proof or a chart, or None."""

    def readings_to_open(self) -> Path | None:
        """Readings of an ink, or None."""

    def file_to_save(self, suggestion: Path) -> Path | None:
        """Where to keep the project, or None."""

    def studio_to_save(self) -> Path | None:
        """Where the studio is carried to, or None."""

    def studio_to_open(self) -> Path | None:
        """A studio to bring in, or None."""

    def folder_for_packet(self) -> Path | None:
        """Where the packet goes, or None."""

    def file_to_print(self) -> Path | None:
        """The PDF file that is printed into, or None."""

    def picture_to_save(self) -> Path | None:
        """The picture or PDF that the sheet is written to, or None."""

    def may_replace(self, name: str, *, meant: bool) -> bool:
        """Whether to write over a file; meant: it was named, else it has changed on disk since."""

    def open_to_read(self, name: str, holder: str) -> bool:
        """Whether to open a file that another window has, only to look at it."""

    def unsaved(self, title: str) -> Unsaved:
        """What to do with changes that have not been saved."""

    def take_up(self, title: str) -> bool:
        """Whether to open work that a crash left unsaved."""

    def belongs_to(self, title: str, name: str, now: str) -> bool:
        """Whether work left unsaved goes on in a file that is called otherwise now."""

    def contradicts(self, said: tuple[str, ...]) -> bool:
        """Whether to plan it all the same, though it makes untrue what is printed."""


class Dialogs:
    """The questions as dialogs over the window."""

    def __init__(self, ask_sheet: AskSheet, parent: QWidget | None = None) -> None:
        """ask_sheet : the station's own way to ask for corners."""
        self._parent, self._ask_sheet = parent, ask_sheet

    def over(self, parent: QWidget) -> None:
        """Ask over this window from now on."""
        self._parent = parent

    def sheet_in(self, pixels: NDArray[np.uint8], found: Found) -> Corners | None:
        """The corners of the sheet in a photograph where they are not sure; None leaves it unopened."""
        return self._ask_sheet(pixels, found, self._parent)

    def which_picture(self, title: str, choices: Sequence[Choice]) -> int | None:
        """The place of the picture that is meant, of those side by side; None leaves it as it is."""
        made = PictureChoice(title, choices, self._parent)
        made.exec()
        return made.chosen

    def file_to_open(self) -> Path | None:
        """A sketch or project, or None."""
        name, _ = QFileDialog.getOpenFileName(self._parent, tr("Open a sketch or a project"), "", OPEN_FILTER)
        return Path(name) if name else None

    def shelf_to_open(self) -> Path | None:
        """An ink shelf, or None."""
        name, _ = QFileDialog.getOpenFileName(self._parent, tr("Open an ink shelf"), "", SHELF_FILTER)
        return Path(name) if name else None

    def blocks_to_open(self) -> list[Path]:
        """An OpenRaster file or a set of masks; empty for none."""
        names, _ = QFileDialog.getOpenFileNames(self._parent, tr("Bring blocks in"), "", BLOCKS_FILTER)
        return [Path(name) for name in names]

    def scan_to_open(self) -> Path | None:
        """A scan of a proof or a chart, or None."""
        name, _ = QFileDialog.getOpenFileName(self._parent, tr("Open a scan"), "", SCAN_FILTER)
        return Path(name) if name else None

    def readings_to_open(self) -> Path | None:
        """Readings of an ink, or None."""
        name, _ = QFileDialog.getOpenFileName(self._parent, tr("Open readings"), "", READINGS_FILTER)
        return Path(name) if name else None

    def file_to_save(self, suggestion: Path) -> Path | None:
        """Where to keep the project, or None. The dialog asks before replacing a file."""
        dialog = QFileDialog(self._parent, tr("Save the project"), str(suggestion), SAVE_FILTER)
        dialog.setAcceptMode(QFileDialog.AcceptMode.AcceptSave)
        # Before it asks about a file that is there, so that it asks about the right one.
        dialog.setDefaultSuffix("nomos")
        dialog.selectFile(suggestion.name)
        return Path(dialog.selectedFiles()[0]) if dialog.exec() else None

    def studio_to_save(self) -> Path | None:
        """Where the studio is carried to, or None. The dialog asks before replacing a file."""
        name, _ = QFileDialog.getSaveFileName(
            self._parent, tr("Carry the studio to a file"), "studio.json", tr("Studio (*.json)")
        )
        return Path(name) if name else None

    def studio_to_open(self) -> Path | None:
        """A studio to bring in, or None."""
        name, _ = QFileDialog.getOpenFileName(self._parent, tr("Bring a studio in"), "", tr("Studio (*.json)"))
        return Path(name) if name else None

    def picture_to_save(self) -> Path | None:
        """The picture or PDF that the sheet is written to, or None."""
        filters = tr("Picture (*.png);;True size (*.pdf)")
        name, kind = QFileDialog.getSaveFileName(self._parent, tr("Export what the sheet shows"), "sheet.png", filters)
        if not name:
            return None
        path = Path(name)
        return path if path.suffix else path.with_suffix(".pdf" if "pdf" in kind else ".png")

    def file_to_print(self) -> Path | None:
        """The PDF file that is printed into, or None."""
        name, _ = QFileDialog.getSaveFileName(self._parent, tr("Print into a file"), "print.pdf", tr("PDF (*.pdf)"))
        return Path(name).with_suffix(".pdf") if name else None

    def folder_for_packet(self) -> Path | None:
        """Where the packet goes, or None."""
        name = QFileDialog.getExistingDirectory(self._parent, tr("Folder for the packet"))
        return Path(name) if name else None

    def may_replace(self, name: str, *, meant: bool) -> bool:
        """Whether to write over a file; meant: it was named, else it has changed on disk since."""
        happened = tr("is there already.") if meant else tr("has been written by another window or program since.")
        return self._dares(
            tr("Another file is there"), f"{name} {happened}",
            tr("Writing over it keeps it beside as .previous; nothing else is kept of it."),
            tr("Leave it as it is"), tr("Write over it"),
        )  # fmt: skip

    def open_to_read(self, name: str, holder: str) -> bool:
        """Whether to open a file that another window has, only to look at it."""
        return self._dares(
            tr("Open in another window"), tr("{name} is open in a window of {holder}.", name=name,
            holder=holder),
            tr("It can be looked at here, and saved under another name."),
            tr("Leave it closed"), tr("Open it to look at"),
        )  # fmt: skip

    def unsaved(self, title: str) -> Unsaved:
        """What to do with changes that have not been saved."""
        box = self._box()
        box.setWindowTitle(tr("Not saved yet"))
        box.setText(visible(tr("Save the changes to {title}?", title=title)))
        save = box.addButton(tr("Save"), QMessageBox.ButtonRole.AcceptRole)
        discard = box.addButton(tr("Throw them away"), QMessageBox.ButtonRole.DestructiveRole)
        box.addButton(tr("Go on working"), QMessageBox.ButtonRole.RejectRole)
        box.exec()
        if box.clickedButton() is save:
            return "save"
        return "discard" if box.clickedButton() is discard else "cancel"

    def take_up(self, title: str) -> bool:
        """Whether to open work that a crash left unsaved."""
        box = self._box()
        box.setWindowTitle(tr("Unsaved work"))
        box.setText(visible(tr("Nomos ended without saving {title}. Take it up where it stood?", title=title)))
        box.addButton(tr("Throw it away"), QMessageBox.ButtonRole.DestructiveRole)
        take = box.addButton(tr("Take it up"), QMessageBox.ButtonRole.AcceptRole)
        box.exec()
        return box.clickedButton() is take

    def belongs_to(self, title: str, name: str, now: str) -> bool:
        """Whether work left unsaved goes on in a file that is called otherwise now."""
        return self._dares(
            tr("The file has another name"), tr("{title} was opened from {name}, which is called {now} now.",
            title=title, name=name, now=now),
            tr("It can go on in that file, with its record of the bench, or under a name of its own."),
            tr("Under a name of its own"), tr("Go on in it"),
        )  # fmt: skip

    def contradicts(self, said: tuple[str, ...]) -> bool:
        """Whether to plan it all the same, though it makes untrue what is printed."""
        return self._dares(
            tr("Printed already"), "\n".join(said),
            tr("The log keeps what was printed. Change the plan all the same?"), tr("Keep the plan"),
            tr("Change it"),
        )  # fmt: skip

    def _box(self) -> QMessageBox:
        """A box whose words are words, whatever a title or a file name holds."""
        box = QMessageBox(self._parent)
        box.setTextFormat(Qt.TextFormat.PlainText)
        return box

    def _dares(self, title: str, said: str, more: str, stay: str, go: str) -> bool:
        """Ask before something that costs; leaving it is what the key Enter does."""
        box = self._box()
        box.setWindowTitle(title)
        box.setText(visible(said))
        box.setInformativeText(more)
        keep = box.addButton(stay, QMessageBox.ButtonRole.RejectRole)
        change = box.addButton(go, QMessageBox.ButtonRole.DestructiveRole)
        box.setDefaultButton(keep)
        box.exec()
        return box.clickedButton() is change
