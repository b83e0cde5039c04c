"""Proofs and flat designs as PNG files that know their resolution."""

from io import BytesIO

import numpy as np
from numpy.typing import NDArray
from PIL import Image

from nomos.units import MM_PER_INCH

_LARGE_PX = 12_000_000


def png(rgb: NDArray[np.uint8], px_per_mm: float) -> bytes:
    """A PNG of (height, width, 3) uint8 sRGB pixels with its dpi set."""
    buffer = BytesIO()
    dpi = px_per_mm * MM_PER_INCH
    # A large page is packed less hard: it takes half as long, and a third more room.
    hard = 4 if rgb.shape[0] * rgb.shape[1] < _LARGE_PX else 1
    Image.fromarray(rgb).save(buffer, "PNG", dpi=(dpi, dpi), compress_level=hard)
    return buffer.getvalue()


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
