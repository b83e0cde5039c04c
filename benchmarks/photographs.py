"""Simulated photographs of sheets of any colour on any ground: corners, how sure, what is read."""

import dataclasses
import time
from collections.abc import Iterator
from dataclasses import dataclass

import numpy as np

from benchmarks.devices.camera import Answer, Camera, on_paper
from benchmarks.devices.grounds import GROUNDS, ruled, written
from benchmarks.devices.media import Medium
from benchmarks.scenes import scene
from benchmarks.sketches import Case, Score, as_given, scored
from benchmarks.timing import Line, Section
from nomos.design import flatten
from nomos.design.corners import SURE, Sheet, find_sheet
from nomos.design.cut import found_on

CASES = 96
# Every so many are read, not only looked for: reading takes seconds.
_READ_EACH = 4
PAPERS = {
    "white": (244, 241, 233), "kraft": (178, 138, 96), "grey": (150, 150, 148), "black": (38, 37, 40),
    "cream": (240, 228, 196), "blue": (150, 178, 200),
}  # fmt: skip
_PALE = {"white", "cream"}
_LINES = ("black", "coloured", "none")
_MEDIA: tuple[Medium, ...] = ("felt pen", "crayon", "gouache", "wash", "pencil", "gouache")
_ON_BLACK: tuple[Medium, ...] = ("gouache", "crayon")


@dataclass(frozen=True, eq=False)
class Taken:
    """A photograph with its answer, and what lies on it or hides it."""

    case: Case
    paper: str
    hand: bool
    out: bool
    marks: tuple[str, ...]


def photographs(first: int = 0, count: int = CASES, pixels: tuple[int, int] = (2000, 1500)) -> Iterator[Taken]:
    """Six papers on eight grounds; hands, a side out of the picture, rulings, notes, shadows, bent lenses, night."""
    for number in range(first, first + count):
        yield _taken(number, pixels)


