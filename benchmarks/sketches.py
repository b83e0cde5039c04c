"""Simulated sketches with a known answer, beside k-means and the release before."""

import time
from collections.abc import Iterator
from dataclasses import dataclass

import cv2
import numpy as np
from scipy.optimize import linear_sum_assignment

from benchmarks.devices.camera import Answer, Camera, Photograph, Sheet, Table, on_paper, scanned
from benchmarks.devices.media import MEDIA, Medium
from benchmarks.earlier import Earlier
from benchmarks.scenes import scene
from benchmarks.timing import Line, Section
from nomos.colour import srgb_to_lab
from nomos.design import Picture, flatten
from nomos.design.cut import Cut, Found, as_corners, find_cut, light_of_cut, straightened
from nomos.design.palette import colour_histogram, find_palette

CASES = 48
_LINES = ("black", "black", "coloured", "none")
_PAPERS = ((244, 241, 233), (250, 250, 250), (235, 228, 210), (248, 244, 238))
_CASTS = ((1.0, 0.95, 0.84), (1.0, 0.9, 0.72), (0.92, 0.97, 1.0))
_TABLES: tuple[Table, ...] = ("wood", "dark", "pale", "cloth")
# Pages are compared at this resolution, and a line may lie a pixel off.
_PX_PER_MM = 5.0


@dataclass(frozen=True, eq=False)
class Case:
    """One picture: what was drawn, in what, and how it was taken."""

    number: int
    medium: Medium
    phone: bool
    answer: Answer
    sheet: Sheet
    photograph: Photograph


