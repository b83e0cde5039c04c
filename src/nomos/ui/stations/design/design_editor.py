"""The Design station's hand: beside opening, what is printed of a picture, its size, and corrections."""

from dataclasses import replace
from typing import Any

import numpy as np
from msgspec.structs import replace as changed

from nomos.base.errors import BadInput
from nomos.base.language import tr
from nomos.base.progress import Progress
from nomos.colour import Lab, as_lab, srgb_to_lab
from nomos.design import Correction, Cut, Labels, find_cut
from nomos.design.cut import WHOLE, Corners, Found, checked_cut, cut_with, through, to_print
from nomos.project import Project, Source, digest, labels_from_png
from nomos.project.blocks.fields import corrected, place_on_picture
from nomos.ui.frame.station_editor import dropped
from nomos.ui.stations.design.opening_editor import MIRRORED, NOT_SURE, OpeningEditor, said_of
from nomos.work.open import size_of_drawing


class DesignEditor(OpeningEditor):
    """The Design station's hand: beside opening, what is printed of a picture, its size, and corrections."""

    def _with_source(self, text: str, **changes: Any) -> None:
        project = self._document.project
        if project is None or project.source is None:
            return
        source = changed(project.source, **changes)
        if source != project.source:
            self.flatten_again(source=source, text=text)

    def cut_out(self, corners: Corners) -> None:
        """Print what lies between these corners; its size follows the shape."""
        project = self._document.project
        if project is None or project.source is None:
            return
        old = project.source.cut or Cut()
        cut = replace(old, corners=corners)
        try:
            checked_cut(cut, project.source.name)
        except BadInput as error:
            self._refused(str(error))
            return
        self._with_source(tr("Corners"), cut=cut, size_mm=self._size_of(cut, project.source))

    def _size_of(self, cut: Cut, source: Source) -> tuple[float, float]:
        """The size of another cut of the same picture, at the same scale."""
        matrix = to_print(source.cut, source.size_mm)
        points = np.array([through(matrix, corner) for corner in cut.corners])
        side = np.hypot(*(np.roll(points, -1, axis=0) - points).T)
        width, height = (side[0] + side[2]) / 2, (side[1] + side[3]) / 2
        return round(float(np.clip(width, 5, 2000)), 1), round(float(np.clip(height, 5, 2000)), 1)

    def whole_picture(self) -> None:
        """Print the whole picture."""
        self.cut_out(WHOLE)

    def find(self) -> None:
        """Find the sheet in the picture, and what is drawn on it."""
        pixels, project = self.pixels(), self._document.project
        if pixels is None or project is None:
            return

        def work(progress: Progress) -> Found:
            progress.report(0.2, tr("looking for the sheet"))
            return find_cut(pixels)

        def take(found: Found) -> None:
            self.found = found
            self.advised.emit(said_of(found))
            size = size_of_drawing(found, pixels)
            if self._document.project is project and project.source is not None:
                self._with_source(
                    tr("Find the sheet"), cut=found.cut, size_mm=size or self._size_of(found.cut, project.source)
                )
            else:
                self.message.emit(dropped(tr("Find the sheet")))
            self.changed.emit()

        self._sheet.do(work, take)

    def turn(self, quarters: int) -> None:
        """Turn the picture clockwise by quarters."""
        project = self._document.project
        if project is not None and project.source is not None:
            size = project.source.size_mm
            cut = (project.source.cut or Cut()).turned(quarters)
            self._with_source(tr("Turn"), cut=cut, size_mm=(size[1], size[0]) if quarters % 2 else size)

    def mirror(self) -> None:
        """Mirror the picture, left for right."""
        project = self._document.project
        if project is not None and project.source is not None:
            self._with_source(tr("Mirror"), cut=(project.source.cut or Cut()).mirrored())

    def set_size(self, *, width_mm: float | None = None, height_mm: float | None = None) -> None:
        """Make the print so wide, or so high; its shape stays."""
        project = self._document.project
        if project is None or project.source is None:
            return
        width, height = project.source.size_mm
        scale = width_mm / width if width_mm is not None else (height_mm or height) / height
        self._scale(scale)

    def _scale(self, scale: float) -> None:
        project = self._document.project
        if project is None or project.source is None:
            return
        width, height = (round(side * scale, 2) for side in project.source.size_mm)
        self._with_source(tr("Size"), size_mm=(width, height))

    def set_shape(self, width_mm: float, height_mm: float) -> None:
        """Make the print so wide and so high, whatever shape that gives."""
        self._with_source(tr("Size"), size_mm=(width_mm, height_mm))

    def set_sheet(self, corners: Corners) -> None:
        """Set the corners of the sheet it was drawn on: the light is judged on it, and the size by it."""
        project = self._document.project
        if project is None or project.source is None:
            return
        cut = replace(project.source.cut or Cut(), sheet=corners)
        try:
            checked_cut(Cut(corners), project.source.name)
        except BadInput as error:
            self._refused(str(error))
            return
        self.found = Found(cut, corners, 1.0, True, "")
        self._with_source(tr("Sheet"), cut=cut)

    def fit(self, paper_mm: tuple[float, float], margin_mm: float) -> None:
        """Make the print as large as a paper holds within its margins."""
        project = self._document.project
        if project is None or project.source is None:
            return
        width, height = project.source.size_mm
        short, long = (max(side - 2 * margin_mm, 10.0) for side in sorted(paper_mm))
        room = (long, short) if width > height else (short, long)
        self._scale(min(room[0] / width, room[1] / height))

    def drawn_on(self, paper: str) -> None:
        """The sheet was of this size: the print is as large as the drawing on it."""
        pixels, project = self.pixels(), self._document.project
        if pixels is None or project is None or project.source is None:
            return
        cut, known = project.source.cut or Cut(), self.found

        def work(progress: Progress) -> Found:
            progress.report(0.2, tr("looking for the sheet"))
            return known or find_cut(pixels)

        def take(found: Found) -> None:
            self.found = found
            if not found.certain:
                self.advised.emit(NOT_SURE)
                return
            size = size_of_drawing(replace(found, cut=cut), pixels, paper)
            if self._document.project is not project:
                self.message.emit(dropped(tr("Size")))
            elif size is not None:
                self._with_source(tr("Size"), size_mm=size)

        self._sheet.do(work, take)

    def known_length(self, start: tuple[float, float], end: tuple[float, float], mm: float) -> None:
        """Two places on the picture lie so far apart on the print."""
        project = self._document.project
        if project is None or project.source is None:
            return
        matrix = to_print(project.source.cut, project.source.size_mm)
        one, other = through(matrix, start), through(matrix, end)
        now = float(np.hypot(one[0] - other[0], one[1] - other[1]))
        if now > 0.01 and mm > 0:
            self._scale(mm / now)

    def leave_bare(self, polygon: tuple[tuple[float, float], ...] | None) -> None:
        """What lies in this polygon of the picture stays bare; None takes all of them away."""
        project = self._document.project
        if project is None or project.source is None:
            return
        cut = project.source.cut or Cut()
        bare = () if polygon is None else (*cut.bare, polygon)
        self._with_source(tr("Stay bare"), cut=replace(cut, bare=bare))

    def turn_foreign(self, number: int) -> None:
        """Leave something out that does not belong to the drawing, or keep what was left out."""
        project, found = self._document.project, self.found
        if project is None or project.source is None or found is None or number >= len(found.foreign):
            return
        each, cut = found.foreign[number], project.source.cut or Cut()
        if each.outline not in cut.bare:
            self._with_source(tr("Leave out"), cut=replace(cut, bare=(*cut.bare, each.outline)))
            return
        kept = cut_with(cut, each, project.source.size_mm)
        self._with_source(tr("Keep"), cut=kept, size_mm=self._size_of(kept, project.source))
        if each.kind == "writing":
            self.advised.emit(MIRRORED)

    def correct(self, text: str, correction: Correction, labels: Labels) -> None:
        """Make a correction; one that needs the picture again is worked out in the background."""
        project = self._document.project
        if project is None or project.flat is None:
            return
        needs_picture = correction.kind in ("keep", "another", "drop faint", "same")
        if needs_picture and project.source is not None:
            self.flatten_again(corrections=(*project.flat.corrections, correction), text=text, keep=labels)
            return

        def change(before: Project) -> Project:
            after, png = corrected(before, labels_from_png(self._document.assets[_labels(before)]), correction)
            self._document.assets[digest(png)] = png
            return after

        try:
            self._document.apply(text, change)
        except BadInput as error:
            self._refused(str(error))

    def place(self, x_mm: float, y_mm: float) -> tuple[float, float] | None:
        """The place of the picture at a place on the sheet, as shares; None outside the image."""
        project = self._document.project
        if project is None:
            return None
        image = project.image
        inside = image.left <= x_mm < image.right and image.top <= y_mm < image.bottom
        return place_on_picture(project, (x_mm - image.left, y_mm - image.top)) if inside else None

    def colour_at(self, x_mm: float, y_mm: float) -> Lab | None:
        """The sketch's own colour about a place on the sheet, averaged over a millimetre."""
        project = self._document.project
        if project is None or self.done is None:
            return None
        rgb, ppm = self.done.even, self.done.looked.picture.px_per_mm
        column, row = (x_mm - project.image.left) * ppm, (y_mm - project.image.top) * ppm
        reach = max(1, round(0.5 * ppm))
        window = rgb[
            max(int(row) - reach, 0) : int(row) + reach + 1, max(int(column) - reach, 0) : int(column) + reach + 1
        ]
        if not window.size:
            return None
        lab = np.median(srgb_to_lab(window.reshape(-1, 3)), axis=0)
        return as_lab(lab)


def _labels(project: Project) -> str:
    assert project.flat is not None
    return project.flat.labels
