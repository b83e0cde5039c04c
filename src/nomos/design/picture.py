"""Reading a design at its physical size: pictures of any kind and SVG to flat sRGB pixels."""

from dataclasses import dataclass, replace

import numpy as np
from numpy.typing import NDArray

from nomos.base.errors import BadInput
from nomos.base.language import tr
from nomos.base.progress import NULL_PROGRESS, Progress
from nomos.base.units import MM_PER_INCH, PAPER_SIZES_MM, checked_size, length_text, size_text
from nomos.design.cut import Cut, checked_cut, light_of_cut, proportions, straightened, through, to_print
from nomos.design.decoding import decode
from nomos.design.light import EVEN, Light
from nomos.design.limits import MAX_PAGE_PIXELS
from nomos.design.page import Rgb, filled, lab_page
from nomos.design.sheet_page import moved
from nomos.design.sketch import FIELD_PX_PER_MM
from nomos.design.svg import is_svg, read_svg

DEFAULT_DPI = 300.0
# Inside this range a file's own pixels are used as they are. Coarser, a 0.5 mm
# trap would be two pixels; finer, work doubles for what no knife can follow.
COARSEST_DPI, FINEST_DPI = 120.0, 450.0
# Up to this difference between the shape asked for and the picture's the
# picture is stretched: it comes from rounding, not from meaning.
_STRETCH = 0.01

# A picture that does not say how large it is, is taken to fill this paper but for its margins (chosen by
# us: what a home printer prints templates on).
_PAPER, _PAPER_MARGIN_MM = "A4", 15.0

# Enlarged further, a picture has more pixels and nothing more to see; a cutter follows no coarser edge.
_MOST_ENLARGED, _LEAST_PX_PER_MM = 8.0, 3.0
# What is this near the paper found, Lab, is bare paper.
_PAPER_OFF = 12.0


@dataclass(frozen=True, eq=False)
class Picture:
    """A design as pixels on paper white.

    rgb : (height, width, 3) uint8, sRGB, read-only.
    size_mm : width and height.
    px_per_mm : resolution, the same both ways.
    notes : what had to be assumed, one sentence each, for the user.
    light : on what is printed, judged with the margin around it; None where there was no more to see.
    cut : what of the picture as it was opened this is; None is all of it.
    sized : the size is known, from the file or as given; False where it is a guess to be asked about.
    as_opened : the pixels are the file's own, all of them.
    """

    rgb: Rgb
    size_mm: tuple[float, float]
    px_per_mm: float
    notes: tuple[str, ...] = ()
    light: Light | None = None
    cut: Cut | None = None
    sized: bool = True
    as_opened: bool = False

    @property
    def to_mm(self) -> NDArray[np.float64]:
        """(3, 3), from shares of the picture's width and height as it was opened to mm on the print."""
        return to_print(self.cut, self.size_mm)

    def place_mm(self, share: tuple[float, float]) -> tuple[float, float]:
        """Where on the print a place of the picture lies, mm. share : of its width and height."""
        return through(self.to_mm, share)


@dataclass(frozen=True, eq=False)
class Pixels:
    """A picture decoded: what corners are set on.

    rgb : (height, width, 3) uint8 sRGB, upright. own_mm : its own size, if the file means one.
    """

    name: str
    rgb: Rgb
    own_mm: tuple[float, float] | None
    notes: tuple[str, ...]


def read_picture(
    data: bytes | Pixels, name: str, *, size_mm: tuple[float, float] | None = None, cut: Cut | None = None,
    progress: Progress = NULL_PROGRESS,
) -> Picture:  # fmt: skip
    """Read a design.

    Parameters
    ----------
    data : the file's bytes, or its pixels from `read_pixels`.
    name : the file's name, for messages.
    size_mm : width and height in mm; None takes the file's own resolution, or
        fits A4 where it has none that means a size, and says so in the notes. Where the
        shape differs from the picture's, the picture is fitted inside, undistorted;
        but four corners are straightened to just this shape.
    cut : what of the picture is printed; None prints all of it.

    Returns
    -------
    Picture: EXIF orientation honoured, colours brought to sRGB by the embedded
    profile, alpha laid over white, at the file's resolution where that is 120
    to 450 dpi, else at 300 dpi; what is cut out of a photograph at the resolution fields are drawn at.

    Raises
    ------
    BadInput : empty, broken, of another format, too large to unpack, of an
        impossible size, or with corners that enclose nothing.
    """
    if not data:
        raise BadInput(tr("{name} is empty; choose another file.", name=name))
    if isinstance(data, bytes) and is_svg(data):
        box = None if cut else size_mm
        rgb, size = read_svg(data, name, size_mm=box, px_per_mm=_page_resolution, progress=progress)
        if cut is not None:
            return replace(_cut_out(rgb, checked_cut(cut, name), size_mm, size, ()), light=EVEN)
        # A drawing made on a screen has no light to even out.
        return replace(_finished(rgb, size, ()), light=EVEN)
    pixels = read_pixels(data, name) if isinstance(data, bytes) else data
    rgb, own_mm, notes = pixels.rgb, pixels.own_mm, pixels.notes
    if cut is not None:
        return _cut_out(rgb, checked_cut(cut, name), size_mm, own_mm, notes)
    sized = bool(own_mm or size_mm)
    if own_mm is None and size_mm is None:
        own_mm = _fitted_to_paper(rgb.shape[1] / rgb.shape[0])
        notes = (*notes, _guessed(name, own_mm))
    wanted = size_mm or own_mm
    assert wanted is not None
    checked_size(*wanted)
    size, fitted = _fit(rgb, wanted)
    if fitted:
        notes = (
            *notes,
            tr(
                "The picture has another shape than {size_text}: it is fitted inside as {size_text_2}.",
                size_text=size_text(*wanted),
                size_text_2=size_text(*size),
            ),
        )
    checked_size(*size)
    page = _resample(rgb, size)
    return replace(_finished(page, size, notes, sized), as_opened=page is rgb)


