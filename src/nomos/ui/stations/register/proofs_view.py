"""The answers about tolerance, proofs and practice at the Register station."""

from collections.abc import Sequence
from dataclasses import dataclass

import numpy as np

from nomos.base.language import tr
from nomos.base.units import length_text, lengths_text, number
from nomos.colour import lab_to_hex
from nomos.project import Project
from nomos.project.register.magnified import Magnified
from nomos.project.register.practice import KIND_WORDS, Exercise, Marking
from nomos.project.register.readings import EyePlace, eye_places, motion_kept, verdict, worst_corner_mm
from nomos.project.register.scan import PullFound
from nomos.project.register.series import series_of, series_text
from nomos.project.register.system import plan_of_system
from nomos.project.register.tolerance import budget_for, cures, error_model, tolerance_map, worst_mm
from nomos.project.register.wet import goes_on_wet_ink
from nomos.proof.flashing import TILE_MM, Flashing
from nomos.registration import RegisterSettings
from nomos.ui.frame.rows import Row
from nomos.ui.frame.sheet_view import Inset, Overlay, picture_overlay, sketch_raster

# The two schools, and the tolerance each would ask for; chosen by us, no source.
CRISP_MM, LOOSE_MM = 0.1, 1.5
_SCHOOLS = (
    (0.2, tr("Crisp: every edge meets; asks for pins or sharp notches and an even, dry sheet.")),
    (0.45, tr("Close: as careful hand printing comes out.")),
    (0.8, tr("Easy: small gaps and overlaps belong to the print.")),
    (9.0, tr("Loose: the layers may wander, and that is the look.")),
)
_SHADE_STEPS = 24
_MAP_STEPS, _MOST_TILES, _LEAST_SHARE = 3, 10, 0.1
_MOST_READINGS = 6


@dataclass(frozen=True)
class ToleranceView:
    """How far out may each place be, and what flashes?"""

    tolerance_mm: float
    school: str
    apart: str
    worked_out: dict[str, float]
    own: frozenset[str]
    flashes: str
    exact: bool
    cures: tuple[tuple[str, float | None], ...]
    register: RegisterSettings


def tolerance_view(project: Project, fast: Flashing | None, exact: Flashing | None) -> ToleranceView:
    """The Tolerance part. fast, exact : what was found for this project, if it has been."""
    budget, own = budget_for(project), project.register.budget
    worked_out = {
        "seating_mm": budget.seating_mm, "block_mm": budget.block_mm, "cutting_mm": budget.cutting_mm,
        "transfer_mm": budget.transfer_mm,
    }  # fmt: skip
    grain = budget.growth_pct if project.paper.grain == "width" else budget.growth_pct[::-1]
    worked_out |= {"growth_along_pct": grain[0], "growth_across_pct": grain[1]}
    apart = ""
    if plan_of_system(project)[0] is not None:
        least, most = worst_mm(project)
        apart = tr(
            "On 95 of 100 sheets two pulls lie within {least}.", least=lengths_text(least, most, 2, between=tr(" to "))
        )
    shown = exact or fast
    return ToleranceView(
        project.tolerance_mm,
        next(text for most, text in _SCHOOLS if project.tolerance_mm <= most),
        apart,
        worked_out,
        frozenset(name for name in worked_out if getattr(own, name) is not None),
        _flashes_text(shown, exact is not None) + _wet_text(project) if shown else "",
        exact is not None,
        tuple((cure.text, cure.trap_mm) for cure in cures(project, fast)) if fast else (),
        project.register,
    )


def _wet_text(project: Project) -> str:
    if not goes_on_wet_ink(project):
        return ""
    return " " + tr("Ink on wet ink takes in patches: the plausible sheets show it.")


def _flashes_text(found: Flashing, exact: bool) -> str:
    how = tr("whole sheets") if exact else tr("estimated along borders")
    count = len(found.bare_mm2)
    if not found.bare_sheets and not found.seam_sheets:
        return tr("Nothing flashes on any of {count} plausible sheets ({how}).", count=count, how=how)
    said = []
    if found.bare_sheets:
        area = number(float(found.bare_mm2.mean()))
        said.append(
            tr(
                "bare paper on {bare_sheets:.0f} % of them, {area} mm² a sheet",
                bare_sheets=100 * found.bare_sheets,
                area=area,
            )
        )
    if found.seam_sheets:
        area = number(float(found.seam_mm2.mean()))
        said.append(
            tr("dark seams on {seam_sheets:.0f} %, {area} mm² a sheet", seam_sheets=100 * found.seam_sheets, area=area)
        )
    return tr("Of {count} plausible sheets ({how}): {said}.", count=count, how=how, said="; ".join(said))


def apart_overlay(project: Project, found: Flashing | None) -> Overlay:
    """How far two pulls may lie apart at nine places, and where gaps flash most often."""
    if plan_of_system(project)[0] is None:
        return Overlay()
    places, apart = tolerance_map(error_model(project), project, _MAP_STEPS)
    image, inset = project.image, 12.0
    words = []
    for (x, y), value in zip(places.reshape(-1, 2), apart.ravel(), strict=True):
        at_x = min(max(float(x), image.left + inset), image.right - inset)
        at_y = min(max(float(y), image.top + 5.0), image.bottom - 5.0)
        words.append((at_x, at_y, f"±{length_text(float(value), 2)}"))
    spots = []
    if found is not None:
        share = found.bare_share
        for at in np.argsort(-share, axis=None)[:_MOST_TILES]:
            row, column = np.unravel_index(at, share.shape)
            if share[row, column] >= _LEAST_SHARE:
                spots.append((image.left + (float(column) + 0.5) * TILE_MM, image.top + (float(row) + 0.5) * TILE_MM))
    _, fine = tolerance_map(error_model(project), project, _SHADE_STEPS)
    shade = (fine - fine.min()) / max(float(np.ptp(fine)), 1e-9)
    return Overlay(tuple(words), tuple(spots), shade=shade)


