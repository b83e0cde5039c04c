"""The Design station's hand: reads the design, cuts it out, flattens it, and corrects it by pointing."""

from dataclasses import replace
from pathlib import Path
from typing import Any, get_args

import numpy as np
from msgspec.structs import replace as changed
from PyQt6.QtCore import QObject, pyqtSignal

from nomos.colour import Lab, srgb_to_lab
from nomos.design import Correction, Cut, Labels, ReadAs, find_cut, read_pixels
from nomos.design.cut import WHOLE, Corners, Found, checked_cut, through, to_print
from nomos.design.svg import is_svg
from nomos.errors import BadInput
from nomos.progress import Progress
from nomos.project import Project, Source, digest, labels_from_png
from nomos.project.fields import corrected, place_on_picture
from nomos.ui.designing import (
    FirstLook,
    Flattened,
    Opened,
    Reading,
    Rgb,
    Wish,
    flatten_design,
    open_design,
    project_from,
    read_design,
    reflattened,
    size_of_drawing,
)
from nomos.ui.document import Document
from nomos.ui.jobs import JobRunner
from nomos.ui.views.design import Outlined, outlined
from nomos.ui.views.raster import Raster
from nomos.ui.views.sheet import sketch_raster

_NOT_SURE = (
    "I am not sure where the sheet lies: please drag the four corners to what is to be printed, at Picture."
)
_FOUND = "The sheet was found, and the drawing on it cut out. If a corner is off, drag it at Picture."
_ASK_SIZE = "How large the print is, the picture does not say: set it at Picture."


