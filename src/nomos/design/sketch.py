"""Reading a sketch that a hand drew: its line, its patches, its colours, its flat fields."""

from dataclasses import dataclass, replace

import numpy as np
from numpy.typing import NDArray

from nomos.base.language import tr
from nomos.base.progress import NULL_PROGRESS, Part, Progress
from nomos.colour import Lab
from nomos.design.counting import Candidates, Counted, Wanted, candidates, count_colours
from nomos.design.evidence import Evidence, Laid, lay_colours
from nomos.design.light import Light, measure_light
from nomos.design.line import DrawnLine, find_line
from nomos.design.mixtures import Surroundings, surroundings
from nomos.design.modes import find_modes
from nomos.design.page import WEIGHTS, Mask, Page, Rgb, grown, lab_page, looking_past, odd, steepness
from nomos.design.patches import Patches, find_patches
from nomos.design.texture import POOL_MM, grain_of, smoothed

# Paper darker than this, L*, carries pale colours.
_DARK_PAPER = 48.0
# Evidence is judged at this many pixels for the smallest feature, within bounds; finer costs time and
# finds nothing more (measured in benchmarks/).
_PX_PER_FEATURE = 4.0
_COARSEST, _FINEST = 4.0, 7.0
_MOST_PIXELS = 4_000_000
# Fields are drawn at this resolution: a knife follows no finer outline.
FIELD_PX_PER_MM = 8.0
_STEEP = 14.0
_BESIDE_LINE_MM = 0.5
_RIM_MM = 0.6
_NOT_PAPER = 9.0


@dataclass(frozen=True, eq=False)
class Sketch:
    """A sketch looked at: everything that does not depend on how many colours are wanted.

    even : (height, width, 3) uint8, evened out, at the resolution it is judged at.
    light : what was found of its light.
    drawn : its line. paper : the paper's colour where it shows.
    """

    even: Rgb
    light: Light
    drawn: DrawnLine
    paper: Lab | None
    seen: Evidence
    pooled: Page
    patches: Patches
    around: Surroundings
    px_per_mm: float
    modes: NDArray[np.float64]
    barrier: Mask
    noise: float


def judged_at(px_per_mm: float, size_mm: tuple[float, float], smallest_mm: float) -> float:
    """Pixels a mm that a sketch is judged at.

    Parameters
    ----------
    px_per_mm : of the picture.
    size_mm : of the print.
    smallest_mm : feature that is kept.

    Returns
    -------
    Pixels a mm.
    """
    wanted = min(max(_PX_PER_FEATURE / max(smallest_mm, 0.1), _COARSEST), _FINEST)
    most = float(np.sqrt(_MOST_PIXELS / (size_mm[0] * size_mm[1])))
    return min(px_per_mm, wanted, max(most, 2.0))


