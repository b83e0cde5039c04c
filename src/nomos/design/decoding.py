"""The pixels of a picture's file, whatever its kind, upright and in sRGB."""

import io
import warnings
from typing import TYPE_CHECKING

import numpy as np
from numpy.typing import NDArray

from nomos.base.errors import BadInput
from nomos.base.language import tr
from nomos.base.strips import strips
from nomos.base.units import MM_PER_INCH
from nomos.design.containers import first_page, is_pdf, merged_picture, register_heif
from nomos.design.limits import MAX_FILE_PIXELS, check_pixels
from nomos.design.page import Rgb

if TYPE_CHECKING:
    from PIL import Image


_EXIF_MAKE = 0x010F
# What cameras and screens write without meaning a size in print; see `_own_size`.
_NO_SIZE_DPI = (72.0, 96.0, 180.0)
_FORMATS = ("PNG", "JPEG", "TIFF", "WEBP", "GIF", "BMP", "HEIF", "AVIF")


def decode(data: bytes, name: str) -> tuple[Rgb, tuple[float, float] | None, tuple[str, ...]]:
    """Pixels of a file, own size in mm if it has one, and notes of what had to be assumed.

    Parameters
    ----------
    data : the file's bytes. name : of the file, for messages.

    Raises
    ------
    BadInput : no picture, damaged, or too large to unpack.
    """
    # Imported here: it costs start-up time that the bare window should not pay.
    from PIL import Image, ImageOps, UnidentifiedImageError

    if is_pdf(data):
        page, page_mm, pages = first_page(data, name)
        said = (_first_of(name, pages, tr("pages")),) if pages > 1 else ()
        return np.asarray(page, np.uint8), page_mm, said
    data = merged_picture(data, name) or data
    register_heif()
    with warnings.catch_warnings():
        # Pillow warns of large pictures and odd metadata; the checks here decide.
        warnings.simplefilter("ignore")
        try:
            image: Image.Image = Image.open(io.BytesIO(data), formats=_FORMATS)
            check_pixels(image.width, image.height, name)
            image.load()
            # Each copy of a large picture is a hundred megabytes and more.
            ImageOps.exif_transpose(image, in_place=True)
        except BadInput:
            raise
        except Image.DecompressionBombError:
            # More than Pillow itself would open, which is more than the limit here.
            check_pixels(MAX_FILE_PIXELS, 2, name)
            raise
        except UnidentifiedImageError:
            raise BadInput(
                tr(
                    "{name} is not a picture that can be read; save it as PNG, JPEG, TIFF, WebP, HEIC, "
                    "PDF or SVG, or set the telephone's camera to JPEG.",
                    name=name,
                )
            ) from None
        except MemoryError:
            raise BadInput(tr("There is not enough memory to open {name}; save it smaller.", name=name)) from None
        except Exception:
            # Pillow's decoders raise OSError, SyntaxError, struct.error and more on damaged files.
            raise BadInput(
                tr("{name} is damaged and cannot be read to the end; export or scan it again.", name=name)
            ) from None
        try:
            frames = getattr(image, "n_frames", 1)
            rgb, notes = _to_srgb(image, name)
            if frames > 1 and image.format != "MPO":
                notes = (*notes, _first_of(name, frames, tr("pictures")))
            return rgb, _own_size(image), notes
        except MemoryError:
            raise BadInput(tr("There is not enough memory to open {name}; save it smaller.", name=name)) from None


def _first_of(name: str, count: int, what: str) -> str:
    return tr("{name} holds {count} {what}: the first is taken.", name=name, count=count, what=what)


def _own_size(image: "Image.Image") -> tuple[float, float] | None:
    dpi = image.info.get("dpi")
    if not dpi:
        return None
    try:
        x_dpi, y_dpi = (float(value) for value in dpi)
    except (TypeError, ValueError, ArithmeticError):
        # What a damaged tag holds is no resolution.
        return None
    # Cameras and screen programs write 72, 96 or 180 without meaning a size in print.
    if not (20 <= x_dpi <= 10000 and 20 <= y_dpi <= 10000) or round(x_dpi) in _NO_SIZE_DPI:
        return None
    if image.getexif().get(_EXIF_MAKE):
        return None
    # To a tenth of a millimetre: PNG stores whole pixels per metre, so 300 dpi reads 299.9994.
    return round(image.width / x_dpi * MM_PER_INCH, 1), round(image.height / y_dpi * MM_PER_INCH, 1)


def _to_srgb(image: "Image.Image", name: str) -> tuple[Rgb, tuple[str, ...]]:
    from PIL import ImageCms

    notes: tuple[str, ...] = ()
    profile = image.info.get("icc_profile")
    image = _to_eight_bits(image)
    alpha = None
    if "A" in image.getbands() or "transparency" in image.info:
        image = image.convert("RGBA")
        alpha = np.array(image.getchannel("A"), np.uint8)
        image = image.convert("RGB")
    elif image.mode not in ("RGB", "CMYK", "L", "LAB"):
        image = image.convert("RGB")
    if isinstance(profile, bytes) and profile:
        try:
            source = ImageCms.ImageCmsProfile(io.BytesIO(profile))
            converted = ImageCms.profileToProfile(
                image,
                source,
                ImageCms.createProfile("sRGB"),
                renderingIntent=ImageCms.Intent.RELATIVE_COLORIMETRIC,
                outputMode="RGB",
                flags=ImageCms.Flags.BLACKPOINTCOMPENSATION,
            )
            image = converted or image
        except (ImageCms.PyCMSError, OSError, ValueError, TypeError):
            notes = (tr("The colour profile inside {name} does not fit the picture and was left out.", name=name),)
    elif image.mode == "CMYK":
        notes = (tr("{name} is CMYK without a profile: its colours are a rough guess.", name=name),)
    rgb = _channels(image if image.mode == "RGB" else image.convert("RGB"))
    if alpha is not None:
        _over_white(rgb, alpha)
    return rgb, notes


def _channels(image: "Image.Image") -> Rgb:
    """The pixels of an RGB image, strip by strip: at once Pillow would hold them three times."""
    rgb = np.empty((image.height, image.width, 3), np.uint8)
    for rows in strips(rgb.shape):
        rgb[rows] = np.asarray(image.crop((0, rows.start, image.width, rows.stop)))
    return rgb


def _over_white(rgb: Rgb, alpha: NDArray[np.uint8]) -> None:
    """Lay pixels over white in place, strip by strip: the whole page as figures would take gigabytes."""
    for here in strips(rgb.shape):
        share = alpha[here, :, None].astype(np.float32) / 255
        rgb[here] = np.rint(255 + (rgb[here] - np.float32(255)) * share).astype(np.uint8)


def _to_eight_bits(image: "Image.Image") -> "Image.Image":
    """Deep greys scaled to 8 bits; Pillow's own conversion would clip them."""
    from PIL import Image

    if image.mode.startswith("I"):
        grey = np.asarray(image, np.float64) / 257
    elif image.mode == "F":
        grey = np.nan_to_num(np.asarray(image, np.float64))
        grey = grey * 255 if grey.max(initial=0) <= 1 else grey
    else:
        return image
    return Image.fromarray(np.rint(np.clip(grey, 0, 255)).astype(np.uint8))
