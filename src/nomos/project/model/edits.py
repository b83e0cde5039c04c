"""Edits of sheet, image, workshop and limits: each gives a new project, or raises ProjectError."""

import hashlib
import uuid
from collections.abc import Callable

import msgspec
from msgspec.structs import replace

from nomos.colour import Lab
from nomos.project.model import Impression, Paper, Project, Source
from nomos.project.model.naming import named
from nomos.registration import KentoSettings, Rect

_ID_LETTERS = 12
DEFAULT_MARGIN_MM = 10.0
# A white relief paper; written down from memory, the user measures or chooses.
DEFAULT_PAPER_LAB: Lab = (96.0, 0.0, 3.0)


def new_project(
    title: str, image_mm: tuple[float, float], *, paper_lab: Lab = DEFAULT_PAPER_LAB, paper_name: str = "Paper",
    sheet_mm: tuple[float, float] | None = None,
) -> Project:  # fmt: skip
    """A project for an image centred on its sheet, which is 10 mm wider all round if none is given."""
    sheet = sheet_mm or (image_mm[0] + 2 * DEFAULT_MARGIN_MM, image_mm[1] + 2 * DEFAULT_MARGIN_MM)
    paper = Paper(paper_name, paper_lab, *sheet)
    return Project(title, paper, _centred(image_mm, sheet))


def _centred(image_mm: tuple[float, float], sheet_mm: tuple[float, float]) -> Rect:
    left, top = (sheet_mm[0] - image_mm[0]) / 2, (sheet_mm[1] - image_mm[1]) / 2
    return Rect(left, top, left + image_mm[0], top + image_mm[1])


def with_source(project: Project, source: Source) -> Project:
    """The project with the design it was made from."""
    return replace(project, source=source)


def with_id(project: Project, *, anew: bool = False) -> Project:
    """The project with an id by which its log knows it.

    anew : as a print of its own; else it keeps its id, or has the one that follows from what it is, so that
        the same plan made twice is the same.
    """
    if anew:
        return replace(project, id=uuid.uuid4().hex[:_ID_LETTERS])
    known = hashlib.sha256(msgspec.json.encode(project, enc_hook=float)).hexdigest()[:_ID_LETTERS]
    return project if project.id else replace(project, id=known)


def with_title(project: Project, title: str) -> Project:
    """The project under another title, as it stands on templates and in the plan."""
    return replace(project, title=named(title, project.title))


def with_paper(project: Project, *, name: str | None = None, lab: Lab | None = None) -> Project:
    """The project on paper of another name or colour. The inks keep the colour they have on it."""
    paper = project.paper
    reflectance = paper.reflectance if lab is None else None
    return replace(
        project, paper=replace(paper, name=named(name, paper.name), lab=lab or paper.lab, reflectance=reflectance)
    )


def with_sheet(project: Project, sheet_mm: tuple[float, float]) -> Project:
    """The project on a sheet of another size, the image centred on it."""
    return replace(
        project,
        paper=replace(project.paper, width_mm=sheet_mm[0], height_mm=sheet_mm[1]),
        image=_centred((project.image.width, project.image.height), sheet_mm),
    )


def with_image_at(project: Project, left_mm: float, top_mm: float) -> Project:
    """The project with the image elsewhere on the sheet."""
    image = project.image
    return replace(project, image=Rect(left_mm, top_mm, left_mm + image.width, top_mm + image.height))


def with_image_size(project: Project, size_mm: tuple[float, float]) -> Project:
    """The project with an image of another size; the margins stay, the sheet follows."""
    image, paper = project.image, project.paper
    right, below = paper.width_mm - image.right, paper.height_mm - image.bottom
    new = Rect(image.left, image.top, image.left + size_mm[0], image.top + size_mm[1])
    return replace(
        project,
        paper=replace(paper, width_mm=new.right + right, height_mm=new.bottom + below),
        image=new,
        source=replace(project.source, size_mm=size_mm) if project.source else None,
    )


def with_workshop(project: Project, **changes: object) -> Project:
    """The project made in another way of working; names as in `Workshop`."""
    return replace(project, workshop=replace(project.workshop, **changes))


def with_writing(project: Project, writing: bool) -> Project:
    """The project with the answer to whether the design holds writing."""
    return with_workshop(project, writing=writing)


def with_trap(project: Project, trap_mm: float) -> Project:
    """The project with another trap."""
    return replace(project, trap_mm=trap_mm)


def with_seam(project: Project, seam_de00: float) -> Project:
    """The project with another limit up to which an overlap is taken before a gap, as ΔE00."""
    return replace(project, seam_de00=seam_de00)


def with_kento(project: Project, settings: KentoSettings) -> Project:
    """The project with other choices for the kento; whether they fit is a finding."""
    return replace(project, kento=settings)


def with_impression(project: Project, impression_id: str, change: Callable[[Impression], Impression]) -> Project:
    """The project with one impression changed."""
    return replace(project, impressions=tuple(change(i) if i.id == impression_id else i for i in project.impressions))


def with_pull(project: Project, pull_id: str, **changes: object) -> Project:
    """The project with fields of a pull changed: its name, way of printing, packing, wet, trapping."""
    return with_impression(project, pull_id, lambda pull: replace(pull, **changes))
