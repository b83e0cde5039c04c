"""Proofs and flat designs as PNG files that know their resolution."""

from io import BytesIO

import numpy as np
from numpy.typing import NDArray
from PIL import Image

from nomos.units import MM_PER_INCH


def png(rgb: NDArray[np.uint8], px_per_mm: float) -> bytes:
    """A PNG of (height, width, 3) uint8 sRGB pixels with its dpi set."""
    buffer = BytesIO()
    dpi = px_per_mm * MM_PER_INCH
    Image.fromarray(rgb).save(buffer, "PNG", dpi=(dpi, dpi), compress_level=4)
    return buffer.getvalue()