class Designer(QObject):
    """Everything between the file of a sketch and its flat fields."""

    changed = pyqtSignal()
    """The sketch has been read, or looked at anew."""
    opened = pyqtSignal(str)
    """A sketch has become a project; the station to begin at."""
    told = pyqtSignal(str)

    def __init__(self, document: Document, runner: JobRunner) -> None:
        super().__init__()
        self._document, self._runner = document, runner
        self.done: Flattened | None = None
        self.sketch: Raster | None = None
        self.outlined: Outlined | None = None
        self.first: FirstLook | None = None
        self.found: Found | None = None
        self._pixels: tuple[str, Rgb] | None = None
        document.changed.connect(self._project_changed)

    @property
    def reading(self) -> Reading | None:
        """The sketch as it was read; None until it has been."""
        return self.done.reading if self.done is not None else None

    def _project_changed(self, before: Project | None, after: Project | None) -> None:
        if before is None or after is None or before.source != after.source:
            self.sketch, self.done, self.outlined = None, None, None
        if before is None or after is None or _digest(before) != _digest(after):
            self.found = None
        elif before.flat != after.flat and self.done is not None:
            self.outlined = None

    # The file

    def open(self, path: Path) -> None:
        """Open a sketch as a new project."""

        def begin(opened: Opened) -> None:
            self.first = None
            done = opened.done
            project = project_from(path, opened)
            self._document.begin(
                project, {done.reading.source.digest: opened.data, digest(done.labels_png): done.labels_png}
            )
            self._take(done)
            self.found = opened.found
            if opened.pixels is not None:
                self._pixels = done.reading.source.digest, opened.pixels
            self.opened.emit("design")
            self._tell_of(opened)

        def failed(problem: str) -> None:
            self.first = None
            self.told.emit(problem)
            self.changed.emit()

        self.first = None
        self._runner.run_showing(
            "design",
            lambda progress, show: open_design(path, progress, show),
            begin,
            failed,
            self._show_first,
        )

    def _show_first(self, first: FirstLook) -> None:
        self.first = first
        self.changed.emit()

    def _tell_of(self, opened: Opened) -> None:
        picture = opened.done.reading.looked.picture
        if opened.found is not None:
            self.told.emit(_FOUND if opened.found.certain else _NOT_SURE)
        if not picture.sized:
            self.told.emit(_ASK_SIZE)
        else:
            for note in picture.notes:
                self.told.emit(note)
        for note in opened.done.flat.notes:
            self.told.emit(note)

    def pixels(self) -> Rgb | None:
        """The picture as it was opened, for its corners to be set on; None where there is none yet."""
        project = self._document.project
        if project is None or project.source is None or self._pixels is None:
            return None
        return self._pixels[1] if self._pixels[0] == project.source.digest else None

    def need_reading(self) -> None:
        """Read the sketch of a project opened from a file: its picture, its count, what is unsure."""
        project = self._document.project
        if (
            self.done is not None
            or project is None
            or project.source is None
            or project.flat is None
            or "design" in self._runner.busy()
        ):
            return
        source, data, wish = project.source, self._document.assets[project.source.digest], _wish_of(project)

        def work(progress: Progress) -> tuple[Flattened, Rgb | None]:
            pixels = None if is_svg(data) else read_pixels(data, source.name).rgb
            return flatten_design(read_design(data, source, wish, progress), wish, progress), pixels

        def take(result: tuple[Flattened, Rgb | None]) -> None:
            if self._document.project is None or self._document.project.source != source:
                return
            self._take(result[0])
            if result[1] is not None:
                self._pixels = source.digest, result[1]
            self.changed.emit()

        self._runner.run("design", work, take, self.told.emit)

    def _take(self, done: Flattened) -> None:
        self.done = done
        project = self._document.project
        if project is None:
            return
        self.sketch = sketch_raster(done.even, done.reading.looked.picture.px_per_mm, project.image)
        self.outlined = None

    def need_outlines(self, labels: Labels, px_per_mm: float) -> Outlined | None:
        """The sketch with the outlines of the fields drawn over it, once it has been read."""
        project = self._document.project
        if self.done is None or project is None:
            return None
        if self.outlined is None or self.outlined.labels is not labels:
            self.outlined = outlined(self.done.even, labels, px_per_mm, self.done.flat.unsure, project.image)
        return self.outlined

    # How it is flattened

    def flatten_again(
        self,
        *,
        count: int | None = None,
        smallest_mm: float | None = None,
        source: Source | None = None,
        read_as: str | None = "as it is",
        corrections: tuple[Correction, ...] | None = None,
        text: str = "",
        keep: Labels | None = None,
    ) -> None:
        """Flatten the sketch otherwise.

        Parameters
        ----------
        count, smallest_mm, source, read_as, corrections : what is to be otherwise.
        text : how undo calls it.
        keep : the colour numbers until now, if blocks and pulls are to stay as they are.
        """
        project = self._document.project
        if project is None or project.flat is None or project.source is None:
            return
        wish = _wish_of(project)
        if count is not None:
            wish = replace(wish, asked=count)
        if smallest_mm is not None:
            wish = replace(wish, smallest_mm=smallest_mm)
        if read_as != "as it is":
            wish = replace(
                wish, read_as=next((known for known in get_args(ReadAs) if known == read_as), None)
            )
        if corrections is not None:
            wish = replace(wish, corrections=corrections)
        new = source or project.source
        data = self._document.assets[project.source.digest]
        known = self.reading
        if known is not None and not known.serves(new, wish.read_as, wish.smallest_mm, wish.corrections):
            known = None

        def work(progress: Progress) -> Flattened:
            reading = known or read_design(data, new, wish, progress)
            return flatten_design(reading, wish, progress)

        def take(done: Flattened) -> None:
            if self._document.project is None or _digest(self._document.project) != new.digest:
                return
            self._document.assets[digest(done.labels_png)] = done.labels_png
            name = text or f"Flatten to {len(done.flat.colours)} colours"
            try:
                self._document.apply(name, lambda p: reflattened(p, done, keep))
            except BadInput as error:
                self._refused(str(error))
                return
            self._take(done)
            for note in done.flat.notes:
                self.told.emit(note)
            self.changed.emit()

        self._runner.run("design", work, take, self._refused)

    def _refused(self, problem: str) -> None:
        self.told.emit(problem)
        self.changed.emit()

    # What of it is printed, and how large

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
        self._with_source("Corners", cut=cut, size_mm=self._size_of(cut, project.source))

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
            progress.report(0.2, "looking for the sheet")
            return find_cut(pixels)

        def take(found: Found) -> None:
            self.found = found
            self.told.emit(_FOUND if found.certain else _NOT_SURE)
            size = size_of_drawing(found, pixels)
            if self._document.project is project and project.source is not None:
                self._with_source(
                    "Find the sheet", cut=found.cut, size_mm=size or self._size_of(found.cut, project.source)
                )
            self.changed.emit()

        self._runner.run("design", work, take, self._refused)

    def turn(self, quarters: int) -> None:
        """Turn the picture clockwise by quarters."""
        project = self._document.project
        if project is not None and project.source is not None:
            size = project.source.size_mm
            cut = (project.source.cut or Cut()).turned(quarters)
            self._with_source("Turn", cut=cut, size_mm=(size[1], size[0]) if quarters % 2 else size)

    def mirror(self) -> None:
        """Mirror the picture, left for right."""
        project = self._document.project
        if project is not None and project.source is not None:
            self._with_source("Mirror", cut=(project.source.cut or Cut()).mirrored())

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
        self._with_source("Size", size_mm=(width, height))

    def set_shape(self, width_mm: float, height_mm: float) -> None:
        """Make the print so wide and so high, whatever shape that gives."""
        self._with_source("Size", size_mm=(width_mm, height_mm))

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
        self._with_source("Sheet", cut=cut)

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
            progress.report(0.2, "looking for the sheet")
            return known or find_cut(pixels)

        def take(found: Found) -> None:
            self.found = found
            if not found.certain:
                self.told.emit(_NOT_SURE)
                return
            size = size_of_drawing(replace(found, cut=cut), pixels, paper)
            if size is not None and self._document.project is project:
                self._with_source("Size", size_mm=size)

        self._runner.run("design", work, take, self._refused)

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
        self._with_source("Stay bare", cut=replace(cut, bare=bare))

    # Correcting by pointing

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
            after, png = corrected(
                before, labels_from_png(self._document.assets[_labels(before)]), correction
            )
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
        rgb, ppm = self.done.even, self.done.reading.looked.picture.px_per_mm
        column, row = (x_mm - project.image.left) * ppm, (y_mm - project.image.top) * ppm
        reach = max(1, round(0.5 * ppm))
        window = rgb[
            max(int(row) - reach, 0) : int(row) + reach + 1,
            max(int(column) - reach, 0) : int(column) + reach + 1,
        ]
        if not window.size:
            return None
        lab = np.median(srgb_to_lab(window.reshape(-1, 3)), axis=0)
        return float(lab[0]), float(lab[1]), float(lab[2])


def _digest(project: Project) -> str | None:
    return project.source.digest if project.source else None


def _labels(project: Project) -> str:
    assert project.flat is not None
    return project.flat.labels


def _wish_of(project: Project) -> Wish:
    flat = project.flat
    assert flat is not None
    return Wish(flat.asked, flat.smallest_feature_mm, flat.read_as, flat.corrections)
