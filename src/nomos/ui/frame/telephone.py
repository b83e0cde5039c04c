"""From the telephone: a code to point it at, and what it sends, one picture after the other."""

from collections.abc import Callable
from io import BytesIO
from pathlib import Path

import segno
from PyQt6.QtCore import QFileSystemWatcher, Qt, QTimer, pyqtSignal
from PyQt6.QtGui import QCloseEvent, QImage, QPixmap
from PyQt6.QtWidgets import QComboBox, QDialog, QFileDialog, QLabel, QVBoxLayout, QWidget

from nomos.base.errors import BadInput
from nomos.base.folders import state_folder
from nomos.base.language import tr
from nomos.base.reading import PHOTOGRAPHS
from nomos.ui.frame import theme
from nomos.ui.frame.controls import Fields, button, label
from nomos.ui.language import lookups
from nomos.work.door import Arrived, Door, own_addresses

_CODE_PX, _QUIET = 260, 4
# A file that is still of the same size after this has come whole.
_STILL_MS = 400
_FIREWALL = tr(
    "If the telephone finds nothing: both must be on the same network, and a firewall on this machine must "
    "let port {port} in while this is open. A cable or a synchronised folder does it too."
)


class TelephoneDialog(QDialog):
    """Stands open while a telephone sends; what has arrived is opened by a click."""

    arrived = pyqtSignal(object)
    """The file of a picture that has arrived: a Path."""
    _came = pyqtSignal(object)

    def __init__(self, parent: QWidget | None) -> None:
        super().__init__(parent)
        self.setWindowTitle(tr("From the telephone"))
        self.setAttribute(Qt.WidgetAttribute.WA_DeleteOnClose)
        self.door: Door | None = None
        self.files: list[Path] = []
        self.takes_all: Callable[[], bool] = lambda: False
        self._watcher = QFileSystemWatcher(self)
        self._known: set[Path] = set()
        self._sizes: dict[Path, int] = {}
        self._later = QTimer(self)
        self._later.setSingleShot(True)
        self._later.setInterval(_STILL_MS)
        column = self._column = QVBoxLayout(self)
        self.code, self.address = QLabel(), label(kind="quiet")
        self.address.setTextInteractionFlags(Qt.TextInteractionFlag.TextSelectableByMouse)
        self.code.setAlignment(Qt.AlignmentFlag.AlignHCenter)
        self.code.setMinimumHeight(theme.scaled(_CODE_PX))
        self.code.setAccessibleName(tr("Code of the address"))
        self.hosts, fields = QComboBox(), Fields()
        self.hosts.addItems(own_addresses())
        fields.add(tr("Address of this machine"), self.hosts, tr("Choose the one the telephone is on."))
        self.folder = button(
            tr("Watch a folder instead…"), tip=tr("New pictures in it are offered: synchronised, or by cable.")
        )
        self.file = button(tr("Choose a file…"), tip=tr("A picture that is on this machine already."))
        self.said, self.help = label(), label(kind="quiet")
        for part in (
            label(tr("Point the telephone's camera at this code."), kind="name"), self.code, self.address,
            fields, self.said, self.folder, self.file, self.help,
        ):  # fmt: skip
            column.addWidget(part)
        self.hosts.currentTextChanged.connect(self.open_at)
        self.folder.clicked.connect(self._choose_folder)
        self.file.clicked.connect(self._choose_file)
        self._watcher.directoryChanged.connect(lambda _folder: self._later.start())
        self._later.timeout.connect(self._look_again)
        self._came.connect(self._take)
        self.open_at(self.hosts.currentText())

    def open_at(self, host: str) -> None:
        """Open the door at an address of this machine, and show its code."""
        self._shut()
        try:
            self.door = Door(host, self._received, lookups())
        except BadInput as error:
            self.said.setText(str(error))
            return
        self.code.setPixmap(code_of(self.door.address, theme.scaled(_CODE_PX)))
        self.address.setText(self.door.address)
        self.help.setText(_FIREWALL.format(port=self.door.port))
        self.said.setText(tr("Waiting for a picture."))

    def _received(self, picture: Arrived) -> str:
        """On a thread of the door's: whether it is a picture at all, and where it is kept."""
        # Imported here: what reads pictures is not needed before one comes.
        from nomos.design import read_pixels

        try:
            read_pixels(picture.data, picture.name)
            path = kept(picture)
        except BadInput as error:
            return str(error)
        self._came.emit(path)
        return ""

    def _take(self, path: Path) -> None:
        first = not self.files
        self.files.append(path)
        made = button(
            tr("Open {name}", name=path.name),
            tip=tr("Begin with it; at Register and at the bench it is read as a proof."),
        )
        made.clicked.connect(lambda: self.arrived.emit(path))
        self._column.addWidget(made)
        self.adjustSize()
        count = len(self.files)
        self.said.setText(
            tr("{name} has arrived.", name=path.name) if first else tr("{count} have arrived.", count=count)
        )
        if first or self.takes_all():
            self.arrived.emit(path)

    def _choose_folder(self) -> None:
        name = QFileDialog.getExistingDirectory(self, tr("Folder to watch"))
        if name:
            self.watch(Path(name))

    def _choose_file(self) -> None:
        name, _ = QFileDialog.getOpenFileName(self, tr("Choose a picture"))
        if name:
            self._take(Path(name))

    def watch(self, folder: Path) -> None:
        """Offer every picture that comes into a folder from now on."""
        try:
            self._known, self._sizes = set(folder.iterdir()), {}
        except OSError as error:
            self.said.setText(_unread(folder, error))
            return
        self._shut()
        self.code.hide()
        self._watcher.addPath(str(folder))
        self.said.setText(tr("Watching {folder}.", folder=folder))

    def _look_again(self) -> None:
        """Offer what has come and grows no longer: a file may be seen while it is still being written."""
        for folder in map(Path, self._watcher.directories()):
            try:
                coming = {
                    path: path.stat().st_size for path in sorted(folder.iterdir())
                    if path not in self._known and path.suffix.lower() in PHOTOGRAPHS
                }  # fmt: skip
            except OSError as error:
                self.said.setText(_unread(folder, error))
                return
            whole = [path for path, size in coming.items() if size and size == self._sizes.get(path)]
            self._known.update(whole)
            self._sizes = coming
            if len(whole) < len(coming):
                self._later.start()
            for path in whole:
                self._take(path)

    def _shut(self) -> None:
        if self.door is not None:
            self.door.close()
            self.door = None

    def closeEvent(self, event: QCloseEvent | None) -> None:
        self._shut()
        super().closeEvent(event)

    def reject(self) -> None:
        """Escape closes the door as well."""
        self.close()


