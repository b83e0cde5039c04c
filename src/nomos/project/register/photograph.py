"""A photograph or a scan of a proof laid on the print: where the sheet lies, how far every pull is out."""

from collections.abc import Callable, Sequence
from dataclasses import dataclass, replace
from functools import partial

import numpy as np
from msgspec.structs import replace as replaced
from numpy.typing import NDArray

from nomos.base.language import tr
from nomos.base.progress import NULL_PROGRESS, Part, Progress
from nomos.base.units import length_text
from nomos.colour.cielab import srgb_encode
from nomos.project.model import Project, ProjectError
from nomos.project.register.placing import Corners, corners_of, light_of, place_print, shrunk
from nomos.project.register.scan import (
    SCAN_PX_PER_MM,
    SURE_MM,
    PullFound,
    ScanFound,
    colour_table,
    motion_of_change,
    printed_sheet,
    pull_masks,
    pulls_by_marks,
    sigmas_of,
    still,
)
from nomos.project.register.system import marks_of, sheet_of
from nomos.project.sheet.masks import CutBlocks
from nomos.registration.alignment import Aligned, aligned, gains
from nomos.registration.scan_marks import ScanError
from nomos.registration.scan_picture import PageMoves, PrintFit, corner_sigma_mm, fit_picture
from nomos.registration.warp import TERMS, Warp, taken_out

Picture = NDArray[np.uint8]
Image = NDArray[np.float32]

# A sheet lay on a flatbed where its corners are square to this share, and a straight view explains it as well
# but for that: pulls that are far out look like a lens at first.
_SQUARE, _NO_WORSE = 0.002, 1.1
# Where less of its contrast is seen at full sharpness, a print is refused. Chosen by us.
_LEAST_FINE = 0.7
# What is left over by place beyond this, mm, is a sheet that does not lie flat.
_MOST_LEFT_MM, _FAR = 0.12, 2.5
# So is one that bends by so much over its whole; and what a bend may be wrong by, as a share.
_MOST_BENT_MM, _OF_BEND = 1.0, 0.08
# Where the sheet's edges are this sharp, pulls are measured against them.
_SHARP_MM, _EDGE_MM = 0.06, 0.02
# What the terms of a lens and a bend may be wrong by where nothing is printed, as a share of what they do;
# and what the warp's own errors are widened by, as a pull's are. Measured in benchmarks/.
_OF_LENS, _WIDENED = 0.06, 4.0
# Two standard errors of the fit held 89 % of truths (299 pulls); times this 97 %. Told is what was told before it.
_OF_PULL = 1.3

# Pixels a mm that pulls are fitted at, with so much bare paper around the image, mm.
_FINE, _PAD_MM, _LIT = 10.0, 4.0, 2.0
# In turns: the sheet is laid on the print (pixels a mm, steps), then the pulls are fitted (likewise), and the
# print is laid anew with what was found. Measured in benchmarks/.
_TURNS = (
    (((0.5, 6), (1.0, 6), (2.0, 6)), ((1.5, 6), (3.0, 2))),
    (((3.0, 4),), ((5.0, 2),)),
    (((3.0, 3),), ((5.0, 2),)),
)


@dataclass(frozen=True, eq=False)
class Laid:
    """A photograph laid on a print.

    aligned : where the sheet lies. fit : where the pulls print, on that.
    anchored : the sheet lies where its edges say, as on a flatbed.
    """

    aligned: Aligned
    fit: PrintFit
    anchored: bool


