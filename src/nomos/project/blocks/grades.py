"""Bands of one gradient inked as one field, graded: what a smooth sky in the sketch becomes."""

from collections.abc import Sequence

import numpy as np

from nomos.base.language import tr
from nomos.colour import Lab
from nomos.design import Labels
from nomos.design.gradients import Gradient
from nomos.project.blocks.fields import merged
from nomos.project.blocks.zones import with_grade
from nomos.project.model import Grade, Project, ProjectError
from nomos.project.model.store import labels_from_png, labels_to_png

_PALEST = 0.05


def with_graded_field(
    project: Project, labels: Labels, numbers: Sequence[int], gradient: Gradient
) -> tuple[Project, bytes]:
    """The project with colours that run from dark to light as one field, its ink graded from end to end.

    Parameters
    ----------
    numbers : the flat colours the gradient is made of. gradient : where it begins and ends, on the image.

    Returns
    -------
    The project and the PNG of the new colour numbers, an asset of it.

    Raises
    ------
    ProjectError : no block prints it in an impression of its own.
    """
    if project.flat is None:
        raise ProjectError("flat", tr("There is no flat design yet: open a picture first."))
    dark = min(numbers, key=lambda n: project.flat.colours[n].lab[0] if project.flat else 0.0)
    rest = sorted((n for n in numbers if n != dark), reverse=True)
    png = labels_to_png(labels)
    for number in rest:
        project, png = merged(project, labels_from_png(png), number, dark)
        dark -= number < dark
    pull = next(
        (pull for pull in project.impressions if project.block(pull.block).colours == (dark,) and len(pull.zones) == 1),
        None,
    )
    if pull is None:
        raise ProjectError("grade", tr("Give this field a block of its own first: others are printed with it."))
    strength = pull.zones[0].strength
    to = strength * _share(gradient.light, gradient.dark, project.paper.lab)
    left, top = project.image.left, project.image.top
    start, end = ((x + left, y + top) for x, y in (gradient.start, gradient.end))
    return with_grade(project, pull.id, 0, Grade(start, end, round(to, 2))), png


def _share(light: Lab, dark: Lab, paper: Lab) -> float:
    """How strongly the pale end is inked, by how far both ends lie from the paper."""
    near, far = (float(np.linalg.norm(np.array(end) - np.array(paper))) for end in (light, dark))
    return float(np.clip(near / max(far, 1e-6), _PALEST, 0.95))
