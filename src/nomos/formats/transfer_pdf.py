"""Transfer sheets at true size, the right way round for the way the drawing comes onto the block."""

from collections.abc import Sequence
from dataclasses import replace
from typing import Literal

import numpy as np

from nomos.base.language import tr
from nomos.base.progress import NULL_PROGRESS, Progress
from nomos.carving.transfer import SOLVENT_CAUTION, TRANSFERS, TransferWay
from nomos.formats.pdf import DEFAULT_PAPER, drawings_pdf
from nomos.formats.template import Template
from nomos.formats.template_drawing import template_drawings
from nomos.project import Project

Marked = Literal["stays", "goes"]


def transfer_templates(
    project: Project, templates: Sequence[Template], way: TransferWay, marked: Marked = "stays"
) -> tuple[Template, ...]:
    """The templates of one face, with what the way needs written on them, marked by what stays or goes."""
    transfer = TRANSFERS[way]
    face = "block" if transfer.mirrored else "tracing"
    words = tr("Grey: what stays.") if marked == "stays" else tr("Grey: what is cut away.")
    note = f"{transfer.name}: {transfer.steps} {transfer.block_shows} {words}"
    if way == "toner":
        note += f" {SOLVENT_CAUTION}"
    made = []
    for template in templates:
        if template.face != face:
            continue
        areas = template.areas if marked == "stays" else _turned_inside_out(project, template)
        made.append(replace(template, face_text=note, areas=areas, name=f"{template.name}-transfer"))
    return tuple(made)


def _turned_inside_out(project: Project, template: Template) -> tuple[tuple[np.ndarray, ...], ...]:
    """The image's frame as the outermost ring, so that the even-odd rule fills what is cut away."""
    xs, ys = [x for x, _ in template.sheet], [y for _, y in template.sheet]
    image, paper = project.image, project.paper
    left = image.left if template.face == "tracing" else paper.width_mm - image.right
    x0, y0 = min(xs) + left, min(ys) + image.top
    x1, y1 = x0 + image.width, y0 + image.height
    frame = np.array([(x0, y0), (x1, y0), (x1, y1), (x0, y1), (x0, y0)], np.float64)
    return ((frame, *(ring for area in template.areas for ring in area)),)


def transfer_pdf(
    project: Project, templates: Sequence[Template], way: TransferWay, marked: Marked = "stays", *,
    paper: str = DEFAULT_PAPER, progress: Progress = NULL_PROGRESS,
) -> bytes:  # fmt: skip
    """A sheet for each block as PDF at true size. Raises BadInput."""
    drawn = template_drawings(transfer_templates(project, templates, way, marked))
    return drawings_pdf(drawn, tr("{title}: transfer", title=project.title), paper=paper, progress=progress)
