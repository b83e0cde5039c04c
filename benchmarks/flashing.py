"""Bare paper on plausible sheets: profiles along borders, beside whole sheets laid pixel by pixel."""

from benchmarks.timing import Line, Section, seconds
from nomos.demo import demo_project
from nomos.project import cut_blocks, mask_request
from nomos.project.register.tolerance import flash_exact, flash_fast

SHEETS = 20


def measure() -> Section:
    """Both on the same sheets of the demo."""
    project, assets = demo_project()
    request = mask_request(project, assets)
    assert request is not None
    blocks = cut_blocks(request)
    fast, exact = flash_fast(project, blocks, SHEETS), flash_exact(project, blocks, SHEETS)
    quick = seconds(lambda: flash_fast(project, blocks, SHEETS), repeats=3)
    full = seconds(lambda: flash_exact(project, blocks, SHEETS), repeats=1)
    areas = fast.bare_mm2.mean(), exact.bare_mm2.mean()
    lines = (
        Line(f"{SHEETS} sheets, profiles along borders", f"{quick:.2f} s", f"{areas[0]:.1f} mm² bare a sheet"),
        Line(f"{SHEETS} whole sheets, 8 pulls each", f"{full:.2f} s", f"{areas[1]:.1f} mm² bare a sheet"),
    )
    off = abs(areas[0] / areas[1] - 1)
    met = "met" if off < 0.15 and quick < full else "missed"
    return Section("What flashes when sheets do not meet", lines, f"the two within 15 % ({100 * off:.0f} %): {met}")
