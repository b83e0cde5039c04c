"""From the file of a sketch to flat fields and a project."""

from collections.abc import Sequence
from dataclasses import dataclass
from pathlib import Path
from typing import ClassVar

import numpy as np

from nomos.base.language import tr
from nomos.base.progress import Part, Progress, show
from nomos.base.reading import read_whole
from nomos.colour import Lab
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
from nomos.design.page import Rgb
from nomos.design.picture import Pixels
from nomos.design.sides import signed_areas
from nomos.design.svg import is_svg
from nomos.project import Project, Source, digest, labels_to_png
from nomos.project.blocks.edits import key_of, with_flat_design
from nomos.project.blocks.fields import carried
from nomos.project.model.edits import DEFAULT_PAPER_LAB, new_project, with_image_size, with_source
from nomos.project.model.naming import carried_names
from nomos.work.request import Ask

# A first, coarse answer works on the design as if it were this much smaller.
_FIRST_LOOK = 0.3
_FIRST_PX_PER_MM = 5.0
# What fills so much of a picture is all of it.
_ALL_OF_IT = 0.97


@dataclass(frozen=True)
class Wish:
    """How a design is to be flattened. requested_colours : how many; None leaves it to the program."""

    requested_colours: int | None
    smallest_mm: float = SMALLEST_FEATURE_MM
    read_as: ReadAs | None = None
    corrections: tuple[Correction, ...] = ()
    seed: int = 0


@dataclass(frozen=True)
class Look:
    """A design read at its size and looked at: its line, its light, its patches."""

    source: Source
    data: bytes
    read_as: ReadAs | None
    smallest_mm: float
    drop_faint: bool
    said: ClassVar[str] = tr("reading the design")

    def work(self, ask: Ask, progress: Progress) -> Looked:  # noqa: ARG002 - a file asks nothing
        """Read it and look at it. Raises BadInput."""
        progress.report(0.02, tr("reading {name}", name=self.source.name))
        picture = read_picture(
            self.data, self.source.name, size_mm=self.source.size_mm, cut=self.source.cut,
            progress=Part(progress, 0.0, 0.05),
        )  # fmt: skip
        return look(
            picture, smallest_feature_mm=self.smallest_mm, read_as=self.read_as,
            corrections=(Correction("drop faint"),) if self.drop_faint else (),
            progress=Part(progress, 0.15, 1.0),
        )  # fmt: skip


@dataclass(frozen=True, eq=False)
class Flattened:
    """A design flattened, and what it was made of.

    even : the picture with its light evened out. key : the colour that a key is cut from, if there is one.
    """

    source: Source
    wish: Wish
    looked: Looked
    flat: FlatDesign
    labels_png: bytes
    even: Rgb
    key: int | None


@dataclass(frozen=True)
class Flatten:
    """A design flattened as it is wished."""

    look: Look
    wish: Wish
    said: ClassVar[str] = "flattening"

    def work(self, ask: Ask, progress: Progress) -> Flattened:
        """Flatten it. Raises BadInput."""
        looked = ask(self.look, Part(progress, 0.0, 0.6))
        wish = self.wish
        flat = flatten(
            looked.picture, wish.requested_colours, smallest_feature_mm=wish.smallest_mm, seed=wish.seed,
            read_as=wish.read_as, corrections=wish.corrections, looked=looked,
            progress=Part(progress, 0.6, 1.0),
        )  # fmt: skip
        png = labels_to_png(flat.labels)
        return Flattened(self.look.source, wish, looked, flat, png, looked.even_rgb(), key_of(flat))


def flatten_of(source: Source, data: bytes, wish: Wish) -> Flatten:
    """The request for a design flattened. data : the bytes of its file."""
    dropped = drops_faint(wish.corrections)
    return Flatten(Look(source, data, wish.read_as, wish.smallest_mm, dropped), wish)


@dataclass(frozen=True, eq=False)
class Opened:
    """A file opened: its bytes, its pixels where it is a picture of them, what was found, and the fields.

    sized : whether the file says how large it is. notes : what had to be assumed.
    """

    data: bytes
    pixels: Rgb | None
    found: Found | None
    done: Flattened
    sized: bool
    notes: Sequence[str]


