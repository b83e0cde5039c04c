"""A proof read by eye, what to do about it, what the next proof should be, and how errors drift."""

from collections.abc import Mapping
from dataclasses import dataclass
from datetime import date

import numpy as np

from nomos.base.language import tr
from nomos.base.units import length_text
from nomos.project.model import Project, ProofReading
from nomos.project.register.scan import PullFound, ScanFound, about
from nomos.project.register.system import contacts_of, cure_steps, marks_of, middle_of
from nomos.registration import Motion, after_change, fit_marks, stretch_advice, wall_change
from nomos.registration.marks import MarkFit, fit_components

PLACES = (tr("upper left"), tr("upper right"), tr("lower left"), tr("lower right"))


@dataclass(frozen=True)
class EyePlace:
    """A place where a proof is read: its name, where it is on the sheet (mm), and which way is read there.

    way : "x" or "y" for a vernier, which gives tenths by its strokes; both where millimetres are entered.
    """

    name: str
    place_mm: tuple[float, float]
    way: str = "both"


def eye_places(project: Project, pull: str) -> tuple[EyePlace, ...]:
    """Where the printmaker reads a pull: its verniers if it prints any, else the image's four corners."""
    marks, _ = marks_of(project)
    block = project.number_of(project.impression(pull).block)
    verniers = [mark for mark in marks if mark.axis is not None and mark.block == block and block > 0]
    if verniers:
        return tuple(EyePlace(_where(project, mark.place_mm), mark.place_mm, mark.axis or "x") for mark in verniers)
    image = project.image
    corners = (
        (image.left, image.top), (image.right, image.top),
        (image.left, image.bottom), (image.right, image.bottom),
    )  # fmt: skip
    return tuple(EyePlace(name, place) for name, place in zip(PLACES, corners, strict=True))


def _where(project: Project, place: tuple[float, float]) -> str:
    x, _ = middle_of(project)
    image = project.image
    if place[1] < image.top:
        return tr("above the image")
    if place[1] > image.bottom:
        return tr("below the image")
    return tr("left of the image") if place[0] < x else tr("right of the image")


def read_by_eye(project: Project, pull: str, read_mm: Mapping[tuple[int, str], float]) -> MarkFit:
    """How far a pull is out from what was read.

    read_mm : by place (its number in `eye_places`) and way ("x" to the right, "y" down), mm.

    Raises
    ------
    MarksError : too little was read.
    """
    places = eye_places(project, pull)
    unit = {"x": (1.0, 0.0), "y": (0.0, 1.0)}
    chosen = sorted(read_mm)
    at = np.array([places[n].place_mm for n, _ in chosen]).reshape(-1, 2)
    ways = np.array([unit[way] for _, way in chosen]).reshape(-1, 2)
    figures = np.array([read_mm[key] for key in chosen])
    full = sorted({n for n, way in chosen if way == "x"} & {n for n, way in chosen if way == "y"})
    if len(full) >= 3:
        # Three places or more read both ways show stretch as well.
        own = np.array([places[n].place_mm for n in full])
        seen = own + np.array([(read_mm[n, "x"], read_mm[n, "y"]) for n in full])
        return fit_marks(own, seen)
    return fit_components(at, ways, figures)


@dataclass(frozen=True)
class Verdict:
    """What a reading comes to, a sentence a line.

    found : how far out, and how sure that is.
    steps : what to do.
    next_proof : what the next proof should show.
    """

    found: str
    steps: tuple[str, ...]
    next_proof: str


def verdict(project: Project, motion: Motion, sigma_mm: float, *, uncut: bool = False) -> Verdict:
    """What a pull's motion means for the printmaker. uncut : its block has not been cut yet."""
    home = about(motion, middle_of(project))
    worst = worst_corner_mm(project, home)
    round_to = tr("clockwise") if home.rotation_deg > 0 else tr("anticlockwise")
    turn = tr(", turned {rotation_deg:.2f}° {round_to}", rotation_deg=abs(home.rotation_deg), round_to=round_to)
    found = tr(
        "{way}, {way_2} in the middle{turn}; {worst} at the worst corner (sure to ±{sigma_mm}).",
        way=_way(home.shift_mm[0], tr("to the right"), tr("to the left")),
        way_2=_way(home.shift_mm[1], tr("down"), tr("up")), turn=turn if abs(home.rotation_deg) >= 0.01 else "",
        worst=length_text(worst, 2), sigma_mm=length_text(2 * sigma_mm, 2),
    )  # fmt: skip
    if worst <= project.tolerance_mm:
        return Verdict(found, (tr("In register by your tolerance: leave it."),), "")
    if worst <= 2 * 2 * sigma_mm:
        # What is given as sure is two standard errors; below twice that, wood stays where it is.
        return Verdict(
            found, (tr("The reading is not sure enough to cut by: read the marks of three sheets, or scan finer."),), ""
        )
    image = project.image
    stretch = stretch_advice(home, (image.width / 2, image.height / 2), project.tolerance_mm)
    if uncut:
        steps = [_transfer_text(home)]
        left = 0.0
    else:
        steps = cure_steps(project, home)
        contacts = contacts_of(project)
        after = after_change(home, wall_change(home, contacts), contacts)
        left = worst_corner_mm(project, after)
    said = tr("The next proof should be within {left}.", left=length_text(max(left, 0.05), 2))
    if stretch and not uncut:
        said += tr(" What is left is stretch.")
    return Verdict(found, (*steps, *stretch), said)


