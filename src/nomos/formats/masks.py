"""Blocks as files of their own: black and white pictures at one size, OpenRaster, SVG outlines."""

import io
from collections.abc import Sequence
from io import BytesIO
from pathlib import Path
from typing import Literal

import numpy as np
from PIL import Image

from nomos.base.errors import BadInput
from nomos.base.folders import file_name
from nomos.base.language import tr
from nomos.base.reading import read_whole
from nomos.base.units import MM_PER_INCH
from nomos.colour import lab_to_hex
from nomos.design.limits import MAX_PAGE_PIXELS, check_pixels
from nomos.formats.drawing import Drawing, Shape
from nomos.formats.files import write_file
from nomos.formats.openraster import MaskLayer, openraster
from nomos.formats.outputs import filling
from nomos.formats.svg import drawing_svg
from nomos.project import CutBlocks, Project
from nomos.separation import Mask, outlines

Kind = Literal["png", "tiff", "ora", "svg"]
KINDS: tuple[Kind, ...] = ("png", "tiff", "ora", "svg")


def mask_layers(project: Project, blocks: CutBlocks) -> tuple[MaskLayer, ...]:
    """The blocks of a project in print order, each in the colour of its ink."""
    return tuple(
        MaskLayer(
            project.pull_name(impression.id),
            blocks.masks[project.number_of(impression.block)],
            lab_to_hex(np.array(project.ink(impression.main.ink).lab)),
        )
        for impression in project.impressions
    )


def write_blocks(
    folder: Path, layers: Sequence[MaskLayer], px_per_mm: float, kind: Kind, inputs: Sequence[Path] = ()
) -> tuple[str, ...]:
    """Write the blocks, in print order and as seen on the print; returns the names of the files.

    PNG and TIFF: one file a block, 1 bit, black prints, dpi set. SVG: one file a
    block, outlines in mm. OpenRaster: one file with a layer a block.

    Raises
    ------
    BadInput : nothing to write, or the folder cannot be written.
    """
    if not layers:
        raise BadInput(tr("There is no block to write; open a picture and separate it first."))
    names = []
    with filling(folder, inputs) as folder:
        if kind == "ora":
            return (write_file(folder, "blocks.ora", openraster(layers, px_per_mm)),)
        for place, layer in enumerate(layers, start=1):
            name = f"{place:02d}-{file_name(layer.name)}.{kind}"
            if kind == "svg":
                height, width = layer.mask.shape
                size = width / px_per_mm, height / px_per_mm
                areas = outlines(layer.mask, px_per_mm)
                shapes = tuple(Shape("printing", area, colour=layer.hex) for area in areas)
                data = drawing_svg(Drawing(name, layer.name, (), size, shapes))
            else:
                data = _black_and_white(layer.mask, px_per_mm, kind)
            names.append(write_file(folder, name, data))
    return tuple(names)


def _black_and_white(mask: Mask, px_per_mm: float, kind: Kind) -> bytes:
    dpi = px_per_mm * MM_PER_INCH
    image = Image.fromarray(np.where(mask, 0, 255).astype(np.uint8)).convert("1", dither=Image.Dither.NONE)
    buffer = BytesIO()
    if kind == "tiff":
        image.save(buffer, "TIFF", dpi=(dpi, dpi), compression="group4")
    else:
        image.save(buffer, "PNG", dpi=(dpi, dpi))
    return buffer.getvalue()


def read_masks(paths: Sequence[Path]) -> tuple[MaskLayer, ...]:
    """Black and white pictures as masks, named after their files; what is darker than middle grey prints.

    Raises
    ------
    BadInput : a file cannot be read, or they are not all of one size.
    """
    layers: list[MaskLayer] = []
    for path in paths:
        try:
            with Image.open(io.BytesIO(read_whole(path)), formats=("PNG", "TIFF")) as image:
                check_pixels(image.width, image.height, path.name, MAX_PAGE_PIXELS)
                grey = np.asarray(image.convert("L"))
        except BadInput:
            raise
        except Exception:
            # Pillow raises OSError, SyntaxError, struct.error and more on damaged files.
            raise BadInput(
                tr("{name} cannot be read as a PNG or TIFF picture; export it again.", name=path.name)
            ) from None
        if layers and grey.shape != layers[0].mask.shape:
            raise BadInput(
                tr(
                    "{name} is {shape} × {shape_2} pixels, the first is {shape_3} × {shape_4}; blocks "
                    "must be of one size.",
                    name=path.name, shape=grey.shape[1], shape_2=grey.shape[0], shape_3=layers[0].mask.shape[1],
                    shape_4=layers[0].mask.shape[0],
                )
            )  # fmt: skip
        layers.append(MaskLayer(path.stem, (grey < 128).astype(np.uint8)))
    return tuple(layers)
