"""Printed sheets as they may come out, and scans of them measured: how far each pull is out of register."""

from collections.abc import Sequence
from dataclasses import dataclass, replace

import numpy as np
from numpy.typing import NDArray

from nomos.base.language import tr
from nomos.colour import lab_to_srgb, reflectance_to_lab
from nomos.project.inks.films import FilmKey, printed_reflectance
from nomos.project.model import Project, ProjectError
from nomos.project.register.system import marks_of, middle_of, sheet_of
from nomos.project.register.wet import goes_on_wet_ink, mottled, patches
from nomos.project.sheet.laying import Array
from nomos.project.sheet.masks import CutBlocks
from nomos.registration import Motion, PrintedMark
from nomos.registration.printed_marks import CROSS_MM, DISC_MM, LINE_MM
from nomos.registration.scan_marks import ScanError, find_blobs, match_marks
from nomos.separation import Mask

Picture = NDArray[np.uint8]

# A pull found from the picture is told only where its worst corner is this sure, two standard errors.
SURE_MM = 0.3
_MOST_PULLS = 14
SCAN_PX_PER_MM = 300 / 25.4


@dataclass(frozen=True)
class PullFound:
    """One pull on a scan.

    motion : about the middle of the image; None where it cannot be told.
    sigma_mm : one standard error at the image's worst corner.
    sigmas : of the shift in mm, the rotation in degrees, the stretches as shares.
    problem : why it cannot be told.
    how : from its marks or from the picture.
    """

    pull: str
    how: str
    motion: Motion | None
    sigma_mm: float = 0.0
    sigmas: tuple[float, float, float] = (0.0, 0.0, 0.0)
    problem: str = ""


@dataclass(frozen=True)
class ScanFound:
    """What a photograph or a scan shows: how it lay, its scale, and every pull.

    against : the pull that the others are measured against; "" is the sheet's edges.
    printed : how many pulls the sheet has.
    left_mm : how far places are off beyond what pulls explain, root mean square.
    """

    turned_deg: float
    px_per_mm: tuple[float, float]
    pulls: tuple[PullFound, ...]
    against: str = ""
    printed: int = 0
    left_mm: float = 0.0


def colour_table(project: Project) -> Array:
    """The colour of every set of pulls, a bit each: (2 ** pulls, 3), 0 to 255. Raises ProjectError."""
    pulls = project.impressions
    if len(pulls) > _MOST_PULLS:
        raise ProjectError(
            "impressions",
            tr(
                "Whole sheets are drawn and read for up to {most_pulls} pulls, not {pulls}.",
                most_pulls=_MOST_PULLS,
                pulls=len(pulls),
            ),
        )
    rows = np.arange(1 << len(pulls))[:, None] >> np.arange(len(pulls)) & 1 > 0
    labs = reflectance_to_lab(printed_reflectance(project, [FilmKey(pull.id, 0) for pull in pulls], rows))
    return lab_to_srgb(labs).astype(np.float64)


def still(project: Project) -> list[Motion]:
    """Every pull where it should be."""
    return [Motion(middle_of(project), (0.0, 0.0), 0.0) for _ in project.impressions]


def pull_masks(project: Project, blocks: CutBlocks) -> tuple[Mask, ...]:
    """What each pull prints, in print order."""
    return tuple(blocks.masks[project.number_of(pull.block)] for pull in project.impressions)


def printed_sheet(
    project: Project, blocks: CutBlocks, motions: Sequence[Motion], px_per_mm: float = SCAN_PX_PER_MM,
    inking: Sequence[NDArray[np.float32] | None] | None = None, *, texture: int | None = None,
    table: Array | None = None,
) -> Picture:  # fmt: skip
    """A whole sheet as it comes out with every pull moved, with its printed marks. (height, width, 3).

    inking : for each pull how much of its ink is there, 0 to 1, a page of the sheet's size; None is all.
    table : the colours of sets of pulls as they were seen; None takes them as they are expected.
    texture : where ink that goes onto wet ink takes unevenly, by chance from this seed; None is evenly.
    """
    import cv2

    width, height = (round(side * px_per_mm) for side in sheet_of(project))
    image, marks = project.image, marks_of(project)[0]
    bits = np.zeros((height, width), np.int32)
    table = colour_table(project) if table is None else table
    for place, (pull, mask, motion) in enumerate(
        zip(project.impressions, pull_masks(project, blocks), motions, strict=True)
    ):
        # From pixels of the mask to mm on the sheet, by the motion, to pixels of the page.
        own = np.array([[1, 0, 0.5], [0, 1, 0.5], [0, 0, blocks.px_per_mm]]) / blocks.px_per_mm
        own[:2, 2] += (image.left, image.top)
        to_page = px_per_mm * motion.affine() @ own
        to_page[:, 2] -= 0.5
        moved = cv2.warpAffine(mask * np.uint8(255), to_page, (width, height), flags=cv2.INTER_LINEAR)
        page = np.asarray(moved, np.uint8)
        block = project.number_of(pull.block)
        for mark in marks:
            if mark.block == block:
                _draw_mark(page, mark, motion, px_per_mm)
        bits |= (page > 127).astype(np.int32) << place
    if inking is None and texture is not None and goes_on_wet_ink(project):
        return mottled(project, bits, table, patches(bits.shape, px_per_mm, texture))
    if inking is None:
        return np.asarray(np.clip(np.rint(table), 0, 255).astype(np.uint8)[bits])
    rgb = table[bits]
    for place, share in enumerate(inking):
        if share is not None:
            without = table[bits & ~(1 << place)]
            rgb = without + (rgb - without) * share[..., None]
    return np.clip(np.rint(rgb), 0, 255).astype(np.uint8)


