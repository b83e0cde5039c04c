"""The one way in which a hand changes the project: on what is chosen, with its undo words, or refused."""

from collections.abc import Callable
from dataclasses import replace
from typing import Any

from PyQt6.QtCore import QObject, pyqtSignal

from nomos.base.errors import BadInput
from nomos.base.fields import Field, fields_of, with_value
from nomos.base.language import tr
from nomos.project import Project
from nomos.project.blocks.inking import with_zone_changed
from nomos.project.inks.data import with_ink_data
from nomos.project.inks.edits import with_zone
from nomos.project.model import Grade, Impression, Ink, Zone
from nomos.project.model.edits import with_pull
from nomos.ui.frame.document import Document, Edit
from nomos.ui.frame.state import UiState

OfChosen = Callable[[Project, str], Project]
"""An edit of the project and the id of what is chosen."""


class Editor(QObject):
    """Changes the project, and holds what is chosen."""

    message = pyqtSignal(str)
    """Why something could not be."""
    state_changed = pyqtSignal()

    def __init__(self, document: Document) -> None:
        super().__init__()
        self.document, self.state = document, UiState()

    def set_state(self, **changes: Any) -> None:
        """Choose something else, or look at something else: fields of `UiState`."""
        self.state = replace(self.state, **changes)
        self.state_changed.emit()

    def apply(self, text: str, change: Edit, merge_key: object = None) -> bool:
        """Change the project; what cannot be is said, and nothing changes. Whether it could be.

        Parameters
        ----------
        text : what undoing it is called.
        merge_key : changes of one key that follow each other undo as one.
        """
        try:
            self.document.apply(text, change, merge_key=merge_key)
        except BadInput as error:
            self.message.emit(str(error))
            self.state_changed.emit()
            return False
        return True

    def on_pull(self, text: str, change: OfChosen, merge_key: object = None) -> None:
        """Change the chosen pull; says what to do where none is chosen."""
        pull = self.state.pull
        if pull is None:
            self.message.emit(tr("Choose a block first, on the ladder or in the list."))
            return
        self.apply(text, lambda p: change(p, pull), merge_key)

    def on_block(self, text: str, change: OfChosen, merge_key: object = None) -> None:
        """Change the block of the chosen pull."""
        self.on_pull(text, lambda p, pull: change(p, p.impression(pull).block), merge_key)

    def on_ink(self, text: str, change: OfChosen, merge_key: object = None) -> None:
        """Change the ink of the chosen zone."""
        key = None if merge_key is None else (merge_key, self.state.pull, self.state.zone)
        zone = self.state.zone
        self.on_pull(text, lambda p, pull: change(p, p.impression(pull).zones[zone].ink), key)

    def set(self, path: str, value: object) -> None:
        """Give a field of the project another value."""
        self.apply(_field(Project, path).text, lambda p: with_value(p, path, value), path)

    def set_pull(self, path: str, value: object) -> None:
        """Give a field of the chosen pull another value."""
        text = _field(Impression, path).text
        self.on_pull(text, lambda p, pull: with_pull(p, pull, **{path: value}), (path, self.state.pull))

    def set_ink(self, path: str, value: object) -> None:
        """Give a field of the chosen zone's ink another value."""
        self.on_ink(_field(Ink, path).text, lambda p, ink: with_ink_data(p, ink, **{path: value}), path)

    def set_zone(self, path: str, value: object) -> None:
        """Give a field of the chosen zone another value."""
        zone, pull = self.state.zone, self.state.pull
        self.on_pull(
            _field(Zone, path).text,
            lambda p, pull: with_zone_changed(p, pull, zone, **{path: value}), (path, pull, zone),
        )  # fmt: skip

    def set_grade(self, path: str, value: object) -> None:
        """Give a field of the chosen zone's grading another value."""
        zone, pull = self.state.zone, self.state.pull

        def graded(old: Zone) -> Zone:
            return old if old.grade is None else with_value(old, f"grade.{path}", value)

        self.on_pull(_field(Grade, path).text, lambda p, pull: with_zone(p, pull, zone, graded), (path, pull, zone))


def _field(kind: type, path: str) -> Field:
    """The declaration of a path, or of the pair a side belongs to."""
    head, _, last = path.rpartition(".")
    return fields_of(kind)[head if last.isdigit() else path]