@dataclass(frozen=True, eq=False)
class FirstLook:
    """What can be shown before the fields are laid: the photograph, what is printed of it, coarse fields."""

    pixels: Rgb
    cut: Cut
    coarse: Rgb | None


@dataclass(frozen=True, eq=False)
class Seen:
    """A file as it was looked at before anything is read in it: its bytes, its pixels, the sheet found."""

    data: bytes
    pixels: Pixels | None
    found: Found | None


def see_design(path: Path, progress: Progress) -> Seen:
    """Read a file and look for the sheet in it. Raises BadInput, Cancelled."""
    data = read_whole(path)
    progress.report(0.0, tr("reading {name}", name=path.name))
    if is_svg(data):
        return Seen(data, None, None)
    pixels = read_pixels(data, path.name, progress=Part(progress, 0.0, 0.5))
    progress.report(0.5, tr("looking for the sheet"))
    return Seen(data, pixels, find_cut(pixels.rgb))


def open_design(path: Path, ask: Ask, progress: Progress, seen: Seen | None = None) -> Opened:
    """Read and flatten a file, showing first answers on the way. Raises BadInput, Cancelled.

    seen : the file as it was looked at, with the corners that were said where they were not certain.
    """
    seen = seen or see_design(path, Part(progress, 0.0, 0.1))
    data, pixels, found, size, cut = seen.data, seen.pixels, seen.found, None, None
    whole = found is not None and abs(signed_areas(np.array(found.cut.corners))) > _ALL_OF_IT
    if found is not None and whole and not found.foreign:
        found = None
    if found is not None and pixels is not None:
        cut = found.cut
        show(progress, FirstLook(pixels.rgb, cut, None))
        progress.report(0.15, tr("a first look"))
        size = size_of_drawing(found, pixels.rgb)
        show(progress, FirstLook(pixels.rgb, cut, _coarse(pixels.rgb, cut, size)))
    drawn = Part(progress, 0.15, 0.3)
    picture = read_picture(pixels or data, path.name, size_mm=size, cut=cut, progress=drawn)
    source = Source(path.name, digest(data), picture.size_mm, picture.cut)
    done = ask(flatten_of(source, data, Wish(None)), Part(progress, 0.3, 1.0))
    return Opened(data, pixels.rgb if pixels else None, found, done, picture.sized, picture.notes)


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
    page = straightened(pixels, corners, (round(size[0] * _FIRST_PX_PER_MM), round(size[1] * _FIRST_PX_PER_MM)))
    flat = flatten(Picture(page, size, page.shape[1] / size[0]), None)
    return flat.to_rgb()


def project_of(
    title: str, done: Flattened, *, paper_lab: Lab | None = None, paper_name: str = "Paper",
    sheet_mm: tuple[float, float] | None = None, names: Sequence[str] | None = None,
) -> Project:  # fmt: skip
    """A new project for a design, separated the plain way, light to dark. Raises ProjectError."""
    size = done.source.size_mm
    project = new_project(
        title, size, paper_lab=paper_lab or paper_seen(done) or DEFAULT_PAPER_LAB, paper_name=paper_name,
        sheet_mm=sheet_mm,
    )  # fmt: skip
    return reflattened(with_source(project, done.source), done, names=names)


def paper_seen(done: Flattened) -> Lab | None:
    """The colour of the paper a sketch was drawn on, where that is no white one."""
    light = done.looked.sketch.light if done.looked.sketch is not None else None
    return light.paper if light is not None and light.tinted else None


def assets_of(data: bytes, done: Flattened) -> dict[str, bytes]:
    """What lies beside a new project: its design as it was opened, and its flat fields."""
    return {done.source.digest: data, digest(done.labels_png): done.labels_png}


def reflattened(
    project: Project, done: Flattened, before: Labels | None = None, names: Sequence[str] | None = None
) -> Project:
    """The project with a newly flattened design; colours that come back keep their names.

    before : the colour numbers until now, to keep blocks and pulls as they are; None separates anew.
    names : of the colours; None takes those that were, or the colours' own.
    """
    source = done.source
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
        requested_colours=done.wish.requested_colours,
        smallest_feature_mm=done.wish.smallest_mm,
        names=names or carried_names(labs, known),
        seed=done.wish.seed,
        read_as=done.wish.read_as,
        corrections=done.wish.corrections,
        key=done.key,
    )