@dataclass(frozen=True)
class ProofView:
    """How far is each block out on a proof?"""

    rows: tuple[Row, ...]
    chosen: str | None
    places: tuple[EyePlace, ...]
    hint: str
    source: str
    found: str
    steps: tuple[str, ...]
    next_proof: str
    history: tuple[tuple[str, str], ...]
    drift: str
    can_keep: bool
    uncut: bool


def proof_view(
    project: Project, pull: str | None, scanned: Sequence[PullFound], name: str, *, uncut: bool = False
) -> ProofView:
    """The Proofs part. scanned : what the last scan of that name showed."""
    by_pull = {found.pull: found for found in scanned}
    rows = []
    for impression in project.impressions:
        found = by_pull.get(impression.id)
        kept = next((each for each in reversed(project.readings) if each.pull == impression.id), None)
        figure = tr("not read")
        if found is not None and found.motion is not None:
            figure = tr("{worst_corner_mm} out", worst_corner_mm=length_text(worst_corner_mm(project, found.motion), 2))
        elif found is not None:
            figure = tr("cannot be told")
        elif kept is not None:
            figure = tr(
                "{worst_corner_mm} out",
                worst_corner_mm=length_text(worst_corner_mm(project, motion_kept(project, kept)), 2),
            )
        ink = project.ink(impression.main.ink)
        block = project.pull_name(impression.id)
        rows.append(Row(impression.id, lab_to_hex(np.array(ink.lab)), block, figure))
    places = eye_places(project, pull) if pull else ()
    verniers = bool(places) and places[0].way != "both"
    hint = (
        tr(
            "On each vernier count strokes from the long one to the pair that meets; to the right or down is "
            "plus. Each stroke is {stroke_mm}.",
            stroke_mm=length_text(0.1),
        )
        if verniers
        else tr("How far this block's print lies from where it should, at two corners or more.")
    )
    own = by_pull.get(pull or "")
    readings = [each for each in project.readings if each.pull == pull]
    said = None
    source = ""
    if own is not None and own.motion is not None:
        said, source = verdict(project, own.motion, own.sigma_mm, uncut=uncut), tr("From {name}:", name=name)
    elif own is not None:
        source = own.problem
    elif readings:
        last = readings[-1]
        said = verdict(project, motion_kept(project, last), last.sigma_mm, uncut=uncut)
        source = tr("Last read on {day}:", day=last.day)
    return ProofView(
        tuple(rows), pull, places, hint, source,
        said.found if said else "", said.steps if said else (), said.next_proof if said else "",
        tuple(_kept_line(project, each) for each in readings[-_MOST_READINGS:]),
        series_text(project, series_of(project, pull)) if pull else "",
        bool(scanned), uncut,
    )  # fmt: skip


def _kept_line(project: Project, reading: object) -> tuple[str, str]:
    from nomos.project.model import ProofReading

    assert isinstance(reading, ProofReading)
    sheet = tr("sheet {sheet}", sheet=reading.sheet) if reading.sheet else "proof"
    worst = length_text(worst_corner_mm(project, motion_kept(project, reading)), 2)
    shift = lengths_text(reading.dx_mm, reading.dy_mm, 2)
    return f"{reading.day}, {sheet}", tr("{shift}; worst {worst}", shift=shift, worst=worst)


@dataclass(frozen=True)
class PracticeView:
    """What is wrong with this proof?"""

    task: str
    blocks: tuple[tuple[str, str], ...]
    kinds: tuple[tuple[str, str], ...]
    marking: str
    score: str
    can_answer: bool


def practice_view(
    project: Project, exercise: Exercise | None, marking: Marking | None, points: int, answered: int
) -> PracticeView:
    """The Practice part."""
    blocks = tuple((pull.id, project.pull_name(pull.id)) for pull in project.impressions)
    kinds = tuple((kind, words) for kind, words in KIND_WORDS.items())
    if exercise is None:
        task = tr("A proof with a fault, to be read. Ask for one.")
    else:
        many = len(exercise.faults)
        wrong = tr("one thing is wrong") if many == 1 else tr("{many} things are wrong", many=many)
        task = tr("Proof {number}: {wrong}. Which block, what, and how far?", number=exercise.number, wrong=wrong)
    score = tr("{points} of {answered} points", points=points, answered=3 * answered) if answered else ""
    said = marking.text if marking else ""
    return PracticeView(task, blocks, kinds, said, score, exercise is not None and marking is None)


def exercise_overlay(project: Project, exercise: Exercise | None) -> Overlay:
    """The exercise as the sheet."""
    if exercise is None:
        return Overlay()
    return picture_overlay(project, exercise.picture, exercise.px_per_mm)


def inset_of(close: Magnified) -> Inset:
    """A place where paper flashes, from close by."""
    word = tr(
        "{width_mm:g} mm, on one sheet in 20: {bare} mm² bare",
        width_mm=close.place.width,
        bare=number(close.bare_mm2, 2),
    )
    fine = close.picture.shape[1] / close.place.width
    return Inset(sketch_raster(close.picture, fine, close.place), close.place, word)
