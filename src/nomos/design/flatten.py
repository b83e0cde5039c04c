"""A design reduced to a few flat colours that can be cut."""

from collections.abc import Sequence
from dataclasses import dataclass, replace

import numpy as np
from numpy.typing import NDArray

from nomos.base.errors import BadInput
from nomos.base.language import tr
from nomos.base.progress import NULL_PROGRESS, Part, Progress
from nomos.base.strips import looked_up
from nomos.base.units import counted, length_text, range_text
from nomos.colour import Lab, as_lab, delta_e00, srgb_to_lab
from nomos.design.cleaning import Labels, on_a_slope, remove_specks
from nomos.design.corrections import Correction, Fields, apply, drops_faint, wanted_of
from nomos.design.dendrogram import Dendrogram
from nomos.design.drawing import Drawing, lay_drawing, recognise_drawing
from nomos.design.flat import FlatColour, FlatDesign, ReadAs
from nomos.design.gradients import Gradient, find_gradients
from nomos.design.kind import Kind, kind_of
from nomos.design.page import Mask, Rgb
from nomos.design.palette import FEWEST, MOST, Suggestion
from nomos.design.patches import FURTHEST
from nomos.design.picture import Picture
from nomos.design.reasons import why_so_many
from nomos.design.sketch import FIELD_PX_PER_MM, Sketch, choice_of, colours_of, fields_of, finer, judged_at, look_at
from nomos.design.tones import lay_tones

SMALLEST_FEATURE_MM = 0.8
_ERROR_SAMPLES = 200_000
# A picture of fewer pixels has no patches to look for.
_LEAST_PX = 24
# Shrunk by more than this, thin lines turn grey: the darkest of each pixel is kept too.
_DARK_FROM = 1.4
_MOST_FIELD_PIXELS = 36_000_000
_LEAST_DRIFT = 1.5


@dataclass(frozen=True, eq=False)
class Looked:
    """A picture looked at once, for any number of colours: what each way of reading needs.

    smallest_mm, dropped : what the look depends on besides the picture.
    """

    picture: Picture
    read_as: ReadAs
    smallest_mm: float
    drawing: Drawing | None = None
    sketch: Sketch | None = None
    dropped: bool = False
    kind: Kind | None = None

    @property
    def other(self) -> ReadAs | None:
        """The other way this picture may as well be read, where it lies between two."""
        if self.kind is None or not self.kind.between:
            return None
        return "sketch" if self.read_as == "tones" else "tones"

    def even_rgb(self) -> Rgb:
        """The picture with its light evened out, at its own resolution."""
        if self.sketch is None or self.read_as == "tones":
            return self.picture.rgb
        return self.sketch.light.applied(self.picture.rgb)


def look(
    picture: Picture, *, smallest_feature_mm: float = SMALLEST_FEATURE_MM, read_as: ReadAs | None = None,
    corrections: Sequence[Correction] = (), progress: Progress = NULL_PROGRESS,
) -> Looked:  # fmt: skip
    """Look at a picture: whether it is a digital drawing, a sketch or shaded tones, and what is in it.

    read_as : how to read it; None judges.
    """
    progress.report(0.0, tr("looking at the design"))
    if read_as in (None, "drawing"):
        drawing = recognise_drawing(picture.rgb)
        if drawing is not None:
            return Looked(picture, "drawing", smallest_feature_mm, drawing)
    if read_as in ("tones", "drawing") or min(picture.rgb.shape[:2]) < _LEAST_PX:
        return Looked(picture, "tones", smallest_feature_mm)
    part = Part(progress, 0.0, 0.3)
    kind = kind_of(picture.rgb, part, light=picture.light) if read_as is None else None
    if kind is not None and kind.read_as == "tones":
        return Looked(picture, "tones", smallest_feature_mm, kind=kind)
    dropped = drops_faint(corrections)
    sketch = _sketch_of(picture, smallest_feature_mm, dropped, Part(progress, 0.3, 1.0))
    return Looked(picture, "sketch", smallest_feature_mm, None, sketch, dropped, kind)


