"""Reading a design at its physical size: PNG, JPEG, TIFF, WebP and SVG to flat sRGB pixels."""

import io
import warnings
from dataclasses import dataclass
from typing import TYPE_CHECKING

import numpy as np
from numpy.typing import NDArray

from nomos.design.svg import is_svg, read_svg
from nomos.errors import BadInput
from nomos.units import MM_PER_INCH, checked_size, size_text

if TYPE_CHECKING:
    from PIL import Image

Rgb = NDArray[np.uint8]

DEFAULT_DPI = 300.0
# Inside this range a file's own pixels are used as they are. Coarser, a 0.5 mm
# trap would be two pixels; finer, work doubles for what no knife can follow.
COARSEST_DPI, FINEST_DPI = 120.0, 450.0
# A file may unpack to this many pixels (A1 at 400 dpi); the page we work on is
# kept below the second figure (A2 at 300 dpi has 35 million).
MAX_FILE_PIXELS = 200_000_000
MAX_PAGE_PIXELS = 48_000_000
# Up to this difference between the shape asked for and the picture's the
# picture is stretched: it comes from rounding, not from meaning.
_STRETCH = 0.01

_FORMATS = ("PNG", "JPEG", "TIFF", "WEBP")


@dataclass(frozen=True, eq=False)
class Picture:
    """A design as pixels on paper white.

    rgb : (height, width, 3) uint8, sRGB, read-only.
    size_mm : width and height.
    px_per_mm : resolution, the same both ways.
    notes : what had to be assumed, one sentence each, for the user.
    """

    rgb: Rgb
    size_mm: tuple[float, float]
    px_per_mm: float
    notes: tuple[str, ...] = ()


def read_picture(data: bytes, name: str, *, size_mm: tuple[float, float] | None = None) -> Picture:
    """Read a design.

    Parameters
    ----------
    data : the file's bytes.
    name : the file's name, for messages.
    size_mm : width and height in mm; None takes the file's own resolution, or
        300 dpi where it has none, and says so in the notes. Where the shape
        differs from the picture's, the picture is fitted inside, undistorted.

    Returns
    -------
    Picture: EXIF orientation honoured, colours brought to sRGB by the embedded
    profile, alpha laid over white, at the file's resolution where that is 120
    to 450 dpi, else at 300 dpi.

    Raises
    ------
    BadInput : empty, broken, of another format, too large to unpack, or of an
        impossible size.
    """
    if not data:
        raise BadInput(f"{name} is empty; choose another file.")
    if is_svg(data):
        rgb, size = read_svg(data, name, size_mm=size_mm, px_per_mm=_page_resolution)
        return _finished(rgb, size, ())
    rgb, own_mm, notes = _decode(data, name)
    if own_mm is None and size_mm is None:
        notes = (*notes, f"{name} does not say how large it is: taken as {DEFAULT_DPI:g} dpi.")
        own_mm = _size_at(rgb, DEFAULT_DPI)
    wanted = size_mm or own_mm
    assert wanted is not None
    checked_size(*wanted)
    size, fitted = _fit(rgb, wanted)
    if fitted:
        notes = (
            *notes,
            f"The picture has another shape than {size_text(*wanted)}: "
            f"it is fitted inside as {size_text(*size)}.",
        )
    checked_size(*size)
    return _finished(_resample(rgb, size), size, notes)


def _finished(rgb: Rgb, size_mm: tuple[float, float], notes: tuple[str, ...]) -> Picture:
    rgb.flags.writeable = False
    return Picture(rgb, size_mm, rgb.shape[1] / size_mm[0], notes)


def _size_at(rgb: Rgb, dpi: float) -> tuple[float, float]:
    return rgb.shape[1] / dpi * MM_PER_INCH, rgb.shape[0] / dpi * MM_PER_INCH


def _fit(rgb: Rgb, box_mm: tuple[float, float]) -> tuple[tuple[float, float], bool]:
    height, width = rgb.shape[:2]
    if abs(box_mm[0] / box_mm[1] * height / width - 1) <= _STRETCH:
        return box_mm, False
    scale = min(box_mm[0] / width, box_mm[1] / height)
    return (width * scale, height * scale), True