def measure_proof(
    project: Project, blocks: CutBlocks, picture: Picture, *, by_marks: bool | None = None,
    against: str | None = None, placed: "Placed | None" = None, progress: Progress = NULL_PROGRESS,
) -> ScanFound:  # fmt: skip
    """How far every pull is out on a photograph or a scan of a sheet.

    Parameters
    ----------
    picture : (height, width, 3) uint8 sRGB, the sheet as it lies on a table, in any perspective.
    by_marks : by its printed marks or from the picture; None takes the marks where there are any.
    against : the pull that the others are measured against; "" is the sheet's edges, None those where they
        are seen sharply, and otherwise the last pull, which is the key in most plans.
    placed : the picture, where it has been laid on the print already.

    Raises
    ------
    ScanError : the print is not found, or what is seen cannot be trusted.
    ProjectError : nothing to print.
    Cancelled : called off through `progress`.
    """
    if not project.impressions or project.flat is None:
        raise ProjectError("impressions", tr("There is nothing to look for on a scan: open a picture first."))
    marks = marks_of(project)[0]
    wanted = bool(marks) and project.register.marks in ("rings", "crosses") if by_marks is None else by_marks
    if wanted and not marks:
        raise ScanError(tr("The project prints no marks: choose rings or crosses, or read the picture itself."))
    if placed is None:
        placed = placed_photograph(project, blocks, picture, progress)
    here, laid, light = placed.project, placed.laid, placed.light
    printed = len(here.impressions)
    edges = None if placed.anchor is None else _edges(laid, placed.anchor)
    if against is None:
        sharp = edges is not None and (edges.sigma_mm < _SHARP_MM or len(here.impressions) == 1)
        against = "" if sharp else here.impressions[-1].id
    if against == "" and edges is None:
        raise ScanError(tr("The sheet's edges are not all seen here: ask how far pulls are out against another pull."))
    if wanted:
        page, _ = taken_out(light, laid.aligned.warp, SCAN_PX_PER_MM, (0, 0, *sheet_of(project)))
        by_mark = pulls_by_marks(here, _coded(page), SCAN_PX_PER_MM, marks)
        # On a flatbed nothing but the marks' own errors moves them.
        pulls = tuple(
            each if laid.anchored else replace(each, sigma_mm=_unsure(each.sigma_mm, laid.aligned)) for each in by_mark
        )
    else:
        pulls = _pulls(here, laid, against)
    pulls = tuple(_against(here, each, pulls, against, edges) for each in pulls)
    missing = tuple(
        PullFound(pull.id, "picture", None, problem=tr("It is not printed yet on this sheet."))
        for pull in project.impressions[printed:]
    )
    return ScanFound(
        laid.aligned.warp.turned_deg, laid.aligned.warp.px_per_mm(), pulls + missing, against, printed,
        laid.aligned.unexplained_mm,
    )  # fmt: skip


@dataclass(frozen=True, eq=False)
class Placed:
    """A photograph of a sheet of a project, laid on what is printed of it.

    light : (height, width, 3) float32, linear. project : with the pulls that are printed.
    anchor : where its edges say that the sheet lies; None where they are not seen.
    """

    light: Image
    project: Project
    laid: Laid
    anchor: Warp | None


def placed_photograph(
    project: Project, blocks: CutBlocks, picture: Picture, progress: Progress = NULL_PROGRESS
) -> Placed:
    """Find a project's sheet on a photograph or a scan, and lay it on the print.

    Parameters
    ----------
    picture : (height, width, 3) uint8 sRGB.

    Raises
    ------
    ScanError : the print is not found, or what is seen cannot be trusted.
    Cancelled : called off through `progress`.
    """
    progress.report(0.02, tr("looking for the sheet"))
    light = light_of(picture)
    corners, seen = corners_of(picture)
    warp, printed = place_print(project, blocks, light, corners, Part(progress, 0.05, 0.3))
    here = replaced(project, impressions=project.impressions[:printed])
    anchor = _nearest(corners, warp) if seen else None
    laid = lay_photograph(here, blocks, light, warp, anchor, Part(progress, 0.3, 1.0))
    _judge(laid.aligned)
    return Placed(light, here, laid, anchor)


def _judge(laid: Aligned) -> None:
    """Whether what is seen can be trusted. Raises ScanError."""
    if laid.explained < _LEAST_FINE:
        raise ScanError(
            tr(
                "What is photographed agrees with this print to {share} % only: is it another print, or a "
                "photograph of a screen? Photograph the proof itself, sharp and in even light.",
                share=f"{100 * laid.explained:.0f}",
            )
        )
    bent = float(np.abs(laid.warp.bend).max())
    if max(laid.unexplained_mm - _MOST_LEFT_MM, bent - _MOST_BENT_MM) > 0:
        raise ScanError(
            tr(
                "The sheet does not lie flat here: places are off by {left} that no block explains. Press it "
                "flat, under glass or with weights at its edges, and photograph it again from above.",
                left=length_text(max(laid.unexplained_mm, bent), 2),
            )
        )


@dataclass(frozen=True, eq=False)
class _Edges:
    """Where the sheet's edges lie on the print.

    matrix : (2, 3) from mm on the print to mm on the sheet. sigma_mm : one standard error of that.
    """

    matrix: NDArray[np.float64]
    sigma_mm: float


