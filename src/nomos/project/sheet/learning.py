"""Learning from a proof: a scan of it compared field by field, and what explains the difference best."""

import dataclasses
from collections.abc import Sequence
from dataclasses import dataclass

import numpy as np
from msgspec.structs import replace

from nomos.base.language import tr
from nomos.base.progress import NULL_PROGRESS, Progress
from nomos.base.units import number
from nomos.colour import Lab, delta_e00, lab_to_srgb, reflectance_to_lab
from nomos.colour.overprinting import overprints
from nomos.colour.spectra import Array
from nomos.project.inks.films import ground_of, predicted, printing_sets, solid_film, trapping_at
from nomos.project.model import Ink, Optics, Project, ProjectError
from nomos.project.sheet.masks import CutBlocks
from nomos.proof.scanning import Picture, balanced, field_means

# Fields are read so far inside their borders: traps and misregister lie there.
_INSET_MM = 0.8
_LEAST_PIXELS = 60
_SMALL = 900
_FACTORS = (0.4, 2.5)
# An explanation must take away so much of the difference to be offered (chosen by us).
_WORTH = 0.12
# Less than this is the scanner's noise (chosen by us).
_GAIN_DE00 = 0.1
_MOST_CAUSES = 3
# A proof this near needs no explanation.
_AS_WELL_DE00 = 0.1
_GOOD_DE00 = 0.3


@dataclass(frozen=True)
class FieldRead:
    """A flat colour on the proof: as read, as predicted, ΔE00, and the area that was read, mm²."""

    number: int
    read: Lab
    predicted: Lab
    de00: float
    area_mm2: float


@dataclass(frozen=True)
class Cause:
    """One explanation: what is otherwise than planned, by how much, and how far the rest is off then.

    ink : id of an ink that is stronger (factor above 1) or weaker than planned; or
    pull : id of an impression that took on the wet one before by the share `factor`.
    before, after : area-weighted mean ΔE00 without and with it.
    """

    text: str
    factor: float
    before: float
    after: float
    ink: str | None = None
    pull: str | None = None


def read_proof(
    project: Project, blocks: CutBlocks, picture: Picture, *, progress: Progress = NULL_PROGRESS
) -> tuple[FieldRead, ...]:
    """The flat colours of a proof from a scan of the whole sheet, largest ΔE00 first.

    Parameters
    ----------
    picture : (height, width, 3) uint8, the sheet from edge to edge, upright.

    Raises
    ------
    ProjectError : the scan has another shape than the sheet, or the sheet has no bare margin.
    Cancelled : called off through `progress`.

    Notes
    -----
    Balanced to the bare margin; shifted and turned to the predicted print by
    correlation (Evangelidis & Psarakis 2008, cv2.findTransformECC).
    """
    import cv2

    height, width = picture.shape[:2]
    sheet = project.paper.width_mm / project.paper.height_mm
    if abs(width / height / sheet - 1) > 0.03:
        raise ProjectError(
            "proof", tr("The scan has another shape than the sheet; scan the sheet from edge to edge, upright.")
        )
    progress.report(0.1, tr("reading the scan"))
    scale = blocks.px_per_mm
    size = round(project.paper.width_mm * scale), round(project.paper.height_mm * scale)
    page = np.asarray(cv2.resize(picture, size, interpolation=cv2.INTER_AREA), np.uint8)
    left, top = round(project.image.left * scale), round(project.image.top * scale)
    rows, columns = blocks.labels.shape
    margin = np.ones(page.shape[:2], bool)
    pad = round(2 * scale)
    margin[max(top - pad, 0) : top + rows + pad, max(left - pad, 0) : left + columns + pad] = False
    edge = max(2, round(1.5 * scale))
    margin[:edge], margin[-edge:], margin[:, :edge], margin[:, -edge:] = False, False, False, False
    if np.count_nonzero(margin) < 500:
        raise ProjectError("proof", tr("The sheet has no bare margin to balance the scan by."))
    balance = balanced(np.median(page[margin], axis=0), project.paper.lab)
    progress.report(0.4, tr("laying the scan on the print"))
    sets = printing_sets(project)
    shown = predicted(project, sets)
    image = _aligned(page, blocks, shown, (left, top))
    progress.report(0.7, tr("reading the fields"))
    means, pixels = field_means(image, blocks.labels, len(sets), _INSET_MM * scale)
    found = []
    for place in range(len(sets)):
        if pixels[place] < _LEAST_PIXELS:
            continue
        lab, wanted = balance.lab(means[place]), shown[place]
        found.append(
            FieldRead(
                place, (float(lab[0]), float(lab[1]), float(lab[2])),
                (float(wanted[0]), float(wanted[1]), float(wanted[2])),
                float(delta_e00(lab, wanted)), float(pixels[place] / scale**2),
            )
        )  # fmt: skip
    return tuple(sorted(found, key=lambda each: -each.de00))