def read_pixels(data: bytes, name: str, *, progress: Progress = NULL_PROGRESS) -> Pixels:
    """A picture's pixels as they were opened, upright, in sRGB.

    Parameters
    ----------
    data : the file's bytes.
    name : of the file, for messages and for its kind.

    Raises
    ------
    BadInput : no picture, or one too large.
    """
    if is_svg(data):
        rgb, size = read_svg(data, name, size_mm=None, px_per_mm=_page_resolution, progress=progress)
        return Pixels(name, rgb, size, ())
    return Pixels(name, *decode(data, name))


def _guessed(name: str, size: tuple[float, float]) -> str:
    return tr(
        "{name} does not say how large it is: taken as {size_text}, to fit {paper} with "
        "margins of {paper_margin_mm}. Give its size if it is another.",
        name=name, size_text=size_text(*size), paper=_PAPER, paper_margin_mm=length_text(_PAPER_MARGIN_MM, None),
    )  # fmt: skip


def _fitted_to_paper(ratio: float) -> tuple[float, float]:
    """The largest size of a shape, width over height, that the usual paper holds within its margins."""
    short, long = (side - 2 * _PAPER_MARGIN_MM for side in PAPER_SIZES_MM[_PAPER])
    width, height = (long, short) if ratio > 1 else (short, long)
    scale = min(width / ratio, height)
    return round(scale * ratio, 1), round(scale, 1)


def _cut_out(
    rgb: Rgb, cut: Cut, size_mm: tuple[float, float] | None, own_mm: tuple[float, float] | None,
    notes: tuple[str, ...],
) -> Picture:  # fmt: skip
    """What lies between the corners, straightened to a size in mm."""
    pixels = np.array([rgb.shape[1], rgb.shape[0]], np.float64)
    corners = np.array(cut.corners, np.float64) * pixels
    ratio = proportions(corners, rgb.shape[:2])
    size = size_mm
    if size is None and own_mm is not None:
        scale = own_mm[0] / rgb.shape[1]
        across = float(np.mean([np.hypot(*(corners[1] - corners[0])), np.hypot(*(corners[2] - corners[3]))]))
        size = round(across * scale, 1), round(across * scale / ratio, 1)
    sized = size is not None
    if size is None:
        size = _fitted_to_paper(ratio)
        notes = (*notes, _guessed(tr("The picture"), size))
    checked_size(*size)
    ppm = min(FIELD_PX_PER_MM, _page_resolution(size))
    size_px = max(8, round(size[0] * ppm)), max(8, round(size[1] * ppm))
    page = straightened(rgb, corners, size_px)
    light = light_of_cut(rgb, corners, None if cut.sheet is None else np.array(cut.sheet) * pixels)
    page = _bare(page, cut, to_print(cut, (size_px[0], size_px[1])), light)
    page.flags.writeable = False
    return Picture(page, size, page.shape[1] / size[0], notes, light, cut, sized)


def _bare(page: Rgb, cut: Cut, to_page: NDArray[np.float64], light: Light) -> Rgb:
    """The page with what is masked painted in the colour of the bare paper about it."""
    import cv2

    page = page.copy()
    covered = [filled(page.shape[:2], moved(np.array(each), to_page)) for each in cut.bare if len(each) > 2]
    if not any(mask.any() for mask in covered):
        return page
    anything = np.logical_or.reduce(covered)
    even = lab_page(light.applied(page))
    for mask in covered:
        if not mask.any():
            continue
        reach = max(9, round(0.5 * np.sqrt(np.count_nonzero(mask)))) | 1
        about = cv2.dilate(mask.view(np.uint8), np.ones((reach, reach), np.uint8)) > 0
        about = about & ~anything if (about & ~anything).any() else mask
        pixels, own = page[about], even[about]
        if light.paper is not None and (near := np.linalg.norm(own - light.paper, axis=-1) < _PAPER_OFF).any():
            page[mask] = np.median(pixels[near], axis=0).astype(np.uint8)
        else:
            bright = pixels.sum(axis=1) >= np.percentile(pixels.sum(axis=1), 80)
            page[mask] = np.median(pixels[bright], axis=0).astype(np.uint8)
    return page


def _finished(rgb: Rgb, size_mm: tuple[float, float], notes: tuple[str, ...], sized: bool = True) -> Picture:
    rgb.flags.writeable = False
    return Picture(rgb, size_mm, rgb.shape[1] / size_mm[0], notes, sized=sized)


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
    ppm = max(min(ppm, _MOST_ENLARGED * rgb.shape[1] / size_mm[0]), min(ppm, _LEAST_PX_PER_MM))
    target = max(1, round(size_mm[0] * ppm)), max(1, round(size_mm[1] * ppm))
    if abs(target[0] - width) <= 1 and abs(target[1] - height) <= 1:
        return rgb
    # Enlarging must make no colour: a cubic would overshoot at every edge.
    shrinking = target[0] < width
    return np.asarray(
        cv2.resize(rgb, target, interpolation=cv2.INTER_AREA if shrinking else cv2.INTER_LINEAR), np.uint8
    )
