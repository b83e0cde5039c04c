"""Blocks that come in from elsewhere, fitted to the project's own by name, else by place."""

from collections.abc import Sequence

import numpy as np

from nomos.base.language import tr
from nomos.project.model import Project, ProjectError
from nomos.separation import Mask


def fitted_masks(project: Project, shape: tuple[int, int], layers: Sequence[tuple[str, Mask]]) -> dict[str, Mask]:
    """Masks by block id for layers that come in, in print order.

    Parameters
    ----------
    shape : height and width of the flat design in pixels.
    layers : name and mask of each; scaled to the design where their shape is the same.

    Raises
    ------
    ProjectError : no layer fits a block, or the pictures have another shape than the design.
    """
    import cv2

    by_name = {project.block(i.block).name.lower(): i.block for i in project.impressions}
    in_order = [impression.block for impression in project.impressions]
    found: dict[str, Mask] = {}
    for place, (name, mask) in enumerate(layers):
        plain = name.lower().lstrip("0123456789- ").replace("-", " ")
        block = by_name.get(name.lower()) or by_name.get(plain)
        if block is None and len(layers) == len(in_order):
            block = in_order[place]
        if block is None:
            continue
        if abs(mask.shape[1] / mask.shape[0] * shape[0] / shape[1] - 1) > 0.01:
            raise ProjectError(
                "drawn",
                tr(
                    "{name} has another shape than the design; it must be {shape} × {shape_2} pixels.",
                    name=name, shape=shape[1], shape_2=shape[0],
                ),
            )  # fmt: skip
        if mask.shape != shape:
            scaled = cv2.resize(mask * np.uint8(255), (shape[1], shape[0]), interpolation=cv2.INTER_LINEAR)
            mask = np.asarray(scaled >= 128).astype(np.uint8)
        found[block] = mask
    if not found:
        raise ProjectError("drawn", tr("None of these pictures has the name of a block; name them like the blocks."))
    return found
