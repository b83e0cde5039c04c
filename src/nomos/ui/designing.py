"""Opening a sketch and flattening it, off the window's thread."""

from dataclasses import dataclass
from pathlib import Path

from nomos.design import SMALLEST_FEATURE_MM, FlatDesign, Picture, Suggestion, flatten, read_picture, suggest
from nomos.errors import BadInput
from nomos.progress import Part, Progress
from nomos.project import Project, Source, digest, labels_to_png
from nomos.project.edits import new_project, with_flat_design, with_image_size, with_source
from nomos.project.naming import carried_names


@dataclass(frozen=True, eq=False)
class Reading:
    """A sketch read at a size, and how many colours it seems to have."""

    digest: str
    size_mm: tuple[float, float]
    picture: Picture
    suggestion: Suggestion


@dataclass(frozen=True, eq=False)
class Flattened:
    """A sketch read and flattened."""

    reading: Reading
    flat: FlatDesign
    labels_png: bytes
    asked: int | None
    smallest_mm: float


def read_sketch(data: bytes, name: str, size_mm: tuple[float, float] | None, progress: Progress) -> Reading:
    """Read a sketch. Raises BadInput, Cancelled."""
    progress.report(0.02, f"reading {name}")
    picture = read_picture(data, name, size_mm=size_mm)
    progress.report(0.5, "counting colours")
    return Reading(digest(data), picture.size_mm, picture, suggest(picture))


def flatten_sketch(reading: Reading, asked: int | None, smallest_mm: float, progress: Progress) -> Flattened:
    """Flatten a sketch to the number asked for, or the suggested one. Raises Cancelled."""
    count = asked or reading.suggestion.count
    flat = flatten(reading.picture, count, smallest_feature_mm=smallest_mm, progress=progress)
    return Flattened(reading, flat, labels_to_png(flat.labels), asked, smallest_mm)


def open_sketch(path: Path, progress: Progress) -> tuple[bytes, Flattened]:
    """Read and flatten a file. Raises BadInput, Cancelled."""
    try:
        data = path.read_bytes()
    except OSError as error:
        raise BadInput(f"{path.name} cannot be opened ({error.strerror or error}).") from None
    reading = read_sketch(data, path.name, None, Part(progress, 0.0, 0.4))
    return data, flatten_sketch(reading, None, SMALLEST_FEATURE_MM, Part(progress, 0.4, 1.0))


def project_from(path: Path, done: Flattened) -> Project:
    """A new project for a sketch just opened."""
    project = new_project(path.stem, done.reading.size_mm)
    project = with_source(project, Source(path.name, done.reading.digest, done.reading.size_mm))
    return reflattened(project, done)


def reflattened(project: Project, done: Flattened) -> Project:
    """The project with a newly flattened design; colours that come back keep their names."""
    if done.reading.size_mm != (project.image.width, project.image.height):
        project = with_image_size(project, done.reading.size_mm)
    labs = [colour.lab for colour in done.flat.colours]
    known = [(colour.name, colour.lab) for colour in project.flat.colours] if project.flat else []
    return with_flat_design(
        project,
        done.flat,
        digest(done.labels_png),
        asked=done.asked,
        smallest_feature_mm=done.smallest_mm,
        names=carried_names(labs, known),
    )