def _sketch_of(picture: Picture, smallest_mm: float, drop_faint: bool, progress: Progress) -> Sketch:
    import cv2

    ppm = judged_at(picture.px_per_mm, picture.size_mm, smallest_mm)
    size = max(8, round(picture.size_mm[0] * ppm)), max(8, round(picture.size_mm[1] * ppm))
    rgb, dark = picture.rgb, None
    if size != (rgb.shape[1], rgb.shape[0]):
        shrink = rgb.shape[1] / size[0]
        if shrink > _DARK_FROM:
            reach = max(2, round(shrink))
            lowest = cv2.erode(rgb, np.ones((reach, reach), np.uint8))
            dark = np.asarray(cv2.resize(lowest, size, interpolation=cv2.INTER_AREA), np.uint8)
        how = cv2.INTER_AREA if shrink > 1 else cv2.INTER_LINEAR
        rgb = np.asarray(cv2.resize(rgb, size, interpolation=how), np.uint8)
    return look_at(
        rgb, size[0] / picture.size_mm[0], light=picture.light, dark=dark, drop_faint=drop_faint,
        progress=progress,
    )  # fmt: skip


def flatten(
    picture: Picture, colours: int | None, *, smallest_feature_mm: float = SMALLEST_FEATURE_MM, seed: int = 0,
    read_as: ReadAs | None = None, corrections: Sequence[Correction] = (), looked: Looked | None = None,
    progress: Progress = NULL_PROGRESS,
) -> FlatDesign:  # fmt: skip
    """Reduce a design to flat colours with no speck smaller than the smallest feature.

    Parameters
    ----------
    picture : the design at print resolution.
    colours : 2 to 24, or None to let the program count them.
    smallest_feature_mm : a region of less area than a square of this side is
        given to its neighbours; 0 keeps everything.
    seed : the same seed gives the same result.
    read_as : how to read the design; None judges.
    corrections : what a hand has corrected, applied again.
    looked : from `look`, for the same picture; None looks now.

    Returns
    -------
    FlatDesign; fewer colours than requested where the design has no more, or
    where one of them occurred in specks only.

    Raises
    ------
    BadInput : a number of colours outside 2 to 24, or a smallest feature below 0 or above 20 mm.
    Cancelled : called off through `progress`.
    """
    if colours is not None and not FEWEST <= colours <= MOST:
        raise BadInput(
            tr(
                "A design can be flattened to {fewest} to {most} colours, not {colours}.",
                fewest=FEWEST, most=MOST, colours=colours,
            )
        )  # fmt: skip
    if not 0 <= smallest_feature_mm <= 20:
        raise BadInput(
            tr(
                "The smallest feature must be {range}, not {smallest_feature_mm}.",
                smallest_feature_mm=length_text(smallest_feature_mm, None),
                range=range_text(0, 20),
            )
        )
    if looked is None:
        looked = look(
            picture, smallest_feature_mm=smallest_feature_mm, read_as=read_as, corrections=corrections,
            progress=Part(progress, 0.0, 0.6),
        )  # fmt: skip
    rest = Part(progress, 0.6, 0.9)
    if looked.read_as == "drawing":
        made = _of_drawing(looked, colours, corrections, rest)
    elif looked.read_as == "sketch":
        made = _of_sketch(looked, colours, corrections, rest)
    else:
        shaded = looked.kind is not None and looked.kind.read_as == "tones"
        labels, labs, suggestion = lay_tones(
            looked.picture, colours, looked.smallest_mm, seed, shaded=shaded, progress=rest
        )
        made = _Made(labels, [as_lab(lab) for lab in labs], suggestion)
    progress.report(0.92, "correcting")
    lost = _correct(made, looked, corrections)
    progress.report(0.95, "measuring")
    return _measured(looked, made, (*_doubted(looked), *lost))


_DOUBT = {
    "sketch": tr("This picture lies between a sketch and shaded tones; it was read as tones."),
    "tones": tr("This picture lies between a sketch and shaded tones; it was read as a sketch."),
}


def _doubted(looked: Looked) -> tuple[str, ...]:
    return (_DOUBT[looked.other],) if looked.other is not None else ()


