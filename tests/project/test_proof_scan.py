"""Scans of proofs with known faults: found to a tenth with marks, to three tenths from the picture."""

import numpy as np
import pytest

from nomos.demo import demo_project, scenario_called
from nomos.devices import Scanner, uneven_inking
from nomos.project import Assets, CutBlocks, Project, cut_blocks, mask_request
from nomos.project.register.scan import PullFound, measure_scan, printed_sheet
from nomos.project.register.system import middle_of, sheet_of, with_register
from nomos.registration import Motion
from nomos.registration.scan_marks import Blob, match_marks
from nomos.registration.scan_sheet import ScanError, find_sheet

PX = 300 / 25.4


def blocks_of(project: Project, assets: Assets) -> CutBlocks:
    request = mask_request(project, assets)
    assert request is not None
    return cut_blocks(request)


def faults(project: Project, seed: int) -> list[Motion]:
    """Shift to 1 mm, rotation to 0.3 degrees, stretch to 0.5 %."""
    hand = np.random.default_rng(seed)

    def one() -> Motion:
        far, way = hand.uniform(0, 1), hand.uniform(0, 2 * np.pi)
        shift = (float(far * np.cos(way)), float(far * np.sin(way)))
        stretch = (float(hand.uniform(-0.005, 0.005)), float(hand.uniform(-0.005, 0.005)))
        return Motion(middle_of(project), shift, float(hand.uniform(-0.3, 0.3)), stretch)

    return [one() for _ in project.impressions]


def scanned(project: Project, blocks: CutBlocks, motions: list[Motion], seed: int) -> np.ndarray:
    """A scan at 300 dpi, turned, blurred, noisy, unevenly inked and lit."""
    width, height = (round(side * PX) for side in sheet_of(project))
    inking = [uneven_inking((height, width), 0.25, 60, 50 * seed + n) for n in range(len(motions))]
    page = printed_sheet(project, blocks, motions, inking=inking)
    hand = np.random.default_rng(seed)
    turn, scale = hand.uniform(-2, 2), hand.uniform(0.99, 1.01)
    return Scanner(
        turn_deg=turn, scale=scale, blur_px=0.9, border_px=90, noise=3, falloff=0.05, seed=seed
    ).scan(page)


def corner_errors(project: Project, motions: list[Motion], found: tuple[PullFound, ...]) -> list[float]:
    """How far each pull that was told lies from the truth at the image's worst corner, mm."""
    image = project.image
    corners = np.array([(x, y) for x in (image.left, image.right) for y in (image.top, image.bottom)])
    return [
        float(np.hypot(*(own.motion.moved(corners) - true.moved(corners)).T).max())
        for true, own in zip(motions, found, strict=True)
        if own.motion is not None
    ]


def test_marks_are_found_to_a_tenth_at_the_corners(little: tuple[Project, Assets]) -> None:
    """95 % of blocks within 0.1 mm: dots and crosses, two sheets each of a small print of four blocks."""
    blocks = blocks_of(*little)
    errors = []
    for kind in ("rings", "crosses"):
        project = with_register(little[0], marks=kind)
        for seed in (0, 1):
            motions = faults(project, seed)
            found = measure_scan(project, blocks, scanned(project, blocks, motions, seed))
            errors += corner_errors(project, motions, found.pulls)
            assert found.px_per_mm[0] == pytest.approx(PX, rel=0.012)
    assert len(errors) == 2 * 2 * 4
    assert np.mean(np.array(errors) < 0.1) >= 0.95


def test_the_picture_alone_is_read_to_three_tenths(told: object) -> None:
    """A reduction and a jigsaw, which cannot print marks apart, from the picture; what is sure is right."""
    errors = []
    for name, seeds in (("coldframe", (0,)), ("pots", (0, 1))):
        project, assets = demo_project(scenario_called(name))
        blocks = blocks_of(project, assets)
        for seed in seeds:
            motions = faults(project, seed)
            found = measure_scan(project, blocks, scanned(project, blocks, motions, seed))
            assert all(own.how == "picture" for own in found.pulls)
            errors += corner_errors(project, motions, found.pulls)
    assert len(errors) == 7
    assert np.mean(np.array(errors) < 0.3) >= 0.95
    assert callable(told)
    told(
        f"scans read from the picture: median {np.median(errors):.3f}, worst {max(errors):.3f} mm at a corner"
    )