def _aligned(page: Picture, blocks: CutBlocks, shown: Array, at: tuple[int, int]) -> Picture:
    """The image of a scan, shifted and turned to where the flat design lies. Same shape as the labels."""
    import cv2

    rows, columns = blocks.labels.shape
    pad = max(4, round(3 * blocks.px_per_mm))
    wide = np.pad(page, ((pad, pad), (pad, pad), (0, 0)), mode="edge")
    left, top = at
    cut = np.ascontiguousarray(wide[top : top + rows + 2 * pad, left : left + columns + 2 * pad])
    step = max(1, round(max(rows, columns) / _SMALL))
    expected = lab_to_srgb(shown)[blocks.labels[::step, ::step]].mean(axis=2).astype(np.float32)
    small = cv2.resize(cut, None, fx=1 / step, fy=1 / step, interpolation=cv2.INTER_AREA)
    seen = small.mean(axis=2).astype(np.float32)
    warp = np.array([[1, 0, pad / step], [0, 1, pad / step]], np.float32)
    criteria = (cv2.TERM_CRITERIA_EPS | cv2.TERM_CRITERIA_COUNT, 60, 1e-5)
    everywhere = np.ones(seen.shape, np.uint8)
    try:
        _, found = cv2.findTransformECC(expected, seen, warp, cv2.MOTION_EUCLIDEAN, criteria, everywhere, 5)
        warp = np.asarray(found, np.float32)
    except cv2.error:
        # A print of one flat colour has nothing to lay it by: the sheet's edges must do.
        warp = np.array([[1, 0, pad / step], [0, 1, pad / step]], np.float32)
    warp[:, 2] *= step
    return np.asarray(
        cv2.warpAffine(cut, warp, (columns, rows), flags=cv2.INTER_LINEAR | cv2.WARP_INVERSE_MAP), np.uint8
    )


def explain(project: Project, fields: Sequence[FieldRead], *, progress: Progress = NULL_PROGRESS) -> tuple[Cause, ...]:
    """What is otherwise than planned: up to three causes one after the other, each the best for what is left.

    Every ink may be stronger or weaker, every wet impression may have taken more
    or less. Raises Cancelled.
    """
    seen = _Seen(
        np.array([each.read for each in fields]),
        np.array([each.area_mm2 for each in fields]),
        tuple(each.number for each in fields),
    )
    causes: list[Cause] = []
    current, left = project, seen.off(project)
    for place in range(_MOST_CAUSES):
        progress.report(place / _MOST_CAUSES, tr("looking for what explains it"))
        cause = _best_cause(current, seen)
        if cause is None or cause.after > min(left * (1 - _WORTH), left - _GAIN_DE00) or left < _GOOD_DE00:
            break
        causes.append(dataclasses.replace(cause, text=_cause_text(current, cause), before=left))
        left, current = cause.after, with_cause(current, cause)
    return tuple(causes)


@dataclass(frozen=True, eq=False)
class _Seen:
    """What was read: colours, their weights, and the numbers of the flat colours."""

    labs: Array
    weights: Array
    numbers: tuple[int, ...]

    def off(self, project: Project) -> float:
        """Area-weighted mean ΔE00 between what was read and what a project predicts."""
        sets = printing_sets(project)
        labs = predicted(project, [sets[n] for n in self.numbers])
        return float(self.weights @ delta_e00(labs, self.labs) / self.weights.sum())


def _best_cause(project: Project, seen: _Seen) -> Cause | None:
    """The cause, and its amount, that explains most."""
    from scipy.optimize import minimize_scalar

    made = []
    for cause in _candidates(project):

        def off(factor: float, cause: Cause = cause) -> float:
            return seen.off(with_cause(project, dataclasses.replace(cause, factor=float(factor))))

        bounds = _FACTORS if cause.ink else (0.05, 1.0)
        found = minimize_scalar(off, bounds=bounds, method="bounded", options={"xatol": 0.01})
        made.append(dataclasses.replace(cause, factor=float(found.x), after=float(found.fun)))
    # An ink that lies on wet ink alone is as well called weak; that it took badly there is the likelier.
    return min(made, key=lambda cause: cause.after - _AS_WELL_DE00 * (cause.pull is not None), default=None)


def _candidates(project: Project) -> list[Cause]:
    causes = [Cause("", 1.0, 0.0, 0.0, ink=ink.id) for ink in project.inks]
    causes += [
        Cause("", 1.0, 0.0, 0.0, pull=pull.id)
        for place, pull in enumerate(project.impressions)
        if trapping_at(project, place) is not None
    ]
    return causes


def _cause_text(project: Project, cause: Cause) -> str:
    if cause.pull is not None:
        name = project.block(project.impression(cause.pull).block).name
        return tr(
            "{name} took only {factor} % on the wet ink below it.", name=name, factor=number(100 * cause.factor, 0)
        )
    assert cause.ink is not None
    name, share = project.ink(cause.ink).name, 100 * abs(cause.factor - 1)
    word = tr("stronger") if cause.factor > 1 else tr("weaker")
    return tr("{name} is {share} % {word} than planned.", name=name, share=number(share, 0), word=word)


def with_cause(project: Project, cause: Cause) -> Project:
    """The project as a cause says it is: an ink with other optics, or another share that takes."""
    if cause.pull is not None:
        pulls = tuple(
            replace(pull, trapping=cause.factor) if pull.id == cause.pull else pull for pull in project.impressions
        )
        return replace(project, impressions=pulls)
    return replace(
        project,
        inks=tuple(_scaled(project, ink.id, cause.factor) if ink.id == cause.ink else ink for ink in project.inks),
    )


def _scaled(project: Project, ink_id: str, factor: float) -> Ink:
    """An ink so many times as strong, its colour what its solid shows then."""
    ink = project.ink(ink_id)
    film = solid_film(project, ink)
    k, s = (tuple(float(v) for v in each * factor) for each in (film.absorption, film.scattering))
    optics = Optics(k, s, film.k1, known="proof")
    changed = replace(ink, optics=optics)
    solid = dataclasses.replace(solid_film(project, changed), cover=1.0)
    lab = reflectance_to_lab(overprints(ground_of(project), [solid])[-1])
    return replace(changed, lab=(float(lab[0]), float(lab[1]), float(lab[2])))


@dataclass(frozen=True, eq=False)
class Learnt:
    """What a proof has taught: the fields as read, and what explains them."""

    name: str
    fields: tuple[FieldRead, ...]
    causes: tuple[Cause, ...]
