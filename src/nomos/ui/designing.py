"""Opening a sketch and flattening it, off the window's thread."""

from collections.abc import Callable
from dataclasses import dataclass
from pathlib import Path

import numpy as np
from numpy.typing import NDArray

from nomos.design import (
    SMALLEST_FEATURE_MM,
    Correction,
    Cut,
    FlatDesign,
    Labels,
    Looked,
    Picture,
    ReadAs,
    find_cut,
    flatten,
    look,
    read_picture,
    read_pixels,
)
from nomos.design.corrections import drops_faint
from nomos.design.cut import Found, drawn_size, paper_size, proportions, straightened
from nomos.design.svg import is_svg
from nomos.errors import BadInput
from nomos.progress import Part, Progress
from nomos.project import Project, Source, digest, labels_to_png
from nomos.project.edits import new_project, with_flat_design, with_image_size, with_source
from nomos.project.fields import carried
from nomos.project.naming import carried_names

Rgb = NDArray[np.uint8]

# A first, coarse answer works on the design as if it were this much smaller.
_FIRST_LOOK = 0.3
_FIRST_PX_PER_MM = 5.0
# What fills so much of a picture is all of it.
_ALL_OF_IT = 0.97


@dataclass(frozen=True, eq=False)
class Reading:
    """A design read at a size and looked at, and all that this depends on."""

    source: Source
    read_as: ReadAs | None
    smallest_mm: float
    dropped: bool
    looked: Looked

    def serves(
        self, source: Source, read_as: ReadAs | None, smallest_mm: float, corrections: tuple[Correction, ...]
    ) -> bool:
        """Whether it is what would be read now."""
        return (
            self.source == source
            and self.read_as == read_as
            and self.smallest_mm == smallest_mm
            and self.dropped == drops_faint(corrections)
        )


@dataclass(frozen=True)
class Wish:
    """How a design is to be flattened."""

    asked: int | None
    smallest_mm: float = SMALLEST_FEATURE_MM
    read_as: ReadAs | None = None
    corrections: tuple[Correction, ...] = ()


@dataclass(frozen=True, eq=False)
class Flattened:
    """A design read and flattened, as it was wished; `even` is the picture with its light evened out."""

    reading: Reading
    wish: Wish
    flat: FlatDesign
    labels_png: bytes
    even: Rgb


@dataclass(frozen=True, eq=False)
class Opened:
    """A file opened: its bytes, its pixels where it is a picture of them, what was found, and the fields."""

    data: bytes
    pixels: Rgb | None
    found: Found | None
    done: Flattened


@dataclass(frozen=True, eq=False)
class FirstLook:
    """What can be shown before the fields are laid: the photograph, what is printed of it, coarse fields."""

    pixels: Rgb
    cut: Cut
    coarse: Rgb | None


def read_design(data: bytes, source: Source, wish: Wish, progress: Progress) -> Reading:
    """Read a design at its size and look at it. Raises BadInput, Cancelled."""
    progress.report(0.02, f"reading {source.name}")
    picture = read_picture(data, source.name, size_mm=source.size_mm, cut=source.cut)
    return _looked_at(picture, source, wish, Part(progress, 0.15, 1.0))


def _looked_at(picture: Picture, source: Source, wish: Wish, progress: Progress) -> Reading:
    looked = look(
        picture, smallest_feature_mm=wish.smallest_mm, read_as=wish.read_as, corrections=wish.corrections,
        progress=progress,
    )  # fmt: skip
    return Reading(source, wish.read_as, wish.smallest_mm, drops_faint(wish.corrections), looked)


def flatten_design(reading: Reading, wish: Wish, progress: Progress) -> Flattened:
    """Flatten a design that has been read. Raises Cancelled."""
    flat = flatten(
        reading.looked.picture, wish.asked, smallest_feature_mm=wish.smallest_mm, read_as=wish.read_as,
        corrections=wish.corrections, looked=reading.looked, progress=progress,
    )  # fmt: skip
    return Flattened(reading, wish, flat, labels_to_png(flat.labels), reading.looked.even_rgb())