def look_at(
    rgb: Rgb, px_per_mm: float, *, light: Light | None = None, dark: Rgb | None = None,
    drop_faint: bool = False, progress: Progress = NULL_PROGRESS,
) -> Sketch:  # fmt: skip
    """Look at a sketch.

    Parameters
    ----------
    rgb : (height, width, 3) uint8 at the resolution it is judged at.
    light : the light measured on a larger view with its margin; None measures it here.
    dark : (height, width, 3) the darkest of what each pixel was shrunk from, for lines thinner than a pixel.
    drop_faint : soft construction lines are left out.
    """
    progress.report(0.0, tr("evening out the light"))
    light = measure_light(rgb) if light is None else light
    even = light.applied(rgb)
    lab = lab_page(even)
    darkest = None if dark is None else lab_page(light.applied(dark))[..., 0]
    drawn = find_line(lab, px_per_mm, darkest)
    if light.tinted and light.paper is not None and light.paper[0] < _DARK_PAPER:
        # Dark ground between pale strokes is no line.
        drawn = DrawnLine(np.zeros(lab.shape[:2], bool), None, np.zeros(lab.shape[:2], bool))
    if drop_faint and drawn.faint.any():
        even = looking_past(even.astype(np.float32), grown(drawn.faint, 0.3 * px_per_mm)).astype(np.uint8)
        lab = lab_page(even)
    progress.report(0.1, tr("smoothing the grain"))
    smooth = lab_page(smoothed(even, px_per_mm, progress=Part(progress, 0.1, 0.6)))
    beside = grown(drawn.strokes, _BESIDE_LINE_MM * px_per_mm)
    # A page is never cut exactly: a hair of frame or table along its edge is no colour.
    rim = max(1, round(_RIM_MM * px_per_mm))
    for edge in (beside[:rim], beside[-rim:], beside[:, :rim], beside[:, -rim:]):
        edge[:] = True
    calm = (steepness(smooth) < _STEEP) & ~beside
    paper = light.paper
    inked = calm & (np.abs(smooth - np.array(paper or (200.0, 0, 0), np.float32)).max(axis=-1) > _NOT_PAPER)
    inked = inked if inked.mean() > 0.02 else calm
    grain = grain_of(lab, inked, px_per_mm)
    modes = np.asarray(find_modes(smooth, calm, float(np.clip(1.5 + 0.3 * grain, 2.0, 4.5))), np.float64)
    progress.report(0.7, tr("finding fields"))
    side = odd(POOL_MM * px_per_mm)
    pooled = _blurred(looking_past(smooth, beside), side)
    noise = _noise(pooled, inked, px_per_mm)
    patches = find_patches(pooled, modes, beside, noise, px_per_mm, progress=Part(progress, 0.7, 1.0))
    around = surroundings(patches, beside, drawn.lab, paper, px_per_mm)
    seen = Evidence(lab, smooth, drawn.strokes, paper, px_per_mm, darkest)
    return Sketch(even, light, drawn, paper, seen, pooled, patches, around, px_per_mm, modes, beside, noise)


def finer(sketch: Sketch, furthest: float) -> Sketch:
    """The same sketch with patches that drift less far: where more colours are wanted than it has areas."""
    patches = find_patches(
        sketch.pooled, sketch.modes, sketch.barrier, sketch.noise, sketch.px_per_mm, furthest=furthest
    )
    around = surroundings(patches, sketch.barrier, sketch.drawn.lab, sketch.paper, sketch.px_per_mm)
    return replace(sketch, patches=patches, around=around)


def choice_of(sketch: Sketch, pinned: tuple[Lab, ...] = ()) -> Candidates:
    """What its colours are chosen from, for any number of them."""
    return candidates(sketch.patches, pinned, sketch.px_per_mm)


def colours_of(sketch: Sketch, wanted: Wanted, choice: Candidates | None = None) -> Counted:
    """The colours a person would count in it."""
    choice = choice or choice_of(sketch, wanted.pinned)
    return count_colours(sketch.patches, sketch.around, wanted, choice)


def fields_of(
    sketch: Sketch, counted: Counted, size: tuple[int, int], smallest_mm: float,
    *, progress: Progress = NULL_PROGRESS,
) -> Laid:  # fmt: skip
    """Its flat fields, a page of numbers of a height and width."""
    return lay_colours(sketch.seen, counted, sketch.patches, size, smallest_mm, progress=progress)


def _blurred(page: Page, side: int) -> Page:
    import cv2

    return np.asarray(cv2.blur(page, (side, side)), np.float32)


def _noise(pooled: Page, inked: Mask, px_per_mm: float) -> float:
    """The step that grain makes between two places as far apart as a border is looked across."""
    apart = 2 * max(1, round(0.8 * px_per_mm)) + 1
    if pooled.shape[1] <= apart:
        return 0.0
    weighted: NDArray[np.float32] = pooled * WEIGHTS
    step = np.linalg.norm(weighted[:, apart:] - weighted[:, :-apart], axis=-1)
    there = inked[:, apart // 2 : apart // 2 + step.shape[1]]
    return float(np.median(step[there])) if there.any() else 0.0
