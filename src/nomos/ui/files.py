"""Files and the long work that comes with them: open, flatten, save, write the packet."""

from pathlib import Path
from typing import Any

from PyQt6.QtCore import QObject, pyqtSignal

from nomos.errors import BadInput
from nomos.progress import Progress
from nomos.project import Project, digest
from nomos.project.store import SUFFIX
from nomos.ui.designing import (
    Flattened,
    Reading,
    flatten_sketch,
    open_sketch,
    project_from,
    read_sketch,
    reflattened,
)
from nomos.ui.document import Document
from nomos.ui.jobs import JobRunner
from nomos.ui.questions import Questions
from nomos.ui.views.raster import Raster
from nomos.ui.views.sheet import sketch_raster


class Files(QObject):
    """Everything that reads or writes, with the sketch that has been read."""

    changed = pyqtSignal()
    """The sketch has been read, or something has been saved or refused."""
    opened = pyqtSignal(str)
    """Another project has been opened; the station to begin at."""
    told = pyqtSignal(str)
    """A sentence for the user: what failed, or what has been done."""

    def __init__(self, document: Document, runner: JobRunner, questions: Questions) -> None:
        super().__init__()
        self._document, self._runner, self._questions = document, runner, questions
        self.reading: Reading | None = None
        self.sketch: Raster | None = None
        document.changed.connect(self._project_changed)

    def _project_changed(self, before: Project | None, after: Project | None) -> None:
        if before is None or after is None or before.source != after.source:
            self.reading, self.sketch = None, None

    def open_asked(self) -> None:
        """Ask for a sketch or project and open it."""
        path = self._questions.file_to_open()
        if path is not None:
            self.open(path)

    def open(self, path: Path) -> None:
        """Open a project, or a sketch as a new project, once unsaved work is settled."""
        if not self.settle_unsaved():
            return
        if path.suffix.lower() == SUFFIX:
            self._runner.cancel("design")
            try:
                self._document.open(path)
            except BadInput as error:
                self.told.emit(str(error))
                return
            self.opened.emit("blocks")
            return

        def begin(result: tuple[bytes, Flattened]) -> None:
            data, done = result
            project = project_from(path, done)
            assets = {done.reading.digest: data}
            if project.flat is not None:
                assets[project.flat.labels] = done.labels_png
            self._document.begin(project, assets)
            self._take_reading(done.reading)
            self.opened.emit("design")
            for note in done.reading.picture.notes:
                self.told.emit(note)

        self._runner.run("design", lambda progress: open_sketch(path, progress), begin, self.told.emit)

    def open_demo(self, name: str = "glasshouse") -> None:
        """Start on one of the demos."""
        if not self.settle_unsaved():
            return
        from nomos.demo import demo_project, scenario_called

        def begin(result: tuple[Project, dict[str, bytes]]) -> None:
            project, assets = result
            self._document.begin(project, assets, saved=True)
            self.opened.emit("blocks")

        scenario = scenario_called(name)
        self._runner.run(
            "design", lambda progress: demo_project(scenario, progress=progress), begin, self.told.emit
        )

    def flatten_again(
        self, *, count: int | None = None, smallest_mm: float | None = None, width_mm: float | None = None
    ) -> None:
        """Flatten the sketch with another number of colours, smallest feature, or size."""
        project = self._document.project
        if project is None or project.flat is None or project.source is None:
            return
        source, flat = project.source, project.flat
        data = self._document.assets[source.digest]
        asked = count if count is not None else flat.asked
        smallest = flat.smallest_feature_mm if smallest_mm is None else smallest_mm
        size = (project.image.width, project.image.height)
        if width_mm is not None:
            size = (width_mm, width_mm * size[1] / size[0])
        known = self.reading if self.reading and self.reading.size_mm == size else None

        def work(progress: Progress) -> Flattened:
            reading = known or read_sketch(data, source.name, size, progress)
            return flatten_sketch(reading, asked, smallest, progress)

        def take(done: Flattened) -> None:
            self._document.assets[digest(done.labels_png)] = done.labels_png
            text = f"Flatten to {len(done.flat.colours)} colours"
            try:
                self._document.apply(text, lambda p: reflattened(p, done))
            except BadInput as error:
                self._refused(str(error))
                return
            self._take_reading(done.reading)
            self.changed.emit()

        self._runner.run("design", work, take, self._refused)

    def _refused(self, problem: str) -> None:
        self.told.emit(problem)
        self.changed.emit()

    def _take_reading(self, reading: Reading) -> None:
        self.reading = reading
        project = self._document.project
        if project is not None:
            picture = reading.picture
            self.sketch = sketch_raster(picture.rgb, picture.px_per_mm, project.image)

    def need_reading(self) -> None:
        """Read the sketch of a project that was opened from a file, for its picture and its curve."""
        project = self._document.project
        if (
            self.reading is not None
            or project is None
            or project.source is None
            or "design" in self._runner.busy()
        ):
            return
        source = project.source
        data = self._document.assets[source.digest]

        def take(reading: Reading) -> None:
            self._take_reading(reading)
            self.changed.emit()

        self._runner.run(
            "design",
            lambda progress: read_sketch(data, source.name, source.size_mm, progress),
            take,
            self.told.emit,
        )

    def ask_shelf(self) -> Path | None:
        """Ask for an ink shelf file."""
        return self._questions.shelf_to_open()

    def ask_scan(self) -> Path | None:
        """Ask for a scan or photograph of a proof."""
        return self._questions.scan_to_open()

    def save(self) -> bool:
        """Save, asking where if that is not known; whether it is saved now."""
        return self._save_to(self._document.path or self._asked_name())

    def save_as(self) -> bool:
        """Save under a name asked for; whether it is saved now."""
        return self._save_to(self._asked_name())

    def _asked_name(self) -> Path | None:
        project = self._document.project
        if project is None:
            return None
        folder = self._document.path.parent if self._document.path else Path()
        return self._questions.file_to_save(folder / f"{project.title}{SUFFIX}")

    def _save_to(self, path: Path | None) -> bool:
        if path is None:
            return False
        if path.suffix.lower() != SUFFIX:
            path = path.with_name(path.name + SUFFIX)
        try:
            self._document.save(path)
        except BadInput as error:
            self.told.emit(str(error))
            return False
        self.told.emit(f"Saved as {path.name}.")
        self.changed.emit()
        return True

    def settle_unsaved(self) -> bool:
        """Ask about unsaved changes; whether it is all right to leave the project."""
        project = self._document.project
        if project is None or not self._document.unsaved:
            return True
        answer = self._questions.unsaved(project.title)
        return self.save() if answer == "save" else answer == "discard"

    def write_packet(self, page: str, folder: Path | None = None) -> None:
        """Write the packet into a folder, asking for it if none is given. page : paper of the templates."""
        project, assets = self._document.project, dict(self._document.assets)
        if project is None:
            return
        target = folder or self._questions.folder_for_packet()
        if target is None:
            return

        # Imported here: it costs start-up time that most sessions do not need.
        from nomos.formats import write_packet

        def told(_plan: dict[str, Any]) -> None:
            self.told.emit(f"The packet is in {target}: templates in blocks.pdf, the plan in plan.json.")

        self._runner.run(
            "packet",
            lambda progress: write_packet(target, project, assets, paper=page, progress=progress),
            told,
            self.told.emit,
        )
