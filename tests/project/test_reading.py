"""Proofs read by eye, what is done about them, how errors drift, and practice."""

from dataclasses import replace

import numpy as np
import pytest
from msgspec.structs import replace as changed

from nomos.project import Assets, CutBlocks, Project
from nomos.project.model import ProofReading
from nomos.project.register.practice import KINDS, Fault, make_exercise, mark_answer
from nomos.project.register.readings import (
    eye_places,
    motion_kept,
    read_by_eye,
    reading_by_eye,
    verdict,
    worst_corner_mm,
)
from nomos.project.register.series import (
    measured_spread_mm,
    series_of,
    series_text,
    strength_course,
    strength_text,
    with_spread,
)
from nomos.project.register.system import with_reading, with_register
from nomos.registration import MarksError, Motion, vernier_reading_mm
from nomos.registration.marks import fit_components


@pytest.fixture
def project(demo: tuple[Project, Assets]) -> Project:
    return demo[0]


def test_readings_at_two_corners_give_shift_and_turn(project: Project) -> None:
    """Read from a known motion at two corners; exact up to the small angle."""
    pull = project.impressions[1].id
    true = Motion((100, 130), (0.3, -0.2), 0.15)
    places = eye_places(project, pull)
    assert [place.name for place in places] == ["upper left", "upper right", "lower left", "lower right"]
    at = np.array([places[n].place_mm for n in (0, 3)])
    out = true.moved(at) - at
    read = {(0, "x"): out[0, 0], (0, "y"): out[0, 1], (3, "x"): out[1, 0], (3, "y"): out[1, 1]}
    fit = read_by_eye(project, pull, read)
    assert np.abs(fit.motion.moved(at) - true.moved(at)).max() < 2e-3
    kept = reading_by_eye(project, pull, fit, 0)
    home = motion_kept(project, kept)
    assert np.abs(home.moved(at) - true.moved(at)).max() < 3e-3
    with pytest.raises(MarksError, match="one up or down"):
        read_by_eye(project, pull, {(0, "x"): 0.2})


def test_four_corners_show_stretch_too(project: Project) -> None:
    pull = project.impressions[1].id
    true = Motion((100, 130), (0.1, 0.2), 0.1, (0.006, -0.002))
    places = eye_places(project, pull)
    at = np.array([place.place_mm for place in places])
    out = true.moved(at) - at
    read = {(n, way): float(out[n, axis]) for n in range(4) for axis, way in enumerate("xy")}
    fit = read_by_eye(project, pull, read)
    assert fit.motion.stretch == pytest.approx((0.006, -0.002), abs=1e-6)
    said = verdict(project, fit.motion, 0.05)
    assert any("no kento cures" in step for step in said.steps)
    assert "What is left is stretch" in said.next_proof
    uncut = verdict(project, fit.motion, 0.05, uncut=True)
    assert "scaled by -0.6 % left to right" in uncut.steps[0]
    assert not any("Pare" in step for step in uncut.steps)


def test_verniers_are_the_places_to_read_once_they_are_printed(project: Project) -> None:
    wide = changed(project, paper=changed(project.paper, width_mm=230.0, height_mm=290.0))
    wide = with_register(changed(wide, image=replace(wide.image, left=25, top=25, right=205, bottom=265)),
                         system="bed", marks="verniers")  # fmt: skip
    pull = wide.impressions[1].id
    places = eye_places(wide, pull)
    assert {place.way for place in places} == {"x", "y"}
    assert vernier_reading_mm(3) == pytest.approx(0.3)
    read = {(n, place.way): vernier_reading_mm(2 if place.way == "x" else -1) for n, place in enumerate(places)}
    fit = read_by_eye(wide, pull, read)
    assert fit.motion.shift_mm == pytest.approx((0.2, -0.1), abs=0.02)


def test_a_fit_of_components_against_the_fit_of_marks() -> None:
    """With every place read both ways the two fits are the same least squares."""
    at = np.array([(10, 10), (190, 10), (10, 250), (190, 250)], float)
    out = Motion((100, 130), (0.2, -0.3), 0.1).moved(at) - at
    ways = np.tile(np.eye(2), (4, 1))
    fit = fit_components(np.repeat(at, 2, axis=0), ways, out.ravel())
    assert fit.motion.shift_mm == pytest.approx((0.2, -0.3), abs=1e-3)
    assert fit.motion.rotation_deg == pytest.approx(0.1, abs=1e-3)
    noisy = np.random.default_rng(0).normal(0, 0.05, (2000, 8))
    turns = [fit_components(np.repeat(at, 2, axis=0), ways, row).motion.rotation_deg for row in noisy]
    assert fit.sigma_rotation_deg == pytest.approx(np.std(turns), rel=0.1)


def test_a_pull_within_tolerance_is_left_alone_and_a_cure_predicts_the_next_proof(project: Project) -> None:
    near = verdict(project, Motion((100, 130), (0.1, 0.05), 0), 0.02)
    assert near.steps == ("In register by your tolerance: leave it.",)
    out = verdict(project, Motion((100, 130), (0.6, 0.2), 0.1), 0.02)
    assert any("Glue a strip" in step for step in out.steps)
    assert out.next_proof == "The next proof should be within 0.05 mm."
    pins = verdict(with_register(project, system="pins"), Motion((100, 130), (0.6, 0.0), 0), 0.02)
    assert pins.steps == ("Move pin 1 0.60 mm to the left.",)