@dataclass(eq=False)
class _Made:
    """Fields before they are measured."""

    labels: Labels
    labs: list[Lab]
    suggestion: Suggestion | None
    line: int | None = None
    paper: int | None = None
    unsure: Mask | None = None
    gradients: tuple[tuple[tuple[int, ...], Gradient], ...] = ()


def _of_drawing(looked: Looked, requested: int | None, corrections: Sequence[Correction], progress: Progress) -> _Made:
    drawing, picture = looked.drawing, looked.picture
    assert drawing is not None
    wanted = wanted_of(requested, corrections)
    tree = Dendrogram(drawing.lab, drawing.share, wanted.pinned)
    own = len(drawing.lab) + tree.pinned
    all_of_them = min(own, MOST)
    groups = tree.cut_to(all_of_them if requested is None else requested)
    progress.report(0.1, tr("laying colours"))
    labels = lay_drawing(picture.rgb, drawing.lab)
    labels = looked_up(groups[tree.pinned :].astype(np.uint8), labels)
    progress.report(0.6, tr("clearing specks"))
    slope = on_a_slope(picture.rgb) if looked.smallest_mm > 0 else None
    labels = remove_specks(labels, looked.smallest_mm * picture.px_per_mm, slope)
    # Colours are taken as they are: of those joined, the commonest stands for all.
    labs = [
        as_lab(tree.labs[np.flatnonzero(groups == n)[np.argmax(tree.share[groups == n])]])
        for n in range(groups.max() + 1)
    ]
    why = (
        tr("{all_of_them}, as in the file.", all_of_them=counted(all_of_them, tr("colour"), tr("colours")))
        if own <= MOST
        else ""
    )
    return _Made(labels, labs, Suggestion(max(FEWEST, all_of_them), tree.curve(16), why))


def _of_sketch(looked: Looked, requested: int | None, corrections: Sequence[Correction], progress: Progress) -> _Made:
    sketch, picture = looked.sketch, looked.picture
    assert sketch is not None
    wanted = wanted_of(requested, corrections)
    choice = choice_of(sketch, wanted.pinned)
    free = colours_of(sketch, replace(wanted, requested=None), choice)
    if requested is None and len(free.labs) > MOST:
        requested = MOST
    counted = free if requested is None else colours_of(sketch, replace(wanted, requested=requested), choice)
    furthest = FURTHEST
    while requested is not None and len(counted.labs) < requested and furthest > _LEAST_DRIFT:
        # More colours than areas: what runs from one colour to another is parted into bands.
        furthest /= 2
        sketch = finer(sketch, furthest)
        counted = colours_of(sketch, replace(wanted, requested=requested))
    ppm = min(FIELD_PX_PER_MM, float(np.sqrt(_MOST_FIELD_PIXELS / (picture.size_mm[0] * picture.size_mm[1]))))
    size = max(8, round(picture.size_mm[1] * ppm)), max(8, round(picture.size_mm[0] * ppm))
    laid = fields_of(sketch, counted, size, looked.smallest_mm, progress=progress)
    alone = int(free.line is not None and not (free.of_patch == free.line).any())
    why = why_so_many([as_lab(lab) for lab in free.labs], free.line, free.paper, free.joined, alone)
    suggestion = Suggestion(min(max(len(free.labs), FEWEST), MOST), free.curve, why)
    labs = [as_lab(lab) for lab in counted.labs]
    paper = counted.paper
    if paper is None and sketch.paper is not None:
        # Paper that no patch was made of may still show here and there.
        labs, paper = [*labs, sketch.paper], len(labs)
    made = _Made(laid.labels.copy(), labs, suggestion, counted.line, paper, laid.unsure)
    made.gradients = tuple(
        (tuple(sorted({int(counted.of_patch[p]) for p in each.patches} - {-1})), each)
        for each in find_gradients(sketch.pooled, sketch.patches, sketch.px_per_mm)
    )
    return made


