"""Where sheet, image and blocks lie, and blocks tried out of register."""

from dataclasses import replace

from nomos.base.language import tr
from nomos.project.model import LARGEST_SHIFT_MM
from nomos.project.model.edits import with_image_at, with_sheet
from nomos.project.register.edits import in_register, with_offset
from nomos.proof import Misregister
from nomos.ui.frame.editor import Editor


class PlaceEditor:
    """Where sheet, image and blocks lie, and blocks tried out of register."""

    def __init__(self, editor: Editor) -> None:
        self._editor = editor
        self._start: tuple[int, Misregister] | None = None

    def set_offset(self, offset: Misregister, gesture: object = None) -> None:
        """Try the chosen impression out of register."""
        self._editor.on_pull(
            tr("Out of register"),
            lambda p, pull: with_offset(p, pull, offset),
            None if gesture is None else ("offset", self._editor.state.pull, gesture),
        )

    def drag_handle(self, dx_mm: float, dy_mm: float, gesture: int) -> None:
        """Drag the chosen block so far from where it was when the gesture began."""
        project, pull = self._editor.document.project, self._editor.state.pull
        if project is None or pull is None:
            return
        if self._start is None or self._start[0] != gesture:
            self._start = (gesture, project.impression(pull).offset)
        start = self._start[1]

        def held(value_mm: float) -> float:
            return round(min(max(value_mm, -LARGEST_SHIFT_MM), LARGEST_SHIFT_MM), 2)

        offset = replace(start, dx_mm=held(start.dx_mm + dx_mm), dy_mm=held(start.dy_mm + dy_mm))
        self.set_offset(offset, ("drag", gesture))

    def all_in_register(self) -> None:
        """Put every block back."""
        self._editor.apply(tr("Back in register"), in_register)

    def set_sheet(self, width_mm: float, height_mm: float) -> None:
        """Choose another sheet."""
        self._editor.apply(tr("Sheet"), lambda p: with_sheet(p, (width_mm, height_mm)))

    def set_image_at(self, left_mm: float, top_mm: float) -> None:
        """Move the image on the sheet."""
        self._editor.apply(tr("Image on the sheet"), lambda p: with_image_at(p, left_mm, top_mm))
