"""How time and memory grow with area, colours and pulls, and large work beside the release before.

Each command runs in a process of its own: wall time, and peak resident memory beside `nomos --version`.
"""

import colorsys
import os
import shutil
import subprocess
import sys
import tempfile
import time
from dataclasses import dataclass
from pathlib import Path

import cv2
import numpy as np
from PIL import Image

from benchmarks import earlier
from benchmarks.timing import Line, Section

_MM_PER_INCH = 25.4
A6, A5, A4, A3, A2 = ((148, 105), (210, 148), (297, 210), (420, 297), (594, 420))
_LONGEST_S = 600.0
# A process's own peak: what the kernel counts begins at that of the process it was started from.
_RUN = """
import os, sys
from nomos.__main__ import main
try:
    sys.exit(main())
finally:
    peak = next(line for line in open("/proc/self/status") if line.startswith("VmHWM"))
    open(os.environ["NOMOS_PEAK"], "w").write(peak.split()[1])
"""


@dataclass(frozen=True)
class Cost:
    """Seconds, and megabytes at the peak."""

    seconds: float
    megabytes: float


def beds(path: Path, colours: int, size_mm: tuple[int, int], dpi: int, seed: int = 1) -> None:
    """A drawing of beds in so many colours on paper, each with a dark line around, as a PNG."""
    hand, px_per_mm = np.random.default_rng(seed), dpi / _MM_PER_INCH
    width, height = (round(side * px_per_mm) for side in size_mm)
    labels = np.zeros((height, width), np.uint8)
    turns = np.linspace(0, 2 * np.pi, 40, endpoint=False)
    for bed in range(9 * colours):
        at, reach = hand.uniform(0, 1, 2) * [width, height], hand.uniform(0.05, 0.14) * min(width, height)
        wavy = 1 + 0.25 * np.sin(3 * turns + hand.uniform(0, 6)) + 0.12 * np.sin(7 * turns + hand.uniform(0, 6))
        points = np.rint(at + reach * np.stack([wavy * np.cos(turns), wavy * np.sin(turns)], 1)).astype(np.int32)
        cv2.fillPoly(labels, [points], 1 + bed % (colours - 1))
        cv2.polylines(labels, [points], True, colours, max(1, round(px_per_mm)))
    table = [(246, 242, 232)]
    for n in range(colours - 1):
        light = (0.35, 0.55, 0.75)[n % 3]
        red, green, blue = colorsys.hls_to_rgb(n / (colours - 1), light, 0.6)
        table.append((round(255 * red), round(255 * green), round(255 * blue)))
    table.append((28, 28, 34))
    Image.fromarray(np.array(table, np.uint8)[labels]).save(path, dpi=(dpi, dpi))


def cost_of(source: Path, *words: str) -> Cost | None:
    """What a command of the program in some sources costs; None where it takes longer than anyone waits."""
    with tempfile.NamedTemporaryFile("r") as peak:
        began = time.perf_counter()
        try:
            subprocess.run(
                [sys.executable, "-c", _RUN, *words], stdout=subprocess.DEVNULL, stderr=subprocess.DEVNULL,
                env={**os.environ, "PYTHONPATH": str(source), "NOMOS_PEAK": peak.name}, check=True,
                timeout=_LONGEST_S,
            )  # fmt: skip
        except subprocess.TimeoutExpired:
            return None
        return Cost(time.perf_counter() - began, int(peak.read()) / 1024)


def exponent(sizes: list[float], costs: list[float]) -> float:
    """The power of a size that a cost grows with: the slope in logarithms, by least squares."""
    return float(np.polyfit(np.log(sizes), np.log(costs), 1)[0])


def _growth(what: str, sizes: list[float], costs: list[Cost], empty: Cost, words: str) -> Line:
    seconds = [each.seconds for each in costs]
    above = [max(each.megabytes - empty.megabytes, 1.0) for each in costs]
    return Line(
        what, " / ".join(f"{each:.1f}" for each in seconds) + " s",
        f"{words}: time as its power {exponent(sizes, seconds):.2f}, memory "
        f"({', '.join(f'{each:.0f}' for each in above)} MB) as its power {exponent(sizes, above):.2f}",
    )  # fmt: skip


def _beside(what: str, now: Cost | None, then: Cost | None) -> Line:
    if now is None:
        return Line(what, f"more than {_LONGEST_S:.0f} s")
    was = "more than 600 s" if then is None else f"{then.seconds:.1f} s, {then.megabytes:.0f} MB"
    times = "" if then is None else f": {then.seconds / now.seconds:.1f} times as fast"
    return Line(what, f"{now.seconds:.1f} s, {now.megabytes:.0f} MB", f"the release before {was}{times}")