def readings(project: Project, slope: float, noise: float, count: int = 9) -> Project:
    hand = np.random.default_rng(4)
    pull = project.impressions[2].id
    for sheet in range(1, count + 1):
        dx = 0.1 + slope * sheet + float(hand.normal(0, noise))
        project = with_reading(project, ProofReading(pull, "2026-12-01", sheet, dx, 0.0, 0.0, sigma_mm=0.01))
    return project


def test_drift_is_told_from_scatter(project: Project) -> None:
    pull = project.impressions[2].id
    few = readings(project, 0.03, 0.01, 3)
    assert series_text(few, series_of(few, pull)) == ""
    creeping = readings(project, 0.03, 0.01)
    right = series_of(creeping, pull).right
    assert right is not None
    assert right.slope == pytest.approx(0.03, abs=3 * right.slope_sigma)
    assert right.creeps
    text = series_text(creeping, series_of(creeping, pull))
    assert text.startswith("Creeping 0.0")
    assert "to the right" in text
    # 0.1 + 0.03 a sheet leaves half a millimetre at sheet 13 or 14.
    assert right.reaches(0.5) in (13, 14)
    steady = readings(project, 0.0, 0.03)
    assert series_text(steady, series_of(steady, pull)).startswith("Steady from sheet 1 to 9")


def test_the_spread_that_was_measured_is_the_tolerance(project: Project) -> None:
    pulls = [pull.id for pull in project.impressions]
    spread = measured_spread_mm([series_of(readings(project, 0.03, 0.05, 40), pull) for pull in pulls])
    assert spread == pytest.approx(1.96 * 0.05 / np.sqrt(2), rel=0.35)
    assert with_spread(project, 0.2).register.budget.seating_mm == pytest.approx(0.2 / np.sqrt(2), abs=1e-3)
    assert measured_spread_mm([series_of(project, pulls[0])]) is None


def test_an_ink_that_grows_thin_is_told_with_the_sheet_it_shows_at() -> None:
    thin = strength_course([1, 5, 9, 13, 17], [1.0, 0.96, 0.93, 0.88, 0.85])
    assert thin is not None
    assert thin.creeps
    assert strength_text("Slate", thin) == "Slate grows 0.9 % thinner a sheet. Ink it more fully now."
    soon = strength_course([1, 4, 7, 10, 13], [1.06, 1.03, 1.0, 0.97, 0.94])
    assert soon is not None
    assert soon.reaches(0.08) == 15
    steady = strength_course([1, 5, 9, 13], [1.0, 1.02, 0.99, 1.01])
    assert steady is not None
    assert strength_text("Slate", steady) == ""


def test_an_exercise_is_always_the_same_and_a_right_answer_gets_all_points(
    project: Project, demo_blocks: CutBlocks
) -> None:
    seen = set()
    for number in (1, 2, 5, 9):
        made = make_exercise(project, demo_blocks, number)
        (fault,) = made.faults
        seen.add(fault.kind)
        assert mark_answer(project, made, fault).points == 3
        near = replace(fault, dx_mm=fault.dx_mm + 0.1)
        assert mark_answer(project, made, near).points == 3
        other = next(pull.id for pull in project.impressions if pull.id != fault.pull)
        wrong = mark_answer(project, made, replace(fault, pull=other))
        assert wrong.points == 0
        assert project.block(project.impression(fault.pull).block).name in wrong.text
        kind = next(each for each in KINDS if each != fault.kind)
        assert mark_answer(project, made, Fault(fault.pull, kind)).points == 1
        if fault.kind == "out of register":
            far = replace(fault, dx_mm=-fault.dx_mm, dy_mm=-fault.dy_mm)
            assert mark_answer(project, made, far).points == 2
    assert len(seen) > 1
    again = make_exercise(project, demo_blocks, 2)
    assert np.array_equal(again.picture, make_exercise(project, demo_blocks, 2).picture)


def test_every_fault_changes_the_proof(project: Project, demo_blocks: CutBlocks) -> None:
    from nomos.project.register.practice import _proof

    plain = _proof(project, demo_blocks, (), 1)
    pull = project.impressions[6].id
    for kind in KINDS:
        fault = Fault(pull, kind, 0.6, 0.2)
        shown = _proof(project, demo_blocks, (fault,), 1)
        differs = (np.abs(shown.astype(int) - plain).max(axis=2) > 20).mean()
        assert 0.0005 < differs < 0.2


def test_the_worst_corner_by_hand(project: Project) -> None:
    """Image 180 x 240: turned by 0.1 degrees its corners, 150 mm from the middle, move by 0.262 mm."""
    assert worst_corner_mm(project, Motion((100, 130), (0, 0), 0.1)) == pytest.approx(0.2618, abs=1e-3)
