"""How large a picture may be: looked at before anything of it is unpacked, by one rule for all files."""

import io
import warnings

from nomos.base.errors import BadInput
from nomos.base.language import tr

MAX_FILE_PIXELS = 150_000_000
"""A file may unpack to this many pixels: A1 at 380 dpi."""
MAX_PAGE_PIXELS = 48_000_000
"""The page that is worked on; A2 at 300 dpi has 35 million."""


def check_pixels(width: int, height: int, name: str, most: int = MAX_FILE_PIXELS) -> None:
    """Raise BadInput for a picture of more pixels than may be unpacked, or of none.

    Parameters
    ----------
    width, height : pixels.
    name : of the file, for the message.
    most : pixels that may be unpacked.

    Raises
    ------
    BadInput : more than that, or none.
    """
    if width < 1 or height < 1:
        raise BadInput(tr("{name} has no pixels; export it again.", name=name))
    if width * height > most:
        raise BadInput(
            tr(
                "{name} would unpack to more than {most} million pixels; save it smaller, 300 dpi at "
                "the size of the print is enough.",
                name=name,
                most=most // 1000000,
            )
        )


def check_packed(data: bytes, name: str, most: int = MAX_PAGE_PIXELS) -> tuple[int, int]:
    """Width and height by the header of a packed picture, which is not unpacked.

    Raises BadInput: too many pixels, or no picture.
    """
    from PIL import Image

    with warnings.catch_warnings():
        warnings.simplefilter("ignore")
        try:
            with Image.open(io.BytesIO(data)) as image:
                size = image.size
        except Image.DecompressionBombError:
            size = (most, 2)
        except Exception:
            # Pillow's readers raise OSError, SyntaxError, struct.error and more on damaged headers.
            raise BadInput(tr("{name} is damaged; export it again.", name=name)) from None
    check_pixels(*size, name, most)
    return size
