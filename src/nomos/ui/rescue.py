"""Work that was not saved is kept beside, and offered again at the next start."""

import contextlib
import os
from collections.abc import Callable
from pathlib import Path

from platformdirs import user_state_path
from PyQt6.QtCore import QObject, QTimer

from nomos.errors import BadInput
from nomos.progress import Progress
from nomos.project import save
from nomos.ui.document import Document
from nomos.ui.jobs import JobRunner

EVERY_MS = 20_000


def rescue_folder() -> Path:
    """Where unsaved work is kept."""
    return user_state_path("nomos", ensure_exists=True) / "unsaved"


class Rescue(QObject):
    """Writes the project to a file of this process while it has unsaved changes."""

    def __init__(self, document: Document, runner: JobRunner, folder: Path) -> None:
        super().__init__()
        self._document, self._runner = document, runner
        self._file = folder / f"{os.getpid()}.nomos"
        self._kept: object = None
        self._timer = QTimer(self)
        self._timer.setInterval(EVERY_MS)
        self._timer.timeout.connect(self.keep)
        self._timer.start()

    def keep(self) -> None:
        """Keep the project as it stands if it has unsaved changes, and drop what was kept otherwise."""
        project, assets = self._document.project, self._document.assets
        if project is None or not self._document.unsaved:
            self.drop()
            return
        if project is self._kept:
            return
        self._kept = project

        def work(_progress: Progress) -> None:
            self._file.parent.mkdir(parents=True, exist_ok=True)
            save(self._file, project, assets)

        # If even this fails there is nothing better to do; saving by hand will say why.
        self._runner.run("rescue", work, _ignore, _ignore)

    def drop(self) -> None:
        """Forget what was kept."""
        self._kept = None
        for path in (self._file, self._file.with_name(self._file.name + ".previous")):
            with contextlib.suppress(OSError):
                path.unlink()

    def close(self) -> None:
        """Stop keeping."""
        self._timer.stop()
        self.drop()


def _ignore(_result: object) -> None:
    pass


def left_behind(folder: Path) -> list[Path]:
    """Files of processes that are no longer there, newest first."""
    if not folder.is_dir():
        return []
    found = [path for path in folder.glob("*.nomos") if path.stem.isdigit() and not _alive(int(path.stem))]
    return sorted(found, key=lambda path: -path.stat().st_mtime)


def _alive(process: int) -> bool:
    try:
        os.kill(process, 0)
    except ProcessLookupError:
        return False
    except PermissionError:
        return True
    return True


def offer(document: Document, folder: Path, take_up: Callable[[str], bool]) -> None:
    """Offer each piece of work left behind until one is taken up; the others are thrown away."""
    taken = False
    for path in left_behind(folder):
        if not taken:
            probe = Document()
            with contextlib.suppress(BadInput):
                probe.open(path)
            if probe.project is not None and take_up(probe.project.title):
                document.begin(probe.project, probe.assets)
                taken = True
        with contextlib.suppress(OSError):
            path.unlink()