def _correct(made: _Made, looked: Looked, corrections: Sequence[Correction]) -> tuple[str, ...]:
    if not corrections:
        return ()
    picture, (height, width) = looked.picture, made.labels.shape
    ppm = width / picture.size_mm[0]

    def to_pixel(place: tuple[float, float]) -> tuple[int, int] | None:
        x, y = picture.place_mm(place)
        column, row = int(x * ppm), int(y * ppm)
        return (row, column) if 0 <= row < height and 0 <= column < width else None

    def alike(row: int, column: int, other: Lab) -> Mask:
        return _alike(looked, (height, width), row, column, other)

    fields = Fields(made.labels.copy(), made.labs, made.line, made.paper)
    lost = apply(fields, corrections, to_pixel, ppm, alike)
    made.labels, made.line, made.paper = fields.labels, fields.line, fields.paper
    return lost


def _alike(looked: Looked, shape: tuple[int, int], row: int, column: int, other: Lab) -> Mask:
    """Pixels nearer in colour to those at a place than to the colour they were given."""
    import cv2

    lab = looked.sketch.pooled if looked.sketch is not None else srgb_to_lab(looked.picture.rgb).astype(np.float32)
    own = lab[row * lab.shape[0] // shape[0], column * lab.shape[1] // shape[1]]
    nearer = np.linalg.norm(lab - own, axis=-1) < np.linalg.norm(lab - np.array(other, np.float32), axis=-1)
    page = cv2.resize(nearer.view(np.uint8), (shape[1], shape[0]), interpolation=cv2.INTER_NEAREST)
    return np.asarray(page > 0)


def _measured(looked: Looked, made: _Made, notes: tuple[str, ...]) -> FlatDesign:
    """The design with its colours light to dark, those that do not occur left out, and what they cover."""
    import cv2

    count = len(made.labs)
    pixels = cv2.calcHist([made.labels], [0], None, [count], [0, count]).ravel()
    used = np.flatnonzero(pixels)
    used = used[np.argsort([-made.labs[n][0] for n in used], kind="stable")]
    renumber = np.zeros(256, np.uint8)
    renumber[used] = np.arange(len(used))
    labels = cv2.LUT(made.labels, renumber).astype(np.uint8, copy=False)
    labels.flags.writeable = False
    share = pixels[used] / pixels.sum()
    width, height = looked.picture.size_mm
    colours = tuple(
        FlatColour(made.labs[n], float(part * width * height), float(part * 100))
        for n, part in zip(used, share, strict=True)
    )
    place = {int(n): at for at, n in enumerate(used)}
    return FlatDesign(
        labels, colours, _mean_difference(looked, labels, np.array([made.labs[n] for n in used])),
        looked.picture.size_mm, made.suggestion, looked.read_as,
        None if made.line is None else place.get(made.line),
        None if made.paper is None else place.get(made.paper),
        made.unsure, (*notes, *_said_of_light(looked)),
        tuple(
            (tuple(sorted(place[n] for n in numbers)), each)
            for numbers, each in made.gradients
            if numbers and all(n in place for n in numbers)
        ),
    )  # fmt: skip


def _mean_difference(looked: Looked, labels: Labels, palette: NDArray[np.float64]) -> float:
    """Mean ΔE00 between the design and its flat colours, on a sample."""
    sketch = looked.sketch
    seen = sketch.even if sketch is not None and looked.read_as == "sketch" else looked.picture.rgb
    stride = max(1, int(np.sqrt(seen.shape[0] * seen.shape[1] / _ERROR_SAMPLES)))
    rows = np.arange(0, seen.shape[0], stride)
    columns = np.arange(0, seen.shape[1], stride)
    source = srgb_to_lab(seen[::stride, ::stride].reshape(-1, 3))
    at = labels[np.ix_(rows * labels.shape[0] // seen.shape[0], columns * labels.shape[1] // seen.shape[1])]
    return float(delta_e00(source, palette[at.ravel()]).mean())


def _said_of_light(looked: Looked) -> tuple[str, ...]:
    if looked.sketch is None or looked.read_as != "sketch" or looked.sketch.light.shadow < 0.03:
        return ()
    return (
        tr(
            "A shadow lies over {shadow:.0f} % of the sheet and could not be evened out: what is "
            "in it may come out darker. Photograph it again in even light.",
            shadow=100 * looked.sketch.light.shadow,
        ),
    )
