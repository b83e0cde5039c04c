"""Pictures inside other files: the first page of a PDF, the merged picture of an OpenRaster file."""

import io
import zipfile
from typing import TYPE_CHECKING

from nomos.base.errors import BadInput
from nomos.base.language import tr

if TYPE_CHECKING:
    from PIL import Image

# A page is drawn at this resolution, or less where it would be too large; 72 points are an inch.
_DPI, _POINTS, _MOST_PAGE_PX = 300.0, 72.0, 40_000_000
_MOST_PACKED, _MERGED = 300_000_000, "mergedimage.png"


def is_pdf(data: bytes) -> bool:
    """Whether a file is a PDF (ISO 32000: it says so within its first kilobyte)."""
    return b"%PDF-" in data[:1024]


def first_page(data: bytes, name: str) -> tuple["Image.Image", tuple[float, float], int]:
    """The first page of a PDF as a picture, its size in mm, and how many pages there are.

    Raises
    ------
    BadInput : it is damaged, locked, or has no page.
    """
    import pypdfium2

    try:
        document = pypdfium2.PdfDocument(data)
        pages = len(document)
        page = document[0]
        width, height = page.get_size()
        scale = _DPI / _POINTS
        if width * height * scale**2 > _MOST_PAGE_PX:
            scale = (_MOST_PAGE_PX / (width * height)) ** 0.5
        picture = page.render(scale=scale).to_pil().convert("RGB")
    except (pypdfium2.PdfiumError, IndexError, ValueError, ZeroDivisionError):
        raise BadInput(tr("{name} is a PDF that cannot be read; export its page as a picture.", name=name)) from None
    mm = 25.4 / _POINTS
    return picture, (width * mm, height * mm), pages


def merged_picture(data: bytes, name: str) -> bytes | None:
    """The merged picture of an OpenRaster file, a PNG; None for another file.

    Raises
    ------
    BadInput : an OpenRaster file without a picture that can be read.
    """
    if not data.startswith(b"PK"):
        return None
    problem = tr("{name} holds no merged picture that can be read; export it as a PNG.", name=name)
    try:
        with zipfile.ZipFile(io.BytesIO(data)) as archive:
            with archive.open("mimetype") as said:
                # No more of it than is asked for: it may unpack to anything.
                if said.read(32).strip() != b"image/openraster":
                    return None
            if archive.getinfo(_MERGED).file_size > _MOST_PACKED:
                raise BadInput(problem)
            return archive.read(_MERGED)
    except KeyError:
        raise BadInput(problem) from None
    except (zipfile.BadZipFile, NotImplementedError, RuntimeError, EOFError, OSError, ValueError):
        raise BadInput(problem) from None


def register_heif() -> None:
    """Have Pillow read what telephones write (HEIC), once."""
    import pillow_heif

    pillow_heif.register_heif_opener(thumbnails=False)