def cases(first: int = 0, count: int = CASES) -> Iterator[Case]:
    """All media, half of them scanned and half photographed; no two scenes alike."""
    for number in range(first, first + count):
        medium, phone = MEDIA[number % 6], (number // 6) % 2 == 1
        answer = scene(number, line=_LINES[(number // 12 + number) % 4])
        sheet = on_paper(answer, medium, seed=number, paper=_PAPERS[number % 4], tooth=0.015 + 0.01 * (number % 3))
        tall = answer.labels.shape[0] > answer.labels.shape[1]
        camera = Camera(
            pixels=(2250, 3000) if tall else (3000, 2250), table=_TABLES[number // 2 % 4],
            tilt=0.1 + 0.05 * (number % 5), turn_deg=float(number % 9 - 4),
            falloff=0.15 + 0.15 * (number % 3) / 2,
            shadow=0.3 if number % 11 == 6 else 0.0, cast=_CASTS[number % 3],
            noise=1.0 + number % 3, seed=number,
        )  # fmt: skip
        yield Case(number, medium, phone, answer, sheet, camera.take(sheet) if phone else scanned(sheet, seed=number))


def as_given(case: Case) -> Picture:
    """The drawing straightened by its true corners, its light judged with the margin."""
    size = (case.answer.labels.shape[1] / case.answer.px_per_mm, case.answer.labels.shape[0] / case.answer.px_per_mm)
    corners = np.array(case.photograph.picture)
    pixels = round(size[0] * 8), round(size[1] * 8)
    page = straightened(case.photograph.rgb, corners, pixels)
    light = light_of_cut(case.photograph.rgb, corners, np.array(case.photograph.sheet))
    scale = np.array([case.photograph.rgb.shape[1], case.photograph.rgb.shape[0]])
    return Picture(page, size, page.shape[1] / size[0], light=light, cut=Cut(as_corners(corners / scale)))


@dataclass(frozen=True)
class Score:
    """How near a flat design comes: share of the area on the right field, the line's F1, colours too many."""

    accuracy: float
    line: float
    off: int


def scored(labels: np.ndarray, line: int | None, answer: Answer) -> Score:
    """Compare numbers with the answer; found colours stand for the true ones they cover most, one for one."""
    shape = tuple(round(side / answer.px_per_mm * _PX_PER_MM) for side in answer.labels.shape)
    own, true = (cv2.resize(page, shape[::-1], interpolation=cv2.INTER_NEAREST) for page in (labels, answer.labels))
    count = max(int(own.max()), int(true.max())) + 1
    pairs = np.bincount((own.astype(int) * count + true).ravel(), minlength=count * count).reshape(count, count)
    rows, columns = linear_sum_assignment(-pairs)
    accuracy = float(pairs[rows, columns].sum() / pairs.sum())
    off = len(np.unique(own)) - len(np.unique(true))
    if answer.line is None:
        return Score(accuracy, float("nan"), off)
    drawn = true == answer.line
    found = own == line if line is not None else np.zeros_like(drawn)
    near = np.ones((3, 3), np.uint8)
    precise = (found & (cv2.dilate(drawn.view(np.uint8), near) > 0)).sum() / max(found.sum(), 1)
    recalled = (drawn & (cv2.dilate(found.view(np.uint8), near) > 0)).sum() / drawn.sum()
    return Score(accuracy, float(2 * precise * recalled / max(precise + recalled, 1e-9)), off)


def kmeans_labels(picture: Picture, count: int) -> np.ndarray:
    """The plain way: k-means in CIELAB on a blurred picture, told the number of colours."""
    soft = np.asarray(cv2.GaussianBlur(picture.rgb, (0, 0), 0.5 * picture.px_per_mm), np.uint8)
    palette = find_palette(colour_histogram(soft), count, seed=0)
    lab = srgb_to_lab(soft)
    return np.argmin(((lab[:, :, None] - palette) ** 2).sum(axis=-1), axis=-1).astype(np.uint8)


def darkest(picture: Picture, labels: np.ndarray) -> int:
    """The darkest colour, which a method that knows no line is granted as its line."""
    light = picture.rgb.mean(axis=-1)
    light = cv2.resize(light, labels.shape[::-1], interpolation=cv2.INTER_AREA)
    means = [light[labels == n].mean() if (labels == n).any() else 999.0 for n in range(int(labels.max()) + 1)]
    return int(np.argmin(means))


def corner_error_mm(case: Case, found: Found) -> float:
    """How far the sheet's worst corner lies from the true one, mm on the sheet."""
    true = np.array(case.photograph.sheet)
    size = np.array([case.photograph.rgb.shape[1], case.photograph.rgb.shape[0]])
    width_mm = case.sheet.linear.shape[1] / case.sheet.px_per_mm
    scale = width_mm / np.hypot(*(true[1] - true[0]))
    return float(np.hypot(*(np.array(found.sheet) * size - true).T).max() * scale)


def measure() -> Section:
    """All cases, three ways, and the corners of those photographed."""
    earlier = Earlier()
    ours: list[Score] = []
    plain: list[Score] = []
    before: list[Score] = []
    times, times_before, corners, sure = [], [], [], []
    for case in cases():
        picture = as_given(case)
        start = time.perf_counter()
        flat = flatten(picture, None)
        times.append(time.perf_counter() - start)
        ours.append(scored(flat.labels, flat.line, case.answer))
        labels = kmeans_labels(picture, len(case.answer.colours))
        plain.append(scored(labels, darkest(picture, labels), case.answer))
        old = earlier.flatten(picture.rgb, picture.size_mm)
        if old is not None:
            before.append(scored(old[0], darkest(picture, old[0]), case.answer))
            times_before.append(old[1])
        if case.phone:
            found = find_cut(case.photograph.rgb)
            corners.append(corner_error_mm(case, found))
            sure.append(found.certain)
    earlier.close()
    wrong = [not ok and certain for ok, certain in zip(np.array(corners) <= 1, sure, strict=True)]
    lines = [
        _line("Nomos, number counted by itself", ours, times),
        _line("k-means in CIELAB, blurred, told the number", plain, []),
        _line("the release before, number by itself", before, times_before),
        Line(
            f"corners of the sheet, {len(corners)} photographs",
            f"{100 * np.mean(np.array(corners) <= 1):.0f} % within 1 mm",
            f"median {np.median(corners):.2f} mm, worst {max(corners):.2f} mm; "
            f"{sum(not each for each in sure)} said to be unsure, {sum(wrong)} wrong without saying so",
        ),
    ]
    met = (
        np.mean([each.accuracy for each in ours]) >= 0.985 and min(each.accuracy for each in ours) >= 0.94
        and np.nanmean([each.line for each in ours]) >= 0.97
        and np.mean([each.off == 0 for each in ours]) >= 0.8
        and max(abs(each.off) for each in ours) <= 2 and np.mean(np.array(corners) <= 1) >= 0.95
    )  # fmt: skip
    return Section(
        f"Reading {CASES} simulated sketches: six media, scanned and photographed",
        tuple(lines),
        "met" if met else "missed",
    )


def _line(what: str, scores: list[Score], times: list[float]) -> Line:
    if not scores:
        return Line(what, "not measured", "its source is not in this checkout")
    accuracy = [each.accuracy for each in scores]
    off = [abs(each.off) for each in scores]
    return Line(
        what,
        f"{np.median(times):.1f} s" if times else "",
        f"accuracy {np.mean(accuracy):.3f} (worst {min(accuracy):.3f}), line F1 "
        f"{np.nanmean([each.line for each in scores]):.2f}, count exact in "
        f"{100 * np.mean(np.array(off) == 0):.0f} %, at most {max(off)} off",
    )


if __name__ == "__main__":
    from benchmarks.__main__ import table

    print(table(measure()))
