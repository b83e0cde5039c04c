"""Opens sketches and flattens them, off the window's thread."""

from collections.abc import Callable
from dataclasses import replace
from pathlib import Path
from typing import get_args

import numpy as np
from PyQt6.QtCore import QObject, pyqtSignal

from nomos.base.errors import BadInput
from nomos.base.language import tr
from nomos.base.progress import Part, Progress
from nomos.base.units import counted
from nomos.design import WHOLE, Correction, Labels, ReadAs, read_pixels
from nomos.design.cut import Found, found_on
from nomos.design.foreign import NAMES
from nomos.design.page import Rgb
from nomos.design.svg import is_svg
from nomos.project import Project, Source, digest
from nomos.ui.frame.document import Document
from nomos.ui.frame.jobs import FIRST, Asker, JobRunner
from nomos.ui.frame.picture_choice import Choice
from nomos.ui.frame.questions import Questions
from nomos.ui.frame.raster import Page, Raster, picture_levels
from nomos.ui.frame.sheet_view import sketch_raster
from nomos.ui.stations.design.design_view import Outlined, outlined
from nomos.work.open import (
    FirstLook,
    Flattened,
    Opened,
    Seen,
    Wish,
    assets_of,
    flatten_of,
    open_design,
    project_of,
    reflattened,
    see_design,
)

NOT_SURE = tr("I am not sure where the sheet lies: please drag the four corners to what is to be printed, at Picture.")
MIRRORED = tr("Writing is cut in mirror image to print as it reads; templates headed as mirrored show how.")
FOUND = tr("The sheet was found, and the drawing on it cut out. If a corner is off, drag it at Picture.")
_ASK_SIZE = tr("How large the print is, the picture does not say: drag its corner, or type it at Picture.")


def said_of(found: Found) -> str:
    """What was found in a photograph, and what to look after."""
    left_out = [NAMES[each.kind] for each in found.foreign if each.sure]
    asked = [NAMES[each.kind] for each in found.foreign if not each.sure]
    if not found.certain:
        return NOT_SURE
    said = [FOUND]
    if left_out:
        said.append(tr("Left out: {what}.", what=", ".join(left_out)))
    if asked:
        said.append(tr("Does it belong to the drawing? {what}: say so at Picture.", what=", ".join(asked)))
    return " ".join(said)