def _nearest(corners: Corners, warp: Warp) -> Warp:
    """A flat sheet with its corners in the order that a print was found in."""
    turns = [np.roll(corners, -turn, axis=0) for turn in range(4)]
    own = min(turns, key=lambda each: float(np.abs(each - warp.corners).sum()))
    return Warp.flat(own, warp.sheet_mm, warp.picture_px).straight()


def _edges(laid: Laid, anchor: Warp) -> _Edges:
    warp = laid.aligned.warp
    if laid.anchored:
        return _Edges(np.eye(2, 3), _EDGE_MM)
    width, height = warp.sheet_mm
    own = np.array([(0, 0), (width, 0), (width, height), (0, height)], np.float64)
    at = warp.to_mm(anchor.corners)
    rows = np.column_stack([at, np.ones(4)])
    solved = np.linalg.lstsq(rows, own, rcond=None)[0]
    left = own - rows @ solved
    # The warp is known where something is printed; at the sheet's corners less, and a lens bends them most.
    moves = warp.changes(own)
    spread = np.einsum("cit,tu,ciu->c", moves, laid.aligned.covariance, moves)
    sigma = np.sqrt((left**2).sum() / 2 + _WIDENED**2 * spread.max() + _EDGE_MM**2)
    bent = float(np.abs(warp.to_pixels(own) - warp.straight().to_pixels(own)).max()) / min(warp.px_per_mm())
    return _Edges(np.asarray(solved.T, np.float64), float(np.hypot(sigma, _OF_LENS * bent)))


def _pulls(project: Project, laid: Laid, against: str) -> tuple[PullFound, ...]:
    """Every pull as it lies on the print, with how sure it is against what it is measured by."""
    image = project.image
    places = [pull.id for pull in project.impressions]
    beside = places.index(against) if against in places else None
    found = []
    for place, (pull, change) in enumerate(zip(project.impressions, laid.fit.changes, strict=True)):
        covariance = laid.fit.covariance_of(place, beside)
        sigma = _unsure(_OF_PULL * corner_sigma_mm(covariance, (image.width, image.height)), laid.aligned)
        motion = motion_of_change(project, change)
        shift, turn, stretch = (_OF_PULL * each for each in sigmas_of(project, covariance))
        found.append(PullFound(pull.id, "picture", motion, sigma, (shift, turn, stretch)))
    return tuple(found)


def _unsure(sigma_mm: float, laid: Aligned) -> float:
    """One standard error with what no block explains: that moves a corner by more than it shows on average."""
    bent = _OF_BEND * float(np.abs(laid.warp.bend).max())
    return float(np.sqrt(sigma_mm**2 + (_FAR * laid.unexplained_mm) ** 2 + bent**2))


def _against(
    project: Project, found: PullFound, pulls: Sequence[PullFound], against: str, edges: _Edges | None
) -> PullFound:
    """A pull measured against another, or against the sheet's edges; why, where that cannot be said."""
    if found.motion is None:
        return found
    own = np.vstack([found.motion.affine(), (0, 0, 1)])
    sigma = found.sigma_mm
    if against == "":
        assert edges is not None
        moved = np.vstack([edges.matrix, (0, 0, 1)]) @ own
        sigma = float(np.hypot(sigma, edges.sigma_mm))
    else:
        other = next(each for each in pulls if each.pull == against)
        if other.motion is None:
            return replace(found, motion=None, problem=other.problem)
        moved = np.linalg.inv(np.vstack([other.motion.affine(), (0, 0, 1)])) @ own
        # Marks are read of each pull by itself; from the picture how sure it is was taken against the other.
        sigma = float(np.hypot(sigma, other.sigma_mm)) if found.how == "marks" else sigma
        sigma = 0.0 if found.pull == against else sigma
    if 2 * sigma > SURE_MM * (_OF_PULL if found.how == "picture" else 1):
        problem = tr(
            "{name}: too little of its edges can be seen to say where it lies at the image's corners "
            "(±{sigma}). Print marks in the margin, or read it by eye.",
            name=project.pull_name(found.pull),
            sigma=length_text(2 * sigma),
        )
        return replace(found, motion=None, sigma_mm=sigma, problem=problem)
    left, top = project.image.left, project.image.top
    base = moved @ (left, top, 1.0)
    a, b, d, e = moved[0, 0] - 1, moved[0, 1], moved[1, 0], moved[1, 1] - 1
    change = np.array([base[0] - left, a, b, base[1] - top, d, e])
    return replace(found, motion=motion_of_change(project, change), sigma_mm=sigma)


