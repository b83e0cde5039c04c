"""Simulated photographs of proofs with known faults: how far off what is read is, and how sure."""

import time
from collections.abc import Iterator, Sequence
from dataclasses import dataclass
from typing import Any

import cv2
import numpy as np
from msgspec.structs import replace

from benchmarks.devices.camera import Camera, Sheet
from benchmarks.timing import Line, Section
from nomos.base.errors import BadInput
from nomos.colour.cielab import LINEAR_OF_SRGB
from nomos.demo import demo_project, scenario_called
from nomos.project import CutBlocks, Project, cut_blocks, mask_request
from nomos.project.register.photograph import measure_proof
from nomos.project.register.scan import ScanFound, printed_sheet
from nomos.project.register.system import middle_of
from nomos.registration import Motion

CASES = 48
_SCENARIOS = ("glasshouse", "coldframe", "pots", "glasshouse")
_PRINTED_PX_PER_MM = 24.0


@dataclass(frozen=True, eq=False)
class Proof:
    """A photograph of a proof, with what is printed on it and where."""

    project: Project
    blocks: CutBlocks
    motions: tuple[Motion, ...]
    rgb: np.ndarray
    what: str


def faults(project: Project, seed: int, far_mm: float = 0.25) -> tuple[Motion, ...]:
    """Every pull out by about so much and 0.06 degrees, stretched by 0.05 %."""
    hand = np.random.default_rng(seed)

    def one() -> Motion:
        x, y = hand.normal(0, far_mm, 2)
        along, across = hand.normal(0, 5e-4, 2)
        turn = float(hand.normal(0, 0.06))
        return Motion(middle_of(project), (float(x), float(y)), turn, (float(along), float(across)))

    return tuple(one() for _ in project.impressions)


def photographed(
    project: Project, blocks: CutBlocks, motions: Sequence[Motion], seed: int, **camera: Any
) -> np.ndarray:
    """A photograph by a telephone of what is printed, 12 megapixels unless it is said otherwise."""
    hand = np.random.default_rng(seed + 77)
    page = printed_sheet(project, blocks, motions, _PRINTED_PX_PER_MM)
    light = LINEAR_OF_SRGB.astype(np.float32)[page]
    half = np.asarray(cv2.resize(light, None, fx=0.5, fy=0.5, interpolation=cv2.INTER_AREA), np.float32)
    height, width = half.shape[:2]
    taken: dict[str, Any] = {
        "pixels": (4000, 3000) if width > height else (3000, 4000),
        "tilt": float(hand.uniform(0.04, 0.12)), "turn_deg": float(hand.uniform(-3, 3)), "fill": 0.88,
        "falloff": 0.33, "lens": float(hand.uniform(-0.04, 0.04)), "noise": 2.0, "jpeg": 90, "seed": seed,
    }  # fmt: skip
    return Camera(**(taken | camera)).take(Sheet(half, (0, 0, width, height), _PRINTED_PX_PER_MM / 2)).rgb


def bent(rgb: np.ndarray, by_px: float) -> np.ndarray:
    """A photograph as if the sheet were wavy: displaced by about so many pixels, smoothly."""
    height, width = rgb.shape[:2]
    y, x = np.mgrid[:height, :width].astype(np.float32)
    u, v = x / width * 2 - 1, y / height * 2 - 1
    far_x, far_y = by_px * np.sin(3 * u + 2 * v), by_px * np.cos(4 * u)
    moved = cv2.remap(rgb, x + far_x.astype(np.float32), y + far_y.astype(np.float32), cv2.INTER_LINEAR)
    return np.asarray(moved, np.uint8)


def corner_errors(proof: Proof, found: ScanFound) -> list[tuple[float, float]]:
    """Of each pull told: how far off it is at the image's worst corner, mm, and one standard error."""
    image = proof.project.image
    corners = np.array([(x, y) for x in (image.left, image.right) for y in (image.top, image.bottom)])
    places = [pull.id for pull in proof.project.impressions]
    errors = []
    for own, true in zip(found.pulls, proof.motions, strict=True):
        if own.motion is None or own.pull == found.against:
            continue
        wanted = true.moved(corners)
        if found.against:
            key = proof.motions[places.index(found.against)]
            turn, centre = np.linalg.inv(key.matrix()), np.array(key.centre_mm)
            wanted = centre + (wanted - centre - key.shift_mm) @ turn.T
        errors.append((float(np.hypot(*(own.motion.moved(corners) - wanted).T).max()), own.sigma_mm))
    return errors


def proofs(first: int = 0, count: int = CASES) -> Iterator[Proof]:
    """Three prints, tilt to 15 degrees, lenses to 4 %, 8 to 48 megapixels, dim light, bent sheets, stages."""
    made: dict[str, tuple[Project, CutBlocks]] = {}
    for number in range(first, first + count):
        name = _SCENARIOS[number % 4]
        if name not in made:
            project, assets = demo_project(scenario_called(name))
            request = mask_request(project, assets)
            assert request is not None
            made[name] = project, cut_blocks(request)
        project, blocks = made[name]
        motions = faults(project, number)
        camera: dict[str, Any] = {}
        what = "usual"
        if number % 6 == 1:
            what, camera = "leaning", {"tilt": 0.26}
        elif number % 6 == 2:
            what, camera = "dim", {"exposure": 0.25, "noise": 6.0}
        elif number % 6 == 3:
            what, camera = "edges hidden", {"fill": 1.02}
        elif number % 12 == 4:
            what, camera = "8 megapixels", {"pixels": (2448, 3264)}
        elif number % 12 == 10:
            what, camera = "48 megapixels", {"pixels": (6000, 8000)}
        shown = project
        if number % 12 == 11:
            what, few = "first pulls only", max(2, len(project.impressions) * 2 // 3)
            shown = replace(project, impressions=project.impressions[:few])
        rgb = photographed(shown, blocks, motions[: len(shown.impressions)], number, **camera)
        if number % 12 == 5:
            what, rgb = "bent", bent(rgb, 4.0 + number % 24)
        yield Proof(project, blocks, motions, rgb, what)


def measure() -> Section:
    """All proofs read; how far off, how often truth lies within what is said, what was refused."""
    errors: list[tuple[float, float]] = []
    told = asked = refused = 0
    times = []
    for proof in proofs():
        asked += len(proof.motions)
        start = time.process_time()
        try:
            found = measure_proof(proof.project, proof.blocks, proof.rgb)
        except BadInput:
            refused += 1
            continue
        times.append(time.process_time() - start)
        own = corner_errors(proof, found)
        told += len(own)
        errors += own
    off, sigma = np.array(errors).T
    wrong = int(((off > 3 * sigma) & (off > 0.15)).sum())
    within = float((off <= 2 * sigma).mean())
    lines = (
        Line(
            f"{CASES} photographs of proofs, {asked} pulls", f"{np.median(times):.1f} s",
            f"{told} told, {refused} photographs refused; worst corner {np.median(off):.3f} mm in the "
            f"median, {np.percentile(off, 95):.2f} mm in 95 %",
        ),
        Line("truth within two standard errors", "", f"{100 * within:.0f} %"),
        Line("told as sure and more than three and 0.15 mm off", "", f"{wrong}"),
    )  # fmt: skip
    met = np.median(off) <= 0.05 and np.percentile(off, 95) <= 0.15 and within >= 0.95 and not wrong
    return Section("Proofs by telephone", lines, "met" if met else "missed")