def test_a_pull_that_leaves_nothing_to_hold_on_to_is_said_not_guessed(little: tuple[Project, Assets]) -> None:
    """The first block made to print one small spot: its corners cannot be told; whole, they can."""
    project, assets = little
    whole = blocks_of(project, assets)
    masks = list(whole.masks)
    first = project.number_of(project.impressions[0].block)
    masks[first] = np.zeros_like(masks[first])
    masks[first][40:48, 300:308] = 1
    blocks = CutBlocks(whole.labels, tuple(masks), whole.px_per_mm, ())
    motions = [Motion(middle_of(project), (0.0, 0.0), 0.0) for _ in project.impressions]
    found = measure_scan(project, blocks, scanned(project, blocks, motions, 1), by_marks=False)
    assert found.pulls[0].motion is None
    assert "Print marks" in found.pulls[0].problem
    scan = scanned(project, whole, motions, 1)
    assert measure_scan(project, whole, scan, by_marks=False).pulls[0].motion is not None


def page(colour: int, ground: int) -> np.ndarray:
    scan = np.full((900, 700, 3), ground, np.uint8)
    scan[100:800, 100:600] = colour
    return scan


@pytest.mark.parametrize(
    ("scan", "sheet", "said"),
    [
        (page(60, 60), (100, 140), "No sheet is seen"),
        (page(240, 60)[150:], (100, 140), "run off"),
        (page(240, 60), (140, 100), "on its side"),
        (page(240, 60), (100, 120), "times as wide as high"),
        (page(240, 60), (1000, 1400), "pixels an inch"),
    ],
)
def test_a_scan_that_cannot_be_measured_is_refused_with_what_to_do(
    scan: np.ndarray, sheet: tuple[float, float], said: str
) -> None:
    with pytest.raises(ScanError, match=said):
        find_sheet(scan, sheet)


def test_a_sheet_is_found_to_a_hundredth_of_its_true_place() -> None:
    """A white rectangle turned by 1.5 degrees about the scan's middle; its corners by trigonometry."""
    import cv2

    plain = np.full((1400, 1000, 3), 70, np.uint8)
    scan = Scanner(turn_deg=1.5, border_px=60, blur_px=1.0, noise=2).scan(plain * 0 + 245)
    found = find_sheet(scan, (100.0, 140.0))
    assert found.turned_deg == pytest.approx(1.5, abs=0.005)
    middle = np.array([(scan.shape[1] - 1) / 2, (scan.shape[0] - 1) / 2])
    angle = np.radians(1.5)
    turn = np.array([[np.cos(angle), -np.sin(angle)], [np.sin(angle), np.cos(angle)]])
    corners = np.array([(-500, -700), (500, -700), (500, 700), (-500, 700)]) @ turn.T + middle
    assert np.abs(found.corners_px - corners).max() < 0.25
    assert cv2 is not None


def test_marks_are_matched_past_strangers_and_too_few_are_said() -> None:
    expected = np.array([(10, 10), (190, 12), (185, 250), (12, 240), (100, 8), (102, 252)], float)
    motion = Motion((100, 130), (0.6, -0.4), 0.2, (0.003, -0.002))
    blobs = [Blob((float(x), float(y)), 4.5, (20.0, 20.0, 20.0)) for x, y in motion.moved(expected)]
    strangers = [Blob((float(x) + 2.5, float(y) - 1.5), 4.5, (200.0, 60.0, 60.0)) for x, y in expected]
    fit = match_marks(expected, [*strangers, *blobs], (20, 20, 20), "Key")
    assert np.abs(fit.motion.moved(expected) - motion.moved(expected)).max() < 1e-6
    with pytest.raises(ScanError, match="Key: only 2 of its 6 marks"):
        match_marks(expected, blobs[:2], (20, 20, 20), "Key")
