"""The one thing the window edits: a project value with undo, and where it is kept."""

import uuid
from collections.abc import Callable
from pathlib import Path

from PyQt6.QtCore import QObject, pyqtSignal
from PyQt6.QtGui import QUndoCommand, QUndoStack

from nomos.base.progress import Progress
from nomos.project import Assets, Project, save
from nomos.project.model.edits import with_id
from nomos.ui.frame.beside_window import done_beside

Mark = tuple[int, int, int, int]
"""Device, inode, moment of writing and size of a file."""

Edit = Callable[[Project], Project]
Slow = Callable[[Project, Progress], Project]
"""An edit that takes longer than a hand may wait."""


def design_of(project: Project) -> object:
    """What tells the design that was opened from any other."""
    if project.source is not None:
        return project.source.digest
    return project.flat.labels if project.flat is not None else None


class _Change(QUndoCommand):
    """From one project value to another; a drag's many steps merge into one."""

    def __init__(self, document: "Document", text: str, before: Project | None, after: Project, key: object) -> None:
        super().__init__(text)
        self._document, self._before, self._after, self._key = document, before, after, key

    def id(self) -> int:
        return 1 if self._key is not None else -1

    def mergeWith(self, other: QUndoCommand | None) -> bool:
        if not isinstance(other, _Change) or other._key != self._key:
            return False
        self._after = other._after
        # A drag that ends where it began leaves nothing to undo.
        self.setObsolete(self._after == self._before)
        return True

    def redo(self) -> None:
        self._document._show(self._after)

    def undo(self) -> None:
        self._document.dragging = False
        self._document._show(self._before)


class Document(QObject):
    """Holds the project. Only its undo stack sets it; everything else asks through `apply`."""

    changed = pyqtSignal(object, object)
    """(before, after): Project or None."""
    moved = pyqtSignal(object, str, object)
    """Saved under another name: the path before (None while it had none), its session, the path now."""

    saved = pyqtSignal()

    def __init__(self) -> None:
        super().__init__()
        self._project: Project | None = None
        self.assets: dict[str, bytes] = {}
        self.path: Path | None = None
        self.mark: Mark | None = None
        """What its file was when it was read or written last."""
        self._saved: Project | None = None
        self.session = ""
        self.allows: Callable[[Project, Project], bool] = lambda _before, _after: True
        self.stack = QUndoStack(self)
        self.read_only = False
        """Whether its file is another window's: it is saved under another name only."""
        self.dragging = False
        """Whether the last change goes on with the one before it: a hand is dragging something."""
        self._gesture: object = None

    @property
    def project(self) -> Project | None:
        """The project as it stands, None before anything is opened."""
        return self._project

    @property
    def unsaved(self) -> bool:
        """Whether there is something that saving would keep."""
        same = self._project is self._saved or self._project == self._saved
        return self._project is not None and not same

    def apply(self, text: str, edit: Edit, *, merge_key: object = None) -> None:
        """Change the project. Raises ProjectError, changing nothing.

        What is allowed is asked of `allows`, which may ask the user first; a change
        that is not allowed leaves everything as it is. Changes with equal `merge_key`
        that follow each other undo as one; a new key for each gesture keeps two drags
        apart.
        """
        if self._project is None:
            return
        after = edit(self._project)
        self.dragging = merge_key is not None and merge_key == self._gesture
        self._gesture = merge_key
        if after != self._project and self.allows(self._project, after):
            self.stack.push(_Change(self, text, self._project, after, merge_key))

    def begin(
        self, project: Project, assets: Assets, *, path: Path | None = None, saved: bool = False,
        session: str | None = None, mark: Mark | None = None,
    ) -> None:  # fmt: skip
        """Start on another project; the undo history starts anew.

        session : by which what belongs to it is known while it has no file; None begins one.
        mark : of its file as it was read, where that was not now.
        """
        self.stack.clear()
        self.read_only = False
        self.dragging, self._gesture = False, None
        self.session = session or uuid.uuid4().hex[:12]
        self.assets = dict(assets)
        self.path = path.absolute() if path is not None else None
        self.mark = mark or mark_of(path)
        project = with_id(project, anew=not project.id)
        self._saved = project if saved else None
        self._show(project)

    def take_as_saved(self) -> None:
        """What stands now need not be kept."""
        self._saved = self._project
        self.saved.emit()

    def changed_elsewhere(self, path: Path) -> bool:
        """Whether a file would be lost by saving that is not the one this was opened from or saved as."""
        now = mark_of(path)
        return now is not None and not (path.absolute() == self.path and now == self.mark)

    def save(self, path: Path, *, predicted: bytes | None = None) -> None:
        """Write the project while the window is drawn. Raises BadInput, leaving the earlier file as it is."""
        project, assets, path = self._project, dict(self.assets), path.absolute()
        assert project is not None
        done_beside(lambda: save(path, project, assets, predicted=predicted))
        before, self.path = self.path, path
        self.mark = mark_of(path)
        self._saved = project
        self.saved.emit()
        if before != path:
            self.moved.emit(before, self.session, path)

    def _show(self, project: Project | None) -> None:
        before, self._project = self._project, project
        self.changed.emit(before, project)


def mark_of(path: Path | None) -> Mark | None:
    """What tells one writing of a file from another; None for a file that is not there."""
    try:
        found = path.stat() if path is not None else None
    except OSError:
        return None
    return (found.st_dev, found.st_ino, found.st_mtime_ns, found.st_size) if found is not None else None
