"""Scans of proofs with known faults: found to a tenth with marks, to three tenths from the picture."""

import contextlib
import dataclasses
from typing import Any

import msgspec
import numpy as np
import pytest

from benchmarks import proofs
from benchmarks.proofs import Proof
from nomos.demo import demo_project, scenario_called
from nomos.devices import Scanner, uneven_inking
from nomos.project import Assets, CutBlocks, Project, cut_blocks, mask_request
from nomos.project.register.photograph import measure_proof
from nomos.project.register.scan import PullFound, ScanFound, printed_sheet, sigmas_of
from nomos.project.register.system import middle_of, sheet_of, with_register
from nomos.registration import Motion
from nomos.registration.scan_marks import Blob, ScanError, match_marks
from nomos.registration.warp import Warp

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
    return Scanner(turn_deg=turn, scale=scale, blur_px=0.9, border_px=90, noise=3, falloff=0.05, seed=seed).scan(page)


def corner_errors(project: Project, motions: list[Motion], found: tuple[PullFound, ...]) -> list[float]:
    """How far each pull that was told lies from the truth at the image's worst corner, mm."""
    image = project.image
    corners = np.array([(x, y) for x in (image.left, image.right) for y in (image.top, image.bottom)])
    return [
        float(np.hypot(*(own.motion.moved(corners) - true.moved(corners)).T).max())
        for true, own in zip(motions, found, strict=True)
        if own.motion is not None
    ]


def test_the_errors_of_a_change_are_those_of_shift_turn_and_stretch(little: tuple[Project, Assets]) -> None:
    """Each of the six terms by itself: (a, b, c, d, e, f) of x' = a + b x + c y, y' = d + e x + f y."""
    terms = np.array([0.1, 0.01, 0.02, 0.1, 0.04, 0.005])
    shift, turn, stretch = sigmas_of(little[0], np.diag(terms**2))
    x, y = little[0].image.width / 2, little[0].image.height / 2
    moved = 0.1**2 + (0.01 * x) ** 2 + (0.02 * y) ** 2 + 0.1**2 + (0.04 * x) ** 2 + (0.005 * y) ** 2
    assert shift == pytest.approx(np.sqrt(moved / 2))
    # A turn is half the difference of the two shears.
    assert turn == pytest.approx(np.degrees(np.hypot(0.02, 0.04) / 2))
    assert stretch == pytest.approx(0.01)


@pytest.mark.thorough
def test_marks_are_found_to_a_tenth_at_the_corners(little: tuple[Project, Assets]) -> None:
    """95 % of blocks within 0.1 mm: dots and crosses, two sheets each of a small print of four blocks."""
    blocks = blocks_of(*little)
    errors = []
    for kind in ("rings", "crosses"):
        project = with_register(little[0], marks=kind)
        for seed in (0, 1):
            motions = faults(project, seed)
            found = measure_proof(project, blocks, scanned(project, blocks, motions, seed), against="")
            errors += corner_errors(project, motions, found.pulls)
            assert found.px_per_mm[0] == pytest.approx(PX, rel=0.012)
    assert len(errors) == 2 * 2 * 4
    assert np.mean(np.array(errors) < 0.1) >= 0.95


@pytest.mark.thorough
def test_the_picture_alone_is_read_to_three_tenths(told: object) -> None:
    """A reduction and a jigsaw, which cannot print marks apart, from the picture; what is sure is right."""
    errors = []
    for name, seeds in (("coldframe", (0,)), ("pots", (0,))):
        project, assets = demo_project(scenario_called(name))
        blocks = blocks_of(project, assets)
        for seed in seeds:
            motions = faults(project, seed)
            found = measure_proof(project, blocks, scanned(project, blocks, motions, seed), against="")
            assert all(own.how == "picture" for own in found.pulls)
            errors += corner_errors(project, motions, found.pulls)
    assert len(errors) >= 5
    assert np.mean(np.array(errors) < 0.3) >= 0.95
    assert callable(told)
    told(f"scans read from the picture: median {np.median(errors):.3f}, worst {max(errors):.3f} mm at a corner")


@pytest.mark.thorough
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
    found = measure_proof(project, blocks, scanned(project, blocks, motions, 1), by_marks=False, against="")
    assert found.pulls[0].motion is None
    assert "Print marks" in found.pulls[0].problem
    scan = scanned(project, whole, motions, 1)
    all_of_it = measure_proof(project, whole, scan, by_marks=False, against="").pulls[0]
    assert all_of_it.sigma_mm < found.pulls[0].sigma_mm / 2


@pytest.fixture
def small(little: tuple[Project, Assets]) -> tuple[Project, CutBlocks]:
    return little[0], blocks_of(*little)


def proof_of(small: tuple[Project, CutBlocks], seed: int, pulls: int = 4, **camera: Any) -> Proof:
    """A photograph by a telephone of three megapixels."""
    project, blocks = small
    motions = proofs.faults(project, seed)
    shown = msgspec.structs.replace(project, impressions=project.impressions[:pulls])
    rgb = proofs.photographed(shown, blocks, motions[:pulls], seed, **({"pixels": (1500, 2000)} | camera))
    return Proof(project, blocks, motions, rgb, "")


def read(proof: Proof, against: str | None = None) -> ScanFound:
    return measure_proof(proof.project, proof.blocks, proof.rgb, against=against)