class OpeningEditor(QObject):
    """Everything between the file of a sketch and its flat fields."""

    changed = pyqtSignal()
    """The sketch has been read, or looked at anew."""
    opened = pyqtSignal(str)
    """A sketch has become a project; the station to begin at."""
    message = pyqtSignal(str)
    advised = pyqtSignal(str)
    """What was read in the sketch, and what to look after here; of no use at another station."""

    def __init__(self, document: Document, runner: JobRunner, questions: Questions) -> None:
        super().__init__()
        self._document, self._runner, self._questions = document, runner, questions
        # One picture at a time is opened or flattened: the newest wish counts.
        self.opening = Asker(runner, "design", self._refused, said=tr("reading the design"), outlives=True)
        self._sheet = Asker(runner, "sheet", self._refused, said=tr("looking for the sheet"))
        self._outlines = Asker(runner, "outlines", self._refused, said=tr("drawing the outlines"), rank=FIRST)
        self.done: Flattened | None = None
        self.sketch: Raster | None = None
        self.outlined: Outlined | None = None
        self.first: FirstLook | None = None
        self.asks_size = False
        """Whether the size of what was opened is a guess that nobody has been asked about yet."""
        self._guessed: Source | None = None
        self.found: Found | None = None
        self._pixels: tuple[str, Rgb] | None = None
        self.may_leave: Callable[[Project | None], bool] = lambda _asked_at: True
        """Whether what is open may go, given what was open when that was asked: it may have been edited."""
        self.studio: Callable[[Project], Project] = lambda project: project
        """What a new print is begun with."""
        document.changed.connect(self._project_changed)

    def _project_changed(self, before: Project | None, after: Project | None) -> None:
        if before is None or after is None or before.source != after.source:
            self.sketch, self.done, self.outlined = None, None, None
            self._outlines.cancel()
        if before is None or after is None or _digest(before) != _digest(after):
            self.found = self._pixels = None
        elif before.flat != after.flat and self.done is not None:
            self.outlined = None

    def size_is_guess(self) -> bool:
        """Whether the print is as large as was guessed, and nobody has said otherwise."""
        project = self._document.project
        return project is not None and project.source is not None and project.source == self._guessed

    def open(self, path: Path) -> None:
        """Open a sketch as a new project."""

        asked_at = self._document.project

        def begin(opened: Opened) -> None:
            self.first = None
            if not self.may_leave(asked_at):
                self.changed.emit()
                return
            done = opened.done
            self._document.begin(self._in_studio(project_of(path.stem, done)), assets_of(opened.data, done))
            self._take(done)
            self.found = opened.found
            if opened.pixels is not None:
                self._pixels = done.source.digest, opened.pixels
            # Where the sheet lies comes first, if that is not sure.
            sure = opened.found is None or opened.found.certain
            self.asks_size = sure and not opened.sized
            self._guessed = None if opened.sized else done.source
            self.opened.emit("design")
            self._tell_of(opened)

        self.first = None
        ask = self._runner.answers

        def see(progress: Progress) -> Seen:
            return see_design(path, Part(progress, 0.0, 0.1))

        def go_on(seen: Seen) -> None:
            settled = self._settled(seen)
            if settled is None:
                self.changed.emit()
                return

            def read(progress: Progress) -> Opened:
                opened = open_design(path, ask, progress, settled)
                picture_levels(Page(opened.done.even))
                return opened

            self.opening.do(read, begin, self._show_first)

        self.opening.do(see, go_on)

    def _settled(self, seen: Seen) -> Seen | None:
        """What was seen, with the corners that the user says where they are not sure; None: leave it."""
        found, pixels = seen.found, seen.pixels
        if found is None or found.certain or pixels is None:
            return seen
        corners = self._questions.sheet_in(pixels.rgb, found)
        if corners is None:
            return None
        if corners == WHOLE:
            return replace(seen, found=None)
        size = np.array([pixels.rgb.shape[1], pixels.rgb.shape[0]], np.float64)
        return replace(seen, found=found_on(pixels.rgb, np.array(corners) * size))

    def _in_studio(self, project: Project) -> Project:
        try:
            return self.studio(project)
        except BadInput as error:
            self.message.emit(tr("The studio is left out: {error}", error=error))
            return project

    def _show_first(self, first: FirstLook) -> None:
        self.first = first
        self.changed.emit()

    def _tell_of(self, opened: Opened) -> None:
        if opened.found is not None:
            self.advised.emit(said_of(opened.found))
        for note in opened.notes if opened.sized else (_ASK_SIZE,):
            self.advised.emit(note)
        for note in opened.done.flat.notes:
            self.advised.emit(note)

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
            or self.opening.busy
        ):
            return
        source, data = project.source, self._document.assets[project.source.digest]
        request, ask = flatten_of(source, data, _wish_of(project)), self._runner.answers

        def work(progress: Progress) -> tuple[Flattened, Rgb | None]:
            # One after the other: reading a large sketch takes many times its pixels for a while.
            done = ask(request, progress)
            if is_svg(data):
                return done, None
            # A picture that was taken as it is, is read and kept once.
            # Its smaller versions are made here, or the window would make them.
            picture_levels(Page(done.even))
            taken = done.looked.picture.as_opened and done.even is done.looked.picture.rgb
            return done, done.even if taken else read_pixels(data, source.name).rgb

        def take(result: tuple[Flattened, Rgb | None]) -> None:
            if self._document.project is None or self._document.project.source != source:
                return
            self._take(result[0])
            if result[1] is not None:
                self._pixels = source.digest, result[1]
            self.changed.emit()

        self.opening.do(work, take)

    def _take(self, done: Flattened) -> None:
        self.done = done
        project = self._document.project
        if project is None:
            return
        self.sketch = sketch_raster(done.even, done.looked.picture.px_per_mm, project.image)
        self.outlined = None

    def need_outlines(self, labels: Labels, px_per_mm: float) -> Outlined | None:
        """The sketch with the outlines of the fields drawn over it, once they are drawn."""
        project, done = self._document.project, self.done
        if done is None or project is None:
            return None
        if self.outlined is not None and self.outlined.labels is labels:
            return self.outlined
        if not self._outlines.busy:
            image = project.image

            def take(made: Outlined) -> None:
                self.outlined = made
                self.changed.emit()

            self._outlines.do(lambda _: outlined(done.even, labels, px_per_mm, done.flat.unsure, image), take)
        return None

    def flatten_again(
        self, *, count: int | None = None, smallest_mm: float | None = None, source: Source | None = None,
        read_as: str | None = "as it is", corrections: tuple[Correction, ...] | None = None, text: str = "",
        keep: Labels | None = None,
    ) -> None:  # fmt: skip
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
            wish = replace(wish, requested_colours=count)
        if smallest_mm is not None:
            wish = replace(wish, smallest_mm=smallest_mm)
        if read_as != "as it is":
            wish = replace(wish, read_as=next((known for known in get_args(ReadAs) if known == read_as), None))
        if corrections is not None:
            wish = replace(wish, corrections=corrections)
        new = source or project.source
        data = self._document.assets[project.source.digest]

        def take(done: Flattened) -> None:
            if self._document.project is None or _digest(self._document.project) != new.digest:
                return
            self._document.assets[digest(done.labels_png)] = done.labels_png
            name = text or tr("Flatten to {colours} colours", colours=len(done.flat.colours))
            try:
                self._document.apply(name, lambda p: reflattened(p, done, keep))
            except BadInput as error:
                self._refused(str(error))
                return
            self._take(done)
            for note in done.flat.notes:
                self.advised.emit(note)
            self.changed.emit()

        self.opening.ask(flatten_of(new, data, wish), take)

    def compare_readings(self, other: str) -> None:
        """Show the sketch as it is read and as it may as well be read, side by side, and take the one chosen."""
        project, now = self._document.project, self.done
        if project is None or project.source is None or now is None:
            return
        kinds: dict[str, ReadAs] = {kind: kind for kind in get_args(ReadAs)}
        data = self._document.assets[project.source.digest]

        def take(done: Flattened) -> None:
            readings = {now.looked.read_as: now, kinds[other]: done}
            title = tr("A drawing in flat colours, or tones that run into each other?")
            place = self._questions.which_picture(title, [_choice(kind, each) for kind, each in readings.items()])
            if place is not None and self._document.project is project:
                self.flatten_again(read_as=list(readings)[place], text=tr("Read it as"))

        self.opening.ask(flatten_of(project.source, data, replace(_wish_of(project), read_as=kinds[other])), take)

    def _refused(self, problem: str) -> None:
        self.first = None
        self.message.emit(problem)
        self.changed.emit()


def _digest(project: Project) -> str | None:
    return project.source.digest if project.source else None


def _choice(kind: ReadAs, done: Flattened) -> Choice:
    words = tr("Tones") if kind == "tones" else tr("Flat colours")
    return words, counted(len(done.flat.colours), tr("colour"), tr("colours")), done.flat.to_rgb()


def _wish_of(project: Project) -> Wish:
    flat = project.flat
    assert flat is not None
    return Wish(flat.requested_colours, flat.smallest_feature_mm, flat.read_as, flat.corrections, flat.seed)