def measure() -> Section:
    """Large work now and before, in turns; then the growth of what there is now."""
    with tempfile.TemporaryDirectory() as name, earlier.sources(earlier.COMMIT) as before:
        folder = Path(name)
        # A copy: whoever goes on writing meanwhile measures one thing all the same.
        ours = folder / "now" / "src"
        shutil.copytree(earlier.ROOT / "src", ours)
        empty = cost_of(ours, "--version")
        assert empty is not None
        lines, bytes_a_pixel = _large(folder, ours, before, empty)
        lines += _growths(folder, ours, empty)
    return Section(
        "Large work, and how it grows", tuple(lines),
        "met" if bytes_a_pixel <= 20 else f"of 20 bytes a pixel missed: {bytes_a_pixel:.1f}",
    )  # fmt: skip


def _large(folder: Path, ours: Path, before: Path, empty: Cost) -> tuple[list[Line], float]:
    """The work that was slow, on A2 with twelve colours and on A4 with seventeen."""
    beds(folder / "a2.png", 12, A2, 300)
    beds(folder / "a4.png", 17, A4, 200)
    lines, sources = [], (ours, before)

    def both(what: str, *words: str) -> Cost | None:
        """`HERE` in the words is the folder of either release."""
        now, then = (
            cost_of(source, *(word.replace("HERE", str(folder / source.parent.name)) for word in words))
            for source in sources
        )
        lines.append(_beside(what, now, then))
        return now

    for source in sources:
        (folder / source.parent.name).mkdir(exist_ok=True)
    a2, a4 = str(folder / "a2.png"), str(folder / "a4.png")
    plan = both("plan, A2 at 300 dpi, 12 colours", "plan", a2, "--colours", "12", "--out", "HERE/a2")
    both("carve, the same", "carve", "HERE/a2/project.nomos")
    both("check, the same", "check", "HERE/a2/project.nomos")
    both("plan, A4 at 200 dpi, 17 inks", "plan", a4, "--colours", "18", "--out", "HERE/a4")
    both("check, the same", "check", "HERE/a4/project.nomos")
    both("misregister, the same, 100 whole sheets", "misregister", "HERE/a4/project.nomos")
    both("order, the same, 17 pulls", "order", "HERE/a4/project.nomos")
    reduced = ("--method", "reduction", "--out", "HERE/reduced.nomos")
    both("a reduction of 17 colours", "separate", a4, "--colours", "18", *reduced)
    pixels = Image.open(folder / "a2.png").size
    assert plan is not None
    above = (plan.megabytes - empty.megabytes) * 2**20 / (pixels[0] * pixels[1])
    lines.append(Line("plan on A2, above an empty process", f"{above:.1f} bytes a pixel", "aim at most 20"))
    return lines, above


def _growths(folder: Path, ours: Path, empty: Cost) -> list[Line]:
    """`plan` by area and by colours, `order` by pulls."""
    areas, counts, pulls = (A5, A4, A3, A2), (4, 8, 16), (8, 12, 17, 22)
    by_area = [_planned(folder, ours, f"area{n}", 6, size, 200) for n, size in enumerate(areas)]
    by_colours = [_planned(folder, ours, f"colours{count}", count, A5, 200) for count in counts]
    by_pulls = []
    for count in pulls:
        _planned(folder, ours, f"pulls{count}", count, A6, 150)
        cost = cost_of(ours, "order", str(folder / f"pulls{count}" / "project.nomos"))
        assert cost is not None
        by_pulls.append(cost)
    pixels = [size[0] * size[1] * (200 / _MM_PER_INCH) ** 2 for size in areas]
    return [
        _growth("plan on A5 / A4 / A3 / A2, 200 dpi, 6 colours", pixels, by_area, empty, "area"),
        _growth(f"plan with {' / '.join(map(str, counts))} colours, A5, 200 dpi", list(map(float, counts)),
                by_colours, empty, "colours"),
        _growth(f"order of {' / '.join(map(str, pulls))} pulls", list(map(float, pulls)), by_pulls, empty,
                "pulls"),
    ]  # fmt: skip


def _planned(folder: Path, ours: Path, name: str, colours: int, size_mm: tuple[int, int], dpi: int) -> Cost:
    beds(folder / f"{name}.png", colours, size_mm, dpi)
    cost = cost_of(
        ours, "plan", str(folder / f"{name}.png"), "--colours", str(colours + 1), "--out", str(folder / name)
    )
    assert cost is not None
    return cost


if __name__ == "__main__":
    for line in measure().lines:
        print(f"{line.what}: {line.figure}; {line.note}")