def open_design(path: Path, progress: Progress, show: Callable[[FirstLook], None]) -> Opened:
    """Read and flatten a file; `show` gets first answers on the way. Raises BadInput, Cancelled."""
    try:
        data = path.read_bytes()
    except OSError as error:
        raise BadInput(f"{path.name} cannot be opened ({error.strerror or error}).") from None
    progress.report(0.0, f"reading {path.name}")
    wish, found, pixels = Wish(None), None, None
    if is_svg(data):
        picture = read_picture(data, path.name)
    else:
        pixels = read_pixels(data, path.name)
        found = _found(pixels.rgb)
        size = None
        if found is not None:
            show(FirstLook(pixels.rgb, found.cut, None))
            progress.report(0.15, "a first look")
            size = size_of_drawing(found, pixels.rgb)
            show(FirstLook(pixels.rgb, found.cut, _coarse(pixels.rgb, found.cut, size)))
        picture = read_picture(pixels, path.name, size_mm=size, cut=found.cut if found else None)
    source = Source(path.name, digest(data), picture.size_mm, picture.cut)
    reading = _looked_at(picture, source, wish, Part(progress, 0.3, 0.75))
    done = flatten_design(reading, wish, Part(progress, 0.75, 1.0))
    return Opened(data, pixels.rgb if pixels else None, found, done)


def _found(pixels: Rgb) -> Found | None:
    """The sheet in a photograph, and the drawing on it; None for what is no photograph of a sheet."""
    found = find_cut(pixels)
    return None if _share_of_picture(found.cut.corners) > _ALL_OF_IT else found


def _share_of_picture(corners: tuple[tuple[float, float], ...]) -> float:
    x, y = np.array(corners).T
    return float(abs(x @ np.roll(y, -1) - y @ np.roll(x, -1)) / 2)


def size_of_drawing(found: Found, pixels: Rgb, paper: str = "") -> tuple[float, float] | None:
    """How large a drawing is, mm, by the sheet it was drawn on.

    paper : the sheet's name; "" takes A4 or Letter where the sheet has that shape, and otherwise says None.
    """
    name = paper or found.paper
    if not name:
        return None
    corners = np.array(found.sheet) * np.array([pixels.shape[1], pixels.shape[0]])
    width, height = drawn_size(found, pixels.shape, paper_size(name, proportions(corners, pixels.shape)))
    return round(width, 1), round(height, 1)


def _coarse(pixels: Rgb, cut: Cut, size_mm: tuple[float, float] | None) -> Rgb:
    """Coarse fields as pixels: the design flattened as if it were much smaller."""
    corners = np.array(cut.corners) * np.array([pixels.shape[1], pixels.shape[0]])
    width = 240.0 if size_mm is None else size_mm[0]
    size = width * _FIRST_LOOK, width * _FIRST_LOOK / proportions(corners, pixels.shape)
    page = straightened(
        pixels, corners, (round(size[0] * _FIRST_PX_PER_MM), round(size[1] * _FIRST_PX_PER_MM))
    )
    flat = flatten(Picture(page, size, page.shape[1] / size[0]), None)
    return flat.to_rgb()


def project_from(path: Path, opened: Opened) -> Project:
    """A new project for a design just opened."""
    source = opened.done.reading.source
    project = with_source(new_project(path.stem, source.size_mm), source)
    return reflattened(project, opened.done)


def reflattened(project: Project, done: Flattened, before: Labels | None = None) -> Project:
    """The project with a newly flattened design; colours that come back keep their names.

    before : the colour numbers until now, to keep blocks and pulls as they are; None separates anew.
    """
    source = done.reading.source
    if source.size_mm != (project.image.width, project.image.height):
        project = with_image_size(project, source.size_mm)
        before = None
    if project.source != source:
        project = with_source(project, source)
    if before is not None and before.shape == done.flat.labels.shape and project.flat is not None:
        return carried(project, before, done.flat, done.labels_png, done.wish.corrections)
    labs = [colour.lab for colour in done.flat.colours]
    known = [(colour.name, colour.lab) for colour in project.flat.colours] if project.flat else []
    return with_flat_design(
        project,
        done.flat,
        digest(done.labels_png),
        asked=done.wish.asked,
        smallest_feature_mm=done.wish.smallest_mm,
        names=carried_names(labs, known),
        read_as=done.wish.read_as,
        corrections=done.wish.corrections,
    )