def _draw_mark(page: Picture, mark: PrintedMark, motion: Motion, px_per_mm: float) -> None:
    import cv2

    for ring in mark.rings:
        points = motion.moved(np.array(ring)) * px_per_mm - 0.5
        cv2.fillPoly(page, [np.rint(points * 256).astype(np.int32)], 255, lineType=cv2.LINE_AA, shift=8)


def pulls_by_marks(
    project: Project, page: Picture, px_per_mm: float, marks: Sequence[PrintedMark]
) -> tuple[PullFound, ...]:
    """How far every pull is out by its printed marks.

    Parameters
    ----------
    page : (height, width, 3) uint8, the whole sheet, straight and to scale.
    """
    disc = np.pi * DISC_MM**2 / 4 if project.register.marks == "rings" else (2 * CROSS_MM - LINE_MM) * LINE_MM
    image = project.image
    blobs = find_blobs(page, px_per_mm, disc, (image.left, image.top, image.right, image.bottom))
    table = colour_table(project)
    pulls = []
    for place, pull in enumerate(project.impressions):
        name = project.pull_name(pull.id)
        block = project.number_of(pull.block)
        expected = np.array([mark.place_mm for mark in marks if mark.block == block])
        red, green, blue = (float(value) for value in table[1 << place])
        try:
            fit = match_marks(expected, blobs, (red, green, blue), name)
        except ScanError as error:
            pulls.append(PullFound(pull.id, "marks", None, problem=str(error)))
            continue
        motion = about(fit.motion, middle_of(project))
        reach = np.hypot(image.width, image.height) / 2
        stretch = max(fit.sigma_stretch or (0.0, 0.0))
        turn = np.radians(fit.sigma_rotation_deg)
        sigma = float(np.sqrt(fit.sigma_shift_mm**2 + (reach * turn) ** 2 + (reach * stretch) ** 2))
        sigmas = (fit.sigma_shift_mm, fit.sigma_rotation_deg, stretch)
        pulls.append(PullFound(pull.id, "marks", motion, sigma, sigmas))
    return tuple(pulls)


def about(motion: Motion, centre: tuple[float, float]) -> Motion:
    """The same motion, its shift counted at another place."""
    at = motion.moved(np.array([centre]))[0]
    return replace(motion, centre_mm=centre, shift_mm=(float(at[0] - centre[0]), float(at[1] - centre[1])))


def motion_of_change(project: Project, change: Array) -> Motion:
    """An affine change, mm from the image's top left, as a motion about the image's middle."""
    a, b, c, d, e, f = (float(value) for value in change)
    x, y = project.image.width / 2, project.image.height / 2
    turn = float(np.degrees(np.arctan2(e - c, 2 + b + f)))
    matrix = np.array([[1 + b, c], [e, 1 + f]])
    along, across = (float(value) for value in np.hypot(*matrix))
    return Motion(middle_of(project), (a + b * x + c * y, d + e * x + f * y), turn, (along - 1, across - 1))


def sigmas_of(project: Project, own: Array) -> tuple[float, float, float]:
    """Standard errors of shift in mm, rotation in degrees, the larger stretch. own : (6, 6) of a change."""
    x, y = project.image.width / 2, project.image.height / 2
    at = np.array([[1, x, y, 0, 0, 0], [0, 0, 0, 1, x, y]])
    shift = float(np.sqrt(np.trace(at @ own @ at.T) / 2))
    turn = np.array([0, 0, -0.5, 0, 0.5, 0])
    rotation = float(np.degrees(np.sqrt(turn @ own @ turn)))
    return shift, rotation, float(np.sqrt(max(own[1, 1], own[5, 5])))
