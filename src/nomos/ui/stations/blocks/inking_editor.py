"""Zones drawn on the sheet, and how a pull is inked and printed: the hand's side."""

from typing import get_args

from PyQt6.QtCore import pyqtSignal

from nomos.base.errors import BadInput
from nomos.base.language import tr
from nomos.project import Project
from nomos.project.blocks.inking import (
    What,
    drawn_further,
    field_outlines,
    standing_outlines,
    stroke_outlines,
    with_own_ink,
    with_zone_changed,
    with_zone_drawn,
    without_zone,
)
from nomos.project.model import Outline
from nomos.project.model.edits import with_pull
from nomos.separation.touch import Touch
from nomos.ui.frame.station_editor import StationEditor


class InkingEditor(StationEditor):
    """Draws zones on the chosen pull and changes them; the controller says what is chosen."""

    zone_made = pyqtSignal(int)
    """The place of a zone that was drawn just now."""
    tool, what = "move", "inked"

    @property
    def drawing(self) -> bool:
        """Whether strokes and clicks on the sheet draw zones."""
        return self.tool != "move"

    def take_up(self, tool: str, what: str) -> None:
        """Draw with a tool from now on, and what becomes of the place."""
        self.tool, self.what = tool, what

    def stroke(self, touch: Touch) -> None:
        """A stroke on the sheet, in mm."""
        try:
            self._draw(stroke_outlines(touch))
        except BadInput as error:
            self.message.emit(str(error))

    def point_at(self, x_mm: float, y_mm: float, *, touching: bool = False) -> None:
        """A click on a field of the design, or on all that touches it on the block."""
        project, proof = self._document.project, self._keeper.proof
        if project is None or proof is None:
            return
        blocks = proof.blocks
        x = int((x_mm - project.image.left) * blocks.px_per_mm)
        y = int((y_mm - project.image.top) * blocks.px_per_mm)
        pull = self._editor.state.pull
        if not (0 <= x < blocks.labels.shape[1] and 0 <= y < blocks.labels.shape[0]):
            return
        if not touching or pull is None:
            self._draw(field_outlines(project, blocks.labels, blocks.px_per_mm, x, y))
            return
        mask = blocks.masks[project.number_of(project.impression(pull).block)]
        try:
            self._draw(standing_outlines(project, mask, blocks.px_per_mm, x, y))
        except BadInput as error:
            self.message.emit(str(error))

    def _draw(self, drawn: tuple[Outline, ...]) -> None:
        pull, zone = self._editor.state.pull, self._editor.state.zone
        if pull is None:
            self.message.emit(tr("Choose a block first, on the ladder or in the list."))
            return
        if self.what == "further":
            self._editor.apply(tr("Draw a zone"), lambda p: drawn_further(p, pull, zone, drawn))
            return
        what: What = next((known for known in get_args(What) if known == self.what), "inked")
        before = self._document.project
        self._editor.apply(tr("Draw a zone"), lambda p: with_zone_drawn(p, pull, drawn, what))
        after = self._document.project
        if after is not None and after is not before:
            self.zone_made.emit(len(after.impression(pull).zones) - 1)

    def take_ink(self, ink: str) -> None:
        """Ink the chosen zone with one of the inks, or with one of its own."""
        if ink:
            zone = self._editor.state.zone
            self._editor.on_pull(tr("Inking"), lambda p, pull: with_zone_changed(p, pull, zone, ink=ink))
        else:
            self._editor.on_pull(
                tr("An ink of its own"), lambda p, pull: with_own_ink(p, pull, self._editor.state.zone)
            )

    def take_out(self) -> None:
        """Take the chosen zone out."""
        zone = self._editor.state.zone
        self._editor.on_pull(tr("Take a zone out"), lambda p, pull: without_zone(p, pull, zone))

    def name_pull(self, name: str) -> None:
        """Name the chosen pull; the block's own name is none of its own."""

        def change(project: Project, pull: str) -> Project:
            own = "" if name in ("", _plain_name(project, pull)) else name
            return with_pull(project, pull, name=own)

        self._editor.on_pull(tr("Name of the pull"), change)


def _plain_name(project: Project, pull_id: str) -> str:
    """What a pull is called while it has no name of its own."""
    return with_pull(project, pull_id, name="").pull_name(pull_id)
