"""Proofs and flat designs as PNG files that know their resolution."""

from io import BytesIO

import numpy as np
from numpy.typing import NDArray
from PIL import Image

from nomos.base.units import MM_PER_INCH
from nomos.colour import lab_to_srgb
from nomos.proof import Index, render, to_rgb

# From so many pixels on a print is written as numbers and their colours, a third of the work.
_LARGE_PX = 12_000_000


def png(rgb: NDArray[np.uint8], px_per_mm: float) -> bytes:
    """A PNG of (height, width, 3) uint8 sRGB pixels with its dpi set."""
    buffer = BytesIO()
    _save(Image.fromarray(rgb), buffer, px_per_mm)
    return buffer.getvalue()


def print_png(index: Index, labs: NDArray[np.float64], px_per_mm: float) -> bytes:
    """A PNG of a print: (height, width) combinations, and the CIELAB of each."""
    if index.size < _LARGE_PX or len(labs) > 256:
        return png(to_rgb(render(index, labs)), px_per_mm)
    buffer = BytesIO()
    picture = Image.fromarray(np.ascontiguousarray(index, np.uint8), "L")
    picture.putpalette(lab_to_srgb(labs).tobytes())
    _save(picture, buffer, px_per_mm)
    return buffer.getvalue()


def _save(picture: Image.Image, buffer: BytesIO, px_per_mm: float) -> None:
    dpi = px_per_mm * MM_PER_INCH
    # A large page is packed less hard: it takes half as long, and a third more room.
    hard = 4 if picture.width * picture.height < _LARGE_PX else 1
    picture.save(buffer, "PNG", dpi=(dpi, dpi), compress_level=hard)


def picture_pdf(rgb: NDArray[np.uint8], size_mm: tuple[float, float]) -> bytes:
    """One page of a size in mm, filled by a picture: (height, width, 3) uint8 sRGB."""
    from reportlab.lib.utils import ImageReader

    from nomos.formats.pdf import new_canvas
    from nomos.formats.typesetting import MM

    buffer, canvas = new_canvas("Sheet")
    canvas.setPageSize((size_mm[0] * MM, size_mm[1] * MM))
    canvas.drawImage(ImageReader(Image.fromarray(rgb)), 0, 0, size_mm[0] * MM, size_mm[1] * MM)
    canvas.showPage()
    canvas.save()
    return buffer.getvalue()
