"""What can be laid over the design: where colours run under each other, and where the knife is free."""

import numpy as np

from nomos.colour import lab_to_srgb, srgb_to_lab
from nomos.project import Project
from nomos.ui.frame.raster import Raster
from nomos.work.freedom import Freedom
from nomos.work.joins import JoinsPage

# A trap, a run under the key, a kiss; where the knife is free to remove, or to leave. Colours to tell
# apart on the pale design, chosen by us.
_TRAP, _UNDER_KEY, _KISS = (34.0, 12.0, -44.0), (62.0, 0.0, 0.0), (40.0, 52.0, 34.0)
_REMOVE, _LEAVE, _PRINTS, _CLEAR = (66.0, 8.0, -26.0), (84.0, 3.0, -12.0), (30.0, 0.0, 0.0), (96.0, 0.0, 2.0)
_PALE = 0.72


def joins_raster(project: Project, joins: JoinsPage) -> Raster:
    """The flat design, pale, with what runs under what, and the borders that only kiss."""
    assert project.flat is not None
    white = np.array([255.0, 255.0, 255.0])
    tints = lab_to_srgb(np.array([colour.lab for colour in project.flat.colours])).astype(np.float64)
    pale = srgb_to_lab(tints + _PALE * (white - tints))
    labs = np.vstack([pale, [_TRAP, _UNDER_KEY, _KISS]])
    return Raster(joins.levels, labs, joins.px_per_mm, project.image.left, project.image.top)


def free_raster(project: Project, free: Freedom) -> Raster:
    """One block: what it prints, and where it may print or not without a visible change."""
    labs = np.array([_CLEAR, _PRINTS, _LEAVE, _REMOVE])
    return Raster(free.levels, labs, free.px_per_mm, project.image.left, project.image.top)