def _taken(number: int, pixels: tuple[int, int]) -> Taken:
    rng = np.random.default_rng(1000 + number)
    paper, ground = list(PAPERS)[number % 6], GROUNDS[(number // 6 + number) % 8]
    answer = scene(number % 24, line=_LINES[number % 3])
    medium = _MEDIA[number // 2 % 6]
    if paper == "black":
        medium, answer = _ON_BLACK[number % 2], _paler(answer)
    sheet = on_paper(answer, medium, seed=number, paper=PAPERS[paper], tooth=0.02)
    marks = []
    ppm = sheet.px_per_mm
    if number % 5 == 1:
        ruled(sheet.linear, 5 * ppm, (0.75, 0.82, 0.92), squared=number % 2 == 0)
        marks.append("ruled")
    if number % 4 == 2:
        place = int(3 * ppm), int(sheet.linear.shape[0] - 4 * ppm)
        written(sheet.linear, "no. 4 red, 12.11.", place, 5 * ppm, (0.05, 0.05, 0.12))
        marks.append("note")
    hand = float(rng.uniform(0, 1)) if number % 3 == 1 else None
    out = number % 7 == 3
    aside = (0.0, float(rng.choice([-1, 1])) * 0.14) if out else (0.0, 0.0)
    night = number % 16 == 9
    tall = answer.labels.shape[0] > answer.labels.shape[1]
    camera = Camera(
        pixels=pixels[::-1] if tall else pixels, table=ground, tilt=0.1 + 0.05 * (number % 5),
        turn_deg=float((number * 7) % 17 - 8), fill=0.9 if out else 0.84, falloff=0.15 + 0.1 * (number % 3),
        shadow=0.3 if number % 8 == 5 else 0.0, lens=float(rng.uniform(-0.04, 0.04)), aside=aside,
        hand_at=hand, noise=8 if night else 1 + number % 4, exposure=0.35 if night else 0.75, seed=number,
    )  # fmt: skip
    case = Case(number, medium, True, answer, sheet, camera.take(sheet))
    return Taken(case, paper, hand is not None, out, tuple(marks))


def _paler(answer: Answer) -> Answer:
    """Colours that show on black paper."""
    colours = (answer.colours.astype(int) * 0.55 + 110).clip(0, 255).astype(np.uint8)
    return dataclasses.replace(answer, colours=colours)


def off_mm(case: Case, found: Sheet) -> float:
    """How far the worst corner lies off, mm on the sheet, of those inside the picture."""
    height, width = case.photograph.rgb.shape[:2]
    true = np.array(case.photograph.sheet)
    scale = case.sheet.linear.shape[1] / case.sheet.px_per_mm / np.hypot(*(true[1] - true[0]))
    off = np.hypot(*(found.corners - true).T) * scale
    inside = ((true > 0) & (true < [width, height])).all(axis=1)
    return float((off[inside] if inside.any() else off).max())


def measure() -> Section:
    """All photographs: corners and how sure; a part of them read with their corners given."""
    offs, sure, times, lies, sight = [], [], [], [], []
    read: dict[bool, list[Score]] = {True: [], False: []}
    for taken in photographs():
        start = time.perf_counter()
        found = find_sheet(taken.case.photograph.rgb)
        times.append(time.perf_counter() - start)
        offs.append(off_mm(taken.case, found))
        sure.append(found.sure >= SURE)
        sight.append(not taken.out)
        lies += [each == lying for each, lying in zip(_told(taken), _lying(taken), strict=True)]
        if not (taken.hand or taken.out) and taken.case.number // 6 % 2 == 0 and taken.case.number % _READ_EACH != 3:
            flat = flatten(as_given(taken.case), None)
            read[taken.paper in _PALE].append(scored(flat.labels, flat.line, taken.case.answer))
    near, certain, whole = np.array(offs) <= 1, np.array(sure), np.array(sight)
    wrong = int(((np.array(offs) > 2) & certain).sum())
    lines = (
        Line(
            f"the sheet found, {CASES} photographs of 3 megapixels", f"{np.median(times):.1f} s",
            f"{100 * near[whole].mean():.0f} % of {whole.sum()} with no side out of the picture within 1 mm, "
            f"{100 * near.mean():.0f} % of all; {100 * (near & certain).mean():.0f} % so and sure, "
            f"{wrong} sure and more than 2 mm off",
        ),
        Line(
            "a hand, and a note, told from the drawing, or that there is none", "",
            f"{100 * np.mean(lies):.0f} % of {len(lies)} left out or asked about, and nothing else",
        ),
        _of("read on pale papers, corners given", read[True]),
        _of("read on tinted and dark papers, corners given", read[False]),
    )  # fmt: skip
    met = (
        near[whole].mean() >= 0.95
        and np.mean(lies) >= 0.9
        and not wrong
        and _met(read[True], 0.985)
        and _met(read[False], 0.965)
    )
    return Section("Photographs of sheets of six colours on eight grounds", lines, "met" if met else "missed")


def _told(taken: Taken) -> tuple[bool, bool]:
    """Whether a hand, and whether writing, is said to lie on a sheet."""
    photograph = taken.case.photograph
    kinds = {each.kind for each in found_on(photograph.rgb, np.array(photograph.sheet)).foreign}
    return bool(kinds & {"hand", "object"}), "writing" in kinds


def _lying(taken: Taken) -> tuple[bool, bool]:
    return taken.hand, "note" in taken.marks


def _met(scores: list[Score], least: float) -> bool:
    return bool(
        np.mean([each.accuracy for each in scores]) >= least
        and min(each.accuracy for each in scores) >= 0.93
        and max(abs(each.off) for each in scores) <= 2
    )  # fmt: skip


def _of(what: str, scores: list[Score]) -> Line:
    off = np.abs([each.off for each in scores])
    accuracy = [each.accuracy for each in scores]
    return Line(
        f"{what}, {len(scores)}", "",
        f"accuracy {np.mean(accuracy):.3f} (worst {min(accuracy):.3f}), count exact in "
        f"{100 * np.mean(off == 0):.0f} %, at most {off.max()} off",
    )  # fmt: skip