def _unread(folder: Path, error: OSError) -> str:
    return tr("{folder} cannot be read ({what}).", folder=folder, what=error.strerror or error)


def kept(picture: Arrived) -> Path:
    """A picture that has arrived, as a file of its own. Raises BadInput."""
    folder = state_folder() / "arrived"
    try:
        folder.mkdir(parents=True, exist_ok=True)
        path = folder / picture.name
        number = 2
        while True:
            try:
                with path.open("xb") as file:
                    file.write(picture.data)
                return path
            except FileExistsError:
                path = folder / f"{Path(picture.name).stem} {number}{Path(picture.name).suffix}"
                number += 1
    except OSError as error:
        raise BadInput(
            tr("{folder} cannot be written ({what}).", folder=folder, what=error.strerror or error)
        ) from None


def code_of(text: str, side_px: int) -> QPixmap:
    """A QR code (ISO 18004) of a text, dark on white whatever the window looks like."""
    drawn = BytesIO()
    segno.make_qr(text, error="m").save(drawn, kind="png", border=_QUIET)
    return QPixmap.fromImage(
        QImage.fromData(drawn.getvalue()).scaled(
            side_px, side_px, Qt.AspectRatioMode.KeepAspectRatio, Qt.TransformationMode.FastTransformation
        )
    )