def reading_text(project: Project, found: ScanFound, pull: str) -> str:
    """What a picture of a sheet comes to for the block at hand, in two sentences to be read from afar.

    Where the others are measured against that block, it is the one furthest from it that is told.
    """
    told = {each.pull: (each, each.motion) for each in found.pulls if each.motion is not None}
    others = {name: one for name, one in told.items() if name != found.against}
    if not others:
        return tr("No block can be told on this picture: take it again from above, sharp, the sheet flat.")
    if pull not in told and found.against != pull:
        return next((each.problem for each in found.pulls if each.pull == pull), "")
    # What may as well be the reading's own error is less than what is surely out.
    furthest = max(others.values(), key=lambda one: max(worst_corner_mm(project, one[1]) - 2 * one[0].sigma_mm, 0.0))
    each, motion = others.get(pull, furthest)
    home = about(motion, middle_of(project))
    return tr(
        "{name}: {way}, {way_2} (±{sigma}). {step}",
        name=project.pull_name(each.pull), way=_way(home.shift_mm[0], tr("to the right"), tr("to the left")),
        way_2=_way(home.shift_mm[1], tr("down"), tr("up")), sigma=length_text(2 * each.sigma_mm, 2),
        step=verdict(project, motion, each.sigma_mm).steps[0],
    )  # fmt: skip


def _transfer_text(motion: Motion) -> str:
    """Where to put the transfer of a block that is not cut yet."""
    right, down = -motion.shift_mm[0], -motion.shift_mm[1]
    scale = ""
    if motion.stretch is not None and max(map(abs, motion.stretch)) >= 0.0005:
        scale = tr(
            ", scaled by {stretch:+.1f} % left to right and {stretch_2:+.1f} % top to bottom",
            stretch=-100 * motion.stretch[0],
            stretch_2=-100 * motion.stretch[1],
        )
    turn = tr(", turned {what:+.2f}° clockwise", what=-motion.rotation_deg) if abs(motion.rotation_deg) >= 0.01 else ""
    return tr(
        "Not cut yet: lay its transfer {way} and {way_2}, as seen on the print{turn}{scale}.",
        way=_way(right, tr("to the right"), tr("to the left")), way_2=_way(down, tr("down"), tr("up")), turn=turn,
        scale=scale,
    )  # fmt: skip


def _way(value: float, more: str, less: str) -> str:
    return f"{length_text(abs(value), 2)} {more if value >= 0 else less}"


def worst_corner_mm(project: Project, motion: Motion) -> float:
    """How far the image's worst corner is out."""
    image = project.image
    corners = np.array([(x, y) for x in (image.left, image.right) for y in (image.top, image.bottom)])
    return float(np.hypot(*(motion.moved(corners) - corners).T).max())


def reading_of(project: Project, found: PullFound, sheet: int, day: date | None = None) -> ProofReading | None:
    """A pull found on a scan as it is kept; None where it could not be told."""
    if found.motion is None:
        return None
    return _kept(project, found.pull, found.motion, found.sigmas[0], sheet, "scan", day)


def reading_by_eye(project: Project, pull: str, fit: MarkFit, sheet: int, day: date | None = None) -> ProofReading:
    """A pull read by eye as it is kept."""
    return _kept(project, pull, fit.motion, fit.sigma_shift_mm, sheet, "eye", day)


def _kept(
    project: Project, pull: str, motion: Motion, sigma: float, sheet: int, how: str, day: date | None
) -> ProofReading:
    home = about(motion, middle_of(project))
    stretch = home.stretch
    return ProofReading(
        pull,
        (day or date.today()).isoformat(),
        sheet,
        round(float(home.shift_mm[0]), 4),
        round(float(home.shift_mm[1]), 4),
        round(float(home.rotation_deg), 5),
        None if stretch is None else (round(float(100 * stretch[0]), 4), round(float(100 * stretch[1]), 4)),
        round(float(sigma), 4),
        "scan" if how == "scan" else "eye",
    )


def motion_kept(project: Project, reading: ProofReading) -> Motion:
    """A kept reading as a motion."""
    stretch = None
    if reading.stretch_pct is not None:
        stretch = reading.stretch_pct[0] / 100, reading.stretch_pct[1] / 100
    return Motion(middle_of(project), (reading.dx_mm, reading.dy_mm), reading.rotation_deg, stretch)