def _page_resolution(size_mm: tuple[float, float], dpi: float = DEFAULT_DPI) -> float:
    """Pixels per mm at the given dpi, lowered where the page would be too many pixels."""
    return float(min(dpi / MM_PER_INCH, np.sqrt(MAX_PAGE_PIXELS / (size_mm[0] * size_mm[1]))))


def _resample(rgb: Rgb, size_mm: tuple[float, float]) -> Rgb:
    import cv2

    height, width = rgb.shape[:2]
    own_dpi = width / size_mm[0] * MM_PER_INCH
    usable = COARSEST_DPI <= own_dpi <= FINEST_DPI
    ppm = _page_resolution(size_mm, own_dpi if usable else DEFAULT_DPI)
    target = max(1, round(size_mm[0] * ppm)), max(1, round(size_mm[1] * ppm))
    if abs(target[0] - width) <= 1 and abs(target[1] - height) <= 1:
        return rgb
    shrinking = target[0] < width
    return np.asarray(
        cv2.resize(rgb, target, interpolation=cv2.INTER_AREA if shrinking else cv2.INTER_CUBIC), np.uint8
    )


def _decode(data: bytes, name: str) -> tuple[Rgb, tuple[float, float] | None, tuple[str, ...]]:
    """Pixels, own size in mm if the file has one, and notes."""
    # Imported here: it costs start-up time that the bare window should not pay.
    from PIL import Image, ImageOps, UnidentifiedImageError

    with warnings.catch_warnings():
        # Pillow warns of large pictures and odd metadata; the checks here decide.
        warnings.simplefilter("ignore")
        try:
            image: Image.Image = Image.open(io.BytesIO(data), formats=_FORMATS)
            if image.width * image.height > MAX_FILE_PIXELS:
                raise Image.DecompressionBombError
            image.load()
            image = ImageOps.exif_transpose(image)
        except Image.DecompressionBombError:
            raise BadInput(
                f"{name} would unpack to more than {MAX_FILE_PIXELS // 1_000_000} million pixels; "
                "save it smaller, 300 dpi at the size of the print is enough."
            ) from None
        except UnidentifiedImageError:
            raise BadInput(
                f"{name} is not a PNG, JPEG, TIFF, WebP or SVG picture that can be read; "
                "save it as one of these."
            ) from None
        except MemoryError:
            raise BadInput(f"There is not enough memory to open {name}; save it smaller.") from None
        except Exception:
            # Pillow's decoders raise OSError, SyntaxError, struct.error and more on damaged files.
            raise BadInput(
                f"{name} is damaged and cannot be read to the end; export or scan it again."
            ) from None
        rgb, notes = _to_srgb(image, name)
    return rgb, _own_size(image), notes


def _own_size(image: "Image.Image") -> tuple[float, float] | None:
    dpi = image.info.get("dpi")
    if not dpi:
        return None
    x_dpi, y_dpi = (float(value) for value in dpi)
    # Cameras and screen programs write 72 or 96 without meaning a size in print.
    if not (20 <= x_dpi <= 10000 and 20 <= y_dpi <= 10000):
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
        alpha = np.asarray(image.getchannel("A"), np.float32)[..., None] / 255
        image = image.convert("RGB")
    elif image.mode not in ("RGB", "CMYK", "L", "LAB"):
        image = image.convert("RGB")
    if profile:
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
        except (ImageCms.PyCMSError, OSError):
            notes = (f"The colour profile inside {name} does not fit the picture and was left out.",)
    elif image.mode == "CMYK":
        notes = (f"{name} is CMYK without a profile: its colours are a rough guess.",)
    rgb = np.array(image.convert("RGB"), np.uint8)
    if alpha is not None:
        rgb = np.rint(255 + (rgb - 255.0) * alpha).astype(np.uint8)
    return rgb, notes


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
