"""A place of the print from close by, on a plausible sheet."""

import pytest

from nomos.project import Assets, CutBlocks, Project
from nomos.project.register.magnified import SIDE_MM, magnify
from nomos.project.register.system import with_budget
from nomos.project.register.tolerance import flash_exact

Demo = tuple[Project, Assets]


def test_a_place_from_close_by_is_worse_than_most_sheets_show_it(demo: Demo, demo_blocks: CutBlocks) -> None:
    project = with_budget(demo[0], seating_mm=1.0)
    place = (project.image.left + 1.0, project.image.top + 100.0)
    close = magnify(project, demo_blocks, place)
    # Within the image, though the place lies at its edge, as fine as the blocks are.
    assert close.place.left == project.image.left
    assert close.picture.shape[0] == pytest.approx(SIDE_MM * demo_blocks.px_per_mm, abs=1)
    exact = flash_exact(project, demo_blocks, 40, 0)
    assert 0 < close.bare_mm2 < exact.bare_mm2.max()
    # A hand that never errs leaves no paper bare.
    sure = with_budget(demo[0], seating_mm=0, block_mm=0, cutting_mm=0, transfer_mm=0,
                       growth_along_pct=0, growth_across_pct=0)  # fmt: skip
    assert magnify(sure, demo_blocks, place).bare_mm2 == 0