def lay_photograph(
    project: Project, blocks: CutBlocks, picture: Image, warp: Warp, anchor: Warp | None = None,
    progress: Progress = NULL_PROGRESS,
) -> Laid:  # fmt: skip
    """Lay a photograph on the print, from where the sheet is thought to lie.

    Parameters
    ----------
    picture : (height, width, 3) float32 linear light.
    anchor : where its edges say that the sheet lies; taken where the picture is as straight as a flatbed's.
    """
    image, (width, height) = project.image, sheet_of(project)
    pad = min(_PAD_MM, image.left, image.top, width - image.right, height - image.bottom)
    masks, fine = pull_masks(project, blocks), min(_FINE, blocks.px_per_mm)
    colours = colour_table(project)
    found: PrintFit | None = None
    anchored = False
    for turn, (levels, fitting) in enumerate(_TURNS):
        part = Part(progress, turn / len(_TURNS), (turn + 1) / len(_TURNS))
        said = partial(part.report, 0.0, tr("laying the photograph on the print"))
        said()
        motions = still(project) if found is None else [motion_of_change(project, each) for each in found.changes]
        # Nothing is found yet that fine lines would tell.
        ppm = fine if turn else fine / 2
        table = colours if found is None else found.table
        light = light_of(printed_sheet(project, blocks, motions, ppm, table=table))
        for scale, rounds in () if anchored else levels:
            said()
            laid = aligned(picture, shrunk(light, ppm, scale), warp, scale, rounds, fine=scale >= 1, said=said)
            warp = laid.warp
        if turn == 0 and anchor is not None and anchor.is_square(_SQUARE):
            straight = aligned(picture, shrunk(light, ppm, scale), warp.straight(), scale, rounds, said=said)
            anchored = straight.cost <= laid.cost * _NO_WORSE
        if anchored and anchor is not None:
            # On a flatbed the sheet's edges say more than what is printed: nothing moves but the pulls.
            warp = anchor
            laid = aligned(picture, shrunk(light, ppm, 2.0), warp, 2.0, 0)
        said()
        area = (image.left - pad, image.top - pad, image.right + pad, image.bottom + pad)
        seen, there = _evened(picture, shrunk(light, ppm, _LIT), warp, (_LIT, fine), area, said)
        said()
        moves = None if anchored else _moves(warp, (image.left, image.top))
        found = fit_picture(
            seen, masks, colours, fine, pad, start=None if found is None else found.changes, moves=moves,
            levels=fitting, there=there, progress=Part(part, 0.4, 1.0),
        )  # fmt: skip
        if not anchored:
            warp = warp.with_values(warp.values() + found.bend)
    assert found is not None
    return Laid(replace(laid, warp=warp), found, anchored)


def _moves(warp: Warp, image_at: tuple[float, float]) -> PageMoves:
    """How a page taken out by a warp moves as the warp's terms do, at places on the image."""
    own = np.where(np.arange(TERMS) < 8, 0.0, warp.values())
    return PageMoves(lambda places: warp.changes(places + image_at), 1 / warp.prior_sigmas() ** 2, own)


def _evened(
    picture: Image, printed: Image, warp: Warp, px_per_mm: tuple[float, float],
    area: tuple[float, float, float, float], said: Callable[[], None],
) -> tuple[Picture, NDArray[np.bool_]]:  # fmt: skip
    """A part of the sheet taken out of a photograph, lit as the print is predicted, and where it is seen.

    px_per_mm : of the print as predicted, and of the page taken out.
    """
    import cv2

    scale, fine = px_per_mm
    height, width = printed.shape[:2]
    seen, inside = taken_out(picture, warp, scale, (0.0, 0.0, width / scale, height / scale))
    light = gains(seen, printed, inside, scale)
    said()
    page, there = taken_out(picture, warp, fine, area)
    rows, columns = page.shape[:2]
    # From pixels of the page to those of the light on the whole sheet.
    step = scale / fine
    left, top = area[0] * scale + step / 2 - 0.5, area[1] * scale + step / 2 - 0.5
    to_light = np.array([[step, 0, left], [0, step, top]])
    flags = cv2.INTER_LINEAR | cv2.WARP_INVERSE_MAP
    own = cv2.warpAffine(light, to_light, (columns, rows), flags=flags, borderMode=cv2.BORDER_REPLICATE)
    return _coded(page / own), there


def _coded(light: Image) -> Picture:
    """sRGB pixels of linear light."""
    return np.asarray(np.rint(255 * srgb_encode(np.clip(light, 0, 1))), np.uint8)
