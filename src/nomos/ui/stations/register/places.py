"""Where sheet, image and blocks lie, and blocks tried out of register."""

from dataclasses import replace
from typing import TYPE_CHECKING

from nomos.base.language import tr
from nomos.project.model import LARGEST_SHIFT_MM
from nomos.project.model.edits import (
    with_image_at,
    with_kento,
    with_sheet,
)
from nomos.project.register.edits import in_register, with_offset
from nomos.proof import Misregister
from nomos.registration import KentoSettings

if TYPE_CHECKING:
    from nomos.ui.controller import Controller


class Places:
    """Where sheet, image and blocks lie, and blocks tried out of register."""

    def __init__(self, hand: "Controller") -> None:
        self._hand = hand
        self._start: tuple[int, Misregister] | None = None

    def set_offset(self, offset: Misregister, gesture: object = None) -> None:
        """Try the chosen impression out of register."""
        self._hand.on_pull(
            tr("Out of register"),
            lambda p, pull: with_offset(p, pull, offset),
            None if gesture is None else ("offset", self._hand.state.pull, gesture),
        )

    def drag_handle(self, dx_mm: float, dy_mm: float, gesture: int) -> None:
        """Drag the chosen block so far from where it was when the gesture began."""
        project, pull = self._hand.document.project, self._hand.state.pull
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
        self._hand.edit(tr("Back in register"), in_register)

    def set_kento(self, settings: KentoSettings) -> None:
        """Choose how the kento is laid out."""
        self._hand.edit(tr("Kento"), lambda p: with_kento(p, settings))

    def set_sheet(self, width_mm: float, height_mm: float) -> None:
        """Choose another sheet."""
        self._hand.edit(tr("Sheet"), lambda p: with_sheet(p, (width_mm, height_mm)))

    def set_image_at(self, left_mm: float, top_mm: float) -> None:
        """Move the image on the sheet."""
        self._hand.edit(tr("Image on the sheet"), lambda p: with_image_at(p, left_mm, top_mm))