def told_and_true(proof: Proof, found: ScanFound) -> int:
    """How many pulls were told; all of them within what was said."""
    errors = proofs.corner_errors(proof, found)
    assert all(off < max(3 * sigma, 0.15) for off, sigma in errors)
    return len(errors)


@pytest.mark.thorough
def test_a_photograph_is_read_against_the_key() -> None:
    """Leaning, through a bent lens, in uneven and dim light: eight pulls, the dark ones to a tenth."""
    project, assets = demo_project()
    blocks = blocks_of(project, assets)
    motions = proofs.faults(project, 1)
    camera = {"pixels": (2400, 3200), "lens": -0.03, "tilt": 0.2, "noise": 4.0, "exposure": 0.4}
    proof = Proof(project, blocks, motions, proofs.photographed(project, blocks, motions, 1, **camera), "")
    found = read(proof)
    assert found.printed == 8
    assert found.against == project.impressions[-1].id
    assert told_and_true(proof, found) >= 5
    assert max(off for off, _ in proofs.corner_errors(proof, found)[-5:]) < 0.12


@pytest.mark.thorough
def test_it_may_lie_any_way_up_and_be_read_against_another_pull(small: tuple[Project, CutBlocks]) -> None:
    proof = proof_of(small, 3)
    upside_down = dataclasses.replace(proof, rgb=np.ascontiguousarray(proof.rgb[::-1, ::-1]))
    first = proof.project.impressions[0].id
    found = read(upside_down, first)
    assert found.against == first
    assert told_and_true(proof, found) >= 1


@pytest.mark.thorough
def test_a_sheet_with_its_edges_out_of_the_picture_is_read_by_what_is_printed(small: tuple[Project, CutBlocks]) -> None:
    proof = proof_of(small, 5, fill=1.06)
    assert told_and_true(proof, read(proof)) >= 1
    # Against edges that are not there nothing is told.
    with contextlib.suppress(ScanError):
        assert proofs.corner_errors(proof, read(proof, "")) == []


def test_a_sheet_with_its_first_pulls_only_says_so(small: tuple[Project, CutBlocks]) -> None:
    proof = proof_of(small, 5, pulls=3)
    found = read(proof)
    assert found.printed == 3
    assert "not printed yet" in found.pulls[3].problem


@pytest.mark.thorough
@pytest.mark.parametrize("far_px", [6.0, 16.0])
def test_a_wavy_sheet_is_refused_or_told_as_unsure_as_it_is(small: tuple[Project, CutBlocks], far_px: float) -> None:
    proof = proof_of(small, 6)
    wavy = dataclasses.replace(proof, rgb=proofs.bent(proof.rgb, far_px))
    found = None
    with contextlib.suppress(ScanError):
        found = read(wavy)
    assert found is None or told_and_true(proof, found) >= 0


@pytest.mark.thorough
def test_another_print_or_none_is_refused(small: tuple[Project, CutBlocks]) -> None:
    proof = proof_of(small, 6)
    project, assets = demo_project(scenario_called("coldframe"))
    still = [Motion(middle_of(project), (0.0, 0.0), 0.0) for _ in project.impressions]
    other = proofs.photographed(project, blocks_of(project, assets), still, 6, pixels=(1500, 2000))
    table = np.random.default_rng(1).normal(120, 20, (1200, 900, 3)).clip(0, 255).astype(np.uint8)
    for seen in (other, table):
        with pytest.raises(ScanError, match="print"):
            read(dataclasses.replace(proof, rgb=seen))


def test_a_warp_and_its_inverse_meet() -> None:
    corners = np.array([(210.0, 180.0), (1310, 240), (1260, 1850), (150, 1790)])
    warp = dataclasses.replace(
        Warp.flat(corners, (88.0, 108.0), (1500, 2000)), lens=np.array([0.03, -0.01]),
        bend=np.array([[0.2, -0.1, 0.1], [0.0, 0.2, -0.2]]),
    )  # fmt: skip
    places = np.random.default_rng(0).uniform(0, 88, (40, 2))
    assert np.abs(warp.to_mm(warp.to_pixels(places)) - places).max() < 1e-4
    # A flat sheet through a straight lens lies where its corners are, by hand.
    still = warp.straight()
    assert np.abs(still.to_pixels(np.array([(0, 0), (88, 0), (88, 108), (0, 108)])) - corners).max() < 1e-6


def test_marks_are_matched_past_strangers_and_too_few_are_said() -> None:
    expected = np.array([(10, 10), (190, 12), (185, 250), (12, 240), (100, 8), (102, 252)], float)
    motion = Motion((100, 130), (0.6, -0.4), 0.2, (0.003, -0.002))
    blobs = [Blob((float(x), float(y)), 4.5, (20.0, 20.0, 20.0)) for x, y in motion.moved(expected)]
    strangers = [Blob((float(x) + 2.5, float(y) - 1.5), 4.5, (200.0, 60.0, 60.0)) for x, y in expected]
    fit = match_marks(expected, [*strangers, *blobs], (20, 20, 20), "Key")
    assert np.abs(fit.motion.moved(expected) - motion.moved(expected)).max() < 1e-6
    with pytest.raises(ScanError, match="Key: only 2 of its 6 marks"):
        match_marks(expected, blobs[:2], (20, 20, 20), "Key")
